import { defineVerb, field, toNumber } from '@/crib/door';
import { bodyPiece } from '../bodies';
import { takeInsertsOut } from '../inserts';
import { placeInCrib } from '../placeInCrib';
import { seatNumbers } from '../things';

export const unmountInserts = defineVerb({
  name: 'unmountInserts',
  may: ['crib', 'operator'],
  path: 'inserts/taken-out',
  summary:
    'Take the inserts out of a body: whole ones come back with one edge less, those on their last edge and broken ones are scrap.',
  properties: {
    piece: field.words(20),
    to: field.code,
    broken: field.whole(0, 60),
    brokenSeats: seatNumbers,
  },
  required: ['piece', 'to'],
  async run(c, input, moment) {
    const piece = await bodyPiece(c, moment, { piece: input.piece });
    const to = await placeInCrib(c, moment, 'to', input.to);
    const broken =
      input.brokenSeats?.map(toNumber) ?? (input.broken === undefined ? 0 : toNumber(input.broken));
    const out = await takeInsertsOut(c, moment, piece, to, broken);
    return {
      piece: piece.mark,
      item: out.item.code,
      back: out.good,
      edgesLeft: out.edgesLeft,
      parcels: out.parcels,
      scrapped: out.scrapped,
    };
  },
  says: (a) =>
    // Entries of before answered with one figure for all.
    a.edgesLeft === null
      ? `${a.parcels.map((p) => `${p.quantity} × ${a.item}, ${p.edgesLeft} edges left`).join('; ')} out of ${a.piece}, ${a.scrapped} scrapped`
      : `${a.back} × ${a.item} out of ${a.piece}, ${a.edgesLeft} edges left, ${a.scrapped} scrapped`,
});
