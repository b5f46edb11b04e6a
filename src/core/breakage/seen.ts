import { namesOf } from '../names';

/** What is seen where a cutter broke or chipped, in the trade's words; common practice. */
export const SEEN = {
  packed: 'chips packed in the flutes or the slot',
  plunging: 'broke while plunging or ramping',
  'same place': 'the one before broke there too',
  leaving: 'broke as it left the material',
  longer: 'it is longer, the cut got deeper',
  rings: 'bright rings on the shank',
  shorter: 'it is shorter, the cut got shallower',
  corners: 'corners chipped, the rest is sharp',
  'near the tip': 'worn only near the tip, a line on the wall',
  blue: 'edges blue or burnt',
  'built up': 'built-up edge, torn finish',
  bogged: 'the spindle bogged down first',
  'in a corner': 'broke in an inside corner',
  'one tooth': 'one tooth worse than the others',
  chatter: 'it chattered before',
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
} as const;
export type Seen = keyof typeof SEEN;
export const SEEN_NAMES = namesOf(SEEN);
