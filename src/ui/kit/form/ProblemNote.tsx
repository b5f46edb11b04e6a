import type { ProblemDocument } from '@/crib/door';
import { Notice } from '@/ui/kit/page';

/** What was wrong, and the way out. */
export function ProblemNote({ problem }: { problem: ProblemDocument | null }) {
  if (!problem) return null;
  return (
    <Notice kind="stop" now>
      <strong>{problem.detail}.</strong>{' '}
      {problem.problems.filter((p) => p.detail !== problem.detail).map((p) => `${p.detail}. `)}
      {problem.way_out}
    </Notice>
  );
}
