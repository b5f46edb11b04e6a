import { defineVerb, field, found, notPast, Problem } from '@/crib/door';
import { insertPromise, maybePurchase } from '@/data/buying';

export const restatePromise = defineVerb({
  name: 'restatePromise',
  path: 'promises',
  summary: 'Record the day a supplier promises an open order for now; the first promise is kept beside it.',
  properties: { number: field.words(20), promised: field.day },
  required: ['number', 'promised'],
  async run(c, input, moment) {
    const order = found(await maybePurchase(c, input.number.toUpperCase()), 'number', input.number, 'order');
    if (order.received >= order.quantity)
      throw new Problem('CONFLICT', `${order.number} has come whole`, {
        field: 'number',
        value: order.number,
        limit: 'an order of which something is to come',
        wayOut: 'Look at what was received.',
      });
    notPast('promised', input.promised, moment.today, 'Enter the day the supplier promises now.');
    moment.leansOn(order.entryId);
    await insertPromise(c, moment.entryId, { purchaseId: order.entryId, promised: input.promised });
    return { number: order.number, promised: input.promised };
  },
  says: (a) => `${a.number} is promised for ${a.promised} now`,
});
