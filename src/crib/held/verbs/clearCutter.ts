import { defineVerb, field, found, Problem } from '@/crib/door';
import { insertPieceCleared, manyPieceDoubts } from '@/data/breakage';
import { maybePiece } from '@/data/stock';

/** Says what was found of a cutter that was held back: it may run again. One that is no good ends its life instead. */
export const clearCutter = defineVerb({
  name: 'clearCutter',
  may: ['crib', 'planner'],
  path: 'cleared-cutters',
  summary: 'Say what was found of a cutter that was held back: it may be used again.',
  properties: { piece: field.words(20), found: field.words(200) },
  required: ['piece', 'found'],
  async run(c, input, moment) {
    const piece = found(await maybePiece(c, input.piece.toUpperCase()), 'piece', input.piece, 'piece');
    const [held] = await manyPieceDoubts(c, [piece.id]);
    if (!held)
      throw new Problem('CONFLICT', `${piece.mark} is not held back`, {
        field: 'piece',
        value: piece.mark,
        limit: 'one that is held back',
        wayOut: 'Look under Held which one is.',
      });
    moment.leansOn(held.entryId);
    await insertPieceCleared(c, moment.entryId, { doubtId: held.entryId, found: input.found.trim() });
    return { piece: piece.mark, found: input.found.trim() };
  },
  says: (a) => `${a.piece} may be used again: ${a.found}`,
});
