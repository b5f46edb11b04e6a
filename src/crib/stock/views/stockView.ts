import { orderAsked, STOCK_ORDERS } from '@/core/questions';
import { group } from 'd3';
import { itemQuery } from '@/core/cutters';
import type { LIES, Question, STOCK } from '@/core/questions';
import { CRIB_PLACES, type PlaceKind } from '@/core/stock';
import { last, first } from '@/core/sure';
import { itemWords, PAGE_LINES } from '@/crib/catalogue';
import { found } from '@/crib/door';
import { manyItemFacts, placesBelow } from '@/data/catalogue';
import { type Connection, COUNTED_TO } from '@/data/database';
import { maybeSupplier } from '@/data/shop';
import {
  allStockRows,
  manyMarks,
  manyMarksOf,
  maybePlace,
  maybeStockLine,
  type PlaceRow,
  type StockQuestion,
  type StockRow,
  stockRows,
} from '@/data/stock';

/** Where things may be looked for, in a word, and the kinds of place that are meant. */
const LYING = {
  crib: CRIB_PLACES,
  lent: ['hand'],
  machine: ['machine'],
  regrind: ['regrind'],
  quarantine: ['quarantine'],
  builds: ['build'],
  scrap: ['scrap'],
  lost: ['lost'],
  anywhere: [...CRIB_PLACES, 'hand', 'machine', 'regrind', 'quarantine', 'build', 'scrap', 'lost'],
} as const satisfies Record<(typeof LIES)[number], readonly PlaceKind[]>;

/** A question to the stock as the address holds it. */
export type StockAsked = Question<typeof STOCK>;

/** So many of an item, of one lot, at one place, in words. */
export interface StockLine extends Omit<StockRow, 'family' | 'maker'> {
  words: string;
  maker: string | null;
  /** The first few of the marked pieces there: `pieces` says how many there are. */
  marks: { mark: string; grade: string | null }[];
}
export interface StockView {
  lines: StockLine[];
  total: number;
  /** More than `total`: counting stopped there. */
  more: boolean;
  /** Numbers of lines to go on from, null at an end. */
  next: number | null;
  previous: number | null;
}

/** Marks of one line that a page names. */
const MARKS_SHOWN = 3;

/**
 * Reads the address into a question. A word that is a place's code means what lies there. Throws a Problem for a
 * sort, kind, place, owner or line that isn't there.
 */
export async function stockQuestion(c: Connection, asked: StockAsked): Promise<StockQuestion> {
  const { words, ranges } = itemQuery(asked.q ?? '', asked.unit ?? 'mm');
  let place: PlaceRow | null = asked.place
    ? found(await maybePlace(c, asked.place.toUpperCase()), 'place', asked.place, 'place')
    : null;
  const kept: string[] = [];
  // Ten words say enough; a pasted page would only make one slow question.
  for (const word of words.slice(0, 10)) {
    const named: PlaceRow | null = place ? null : await maybePlace(c, word.toUpperCase());
    if (named) place = named;
    else kept.push(word);
  }
  const from = asked.after ?? asked.before;
  const line =
    from === undefined ? null : found(await maybeStockLine(c, from), 'after', from, 'line of stock');
  return {
    words: kept,
    ranges: ranges.slice(0, 10),
    kind: asked.kind ?? null,
    placeIds: place && (await placesBelow(c, place.id)),
    kinds: LYING[asked.lies ?? 'crib'],
    owner: await ownerOf(c, asked.owner),
    ...orderAsked(STOCK_ORDERS, asked.sort),
    from: line && { lineId: line.id, backwards: asked.after === undefined },
    limit: Math.min(Math.max(asked.limit ?? PAGE_LINES, 1), 500),
  };
}

async function ownerOf(c: Connection, owner: string | undefined): Promise<StockQuestion['owner']> {
  if (!owner) return null;
  if (owner === 'ours') return { ours: true };
  if (owner === 'theirs') return { supplierId: null };
  return { supplierId: found(await maybeSupplier(c, owner), 'owner', owner, 'supplier').id };
}

/** One page of all that lies somewhere: what was asked for, how many lines answer, where to go on. */
export async function stockView(c: Connection, asked: StockAsked = {}): Promise<StockView> {
  const q = await stockQuestion(c, asked);
  // One more than shown says whether there is a next page.
  const { rows, counted } = await stockRows(c, q, q.limit + 1);
  const beyond = rows.length > q.limit;
  const backwards = q.from?.backwards ?? false;
  const shown = beyond ? (backwards ? rows.slice(1) : rows.slice(0, -1)) : rows;
  return {
    lines: await stockLines(c, shown, MARKS_SHOWN),
    total: Math.min(counted, COUNTED_TO),
    more: counted > COUNTED_TO,
    next: (backwards || beyond) && shown.length ? last(shown).id : null,
    previous: (backwards ? beyond : q.from !== null) && shown.length ? first(shown).id : null,
  };
}

/** Every line that answers, in the question's order: what is seen, as it goes out. Pages are not asked for. */
export async function allStock(c: Connection, asked: StockAsked): Promise<StockLine[]> {
  return stockLines(c, await allStockRows(c, await stockQuestion(c, asked)), null);
}

/** Lines with their items' words and the marks that lie there: read for these lines alone. */
async function stockLines(
  c: Connection,
  rows: readonly StockRow[],
  marksEach: number | null,
): Promise<StockLine[]> {
  if (!rows.length) return [];
  const ids = [...new Set(rows.map((r) => r.itemId))];
  const facts = new Map((await manyItemFacts(c, ids)).map((f) => [f.itemId, f.facts]));
  const marked = rows.filter((r) => r.pieces > 0);
  const key = (r: { itemId: number; placeId: number; lotId: number | null }) =>
    `${r.itemId} ${r.placeId} ${r.lotId}`;
  const those = (of: (r: StockRow) => number) => [...new Set(marked.map(of))];
  const marks = group(
    !marked.length
      ? []
      : marksEach === null
        ? await manyMarks(
            c,
            those((r) => r.itemId),
            those((r) => r.placeId),
          )
        : await manyMarksOf(c, marked, marksEach),
    key,
  );
  return rows.map(({ family, ...row }) => ({
    ...row,
    words: itemWords({ kind: row.kind, family }, facts.get(row.itemId) ?? []),
    marks: (marks.get(key(row)) ?? []).map(({ mark, grade }) => ({ mark, grade })),
  }));
}
