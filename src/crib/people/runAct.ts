import { mayRead, Problem, type Signed, validate } from '@/crib/door';
import type { Act, ActAnswer, ActContext } from './act';

/** Does an act: its input is checked at the door, and who may is asked as for a verb. Throws a Problem. */
export async function runAct(c: ActContext, act: Act, input: unknown): Promise<ActAnswer> {
  if (act.may !== null) {
    if (!c.signed) throw notSignedIn();
    mayRead(c.signed, act.may, act.path);
    mustBeOwnHand(c.signed, act);
  }
  validate(act.schema, input);
  return act.run(c, input);
}

/** What everything answers to whom nobody knows. */
export const notSignedIn = (): Problem =>
  new Problem('NOT_SIGNED_IN', 'Nobody has signed in', {
    field: 'who',
    limit: 'a session, or Authorization: Bearer with a key',
    wayOut: 'Sign in at /sign-in; a program sends a key that an owner made on the page People.',
  });

/** Secrets and keys are given by who signed in with a password, or by a key of all its role may: a PIN at a hatch, or a key for some verbs, would else open all the rest. */
function mustBeOwnHand(signed: Signed, act: Act): void {
  if (act.atManyHands || (!signed.session?.shared && !signed.key?.verbs)) return;
  throw new Problem(
    'NOT_ALLOWED',
    signed.key
      ? `The key “${signed.key.name}” is for its verbs alone`
      : 'This is done where you signed in yourself',
    {
      field: signed.key ? 'key' : 'who',
      value: signed.key?.name ?? signed.who,
      limit: 'a sign-in of one’s own',
      wayOut: 'Sign in on a screen of your own by initials and password.',
    },
  );
}
