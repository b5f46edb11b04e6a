/** Minutes an edge set has spent in one material, against its expectation there (null: cannot say). */
export interface UseInMaterial {
  minutes: number;
  expected: number | null;
}

/**
 * Share of an edge set's life that is used: the sum over materials of minutes / expected (Palmgren-Miner linear
 * sum, a first approximation). 0 when never used. null ('cannot say') when a material it was used in has no
 * expectation. May exceed 1: the set has outlived its expectation.
 * Example: 30 of 60 minutes in one, 10 of 40 in another: 0.75.
 */
export function lifeUsed(uses: readonly UseInMaterial[]): number | null {
  let share = 0;
  for (const { minutes, expected } of uses) {
    if (minutes === 0) continue;
    if (expected === null || expected <= 0) return null;
    share += minutes / expected;
  }
  return share;
}
