/** A place in a picture, in its own dots. */
export interface Dot {
  x: number;
  y: number;
}

/** A worn land as it is measured in a picture. */
export interface LandInPicture {
  mm: number;
  /** 95 % of such measurements are off by no more. */
  offMm: number;
  /** Dots of the known length and of the land. */
  dots: { known: number; land: number };
}

/** Two points are to be so far apart, or nothing can be said of the length between them. */
export const LEAST_DOTS = 4;

const apart = ([a, b]: readonly [Dot, Dot]) => Math.hypot(a.x - b.x, a.y - b.y);

/**
 * Width of a worn land by two points on a length that is known and two across the land, in one plane and at a right angle to
 * the view. `knownOffMm`: by how much that length may be off; `dotOff`: by how many dots a point may be off, each way (a
 * standard deviation). A length between two points is then off by √2 dotOff; in parts the two lengths and the known one add
 * as squares, and twice that holds for 95 %.
 * Source: propagation of uncertainty, JCGM 100:2008, 5.1.2 and annex G. null: two points of a pair lie on each other.
 * Example: 10 mm over 500 dots, a land of 10 dots, 1 dot off: 0.2 mm ± 0.057.
 */
export function landInPicture(
  known: readonly [Dot, Dot],
  knownMm: number,
  land: readonly [Dot, Dot],
  dotOff: number,
  knownOffMm = 0,
): LandInPicture | null {
  const dots = { known: apart(known), land: apart(land) };
  if (!(knownMm > 0) || dots.known < LEAST_DOTS || !(dots.land > 0)) return null;
  const mm = (knownMm * dots.land) / dots.known;
  const between = Math.SQRT2 * dotOff;
  const part = Math.hypot(between / dots.land, between / dots.known, knownOffMm / 2 / knownMm);
  return { mm, offMm: 2 * mm * part, dots };
}
