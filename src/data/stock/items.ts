import type { Family, HolderSegment, Origin, Substrate } from '@/core/cutters';
import { many, maybeOne, type Connection } from '../database';

export interface ItemRow {
  id: number;
  code: string;
  kind: 'cutter' | 'holder';
  maker: string | null;
  family: Family | null;
  substrate: Substrate | null;
  centre_cutting: boolean | null;
  taper: string | null;
  entry_id: number;
}
const LIVE = 'select i.* from item i join live_entry e on e.id = i.entry_id';
export const manyItems = (c: Connection) => many<ItemRow>(c, `${LIVE} order by i.kind, i.code`);
export const maybeItem = (c: Connection, code: string) =>
  maybeOne<ItemRow>(c, `${LIVE} where i.code = $1`, [code]);

export interface FactRow {
  entry_id: number;
  item_id: number;
  symbol: string;
  text: string;
  unit: 'mm' | 'inch' | 'deg' | '';
  value: number;
  origin: Origin;
  happened_at: Date;
  who: string;
}
/** The fact in force for each item and symbol: the latest by happened_at, then id. null: all items. */
export const manyFacts = (c: Connection, itemIds: readonly number[] | null) =>
  many<FactRow>(
    c,
    `select distinct on (f.item_id, f.symbol) f.*, e.happened_at, e.who from fact f join live_entry e on e.id = f.entry_id
     where $1::int[] is null or f.item_id = any ($1) order by f.item_id, f.symbol, e.happened_at desc, e.id desc`,
    [itemIds],
  );

export type SegmentRow = { item_id: number } & HolderSegment;
/** The outline in force for each holder: the segments of its latest entry. */
export const manySegments = (c: Connection, itemIds: readonly number[] | null) =>
  many<SegmentRow>(
    c,
    `select s.item_id, s.length_mm as length, s.upper_mm as upper, s.lower_mm as lower from holder_segment s
     where ($1::int[] is null or s.item_id = any ($1)) and s.entry_id = (
       select x.entry_id from holder_segment x join live_entry e on e.id = x.entry_id where x.item_id = s.item_id
       order by e.happened_at desc, e.id desc limit 1)
     order by s.item_id, s.ordinal`,
    [itemIds],
  );

export interface AssumedLifeRow {
  item_id: number;
  material_id: number | null;
  minutes: number;
  origin: Origin;
}
export const manyAssumedLives = (c: Connection) =>
  many<AssumedLifeRow>(
    c,
    `select distinct on (a.item_id, a.material_id) a.item_id, a.material_id, a.minutes, a.origin from assumed_life a
     join live_entry e on e.id = a.entry_id order by a.item_id, a.material_id, e.happened_at desc, e.id desc`,
  );

export interface SupplyRow {
  entry_id: number;
  item_id: number;
  supplier_id: number;
  supplier: string;
  order_code: string;
  price_cents: number | null;
  pack: number;
  minimum: number;
  lead_time_days: number | null;
}
export const manySupplies = (c: Connection) =>
  many<SupplyRow>(
    c,
    `select distinct on (s.item_id) s.*, sup.code as supplier, t.lead_time_days from supply s
     join live_entry e on e.id = s.entry_id join supplier sup on sup.id = s.supplier_id
     left join lateral (select x.lead_time_days from supplier_terms x join live_entry xe on xe.id = x.entry_id
       where x.supplier_id = s.supplier_id order by xe.happened_at desc, xe.id desc limit 1) t on true
     order by s.item_id, e.happened_at desc, e.id desc`,
  );
