import { CYCLE_ASKED, reckonedMinutes } from '@/core/jobs';
import { defineVerb, field, found, Problem, toNumber } from '@/crib/door';
import { readOtherwiseOn } from '@/crib/assemblies';
import { onItsMachine } from '@/crib/work';
import { insertCycleRun, manyPrograms, maybeOperation } from '@/data/jobs';
import { maybeMachine } from '@/data/shop';
import { cycleOf } from '../cycleOf';

export const recordCycle = defineVerb({
  name: 'recordCycle',
  may: ['crib', 'planner', 'operator'],
  path: 'cycle-runs',
  summary:
    'Record how long one part took at its machine, minutes from start to start: what is reckoned for its machine is corrected by it.',
  properties: {
    operation: field.number,
    minutes: field.decimal(0.01, 100_000, 'Minutes of one part.'),
    confirmed: { type: 'boolean', description: 'It was asked about, and is right.' },
  },
  required: ['operation', 'minutes'],
  async run(c, input, moment) {
    const operation = found(
      await maybeOperation(c, input.operation),
      'operation',
      input.operation,
      'operation',
    );
    onItsMachine(operation, moment.happenedAt);
    const machine = found(await maybeMachine(c, operation.machine), 'machine', operation.machine, 'machine');
    const [program] = await manyPrograms(c, [operation.id]);
    if (program && readOtherwiseOn(program, machine).motion)
      throw new Problem('REFUSED', `${program.name} was read before ${machine.code} moved as it does now`, {
        field: 'operation',
        value: operation.id,
        wayOut: 'Read its program again: what a part takes is then reckoned as the machine runs it.',
      });
    const reckoned = reckonedMinutes(cycleOf(program, machine));
    if (!program || reckoned === null || reckoned <= 0)
      throw new Problem('REFUSED', `Nothing is reckoned for ${operation.job} yet`, {
        field: 'operation',
        value: operation.id,
        wayOut: 'Store its program first: it says how long the cut takes.',
      });
    const minutes = toNumber(input.minutes);
    const ratio = minutes / reckoned;
    if (!input.confirmed && (ratio < CYCLE_ASKED.least || ratio > CYCLE_ASKED.most))
      throw new Problem(
        'REFUSED',
        `${minutes} min is ${ratio.toFixed(2)} times the ${reckoned.toFixed(2)} min that are reckoned for one part`,
        {
          field: 'confirmed',
          value: minutes,
          limit: `${CYCLE_ASKED.least} to ${CYCLE_ASKED.most} times what is reckoned, or confirmed`,
          wayOut: 'Time one part, from start to start. If it is right all the same, say so.',
        },
      );
    moment.leansOn(operation.entryId);
    moment.leansOn(program.entryId);
    await insertCycleRun(c, moment.entryId, {
      ...{ operationId: operation.id, machineId: operation.machineId, programId: program.entryId },
      ...{ minutes, reckoned },
    });
    return { job: operation.job, machine: operation.machine, minutes, reckoned };
  },
  says: (a) => `a part of ${a.job} took ${a.minutes} min`,
});
