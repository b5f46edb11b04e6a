import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { Problem } from '@/crib/door';
import { makeFolder } from '@/data/database';
import { piecesOf, webOf } from './streams';

/** What a locked backup ends in: files as tar, packed by gzip, locked by a passphrase (age-encryption.org/v1). */
export const LOCKED = '.tar.gz.age';

/** Rounds of scrypt as a power of two (RFC 7914): a second or more for each guess at a passphrase; what age takes by itself. */
const WORK = 18;

/**
 * Locks a folder’s files into one. It is opened again by the passphrase and held against what went in before this
 * returns. Anybody with the passphrase opens it by any program that knows age, and tar.
 */
export async function lockFiles(folder: string, to: string, passphrase: string, work = WORK): Promise<void> {
  // Loaded where it is needed: few ask for it, and every start would pay.
  const [{ Encrypter }, { create }] = await Promise.all([import('age-encryption'), import('tar')]);
  const went = createHash('sha256');
  const encrypter = new Encrypter();
  encrypter.setPassphrase(passphrase);
  encrypter.setScryptWorkFactor(work);
  async function* heard(): AsyncGenerator<Uint8Array> {
    for await (const piece of create({ cwd: folder, gzip: true, portable: true }, ['.'])) {
      went.update(piece);
      yield piece;
    }
  }
  await pipeline(piecesOf(await encrypter.encrypt(webOf(heard()))), createWriteStream(to, { mode: 0o600 }));
  const came = createHash('sha256');
  for await (const piece of await opened(to, passphrase)) came.update(piece);
  if (came.digest('hex') !== went.digest('hex'))
    throw new Problem('REFUSED', 'The locked backup does not open to what was locked', {
      wayOut: 'Make it again, on another disk if it stays so.',
    });
}

async function opened(file: string, passphrase: string): Promise<AsyncGenerator<Uint8Array>> {
  const { Decrypter } = await import('age-encryption');
  const decrypter = new Decrypter();
  decrypter.addPassphrase(passphrase);
  return piecesOf(await decrypter.decrypt(webOf(createReadStream(file))));
}

/** Opens what was locked into a folder. Throws a Problem where the passphrase is another, or the file is damaged. */
export async function unlockFiles(file: string, to: string, passphrase: string): Promise<void> {
  const { extract } = await import('tar');
  makeFolder(to);
  try {
    await pipeline(await opened(file, passphrase), extract({ cwd: to, strict: true }));
  } catch {
    throw new Problem('REFUSED', `${file} does not open by this passphrase, or is damaged`, {
      field: 'passphrase',
      wayOut: 'Give the passphrase it was locked with, or take another backup. The data is as it was.',
    });
  }
}
