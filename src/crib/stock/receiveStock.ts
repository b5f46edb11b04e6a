import { defineVerb, field, found, toNumber } from '@/crib/door';
import { insertMovement, maybeItem } from '@/data/stock';
import { placeInCrib } from './placeInCrib';

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
      const place = await placeInCrib(c, moment, 'place', input.place);
      await moment.leansOn(item.entry_id);
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
