/** What an ISO 1832 designation says. mm and degrees; null is 'the code does not say'. */
interface InsertCode {
  shape: string;
  clearance: number | null;
  doubleSided: boolean | null;
  /** Cutting edge length, mm, nominal by the code's two figures. */
  edge: number | null;
  inscribed: number | null;
  thickness: number | null;
  radius: number | null;
  /** Cutting edge angle of a milling insert, degrees. */
  kapr: number | null;
  hand: 'right' | 'left' | 'neutral' | null;
  /** Edges that the shape has: corners, twice where both faces cut. */
  edges: number | null;
}

interface Shape {
  words: string;
  corners: number | null;
  /** Edge length over inscribed circle; null: the size is the edge length itself. */
  edgeOf: number | null;
}
const sin = (deg: number) => Math.sin((deg * Math.PI) / 180);
const tan = (deg: number) => Math.tan((deg * Math.PI) / 180);
/** Position 1. The edge of a rhomb of point angle e is IC / sin e, of a regular n-gon IC tan(180/n). */
const SHAPES: Record<string, Shape> = {
  H: { words: 'hexagon', corners: 6, edgeOf: tan(30) },
  O: { words: 'octagon', corners: 8, edgeOf: tan(22.5) },
  P: { words: 'pentagon', corners: 5, edgeOf: tan(36) },
  S: { words: 'square', corners: 4, edgeOf: 1 },
  T: { words: 'triangle', corners: 3, edgeOf: tan(60) },
  C: { words: 'rhomb of 80°', corners: 2, edgeOf: 1 / sin(80) },
  D: { words: 'rhomb of 55°', corners: 2, edgeOf: 1 / sin(55) },
  E: { words: 'rhomb of 75°', corners: 2, edgeOf: 1 / sin(75) },
  M: { words: 'rhomb of 86°', corners: 2, edgeOf: 1 / sin(86) },
  V: { words: 'rhomb of 35°', corners: 2, edgeOf: 1 / sin(35) },
  W: { words: 'trigon of 80°', corners: 3, edgeOf: null },
  L: { words: 'rectangle', corners: 2, edgeOf: null },
  A: { words: 'parallelogram of 85°', corners: 2, edgeOf: null },
  B: { words: 'parallelogram of 82°', corners: 2, edgeOf: null },
  K: { words: 'parallelogram of 55°', corners: 2, edgeOf: null },
  R: { words: 'round', corners: null, edgeOf: 1 },
};
/** Position 2. */
const CLEARANCES: Record<string, number | null> = {
  A: 3,
  B: 5,
  C: 7,
  D: 15,
  E: 20,
  F: 25,
  G: 30,
  N: 0,
  P: 11,
  O: null,
};
/** Position 4: faces with an edge that a wiper of the code can turn to. */
const DOUBLE = 'NAFGUCQJ';
const SINGLE = 'RMTHWB';
const KAPRS: Record<string, number | null> = { A: 45, D: 60, E: 75, F: 85, P: 90, Z: null };
/** Inscribed circles of the inch series that the metric code rounds down to an edge length, mm. */
const CIRCLES = [3.97, 4.76, 5.56, 6.35, 7.94, 9.525, 12.7, 15.875, 19.05, 22.225, 25.4, 31.75];
const METRIC_CIRCLES = [5, 6, 8, 10, 12, 16, 20, 25, 32];
const THICKNESSES: Record<string, number> = {
  '01': 1.59,
  T0: 1.79,
  T1: 1.98,
  '02': 2.38,
  T2: 2.78,
  '03': 3.18,
  T3: 3.97,
  '04': 4.76,
  T4: 4.96,
  '05': 5.56,
  T5: 5.95,
  '06': 6.35,
  T6: 6.75,
  '07': 7.94,
  '09': 9.52,
  T9: 9.72,
  '11': 11.11,
  '12': 12.7,
};
/** Trigon sizes are named like the rhombs of the same circle. */
const TRIGON: Record<string, number> = {
  '02': 3.97,
  '03': 4.76,
  L3: 4.76,
  '04': 6.35,
  '05': 7.94,
  '06': 9.525,
  '08': 12.7,
  '10': 15.875,
  '13': 19.05,
};

