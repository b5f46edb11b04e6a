import { chmodSync, existsSync } from 'node:fs';
import { join } from 'node:path';
import { PGlite, type PGliteOptions, type Transaction, types } from '@electric-sql/pglite';
import { amcheck } from '@electric-sql/pglite/contrib/amcheck';
import { pg_trgm } from '@electric-sql/pglite/contrib/pg_trgm';
import type { Connection, Database, LongTransaction, Param } from './connection';
import { DataError, isDataError, toDataError } from './errors';
import { lockFolder } from './lockFolder';
import { makeFolder } from './makeFolder';
import { Readers } from './readers';
import { FREE_BYTES, freeBytes, whyNoWrite } from './room';
import { Statements } from './statements';
import { SyncedFiles } from './syncedFiles';

/**
 * How values come out, decided once and pinned by a test: int8 as number (an error beyond 2^53), numeric as its
 * text, date as its ISO text (no zone may move a day), timestamptz as Date, json parsed.
 */
const PARSERS: PGliteOptions['parsers'] = {
  [types.INT8]: (text) => {
    const n = Number(text);
    if (!Number.isSafeInteger(n)) throw new RangeError(`int8 ${text} is beyond a safe whole number`);
    return n;
  },
  [types.NUMERIC]: (text) => text,
  [types.DATE]: (text) => text,
};

type Run = (sql: string, params: readonly Param[]) => Promise<Record<string, unknown>[]>;

/** Parts of words are found by their three-letter pieces. */
const EXTENSIONS = { pg_trgm };

function connection(run: Run): Connection {
  return {
    async query<Row>(sql: string, params: readonly Param[] = []): Promise<Row[]> {
      if (params.some((p) => p === undefined))
        throw new TypeError(`undefined parameter in: ${sql.trim().slice(0, 80)}`);
      try {
        // A statement gives the columns its caller wrote into it; PGlite can’t know them.
        return (await run(sql, params)) as Row[];
      } catch (error) {
        throw toDataError(error);
      }
    },
  };
}

/** What runs statements on a database: alone, or within a transaction of it. */
function runners(db: PGlite) {
  const statements = new Statements(db);
  // One statement at a time, and none while a transaction is open.
  const inTurn: Run = async (sql, params) => {
    await db._checkReady();
    return db._runExclusiveTransaction(() => db.runExclusive(() => statements.run(sql, params)));
  };
  const readers = new Readers(inTurn);
  const inside =
    (tx: Transaction): Run =>
    (sql, params) => {
      if (tx.closed) throw new Error('The transaction has ended');
      return db.runExclusive(() => statements.run(sql, params));
    };
  return {
    forget: () => statements.forget(),
    alone: connection((sql, params) => (READS.test(sql) ? readers.read(sql, params) : inTurn(sql, params))),
    within: (tx: Transaction) => connection(inside(tx)),
    long: <T>(work: (c: LongTransaction) => Promise<T>) =>
      readers.during(() =>
        db.transaction((tx) =>
          work({ ...connection(inside(tx)), letReadersIn: () => readers.letIn(inside(tx)) }),
        ),
      ),
  };
}

/** Seconds an owner of the folder may take that is just ending: the one before, whose supervisor was killed. */
const OWNER_ENDS_S = 3;

/** After which a statement that was read may give other columns. */
const CHANGES_SCHEMA = /\b(create|alter|drop)\b/i;
/** What only reads, or claims to: what writes all the same waits for its turn. */
const READS = /^\s*(select|with)\b/i;
const WRITES = /^\s*(insert|update|delete|truncate|create|alter|drop)\b/i;

