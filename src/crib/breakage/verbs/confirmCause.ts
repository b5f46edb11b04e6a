import { CAUSE_NAMES, CAUSES } from '@/core/breakage';
import { defineVerb, field, found, Problem } from '@/crib/door';
import { insertCauseConfirmed, maybeBreakage } from '@/data/breakage';
import { signsField } from '../bookEnding';

/**
 * Says why it broke, as somebody found it, and what was done about it. Signs may be added that were seen only then, and what
 * was looked for and not there. Said again, the newer one counts; the shop's ranking of causes learns from it.
 */
export const confirmCause = defineVerb({
  name: 'confirmCause',
  may: ['crib', 'planner', 'operator'],
  path: 'causes',
  summary:
    'Say why a cutter broke, as it was found, and what was done about it; said again, the newer one counts.',
  properties: {
    ending: field.number,
    cause: field.choice(CAUSE_NAMES),
    remedy: field.words(200),
    seen: { ...signsField, description: 'Left out: the signs that were said when it broke' },
    notSeen: { ...signsField, description: 'Looked for, and not there' },
  },
  required: ['ending', 'cause'],
  async run(c, input, moment) {
    const one = found(await maybeBreakage(c, input.ending), 'ending', input.ending, 'breakage');
    const seen = input.seen ?? one.seen ?? one.signs;
    const notSeen = input.notSeen ?? [];
    const both = notSeen.find((s) => seen.includes(s));
    if (both)
      throw new Problem('INVALID_INPUT', `“${both}” was seen and not seen`, {
        field: 'notSeen',
        value: both,
        limit: 'signs that were not seen',
        wayOut: 'Leave it out of one of them.',
      });
    moment.leansOn(one.entryId);
    await insertCauseConfirmed(c, moment.entryId, {
      endingId: one.entryId,
      cause: input.cause,
      remedy: input.remedy?.trim() || null,
      seen: JSON.stringify(seen),
      notSeen: JSON.stringify(notSeen),
    });
    return { ending: one.entryId, piece: one.mark, cause: input.cause, remedy: input.remedy ?? null };
  },
  says: (a) => `${a.piece}: ${CAUSES[a.cause].words}${a.remedy === null ? '' : `; ${a.remedy}`}`,
});
