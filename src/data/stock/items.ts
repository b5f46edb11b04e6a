import type { Family, HolderSegment, ItemKind, Origin } from '@/core/cutters';
import { many, maybeOne, one, type Connection } from '../database';

export interface ItemRow {
  id: number;
  code: string;
  kind: ItemKind;
  maker: string | null;
  family: Family | null;
  entryId: number;
}
/** Of each item that stands there is one kept line. */
const LIVE = 'select i.* from item i join item_now n on n.item_id = i.id';
/** Items by their codes. */
export const manyItemsByCode = (c: Connection, codes: readonly string[]) =>
  many<ItemRow>(c, `${LIVE} where i.code = any ($1)`, [codes]);
export const maybeItem = (c: Connection, code: string) =>
  maybeOne<ItemRow>(c, `${LIVE} where i.code = $1`, [code]);

export const oneItemById = (c: Connection, id: number) => one<ItemRow>(c, `${LIVE} where i.id = $1`, [id]);

export interface FactRow {
  entryId: number;
  itemId: number;
  symbol: string;
  text: string;
  unit: 'mm' | 'inch' | 'deg' | '' | 'words';
  /** mm where a length; null where the fact is words. */
  value: number | null;
  origin: Origin;
  happenedAt: Date;
  who: string;
}
/** The fact in force for each item and symbol, with who said it and when: the latest by happened_at, then id. */
export const manyFacts = (c: Connection, itemIds: readonly number[]) =>
  many<FactRow>(
    c,
    `select f.*, e.happened_at, e.who from fact_now f join entry e on e.id = f.entry_id
     where f.item_id = any ($1) order by f.item_id, f.symbol`,
    [itemIds],
  );

/** An item with its facts and outline in force, in one row: what every judgement begins with. */
export interface FullItemRow extends ItemRow {
  unused: number;
  facts: Pick<FactRow, 'symbol' | 'text' | 'unit' | 'value' | 'origin'>[];
  segments: HolderSegment[];
}
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

export interface NewFacts {
  itemId: number;
  symbol: string;
  text: string;
  unit: FactRow['unit'];
  value: number | null;
  origin: Origin;
}
/** All facts of an entry at once: what follows from them is brought up to date once a slice. */
export const insertFactRows = (c: Connection, entryId: number, facts: readonly NewFacts[]) =>
  sliced(facts, (s) =>
    c.query(
      `insert into fact (entry_id, item_id, symbol, text, unit, value, origin)
       select $1, * from unnest($2::int[], $3::text[], $4::text[], $5::text[], $6::float8[], $7::text[])`,
      [
        entryId,
        s.map((f) => f.itemId),
        s.map((f) => f.symbol),
        s.map((f) => f.text),
        s.map((f) => f.unit),
        s.map((f) => f.value),
        s.map((f) => f.origin),
      ],
    ),
  );

