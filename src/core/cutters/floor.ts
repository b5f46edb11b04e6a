import { FAMILIES, type CutterGeometry } from './families';

/** The corner radius that shapes a floor: half the diameter on a ball, RE elsewhere; null where RE is not known. */
function cornerRadius(c: CutterGeometry): number | null {
  if (FAMILIES[c.family].tip === 'ball') return c.DC / 2;
  return c.family === 'square' ? 0 : c.RE;
}

/** Whether a cutter mills a floor at all: drills, taps, reamers and chamfer cutters don't. */
export const millsFloor = (c: CutterGeometry): boolean =>
  ['square', 'corner-radius', 'ball', 'roughing', 'face'].includes(c.family);

/**
 * Largest stepover that leaves no ridge on a flat floor, mm: the flat DC − 2 RE. 0 on a ball; null where RE is not
 * known or the cutter mills no floor. Plane geometry of circles. Example: DC 12, RE 1 -> 10.
 */
export function flatStepover(c: CutterGeometry): number | null {
  const r = cornerRadius(c);
  return !millsFloor(c) || r === null ? null : c.DC - 2 * r;
}

/**
 * Height of the ridge between parallel passes at a stepover, mm: 0 on the flat, beyond it r − sqrt(r² − (s/2)²) with
 * s = stepover − flat. null where RE is not known, the cutter mills no floor, or the stepover is not in 0..DC (at more
 * than DC the passes don't meet). Plane geometry of circles. Example: DC 12, RE 1, stepover 10.5 -> 0.03175.
 */
export function ridgeHeight(c: CutterGeometry, stepover: number): number | null {
  const r = cornerRadius(c);
  const flat = flatStepover(c);
  if (r === null || flat === null || !(stepover > 0 && stepover <= c.DC)) return null;
  const s = stepover - flat;
  if (s <= 0) return 0;
  return r - Math.sqrt(Math.max(0, r * r - (s * s) / 4));
}

/**
 * Diameter that cuts at a depth, mm: 2 sqrt(ap (D − ap)) on a ball up to its centre; on a corner radius the flat plus the
 * same of the corner's circle; DC from there up. null where RE is not known, the cutter mills no floor, or ap <= 0.
 * Speeds reckoned with DC are too low at small depths. Plane geometry of circles. Example: ball 10, ap 0.5 -> 4.359.
 */
export function effectiveDiameter(c: CutterGeometry, ap: number): number | null {
  const r = cornerRadius(c);
  if (r === null || !millsFloor(c) || !(ap > 0)) return null;
  if (ap >= r) return c.DC;
  return c.DC - 2 * r + 2 * Math.sqrt(ap * (2 * r - ap));
}

/** Smallest inside corner a cutter leaves in a wall, mm: DC / 2; null where it mills no wall. Example: DC 10 -> 5. */
export const smallestInsideCorner = (c: CutterGeometry): number | null =>
  millsFloor(c) && c.family !== 'face' ? c.DC / 2 : null;
