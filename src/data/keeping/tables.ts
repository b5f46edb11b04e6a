import { type Connection, many, one } from '@/data/database';

/** A column as it goes out: its name, what its cells are (a type of Table Schema), and what it is in SQL. */
export interface ColumnKept {
  name: string;
  type: 'integer' | 'number' | 'string' | 'boolean' | 'date' | 'datetime' | 'object' | 'any';
  sql: string;
  required: boolean;
}
export interface TableKept {
  name: string;
  columns: ColumnKept[];
  primaryKey: string[];
  foreignKeys: { fields: string[]; table: string; to: string[] }[];
}

/** What people and programs sign in with stays here, and so does what belongs to this very folder. */
const STAYS = ['api_key', 'one_time_code', 'schema_migration', 'secret', 'session'];

const TYPES: Record<string, ColumnKept['type']> = {
  integer: 'integer',
  bigint: 'integer',
  smallint: 'integer',
  'double precision': 'number',
  numeric: 'number',
  boolean: 'boolean',
  date: 'date',
  'timestamp with time zone': 'datetime',
  jsonb: 'any',
};

/** Every table of the books, with its columns and what they refer to, as the database says. */
export async function manyTablesKept(c: Connection): Promise<TableKept[]> {
  const tables = await many<Omit<TableKept, 'columns'> & { columns: Omit<ColumnKept, 'type'>[] }>(
    c,
    `select t.relname as name,
       (select jsonb_agg(jsonb_build_object('name', a.attname, 'sql', format_type(a.atttypid, null), 'required', a.attnotnull) order by a.attnum)
        from pg_attribute a where a.attrelid = t.oid and a.attnum > 0 and not a.attisdropped and a.attgenerated = '') as columns,
       coalesce((select jsonb_agg(a.attname order by k.place) from pg_index i, unnest(i.indkey) with ordinality as k(number, place), pg_attribute a
        where i.indrelid = t.oid and i.indisprimary and a.attrelid = t.oid and a.attnum = k.number), '[]') as primary_key,
       coalesce((select jsonb_agg(jsonb_build_object('table', f.confrelid::regclass::text,
          'fields', (select jsonb_agg(a.attname order by k.place) from unnest(f.conkey) with ordinality as k(number, place)
            join pg_attribute a on a.attrelid = f.conrelid and a.attnum = k.number),
          'to', (select jsonb_agg(a.attname order by k.place) from unnest(f.confkey) with ordinality as k(number, place)
            join pg_attribute a on a.attrelid = f.confrelid and a.attnum = k.number)) order by f.conname)
        from pg_constraint f where f.conrelid = t.oid and f.contype = 'f'), '[]') as foreign_keys
     from pg_class t where t.relkind = 'r' and t.relpersistence = 'p' and t.relnamespace = 'public'::regnamespace
     and t.relname <> all ($1::text[]) order by t.relname`,
    [STAYS],
  );
  return tables.map((t) => ({
    ...t,
    columns: t.columns.map((column) => ({ ...column, type: TYPES[column.sql] ?? 'string' })),
  }));
}

/** A moment in ISO 8601 with all its digits; everything else as PostgreSQL writes it, which reads it back as it was. */
const asText = (column: ColumnKept): string =>
  column.type === 'datetime'
    ? `to_char(t.${column.name} at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"')`
    : `t.${column.name}::text`;

/** Rows written at once. */
const ROWS = 500;
/** Blocks of a table that are read at once: some hundred rows. */
const BLOCKS = 8;

/**
 * A table's rows as they lie, which in a ledger is the order in which they were entered, some hundred at a time, each cell
 * as text; null is null. Nothing may be written meanwhile. `but`: columns that go elsewhere, whose cells are null here.
 * Block by block: what comes after a row would be sorted anew for each page, all the rest of the table.
 */
