// Rows
export type { ImportRow, MappingRow } from './types';
// Reading
export { manyImports, manyMappings, usesOfImport } from './read';
// Writing
export { insertImportList, insertMappings } from './write';
