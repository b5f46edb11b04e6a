import type { MOVEMENTS, Question } from '@/core/questions';
import { last } from '@/core/sure';
import { found } from '@/crib/door';
import { maybeItem } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { manyMovements, maybePiece, maybePlace, type MovementQuestion, type MovementRow } from '@/data/stock';

export type MovementsAsked = Question<typeof MOVEMENTS>;
export interface MovementsView {
  movements: MovementRow[];
  /** Where to go on, null at the end. */
  next: number | null;
}
const PAGE = 50;

/** What moved, newest first: of an item, a piece, a place or a person; everything when none is named. */
export async function movementsView(
  c: Connection,
  asked: MovementsAsked,
  most = PAGE,
): Promise<MovementsView> {
  const q: MovementQuestion = { limit: most + 1, before: asked.before, who: asked.who };
  if (asked.item !== undefined)
    q.itemId = found(await maybeItem(c, asked.item), 'item', asked.item, 'item').id;
  if (asked.piece !== undefined)
    q.pieceId = found(await maybePiece(c, asked.piece.toUpperCase()), 'piece', asked.piece, 'piece').id;
  if (asked.place !== undefined)
    q.placeId = found(await maybePlace(c, asked.place.toUpperCase()), 'place', asked.place, 'place').id;
  const rows = await manyMovements(c, q);
  const shown = rows.slice(0, most);
  return { movements: shown, next: rows.length > most ? last(shown).id : null };
}
