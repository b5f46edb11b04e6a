import { type Connection, many } from '@/data/database';
import type { HandOverRow } from './types';

/** The latest that were handed over, the newest first. */
export const manyHandOvers = (c: Connection, limit: number) =>
  many<HandOverRow>(
    c,
    `select h.entry_id, e.happened_at, e.who, h.words, t.who as taken_by, t.happened_at as taken_at
     from hand_over h join live_entry e on e.id = h.entry_id
     left join lateral (select te.who, te.happened_at from hand_over_taken x join live_entry te on te.id = x.entry_id
       where x.hand_over_id = h.entry_id order by te.id desc limit 1) t on true
     order by h.entry_id desc limit $1`,
    [limit],
  );

/** Parts that were logged by entries after one and up to another, by operation: of so many, those that were logged last. */
export const manyPartsBetween = (c: Connection, after: number, upTo: number, limit: number) =>
  many<{ operationId: number; job: string; part: string; machine: string; parts: number }>(
    c,
    `select x.operation_id, j.number as job, j.part, m.code as machine, x.parts from (
       select l.operation_id, sum(l.parts)::int as parts, max(l.entry_id) as last from parts_log l join live_entry e on e.id = l.entry_id
       where l.entry_id > $1 and l.entry_id <= $2 group by 1 order by 3 desc limit $3) x
     join operation_now n on n.operation_id = x.operation_id join operation o on o.id = x.operation_id
     join job j on j.id = o.job_id join machine m on m.id = n.machine_id order by m.code, j.number`,
    [after, upTo, limit],
  );
