import { defineVerb, field, found, type Moment, notPast, Problem, toNumber } from '@/crib/door';
import { nextNumber } from '@/data/assemblies';
import { insertPurchase } from '@/data/buying';
import { type ItemRow, manySupplies, maybeItem, type SupplyRow } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { proposalFor } from '../views/buyingView';

/** Lines beside the first that one order takes. */
const MORE_LINES = 29;

/** An order of one thing, or of several from the same supplier. */
export const placeOrder = defineVerb({
  name: 'placeOrder',
  may: ['crib', 'planner'],
  path: 'orders',
  summary:
    'Record that an order was placed: items of one supplier, how many of each, and the promised day. What caused each line is kept with it.',
  properties: {
    item: field.words(40),
    quantity: field.whole(1, 100_000),
    promised: field.day,
    more: {
      type: 'array',
      maxItems: MORE_LINES,
      description: 'Further lines of the same order',
      items: {
        type: 'object',
        properties: { item: field.words(40), quantity: field.whole(1, 100_000) },
        required: ['item', 'quantity'],
        additionalProperties: false,
      },
    },
  },
  required: ['item', 'quantity', 'promised'],
  async run(c, input, moment) {
    notPast('promised', input.promised, moment.today, 'Enter the day the supplier promised.');
    const asked = [{ item: input.item, quantity: input.quantity }, ...(input.more ?? [])];
    const lines = [];
    for (const [i, line] of asked.entries())
      lines.push({
        ...(await supplied(c, moment, i === 0 ? 'item' : `more.${i - 1}.item`, line.item)),
        quantity: toNumber(line.quantity),
      });
    const number = await nextNumber(c, 'purchase', 'number', 'O');
    const supplier = lines[0]?.supply.supplier;
    for (const [i, { item, supply, quantity }] of lines.entries()) {
      if (supply.supplier !== supplier) throw elsewhere(item, supply, `more.${i - 1}.item`, supplier);
      const why = (await proposalFor(c, moment.today, item.id))?.proposal.because;
      await insertPurchase(c, moment.entryId, {
        number,
        line: i + 1,
        itemId: item.id,
        supplierId: supply.supplierId,
        quantity,
        promised: input.promised,
        priceCents: supply.priceCents,
        because: JSON.stringify(why ?? { words: 'Ordered without a proposal.', values: [] }),
      });
    }
    return { number, item: lines.map((l) => l.item.code).join(', ') };
  },
  says: (a) => `${a.number} ordered: ${a.item}`,
});

/** An item with who supplies it, on both of which the order leans. */
async function supplied(
  c: Connection,
  moment: Moment,
  at: string,
  code: string,
): Promise<{ item: ItemRow; supply: SupplyRow }> {
  const item = found(await maybeItem(c, code), at, code, 'item');
  const supply = (await manySupplies(c, [item.id]))[0];
  if (!supply)
    throw new Problem('REFUSED', `${item.code} has no supplier yet`, {
      field: at,
      value: item.code,
      wayOut: 'State its supplier and order code first.',
    });
  if (!supply.supplierInUse)
    throw new Problem('REFUSED', `${supply.supplier}, where ${item.code} was bought, is out of use`, {
      field: at,
      value: item.code,
      wayOut: 'State who supplies it now.',
    });
  moment.leansOn(item.entryId);
  moment.leansOn(supply.entryId);
  return { item, supply };
}

const elsewhere = (item: ItemRow, supply: SupplyRow, at: string, supplier: string | undefined) =>
  new Problem('REFUSED', `${item.code} is bought from ${supply.supplier}, the order goes to ${supplier}`, {
    field: at,
    value: item.code,
    limit: `items of ${supplier}`,
    wayOut: `Order it from ${supply.supplier} by itself.`,
  });
