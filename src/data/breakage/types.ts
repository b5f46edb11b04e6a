import type { Break, Cause, FragmentState, PartVerdict, Seen } from '@/core/breakage';

/** Where something broke: an ending that somebody looks into, with what was said of it since. */
export interface BreakageRow {
  entryId: number;
  happenedAt: Date;
  who: string;
  note: string | null;
  kind: Break;
  signs: Seen[];
  costCents: number | null;
  edgeSetId: number;
  mark: string;
  itemId: number;
  item: string;
  minutes: number;
  tag: string | null;
  holder: string | null;
  /** Where it was on a T of an open job; null: it was not, or nobody said. */
  operationId: number | null;
  t: number | null;
  job: string | null;
  number: number | null;
  machine: string | null;
  recipe: string | null;
  partsMade: number | null;
  lostParts: number | null;
  lostMinutes: number | null;
  /** Whether somebody must say what became of the fragments. */
  asksFragments: boolean;
  fragments: FragmentState | null;
  recutBy: string | null;
  fragmentsEntryId: number | null;
  fragmentsWho: string | null;
  cause: Cause | null;
  remedy: string | null;
  seen: Seen[] | null;
  notSeen: Seen[] | null;
  causeEntryId: number | null;
  causeWho: string | null;
}

/** What is not known yet of fragments on a T. */
export interface OpenFragmentsRow {
  entryId: number;
  operationId: number;
  job: string;
  t: number;
  mark: string;
  happenedAt: Date;
}

/** Parts that are held, and by what they were traced. */
export interface HoldRow {
  id: number;
  number: string;
  entryId: number;
  happenedAt: Date;
  who: string;
  operationId: number;
  job: string;
  part: string;
  operation: number;
  machine: string;
  firstPart: number;
  lastPart: number;
  why: string;
  mark: string | null;
  endingId: number | null;
}
export interface HoldVerdictRow {
  entryId: number;
  holdId: number;
  firstPart: number;
  lastPart: number;
  verdict: PartVerdict;
  note: string | null;
  happenedAt: Date;
  who: string;
}

/** Parts that were logged at once on an operation, by their numbers. */
export interface LoggedRow {
  operationId: number;
  logId: number;
  entryId: number;
  first: number;
  last: number;
  happenedAt: Date;
  who: string;
  lot: string | null;
}
/** A log in which an edge set cut. */
export interface LogOfEdgesRow {
  edgeSetId: number;
  logId: number;
  operationId: number;
}
/** Edges that cut a part. */
export interface CutByRow {
  logId: number;
  t: number;
  edgeSetId: number | null;
  mark: string | null;
  item: string | null;
  minutes: number;
}

/** A cutter that is held back. */
export interface PieceDoubtRow {
  entryId: number;
  pieceId: number;
  mark: string;
  item: string;
  tag: string | null;
  place: string | null;
  why: string;
  happenedAt: Date;
  who: string;
}
