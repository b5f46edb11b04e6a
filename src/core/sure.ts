/**
 * What holds by how things are built, said where it is leaned on: if it ever does not, the error names it there and
 * then, instead of an undefined somewhere further on. Nothing a person types or sends is read this way.
 */

/** The value, which is there. Example: sure(assembly.takenDownAt, 'when it was taken down'). */
export function sure<T>(value: T, what: string): NonNullable<T> {
  if (value === null || value === undefined) throw new Error(`Not there, against how it is built: ${what}`);
  return value;
}

/** The first of a list that has one. */
export const first = <T>(list: readonly T[]): NonNullable<T> => sure(list[0], 'the first of a list');

/** The last of a list that has one. */
export const last = <T>(list: readonly T[]): NonNullable<T> => sure(list.at(-1), 'the last of a list');

/** What a map holds under a key it was made with. */
export const held = <K, V>(map: ReadonlyMap<K, V>, key: K): NonNullable<V> =>
  sure(map.get(key), `what is kept under ${String(key)}`);
