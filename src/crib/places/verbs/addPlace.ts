import { ADDED_PLACES } from '@/core/stock';
import { defineVerb, field, foundInUse } from '@/crib/door';
import { insertPlace, maybePlace } from '@/data/stock';

export const addPlace = defineVerb({
  name: 'addPlace',
  may: ['crib'],
  path: 'places',
  summary:
    'Add a place with its code: room, cabinet, shelf, drawer, bin, cart, machine or regrind shop, nested to any depth.',
  properties: {
    code: field.code,
    name: field.words(),
    kind: field.choice(ADDED_PLACES),
    parent: field.code,
  },
  required: ['code', 'name', 'kind'],
  async run(c, input, moment) {
    const parent =
      input.parent === undefined
        ? null
        : foundInUse(await maybePlace(c, input.parent.toUpperCase()), 'parent', input.parent, 'place');
    if (parent) moment.leansOn(parent.entryId);
    const code = input.code.toUpperCase();
    await insertPlace(c, moment.entryId, {
      code,
      name: input.name.trim(),
      kind: input.kind,
      parentId: parent?.id ?? null,
    });
    return { code };
  },
  says: (a) => `place ${a.code}`,
});
