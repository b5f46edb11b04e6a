import { namesOf } from '../names';
import { byName } from '../units';
import { familiesThatCut, type Work } from '../cutters';

/** What can be said of a cut: in words, and how it is written. Limits in mm, degrees or letters. */
export const CUT_FIELDS = {
  diameter: { words: 'Diameter', kind: 'length', limits: [0.1, 500] },
  cls: { words: 'Tolerance class, such as H7, or its limits', kind: 'text', limits: [1, 24] },
  thread: { words: 'Thread, such as M6 or 1/4-20', kind: 'text', limits: [1, 24] },
  angle: { words: 'Included angle, degrees', kind: 'degrees', limits: [20, 180] },
  flank: { words: 'Flank angle, degrees', kind: 'degrees', limits: [1, 90] },
  edgeRadius: { words: 'Radius of the edge', kind: 'length', limits: [0.05, 250] },
  width: { words: 'Width', kind: 'length', limits: [0.01, 1000] },
  under: { words: 'How far it goes under', kind: 'length', limits: [0.01, 500] },
  corner: { words: 'Smallest inside corner, radius', kind: 'length', limits: [0.05, 500] },
  floorRadius: { words: 'Radius at the floor', kind: 'length', limits: [0, 250] },
  draft: { words: 'Draft, degrees a side', kind: 'degrees', limits: [0, 45] },
  depth: { words: 'Depth to reach', kind: 'length', limits: [0.01, 1000] },
  holeDepth: { words: 'Depth of the hole before the thread', kind: 'length', limits: [0.01, 1000] },
  ramp: { words: 'Ramps in at, degrees', kind: 'degrees', limits: [0.1, 90] },
  passDepth: { words: 'Depth of one pass', kind: 'length', limits: [0.01, 1000] },
  stock: { words: 'Stock to take off the wall', kind: 'length', limits: [0, 500] },
  clearance: { words: 'Clearance to a jaw or clamp', kind: 'length', limits: [0.1, 1000] },
} as const satisfies Record<
  string,
  { words: string; kind: 'length' | 'text' | 'degrees'; limits: readonly [number, number] }
>;
export type CutField = keyof typeof CUT_FIELDS;
export const CUT_FIELD_NAMES = namesOf(CUT_FIELDS);

/** What is to be cut: in words, and what bounds it, in the order of the drawing. `width` says what its width is. */
const WORK: Record<
  Work,
  { words: string; asks: readonly CutField[]; width?: string; milled?: true; bottom?: true }
> = {
  side: {
    words: 'a side',
    asks: ['corner', 'draft', 'depth', 'passDepth', 'ramp', 'stock', 'clearance'],
    milled: true,
  },
  slot: {
    words: 'a slot',
    asks: ['width', 'depth', 'passDepth', 'ramp', 'stock', 'clearance'],
    width: 'Slot width',
    milled: true,
  },
  pocket: {
    words: 'a pocket',
    asks: ['corner', 'floorRadius', 'draft', 'depth', 'passDepth', 'ramp', 'stock', 'clearance'],
    milled: true,
  },
  face: { words: 'a face', asks: ['passDepth', 'ramp', 'stock', 'clearance'], milled: true },
  floor: {
    words: 'a floor with a radius',
    asks: ['floorRadius', 'depth', 'passDepth', 'ramp', 'stock', 'clearance'],
    milled: true,
  },
  hole: { words: 'a hole', asks: ['diameter', 'cls', 'depth'], bottom: true },
  thread: { words: 'a thread', asks: ['thread', 'depth', 'holeDepth'], bottom: true },
  chamfer: { words: 'a chamfer', asks: ['diameter', 'angle'] },
  undercut: { words: 'an undercut', asks: ['under', 'width', 'depth', 'clearance'], width: 'Its height' },
  dovetail: { words: 'a dovetail', asks: ['flank', 'depth', 'clearance'] },
  rounding: { words: 'a rounded edge', asks: ['edgeRadius', 'clearance'] },
  engraving: { words: 'an engraved line', asks: ['width', 'depth'], width: 'Width of the line' },
  centre: { words: 'a centre hole', asks: ['diameter', 'angle'] },
};
export type Feature = Work;
export const FEATURE_NAMES = namesOf(WORK);
/** What is to be cut, what is asked of it, and the families that say they cut it. */
export const FEATURES = byName(FEATURE_NAMES, (f) => ({
  ...WORK[f],
  families: familiesThatCut(f),
}));

