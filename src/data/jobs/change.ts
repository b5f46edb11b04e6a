import type { ChangeBasis } from '@/core/jobs';
import type { Measure } from '@/core/life';
import { type Connection, inserts, many } from '@/data/database';

/** When the cutter of a T is changed; `parts` and `amount` null: when a sign shows. */
export interface ChangeRuleRow {
  entryId: number;
  operationId: number;
  t: number;
  parts: number | null;
  basis: ChangeBasis | null;
  /** So much of what its edge cut, wherever, instead of parts of the operation; both or neither. */
  amount: number | null;
  counts: Measure | null;
  /** Wear of the flank and of a corner at which it counts as worn there; null: as usual. */
  flankMm: number | null;
  flankEntered: string | null;
  cornerMm: number | null;
  cornerEntered: string | null;
  who: string;
  happenedAt: Date;
}

/** What was said last of each T of some operations. */
export const manyChangeRules = (c: Connection, operationIds: readonly number[]) =>
  many<ChangeRuleRow>(
    c,
    `select distinct on (x.operation_id, x.t) x.*, e.who, e.happened_at from change_rule x join live_entry e on e.id = x.entry_id
     where x.operation_id = any ($1) order by x.operation_id, x.t, e.happened_at desc, e.id desc`,
    [operationIds],
  );

export const insertChangeRule = inserts<Omit<ChangeRuleRow, 'entryId' | 'who' | 'happenedAt'>>('change_rule');

/** Parts that some edge sets cut on each operation, however many T of it they were: a part counts once. */
export const manyPartsCut = (c: Connection, edgeSetIds: readonly number[]) =>
  many<{ edgeSetId: number; operationId: number; parts: number }>(
    c,
    `select y.edge_set_id, l.operation_id, sum(l.parts)::int as parts from (
       select distinct x.edge_set_id, u.parts_log_id from (
         select u.id as use_id, u.edge_set_id from use u where u.edge_set_id = any ($1)
         union select a.use_id, a.edge_set_id from use_assignment a join live_entry ae on ae.id = a.entry_id where a.edge_set_id = any ($1)) x
       join use u on u.id = x.use_id join live_entry e on e.id = u.entry_id) y
     join parts_log l on l.id = y.parts_log_id group by 1, 2 order by 1, 2`,
    [edgeSetIds],
  );
