import { byName } from '../units';
import { familiesThatCut, type Family, type Work } from '../cutters';

/** What is to be cut, in words. */
const WORK: Record<Work, string> = {
  side: 'a side',
  slot: 'a slot',
  pocket: 'a pocket',
  face: 'a face',
  floor: 'a floor with a radius',
  hole: 'a hole',
  thread: 'a thread',
  chamfer: 'a chamfer',
};
export type Feature = Work;
export const FEATURE_NAMES = Object.keys(WORK) as Feature[];
/** What is to be cut, and the families that say they cut it. */
export const FEATURES = byName(FEATURE_NAMES, (f): { words: string; families: readonly Family[] } => ({
  words: WORK[f],
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

/** A cut as the drawing and the fixture bound it; mm and degrees, null is 'not said' and bounds nothing. */
export interface Cut {
  feature: Feature;
  group: Group | null;
  /** Wall, hole or thread depth to be reached. */
  depth: number | null;
  /** Depth of one pass: the flutes themselves must exceed it. */
  passDepth: number | null;
  /** Width of a slot. */
  width: number | null;
  /** Smallest inside corner of a wall, radius. */
  corner: number | null;
  /** Radius where wall and floor meet. */
  floorRadius: number | null;
  /** Draft of the wall, degrees a side. */
  draft: number | null;
  /** Hole diameter, and its tolerance class. */
  diameter: number | null;
  cls: string | null;
  thread: string | null;
  /** Included angle of a chamfer. */
  angle: number | null;
  /** Free way beside the wall, to a jaw or a clamp: the cutter must pass there. */
  clearance: number | null;
  plunge: boolean;
  /** Stock that is to be taken off the wall, mm: much is roughing, little is finishing. */
  stock: number | null;
}

/** A cut of which nothing is said but what it is: a hole, unless another feature is put over it. */
export const BLANK_CUT: Cut = {
  feature: 'hole',
  group: null,
  depth: null,
  passDepth: null,
  width: null,
  corner: null,
  floorRadius: null,
  draft: null,
  diameter: null,
  cls: null,
  thread: null,
  angle: null,
  clearance: null,
  plunge: false,
  stock: null,
};

/** Above so much stock a cut is roughing: a finisher is left 0.2 to 0.5 mm (common practice). */
export const ROUGH_FROM_MM = 0.8;
export const isRough = (cut: Cut): boolean | null => (cut.stock === null ? null : cut.stock > ROUGH_FROM_MM);
