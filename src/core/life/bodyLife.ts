import type { Because } from '../because';
import { DEFAULTS } from '../defaults';
import { kaplanMeier } from './survival/kaplanMeier';
import { type Median, medianLife } from './survival/medianLife';

/** One body of inserts: how many sets of edges it has held, and whether it was scrapped. */
export interface BodySoFar {
  sets: number;
  scrapped: boolean;
}

/** How many sets of edges the bodies of an item hold before they are scrap. */
export interface BodyLife {
  bodies: number;
  scrapped: number;
  /** A half are scrap by so many sets; null: none has held a set yet. */
  sets: Median;
  because: Because;
}

/**
 * The life of cutter bodies counted in sets of edges, since it is indexing that wears their seats: the median of the
 * Kaplan-Meier curve, with bodies that are in use, or were lost, as censored. Kaplan and Meier (1958); the count is common
 * practice. Example: scrapped at 30 and 50 sets, one in use at 60: 50; none scrapped and the longest at 12: more than 12.
 */
export function bodyLife(bodies: readonly BodySoFar[]): BodyLife {
  const lives = bodies
    .filter((b) => b.sets > 0)
    .map((b) => ({ minutes: b.sets, failed: b.scrapped, running: !b.scrapped }));
  const median = medianLife(lives);
  const scrapped = kaplanMeier(lives).reduce((n, s) => n + s.failed, 0);
  return {
    bodies: lives.length,
    scrapped,
    sets: median,
    because: {
      words: 'In sets of edges: turning and changing inserts is what wears a seat.',
      formula: 'median of the Kaplan-Meier curve',
      values: [
        { name: 'bodies', value: String(lives.length) },
        { name: 'of them scrapped', value: String(scrapped) },
      ],
    },
  };
}

/**
 * Whether the screws of a body's seats are due: they stretch, and their sockets round, with every set of edges they held.
 * Common practice; the maker's figure stands above it. Example: 10 sets -> true with DEFAULTS.screwsHoldSets of 10.
 */
export const screwsDue = (setsSince: number): boolean => setsSince >= DEFAULTS.screwsHoldSets;
