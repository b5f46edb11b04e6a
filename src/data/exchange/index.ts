// Rows
export type { ImportRow, MappingRow, StagedItem } from './types';
// Reading
export { catalogueChangedBetween, manyImports, manyMappings, usesOfImport } from './read';
// Writing
export { dropLeftStaged, dropStaged, enterStaged, stageItems } from './stage';
export { insertImportList, insertMappings } from './write';