/** ISO 513 groups of work material. O stands for plastics and others outside the standard's six. */
export const GROUPS = ['P', 'M', 'K', 'N', 'S', 'H', 'O'] as const;
export type Group = (typeof GROUPS)[number];
export const GROUP_WORDS: Record<Group, string> = {
  P: 'steel',
  M: 'stainless',
  K: 'cast iron',
  N: 'aluminium, bronze',
  S: 'heat-resistant, titanium',
  H: 'hardened',
  O: 'plastics, others',
};

/**
 * What a letter of ISO 513 leaves open: an edge or a tap that suits one of its materials ruins another. Common practice.
 */
export const ALLOYS = {
  aluminium: { group: 'N', words: 'aluminium' },
  copper: { group: 'N', words: 'bronze, brass, copper' },
  magnesium: { group: 'N', words: 'magnesium' },
  titanium: { group: 'S', words: 'titanium' },
  nickel: { group: 'S', words: 'nickel, cobalt alloys' },
  plastic: { group: 'O', words: 'plastics' },
  fibre: { group: 'O', words: 'fibre-reinforced' },
} as const satisfies Record<string, { group: Group; words: string }>;
export type Alloy = keyof typeof ALLOYS;
export const ALLOY_NAMES = namesOf(ALLOYS);
/** Whether a hole ends in the part: chips must come up, and a chamfer must not meet its bottom. */
export const BOTTOMS = ['blind', 'through'] as const;

/** A cut as the drawing and the fixture bound it; mm and degrees, null is 'not said' and bounds nothing. */
export interface Cut {
  feature: Feature;
  group: Group | null;
  /** Which of its group, where somebody says so. */
  alloy: Alloy | null;
  bottom: (typeof BOTTOMS)[number] | null;
  /** Wall, hole or thread depth to be reached. */
  depth: number | null;
  /** Depth of one pass: the flutes themselves must exceed it. */
  passDepth: number | null;
  /** Width of a slot or a line, height of an undercut. */
  width: number | null;
  /** Smallest inside corner of a wall, radius. */
  corner: number | null;
  /** Radius where wall and floor meet. */
  floorRadius: number | null;
  /** How far an undercut goes in under its wall. */
  under: number | null;
  /** Radius an outer edge is rounded to. */
  edgeRadius: number | null;
  /** Angle of a dovetail's flank from its floor, degrees. */
  flank: number | null;
  /** Draft of the wall, degrees a side. */
  draft: number | null;
  /** Hole diameter, and its tolerance class. */
  diameter: number | null;
  cls: string | null;
  thread: string | null;
  /** Included angle of a chamfer or a centre's cone. */
  angle: number | null;
  /** Free way beside the wall, to a jaw or a clamp: the cutter must pass there. */
  clearance: number | null;
  /** Down along its axis: it must cut at its centre. */
  plunge: boolean;
  /** Into the material at an angle, degrees. */
  ramp: number | null;
  /** How deep the hole before a blind thread is. */
  holeDepth: number | null;
  /** Stock that is to be taken off the wall, mm: much is roughing, little is finishing. */
  stock: number | null;
}

/** A cut of which nothing is said but what it is: a hole, unless another feature is put over it. */
export const BLANK_CUT: Cut = {
  feature: 'hole',
  group: null,
  alloy: null,
  bottom: null,
  depth: null,
  passDepth: null,
  width: null,
  under: null,
  edgeRadius: null,
  flank: null,
  corner: null,
  floorRadius: null,
  draft: null,
  diameter: null,
  cls: null,
  thread: null,
  angle: null,
  clearance: null,
  plunge: false,
  ramp: null,
  holeDepth: null,
  stock: null,
};

/** Above so much stock a cut is roughing: a finisher is left 0.2 to 0.5 mm (common practice). */
const ROUGH_FROM_MM = 0.8;
export const isRough = (cut: Cut): boolean | null => (cut.stock === null ? null : cut.stock > ROUGH_FROM_MM);
