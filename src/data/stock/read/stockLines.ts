import { itemConditions } from '@/data/catalogue';
import {
  type Connection,
  many,
  maybeOne,
  type PagedQuestion,
  pageOf,
  pageSql,
  type Param,
} from '@/data/database';
import type { MarkRow, Parcel, StockQuestion, StockRow, StockSort } from '../types';

const SORTS: Record<StockSort, readonly string[]> = {
  item: ['n.sort_code', 'b.id'],
  place: ['p.sort_code', 'n.sort_code', 'b.id'],
  quantity: ['b.quantity', 'b.id'],
};
/** A question to the stock as it is paged: over balance b, item_now n and place p. */
export function stockPaged(q: StockQuestion): PagedQuestion {
  return {
    ...stockWhere(q),
    narrow: q.words.length > 0 || q.ranges.length > 0 || q.placeIds !== null,
    kept: 'b.id, b.item_id, b.place_id, b.lot_id, b.quantity, b.marked, p.code as place, p.name as place_name, p.kind as place_kind',
    columns: SORTS[q.sort],
    descending: q.descending,
    start: q.from && { id: q.from.lineId, backwards: q.from.backwards },
    select: `x.id, x.item_id, i.code as item, i.kind, i.family, i.maker, x.place_id, x.place, x.place_name, x.place_kind,
      x.lot_id, l.code as lot, s.code as owner, l.edges_left, x.quantity, x.marked as pieces`,
    outer:
      'join item i on i.id = x.item_id left join lot l on l.id = x.lot_id left join supplier s on s.id = l.owner_supplier_id',
  };
}

/** Tables and conditions of a question; for counting those tables alone that the conditions name. */
function stockWhere(q: StockQuestion): Pick<PagedQuestion, 'from' | 'counting' | 'where' | 'params'> {
  const params: Param[] = [];
  const p = (value: Param) => `$${params.push(value)}`;
  const ofItem = itemConditions(q, p);
  const conditions = ['b.quantity > 0', ...ofItem];
  if (q.placeIds) conditions.push(`b.place_id = any (${p(q.placeIds)}::int[])`);
  else conditions.push(`p.kind = any (${p(q.kinds)}::text[])`);
  const lot = (condition: string) =>
    `exists (select 1 from lot o where o.id = b.lot_id and o.owner_supplier_id ${condition})`;
  // A marked piece was used: it is ours, whoever's it was.
  if (q.owner && 'ours' in q.owner) conditions.push(`(b.marked > 0 or not ${lot('is not null')})`);
  else if (q.owner)
    conditions.push(
      `b.quantity > b.marked and ${lot(q.owner.supplierId === null ? 'is not null' : `= ${p(q.owner.supplierId)}`)}`,
    );
  const items = ' join item_now n on n.item_id = b.item_id';
  const places = ' join place p on p.id = b.place_id';
  return {
    from: `balance b${items}${places}`,
    counting: { from: `balance b${ofItem.length > 0 ? items : ''}${q.placeIds ? '' : places}` },
    where: conditions.join(' and '),
    params,
  };
}

/** One page in its own order, and how many lines answer, counted to one beyond COUNTED_TO. */
export const stockRows = (c: Connection, q: StockQuestion, limit: number) =>
  pageOf<StockRow>(c, stockPaged(q), limit);

/** All lines that answer, in the question's order. */
export const allStockRows = (c: Connection, q: StockQuestion): Promise<StockRow[]> => {
  const { sql, params } = pageSql(stockPaged({ ...q, from: null }), null);
  return many<StockRow>(c, sql, params);
};

/** A line by its number, whatever lies there now. */
export const maybeStockLine = (c: Connection, id: number) =>
  maybeOne<{ id: number }>(c, 'select id from balance where id = $1', [id]);

/** Of a marked piece: the latest grade that no later edge set and no later ending has overtaken; most have none at all. */
const GRADE_NOW = `left join lateral (select gr.grade from grade gr join live_entry ge on ge.id = gr.entry_id
    where gr.piece_id = p.id
    and not exists (select 1 from life_now l join edge_set s on s.id = l.edge_set_id
                    where l.piece_id = p.id and (s.entry_id > ge.id or l.ended_id > ge.id))
    order by ge.id desc limit 1) g on true`;
/** The first so many marked pieces of each of some parcels, with the grade that counts. */
export const manyMarksOf = (c: Connection, parcels: readonly Parcel[], each: number) =>
  many<MarkRow>(
    c,
    `select p.mark, p.item_id, p.lot_id, x.place_id, g.grade
     from unnest($1::int[], $2::int[], $3::int[]) x(item_id, place_id, lot_id)
     cross join lateral (select y.id, y.mark, y.item_id, y.lot_id from piece_place pp join piece y on y.id = pp.piece_id
                         where pp.place_id = x.place_id and pp.item_id = x.item_id and y.lot_id is not distinct from x.lot_id
                         order by pp.piece_id limit $4) p
     ${GRADE_NOW} order by p.mark`,
    [parcels.map((p) => p.itemId), parcels.map((p) => p.placeId), parcels.map((p) => p.lotId), each],
  );

/** All marked pieces of some items at some places: for a list that goes out. */
export const manyMarks = (c: Connection, itemIds: readonly number[], placeIds: readonly number[]) =>
  many<MarkRow>(
    c,
    `select p.mark, p.item_id, p.lot_id, pp.place_id, g.grade from piece_place pp join piece p on p.id = pp.piece_id
     ${GRADE_NOW} where pp.item_id = any ($1) and pp.place_id = any ($2) order by p.mark`,
    [itemIds, placeIds],
  );
