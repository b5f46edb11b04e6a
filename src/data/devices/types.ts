import type { GaugeKind } from '@/core/devices';

/** What devices are, by how they come to a length. */
export const DEVICE_KINDS = ['presetter', 'height stand'] as const;
export type DeviceKind = (typeof DEVICE_KINDS)[number];

export interface DeviceRow {
  id: number;
  code: string;
  name: string;
  kind: DeviceKind;
  /** null: it is read by eye. */
  port: number | null;
  masterMm: number;
  masterEntered: string;
  entryId: number;
  /** Its latest check at the master; null: there was none. */
  checkedAt: Date | null;
  offMm: number | null;
  ok: boolean | null;
}

/** What is not asked over a port: a master, a block, a wrench, a gauge. */
export interface GaugeRow {
  id: number;
  code: string;
  name: string;
  kind: GaugeKind;
  sizeMm: number | null;
  sizeEntered: string | null;
  entryId: number;
}

/** How something was found when it was calibrated. */
export interface CalibrationRow {
  gaugeId: number | null;
  deviceId: number | null;
  at: Date;
  /** ISO day. */
  due: string;
  ok: boolean;
  found: string | null;
  who: string;
  entryId: number;
}

/** What a thing that was found off puts in doubt, and whether it was done again since. */
export interface DoubtedRow {
  doubtedId: number;
  what: 'measurement' | 'tightening' | 'size';
  tag: string;
  happenedAt: Date;
  /** Of a size: the job it was measured for. */
  job: string | null;
}
