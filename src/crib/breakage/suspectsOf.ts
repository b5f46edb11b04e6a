import { type PartRange, suspects, without } from '@/core/breakage';
import { group } from 'd3';
import {
  type LoggedRow,
  manyHoldsOfOperations,
  manyLastGood,
  manyLogged,
  manyLogsOfEdges,
} from '@/data/breakage';
import type { Connection } from '@/data/database';
import { manyOperationsById, type OperationRow } from '@/data/jobs';

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

/** Parts that each of some edge sets may have spoilt, on every operation it cut on, without those that are held already. */
export async function suspectsOf(
  c: Connection,
  edgeSetIds: readonly number[],
): Promise<Map<number, SuspectParts[]>> {
  const cutIn = edgeSetIds.length ? await manyLogsOfEdges(c, edgeSetIds) : [];
  const ids = [...new Set(cutIn.map((l) => l.operationId))];
  if (!ids.length) return new Map();
  const logged = group(await manyLogged(c, ids), (l) => l.operationId);
  const good = new Map((await manyLastGood(c, ids)).map((g) => [g.operationId, g.part]));
  const held = group(await manyHoldsOfOperations(c, ids), (h) => h.operationId);
  const operations = (await manyOperationsById(c, ids)).map((o) => ({
    ...{ o, logs: logged.get(o.id) ?? [], lastGood: good.get(o.id) ?? 0 },
    held: (held.get(o.id) ?? []).map((h) => ({ first: h.firstPart, last: h.lastPart })),
  }));
  return new Map(
    [...group(cutIn, (l) => l.edgeSetId)].map(([edgeSetId, of]) => {
      const cut = new Set(of.map((l) => l.logId));
      const on = new Set(of.map((l) => l.operationId));
      return [edgeSetId, operations.filter(({ o }) => on.has(o.id)).flatMap((at) => suspectOn(at, cut))];
    }),
  );
}

interface LoggedOn {
  o: OperationRow;
  logs: readonly LoggedRow[];
  lastGood: number;
  held: PartRange[];
}
/** What of an operation's parts is suspect, of which some logs were cut by the edges; none: nothing is. */
function suspectOn({ o, logs, lastGood, held }: LoggedOn, cut: ReadonlySet<number>): SuspectParts[] {
  const lines = logs.map((l) => ({ ...l, cut: cut.has(l.logId) }));
  const ranges = without(suspects(lines, lastGood), held);
  if (!ranges.length) return [];
  const lots = lines.flatMap((l) => (l.cut && l.lot !== null && l.last > lastGood ? [l.lot] : []));
  return [
    {
      ...{ operation: o.id, job: o.job, part: o.part, machine: o.machine },
      ...{ ranges, lastGood, made: o.partsMade, lots: [...new Set(lots)] },
    },
  ];
}
