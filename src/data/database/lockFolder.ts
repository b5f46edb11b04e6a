import { spawnSync } from 'node:child_process';
import { closeSync, openSync } from 'node:fs';
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

/**
 * Takes the folder's lock, which the kernel holds for this process and frees when it ends, kill -9 included, so
 * there is no stale lock to clean. Uses flock from util-linux on a descriptor that stays open; that makes it
 * Linux only, and elsewhere it says so. Returns the function that lets go.
 */
export function lockFolder(folder: string): () => void {
  const fd = openSync(join(folder, 'dir.lock'), 'w', 0o600);
  const taken = spawnSync('flock', ['-n', '-x', '3'], { stdio: ['ignore', 'ignore', 'ignore', fd] });
  if (taken.status === 0) return () => closeSync(fd);
  closeSync(fd);
  if (taken.error)
    throw new Error(
      `flock (util-linux) is needed to guard the data folder and did not run: ${taken.error.message}`,
    );
  throw new FolderInUse(folder);
}
