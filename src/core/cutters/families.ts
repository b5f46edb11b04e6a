/** Cutter families of the slice, in the trade's words. Each states where its length is measured to. */
export const FAMILIES = {
  square: { words: 'square end mill', tip: 'flat', lengthTo: 'tip' },
  'corner-radius': { words: 'corner-radius end mill', tip: 'flat', lengthTo: 'tip' },
  ball: { words: 'ball end mill', tip: 'ball', lengthTo: 'ball tip' },
  roughing: { words: 'roughing end mill', tip: 'flat', lengthTo: 'tip' },
  face: { words: 'face mill', tip: 'flat', lengthTo: 'lowest edge' },
  chamfer: { words: 'chamfer mill', tip: 'cone', lengthTo: 'chamfer tip' },
  drill: { words: 'drill', tip: 'cone', lengthTo: 'drill tip' },
  'spot-drill': { words: 'spot drill', tip: 'cone', lengthTo: 'drill tip' },
  reamer: { words: 'reamer', tip: 'flat', lengthTo: 'lead-in end' },
  tap: { words: 'tap', tip: 'flat', lengthTo: 'chamfer end' },
} as const;

export type Family = keyof typeof FAMILIES;
export const FAMILY_NAMES = Object.keys(FAMILIES) as Family[];

export const SUBSTRATES = ['HSS', 'cobalt HSS', 'carbide', 'PCD', 'other'] as const;
export type Substrate = (typeof SUBSTRATES)[number];

/** Where a fact came from. A result that leans on a guess says so. */
export const ORIGINS = ['measured', 'maker', 'similar', 'guess'] as const;
export type Origin = (typeof ORIGINS)[number];
export const ORIGIN_WORDS: Record<Origin, string> = {
  measured: 'measured here',
  maker: "maker's figure",
  similar: 'copied from a similar one',
  guess: 'guess',
};

/** A cutter's geometry by ISO 13399 symbol, mm and degrees; null is 'not known'. */
export interface CutterGeometry {
  family: Family;
  DC: number;
  DMM: number | null;
  LCF: number | null;
  OAL: number | null;
  RE: number | null;
  SIG: number | null;
  NOF: number | null;
}

/** The symbols a cutter's form asks for, beside plain words. */
export const CUTTER_SYMBOLS = {
  DC: { words: 'cutting diameter', kind: 'length' },
  DMM: { words: 'shank diameter', kind: 'length' },
  LCF: { words: 'flute length', kind: 'length' },
  OAL: { words: 'overall length', kind: 'length' },
  RE: { words: 'corner radius', kind: 'length' },
  SIG: { words: 'point angle', kind: 'degree' },
  NOF: { words: 'flutes', kind: 'count' },
} as const;
export type CutterSymbol = keyof typeof CUTTER_SYMBOLS;

/** Whether a family has a fact at all: a square end mill has no corner radius, a ball's is half its
 * diameter, and only cones have a point angle. */
export function asks(family: Family, symbol: string): boolean {
  if (symbol === 'SIG') return FAMILIES[family].tip === 'cone';
  if (symbol === 'RE') return ['corner-radius', 'roughing', 'face'].includes(family);
  return true;
}

/** Holder facts. LF here is gauge line to face; the clamping range and grip belong to the bore or collet. */
export const HOLDER_SYMBOLS = {
  LF: { words: 'gauge line to face', kind: 'length' },
  CLAMP_MIN: { words: 'smallest shank it takes', kind: 'length' },
  CLAMP_MAX: { words: 'largest shank it takes', kind: 'length' },
  GRIP_MIN: { words: 'least grip', kind: 'length' },
  DEPTH_MAX: { words: 'greatest depth of shank', kind: 'length' },
  RPM_MAX: { words: 'rpm limit', kind: 'count' },
} as const;
export type HolderSymbol = keyof typeof HOLDER_SYMBOLS;

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
