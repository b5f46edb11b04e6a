import { defineVerb, field, found, Problem, toNumber } from '@/crib/door';
import { insertMovement, maybeItem, maybePlace } from '@/data/stock';

const properties = { item: field.words(40), place: field.code, quantity: field.whole(1, 10_000) } as const;

/** Stock that came without an order, or that lies there although the count denies it. */
const receive = (name: string, path: string, summary: string) =>
  defineVerb({
    name,
    path,
    summary,
    properties,
    required: ['item', 'place', 'quantity'],
    async run(c, input, moment) {
      const item = found(await maybeItem(c, input.item), 'item', input.item, 'item');
      const place = found(await maybePlace(c, input.place.toUpperCase()), 'place', input.place, 'place');
      if (!['shelf', 'drawer', 'cart'].includes(place.kind))
        throw new Problem('REFUSED', `place: ${place.code} does not hold stock`, {
          field: 'place',
          value: place.code,
          limit: 'a shelf, drawer or cart',
          wayOut: 'Choose where it lies.',
        });
      await moment.leansOn(item.entry_id);
      await moment.leansOn(place.entry_id);
      await insertMovement(c, {
        entryId: moment.entryId,
        itemId: item.id,
        from: null,
        to: place.id,
        quantity: toNumber(input.quantity),
      });
      return { item: item.code, place: place.code, quantity: toNumber(input.quantity) };
    },
  });

export const receiveStock = receive(
  'receiveStock',
  'stock/received',
  'Receive stock onto a place, without an order.',
);
export const foundStock = receive(
  'foundStock',
  'stock/found',
  'Book what somebody holds although the count denies it.',
);