export async function* rowsKept(
  c: Connection,
  table: TableKept,
  but: readonly string[] = [],
): AsyncGenerator<(string | null)[][]> {
  const cells = table.columns
    .map((column) => (but.includes(column.name) ? 'null' : asText(column)))
    .join(', ');
  const { blocks } = await one<{ blocks: number }>(
    c,
    "select (pg_relation_size($1::regclass) / current_setting('block_size')::int)::int as blocks",
    [table.name],
  );
  for (let from = 0; from < blocks; from += BLOCKS) {
    const rows = await many<{ cells: (string | null)[] }>(
      c,
      `select array[${cells}]::text[] as cells from ${table.name} t
       where t.ctid >= $1::tid and t.ctid < $2::tid order by t.ctid`,
      [`(${from},0)`, `(${from + BLOCKS},0)`],
    );
    if (rows.length) yield rows.map((r) => r.cells);
  }
}

/** Whose cells go out as files of their own: by the key of their row, and what kind of file, where the table says so. */
export const manyFilesKept = (c: Connection, table: TableKept, key: string) =>
  many<{ id: string; mime: string }>(
    c,
    `select ${key}::text as id, ${table.columns.some((column) => column.name === 'mime') ? 'mime' : "''"} as mime
     from ${table.name} order by ${key}`,
  );

/** One cell that goes out as a file of its own: its bytes, or its text as UTF-8. */
export async function fileKept(
  c: Connection,
  table: string,
  column: string,
  key: string,
  id: string,
): Promise<Uint8Array> {
  const { value } = await one<{ value: Uint8Array | string }>(
    c,
    // By its key as it is: as text it would be looked for in the whole table, file by file.
    `select ${column} as value from ${table} where ${key} = $1::text::int`,
    [id],
  );
  return typeof value === 'string' ? new TextEncoder().encode(value) : value;
}

/** Puts rows as they came out into a table, past its triggers and rules: whoever calls compares all of it afterwards. */
export async function putRowsKept(
  c: Connection,
  table: TableKept,
  rows: readonly (readonly (string | null)[])[],
): Promise<void> {
  const names = table.columns.map((column) => column.name);
  for (let at = 0; at < rows.length; at += ROWS) {
    const some = rows.slice(at, at + ROWS);
    await c.query(
      `insert into ${table.name} (${names.join(', ')}) overriding system value
       select ${table.columns.map((column, i) => `v.c${i}::${column.sql}`).join(', ')}
       from unnest(${names.map((_, i) => `$${i + 1}::text[]`).join(', ')}) as v(${names.map((_, i) => `c${i}`).join(', ')})`,
      names.map((_, i) => some.map((row) => row[i] ?? null)),
    );
  }
}

/** Within a transaction: no trigger runs until its end, and what a new database begins with is taken out. */
export async function emptyForRows(c: Connection, tables: readonly TableKept[]): Promise<void> {
  await c.query("select set_config('session_replication_role', 'replica', true)");
  for (const { name } of tables) await c.query(`delete from ${name}`);
}

/** What is numbered by itself goes on after the highest number there is. */
export async function numberOn(c: Connection): Promise<void> {
  const numbered = await many<{ table: string; column: string; sequence: string }>(
    c,
    `select t.relname as "table", a.attname as "column", pg_get_serial_sequence(quote_ident(t.relname), a.attname) as sequence
     from pg_class t join pg_attribute a on a.attrelid = t.oid and a.attnum > 0 and not a.attisdropped
     where t.relkind = 'r' and t.relnamespace = 'public'::regnamespace
     and pg_get_serial_sequence(quote_ident(t.relname), a.attname) is not null`,
  );
  for (const { table, column, sequence } of numbered)
    await c.query(
      `select setval('${sequence}', greatest(coalesce(max(${column}), 0), 1), coalesce(max(${column}), 0) > 0) from ${table}`,
    );
}

export interface MigrationApplied {
  number: number;
  name: string;
  checksum: string;
}
/** The steps of the schema that a database has taken. */
export const manyMigrations = (c: Connection) =>
  many<MigrationApplied>(c, 'select number, name, checksum from schema_migration order by number');
