import type { Because } from '../../because';
import { rootOf } from '@/core/statistics';
import { type Weibull, weibullMean, weibullQuantile, weibullSurvival } from '../survival/weibull';
import { ageReplacement, type ChangeCosts, costRate } from './ageReplacement';

/** Both schools of changing an edge, by cost and by risk. */
export interface WhenToChange {
  costs: ChangeCosts;
  /** Minutes at which a planned change costs least; null: none pays, run to the sign. */
  minutes: number | null;
  /** The same as whole parts, never mid-part; null: minutes a part are not known, or none pays. */
  parts: number | null;
  /** Why no planned change pays. */
  why: string | null;
  /** Cost a minute in the cut (or a part, where its minutes are known) at that age, and run to the sign. */
  cost: number;
  runToSign: number;
  /** Share of the cost that the planned change saves. */
  saving: number;
  /** Ages between which it costs at most 2 % more than at the best: anywhere there is as good; `to` null: run to the sign as well. */
  flat: { from: number; to: number | null } | null;
  /** Cost over the age of the change, up to twice the mean life. */
  curve: { minutes: number; cost: number; fails: number }[];
  /** Minutes by which so great a share has failed. */
  risks: { share: number; minutes: number }[];
  because: Because;
}

/** What of the least cost is still as good (practice: the costs are not known to 2 %). */
const AS_GOOD = 1.02;
const RISKS = [0.01, 0.05, 0.1] as const;
const POINTS = 60;

/**
 * When to change by cost: the age at which planned changes and failures together cost least, beside running to the sign, and
 * the ages at which a stated share has failed. `partMinutes`: minutes in the cut of a part, for whole parts; null: not known.
 * Costs are over 0. Sources: age replacement as in Barlow and Proschan (1965), from memory; the risk is the Weibull law's own.
 * Example: shape 2, scale 100, costs 1 and 5, 10 min a part: 51.07 min, so 5 parts.
 */
export function whenToChange(life: Weibull, costs: ChangeCosts, partMinutes: number | null): WhenToChange {
  const best = ageReplacement(life, costs);
  const per = partMinutes ?? 1;
  const at = (minutes: number) => costRate(life, costs, minutes);
  const parts =
    best.minutes === null || partMinutes === null ? null : wholeParts(best.minutes, partMinutes, at);
  const minutes = parts === null || partMinutes === null ? best.minutes : parts * partMinutes;
  const cost = minutes === null ? best.runToSign : at(minutes);
  const far = 2 * weibullMean(life);
  return {
    costs,
    minutes,
    parts,
    why: best.why,
    cost: cost * per,
    runToSign: best.runToSign * per,
    saving: 1 - cost / best.runToSign,
    flat: best.minutes === null ? null : flatAbout(best.minutes, best.cost * AS_GOOD, best.runToSign, at),
    curve: Array.from({ length: POINTS }, (_, i) => {
      const age = (far * (i + 1)) / POINTS;
      return { minutes: age, cost: at(age) * per, fails: 1 - weibullSurvival(life, age) };
    }),
    risks: RISKS.map((share) => ({ share, minutes: weibullQuantile(life, share) })),
    because: {
      words:
        best.why === null
          ? 'Earlier wastes edges, later more fail in the cut; in between it is flat, so the count need not be kept to the minute.'
          : `Run to the sign: ${best.why}.`,
      formula: 'cost a minute = (planned × lasts + failure × (1 − lasts)) / mean minutes reached',
      values: [
        { name: 'a planned change', value: costs.planned.toFixed(2) },
        { name: 'a failure in the cut', value: costs.failure.toFixed(2) },
        { name: 'Weibull shape', value: life.shape.toFixed(2) },
        { name: 'Weibull scale', value: `${life.scale.toFixed(1)} min` },
        ...(partMinutes === null ? [] : [{ name: 'minutes a part', value: String(partMinutes) }]),
      ],
    },
  };
}

/** The better of the whole parts below and above; one at least, for a part is never left half cut. */
function wholeParts(minutes: number, partMinutes: number, at: (minutes: number) => number): number {
  const below = Math.max(1, Math.floor(minutes / partMinutes + 1e-9));
  return at(below * partMinutes) <= at((below + 1) * partMinutes) ? below : below + 1;
}

/** Where the cost comes to a value below and above the best; above, where running to the sign is as cheap, it is open. */
function flatAbout(
  best: number,
  value: number,
  runToSign: number,
  at: (minutes: number) => number,
): { from: number; to: number | null } {
  const over = (x: number) => at(best * Math.exp(x)) - value;
  const side = (sign: 1 | -1) => {
    for (let step = 0.1; step < 50; step *= 2)
      if (over(sign * step) > 0) return best * Math.exp(rootOf(over, 0, sign * step, 1e-9));
    return null;
  };
  return { from: side(-1) ?? 0, to: runToSign <= value ? null : side(1) };
}
