// The door: schemas, checking, problems, verbs
export { Problem, PROBLEM_CODES, toProblem } from './problem';
export type { ProblemDocument, ProblemPart } from './problem';
export { found, maybeLength, maybeNumber, oneOf, rowNumber, toLength, toNumber } from './read';
export * as field from './schema';
export { validate } from './validate';
export { questionSchema, readQuestion } from './question';
export { defineVerb, perform } from './verb';
export type { Crib, Done, Moment, NoWayBack, Recorded, Verb } from './verb';
export { readOnce } from './readOnce';
export type { ReadAll, ReadOnce } from './readOnce';
