import type { Because } from '../../because';
import { logGamma, normalQuantile, tQuantile } from '@/core/statistics';
import type { LifeTime } from '../endings';
import { fitWeibull } from '../survival/weibull';
import { inOrder, type LogRank, logRank, logRankInOrder } from './logRank';

/** A figure with its 95 % limits. */
export interface Likely {
  value: number;
  from: number;
  to: number;
}

/** Two kinds of cutters (or of anything lives are of) beside each other. */
export interface LivesCompared {
  /** Chance of so great a difference if both lasted alike (log-rank); null: nothing to compare has failed. */
  p: number | null;
  /** Which lasts longer, where that chance is under 5 %. */
  longer: 'first' | 'second' | null;
  /** How many times as long the first lasts as the second; what the lives leave open is null. */
  times: { value: number | null; from: number | null; to: number | null } | null;
  /** Mean minutes to a failure of each, by its own Weibull law; null: none can be said. */
  means: { first: Likely | null; second: Likely | null };
  /**
   * How many more failures of each would tell them apart in four of five tries, if they differ as it looks now; 0: they are
   * told apart; null: cannot say, or more than MOST_MORE.
   */
  moreFailures: number | null;
  because: Because;
}

const CHANCE = 0.95;
/** Nobody plans for more: so alike that it does not matter which. */
const MOST_MORE = 200;
/** Told apart in so many of all tries. */
const POWER = 0.8;

/**
 * Whether two kinds last alike, how many times as long the one lasts as the other, and how many more failures would tell.
 * All of it is of one test, so that no part says other than the rest: the times are those by which the first would have to
 * be divided for the log-rank test to see no difference, their limits those at which it begins to see one.
 * Sources: log-rank, Mantel (1966); times by it, Louis, Biometrika 68 (1981) 381-390; failures that tell, Schoenfeld,
 * Biometrika 68 (1981) 316-319; means, Meeker and Escobar (1998), chapter 8.
 * Throws RangeError on a negative or non-finite time.
 * Example: failures at 10, 20, 30, 40 against 20, 40, 60, 80: half as long, 0.17 to 1.5, so that nothing is told yet.
 */
export function compareLives(first: readonly LifeTime[], second: readonly LifeTime[]): LivesCompared {
  const rank = logRank(first, second);
  const told = rank.p !== null && rank.p < 1 - CHANCE;
  return {
    p: rank.p,
    longer: !told ? null : rank.observed[0] < rank.expected[0] ? 'first' : 'second',
    times: rank.p === null ? null : timesAsLong(first, second),
    means: { first: meanOf(first), second: meanOf(second) },
    moreFailures: told ? 0 : failuresToTell(rank),
    because: {
      words:
        'The chance is that of a difference as great or greater if both lasted alike. The times are those that this test leaves likely.',
      formula: 'log-rank: (failed − expected)² / variance, one degree of freedom',
      values: [
        { name: 'lives', value: `${first.length} and ${second.length}` },
        { name: 'failed', value: `${rank.observed[0]} and ${rank.observed[1]}` },
        {
          name: 'expected if alike',
          value: `${rank.expected[0].toFixed(1)} and ${rank.expected[1].toFixed(1)}`,
        },
      ],
    },
  };
}

/**
 * How many more failures of each would tell two kinds apart, if they differ as they did so far; null: they do not differ, or
 * more than MOST_MORE. The test's statistic with its sign grows with the root of the failures. Source: Schoenfeld, Biometrika 68
 * (1981) 316-319.
 */
export function failuresToTell({ chiSquare, observed }: LogRank): number | null {
  if (!chiSquare) return null;
  const wanted = (normalQuantile((1 + CHANCE) / 2) + normalQuantile(POWER)) ** 2;
  const each = Math.ceil(((observed[0] + observed[1]) / 2) * (wanted / chiSquare - 1));
  return each <= MOST_MORE ? Math.max(1, each) : null;
}

/** The times are looked for to this part of themselves. */
const WITHIN = 1e-9;

/**
 * The test sees only which came before which: it says the same of all times between two at which a life of the first, divided,
 * passes one of the second, and grows from each such to the next. Looked for by halving, from 1 on, where the answer is
 * known already; no more goes over the lives than that takes, however many they are.
 */
function timesAsLong(first: readonly LifeTime[], second: readonly LifeTime[]): LivesCompared['times'] {
  const [a, b] = [first, second].map((lives) => lives.map((l) => l.minutes).filter((m) => m > 0));
  const logs = (of: readonly number[] = []) => of.map(Math.log);
  const [la, lb] = [ends(logs(a)), ends(logs(b))];
  if (!la || !lb) return null;
  const [firstInOrder, secondInOrder] = [inOrder(first), inOrder(second)];
  /** Over 0 where the first, divided, fails sooner than it is to be expected. */
  const seen = (log: number) => {
    const { observed, expected, variance } = logRankInOrder(
      ...[firstInOrder, secondInOrder],
      Math.max(Math.exp(log), Number.MIN_VALUE),
    );
    return variance > 0 ? (observed[0] - expected[0]) / Math.sqrt(variance) : 0;
  };
  // Beyond these every life of the one is before every life of the other.
  const [least, most] = [la[0] - lb[1] - 0.1, la[1] - lb[0] + 0.1];
  /** Where it comes over a level; null: it never does, or is over it from the first on. */
  const over = (level: number): number | null => {
    let [low, high] = [least, most];
    if (!(seen(low) < level && seen(high) > level)) return null;
    for (let at = low < 0 && high > 0 ? 0 : (low + high) / 2; high - low > WITHIN; at = (low + high) / 2)
      if (seen(at) < level) low = at;
      else high = at;
    return Math.exp((low + high) / 2);
  };
  const z = normalQuantile((1 + CHANCE) / 2);
  const times = { value: over(0), from: over(-z), to: over(z) };
  return times.value === null && times.from === null && times.to === null ? null : times;
}

/** The least and the most; null of none. */
const ends = (of: readonly number[]): [least: number, most: number] | null =>
  of.length
    ? of.reduce<[number, number]>(([l, m], x) => [Math.min(l, x), Math.max(m, x)], [Infinity, -Infinity])
    : null;

/**
 * Mean life by the Weibull law of some lives, with limits by the information of logarithms. Few failures make that information
 * look better than it is (of five lives 95 % limits held 84 %): it counts as of one failure fewer, by Student's t, as with a
 * mean and its spread; then they hold 94 to 98 % from two failures on, by simulation.
 */
export function meanOf(lives: readonly LifeTime[]): Likely | null {
  const failures = lives.filter((l) => l.failed).length;
  if (failures < 2) return null;
  const fit = fitWeibull(lives);
  if (typeof fit === 'string') return null;
  // Mean = scale Γ(1 + 1/shape): how its logarithm goes with ln shape.
  const step = 1e-5;
  const logMean = (k: number) => logGamma(1 + 1 / (fit.shape * Math.exp(k)));
  const slope = (logMean(step) - logMean(-step)) / (2 * step);
  const variance = fit.varLogScale + 2 * slope * fit.covLogScaleLogShape + slope * slope * fit.varLogShape;
  const off =
    tQuantile((1 + CHANCE) / 2, failures - 1) *
    Math.sqrt((Math.max(0, variance) * failures) / (failures - 1));
  const likely = { value: fit.mean, from: fit.mean * Math.exp(-off), to: fit.mean * Math.exp(off) };
  return Object.values(likely).every(Number.isFinite) ? likely : null;
}
