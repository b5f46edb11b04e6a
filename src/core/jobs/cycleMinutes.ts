/** What a program run takes besides cutting, from the machine's own figures. */
export interface MachineTimes {
  /** mm/min; null: not known. */
  rapidMmMin: number | null;
  /** Seconds a change; null: not known. */
  toolChangeS: number | null;
}

export interface CycleMinutes {
  cutting: number;
  rapid: number | null;
  changes: number | null;
}

/**
 * Minutes of one part in three parts shown apart: in the cut, rapid (length / rapid rate), tool changes. No
 * acceleration, so the first two are a lower bound. null where the machine's figure is not known, never 0.
 * Example: 600 s cutting, 5 m rapid at 20 m/min, 3 changes of 5 s -> 10, 0.25, 0.25.
 */
export function cycleMinutes(
  cuttingS: number,
  rapidMm: number,
  changes: number,
  machine: MachineTimes,
): CycleMinutes {
  return {
    cutting: cuttingS / 60,
    rapid: machine.rapidMmMin ? rapidMm / machine.rapidMmMin : null,
    changes: machine.toolChangeS === null ? null : (changes * machine.toolChangeS) / 60,
  };
}

/** Minutes of a part as far as they can be reckoned: in the cut, rapid and changes; null: it has no program. */
export const reckonedMinutes = (cycle: CycleMinutes | null): number | null =>
  cycle && cycle.cutting + (cycle.rapid ?? 0) + (cycle.changes ?? 0);
