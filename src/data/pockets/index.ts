// Rows
export type { KeptRow, LoadedRow, LoadRow, MagazineRow } from './types';
// Reading
export { manyByHand, manyKept, manyLoaded, manyLoads, manyLoadsIn, maybeLoadOf, maybeMagazine } from './read';
// Writing
export { insertKeptTool, insertMagazine, insertPocketLoad } from './write';
