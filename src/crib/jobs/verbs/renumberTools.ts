import { type Renumbered, wrongNumbers } from '@/core/programs';
import { mustBeClear } from '@/crib/breakage';
import { defineVerb, field, found, type Moment, Problem, toNumber } from '@/crib/door';
import { readByMachine } from '@/crib/assemblies';
import type { Connection } from '@/data/database';
import {
  insertPassDepth,
  insertProgram,
  insertChangeRule,
  insertTie,
  insertToolPlan,
  manyPassDepths,
  manyPrograms,
  manyChangeRules,
  manyTies,
  manyToolPlans,
  maybeOperation,
  maybeProgramText,
  type OperationRow,
  type ProgramRow,
} from '@/data/jobs';
import { maybeMachine } from '@/data/shop';
import { LIMITS } from '@/core/limits';
import { renumberText } from '../tasks';
import { t } from '../toolNumber';

export const renumberTools = defineVerb({
  name: 'renumberTools',
  may: ['crib', 'planner'],
  path: 'renumberings',
  summary:
    'Give the tools of an operation other numbers: T, H and D move together in a new text of its program, and what is tied, planned and stated of each T moves with it. The program that was stored stays as it was.',
  properties: {
    operation: field.number,
    program: { ...field.number, description: 'Entry of the program that was looked at.' },
    numbers: {
      type: 'array',
      minItems: 1,
      maxItems: LIMITS.programTools.most,
      items: {
        type: 'object',
        properties: { t, to: t },
        required: ['t', 'to'],
        additionalProperties: false,
      },
    },
  },
  required: ['operation', 'program', 'numbers'],
  async prepare(input, c, beside) {
    const operation = await maybeOperation(c, input.operation);
    const stored = await maybeProgramText(c, input.program);
    if (!operation || !stored) return null;
    return beside(renumberText, {
      text: stored.text,
      numbers: numbersOf(input.numbers),
      options: readByMachine(await maybeMachine(c, operation.machine)),
    });
  },
  async run(c, input, moment, made) {
    const operation = found(
      await maybeOperation(c, input.operation),
      'operation',
      input.operation,
      'operation',
    );
    const [program] = await manyPrograms(c, [operation.id]);
    if (!program || program.entryId !== input.program || !made)
      throw new Problem('CONFLICT', 'Its program is another one by now', {
        field: 'program',
        value: input.program,
        limit: program ? `entry ${program.entryId} is in force` : 'none is in force',
        wayOut: 'Look at the program that is in force, and number its tools.',
      });
    const numbers = numbersOf(input.numbers).filter((n) => n.t !== n.to);
    const wrong = wrongNumbers(
      numbers,
      program.tools.map((x) => x.t),
    );
    if (wrong !== null)
      throw new Problem('INVALID_INPUT', `numbers: ${wrong}`, {
        field: 'numbers',
        value: numbers.length,
        limit: 'each tool one number of its own',
        wayOut: 'Give each tool of the program a number that no other has.',
      });
    if ('line' in made)
      throw new Problem('REFUSED', `Line ${made.line}: ${made.why}`, {
        field: 'program',
        value: input.program,
        limit: 'T, H and D as numbers, in the main program',
        wayOut: 'Number it by hand, and store the program as it is then.',
      });
    // Under another number the T would take the next cutter before anybody looked for the fragments.
    await mustBeClear(c, moment, operation.id, null, 'numbers');
    moment.leansOn(operation.entryId);
    moment.leansOn(program.entryId);
    await moveTools(c, moment, operation, program, numbers);
    await insertProgram(c, moment.entryId, {
      operationId: operation.id,
      name: program.name,
      text: made.text,
      report: made.json,
    });
    return { job: operation.job, tools: numbers.length, lines: made.changed, left: made.left };
  },
  says: (a) => `${a.tools} tools of ${a.job} with other numbers`,
});

const numbersOf = (numbers: readonly { t: string | number; to: string | number }[]): Renumbered[] =>
  numbers.map((n) => ({ t: toNumber(n.t), to: toNumber(n.to) }));

/** What is tied to a T, planned on it and stated of it, under its new number; a number that nobody has any more has none of them. */
async function moveTools(
  c: Connection,
  moment: Moment,
  operation: OperationRow,
  program: ProgramRow,
  numbers: readonly Renumbered[],
): Promise<void> {
  const from = new Map(numbers.map((n) => [n.to, n.t]));
  const touched = [...new Set(numbers.flatMap((n) => [n.t, n.to]))];
  const old = (of: number) => from.get(of) ?? (numbers.some((n) => n.t === of) ? null : of);
  const calls = (of: number) => program.tools.some((x) => x.t === of);
  const ties = await manyTies(c, [operation.id]);
  const passes = await manyPassDepths(c, [operation.id]);
  const plans = await manyToolPlans(c, [operation.id]);
  const changes = await manyChangeRules(c, [operation.id]);
  for (const number of touched) {
    const was = old(number);
    // A number the program did not call has what was tied to it for another program: it goes to nobody.
    const tie = was === null || !calls(was) ? undefined : ties.find((x) => x.t === was);
    const pass = passes.find((x) => x.t === was);
    const plan = plans.find((x) => x.t === was);
    const change = changes.find((x) => x.t === was);
    if (change || changes.some((x) => x.t === number))
      await insertChangeRule(c, moment.entryId, {
        ...{ operationId: operation.id, t: number },
        ...{ parts: change?.parts ?? null, basis: change?.basis ?? null },
        ...{ amount: change?.amount ?? null, counts: change?.counts ?? null },
        ...{ flankMm: change?.flankMm ?? null, flankEntered: change?.flankEntered ?? null },
        ...{ cornerMm: change?.cornerMm ?? null, cornerEntered: change?.cornerEntered ?? null },
      });
    if (tie || ties.some((x) => x.t === number))
      await insertTie(c, moment.entryId, {
        ...{ operationId: operation.id, t: number, assemblyId: tie?.assemblyId ?? null },
      });
    if (pass || passes.some((x) => x.t === number))
      await insertPassDepth(c, moment.entryId, {
        ...{ operationId: operation.id, t: number },
        ...{ depthMm: pass?.depthMm ?? null, depthEntered: pass?.depthEntered ?? null },
      });
    if (plan || plans.some((x) => x.t === number))
      await insertToolPlan(c, moment.entryId, {
        ...{ operationId: operation.id, t: number, gone: !plan },
        ...{ does: plan?.does ?? null, itemId: plan?.itemId ?? null, sheetCode: plan?.sheetCode ?? null },
        must: plan?.must ? JSON.stringify(plan.must) : null,
        ...{ leavesSideMm: plan?.leavesSideMm ?? null, leavesFloorMm: plan?.leavesFloorMm ?? null },
        recipeId: plan?.recipeId ?? null,
      });
  }
}
