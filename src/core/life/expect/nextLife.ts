import { gamma, logGamma, rootOf } from '@/core/statistics';
import type { Because } from '../../because';
import { DEFAULTS } from '../../defaults';
import type { LifeTime } from '../endings';
import type { Weight } from './otherLives';
import { assumedCounts, type AssumedLife, saidOf } from './expectLife';

/** What the next fresh edge set will do, with its doubt. */
export interface NextLife {
  /** It fails between these with `chance`, as often earlier as later. */
  from: number;
  to: number;
  chance: number;
  /** As likely to fail before as after. */
  middle: number;
  /** Mean life of all such cutters, as likely to be more as less. */
  mean: number;
  /** The likeliest Weibull shapes weighed: their mean. */
  shape: number;
  /** Share that has not failed after some minutes. */
  survival(minutes: number): number;
  /** Minutes by which a share of them has failed; over 0, under 1. */
  by(share: number): number;
  because: Because;
}

/** Shapes that are weighed: from 0.37 to 17, which is 3.8 spreads on both sides of the usual one. */
const SHAPES = Array.from({ length: 61 }, (_, i) => {
  const z = ((i - 30) / 30) * 3.8;
  return {
    shape: DEFAULTS.shapeOfLives * Math.exp(z * DEFAULTS.shapeOfLivesSpread),
    logPrior: (-z * z) / 2,
  };
});

/**
 * The next life, from the lives of a cutter in a material and what was assumed of it. Every Weibull shape is weighed by how
 * well it suits both; at each shape the scale is not estimated but averaged over (its conjugate gamma law), so that few
 * lives give a wide interval and not a wrong one. The assumed mean m counts as k lives that failed: it adds k to the
 * failures and exp(ψ(k)) (m / Γ(1 + 1/shape))^shape to the sum of t^shape, so that with nothing seen the mean is m, and it
 * fades as lives are seen. Of the shape it is assumed
 * that it is about DEFAULTS.shapeOfLives. null: no failure and nothing assumed, so there is no upper end.
 * One pass over the lives for each of 61 shapes.
 * Sources: Weibull with censoring as in Meeker and Escobar (1998), chapter 14; with nothing assumed the scale has the
 * invariant law under which such intervals keep their chance.
 * Throws RangeError on a negative or non-finite time.
 * Example: nothing seen, 40 min assumed that count as 3: 9.5 to 89 min with 90 %.
 */
export function nextLife(
  lives: readonly LifeTime[],
  assumed: AssumedLife | null,
  chance: number = DEFAULTS.nextLifeChance,
): NextLife | null {
  for (const { minutes } of lives)
    if (!(Number.isFinite(minutes) && minutes >= 0))
      throw new RangeError(`a life of ${minutes} minutes: 0 or more is needed`);
  const k = assumedCounts(assumed);
  // A failure at 0 has no density in this law; it stands as one in its first second.
  const seen = lives
    .filter((l) => l.minutes > 0 || l.failed)
    .map((l) => ({ ...l, minutes: Math.max(l.minutes, 1 / 60) }));
  const failed = seen.filter((l) => l.failed);
  const r = failed.length + k;
  if (!(r > 0)) return null;
  const unit = Math.max(
    assumed?.minutes ?? 0,
    seen.reduce((most, l) => Math.max(most, l.minutes), 0),
  );
  const logs = seen.map((l) => Math.log(l.minutes / unit));
  const sumFailed = failed.reduce((sum, l) => sum + Math.log(l.minutes / unit), 0);

  const weighed = SHAPES.map(({ shape, logPrior }) => {
    const mean = gamma(1 + 1 / shape);
    const prior = assumed && k > 0 ? Math.exp(digamma(k)) * (assumed.minutes / unit / mean) ** shape : 0;
    let sum = prior;
    for (const u of logs) sum += Math.exp(shape * u);
    const log =
      logPrior +
      failed.length * Math.log(shape) +
      shape * sumFailed +
      (prior > 0 ? k * Math.log(prior) : 0) -
      r * Math.log(sum) -
      // With nothing assumed the scale's invariant law leaves one more power of the shape out.
      (prior > 0 ? 0 : Math.log(shape));
    return { shape, mean, sum, log };
  });
  const top = weighed.reduce((most, w) => Math.max(most, w.log), -Infinity);
  const total = weighed.reduce((sum, w) => sum + Math.exp(w.log - top), 0);
  const laws = weighed.map((w) => ({ ...w, weight: Math.exp(w.log - top) / total }));

  const survival = (minutes: number) => {
    const u = Math.log(minutes / unit);
    return laws.reduce((s, w) => s + w.weight * Math.exp(-r * Math.log1p(Math.exp(w.shape * u) / w.sum)), 0);
  };
  const fallsTo = (share: number, [low, high]: readonly [number, number] = [-300, 300]) =>
    unit * Math.exp(rootOf((x) => survival(unit * Math.exp(x)) - share, low, high, 1e-9));
  const [from, to] = [fallsTo((1 + chance) / 2), fallsTo((1 - chance) / 2)];
  // Most shares that are asked for lie between these: found there in a few steps.
  const within = [Math.log(from / unit) - 1e-6, Math.log(to / unit) + 1e-6] as const;
  return {
    from,
    to,
    chance,
    middle: fallsTo(0.5),
    mean: unit * Math.exp(laws.reduce((sum, w) => sum + w.weight * logMean(w, r), 0)),
    shape: laws.reduce((sum, w) => sum + w.weight * w.shape, 0),
    survival,
    by: (share) =>
      share > (1 - chance) / 2 && share < (1 + chance) / 2 ? fallsTo(1 - share, within) : fallsTo(1 - share),
    because: whyNext(seen, failed.length, assumed, chance),
  };
}

