import { defineVerb, field } from '@/crib/door';
import { insertSavedView } from '@/data/catalogue';

export const saveView = defineVerb({
  name: 'saveView',
  may: ['crib', 'planner', 'operator'],
  path: 'views',
  summary: 'Keep a question to the catalogue by name; an empty address drops it.',
  properties: { name: field.words(60), address: { type: 'string', maxLength: 600 } },
  required: ['name', 'address'],
  async run(c, input, moment) {
    const name = input.name.trim();
    await insertSavedView(c, moment.entryId, { name, address: input.address });
    return { name };
  },
  says: (a) => `question kept as ${a.name}`,
});
