import { EVERYBODY } from '@/core/people';
import { field, found, Problem, type Signed } from '@/crib/door';
import { deleteOwnSessions, maybeSecret, maybeSigner, putSecret } from '@/data/people';
import { type ActContext, defineAct } from '../act';
import { hashSecret, isSecret } from '../hashes';
import { mustBePassword, mustBePin, passwordField, pinField } from '../secretFields';
import { beginSession, endSessions, sessionsOf } from '../sessions';

type Inside = ActContext & { signed: Signed };

/** The person of a sign-in of one's own: secrets are not changed at a screen of many hands, nor by a program. */
function ownSession({ signed }: Inside): { id: number; person: string } {
  if (signed.session && !signed.session.shared) return signed.session;
  throw new Problem('NOT_ALLOWED', 'This is done where you signed in yourself', {
    field: 'who',
    wayOut: 'Sign in on a screen of your own by initials and password.',
  });
}

/** Refuses where the password is not their own: a screen left open gives nobody somebody’s secrets. */
async function mustKnow(c: Inside, person: string, password: string): Promise<void> {
  await c.slow.mayTry(person, c.address);
  if (!(await isSecret((await maybeSecret(c.crib.db, person))?.passwordHash ?? null, password)))
    throw new Problem('NOT_ALLOWED', 'password now: it is another', {
      field: 'old',
      wayOut: 'Give the one you sign in with.',
    });
  await c.slow.wasRight(person, c.address);
}

export const signOut = defineAct({
  path: 'sign-out',
  summary: 'Sign out: the session ends here and now.',
  may: EVERYBODY,
  atManyHands: true,
  properties: {},
  required: [],
  async run({ crib, signed }) {
    if (signed.session) await endSessions(crib, [signed.session.id]);
    return { answer: {}, token: null };
  },
});

export const setPassword = defineAct({
  path: 'people/password',
  summary: 'Change one’s own password. All other sign-ins of one’s own end.',
  may: EVERYBODY,
  properties: { old: passwordField, password: passwordField },
  required: ['old', 'password'],
  async run(c, input) {
    const { person } = ownSession(c);
    await mustKnow(c, person, input.old);
    const about = found(await maybeSigner(c.crib.db, person), 'who', person, 'person');
    mustBePassword(input.password, about);
    const kept = await hashSecret(input.password);
    const token = await c.crib.db.transaction(async (t) => {
      await putSecret(t, person, 'password', kept, c.crib.now());
      await deleteOwnSessions(t, person);
      return beginSession(t, c.crib.now(), person, c.device);
    });
    return { answer: { who: person }, token };
  },
});

export const setPin = defineAct({
  path: 'people/pin',
  summary: 'Set the PIN one signs with at a screen of many hands.',
  may: EVERYBODY,
  properties: {
    old: { ...passwordField, description: 'The password one signs in with; the demo has none' },
    pin: pinField,
  },
  required: ['pin'],
  async run(c, input) {
    const { person } = ownSession(c);
    if (!c.demo) await mustKnow(c, person, input.old ?? '');
    mustBePin(input.pin);
    await putSecret(c.crib.db, person, 'pin', await hashSecret(input.pin), c.crib.now());
    return { answer: { who: person } };
  },
});

export const endSession = defineAct({
  path: 'people/sessions/end',
  summary: 'End a sign-in of one’s own, or all but this one.',
  may: EVERYBODY,
  properties: { session: field.number },
  required: [],
  async run(c, input) {
    const { id, person } = ownSession(c);
    const own = await sessionsOf(c.crib, person);
    const ended =
      input.session === undefined
        ? own.filter((s) => s.id !== id)
        : [
            found(
              own.find((s) => s.id === input.session) ?? null,
              'session',
              input.session,
              'sign-in of yours',
            ),
          ];
    await endSessions(
      c.crib,
      ended.map((s) => s.id),
    );
    return { answer: {}, ...(input.session === id ? { token: null } : {}) };
  },
});
