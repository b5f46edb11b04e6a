import type { Figure } from '../because';
import { familySpec } from './families';
import type { CutterGeometry } from './geometry';

const rad = (deg: number) => (deg * Math.PI) / 180;

/** The corner radius that shapes a floor, mm: half the diameter on a ball; null where RE is not known or it mills none. */
export const cornerRadius = (c: CutterGeometry): number | null =>
  familySpec(c.family).floor?.corner(c) ?? null;

/** Whether a cutter mills a flat floor at all: drills, taps, reamers and chamfer cutters don't. */
export const millsFloor = (c: CutterGeometry): boolean => familySpec(c.family).floor !== undefined;

/** Angle of the flank from the axis, degrees: 0 where it is straight; null where it is not known. */
function flankOf(c: CutterGeometry): number | null {
  const flank = familySpec(c.family).floor?.flank;
  return flank ? flank(c) : 0;
}

/**
 * Largest stepover that leaves no ridge on a flat floor, mm: the flat DC − 2 RE. 0 on a ball; null where RE is not
 * known or the cutter mills no floor. Plane geometry of circles. Example: DC 12, RE 1 -> 10.
 */
export function flatStepover(c: CutterGeometry): number | null {
  const r = cornerRadius(c);
  return !millsFloor(c) || r === null ? null : c.DC - 2 * r;
}

/** The flat floor with its reason; lengths as they are shown there. Example: flatFloor(c, mm => `${mm} mm`). */
export function flatFloor(c: CutterGeometry, show: (mm: number) => string): Figure<number | null> {
  const r = cornerRadius(c);
  const ball = familySpec(c.family).tip === 'ball' ? 'half of DC, ' : '';
  return {
    value: flatStepover(c),
    because: {
      words:
        'Plane geometry of circles. Beyond the flat the ridge is r − √(r² − (s/2)²), s = stepover − flat.',
      formula: 'flat = DC − 2 RE',
      values: [
        { name: 'DC', value: show(c.DC) },
        { name: 'RE', value: r === null ? 'not known' : r === 0 ? 'none' : `${ball}${show(r)}` },
      ],
    },
    assumed: [],
  };
}

/**
 * Height of the ridge between parallel passes at a stepover, mm: 0 on the flat, beyond it r − sqrt(r² − (s/2)²) with
 * s = stepover − flat. null where RE is not known, the cutter mills no floor, or the stepover is not in 0..DC (at more
 * than DC the passes don't meet). On a tapered mill only up to where the flank begins, which lies a little inside.
 * Plane geometry of circles. Example: DC 12, RE 1, stepover 10.5 -> 0.03175.
 */
export function ridgeHeight(c: CutterGeometry, stepover: number): number | null {
  const r = cornerRadius(c);
  const flat = flatStepover(c);
  if (r === null || flat === null || !(stepover > 0 && stepover <= c.DC)) return null;
  const s = stepover - flat;
  if (s <= 0) return 0;
  const flank = flankOf(c);
  if (flank === null || (flank > 0 && s / 2 > r * Math.cos(rad(flank)))) return null;
  return r - Math.sqrt(Math.max(0, r * r - (s * s) / 4));
}

/**
 * Diameter that cuts at a depth, mm: 2 sqrt(ap (D − ap)) on a ball up to its centre; on a corner radius the flat plus
 * the same of the corner's circle; DC from there up. A tapered mill widens by 2 tan TAPER above its corner. null where
 * a fact for it is not known, the cutter mills no floor, or ap <= 0. Speeds reckoned with DC are too low at small
 * depths. Plane geometry of circles. Example: ball 10, ap 0.5 -> 4.359.
 */
export function effectiveDiameter(c: CutterGeometry, ap: number): number | null {
  const r = cornerRadius(c);
  if (r === null || !millsFloor(c) || !(ap > 0)) return null;
  const onCorner = () => c.DC - 2 * r + 2 * Math.sqrt(ap * (2 * r - ap));
  const flank = flankOf(c);
  if (flank === null) return null;
  if (flank > 0) {
    const a = rad(flank);
    const touch = r * (1 - Math.sin(a));
    if (ap < touch) return onCorner();
    return c.DC - 2 * r + 2 * r * Math.cos(a) + 2 * (ap - touch) * Math.tan(a);
  }
  return ap >= r ? c.DC : onCorner();
}

/** Smallest inside corner a cutter leaves in a wall, mm: DC / 2; null where it mills no wall. Example: DC 10 -> 5. */
export const smallestInsideCorner = (c: CutterGeometry): number | null =>
  familySpec(c.family).cornersWalls ? c.DC / 2 : null;

/**
 * Steepest ramp into solid, degrees, and what it rests on: the maker's RMPX where stated; a plain geometry for a cutter
 * that doesn't cut at its centre, atan(depth / (DC − 2 flat core)), is not guessed at: without RMPX it is null.
 * A centre-cutting cutter may plunge, if its maker doesn't say otherwise. Example: RMPX 3 -> 3.
 */
export function rampLimit(
  c: CutterGeometry,
  centreCutting: boolean | null,
): { degrees: number | null; words: string } {
  if (!familySpec(c.family).mills) return { degrees: null, words: 'no ramping with this family' };
  if (c.RMPX !== null) return { degrees: c.RMPX, words: "its maker's or measured limit" };
  if (centreCutting === true)
    return { degrees: null, words: 'centre cutting: may plunge; no ramp limit stated' };
  if (centreCutting === false)
    return { degrees: null, words: 'not centre cutting, and no ramp limit stated: drill a start hole' };
  return { degrees: null, words: 'neither ramp limit nor centre cutting known' };
}

/**
 * Length of ramp that comes down by a depth at an angle, mm: depth / tan(angle). Plane geometry.
 * Example: 2 mm at 3 degrees -> 38.16.
 */
export const rampLength = (depth: number, degrees: number): number => depth / Math.tan(rad(degrees));

/** How high the cutting part is, which no holder may grip, mm; null where it is not known. Example: LCF 22 -> 22. */
export function cuttingHeight(c: CutterGeometry): number | null {
  const { head } = familySpec(c.family);
  return head ? head.height(c) : c.LCF;
}

/**
 * Depth a cutter reaches beside a wall, mm: its flutes, or flutes and a neck thinner than the cutter (LU). null when
 * LCF is not known. A neck that tapers reaches to where it gets as thick as the cutter. Common practice: 10 mm of wall asks for 10 mm of reach. Example: LCF 8, DN 5.8 on DC 6, LU 24 -> 24.
 */
export function reach(c: CutterGeometry): number | null {
  if (c.LU !== null && c.DN !== null && c.DN < c.DC) return c.LU;
  if (c.LU !== null && c.DN !== null && c.BHTA1 !== null)
    return Math.max(c.LCF ?? 0, c.LU - (c.DN - c.DC) / 2 / Math.tan((c.BHTA1 * Math.PI) / 180));
  const own = familySpec(c.family).reach;
  return own ? own.mm(c) : c.LCF;
}
