// What people do
export { setBackups } from './verbs/setBackups';
export { KEEPING_ACTS } from './acts';
// What screens show
export { judgedBackups, keepingView } from './views/keepingView';
export type { KeepingView } from './views/keepingView';
// Who keeps a folder
export { backUp, backupsBelow } from './backUp';
export type { Backup } from './backUp';
export { openKeeper } from './openKeeper';
export { readBackup, restore } from './restore';
export type { Restored } from './restore';
export { bringInto } from './archive/bringInto';
export { handOver } from './archive/handOver';
export { writeArchive } from './archive/writeArchive';
export { archiveCopy, checkCopy, lockCopy } from './tasks';
export { webOf } from './streams';
