// Rows
export type { HandOverRow } from './types';
// Reading
export { manyHandOvers, manyPartsBetween } from './read';
// Writing
export { insertHandOver, insertHandOverTaken } from './write';
