import { defineVerb, field, notPast, toNumber } from '@/crib/door';
import { insertPromise } from '@/data/buying';
import { first } from '@/core/sure';
import { openLines } from '../openLine';

export const restatePromise = defineVerb({
  name: 'restatePromise',
  may: ['crib', 'planner'],
  path: 'promises',
  summary:
    'Record the day a supplier promises an open order for now, or one line of it; the first promise is kept beside it.',
  properties: { number: field.words(20), line: field.whole(1, 100), promised: field.day },
  required: ['number', 'promised'],
  async run(c, input, moment) {
    const lines = await openLines(
      c,
      input.number,
      input.line === undefined ? undefined : toNumber(input.line),
    );
    notPast('promised', input.promised, moment.today, 'Enter the day the supplier promises now.');
    for (const l of lines) {
      moment.leansOn(l.entryId);
      await insertPromise(c, moment.entryId, { purchaseId: l.id, promised: input.promised });
    }
    return { number: first(lines).number, promised: input.promised };
  },
  says: (a) => `${a.number} is promised for ${a.promised} now`,
});
