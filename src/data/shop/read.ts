import { type Connection, many, maybeOne, one } from '@/data/database';
import type { MachineRow, MaterialRow, PersonRow, SpindleGearRow, SupplierRow } from './types';

export const manyPeople = (c: Connection) =>
  many<PersonRow>(c, 'select initials, name, in_use from person_named order by initials');
export const maybePerson = (c: Connection, initials: string) =>
  maybeOne<PersonRow>(c, 'select initials, name, in_use from person_named where initials = $1', [initials]);
const LIVE = `select m.*, f.hardness, f.kc11, f.mc, f.density, f.unit_power, f.origin from material_named m join live_entry e on e.id = m.entry_id
  left join lateral (select x.* from material_figures x join live_entry xe on xe.id = x.entry_id
    where x.material_id = m.id order by xe.happened_at desc, xe.id desc limit 1) f on true`;
export const manyMaterials = (c: Connection) => many<MaterialRow>(c, `${LIVE} order by m.code`);
export const maybeMaterial = (c: Connection, code: string) =>
  maybeOne<MaterialRow>(c, `${LIVE} where m.code = $1`, [code]);
const SUPPLIER = `select s.*, t.lead_time_days from supplier_named s join live_entry e on e.id = s.entry_id
  left join lateral (select x.lead_time_days from supplier_terms x join live_entry xe on xe.id = x.entry_id
    where x.supplier_id = s.id order by xe.happened_at desc, xe.id desc limit 1) t on true`;
export const manySuppliers = (c: Connection) => many<SupplierRow>(c, `${SUPPLIER} order by s.code`);
export const maybeSupplier = (c: Connection, code: string) =>
  maybeOne<SupplierRow>(c, `${SUPPLIER} where s.code = $1`, [code]);
const MACHINE = `select m.id, m.code, m.name, m.in_use, m.entry_id, f.entry_id as figures_entry_id, f.happened_at as figures_since, f.taper, f.k_mm, f.k_entered,
    f.length_school, f.k0_mm, f.master_length_mm, f.diameter_school, f.units, f.h_equals_t, f.rpm_max, f.feed_max_mm_min, f.rapid_mm_min, f.tool_change_s, f.without_point, f.g10_form, f.digits, f.wear_registers, f.own_setter, f.coolant_bar, f.dwell_unit, f.peck_clearance_mm, f.d_equals_t, f.hunts_from, f.hunts_to, f.travel_z_mm, f.acceleration_mm_s2, f.corner_mm, k.lengths_since
  from machine_named m join live_entry e on e.id = m.entry_id
  join lateral (select x.*, xe.happened_at from machine_figures x join live_entry xe on xe.id = x.entry_id where x.machine_id = m.id
    order by xe.happened_at desc, xe.id desc limit 1) f on true
  -- Figures are stated whole: those of H hold since the first of an unbroken row of the same.
  join lateral (select min(ye.happened_at) as lengths_since from machine_figures y join live_entry ye on ye.id = y.entry_id
    where y.machine_id = m.id and (y.length_school, y.k_mm, y.k0_mm, y.master_length_mm, y.own_setter) is not distinct from (f.length_school, f.k_mm, f.k0_mm, f.master_length_mm, f.own_setter)
    and not exists (select 1 from machine_figures z join live_entry ze on ze.id = z.entry_id
      where z.machine_id = m.id and (ze.happened_at, ze.id) > (ye.happened_at, ye.id)
      and (z.length_school, z.k_mm, z.k0_mm, z.master_length_mm, z.own_setter) is distinct from (f.length_school, f.k_mm, f.k0_mm, f.master_length_mm, f.own_setter))) k on true`;
export const manyMachines = (c: Connection) => many<MachineRow>(c, `${MACHINE} order by m.code`);
export const maybeMachine = (c: Connection, code: string) =>
  maybeOne<MachineRow>(c, `${MACHINE} where m.code = $1`, [code]);

/** The gears of every spindle that were stated last. */
export const manySpindleGears = (c: Connection) =>
  many<SpindleGearRow>(
    c,
    `select g.* from machine m join lateral (select x.entry_id from spindle_gear x join live_entry xe on xe.id = x.entry_id
         where x.machine_id = m.id order by xe.happened_at desc, xe.id desc limit 1) l on true
       join spindle_gear g on g.machine_id = m.id and g.entry_id = l.entry_id order by m.id, g.from_rpm`,
  );

