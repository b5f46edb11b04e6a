import { defineVerb, field, found, Problem, toNumber } from '@/crib/door';
import { maybeItem } from '@/data/catalogue';
import { insertMovement, maybeBalance, maybePiece, onePlaceOfKind } from '@/data/stock';
import { placeInCrib } from '../placeInCrib';
import { parcelFields, parcelOf } from '../things';

export const foundStock = defineVerb({
  name: 'foundStock',
  may: ['crib'],
  path: 'stock/found',
  summary:
    'Book what somebody holds although the count denies it. What was said to be lost is no longer lost.',
  properties: {
    piece: field.words(20),
    item: field.words(40),
    place: field.code,
    quantity: field.whole(1, 10_000),
    ...parcelFields,
  },
  required: ['place'],
  async run(c, input, moment) {
    const place = await placeInCrib(c, moment, 'place', input.place);
    const lost = await onePlaceOfKind(c, 'lost');
    if (input.piece !== undefined) {
      const piece = found(await maybePiece(c, input.piece.toUpperCase()), 'piece', input.piece, 'piece');
      if (piece.placeKind === 'build')
        throw new Problem('REFUSED', `${piece.mark} is in an assembly by the books`, {
          field: 'piece',
          value: piece.mark,
          wayOut: 'Take the assembly down: that says where the cutter goes.',
        });
      moment.leansOn(piece.entryId);
      if (piece.placeId === place.id)
        throw new Problem('REFUSED', `${piece.mark} is at ${place.code} by the books too`, {
          field: 'place',
          value: place.code,
        });
      await insertMovement(c, {
        entryId: moment.entryId,
        itemId: piece.itemId,
        pieceId: piece.id,
        lotId: piece.lotId,
        from: piece.placeId,
        to: place.id,
        quantity: 1,
      });
      return {
        item: piece.mark,
        place: place.code,
        quantity: 1,
        ofLost: piece.placeKind === 'lost' ? 1 : 0,
      };
    }
    for (const name of ['item', 'quantity'] as const)
      if (input[name] === undefined)
        throw new Problem('INVALID_INPUT', `${name} is needed, or the mark of a piece`, {
          field: name,
          limit: 'needed',
        });
    // Both are there where no mark is: refused above.
    const item = found(await maybeItem(c, input.item!), 'item', input.item, 'item');
    moment.leansOn(item.entryId);
    const lotId = await parcelOf(c, moment, item, input);
    // There, as above.
    const quantity = toNumber(input.quantity!);
    const missing = await maybeBalance(c, item.id, lost.id, lotId);
    // What was lost comes back first; only what nobody missed is new to the books.
    const ofLost = Math.min(quantity, (missing?.quantity ?? 0) - (missing?.pieces ?? 0));
    const from = (place_: number | null, n: number) =>
      insertMovement(c, {
        entryId: moment.entryId,
        itemId: item.id,
        lotId,
        from: place_,
        to: place.id,
        quantity: n,
      });
    if (ofLost > 0) await from(lost.id, ofLost);
    if (quantity > ofLost) await from(null, quantity - ofLost);
    return { item: item.code, place: place.code, quantity, ofLost };
  },
  says: (a) => `${a.quantity} × ${a.item} found at ${a.place}`,
});
