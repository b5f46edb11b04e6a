import { type Connection, many } from '@/data/database';
import type { WornRow } from './types';

/**
 * Of some edge sets in which edges cut on that were in a set before, because others were turned alone: what was read of those
 * sets last, each figure where it was read. Which of their edges that was nobody wrote.
 */
export const manyWornBeforeTurn = (c: Connection, edgeSetIds: readonly number[]) =>
  many<WornRow>(
    c,
    `with cut_on as materialized (
       select si.edge_set_id, s.piece_id, min(si.since_id) as since_id from seat_insert si join edge_set s on s.id = si.edge_set_id
       where si.edge_set_id = any ($1) group by 1, 2),
     was as materialized (
       select o.edge_set_id, w.flank_wear_mm, w.corner_mm, w.gauge, e.happened_at, e.id
       from cut_on o join edge_set b on b.piece_id = o.piece_id and b.id >= o.since_id and b.id < o.edge_set_id
       join live_entry be on be.id = b.entry_id
       join wear_reading w on w.edge_set_id = b.id join live_entry e on e.id = w.entry_id)
     select edge_set_id,
       (array_agg(flank_wear_mm order by happened_at desc, id desc) filter (where flank_wear_mm is not null))[1] as flank_mm,
       (array_agg(corner_mm order by happened_at desc, id desc) filter (where corner_mm is not null))[1] as corner_mm,
       (array_agg(gauge order by happened_at desc, id desc) filter (where gauge is not null))[1] as gauge
     from was group by 1 order by 1`,
    [edgeSetIds],
  );
