import { defineTask } from '@/crib/door';
import { itemsOf, type RefusedRow } from './itemRows';
import type { ExchangeItem } from './exchangeItem';
import { readTable, writeTable } from './table';
import type { Table } from './tableBuilder';

/** Rows that are told at once: few enough that taking them over holds nobody up. */
const TOLD_AT_ONCE = 100;

export type RowsRead = { items: (ExchangeItem & { row: number })[]; refused: RefusedRow[] };

/** Reads a list into items, told in parts as they are read; answers with the headers that mean nothing yet. */
export const readList = defineTask<
  { bytes: Uint8Array; mapping: readonly (readonly [string, string | null])[] },
  { unknown: string[] },
  RowsRead
>('readList', async ({ bytes, mapping }, tell) => {
  const { unknown, rows } = itemsOf(await readTable(bytes), new Map(mapping));
  let part: RowsRead = { items: [], refused: [] };
  for (const row of rows) {
    if ('reasons' in row) part.refused.push(row);
    else part.items.push(row);
    if (part.items.length + part.refused.length < TOLD_AT_ONCE) continue;
    tell(part);
    part = { items: [], refused: [] };
  }
  tell(part);
  return { unknown };
});

/** Writes a table as a file. */
export const writeList = defineTask<{ table: Table; format: 'csv' | 'xlsx'; name: string }, Uint8Array>(
  'writeList',
  ({ table, format, name }) => writeTable(table, format, name),
);
