import { ROLES } from '@/core/people';
import { namesOf } from '@/core/names';
import { defineVerb, field, found, Problem } from '@/crib/door';
import { countOwners, insertRole, maybeRole, maybeSecret } from '@/data/people';
import { maybePerson } from '@/data/shop';

/** What a person is here for. The last owner who can sign in stays one: nobody else could say it. */
export const setRole = defineVerb({
  name: 'setRole',
  may: [],
  path: 'people/roles',
  summary: 'Say what a person is here for: owner, crib, planner, operator or viewer.',
  properties: { person: field.initials, role: field.choice(namesOf(ROLES)) },
  required: ['person', 'role'],
  async run(c, input, moment) {
    const { name } = found(await maybePerson(c, input.person), 'person', input.person, 'person');
    const before = await maybeRole(c, input.person);
    const canSignIn = (await maybeSecret(c, input.person))?.passwordHash ?? null;
    if (before === 'owner' && input.role !== 'owner' && canSignIn !== null && (await countOwners(c)) < 2)
      throw new Problem('REFUSED', `${input.person} is the only owner who can sign in`, {
        field: 'role',
        value: input.role,
        limit: 'one owner or more',
        wayOut: 'Make somebody else an owner first.',
      });
    await insertRole(c, moment.entryId, input.person, input.role);
    return { person: input.person, name, role: input.role };
  },
  countering: { never: 'What somebody is here for is said anew, not taken back' },
  says: (a) => `${a.person} ${a.name} is here as ${a.role}`,
});
