import { existsSync, readdirSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { cp } from 'node:fs/promises';
import { join, resolve } from 'node:path';
import { type Beside, Problem } from '@/crib/door';
import {
  differing,
  FREE_BYTES,
  fingerprint,
  type Fingerprint,
  type FolderDatabase,
  freeBytes,
  makeFolder,
} from '@/data/database';
import { lastEntry } from '@/data/ledger';
import { LOCKED } from './lock';
import { checkCopy, lockCopy } from './tasks';

/** What a backup says of itself, in its backup.json. */
export interface Backup {
  made: string;
  /** The newest entry in it. */
  lastEntry: number;
  holds: Fingerprint;
}
/** Seconds that checking a copy may take: every row of many years is read, and nobody waits for it. */
const CHECK_S = 3600;

/** Names of backups: 'stable-2027-01-12T090000Z', locked ones with their ending; those of a later moment come later. */
const NAME = /^stable-\d{4}-\d{2}-\d{2}T\d{6}Z(\.tar\.gz\.age)?$/;
/** A moment in the name of a file or folder. Example: '2027-01-12T090000Z'. */
export const stamp = (at: Date): string => `${at.toISOString().slice(0, 19).replaceAll(':', '')}Z`;

/** Backups below a folder, the newest first. */
export const backupsBelow = (folder: string): string[] =>
  readdirSync(folder)
    .filter((name) => NAME.test(name))
    .sort()
    .reverse();

/** Where copies lie while something is done with them: in the data folder, which only Stable reads. */
export const copiesIn = (data: string): string => join(data, 'copies');

/** Bytes of the files in a folder and below. */
const bytesIn = (folder: string): number =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' }).reduce((n, name) => {
    const at = statSync(join(folder, name), { throwIfNoEntry: false });
    return n + (at?.isFile() ? at.size : 0);
  }, 0);
const megabytes = (bytes: number): number => Math.round(bytes / 1e6);

/** Refuses a copy that would fill its disk: where that is the disk of the data, nobody could write meanwhile. */
export function mustHaveRoom(bytes: number, to: string, free = freeBytes): void {
  const room = Math.max(0, free(to) - FREE_BYTES);
  if (bytes > room)
    throw new Problem('NO_ROOM', `A copy of ${megabytes(bytes)} MB does not go onto the disk of ${to}`, {
      field: 'folder',
      value: to,
      limit: `at most ${megabytes(room)} MB with the room there is`,
      wayOut: 'Make room there, or name another folder. The data is as it was.',
    });
}

/** Copies the files at one moment, while others read and write on but for that moment; says what they hold. */
export async function copyFiles(db: FolderDatabase, data: string, to: string, now: Date): Promise<Backup> {
  makeFolder(to);
  mustHaveRoom(bytesIn(join(data, 'pg')), to);
  return db.quietly(async (c) => {
    const holds = await fingerprint(c);
    const newest = await lastEntry(c);
    await cp(join(data, 'pg'), join(to, 'pg'), { recursive: true });
    return { made: now.toISOString(), lastEntry: newest, holds };
  });
}

export interface BackUpTo {
  data: string;
  to: string;
  now: Date;
  keep: number;
  beside: Beside;
  /** Locks it; null: it lies open. */
  passphrase?: string | null;
  /** Told what did not agree when the copy was looked through. */
  looked?: (faults: string[]) => void;
}

/**
 * Copies the data while Stable runs: others read and write on, but for the moment in which the files are copied. The copy
 * is opened, compared row for row by its digests and looked through whole before it gets its name, so that what is called
 * a backup is one; then all but the newest `keep` go. One that is locked is copied within the data folder, so that nothing
 * of it lies open elsewhere. Throws a Problem; then nothing is left of it.
 */
export async function backUp(
  db: FolderDatabase,
  { data, to, now, keep, beside, passphrase = null, looked }: BackUpTo,
): Promise<{ folder: string; backup: Backup }> {
  const below = resolve(to);
  if (`${below}/`.startsWith(`${resolve(data)}/`))
    throw new Problem('INVALID_INPUT', 'A backup does not lie in the data folder itself', {
      field: 'folder',
      value: to,
      limit: 'another folder, best on another disk',
      wayOut: 'Name another folder.',
    });
  const name = `stable-${stamp(now)}`;
  const folder = join(below, passphrase === null ? name : `${name}${LOCKED}`);
  const part = `${folder}.part`;
  const copy = passphrase === null ? part : join(copiesIn(data), name);
  try {
    makeFolder(below);
    const backup = await copyFiles(db, data, copy, now);
    const { holds, faults } = await beside(checkCopy, { folder: copy }, { seconds: CHECK_S });
    looked?.(faults);
    if (faults.length)
      throw new Problem('REFUSED', `Books or files do not agree: ${faults.slice(0, 5).join('; ')}`, {
        wayOut: 'Enter nothing more, and put back the last backup from before.',
      });
    const wrong = differing(backup.holds, holds);
    if (wrong.length)
      throw new Problem('REFUSED', `The copy is not what it was made of: ${wrong.slice(0, 5).join(', ')}`, {
        wayOut: 'Make it again, on another disk if it stays so.',
      });
    writeFileSync(join(copy, 'backup.json'), JSON.stringify(backup, null, 1));
    if (passphrase !== null)
      await beside(lockCopy, { folder: copy, to: part, passphrase }, { seconds: CHECK_S });
    renameSync(part, folder);
    for (const old of backupsBelow(below).slice(keep)) rmSync(join(below, old), { recursive: true });
    return { folder, backup };
  } catch (error) {
    throw noPlace(error, to) ?? error;
  } finally {
    // Looked for first: below what is no folder even a forced removal fails.
    for (const left of [part, copy]) if (existsSync(left)) rmSync(left, { recursive: true });
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
          : code === 'ENOENT'
            ? 'no folder can be made there'
            : null;
  return why === null
    ? null
    : new Problem('NO_ROOM', `No backup can be made in ${to}: ${why}`, {
        field: 'folder',
        value: to,
        wayOut: 'Make room there, or name another folder. The data is as it was.',
      });
}
