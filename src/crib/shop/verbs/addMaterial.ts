import { defineVerb, field } from '@/crib/door';
import { insertMaterial } from '@/data/shop';

export const addMaterial = defineVerb({
  name: 'addMaterial',
  may: ['crib', 'planner'],
  path: 'materials',
  summary: 'Add a work material with its ISO 513 group.',
  properties: {
    code: field.code,
    name: field.words(),
    isoGroup: field.choice(['P', 'M', 'K', 'N', 'S', 'H', 'O']),
  },
  required: ['code', 'name', 'isoGroup'],
  async run(c, input, moment) {
    await insertMaterial(c, moment.entryId, {
      code: input.code,
      name: input.name.trim(),
      isoGroup: input.isoGroup,
    });
    return { code: input.code };
  },
  says: (a) => `material ${a.code}`,
});
