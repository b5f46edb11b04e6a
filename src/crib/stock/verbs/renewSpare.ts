import { loadItem } from '@/crib/catalogue';
import { defineVerb, field, found, Problem } from '@/crib/door';
import { insertMovement, insertSpareRenewed, maybePiece, onePlaceOfKind } from '@/data/stock';
import { mustBeInCrib } from '../placeInCrib';
import { takeThing } from '../things';

export const renewSpare = defineVerb({
  name: 'renewSpare',
  may: ['crib', 'operator'],
  path: 'bodies/spares',
  summary:
    'Renew screws or other small parts of a marked body: so many out of a place, the old ones to scrap.',
  properties: {
    piece: field.words(20),
    item: field.words(40),
    from: field.code,
    quantity: field.whole(1, 200),
  },
  required: ['piece', 'item', 'from', 'quantity'],
  async run(c, input, moment) {
    const piece = found(await maybePiece(c, input.piece.toUpperCase()), 'piece', input.piece, 'piece');
    const body = await loadItem(c, piece.itemId);
    if (body.kind !== 'body')
      throw new Problem('REFUSED', `${piece.mark} is no cutter body: it has no screws of its own`, {
        field: 'piece',
        value: piece.mark,
      });
    moment.leansOn(piece.entryId);
    const { piece: _, ...parcel } = input;
    const thing = await takeThing(c, moment, parcel);
    mustBeInCrib(thing.from, 'from');
    if (thing.item.kind !== 'spare')
      throw new Problem('REFUSED', `${thing.item.code} is no spare`, {
        field: 'item',
        value: thing.item.code,
        wayOut: 'Choose a spare: a screw, a clamp, a shim.',
      });
    const scrap = await onePlaceOfKind(c, 'scrap');
    await insertMovement(c, {
      entryId: moment.entryId,
      itemId: thing.item.id,
      lotId: thing.lotId,
      // One for one: what was in it is scrap, and counts as used.
      from: thing.from.id,
      to: scrap.id,
      quantity: thing.quantity,
    });
    await insertSpareRenewed(c, moment.entryId, {
      pieceId: piece.id,
      itemId: thing.item.id,
      quantity: thing.quantity,
    });
    return { piece: piece.mark, item: thing.item.code, quantity: thing.quantity };
  },
  says: (a) => `${a.quantity} × ${a.item} renewed in ${a.piece}`,
});
