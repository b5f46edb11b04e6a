// The database and how to ask it
export type { Connection, Database, Param } from './connection';
export { DataError, isDataError } from './errors';
export type { DataErrorCode } from './errors';
export { insert, inserts, insertsWithId, many, maybeOne, one } from './rows';
// Opening
export { FolderInUse, lockFolder } from './lockFolder';
export { migrate, MigrationChanged } from './migrate';
export { openDatabase, openInMemory } from './openDatabase';
