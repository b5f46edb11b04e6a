import { defineVerb, field, found, Problem, toNumber } from '@/crib/door';
import { insertReorderPoint } from '@/data/buying';
import { maybeItem } from '@/data/catalogue';

export const stateReorder = defineVerb({
  name: 'stateReorder',
  may: ['crib', 'planner'],
  path: 'reorder-points',
  summary:
    'State how many of a thing are kept on the shelf without any job asking for it: below so many, up to so many is ordered; both left out: none any more.',
  properties: {
    item: field.words(40),
    minimum: field.whole(1, 100_000),
    upTo: field.whole(1, 100_000),
  },
  required: ['item'],
  async run(c, input, moment) {
    const item = found(await maybeItem(c, input.item), 'item', input.item, 'item');
    const minimum = input.minimum === undefined ? null : toNumber(input.minimum);
    const upTo = input.upTo === undefined ? minimum : toNumber(input.upTo);
    if ((minimum === null) !== (upTo === null) || (minimum !== null && upTo !== null && upTo < minimum))
      throw new Problem('INVALID_INPUT', 'upTo: not fewer than the least that is kept', {
        field: 'upTo',
        value: upTo,
        limit: minimum === null ? 'with a minimum' : `at least ${minimum}`,
        wayOut: 'Say both, or neither.',
      });
    moment.leansOn(item.entryId);
    await insertReorderPoint(c, moment.entryId, { itemId: item.id, minimum, upTo });
    return { item: item.code, minimum, upTo };
  },
  says: (a) =>
    a.minimum === null
      ? `${a.item}: none is kept any more`
      : `${a.item}: never fewer than ${a.minimum}, up to ${a.upTo}`,
});
