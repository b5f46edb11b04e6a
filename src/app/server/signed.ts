import 'server-only';
import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import type { Signed } from '@/crib/door';
import { type ActContext, notSignedIn, whoSigns } from '@/crib/people';
import { keyIn, tokenIn } from './cookie';
import { askedAtGate, crib } from './crib';

/** Who asks, by the headers that came; null: nobody we know. */
export async function signedBy(said: Headers): Promise<Signed | null> {
  const found = askedAtGate(said.get('x-stable-ticket'));
  if (found) return found;
  return whoSigns(await crib(), {
    token: tokenIn(said.get('cookie')),
    key: keyIn(said.get('authorization')),
  });
}

/** Who asks; a Problem where nobody is known. */
export async function mustBeSigned(request: Request): Promise<Signed> {
  const signed = await signedBy(request.headers);
  if (!signed) throw notSignedIn();
  return signed;
}

/** Who asks for a page: whom nobody knows is led to sign in. The gate does so before; this is its second lock. */
export async function signedHere(): Promise<Signed> {
  const signed = await signedBy(await headers());
  if (!signed) redirect('/sign-in');
  return signed;
}

/** Who sees the page, or null where it is the page to sign in. */
export const maybeSignedHere = async (): Promise<Signed | null> => signedBy(await headers());

/** What an act knows of the request it came by. */
export async function actContext(said: Headers, signed: Signed | null): Promise<ActContext> {
  const open = await crib();
  return {
    crib: open,
    demo: open.demo,
    slow: open.slow,
    signed,
    // Set by the gate, which takes away what anybody else says of it.
    address: said.get('x-stable-address') ?? 'unknown',
    device: deviceOf(said.get('user-agent') ?? ''),
  };
}

/** A browser and its system in a few words. Example: 'Firefox on Windows'. */
function deviceOf(agent: string): string {
  const browser = ['Edg', 'Firefox', 'Chrome', 'Safari'].find((name) => agent.includes(`${name}/`));
  const system = ['Android', 'iPhone', 'iPad', 'Windows', 'Mac OS', 'Linux'].find((name) =>
    agent.includes(name),
  );
  return browser ? `${browser === 'Edg' ? 'Edge' : browser}${system ? ` on ${system}` : ''}` : 'a program';
}