function wrap(
  db: PGlite,
  { alone, within, long, forget }: ReturnType<typeof runners>,
  close: () => Promise<void>,
  whyNoWrite: Database['whyNoWrite'] = () => null,
): Database {
  const mustWrite = () => {
    const why = whyNoWrite();
    if (why) throw why;
  };
  const again = async <T>(attempt: () => Promise<T>): Promise<T> => {
    mustWrite();
    for (let tried = 1; ; tried += 1) {
      try {
        return await attempt();
      } catch (raw) {
        const error = toDataError(raw);
        if (!isDataError(error) || error.code !== 'TRY_AGAIN' || tried >= 3) throw error;
      }
    }
  };
  return {
    async query<Row>(sql: string, params?: readonly Param[]) {
      if (WRITES.test(sql)) mustWrite();
      return alone.query<Row>(sql, params);
    },
    whyNoWrite,
    transaction: (work) => again(() => db.transaction((tx) => work(within(tx)))),
    longTransaction: (work) => again(() => long(work)),
    async script(sql) {
      mustWrite();
      try {
        await db.exec(sql);
        if (CHANGES_SCHEMA.test(sql)) await forget();
      } catch (error) {
        throw toDataError(error);
      }
    },
    close,
  };
}

/**
 * Pages lie in memory or on a solid disk: fetching one by an index costs hardly more than reading on. Nothing is joined by
 * merging: the ledger is long and what is joined to it lies at its end, and where the planner thinks that a merge stops early
 * it walks through all of it (an item's facts at ten years: 560 ms for 10).
 */
const SETTINGS = ['-c', 'timezone=UTC', '-c', 'random_page_cost=1.1', '-c', 'enable_mergejoin=off'];
/** The log of what is written is cut back at so much: as shipped it may take a gigabyte of the disk. */
const LOG = ['-c', 'max_wal_size=192MB', '-c', 'min_wal_size=48MB'];

/** A database that lies in a folder. */
export interface FolderDatabase extends Database {
  /** How often it made sure that what it wrote is on the disk. */
  syncs: () => number;
  /** Does something while nothing else is read or written, so that the files stand still. */
  quietly<T>(work: (c: Connection) => Promise<T>): Promise<T>;
}

/** A database in a folder: locked against other processes, every commit synced to the disk. A folder without one gets one, where there is room. */
export async function openDatabase(
  folder: string,
  free = freeBytes,
  extensions: PGliteOptions['extensions'] = EXTENSIONS,
): Promise<FolderDatabase> {
  makeFolder(folder);
  // PGlite makes its files readable to all; the folder keeps them private.
  chmodSync(folder, 0o700);
  const unlock = lockFolder(folder, OWNER_ENDS_S);
  try {
    const place = join(folder, 'pg');
    // The engine that runs out of room while it makes one hangs, or ends without words.
    if (!existsSync(join(place, 'PG_VERSION')) && free(folder) < FREE_BYTES)
      throw new DataError('NO_ROOM', 'less is free than a new database needs');
    const files = new SyncedFiles(place);
    const db = await PGlite.create({
      fs: files,
      extensions,
      parsers: PARSERS,
      startParams: [
        ...PGlite.defaultStartParams.filter((p) => p !== '-F'),
        '-c',
        'wal_sync_method=fsync',
        ...SETTINGS,
        ...LOG,
      ],
    });
    const run = runners(db);
    const close = async () => {
      await db.close();
      unlock();
    };
    return {
      ...wrap(db, run, close, () => whyNoWrite(folder, unlock, free)),
      syncs: () => files.syncs,
      async quietly(work) {
        // What was written lies in the files and not only in the log: a copy then mends itself quickly.
        await db.exec('checkpoint');
        // Others wait for a transaction that is open, and one that only reads leaves the files as they are.
        return db.transaction((tx) => work(run.within(tx)));
      },
    };
  } catch (error) {
    unlock();
    throw error;
  }
}

/** The same of a copy that is to be looked through: with PostgreSQL's own check of indexes at hand. */
export const openToCheck = (folder: string): Promise<FolderDatabase> =>
  openDatabase(folder, freeBytes, { ...EXTENSIONS, amcheck });

/** A database in memory, for tests and for reading a dump: real PostgreSQL, no folder. */
export async function openInMemory(loadDataDir?: Blob): Promise<Database & { dump: () => Promise<Blob> }> {
  const db = await PGlite.create({
    parsers: PARSERS,
    extensions: EXTENSIONS,
    loadDataDir,
    startParams: [...PGlite.defaultStartParams, ...SETTINGS],
  });
  return { ...wrap(db, runners(db), () => db.close()), dump: () => db.dumpDataDir('none') };
}