/** Which of the first steps after the set-up were ever taken. */
export const oneBegun = (c: Connection) =>
  one<{ cutter: boolean; holder: boolean; stock: boolean; assembly: boolean; job: boolean }>(
    c,
    `select coalesce((select true from item_now where kind = 'cutter' limit 1), false) as cutter,
       coalesce((select true from item_now where kind = 'holder' limit 1), false) as holder,
       coalesce((select true from balance where quantity > 0 limit 1), false) as stock,
       coalesce((select true from assembly_now limit 1), false) as assembly,
       coalesce((select true from operation_now limit 1), false) as job`,
  );

/** Minutes the shop works on each weekday, Monday first; null: nobody has stated them. */
export const maybeShopWeek = (c: Connection) =>
  maybeOne<{ minutes: number[]; begins: number | null; entryId: number }>(
    c,
    `select w.minutes, w.begins, w.entry_id from shop_week w join live_entry e on e.id = w.entry_id
     order by e.happened_at desc, e.id desc limit 1`,
  );
/** Days from one on that the shop is closed besides. */
export const manyClosedDays = (c: Connection, from: string) =>
  many<{ day: string; entryId: number; reason: string | null }>(
    c,
    `select day, entry_id, reason from (select distinct on (d.day) d.day, d.closed, d.entry_id, d.reason from closed_day d
       join live_entry e on e.id = d.entry_id where d.day >= $1 order by d.day, e.happened_at desc, e.id desc) x
     where closed order by day`,
    [from],
  );

/**
 * What keeps a person, place, material, supplier or machine in use, in a few words; null: nothing does. What a supplier
 * has still to send can still come.
 */
export const stillHolding = {
  person: (c: Connection, initials: string) =>
    word(
      c,
      `select case when exists (select 1 from balance b join place p on p.id = b.place_id where p.person = $1 and b.quantity > 0)
         then 'has things of the crib in hand'
         when not exists (select 1 from person_named where in_use and initials <> $1) then 'is the only one who signs here'
         when exists (select 1 from role_now r where r.person = $1 and r.role = 'owner') and not exists (select 1 from role_now r
           join person_named o on o.initials = r.person where r.role = 'owner' and o.in_use and r.person <> $1) then 'is the only owner' end as word`,
      initials,
    ),
  place: (c: Connection, id: number) =>
    word(
      c,
      `select case when exists (select 1 from balance where place_id = $1 and quantity > 0) then 'is not empty'
         when exists (select 1 from place_named p where p.parent_id = $1 and p.in_use
           and (p.entry_id is null or exists (select 1 from live_entry e where e.id = p.entry_id))) then 'has places in it'
         when exists (select 1 from count_sheet s join live_entry e on e.id = s.entry_id where s.place_id = $1
           and not exists (select 1 from count_booking k join live_entry ke on ke.id = k.entry_id where k.sheet_id = s.id))
           then 'is being counted' end as word`,
      id,
    ),
  material: (c: Connection, id: number) =>
    word(
      c,
      `select 'is cut by open jobs: ' || string_agg(distinct n.job, ', ') as word from operation_now n
         join operation o on o.id = n.operation_id join job j on j.id = o.job_id where n.open and j.material_id = $1`,
      id,
    ),
  machine: (c: Connection, id: number) =>
    word(
      c,
      `select 'has open jobs: ' || string_agg(distinct n.job, ', ') as word from operation_now n
         where n.open and n.machine_id = $1`,
      id,
    ),
  supplier: (c: Connection, id: number) =>
    word(
      c,
      `select case when exists (select 1 from lot l join balance b on b.lot_id = l.id
           join place p on p.id = b.place_id and p.kind not in ('scrap', 'lost') where l.owner_supplier_id = $1 and b.quantity > 0)
         then 'has stock of its own here' end as word`,
      id,
    ),
} as const;
const word = async (c: Connection, sql: string, of: string | number) =>
  (await maybeOne<{ word: string | null }>(c, sql, [of]))?.word ?? null;
