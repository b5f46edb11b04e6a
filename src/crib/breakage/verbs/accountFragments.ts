import { FRAGMENT_STATES } from '@/core/breakage';
import { defineVerb, field, found, Problem } from '@/crib/door';
import { maybeBreakage } from '@/data/breakage';
import { bookFragments, fragmentFields } from '../bookEnding';

/** Says what became of the fragments of a cutter that broke: until then its T waits, and nothing is logged there. */
export const accountFragments = defineVerb({
  name: 'accountFragments',
  may: ['crib', 'operator'],
  path: 'fragments',
  summary:
    'Say what became of the fragments of a cutter that broke: all found, or by what the spot was recut.',
  properties: { ending: field.number, ...fragmentFields },
  required: ['ending', 'fragments'],
  async run(c, input, moment) {
    const one = found(await maybeBreakage(c, input.ending), 'ending', input.ending, 'breakage');
    if (!one.asksFragments)
      throw new Problem('REFUSED', `Nothing waits for the fragments of ${one.mark}`, {
        field: 'ending',
        value: input.ending,
        limit: 'one that broke on a T of a job',
        wayOut: 'Look under Broken which one waits.',
      });
    if (one.happenedAt > moment.happenedAt)
      throw new Problem('INVALID_INPUT', `happenedAt: ${one.mark} had not broken yet then`, {
        field: 'happenedAt',
        value: moment.happenedAt.toISOString(),
        limit: `from ${one.happenedAt.toISOString()}`,
        wayOut: 'Enter when they were looked for.',
      });
    // That the spot was recut after all may be said later; that all were found, only by who says it first.
    if (one.fragments !== null && input.fragments === 'found')
      throw new Problem(
        'CONFLICT',
        `${one.mark}: ${one.fragmentsWho ?? 'somebody'} said it already: ${FRAGMENT_STATES[one.fragments]}`,
        {
          field: 'ending',
          value: one.entryId,
          limit: 'one of which nobody said it yet',
          wayOut: 'Ask who said it. Where one is missing after all, recut the spot and say by what.',
        },
      );
    moment.leansOn(one.entryId);
    await bookFragments(c, moment, one.entryId, input.fragments, input.recutBy);
    return {
      ending: one.entryId,
      piece: one.mark,
      fragments: input.fragments,
      recutBy: input.recutBy ?? null,
    };
  },
  says: (a) => `${a.piece}: ${FRAGMENT_STATES[a.fragments]}${a.recutBy === null ? '' : ` by ${a.recutBy}`}`,
});
