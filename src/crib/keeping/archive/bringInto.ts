import { existsSync, readdirSync, rmSync } from 'node:fs';
import { dirname } from 'node:path';
import { Problem } from '@/crib/door';
import { dropLeftParts, freeBytes, makeFolder, openToCheck } from '@/data/database';
import { wholeDamage } from '@/data/keeping';
import { takePlace } from '../restore';
import { bringIn, openArchive } from './readArchive';

/** Bytes that are wanted free for each in the archive: rows with their indexes and the log. Taken, not measured. */
const GROWS = 5;

/**
 * Brings an archive of open files into a data folder that holds nothing yet, while no Stable runs on it. All of it is read
 * beside, compared with what went out, looked through whole and brought up to this Stable; only then it takes the place.
 * Gives the newest entry and how many steps of the schema it took. Throws a Problem; then nothing is there.
 */
export async function bringInto(
  path: string,
  data: string,
): Promise<{ lastEntry: number; migrations: number }> {
  // A first start that was killed left nothing that anybody wants.
  dropLeftParts(data);
  if (existsSync(data) && readdirSync(data).length > 0)
    throw new Problem('REFUSED', `${data} holds something already`, {
      field: 'folder',
      value: data,
      limit: 'a folder that is not there, or is empty',
      wayOut: 'Set STABLE_DATA to another folder. Nothing was brought in.',
    });
  const archive = await openArchive(path);
  const part = `${data}.bringing-in`;
  try {
    makeFolder(dirname(data));
    const free = freeBytes(dirname(data));
    if (archive.unpackedBytes * GROWS > free)
      throw new Problem('NO_ROOM', `${path} has ${archive.unpackedBytes} bytes once it is unpacked`, {
        field: 'archive',
        value: archive.unpackedBytes,
        limit: `at most ${Math.floor(free / GROWS)} bytes with the room there is`,
        wayOut: 'Make room, or set STABLE_DATA to a folder on another disk. Nothing was brought in.',
      });
    rmSync(part, { recursive: true, force: true });
    const db = await openToCheck(part);
    let migrations: number;
    try {
      migrations = await bringIn(db, archive, path);
      const faults = await wholeDamage(db);
      if (faults.length)
        throw new Problem('REFUSED', `What it holds does not agree: ${faults.slice(0, 5).join('; ')}`, {
          field: 'archive',
          value: path,
          wayOut: 'Take the archive as it was made. Nothing was brought in.',
        });
    } finally {
      await db.close();
    }
    takePlace(part, data, null);
    return { lastEntry: archive.stable.lastEntry, migrations };
  } finally {
    archive.close();
    rmSync(part, { recursive: true, force: true });
  }
}
