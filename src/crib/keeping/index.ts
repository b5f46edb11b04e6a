export { backUp, backupsBelow, lastBackup } from './backUp';
export type { Backup } from './backUp';
export { readBackup, restore } from './restore';
export type { Restored } from './restore';
export { checkCopy } from './tasks';
