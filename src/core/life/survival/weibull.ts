import { chiSquareQuantile, gamma, rootOf } from '@/core/statistics';
import type { LifeTime } from '../endings';

/** A Weibull law of lives, S(t) = exp(−(t / scale)^shape), as likely as the lives make it. */
export interface Weibull {
  shape: number;
  /** Minutes by which 63.2 % have failed. */
  scale: number;
}

/** The same with what its doubts are reckoned from. */
export interface WeibullFit extends Weibull {
  /** Log-likelihood on the scale of minutes. */
  loglik: number;
  shapeSe: number;
  scaleSe: number;
  covLogScaleLogShape: number;
  /** Variances of ln scale and ln shape, from the observed information. */
  varLogScale: number;
  varLogShape: number;
  /** Mean minutes to a failure, scale Γ(1 + 1/shape). */
  mean: number;
  failures: number;
  /** How often the lives were gone over to find it. */
  passes: number;
}

/** Why no Weibull law can be said of some lives. */
export type NoFit =
  'no life has failed' | 'every failure is at the longest life' | 'a life failed at 0 minutes';

/**
 * What the likelihood needs of the lives: their logs below the longest one's, so that no power overflows, and the sum of
 * those that failed.
 */
interface Logs {
  longest: number;
  /** ln(t / longest), at most 0, of every life with minutes. */
  all: Float64Array;
  failed: Float64Array;
  sumFailed: number;
}

function logsOf(lives: readonly LifeTime[]): Logs {
  const cut = lives.filter((l) => l.minutes > 0);
  const longest = cut.reduce((most, l) => Math.max(most, l.minutes), 0);
  const failed = Float64Array.from(
    cut.filter((l) => l.failed),
    (l) => Math.log(l.minutes / longest),
  );
  return {
    longest,
    all: Float64Array.from(cut, (l) => Math.log(l.minutes / longest)),
    failed,
    sumFailed: failed.reduce((sum, u) => sum + u, 0),
  };
}

/** Sums of (t / longest)^shape times 1, the log, and its square, over all lives: one exponential a life. */
function powers(all: Float64Array, shape: number): [w0: number, w1: number, w2: number] {
  let [w0, w1, w2] = [0, 0, 0];
  for (const u of all) {
    const p = Math.exp(shape * u);
    w0 += p;
    w1 += p * u;
    w2 += p * u * u;
  }
  return [w0, w1, w2];
}

/**
 * Weibull law by maximum likelihood, those that did not fail as censored (running ones too); lives of 0 minutes that did
 * not fail say nothing. A law exists only where a failure is earlier than the longest life. The score in the shape falls
 * steadily, so Newton's steps in ln shape, held between two bounds, find its only zero in about six passes over the lives.
 * Source: Meeker and Escobar, Statistical Methods for Reliability Data (1998), chapter 8.
 * Throws RangeError on a negative or non-finite time. Example: failures at 10, 20, 30, 40: shape 2.453, scale 28.29.
 */
export function fitWeibull(lives: readonly LifeTime[]): WeibullFit | NoFit {
  for (const { minutes } of lives)
    if (!(Number.isFinite(minutes) && minutes >= 0))
      throw new RangeError(`a life of ${minutes} minutes: 0 or more is needed`);
  const failures = lives.filter((l) => l.failed).length;
  if (failures === 0) return 'no life has failed';
  if (lives.some((l) => l.failed && l.minutes === 0)) return 'a life failed at 0 minutes';
  const logs = logsOf(lives);
  if (logs.failed.every((u) => u === 0)) return 'every failure is at the longest life';
  const [shape, passes] = likeliestShape(logs);
  return fitAt(logs, shape, passes);
}

function likeliestShape({ all, sumFailed, failed }: Logs): [shape: number, passes: number] {
  const mean = sumFailed / failed.length;
  // By moments of the logs: of failures alone, sd(ln t) = 1.28 / shape. Never far off, and the bounds do the rest.
  let k = Math.log(Math.min(50, Math.max(0.2, -1 / (mean || -1))));
  let [low, high] = [Math.log(1e-4), Math.log(1e6)];
  for (let i = 0; i < 60; i += 1) {
    const shape = Math.exp(k);
    const [w0, w1, w2] = powers(all, shape);
    const ratio = w1 / w0;
    const score = 1 / shape + mean - ratio;
    if (score > 0) low = k;
    else high = k;
    const slope = -1 / (shape * shape) - (w2 / w0 - ratio * ratio);
    const step = score / (slope * shape);
    const next = k - step;
    if (Math.abs(step) < 1e-12) return [shape, i + 1];
    k = next > low && next < high ? next : (low + high) / 2;
  }
  return [Math.exp(k), 60];
}

/** Log-likelihood of a shape with its own best scale. */
function profile({ all, failed, sumFailed, longest }: Logs, shape: number): number {
  const r = failed.length;
  const [w0] = powers(all, shape);
  return r * Math.log((shape * r) / w0) + (shape - 1) * sumFailed - r - r * Math.log(longest);
}

