import type { Reading } from './readLine';

/** Readings of one tool, and what they come to. */
export interface Agreement {
  /** Mean of the readings that count, mm. */
  length: number;
  diameter: number | null;
  /** The largest of them: the worst edge cuts. */
  runout: number | null;
  /** Between the longest and the shortest of them, mm; null: one reading has none. */
  spread: number | null;
  /** The last so many agree within what is wanted. */
  enough: boolean;
  /** How many of the last count. */
  of: number;
}

const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / list.length;

/**
 * Whether the last `wanted` readings agree within `within` mm, and their mean; where they don't, the last one and the
 * spread of the last `wanted` are given, and it is not enough. mm; the readings in the order they were taken; null for none.
 * Common practice: a reading is repeated until it repeats.
 * Example: 142.316, 142.318 within 0.005: 142.317, enough.
 */
export function agree(readings: readonly Reading[], wanted: number, within: number): Agreement | null {
  const last = readings.slice(-wanted);
  const newest = last.at(-1);
  if (!newest) return null;
  const lengths = last.map((r) => r.length);
  const spread = last.length > 1 ? Math.max(...lengths) - Math.min(...lengths) : null;
  const enough = last.length >= wanted && (spread ?? 0) <= within + 1e-9;
  const counted = enough ? last : [newest];
  const diameters = counted.flatMap((r) => r.diameter ?? []);
  const runouts = counted.flatMap((r) => r.runout ?? []);
  return {
    length: mean(counted.map((r) => r.length)),
    diameter: diameters.length === counted.length ? mean(diameters) : null,
    runout: runouts.length ? Math.max(...runouts) : null,
    spread,
    enough,
    of: counted.length,
  };
}
