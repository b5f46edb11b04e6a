import { type TurnAt, turnsAt } from '@/crib/lives';
import type { Connection } from '@/data/database';
import type { OperationRow } from '@/data/jobs';
import type { Work } from './openWork';

/**
 * What trials that go on say of the next edge of each T of an operation, by T: by the cutter it is planned to be and the one that
 * stands or stood on it last.
 */
export async function turnsOn(
  c: Connection,
  { ties, plans, assemblies }: Pick<Work, 'ties' | 'plans' | 'assemblies'>,
  operation: Pick<OperationRow, 'id' | 'material'>,
): Promise<Map<number, TurnAt[]>> {
  const here = [
    ...ties.flatMap((t) =>
      t.operationId === operation.id && t.assemblyId !== null
        ? [{ t: t.t, cutter: assemblies.get(t.assemblyId)?.cutterItemId ?? null }]
        : [],
    ),
    ...plans.flatMap((p) =>
      p.row.operationId === operation.id ? [{ t: p.row.t, cutter: p.item?.id ?? null }] : [],
    ),
  ].flatMap(({ t, cutter }) => (cutter === null ? [] : [{ t, cutter }]));
  const said = await turnsAt(c, [...new Set(here.map((h) => h.cutter))], operation.material);
  const byT = new Map<number, Map<string, TurnAt>>();
  for (const { t, cutter } of here)
    for (const turn of said.get(cutter) ?? [])
      byT.set(t, (byT.get(t) ?? new Map<string, TurnAt>()).set(turn.number, turn));
  return new Map([...byT].map(([t, of]) => [t, [...of.values()]]));
}
