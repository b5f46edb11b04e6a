import { join } from 'node:path';
import { defineTask } from '@/crib/door';
import { fingerprint, type Fingerprint, openToCheck } from '@/data/database';
import { wholeDamage } from '@/data/keeping';
import { writeArchive } from './archive/writeArchive';
import { lockFiles } from './lock';

/** Opens a copy of a data folder, as a restart would; it is closed in good order. */
async function withCopy<T>(
  folder: string,
  work: (db: Awaited<ReturnType<typeof openToCheck>>) => Promise<T>,
): Promise<T> {
  const db = await openToCheck(folder);
  try {
    return await work(db);
  } finally {
    await db.close();
  }
}

/** Says what a copy holds, and looks through it whole. */
export const checkCopy = defineTask(
  'checkCopy',
  ({ folder }: { folder: string }): Promise<{ holds: Fingerprint; faults: string[] }> =>
    withCopy(folder, async (db) => {
      const faults = await wholeDamage(db);
      return { holds: faults.length ? {} : await fingerprint(db), faults };
    }),
);

/** Locks a copy into one file by a passphrase. */
export const lockCopy = defineTask(
  'lockCopy',
  ({ folder, to, passphrase }: { folder: string; to: string; passphrase: string }) =>
    lockFiles(folder, to, passphrase),
);

/** Writes all that a copy holds as open files into one archive beside it. */
export const archiveCopy = defineTask('archiveCopy', ({ folder, made }: { folder: string; made: string }) =>
  withCopy(folder, async (db) => {
    const file = join(folder, 'archive.zip');
    await writeArchive(db, file, made);
    return file;
  }),
);
