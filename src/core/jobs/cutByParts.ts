import { oneSpeed, type ToolReport } from '../programs';

/** What a T cuts in some parts. */
export interface CutByParts {
  /** At least so many where its program was not understood whole. */
  minutes: number;
  /** Holes of drilling and tapping cycles; null: it feeds straight down without one, or was not understood whole. */
  holes: number | null;
  /** The way it feeds, mm; null: it was not understood whole. */
  cutMm: number | null;
  /** The one speed it cuts at, rev/min; null: it cuts at several, or its program does not tell. */
  rpm: number | null;
}
type Cutting = Pick<
  ToolReport,
  'cutting_s' | 'cutting_mm' | 'holes' | 'plunges' | 'lower_bound' | 'in_force'
>;

/**
 * What a T cuts in some parts, by its program. A cycle that was not understood may drill: its holes are unknown, never 0.
 * Example: 4 holes and 30 s a part, 10 parts: 40 holes in 5 min.
 */
export const cutByParts = (tool: Cutting, parts: number): CutByParts => ({
  minutes: (parts * tool.cutting_s) / 60,
  holes: !tool.lower_bound && (tool.holes > 0 || !tool.plunges) ? parts * tool.holes : null,
  cutMm: tool.lower_bound ? null : parts * tool.cutting_mm,
  rpm: speedOf(tool),
});

/** The one speed a T cuts at, rev/min; null: it cuts at several, or its program was not understood whole. */
export const speedOf = (tool: Pick<ToolReport, 'lower_bound' | 'in_force'>): number | null =>
  tool.lower_bound ? null : oneSpeed(tool.in_force);
