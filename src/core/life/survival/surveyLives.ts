import type { LifeTime } from '../endings';
import { chiSquareBeyond } from '@/core/statistics';
import { type Band, medianInterval, survivalBand } from './band';
import { type Exponential, fitExponential } from './exponential';
import { kaplanMeier, type SurvivalStep } from './kaplanMeier';
import {
  fitWeibull,
  type NoFit,
  type OpenInterval,
  quantileInterval,
  quantileSe,
  shapeInterval,
  weibullQuantile,
  type WeibullFit,
} from './weibull';

/** All that the lives of a cutter in a material say by themselves. */
export interface LivesSurveyed {
  steps: SurvivalStep[];
  band: Band[];
  medianInterval: OpenInterval;
  /** The Weibull law with 95 % likelihood intervals, or why there is none. */
  weibull:
    | (WeibullFit & {
        shapeInterval: OpenInterval;
        /** Minutes by which a half has failed, with its interval. */
        median: { minutes: number; interval: OpenInterval };
        /** Minutes by which a tenth has failed. */
        tenth: { minutes: number; se: number; interval: OpenInterval };
      })
    | null;
  noWeibull: NoFit | null;
  /** What they would say if age did not matter, and how much worse that fits. */
  byChance: Exponential | null;
  against: { chiSquare: number; p: number } | null;
}

/**
 * What the shape says of a planned change: a cutter wears out with age where even the least likely shape is over 1, and only
 * then can one pay. Meaning of the shape: Meeker and Escobar (1998), chapter 4.
 */
export const agesBy = ({ weibull }: Pick<LivesSurveyed, 'weibull'>): Ages => {
  if (!weibull) return 'not known';
  const [from, to] = weibull.shapeInterval;
  return from !== null && from > 1 ? 'wears out' : to !== null && to < 1 ? 'fails early' : 'wear or chance';
};
export type Ages = 'wears out' | 'fails early' | 'wear or chance' | 'not known';

/**
 * Survival curve with its limits, Weibull law by maximum likelihood and exponential law of some lives. Sources stand at
 * each part. Throws RangeError on a negative or non-finite time. Example: of nothing, empty and null throughout.
 */
export function surveyLives(lives: readonly LifeTime[]): LivesSurveyed {
  const steps = kaplanMeier(lives);
  const band = survivalBand(steps);
  const fit = fitWeibull(lives);
  const byChance = fitExponential(lives);
  const weibull =
    typeof fit === 'string'
      ? null
      : {
          ...fit,
          shapeInterval: shapeInterval(lives, fit),
          median: { minutes: weibullQuantile(fit, 0.5), interval: quantileInterval(lives, fit, 0.5) },
          tenth: {
            minutes: weibullQuantile(fit, 0.1),
            se: quantileSe(fit, 0.1),
            interval: quantileInterval(lives, fit, 0.1),
          },
        };
  const chiSquare =
    weibull && byChance && byChance.loglik !== null
      ? Math.max(0, 2 * (weibull.loglik - byChance.loglik))
      : null;
  return {
    steps,
    band,
    medianInterval: medianInterval(band, steps),
    weibull,
    noWeibull: typeof fit === 'string' ? fit : null,
    byChance,
    against: chiSquare === null ? null : { chiSquare, p: chiSquareBeyond(chiSquare) },
  };
}
