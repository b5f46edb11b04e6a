'use server';
import { headers } from 'next/headers';
import { performAs, Problem, toProblem } from '@/crib/door';
import { lookUpCode } from '@/crib/find';
import { notSignedIn, secondAsked, stayAtHand } from '@/crib/people';
import { verbNamed, VERBS } from '@/crib/verbs';
import type { Answer, ScanAnswer } from '@/ui/shell';
import { crib } from './server/crib';
import { actContext, maybeSignedHere } from './server/signed';

/** Does a verb for a form. Problems come back as values: errors thrown by an action are masked in production. */
export async function perform(name: string, input: Record<string, unknown>): Promise<Answer> {
  try {
    const signed = await maybeSignedHere();
    if (!signed) throw notSignedIn();
    const verb = verbNamed(name);
    if (!verb) throw new Problem('NOT_FOUND', `No verb ${name}`, { field: 'verb', value: name });
    const asks = secondAsked(await actContext(await headers(), signed));
    const done = await performAs(await crib(), signed, verb, input, VERBS, asks);
    await stayAtHand(await crib(), signed);
    return { ok: true, done };
  } catch (error) {
    return { ok: false, problem: toProblem(error).document() };
  }
}

/** What a scan or typed words mean: where to go, and what is said. */
export async function lookUp(text: string): Promise<ScanAnswer> {
  if (!(await maybeSignedHere())) return { href: '/sign-in', said: 'not looked up: nobody has signed in' };
  const { db, zone } = await crib();
  return lookUpCode(db, String(text).slice(0, 200), zone);
}
