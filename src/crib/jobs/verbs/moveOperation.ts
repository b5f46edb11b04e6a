import { defineVerb, field, found, foundInUse, Problem } from '@/crib/door';
import { insertOperationMoved, insertOperationStart, maybeOperation } from '@/data/jobs';
import { maybeMachine } from '@/data/shop';

export const moveOperation = defineVerb({
  name: 'moveOperation',
  may: ['crib', 'planner'],
  path: 'operation-machines',
  summary:
    'Put what is left of an operation on another machine, and state the day it starts there where that is given too. What was made, timed and corrected stays with the machine it was made on.',
  properties: { operation: field.number, machine: field.code, starts: field.day },
  required: ['operation', 'machine'],
  async run(c, input, moment) {
    const operation = found(
      await maybeOperation(c, input.operation),
      'operation',
      input.operation,
      'operation',
    );
    const machine = foundInUse(await maybeMachine(c, input.machine), 'machine', input.machine, 'machine');
    const against = (words: string, wayOut: string) =>
      new Problem('CONFLICT', words, { field: 'machine', value: machine.code, wayOut });
    if (operation.machineId === machine.id)
      throw against(
        `Operation ${operation.number} of ${operation.job} is on ${machine.code} already`,
        'Look at it again: somebody may have moved it.',
      );
    if (operation.partsMade >= operation.quantity)
      throw against(
        `All ${operation.quantity} parts of ${operation.job}, operation ${operation.number}, are made`,
        'Raise its quantity, or make a new job of it.',
      );
    moment.leansOn(operation.entryId);
    moment.leansOn(machine.entryId);
    await insertOperationMoved(c, moment.entryId, { operationId: operation.id, machineId: machine.id });
    if (input.starts !== undefined)
      await insertOperationStart(c, moment.entryId, { operationId: operation.id, starts: input.starts });
    return { ...{ job: operation.job, number: operation.number }, from: operation.machine, to: machine.code };
  },
  says: (a) => `operation ${a.number} of ${a.job}: from ${a.from} to ${a.to}`,
});
