import { namesOf } from '../names';
/**
 * How a life can end, and what that says about the cutter. 'failure' counts as one in the statistics; 'censored'
 * means that the cutter might have gone on: worn only by what was said of the T it ran on, crash or another outside
 * cause, pulled out, lost, changed at a set count.
 * Source: right censoring as in Kaplan and Meier (1958); the sorting is the trade's common practice.
 */
export const ENDINGS = {
  worn: { words: 'worn', counts: 'failure' },
  'worn-here': { words: 'worn for its T, not yet as usual', counts: 'censored' },
  sign: { words: 'changed on a sign (sound, burr, finish, size)', counts: 'failure' },
  chipped: { words: 'chipped', counts: 'failure' },
  broken: { words: 'broken', counts: 'failure' },
  crash: { words: 'crash', counts: 'censored' },
  'pulled-out': { words: 'pulled out', counts: 'censored' },
  lost: { words: 'lost', counts: 'censored' },
  preventive: { words: 'preventive, at a set count', counts: 'censored' },
} as const;
export type Ending = keyof typeof ENDINGS;
export const ENDING_NAMES = namesOf(ENDINGS);

/** Endings to choose from; `here`: another wear than the usual was said of the T it runs on, and it may be worn by that alone. */
export const endingChoices = (here: boolean): Ending[] =>
  ENDING_NAMES.filter((e) => here || e !== 'worn-here');

/** One life as the statistics see it: minutes in the cut, and whether it ended in a failure. */
export interface LifeTime {
  minutes: number;
  failed: boolean;
  /** It goes on cutting: censored at its present minutes, and not used up. */
  running?: boolean;
}
