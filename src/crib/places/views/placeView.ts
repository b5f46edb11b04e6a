import { group } from 'd3';
import { loadItems } from '@/crib/catalogue';
import { placesBelow } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { type BalanceRow, manyBalancesAt, manyMarksOf, maybePlace, type PlaceRow } from '@/data/stock';

interface PlaceLine extends BalanceRow {
  item: string;
  words: string;
  /** Marks of the pieces that lie there, the first six. */
  marks: string[];
}

export interface PlaceView {
  place: PlaceRow | null;
  lines: PlaceLine[];
  /** More lies there than is shown: the table of all stock has it, a page at a time. */
  more: boolean;
}
const LINES_SHOWN = 100;
const MARKS_SHOWN = 6;

/** What lies at a place and in what is inside it. */
export async function placeView(c: Connection, code: string | null): Promise<PlaceView> {
  const place = code === null ? null : await maybePlace(c, code.toUpperCase());
  if (!place) return { place: null, lines: [], more: false };
  const lines = await linesAt(c, await placesBelow(c, place.id), LINES_SHOWN + 1);
  return { place, lines: lines.slice(0, LINES_SHOWN), more: lines.length > LINES_SHOWN };
}

/** What lies at some places, in the order of places and items; null: all of it. */
export async function linesAt(
  c: Connection,
  placeIds: readonly number[],
  limit: number | null = null,
): Promise<PlaceLine[]> {
  const balances = await manyBalancesAt(c, placeIds, limit);
  const ids = [...new Set(balances.map((b) => b.itemId))];
  const items = new Map((await loadItems(c, ids)).map((i) => [i.id, i]));
  const marked = balances.filter((b) => b.pieces > 0);
  const marks = group(
    marked.length ? await manyMarksOf(c, marked, MARKS_SHOWN) : [],
    (p) => `${p.itemId} ${p.placeId} ${p.lotId}`,
  );
  return balances.map((b) => ({
    ...b,
    item: items.get(b.itemId)?.code ?? '',
    words: items.get(b.itemId)?.words ?? '',
    marks: (marks.get(`${b.itemId} ${b.placeId} ${b.lotId}`) ?? []).map((p) => p.mark),
  }));
}
