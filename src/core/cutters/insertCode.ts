import {
  CIRCLES,
  CLEARANCES,
  KAPRS,
  METRIC_CIRCLES,
  type Shape,
  SHAPES,
  THICKNESSES,
  TRIGON_CIRCLES,
} from './insertTables';

/** What a designation of an insert says. mm and degrees; null is 'the code does not say, or not in a way known here'. */
export interface InsertCode {
  system: 'ISO 1832' | 'ANSI B212.4';
  shape: string;
  clearance: number | null;
  doubleSided: boolean | null;
  /** Cutting edge length, mm, nominal by the code's two figures. */
  edge: number | null;
  inscribed: number | null;
  thickness: number | null;
  /** Of the corner; 0: sharp. */
  radius: number | null;
  /** Cutting edge angle of a milling insert, degrees. */
  kapr: number | null;
  hand: 'right' | 'left' | 'neutral' | null;
  /** Edges that the shape has: corners, twice where both faces cut. */
  edges: number | null;
}

/** Position 4: faces with an edge that a wiper of the code can turn to. */
const DOUBLE = 'NAFGUCQJ';
const SINGLE = 'RMTHWB';

const BEFORE = '([A-Z])([A-Z])([A-Z])([A-Z])';
const AFTER = '[\\s-]*([FETSKP])?([RLN])?(?:[\\s-].*)?$';
const METRIC = new RegExp(`^${BEFORE}[\\s-]*([0-9L]\\d)([0-9T]\\d)(\\d{2}|M0|MO|[A-Z]{2})?${AFTER}`);
const INCH = new RegExp(
  `^([A-Z])([A-Z])([A-Z])([A-Z])?[\\s-]*(\\d(?:\\.[258]5?)?)(\\d(?:\\.[58])?)(\\d(?:\\.5)?|X|[A-Z]{2})?${AFTER}`,
);

/**
 * Reads an insert's designation, metric by ISO 1832 or in inches by ANSI B212.4: shape, clearance, style, size,
 * thickness, corner, then edge condition and hand. What follows a dash is the maker's own and is left. null where the
 * text is no such code, which is no error: makers have codes of their own. null fields where the code leaves it open, or
 * has a letter of no table here. Sizes give the inscribed circle of the usual series.
 * Sources: ISO 1832, ANSI B212.4, from memory. Examples: 'CNMG 120408' -> rhomb of 80°, IC 12.7, thickness 4.76, radius
 * 0.8, 4 edges; 'CNMG 432' -> the same.
 */
export function readInsertCode(text: string): InsertCode | null {
  const t = text.trim().toUpperCase().replace(/\s+/g, ' ').replace(/,/g, '.');
  return metric(t) ?? inch(t);
}

function metric(t: string): InsertCode | null {
  const m = METRIC.exec(t);
  if (!m) return null;
  const [, s = '', clearance = '', , style = '', size = '', thick = '', corner = '', , hand] = m;
  const round = corner === 'M0' || corner === 'MO';
  const shape = SHAPES[s];
  const milling = /^[A-Z]{2}$/.test(corner) && !round;
  const { edge, inscribed } = sizeOf(s, shape, size, round);
  return {
    system: 'ISO 1832',
    ...facesOf(shape, clearance, style),
    edge,
    inscribed,
    thickness: THICKNESSES[thick] ?? null,
    radius: round
      ? half(inscribed)
      : milling || corner === ''
        ? null
        : s === 'R'
          ? half(inscribed)
          : Number(corner) / 10,
    kapr: milling ? (KAPRS[corner.charAt(0)] ?? null) : null,
    hand: handOf(hand),
  };
}

/** Size in eighths of an inch of the circle, thickness in sixteenths, radius in sixty-fourths. */
function inch(t: string): InsertCode | null {
  const m = INCH.exec(t);
  if (!m) return null;
  const [, s = '', clearance = '', , style = '', size = '', thick = '', corner = '', , hand] = m;
  const shape = SHAPES[s];
  // Three letters without a style are old designations; three figures of them are not yet six.
  const inscribed = Math.round((Number(size) * 25_400) / 8) / 1000;
  const rectangular = shape?.edgeOf === null && s !== 'W';
  const milling = /^[A-Z]{2}$/.test(corner);
  return {
    system: 'ANSI B212.4',
    ...facesOf(shape, clearance, style),
    edge: shape?.edgeOf ? inscribed * shape.edgeOf : null,
    inscribed: rectangular ? null : inscribed,
    thickness: round2((Number(thick) * 25.4) / 16),
    radius:
      s === 'R' ? half(inscribed) : milling || corner === '' || corner === 'X' ? null : inchRadius(corner),
    kapr: milling ? (KAPRS[corner.charAt(0)] ?? null) : null,
    hand: handOf(hand),
  };
}

const half = (inscribed: number | null): number | null => (inscribed === null ? null : inscribed / 2);
const round2 = (n: number): number => Math.round(n * 100) / 100;
/** 2 is 2/64 in, which the metric series calls 0.8. */
const inchRadius = (corner: string): number => Math.round(Number(corner) * 4) / 10;
const handOf = (hand: string | undefined): InsertCode['hand'] =>
  hand === 'R' ? 'right' : hand === 'L' ? 'left' : hand === 'N' ? 'neutral' : null;

/** Shape, clearance, whether it can be turned over, and how many edges that makes. */
function facesOf(shape: Shape | undefined, letter: string, style: string) {
  const clearance = CLEARANCES[letter] ?? null;
  // A face with clearance can't be turned over, whatever its style.
  const doubleSided =
    clearance !== null && clearance > 0
      ? false
      : DOUBLE.includes(style) && style !== ''
        ? clearance === null
          ? null
          : true
        : SINGLE.includes(style) && style !== ''
          ? false
          : null;
  const corners = shape?.corners ?? null;
  return {
    shape: shape?.words ?? 'a shape that is not known here',
    clearance,
    doubleSided,
    edges: corners === null || doubleSided === null ? null : corners * (doubleSided ? 2 : 1),
  };
}

/** The code drops what is behind the point, and calls 21.997 22: a hundredth is left for that. */
const ROUNDING = 0.01;

function sizeOf(letter: string, shape: Shape | undefined, size: string, metricRound: boolean) {
  if (letter === 'W') return { edge: null, inscribed: TRIGON_CIRCLES[size] ?? null };
  const figures = Number(size);
  if (!shape || !Number.isFinite(figures)) return { edge: null, inscribed: null };
  const { edgeOf } = shape;
  if (edgeOf === null) return { edge: figures, inscribed: null };
  const series = metricRound ? METRIC_CIRCLES : letter === 'R' ? [...CIRCLES, ...METRIC_CIRCLES] : CIRCLES;
  const inscribed = series.find((ic) => Math.floor(ic * edgeOf + ROUNDING) === figures) ?? null;
  return { edge: inscribed === null ? figures : inscribed * edgeOf, inscribed };
}

/**
 * Price of one edge, in cents: the insert's price over the edges that can be used; a solid cutter counts its lives.
 * null where the price or the edges are not known. Plain arithmetic. Example: 450 cents over 4 -> 112.5.
 */
export const pricePerEdge = (cents: number | null, edges: number | null): number | null =>
  cents === null || edges === null || edges < 1 ? null : cents / edges;