const whyNext = (
  seen: readonly LifeTime[],
  failures: number,
  assumed: AssumedLife | null,
  chance: number,
): Because => ({
  words: `${Math.round(chance * 100)} % of the next ones fail between these, as often earlier as later. Few lives leave it wide.`,
  formula: 'each Weibull shape weighed by how well it suits the lives, each scale by how likely it is then',
  values: [
    { name: 'lives', value: String(seen.length) },
    { name: 'of them failed', value: String(failures) },
    ...saidOf(assumed),
    {
      name: 'shape until the lives say it',
      value: `about ${DEFAULTS.shapeOfLives}`,
      source: 'practice',
    },
  ],
});

/**
 * Mean of the logarithm of the mean life at a shape: ln scale is (ln sum − ln g) / shape with g of a gamma law of r, whose
 * logarithm is ψ(r) in the mean.
 */
const logMean = (w: { shape: number; mean: number; sum: number }, r: number) =>
  Math.log(w.mean) + (Math.log(w.sum) - digamma(r)) / w.shape;

/** Derivative of ln Γ, by the difference of ln Γ over a small step; x over 0. */
const digamma = (x: number): number => {
  const step = x * 1e-4;
  return (logGamma(x + step) - logGamma(x - step)) / (2 * step);
};

/** How right an assumed life was: what was assumed, and what the lives here came to. */
export interface AssumedAgainstSeen {
  assumed: number;
  seen: number;
  /** Failures behind what was seen. */
  failures: number;
}

/**
 * As how many lives an assumed life should count in this shop: its logarithm was off by a spread t beside what few lives
 * are off by themselves, so it is worth (spread of a life / t)² lives. Until DEFAULTS.assumedLearntFrom cutters say so,
 * `usual`. Source: random effects by moments, as DerSimonian and Laird (1986), from memory.
 * Example: five cutters that all did what was assumed: 15, the most it may count.
 */
export function assumedWeight(
  history: readonly AssumedAgainstSeen[],
  usual: number = DEFAULTS.assumedCountsAs,
): Weight {
  const told = history.filter((h) => h.failures > 0 && h.assumed > 0 && h.seen > 0);
  if (told.length < DEFAULTS.assumedLearntFrom) return { countsAs: usual, learntFrom: told.length };
  const one = DEFAULTS.spreadOfLives ** 2;
  const off =
    told.reduce((sum, h) => sum + Math.log(h.seen / h.assumed) ** 2 - one / h.failures, 0) / told.length;
  const [least, most] = DEFAULTS.assumedCountsBetween;
  const countsAs = off > 0 ? one / off : most;
  return { countsAs: Math.min(most, Math.max(least, countsAs)), learntFrom: told.length };
}
