import { defineVerb, field, found, Problem, toNumber } from '@/crib/door';
import { insertPartCheck } from '@/data/breakage';
import { maybeOperation } from '@/data/jobs';

/** Says that a part was checked: the last good one is where suspicion ends when a cutter is found broken later. */
export const checkPart = defineVerb({
  name: 'checkPart',
  may: ['crib', 'planner', 'operator'],
  path: 'part-checks',
  summary:
    'Say that a part of an operation was checked and found good, or not; the last one made, unless its number is said.',
  properties: { operation: field.number, part: field.whole(1, 10_000_000), good: { type: 'boolean' } },
  required: ['operation', 'good'],
  async run(c, input, moment) {
    const operation = found(
      await maybeOperation(c, input.operation),
      'operation',
      input.operation,
      'operation',
    );
    const part = input.part === undefined ? operation.partsMade : toNumber(input.part);
    if (part < 1 || part > operation.partsMade)
      throw new Problem(
        'INVALID_INPUT',
        operation.partsMade === 0
          ? `No part of ${operation.job} is logged yet`
          : `part: ${operation.job} has no part ${part}`,
        {
          field: 'part',
          value: part,
          limit: operation.partsMade === 0 ? 'a part that is logged' : `1 to ${operation.partsMade}`,
          wayOut: 'Log the parts first; they are counted in the order they are logged.',
        },
      );
    moment.leansOn(operation.entryId);
    await insertPartCheck(c, moment.entryId, { operationId: operation.id, part, good: input.good });
    return { operation: operation.id, job: operation.job, part, good: input.good };
  },
  says: (a) => `part ${a.part} of ${a.job} checked, ${a.good ? 'good' : 'not good'}`,
});
