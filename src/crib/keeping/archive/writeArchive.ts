import { createHash } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import Papa from 'papaparse';
import { ZipFile } from 'yazl';
import { held } from '@/core/sure';
import { type Connection, fingerprint } from '@/data/database';
import {
  fileKept,
  manyFilesKept,
  manyMigrations,
  manyTablesKept,
  rowsKept,
  type TableKept,
} from '@/data/keeping';
import { lastEntry } from '@/data/ledger';
import { cellOf } from './cell';
import { describe, FILES, PACKAGE, tablePath } from './package';
import { README } from './readme';

/**
 * Writes all of a shop as open files into one archive: a CSV of each table, pictures, programs, and a Data Package that
 * says what they are. Reads page by page, so that it takes no more memory at ten years than at one. It reads long: of a
 * copy. Gives the number of files in it.
 */
export async function writeArchive(c: Connection, to: string, made: string): Promise<number> {
  const zip = new ZipFile();
  const saved = pipeline(zip.outputStream, createWriteStream(to, { mode: 0o600 }));
  // A row that can’t be read ends the writing.
  const broken = new Promise<never>((_, reject) => zip.on('error', reject));
  const add = (path: string, make: () => Readable) =>
    zip.addReadStreamLazy(path, { mode: 0o100600 }, (take) => {
      const stream = make();
      stream.on('error', (error) => zip.emit('error', error));
      take(null, stream);
    });
  const tables = await manyTablesKept(c);
  const written = new Map<string, { bytes: number; hash: string; rows: number }>();
  const holds: Awaited<ReturnType<typeof fingerprint>> = {};
  const all = await fingerprint(c);
  for (const { name } of tables) holds[name] = held(new Map(Object.entries(all)), name);
  const stable = {
    format: 1,
    made,
    lastEntry: await lastEntry(c),
    migrations: await manyMigrations(c),
    holds,
  } as const;
  zip.addBuffer(Buffer.from(README, 'utf8'), 'README.md', { mode: 0o100600 });
  let files = 0;
  for (const table of tables) {
    add(tablePath(table.name), () => Readable.from(csvOf(c, table, written)));
    for (const { column, key, path } of FILES.filter((f) => f.table === table.name))
      for (const { id, mime } of await manyFilesKept(c, table, key)) {
        add(path(id, mime), () => Readable.from(once(() => fileKept(c, table.name, column, key, id))));
        files += 1;
      }
  }
  add(PACKAGE, () =>
    Readable.from(
      once(() => Promise.resolve(Buffer.from(JSON.stringify(describe(tables, written, stable), null, 1)))),
    ),
  );
  zip.end();
  await Promise.race([saved, broken]);
  return tables.length + files + 2;
}

async function* once(make: () => Promise<Uint8Array>): AsyncGenerator<Buffer> {
  yield Buffer.from(await make());
}

/** A table as CSV (RFC 4180), page by page; what it came to is told once it is out. */
async function* csvOf(
  c: Connection,
  table: TableKept,
  written: Map<string, { bytes: number; hash: string; rows: number }>,
): AsyncGenerator<Buffer> {
  const hash = createHash('sha256');
  let bytes = 0;
  let rows = 0;
  const out = (lines: string[][]) => {
    const chunk = Buffer.from(`${Papa.unparse(lines, { newline: '\r\n' })}\r\n`);
    hash.update(chunk);
    bytes += chunk.length;
    return chunk;
  };
  const names = table.columns.map((column) => column.name);
  const files = FILES.filter((f) => f.table === table.name);
  const at = (name: string) => names.indexOf(name);
  yield out([names]);
  for await (const page of rowsKept(
    c,
    table,
    files.map((f) => f.column),
  )) {
    rows += page.length;
    yield out(
      page.map((row) => {
        const cells = row.map(cellOf);
        for (const f of files) cells[at(f.column)] = f.path(row[at(f.key)] ?? '', row[at('mime')] ?? '');
        return cells;
      }),
    );
  }
  written.set(table.name, { bytes, hash: hash.digest('hex'), rows });
}
