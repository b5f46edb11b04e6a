import { CUTS } from '@/core/cutting';
import { namesOf } from '@/core/names';
import { held } from '@/core/sure';
import { ranWith } from '@/core/jobs';
import { cutterOf } from '@/crib/catalogue';
import { defineVerb, field, found, Problem, toNumber } from '@/crib/door';
import { standingOn } from '@/crib/rack';
import { workAround } from '@/crib/work';
import { nextNumber } from '@/data/assemblies';
import { insertOutcome, insertRecipe } from '@/data/cutting';
import { insertToolPlan, manySignatures, manyToolPlans, maybeOperation, maybeSetupSheet } from '@/data/jobs';
import { jobLines } from '../jobLines';
import { isProved } from '../setup/signed';
import { setupOf } from '../setup/setupOf';
import { t } from '../toolNumber';

export const recipeFromTool = defineVerb({
  name: 'recipeFromTool',
  may: ['crib', 'planner'],
  path: 'recipes-from-tools',
  summary:
    'Keep what a T of an operation runs with as a recipe of its cutter in that material, on that machine: the speed and feed it cuts longest with, the depth of its pass. Proven where the operation is proved as it is set up, tried where parts were made, else not tried. The T runs by it from then on.',
  properties: { operation: field.number, t, cut: field.choice(namesOf(CUTS)), words: field.words(500) },
  required: ['operation', 't', 'cut'],
  async run(c, input, moment) {
    const operation = found(
      await maybeOperation(c, input.operation),
      'operation',
      input.operation,
      'operation',
    );
    const number = toNumber(input.t);
    const work = await workAround(c, [operation]);
    const cards = await standingOn(c, work);
    const line = held(new Map(jobLines(work, cards).map((j) => [j.operation.id, j])), operation.id);
    const tool = line.tools.find((x) => x.t === number);
    const card = cards.find((x) => x.tag === tool?.tag);
    const against = (words: string, wayOut: string) =>
      new Problem('REFUSED', words, { field: 't', value: number, wayOut });
    if (!line.program || !tool)
      throw against(`The program of ${operation.job} does not call T${number}`, 'Store its program first.');
    if (!card)
      throw against(`T${number} has no assembly`, 'Tie the one that ran: a recipe is of its cutter.');
    const row = [...work.assemblies.values()].find((a) => a.tag === card.tag);
    const item = held(work.items, row?.cutterItemId ?? 0);
    const ran = ranWith(tool.tool.in_force, cutterOf(item));
    if (!ran)
      throw against(
        `Nothing is known of how T${number} feeds`,
        'Its program says no feed that can be kept; state the recipe by hand.',
      );
    const entered = String(ran.feed.mm);
    const code = await nextNumber(c, 'recipe', 'code', 'R');
    const pass = work.passes.find((p) => p.operationId === operation.id && p.t === number);
    const recipeId = await insertRecipe(c, moment.entryId, {
      ...{ code, itemId: item.id, family: null, materialId: operation.materialId },
      ...{ leastMm: null, leastEntered: null, mostMm: null, mostEntered: null },
      ...{ machineId: operation.machineId, cut: input.cut, insteadOf: null },
      ...{ speedAs: ran.n === null ? null : 'n', speedLeast: ran.n, speedMost: ran.n },
      ...{ feedAs: ran.feed.as, feedLeastMm: ran.feed.mm, feedMostMm: ran.feed.mm },
      ...{ feedLeastEntered: entered, feedMostEntered: entered },
      ...{ apMm: pass?.depthMm ?? null, apEntered: pass?.depthEntered ?? null, aeMm: null, aeEntered: null },
      rampDeg: rampOf(tool.tool.steepest_ramp?.degrees ?? null),
      ...{ coolant: null, words: input.words?.trim() ?? null },
    });
    const sheet = await maybeSetupSheet(c, operation.id);
    const setup = setupOf(line, held(work.machines, operation.machineId), sheet, cards);
    const proved = isProved(await manySignatures(c, [operation.id]), setup);
    // A program alone proves nothing: what nobody ran has no outcome.
    const outcome = proved ? 'proven' : operation.partsMade > 0 ? 'tried' : 'not tried';
    if (outcome !== 'not tried')
      await insertOutcome(c, moment.entryId, {
        ...{ recipeId, outcome, operationId: operation.id, minutes: null, words: null },
        parts: operation.partsMade || null,
      });
    const plan = (await manyToolPlans(c, [operation.id])).find((p) => p.t === number);
    await insertToolPlan(c, moment.entryId, {
      ...{ operationId: operation.id, t: number, gone: false, recipeId },
      ...{ does: plan?.does ?? null, itemId: plan?.itemId ?? null, sheetCode: plan?.sheetCode ?? null },
      must: plan?.must ? JSON.stringify(plan.must) : null,
      ...{ leavesSideMm: plan?.leavesSideMm ?? null, leavesFloorMm: plan?.leavesFloorMm ?? null },
    });
    moment.leansOn(operation.entryId);
    moment.leansOn(line.program.entryId);
    moment.leansOn(item.entryId);
    return { code, outcome, job: operation.job, t: number };
  },
  says: (a) => `recipe ${a.code}, ${a.outcome}: what T${a.t} of ${a.job} runs with`,
});

/** A slope it goes down; what goes straight down is no ramp. */
const rampOf = (degrees: number | null): number | null =>
  degrees === null || degrees >= 90 || degrees < 0.01 ? null : Number(degrees.toFixed(2));
