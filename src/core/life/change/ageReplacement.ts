import { lowerGamma, rootOf } from '@/core/statistics';
import { type Weibull, weibullMean, weibullSurvival } from '../survival/weibull';

/** What a change costs, in one currency. */
export interface ChangeCosts {
  /** A planned change: the edge, and the minutes to change it. */
  planned: number;
  /** A failure in the cut: part, cleaning, edge, minutes lost. */
  failure: number;
}

/**
 * Cost a minute in the cut where a cutter is changed at an age, or earlier when it fails: (Cp R(T) + Cf (1 − R(T))) over
 * the mean minutes reached, ∫ R from 0 to T. T of Infinity: run to the sign.
 * Source: Barlow and Proschan, Mathematical Theory of Reliability (1965), age replacement (from memory).
 * Example: shape 2, scale 100, 1 and 5 at 51.07 min: 0.04085.
 */
export function costRate(life: Weibull, costs: ChangeCosts, minutes: number): number {
  const lasts = weibullSurvival(life, minutes);
  return (costs.planned * lasts + costs.failure * (1 - lasts)) / minutesReached(life, minutes);
}

/** Mean minutes a cutter reaches that is changed at an age: ∫ R from 0 to there. */
export const minutesReached = (life: Weibull, minutes: number): number =>
  minutes === Infinity
    ? weibullMean(life)
    : (life.scale / life.shape) * lowerGamma(1 / life.shape, (minutes / life.scale) ** life.shape);

/** When to change by cost. */
export interface AgeReplacement {
  /** Minutes at which a change costs least; null: none pays, run to the sign. */
  minutes: number | null;
  /** Why none pays. */
  why: 'it does not wear out: shape 1 or less' | 'a failure costs no more than a planned change' | null;
  /** Cost a minute at that age, or run to the sign. */
  cost: number;
  /** Cost a minute run to the sign. */
  runToSign: number;
  /** Share of the cost that the planned change saves. */
  saving: number;
}

/**
 * The age at which changing costs least: h(T) ∫ R − (1 − R(T)) = Cp / (Cf − Cp), which has one answer where the shape is
 * over 1 and a failure is dearer. The least is flat: the age need not be kept to the minute. Costs are over 0.
 * Source: Barlow and Proschan (1965), from memory. Example: shape 2, scale 100, costs 1 and 5: 51.07 min, 27.6 % saved.
 */
export function ageReplacement(life: Weibull, costs: ChangeCosts): AgeReplacement {
  const runToSign = costRate(life, costs, Infinity);
  const why =
    life.shape <= 1
      ? 'it does not wear out: shape 1 or less'
      : costs.failure <= costs.planned
        ? 'a failure costs no more than a planned change'
        : null;
  if (why) return { minutes: null, why, cost: runToSign, runToSign, saving: 0 };
  const wanted = costs.planned / (costs.failure - costs.planned);
  const over = (x: number) => {
    const minutes = life.scale * Math.exp(x);
    const hazard = (life.shape / life.scale) * Math.exp(x * (life.shape - 1));
    return hazard * minutesReached(life, minutes) - (1 - weibullSurvival(life, minutes)) - wanted;
  };
  let far = 1;
  while (over(far) < 0 && far < 60) far *= 2;
  const minutes = life.scale * Math.exp(rootOf(over, -60, far, 1e-12));
  const cost = costRate(life, costs, minutes);
  return { minutes, why, cost, runToSign, saving: 1 - cost / runToSign };
}
