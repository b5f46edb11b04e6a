import { spawnSync } from 'node:child_process';
import { closeSync, constants, fstatSync, openSync, statSync } from 'node:fs';
import { join } from 'node:path';

/** Another process owns the data folder. */
export class FolderInUse extends Error {
  constructor(folder: string) {
    super(
      `The data folder ${folder} is in use by another Stable process. Two processes on one folder would destroy it. ` +
        'Stop the other one, or set STABLE_DATA to another folder.',
    );
    this.name = 'FolderInUse';
  }
}

/** Lets go of a folder when it is called. */
export interface FolderLock {
  (): void;
  /** Whether the folder at that path is still the one that was locked: it may have been deleted, or put in another's place. */
  holds: () => boolean;
}

/**
 * Takes the folder's lock, which the kernel holds for this process and frees when it ends, kill -9 included, so
 * there is no stale lock to clean. It lies on the folder itself, so that no deleted file frees it, and a folder that was
 * renamed, or is reached by a link, is the same one; on its file dir.lock too, which an older Stable asks. Uses flock from
 * util-linux on descriptors that stay open; `waitS`: seconds to wait for an owner that is just ending. That makes it Linux only, and elsewhere it says so.
 */
export function lockFolder(folder: string, waitS = 0): FolderLock {
  const itself = openSync(folder, constants.O_RDONLY | constants.O_DIRECTORY);
  const file = openSync(join(folder, 'dir.lock'), 'w', 0o600);
  const letGo = () => [file, itself].forEach(closeSync);
  for (const fd of [itself, file]) {
    const taken = spawnSync('flock', ['-w', String(waitS), '-x', '3'], {
      stdio: ['ignore', 'ignore', 'ignore', fd],
    });
    if (taken.status === 0) continue;
    letGo();
    if (taken.error)
      throw new Error(
        `flock (util-linux) is needed to guard the data folder and did not run: ${taken.error.message}`,
      );
    throw new FolderInUse(folder);
  }
  const { ino, dev } = fstatSync(itself);
  return Object.assign(letGo, {
    holds: () => {
      const at = statSync(folder, { throwIfNoEntry: false });
      return at?.ino === ino && at.dev === dev;
    },
  });
}
