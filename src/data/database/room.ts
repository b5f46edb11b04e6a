import { randomBytes } from 'node:crypto';
import { existsSync, renameSync, rmSync, statfsSync } from 'node:fs';
import { writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { DataError } from './errors';
import type { FolderLock } from './lockFolder';

/** Bytes that must be free where the data lies: the log of what is written takes whole pieces of 16 MB, and some of them. */
export const FREE_BYTES = 200_000_000;

/** Bytes free where a folder lies, for whoever is not root. */
export const freeBytes = (folder: string): number => {
  const { bavail, bsize } = statfsSync(folder);
  return bavail * bsize;
};

/** Bytes laid by in the data folder: the engine writes a little when it starts, and hangs or ends where it can't. */
const LAID_BY_BYTES = 64_000_000;
/** The file that holds them. */
export const LAID_BY = 'room-laid-by';

/** Lays room by in the data folder, once there is enough. Fails where the disk fills up meanwhile; then nothing is left of it. */
export async function layRoomBy(folder: string, free = freeBytes): Promise<void> {
  const file = join(folder, LAID_BY);
  if (existsSync(file) || free(folder) < FREE_BYTES + LAID_BY_BYTES) return;
  try {
    // Nothing that a file system could pack into less.
    await writeFile(`${file}.part`, randomBytes(LAID_BY_BYTES), { mode: 0o600 });
    renameSync(`${file}.part`, file);
  } finally {
    rmSync(`${file}.part`, { force: true });
  }
}

/** Gives up what was laid by where hardly any room is left, so that the folder can be opened to be read. Asked before it is opened. */
export function giveUpRoom(folder: string, free = freeBytes): void {
  const file = join(folder, LAID_BY);
  if (existsSync(file) && free(folder) < LAID_BY_BYTES) rmSync(file);
}

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
