import {
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  writeFileSync,
  existsSync,
  createWriteStream,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buffer } from 'node:stream/consumers';
import { pipeline } from 'node:stream/promises';
import fc from 'fast-check';
import sharp from 'sharp';
import { ZipFile } from 'yazl';
import { perform } from '@/crib/door';
import { furnish, oneToolProgram, openFolder, openTestCrib, OWNER } from '@/crib/testing';
import { verbNamed } from '@/crib/verbs';
import { VIEWS } from '@/crib/views';
import { differing, fingerprint, type FolderDatabase, openDatabase } from '@/data/database';
import { manyTablesKept } from '@/data/keeping';
import { bringInto } from './bringInto';
import { cellOf, textOf } from './cell';
import { bringIn, openArchive } from './readArchive';
import { writeArchive } from './writeArchive';

const below = mkdtempSync(join(tmpdir(), 'stable-archive-'));
afterAll(() => rmSync(below, { recursive: true, force: true }));
const at = (name: string) => join(below, name);
const zone = 'Europe/Oslo';
const now = () => new Date('2027-01-05T09:00:00Z');

const ODD = '=1+1, "two"\nlines; \\N and Ø—µ';
let db: FolderDatabase;
const act = (name: string, input: Record<string, unknown>) =>
  perform({ db, now, zone }, verbNamed(name)!, { who: 'IK', ...input });
beforeAll(async () => {
  db = await openFolder(at('shop'));
  await furnish({ db, zone, now, at: () => undefined, do: act });
  await act('addPlace', { code: 'ODD', name: "'=cmd|x", kind: 'drawer', note: ODD });
  const { operation } = await act('addJob', {
    number: 'J-1',
    part: '\\N',
    material: 'C45',
    quantity: 9,
    due: '2027-03-01',
    machine: 'M2',
  });
  await act('storeProgram', { operation, text: `(${'Ø'.repeat(30)})\r\n${oneToolProgram(7, 3)}` });
  const photo = await sharp({ create: { width: 90, height: 60, channels: 3, background: '#777' } })
    .png()
    .toBuffer();
  await act('addPicture', { item: 'EM10', shows: 'the cutter', content: photo.toString('base64') });
  await act('counterEntry', {
    counters: (await act('addPlace', { code: 'GONE', name: 'x', kind: 'shelf' })).entry,
  });
  await db.query(
    "insert into secret (person, password_hash, changed_at) values ('IK', 'never to be told', now())",
  );
  await writeArchive(db, at('all.zip'), now().toISOString());
});
afterAll(() => db.close());

const kept = async (d: FolderDatabase) => {
  const names = new Set((await manyTablesKept(d)).map((t) => t.name));
  return Object.fromEntries(Object.entries(await fingerprint(d)).filter(([name]) => names.has(name)));
};
const textIn = async (name: string) => {
  const archive = await openArchive(at('all.zip'));
  const bytes = await buffer(await archive.stream(name));
  archive.close();
  return bytes.toString('utf8');
};

it('out and in again it is equal: each row, each view, pictures and programs; what was written goes on', async () => {
  // A first start that was killed left a part of its own, which is nobody's (Linux: no process has so high a number).
  mkdirSync(at('again/beginning-5000000/pg'), { recursive: true });
  expect(await bringInto(at('all.zip'), at('again'))).toEqual({
    lastEntry: expect.any(Number),
    migrations: 0,
  });
  const again = await openDatabase(at('again'));
  const before = await kept(db);
  expect(Object.keys(before).length).toBeGreaterThan(60);
  expect(differing(before, await kept(again))).toEqual([]);
  // A digest says that rows are the same; this says it of what people see.
  const shown = (d: FolderDatabase, [path, asked]: readonly string[]) =>
    VIEWS.find((v) => v.path === path)!.read(
      { db: d, now, zone },
      new URLSearchParams(asked),
      undefined,
      OWNER,
    );
  for (const view of [
    ['today'],
    ['shop'],
    ['item', 'code=EM10'],
    ['stock'],
    ['job', 'number=J-1'],
    ['entries'],
  ])
    expect({ view, shown: await shown(again, view) }).toEqual({ view, shown: await shown(db, view) });
  const bytes = 'select entry_id, bytes, thumb from picture';
  expect(await again.query(bytes)).toEqual(await db.query(bytes));
  // The next of everything has a number of its own, and triggers run again.
  const { entry } = await perform({ db: again, now, zone }, verbNamed('receiveStock')!, {
    who: 'IK',
    item: 'EM10',
    place: 'ODD',
    quantity: 2,
  });
  expect(entry).toBe((await db.query<{ n: number }>('select max(id) + 1 as n from entry'))[0]!.n);
  expect(
    await again.query(
      "select quantity from balance b join place p on p.id = b.place_id where p.code = 'ODD'",
    ),
  ).toEqual([{ quantity: 2 }]);
  await again.close();
});

