import { byName } from '../units';
import type { Family } from './families';
import { GEOMETRY_SYMBOLS, type CutterFigures, type CutterSymbol } from './figures';

/** A cutter's geometry: its family and its figures. */
export type CutterGeometry = { family: Family } & CutterFigures;

/**
 * A geometry from the figures that are known: everything else is 'not known' (null). mm and degrees.
 * Example: geometry('square', { DC: 10, LCF: 22 }).OAL is null.
 */
export function geometry(
  family: Family,
  known: { DC: number } & Partial<Record<CutterSymbol, number | null>>,
): CutterGeometry {
  const figures = byName(GEOMETRY_SYMBOLS, (s) => known[s] ?? null);
  return { ...figures, DC: known.DC, family };
}

/**
 * Diameter of a neck at a height above the tip, mm: DN, or where it tapers what DN is at its top (LU) less the taper (the
 * body half taper angle BHTA1 of ISO 13399, from memory). null where DN is not known, or LU of one that tapers.
 * Example: DN 6, BHTA1 1, LU 40 at 10 -> 4.953.
 */
export function neckDiameter(c: CutterFigures, z: number): number | null {
  if (c.DN === null || c.BHTA1 === null) return c.DN;
  return c.LU === null ? null : c.DN - 2 * Math.max(0, c.LU - z) * Math.tan((c.BHTA1 * Math.PI) / 180);
}

/** One piece of a holder's outline, from the gauge line towards the tip: mm. */
export interface HolderSegment {
  length: number;
  upper: number;
  lower: number;
}

/** A holder's geometry, mm; null is 'not known' and makes a judgement 'not judged'. */
export interface HolderGeometry {
  LF: number;
  CLAMP_MIN: number | null;
  CLAMP_MAX: number | null;
  GRIP_MIN: number | null;
  DEPTH_MAX: number | null;
  RPM_MAX: number | null;
  segments: HolderSegment[];
}
