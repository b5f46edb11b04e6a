import { defineVerb, field, found, maybeLength } from '@/crib/door';
import { insert } from '@/data/database';
import { maybeOperation } from '@/data/jobs';

export const stateOperation = defineVerb({
  name: 'stateOperation',
  path: 'operation-figures',
  summary: 'State the highest Z beside the cut and part zero of an operation anew. Left out means not known.',
  properties: {
    operation: { type: 'integer' },
    highestBeside: field.length(-2000, 2000),
    partZero: field.length(-1000, 3000),
  },
  required: ['operation'],
  async run(c, input, moment) {
    const operation = found(
      await maybeOperation(c, input.operation),
      'operation',
      input.operation,
      'operation',
    );
    await moment.leansOn(operation.entry_id);
    const beside = maybeLength(input.highestBeside);
    const zero = maybeLength(input.partZero);
    await insert(c, 'operation_figures', {
      entry_id: moment.entryId,
      operation_id: operation.id,
      highest_beside_mm: beside?.mm ?? null,
      highest_beside_entered: beside?.entered ?? null,
      part_zero_mm: zero?.mm ?? null,
      part_zero_entered: zero?.entered ?? null,
    });
    return { operation: operation.id };
  },
});
