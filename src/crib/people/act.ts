import type { JSONSchema } from 'json-schema-to-ts';
import type { May } from '@/core/people';
import type { Crib, InputOf, Properties, Signed } from '@/crib/door';
import type { Slow } from './slow';

/** What an act around signing knows besides its input. */
export interface ActContext {
  crib: Crib;
  /** The demo: anybody is anybody. */
  demo: boolean;
  slow: Slow;
  /** null: nobody has signed in yet. */
  signed: Signed | null;
  /** Where it came from, as the network says. */
  address: string;
  /** What it came by, in a few words: for the list of one's own sign-ins. */
  device: string;
}

/** What an act answers; the token of a new sign-in goes into the cookie and nowhere else. */
export interface ActAnswer {
  answer: object;
  /** A new sign-in; null: the one there was has ended; left out: as it was. */
  token?: string | null;
}

/** Signing in and out, secrets, keys: nothing of it stands in the ledger, where nothing is taken away. */
export interface Act {
  path: string;
  summary: string;
  /** Who may besides the owner; null: whoever comes. */
  may: May | null;
  schema: JSONSchema & object;
  /** Done at a screen of many hands too. */
  atManyHands: boolean;
  run(c: ActContext, input: unknown): Promise<ActAnswer>;
}

/** An act that anybody may, or one of whoever signed in. */
export function defineAct<const P extends Properties, const R extends readonly (keyof P & string)[]>(d: {
  path: string;
  summary: string;
  may: null;
  atManyHands?: boolean;
  properties: P;
  required: R;
  run(c: ActContext, input: InputOf<P, R>): Promise<ActAnswer>;
}): Act;
export function defineAct<const P extends Properties, const R extends readonly (keyof P & string)[]>(d: {
  path: string;
  summary: string;
  may: May;
  atManyHands?: boolean;
  properties: P;
  required: R;
  run(c: ActContext & { signed: Signed }, input: InputOf<P, R>): Promise<ActAnswer>;
}): Act;
export function defineAct(
  d: Omit<Act, 'schema' | 'atManyHands'> & {
    atManyHands?: boolean;
    properties: Properties;
    required: readonly string[];
  },
): Act {
  const { path, summary, may, atManyHands = false, properties, required } = d;
  return {
    path,
    summary,
    may,
    atManyHands,
    schema: { type: 'object', properties, required, additionalProperties: false },
    run: (c, input) => d.run(c, input),
  };
}
