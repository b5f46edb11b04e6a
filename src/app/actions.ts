'use server';
import { cookies } from 'next/headers';
import { perform as performVerb, Problem, toProblem } from '@/crib/door';
import { lookUpCode } from '@/crib/find';
import { verbNamed } from '@/crib/verbs';
import type { Answer, ScanAnswer } from '@/ui/shell';
import { crib } from './server/crib';

/** Does a verb for a form. Problems come back as values: errors thrown by an action are masked in production. */
export async function perform(name: string, input: Record<string, unknown>): Promise<Answer> {
  try {
    const verb = verbNamed(name);
    if (!verb) throw new Problem('NOT_FOUND', `No verb ${name}`, { field: 'verb', value: name });
    const who = (await cookies()).get('stable_who')?.value ?? input.who;
    if (!who)
      throw new Problem('INVALID_INPUT', 'Nobody has signed', {
        field: 'who',
        limit: 'initials',
        wayOut: 'Pick your initials first, down on the left.',
      });
    return { ok: true, done: await performVerb(await crib(), verb, { ...input, who }) };
  } catch (error) {
    return { ok: false, problem: toProblem(error).document() };
  }
}

/** What a scan or typed words mean: where to go, and what is said. */
export async function lookUp(text: string): Promise<ScanAnswer> {
  const { db, zone } = await crib();
  return lookUpCode(db, String(text).slice(0, 200), zone);
}

/** Keeps who is at this screen. */
export async function pickWho(initials: string): Promise<void> {
  const jar = await cookies();
  if (/^[A-Z]{2,4}$/.test(initials))
    jar.set('stable_who', initials, { sameSite: 'strict', httpOnly: true, path: '/', maxAge: 31_536_000 });
  else jar.delete('stable_who');
}
