import { type Line, lineThrough, tQuantile } from '@/core/statistics';

/** A wear reading as the line sees it. */
export interface WearPoint {
  minutes: number;
  /** Flank wear VB, mm. */
  wearMm: number;
}

/** Two ends of an interval. */
export type Interval = readonly [from: number, to: number];

/** When flank wear comes to its criterion, and how far that can be trusted. */
export interface WearCrossing {
  line: Line;
  /** Minutes at which the line reaches the criterion; null: wear does not grow. */
  minutes: number | null;
  /** Where the line itself crosses, 95 %; null: two readings, or a slope that is not clearly more than 0. */
  ofTheLine: Interval | null;
  /** Where a single new reading may be at the criterion, 95 %. */
  ofAReading: Interval | null;
  /** Minutes before which a single new reading is at the criterion with 5 % at most: a cautious change. */
  cautious: number | null;
  /** Fieller's g: from 1 on the slope is not clearly positive; null of two readings. */
  g: number | null;
}

/**
 * Flank wear over minutes in its steady stretch as a straight line, and where it reaches the criterion, mm, with
 * Fieller's limits; two readings give a crossing without a doubt, and null stands for that doubt. null: fewer than two
 * readings at different minutes.
 * Sources: Fieller, J. R. Stat. Soc. B 16 (1954) 175-185; inverse prediction as in Draper and Smith.
 * Example: 0.1 mm at 10 min and 0.2 mm at 30 min with a criterion of 0.3 mm: 50 min.
 */
export function wearCrossing(readings: readonly WearPoint[], criterionMm: number): WearCrossing | null {
  const line = lineThrough(readings.map((r) => [r.minutes, r.wearMm] as const));
  if (!line) return null;
  const ahead = line.slope > 0;
  const limits = (chance: number, ofOne: number) =>
    ahead ? fieller(line, criterionMm, tQuantile(chance, line.n - 2), ofOne) : null;
  const known = line.s !== null;
  return {
    line,
    minutes: ahead ? (criterionMm - line.intercept) / line.slope : null,
    ofTheLine: known ? limits(0.975, 0) : null,
    ofAReading: known ? limits(0.975, 1) : null,
    cautious: (known ? limits(0.95, 1) : null)?.[0] ?? null,
    g: line.s === null ? null : gOf(line, line.s, tQuantile(0.975, line.n - 2)),
  };
}

const gOf = (line: Line, s: number, q: number) => (q * s) ** 2 / (line.slope ** 2 * line.sxx);

/** Fieller's limits of the crossing, for the line (ofOne 0) or one new reading (ofOne 1); null where they are not finite. */
function fieller(line: Line, criterion: number, q: number, ofOne: number): Interval | null {
  const s = line.s ?? 0;
  const e = criterion - line.meanY;
  const a = line.slope ** 2 - (q * s) ** 2 / line.sxx;
  if (!(a > 0)) return null;
  const half = -line.slope * e;
  const c = e ** 2 - (q * s) ** 2 * (ofOne + 1 / line.n);
  const root = Math.sqrt(Math.max(0, half * half - a * c));
  return [line.meanX + (-half - root) / a, line.meanX + (-half + root) / a];
}
