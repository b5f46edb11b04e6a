import { DEFAULTS } from '../../defaults';
import type { LifeBySpeeds } from '../expect/atSpeed';

/** Mean speeds of two kinds of lives that ran too far apart to be one, m/min. */
export interface SpeedsApart {
  first: number;
  second: number;
}

/**
 * How fast two kinds of lives were cut in the mean, m/min at their diameters (mm), where that is further apart than speeds that are one:
 * then the speed may be what makes the difference between them. The mean is of logarithms, weighed by minutes in the cut, since life goes
 * with a power of speed (Taylor). null: they ran alike, or nobody knows of one how fast.
 * Example: 10 mm at 3,000 and at 3,300 rev/min: 94 and 104 m/min.
 */
export function speedsApart(
  [first, D1]: readonly [lives: readonly LifeBySpeeds[], DC: number],
  [second, D2]: readonly [lives: readonly LifeBySpeeds[], DC: number],
): SpeedsApart | null {
  const [a, b] = [meanSpeed(first), meanSpeed(second)];
  if (a === null || b === null || !(D1 > 0 && D2 > 0)) return null;
  const at = { first: (Math.PI * D1 * a) / 1000, second: (Math.PI * D2 * b) / 1000 };
  const [slow, fast] = [Math.min(at.first, at.second), Math.max(at.first, at.second)];
  return fast > slow * (1 + DEFAULTS.speedsAlike) ? at : null;
}

function meanSpeed(lives: readonly LifeBySpeeds[]): number | null {
  let [sum, minutes] = [0, 0];
  for (const { speed, parts, life } of lives)
    for (const p of speed === null ? (parts ?? []) : [{ speed, minutes: life.minutes }])
      if (p.speed > 0) {
        sum += Math.log(p.speed) * p.minutes;
        minutes += p.minutes;
      }
  return minutes > 0 ? Math.exp(sum / minutes) : null;
}
