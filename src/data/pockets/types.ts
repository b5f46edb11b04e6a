import type { MagazineKind } from '@/core/pockets';
import type { Takes } from '@/core/registers';

/** A machine's magazine as it holds now; null: not known. */
export interface MagazineRow {
  entryId: number;
  machineId: number;
  kind: MagazineKind;
  pockets: number;
  /** kg. */
  weight: number | null;
  diameterMm: number | null;
  diameterEntered: string | null;
  aloneMm: number | null;
  aloneEntered: string | null;
  lengthMm: number | null;
  lengthEntered: string | null;
  /** Whose H and D it takes when it changes to a sister. */
  takes: Takes | null;
}

/** Where a tool is loaded now, and whose H and D its machine takes there. */
export interface LoadedRow {
  assemblyId: number;
  machineId: number;
  machine: string;
  pocket: number;
  t: number;
  h: number | null;
  d: number | null;
  takes: Takes | null;
}

/** What is in a pocket now. */
export interface LoadRow {
  machineId: number;
  pocket: number;
  assemblyId: number;
  tag: string;
  t: number;
  h: number | null;
  d: number | null;
  counterZero: boolean | null;
  entryId: number;
  happenedAt: Date;
  who: string;
}

/** A cutter that is kept in a machine under its T. */
export interface KeptRow {
  machineId: number;
  t: number;
  itemId: number;
  code: string;
  entryId: number;
}
