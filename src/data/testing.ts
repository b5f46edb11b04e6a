import { createHash } from 'node:crypto';
import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { extract } from 'tar';
import { type Database, type FolderDatabase, makeFolder, openDatabase, openInMemory } from './database';

/** Where databases that tests begin with are kept, by the digest of what made them: making one anew takes many times as long. */
const KEPT = join(process.cwd(), '.stable', 'test-templates');

/** The files of a database as `make` leaves a new one, as a tar: made once, and anew where `of` or the packages change. */
export async function keptDump(of: readonly string[], make: (db: Database) => Promise<void>): Promise<Blob> {
  const digest = createHash('sha256').update(readFileSync(join(process.cwd(), 'package-lock.json')));
  for (const text of of) digest.update(text);
  const file = join(KEPT, `${digest.digest('hex').slice(0, 16)}.tar`);
  if (!existsSync(file)) {
    const db = await openInMemory();
    await make(db);
    const dump = Buffer.from(await (await db.dump()).arrayBuffer());
    await db.close();
    makeFolder(KEPT);
    // Two processes may make it at once: whoever is last puts the same in its place, whole.
    writeFileSync(`${file}.${process.pid}`, dump);
    renameSync(`${file}.${process.pid}`, file);
  }
  return new Blob([readFileSync(file)]);
}

const empty = () => keptDump([], async () => undefined);
/** A database without a schema, as a new one begins. */
export const openEmpty = async () => openInMemory(await empty());

/** Lays a database out in a folder, on a real disk. */
export async function layOut(path: string, dump: Blob): Promise<void> {
  makeFolder(join(path, 'pg'));
  await pipeline(
    Readable.from(Buffer.from(await dump.arrayBuffer())),
    extract({ cwd: join(path, 'pg'), preserveOwner: false }),
  );
}

/** The same in a folder. */
export async function openEmptyFolder(
  path: string,
  free?: (folder: string) => number,
): Promise<FolderDatabase> {
  await layOut(path, await empty());
  return openDatabase(path, free);
}
