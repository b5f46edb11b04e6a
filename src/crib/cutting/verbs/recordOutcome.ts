import { OUTCOMES } from '@/core/cutting';
import { defineVerb, field, found, Problem, toNumber } from '@/crib/door';
import { insertOutcome, maybeRecipe } from '@/data/cutting';
import { maybeOperation } from '@/data/jobs';

export const recordOutcome = defineVerb({
  name: 'recordOutcome',
  may: ['crib', 'planner', 'operator'],
  path: 'recipe-outcomes',
  summary:
    'Say what came of a recipe where it was run: tried, proven (a good part was made by it) or rejected, on which operation, how long its edge lasted. The latest word counts.',
  properties: {
    recipe: field.code,
    outcome: field.choice(OUTCOMES),
    operation: field.number,
    minutes: field.decimal(0.01, 1_000_000, 'Minutes in the cut that its edge lasted.'),
    parts: field.whole(1, 1_000_000),
    words: field.words(500),
  },
  required: ['recipe', 'outcome'],
  async run(c, input, moment) {
    const recipe = found(await maybeRecipe(c, input.recipe), 'recipe', input.recipe, 'recipe');
    const operation =
      input.operation === undefined
        ? null
        : found(await maybeOperation(c, input.operation), 'operation', input.operation, 'operation');
    if (operation && operation.materialId !== recipe.materialId)
      throw new Problem(
        'REFUSED',
        `${recipe.code} is for ${recipe.material}, ${operation.job} is ${operation.material}`,
        {
          field: 'operation',
          value: operation.id,
          limit: `an operation in ${recipe.material}`,
          wayOut: 'What it does in another material is another recipe: state that one.',
        },
      );
    if (input.outcome === 'rejected' && input.words === undefined)
      throw new Problem('INVALID_INPUT', `Why is ${recipe.code} rejected?`, {
        field: 'words',
        value: null,
        limit: 'what it did',
        wayOut: 'Say what was seen: the next one who thinks of it wants to know.',
      });
    moment.leansOn(recipe.entryId);
    if (operation) moment.leansOn(operation.entryId);
    await insertOutcome(c, moment.entryId, {
      ...{ recipeId: recipe.id, outcome: input.outcome, operationId: operation?.id ?? null },
      minutes: input.minutes === undefined ? null : toNumber(input.minutes),
      parts: input.parts === undefined ? null : toNumber(input.parts),
      words: input.words?.trim() ?? null,
    });
    return { recipe: recipe.code, outcome: input.outcome };
  },
  says: (a) => `${a.recipe} ${a.outcome}`,
});
