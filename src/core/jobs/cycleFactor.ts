import type { Because } from '../because';

/** A part that was timed at its machine: minutes it took, and minutes that were reckoned for it. */
export interface CycleRun {
  minutes: number;
  reckoned: number;
  /** Where it was timed, in words. */
  of: string;
}

/** How much longer a machine takes than is reckoned from its programs and figures. */
export interface CycleFactor {
  factor: number;
  runs: number;
  because: Because;
}

/** The latest so many timed parts count: a machine that was overhauled is another one (practice). */
export const CYCLE_RUNS = 10;
/** A part that took less than half or more than five times as long is asked about first: was it one part? (practice) */
export const CYCLE_ASKED = { least: 0.5, most: 5 } as const;

/**
 * The factor by which a machine's reckoned times are corrected: the middle one of what its latest timed parts took over what was
 * reckoned for them, so that one odd part moves it little. It holds all that is not reckoned: acceleration, corners, the door.
 * null: none was timed. Source: the median as a robust middle; common practice of timing a part.
 * Example: 11 of 10, 24 of 20 and 13 of 10 min: 1.2.
 */
export function cycleFactor(runs: readonly CycleRun[]): CycleFactor | null {
  const counted = runs.slice(0, CYCLE_RUNS);
  if (!counted.length) return null;
  const ratios = counted.map((r) => r.minutes / r.reckoned).sort((a, b) => a - b);
  const middle = (ratios.length - 1) / 2;
  const factor = ((ratios[Math.floor(middle)] ?? 1) + (ratios[Math.ceil(middle)] ?? 1)) / 2;
  const two = (n: number) => n.toFixed(2);
  return {
    factor,
    runs: counted.length,
    because: {
      words: `The middle of the latest ${counted.length === 1 ? 'timed part' : `${counted.length} timed parts`}: what a part took over what was reckoned for it. It holds acceleration, corners, the door and the chip gun.`,
      formula: 'factor = middle of (minutes taken / minutes reckoned)',
      values: counted.map((r) => ({
        name: r.of,
        value: `${two(r.minutes)} of ${two(r.reckoned)} min: ${two(r.minutes / r.reckoned)}`,
      })),
    },
  };
}
