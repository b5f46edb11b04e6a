import { copyFileSync, cpSync, existsSync, readdirSync, readFileSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { Problem } from '@/crib/door';
import {
  differing,
  fingerprint,
  lockFolder,
  LAID_BY,
  makeFolder,
  migrate,
  openDatabase,
  plainDamage,
} from '@/data/database';
import { lastEntry } from '@/data/ledger';
import { type Backup, stamp } from './backUp';
import { LOCKED, unlockFiles } from './lock';
import { BESIDE } from './openKeeper';

export interface Restored {
  made: string;
  lastEntry: number;
  /** Steps by which an older shop was brought up to this Stable. */
  migrations: number;
  /** Where the data lies that was there before; null: there was none. */
  before: string | null;
}

/** What a backup says of itself. Throws a Problem where the folder is none. */
export function readBackup(folder: string): Backup {
  const said = join(folder, 'backup.json');
  if (!existsSync(said) || !existsSync(join(folder, 'pg')))
    throw new Problem('NOT_FOUND', `${folder} is no backup`, {
      field: 'backup',
      value: folder,
      limit: 'a folder with backup.json and pg, as npm run backup makes it, or one locked file',
      wayOut: 'Name one backup, such as …/stable-2027-01-12T090000Z.',
    });
  // Written by backUp; what it says is compared below.
  return JSON.parse(readFileSync(said, 'utf8')) as Backup;
}

/**
 * Puts a backup in the place of the data, while Stable is stopped. It is copied beside, opened, compared with what it says
 * of itself and brought up to this Stable first; only then it takes the place, and what was there is kept beside it.
 * `dryRun`: all of it but the last step. Throws a Problem; then the data is as it was.
 */
export async function restore(
  backupFolder: string,
  data: string,
  { now, dryRun = false, passphrase = null }: { now: Date; dryRun?: boolean; passphrase?: string | null },
): Promise<Restored> {
  const part = `${data}.restoring`;
  const there = existsSync(data) && readdirSync(data).length > 0;
  const unlock = there ? lockFolder(data) : null;
  try {
    rmSync(part, { recursive: true, force: true });
    const backup = await laidOut(backupFolder, part, passphrase);
    const db = await openDatabase(part);
    let migrations: number;
    let newest: number;
    try {
      const faults = await plainDamage(db);
      const wrong = faults.length ? faults : differing(backup.holds, await fingerprint(db));
      if (wrong.length)
        throw new Problem('REFUSED', `The backup is not what it was: ${wrong.slice(0, 5).join(', ')}`, {
          field: 'backup',
          value: backupFolder,
          wayOut: 'Take an older one. The data is as it was.',
        });
      migrations = await migrate(db);
      newest = await lastEntry(db);
    } finally {
      await db.close();
    }
    if (dryRun) return { made: backup.made, lastEntry: newest, migrations, before: null };
    rmSync(join(part, 'backup.json'), { force: true });
    const before = takePlace(part, data, there ? now : null);
    return { made: backup.made, lastEntry: newest, migrations, before };
  } finally {
    unlock?.();
    rmSync(part, { recursive: true, force: true });
  }
}

/** Lays a backup out in a folder, unlocked where it is locked. The demo's mark and the like stay out: what was backed up is the books. */
async function laidOut(backupPath: string, part: string, passphrase: string | null): Promise<Backup> {
  if (!backupPath.endsWith(LOCKED)) {
    const backup = readBackup(backupPath);
    makeFolder(part);
    cpSync(join(backupPath, 'pg'), join(part, 'pg'), { recursive: true });
    return backup;
  }
  if (passphrase === null)
    throw new Problem('REFUSED', `${backupPath} is locked by a passphrase`, {
      field: 'passphrase',
      wayOut: 'Set STABLE_PASSPHRASE to it. The data is as it was.',
    });
  await unlockFiles(backupPath, part, passphrase);
  return readBackup(part);
}

/**
 * Puts a folder in the place of the data; what was there is kept beside it, under a name of the moment, and what it knew
 * of how it is kept comes along. Gives that name; null: nothing was there.
 */
export function takePlace(part: string, data: string, now: Date | null): string | null {
  const before = now ? `${data}.before-${stamp(now)}` : null;
  if (before) {
    renameSync(data, before);
    rmSync(join(before, LAID_BY), { force: true });
  } else rmSync(data, { recursive: true, force: true });
  renameSync(part, data);
  for (const name of BESIDE)
    if (before && existsSync(join(before, name))) copyFileSync(join(before, name), join(data, name));
  return before;
}
