import type { Family } from '@/core/cutters';
import type { Coolant, CutKind, FeedAs, Outcome, SpeedAs } from '@/core/cutting';

/** How a cutter is run in a material, as it was stated: by codes, with lengths in mm and as they were entered. */
export interface RecipeRow {
  id: number;
  code: string;
  entryId: number;
  itemId: number | null;
  item: string | null;
  family: Family | null;
  leastMm: number | null;
  leastEntered: string | null;
  mostMm: number | null;
  mostEntered: string | null;
  materialId: number;
  material: string;
  machine: string | null;
  cut: CutKind;
  speedAs: SpeedAs | null;
  speedLeast: number | null;
  speedMost: number | null;
  feedAs: FeedAs | null;
  feedLeastMm: number | null;
  feedLeastEntered: string | null;
  feedMostMm: number | null;
  feedMostEntered: string | null;
  apMm: number | null;
  apEntered: string | null;
  aeMm: number | null;
  aeEntered: string | null;
  rampDeg: number | null;
  coolant: Coolant | null;
  words: string | null;
  /** Code of the one it was written instead of, and of the one that was written instead of it; null: none. */
  insteadOf: string | null;
  replacedBy: string | null;
  who: string;
  happenedAt: Date;
  /** The latest word on it; null: nobody ran it yet. */
  outcome: Outcome | null;
}

/** What came of a recipe where it was run. */
export interface OutcomeRow {
  entryId: number;
  recipeId: number;
  outcome: Outcome;
  job: string | null;
  operation: number | null;
  minutes: number | null;
  parts: number | null;
  words: string | null;
  who: string;
  happenedAt: Date;
}
