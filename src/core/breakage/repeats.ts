/** What cases of breakage have in common. */
export const SHARED = ['T', 'holder', 'machine', 'cutter', 'recipe', 'cause'] as const;
export type Shared = (typeof SHARED)[number];
/** Of a case, what it was on, by a key; null: not known, which is like no other. */
export type Keys = Readonly<Record<Shared, string | null>>;

/** From how many cases on, with this one, it is called a repeat (practice): a T or a recipe does one thing, a machine many. */
const CALLED_FROM: Record<Shared, number> = { T: 2, recipe: 2, holder: 2, cutter: 3, machine: 3, cause: 3 };

/** Something that broke before on the same thing. */
export interface Repeat {
  shared: Shared;
  /** The thing: a T of a job, a holder, a machine, a cutter, a recipe, a cause. */
  of: string;
  /** With this one. */
  times: number;
  /** Of how many in all: a thing that is used for most of the work is in most of the cases without being their cause. */
  among: number;
}

/**
 * What the case has in common with others often enough to be called out, the narrowest first. `others` are without it, of the
 * time that is looked at. Common practice; the share of all stands beside it, since a count alone is no cause.
 * Example: the third on T5 of J-7: T, 3 times.
 */
export const repeatsOf = (one: Keys, others: readonly Keys[]): Repeat[] =>
  SHARED.flatMap((shared): Repeat[] => {
    const of = one[shared];
    if (of === null) return [];
    const times = 1 + others.filter((o) => o[shared] === of).length;
    return times >= CALLED_FROM[shared] ? [{ shared, of, times, among: others.length + 1 }] : [];
  });
