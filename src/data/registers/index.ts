// Rows
export { HOW_GIVEN } from './types';
export type { GivenRow, HowGiven } from './types';
// Reading
export { manyGivenLast } from './read';
// Writing
export { insertRegisterGiven } from './write';
