import type { Ending } from './endings';

/** A life as far as it decides whether the statistics take it. */
interface LifeSoFar {
  /** false: a graded cutter's further life. */
  fresh: boolean;
  /** Minutes in the cut that were logged. */
  minutes: number;
  /** In how many materials it cut. */
  materials: number;
  ended: Ending | null;
  /** Of a body of inserts, which is not graded: some of its seats were turned alone. */
  body?: boolean;
}

/**
 * Why a life is shown apart and not fitted; null: it is fitted, or it has neither cut nor ended and says nothing yet.
 * An ended life without a minute logged is unknown, not zero. Common practice.
 * Example: { fresh: false, minutes: 12, materials: 1, ended: null } is 'not fresh: a graded cutter'.
 */
export function whyApart(l: LifeSoFar): string | null {
  if (l.materials === 0 && l.ended === null) return null;
  if (!l.fresh && l.body) return 'not fresh: some of its edges had cut before';
  if (!l.fresh) return 'not fresh: a graded cutter';
  if (l.materials > 1) return 'cut several materials';
  return l.ended !== null && l.minutes === 0 ? 'no minutes were logged' : null;
}

/** Whether the statistics take a life: fresh, of one material, with minutes logged; a running one counts as censored. */
export const isFitted = (l: LifeSoFar): boolean => l.fresh && l.materials === 1 && l.minutes > 0;
