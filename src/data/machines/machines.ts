import type { DiameterSchool, LengthSchool } from '@/core/measuring';
import type { LengthUnit } from '@/core/units';
import { many, maybeOne, type Connection } from '../database';

export interface MachineRow {
  id: number;
  code: string;
  name: string;
  entry_id: number;
  figures_entry_id: number;
  figures_since: Date;
  taper: string;
  k_mm: number;
  k_entered: string;
  length_school: LengthSchool;
  k0_mm: number | null;
  master_length_mm: number | null;
  diameter_school: DiameterSchool;
  units: LengthUnit;
  h_equals_t: boolean;
  rpm_max: number | null;
  feed_max_mm_min: number | null;
  rapid_mm_min: number | null;
  tool_change_s: number | null;
}
const MACHINE = `select m.id, m.code, m.name, m.entry_id, f.entry_id as figures_entry_id, f.happened_at as figures_since, f.taper, f.k_mm, f.k_entered,
    f.length_school, f.k0_mm, f.master_length_mm, f.diameter_school, f.units, f.h_equals_t, f.rpm_max, f.feed_max_mm_min, f.rapid_mm_min, f.tool_change_s
  from machine m join live_entry e on e.id = m.entry_id
  join lateral (select x.*, xe.happened_at from machine_figures x join live_entry xe on xe.id = x.entry_id where x.machine_id = m.id
    order by xe.happened_at desc, xe.id desc limit 1) f on true`;
export const manyMachines = (c: Connection) => many<MachineRow>(c, `${MACHINE} order by m.code`);
export const maybeMachine = (c: Connection, code: string) =>
  maybeOne<MachineRow>(c, `${MACHINE} where m.code = $1`, [code]);