export interface LinkRow {
  entryId: number;
  itemId: number;
  item: string;
  earlierItemId: number;
  earlier: string;
  relation: 'version' | 'substitute';
  reason: string;
  happenedAt: Date;
}
/** Newer versions and substitutes of items, and what they follow. */
export const manyLinks = (c: Connection, itemIds: readonly number[]) =>
  many<LinkRow>(
    c,
    `select l.*, i.code as item, o.code as earlier, e.happened_at from item_link l join live_entry e on e.id = l.entry_id
     join item i on i.id = l.item_id join item o on o.id = l.earlier_item_id
     where l.item_id = any ($1) or l.earlier_item_id = any ($1) order by l.entry_id`,
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

export type Standing = 'approved' | 'trial' | 'discontinued' | 'rejected';
export interface StandingRow {
  itemId: number;
  standing: Standing;
  reason: string;
  happenedAt: Date;
}
/** How an item stands, the latest word. */
export const manyStandings = (c: Connection, itemIds: readonly number[]) =>
  many<StandingRow>(
    c,
    `select distinct on (s.item_id) s.item_id, s.standing, s.reason, e.happened_at from item_standing s join live_entry e on e.id = s.entry_id
     where s.item_id = any ($1) order by s.item_id, e.happened_at desc, e.id desc`,
    [itemIds],
  );

export interface AssumedLifeRow {
  itemId: number;
  materialId: number | null;
  minutes: number;
  origin: Origin;
}
export const manyAssumedLives = (c: Connection, itemIds: readonly number[]) =>
  many<AssumedLifeRow>(
    c,
    `select distinct on (a.item_id, a.material_id) a.item_id, a.material_id, a.minutes, a.origin from assumed_life a
     join live_entry e on e.id = a.entry_id where a.item_id = any ($1)
     order by a.item_id, a.material_id, e.happened_at desc, e.id desc`,
    [itemIds],
  );

export interface SupplyRow {
  entryId: number;
  itemId: number;
  supplierId: number;
  supplier: string;
  orderCode: string;
  priceCents: number | null;
  pack: number;
  minimum: number;
  leadTimeDays: number | null;
}
export const manySupplies = (c: Connection, itemIds: readonly number[]) =>
  many<SupplyRow>(
    c,
    `select distinct on (s.item_id) s.*, sup.code as supplier, t.lead_time_days from supply s
     join live_entry e on e.id = s.entry_id join supplier sup on sup.id = s.supplier_id
     left join lateral (select x.lead_time_days from supplier_terms x join live_entry xe on xe.id = x.entry_id
       where x.supplier_id = s.supplier_id order by xe.happened_at desc, xe.id desc limit 1) t on true
     where s.item_id = any ($1) order by s.item_id, e.happened_at desc, e.id desc`,
    [itemIds],
  );

/** Shanks count as equal when they differ by less, mm. */
const SAME_SHANK = 1e-6;
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
  return { fit: rows.filter((r) => r.fits), next: rows.length < lookedAt ? null : rows.at(-1)!.itemId };
}
/** What comes nearest to taking a shank from below and from above. */
export const manyNearestHolders = (c: Connection, shank: number) =>
  many<{ code: string; min: number; max: number }>(
    c,
    `(select i.code, o.value as min, f.value as max from fact_now f
      join fact_now o on o.item_id = f.item_id and o.symbol = 'CLAMP_MIN' join item i on i.id = f.item_id
      where f.symbol = 'CLAMP_MAX' and f.value < $1 order by f.value desc limit 1)
     union all
     (select i.code, f.value as min, o.value as max from fact_now f
      join fact_now o on o.item_id = f.item_id and o.symbol = 'CLAMP_MAX' join item i on i.id = f.item_id
      where f.symbol = 'CLAMP_MIN' and f.value > $1 order by f.value limit 1)`,
    [shank],
  );

const SLICE = 20_000;
/** Inserts many rows in slices, so that no one statement carries everything. */
async function sliced<R>(
  rows: readonly R[],
  write: (slice: readonly R[]) => Promise<unknown>,
): Promise<void> {
  for (let at = 0; at < rows.length; at += SLICE) await write(rows.slice(at, at + SLICE));
}

/** Many items of one entry at once. */
export const insertItemRows = (
  c: Connection,
  entryId: number,
  items: readonly { code: string; kind: ItemKind; family: Family | null; maker: string | null }[],
) =>
  sliced(items, (s) =>
    c.query(
      'insert into item (entry_id, code, kind, maker, family) select $1, * from unnest($2::text[], $3::text[], $4::text[], $5::text[])',
      [entryId, s.map((i) => i.code), s.map((i) => i.kind), s.map((i) => i.maker), s.map((i) => i.family)],
    ),
  );

/** Outlines of many holders at once. */
export const insertSegmentRows = (
  c: Connection,
  entryId: number,
  rows: readonly ({ itemId: number; ordinal: number } & HolderSegment)[],
) =>
  sliced(rows, (s) =>
    c.query(
      `insert into holder_segment (entry_id, item_id, ordinal, length_mm, upper_mm, lower_mm)
       select $1, * from unnest($2::int[], $3::int[], $4::float8[], $5::float8[], $6::float8[])`,
      [
        entryId,
        s.map((r) => r.itemId),
        s.map((r) => r.ordinal),
        s.map((r) => r.length),
        s.map((r) => r.upper),
        s.map((r) => r.lower),
      ],
    ),
  );

