import { sessionEnds } from '@/core/people';
import type { Crib, Signed } from '@/crib/door';
import { maybeKey, touchKey } from '@/data/people';
import { digestOf } from './digest';
import { endSessions, noteUse, quietly, sessionOf, settle, useSession } from './sessions';

/** How often the time of a sign-in’s last use is written down. */
const TOUCH_MS = 60_000;

/** Who a session's token or a program's key stands for; null: for nobody, or no more. */
export async function whoSigns(
  crib: Pick<Crib, 'db' | 'now' | 'unkept'>,
  came: { token?: string | null; key?: string | null },
): Promise<Signed | null> {
  // Also for a program and for whoever has not signed in: what they do may end sign-ins, and must find all of them.
  await settle(crib);
  // A key goes before: a program says which it means.
  if (came.key) return byKey(crib, came.key);
  return came.token ? bySession(crib, came.token) : null;
}

async function byKey({ db, now }: Pick<Crib, 'db' | 'now'>, secret: string): Promise<Signed | null> {
  const key = await maybeKey(db, digestOf(secret));
  // Only an owner makes keys: it dies when they leave, and when they are an owner no more.
  if (!key || key.endedAt || key.ofPerson !== 'owner') return null;
  const due = !key.usedAt || now().getTime() - key.usedAt.getTime() > TOUCH_MS;
  // On a full disk that it was used is not written down; it is no fault that the log should tell at each request.
  if (due && db.whyNoWrite() === null) await noteUse(db, `key ${key.id}`, () => touchKey(db, key.id, now()));
  return {
    who: key.person,
    role: key.role,
    session: null,
    key: { id: key.id, name: key.name, verbs: key.verbs },
  };
}

async function bySession(crib: Pick<Crib, 'db' | 'now' | 'unkept'>, token: string): Promise<Signed | null> {
  const { now } = crib;
  const session = await sessionOf(crib, token);
  if (!session) return null;
  const at = now().getTime();
  const { role } = session;
  if (
    role === null ||
    sessionEnds(session.begunAt.getTime(), session.usedAt.getTime(), session.shared) <= at
  ) {
    await quietly(endSessions(crib, [session.id]));
    return null;
  }
  if (at - session.usedAt.getTime() > TOUCH_MS) await useSession(crib, session.id, now());
  const said = { id: session.id, person: session.person, shared: session.shared, handUntil: null };
  if (!session.shared) return { who: session.person, role, session: said, key: null };
  // A screen of many hands: whoever stands there, or nobody.
  const { atHand, handUntil, handRole } = session;
  if (atHand === null || handRole === null || !handUntil || handUntil.getTime() <= at)
    return { who: null, role: 'viewer', session: said, key: null };
  return { who: atHand, role: handRole, session: { ...said, handUntil }, key: null };
}
