import { randomUUID } from 'node:crypto';
import { field, found, perform, Problem } from '@/crib/door';
import { addPerson } from '@/crib/shop';
import {
  countOwners,
  deleteOwnSessions,
  maybeCode,
  maybeRole,
  maybeSecret,
  maybeSigner,
  putSecret,
  takeCode,
} from '@/data/people';
import { maybePerson } from '@/data/shop';
import { type ActAnswer, type ActContext, defineAct } from '../act';
import { digestOf, plainCode } from '../digest';
import { hashSecret, isSecret } from '../hashes';
import { codeField, mustBePassword, passwordField } from '../secretFields';
import { beginAnySession, beginSession } from '../sessions';
import { setRole } from '../verbs/setRole';

const begun = async ({ crib, device }: ActContext, who: string): Promise<ActAnswer> => ({
  answer: { who },
  token: await beginAnySession(crib, who, device),
});

/** The same words for a name that is none, one without a password, and a wrong password: nobody learns which. */
const wrong = () =>
  new Problem('NOT_SIGNED_IN', 'Initials and password do not belong together', {
    field: 'password',
    limit: 'the password of these initials',
    wayOut: 'Try again. If it is forgotten, an owner gives you a code to set it anew.',
  });

export const signIn = defineAct({
  path: 'sign-in',
  summary: 'Sign in by initials and password. The session comes as a cookie.',
  may: null,
  properties: { who: field.initials, password: passwordField },
  required: ['who', 'password'],
  async run(c, { who, password }) {
    await c.slow.mayTry(who, c.address);
    const kept = await maybeSecret(c.crib.db, who);
    const right = await isSecret(kept?.passwordHash ?? null, password);
    if (!right || (await maybeRole(c.crib.db, who)) === null) throw wrong();
    await c.slow.wasRight(who, c.address);
    return begun(c, who);
  },
});

export const signInToDemo = defineAct({
  path: 'sign-in/demo',
  summary: 'Sign in as any of the demo’s people. On a demo folder alone.',
  may: null,
  properties: { who: field.initials },
  required: ['who'],
  async run(c, { who }) {
    if (!c.demo)
      throw new Problem('NOT_ALLOWED', 'This is no demo', {
        field: 'who',
        wayOut: 'Sign in by initials and password.',
      });
    found((await maybeRole(c.crib.db, who)) && who, 'who', who, 'person who signs in here');
    return begun(c, who);
  },
});

/** Sets a password by a code that counts once: an owner's first one, a new person's, a forgotten one's. */
export const signInByCode = defineAct({
  path: 'sign-in/code',
  summary:
    'Set a password by a code that counts once, and sign in. The code of a first start makes the first owner: initials and name come with it.',
  may: null,
  properties: {
    code: codeField,
    password: passwordField,
    who: field.initials,
    name: field.words(),
  },
  required: ['code', 'password'],
  async run(c, input) {
    const { crib } = c;
    await c.slow.mayTry(null, c.address);
    const hash = digestOf(plainCode(input.code));
    const code = await maybeCode(crib.db, hash);
    if (!code || code.endsAt <= crib.now())
      throw new Problem('NOT_SIGNED_IN', 'The code is none, was used, or is too old', {
        field: 'code',
        limit: 'the code as it was given, within three days, once',
        wayOut:
          'Let an owner make a new one, or start Stable anew on its machine: it prints one where no owner is.',
      });
    await c.slow.wasRight(null, c.address);
    const person = code.person ?? input.who;
    if (person === undefined)
      throw new Problem('INVALID_INPUT', 'who: the first owner needs initials', {
        field: 'who',
        limit: 'two to four capital letters',
      });
    const known = await maybeSigner(crib.db, person);
    const name = known?.name ?? input.name?.trim();
    if (name === undefined)
      throw new Problem('INVALID_INPUT', 'name: the first owner needs a name', {
        field: 'name',
        limit: '1 to 80 characters',
      });
    mustBePassword(input.password, { initials: person, name });
    const passwordHash = await hashSecret(input.password);
    if (code.person === null) await makeOwner(c, person, name);
    const token = await crib.db.transaction(async (t) => {
      if (!(await takeCode(t, hash)))
        throw new Problem('CONFLICT', 'Somebody used this code just now', { field: 'code' });
      await putSecret(t, person, 'password', passwordHash, crib.now());
      await deleteOwnSessions(t, person);
      return beginSession(t, crib.now(), person, c.device);
    });
    await c.slow.wasRight(person, c.address);
    return { answer: { who: person }, token };
  },
});

/** The first owner is entered like anybody, by their own hand; done again after a fault it goes on where it was. */
async function makeOwner({ crib }: ActContext, who: string, name: string): Promise<void> {
  if ((await countOwners(crib.db)) > 0)
    throw new Problem('REFUSED', 'There is an owner already', {
      field: 'code',
      wayOut: 'Ask them for a code of your own.',
    });
  if (!(await maybePerson(crib.db, who)))
    await perform(crib, addPerson, { who, initials: who, name, formId: randomUUID() });
  if ((await maybeRole(crib.db, who)) !== 'owner')
    await perform(crib, setRole, { who, person: who, role: 'owner', formId: randomUUID() });
}
