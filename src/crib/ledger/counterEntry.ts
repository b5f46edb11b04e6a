import { defineVerb, found, Problem } from '@/crib/door';
import { usesOfImport } from '@/data/exchange';
import { maybeEntry } from '@/data/ledger';

/** What can be taken back; setting up people is not. */
const NOT_COUNTERED = new Set(['addPerson']);

/** Takes an entry back by a counter-entry; the database moves stock back and refuses where a later entry leans on it. */
export const counterEntry = defineVerb({
  name: 'counterEntry',
  path: 'counter-entries',
  summary: 'Take an entry back. Refused, naming the later entry, where one leans on it.',
  properties: { counters: { type: 'integer', minimum: 1 } },
  required: ['counters'],
  counters: (input) => (input as { counters: number }).counters,
  async run(c, input, moment) {
    const old = found(await maybeEntry(c, input.counters), 'counters', input.counters, 'entry');
    if (NOT_COUNTERED.has(old.kind))
      throw new Problem('REFUSED', 'A person is not taken back: what they signed stays signed');
    if (old.happenedAt > moment.happenedAt)
      throw new Problem('REFUSED', 'A counter-entry cannot happen before what it counters', {
        field: 'happenedAt',
      });
    // What leans on an item's own entry the database knows; that an item's facts went on since, only this does.
    const [used] = old.kind === 'importItems' ? await usesOfImport(c, old.id) : [];
    if (used)
      throw new Problem(
        'REFUSED',
        `${used.item} was used or changed since, by ${used.who} in entry ${used.entryId}`,
        {
          field: 'counters',
          value: used.entryId,
          wayOut: `Take entry ${used.entryId} back first; or correct the items one by one.`,
        },
      );
    return { countered: old.id, kind: old.kind };
  },
});
