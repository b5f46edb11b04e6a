import type { Connection, Param } from './connection';
import { DataError } from './errors';

/** Exactly one row, or a DataError: the name promises the count. */
export async function one<Row>(c: Connection, sql: string, params: readonly Param[] = []): Promise<Row> {
  const rows = await c.query<Row>(sql, params);
  if (rows.length !== 1)
    throw new DataError('WRONG_COUNT', `one row expected, ${rows.length} came: ${sql.trim().slice(0, 80)}`);
  return rows[0]!;
}

/** One row or null; two are an error. */
export async function maybeOne<Row>(
  c: Connection,
  sql: string,
  params: readonly Param[] = [],
): Promise<Row | null> {
  const rows = await c.query<Row>(sql, params);
  if (rows.length > 1)
    throw new DataError(
      'WRONG_COUNT',
      `at most one row expected, ${rows.length} came: ${sql.trim().slice(0, 80)}`,
    );
  return rows[0] ?? null;
}

/** Any number of rows. */
export const many = <Row>(c: Connection, sql: string, params: readonly Param[] = []): Promise<Row[]> =>
  c.query<Row>(sql, params);

/**
 * Inserts one row and gives back its id (the column named `returning`). Table and column names come from code,
 * never from input; values are parameters.
 */
export async function insert(
  c: Connection,
  table: string,
  values: Record<string, Param>,
  returning?: string,
): Promise<number> {
  const columns = Object.keys(values);
  const marks = columns.map((_, i) => `$${i + 1}`);
  const tail = returning ? ` returning ${returning} as id` : '';
  const rows = await c.query<{ id: number }>(
    `insert into ${table} (${columns.join(', ')}) values (${marks.join(', ')})${tail}`,
    columns.map((column) => values[column]!),
  );
  return returning ? rows[0]!.id : 0;
}

/** 'gaugeLengthMm' is the column gauge_length_mm. */
const column = (field: string): string => field.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
const columns = (entryId: number, row: object): Record<string, Param> => ({
  entry_id: entryId,
  ...Object.fromEntries(
    Object.entries(row as Record<string, Param | undefined>).flatMap(([field, value]) =>
      value === undefined ? [] : [[column(field), value]],
    ),
  ),
});

/** Makes the insert of a table of the ledger: its row in our own words, and the entry that writes it. */
export const inserts =
  <Row extends object>(table: string) =>
  async (c: Connection, entryId: number, row: Row): Promise<void> => {
    await insert(c, table, columns(entryId, row));
  };

/** The same of a table whose rows have a number of their own, which it gives back. */
export const insertsWithId =
  <Row extends object>(table: string) =>
  (c: Connection, entryId: number, row: Row): Promise<number> =>
    insert(c, table, columns(entryId, row), 'id');
