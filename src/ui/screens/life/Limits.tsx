import type { Likely } from '@/core/life';

/** A figure, and its limits under it. */
export const Limits = ({ of: { value, from, to }, show }: { of: Likely; show: (n: number) => string }) => (
  <>
    {show(value)}
    <div className="soft small">
      {show(from)} to {show(to)}
    </div>
  </>
);
