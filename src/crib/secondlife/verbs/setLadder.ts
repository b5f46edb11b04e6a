import { GROUPS } from '@/core/choosing';
import { last } from '@/core/sure';
import { defineVerb, field, Problem } from '@/crib/door';
import { insertGradeLadder } from '@/data/life';

export const setLadder = defineVerb({
  name: 'setLadder',
  may: ['crib'],
  path: 'grades/ladder',
  summary:
    'Set the ladder of second lives: rungs from the sharpest down, each with the ISO 513 groups it is still good for; the last is scrap.',
  properties: {
    rungs: {
      type: 'array',
      minItems: 2,
      maxItems: 20,
      items: {
        type: 'object',
        properties: {
          name: field.words(60),
          groups: { type: 'array', maxItems: 7, uniqueItems: true, items: field.choice(GROUPS) },
        },
        required: ['name', 'groups'],
        additionalProperties: false,
      },
    },
  },
  required: ['rungs'],
  async run(c, input, moment) {
    const rungs = input.rungs.map((r) => ({ name: r.name.trim(), groups: r.groups }));
    const lowest = last(rungs);
    if (lowest.name !== 'scrap' || lowest.groups.length)
      throw new Problem('INVALID_INPUT', 'The last rung is scrap, good for nothing more', {
        field: `rungs.${rungs.length - 1}.name`,
        value: lowest.name,
        limit: 'scrap, without a group',
      });
    const twice = rungs.find((r, i) => rungs.findIndex((x) => x.name === r.name) !== i);
    if (twice)
      throw new Problem('INVALID_INPUT', `The rung ${twice.name} stands twice`, {
        field: 'rungs',
        value: twice.name,
      });
    await insertGradeLadder(c, moment.entryId, { rungs: JSON.stringify(rungs) });
    return { rungs };
  },
  says: () => 'the ladder of second lives',
});
