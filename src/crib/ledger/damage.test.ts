import {
  closeSync,
  cpSync,
  ftruncateSync,
  mkdtempSync,
  openSync,
  rmSync,
  statSync,
  unlinkSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Database, migrate, one, openDatabase, plainDamage } from '@/data/database';
import { perform } from '../door';
import { furnish, openFolder } from '../testing';
import { verbNamed } from '../verbs';

/** Files of a real folder, cut short and deleted as a bad disk or a bad copy does it. */
const folders: string[] = [];
afterAll(() => folders.forEach((f) => rmSync(f, { recursive: true })));
function newFolder(): string {
  const folder = mkdtempSync(join(tmpdir(), 'stable-damage-'));
  folders.push(folder);
  return folder;
}

async function open(folder: string): Promise<Database> {
  const db = await openDatabase(folder);
  await migrate(db);
  return db;
}
/** A shop with some hundred rows, and where each table's file lies in it. */
let whole = '';
const files = new Map<string, string>();
beforeAll(async () => {
  whole = newFolder();
  const db = await openFolder(whole);
  const now = () => new Date('2027-01-05T09:00:00Z');
  const act = (name: string, input: Record<string, unknown>) =>
    perform({ db, now, zone: 'UTC' }, verbNamed(name)!, { who: 'IK', ...input });
  await furnish({ db, zone: 'UTC', now, at: () => undefined, do: act });
  for (let i = 0; i < 60; i += 1)
    await act('receiveStock', { item: 'EM10', place: 'S1', quantity: 1, note: 'x'.repeat(200) });
  expect(await plainDamage(db)).toEqual([]);
  for (const table of ['entry', 'movement', 'fact', 'form_answer'])
    files.set(
      table,
      (await one<{ path: string }>(db, `select pg_relation_filepath('${table}') as path`)).path,
    );
  await db.close();
});
/** A copy of it. */
function copy(): string {
  const folder = newFolder();
  cpSync(whole, folder, { recursive: true });
  return folder;
}
async function found(folder: string): Promise<string[]> {
  const db = await open(folder);
  try {
    return await plainDamage(db);
  } finally {
    await db.close();
  }
}
const cut = (file: string, bytes: number) => {
  const fd = openSync(file, 'r+');
  ftruncateSync(fd, bytes);
  closeSync(fd);
};

it.each([
  ['entry', 'to half', (file: string) => cut(file, 8192 * Math.floor(statSync(file).size / 16384))],
  ['movement', 'to nothing', (file: string) => cut(file, 0)],
  ['fact', 'to nothing', (file: string) => cut(file, 0)],
  ['form_answer', 'deleted', (file: string) => unlinkSync(file)],
])('%s %s: it is named', async (table, _, damage) => {
  const folder = copy();
  damage(join(folder, 'pg', files.get(table)!));
  expect(await found(folder)).toContain(`the table ${table} can’t be read to its end`);
});

it('balances that are not what was moved are named by their item', async () => {
  const folder = copy();
  const db = await open(folder);
  await db.script(
    'alter table balance disable trigger all; update balance set quantity = quantity + 1; alter table balance enable trigger all',
  );
  await db.close();
  expect(await found(folder)).toEqual([
    expect.stringMatching(/^what lies at the places is not what was moved, of .*EM10/),
  ]);
});
