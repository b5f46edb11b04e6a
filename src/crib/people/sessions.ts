import { type Role, SESSION } from '@/core/people';
import { type Crib, forLog } from '@/crib/door';
import type { Connection } from '@/data/database';
import {
  deleteOldSessions,
  deleteSession,
  insertSession,
  manySessions,
  maybeRole,
  maybeSession,
  type SessionRow,
  touchSession,
} from '@/data/people';
import { digestOf, newSecret } from './digest';

type Books = Pick<Crib, 'db' | 'unkept'>;

/** A full disk keeps nobody from reading: then the time of last use is older than it is. */
export async function quietly(work: Promise<void>): Promise<void> {
  await work.catch((error: unknown) => console.error(forLog(error)));
}

/** How long somebody who only reads waits until it is written down that they were here, ms. */
const NOTED_MS = 50;
const underWay = new WeakMap<Books['db'], Set<string>>();
/**
 * Writes down that a sign-in or key was used. While a list comes in all that is written waits for its end, and whoever only
 * reads does not: it is written then, once, and they go on.
 */
export async function noteUse(db: Books['db'], of: string, write: () => Promise<void>): Promise<void> {
  const noted = underWay.get(db) ?? new Set();
  underWay.set(db, noted);
  if (noted.has(of)) return;
  noted.add(of);
  const written = quietly(write()).finally(() => noted.delete(of));
  await Promise.race([written, new Promise((resolve) => setTimeout(resolve, NOTED_MS).unref())]);
}

/** Too little room to write; a folder that is gone or another's is no such thing, and lets nobody in. */
const isFull = ({ db }: Books): boolean => db.whyNoWrite()?.code === 'NO_ROOM';

/** A new sign-in of a person. What token came with the request is never taken over (no fixation). */
export async function beginSession(c: Connection, at: Date, person: string, device: string): Promise<string> {
  const token = newSecret();
  await deleteOldSessions(
    c,
    new Date(at.getTime() - SESSION.absolute * 1000),
    new Date(at.getTime() - SESSION.shared * 1000),
  );
  await insertSession(c, { tokenHash: digestOf(token), person, device, begunAt: at, usedAt: at });
  return token;
}

/** The same where the disk may be full: who signs in then reads, and the sign-in is written down once there is room. */
export async function beginAnySession(crib: Crib, person: string, device: string): Promise<string> {
  if (!crib.unkept || !isFull(crib))
    return crib.db.transaction((c) => beginSession(c, crib.now(), person, device));
  const token = newSecret();
  crib.unkept.begin({ tokenHash: digestOf(token), person, device, begunAt: crib.now() });
  return token;
}

/** A sign-in was used now. */
export async function useSession(books: Books, id: number, at: Date): Promise<void> {
  const { db, unkept } = books;
  if (unkept && (unkept.holds(id) || isFull(books))) unkept.touch(id, at);
  else await noteUse(db, `sign-in ${id}`, () => touchSession(db, id, at));
}

/** Ends sign-ins here and now, on a full disk too. */
export async function endSessions(books: Books, ids: readonly number[]): Promise<void> {
  const { db, unkept } = books;
  for (const id of ids)
    if (unkept && (unkept.holds(id) || isFull(books))) unkept.end(id);
    else await deleteSession(db, id);
  await settle(books);
}

/** Writes down what began, was used or ended on a full disk, where there is room again: before anything is asked of sign-ins. */
export async function settle(books: Books): Promise<void> {
  if (books.unkept && books.db.whyNoWrite() === null) await quietly(books.unkept.writeDown(books.db));
}

type SessionNow = SessionRow & { role: Role | null; handRole: Role | null };
/** The sign-in a token is of; null: none that has not ended. */
export async function sessionOf(books: Books, token: string): Promise<SessionNow | null> {
  const { db, unkept } = books;
  const hash = digestOf(token);
  const begun = unkept?.maybe(hash);
  if (begun) return { ...begun, role: await maybeRole(db, begun.person), handRole: null };
  const kept = await maybeSession(db, hash);
  if (!kept || unkept?.isEnded(kept.id)) return null;
  return { ...kept, usedAt: unkept?.usedAt(kept.id) ?? kept.usedAt };
}

/** A person's sign-ins, the one used last first. */
export async function sessionsOf({ db, unkept }: Books, person: string): Promise<SessionRow[]> {
  const kept = (await manySessions(db, person))
    .filter((s) => !unkept?.isEnded(s.id))
    .map((s) => ({ ...s, usedAt: unkept?.usedAt(s.id) ?? s.usedAt }));
  return [...(unkept?.ofPerson(person) ?? []), ...kept].sort(
    (a, b) => b.usedAt.getTime() - a.usedAt.getTime(),
  );
}
