import { defineVerb, field, toNumber } from '@/crib/door';
import { bodyPiece } from '../bodies';
import { takeInsertsOut } from '../inserts';
import { placeInCrib } from '../placeInCrib';

export const unmountInserts = defineVerb({
  name: 'unmountInserts',
  may: ['crib', 'operator'],
  path: 'inserts/taken-out',
  summary:
    'Take the inserts out of a body: whole ones come back with one edge less, those on their last edge and broken ones are scrap.',
  properties: { piece: field.words(20), to: field.code, broken: field.whole(0, 60) },
  required: ['piece', 'to'],
  async run(c, input, moment) {
    const piece = await bodyPiece(c, moment, { piece: input.piece });
    const to = await placeInCrib(c, moment, 'to', input.to);
    const broken = input.broken === undefined ? 0 : toNumber(input.broken);
    const out = await takeInsertsOut(c, moment, piece, to, broken);
    return {
      piece: piece.mark,
      item: out.item.code,
      back: out.good,
      edgesLeft: out.edgesLeft,
      scrapped: out.scrapped,
    };
  },
  says: (a) => `${a.back} × ${a.item} out of ${a.piece}, ${a.edgesLeft} edges left, ${a.scrapped} scrapped`,
});
