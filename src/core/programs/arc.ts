import { DEFAULTS } from '../defaults';
import type { Extent } from './extent';

interface ArcRequest {
  /** Start and end in the plane's first and second axis, mm. */
  start: [number, number];
  end: [number, number];
  /** Centre relative to the start (I J, K I or J K by plane), mm; null where R is given. */
  centre: [number, number] | null;
  R: number | null;
  clockwise: boolean;
  /** false: neither end word was given, so centre means a full circle. */
  endGiven: boolean;
}

type ArcFault = 'ARC_RADIUS_MISMATCH' | 'ARC_RADIUS_TOO_SMALL' | 'ARC_NO_CENTER';

export interface Arc {
  centre: [number, number];
  radius: number;
  /** Angle of the start, radians, and the signed turn to the end (negative clockwise). */
  from: number;
  turn: number;
}

// Not Math.hypot: it guards against overflow, which no coordinate comes near, and takes many times as long.
const length = (x: number, y: number): number => Math.sqrt(x * x + y * y);

/**
 * An arc in its plane from start, end and centre or R, seen from the positive end of the third axis. R > 0 turns
 * at most half, R < 0 more. Start and end radius may differ by 0.002 mm. Full circle when no end word is given or
 * the end is the start. RS-274/NGC (NISTIR 6556), 3.5.3. Returns the fault where there is no such arc.
 * Example: from (10, 0) about (0, 0) counter-clockwise to (0, 10): radius 10, turn π/2.
 */
export function arcThrough(a: ArcRequest): Arc | ArcFault {
  const [sx, sy] = a.start;
  const [ex, ey] = a.end;
  const chord = length(ex - sx, ey - sy);
  let centre: [number, number];
  let full = false;
  if (a.R !== null) {
    if (chord < 1e-9 || a.R === 0) return 'ARC_NO_CENTER';
    const r = Math.abs(a.R);
    if (chord / 2 > r + DEFAULTS.arcRadiusMm) return 'ARC_RADIUS_TOO_SMALL';
    const off = Math.sqrt(Math.max(0, r * r - (chord * chord) / 4));
    // The centre lies left of the chord for a short counter-clockwise arc, right for a short clockwise one.
    const side = (a.clockwise ? -1 : 1) * (a.R > 0 ? 1 : -1);
    centre = [
      (sx + ex) / 2 - (side * off * (ey - sy)) / chord,
      (sy + ey) / 2 + (side * off * (ex - sx)) / chord,
    ];
  } else if (a.centre) {
    centre = [sx + a.centre[0], sy + a.centre[1]];
    full = !a.endGiven || chord < 1e-9;
    const r0 = length(a.centre[0], a.centre[1]);
    if (r0 < 1e-9) return 'ARC_NO_CENTER';
    if (!full && Math.abs(length(ex - centre[0], ey - centre[1]) - r0) > DEFAULTS.arcRadiusMm + 1e-9)
      return 'ARC_RADIUS_MISMATCH';
  } else return 'ARC_NO_CENTER';
  const from = Math.atan2(sy - centre[1], sx - centre[0]);
  let turn = full ? 2 * Math.PI : Math.atan2(ey - centre[1], ex - centre[0]) - from;
  if (!full) {
    if (turn <= 1e-12) turn += 2 * Math.PI;
    if (a.clockwise) turn -= 2 * Math.PI;
    if (a.clockwise && turn === 0) turn = -2 * Math.PI;
  } else if (a.clockwise) turn = -turn;
  return { centre, radius: length(sx - centre[0], sy - centre[1]), from, turn };
}

/**
 * Lowest value an arc reaches along the plane's axis `axis` (0 first, 1 second), ends included, mm.
 * Example: a full circle of radius 5 about (0, 0): −5.
 */
export function lowestOnArc(arc: Arc, axis: 0 | 1): number {
  const at = (angle: number) =>
    arc.centre[axis] + arc.radius * (axis === 0 ? Math.cos(angle) : Math.sin(angle));
  const bottom = axis === 0 ? Math.PI : -Math.PI / 2;
  const [low, high] = arc.turn > 0 ? [arc.from, arc.from + arc.turn] : [arc.from + arc.turn, arc.from];
  const first = bottom + Math.ceil((low - bottom) / (2 * Math.PI) - 1e-12) * 2 * Math.PI;
  const passes = first <= high + 1e-12;
  return Math.min(at(arc.from), at(arc.from + arc.turn), passes ? at(first) : Infinity);
}

/**
 * How far an arc reaches along both axes of its plane, mm. Example: half a circle of radius 5 about (0, 0) over the top, from
 * (5, 0) to (−5, 0): X −5 to 5, Y 0 to 5.
 */
export function reachOfArc({ centre, radius, from, turn }: Arc): readonly [Extent, Extent] {
  const to = from + turn;
  const [low, high] = turn > 0 ? [from, to] : [to, from];
  const ends = (at: (angle: number) => number, middle: number): Extent => ({
    least: middle + radius * Math.min(at(from), at(to)),
    most: middle + radius * Math.max(at(from), at(to)),
  });
  const x = ends(Math.cos, centre[0]);
  const y = ends(Math.sin, centre[1]);
  // Its outermost points lie at quarter turns.
  for (let quarter = Math.ceil(low / QUARTER - 1e-12); quarter * QUARTER <= high + 1e-12; quarter += 1) {
    const side = ((quarter % 4) + 4) % 4;
    if (side === 0) x.most = centre[0] + radius;
    else if (side === 1) y.most = centre[1] + radius;
    else if (side === 2) x.least = centre[0] - radius;
    else y.least = centre[1] - radius;
  }
  return [x, y];
}
const QUARTER = Math.PI / 2;
