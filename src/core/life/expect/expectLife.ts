import type { Because } from '../../because';
import { DEFAULTS } from '../../defaults';
import type { LifeTime } from '../endings';
import { kaplanMeier } from '../survival/kaplanMeier';
import { meanReached } from '../survival/meanReached';

export interface AssumedLife {
  minutes: number;
  origin: string;
  /** Nobody knows it: what leans on it says so. */
  guess?: boolean;
  /** As how many lives it counts; where nothing is said, as DEFAULTS.assumedCountsAs. */
  countsAs?: number;
  /** Cutters of this shop that said so; 0 or left out: it is the usual number. */
  learntFrom?: number;
}

/** When a cutter is expected to fail in one material, and how far that can be trusted. */
export interface LifeExpectation {
  /** Mean minutes to a failure; null: not known yet, and then `atLeast` says what has been reached without one. */
  minutes: number | null;
  atLeast: number | null;
  basis: 'failures here' | 'failures here and the assumed life' | 'assumed' | 'not known yet';
  /** Lives in this material it was seen on, and how many of them failed. */
  lives: number;
  failures: number;
  /** Minutes by which a quarter had failed; null below `DEFAULTS.failuresForSpread` failures. */
  quarter: number | null;
  because: Because;
}

/** As how many lives an assumed life counts; nothing assumed counts as none. */
export const assumedCounts = (assumed: AssumedLife | null): number =>
  assumed ? (assumed.countsAs ?? DEFAULTS.assumedCountsAs) : 0;

const figure = (k: number) => String(Number(k.toFixed(1)));

/** What is assumed and as how many lives it counts, as values of a reason. */
export const saidOf = (assumed: AssumedLife | null): Because['values'] =>
  assumed
    ? [
        { name: 'assumed', value: `${assumed.minutes} min`, source: assumed.origin },
        {
          name: 'it counts as',
          value: `${figure(assumedCounts(assumed))} lives`,
          // Before so many cutters said it, it is the usual number.
          source:
            (assumed.learntFrom ?? 0) >= DEFAULTS.assumedLearntFrom
              ? `how such figures did on ${assumed.learntFrom} cutters here`
              : 'practice',
        },
      ]
    : [];

/**
 * When to change: the mean life to a failure, from the lives of one material with those that did not fail as censored
 * (Kaplan-Meier), beside the assumed life, which counts as `DEFAULTS.assumedCountsAs` lives and fades as failures are
 * seen: one early failure does not replace a maker's figure. Without a failure the assumed life stands, unless ended
 * lives have gone past it: then it is not known yet, at least the longest of them. A running life is censored like
 * them and never contradicts what it is itself held against. null: nothing to go by.
 * Sources: Kaplan and Meier (1958); the weight of the assumption is a stated choice (practice).
 * Example: assumed 90, one failure at 10: (3 × 90 + 10) / 4 = 70.
 */
export function expectLife(
  lives: readonly LifeTime[],
  assumed: AssumedLife | null,
  all: number = lives.length,
): LifeExpectation | null {
  const seen = lives.filter((l) => l.minutes > 0 || l.failed);
  const steps = kaplanMeier(seen);
  const failures = steps.reduce((sum, s) => sum + s.failed, 0);
  const mean = meanReached(seen);
  const longestEnded = Math.max(0, ...seen.filter((l) => !l.running).map((l) => l.minutes));
  const about = { lives: seen.length, failures, quarter: quarterOf(steps, failures) };
  const values = [
    {
      name: 'lives',
      value: all > lives.length ? `the latest ${seen.length} of ${all}` : String(seen.length),
    },
    { name: 'of them failed', value: String(failures) },
    ...(about.quarter === null
      ? []
      : [{ name: 'a quarter had failed by', value: `${about.quarter.toFixed(1)} min` }]),
    ...saidOf(assumed),
  ];
  if (mean && mean.minutes > 0) {
    const k = assumedCounts(assumed);
    const minutes = (k * (assumed?.minutes ?? 0) + failures * mean.minutes) / (k + failures);
    return {
      ...about,
      minutes,
      atLeast: null,
      basis: assumed ? 'failures here and the assumed life' : 'failures here',
      because: {
        words: `${mean.atLeast ? 'The longest life has not failed, so the true mean is more. ' : ''}A mean: about half fail earlier.`,
        formula: assumed
          ? `(${figure(k)} × assumed + failures × mean) / (${figure(k)} + failures)`
          : 'area under the Kaplan-Meier curve to the longest life',
        values: [...values, { name: 'mean of the lives here', value: `${mean.minutes.toFixed(1)} min` }],
      },
    };
  }
  if (longestEnded > 0 && longestEnded >= (assumed?.minutes ?? 0))
    return {
      ...about,
      minutes: null,
      atLeast: longestEnded,
      basis: 'not known yet',
      because: {
        words: `Not known yet, at least ${longestEnded.toFixed(1)} min: none has failed so far.`,
        formula: 'longest life that ended without a failure',
        values,
      },
    };
  if (!assumed) return null;
  return {
    ...about,
    minutes: assumed.minutes,
    atLeast: null,
    basis: 'assumed',
    because: { words: `No failure here yet: the assumed life counts (${assumed.origin}).`, values },
  };
}

