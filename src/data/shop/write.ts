import type { Origin } from '@/core/cutters';
import type { SpindleGearRow } from './types';
import { type Connection, inserts, insertsWithId } from '@/data/database';

export async function insertPerson(c: Connection, initials: string, name: string): Promise<void> {
  await c.query('insert into person (initials, name) values ($1, $2)', [initials, name]);
}

/** What a person, place, material, supplier or machine is called from now on, and whether it is in use: one of the five. */
export const insertNaming = inserts<{
  person?: string;
  placeId?: number;
  materialId?: number;
  supplierId?: number;
  machineId?: number;
  name: string;
  inUse: boolean;
  reason: string | null;
}>('naming');

/** One row of each table of this room; texts of jsonb columns are JSON. */

export const insertSpindleGear = inserts<SpindleGearRow>('spindle_gear');

export const insertMaterialFigures = inserts<{
  materialId: number;
  hardness: string | null;
  kc11: number | null;
  mc: number | null;
  density: number | null;
  unitPower: number | null;
  origin: Origin;
  words: string | null;
}>('material_figures');

export const insertMaterial = inserts<{
  code: string;
  name: string;
  isoGroup: string;
}>('material');

export const insertSupplier = insertsWithId<{
  code: string;
  name: string;
}>('supplier');

export const insertSupplierTerms = inserts<{
  supplierId: number;
  leadTimeDays?: number | null;
}>('supplier_terms');

/** One row of each table of this room; texts of jsonb columns are JSON. */

export const insertMachine = insertsWithId<{
  code: string;
  name: string;
}>('machine');

export const insertMachineFigures = inserts<{
  machineId: number;
  taper: string;
  kMm?: number | null;
  kEntered?: string | null;
  lengthSchool: string;
  k0Mm?: number | null;
  masterLengthMm?: number | null;
  diameterSchool: string;
  units: string;
  hEqualsT: boolean;
  rpmMax?: number | null;
  feedMaxMmMin?: number | null;
  rapidMmMin?: number | null;
  toolChangeS?: number | null;
  withoutPoint?: string | null;
  g10Form?: string | null;
  digits?: number | null;
  wearRegisters?: boolean | null;
  ownSetter?: string | null;
  coolantBar?: number | null;
  dwellUnit?: string | null;
  peckClearanceMm?: number | null;
  dEqualsT?: boolean | null;
  huntsFrom?: number | null;
  huntsTo?: number | null;
  travelZMm?: number | null;
  accelerationMmS2?: number | null;
  cornerMm?: number | null;
}>('machine_figures');

export const insertShopWeek = inserts<{ minutes: readonly number[]; begins: number | null }>('shop_week');
export const insertClosedDay = inserts<{ day: string; closed: boolean; reason: string | null }>('closed_day');
