// The database and how to ask it
export type { Connection, Database, LongTransaction, Param } from './connection';
export { DataError, isDataError } from './errors';
export { insert, inserts, insertsWithId, many, maybeOne, one } from './rows';
// Opening
export { FolderInUse, lockFolder } from './lockFolder';
export { migrate, MigrationChanged } from './migrate';
export { beginFolder, dropLeftParts } from './beginFolder';
export { openDatabase, openInMemory, openToCheck } from './openDatabase';
export type { FolderDatabase } from './openDatabase';
export { differing, fingerprint } from './fingerprint';
export type { Fingerprint } from './fingerprint';
export { Damaged, plainDamage } from './damage';
export { FREE_BYTES, freeBytes, giveUpRoom, LAID_BY, layRoomBy } from './room';
export { makeFolder } from './makeFolder';
export { refreshStatistics } from './statistics';
// Pages cut by a sort key
export { COUNTED_TO, countSql, pageOf, pageSql } from './paging';
export type { PagedQuestion } from './paging';
