import type { UseJudgement } from '@/core/jobs';

type Use = Pick<UseJudgement, 'grade' | 'why'>;

/** Of what a tool is tied to, what calls it under a T: of some operations, on their machine. */
export const callsUnder = <Tie extends { operation: number; t: number }>(
  ties: readonly Tie[],
  t: number,
  operations: readonly { id: number }[],
): Tie[] => ties.filter((tie) => tie.t === t && operations.some((o) => o.id === tie.operation));

/**
 * Why a tool must not run for the operations that call it there, each job's reason by its name where they differ; where none
 * calls it, why it must not by itself. null: nothing stops it. Its figures stand all the same: they are in the control.
 * Example: worn for J-1 and J-2 alike: 'Worn: flank wear 0.16 of 0.16 mm'.
 */
export function mustNotRun(itself: Use, calls: readonly { job: string; use: Use }[]): string | null {
  const why = (use: Use) => use.why ?? 'it must not run';
  if (!calls.length) return itself.grade === 'stop' ? why(itself) : null;
  const stops = calls.flatMap(({ job, use }) => (use.grade === 'stop' ? [{ job, why: why(use) }] : []));
  const [first] = stops;
  if (!first) return null;
  const alike = stops.length === calls.length && stops.every((s) => s.why === first.why);
  return alike ? first.why : stops.map((s) => `${s.job}: ${s.why}`).join('; ');
}
