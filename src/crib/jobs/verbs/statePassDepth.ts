import { defineVerb, field, found, toLength, toNumber } from '@/crib/door';
import { insertPassDepth, maybeOperation } from '@/data/jobs';
import { t } from '../toolNumber';

export const statePassDepth = defineVerb({
  name: 'statePassDepth',
  may: ['crib', 'planner'],
  path: 'pass-depths',
  summary: 'State the depth of one pass of a T, to be checked against the flutes.',
  properties: { operation: field.number, t, depth: field.length(0.001, 500) },
  required: ['operation', 't', 'depth'],
  async run(c, input, moment) {
    const operation = found(
      await maybeOperation(c, input.operation),
      'operation',
      input.operation,
      'operation',
    );
    moment.leansOn(operation.entryId);
    const depth = toLength(input.depth);
    await insertPassDepth(c, moment.entryId, {
      operationId: operation.id,
      t: toNumber(input.t),
      depthMm: depth.mm,
      depthEntered: depth.entered,
    });
    return { operation: operation.id, t: toNumber(input.t) };
  },
  says: (a) => `depth of one pass of T${a.t}`,
});
