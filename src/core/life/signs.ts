import { namesOf } from '../names';

/** Signs that go with wear, to be ticked in a reading and at an end, in the trade's words. */
export const SIGNS = [
  'sound',
  'vibration',
  'burr',
  'finish',
  'size drift',
  'line on the wall',
  'load',
  'chip colour',
  'built-up edge',
  'chips packed',
  'bright rings on the shank',
] as const;
export type Sign = (typeof SIGNS)[number];

/**
 * Every sign there is a word for, of wear and of what broke; common practice. One vocabulary: what a reading of wear called a
 * sign is the same sign when its causes are looked for.
 */
export const SIGN_WORDS = {
  sound: 'sound',
  vibration: 'vibration',
  burr: 'burr',
  finish: 'finish',
  'size drift': 'size drift',
  'line on the wall': 'line on the wall',
  load: 'load',
  'chip colour': 'chip colour',
  'built-up edge': 'built-up edge',
  'chips packed': 'chips packed',
  'bright rings on the shank': 'bright rings on the shank',
  plunging: 'broke while plunging or ramping',
  'same place': 'the one before broke there too',
  leaving: 'broke as it left the material',
  longer: 'it is longer, the cut got deeper',
  shorter: 'it is shorter, the cut got shallower',
  corners: 'corners chipped, the rest is sharp',
  blue: 'edges blue or burnt',
  bogged: 'the spindle bogged down first',
  'in a corner': 'broke in an inside corner',
  'one tooth': 'one tooth worse than the others',
  'at the holder': 'snapped at the shank or the holder’s face',
  hit: 'a mark on vise, table or fixture',
  'first part': 'on the first part of a setup or program',
  'new cutter': 'in its first minutes',
  'long in use': 'late in its life',
  dry: 'no air or coolant at the cut',
  slot: 'in a full slot',
  'thin wall': 'at a thin wall or a loose part',
  oversize: 'the hole is oversize',
  undersize: 'the hole is undersize',
  bottom: 'a tap at the bottom of its hole',
} as const satisfies Record<Sign, string> & Record<string, string>;
export type SignName = keyof typeof SIGN_WORDS;
export const SIGN_NAMES = namesOf(SIGN_WORDS);

/** Signs of holes: asked only of what makes or sizes one. */
export const HOLE_SIGNS = ['oversize', 'undersize', 'bottom'] as const satisfies readonly SignName[];
