import type { RunSeconds } from '../programs';

/** What a program run takes besides cutting, from the machine's own figures. */
export interface MachineTimes {
  /** mm/min; null: not known. */
  rapidMmMin: number | null;
  /** Seconds a change; null: not known. */
  toolChangeS: number | null;
}

/** Minutes of one part, each kind apart. */
export interface CycleMinutes {
  /** Length / feed. */
  cutting: number;
  /** What acceleration and corners add in the cut; null: the machine's are not known, or not reckoned with yet. */
  slowing: number | null;
  rapid: number | null;
  /** Standing by the program: dwells. */
  standing: number;
  changes: number | null;
}

/**
 * Minutes of one part, shown apart: in the cut, what acceleration and corners add to it, rapid (length / rapid rate, or as the
 * machine runs it), standing, tool changes. Without `run`, what its pieces take at the machine, the first and the rapid are a
 * lower bound. null where the machine's figure is not known, never 0.
 * Example: 600 s cutting, 5 m rapid at 20 m/min, 3 changes of 5 s -> 10, 0.25, 0.25.
 */
export function cycleMinutes(
  cuttingS: number,
  rapidMm: number,
  changes: number,
  machine: MachineTimes,
  { standingS = 0, run = null }: { standingS?: number; run?: RunSeconds | null } = {},
): CycleMinutes {
  return {
    cutting: cuttingS / 60,
    slowing: run && Math.max(0, run.feed - cuttingS) / 60,
    rapid: run?.rapid != null ? run.rapid / 60 : machine.rapidMmMin ? rapidMm / machine.rapidMmMin : null,
    standing: standingS / 60,
    changes: machine.toolChangeS === null ? null : (changes * machine.toolChangeS) / 60,
  };
}

/** Minutes of a part as far as they can be reckoned; null: it has no program. */
export const reckonedMinutes = (cycle: CycleMinutes | null): number | null =>
  cycle && cycle.cutting + (cycle.slowing ?? 0) + (cycle.rapid ?? 0) + cycle.standing + (cycle.changes ?? 0);
