import { DEFAULTS } from '../defaults';

/** So many pieces that will be used up, as far as it can be known. */
export interface Need {
  /** Mean number of pieces. */
  mean: number;
  /** Its variance. */
  variance: number;
}

export const NONE: Need = { mean: 0, variance: 0 };
export const plus = (a: Need, b: Need): Need => ({
  mean: a.mean + b.mean,
  variance: a.variance + b.variance,
});

/**
 * Pieces that so many minutes use up: mean minutes / minutes an edge; since lives differ, so does their number, with
 * variance spread² × mean (renewal process for long work; Cox, Renewal Theory, 1962, from memory). `perLife` pieces go
 * with each life: one for a solid cutter, an insert for each seat and edge.
 * Example: 120 min at 40 an edge, spread 0.43: mean 3, standard deviation 0.745.
 */
export const needOf = (minutes: number, minutesPerEdge: number, spread: number, perLife = 1): Need => {
  const lives = minutes / minutesPerEdge;
  return { mean: lives * perLife, variance: spread ** 2 * lives * perLife ** 2 };
};

/** Upper tail of the standard normal at z, to 7.5e-8 (Abramowitz and Stegun 26.2.17). */
function tail(z: number): number {
  if (z < 0) return 1 - tail(-z);
  const t = 1 / (1 + 0.2316419 * z);
  const poly =
    t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return (Math.exp(-(z ** 2) / 2) / Math.sqrt(2 * Math.PI)) * poly;
}

/**
 * Chance that so many pieces last for a need; 1 or 0 where the need has no spread. Normal approximation.
 * Example: 4 pieces for a mean of 3 with standard deviation 0.745: 0.91.
 */
export function chanceOfLasting(pieces: number, need: Need): number {
  if (need.variance <= 0) return pieces >= need.mean - 1e-9 ? 1 : 0;
  return 1 - tail((pieces - need.mean) / Math.sqrt(need.variance));
}

/** The standard normal's point for `DEFAULTS.enoughChance` = 0.9. */
const Z_ENOUGH = 1.2815516;

/** Pieces from which a need is covered with the chance that counts as enough. */
export const enoughFor = (need: Need): number => need.mean + Z_ENOUGH * Math.sqrt(need.variance);

/** Whether so many pieces are enough: they last with the chance that counts (DEFAULTS.enoughChance). */
export const isEnough = (pieces: number, need: Need): boolean =>
  chanceOfLasting(pieces, need) >= DEFAULTS.enoughChance - 1e-6;

/** A chance in words. */
export const chanceWords = (chance: number): string =>
  chance >= 0.985
    ? 'almost certain to last'
    : chance >= DEFAULTS.enoughChance - 1e-6
      ? 'likely to last'
      : chance >= 0.6
        ? 'more likely than not to last'
        : chance >= 0.4
          ? 'as likely as not to last'
          : 'not likely to last';
