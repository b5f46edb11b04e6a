import { defineVerb, field, found, foundInUse, Problem, toNumber } from '@/crib/door';
import { insertOperation, manyOperationsOfJob } from '@/data/jobs';
import { maybeMachine } from '@/data/shop';
import { operationFigures, writeOperationFigures } from '../operationFigures';

/** How many operations a job may have: more than any part is clamped. */
const MOST = 50;

export const addOperation = defineVerb({
  name: 'addOperation',
  may: ['crib', 'planner'],
  path: 'operations',
  summary: 'Add an operation to a job: the next clamping of its part, on its machine.',
  properties: {
    job: field.code,
    number: field.whole(1, 9990),
    machine: field.code,
    ...operationFigures,
  },
  required: ['job', 'number', 'machine'],
  async run(c, input, moment) {
    const operations = await manyOperationsOfJob(c, input.job);
    const job = found(operations[0] ?? null, 'job', input.job, 'job');
    const number = toNumber(input.number);
    const taken = operations.find((o) => o.number === number);
    if (taken || operations.length >= MOST)
      throw new Problem(
        'CONFLICT',
        taken
          ? `${job.job} has an operation ${number} already, on ${taken.machine}`
          : `${job.job} has ${operations.length} operations: no more are taken`,
        {
          field: 'number',
          value: number,
          limit: taken ? `not ${operations.map((o) => o.number).join(', ')}` : `at most ${MOST}`,
          wayOut: taken ? 'Choose another number: they go up in the order it is made.' : 'Make it two jobs.',
        },
      );
    const machine = foundInUse(await maybeMachine(c, input.machine), 'machine', input.machine, 'machine');
    moment.leansOn(job.entryId);
    moment.leansOn(machine.entryId);
    const operation = await insertOperation(c, moment.entryId, {
      jobId: job.jobId,
      number,
      machineId: machine.id,
    });
    await writeOperationFigures(c, moment.entryId, operation, input);
    return { job: job.job, number, operation };
  },
  says: (a) => `operation ${a.number} of ${a.job}`,
});
