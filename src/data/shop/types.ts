import type { Origin } from '@/core/cutters';
import type { Gear } from '@/core/cutting';
import type { DiameterSchool, LengthSchool } from '@/core/measuring';
import type { DwellUnit, Points } from '@/core/programs';
import type { G10Form, OwnSetter } from '@/core/registers';
import type { LengthUnit } from '@/core/units';

export interface PersonRow {
  initials: string;
  name: string;
  /** false: kept for what was written with it, taken for nothing new. */
  inUse: boolean;
}

export interface MaterialRow {
  id: number;
  code: string;
  name: string;
  inUse: boolean;
  isoGroup: string;
  entryId: number;
  /** What it takes to cut, as it was stated last: N/mm2, g/cm3, hp per in3/min; null: not known. */
  hardness: string | null;
  kc11: number | null;
  mc: number | null;
  density: number | null;
  unitPower: number | null;
  /** Where these come from; null: nobody stated any. */
  origin: Origin | null;
}

/** What a spindle gives in one of its gears, as it was stated last. */
export interface SpindleGearRow {
  machineId: number;
  gear: Gear['name'];
  fromRpm: number;
  toRpm: number;
  kw: number;
  nm: number;
}

export interface SupplierRow {
  id: number;
  code: string;
  name: string;
  inUse: boolean;
  entryId: number;
  leadTimeDays: number | null;
}

export interface MachineRow {
  id: number;
  code: string;
  name: string;
  inUse: boolean;
  entryId: number;
  figuresEntryId: number;
  figuresSince: Date;
  taper: string;
  /** null: not measured, since its school of registers does not ask for it. */
  kMm: number | null;
  kEntered: string | null;
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
  /** How it takes a number without a point; null: not known. */
  withoutPoint: Points | null;
  /** How its control takes a tool table from a program; null: nobody said. */
  g10Form: G10Form | null;
  /** Digits of its registers after the point; null: the usual of its unit. */
  digits: number | null;
  /** Whether wear has registers of its own; null: nobody said. */
  wearRegisters: boolean | null;
  /** What it measures with a setter of its own, whose figures are its own; null: nothing. */
  ownSetter: OwnSetter | null;
  /** Pressure of coolant through its spindle, bar; 0: none; null: not known. */
  coolantBar: number | null;
  /** What the P of a dwell is in on its control; null: nobody said, so seconds. */
  dwellUnit: DwellUnit | null;
  /** How far above the depth reached its pecking cycles stop their rapid back; null: nobody said, so 0. */
  peckClearanceMm: number | null;
  /** Whether D must be the number of its tool; null: nobody said, so not. */
  dEqualsT: boolean | null;
  /** Speeds between which its spindle hunts, rev/min; null: none, or nobody said. */
  huntsFrom: number | null;
  huntsTo: number | null;
  /** How far Z travels down from home; null: nobody said. */
  travelZMm: number | null;
  /** What its axes gain and lose of speed, mm/s², and how far it may stay away from a corner, mm; null: nobody said. */
  accelerationMmS2: number | null;
  cornerMm: number | null;
  /** Since when it reckons H with the figures that are in force. */
  lengthsSince: Date;
}
