import { defineVerb, field, found, Problem } from '@/crib/door';
import { insertItemLink, maybeItem, versionsBefore } from '@/data/catalogue';

/** A maker's renamed grade, a changed geometry, a new number for a discontinued one; or another item used in its place. */
export const linkItem = defineVerb({
  name: 'linkItem',
  may: ['crib', 'planner'],
  path: 'item-links',
  summary:
    'Say that an item is a newer version of another, or an approved substitute. Lives stay with each version.',
  properties: {
    item: field.words(40),
    earlier: field.words(40),
    relation: field.choice(['version', 'substitute']),
    reason: field.words(200),
  },
  required: ['item', 'earlier', 'relation', 'reason'],
  async run(c, input, moment) {
    const item = found(await maybeItem(c, input.item), 'item', input.item, 'item');
    const earlier = found(await maybeItem(c, input.earlier), 'earlier', input.earlier, 'item');
    const refuse = (detail: string, wayOut: string) => {
      throw new Problem('REFUSED', detail, { field: 'earlier', value: earlier.code, wayOut });
    };
    if (item.id === earlier.id) refuse('An item is no version of itself', 'Name the item it follows.');
    if (item.kind !== earlier.kind || item.family !== earlier.family)
      refuse(
        `${item.code} and ${earlier.code} are of different families`,
        'Link items of one kind and family.',
      );
    // Walking back from the earlier one must not come round to the item itself.
    if (input.relation === 'version' && (await versionsBefore(c, earlier.id)).includes(item.id))
      refuse(`${earlier.code} is itself a later version of ${item.code}`, 'Turn the two round.');
    moment.leansOn(item.entryId);
    moment.leansOn(earlier.entryId);
    await insertItemLink(c, moment.entryId, {
      itemId: item.id,
      earlierItemId: earlier.id,
      relation: input.relation,
      reason: input.reason.trim(),
    });
    return { item: item.code, earlier: earlier.code, relation: input.relation };
  },
  says: (a) => `${a.item} is a ${a.relation} of ${a.earlier}`,
});
