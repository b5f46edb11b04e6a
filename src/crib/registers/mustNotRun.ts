import type { UseJudgement } from '@/core/jobs';

type Use = Pick<UseJudgement, 'grade' | 'why'>;

/**
 * Why a tool must not run as a T of the operations that call it there, each job's reason by its name where they differ; where none
 * calls it, why it must not by itself. null: nothing stops it. Its figures stand all the same: they are in the control.
 * Example: worn for J-1 and J-2 alike: 'Worn: flank wear 0.16 of 0.16 mm'.
 */
export function mustNotRun(
  { ties, itself }: { ties: readonly { operation: number; t: number; use: Use }[]; itself: Use },
  t: number,
  operations: readonly { id: number; job: string }[],
): string | null {
  if (!operations.length) return itself.grade === 'stop' ? (itself.why ?? 'it must not run') : null;
  const stops = operations.flatMap(({ id, job }) => {
    const use = ties.find((tie) => tie.operation === id && tie.t === t)?.use;
    return use?.grade === 'stop' ? [{ job, why: use.why ?? `it must not run as T${t}` }] : [];
  });
  const [first] = stops;
  if (!first) return null;
  const alike = stops.length === operations.length && stops.every((s) => s.why === first.why);
  return alike ? first.why : stops.map((s) => `${s.job}: ${s.why}`).join('; ');
}
