import { DEFAULTS } from '../defaults';
import { registerNumber } from './readBack';

/** What a machine has under a T, as text in its own unit. */
export interface Numbers {
  tag: string;
  /** null: there is none to enter. */
  h: string | null;
  d: string | null;
  /** What stands in the registers for wear beside them; left out or null: there are none, or nobody read them. */
  hWear?: string | null;
  dWear?: string | null;
}

/** How the numbers of a T stand against what the machine was last given. */
export type SinceGiven = 'new' | 'changed' | 'same' | 'cannot say' | 'gone';

/**
 * What changed for a T since its machine was last given its numbers: new, changed (another figure, or another tool even
 * with the same figures), same, cannot say (there is no figure now, and what the control has may be another tool's), gone
 * (nothing is tied to it any more, but the control has its figures). null where neither says anything.
 * Example: A-0012 with −347.684, last given −347.652: changed.
 */
export function sinceGiven(
  now: Numbers | null,
  given: Numbers | null,
): { state: SinceGiven; words: string } | null {
  if (!now) return given && { state: 'gone', words: `${given.tag} was given; nothing is tied to it now` };
  if (now.h === null)
    return {
      state: 'cannot say',
      words: given ? `the control still has ${given.h ?? 'something'} of ${given.tag}` : 'no figure to enter',
    };
  if (!given) return { state: 'new', words: 'never given to this machine' };
  if (given.tag !== now.tag) return { state: 'changed', words: `was ${given.tag}, ${given.h ?? 'no H'}` };
  if (given.h !== now.h) return { state: 'changed', words: `H was ${given.h ?? 'not given'}` };
  if (now.d !== null && given.d !== now.d)
    return { state: 'changed', words: `D was ${given.d ?? 'not given'}` };
  const worn = wearChanged('H', now.hWear, given.hWear) ?? wearChanged('D', now.dWear, given.dWear);
  if (worn) return { state: 'changed', words: worn };
  return { state: 'same', words: 'as it was given' };
}

/** A wear register that nobody read is taken for as it was left, unless something is to be in it. */
function wearChanged(
  register: 'H' | 'D',
  now: string | null | undefined,
  given: string | null | undefined,
): string | null {
  if (now == null || now === given) return null;
  if (given == null)
    return registerNumber(now) === 0 ? null : `wear of ${register} is to be ${now}, and was not read`;
  return `wear of ${register} was ${given}`;
}

/**
 * The same for a machine that measures its tools itself: its figure is read back and written by nobody else. New until it was
 * read for this tool, and read before the machine's figures changed it is old; where the crib measured it too, both must
 * agree within DEFAULTS.setterFromMeasuredMm, whatever the machine's school. Common practice.
 * Example: −347.684 read, −347.671 by the crib's measurement: same, 0.013 mm apart.
 */
export function sinceItsSetter(
  now: { tag: string; wouldBe: string | null; unit: 'mm' | 'inch'; figures: Date } | null,
  given: (Numbers & { happenedAt: Date }) | null,
): { state: SinceGiven; words: string } | null {
  if (!now) return sinceGiven(null, given);
  if (!given || given.h === null || given.tag !== now.tag)
    return {
      state: 'new',
      words:
        given && given.tag !== now.tag
          ? `was ${given.tag}: set it in the machine, then read it back`
          : 'set it in the machine, then read it back',
    };
  if (given.happenedAt < now.figures)
    return { state: 'changed', words: 'read back before the machine’s figures changed: set it again' };
  const [read, wouldBe] = [
    registerNumber(given.h),
    now.wouldBe === null ? null : registerNumber(now.wouldBe),
  ];
  if (read === null || wouldBe === null) return { state: 'same', words: 'as its setter measured it' };
  const apart = Math.abs(read - wouldBe) * (now.unit === 'mm' ? 1 : 25.4);
  const said = `${apart.toFixed(3)} mm from what was measured here (${now.wouldBe})`;
  return apart > DEFAULTS.setterFromMeasuredMm + 1e-9
    ? { state: 'changed', words: `its setter is ${said}: find out which is right` }
    : { state: 'same', words: said };
}
