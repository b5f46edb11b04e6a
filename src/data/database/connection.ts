import type { DataError } from './errors';

/** What a query takes. undefined is refused: a forgotten value must not become NULL. */
export type Param =
  string | number | boolean | null | Date | Uint8Array | readonly (string | number | boolean | null)[];

/** A connection: plain SQL with $1 parameters. A transaction hands its own down. */
export interface Connection {
  query<Row>(sql: string, params?: readonly Param[]): Promise<Row[]>;
}

/** A transaction in steps. */
export interface LongTransaction extends Connection {
  /** Lets in who reads meanwhile: they see what is written so far, which must not count yet. */
  letReadersIn(): Promise<void>;
}

/** The one small interface behind which PGlite can become a PostgreSQL server with the same SQL. */
export interface Database extends Connection {
  /** All or nothing. Only serialization failures and deadlocks are tried again. */
  transaction<T>(work: (c: Connection) => Promise<T>): Promise<T>;
  /** The same of what is long: whoever reads is let in between its steps, whoever writes waits for its end. */
  longTransaction<T>(work: (c: LongTransaction) => Promise<T>): Promise<T>;
  /** Several statements without parameters: migrations. */
  script(sql: string): Promise<void>;
  /** Why nothing may be written now: no room on the disk, or the folder is gone; null: it may. */
  whyNoWrite(): DataError | null;
  close(): Promise<void>;
}
