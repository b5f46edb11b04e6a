import { inCrib } from '@/core/stock';
import { defineVerb, field, found, maybeLength, Problem } from '@/crib/door';
import { insert } from '@/data/database';
import { checkGrade } from './ladder';
import { insertMovement, maybePiece, maybePlace } from '@/data/stock';

export const gradePiece = defineVerb({
  name: 'gradePiece',
  path: 'grades',
  summary:
    'Grade a cutter whose life ended: where it may be used next, or scrap. Only a graded one is built again.',
  properties: {
    piece: field.words(20),
    grade: { ...field.words(60), description: 'A rung of the ladder in force' },
    goodZone: field.words(200),
    goodFrom: field.length(0, 500, 'Still good from so far above the tip.'),
    goodTo: field.length(0.1, 500, 'Still good up to so far above the tip.'),
    signs: { type: 'array', maxItems: 20, items: field.words(80) },
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
    await checkGrade(c, piece.item_id, input.grade);
    const [from, to_] = [maybeLength(input.goodFrom), maybeLength(input.goodTo)];
    if (to_ && to_.mm <= (from?.mm ?? 0))
      throw new Problem(
        'INVALID_INPUT',
        `goodTo: ${to_.entered} is not above ${from?.entered ?? 'the tip'}`,
        {
          field: 'goodTo',
          value: to_.entered,
          limit: `more than ${from?.entered ?? '0'}`,
        },
      );
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
      good_from_mm: to_ ? (from?.mm ?? 0) : null,
      good_to_mm: to_?.mm ?? null,
      signs: JSON.stringify(input.signs ?? []),
    });
    return { piece: piece.mark, grade: input.grade };
  },
});
