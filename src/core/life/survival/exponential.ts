import { chiSquareQuantile } from '@/core/statistics';
import type { LifeTime } from '../endings';
import type { Interval } from '../wear/wearCrossing';

/** Lives that fail by chance alone, as likely after long use as when fresh. */
export interface Exponential {
  /** Total minutes over failures; null: none has failed. */
  mean: number | null;
  loglik: number | null;
  /** 95 %, 2T / χ²(2r): exact where watching stops at a failure. null: none has failed. */
  interval: Interval | null;
  /** Where none has failed: the mean is more than this, with 95 %. */
  moreThan: number | null;
  totalMinutes: number;
}

/**
 * The exponential law by maximum likelihood: what lives would say if age did not matter. null without any minute.
 * Source: Meeker and Escobar (1998), chapter 7. Example: failures at 10, 20, 30, 40: mean 25, 11.4 to 91.8.
 */
export function fitExponential(lives: readonly LifeTime[]): Exponential | null {
  const total = lives.reduce((sum, l) => sum + l.minutes, 0);
  const r = lives.filter((l) => l.failed).length;
  if (!(total > 0)) return null;
  const at = (p: number) => (2 * total) / chiSquareQuantile(p, 2 * r);
  return {
    mean: r ? total / r : null,
    loglik: r ? -r * Math.log(total / r) - r : null,
    interval: r ? [at(0.975), at(0.025)] : null,
    moreThan: r ? null : total / -Math.log(0.05),
    totalMinutes: total,
  };
}
