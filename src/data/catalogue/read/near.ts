import { type Connection, many, one } from '@/data/database';
import type { NearQuestion } from '../types';

/** Shanks count as equal when they differ by less, mm. */
export const SAME_SHANK = 1e-6;
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
/** Beyond any diameter. */
const NO_BOUND = 1e8;
/**
 * Cutters and bodies nearest to some diameters, those on the shelf first and half as many that would be bought; those
 * that may reach the depth before the nearest that don't; and every cutter of the families that lies used or stands here.
 */
export const manyNearItems = async (c: Connection, windows: readonly NearQuestion[]): Promise<number[]> => {
  const side = (down: boolean, stock: '>' | '=', share: number, misses: number) => {
    const dc = 'coalesce(n.dc, 1e9)';
    const nearest = (also: string) =>
      `(select n.item_id from item_now n where n.family = w.family and ${dc} ${down ? '<=' : '>'} w.near and n.unused ${stock} 0
        and ${also} order by ${dc} ${down ? 'desc' : 'asc'}, n.item_id limit`;
    const wanted = `ceil(w.${down ? 'below' : 'above'} * ${share})::int`;
    // Reach that is not known may be enough: it is judged, not left out.
    const reaches = '(w.depth is null or coalesce(n.reach, w.depth) >= w.depth)';
    return `(${nearest(reaches)} ${wanted}) union ${nearest('true')} ${misses}))`;
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
/** Spares whose FITS has a code in it, with what lies of each, where. */
export const manySparesFor = (c: Connection, code: string) =>
  many<{ code: string; fits: string; place: string; placeKind: string; quantity: number }>(
    c,
    `select i.code, f.text as fits, p.code as place, p.kind as place_kind, b.quantity from fact_now f join item i on i.id = f.item_id
     join balance b on b.item_id = f.item_id and b.quantity > 0 and b.lot_id is null join place p on p.id = b.place_id
     where f.symbol = 'FITS' and i.kind = 'spare' and position(lower($1) in lower(f.text)) > 0
     order by i.code, p.code limit 50`,
    [code],
  );
