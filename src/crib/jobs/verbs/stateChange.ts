import { CHANGE_BASES } from '@/core/jobs';
import { namesOf } from '@/core/names';
import { defineVerb, field, found, maybeLength, maybeNumber, Problem, toNumber } from '@/crib/door';
import { insertChangeRule, maybeOperation } from '@/data/jobs';
import { t } from '../toolNumber';

/** When the cutter of a T is changed: after so many parts, whoever said why; or when a sign shows (parts left out). */
export const stateChange = defineVerb({
  name: 'stateChange',
  may: ['crib', 'planner'],
  path: 'change-rules',
  summary:
    'Say when the cutter of a T is changed: after so many parts, and by what that was chosen; or when a sign shows (parts left out). And at which wear of its flank or a corner it counts as worn there, where that is another than usual.',
  properties: {
    operation: field.number,
    t,
    parts: field.whole(1, 1_000_000),
    basis: field.choice(namesOf(CHANGE_BASES)),
    flank: field.length(0.005, 2, 'Flank wear at which it counts as worn on this T.'),
    corner: field.length(0.005, 2, 'Wear of a corner, or at one spot, at which it counts as worn on this T.'),
  },
  required: ['operation', 't'],
  async run(c, input, moment) {
    const operation = found(
      await maybeOperation(c, input.operation),
      'operation',
      input.operation,
      'operation',
    );
    const parts = maybeNumber(input.parts);
    if (parts === null && input.basis !== undefined)
      throw new Problem('INVALID_INPUT', 'parts: by what it was chosen is said of a number of parts', {
        field: 'parts',
        value: null,
        limit: 'a number of parts, or no basis',
        wayOut: 'Say after how many parts; or leave both out: it runs until a sign shows.',
      });
    const [flank, corner] = [maybeLength(input.flank), maybeLength(input.corner)];
    moment.leansOn(operation.entryId);
    await insertChangeRule(c, moment.entryId, {
      ...{ operationId: operation.id, t: toNumber(input.t), parts },
      basis: input.basis ?? null,
      ...{ flankMm: flank?.mm ?? null, flankEntered: flank?.entered ?? null },
      ...{ cornerMm: corner?.mm ?? null, cornerEntered: corner?.entered ?? null },
    });
    return {
      ...{ job: operation.job, t: toNumber(input.t), parts },
      ...{ flank: flank?.entered ?? null, corner: corner?.entered ?? null },
    };
  },
  says: (a) =>
    [
      `T${a.t} of ${a.job} ${a.parts === null ? 'runs until a sign shows' : `is changed after ${a.parts} parts`}`,
      ...(a.flank ? [`worn there at ${a.flank} of its flank`] : []),
      ...(a.corner ? [`at ${a.corner} of a corner`] : []),
    ].join(', '),
});
