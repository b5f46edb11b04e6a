/**
 * What a name in an address may stand for: a code or a key, words that are typed, a number of a row, or one of a list.
 * From it come the check at the door, the type of what is asked, and the links that ask it.
 */
export type Kind = 'code' | 'words' | 'number' | readonly string[];
export type QuestionSpec = Readonly<Record<string, Kind>>;

/** What may be asked, each left out where it is not. */
export type Question<S extends QuestionSpec> = {
  readonly [N in keyof S]?: S[N] extends 'number'
    ? number
    : S[N] extends readonly (infer One)[]
      ? One
      : string;
};
/** How many characters words in an address may have; a code has fewer. */
export const MOST_CHARACTERS = { code: 200, words: 2000 } as const;
