// Rows
export { WORK_WORDS } from './types';
export type { WorkWord, WorkWordRow } from './types';
// Reading
export { manyWorkWords } from './read';
// Writing
export { insertWorkWord } from './write';
