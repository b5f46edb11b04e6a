import { freeFor } from '@/core/stock';
import { loadItem } from '@/crib/catalogue';
import { defineVerb, field, found, Problem, toNumber } from '@/crib/door';
import { maybeItem } from '@/data/catalogue';
import { maybeJob } from '@/data/jobs';
import { insertReservation, manyReservations } from '@/data/stock';

export const reserveStock = defineVerb({
  name: 'reserveStock',
  may: ['crib', 'planner'],
  path: 'reservations',
  summary:
    'Set so many unused of an item aside for a job, until they are built for it or the job is done; 0 sets them free. The latest word of a job counts.',
  properties: { item: field.words(40), job: field.code, quantity: field.whole(0, 100_000) },
  required: ['item', 'job', 'quantity'],
  async run(c, input, moment) {
    const item = found(await maybeItem(c, input.item), 'item', input.item, 'item');
    const job = found(await maybeJob(c, input.job), 'job', input.job, 'job');
    const quantity = toNumber(input.quantity);
    const { unused } = await loadItem(c, item.id);
    const { free, words } = freeFor(unused, await manyReservations(c, [item.id]), [input.job]);
    if (quantity > free)
      throw new Problem('REFUSED', `${free} of ${item.code} can be set aside${words ? `; ${words}` : ''}`, {
        field: 'quantity',
        value: quantity,
        limit: `at most ${free}`,
        wayOut: 'Set aside what is there; buying sees to the rest.',
      });
    moment.leansOn(item.entryId);
    moment.leansOn(job.entryId);
    await insertReservation(c, moment.entryId, { itemId: item.id, jobId: job.id, quantity });
    return { item: item.code, job: input.job, quantity };
  },
  says: (a) =>
    a.quantity > 0 ? `${a.quantity} × ${a.item} set aside for ${a.job}` : `${a.item} is free of ${a.job}`,
});
