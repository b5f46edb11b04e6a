import { first } from '@/core/sure';
import type { Connection, Param } from './connection';
import { DataError } from './errors';

/** Exactly one row, or a DataError: the name promises the count. */
export async function one<Row>(c: Connection, sql: string, params: readonly Param[] = []): Promise<Row> {
  const rows = await c.query<Row>(sql, params);
  if (rows.length !== 1)
    throw new DataError('WRONG_COUNT', `one row expected, ${rows.length} came: ${sql.trim().slice(0, 80)}`);
  return first(rows);
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

/** 'gaugeLengthMm' is the column gauge_length_mm. */
const column = (field: string): string => field.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);

/**
 * Inserts one row and gives back its id (the column named `returning`). Fields in our own words are its columns; what is
 * undefined is left out. Table and field names come from code, never from input; values are parameters.
 */
export async function insert(
  c: Connection,
  table: string,
  values: object,
  returning?: string,
): Promise<number> {
  // Its callers are typed by their table (inserts); columns come from the names.
  const given = Object.entries(values as Record<string, Param | undefined>).flatMap(([field, value]) =>
    value === undefined ? [] : [[column(field), value] as const],
  );
  const marks = given.map((_, i) => `$${i + 1}`);
  const tail = returning ? ` returning ${returning} as id` : '';
  const rows = await c.query<{ id: number }>(
    `insert into ${table} (${given.map(([name]) => name).join(', ')}) values (${marks.join(', ')})${tail}`,
    given.map(([, value]) => value),
  );
  return returning ? first(rows).id : 0;
}

/** Makes the insert of a table of the ledger: its row, and the entry that writes it. */
export const inserts =
  <Row extends object>(table: string) =>
  async (c: Connection, entryId: number, row: Row): Promise<void> => {
    await insert(c, table, { entryId, ...row });
  };

/** The same of a table whose rows have a number of their own, which it gives back. */
export const insertsWithId =
  <Row extends object>(table: string) =>
  (c: Connection, entryId: number, row: Row): Promise<number> =>
    insert(c, table, { entryId, ...row }, 'id');
