import { CHANGE_BASES } from '@/core/jobs';
import { namesOf } from '@/core/names';
import { defineVerb, field, found, maybeNumber, Problem, toNumber } from '@/crib/door';
import { insertChangeRule, maybeOperation } from '@/data/jobs';
import { t } from '../toolNumber';

/** When the cutter of a T is changed: after so many parts, whoever said why; or when a sign shows (parts left out). */
export const stateChange = defineVerb({
  name: 'stateChange',
  may: ['crib', 'planner'],
  path: 'change-rules',
  summary:
    'Say when the cutter of a T is changed: after so many parts, and by what that was chosen; or when a sign shows (parts left out).',
  properties: {
    operation: field.number,
    t,
    parts: field.whole(1, 1_000_000),
    basis: field.choice(namesOf(CHANGE_BASES)),
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
    moment.leansOn(operation.entryId);
    await insertChangeRule(c, moment.entryId, {
      ...{ operationId: operation.id, t: toNumber(input.t), parts },
      basis: input.basis ?? null,
    });
    return { job: operation.job, t: toNumber(input.t), parts };
  },
  says: (a) =>
    `T${a.t} of ${a.job} ${a.parts === null ? 'runs until a sign shows' : `is changed after ${a.parts} parts`}`,
});
