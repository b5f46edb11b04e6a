import type { ItemKind } from '@/core/cutters';
import { type Connection, many, type PagedQuestion, pageOf, pageSql, type Param } from '@/data/database';
import type { CatalogueQuestion, CatalogueRow, ItemFacts, ItemPlaces, ItemQuestion, SortKey } from '../types';

const KEYS: Record<SortKey, string> = {
  code: 'n.sort_code',
  dc: 'coalesce(n.dc, 1e9)',
  unused: 'n.unused',
};
/** Lengths that differ by less are the same size: a tenth of a micron covers 25.4's rounding. */
const SAME_MM = 1e-4;
const like = (word: string) => `%${word.replace(/[\\%_]/g, '\\$&')}%`;

/** The conditions of a question to items as SQL over item_now n; `p` keeps a parameter and names it. */
export function itemConditions(q: ItemQuestion, p: (value: Param) => string): string[] {
  const conditions: string[] = [];
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
  return conditions;
}

/** A question to the catalogue as it is paged: over item_now n alone. */
export function cataloguePaged(q: CatalogueQuestion): PagedQuestion {
  const params: Param[] = [];
  const p = (value: Param) => `$${params.push(value)}`;
  const conditions = ['true', ...itemConditions(q, p)];
  if (q.placeIds)
    conditions.push(
      `n.item_id in (select b.item_id from balance b where b.quantity > 0 and b.place_id = any (${p(q.placeIds)}::int[]))`,
    );
  const key = KEYS[q.sort];
  return {
    from: 'item_now n',
    where: conditions.join(' and '),
    params,
    narrow: q.words.length > 0 || q.ranges.length > 0 || q.placeIds !== null,
    kept: 'n.item_id, n.unused',
    columns: q.sort === 'code' ? [key, 'n.item_id'] : [key, 'n.sort_code', 'n.item_id'],
    descending: q.descending,
    start: q.from && { id: q.from.itemId, backwards: q.from.backwards },
    select: 'x.item_id, i.code, i.kind, i.family, i.maker, x.unused',
    outer: 'join item i on i.id = x.item_id',
  };
}

/** One page in its own order, and how many items answer, counted to one beyond COUNTED_TO. */
export const catalogueRows = (c: Connection, q: CatalogueQuestion) =>
  pageOf<CatalogueRow>(c, cataloguePaged(q), q.limit);
/** Facts in force of a page's items, one row an item: a list has no room for who said them and when. */
export const manyItemFacts = (c: Connection, itemIds: readonly number[]) =>
  many<ItemFacts>(
    c,
    `select f.item_id, json_agg(json_build_object('symbol', f.symbol, 'text', f.text, 'unit', f.unit, 'value', f.value, 'origin', f.origin)) as facts
     from fact_now f where f.item_id = any ($1) group by f.item_id`,
    [itemIds],
  );
/** What lies where of a page's items, one row an item; `theirs`: of them a supplier's until used. */
export const manyItemPlaces = (c: Connection, itemIds: readonly number[]) =>
  many<ItemPlaces>(
    c,
    `select b.item_id, json_agg(json_build_object('place', p.code, 'kind', p.kind, 'quantity', b.quantity, 'theirs', case when l.owner_supplier_id is null then 0 else b.quantity - b.marked end) order by p.code) as places
     from balance b join place p on p.id = b.place_id left join lot l on l.id = b.lot_id
     where b.quantity > 0 and b.item_id = any ($1) group by b.item_id`,
    [itemIds],
  );

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

/** Items of some kinds that answer a question and of which something lies in the crib, unused or marked, by code. */
export const manyTakeableIds = async (
  c: Connection,
  q: ItemQuestion,
  kinds: readonly ItemKind[],
  limit: number,
): Promise<number[]> => {
  const params: Param[] = [];
  const p = (value: Param) => `$${params.push(value)}`;
  const conditions = [`n.kind = any (${p(kinds)}::text[])`, ...itemConditions(q, p)];
  return (
    await many<{ itemId: number }>(
      c,
      `select n.item_id from item_now n where ${conditions.join(' and ')}
       and (n.unused > 0 or exists (select 1 from piece x join piece_place pp on pp.piece_id = x.id join place q on q.id = pp.place_id
                                    where x.item_id = n.item_id and in_crib(q.kind)))
       order by n.sort_code, n.item_id limit ${p(limit)}`,
      params,
    )
  ).map((r) => r.itemId);
};

/** Numbers of all items that answer a question, in its order. */
export async function manyCatalogueIds(c: Connection, q: CatalogueQuestion): Promise<number[]> {
  const { sql, params } = pageSql(
    { ...cataloguePaged({ ...q, from: null }), select: 'x.item_id', outer: '' },
    null,
  );
  return (await many<{ itemId: number }>(c, sql, params)).map((r) => r.itemId);
}
