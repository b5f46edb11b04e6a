import { type Connection, many, maybeOne } from '@/data/database';
import type { BodyRow, Mounted, Seating, SeatRow, SpareRow } from '../types';

/** The inserts that are in a body now; null when it is bare. */
export const maybeMounted = (c: Connection, pieceId: number) =>
  maybeOne<Mounted>(
    c,
    `select m.edge_set_id, m.entry_id, m.item_id, i.code as item, m.lot_id, l.edges_left, m.quantity,
       coalesce((select json_agg(json_build_object('seat', si.seat, 'lotId', si.lot_id, 'edgesLeft', sl.edges_left, 'sinceId', si.since_id, 'minutes',
           (select coalesce(sum(n.minutes), 0) from life_now n where n.piece_id = s.piece_id and n.edge_set_id between si.since_id and m.edge_set_id))
           order by si.seat)
         from seat_insert si left join lot sl on sl.id = si.lot_id where si.edge_set_id = m.edge_set_id), '[]'::json) as seats
     from mounting m join live_entry e on e.id = m.entry_id
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
/** The seats of a body that are not damaged, by their numbers; none where it is not stated how many it has (CICT). */
export const manyGoodSeats = async (c: Connection, pieceId: number): Promise<number[]> =>
  (
    await many<{ seat: number }>(
      c,
      `select g.seat from piece p join fact_now f on f.item_id = p.item_id and f.symbol = 'CICT', generate_series(1, f.value::int) g(seat)
       where p.id = $1 and not coalesce((select s.damaged from seat_state s join live_entry e on e.id = s.entry_id
         where s.piece_id = p.id and s.seat = g.seat order by e.happened_at desc, e.id desc limit 1), false) order by 1`,
      [pieceId],
    )
  ).map((r) => r.seat);
/** Seats of bodies that are damaged now. */
export const manyDamagedSeats = (c: Connection, itemId: number) =>
  many<SeatRow>(
    c,
    `select * from (select distinct on (s.piece_id, s.seat) s.piece_id, s.seat, s.damaged, e.note from seat_state s join live_entry e on e.id = s.entry_id
     join piece p on p.id = s.piece_id where p.item_id = $1 order by s.piece_id, s.seat, e.happened_at desc, e.id desc) x where damaged`,
    [itemId],
  );
/** How many sets of edges each marked body of an item has held, wherever it is now. */
export const manyBodies = (c: Connection, itemId: number) =>
  many<BodyRow>(
    c,
    `select p.id as piece_id, pl.kind as place_kind, (select count(*) from edge_set s join mounting m on m.edge_set_id = s.id join live_entry e on e.id = m.entry_id
       where s.piece_id = p.id)::int as sets
     from piece p left join piece_place pp on pp.piece_id = p.id left join place pl on pl.id = pp.place_id where p.item_id = $1`,
    [itemId],
  );
/** Small parts of the marked bodies of an item that were renewed, each when last, with the sets of edges they have held since. */
export const manySparesRenewed = (c: Connection, itemId: number) =>
  many<SpareRow>(
    c,
    `select x.piece_id, i.code as item, x.happened_at, (select count(*) from edge_set s join mounting m on m.edge_set_id = s.id
       join live_entry e on e.id = m.entry_id where s.piece_id = x.piece_id and (e.happened_at, e.id) >= (x.happened_at, x.entry_id))::int as sets_since
     from (select distinct on (r.piece_id, r.item_id) r.piece_id, r.item_id, r.entry_id, e.happened_at from piece p
       join spare_renewed r on r.piece_id = p.id join live_entry e on e.id = r.entry_id where p.item_id = $1
       order by r.piece_id, r.item_id, e.happened_at desc, e.id desc) x join item i on i.id = x.item_id order by 1, 2`,
    [itemId],
  );
