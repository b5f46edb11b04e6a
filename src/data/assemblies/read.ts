import { type Connection, many, maybeOne } from '@/data/database';
import type { AssemblyRow, MeasuredRow, MeasurementRow, PartRow } from './types';

const ASSEMBLY = `select a.*, p.mark, p.item_id as cutter_item_id, p.lot_id as cutter_lot_id, es.fresh, hp.code as holder_place, e.happened_at as built_at, e.who,
    d.entry_id as taken_down_entry_id, d.happened_at as taken_down_at
  from assembly a join live_entry e on e.id = a.entry_id join piece p on p.id = a.piece_id join edge_set es on es.id = a.edge_set_id
  join place hp on hp.id = a.holder_place_id
  left join lateral (select t.entry_id, te.happened_at from take_down t join live_entry te on te.id = t.entry_id where t.assembly_id = a.id) d on true`;
/** Joins what stands now, so that what was taken down is never looked at. */
const STANDING = ASSEMBLY.replace(
  'from assembly a',
  'from assembly_now n join assembly a on a.id = n.assembly_id',
);
/** What stands built now. */
export const manyStandingAssemblies = (c: Connection) => many<AssemblyRow>(c, `${STANDING} order by a.tag`);
/** Tags of the builds some cutters stand in. */
export const manyTagsOfItems = (c: Connection, itemIds: readonly number[]) =>
  many<{ tag: string; itemId: number; stickoutMm: number }>(
    c,
    `select a.tag, pp.item_id, a.stickout_mm from piece_place pp join assembly_now n on n.piece_id = pp.piece_id join assembly a on a.id = n.assembly_id
     where pp.item_id = any ($1) and not pp.gone order by a.tag`,
    [itemIds],
  );
/** What stands and has no length that counts, newest build first. */
export const manyToMeasure = (c: Connection, limit: number) =>
  many<{ tag: string; item: string; holder: string; measured: boolean }>(
    c,
    `select a.tag, i.code as item, h.code as holder, n.newest_id is not null as measured
     from assembly_now n join assembly a on a.id = n.assembly_id join piece p on p.id = a.piece_id
     join item i on i.id = p.item_id join item h on h.id = a.holder_item_id
     where n.good_id is null or n.newest_id is distinct from n.good_id order by n.assembly_id desc limit $1`,
    [limit],
  );
/** Some assemblies, taken down or not. */
export const manyAssembliesById = (c: Connection, ids: readonly number[]) =>
  many<AssemblyRow>(c, `${ASSEMBLY} where a.id = any ($1) order by a.tag`, [ids]);
export const maybeAssembly = (c: Connection, tag: string) =>
  maybeOne<AssemblyRow>(c, `${ASSEMBLY} where a.tag = $1`, [tag]);
export const maybeStandingAssemblyOfPiece = (c: Connection, pieceId: number) =>
  maybeOne<AssemblyRow>(c, `${STANDING} where n.piece_id = $1`, [pieceId]);

/** What is put together with some assemblies, in order from the spindle down. */
export const manyParts = (c: Connection, assemblyIds: readonly number[]) =>
  many<PartRow>(
    c,
    `select x.assembly_id, x.item_id, x.place_id, q.code as place, x.lot_id, x.out_mm, x.out_entered
     from assembly_part x join place q on q.id = x.place_id where x.assembly_id = any ($1) order by x.assembly_id, x.place_in_stack`,
    [assemblyIds],
  );

/** The next free number of a series such as A-0108 or E-0210; countered numbers are not used again. */
export async function nextNumber(
  c: Connection,
  table: 'assembly' | 'piece' | 'purchase' | 'count_sheet' | 'recipe' | 'hold' | 'trial' | 'marked_holder',
  column: 'tag' | 'mark' | 'number' | 'code',
  prefix: string,
): Promise<string> {
  // The latest row has the highest number: its table grows by one at a time.
  const last = await maybeOne<{ n: number }>(
    c,
    `select substr(${column}, ${prefix.length + 2})::int as n from ${table} order by id desc limit 1`,
  );
  const n = (last?.n ?? 0) + 1;
  return `${prefix}-${String(n).padStart(4, '0')}`;
}
const checkOf = (
  side: '>' | '<',
  order: '' | 'desc',
) => `(select z.ok from zero_check z join live_entry ze on ze.id = z.entry_id
    where z.device_id = m.device_id and (z.at, z.entry_id) ${side} (e.happened_at, e.id) order by z.at ${order}, z.entry_id ${order} limit 1)`;
/** Of a measurement m of the entry e: its device, whether the check of it before or the first one after was bad, or its calibration later. */
const DEVICE = `(select code from device where id = m.device_id) as device,
  (m.device_id is not null and (${checkOf('<', 'desc')} is false or ${checkOf('>', '')} is false
    or exists (select 1 from doubt d join live_entry de on de.id = d.entry_id where d.doubted_id = m.entry_id))) as device_doubt`;
const MEASUREMENT = `select m.*, ${DEVICE}, e.happened_at, e.who, e.note, v.entry_id as verdict_entry_id, v.accepted, v.reason
  from measurement m join live_entry e on e.id = m.entry_id
  left join lateral (select x.* from verdict x join live_entry xe on xe.id = x.entry_id where x.measurement_id = m.entry_id
    order by xe.happened_at desc, xe.id desc limit 1) v on true`;
/** The measurements of one assembly, newest first by happened_at then id, each with what a person said of it. */
export const manyMeasurements = (c: Connection, assemblyId: number) =>
  many<MeasurementRow>(c, `${MEASUREMENT} where m.assembly_id = $1 order by e.happened_at desc, e.id desc`, [
    assemblyId,
  ]);
export const maybeMeasurement = (c: Connection, entryId: number) =>
  maybeOne<MeasurementRow>(c, `${MEASUREMENT} where m.entry_id = $1`, [entryId]);
/** The measurements in force of some assemblies that stand, by assembly. */
export async function measuredNow(
  c: Connection,
  assemblyIds: readonly number[],
): Promise<Map<number, MeasuredRow>> {
  const rows = await many<MeasurementRow & { isNewest: boolean; isGood: boolean }>(
    c,
    `select m.*, ${DEVICE}, e.happened_at, e.who, e.note, v.entry_id as verdict_entry_id, v.accepted, v.reason,
       m.entry_id = n.newest_id as is_newest, m.entry_id is not distinct from n.good_id as is_good
     from assembly_now n join measurement m on m.entry_id = n.newest_id or m.entry_id = n.good_id join entry e on e.id = m.entry_id
     left join lateral (select x.* from verdict x join live_entry xe on xe.id = x.entry_id where x.measurement_id = m.entry_id
       order by xe.happened_at desc, xe.id desc limit 1) v on true
     where n.assembly_id = any ($1)`,
    [assemblyIds],
  );
  const now = new Map<number, MeasuredRow>();
  for (const { isNewest, isGood, ...m } of rows) {
    const { newest, good } = now.get(m.assemblyId) ?? { newest: null, good: null };
    now.set(m.assemblyId, { newest: isNewest ? m : newest, good: isGood ? m : good });
  }
  return now;
}
