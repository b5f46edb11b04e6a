import { type Family, familySpec } from '../cutters';
import { CAUSE_NAMES, CAUSES } from './causes';
import { type Ending, HOLE_SIGNS, SIGN_NAMES, SIGN_WORDS, type SignName, SIGNS } from '../life';
import { isOne } from '../names';
import { isBreak } from './fragments';

/** What is seen where a cutter broke or chipped: every sign of the one vocabulary, in the trade's words. */
export type Seen = SignName;
export const SEEN = SIGN_WORDS;
export const SEEN_NAMES = SIGN_NAMES;

/** How telling a sign is: how usual the causes are with which it goes. */
const telling = (sign: Seen): number =>
  CAUSE_NAMES.reduce((sum, name) => {
    const { usual, mostly, sometimes } = CAUSES[name];
    return sum + usual * (mostly.includes(sign) ? 1 : sometimes.includes(sign) ? 0.3 : 0);
  }, 0);
const BY_TELLING = SEEN_NAMES.toSorted((a, b) => telling(b) - telling(a));

/**
 * Signs that are offered for an end: of what wore, those of wear; of what broke, every one, the most telling first, those of
 * holes only of what makes one. Common practice.
 * Example: a square end mill that broke: 'chips packed' comes before 'burr', 'oversize' not at all.
 */
export function signsAsked(kind: Ending | null, family: Family | null): readonly Seen[] {
  if (kind === null || !isBreak(kind)) return SIGNS;
  const holes = family === null || familySpec(family).hole !== undefined;
  return BY_TELLING.filter((s) => holes || !isOne(HOLE_SIGNS, s));
}
