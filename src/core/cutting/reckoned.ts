import type { Because, Figure } from '../because';

/** What a figure was reckoned with. */
export type Value = Because['values'][number];
/** A figure with its reason. */
export const figure = <V>(
  value: V,
  words: string,
  formula: string,
  values: Value[],
  assumed: string[] = [],
): Figure<V> => ({
  value,
  because: { words, formula, values },
  assumed,
});
/** A value of a reason, with where it is from. */
export const val = (name: string, value: string, source?: string): Value => ({
  name,
  value,
  ...(source ? { source } : {}),
});
/** A number with at most so many places. */
export const short = (n: number, places: number) => String(Number(n.toFixed(places)));
