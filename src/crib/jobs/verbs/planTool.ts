import { mustOfInput, mustSchema } from '@/crib/assemblies';
import { defineVerb, field, found, maybeLength, type Moment, Problem, toNumber } from '@/crib/door';
import { maybeItem } from '@/data/catalogue';
import { maybeRecipe } from '@/data/cutting';
import type { Connection } from '@/data/database';
import {
  insertToolPlan,
  manyToolPlans,
  maybeOperation,
  type OperationRow,
  type ToolPlanRow,
} from '@/data/jobs';
import { maybeSheetNow } from '@/data/sheets';
import { t } from '../toolNumber';

export const planTool = defineVerb({
  name: 'planTool',
  may: ['crib', 'planner'],
  path: 'tool-plans',
  summary:
    'Say what a T of an operation does, and what it is to be: a very cutter, a build sheet, or what any cutter must have. `gone`: it is planned no more. `over` is the entry it was written over; where another is in force by now, nothing is written.',
  properties: {
    operation: field.number,
    t,
    over: field.number,
    does: field.words(80),
    item: field.code,
    sheet: field.code,
    must: mustSchema,
    recipe: { ...field.code, description: 'The recipe it is to run by.' },
    leavesSide: field.length(0, 100, 'What it leaves at the walls for another tool; 0: it cuts to size.'),
    leavesFloor: field.length(0, 100, 'What it leaves on the floor.'),
    gone: { type: 'boolean' },
  },
  required: ['operation', 't'],
  async run(c, input, moment) {
    const operation = found(
      await maybeOperation(c, input.operation),
      'operation',
      input.operation,
      'operation',
    );
    const number = toNumber(input.t);
    const plans = await manyToolPlans(c, [operation.id]);
    const now = plans.find((p) => p.t === number) ?? null;
    if ((now?.entryId ?? null) !== (input.over ?? null)) throw otherNow(number, now);
    const named = [input.item, input.sheet, input.must].filter((x) => x !== undefined);
    if (named.length > 1)
      throw new Problem('INVALID_INPUT', 'It is one of three: a cutter, a build sheet, or figures', {
        field: 'sheet',
        value: input.sheet ?? null,
        limit: 'at most one of item, sheet and must',
        wayOut: 'Leave the others blank.',
      });
    const gone = input.gone ?? false;
    const leaves = {
      leavesSideMm: gone ? null : (maybeLength(input.leavesSide)?.mm ?? null),
      leavesFloorMm: gone ? null : (maybeLength(input.leavesFloor)?.mm ?? null),
    };
    const recipeId =
      gone || input.recipe === undefined ? null : await recipeOf(c, moment, input.recipe, operation);
    const saysLeft = leaves.leavesSideMm !== null || leaves.leavesFloorMm !== null;
    if (!gone && input.does === undefined && named.length === 0 && !saysLeft && recipeId === null)
      throw new Problem('INVALID_INPUT', `Nothing is said of T${number}`, {
        field: 'does',
        value: null,
        limit: 'what it does, what it leaves, what it is to be, or by which recipe it runs',
        wayOut: 'Say one of them; to plan it no more, say so.',
      });
    moment.leansOn(operation.entryId);
    await insertToolPlan(c, moment.entryId, {
      ...{ operationId: operation.id, t: number, gone },
      does: gone ? null : (input.does?.trim() ?? null),
      itemId: gone || input.item === undefined ? null : await itemOf(c, moment, input.item),
      sheetCode: gone || input.sheet === undefined ? null : await sheetOf(c, moment, input.sheet),
      must: gone || input.must === undefined ? null : JSON.stringify(mustOfInput(input.must)),
      ...leaves,
      recipeId,
    });
    return { job: operation.job, operation: operation.number, t: number, gone };
  },
  says: (a) => (a.gone ? `T${a.t} of ${a.job} is planned no more` : `T${a.t} of ${a.job} planned`),
});

async function itemOf(c: Connection, moment: Moment, code: string): Promise<number> {
  const item = found(await maybeItem(c, code), 'item', code, 'cutter');
  if (item.kind !== 'cutter' && item.kind !== 'body')
    throw new Problem('REFUSED', `${code} is no cutter`, {
      field: 'item',
      value: code,
      limit: 'a cutter, or a body with inserts',
      wayOut: 'Name the cutter: what holds it is said when it is built.',
    });
  moment.leansOn(item.entryId);
  return item.id;
}

async function sheetOf(c: Connection, moment: Moment, code: string): Promise<string> {
  const sheet = found(await maybeSheetNow(c, code.toUpperCase()), 'sheet', code, 'build sheet');
  moment.leansOn(sheet.entryId);
  return sheet.code;
}

/** A recipe that is in force, for what this operation cuts. */
async function recipeOf(
  c: Connection,
  moment: Moment,
  code: string,
  operation: OperationRow,
): Promise<number> {
  const recipe = found(await maybeRecipe(c, code), 'recipe', code, 'recipe');
  const against = (words: string, limit: string, wayOut: string) =>
    new Problem('REFUSED', words, { field: 'recipe', value: recipe.code, limit, wayOut });
  if (recipe.replacedBy !== null)
    throw against(
      `${recipe.replacedBy} was written instead of ${recipe.code}`,
      'a recipe in force',
      `Name ${recipe.replacedBy}.`,
    );
  if (recipe.materialId !== operation.materialId)
    throw against(
      `${recipe.code} is for ${recipe.material}, ${operation.job} is ${operation.material}`,
      `a recipe in ${operation.material}`,
      'What it does in another material is another recipe: state that one.',
    );
  moment.leansOn(recipe.entryId);
  return recipe.id;
}

/** Somebody else planned it meanwhile. */
const otherNow = (t: number, now: ToolPlanRow | null): Problem =>
  new Problem(
    'CONFLICT',
    now
      ? `${now.who} has planned T${t} anew since you opened it`
      : `T${t} is planned no more since you opened it`,
    {
      field: 't',
      value: t,
      limit: now ? `entry ${now.entryId} is in force` : 'none is in force',
      wayOut: 'Nothing was written. Look at what it is now, then write it again.',
    },
  );
