import type { Fingerprint } from '@/data/database';
import type { MigrationApplied, TableKept } from '@/data/keeping';
import { NOTHING_HERE } from './cell';

/** The file that says what is in the archive: a Data Package (datapackage.org) with a Table Schema for each table. */
export const PACKAGE = 'datapackage.json';
/** What of it is ours: it can be brought in again by a Stable that knows the same steps of the schema. */
export interface OfStable {
  format: 1;
  made: string;
  lastEntry: number;
  migrations: MigrationApplied[];
  /** Rows and digest of each table, by which what comes in is held against what went out. */
  holds: Fingerprint;
}
export interface Package {
  stable: OfStable;
  resources: { name: string; path: string }[];
}

/** Columns that go out as files of their own: what lies in their cells is the file’s path. */
export const FILES: readonly {
  table: string;
  column: string;
  key: string;
  path: (id: string, mime: string) => string;
}[] = [
  {
    table: 'picture',
    column: 'bytes',
    key: 'entry_id',
    path: (id, mime) => `pictures/${id}.${mime.slice(6)}`,
  },
  {
    table: 'picture',
    column: 'thumb',
    key: 'entry_id',
    path: (id, mime) => `pictures/${id}-small.${mime.slice(6)}`,
  },
  { table: 'program', column: 'text', key: 'entry_id', path: (id) => `programs/${id}.nc` },
];

export const tablePath = (name: string): string => `tables/${name}.csv`;

/** The package of tables that were written, each with its bytes and digest. */
export function describe(
  tables: readonly TableKept[],
  written: ReadonlyMap<string, { bytes: number; hash: string; rows: number }>,
  stable: OfStable,
): object {
  return {
    $schema: 'https://datapackage.org/profiles/2.0/datapackage.json',
    name: 'stable',
    title: 'All that a Stable holds, but what people sign in with',
    created: stable.made,
    resources: tables.map((t) => {
      const { bytes, hash, rows } = written.get(t.name) ?? { bytes: 0, hash: '', rows: 0 };
      const [field, ...fields] = t.primaryKey;
      return {
        name: t.name,
        type: 'table',
        path: tablePath(t.name),
        format: 'csv',
        mediatype: 'text/csv',
        encoding: 'utf-8',
        bytes,
        hash: `sha256:${hash}`,
        rows,
        schema: {
          fields: t.columns.map((c) => ({
            name: c.name,
            type: c.type,
            ...(c.required ? { constraints: { required: true } } : {}),
          })),
          primaryKey: field !== undefined && fields.length === 0 ? field : t.primaryKey,
          ...(t.foreignKeys.length
            ? {
                foreignKeys: t.foreignKeys.map((f) => ({
                  fields: f.fields,
                  reference: { resource: f.table, fields: f.to },
                })),
              }
            : {}),
          missingValues: [NOTHING_HERE],
        },
      };
    }),
    stable,
  };
}
