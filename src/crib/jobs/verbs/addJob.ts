import { defineVerb, field, foundInUse, toNumber } from '@/crib/door';
import { insertJob, insertOperation } from '@/data/jobs';
import { maybeMachine, maybeMaterial } from '@/data/shop';
import { operationFigures, writeOperationFigures } from '../operationFigures';

export const addJob = defineVerb({
  name: 'addJob',
  may: ['crib', 'planner'],
  path: 'jobs',
  summary:
    'Add a job with its first operation: part, what the customer calls it, material, quantity, due day, machine, highest Z beside the cut.',
  properties: {
    number: field.code,
    part: field.words(),
    revision: field.words(12),
    customer: field.words(80),
    material: field.code,
    quantity: field.whole(1, 1_000_000),
    due: field.day,
    machine: field.code,
    ...operationFigures,
  },
  required: ['number', 'part', 'material', 'quantity', 'due', 'machine'],
  async run(c, input, moment) {
    const material = foundInUse(
      await maybeMaterial(c, input.material),
      'material',
      input.material,
      'material',
    );
    const machine = foundInUse(await maybeMachine(c, input.machine), 'machine', input.machine, 'machine');
    moment.leansOn(material.entryId);
    moment.leansOn(machine.entryId);
    const jobId = await insertJob(c, moment.entryId, {
      number: input.number,
      part: input.part.trim(),
      revision: input.revision?.trim() ?? '',
      customer: input.customer?.trim() ?? null,
      materialId: material.id,
      quantity: toNumber(input.quantity),
      due: input.due,
    });
    const operation = await insertOperation(c, moment.entryId, {
      jobId: jobId,
      number: 10,
      machineId: machine.id,
    });
    await writeOperationFigures(c, moment.entryId, operation, input);
    return { number: input.number, operation };
  },
  says: (a) => `job ${a.number}`,
});