function fitAt(logs: Logs, shape: number, passes: number): WeibullFit {
  const r = logs.failed.length;
  const [w0] = powers(logs.all, shape);
  const logScale = Math.log(w0 / r) / shape;
  // Observed information in ln scale and ln shape; z = shape ln(t / scale), and the score is 0 here.
  let [ze, zze] = [0, 0];
  for (const u of logs.all) {
    const z = shape * (u - logScale);
    const e = Math.exp(z);
    ze += z * e;
    zze += z * z * e;
  }
  const [ss, sk, kk] = [shape * shape * r, -shape * ze, r + zze];
  const det = ss * kk - sk * sk;
  const scale = Math.exp(logScale) * logs.longest;
  return {
    shape,
    scale,
    loglik: profile(logs, shape),
    shapeSe: shape * Math.sqrt(ss / det),
    scaleSe: scale * Math.sqrt(kk / det),
    covLogScaleLogShape: -sk / det,
    varLogScale: kk / det,
    varLogShape: ss / det,
    mean: weibullMean({ shape, scale }),
    failures: r,
    // Its own three beside those of the search: the scale, the information, the likelihood.
    passes: passes + 3,
  };
}

/** Mean life of a Weibull law, minutes. Example: shape 2, scale 100: 88.62. */
export const weibullMean = ({ shape, scale }: Weibull): number => scale * gamma(1 + 1 / shape);

/** Share that has not failed after so many minutes. Example: at the scale, 0.3679. */
export const weibullSurvival = ({ shape, scale }: Weibull, minutes: number): number =>
  Math.exp(-((minutes / scale) ** shape));

/** Minutes by which a share has failed, 0 < share < 1. Example: shape 1, scale 10, a half: 6.931. */
export const weibullQuantile = ({ shape, scale }: Weibull, share: number): number =>
  scale * (-Math.log(1 - share)) ** (1 / shape);

/** Standard error of those minutes, by the delta method. Source: Meeker and Escobar (1998), chapter 8. */
export function quantileSe(fit: WeibullFit, share: number): number {
  const slope = Math.log(-Math.log(1 - share)) / fit.shape;
  const variance = fit.varLogScale - 2 * slope * fit.covLogScaleLogShape + slope * slope * fit.varLogShape;
  return weibullQuantile(fit, share) * Math.sqrt(variance);
}

/** Two ends of an interval; null: open on that side. */
export type OpenInterval = [from: number | null, to: number | null];

/** How much less likely than the best a value may be and still stand inside an interval of that chance. */
const drop = (chance: number) => chiSquareQuantile(chance, 1) / 2;
/** ln shape is looked for this far on both sides of the best. */
const FAR = 12;

/**
 * Shapes that the lives leave likely, by the profile likelihood ratio; `fit` is of the same lives. Where the likelihood
 * never falls so far on a side, that end is null. Source: Meeker and Escobar (1998), chapter 8.
 */
export function shapeInterval(lives: readonly LifeTime[], fit: WeibullFit, chance = 0.95): OpenInterval {
  const logs = logsOf(lives);
  const least = fit.loglik - drop(chance);
  return ends(Math.log(fit.shape), (k) => profile(logs, Math.exp(k)) - least);
}

/**
 * The same of the minutes by which a share has failed: for each such time the likeliest shape is taken.
 * Example: the median's interval is quantileInterval(lives, fit, 0.5).
 */
export function quantileInterval(
  lives: readonly LifeTime[],
  fit: WeibullFit,
  share: number,
  chance = 0.95,
): OpenInterval {
  const logs = logsOf(lives);
  const least = fit.loglik - drop(chance);
  const w = Math.log(-Math.log(1 - share));
  const best = Math.log(weibullQuantile(fit, share) / logs.longest);
  const [from, to] = ends(best, (q) => likeliestThrough(logs, q, w) - least);
  return [from && from * logs.longest, to && to * logs.longest];
}

/** Log-likelihood of the best law by which a share has failed at exp(q) x longest; w = ln(−ln(1 − share)). */
function likeliestThrough({ all, failed, sumFailed, longest }: Logs, q: number, w: number): number {
  const r = failed.length;
  const score = (k: number) => {
    const shape = Math.exp(k);
    let sum = r / shape + sumFailed - r * q;
    for (const u of all) sum -= (u - q) * Math.exp(Math.min(700, shape * (u - q) + w));
    return sum;
  };
  // The score falls steadily in the shape.
  const k = score(Math.log(1e-4)) <= 0 ? Math.log(1e-4) : rootOf(score, Math.log(1e-4), Math.log(1e4), 1e-9);
  const shape = Math.exp(k);
  let value = r * k + shape * (sumFailed - r * q) + r * w - sumFailed - r * Math.log(longest);
  for (const u of all) value -= Math.exp(Math.min(700, shape * (u - q) + w));
  return value;
}

/** Where a curve that is over 0 at its top comes down to 0 on both sides, as exponentials. */
function ends(top: number, over: (x: number) => number): OpenInterval {
  const side = (sign: 1 | -1) => {
    for (let step = 0.25; step <= FAR; step *= 2)
      if (over(top + sign * step) < 0) return Math.exp(rootOf(over, top, top + sign * step, 1e-10));
    return null;
  };
  return [side(-1), side(1)];
}
