import { inCrib } from '@/core/stock';
import { sure } from '@/core/sure';
import type { CribItem } from '@/crib/catalogue';
import { found, type Moment, Problem } from '@/crib/door';
import { nextNumber } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import { insertEdgeSet } from '@/data/life';
import { insertMovement, insertPiece, maybePiece, onePlaceOfKind, type PieceRow } from '@/data/stock';
import { BACK_FIRST, mustBeInCrib } from './placeInCrib';
import { takeThing } from './things';

export const fact = (item: CribItem, symbol: string) => item.facts.find((f) => f.symbol === symbol);

/** The marked body, in the crib; a body from unmarked stock gets its mark here. */
export async function bodyPiece(
  c: Connection,
  moment: Moment,
  input: { piece?: string; body?: string; bodyFrom?: string },
): Promise<PieceRow> {
  if (input.piece !== undefined) {
    const piece = found(await maybePiece(c, input.piece.toUpperCase()), 'piece', input.piece, 'piece');
    if (!inCrib(piece.placeKind))
      throw new Problem('REFUSED', `${piece.mark} is in ${piece.place ?? 'no place'}, not in the crib`, {
        field: 'piece',
        value: piece.mark,
        wayOut:
          piece.placeKind === 'build'
            ? 'Take its assembly down first: new edges are a new build.'
            : (BACK_FIRST[piece.placeKind ?? ''] ?? 'Choose another.'),
      });
    moment.leansOn(piece.entryId);
    return piece;
  }
  if (input.body === undefined || input.bodyFrom === undefined)
    throw new Problem('INVALID_INPUT', 'Which body? Its mark, or its code and place', {
      field: 'piece',
      limit: 'piece, or body and bodyFrom',
    });
  const thing = await takeThing(c, moment, { item: input.body, from: input.bodyFrom, quantity: 1 });
  mustBeInCrib(thing.from, 'bodyFrom');
  const mark = await nextNumber(c, 'piece', 'mark', 'E');
  const id = await insertPiece(c, moment.entryId, { mark, itemId: thing.item.id, lotId: thing.lotId });
  await insertEdgeSet(c, moment.entryId, { pieceId: id, fresh: true });
  // It stays where it lies and is marked from now on: out of the unmarked stock and back as this piece.
  const build = await onePlaceOfKind(c, 'build');
  for (const [from, to] of [
    [thing.from.id, build.id],
    [build.id, thing.from.id],
  ] as const)
    await insertMovement(c, {
      entryId: moment.entryId,
      itemId: thing.item.id,
      pieceId: id,
      lotId: thing.lotId,
      from,
      to,
      quantity: 1,
    });
  return sure(await maybePiece(c, mark), `the body just marked ${mark}`);
}
