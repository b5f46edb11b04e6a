import { GROUPS, REASON_NAMES } from '@/core/choosing';
import { defineVerb, field, Problem, toNumber } from '@/crib/door';
import { insertChoosingRules } from '@/data/catalogue';
import { rulesInForce } from '../rulesInForce';

const weight = field.decimal(0, 10, 'How much this reason weighs; 0 leaves it out.');
const range = {
  type: 'array',
  minItems: 2,
  maxItems: 2,
  items: field.whole(1, 40),
  description: 'Fewest and most flutes',
} as const;

export const setChoosingRules = defineVerb({
  name: 'setChoosingRules',
  may: ['crib', 'planner'],
  path: 'choosing/rules',
  summary:
    'Set how cutters are ranked here: weights, flutes by material group, and the schools where people differ.',
  properties: {
    weights: {
      type: 'object',
      properties: Object.fromEntries(REASON_NAMES.map((r) => [r, weight])),
      additionalProperties: false,
    },
    flutes: {
      type: 'object',
      properties: Object.fromEntries(GROUPS.map((g) => [g, range])),
      additionalProperties: false,
    },
    bulk: field.choice(['indexable first', 'solid first']),
    finishing: field.choice(['kept apart', 'one for both']),
  },
  required: [],
  async run(c, input, moment) {
    const before = await rulesInForce(c);
    const weights = {
      ...before.weights,
      ...Object.fromEntries(
        Object.entries(input.weights ?? {}).flatMap(([k, v]) => (v === undefined ? [] : [[k, toNumber(v)]])),
      ),
    };
    const flutes = { ...before.flutes };
    for (const [g, pair] of Object.entries(
      // Pairs by the schema, whose tuples come as lists.
      (input.flutes ?? {}) as Record<string, [string | number, string | number]>,
    )) {
      const [low, high] = [toNumber(pair[0]), toNumber(pair[1])];
      if (low > high)
        throw new Problem('INVALID_INPUT', `flutes.${g}: ${low} is more than ${high}`, {
          field: `flutes.${g}`,
          value: low,
          limit: `at most ${high}`,
        });
      // The schema has no other names.
      flutes[g as keyof typeof flutes] = [low, high];
    }
    const rules = {
      weights,
      flutes,
      bulk: input.bulk ?? before.bulk,
      finishing: input.finishing ?? before.finishing,
    };
    await insertChoosingRules(c, moment.entryId, { rules: JSON.stringify(rules) });
    return { rules };
  },
  says: () => 'rules for choosing cutters',
});
