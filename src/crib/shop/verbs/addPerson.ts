import { defineVerb, field } from '@/crib/door';
import { insertPerson } from '@/data/shop';

export const addPerson = defineVerb({
  name: 'addPerson',
  may: ['crib'],
  path: 'people',
  summary: 'Add a person by initials. The first person may add themselves.',
  signing: 'also the one it adds',
  properties: {
    initials: field.initials,
    name: { type: 'string', minLength: 1, maxLength: 80, pattern: '\\S' },
  },
  required: ['initials', 'name'],
  async run(c, input) {
    await insertPerson(c, input.initials, input.name.trim());
    return { initials: input.initials };
  },
  // What they signed stays signed.
  countering: { never: 'A person is not taken back: what they signed stays signed' },
  says: (a) => `person ${a.initials}`,
});
