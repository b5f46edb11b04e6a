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
