import { chiSquareBeyond, chiSquareQuantile, rootOf } from '@/core/statistics';
import type { Because } from '../../because';
import { DEFAULTS } from '../../defaults';
import type { LifeTime } from '../endings';
import { fitWeibull, weibullMean } from '../survival/weibull';
import { cheapestSpeed, type CutCosts } from '../change/taylor';
import { type Likely, meanOf } from './compareLives';

/** A life with the speed it was cut at, m/min; null: it is of no one speed, or nobody knows. */
export interface LifeAtSpeed {
  speed: number | null;
  life: LifeTime;
}

/** Lives of about one speed. */
export interface SpeedGroup {
  /** m/min, the slowest and the fastest of them. */
  from: number;
  to: number;
  lives: number;
  failed: number;
  /** Mean minutes to a failure; null: too few failed. */
  mean: Likely | null;
}

/** How life goes with speed: T is proportional to V^−(1/n), all spread alike at every speed. */
export interface SpeedLaw {
  /** Taylor's exponent. */
  n: Likely;
  /** Mean life, minutes, in the middle of the speeds that were cut, m/min: through it the law goes whatever n is. */
  middle: { speed: number; minutes: number };
  /** The slowest and the fastest that were cut, m/min. */
  seen: readonly [from: number, to: number];
  /** Weibull shape that all speeds share. */
  shape: number;
  /** Chance of so great a difference if speed did not matter. */
  p: number;
}

export interface LivesBySpeed {
  groups: SpeedGroup[];
  /** Lives that are of no one speed. */
  apart: number;
  /** The law, where it is told that faster lasts less. */
  law: SpeedLaw | null;
  /** Why there is no law; null: there is. */
  noLaw: string | null;
  because: Because;
}

/** Life is looked for to fall with the speed by these powers at most: n from 0.033. */
const POWERS = [-10, 30] as const;
/** Lives of such a shape lie on the law itself: too few to have a spread. */
const SHAPE_OF_NONE = 100;
const CHANCE = 0.95;

/**
 * Lives of a cutter in a material by the speed they were cut at, and Taylor's law through them by maximum likelihood, so that
 * those that did not fail count as lasting at least so long: Weibull with one shape and a scale that goes with V^−m, n = 1/m.
 * Limits are the likelihood's, 95 %. A law is said only where a speed makes a difference that is no chance (under 5 %).
 * Sources: Taylor (1907); Meeker and Escobar, Statistical Methods for Reliability Data (1998), chapter 17.
 * Throws RangeError where a speed is not over 0. Example: of lives at one speed no law.
 */
export function livesBySpeed(all: readonly LifeAtSpeed[]): LivesBySpeed {
  const known = all
    .flatMap(({ speed, life }) => (speed === null ? [] : [{ speed, life }]))
    .toSorted((a, b) => a.speed - b.speed);
  const wrong = known.find((l) => !(l.speed > 0 && Number.isFinite(l.speed)));
  if (wrong) throw new RangeError(`a speed of ${wrong.speed}: more than 0 is needed`);
  const groups = speedGroups(known);
  const failedIn = groups.map((g) => g.filter((l) => l.life.failed).length);
  const law =
    failedIn.filter((n) => n >= 2).length < 2 || sum(failedIn) < DEFAULTS.failuresForSpread
      ? `too few have failed: ${DEFAULTS.failuresForSpread} at two speeds would tell`
      : lawThrough(known);
  return {
    groups: groups.map((g, i) => ({
      from: g[0]?.speed ?? 0,
      to: g.at(-1)?.speed ?? 0,
      lives: g.length,
      failed: failedIn[i] ?? 0,
      mean: meanOf(g.map((l) => l.life)),
    })),
    apart: all.length - known.length,
    law: typeof law === 'string' ? null : law,
    noLaw: typeof law === 'string' ? law : null,
    because: {
      words:
        'Lives that did not fail count as lasting at least so long. The chance is that of a difference as great if speed did not matter.',
      formula: 'V · T^n = C; Weibull lives of one shape, by maximum likelihood',
      values: [
        { name: 'lives at a known speed', value: String(known.length) },
        { name: 'of them failed', value: String(sum(failedIn)) },
      ],
    },
  };
}

/** Lives of known speeds by speed, the slowest first: none more than a twentieth above the slowest of its group. */
export function speedGroups<T extends { speed: number }>(known: readonly T[]): T[][] {
  const groups: T[][] = [];
  for (const one of known.toSorted((a, b) => a.speed - b.speed)) {
    const group = groups.at(-1);
    const slowest = group?.[0];
    if (group && slowest && one.speed <= slowest.speed * (1 + DEFAULTS.speedsAlike)) group.push(one);
    else groups.push([one]);
  }
  return groups;
}

const sum = (of: readonly number[]): number => of.reduce((total, n) => total + n, 0);

