import type { WornHere } from '@/core/life';
import { partsLeftOf } from '@/crib/assemblies';
import type { ChangeRuleRow, OperationRow } from '@/data/jobs';
import type { Work } from './openWork';

/** Wear at which the cutter of a T counts as worn there, as somebody said; null: as usual. */
export function wornHereOf(
  change: ChangeRuleRow | null,
  { job }: Pick<OperationRow, 'job'>,
): WornHere | null {
  if (change === null || (change.flankMm === null && change.cornerMm === null)) return null;
  const of = `T${change.t} of ${job}`;
  return {
    flank: change.flankMm === null ? null : { mm: change.flankMm, of },
    corner: change.cornerMm === null ? null : { mm: change.cornerMm, of },
  };
}

/** What was said of each T with parts to make, by the assembly that is tied to it; null: as usual there. */
export function wornHereOn(work: Work): Map<number, (WornHere | null)[]> {
  const operations = new Map(work.operations.map((o) => [o.id, o]));
  const changes = new Map(work.changes.map((x) => [`${x.operationId} ${x.t}`, x]));
  const on = new Map<number, (WornHere | null)[]>();
  for (const { operationId, t, assemblyId } of work.ties) {
    const operation = operations.get(operationId);
    if (!operation || assemblyId === null || partsLeftOf(operation) === 0) continue;
    const here = wornHereOf(changes.get(`${operationId} ${t}`) ?? null, operation);
    on.set(assemblyId, [...(on.get(assemblyId) ?? []), here]);
  }
  return on;
}
