import { namesOf } from '../names';
import type { SignName } from '../life';

/** A likely cause: what goes with it, how often it is it, and what to check or do next. */
interface CauseSpec {
  words: string;
  /** How often it is the cause, beside the others, before anything is seen; 1 is usual. */
  usual: number;
  /** Seen most times it is the cause. */
  mostly: readonly SignName[];
  /** Seen now and then. */
  sometimes: readonly SignName[];
  /** What to check or do next, in order. */
  next: readonly string[];
}

/**
 * Causes of broken, chipped and burnt cutters with their signs: common practice. The weights are where a shop begins; its own
 * confirmed cases move them.
 */
const SPECS = {
  chips: {
    words: 'chips were not cleared',
    usual: 2,
    mostly: ['chips packed'],
    sometimes: ['slot', 'dry', 'bogged', 'built-up edge'],
    next: [
      'fewer flutes or a chip splitter',
      'smaller step-down',
      'aim air or coolant at the cut',
      'clear chips between passes',
    ],
  },
  plunge: {
    words: 'plunged or ramped over its limit',
    usual: 1,
    mostly: ['plunging'],
    sometimes: ['first part', 'new cutter', 'corners'],
    next: ['look up its ramp limit', 'a start hole or a helix', 'a centre-cutting cutter'],
  },
  fragments: {
    words: 'fragments of the cutter before were left in the cut',
    usual: 0.7,
    mostly: ['same place', 'new cutter'],
    sometimes: ['corners'],
    next: [
      'clean, and look with a light before the next goes in',
      'recut the spot with carbide at full chip load',
    ],
  },
  'hard spot': {
    words: 'a hard or work-hardened spot',
    usual: 0.7,
    mostly: ['corners'],
    sometimes: ['same place', 'dry'],
    next: ['try the spot with a file', 'keep the feed up: rubbing hardens', 'another lot of material?'],
  },
  exit: {
    words: 'shock as it left, or the last web gave way',
    usual: 0.8,
    mostly: ['leaving'],
    sometimes: ['thin wall', 'corners'],
    next: ['less feed at the exit', 'support the web'],
  },
  'pulled out': {
    words: 'pulled out of its holder',
    usual: 1,
    mostly: ['longer', 'bright rings on the shank'],
    sometimes: ['slot', 'bogged', 'vibration'],
    next: [
      'hold every part since the last good measurement',
      'degrease shank and bore, new collet, torque the nut',
      'side-lock or shrink holder',
    ],
  },
  slipped: {
    words: 'slipped up into its holder',
    usual: 0.6,
    mostly: ['shorter'],
    sometimes: ['bright rings on the shank'],
    next: [
      'hold every part since the last good measurement',
      'oil in the bore? nut tightened?',
      'set, torque and measure again',
    ],
  },
  entry: {
    words: 'feed too high at the entry, or chips cut again',
    usual: 0.8,
    mostly: ['corners'],
    sometimes: ['chips packed', 'dry', 'new cutter'],
    next: ['a small corner radius', 'a softer entry', 'clear the chips'],
  },
  'wide and shallow': {
    words: 'wide shallow cuts wear its tip alone',
    usual: 0.7,
    mostly: ['line on the wall', 'long in use'],
    sometimes: ['blue', 'built-up edge'],
    next: ['deep cuts with a small stepover', 'use its upper flute again'],
  },
  'too fast': {
    words: 'too fast for it, or rubbing without coolant',
    usual: 1,
    mostly: ['blue'],
    sometimes: ['dry', 'new cutter', 'first part', 'chip colour'],
    next: [
      'lower speed, feed kept up',
      'carbide in place of HSS',
      'coolant; hot carbide in interrupted steel dry',
    ],
  },
  'too slow': {
    words: 'too slow, dull, or the wrong coating: material welds to it',
    usual: 0.8,
    mostly: ['built-up edge'],
    sometimes: ['long in use', 'dry', 'chips packed'],
    next: ['more speed', 'a sharp polished cutter without aluminium in its coating', 'coolant'],
  },
  torque: {
    words: 'more torque than the spindle gives at that speed',
    usual: 0.7,
    mostly: ['bogged'],
    sometimes: ['slot', 'at the holder', 'load'],
    next: ['low gear', 'less speed with the feed lowered in step', 'less stepover'],
  },
  corner: {
    words: 'engagement jumped in an inside corner',
    usual: 0.9,
    mostly: ['in a corner'],
    sometimes: ['bogged', 'vibration', 'at the holder'],
    next: ['constant engagement, or less feed in corners', 'a smaller cutter than the corner'],
  },
  runout: {
    words: 'runout: collet, holder or bearings',
    usual: 0.9,
    mostly: ['one tooth'],
    sometimes: ['oversize', 'new cutter', 'vibration'],
    next: [
      'indicate at the tip',
      'another collet, then another holder',
      'spindle and driven-holder bearings',
    ],
  },
  stickout: {
    words: 'too far out of its holder',
    usual: 1,
    mostly: ['vibration', 'at the holder'],
    sometimes: ['in a corner', 'slot'],
    next: ['shorter stickout', 'another speed first, then less radial depth'],
  },
  feed: {
    words: 'chip too thick: feed too high',
    usual: 0.9,
    mostly: ['at the holder', 'first part'],
    sometimes: ['slot', 'new cutter', 'corners'],
    next: ['chip load against its recipe', 'feed over-ride as it was meant?'],
  },
  flexes: {
    words: 'the part gave way or moved',
    usual: 0.7,
    mostly: ['thin wall', 'vibration'],
    sometimes: ['leaving', 'same place'],
    next: ['support the part', 'clamping torque', 'unequal flutes, less radial depth'],
  },
  crash: {
    words: 'it hit something: wrong Z, H, length or offset',
    usual: 0.9,
    mostly: ['hit', 'first part'],
    sometimes: ['at the holder', 'longer'],
    next: ['H and T of the program', 'measure it again', 'work offset', 'air run before the next part'],
  },
  'worn out': {
    words: 'it was worn out',
    usual: 1.2,
    mostly: ['long in use'],
    sometimes: [
      ...(['blue', 'vibration', 'undersize', 'bogged'] as const),
      ...(['sound', 'load', 'burr', 'finish', 'size drift'] as const),
    ],
    next: ['change it earlier', 'read its wear'],
  },
  'reamer limit': {
    words: 'the reamer is of the wrong limit',
    usual: 0.5,
    mostly: ['oversize'],
    sometimes: ['new cutter', 'first part', 'built-up edge'],
    next: ['measure the reamer', 'a floating holder', 'feed and coolant'],
  },
  'reamer worn': {
    words: 'the reamer is worn below its limit',
    usual: 0.5,
    mostly: ['undersize', 'long in use'],
    sometimes: [],
    next: ['measure it', 'regrind to a smaller size, or scrap'],
  },
  'tap hole': {
    words: 'hole too shallow or too small for the tap',
    usual: 0.8,
    mostly: ['bottom'],
    sometimes: ['chips packed', 'new cutter', 'first part'],
    next: ['drill deeper', 'the right tap drill', 'no dwell while tapping', 'a spiral flute'],
  },
} as const satisfies Record<string, CauseSpec>;

export type Cause = keyof typeof SPECS;
export const CAUSES: Record<Cause, CauseSpec> = SPECS;
export const CAUSE_NAMES = namesOf(SPECS);
