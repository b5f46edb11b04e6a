import { statfsSync } from 'node:fs';
import { DataError } from './errors';
import type { FolderLock } from './lockFolder';

/** Bytes that must be free where the data lies: the log of what is written takes whole pieces of 16 MB, and some of them. */
export const FREE_BYTES = 200_000_000;

/** Bytes free where a folder lies, for whoever is not root. */
export const freeBytes = (folder: string): number => {
  const { bavail, bsize } = statfsSync(folder);
  return bavail * bsize;
};

/**
 * Why nothing may be written now; null: it may. Asked before each write: the engine must not find out by itself, since on
 * a full disk it waits for ever. Reading goes on, and so does writing as soon as there is room again.
 */
export function whyNoWrite(folder: string, lock: FolderLock, free = freeBytes): DataError | null {
  if (!lock.holds())
    return new DataError(
      'FOLDER_GONE',
      `the folder ${folder} was moved, deleted or replaced while it was open`,
    );
  return free(folder) < FREE_BYTES ? new DataError('NO_ROOM', 'less is free than a write may need') : null;
}
