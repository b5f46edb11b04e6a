import { namesOf } from '@/core/names';
import { SECOND_PERSON } from '@/core/people';
import { field, Problem, type SecondAsked, validate } from '@/crib/door';
import { secondPersonFor } from '@/data/people';
import type { ActContext } from './act';
import { whoConfirms } from './acts/hand';
import { codeField, pinField } from './secretFields';

const SECOND = {
  type: 'object',
  properties: { badge: codeField, who: field.initials, pin: pinField },
  required: [],
  additionalProperties: false,
} as const;

/** Asks for the second person, where the shop wants one: by badge or PIN beside the input, and not the same. */
export const secondAsked =
  (c: Pick<ActContext, 'crib' | 'slow' | 'address'>): SecondAsked =>
  async (verb, signed, second) => {
    const wanted = await secondPersonFor(c.crib.db);
    const of = namesOf(SECOND_PERSON).find(
      (name) => wanted[name] && SECOND_PERSON[name].verbs.some((v) => v === verb.name),
    );
    if (of === undefined) return null;
    if (second === undefined)
      throw new Problem('NOT_ALLOWED', `This shop wants two people for ${SECOND_PERSON[of].words}`, {
        field: 'second',
        limit: 'a badge, or initials and a PIN, of somebody else',
        wayOut: 'Let somebody else confirm it with their badge or PIN.',
      });
    validate(
      { type: 'object', properties: { second: SECOND }, required: ['second'], additionalProperties: false },
      { second },
    );
    // Texts, as was checked one line above.
    const {
      badge,
      who: other,
      pin,
    } = Object.fromEntries(Object.entries(second ?? {}).map(([k, v]) => [k, String(v)]));
    const who = await whoConfirms(c, { badge, who: other, pin });
    if (who === signed.who)
      throw new Problem('NOT_ALLOWED', `${who} confirms nothing of their own`, {
        field: 'second',
        value: who,
        limit: 'somebody else',
      });
    return who;
  };
