import { inCrib } from '@/core/stock';
import { GRADES } from '@/core/life';
import { defineVerb, field, found, Problem } from '@/crib/door';
import { insert } from '@/data/database';
import { insertMovement, maybePiece, maybePlace } from '@/data/stock';

export const gradePiece = defineVerb({
  name: 'gradePiece',
  path: 'grades',
  summary:
    'Grade a cutter whose life ended: where it may be used next, or scrap. Only a graded one is built again.',
  properties: {
    piece: field.words(20),
    grade: field.choice(GRADES),
    goodZone: field.words(200),
    place: field.code,
  },
  required: ['piece', 'grade'],
  async run(c, input, moment) {
    const piece = found(await maybePiece(c, input.piece.toUpperCase()), 'piece', input.piece, 'piece');
    if (piece.ended_entry_id === null)
      throw new Problem('REFUSED', `${piece.mark} has not ended: there is nothing to grade`, {
        field: 'piece',
        value: piece.mark,
        wayOut: 'End its life first.',
      });
    if (piece.place_id === null || !inCrib(piece.place_kind))
      throw new Problem('REFUSED', `${piece.mark} is in ${piece.place ?? 'no place'}, not in the crib`, {
        field: 'piece',
        value: piece.mark,
        wayOut: 'Take its assembly down first.',
      });
    await moment.leansOn(piece.ended_entry_id);
    const to = input.grade === 'scrap' ? 'SCRAP' : input.place?.toUpperCase();
    if (to && to !== piece.place) {
      const place = found(await maybePlace(c, to), 'place', to, 'place');
      await moment.leansOn(place.entry_id);
      await insertMovement(c, {
        entryId: moment.entryId,
        itemId: piece.item_id,
        pieceId: piece.id,
        from: piece.place_id,
        to: place.id,
        quantity: 1,
      });
    }
    await insert(c, 'grade', {
      entry_id: moment.entryId,
      piece_id: piece.id,
      grade: input.grade,
      good_zone: input.goodZone ?? null,
    });
    return { piece: piece.mark, grade: input.grade };
  },
});
