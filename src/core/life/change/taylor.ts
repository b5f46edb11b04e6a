import { lineThrough, tQuantile } from '@/core/statistics';
import type { Interval } from '../wear/wearCrossing';

/** Taylor's law of life and speed, V T^n = C; V and C in one measure (m/min or ft/min), T in minutes. */
export interface Taylor {
  n: number;
  C: number;
}

/** The law through lives at several speeds, with its doubts. */
export interface TaylorFit extends Taylor {
  /** ln T = a + b ln V. */
  a: number;
  b: number;
  r2: number;
  s: number | null;
  bSe: number | null;
  nSe: number | null;
  /** 95 %; null: two lives, or a slope that may be 0. */
  nInterval: Interval | null;
  /** Life grows with speed here: these are figures, but no Taylor law. */
  notTaylor: boolean;
  /** Median life at a speed with 95 % limits of the law and of a single new cutter. */
  at(speed: number): { life: number; ofTheLaw: Interval | null; ofOne: Interval | null };
}

/**
 * Least squares of ln T on ln V: life is what varies by chance. Source: Taylor (1907); regression as in Draper and Smith.
 * Throws RangeError where speeds or lives are not over 0, or where fewer than two different speeds are given.
 * Example: 160 m/min for 5 min and 100 for 41: n 0.2234, C 229.2.
 */
export function fitTaylor(lives: readonly { speed: number; minutes: number }[]): TaylorFit {
  for (const { speed, minutes } of lives) {
    if (!(speed > 0)) throw new RangeError(`a speed of ${speed}: more than 0 is needed`);
    if (!(minutes > 0)) throw new RangeError(`a life of ${minutes} minutes: more than 0 is needed`);
  }
  const line = lineThrough(lives.map((l) => [Math.log(l.speed), Math.log(l.minutes)] as const));
  if (!line) throw new RangeError('at least two different speeds are needed');
  const { intercept: a, slope: b, slopeSe: bSe, s } = line;
  const q = line.n > 2 ? tQuantile(0.975, line.n - 2) : null;
  const clear = bSe !== null && q !== null && Math.abs(b) > q * bSe;
  return {
    n: -1 / b,
    C: Math.exp(-a / b),
    a,
    b,
    r2: line.r2,
    s,
    bSe,
    nSe: bSe === null ? null : bSe / b ** 2,
    nInterval: clear ? [-1 / (b - q * bSe), -1 / (b + q * bSe)] : null,
    notTaylor: b >= 0,
    at: (speed) => {
      const x = Math.log(speed);
      const middle = a + b * x;
      const limits = (one: 0 | 1): Interval | null => {
        if (s === null || q === null) return null;
        const half = q * s * Math.sqrt(one + 1 / line.n + (x - line.meanX) ** 2 / line.sxx);
        return [Math.exp(middle - half), Math.exp(middle + half)];
      };
      return { life: Math.exp(middle), ofTheLaw: limits(0), ofOne: limits(1) };
    },
  };
}

/** Life at a speed, minutes. Example: n 0.25, C 400 at 200: 16 min. */
export const lifeAt = ({ n, C }: Taylor, speed: number): number => (C / speed) ** (1 / n);

/** Speed for a life. Example: n 0.25, C 400 for 60 min: 143.7. */
export const speedFor = ({ n, C }: Taylor, minutes: number): number => C / minutes ** n;

/** By how much a life changes with the speed. Example: half the speed at n = 0.5: 4. */
export const lifeFactor = (n: number, speedFactor: number): number => speedFactor ** (-1 / n);

/** What a change and the machine cost. */
export interface CutCosts {
  /** Minutes to change the cutter. */
  changeMinutes: number;
  /** One edge or one use of a cutter. */
  edge: number;
  /** Machine and operator, a minute; over 0. */
  minute: number;
}

/**
 * The speed at which a part costs least, T = (1/n − 1)(tc + Ct/Cm), and the one at which it is done soonest,
 * T = (1/n − 1) tc. Source: Gilbert (1950), as in Groover, Fundamentals of Modern Manufacturing (from memory).
 * Throws RangeError where n is not over 0 and below 1: then there is no such speed.
 * Example: n 0.25, C 400, 3 min, 12 an edge, 1.2 a minute: 39 min at 160.1 m/min.
 */
export function cheapestSpeed(law: Taylor, costs: CutCosts) {
  if (!(law.n > 0 && law.n < 1))
    throw new RangeError(`n is ${law.n}: a cheapest speed is only between 0 and 1`);
  const minutes = (1 / law.n - 1) * (costs.changeMinutes + costs.edge / costs.minute);
  const fastest = (1 / law.n - 1) * costs.changeMinutes;
  return {
    cheapest: { minutes, speed: speedFor(law, minutes) },
    soonest: { minutes: fastest, speed: speedFor(law, fastest) },
  };
}

/**
 * Cost and minutes of a part at a speed: `metres` of cutting path, `handling` minutes beside it.
 * Source: as for cheapestSpeed. Example: the carbide mill above, 850 m, 2 min: 10.90 at its cheapest speed.
 */
export function costOfPart(law: Taylor, costs: CutCosts, speed: number, metres: number, handling: number) {
  const cutting = metres / speed;
  const edges = cutting / lifeAt(law, speed);
  const minutes = handling + cutting + edges * costs.changeMinutes;
  return { minutes, cost: costs.minute * minutes + edges * costs.edge };
}
