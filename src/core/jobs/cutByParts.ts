import type { ToolReport } from '../programs';

/** What a T cuts in some parts. */
export interface CutByParts {
  minutes: number;
  /** Holes of drilling and tapping cycles; null: it feeds straight down without one, and what is a hole can't be told. */
  holes: number | null;
  /** The way it feeds, mm. */
  cutMm: number;
}

/**
 * What a T cuts in some parts, by its program: at least so much where the program was not understood whole.
 * Example: 4 holes and 30 s a part, 10 parts: 40 holes in 5 min.
 */
export const cutByParts = (
  {
    cutting_s,
    cutting_mm,
    holes,
    plunges,
  }: Pick<ToolReport, 'cutting_s' | 'cutting_mm' | 'holes' | 'plunges'>,
  parts: number,
): CutByParts => ({
  minutes: (parts * cutting_s) / 60,
  holes: holes > 0 || !plunges ? parts * holes : null,
  cutMm: parts * cutting_mm,
});
