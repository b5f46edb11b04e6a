import { group } from 'd3';
import { loadItems } from '@/crib/catalogue';
import { type AssemblyCard, standingOn } from '@/crib/rack';
import { loadsOf, type Work } from '@/crib/work';
import { type AssemblyRow, manyAssembliesById } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import type { OperationRow } from '@/data/jobs';
import { type LoadRow, manyLoads } from '@/data/pockets';

/** Another edge of one cutter in a pocket of the machine under the T of an operation, judged as if that T were tied to it. */
export interface SisterOn {
  t: number;
  load: LoadRow;
  row: AssemblyRow;
  card: AssemblyCard;
  on: AssemblyCard['ties'][number];
}

/**
 * Sister tools of an operation in its machine, by pocket: what stands under a T that its program calls and is not what the T
 * is tied to; where it is tied, of the same cutter.
 */
export async function sistersOn(c: Connection, work: Work, operation: OperationRow): Promise<SisterOn[]> {
  const tools = work.programs.get(operation.id)?.tools ?? [];
  const called = new Set(tools.map((tool) => tool.t));
  const tied = new Map(
    work.ties.flatMap((x) => (x.operationId === operation.id ? [[x.t, x.assemblyId] as const] : [])),
  );
  const loads = (await manyLoads(c, operation.machineId)).filter(
    (l) => called.has(l.t) && tied.get(l.t) !== l.assemblyId,
  );
  if (!loads.length) return [];
  const rows = new Map(
    (
      await manyAssembliesById(
        c,
        loads.map((l) => l.assemblyId),
      )
    ).map((r) => [r.id, r]),
  );
  const of = loads.flatMap((load) => {
    const row = rows.get(load.assemblyId);
    const own = work.assemblies.get(tied.get(load.t) ?? -1);
    return row && (!own || own.cutterItemId === row.cutterItemId) ? [{ load, row }] : [];
  });
  const missing = of
    .flatMap(({ row }) => [row.cutterItemId, row.holderItemId])
    .filter((id) => !work.items.has(id));
  const more = missing.length ? await loadItems(c, [...new Set(missing)]) : [];
  const cards = new Map(
    (
      await standingOn(c, {
        ...work,
        loads: await loadsOf(
          c,
          of.map(({ row }) => row.id),
        ),
        assemblies: new Map(of.map(({ row }) => [row.id, row])),
        items: new Map([...work.items, ...more.map((i) => [i.id, i] as const)]),
        ties: of.map(({ load, row }) => ({
          ...{ operationId: operation.id, t: load.t, assemblyId: row.id, entryId: load.entryId },
        })),
      })
    ).map((card) => [card.tag, card]),
  );
  return of.flatMap(({ load, row }) => {
    const card = cards.get(row.tag);
    const on = card?.ties.find((x) => x.operation === operation.id && x.t === load.t);
    return card && on ? [{ t: load.t, load, row, card, on }] : [];
  });
}

/** The same by their T. */
export const sistersByT = async (c: Connection, work: Work, operation: OperationRow) =>
  group(await sistersOn(c, work, operation), (s) => s.t);
