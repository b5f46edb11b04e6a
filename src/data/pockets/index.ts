// Rows
export type { KeptRow, LoadRow, MagazineRow } from './types';
// Reading
export { manyByHand, manyKept, manyLoads, maybeLoadOf, maybeMagazine } from './read';
// Writing
export { insertKeptTool, insertMagazine, insertPocketLoad } from './write';
