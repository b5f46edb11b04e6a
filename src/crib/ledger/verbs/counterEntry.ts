import { defineVerb, field, found, Problem, type Verb } from '@/crib/door';
import { maybeEntry } from '@/data/ledger';

/**
 * Takes an entry back by a counter-entry, as the verb that wrote it says; the database moves stock back and refuses where
 * a later entry leans on it. Made from the other verbs, so that it knows how each is taken back.
 */
export const counterEntryOf = (verbs: readonly Verb[]) =>
  defineVerb({
    name: 'counterEntry',
    may: ['crib', 'planner', 'operator'],
    path: 'counter-entries',
    summary: 'Take an entry back. Refused, naming the later entry, where one leans on it.',
    properties: { counters: field.number },
    required: ['counters'],
    counters: (input) => input.counters,
    async run(c, input, moment) {
      const old = found(await maybeEntry(c, input.counters), 'counters', input.counters, 'entry');
      const how = verbs.find((v) => v.name === old.kind)?.countering;
      if (how && 'never' in how) throw new Problem('REFUSED', how.never);
      if (old.happenedAt > moment.happenedAt)
        throw new Problem('REFUSED', 'A counter-entry cannot happen before what it counters', {
          field: 'happenedAt',
        });
      const reason = how ? await how.unless(c, old) : null;
      if (reason)
        throw new Problem('REFUSED', reason.words, {
          field: 'counters',
          value: reason.value,
          wayOut: reason.wayOut,
        });
      return { countered: old.id, kind: old.kind };
    },
    says: (a) => `takes back entry ${a.countered} (${a.kind})`,
  });
