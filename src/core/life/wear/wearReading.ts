import { namesOf } from '../../names';
import type { Sign } from '../signs';

/** Chips out of an edge as the loupe shows them; common practice. */
export const CHIPS = {
  none: 'none seen',
  fine: 'fine, under 0.1 mm',
  coarse: 'coarse, 0.1 mm and more',
} as const;
export type Chips = keyof typeof CHIPS;
export const CHIPS_NAMES = namesOf(CHIPS);

/** How strong a sign was. */
export const STRENGTHS = { slight: 'slight', clear: 'clear', strong: 'strong' } as const;
export type Strength = keyof typeof STRENGTHS;
export const STRENGTH_NAMES = namesOf(STRENGTHS);

/** What the gauge says of the hole or thread that an edge made: the tap or reamer is worn where it is not what it should be. */
export const GAUGE = {
  passes: 'passes',
  tight: 'too tight: it will not go',
  loose: 'too loose: the not-go goes',
} as const;
export type Gauge = keyof typeof GAUGE;
export const GAUGE_NAMES = namesOf(GAUGE);

/** A sign seen or heard, and how strong. */
export interface SignSeen {
  sign: Sign;
  strength: Strength;
}

/** What somebody read of an edge at so many minutes; null: it was not looked at, which is never 0. */
export interface WearReading {
  /** Minutes in the cut of this edge set until then. */
  minutes: number;
  /** Uniform flank wear VB, mm. */
  flankMm: number | null;
  /** Wear at the corner or at one spot of the edge, mm. */
  cornerMm: number | null;
  /** null or left out: nothing was gauged. */
  gauge?: Gauge | null;
  /** Holes it had made until then; null or left out: not known. */
  holes?: number | null;
  /** A hole it made, measured, with its limits, mm; null or left out: none was. */
  hole?: { sizeMm: number; least: number; most: number } | null;
  chips: Chips | null;
  /** Where along the flute it is worn, mm from the tip. */
  zone: { fromMm: number; toMm: number } | null;
  runoutMm: number | null;
  /** By how much what it cuts grew (+) or shrank, mm. */
  driftMm: number | null;
  signs: readonly SignSeen[];
}
