import { once } from 'node:events';
import { buffer, text } from 'node:stream/consumers';
import type { Readable } from 'node:stream';
import Papa from 'papaparse';
import { type Entry, open as openZip, type ZipFile } from 'yauzl';
import { Problem } from '@/crib/door';
import {
  type Connection,
  type Database,
  differing,
  fingerprint,
  isDataError,
  migrate,
  MigrationChanged,
} from '@/data/database';
import {
  emptyForRows,
  manyMigrations,
  manyTablesKept,
  numberOn,
  putRowsKept,
  type TableKept,
} from '@/data/keeping';
import { textOf } from './cell';
import { FILES, type OfStable, PACKAGE, type Package, tablePath } from './package';

/** Bytes that the archive’s own description may have. */
const MOST_ABOUT = 20_000_000;
/** Rows held at once. */
const ROWS = 200;

const no = (archive: string, detail: string, wayOut: string) =>
  new Problem('REFUSED', detail, {
    field: 'archive',
    value: archive,
    wayOut: `${wayOut} Nothing was brought in.`,
  });

/** An archive that is open: its files by their paths, and what it says of itself. */
export interface OpenArchive {
  stable: OfStable;
  unpackedBytes: number;
  stream: (path: string) => Promise<Readable>;
  close: () => void;
}

/** Opens an archive and reads what it says of itself. Throws a Problem where it is none. */
export async function openArchive(path: string): Promise<OpenArchive> {
  const entries = new Map<string, Entry>();
  let zip: ZipFile;
  try {
    zip = await new Promise<ZipFile>((resolve, reject) =>
      openZip(path, { lazyEntries: true, autoClose: false }, (error, opened) =>
        error ? reject(error) : resolve(opened),
      ),
    );
    zip.on('entry', (entry: Entry) => {
      entries.set(entry.fileName, entry);
      zip.readEntry();
    });
    // What its list of files says wrongly ends the waiting as an error.
    const ended = once(zip, 'end');
    zip.readEntry();
    await ended;
  } catch {
    throw no(path, `${path} is no archive that can be opened`, 'Name a file that npm run archive made.');
  }
  const stream = (name: string): Promise<Readable> =>
    new Promise((resolve, reject) => {
      const entry = entries.get(name);
      if (!entry) reject(no(path, `${name} is missing in it`, 'Take the archive as it was made.'));
      else zip.openReadStream(entry, (error, opened) => (error ? reject(error) : resolve(opened)));
    });
  const about = entries.get(PACKAGE);
  let said: Partial<Package> = {};
  if (about && about.uncompressedSize <= MOST_ABOUT)
    try {
      // Looked at below before it is believed; its rows are compared at the end.
      said = JSON.parse(await text(await stream(PACKAGE)));
    } catch {
      // As if it said nothing.
    }
  if (said.stable?.format !== 1 || !Array.isArray(said.stable.migrations) || !said.stable.migrations.length) {
    zip.close();
    throw no(
      path,
      `${path} is not all of a Stable`,
      'Name a file that npm run archive made, or that was saved on the page Backups.',
    );
  }
  return {
    stable: said.stable,
    unpackedBytes: [...entries.values()].reduce((n, e) => n + e.uncompressedSize, 0),
    stream,
    close: () => zip.close(),
  };
}

/**
 * Brings an archive into an empty database: the schema as it was then, all rows, compared with what went out by their
 * digests, and then the steps to the schema of now. Gives how many steps those were. Throws a Problem; then the database is of no use.
 */
export async function bringIn(db: Database, archive: OpenArchive, path: string): Promise<number> {
  const { stable } = archive;
  const last = Math.max(...stable.migrations.map((m) => m.number));
  await migrate(db, undefined, last);
  const known = await manyMigrations(db);
  const other = stable.migrations.filter(
    (m) => !known.some((k) => k.number === m.number && k.checksum === m.checksum),
  );
  if (other.length || known.length !== stable.migrations.length)
    throw new MigrationChanged(
      `${path} was made by a newer Stable, or by another (step ${other[0]?.name ?? last}). Bring it in by that one.`,
    );
  await db.transaction(async (c) => {
    const tables = await manyTablesKept(c);
    await emptyForRows(c, tables);
    for (const table of tables) await putTable(c, archive, table, path);
    await numberOn(c);
    const holds = await fingerprint(c);
    const ofBooks = Object.entries(holds).filter(([name]) => tables.some((t) => t.name === name));
    const wrong = differing(stable.holds, Object.fromEntries(ofBooks));
    if (wrong.length)
      throw no(
        path,
        `It is not what it was when it was made: ${wrong.slice(0, 5).join(', ')}`,
        'Take it as it was made.',
      );
  });
  return migrate(db);
}

async function putTable(c: Connection, archive: OpenArchive, table: TableKept, path: string): Promise<void> {
  const lines = (await archive.stream(tablePath(table.name))).pipe(
    Papa.parse(Papa.NODE_STREAM_INPUT, { delimiter: ',' }),
  );
  const files = FILES.filter((f) => f.table === table.name);
  let columns: (number | undefined)[] | null = null;
  let rows: (string | null)[][] = [];
  const put = async () => {
    for (const row of rows)
      for (const { column } of files) {
        const at = table.columns.findIndex((x) => x.name === column);
        const bytes = await buffer(await archive.stream(row[at] ?? ''));
        row[at] = table.columns[at]?.sql === 'bytea' ? `\\x${bytes.toString('hex')}` : bytes.toString('utf8');
      }
    try {
      await putRowsKept(c, table, rows);
    } catch (error) {
      if (!isDataError(error)) throw error;
      throw no(path, `Rows of ${table.name} are none that it can have`, 'Take the archive as it was made.');
    }
    rows = [];
  };
  for await (const cells of lines) {
    // Papa gives each line as its cells.
    const line: string[] = cells;
    if (!columns) {
      const names = line;
      columns = table.columns.map((x) => {
        const at = names.indexOf(x.name);
        return at < 0 ? undefined : at;
      });
      if (columns.includes(undefined) || names.length !== table.columns.length)
        throw no(path, `The columns of ${table.name} are not those it had`, 'Take it as it was made.');
      continue;
    }
    rows.push(columns.map((at) => (at === undefined ? null : textOf(line[at] ?? ''))));
    if (rows.length >= ROWS) await put();
  }
  await put();
}
