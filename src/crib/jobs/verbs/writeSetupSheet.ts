import { BLANK_SHEET, changeWords, SHEET_FIELDS, sheetChanges } from '@/core/jobs';
import { ALONG } from '@/core/measuring';
import { WORK_OFFSETS } from '@/core/registers';
import { defineVerb, field, found, maybeLength, Problem } from '@/crib/door';
import {
  insertSetupSheet,
  maybeOperation,
  maybeSetupSheet,
  maybeSetupSheetOf,
  type SetupSheetRow,
} from '@/data/jobs';
import type { Connection } from '@/data/database';
import { textsOf } from '../setup/sheetFields';

const size = (description: string) => field.length(0.01, 10_000, description);
const zero = (description: string) => field.length(-10_000, 10_000, description);

export const writeSetupSheet = defineVerb({
  name: 'writeSetupSheet',
  may: ['crib', 'planner'],
  path: 'setup-sheets',
  summary:
    'State how an operation is set up, whole: what is left out is blank. `over` is the entry of the sheet it was written over; where another is in force by now, nothing is written, and the answer says what changed.',
  properties: {
    operation: field.number,
    over: field.number,
    drawing: field.words(40),
    revision: field.words(12),
    programNumber: field.words(24),
    fixture: field.words(80),
    against: field.choice(ALONG),
    workOffset: field.choice(WORK_OFFSETS),
    stockX: size('Stock along X.'),
    stockY: size('Stock along Y.'),
    stockZ: size('Stock along Z.'),
    parallels: field.length(0, 1_000, 'What height is under the stock; 0: it lies on the bed.'),
    zeroX: zero('Program zero from the stock’s left.'),
    zeroY: zero('Program zero from the stock’s side at the operator.'),
    zeroZ: zero('Program zero above the stock’s bottom.'),
    notes: field.words(2000),
  },
  required: ['operation'],
  async run(c, input, moment) {
    const operation = found(
      await maybeOperation(c, input.operation),
      'operation',
      input.operation,
      'operation',
    );
    const now = await maybeSetupSheet(c, operation.id);
    if ((now?.entryId ?? null) !== (input.over ?? null))
      throw await otherNow(c, operation.id, input.over ?? null, now);
    moment.leansOn(operation.entryId);
    const words = (text: string | undefined) => text?.trim() ?? null;
    const [stockX, stockY, stockZ] = [input.stockX, input.stockY, input.stockZ].map(maybeLength);
    const [zeroX, zeroY, zeroZ] = [input.zeroX, input.zeroY, input.zeroZ].map(maybeLength);
    const parallels = maybeLength(input.parallels);
    await insertSetupSheet(c, moment.entryId, {
      operationId: operation.id,
      drawing: words(input.drawing),
      revision: words(input.revision),
      programNumber: words(input.programNumber),
      fixture: words(input.fixture),
      against: input.against ?? null,
      workOffset: input.workOffset ?? null,
      stockXMm: stockX?.mm ?? null,
      stockXEntered: stockX?.entered ?? null,
      stockYMm: stockY?.mm ?? null,
      stockYEntered: stockY?.entered ?? null,
      stockZMm: stockZ?.mm ?? null,
      stockZEntered: stockZ?.entered ?? null,
      parallelsMm: parallels?.mm ?? null,
      parallelsEntered: parallels?.entered ?? null,
      zeroXMm: zeroX?.mm ?? null,
      zeroXEntered: zeroX?.entered ?? null,
      zeroYMm: zeroY?.mm ?? null,
      zeroYEntered: zeroY?.entered ?? null,
      zeroZMm: zeroZ?.mm ?? null,
      zeroZEntered: zeroZ?.entered ?? null,
      notes: words(input.notes),
    });
    return { job: operation.job, number: operation.number, sheet: moment.entryId };
  },
  says: (a) => `setup sheet of ${a.job}, operation ${a.number}`,
});

/** Somebody else wrote it meanwhile: what is other now than in the version it was written over. */
async function otherNow(
  c: Connection,
  operationId: number,
  over: number | null,
  now: SetupSheetRow | null,
): Promise<Problem> {
  const base = over === null ? null : await maybeSetupSheetOf(c, operationId, over);
  const changes = sheetChanges(base ? textsOf(base) : BLANK_SHEET, now ? textsOf(now) : BLANK_SHEET);
  return new Problem(
    'CONFLICT',
    now
      ? `${now.who} has written this sheet since you opened it: ${changes.map(changeWords).join('; ') || 'with the same words'}`
      : 'This sheet was taken back since you opened it',
    {
      parts: changes.map((change) => ({
        field: change.field,
        value: change.is,
        limit: null,
        detail: `${SHEET_FIELDS[change.field]} is ${change.is ?? 'blank'} now`,
      })),
      wayOut:
        'Nothing was written, and what you typed is still here. Take what they wrote, and write it again.',
    },
  );
}
