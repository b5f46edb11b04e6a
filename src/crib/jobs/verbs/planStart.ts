import { defineVerb, field, found } from '@/crib/door';
import { insertOperationStart, maybeOperation } from '@/data/jobs';

export const planStart = defineVerb({
  name: 'planStart',
  may: ['crib', 'planner'],
  path: 'starts',
  summary:
    'State the day an operation is to start, or that it is not stated any more (left out): buying counts back from it.',
  properties: { operation: field.number, starts: field.day },
  required: ['operation'],
  async run(c, input, moment) {
    const operation = found(
      await maybeOperation(c, input.operation),
      'operation',
      input.operation,
      'operation',
    );
    moment.leansOn(operation.entryId);
    await insertOperationStart(c, moment.entryId, {
      operationId: operation.id,
      starts: input.starts ?? null,
    });
    return { job: operation.job, starts: input.starts ?? null };
  },
  says: (a) => (a.starts ? `${a.job} starts ${a.starts}` : `${a.job}: start not stated any more`),
});
