import type { Register } from '../measuring';

/** Where a correction goes: into the register itself, or into the one for wear beside it. */
export const CORRECTION_PLACES = ['wear', 'register'] as const;
export type CorrectionPlace = (typeof CORRECTION_PLACES)[number];

/** A register that was corrected after a part was measured. */
export interface Correction {
  register: 'H' | 'D';
  place: CorrectionPlace;
  /** Added to the register or to its wear, mm; 0: measured, and left as it was. */
  changeMm: number;
  /** Left on each wall or on the floor before it, mm. */
  leftMm: number;
  edgeSetId: number;
  happenedAt: Date;
  entryId: number;
}

interface Entered {
  happenedAt: Date;
  entryId: number;
}
/** Whether an entry happened after another; of the same moment the one that was recorded later. */
export const isAfter = (a: Entered, b: Entered): boolean =>
  a.happenedAt.getTime() === b.happenedAt.getTime() ? a.entryId > b.entryId : a.happenedAt > b.happenedAt;

/** What corrections of a tool on a machine still add, mm. */
export type Corrected = Record<CorrectionPlace, { H: number; D: number }>;

/**
 * Of the corrections of a tool on one machine, those that still count, in their order: made with the edges it has now, after the
 * measurement that its numbers come from (a length measured again has the wear in it), and for H after the machine last
 * took another figure (a new K moves H as a whole). Common practice: wear is set to nothing when a tool is measured anew.
 */
export const stillCorrects = <C extends Correction>(
  corrections: readonly C[],
  since: { edgeSetId: number; measured: Entered | null; figures: Date },
): C[] =>
  corrections.filter(
    (c) =>
      c.edgeSetId === since.edgeSetId &&
      (since.measured === null || isAfter(c, since.measured)) &&
      (c.register === 'D' || c.happenedAt >= since.figures),
  );

/** The sum of corrections by where they went and what they move, mm. */
export function corrected(corrections: readonly Correction[]): Corrected {
  const sum = (place: CorrectionPlace, register: 'H' | 'D') =>
    corrections
      .filter((c) => c.place === place && c.register === register)
      .reduce((mm, c) => mm + c.changeMm, 0);
  return {
    wear: { H: sum('wear', 'H'), D: sum('wear', 'D') },
    register: { H: sum('register', 'H'), D: sum('register', 'D') },
  };
}

/** A register with what corrections add to it; one without a figure stays so. Example: -395.888 with -0.03 -> -395.918. */
export const withCorrection = (register: Register, mm: number): Register =>
  'value' in register ? { value: register.value + mm } : register;
