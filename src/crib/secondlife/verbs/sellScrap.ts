import { SUBSTRATES } from '@/core/cutters';
import { LIMITS } from '@/core/limits';
import { defineVerb, field, Problem, toNumber } from '@/crib/door';
import { insertScrapSale, insertScrapSaleLine, manyScrap } from '@/data/stock';
import { scrapView } from '../views/scrapView';

/** It may weigh so much more than by its outlines before it is asked what else is in the bin: scales and coatings. */
const MORE = 1.1;

/** All scrap of a substrate is sold by its weight on the scales; what is scrapped later begins the next heap. */
export const sellScrap = defineVerb({
  name: 'sellScrap',
  may: ['crib'],
  path: 'stock/scrap-sold',
  summary:
    'Record that all scrap of one substrate was sold: what it weighed on the scales and what a kilogram fetched.',
  properties: {
    substrate: field.choice(SUBSTRATES),
    kg: { ...field.decimal(0.001, 99_999), description: 'As it was weighed' },
    perKgCents: field.cents,
    buyer: field.words(80),
  },
  required: ['substrate', 'kg', 'perKgCents'],
  async run(c, input, moment) {
    const heap = (await scrapView(c)).heaps.find((h) => h.substrate === input.substrate);
    if (!heap)
      throw new Problem('CONFLICT', `No scrap of ${input.substrate} lies here`, {
        field: 'substrate',
        value: input.substrate,
        limit: 'a substrate of which scrap lies here',
        wayOut:
          'Somebody may have sold it already: look again. What has no substrate on record is none of it.',
      });
    const kg = toNumber(input.kg);
    await insertScrapSale(c, moment.entryId, {
      ...{ substrate: input.substrate, kg, perKgCents: input.perKgCents },
      buyer: input.buyer?.trim() ?? null,
    });
    for (const { itemId, quantity, total, substrate } of await manyScrap(c, LIMITS.scrapKinds.most))
      if (substrate === input.substrate)
        await insertScrapSaleLine(c, moment.entryId, { itemId, quantity, total });
    return {
      substrate: input.substrate,
      pieces: heap.pieces,
      kg,
      cents: Math.round(kg * input.perKgCents),
      tooMuch:
        heap.notWeighed === 0 && kg > heap.kg * MORE
          ? `it weighs more than ${heap.pieces} of these can: ${heap.kg.toFixed(2)} kg at most`
          : null,
    };
  },
  says: (a) => `${a.kg} kg of ${a.substrate} scrap sold`,
});
