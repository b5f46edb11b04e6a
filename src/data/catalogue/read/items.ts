import { last } from '@/core/sure';
import { type Connection, many, maybeOne, one } from '@/data/database';
import type {
  AssumedLifeRow,
  CutterKindRow,
  FactRow,
  FullItemRow,
  ItemRow,
  LinkRow,
  StandingRow,
  SupplyRow,
} from '../types';
import { SAME_SHANK } from './near';

/** Of each item that stands there is one kept line. */
const LIVE = 'select i.* from item i join item_now n on n.item_id = i.id';
/** Items whose codes are these, or differ from them by case alone. */
export const manyItemsInAnyCase = (c: Connection, codes: readonly string[]) =>
  many<ItemRow>(c, `${LIVE} where upper(i.code) = any ($1)`, [codes.map((code) => code.toUpperCase())]);
export const maybeItem = (c: Connection, code: string) =>
  maybeOne<ItemRow>(c, `${LIVE} where i.code = $1`, [code]);

export const oneItemById = (c: Connection, id: number) => one<ItemRow>(c, `${LIVE} where i.id = $1`, [id]);
/** The fact in force for each item and symbol, with who said it and when: the latest by happened_at, then id. */
export const manyFacts = (c: Connection, itemIds: readonly number[]) =>
  many<FactRow>(
    c,
    `select f.*, e.happened_at, e.who from fact_now f join entry e on e.id = f.entry_id
     where f.item_id = any ($1) order by f.item_id, f.symbol`,
    [itemIds],
  );
export const manyFullItems = (c: Connection, ids: readonly number[]) =>
  many<FullItemRow>(
    c,
    `select i.id, i.code, i.kind, i.maker, i.family, i.entry_id, n.unused,
       coalesce((select json_agg(json_build_object('symbol', f.symbol, 'text', f.text, 'unit', f.unit, 'value', f.value, 'origin', f.origin)
                                 order by f.symbol) from fact_now f where f.item_id = i.id), '[]') as facts,
       coalesce((select json_agg(json_build_object('length', s.length_mm, 'upper', s.upper_mm, 'lower', s.lower_mm) order by s.ordinal)
                 from holder_segment s where s.item_id = i.id and s.entry_id = (
                   select x.entry_id from holder_segment x join live_entry e on e.id = x.entry_id where x.item_id = i.id
                   order by e.happened_at desc, e.id desc limit 1)), '[]') as segments
     from item_now n join item i on i.id = n.item_id where n.item_id = any ($1) order by i.kind, i.code`,
    [ids],
  );
/** Newer versions and substitutes of items, and what they follow. */
export const manyLinks = (c: Connection, itemIds: readonly number[]) =>
  many<LinkRow>(
    c,
    `select l.*, i.code as item, o.code as earlier, e.happened_at from item_link l join live_entry e on e.id = l.entry_id
     join item i on i.id = l.item_id join item o on o.id = l.earlier_item_id
     where l.item_id = any ($1) or l.earlier_item_id = any ($1) order by l.entry_id`,
    [itemIds],
  );

/** What some cutters are, as far as it tells of the lives of others. */
export const manyCutterKinds = (c: Connection, itemIds: readonly number[]) =>
  many<CutterKindRow>(
    c,
    `select n.item_id, i.code, n.family, f.text as substrate, n.dc from item_now n join item i on i.id = n.item_id
     left join fact_now f on f.item_id = n.item_id and f.symbol = 'SUBSTRATE' where n.item_id = any ($1)`,
    [itemIds],
  );

/** The item and every version before it, to any depth. */
export const versionsBefore = async (c: Connection, itemId: number): Promise<number[]> =>
  (
    await many<{ id: number }>(
      c,
      `with recursive before as (
         select $1::int as id
         union select l.earlier_item_id from before b join item_link l on l.item_id = b.id and l.relation = 'version' join live_entry e on e.id = l.entry_id
       ) select id from before`,
      [itemId],
    )
  ).map((r) => r.id);
/** How an item stands, the latest word. */
export const manyStandings = (c: Connection, itemIds: readonly number[]) =>
  many<StandingRow>(
    c,
    `select distinct on (s.item_id) s.item_id, s.standing, s.reason, e.happened_at from item_standing s join live_entry e on e.id = s.entry_id
     where s.item_id = any ($1) order by s.item_id, e.happened_at desc, e.id desc`,
    [itemIds],
  );
const ASSUMED = (
  which: 'asc' | 'desc',
) => `select distinct on (a.item_id, a.material_id) a.item_id, a.material_id, a.minutes, a.origin from assumed_life a
  join live_entry e on e.id = a.entry_id where a.item_id = any ($1)
  order by a.item_id, a.material_id, e.happened_at ${which}, e.id ${which}`;
/** What is assumed of cutters, the latest word for each material and for any. */
export const manyAssumedLives = (c: Connection, itemIds: readonly number[]) =>
  many<AssumedLifeRow>(c, ASSUMED('desc'), [itemIds]);
/** What was assumed of them at first, before their lives could show it. */
export const manyFirstAssumedLives = (c: Connection, itemIds: readonly number[]) =>
  many<AssumedLifeRow>(c, ASSUMED('asc'), [itemIds]);
export const manySupplies = (c: Connection, itemIds: readonly number[]) =>
  many<SupplyRow>(
    c,
    `select distinct on (s.item_id) s.*, sup.code as supplier, sup.in_use as supplier_in_use, t.lead_time_days from supply s
     join live_entry e on e.id = s.entry_id join supplier_named sup on sup.id = s.supplier_id
     left join lateral (select x.lead_time_days from supplier_terms x join live_entry xe on xe.id = x.entry_id
       where x.supplier_id = s.supplier_id order by xe.happened_at desc, xe.id desc limit 1) t on true
     where s.item_id = any ($1) order by s.item_id, e.happened_at desc, e.id desc`,
    [itemIds],
  );
/**
 * Which of the next so many holders, collets and extensions after one take a shank of so many mm, with the forms they
 * say they take; and where to go on, null at the end. So many are looked at, however many there are.
 */
export async function manyHoldersOf(
  c: Connection,
  shank: number,
  after: number,
  lookedAt: number,
): Promise<{ fit: { code: string; shanks: string | null }[]; next: number | null }> {
  const rows = await many<{ itemId: number; code: string; shanks: string | null; fits: boolean | null }>(
    c,
    `select n.item_id, i.code, sh.text as shanks, lo.value <= $1 + ${SAME_SHANK} and hi.value >= $1 - ${SAME_SHANK} as fits
     from (select x.item_id from item_now x where x.kind in ('holder', 'collet', 'extension') and x.item_id > $2
           order by x.item_id limit $3) n
     join item i on i.id = n.item_id
     left join fact_now lo on lo.item_id = n.item_id and lo.symbol = 'CLAMP_MIN'
     left join fact_now hi on hi.item_id = n.item_id and hi.symbol = 'CLAMP_MAX'
     left join fact_now sh on sh.item_id = n.item_id and sh.symbol = 'SHANKS' order by n.item_id`,
    [shank, after, lookedAt],
  );
  return { fit: rows.filter((r) => r.fits), next: rows.length < lookedAt ? null : last(rows).itemId };
}
