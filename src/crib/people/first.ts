import { SESSION } from '@/core/people';
import type { Crib } from '@/crib/door';
import {
  countOwners,
  insertCode,
  insertKey,
  manyKeys,
  manySigners,
  maybeKey,
  maybeSigner,
} from '@/data/people';
import { digestOf, newCode, plainCode } from './digest';

/** A code that makes the first owner, where nobody is one who can sign in; null: somebody is. It is for who starts Stable. */
export async function codeOfFirstOwner({ db, now }: Crib): Promise<string | null> {
  if ((await countOwners(db)) > 0) return null;
  const code = newCode();
  await insertCode(db, digestOf(plainCode(code)), null, new Date(now().getTime() + SESSION.code * 1000));
  return code;
}

/** A code by which a person sets a password anew, asked for on the machine itself; null: nobody who signs in here. */
export async function codeFromConsole({ db, now }: Crib, person: string): Promise<string | null> {
  const signer = await maybeSigner(db, person);
  if (!signer?.inUse || signer.role === null) return null;
  const code = newCode();
  await insertCode(db, digestOf(plainCode(code)), person, new Date(now().getTime() + SESSION.code * 1000));
  return code;
}

/** The demo's key of full rights: as it is given, else a new one. */
export async function demoKey({ db, now }: Crib, key: string): Promise<void> {
  if (await maybeKey(db, digestOf(key))) return;
  const owner = (await manySigners(db)).find((p) => p.role === 'owner');
  if (!owner) return;
  const taken = new Set((await manyKeys(db)).map((k) => k.name));
  let n = 1;
  while (taken.has(`demo ${n}`)) n += 1;
  await insertKey(db, {
    name: `demo ${n}`,
    keyHash: digestOf(key),
    person: owner.initials,
    role: 'owner',
    verbs: null,
    madeAt: now(),
  });
}
