import { defineVerb, field, Problem, toNumber } from '@/crib/door';
import { placeInCrib } from '@/crib/stock';
import { insertReceipt } from '@/data/buying';
import { insertMovement } from '@/data/stock';
import { lineThatCame } from '../openLine';

export const receiveOrder = defineVerb({
  name: 'receiveOrder',
  may: ['crib'],
  path: 'receipts',
  summary: 'Receive what came of an order onto a place; the whole quantity closes it, in parts too.',
  properties: {
    number: field.words(20),
    line: { ...field.whole(1, 100), description: 'Which line, where several are open' },
    quantity: field.whole(1, 100_000),
    place: field.code,
  },
  required: ['number', 'quantity', 'place'],
  async run(c, input, moment) {
    const order = await lineThatCame(
      c,
      input.number,
      input.line === undefined ? undefined : toNumber(input.line),
    );
    const place = await placeInCrib(c, moment, 'place', input.place);
    const quantity = toNumber(input.quantity);
    const open = order.quantity - order.received;
    if (quantity > open)
      throw new Problem('CONFLICT', `${quantity} received, but ${open} open on ${order.number}`, {
        field: 'quantity',
        value: quantity,
        limit: `at most ${open}`,
        wayOut: 'Receive what is open; book the rest as received without an order.',
      });
    moment.leansOn(order.entryId);
    await insertReceipt(c, moment.entryId, { purchaseId: order.id, quantity });
    await insertMovement(c, {
      entryId: moment.entryId,
      itemId: order.itemId,
      from: null,
      to: place.id,
      quantity,
    });
    return { number: order.number, item: order.item, open: open - quantity };
  },
  says: (a) => `${a.number} received, ${a.open} open`,
});