// Data Package and Table Schema (datapackage.org, version 2; from memory): names, types, keys, missing values.
it('says of itself what each table and column is, and holds no secret', async () => {
  const said = JSON.parse(await textIn('datapackage.json')) as {
    resources: { name: string; path: string; bytes: number; rows: number; schema: Record<string, unknown> }[];
  };
  const movement = said.resources.find((r) => r.name === 'movement')!;
  expect(movement.schema).toMatchObject({
    missingValues: ['\\N'],
    primaryKey: 'id',
    fields: expect.arrayContaining([{ name: 'quantity', type: 'integer', constraints: { required: true } }]),
    foreignKeys: expect.arrayContaining([
      { fields: ['item_id'], reference: { resource: 'item', fields: ['id'] } },
    ]),
  });
  const csv = await textIn(movement.path);
  expect(Buffer.byteLength(csv)).toBe(movement.bytes);
  expect(csv.trimEnd().split('\r\n')).toHaveLength(1 + movement.rows);
  expect(said.resources.map((r) => r.name)).not.toEqual(
    expect.arrayContaining([expect.stringMatching(/^(secret|session|api_key|one_time_code)$/)]),
  );
  expect(readFileSync(at('all.zip')).includes('never to be told')).toBe(false);
  // A program is a file as it was stored.
  expect(await textIn((await textIn('tables/program.csv')).match(/programs\/\d+\.nc/)![0])).toContain('(ØØØ');
});

it('any text comes back from its cell, and none of them runs in a spreadsheet', () =>
  fc.assert(
    fc.property(
      fc.oneof(fc.constant(null), fc.string(), fc.stringMatching(/^'{0,3}[=+\-@\t\r\\]N?.{0,4}$/)),
      (text) => {
        expect(textOf(cellOf(text))).toBe(text);
        // OWASP, CSV injection: cells that begin so are run. A number is none.
        if (text !== null && !/^[+-]?\d[\d.,]*$/.test(text)) expect(cellOf(text)).not.toMatch(/^[=+\-@\t\r]/);
      },
    ),
  ));

describe('refused, and nothing is brought in', () => {
  /** The same archive with some of its files otherwise. */
  async function changed(
    name: string,
    change: (path: string, text: string) => string | null,
  ): Promise<string> {
    const archive = await openArchive(at('all.zip'));
    const zip = new ZipFile();
    const paths = [
      'datapackage.json',
      ...(JSON.parse(await textIn('datapackage.json')) as { resources: { path: string }[] }).resources.map(
        (r) => r.path,
      ),
    ];
    for (const path of [...paths, ...(await filesIn())]) {
      const bytes = await buffer(await archive.stream(path));
      const made = path.startsWith('pictures/') ? bytes : change(path, bytes.toString('utf8'));
      if (made !== null) zip.addBuffer(Buffer.from(made), path);
    }
    zip.end();
    await pipeline(zip.outputStream, createWriteStream(at(name)));
    archive.close();
    return at(name);
  }
  const filesIn = async () => {
    const texts = await Promise.all(['picture', 'program'].map((t) => textIn(`tables/${t}.csv`)));
    return texts.flatMap((t) => t.match(/(pictures|programs)\/[\w-]+\.\w+/g) ?? []);
  };
  it.each<[string, (path: string, text: string) => string | null, RegExp]>([
    [
      'a value that was changed',
      (p, t) => (p === 'tables/movement.csv' ? t.replace(/,3,/, ',4,') : t),
      /not what it was.*movement/,
    ],
    [
      'a row that is missing',
      (p, t) => (p === 'tables/fact.csv' ? t.replace(/\r\n[^\r]*\r\n$/, '\r\n') : t),
      /not what it was.*fact/,
    ],
    [
      'a program that was changed',
      (p, t) => (p.endsWith('.nc') ? t.replace('F100', 'F900') : t),
      /not what it was.*program/,
    ],
    [
      'a table that is missing',
      (p, t) => (p === 'tables/balance.csv' ? null : t),
      /tables\/balance\.csv is missing/,
    ],
    [
      'other columns',
      (p, t) => (p === 'tables/place.csv' ? t.replace('code', 'kode') : t),
      /columns of place/,
    ],
    ['a file that says nothing', (p, t) => (p === 'datapackage.json' ? '{}' : t), /not all of a Stable/],
    [
      'a newer Stable',
      (p, t) => (p === 'datapackage.json' ? t.replace(/"checksum": "./, '"checksum": "_') : t),
      /newer Stable/,
    ],
  ])('%s', async (name, change, words) => {
    const path = await changed(`${name}.zip`, change);
    const crib = await openTestCrib();
    await expect(openArchive(path).then((archive) => bringIn(crib.db, archive, path))).rejects.toThrow(words);
    await crib.db.close();
  });
  it('into a folder that holds something, and what is no archive', async () => {
    await expect(bringInto(at('all.zip'), at('shop'))).rejects.toMatchObject({ code: 'REFUSED' });
    writeFileSync(at('none.zip'), 'no archive');
    await expect(bringInto(at('none.zip'), at('nothing'))).rejects.toThrow(/no archive/);
    // Its list of files, damaged: a signature of the ZIP specification (PKWARE APPNOTE 4.3.12) that is none.
    const bytes = readFileSync(at('all.zip'));
    bytes[bytes.lastIndexOf('PK\x01\x02')] = 0;
    writeFileSync(at('damaged.zip'), bytes);
    await expect(bringInto(at('damaged.zip'), at('nothing'))).rejects.toThrow(/no archive/);
    await expect(
      changed('short.zip', (p, t) => (p === 'tables/fact.csv' ? t.slice(0, -40) : t)).then((path) =>
        bringInto(path, at('nothing')),
      ),
    ).rejects.toMatchObject({ code: 'REFUSED' });
    expect([existsSync(at('nothing')), existsSync(at('nothing.bringing-in'))]).toEqual([false, false]);
  });
});
