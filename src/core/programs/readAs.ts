import type { DwellUnit, Points, ReadOptions } from './options';

/** How a program was read, by the names that a reading is asked by. */
export interface ReadAs {
  z_limit_mm: number | null;
  block_delete: boolean;
  without_point: Points | 'not known';
  dwell: DwellUnit;
  peck_clearance_mm: number;
  d_equals_t: boolean;
  /** Rate of rapids where the machine's motion was reckoned with; null: it was not, or the rate is not known. */
  rapid_mm_min: number | null;
  acceleration_mm_s2: number | null;
  corner_mm: number | null;
}

export const readAs = (o: ReadOptions): ReadAs => ({
  z_limit_mm: o.zLimitMm,
  block_delete: o.blockDelete,
  without_point: o.withoutPoint ?? 'not known',
  dwell: o.dwellUnit,
  peck_clearance_mm: o.peckClearanceMm,
  d_equals_t: o.dEqualsT,
  rapid_mm_min: o.motion?.rapidMmMin ?? null,
  acceleration_mm_s2: o.motion?.accelerationMmS2 ?? null,
  corner_mm: o.motion?.cornerMm ?? null,
});

/** What of a control changes the figures of a program, in words. */
const CHANGES: readonly (readonly [keyof ReadAs, string])[] = [
  ['without_point', 'numbers without a point'],
  ['dwell', 'the P of a dwell'],
  ['peck_clearance_mm', 'how far pecks stop above the depth'],
  ['d_equals_t', 'whether D must be T'],
];
const MOTION = ['rapid_mm_min', 'acceleration_mm_s2', 'corner_mm'] as const;

/**
 * What of a reading is other than a machine is taken for now: `figures`, in words, change what the program says; `motion` only
 * what it takes there. `was` null: nobody knows how it was read, which is held against it only where the motion is known now.
 * Example: read with 3000 mm/s², the machine has 5000: no figures, motion true.
 */
export function readOtherwise(was: ReadAs | null, now: ReadAs): { figures: string[]; motion: boolean } {
  if (was === null) return { figures: [], motion: now.acceleration_mm_s2 !== null };
  return {
    figures: CHANGES.flatMap(([name, words]) => (was[name] === now[name] ? [] : [words])),
    motion: MOTION.some((name) => was[name] !== now[name]),
  };
}