const CODE =
  /^([A-Z])([A-Z])([A-Z])([A-Z])[\s-]*([0-9L]\d)([0-9T]\d)(\d{2}|M0|[A-Z]{2})?[\s-]*([FETSKP])?([RLN])?(?:[\s-].*)?$/;

/**
 * Reads an insert's designation by ISO 1832 (metric form): shape, clearance, style, size, thickness, corner, then edge
 * condition and hand. What follows a dash is the maker's own and is left. Returns null where the text is no such code;
 * null fields where the code leaves it open. Sizes give the inscribed circle of the usual series.
 * Source: ISO 1832, from memory. Example: 'CNMG 120408' -> rhomb of 80°, IC 12.7, thickness 4.76, radius 0.8, 4 edges.
 */
export function readInsertCode(text: string): InsertCode | null {
  const m = CODE.exec(text.trim().toUpperCase().replace(/\s+/g, ' '));
  if (!m) return null;
  const [, s = '', cl = '', , style = '', size = '', thick = '', corner, , hand] = m;
  const edgeAngle = corner?.charAt(0) ?? '';
  const shape = SHAPES[s];
  if (!shape || !(cl in CLEARANCES)) return null;
  const thickness = THICKNESSES[thick] ?? null;
  if (thickness === null) return null;
  const milling = corner !== undefined && /^[A-Z]{2}$/.test(corner) && corner !== 'M0';
  if (milling && !(edgeAngle in KAPRS)) return null;
  // A face with clearance can't be turned over.
  const both = DOUBLE.includes(style) ? CLEARANCES[cl] === 0 : SINGLE.includes(style) ? false : null;
  const { edge, inscribed } = sizeOf(s, shape, size, corner === 'M0');
  return {
    shape: shape.words,
    clearance: CLEARANCES[cl] ?? null,
    doubleSided: both,
    edge,
    inscribed,
    thickness,
    radius:
      corner === undefined || milling
        ? null
        : corner === 'M0'
          ? inscribed === null
            ? null
            : inscribed / 2
          : Number(corner) / 10,
    kapr: milling ? (KAPRS[edgeAngle] ?? null) : null,
    hand: hand === 'R' ? 'right' : hand === 'L' ? 'left' : hand === 'N' ? 'neutral' : null,
    edges: shape.corners === null || both === null ? null : shape.corners * (both ? 2 : 1),
  };
}

function sizeOf(letter: string, shape: Shape, size: string, metricRound: boolean) {
  if (letter === 'W') return { edge: null, inscribed: TRIGON[size] ?? null };
  const figures = Number(size);
  if (!Number.isFinite(figures)) return { edge: null, inscribed: null };
  const { edgeOf } = shape;
  if (edgeOf === null) return { edge: figures, inscribed: null };
  const series = metricRound ? METRIC_CIRCLES : letter === 'R' ? [...CIRCLES, ...METRIC_CIRCLES] : CIRCLES;
  // The code drops what is behind the point: 12.896 is '12'.
  const inscribed = series.find((ic) => Math.floor(ic * edgeOf + 1e-6) === figures) ?? null;
  return { edge: inscribed === null ? figures : inscribed * edgeOf, inscribed };
}

/**
 * Price of one edge, in cents: the insert's price over the edges that can be used; a solid cutter counts its lives.
 * null where the price or the edges are not known. Plain arithmetic. Example: 450 cents over 4 -> 112.5.
 */
export const pricePerEdge = (cents: number | null, edges: number | null): number | null =>
  cents === null || edges === null || edges < 1 ? null : cents / edges;
