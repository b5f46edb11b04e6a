import type { Family, ItemKind, SymbolRange } from '@/core/cutters';
import { many, one, type Connection, type Param } from '../database';
import type { FactRow, Standing } from './items';

export type SortKey = 'code' | 'dc' | 'unused';

/** What of the catalogue is asked for. */
export interface CatalogueQuestion {
  words: readonly string[];
  ranges: readonly SymbolRange[];
  kind: ItemKind | null;
  /** Places in which something of the item must lie. */
  placeIds: readonly number[] | null;
  sort: SortKey;
  descending: boolean;
  /** The item after which (or before which) the page begins; null: from the start. */
  from: { itemId: number; backwards: boolean } | null;
  limit: number;
}

/** One line of the catalogue as the database has it ready. */
export interface CatalogueRow {
  item_id: number;
  code: string;
  kind: ItemKind;
  family: Family | null;
  maker: string | null;
  entry_id: number;
  unused: number;
  facts: {
    symbol: string;
    text: string;
    unit: FactRow['unit'];
    value: number | null;
    origin: string;
  }[];
  places: {
    place: string;
    kind: string;
    quantity: number;
    lot: string | null;
    owner: string | null;
    edges_left: number | null;
  }[];
  standing: Standing | null;
}

const KEYS: Record<SortKey, string> = {
  code: 'n.sort_code',
  dc: 'coalesce(n.dc, 1e9)',
  unused: 'n.unused',
};
/** Lengths that differ by less are the same size: a tenth of a micron covers 25.4's rounding. */
const SAME_MM = 1e-4;
const like = (word: string) => `%${word.replace(/[\\%_]/g, '\\$&')}%`;

/** The conditions of a question as SQL over item_now n, with their parameters. */
export function catalogueWhere(q: CatalogueQuestion): { sql: string; params: Param[] } {
  const params: Param[] = [];
  const p = (value: Param) => `$${params.push(value)}`;
  const conditions = ['true'];
  if (q.kind) conditions.push(`n.kind = ${p(q.kind)}`);
  for (const word of q.words) conditions.push(`n.search like ${p(like(word.toLowerCase()))}`);
  for (const r of q.ranges) {
    const low =
      r.min === -Infinity
        ? ''
        : ` and f.value ${r.minOpen ? '>' : '>='} ${p(r.min + (r.minOpen ? SAME_MM : -SAME_MM))}`;
    const high =
      r.max === Infinity
        ? ''
        : ` and f.value ${r.maxOpen ? '<' : '<='} ${p(r.max - (r.maxOpen ? SAME_MM : -SAME_MM))}`;
    conditions.push(
      `exists (select 1 from fact_now f where f.item_id = n.item_id and f.symbol = ${p(r.symbol)}${low}${high})`,
    );
  }
  if (q.placeIds)
    conditions.push(
      `n.item_id in (select b.item_id from balance b where b.quantity > 0 and b.place_id = any (${p(q.placeIds)}::int[]))`,
    );
  return { sql: conditions.join(' and '), params };
}

/** The SQL of one page: items by their kept lines, then facts and balances of those alone. */
export function cataloguePage(q: CatalogueQuestion): { sql: string; params: Param[] } {
  const { sql, params } = catalogueWhere(q);
  const p = (value: Param) => `$${params.push(value)}`;
  const key = KEYS[q.sort];
  const columns = q.sort === 'code' ? `${key}, n.item_id` : `${key}, n.sort_code, n.item_id`;
  const backwards = q.from?.backwards ?? false;
  const down = q.descending !== backwards;
  const start = q.from
    ? ` and (${columns}) ${down ? '<' : '>'} (select ${columns} from item_now n where n.item_id = ${p(q.from.itemId)})`
    : '';
  const order = columns
    .split(', ')
    .map((col) => `${col} ${down ? 'desc' : 'asc'}`)
    .join(', ');
  return {
    sql: `with page as materialized (
        select n.item_id, n.unused, row_number() over (order by ${order}) as place_in_page
        from item_now n where ${sql}${start} order by ${order} limit ${p(q.limit)})
      select i.id as item_id, i.code, i.kind, i.family, i.maker, i.entry_id, page.unused,
        (select coalesce(json_agg(json_build_object('symbol', f.symbol, 'text', f.text, 'unit', f.unit, 'value', f.value, 'origin', f.origin)), '[]')
         from fact_now f where f.item_id = i.id) as facts,
        (select coalesce(json_agg(json_build_object('place', pl.code, 'kind', pl.kind, 'quantity', b.quantity, 'lot', l.code, 'owner', s.code, 'edges_left', l.edges_left) order by pl.code), '[]')
         from balance b join place pl on pl.id = b.place_id left join lot l on l.id = b.lot_id left join supplier s on s.id = l.owner_supplier_id
         where b.item_id = i.id and b.quantity > 0 and pl.kind not in ('scrap', 'lost')) as places,
        (select x.standing from item_standing x join live_entry e on e.id = x.entry_id where x.item_id = i.id
         order by e.happened_at desc, e.id desc limit 1) as standing
      from page join item i on i.id = page.item_id order by page.place_in_page ${backwards ? 'desc' : 'asc'}`,
    params,
  };
}

export const manyCatalogueRows = (c: Connection, q: CatalogueQuestion) => {
  const { sql, params } = cataloguePage(q);
  return many<CatalogueRow>(c, sql, params);
};

/** Totals are counted so far; what lies beyond is 'more than'. */
export const COUNTED_TO = 1000;
/** How many items answer a question, counted to one beyond COUNTED_TO. */
export async function countCatalogue(c: Connection, q: CatalogueQuestion): Promise<number> {
  const { sql, params } = catalogueWhere(q);
  return (
    await one<{ n: number }>(
      c,
      `select count(*)::int as n from (select 1 from item_now n where ${sql} limit ${COUNTED_TO + 1}) x`,
      params,
    )
  ).n;
}

/** Places below a place, itself included, to any depth. */
export const placesBelow = async (c: Connection, placeId: number): Promise<number[]> =>
  (
    await many<{ id: number }>(
      c,
      `with recursive below as (select id from place where id = $1 union select p.id from place p join below b on p.parent_id = b.id)
       select id from below`,
      [placeId],
    )
  ).map((r) => r.id);

/** Numbers of all items that answer a question, in its order. */
export async function manyCatalogueIds(c: Connection, q: CatalogueQuestion): Promise<number[]> {
  const { sql, params } = catalogueWhere(q);
  const down = q.descending ? 'desc' : 'asc';
  return (
    await many<{ item_id: number }>(
      c,
      `select n.item_id from item_now n where ${sql} order by ${KEYS[q.sort]} ${down}, n.sort_code ${down}, n.item_id`,
      params,
    )
  ).map((r) => r.item_id);
}
