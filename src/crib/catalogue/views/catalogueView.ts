import { orderAsked, CATALOGUE_ORDERS } from '@/core/questions';
import { type Family, type ItemKind, itemQuery } from '@/core/cutters';
import type { CATALOGUE, Question } from '@/core/questions';
import { inCrib } from '@/core/stock';
import { last, first } from '@/core/sure';
import { found } from '@/crib/door';
import {
  type CatalogueQuestion,
  type CatalogueRow,
  catalogueRows,
  type ItemPlaces,
  manyItemFacts,
  manyItemPlaces,
  manyStandings,
  maybeItem,
  placesBelow,
  type Standing,
} from '@/data/catalogue';
import { type Connection, COUNTED_TO } from '@/data/database';
import { maybePlace } from '@/data/stock';
import { itemWords } from '../loadItems';

/** One line of the catalogue with what the shelf has of it. */
export interface CatalogueLine {
  code: string;
  kind: ItemKind;
  family: Family | null;
  words: string;
  maker: string | null;
  /** Unmarked pieces in the crib, whoever owns them. */
  unused: number;
  /** Of all that lie in the crib, those that belong to a supplier until used. */
  suppliers: number;
  inBuilds: number;
  /** Where it lies in the crib. */
  places: string[];
  facts: Record<string, { text: string; unit: string; value: number | null; guess: boolean }>;
  standing: Standing | null;
}
export interface CatalogueView {
  lines: CatalogueLine[];
  total: number;
  /** More than `total`: counting stopped there. */
  more: boolean;
  /** Codes to go on from, null at an end. */
  next: string | null;
  previous: string | null;
}

/** A question as the address holds it. */
export type CatalogueAsked = Question<typeof CATALOGUE>;

export const PAGE_LINES = 50;

/** Reads the address into a question. Throws a Problem for a sort, kind, place or item that isn't there. */
export async function catalogueQuestion(c: Connection, asked: CatalogueAsked): Promise<CatalogueQuestion> {
  const { words, ranges } = itemQuery(asked.q ?? '', asked.unit ?? 'mm');
  const place = asked.place
    ? found(await maybePlace(c, asked.place.toUpperCase()), 'place', asked.place, 'place')
    : null;
  const from = asked.after ?? asked.before;
  const item = from === undefined ? null : found(await maybeItem(c, from), 'after', from, 'item');
  return {
    // Ten words say enough; a pasted page would only make one slow question.
    words: words.slice(0, 10),
    ranges: ranges.slice(0, 10),
    kind: asked.kind ?? null,
    placeIds: place && (await placesBelow(c, place.id)),
    ...orderAsked(CATALOGUE_ORDERS, asked.sort),
    from: item && { itemId: item.id, backwards: asked.after === undefined },
    limit: Math.min(Math.max(asked.limit ?? PAGE_LINES, 1), 500),
  };
}

/** One page of the catalogue: what was asked for, how many answer, where to go on. */
export async function catalogueView(c: Connection, asked: CatalogueAsked = {}): Promise<CatalogueView> {
  const q = await catalogueQuestion(c, asked);
  // One more than shown says whether there is a next page.
  const { rows, counted } = await catalogueRows(c, { ...q, limit: q.limit + 1 });
  const beyond = rows.length > q.limit;
  const backwards = q.from?.backwards ?? false;
  const shown = beyond ? (backwards ? rows.slice(1) : rows.slice(0, -1)) : rows;
  return {
    lines: await linesOf(c, shown),
    total: Math.min(counted, COUNTED_TO),
    more: counted > COUNTED_TO,
    next: (backwards || beyond) && shown.length ? last(shown).code : null,
    previous: (backwards ? beyond : q.from !== null) && shown.length ? first(shown).code : null,
  };
}

/** The lines of a page: facts, balances and standings of its items alone. */
async function linesOf(c: Connection, rows: readonly CatalogueRow[]): Promise<CatalogueLine[]> {
  const ids = rows.map((r) => r.itemId);
  if (!ids.length) return [];
  const facts = new Map((await manyItemFacts(c, ids)).map((f) => [f.itemId, f.facts]));
  const places = new Map((await manyItemPlaces(c, ids)).map((p) => [p.itemId, p.places]));
  const standings = new Map((await manyStandings(c, ids)).map((s) => [s.itemId, s.standing]));
  return rows.map((row) => {
    const known = facts.get(row.itemId) ?? [];
    const there = places.get(row.itemId) ?? [];
    const here = there.filter((p) => inCrib(p.kind));
    const sum = (list: ItemPlaces['places']) => list.reduce((n, p) => n + p.quantity, 0);
    return {
      code: row.code,
      kind: row.kind,
      family: row.family,
      words: itemWords(row, known),
      maker: row.maker,
      unused: row.unused,
      suppliers: here.reduce((n, p) => n + p.theirs, 0),
      inBuilds: sum(there.filter((p) => p.kind === 'build')),
      places: [...new Set(here.map((p) => p.place))],
      facts: Object.fromEntries(
        known.map((f) => [
          f.symbol,
          { text: f.text, unit: f.unit, value: f.value, guess: f.origin === 'guess' },
        ]),
      ),
      standing: standings.get(row.itemId) ?? null,
    };
  });
}
