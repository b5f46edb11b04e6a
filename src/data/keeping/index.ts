// When and where to it is backed up
export { begunAt, insertBackupPlan, maybeBackupPlan } from './plan';
// All that is kept, as rows of text
export {
  emptyForRows,
  fileKept,
  manyFilesKept,
  manyMigrations,
  manyTablesKept,
  numberOn,
  putRowsKept,
  rowsKept,
} from './tables';
export type { ColumnKept, MigrationApplied, TableKept } from './tables';
// Whether the books agree
export { IN_FORCE } from './inForce';
export { sumFaults, wholeDamage } from './wholeDamage';
