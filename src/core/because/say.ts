import type { Because, Grade, Judgement } from './because';

type Value = [name: string, value: string, source?: string];

/** A judgement with its reason. */
export const say = (
  code: string,
  grade: Grade,
  words: string,
  why: string,
  values: readonly Value[] = [],
  formula?: string,
): Judgement => ({ code, grade, words, because: reason(why, values, formula) });

const reason = (words: string, values: readonly Value[], formula?: string): Because => ({
  words,
  formula,
  values: values.map(([name, value, source]) => ({ name, value, source })),
});

/** Shown beside the others, and deciding nothing: the tool may run whatever it says. */
export const aside = (judgement: Judgement): Judgement => ({ ...judgement, aside: true });

export const mm = (n: number): string => `${Math.round(n * 1000) / 1000} mm`;
export const orUnknown = (n: number | null, text: (n: number) => string = mm): string =>
  n === null ? 'not known' : text(n);
