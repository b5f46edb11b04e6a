import { defineVerb, field, found, foundInUse, Problem, toNumber } from '@/crib/door';
import { insertJobChange, JOB_STATES, manyOperationsOfJob, PRIORITIES } from '@/data/jobs';
import { maybeMachine, maybeMaterial } from '@/data/shop';

export const changeJob = defineVerb({
  name: 'changeJob',
  may: ['crib', 'planner'],
  path: 'job-changes',
  summary:
    'Change what was booked: how many, by when, whether it goes before others, whether it is still wanted. What is left out stays; what was made stays made.',
  properties: {
    number: field.code,
    quantity: field.whole(1, 1_000_000),
    due: field.day,
    state: field.choice(JOB_STATES),
    priority: field.choice(PRIORITIES),
    reason: field.words(120),
  },
  required: ['number'],
  async run(c, input, moment) {
    const operations = await manyOperationsOfJob(c, input.number);
    const now = found(operations[0] ?? null, 'number', input.number, 'job');
    const made = Math.max(...operations.map((o) => o.partsMade));
    const quantity = input.quantity === undefined ? now.quantity : toNumber(input.quantity);
    if (quantity < made && (input.state ?? now.state) === 'open')
      throw new Problem('REFUSED', `${made} of ${now.job} are made already`, {
        field: 'quantity',
        value: quantity,
        limit: `at least ${made}`,
        wayOut: 'Close the job if enough were made.',
      });
    // What was closed while its machine or material went out of use is not simply opened again.
    if (input.state === 'open' && now.state !== 'open') {
      for (const { machine } of operations)
        foundInUse(await maybeMachine(c, machine), 'state', machine, 'machine');
      foundInUse(await maybeMaterial(c, now.material), 'state', now.material, 'material');
    }
    moment.leansOn(now.entryId);
    await insertJobChange(c, moment.entryId, {
      jobId: now.jobId,
      quantity,
      due: input.due ?? now.due,
      state: input.state ?? now.state,
      priority: input.priority ?? now.priority,
      reason: input.reason?.trim() || null,
    });
    return { number: now.job, quantity, due: input.due ?? now.due, state: input.state ?? now.state };
  },
  says: (a) =>
    a.state === 'open' ? `${a.number}: ${a.quantity}, due ${a.due}` : `${a.number} is ${a.state}`,
});
