import { type Connection, many } from '@/data/database';

/**
 * What is set aside of some items for jobs with parts to make: the latest word of each job, with how many of the item
 * were taken off the shelf for it since: those that got their mark then, and not a used one, or one set anew. What was done, closed or cancelled sets nothing aside.
 */
export const manyReservations = (c: Connection, itemIds: readonly number[]) =>
  many<{ entryId: number; itemId: number; job: string; quantity: number; taken: number }>(
    c,
    `select x.entry_id, x.item_id, j.number as job, x.quantity,
       (select count(distinct p.id)::int from operation o join tie t on t.operation_id = o.id join live_entry te on te.id = t.entry_id
        join assembly a on a.id = t.assembly_id join live_entry ae on ae.id = a.entry_id join piece p on p.id = a.piece_id
        where o.job_id = x.job_id and p.entry_id > x.entry_id and p.item_id = x.item_id) as taken
     from (select distinct on (r.item_id, r.job_id) r.* from reservation r join live_entry e on e.id = r.entry_id
       where r.item_id = any ($1) order by r.item_id, r.job_id, e.happened_at desc, e.id desc) x
     join job j on j.id = x.job_id
     where x.quantity > 0 and exists (select 1 from operation o join operation_now n on n.operation_id = o.id
       where o.job_id = x.job_id and n.open)
     order by x.item_id, j.number`,
    [itemIds],
  );
