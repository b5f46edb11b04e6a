import { interpolateRgb, rgb } from 'd3';
import { PLAN_MARK } from '@/core/programs';
import type { Drawn } from './picture';

type Rgb = { r: number; g: number; b: number };

export interface PlanColours {
  paper: string;
  /** Of rapids, and of what other tools cut. */
  faint: string;
  /** Of what is cut at the lowest Z; what is higher is lighter. */
  cut: string;
}
const SHADES = 48;
/** How much of the colour what is cut highest up still has: it is to be told from the paper. */
const LIGHTEST = 0.4;

/**
 * Pixels of a plan, four bytes each: what is cut the darker the deeper, rapids and other tools faint. A line of cuts is drawn
 * two dots wide, so that it is still one where the picture is shown smaller.
 */
export function paintPlan(
  { marks, lowest, frame }: Pick<Drawn['plan'], 'marks' | 'lowest' | 'frame'>,
  { paper, faint, cut }: PlanColours,
  into: Uint8ClampedArray,
): void {
  let low = Infinity;
  let high = -Infinity;
  marks.forEach((mark, at) => {
    const z = lowest[at] ?? Infinity;
    if (mark !== PLAN_MARK.cut || z === Infinity) return;
    low = Math.min(low, z);
    high = Math.max(high, z);
  });
  const mixed = interpolateRgb(paper, cut);
  const shades = Array.from({ length: SHADES + 1 }, (_, i) =>
    rgb(mixed(LIGHTEST + ((1 - LIGHTEST) * i) / SHADES)),
  );
  const other = rgb(faint);
  const rapid = rgb(interpolateRgb(paper, faint)(0.6));
  const put = (at: number, { r, g, b }: Rgb) => {
    into[4 * at] = r;
    into[4 * at + 1] = g;
    into[4 * at + 2] = b;
    into[4 * at + 3] = 255;
  };
  marks.forEach((mark, at) => {
    if (mark === PLAN_MARK.nothing) return;
    const deep = high > low ? (high - (lowest[at] ?? high)) / (high - low) : 1;
    const colour =
      mark === PLAN_MARK.cut
        ? (shades[Math.round(deep * SHADES)] ?? other)
        : mark === PLAN_MARK.rapid
          ? rapid
          : other;
    put(at, colour);
    if (mark === PLAN_MARK.rapid) return;
    const { width } = frame;
    const beside = (at + 1) % width === 0 ? [at + width] : [at + 1, at + width, at + width + 1];
    for (const next of beside) if (next < marks.length && (marks[next] ?? 0) < mark) put(next, colour);
  });
}
