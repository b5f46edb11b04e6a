import type { LifeTime } from '../endings';

/** One step down of the survival curve. se is Greenwood's standard error; null where nothing survives. */
export interface SurvivalStep {
  minutes: number;
  atRisk: number;
  failed: number;
  survival: number;
  se: number | null;
}

/**
 * Kaplan-Meier survival curve with right censoring: S(t) = product over failure times of (1 − d/n); Greenwood
 * error S sqrt(sum d / (n (n − d))). At equal times failures come before censored lives. One step for each time
 * with a failure; empty when nothing failed (S = 1 throughout) or no life is given. Sorts once, then one pass.
 * Sources: Kaplan and Meier, J. Am. Stat. Assoc. 53 (1958) 457-481; Greenwood (1926).
 * Throws RangeError on a negative or non-finite time. Example: failures at 10 and 20: S = 0.5, then 0.
 */
export function kaplanMeier(lives: readonly LifeTime[]): SurvivalStep[] {
  for (const { minutes } of lives)
    if (!(Number.isFinite(minutes) && minutes >= 0))
      throw new RangeError(`a life of ${minutes} minutes: 0 or more is needed`);
  const sorted = [...lives].sort((a, b) => a.minutes - b.minutes);
  const steps: SurvivalStep[] = [];
  let survival = 1;
  let greenwood = 0;
  for (let at = 0, next = 0; at < sorted.length; at = next) {
    const minutes = sorted[at]?.minutes;
    if (minutes === undefined) break;
    let failed = 0;
    for (next = at; sorted[next]?.minutes === minutes; next += 1) if (sorted[next]?.failed) failed += 1;
    if (failed === 0) continue;
    const atRisk = sorted.length - at;
    survival *= 1 - failed / atRisk;
    greenwood += failed / (atRisk * (atRisk - failed));
    steps.push({
      minutes,
      atRisk,
      failed,
      survival,
      se: failed === atRisk ? null : survival * Math.sqrt(greenwood),
    });
  }
  return steps;
}
