import type { MachineMotion } from './path/machineClock';

/** How a control takes a number without a decimal point: as it is written, or in its least increment. */
export const POINTS = ['as written', 'least increment'] as const;
export type Points = (typeof POINTS)[number];
/** What the P of a dwell is in. */
export const DWELLS = ['seconds', 'milliseconds'] as const;
export type DwellUnit = (typeof DWELLS)[number];

export interface ReadOptions {
  /** Work-coordinate Z below which feeding or rapid moves are reported, mm; null: not checked. */
  zLimitMm: number | null;
  /** true leaves '/' blocks out. */
  blockDelete: boolean;
  /**
   * What X10 means on this machine: 10 mm, or 10 least increments (0.001 mm, 0.0001 in); null: not known, so it is read
   * as written and asked about.
   */
  withoutPoint: Points | null;
  /** What the P of a dwell is in. */
  dwellUnit: DwellUnit;
  /** How far above the depth reached a pecking cycle stops its rapid back, mm. */
  peckClearanceMm: number;
  /** Whether D is compared with the tool in the spindle as H is. */
  dEqualsT: boolean;
  /** How the machine moves, for what its feeds and rapids take there; null: only length / feed is reckoned. */
  motion: MachineMotion | null;
}

export const READ_DEFAULTS: ReadOptions = {
  zLimitMm: null,
  blockDelete: false,
  withoutPoint: 'as written',
  dwellUnit: 'seconds',
  peckClearanceMm: 0,
  dEqualsT: false,
  motion: null,
};
