import { defineVerb, field, found, foundInUse, toNumber } from '@/crib/door';
import { copyOperation, insertJob, insertOperation, manyOperationsOfJob, manyPrograms } from '@/data/jobs';
import { maybeMachine, maybeMaterial } from '@/data/shop';

/** A job made again: nothing of it is typed twice. What was signed is signed anew, since kit and machine may be others now. */
export const copyJob = defineVerb({
  name: 'copyJob',
  may: ['crib', 'planner'],
  path: 'job-copies',
  summary:
    'Add a job as an earlier one was: its operations with machine, setup sheet, program, depths of a pass, and the assemblies that still stand. Nothing of it is signed.',
  properties: {
    from: field.code,
    number: field.code,
    quantity: field.whole(1, 1_000_000),
    due: field.day,
    revision: field.words(12),
    customer: field.words(80),
  },
  required: ['from', 'number', 'quantity', 'due'],
  async run(c, input, moment) {
    const operations = await manyOperationsOfJob(c, input.from);
    const before = found(operations[0] ?? null, 'from', input.from, 'job');
    const material = foundInUse(await maybeMaterial(c, before.material), 'from', before.material, 'material');
    moment.leansOn(material.entryId);
    const jobId = await insertJob(c, moment.entryId, {
      number: input.number,
      part: before.part,
      revision: input.revision?.trim() ?? before.revision,
      customer: input.customer?.trim() ?? null,
      materialId: material.id,
      quantity: toNumber(input.quantity),
      due: input.due,
    });
    const copied: { number: number; operation: number }[] = [];
    for (const o of operations) {
      const machine = foundInUse(await maybeMachine(c, o.machine), 'from', o.machine, 'machine');
      moment.leansOn(machine.entryId);
      const operation = await insertOperation(c, moment.entryId, {
        jobId,
        number: o.number,
        machineId: machine.id,
      });
      const [program] = await manyPrograms(c, [o.id]);
      moment.leansOn(program?.entryId ?? null);
      await copyOperation(c, moment.entryId, o.id, operation);
      copied.push({ number: o.number, operation });
    }
    return { number: input.number, from: before.job, operations: copied };
  },
  says: (a) => `job ${a.number}, as ${a.from} was`,
});