/** Suppliers' numbers of many items at once. */
export const insertSupplyRows = (
  c: Connection,
  entryId: number,
  rows: readonly {
    itemId: number;
    supplierId: number;
    orderCode: string;
    priceCents: number | null;
    pack: number;
    minimum: number;
  }[],
) =>
  sliced(rows, (s) =>
    c.query(
      `insert into supply (entry_id, item_id, supplier_id, order_code, price_cents, pack, minimum)
       select $1, * from unnest($2::int[], $3::int[], $4::text[], $5::int[], $6::int[], $7::int[])`,
      [
        entryId,
        s.map((r) => r.itemId),
        s.map((r) => r.supplierId),
        s.map((r) => r.orderCode),
        s.map((r) => r.priceCents),
        s.map((r) => r.pack),
        s.map((r) => r.minimum),
      ],
    ),
  );

/** Of a family, cutters nearest to a diameter: so many from below and from above, mm. */
export interface NearQuestion {
  family: Family;
  near: number;
  below: number;
  above: number;
  /** Depth it must reach, mm; null: any will do. */
  depth: number | null;
}
/** Diameters nearest to the size among which the reach is looked at. */
const LOOKED_AT = 200;
/** Beyond any diameter. */
const NO_BOUND = 1e8;
/**
 * Cutters and bodies nearest to some diameters, those on the shelf first and half as many that would be bought; those
 * that may reach the depth before the nearest that don't; and every cutter of the families that lies used or stands here.
 */
export const manyNearItems = async (c: Connection, windows: readonly NearQuestion[]): Promise<number[]> => {
  const side = (down: boolean, stock: '>' | '=', share: number, misses: number) => {
    const dc = 'coalesce(n.dc, 1e9)';
    const nearest = `(select n.item_id from item_now n where n.family = w.family and ${dc} ${down ? '<=' : '>'} w.near and n.unused ${stock} 0
      order by ${dc} ${down ? 'desc' : 'asc'}, n.item_id limit`;
    const wanted = `ceil(w.${down ? 'below' : 'above'} * ${share})::int`;
    return `(select y.item_id from ${nearest} ${LOOKED_AT}) y where w.depth is null
        or not exists (select 1 from fact_now f where f.item_id = y.item_id and f.symbol = 'LCF')
        or exists (select 1 from fact_now f where f.item_id = y.item_id and f.symbol in ('LCF', 'LU', 'CW') and f.value >= w.depth)
      limit ${wanted}) union ${nearest} ${misses})`;
  };
  return (
    await many<{ itemId: number }>(
      c,
      `select x.item_id from unnest($1::text[], $2::float8[], $3::int[], $4::int[], $5::float8[]) w(family, near, below, above, depth)
       cross join lateral (${side(true, '>', 1, 4)} union ${side(true, '=', 0.5, 2)} union ${side(false, '>', 1, 4)} union ${side(false, '=', 0.5, 2)}) x
       union select n.item_id from item_now n join piece_place pp on pp.item_id = n.item_id and not pp.gone
       where n.family = any ($1) order by 1`,
      [
        windows.map((w) => w.family),
        windows.map((w) => Math.min(w.near + 1e-6, NO_BOUND)),
        windows.map((w) => w.below),
        windows.map((w) => w.above),
        windows.map((w) => w.depth),
      ],
    )
  ).map((r) => r.itemId);
};

/** How many cutters and bodies there are of some families, counted to one beyond a number. */
export const countOfFamilies = async (
  c: Connection,
  families: readonly string[],
  upTo: number,
): Promise<number> =>
  (
    await one<{ n: number }>(
      c,
      `select count(*)::int as n from (
         (select 1 from item_now where family = any ($1) and unused > 0 limit $2)
         union all (select 1 from item_now where family = any ($1) and unused = 0 limit $2)) x`,
      [families, upTo + 1],
    )
  ).n;
