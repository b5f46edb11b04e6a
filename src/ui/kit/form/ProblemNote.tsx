import type { ProblemDocument } from '@/crib/door';
import { Notice } from '@/ui/kit/page';
import { inFormWords } from './inFormWords';

/** What was wrong, and the way out. */
export function ProblemNote({
  problem: sent,
  fields = [],
}: {
  problem: ProblemDocument | null;
  /** Fields of the form, by the names the verb has for them. */
  fields?: readonly { name: string; label: string }[];
}) {
  if (!sent) return null;
  const problem = inFormWords(sent, fields);
  return (
    <Notice kind="stop" now>
      <strong>{problem.detail}.</strong>{' '}
      {problem.problems.filter((p) => p.detail !== problem.detail).map((p) => `${p.detail}. `)}
      {problem.way_out}
    </Notice>
  );
}
