import { defineVerb } from '@/crib/door';
import { insertPerson } from '@/data/people';

export const addPerson = defineVerb({
  name: 'addPerson',
  path: 'people',
  summary: 'Add a person by initials. The first person may add themselves.',
  properties: {
    initials: { type: 'string', pattern: '^[A-Z]{2,4}$', description: 'two to four capital letters' },
    name: { type: 'string', minLength: 1, maxLength: 80, pattern: '\\S' },
  },
  required: ['initials', 'name'],
  async run(c, input) {
    await insertPerson(c, input.initials, input.name.trim());
    return { initials: input.initials };
  },
});
