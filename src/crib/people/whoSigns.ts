import { type Role, sessionEnds } from '@/core/people';
import { type Crib, forLog, type Signed } from '@/crib/door';
import {
  deleteSession,
  maybeKey,
  maybeRole,
  maybeSession,
  type SessionRow,
  touchKey,
  touchSession,
} from '@/data/people';
import { digestOf } from './digest';

/** How often the time of a sign-in’s last use is written down. */
const TOUCH_MS = 60_000;

/** Who a session's token or a program's key stands for; null: for nobody, or no more. */
export async function whoSigns(
  crib: Pick<Crib, 'db' | 'now'>,
  came: { token?: string | null; key?: string | null },
): Promise<Signed | null> {
  // A key goes before: a program says which it means.
  if (came.key) return byKey(crib, came.key);
  return came.token ? bySession(crib, came.token) : null;
}

async function byKey({ db, now }: Pick<Crib, 'db' | 'now'>, secret: string): Promise<Signed | null> {
  const key = await maybeKey(db, digestOf(secret));
  // It dies with whoever it belongs to.
  if (!key || key.endedAt || (await maybeRole(db, key.person)) === null) return null;
  if (!key.usedAt || now().getTime() - key.usedAt.getTime() > TOUCH_MS)
    await quietly(touchKey(db, key.id, now()));
  return {
    who: key.person,
    role: key.role,
    session: null,
    key: { id: key.id, name: key.name, verbs: key.verbs },
  };
}

async function bySession({ db, now }: Pick<Crib, 'db' | 'now'>, token: string): Promise<Signed | null> {
  const session = await maybeSession(db, digestOf(token));
  if (!session) return null;
  const at = now().getTime();
  const role = await maybeRole(db, session.person);
  if (
    role === null ||
    sessionEnds(session.begunAt.getTime(), session.usedAt.getTime(), session.shared) <= at
  ) {
    await quietly(deleteSession(db, session.id));
    return null;
  }
  if (at - session.usedAt.getTime() > TOUCH_MS) await quietly(touchSession(db, session.id, now()));
  return signedBy(session, role, session.shared ? await atHand(db, session, at) : null);
}

/** Who stands at a screen of many hands; null: nobody. */
async function atHand(
  db: Crib['db'],
  s: SessionRow,
  at: number,
): Promise<{ who: string; role: Role } | null> {
  if (s.atHand === null || !s.handUntil || s.handUntil.getTime() <= at) return null;
  const role = await maybeRole(db, s.atHand);
  return role && { who: s.atHand, role };
}

function signedBy(s: SessionRow, role: Role, hand: { who: string; role: Role } | null): Signed {
  const session = { id: s.id, person: s.person, shared: s.shared, handUntil: hand ? s.handUntil : null };
  if (!s.shared) return { who: s.person, role, session, key: null };
  return { who: hand?.who ?? null, role: hand?.role ?? 'viewer', session, key: null };
}

/** A full disk keeps nobody from reading: then the time of last use is older than it is. */
async function quietly(work: Promise<void>): Promise<void> {
  await work.catch((error: unknown) => console.error(forLog(error)));
}
