import { type Connection, many, maybeOne } from '@/data/database';
import type { Mounted, SeatRow } from '../types';

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
/** Seats of bodies that are damaged now. */
export const manyDamagedSeats = (c: Connection, itemId: number) =>
  many<SeatRow>(
    c,
    `select * from (select distinct on (s.piece_id, s.seat) s.piece_id, s.seat, s.damaged, e.note from seat_state s join live_entry e on e.id = s.entry_id
     join piece p on p.id = s.piece_id where p.item_id = $1 order by s.piece_id, s.seat, e.happened_at desc, e.id desc) x where damaged`,
    [itemId],
  );
