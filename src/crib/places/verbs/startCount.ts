import { defineVerb, field } from '@/crib/door';
import { placeInCrib } from '@/crib/stock';
import { nextNumber } from '@/data/assemblies';
import { insertCountSheet } from '@/data/stock';

export const startCount = defineVerb({
  name: 'startCount',
  may: ['crib'],
  path: 'counts',
  summary: 'Start a count sheet of a place and all that lies inside it.',
  properties: { place: field.code },
  required: ['place'],
  async run(c, input, moment) {
    const place = await placeInCrib(c, moment, 'place', input.place);
    const number = await nextNumber(c, 'count_sheet', 'number', 'C');
    await insertCountSheet(c, moment.entryId, { number, placeId: place.id });
    return { number, place: place.code };
  },
  says: (a) => `count ${a.number} of ${a.place} begun`,
});
