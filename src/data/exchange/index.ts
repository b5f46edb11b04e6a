// Rows
export type { ImportRow, MappingRow, StagedItem } from './types';
// Reading
export { catalogueChangedBetween, manyImports, manyMappings, usesOfImport } from './read';
// Writing
export { asJoined, dropLeftStaged, dropStaged, enterStaged, showStaged, stageItems } from './stage';
export { insertImportList, insertMappings } from './write';
