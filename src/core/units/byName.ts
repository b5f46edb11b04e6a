/** A table with an entry for each of some names. Example: byName(['a', 'b'], (n) => n + n) is { a: 'aa', b: 'bb' }. */
export const byName = <N extends string, V>(names: readonly N[], of: (name: N) => V): Record<N, V> =>
  // fromEntries forgets which names it was given.
  Object.fromEntries(names.map((name) => [name, of(name)])) as Record<N, V>;
