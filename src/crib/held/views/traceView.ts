import type { PartRange } from '@/core/breakage';
import { suspectsOf, type SuspectParts } from '@/crib/breakage';
import { manyCutBy, manyHoldsOfOperations, manyLastGood, manyLogged } from '@/data/breakage';
import type { Connection } from '@/data/database';
import { manyOperationsOfJob } from '@/data/jobs';

/** What cut a part, and what else the same edges cut: the way back from a complaint. */
export interface TraceView {
  operation: { id: number; job: string; part: string; number: number; machine: string; made: number };
  /** Numbers of the job’s other operations. */
  others: number[];
  part: number;
  /** When it was logged, with which others, of which lot; null: no such part is logged. */
  logged: (PartRange & { happenedAt: Date; who: string; lot: string | null }) | null;
  /** Held already in; null: it is not. */
  heldIn: string | null;
  lastGood: number;
  cutBy: {
    t: number;
    /** null: no cutter was tied to this T then, and nobody said which it was. */
    mark: string | null;
    item: string | null;
    minutes: number;
    /** What the same edges cut besides and nobody found good since. */
    also: SuspectParts[];
  }[];
  /** Other parts of the same lot of material on this operation. */
  sameLot: PartRange[];
}

/** Which edges cut a part of an operation of a job, and which other parts; `op` null: its first. null: there is no such job. */
export async function traceView(
  c: Connection,
  job: string,
  op: number | null,
  part: number,
): Promise<TraceView | null> {
  const operations = await manyOperationsOfJob(c, job);
  const operation = operations.find((o) => op === null || o.number === op);
  if (!operation) return null;
  const logs = await manyLogged(c, [operation.id]);
  const log = logs.find((l) => l.first <= part && part <= l.last) ?? null;
  const cutBy = log ? await manyCutBy(c, log.logId) : [];
  const also = await suspectsOf(c, [...new Set(cutBy.flatMap((e) => e.edgeSetId ?? []))]);
  const [good] = await manyLastGood(c, [operation.id]);
  const holds = await manyHoldsOfOperations(c, [operation.id]);
  return {
    operation: {
      ...{ id: operation.id, job: operation.job, part: operation.part, number: operation.number },
      ...{ machine: operation.machine, made: operation.partsMade },
    },
    others: operations.map((o) => o.number).filter((n) => n !== operation.number),
    part,
    logged: log && {
      ...{ first: log.first, last: log.last, happenedAt: log.happenedAt, who: log.who, lot: log.lot },
    },
    heldIn: holds.find((h) => h.firstPart <= part && part <= h.lastPart)?.number ?? null,
    lastGood: good?.part ?? 0,
    cutBy: cutBy.map(({ t, mark, item, minutes, edgeSetId }) => ({
      ...{ t, mark, item, minutes },
      also: also.get(edgeSetId ?? -1) ?? [],
    })),
    sameLot:
      log?.lot == null
        ? []
        : logs.filter((l) => l.lot === log.lot).map((l) => ({ first: l.first, last: l.last })),
  };
}
