import type { ProblemDocument } from '@/crib/door';
import { Notice } from '@/ui/kit/page';
import { inFormWords } from './inFormWords';
import { type Second, SecondPerson } from './SecondPerson';

/** Whether a second person is what is missing, or was not the right one. */
export const asksSecond = (problem: ProblemDocument): boolean =>
  problem.problems.some((p) => ['second', 'pin', 'badge'].includes(p.field ?? ''));

/** What was wrong, and the way out. */
export function ProblemNote({
  problem: sent,
  fields = [],
  onSecond,
}: {
  problem: ProblemDocument | null;
  /** Sends it again as somebody else confirmed it. */
  onSecond?: (second: Second) => void;
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
      {onSecond && asksSecond(sent) && <SecondPerson onGiven={onSecond} />}
    </Notice>
  );
}
