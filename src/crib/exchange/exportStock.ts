import { allStock, type MovementsAsked, movementsView, type StockAsked } from '@/crib/stock';
import { type Beside, here } from '@/crib/door';
import type { Connection } from '@/data/database';
import type { Format } from './table';
import type { Table } from './tableBuilder';
import { writeList } from './tasks';

/** Movements that go out at once; more are asked for a place, an item or a person at a time. */
const MOST_MOVEMENTS = 10_000;

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

/** What moved, newest first, of an item, a piece, a place or a person, as a file. */
export async function exportMovements(
  c: Connection,
  asked: MovementsAsked,
  format: Format,
  beside: Beside = here,
): Promise<Uint8Array> {
  const { movements } = await movementsView(c, asked, MOST_MOVEMENTS);
  const table: Table = {
    headers: [
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
    ],
    rows: movements.map((m) => [
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
    ]),
  };
  return written(table, format, 'movements', beside);
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