/** The law through lives at speeds over 0, or why none is said. */
function lawThrough(lives: readonly { speed: number; life: LifeTime }[]): SpeedLaw | string {
  // In the middle of the speeds, so that slope and height are told apart.
  const logs = lives.map((l) => Math.log(l.speed));
  const middle = sum(logs) / logs.length;
  const off = logs.map((log) => log - middle);
  const offFailed = sum(off.filter((_, i) => lives[i]?.life.failed));
  /** The lives as they would be at the middle speed if life fell with its power m. */
  const at = (m: number) =>
    fitWeibull(
      lives.map(({ life }, i) => ({ ...life, minutes: life.minutes * Math.exp(m * (off[i] ?? 0)) })),
    );
  /** Log-likelihood of the lives as they are: each stretched minute is that much longer. */
  const likely = (m: number): number => {
    const fit = at(m);
    return typeof fit === 'string' ? -Infinity : fit.loglik + m * offFailed;
  };
  /** How the likelihood rises with m; a fit that fails is on the law itself, which is its top. */
  const score = (m: number): number => {
    const fit = at(m);
    if (typeof fit === 'string') return 0;
    const [scale, shape] = [Math.log(fit.scale), fit.shape];
    const stretched = lives.map(({ life }, i) => {
      const of = off[i] ?? 0;
      return life.minutes > 0 ? of * Math.exp(shape * (Math.log(life.minutes) + m * of - scale)) : 0;
    });
    return shape * (offFailed - sum(stretched));
  };
  const m = likeliest(score);
  const fit = at(m);
  if (typeof fit === 'string' || fit.shape > SHAPE_OF_NONE) return 'the lives leave it open';
  const best = likely(m);
  const p = chiSquareBeyond(2 * (best - likely(0)));
  const least = best - chiSquareQuantile(CHANCE, 1) / 2;
  /** Where the likelihood comes down to its limit on one side; null: not within what is looked for. */
  const limit = (end: number): number | null =>
    likely(end) < least ? rootOf((x) => Math.max(likely(x), least - 1e6) - least, m, end, 1e-9) : null;
  const [low, high] = [limit(POWERS[0]), limit(POWERS[1])];
  if (m <= 0 || p >= 1 - CHANCE || low === null || low <= 0)
    return m > 0 ? 'the lives do not tell the speeds apart' : 'faster does not last less here: no Taylor law';
  const n = 1 / m;
  return {
    n: { value: n, from: high === null ? 1 / POWERS[1] : 1 / high, to: 1 / low },
    middle: { speed: Math.exp(middle), minutes: weibullMean(fit) },
    seen: [Math.min(...lives.map((l) => l.speed)), Math.max(...lives.map((l) => l.speed))],
    shape: fit.shape,
    p,
  };
}

/**
 * Where the likelihood is greatest, by its score, which falls through 0 once: a Weibull law with one shape has one best power
 * (its likelihood is concave in power / shape and 1 / shape). Rises or falls it all the way, at that end.
 * Source: Meeker and Escobar (1998), chapter 17; Burridge, J. R. Stat. Soc. B 43 (1981) 41-45, from memory.
 */
function likeliest(score: (m: number) => number): number {
  const [from, to] = POWERS;
  if (score(from) <= 0) return from;
  if (score(to) >= 0) return to;
  return rootOf(score, from, to, 1e-11);
}

/** The speed at which a part costs least, m/min, with what n leaves likely. */
export interface CheapestSpeed {
  value: number;
  from: number;
  /** null: n may be 1 or more, and then faster is always cheaper. */
  to: number | null;
  /** Mean life there, minutes. */
  minutes: number;
  /** It is outside the speeds that were cut: nobody has seen what happens there. */
  beyond: 'slower' | 'faster' | null;
}

/**
 * Where a part costs least by the law and by what a change costs; null: n is no such as has a cheapest speed (1 or more).
 * Source: as for `cheapestSpeed`. Example: n 0.25 through 25 min at 160 m/min, an edge of 12, a minute of 1.2, 3 min to change:
 * 39 min at 143 m/min.
 */
export function cheapestAt({ n, middle, seen }: SpeedLaw, costs: CutCosts): CheapestSpeed | null {
  const by = (exponent: number) =>
    exponent < 1
      ? cheapestSpeed({ n: exponent, C: middle.speed * middle.minutes ** exponent }, costs).cheapest
      : null;
  const [best, ...limits] = [by(n.value), by(n.from), by(n.to)];
  if (!best) return null;
  const speeds = [best, ...limits].flatMap((x) => (x ? [x.speed] : []));
  return {
    value: best.speed,
    from: Math.min(...speeds),
    to: n.to < 1 ? Math.max(...speeds) : null,
    minutes: best.minutes,
    beyond: best.speed < seen[0] ? 'slower' : best.speed > seen[1] ? 'faster' : null,
  };
}