/** First time by which a quarter has failed; not said of a few. */
const quarterOf = (steps: ReturnType<typeof kaplanMeier>, failures: number): number | null =>
  failures < DEFAULTS.failuresForSpread
    ? null
    : (steps.find((s) => s.survival <= 0.75 + 1e-12)?.minutes ?? null);

/** How many minutes an edge set does before it is used up, whatever used it up, and on what that rests. */
export interface Consumption {
  minutesPerEdge: number;
  /** Edge sets used up that it was seen on. */
  edges: number;
  basis: 'used up here' | 'used up here and the assumed life' | 'assumed';
  /** Standard deviation over mean, of the edges or assumed (DEFAULTS.spreadOfLives). */
  spread: number;
  /** It rests on a guess more than on what was seen. */
  guess: boolean;
  because: Because;
}

/**
 * What to buy by: total minutes over edge sets used up, every ending that consumes one counted, also a planned change,
 * a crash or a loss; beside the assumed life, which counts as `DEFAULTS.assumedCountsAs` edges and fades. Running ones
 * are not used up and count nothing. null: cannot say. Plain arithmetic; the weight is a stated choice (practice).
 * Example: three planned changes at 20 and one crash at 4: 64 / 4 = 16 min an edge, where none has failed.
 */
export function consumption(lives: readonly LifeTime[], assumed: AssumedLife | null): Consumption | null {
  const used = lives.filter((l) => !l.running).map((l) => l.minutes);
  const total = used.reduce((sum, m) => sum + m, 0);
  const k = assumedCounts(assumed);
  const minutes = (k * (assumed?.minutes ?? 0) + total) / (k + used.length);
  if (!(minutes > 0)) return null;
  return {
    minutesPerEdge: minutes,
    edges: used.length,
    basis: !assumed ? 'used up here' : used.length ? 'used up here and the assumed life' : 'assumed',
    spread: spreadOf(used),
    guess: assumed?.guess === true && used.length < k,
    because: {
      words: 'Every ending that uses an edge up counts: worn, planned, crashed or lost.',
      formula: assumed
        ? `(${figure(k)} × assumed + total minutes) / (${figure(k)} + edges used up)`
        : 'total minutes / edges used up',
      values: [
        { name: 'total minutes', value: total.toFixed(1) },
        { name: 'edges used up', value: String(used.length) },
        ...saidOf(assumed),
      ],
    },
  };
}

/** Standard deviation over mean of enough lives; of fewer the usual one. */
function spreadOf(minutes: readonly number[]): number {
  const mean = minutes.reduce((sum, m) => sum + m, 0) / minutes.length;
  if (minutes.length < DEFAULTS.failuresForSpread || !(mean > 0)) return DEFAULTS.spreadOfLives;
  const variance = minutes.reduce((sum, m) => sum + (m - mean) ** 2, 0) / (minutes.length - 1);
  return Math.sqrt(variance) / mean;
}
