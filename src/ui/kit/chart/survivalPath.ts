import { type Band, type SurvivalStep, type Weibull, weibullSurvival } from '@/core/life';

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

/** Corners of the curve's limits, from the first failure on; where nothing survives they are not defined and end. */
export function bandCorners(
  band: readonly Band[],
  longest: number,
): { minutes: number; lower: number; upper: number }[] {
  const corners: { minutes: number; lower: number; upper: number }[] = [];
  band.forEach(({ minutes, lower, upper }, i) => {
    if (lower === null || upper === null) return;
    corners.push({ minutes, lower, upper }, { minutes: band[i + 1]?.minutes ?? longest, lower, upper });
  });
  return corners;
}

/** Points of a Weibull law up to some minutes, close enough for a smooth line. */
export const weibullPoints = (law: Weibull, upTo: number): CurvePoint[] =>
  Array.from({ length: 81 }, (_, i) => {
    const minutes = (upTo * i) / 80;
    return { minutes, survival: weibullSurvival(law, minutes) };
  });
