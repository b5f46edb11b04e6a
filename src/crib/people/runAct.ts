import { mayRead, Problem, validate } from '@/crib/door';
import type { Act, ActAnswer, ActContext } from './act';

/** Does an act: its input is checked at the door, and who may is asked as for a verb. Throws a Problem. */
export async function runAct(c: ActContext, act: Act, input: unknown): Promise<ActAnswer> {
  if (act.may !== null) {
    if (!c.signed) throw notSignedIn();
    mayRead(c.signed, act.may, act.path);
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
