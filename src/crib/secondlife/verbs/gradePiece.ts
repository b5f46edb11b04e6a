import { inCrib } from '@/core/stock';
import { defineVerb, field, found, foundInUse, Problem } from '@/crib/door';
import { insertMovement, maybePiece, maybePlace } from '@/data/stock';
import { checkGrade, gradeFields, GRADES, recordGrade } from '../grade';

export const gradePiece = defineVerb({
  name: 'gradePiece',
  may: GRADES,
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
    if (piece.endedEntryId === null)
      throw new Problem('REFUSED', `${piece.mark} has not ended: there is nothing to grade`, {
        field: 'piece',
        value: piece.mark,
        wayOut: 'End its life first.',
      });
    if (piece.placeId === null || !inCrib(piece.placeKind))
      throw new Problem('REFUSED', `${piece.mark} is in ${piece.place ?? 'no place'}, not in the crib`, {
        field: 'piece',
        value: piece.mark,
        wayOut: 'Take its assembly down first.',
      });
    await checkGrade(c, piece.itemId, piece, input.grade);
    moment.leansOn(piece.endedEntryId);
    const to = input.grade === 'scrap' ? 'SCRAP' : input.place?.toUpperCase();
    if (to && to !== piece.place) {
      const place = foundInUse(await maybePlace(c, to), 'place', to, 'place');
      moment.leansOn(place.entryId);
      await insertMovement(c, {
        entryId: moment.entryId,
        itemId: piece.itemId,
        pieceId: piece.id,
        lotId: piece.lotId,
        from: piece.placeId,
        to: place.id,
        quantity: 1,
      });
    }
    await recordGrade(c, moment, piece.id, input);
    return { piece: piece.mark, grade: input.grade };
  },
  says: (a) => `${a.piece} graded: ${a.grade}`,
});
