import { PART_VERDICTS, type PartRange, partWords, standsOf } from '@/core/breakage';
import { namesOf } from '@/core/names';
import { defineVerb, field, found, Problem, toNumber } from '@/crib/door';
import { type HoldRow, insertHoldVerdict, manyHoldVerdicts, maybeHold } from '@/data/breakage';
import type { Connection } from '@/data/database';

/**
 * Decides of held parts, one by one or all that were left. Decided anew by who has seen what was decided, the newer one counts;
 * of two who decide at once the second is told.
 */
export const judgeParts = defineVerb({
  name: 'judgeParts',
  may: ['crib', 'planner'],
  path: 'hold-verdicts',
  summary:
    'Decide of held parts: good, rework or scrap; from a number to a number, or all that nobody decided yet. `over` is the newest verdict that was seen: what was decided by then is decided anew, what was decided since is left as it is.',
  properties: {
    hold: { ...field.code, description: 'Its number, such as Q-0001' },
    from: field.whole(1, 10_000_000),
    to: field.whole(1, 10_000_000),
    over: { ...field.number, description: 'The newest verdict of this hold that was seen.' },
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
    const all = input.from === undefined && input.to === undefined;
    const ranges = await toDecide(c, hold, all ? null : { first, last }, input.over ?? 0);
    moment.leansOn(hold.entryId);
    for (const range of ranges)
      await insertHoldVerdict(c, moment.entryId, {
        ...{ holdId: hold.id, firstPart: range.first, lastPart: range.last, verdict: input.verdict },
        note: input.words?.trim() || null,
      });
    return {
      ...{ hold: hold.number, from: ranges[0]?.first ?? first, to: ranges.at(-1)?.last ?? last },
      ...{ parts: ranges, verdict: input.verdict },
    };
  },
  // An entry that was written before parts could be left out says the first and the last.
  says: (a) =>
    `${a.hold}, ${partWords(a.parts ?? [{ first: a.from, last: a.to }])}: ${PART_VERDICTS[a.verdict]}`,
});

/** The parts that are asked for, or all that nobody decided; refuses those that were decided since the newest that was seen. */
async function toDecide(
  c: Connection,
  hold: HoldRow,
  asked: PartRange | null,
  seen: number,
): Promise<PartRange[]> {
  const whole = { first: hold.firstPart, last: hold.lastPart };
  const verdicts = await manyHoldVerdicts(c, [hold.id]);
  if (seen > 0 && !verdicts.some((v) => v.entryId === seen))
    throw new Problem('CONFLICT', `over: entry ${seen} is no verdict of ${hold.number} that stands`, {
      field: 'over',
      value: seen,
      limit: 'a verdict of this hold that was seen',
      wayOut: 'Look the hold up again: what was decided may have been taken back.',
    });
  const stands = standsOf(
    whole,
    verdicts.map((v) => ({ ...v, first: v.firstPart, last: v.lastPart })),
  );
  if (asked === null) {
    const left = stands.flatMap((s) => (s.by === null ? [{ first: s.first, last: s.last }] : []));
    if (left.length) return left;
    throw new Problem('REFUSED', `Every part of ${hold.number} is decided`, {
      field: 'from',
      value: null,
      limit: 'parts that nobody decided yet',
      wayOut: 'To decide some anew, say which.',
    });
  }
  const by = stands.find(
    (s) => s.by && s.by.entryId > seen && s.first <= asked.last && s.last >= asked.first,
  );
  if (by?.by)
    throw new Problem(
      'CONFLICT',
      `${partWords([by])} of ${hold.number}: decided by ${by.by.who} as ${PART_VERDICTS[by.by.verdict]}`,
      {
        field: 'over',
        value: seen || null,
        limit: `entry ${by.by.entryId}`,
        wayOut:
          'Look at what was decided and why. To decide anew all the same, look the hold up again and say so.',
      },
    );
  return [asked];
}
