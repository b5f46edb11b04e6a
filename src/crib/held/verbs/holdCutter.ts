import { defineVerb, field, found, Problem } from '@/crib/door';
import { insertPieceDoubt, manyPieceDoubts } from '@/data/breakage';
import { maybePiece } from '@/data/stock';

/** Holds a cutter back: wherever it stands it must not run, and it can't be built with, until somebody says what was found. */
export const holdCutter = defineVerb({
  name: 'holdCutter',
  may: ['crib', 'planner', 'operator'],
  path: 'held-cutters',
  summary: 'Hold a cutter back until it was looked at: wherever it stands it must not run.',
  properties: { piece: field.words(20), why: field.words(200) },
  required: ['piece', 'why'],
  async run(c, input, moment) {
    const piece = found(await maybePiece(c, input.piece.toUpperCase()), 'piece', input.piece, 'piece');
    const [held] = await manyPieceDoubts(c, [piece.id]);
    if (held)
      throw new Problem('CONFLICT', `${piece.mark} is held back already: ${held.why}`, {
        field: 'piece',
        value: piece.mark,
        limit: 'one that is not held back',
        wayOut: 'Say what was found, first.',
      });
    if (piece.placeKind === 'scrap' || piece.placeKind === 'lost')
      throw new Problem('REFUSED', `${piece.mark} is gone: nothing can be done with it`, {
        field: 'piece',
        value: piece.mark,
        limit: 'a cutter that is here',
        wayOut: 'Look at its mark.',
      });
    moment.leansOn(piece.entryId);
    await insertPieceDoubt(c, moment.entryId, { pieceId: piece.id, why: input.why.trim() });
    return { piece: piece.mark, why: input.why.trim() };
  },
  says: (a) => `${a.piece} held back: ${a.why}`,
});
