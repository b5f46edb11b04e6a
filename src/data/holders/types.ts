import type { ItemKind } from '@/core/cutters';
import type { HolderLook, RuleSaid } from '@/core/holders';

/** A holder, extension or collet with a mark of its own, and what was said of it last. */
export interface MarkedRow {
  id: number;
  mark: string;
  itemId: number;
  item: string;
  kind: ItemKind;
  /** In use since; null: nobody knows. */
  since: string | null;
  entryId: number;
  markedAt: Date;
  lookedAt: Date | null;
  found: HolderLook | null;
  runoutMm: number | null;
  lookWords: string | null;
  /** Clampings since it was looked over, or since it has its mark. */
  clampings: number;
  studAt: Date | null;
  droppedAt: Date | null;
  dropWords: string | null;
  /** It fell after it was looked over last. */
  droppedSince: boolean;
  /** The build it is in now; null: in none. */
  tag: string | null;
  /** Where the last build it was in put it; null: it was in none yet, or is in one. */
  place: string | null;
  /** The entry that took the last build down it was in; null: none was. */
  freedEntryId: number | null;
}

/** Which marked one is in a build. */
export interface HolderInRow {
  assemblyId: number;
  /** 0: the holder; else the part in that place. */
  placeInStack: number;
  markedId: number;
  mark: string;
  entryId: number;
}

/** A clamping of a marked one. */
export interface ClampingRow {
  /** 1: the first since it has its mark. */
  nth: number;
  tag: string;
  cutter: string;
  happenedAt: Date;
  who: string;
  /** The last that was measured of it and nobody rejected; null: none was. */
  runoutMm: number | null;
}

/** What was said of a marked one. */
export interface HolderEventRow {
  entryId: number;
  what: 'looked over' | 'stud changed' | 'dropped';
  happenedAt: Date;
  who: string;
  found: HolderLook | null;
  runoutMm: number | null;
  /** Who dropped it, where somebody said. */
  by: string | null;
  stud: string | null;
  torque: number | null;
  words: string | null;
}

/** A rule with whose it is; item null: of all that have none of their own. */
export interface HolderRuleRow extends RuleSaid {
  itemId: number | null;
  runoutEntered: string | null;
  happenedAt: Date;
  who: string;
}
