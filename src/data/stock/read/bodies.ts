import { type Connection, many, maybeOne } from '@/data/database';
import type { Mounted, Seating, SeatRow } from '../types';

/** The inserts that are in a body now; null when it is bare. */
export const maybeMounted = (c: Connection, pieceId: number) =>
  maybeOne<Mounted>(
    c,
    `select m.edge_set_id, m.entry_id, m.item_id, i.code as item, m.lot_id, l.edges_left, m.quantity from mounting m join live_entry e on e.id = m.entry_id
     join edge_set s on s.id = m.edge_set_id join item i on i.id = m.item_id left join lot l on l.id = m.lot_id
     where s.piece_id = $1 and not exists (select 1 from unmounting u join live_entry ue on ue.id = u.entry_id where u.edge_set_id = m.edge_set_id)
     order by m.edge_set_id desc limit 1`,
    [pieceId],
  );
/** Inserts in each of some bodies now, and how many of its seats are damaged; a bare body has 0 of them. */
export const manySeatings = (c: Connection, pieceIds: readonly number[]) =>
  many<Seating>(
    c,
    `select p.id as piece_id,
       coalesce((select m.quantity from mounting m join live_entry e on e.id = m.entry_id join edge_set s on s.id = m.edge_set_id
         where s.piece_id = p.id and not exists (select 1 from unmounting u join live_entry ue on ue.id = u.entry_id where u.edge_set_id = m.edge_set_id)
         order by m.edge_set_id desc limit 1), 0) as mounted,
       (select count(*) from (select distinct on (s.seat) s.damaged from seat_state s join live_entry e on e.id = s.entry_id
         where s.piece_id = p.id order by s.seat, e.happened_at desc, e.id desc) x where x.damaged)::int as damaged
     from unnest($1::int[]) p(id)`,
    [pieceIds],
  );
/** The inserts each of some bodies has in it, or had last. */
export const manyInsertsOf = (c: Connection, pieceIds: readonly number[]) =>
  many<{ pieceId: number; itemId: number; quantity: number }>(
    c,
    `select p.id as piece_id, m.item_id, m.quantity from unnest($1::int[]) p(id) cross join lateral (
       select x.item_id, x.quantity from edge_set s join mounting x on x.edge_set_id = s.id join live_entry e on e.id = x.entry_id
       where s.piece_id = p.id order by s.id desc limit 1) m`,
    [pieceIds],
  );
/** The inserts that were put last into any body of some items. */
export const manyLastInserts = (c: Connection, bodyItemIds: readonly number[]) =>
  many<{ bodyItemId: number; itemId: number; quantity: number }>(
    c,
    `select b.id as body_item_id, m.item_id, m.quantity from unnest($1::int[]) b(id) cross join lateral (
       select x.item_id, x.quantity from piece p join edge_set s on s.piece_id = p.id join mounting x on x.edge_set_id = s.id
       join live_entry e on e.id = x.entry_id where p.item_id = b.id order by s.id desc limit 1) m`,
    [bodyItemIds],
  );
/** Items of the bodies some inserts were ever put into. */
export const manyBodiesWith = async (c: Connection, insertItemId: number): Promise<number[]> =>
  (
    await many<{ itemId: number }>(
      c,
      `select distinct p.item_id from mounting m join edge_set s on s.id = m.edge_set_id join piece p on p.id = s.piece_id
       where m.item_id = $1`,
      [insertItemId],
    )
  ).map((r) => r.itemId);
/** Seats of bodies that are damaged now. */
export const manyDamagedSeats = (c: Connection, itemId: number) =>
  many<SeatRow>(
    c,
    `select * from (select distinct on (s.piece_id, s.seat) s.piece_id, s.seat, s.damaged, e.note from seat_state s join live_entry e on e.id = s.entry_id
     join piece p on p.id = s.piece_id where p.item_id = $1 order by s.piece_id, s.seat, e.happened_at desc, e.id desc) x where damaged`,
    [itemId],
  );
