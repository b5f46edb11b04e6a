import type { HolderSegment } from '../cutters';

export const PART_KINDS = ['extension', 'collet', 'pull-stud', 'spare'] as const;
export type PartKind = (typeof PART_KINDS)[number];

/**
 * What is put together with cutter and holder: in order from the spindle down, an extension or reduction, a collet or
 * sleeve; a pull stud and spares (screw, coolant tube) stand beside. Facts by symbol, mm and rev/min; null is 'not known'.
 */
export interface Part {
  code: string;
  kind: PartKind;
  /** How far an extension stands out of what carries it, as it was set; null: as far as its LPR says. */
  setOut: number | null;
  /** Spindle side, and front, by their standards. */
  CCMS: string | null;
  CCWS: string | null;
  CLAMPING: string | null;
  /** Forms of shank it takes, in its words. */
  SHANKS: string | null;
  /** Forms of seat of ISO 6462 that an arbor takes, in its words; left out or null: not known. */
  MOUNTS?: string | null;
  COLLET: string | null;
  DMM: number | null;
  OAL: number | null;
  LPR: number | null;
  CLAMP_MIN: number | null;
  CLAMP_MAX: number | null;
  GRIP_MIN: number | null;
  DEPTH_MAX: number | null;
  RPM_MAX: number | null;
  /** N m. */
  TORQUE: number | null;
  /** Whether coolant goes through it. */
  CSP: boolean | null;
  /** kg. */
  WT: number | null;
  segments: readonly HolderSegment[];
}

/** What is known of a holder beside its geometry. */
export type HolderDetails = Pick<
  Part,
  'code' | 'CCMS' | 'CCWS' | 'CLAMPING' | 'SHANKS' | 'MOUNTS' | 'COLLET' | 'CSP' | 'WT' | 'TORQUE'
>;

/** What is known of a cutter beside its geometry. */
export interface CutterDetails {
  /** Form of its shank. */
  SHANK: string | null;
  /** Bore of one that sits on an arbor, mm. */
  DCB: number | null;
  /** Its form of seat there by ISO 6462: A, B or C; left out or null: not known. */
  MOUNT?: string | null;
  /** Of one that is screwed in or sits on an arbor: how far it stands out, mm. */
  LPR: number | null;
  /** The thread or arbor it is made for, by its standard. */
  CCMS: string | null;
  CSP: boolean | null;
  SUBSTRATE: string | null;
  /** kg. */
  WT: number | null;
  /** Of a body: its own limit; undefined: it is none. */
  RPM_MAX?: number | null;
}

/**
 * Whether its own shape says how far a cutter stands out: a screwed-in head, a shell mill on its arbor. The others are
 * gripped by a shank, as deep as somebody sets them.
 */
export const isSeated = (form: string | null): boolean => form === 'arbor bore' || form === 'threaded';
