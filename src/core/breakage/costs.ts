/** By what the cost of breakage is summed; never by person. */
export const COST_KEYS = ['cause', 'cutter', 'tool line', 'machine', 'month'] as const;
export type CostKey = (typeof COST_KEYS)[number];

/** What a breakage cost, as far as somebody said or a price is known; null: not known. */
export interface Cost {
  cents: number | null;
  lostParts: number | null;
  lostMinutes: number | null;
}

/** What the cases of one thing cost together. */
export interface CostSum {
  key: string;
  cases: number;
  /** Sum of what is known; `unpriced`: how many of them have no amount, so that the sum is at least that. */
  cents: number;
  unpriced: number;
  lostParts: number;
  lostMinutes: number;
}

/**
 * What breakage costs by some key, the dearest first; where nothing is priced, by how many. What is not known adds nothing and
 * is counted as unpriced, so that a sum is never taken for all of it. One pass.
 * Example: 120 and unknown on M2: 120, of 2 cases 1 unpriced.
 */
export function costsBy<C extends Cost>(cases: readonly C[], keyOf: (one: C) => string): CostSum[] {
  const sums = new Map<string, CostSum>();
  for (const one of cases) {
    const key = keyOf(one);
    const sum = sums.get(key) ?? { key, cases: 0, cents: 0, unpriced: 0, lostParts: 0, lostMinutes: 0 };
    sum.cases += 1;
    sum.cents += one.cents ?? 0;
    sum.unpriced += one.cents === null ? 1 : 0;
    sum.lostParts += one.lostParts ?? 0;
    sum.lostMinutes += one.lostMinutes ?? 0;
    sums.set(key, sum);
  }
  return [...sums.values()].sort(
    (a, b) => b.cents - a.cents || b.cases - a.cases || (a.key < b.key ? -1 : 1),
  );
}
