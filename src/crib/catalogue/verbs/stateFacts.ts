import { checkItem, factsOf } from '@/core/cutters';
import { defineVerb, field, found, Problem } from '@/crib/door';
import { maybeItem } from '@/data/catalogue';
import { loadItem } from '../loadItems';
import { assumedLifeSchema, supplySchema, writeAssumedLife, writeSupply } from '../supplyAndLife';
import { factsSchema, insertFacts, readFacts, refuseFaults } from '../writeFacts';

/** New facts of an item already here: measured instead of guessed, a new price, a better assumption. */
export const stateFacts = defineVerb({
  name: 'stateFacts',
  may: ['crib', 'planner'],
  path: 'facts',
  summary: 'State facts of an item anew, each with its origin; the earlier ones stay in its history.',
  properties: {
    item: field.words(40),
    facts: factsSchema,
    assumedLife: assumedLifeSchema,
    supply: supplySchema,
  },
  required: ['item'],
  async run(c, input, moment) {
    const row = found(await maybeItem(c, input.item), 'item', input.item, 'item');
    const item = await loadItem(c, row.id);
    moment.leansOn(row.entryId);
    const facts = readFacts(input.facts ?? {}, factsOf(row.kind, row.family));
    const all = [...item.facts.filter((f) => !facts.some((n) => n.symbol === f.symbol)), ...facts];
    refuseFaults(checkItem(row.kind, row.family, all, item.segments));
    await insertFacts(c, moment.entryId, row.id, facts);
    if (input.assumedLife) await writeAssumedLife(c, moment, row.id, input.assumedLife);
    if (input.supply) await writeSupply(c, moment, row.id, input.supply);
    if (!facts.length && !input.assumedLife && !input.supply)
      throw new Problem('INVALID_INPUT', 'Nothing was stated', { wayOut: 'Fill in what is to be stated.' });
    return { item: row.code, stated: facts.map((f) => f.symbol) };
  },
  says: (a) => `facts of ${a.item}`,
});
