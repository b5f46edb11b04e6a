import { defineVerb, field, toNumber } from '@/crib/door';
import { bookParts } from '@/crib/work';

export const logParts = defineVerb({
  name: 'logParts',
  may: ['crib', 'planner', 'operator'],
  path: 'parts',
  summary: 'Log parts made on an operation: minutes in the cut go to the edge set on each T.',
  properties: {
    operation: field.number,
    parts: field.whole(1, 100_000),
    confirmed: { type: 'boolean', description: 'The count was asked about, and is right.' },
    materialLot: { ...field.words(40), description: 'The lot of material they were made of' },
  },
  required: ['operation', 'parts'],
  run: async (c, input, moment) => ({
    operation: input.operation,
    parts: toNumber(input.parts),
    uses: await bookParts(c, moment, input.operation, toNumber(input.parts), {
      confirmed: input.confirmed,
      lot: input.materialLot,
    }),
  }),
  says: (a) => (a.parts === 1 ? '1 part made' : `${a.parts} parts made`),
});
