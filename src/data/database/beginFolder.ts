import { existsSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { makeFolder } from './makeFolder';
import { migrate } from './migrate';
import { openDatabase } from './openDatabase';
import { freeBytes } from './room';

const PART = /^beginning-(\d+)$/;

/** Whether a process of that number runs. */
function runs(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
}

/** Takes away what a process left in a folder that was killed while it made the database there. */
export function dropLeftParts(folder: string): void {
  for (const name of existsSync(folder) ? readdirSync(folder) : []) {
    const pid = Number(PART.exec(name)?.[1]);
    if (pid > 0 && !runs(pid)) rmSync(join(folder, name), { recursive: true });
  }
}

/**
 * Makes the database of a folder that has none, with its schema: in a folder beside, which is moved into its place once it is
 * whole, so that a process that is killed meanwhile leaves no half of one. For a process of its own: making one takes some
 * 400 MB that a server would keep. Does nothing where there is one; throws what openDatabase and migrate throw.
 */
export async function beginFolder(folder: string, free = freeBytes): Promise<void> {
  const place = join(folder, 'pg');
  makeFolder(folder);
  dropLeftParts(folder);
  if (existsSync(place)) return;
  const part = join(folder, `beginning-${process.pid}`);
  try {
    const db = await openDatabase(part, free);
    try {
      await migrate(db);
    } finally {
      await db.close();
    }
    // Never over one that somebody else made meanwhile: a folder that holds something is not replaced.
    renameSync(join(part, 'pg'), place);
  } finally {
    rmSync(part, { recursive: true, force: true });
  }
}
