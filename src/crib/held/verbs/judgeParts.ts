import { PART_VERDICTS, partWords } from '@/core/breakage';
import { namesOf } from '@/core/names';
import { defineVerb, field, found, Problem, toNumber } from '@/crib/door';
import { insertHoldVerdict, maybeHold } from '@/data/breakage';

/** Decides of held parts, one by one or all that were left; decided again, the newer one counts. */
export const judgeParts = defineVerb({
  name: 'judgeParts',
  may: ['crib', 'planner'],
  path: 'hold-verdicts',
  summary: 'Decide of held parts: good, rework or scrap; from a number to a number, or all of the hold.',
  properties: {
    hold: { ...field.code, description: 'Its number, such as Q-0001' },
    from: field.whole(1, 10_000_000),
    to: field.whole(1, 10_000_000),
    verdict: field.choice(namesOf(PART_VERDICTS)),
    words: field.words(200),
  },
  required: ['hold', 'verdict'],
  async run(c, input, moment) {
    const hold = found(await maybeHold(c, input.hold.toUpperCase()), 'hold', input.hold, 'hold');
    const first = input.from === undefined ? hold.firstPart : toNumber(input.from);
    const last =
      input.to === undefined ? (input.from === undefined ? hold.lastPart : first) : toNumber(input.to);
    const [field_, value] = first < hold.firstPart || first > hold.lastPart ? ['from', first] : ['to', last];
    if (first < hold.firstPart || last > hold.lastPart || last < first)
      throw new Problem('INVALID_INPUT', `${field_}: ${hold.number} does not hold part ${value}`, {
        field: field_,
        value,
        limit: `${hold.firstPart} to ${hold.lastPart}`,
        wayOut: 'Say parts of this hold.',
      });
    moment.leansOn(hold.entryId);
    await insertHoldVerdict(c, moment.entryId, {
      ...{ holdId: hold.id, firstPart: first, lastPart: last, verdict: input.verdict },
      note: input.words?.trim() || null,
    });
    return { hold: hold.number, from: first, to: last, verdict: input.verdict };
  },
  says: (a) => `${a.hold}, ${partWords([{ first: a.from, last: a.to }])}: ${PART_VERDICTS[a.verdict]}`,
});
