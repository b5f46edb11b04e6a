// The door: schemas, checking, problems, verbs
export { Problem, PROBLEM_CODES, toProblem } from './problem';
export type { ProblemDocument, ProblemPart } from './problem';
export { found, foundInUse, maybeLength, maybeNumber, notPast, toLength, toNumber } from './read';
export * as field from './schema';
export { validate } from './validate';
export { questionSchema, readQuestion } from './question';
export { defineVerb, perform } from './verb';
export type { Crib, Done, Moment, Recorded, Verb } from './verb';
export { readOnce } from './readOnce';
export type { ReadAll, ReadOnce } from './readOnce';
// Computations: JSON in, JSON out, nothing written
export { computation } from './computation';
export * as part from './computation';
export type { Computation } from './computation';
