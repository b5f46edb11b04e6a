import type { LifeTime } from '../endings';
import { kaplanMeier } from './kaplanMeier';

/** A median life, or the bound it is known to exceed, or nothing to go by. */
export type Median = { median: number } | { moreThan: number } | null;

/**
 * The median life: the first time with S(t) <= 0.5 (a flat piece at exactly 0.5 belongs to its start). Where
 * the curve never comes down to a half, the median is more than the longest life seen. null without lives.
 * Brookmeyer and Crowley (1982) for the rule. A tolerance of 1e-12 absorbs rounding of the products.
 */
export function medianLife(lives: readonly LifeTime[]): Median {
  if (lives.length === 0) return null;
  const step = kaplanMeier(lives).find((s) => s.survival <= 0.5 + 1e-12);
  return step ? { median: step.minutes } : { moreThan: Math.max(...lives.map((l) => l.minutes)) };
}
