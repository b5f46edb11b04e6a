import { EVERYBODY, SESSION } from '@/core/people';
import { type Crib, field, Problem, type Signed } from '@/crib/door';
import { maybeBadgeOwner, maybeRole, maybeSecret, putAtHand } from '@/data/people';
import { type ActContext, defineAct } from '../act';
import { digestOf, plainCode } from '../digest';
import { isSecret } from '../hashes';
import { codeField, pinField } from '../secretFields';

type Inside = ActContext & { signed: Signed };

function sharedSession({ signed }: Inside): number {
  if (signed.session?.shared) return signed.session.id;
  throw new Problem('REFUSED', 'This screen is signed in as one person', {
    field: 'who',
    wayOut: 'Signing by badge or PIN is for screens that were set up for many hands, on the page People.',
  });
}

/** Whose badge or PIN it is; refused in the same words whatever was wrong, and slowed. */
export async function whoConfirms(
  c: Pick<ActContext, 'crib' | 'slow' | 'address'>,
  given: { badge?: string; who?: string; pin?: string },
): Promise<string> {
  const { badge, who, pin } = given;
  const name = who ?? '';
  const slowed = badge === undefined ? `hand ${name}` : null;
  await c.slow.mayTry(slowed, c.address);
  const person =
    badge !== undefined
      ? await maybeBadgeOwner(c.crib.db, digestOf(plainCode(badge)))
      : (await isSecret((await maybeSecret(c.crib.db, name))?.pinHash ?? null, pin ?? ''))
        ? name
        : null;
  if (person === null || (await maybeRole(c.crib.db, person)) === null)
    throw new Problem('NOT_SIGNED_IN', 'That is no badge or PIN of somebody here', {
      field: badge === undefined ? 'pin' : 'badge',
      limit: 'a badge of Stable, or initials and their PIN',
      wayOut: 'Try again. Your own page says whether you have a PIN; an owner or the crib prints a badge.',
    });
  await c.slow.wasRight(slowed, c.address);
  return person;
}

export const takeHand = defineAct({
  path: 'hand',
  summary:
    'Sign at a screen of many hands, by badge or by initials and PIN; it hands back after two minutes without a write.',
  may: EVERYBODY,
  atManyHands: true,
  properties: { badge: codeField, who: field.initials, pin: pinField },
  required: [],
  async run(c, input) {
    const session = sharedSession(c);
    const who = await whoConfirms(c, input);
    const until = new Date(c.crib.now().getTime() + SESSION.hand * 1000);
    await putAtHand(c.crib.db, session, who, until);
    return { answer: { who, until } };
  },
});

export const handBack = defineAct({
  path: 'hand/back',
  summary: 'Hand a screen of many hands back.',
  may: EVERYBODY,
  atManyHands: true,
  properties: {},
  required: [],
  async run(c) {
    await putAtHand(c.crib.db, sharedSession(c), null, null);
    return { answer: {} };
  },
});

/** Whoever wrote just now stands there still. */
export async function stayAtHand(
  { db, now }: Pick<Crib, 'db' | 'now'>,
  { session, who }: Signed,
): Promise<void> {
  if (!session?.shared || who === null) return;
  await putAtHand(db, session.id, who, new Date(now().getTime() + SESSION.hand * 1000));
}
