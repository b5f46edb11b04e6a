import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { cp } from 'node:fs/promises';
import { join, resolve } from 'node:path';
import { type Beside, Problem } from '@/crib/door';
import { differing, fingerprint, type Fingerprint, type FolderDatabase } from '@/data/database';
import { lastEntry } from '@/data/ledger';
import { checkCopy } from './tasks';

/** What a backup says of itself, in its backup.json. */
export interface Backup {
  made: string;
  /** The newest entry in it. */
  lastEntry: number;
  holds: Fingerprint;
}
/** Seconds that checking a copy may take: every row of many years is read, and nobody waits for it. */
const CHECK_S = 3600;

/** Names of backups: 'stable-2027-01-12T090000Z'; those of a later moment come later. */
const NAME = /^stable-\d{4}-\d{2}-\d{2}T\d{6}Z$/;
const nameOf = (now: Date) => `stable-${now.toISOString().slice(0, 19).replaceAll(':', '')}Z`;

/** Beside the data: when its last good backup was made. */
const LAST = 'last-backup';
/** When the data in a folder was last backed up, ISO; null: never, as far as is known here. */
export function lastBackup(data: string): string | null {
  try {
    return readFileSync(join(data, LAST), 'utf8');
  } catch {
    return null;
  }
}

/** Backups below a folder, the newest first. */
export const backupsBelow = (folder: string): string[] =>
  readdirSync(folder)
    .filter((name) => NAME.test(name))
    .sort()
    .reverse();

/**
 * Copies the data while Stable runs: others read and write on, but for the moment in which the files are copied. The copy
 * is opened and compared row for row by its digests before it gets its name, so that what is called a backup is one; then
 * all but the newest `keep` go. Throws a Problem; then nothing is left of it.
 */
export async function backUp(
  db: FolderDatabase,
  { data, to, now, keep, beside }: { data: string; to: string; now: Date; keep: number; beside: Beside },
): Promise<{ folder: string; backup: Backup }> {
  const below = resolve(to);
  if (`${below}/`.startsWith(`${resolve(data)}/`))
    throw new Problem('INVALID_INPUT', 'A backup does not lie in the data folder itself', {
      field: 'folder',
      value: to,
      limit: 'another folder, best on another disk',
      wayOut: 'Name another folder.',
    });
  const folder = join(below, nameOf(now));
  const part = `${folder}.part`;
  try {
    mkdirSync(part, { recursive: true, mode: 0o700 });
    const backup = await db.quietly(async (c) => {
      const holds = await fingerprint(c);
      const newest = await lastEntry(c);
      await cp(join(data, 'pg'), join(part, 'pg'), { recursive: true });
      return { made: now.toISOString(), lastEntry: newest, holds };
    });
    const { holds, faults } = await beside(checkCopy, { folder: part }, { seconds: CHECK_S });
    const wrong = faults.length ? faults : differing(backup.holds, holds);
    if (wrong.length)
      throw new Problem('REFUSED', `The copy is not what it was made of: ${wrong.slice(0, 5).join(', ')}`, {
        wayOut: 'Make it again, on another disk if it stays so.',
      });
    writeFileSync(join(part, 'backup.json'), JSON.stringify(backup, null, 1));
    renameSync(part, folder);
    writeFileSync(join(data, LAST), backup.made);
    for (const old of backupsBelow(below).slice(keep)) rmSync(join(below, old), { recursive: true });
    return { folder, backup };
  } catch (error) {
    if (existsSync(part)) rmSync(part, { recursive: true });
    throw noPlace(error, to) ?? error;
  }
}

/** What a folder that takes no backup says, in words; null: it is something else. */
function noPlace(error: unknown, to: string): Problem | null {
  const code = typeof error === 'object' && error !== null && 'code' in error ? error.code : null;
  const why =
    code === 'ENOSPC'
      ? 'there is no room on its disk'
      : code === 'EACCES' || code === 'EPERM' || code === 'EROFS'
        ? 'it can’t be written to'
        : code === 'ENOTDIR' || code === 'EEXIST'
          ? 'it is no folder'
          : null;
  return why === null
    ? null
    : new Problem('NO_ROOM', `No backup can be made in ${to}: ${why}`, {
        field: 'folder',
        value: to,
        wayOut: 'Make room there, or name another folder. The data is as it was.',
      });
}
