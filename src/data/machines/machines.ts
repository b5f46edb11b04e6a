import type { DiameterSchool, LengthSchool } from '@/core/measuring';
import type { LengthUnit } from '@/core/units';
import { many, maybeOne, type Connection } from '../database';

export interface MachineRow {
  id: number;
  code: string;
  name: string;
  entryId: number;
  figuresEntryId: number;
  figuresSince: Date;
  taper: string;
  kMm: number;
  kEntered: string;
  lengthSchool: LengthSchool;
  k0Mm: number | null;
  masterLengthMm: number | null;
  diameterSchool: DiameterSchool;
  units: LengthUnit;
  hEqualsT: boolean;
  rpmMax: number | null;
  feedMaxMmMin: number | null;
  rapidMmMin: number | null;
  toolChangeS: number | null;
}
const MACHINE = `select m.id, m.code, m.name, m.entry_id, f.entry_id as figures_entry_id, f.happened_at as figures_since, f.taper, f.k_mm, f.k_entered,
    f.length_school, f.k0_mm, f.master_length_mm, f.diameter_school, f.units, f.h_equals_t, f.rpm_max, f.feed_max_mm_min, f.rapid_mm_min, f.tool_change_s
  from machine m join live_entry e on e.id = m.entry_id
  join lateral (select x.*, xe.happened_at from machine_figures x join live_entry xe on xe.id = x.entry_id where x.machine_id = m.id
    order by xe.happened_at desc, xe.id desc limit 1) f on true`;
export const manyMachines = (c: Connection) => many<MachineRow>(c, `${MACHINE} order by m.code`);
export const maybeMachine = (c: Connection, code: string) =>
  maybeOne<MachineRow>(c, `${MACHINE} where m.code = $1`, [code]);
