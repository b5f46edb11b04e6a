import { defineVerb, field, found, foundInUse, toNumber } from '@/crib/door';
import { maybeItem } from '@/data/catalogue';
import { maybeSupplier } from '@/data/shop';
import { insertMovement } from '@/data/stock';
import { placeInCrib } from '../placeInCrib';
import { parcelFields, parcelOf } from '../things';

export const receiveStock = defineVerb({
  name: 'receiveStock',
  may: ['crib'],
  path: 'stock/received',
  summary:
    'Receive stock onto a place, without an order; a lot, a supplier’s own stock or inserts with edges used are kept apart.',
  properties: { item: field.words(40), place: field.code, quantity: field.whole(1, 10_000), ...parcelFields },
  required: ['item', 'place', 'quantity'],
  async run(c, input, moment) {
    const item = found(await maybeItem(c, input.item), 'item', input.item, 'item');
    const place = await placeInCrib(c, moment, 'place', input.place);
    moment.leansOn(item.entryId);
    if (input.supplier !== undefined)
      foundInUse(await maybeSupplier(c, input.supplier), 'supplier', input.supplier, 'supplier');
    const quantity = toNumber(input.quantity);
    await insertMovement(c, {
      entryId: moment.entryId,
      itemId: item.id,
      lotId: await parcelOf(c, moment, item, input),
      from: null,
      to: place.id,
      quantity,
    });
    return { item: item.code, place: place.code, quantity };
  },
  says: (a) => `${a.quantity} × ${a.item} received onto ${a.place}`,
});
