import { type PartRange, suspects, without } from '@/core/breakage';
import { group } from 'd3';
import { manyHoldsOfOperations, manyLastGood, manyLoggedByEdges } from '@/data/breakage';
import type { Connection } from '@/data/database';
import { manyOperationsById } from '@/data/jobs';

/** Parts of an operation that edges cut since the last one that was found good. */
export interface SuspectParts {
  operation: number;
  job: string;
  part: string;
  machine: string;
  /** Without what is held already. */
  ranges: PartRange[];
  /** The number of the last part that was found good; 0: none was checked. */
  lastGood: number;
  made: number;
  /** Lots of material they were made of, where somebody wrote them. */
  lots: string[];
}

/** Parts that an edge set may have spoilt, on every operation it cut on, without those that are held already. */
export async function suspectsOf(c: Connection, edgeSetId: number): Promise<SuspectParts[]> {
  const logged = group(await manyLoggedByEdges(c, [edgeSetId]), (l) => l.operationId);
  const ids = [...logged.keys()];
  if (!ids.length) return [];
  const good = new Map((await manyLastGood(c, ids)).map((g) => [g.operationId, g.part]));
  const operations = await manyOperationsById(c, ids);
  const held = group(await manyHoldsOfOperations(c, ids), (h) => h.operationId);
  return operations.flatMap((o) => {
    const lines = logged.get(o.id) ?? [];
    const lastGood = good.get(o.id) ?? 0;
    const all = suspects(lines, lastGood);
    const ranges = without(
      all,
      (held.get(o.id) ?? []).map((h) => ({ first: h.firstPart, last: h.lastPart })),
    );
    const lots = lines.flatMap((l) => (l.cut && l.lot !== null && l.last > lastGood ? [l.lot] : []));
    return ranges.length
      ? [
          {
            ...{ operation: o.id, job: o.job, part: o.part, machine: o.machine },
            ...{ ranges, lastGood, made: o.partsMade, lots: [...new Set(lots)] },
          },
        ]
      : [];
  });
}
