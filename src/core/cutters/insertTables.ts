/** Tables of ISO 1832 and ANSI B212.4, from memory. mm and degrees. */

export interface Shape {
  words: string;
  corners: number | null;
  /** Edge length over inscribed circle; null: the size is the edge length itself. */
  edgeOf: number | null;
}
const sin = (deg: number) => Math.sin((deg * Math.PI) / 180);
const tan = (deg: number) => Math.tan((deg * Math.PI) / 180);
/** Position 1. The edge of a rhomb of point angle e is IC / sin e, of a regular n-gon IC tan(180/n). */
export const SHAPES: Record<string, Shape> = {
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
/** Position 2; O leaves it to the maker. */
export const CLEARANCES: Record<string, number | null> = {
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
/** First corner letter of a milling insert; Z leaves it to the maker. */
export const KAPRS: Record<string, number | null> = { A: 45, D: 60, E: 75, F: 85, P: 90, Z: null };
/** Inscribed circles of the inch series that the metric code rounds down to an edge length. */
export const CIRCLES = [3.97, 4.76, 5.56, 6.35, 7.94, 9.525, 12.7, 15.875, 19.05, 22.225, 25.4, 31.75];
export const METRIC_CIRCLES = [5, 6, 8, 10, 12, 16, 20, 25, 32];
export const THICKNESSES: Record<string, number> = {
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
/** Trigons are named by their own edge; L3 keeps the smaller of two that both round to 3. */
export const TRIGON_CIRCLES: Record<string, number> = {
  '02': 3.97,
  L3: 4.76,
  '03': 5.56,
  '04': 6.35,
  '05': 7.94,
  '06': 9.525,
  '08': 12.7,
  '10': 15.875,
  '13': 19.05,
  '17': 25.4,
};
