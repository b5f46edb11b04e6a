import type { Family, ItemKind } from '@/core/cutters';
import type { PlaceKind } from '@/core/stock';
import { many, maybeOne, one, type Connection, type Param } from '../database';
import { COUNTED_TO, itemConditions, type ItemQuestion } from './catalogue';
import type { PieceRow } from './balances';

export type StockSort = 'item' | 'place' | 'quantity';

/** What is asked of everything that lies somewhere. */
export interface StockQuestion extends ItemQuestion {
  /** Where it lies; null: at any place of these kinds. */
  placeIds: readonly number[] | null;
  kinds: readonly PlaceKind[];
  /** Whose it is; null: anybody's. */
  owner: { ours: true } | { supplierId: number | null } | null;
  sort: StockSort;
  descending: boolean;
  /** The line after which (or before which) the page begins; null: from the start. */
  from: { lineId: number; backwards: boolean } | null;
  limit: number;
}

/** So many of an item, of one lot, at one place. */
export interface StockRow {
  id: number;
  item_id: number;
  item: string;
  kind: ItemKind;
  family: Family | null;
  maker: string | null;
  place_id: number;
  place: string;
  place_name: string;
  place_kind: PlaceKind;
  lot_id: number | null;
  lot: string | null;
  owner: string | null;
  edges_left: number | null;
  quantity: number;
  /** Of them, marked pieces. */
  pieces: number;
}

const SORTS: Record<StockSort, readonly string[]> = {
  item: ['n.sort_code', 'b.id'],
  place: ['natural_key(p.code)', 'n.sort_code', 'b.id'],
  quantity: ['b.quantity', 'b.id'],
};
const LINES = 'balance b join item_now n on n.item_id = b.item_id join place p on p.id = b.place_id';

/** The conditions of a question as SQL over balance b, item_now n and place p, with their parameters. */
export function stockWhere(q: StockQuestion): { sql: string; params: Param[] } {
  const params: Param[] = [];
  const p = (value: Param) => `$${params.push(value)}`;
  const conditions = ['b.quantity > 0', ...itemConditions(q, p)];
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
  return { sql: conditions.join(' and '), params };
}

/** The SQL of one page; without a limit, of all of it. */
export function stockPage(
  q: StockQuestion,
  limit: number | null = q.limit,
): { sql: string; params: Param[] } {
  const { sql, params } = stockWhere(q);
  const p = (value: Param) => `$${params.push(value)}`;
  const columns = SORTS[q.sort];
  const down = q.descending !== (q.from?.backwards ?? false);
  const start = q.from
    ? ` and (${columns.join(', ')}) ${down ? '<' : '>'} (select ${columns.join(', ')} from ${LINES} where b.id = ${p(q.from.lineId)})`
    : '';
  const order = (names: readonly string[]) => names.map((c) => `${c} ${down ? 'desc' : 'asc'}`).join(', ');
  const keys = columns.map((c, i) => `${c} as key_${i}`).join(', ');
  return {
    // The page is cut before lots, suppliers and names are joined to it.
    sql: `select b.id, b.item_id, i.code as item, i.kind, i.family, i.maker, b.place_id, b.place, b.place_name, b.place_kind,
        b.lot_id, l.code as lot, s.code as owner, l.edges_left, b.quantity, b.marked as pieces
      from (select b.id, b.item_id, b.place_id, b.lot_id, b.quantity, b.marked, p.code as place, p.name as place_name, p.kind as place_kind, ${keys}
            from ${LINES} where ${sql}${start} order by ${order(columns)}${limit === null ? '' : ` limit ${p(limit)}`}) b
      join item i on i.id = b.item_id left join lot l on l.id = b.lot_id left join supplier s on s.id = l.owner_supplier_id
      order by ${order(columns.map((_, i) => `b.key_${i}`))}`,
    params,
  };
}

/** One page in its own order (one asked for backwards comes turned round again), or with `null` all of it. */
export async function manyStockRows(
  c: Connection,
  q: StockQuestion,
  limit: number | null = q.limit,
): Promise<StockRow[]> {
  const { sql, params } = stockPage(q, limit);
  const rows = await many<StockRow>(c, sql, params);
  return q.from?.backwards ? rows.reverse() : rows;
}

/** How many lines answer a question, counted to one beyond COUNTED_TO. */
export async function countStock(c: Connection, q: StockQuestion): Promise<number> {
  const { sql, params } = stockWhere(q);
  return (
    await one<{ n: number }>(
      c,
      `select count(*)::int as n from (select 1 from ${LINES} where ${sql} limit ${COUNTED_TO + 1}) x`,
      params,
    )
  ).n;
}

/** A line by its number, whatever lies there now. */
export const maybeStockLine = (c: Connection, id: number) =>
  maybeOne<{ id: number }>(c, 'select id from balance where id = $1', [id]);

/** Marked pieces among some items at some places, with the grade that counts: what a page of stock names. */
export const manyMarks = (c: Connection, itemIds: readonly number[], placeIds: readonly number[]) =>
  many<Pick<PieceRow, 'mark' | 'item_id' | 'lot_id' | 'grade'> & { place_id: number }>(
    c,
    `select p.mark, p.item_id, p.lot_id, pp.place_id, g.grade
     from piece p join piece_place pp on pp.piece_id = p.id
     left join lateral (select es.id, es.entry_id from edge_set es join live_entry se on se.id = es.entry_id
                        where es.piece_id = p.id order by es.id desc limit 1) es on true
     left join lateral (select gr.grade from grade gr join live_entry ge on ge.id = gr.entry_id
                        where gr.piece_id = p.id and ge.id >= es.entry_id
                        and ge.id > coalesce((select max(t.entry_id) from ending t join live_entry te on te.id = t.entry_id where t.edge_set_id = es.id), 0)
                        order by ge.id desc limit 1) g on true
     where p.item_id = any ($1) and pp.place_id = any ($2) order by p.mark`,
    [itemIds, placeIds],
  );
