import { isOne } from '../names';
import { SHANK_FORMS } from './symbols';

type ShankForm = (typeof SHANK_FORMS)[number];

/**
 * The forms of shank a holder is said to take, from its words: 'plain, flat' -> ['plain', 'flat']. null where a word
 * is no form of shank, since half a list would be taken for the whole. Forms by DIN 1835-1 and DIN 6535: A plain,
 * B with flats, E whistle notch, D threaded.
 */
export function shankForms(words: string): ShankForm[] | null {
  const forms = words
    .toLowerCase()
    .split(/[,;/]|\band\b|\bor\b/)
    .map((w) => w.trim())
    .filter(Boolean);
  const known = forms.filter((f) => isOne(SHANK_FORMS, f));
  return forms.length > 0 && known.length === forms.length ? known : null;
}

/**
 * Whether a holder holds a shank of this form: 'good' where its own words name it; a shank with a flat or notch in a
 * holder for plain ones grips on less and is a 'question'; a plain shank under a side screw, and anything else, does
 * not hold: 'stop'. 'not judged' where either is not known. Common practice; the notch of a whistle-notch shank lies
 * at 2 degrees, so that a screw for flats doesn't seat on it.
 * Example: shankIn('plain', 'flat') is 'stop'.
 */
export function shankIn(
  shank: string | null,
  takes: string | null,
): 'good' | 'question' | 'stop' | 'not judged' {
  const forms = takes === null ? null : shankForms(takes);
  if (shank === null || forms === null) return 'not judged';
  if (isOne(forms, shank)) return 'good';
  return (shank === 'flat' || shank === 'whistle notch') && forms.includes('plain') ? 'question' : 'stop';
}
