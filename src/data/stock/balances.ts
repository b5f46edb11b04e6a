import { insert, many, maybeOne, type Connection } from '../database';
import type { PlaceKind } from './places';

export interface BalanceRow {
  item_id: number;
  place_id: number;
  place: string;
  place_kind: PlaceKind;
  quantity: number;
  /** Of them, marked pieces: used cutters that lie here. */
  pieces: number;
}
const BALANCE = `select b.item_id, b.place_id, p.code as place, p.kind as place_kind, b.quantity,
    (select count(*)::int from piece_place pp join piece x on x.id = pp.piece_id where pp.place_id = b.place_id and x.item_id = b.item_id) as pieces
  from balance b join place p on p.id = b.place_id`;
export const manyBalances = (c: Connection) =>
  many<BalanceRow>(c, `${BALANCE} where b.quantity > 0 order by b.item_id, p.code`);
export const maybeBalance = (c: Connection, itemId: number, placeId: number) =>
  maybeOne<BalanceRow>(c, `${BALANCE} where b.item_id = $1 and b.place_id = $2 and b.quantity > 0`, [
    itemId,
    placeId,
  ]);

export interface NewMovement {
  entryId: number;
  itemId: number;
  pieceId?: number | null;
  from: number | null;
  to: number | null;
  quantity: number;
}
export const insertMovement = (c: Connection, m: NewMovement): Promise<number> =>
  insert(
    c,
    'movement',
    {
      entry_id: m.entryId,
      item_id: m.itemId,
      piece_id: m.pieceId ?? null,
      from_place_id: m.from,
      to_place_id: m.to,
      quantity: m.quantity,
    },
    'id',
  );

/** The latest live entry that took this item from this place after an entry: what prevents its counter-entry. */
export const maybeLaterTaking = (c: Connection, entryId: number) =>
  maybeOne<{ id: number; kind: string }>(
    c,
    `select e.id, e.kind from movement m join live_entry e on e.id = m.entry_id
     where m.entry_id > $1 and exists (select 1 from movement x where x.entry_id = $1 and x.item_id = m.item_id and x.to_place_id = m.from_place_id)
     order by e.id desc limit 1`,
    [entryId],
  );

export interface PieceRow {
  id: number;
  mark: string;
  item_id: number;
  entry_id: number;
  place_id: number | null;
  place: string | null;
  place_kind: PlaceKind | null;
  edge_set_id: number;
  edge_set_entry_id: number;
  fresh: boolean;
  ended_entry_id: number | null;
  ended_at: Date | null;
  grade: string | null;
  grade_entry_id: number | null;
}
/** Every piece that stands, where it lies, its present edge set and, where that has ended, the grade given since. */
const PIECE = `select p.id, p.mark, p.item_id, p.entry_id, pp.place_id, pl.code as place, pl.kind as place_kind,
    es.id as edge_set_id, es.entry_id as edge_set_entry_id, es.fresh, x.entry_id as ended_entry_id, x.happened_at as ended_at,
    g.grade, g.entry_id as grade_entry_id
  from piece p join live_entry e on e.id = p.entry_id
  left join piece_place pp on pp.piece_id = p.id left join place pl on pl.id = pp.place_id
  join lateral (select s.* from edge_set s join live_entry se on se.id = s.entry_id where s.piece_id = p.id order by s.id desc limit 1) es on true
  left join lateral (select t.entry_id, te.happened_at from ending t join live_entry te on te.id = t.entry_id where t.edge_set_id = es.id) x on true
  left join lateral (select gr.grade, gr.entry_id from grade gr join live_entry ge on ge.id = gr.entry_id
    where gr.piece_id = p.id and x.entry_id is not null and ge.id > x.entry_id order by ge.id desc limit 1) g on true`;
export const manyPieces = (c: Connection) => many<PieceRow>(c, `${PIECE} order by p.mark`);
export const maybePiece = (c: Connection, mark: string) =>
  maybeOne<PieceRow>(c, `${PIECE} where p.mark = $1`, [mark]);
