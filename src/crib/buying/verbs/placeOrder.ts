import { defineVerb, field, found, notPast, Problem, toNumber } from '@/crib/door';
import { nextNumber } from '@/data/assemblies';
import { insertPurchase } from '@/data/buying';
import { manySupplies, maybeItem } from '@/data/catalogue';
import { proposalFor } from '../views/buyingView';

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
    if (!supply.supplierInUse)
      throw new Problem('REFUSED', `${supply.supplier}, where ${item.code} was bought, is out of use`, {
        field: 'item',
        value: item.code,
        wayOut: 'State who supplies it now.',
      });
    notPast('promised', input.promised, moment.today, 'Enter the day the supplier promised.');
    const line = await proposalFor(c, moment.today, item.id);
    moment.leansOn(item.entryId);
    moment.leansOn(supply.entryId);
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
