import { inCrib } from '@/core/stock';
import { defineVerb, field, found, Problem } from '@/crib/door';
import { checkGrade, gradeFields, recordGrade } from './grade';
import { insertMovement, maybePiece, maybePlace } from '@/data/stock';

export const gradePiece = defineVerb({
  name: 'gradePiece',
  path: 'grades',
  summary:
    'Grade a cutter whose life ended: where it may be used next, or scrap. Only a graded one is built again.',
  properties: {
    piece: field.words(20),
    ...gradeFields,
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
    await checkGrade(c, piece.item_id, piece, input.grade);
    await moment.leansOn(piece.ended_entry_id);
    const to = input.grade === 'scrap' ? 'SCRAP' : input.place?.toUpperCase();
    if (to && to !== piece.place) {
      const place = found(await maybePlace(c, to), 'place', to, 'place');
      await moment.leansOn(place.entry_id);
      await insertMovement(c, {
        entryId: moment.entryId,
        itemId: piece.item_id,
        pieceId: piece.id,
        lotId: piece.lot_id,
        from: piece.place_id,
        to: place.id,
        quantity: 1,
      });
    }
    await recordGrade(c, moment, piece.id, input);
    return { piece: piece.mark, grade: input.grade };
  },
});
