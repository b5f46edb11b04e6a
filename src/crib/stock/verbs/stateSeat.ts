import { loadItem } from '@/crib/catalogue';
import { defineVerb, field, found, Problem, toNumber } from '@/crib/door';
import { insertSeatState, maybePiece } from '@/data/stock';

export const stateSeat = defineVerb({
  name: 'stateSeat',
  may: ['crib', 'operator'],
  path: 'seats',
  summary: 'Mark a seat of a cutter body as damaged, or as good again.',
  properties: { piece: field.words(20), seat: field.whole(1, 60), damaged: field.choice(['yes', 'no']) },
  required: ['piece', 'seat', 'damaged'],
  async run(c, input, moment) {
    const piece = found(await maybePiece(c, input.piece.toUpperCase()), 'piece', input.piece, 'piece');
    const item = await loadItem(c, piece.itemId);
    const seat = toNumber(input.seat);
    if (item.kind !== 'body')
      throw new Problem('REFUSED', `${piece.mark} is no cutter body: it has no seats`, {
        field: 'piece',
        value: piece.mark,
      });
    const seats = item.facts.find((f) => f.symbol === 'CICT')?.value ?? null;
    if (seats !== null && seat > seats)
      throw new Problem('INVALID_INPUT', `${item.code} has ${seats} seats`, {
        field: 'seat',
        value: seat,
        limit: `1 to ${seats}`,
      });
    moment.leansOn(piece.entryId);
    await insertSeatState(c, moment.entryId, { pieceId: piece.id, seat, damaged: input.damaged === 'yes' });
    return { piece: piece.mark, seat, damaged: input.damaged === 'yes' };
  },
  says: (a) => `seat ${a.seat} of ${a.piece} ${a.damaged ? 'damaged' : 'good'}`,
});
