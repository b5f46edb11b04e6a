import { placeInCrib } from '@/crib/stock';
import { proposalFor } from './buyingView';
import { defineVerb, field, found, Problem, toNumber } from '@/crib/door';
import { nextNumber } from '@/data/assemblies';
import { manySupplies, maybeItem, insertMovement } from '@/data/stock';
import { maybePurchase, insertPurchase, insertReceipt } from '@/data/buying';

export const placeOrder = defineVerb({
  name: 'placeOrder',
  path: 'orders',
  summary: 'Record that an order was placed: quantity and promised day. What caused it is kept with it.',
  properties: { item: field.words(40), quantity: field.whole(1, 100_000), promised: field.day },
  required: ['item', 'quantity', 'promised'],
  async run(c, input, moment) {
    const item = found(await maybeItem(c, input.item), 'item', input.item, 'item');
    const supply = (await manySupplies(c, [item.id]))[0];
    if (!supply)
      throw new Problem('REFUSED', `${item.code} has no supplier yet`, {
        field: 'item',
        value: item.code,
        wayOut: 'State its supplier and order code first.',
      });
    if (input.promised < moment.today)
      throw new Problem('INVALID_INPUT', `promised: ${input.promised} is past`, {
        field: 'promised',
        value: input.promised,
        limit: 'today or later',
        wayOut: 'Enter the day the supplier promised.',
      });
    const line = await proposalFor(c, moment.today, item.id);
    await moment.leansOn(item.entryId);
    await moment.leansOn(supply.entryId);
    const number = await nextNumber(c, 'purchase', 'number', 'O');
    await insertPurchase(c, moment.entryId, {
      number,
      itemId: item.id,
      supplierId: supply.supplierId,
      quantity: toNumber(input.quantity),
      promised: input.promised,
      priceCents: supply.priceCents,
      because: JSON.stringify(
        line?.proposal?.because ?? { words: 'Ordered without a proposal.', values: [] },
      ),
    });
    return { number, item: item.code };
  },
  says: (a) => `${a.number} ordered: ${a.item}`,
});

export const receiveOrder = defineVerb({
  name: 'receiveOrder',
  path: 'receipts',
  summary: 'Receive what came of an order onto a place; the whole quantity closes it, in parts too.',
  properties: { number: field.words(20), quantity: field.whole(1, 100_000), place: field.code },
  required: ['number', 'quantity', 'place'],
  async run(c, input, moment) {
    const order = found(await maybePurchase(c, input.number.toUpperCase()), 'number', input.number, 'order');
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
    await moment.leansOn(order.entryId);
    await insertReceipt(c, moment.entryId, { purchaseId: order.entryId, quantity });
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
