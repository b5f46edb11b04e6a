import { defineVerb, field, found, maybeNumber, Problem, toNumber } from '@/crib/door';
import { insertUseCorrected, maybeUse } from '@/data/life';

/** The latest word on one T of one log counts, from then back to when it was logged: wear read in between moves with it. */
export const correctUse = defineVerb({
  name: 'correctUse',
  may: ['crib', 'planner', 'operator'],
  path: 'use-corrections',
  summary:
    'Correct what one log of parts came to on one T: the minutes in the cut, holes and metres its edge cut in truth. What is left out stays as it was booked.',
  properties: {
    use: field.number,
    minutes: field.decimal(0, 1_000_000, 'Minutes in the cut, in truth.'),
    holes: field.whole(0, 10_000_000),
    metres: field.decimal(0, 10_000_000, 'The way it fed, in truth.'),
  },
  required: ['use', 'minutes'],
  async run(c, input, moment) {
    const use = found(await maybeUse(c, input.use), 'use', input.use, 'log of a T');
    if (use.edgeSetId === null)
      throw new Problem('REFUSED', `Whose T${use.t} of ${use.job} it was is not said yet`, {
        field: 'use',
        value: use.id,
        limit: 'a log that belongs to an edge',
        wayOut: 'Say on Today which assembly ran it; then correct it.',
      });
    const minutes = toNumber(input.minutes);
    const holes = maybeNumber(input.holes) ?? use.holes;
    const metres = maybeNumber(input.metres);
    for (const entry of [use.entryId, use.assignedBy, use.correctedBy]) moment.leansOn(entry);
    await insertUseCorrected(c, moment.entryId, {
      ...{ useId: use.id, minutes, holes },
      cutMm: metres === null ? use.cutMm : metres * 1000,
    });
    return { use: use.id, mark: use.mark, t: use.t, job: use.job, minutes, holes };
  },
  says: (a) => `${a.mark} on T${a.t} of ${a.job}: ${a.minutes} min in truth`,
});
