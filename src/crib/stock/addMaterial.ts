import { defineVerb, field } from '@/crib/door';
import { insert } from '@/data/database';

export const addMaterial = defineVerb({
  name: 'addMaterial',
  path: 'materials',
  summary: 'Add a work material with its ISO 513 group.',
  properties: {
    code: field.code,
    name: field.words(),
    isoGroup: field.choice(['P', 'M', 'K', 'N', 'S', 'H', 'O']),
  },
  required: ['code', 'name', 'isoGroup'],
  async run(c, input, moment) {
    await insert(c, 'material', {
      code: input.code,
      name: input.name.trim(),
      iso_group: input.isoGroup,
      entry_id: moment.entryId,
    });
    return { code: input.code };
  },
});
