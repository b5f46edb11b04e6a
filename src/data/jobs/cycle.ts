import { type Connection, inserts, many } from '@/data/database';

/** A part that was timed at its machine. */
export interface CycleRunRow {
  entryId: number;
  operationId: number;
  machineId: number;
  minutes: number;
  /** Minutes that were reckoned for it by its program and the machine's figures of then. */
  reckoned: number;
  /** Whether those figures are the machine's still: rapid rate, tool change, acceleration and corners. */
  counts: boolean;
  job: string;
  who: string;
  happenedAt: Date;
}

/** What a machine's own times were reckoned by, at a moment. */
const TIMES = `select f.rapid_mm_min, f.tool_change_s, f.acceleration_mm_s2, f.corner_mm from machine_figures f
  join live_entry fe on fe.id = f.entry_id where f.machine_id = m.id`;
const LATEST = 'order by fe.happened_at desc, fe.id desc limit 1';

/** The latest timed parts of some machines, the newest first; at most so many of each. */
export const manyCycleRuns = (c: Connection, machineIds: readonly number[], limit: number) =>
  many<CycleRunRow>(
    c,
    `select l.* from unnest($1::int[]) m (id) cross join lateral (
       select x.*, j.number as job, e.who, e.happened_at, coalesce(("then".*) is not distinct from ("now".*), false) as counts
       from cycle_run x join live_entry e on e.id = x.entry_id
         join operation o on o.id = x.operation_id join job j on j.id = o.job_id
         left join lateral (${TIMES} and (fe.happened_at, fe.id) <= (e.happened_at, e.id) ${LATEST}) as "then" on true
         left join lateral (${TIMES} ${LATEST}) as "now" on true
       where x.machine_id = m.id order by x.entry_id desc limit $2) l
     order by l.machine_id, l.happened_at desc, l.entry_id desc`,
    [machineIds, limit],
  );

export const insertCycleRun = inserts<{
  operationId: number;
  machineId: number;
  programId: number;
  minutes: number;
  reckoned: number;
}>('cycle_run');
