import { LIMITS } from '@/core/limits';
import {
  allStock,
  type MovementsAsked,
  movementsView,
  type MovementsView,
  type StockAsked,
} from '@/crib/stock';
import { type Beside, here, letOthersIn } from '@/crib/door';
import type { Connection } from '@/data/database';
import { CSV_BEGINS, csvLines, type Format } from './table';
import { type Table, tooLarge } from './tableBuilder';
import { writeList } from './tasks';

/** Movements read at once. */
const READ_AT_ONCE = 500;

/** All that lies somewhere and answers a question, a row for each item, lot and place, as a file. */
export async function exportStock(
  c: Connection,
  asked: StockAsked,
  format: Format,
  beside: Beside = here,
): Promise<Uint8Array> {
  const lines = await allStock(c, asked);
  const table: Table = {
    headers: [
      'item',
      'words',
      'kind',
      'maker',
      'place',
      'place_name',
      'lot',
      'owner',
      'edges_left',
      'quantity',
      'used',
      'marks',
    ],
    rows: lines.map((l) => [
      l.item,
      l.words,
      l.kind,
      l.maker ?? '',
      l.place,
      l.placeName,
      l.lot ?? '',
      l.owner ?? '',
      l.edgesLeft === null ? '' : String(l.edgesLeft),
      String(l.quantity),
      String(l.pieces),
      l.marks.map((m) => (m.grade ? `${m.mark}: ${m.grade}` : m.mark)).join('; '),
    ]),
  };
  return written(table, format, 'stock', beside);
}

const MOVED = [
  'when',
  'entry',
  'kind',
  'item',
  'piece',
  'lot',
  'quantity',
  'from',
  'to',
  'who',
  'note',
  'taken_back_by',
];
const movedRow = (m: MovementsView['movements'][number]): string[] => [
  m.happenedAt.toISOString(),
  String(m.entryId),
  m.kind,
  m.item,
  m.piece ?? '',
  m.lot ?? '',
  String(m.quantity),
  m.fromPlace ?? '',
  m.toPlace ?? '',
  m.who,
  m.note ?? '',
  m.counteredBy === null ? '' : String(m.counteredBy),
];

/** What moved, newest first, page by page: others are let in between. */
async function* movedPages(
  c: Connection,
  asked: MovementsAsked,
  begun: MovementsView,
): AsyncGenerator<string[][]> {
  for (let page = begun; ; page = await movementsView(c, { ...asked, before: page.next }, READ_AT_ONCE)) {
    yield page.movements.map(movedRow);
    if (page.next === null) return;
    await letOthersIn();
  }
}

/**
 * What moved, newest first, of an item, a piece, a place or a person, as a file: all of it, told as it is read. A
 * spreadsheet is made whole and takes so many rows at most. Throws a Problem before anything is told.
 */
export async function exportMovements(
  c: Connection,
  asked: MovementsAsked,
  format: Format,
  beside: Beside = here,
): Promise<Uint8Array | AsyncIterable<Uint8Array>> {
  const pages = movedPages(c, asked, await movementsView(c, asked, READ_AT_ONCE));
  if (format === 'csv') return csvOf(pages);
  if (format === 'json') return jsonOf(pages);
  const rows: string[][] = [];
  for await (const page of pages) {
    rows.push(...page);
    if (rows.length > LIMITS.listRows.most)
      throw tooLarge(
        'More moved than a spreadsheet is made of',
        'listRows',
        'Take it as CSV, or ask for an item, a place or a person.',
      );
  }
  return beside(writeList, { table: { headers: MOVED, rows }, format, name: 'movements' });
}

const utf8 = new TextEncoder();
async function* csvOf(pages: AsyncIterable<string[][]>): AsyncGenerator<Uint8Array> {
  yield utf8.encode(`${CSV_BEGINS}${csvLines([MOVED])}`);
  for await (const page of pages) if (page.length) yield utf8.encode(csvLines(page));
}
async function* jsonOf(pages: AsyncIterable<string[][]>): AsyncGenerator<Uint8Array> {
  yield utf8.encode('{"format":"stable-movements-1","rows":[');
  let between = '\n';
  for await (const page of pages)
    for (const row of page) {
      yield utf8.encode(`${between}${JSON.stringify(Object.fromEntries(MOVED.map((h, i) => [h, row[i]])))}`);
      between = ',\n';
    }
  yield utf8.encode('\n]}');
}

/** A table as CSV, a spreadsheet, or JSON with one object a row. */
function written(
  table: Table,
  format: Format,
  name: string,
  beside: Beside,
): Promise<Uint8Array> | Uint8Array {
  if (format !== 'json') return beside(writeList, { table, format, name });
  const rows = table.rows.map((row) => Object.fromEntries(table.headers.map((h, i) => [h, row[i]])));
  return new TextEncoder().encode(JSON.stringify({ format: `stable-${name}-1`, rows }, null, 1));
}
