import { SIGN_STEPS, type SignStep } from '@/core/jobs';
import { namesOf } from '@/core/names';
import { held } from '@/core/sure';
import { defineVerb, field, found, Problem } from '@/crib/door';
import { standingOn } from '@/crib/rack';
import { workAround } from '@/crib/work';
import { insertSignature, manySignatures, maybeOperation, maybeSetupSheet } from '@/data/jobs';
import { type JobLine, jobLines } from '../jobLines';
import { setupOf } from '../setup/setupOf';
import { signaturesOf, type Signatures } from '../setup/signed';

/** An entry that was looked at. */
const lookedAt = (of: string) =>
  ({
    ...field.number,
    minimum: 0,
    description: `Entry ${of} that was looked at; 0: there was none.`,
  }) as const;

export const signSetup = defineVerb({
  name: 'signSetup',
  may: ['crib', 'planner', 'operator'],
  path: 'signatures',
  summary:
    'Sign for a step of an operation’s setup: written, entered, proved, optimised, filed. `sheet` and `program` are the entries that were looked at; where others are in force by now, nothing is signed.',
  properties: {
    operation: field.number,
    step: field.choice(namesOf(SIGN_STEPS)),
    by: field.words(80),
    sheet: lookedAt('of the setup sheet'),
    program: lookedAt('of the program'),
  },
  required: ['operation', 'step'],
  async run(c, input, moment) {
    const operation = found(
      await maybeOperation(c, input.operation),
      'operation',
      input.operation,
      'operation',
    );
    const work = await workAround(c, [operation]);
    const cards = await standingOn(c, work);
    const line = held(new Map(jobLines(work, cards).map((j) => [j.operation.id, j])), operation.id);
    const sheet = await maybeSetupSheet(c, operation.id);
    seen('sheet', input.sheet, sheet?.entryId ?? null);
    seen('program', input.program, line.program?.entryId ?? null);
    const setup = setupOf(line, held(work.machines, operation.machineId), sheet, cards);
    const before = await signaturesOf(
      c,
      await manySignatures(c, [operation.id]),
      setup,
      line.tools.map((t) => t.tool),
    );
    refuse(input.step, line, sheet !== null, before);
    moment.leansOn(operation.entryId);
    await insertSignature(c, moment.entryId, {
      operationId: operation.id,
      step: input.step,
      name: input.by?.trim() ?? moment.who,
      standsFor: JSON.stringify(setup),
    });
    return { job: operation.job, number: operation.number, step: input.step };
  },
  says: (a) => `${a.step}: ${a.job}, operation ${a.number}`,
});

/** Nobody signs for what he did not see. */
function seen(what: 'sheet' | 'program', was: number | undefined, is: number | null): void {
  if (was === undefined || was === (is ?? 0)) return;
  throw new Problem('CONFLICT', `The ${what === 'sheet' ? 'setup sheet' : 'program'} is another one by now`, {
    field: what,
    value: was,
    limit: is === null ? 'none is in force' : `entry ${is} is in force`,
    wayOut: 'Look at what changed, then sign.',
  });
}

/** What each step wants to have been signed before it, and to hold. */
const AFTER: Record<SignStep, SignStep | null> = {
  written: null,
  entered: 'written',
  proved: 'entered',
  optimised: 'proved',
  filed: 'proved',
};

function refuse(step: SignStep, line: JobLine, hasSheet: boolean, { signed }: Signatures): void {
  const against = (words: string, wayOut: string) =>
    new Problem('REFUSED', words, { field: 'step', value: step, wayOut });
  if (!hasSheet) throw against('There is no setup sheet yet', 'Write it first: blanks stay blank.');
  const after = AFTER[step];
  const last = after && signed.find((s) => s.step === after);
  if (after && !last) throw against(`Nobody has signed ‘${after}’ yet`, `Sign ‘${after}’ first.`);
  if (after && last && last.doubts.length > 0)
    throw against(
      `‘${after}’ is in doubt: ${last.doubts.map((d) => d.words).join('; ')}`,
      `See to it, and sign ‘${after}’ again.`,
    );
  if (step === 'written') return;
  if (!line.program) throw against('It has no program yet', 'Store its program first.');
  const stop = step === 'entered' ? undefined : line.tools.find((t) => t.use.grade === 'stop');
  if (stop)
    throw against(
      `T${stop.t} must not run: ${stop.use.why ?? 'a stop'}`,
      'See to it first; a stop is never signed away.',
    );
}
