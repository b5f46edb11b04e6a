import { ROLES, SESSION } from '@/core/people';
import { namesOf } from '@/core/names';
import { field, found, Problem } from '@/crib/door';
import {
  deleteSession,
  deleteSessions,
  endKey,
  insertCode,
  insertKey,
  insertSession,
  manyKeys,
  maybeSigner,
  putSecret,
} from '@/data/people';
import { defineAct } from '../act';
import { digestOf, newCode, newSecret, plainCode } from '../digest';

/** How a key begins, so that one in a log or a mail is known for what it is. */
export const KEY_BEGINS = 'stable_';
const BADGE_BEGINS = 'BADGE-';

/** A code to sign in with once, for who is new or has forgotten. */
export const giveCode = defineAct({
  path: 'people/codes',
  summary:
    'Make a code by which a person sets a password, once and within three days. It is shown now and never again.',
  may: [],
  properties: { person: field.initials },
  required: ['person'],
  async run({ crib }, { person }) {
    const p = found(await maybeSigner(crib.db, person), 'person', person, 'person');
    if (!p.inUse || p.role === null)
      throw new Problem('REFUSED', `${person} does not sign in here`, {
        field: 'person',
        value: person,
        limit: 'somebody here with something to do',
        wayOut: p.inUse ? 'Say first what they are here for.' : 'Put them back in use first.',
      });
    const code = newCode();
    const until = new Date(crib.now().getTime() + SESSION.code * 1000);
    await insertCode(crib.db, digestOf(plainCode(code)), person, until);
    return { answer: { person, code, until } };
  },
});

export const giveBadge = defineAct({
  path: 'people/badges',
  summary:
    'Make a badge for a person, to be printed and scanned at a screen of many hands; the one before counts no more.',
  may: ['crib'],
  properties: { person: field.initials },
  required: ['person'],
  async run({ crib, signed }, { person }) {
    const p = found(await maybeSigner(crib.db, person), 'person', person, 'person');
    // A badge signs as whoever it names: the crib makes none that may more than the crib.
    if (p.role === 'owner' && signed.role !== 'owner')
      throw new Problem('NOT_ALLOWED', `${person} is an owner: an owner makes their badge`, {
        field: 'person',
        value: person,
        limit: 'an owner',
      });
    const badge = `${BADGE_BEGINS}${newCode()}`;
    await putSecret(crib.db, person, 'badge', digestOf(plainCode(badge)), crib.now());
    return { answer: { person, name: p.name, badge } };
  },
});

/** Takes all that somebody signs in with: lost, left, or in the wrong hands. */
export const endAllOf = defineAct({
  path: 'people/locked',
  summary:
    'End every sign-in of a person, and take password, PIN and badge away; a code sets a password anew.',
  may: [],
  properties: { person: field.initials },
  required: ['person'],
  async run({ crib, signed }, { person }) {
    found(await maybeSigner(crib.db, person), 'person', person, 'person');
    if (person === signed.who)
      throw new Problem('REFUSED', 'Nobody locks themselves out', {
        field: 'person',
        value: person,
        wayOut: 'Let another owner do it.',
      });
    await crib.db.transaction(async (c) => {
      for (const which of ['password', 'pin', 'badge'] as const)
        await putSecret(c, person, which, null, crib.now());
      await deleteSessions(c, person, null);
    });
    return { answer: { person } };
  },
});

export const shareScreen = defineAct({
  path: 'people/shared-screens',
  summary: 'Make this screen one of many hands: it shows the crib, and whoever acts signs by badge or PIN.',
  may: ['crib'],
  properties: { name: field.words(40) },
  required: ['name'],
  async run({ crib, signed }, { name }) {
    const { session } = signed;
    if (!session || session.shared)
      throw new Problem('REFUSED', 'This is done on the screen itself, signed in as yourself', {
        field: 'name',
      });
    const token = newSecret();
    await crib.db.transaction(async (c) => {
      await deleteSession(c, session.id);
      await insertSession(c, {
        tokenHash: digestOf(token),
        person: session.person,
        device: name.trim(),
        begunAt: crib.now(),
        usedAt: crib.now(),
        shared: true,
      });
    });
    return { answer: { name: name.trim() }, token };
  },
});

export const giveKey = defineAct({
  path: 'keys',
  summary:
    'Make a key for a program. It is shown now and never again; it signs as the owner who made it, unless the input names who.',
  may: [],
  properties: {
    name: field.words(40),
    role: field.choice(namesOf(ROLES)),
    verbs: {
      type: 'array',
      maxItems: 100,
      items: { type: 'string', maxLength: 40 },
      description: 'Only these of what the role may; left out: all',
    },
  },
  required: ['name', 'role'],
  async run({ crib, signed }, input) {
    const name = input.name.trim();
    if ((await manyKeys(crib.db)).some((k) => k.name === name))
      throw new Problem('CONFLICT', `name: there is or was a key “${name}”`, {
        field: 'name',
        value: name,
        wayOut: 'Choose another name.',
      });
    const person = found(signed.who, 'who', null, 'person');
    const key = `${KEY_BEGINS}${newSecret()}`;
    await insertKey(crib.db, {
      name,
      keyHash: digestOf(key),
      person,
      role: input.role,
      verbs: input.verbs ? [...input.verbs] : null,
      madeAt: crib.now(),
    });
    return { answer: { name, key, role: input.role } };
  },
});

export const stopKey = defineAct({
  path: 'keys/end',
  summary: 'End a key, at once and for good.',
  may: [],
  properties: { name: field.words(40) },
  required: ['name'],
  async run({ crib }, { name }) {
    const key = found((await manyKeys(crib.db)).find((k) => k.name === name) ?? null, 'name', name, 'key');
    await endKey(crib.db, key.id, crib.now());
    return { answer: { name } };
  },
});
