import type { Chips, Ending, Gauge, SignSeen } from '@/core/life';

/** A life: what it has cut, and how it ended. */
export interface LifeRow {
  edgeSetId: number;
  itemId: number;
  mark: string;
  fresh: boolean;
  minutes: number;
  parts: number;
  lowerBound: boolean;
  /** Holes it made and the way it fed, mm; null: not known of everything it cut. */
  holes: number | null;
  cutMm: number | null;
  /** How many materials it cut; the one it was, null where none or several. */
  materials: number;
  materialId: number | null;
  /** The one speed it cut at, rev/min; null: several, or not all of it is known. */
  rpm: number | null;
  beganAt: Date;
  ended: Ending | null;
  endedEntryId: number | null;
  endedAt: Date | null;
  signs: string[] | null;
  costCents: number | null;
  note: string | null;
  /** What was foretold of it when it began to cut in its material; null: nothing was. */
  foretold: number[] | null;
}

/** A life beside what was foretold of it. */
export interface ForetoldRow {
  entryId: number;
  /** When it was foretold: its first minutes were logged. */
  happenedAt: Date;
  foretold: number[];
  minutes: number;
  ended: Ending | null;
}

/** How many lives of a cutter in a material the statistics take, running ones too. */
export interface LifeLineRow {
  itemId: number;
  materialId: number;
  lives: number;
  /** Another one once any of the lives is. */
  revision: string;
}

/** The times of those lives; the latest begun first, where not all of them are asked for. */
export interface LifeTimesRow extends LifeLineRow {
  minutes: number[];
  ended: (Ending | null)[];
  /** The one speed each was cut at, rev/min; null: several, or not all of it is known. */
  rpm: (number | null)[];
  /** Of each that cut at several, nine tenths of it known: minutes at each; else null. */
  speeds: ({ speed: number; minutes: number }[] | null)[];
}

/** A life with the speeds it was cut at, as LifeTimesRow has them. */
export interface LifeWithSpeedRow {
  minutes: number;
  ended: Ending | null;
  rpm: number | null;
  speeds: { speed: number; minutes: number }[] | null;
}

export interface EdgeUseRow {
  edgeSetId: number;
  itemId: number;
  fresh: boolean;
  minutes: number;
  /** Holes it made, and the way it fed, mm; null: of some nobody knows. */
  holes: number | null;
  cutMm: number | null;
  /** At least so many minutes: how long it cut is not known of all. */
  lowerBound: boolean;
  /** Minutes in each material it cut, at each speed, rev/min; null: what is not known to be at one. */
  uses: { materialId: number; rpm: number | null; minutes: number }[];
}

/** An edge set that goes on cutting, and where its cutter is. */
export interface RunningRow extends EdgeUseRow {
  pieceId: number;
  mark: string;
  place: string;
  /** The assembly it stands in. */
  tag: string | null;
  /** Held back until somebody has looked at it. */
  heldBack: boolean;
}

/** A reading of an edge set's wear; null: it was not looked at. */
export interface WearRow {
  entryId: number;
  edgeSetId: number;
  flankWearMm: number | null;
  uncertaintyMm: number | null;
  cornerMm: number | null;
  gauge: Gauge | null;
  /** A hole it made, with its limits; all or none of them. */
  holeMm: number | null;
  holeEntered: string | null;
  holeFits: string | null;
  holeLeastMm: number | null;
  holeMostMm: number | null;
  chips: Chips | null;
  zoneFromMm: number | null;
  zoneToMm: number | null;
  runoutMm: number | null;
  driftMm: number | null;
  signs: SignSeen[];
  /** Minutes the edge set had cut by then. */
  minutes: number;
  /** Holes it had made by then; null: of some nobody knows. */
  holes: number | null;
  happenedAt: Date;
  who: string;
  note: string | null;
}

/** The latest flank wear, wear of the corner and word of the gauge of an edge set, each where it was read. */
export interface WornRow {
  edgeSetId: number;
  flankMm: number | null;
  cornerMm: number | null;
  gauge: Gauge | null;
}

/** What an edge set has cut on one T of an operation; where job and t are null: beside what was logged. */
export interface CutSumRow {
  operationId: number | null;
  job: string | null;
  t: number | null;
  material: string;
  parts: number;
  minutes: number;
  /** null: not known of all of it. */
  holes: number | null;
  cutMm: number | null;
  lowerBound: boolean;
  lastAt: Date;
}

/** One log, or one word beside the logs, of what an edge set has cut. */
export interface CutLogRow extends Omit<CutSumRow, 'lastAt'> {
  /** null: said beside the logs. */
  useId: number | null;
  entryId: number;
  /** The entry that corrected it last; null: it stands as it was booked. */
  correctedBy: number | null;
  /** The one speed it cut at by its program, rev/min; null: several, or not known. */
  rpm: number | null;
  happenedAt: Date;
  who: string;
  note: string | null;
}

/** One T of one log of parts. */
export interface UseRow {
  id: number;
  entryId: number;
  job: string;
  t: number;
  parts: number;
  minutes: number;
  holes: number | null;
  cutMm: number | null;
  correctedBy: number | null;
  happenedAt: Date;
  /** The entry that said whose it was; null: it was tied then. */
  assignedBy: number | null;
  /** null: nobody said yet whose it is. */
  edgeSetId: number | null;
  mark: string | null;
}
