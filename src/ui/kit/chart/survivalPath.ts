import type { SurvivalStep } from '@/core/life';

export interface CurvePoint {
  minutes: number;
  survival: number;
}

/** Corners of the survival curve as a staircase, from (0, 1) to the longest life. */
export function staircase(steps: readonly SurvivalStep[], longest: number): CurvePoint[] {
  const points: CurvePoint[] = [{ minutes: 0, survival: 1 }];
  let survival = 1;
  for (const step of steps) {
    points.push({ minutes: step.minutes, survival }, { minutes: step.minutes, survival: step.survival });
    survival = step.survival;
  }
  points.push({ minutes: longest, survival });
  return points;
}

/** The share of cutters that had not failed at a time. */
export const survivalAt = (steps: readonly SurvivalStep[], minutes: number): number =>
  steps.filter((s) => s.minutes <= minutes).at(-1)?.survival ?? 1;
