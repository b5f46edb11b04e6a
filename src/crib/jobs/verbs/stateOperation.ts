import { defineVerb, field, found } from '@/crib/door';
import { maybeOperation } from '@/data/jobs';
import { operationFigures, writeOperationFigures } from '../operationFigures';

export const stateOperation = defineVerb({
  name: 'stateOperation',
  may: ['crib', 'planner'],
  path: 'operation-figures',
  summary: 'State the highest Z beside the cut and part zero of an operation anew. Left out means not known.',
  properties: { operation: field.number, ...operationFigures },
  required: ['operation'],
  async run(c, input, moment) {
    const operation = found(
      await maybeOperation(c, input.operation),
      'operation',
      input.operation,
      'operation',
    );
    moment.leansOn(operation.entryId);
    await writeOperationFigures(c, moment.entryId, operation.id, input);
    return { operation: operation.id };
  },
  says: () => 'operation figures',
});
