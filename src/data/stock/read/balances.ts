import type { ItemKind } from '@/core/cutters';
import { type Connection, many, maybeOne } from '@/data/database';
import type { BalanceRow, PieceRow } from '../types';

const BALANCE = `select b.item_id, b.place_id, p.code as place, p.kind as place_kind, b.lot_id, l.code as lot, s.code as owner, l.edges_left, b.quantity,
    b.marked as pieces
  from balance b join place p on p.id = b.place_id left join lot l on l.id = b.lot_id left join supplier s on s.id = l.owner_supplier_id`;
/** What lies where of some items. */
export const manyBalances = (c: Connection, itemIds: readonly number[]) =>
  many<BalanceRow>(
    c,
    `${BALANCE} where b.quantity > 0 and b.item_id = any ($1) order by b.item_id, p.code, b.lot_id nulls first`,
    [itemIds],
  );
/**
 * What lies at some places, in the order of places and items; so many lines, null: all. Where there are more than that
 * the first of each place's items are taken by their number, so that the scrap of ten years is not sorted for a page.
 */
export const manyBalancesAt = (c: Connection, placeIds: readonly number[], limit: number | null = null) =>
  many<BalanceRow>(
    c,
    `${BALANCE.replace(
      'from balance b',
      `from (select * from balance x where x.quantity > 0 and x.place_id = any ($1) order by x.place_id, x.item_id limit $2) b`,
    )} join item_now n on n.item_id = b.item_id order by p.sort_code, n.sort_code, b.lot_id nulls first`,
    [placeIds, limit],
  );
/** How much lies at each place: parcels, and pieces of them. */
export const manyPlaceTotals = (c: Connection) =>
  many<{ placeId: number; items: number; pieces: number }>(c, 'select * from place_now');
export const maybeBalance = (c: Connection, itemId: number, placeId: number, lotId: number | null = null) =>
  maybeOne<BalanceRow>(
    c,
    `${BALANCE} where b.item_id = $1 and b.place_id = $2 and b.lot_id is not distinct from $3 and b.quantity > 0`,
    [itemId, placeId, lotId],
  );

/** The maker's code of a lot; null where it has none, or there is no lot. */
export const maybeLotCode = async (c: Connection, lotId: number | null): Promise<string | null> =>
  lotId === null
    ? null
    : ((await maybeOne<{ code: string | null }>(c, 'select code from lot where id = $1', [lotId]))?.code ??
      null);
/** Every piece that stands, where it lies, its present edge set and the grade given since that began or ended. */
const PIECE = `select p.id, p.mark, p.item_id, p.lot_id, p.entry_id, pp.place_id, pl.code as place, pl.kind as place_kind, back.due as due_back,
    n.edge_set_id, es.entry_id as edge_set_entry_id, n.fresh, n.ended_id as ended_entry_id, xe.happened_at as ended_at,
    g.grade, g.entry_id as grade_entry_id, g.good_zone, g.good_from_mm, g.good_to_mm,
    rb.entry_id is not null as reground, rb.recoated,
    exists (select 1 from waits_now w where w.kind = 'doubt' and w.piece_id = p.id) as held_back
  from piece p left join piece_place pp on pp.piece_id = p.id left join place pl on pl.id = pp.place_id
  join lateral (select l.* from life_now l where l.piece_id = p.id order by l.edge_set_id desc limit 1) n on true
  join edge_set es on es.id = n.edge_set_id left join entry xe on xe.id = n.ended_id
  left join lateral (select gr.* from grade gr join live_entry ge on ge.id = gr.entry_id
    where gr.piece_id = p.id and ge.id >= es.entry_id and ge.id >= coalesce(n.ended_id, 0) order by ge.id desc limit 1) g on true
  left join lateral (select b.entry_id, b.recoated from regrind_out o join regrind_back b on b.out_entry_id = o.entry_id
    join live_entry be on be.id = b.entry_id where o.piece_id = p.id and not b.lost order by b.entry_id desc limit 1) rb on true
  left join lateral (select x.due from
      (select l.due, l.entry_id from loan l where pl.kind = 'hand' and l.piece_id = p.id
       union all select o.due, o.entry_id from regrind_out o where pl.kind = 'regrind' and o.piece_id = p.id) x
    join live_entry le on le.id = x.entry_id order by x.entry_id desc limit 1) back on true`;
/** Pieces of some items that are still here: neither scrapped nor lost. */
export const manyPiecesHere = (c: Connection, itemIds: readonly number[]) =>
  many<PieceRow>(
    c,
    // Which they are first: in the order of their marks all pieces that ever were would be walked through.
    `${PIECE} where p.id = any (array(select h.piece_id from piece_place h where h.item_id = any ($1) and not h.gone))
     order by p.mark`,
    [itemIds],
  );
/** Marked cutters whose life ended, that lie in the crib and are not graded. */
export const manyToGrade = (c: Connection) =>
  many<{ mark: string; item: string; kind: ItemKind; place: string }>(
    c,
    `select p.mark, i.code as item, i.kind, pl.code as place
     from piece_place pp join piece p on p.id = pp.piece_id join item i on i.id = p.item_id join place pl on pl.id = pp.place_id
     where pp.to_grade order by p.mark`,
  );
export const maybePiece = (c: Connection, mark: string) =>
  maybeOne<PieceRow>(c, `${PIECE} where p.mark = $1`, [mark]);
