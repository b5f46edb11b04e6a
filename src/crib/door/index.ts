// The door: schemas, checking, problems, verbs
export { forLog, isProblem, Problem, PROBLEM_CODES, toProblem } from './problem';
export type { ProblemDocument, ProblemPart } from './problem';
export { found, foundInUse, maybeLength, maybeNumber, notPast, toLength, toNumber } from './read';
export * as field from './schema';
export { bodyBytes } from './shape';
export { validate } from './validate';
export { questionSchema, readQuestion } from './question';
export { defineVerb } from './verb';
export type { Crib, InputOf, Moment, Properties, Verb } from './verb';
export type { KeptFacts, Keeper } from './keeper';
export { perform } from './perform';
export type { Behind, Done, Recorded } from './perform';
export { mayRead, performAs } from './performAs';
export type { SecondAsked, Signed } from './performAs';
export { readOnce } from './readOnce';
export type { ReadAll, ReadOnce } from './readOnce';
// Computations: JSON in, JSON out, nothing written
export { computation } from './computation';
export * as part from './computation';
export type { Computation } from './computation';
// Work beside the server's own thread
export { defineTask, here, letOthersIn } from './task';
export { Progress, tellNobody } from './progress';
export type { Far, TellFar } from './progress';
export type { Beside, Task } from './task';
