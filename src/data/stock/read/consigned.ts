import { type Connection, many } from '@/data/database';
import type { SettlementRow, TakingRow } from '../types';

/**
 * What was taken of suppliers' own stock and is not settled, a row for each item and lot. Taken is what leaves the
 * crib for the first time (into a build, a hand, a machine, the scrap, or missed); what comes back unmarked was not
 * used, and counts against it. A correction of a receipt is none.
 */
export const manyTakings = (c: Connection, upTo: number | null = null) =>
  many<TakingRow>(
    c,
    `with last as (
       select s.supplier_id, max(s.up_to_movement_id) as up_to from settlement s join live_entry e on e.id = s.entry_id group by s.supplier_id
     ), signed as (
       select m.id, m.lot_id, m.item_id, l.owner_supplier_id, l.code as lot, e.happened_at,
         case when in_crib(f.kind) and not in_crib(t.kind)
                   and (m.piece_id is null or not exists (select 1 from movement x where x.piece_id = m.piece_id and x.id < m.id))
              then m.quantity
              when not in_crib(f.kind) and in_crib(t.kind)
                   and (m.piece_id is null or e.counters = (select p.entry_id from piece p where p.id = m.piece_id))
              then -m.quantity else 0 end as quantity
       from lot l join movement m on m.lot_id = l.id join entry e on e.id = m.entry_id
       join place f on f.id = m.from_place_id join place t on t.id = m.to_place_id
       left join last on last.supplier_id = l.owner_supplier_id
       where l.owner_supplier_id is not null and m.id > coalesce(last.up_to, 0) and ($1::int is null or m.id <= $1)
     )
     select g.owner_supplier_id as supplier_id, s.code as supplier, s.name as supplier_name, g.item_id, i.code as item, g.lot,
       sum(g.quantity)::int as quantity, min(g.happened_at) as since, max(g.id) as up_to
     from signed g join supplier s on s.id = g.owner_supplier_id join item i on i.id = g.item_id
     where g.quantity <> 0 group by 1, 2, 3, 4, 5, 6 having sum(g.quantity) <> 0 order by s.code, i.code, g.lot`,
    [upTo],
  );
/** What was settled with suppliers, the latest first. */
export const manySettlements = (c: Connection, limit = 20) =>
  many<SettlementRow>(
    c,
    `select s.entry_id, p.code as supplier, s.reference, e.who, e.happened_at from settlement s
     join live_entry e on e.id = s.entry_id join supplier p on p.id = s.supplier_id order by s.entry_id desc limit $1`,
    [limit],
  );
