/** The names a record is written with, in its order. TypeScript knows them only as strings. */
export const namesOf = <N extends string>(record: Readonly<Record<N, unknown>>): N[] =>
  // A record written as a literal has no names but its own.
  Object.keys(record) as N[];

/** Whether something is one of these names. Example: isOne(['mm', 'inch'], 'mm') is true. */
export const isOne = <N extends string>(names: readonly N[], value: unknown): value is N =>
  names.some((name) => name === value);
