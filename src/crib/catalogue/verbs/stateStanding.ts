import { defineVerb, field, found } from '@/crib/door';
import { insertItemStanding, maybeItem, STANDINGS } from '@/data/catalogue';

export const stateStanding = defineVerb({
  name: 'stateStanding',
  may: ['crib', 'planner'],
  path: 'item-standings',
  summary: 'Say how an item stands: on trial, approved, no longer made, not to be used here.',
  properties: {
    item: field.words(40),
    standing: field.choice(STANDINGS),
    reason: field.words(200),
  },
  required: ['item', 'standing', 'reason'],
  async run(c, input, moment) {
    const item = found(await maybeItem(c, input.item), 'item', input.item, 'item');
    moment.leansOn(item.entryId);
    await insertItemStanding(c, moment.entryId, {
      itemId: item.id,
      standing: input.standing,
      reason: input.reason.trim(),
    });
    return { item: item.code, standing: input.standing };
  },
  says: (a) => `${a.item}: ${a.standing}`,
});
