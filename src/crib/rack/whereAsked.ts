import type { Measure } from '@/core/life';
import type { CribItem } from '@/crib/catalogue';
import type { AssemblyRow } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import { manyPartsCut } from '@/data/jobs';
import type { EdgeUseRow } from '@/data/life';
import { manySetThere } from '@/data/registers';
import type { Asked } from './judgedUse';

type TiesOf = ReadonlyMap<number, Asked[]>;

/** Parts that edge sets cut on an operation, by both; asked only of what is changed after a number of parts. */
export async function cutOnOf(c: Connection, rows: readonly AssemblyRow[], ties: TiesOf) {
  const counted = rows.filter((r) => (ties.get(r.id) ?? []).some((t) => t.change?.parts != null));
  const cut = counted.length
    ? await manyPartsCut(
        c,
        counted.map((r) => r.edgeSetId),
      )
    : [];
  return new Map(cut.map((x) => [`${x.edgeSetId} ${x.operationId}`, x.parts]));
}

/** How much of what is counted an edge set cut; null: of some nobody knows, or it is none that was asked for. */
export function cutIn(cut: EdgeUseRow | null, measure: Measure): number | null {
  if (!cut) return null;
  if (measure === 'holes') return cut.holes;
  if (measure === 'metres') return cut.cutMm === null ? null : cut.cutMm / 1000;
  return cut.lowerBound ? null : cut.minutes;
}

/** When machines that measure their tools themselves last read them, by assembly and machine; asked only where there is one. */
export async function setThereBy(
  c: Connection,
  rows: readonly AssemblyRow[],
  ties: TiesOf,
): Promise<ReadonlyMap<string, Date>> {
  const ids = rows.flatMap((r) =>
    (ties.get(r.id) ?? []).some((t) => t.machine.ownSetter !== null) ? [r.id] : [],
  );
  const read = ids.length ? await manySetThere(c, ids) : [];
  return new Map(read.map((g) => [`${g.assemblyId} ${g.machineId}`, g.happenedAt]));
}

export const bodiesOf = (rows: readonly AssemblyRow[], items: ReadonlyMap<number, CribItem>): number[] =>
  rows.filter((r) => items.get(r.cutterItemId)?.kind === 'body').map((r) => r.pieceId);
