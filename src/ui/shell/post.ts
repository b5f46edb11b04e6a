import type { ProblemDocument } from '@/crib/door';

/** No answer came: sent again with the same form id it is recorded once. */
export const LOST: ProblemDocument = {
  type: 'about:blank',
  title: 'No answer',
  status: 0,
  code: 'INTERNAL',
  detail: 'No answer came',
  way_out: 'Send it again: it is recorded only once.',
  problems: [],
};

/** Nobody is signed in any more: what was typed stays where it is. */
const SIGNED_OUT: ProblemDocument = {
  ...LOST,
  title: 'Nobody has signed in',
  code: 'NOT_SIGNED_IN',
  detail: 'Your sign-in has ended, and nothing was written',
  way_out: 'Open Stable in another tab and sign in there, then send this again: what you typed stays.',
};

/** Why no answer came: the sign-in has ended, or the network has. */
export async function whyLost(): Promise<ProblemDocument> {
  try {
    return (await fetch('/api/v1/signers', { method: 'HEAD' })).status === 401 ? SIGNED_OUT : LOST;
  } catch {
    return LOST;
  }
}

/** A file as base64, without a stack overflow for a large one. */
export async function base64(file: File): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  let text = '';
  for (let at = 0; at < bytes.length; at += 32_768)
    text += String.fromCharCode(...bytes.subarray(at, at + 32_768));
  return btoa(text);
}

/** What a post came to. */
type Sent<T> = { ok: true; value: T } | { ok: false; problem: ProblemDocument };

/** Posts JSON to the API, for what is too large for a form's action. */
export async function post<T>(path: string, body: object, signal?: AbortSignal): Promise<Sent<T>> {
  try {
    const answer = await fetch(path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
      signal,
    });
    // The API answers in these two forms, which its document lists.
    const json = (await answer.json()) as T & ProblemDocument;
    return answer.ok ? { ok: true, value: json } : { ok: false, problem: json };
  } catch {
    return { ok: false, problem: LOST };
  }
}
