/** What a machine has under a T, as text in its own unit. */
export interface Numbers {
  tag: string;
  /** null: there is none to enter. */
  h: string | null;
  d: string | null;
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
  return { state: 'same', words: 'as it was given' };
}
