import { normalQuantile } from '@/core/statistics';
import type { SurvivalStep } from './kaplanMeier';
import type { OpenInterval } from './weibull';

/** How far a step of the survival curve can be trusted; null where nothing survives it. */
export interface Band {
  minutes: number;
  lower: number | null;
  upper: number | null;
}

/**
 * Limits of a survival curve point by point, by the log-log scale, which keeps them between 0 and 1: S^exp(∓ z se / (S ln S)).
 * Source: Kalbfleisch and Prentice (2002). Example: 0.75 of four lives, 95 %: 0.128 to 0.961.
 */
export function survivalBand(steps: readonly SurvivalStep[], chance = 0.95): Band[] {
  const z = normalQuantile((1 + chance) / 2);
  return steps.map(({ minutes, survival, se }) => {
    if (se === null || !(survival > 0) || survival >= 1) return { minutes, lower: null, upper: null };
    const wide = Math.exp((z * se) / (survival * Math.log(survival)));
    return { minutes, lower: survival ** (1 / wide), upper: survival ** wide };
  });
}

/** Limits of the median: the first times at which the limit curves come down to a half; null: not reached. Brookmeyer and Crowley (1982). */
export function medianInterval(band: readonly Band[], steps: readonly SurvivalStep[]): OpenInterval {
  const first = (of: (b: Band) => number | null) => {
    // Where nothing survives, its limits are not defined: a limit that has not come down before then is not reached.
    const at = band.findIndex((b, i) => {
      const value = of(b);
      return value !== null && (steps[i]?.survival ?? 0) > 0 && value <= 0.5 + 1e-12;
    });
    return at < 0 ? null : (band[at]?.minutes ?? null);
  };
  return [first((b) => b.lower), first((b) => b.upper)];
}
