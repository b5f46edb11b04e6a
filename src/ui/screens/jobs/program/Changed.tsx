'use client';
import { type Change, COMPARED } from '@/core/programs';
import { useLengths } from '@/ui/shell';

/** What of a tool is other than an earlier program said. */
export function Changed({ change: { what, before, now } }: { change: Change }) {
  const { show } = useLengths();
  const said = (value: number | string | null) =>
    value === null
      ? 'none'
      : typeof value === 'string'
        ? value
        : what === 'lowestFeedZ' || what === 'deepestHole'
          ? show(value, 2)
          : what === 'minutes'
            ? value.toFixed(2)
            : String(Math.round(value));
  return (
    <div>
      {COMPARED[what]} <span className="fig">{said(now)}</span>, was{' '}
      <span className="fig">{said(before)}</span>
    </div>
  );
}
