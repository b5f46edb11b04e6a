import { cpSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { differing, fingerprint, type FolderDatabase, openDatabase } from '@/data/database';
import { type Done, here, letOthersIn, perform } from '../door';
import { furnish, openFolder } from '../testing';
import { verbNamed } from '../verbs';
import { backUp, backupsBelow, readBackup, restore } from './index';

/** Real folders, copied while they are written to, and put back. */
const folders: string[] = [];
afterAll(() => folders.forEach((f) => rmSync(f, { recursive: true, force: true })));
function newFolder(): string {
  const below = mkdtempSync(join(tmpdir(), 'stable-keeping-'));
  folders.push(below);
  return below;
}
const clock = (iso: string) => new Date(iso);
const now = () => clock('2027-01-05T09:00:00Z');

let below: string;
let data: string;
let db: FolderDatabase;
const act = (name: string, input: Record<string, unknown>): Promise<Done> =>
  perform({ db, now, zone: 'UTC' }, verbNamed(name)!, { who: 'IK', ...input });
const receive = () => act('receiveStock', { item: 'EM10', place: 'S1', quantity: 1 });
beforeAll(async () => {
  below = newFolder();
  data = join(below, 'data');
  db = await openFolder(data);
  await furnish({ db, zone: 'UTC', now, at: () => undefined, do: act });
});
afterAll(() => db.close());
const make = (at: string, keep = 9) =>
  backUp(db, { data, to: join(below, 'backups'), now: clock(at), keep, beside: here });

it('taken while it is written to, it is what was there at one moment, and restores to equal rows', async () => {
  let on = true;
  const entries: number[] = [];
  const writing = (async () => {
    // As requests come: between two of them the server turns to others.
    for (; on; await letOthersIn()) entries.push((await receive()).entry);
  })();
  const { folder, backup } = await make('2027-01-05T10:00:00Z');
  on = false;
  await writing;
  expect(entries.length).toBeGreaterThan(0);
  // Nobody's write is half in it: what it holds ends with an entry, whose rows and answer are all there.
  const target = join(below, 'restored');
  const done = await restore(folder, target, { now: now() });
  expect(done).toEqual({
    made: '2027-01-05T10:00:00.000Z',
    lastEntry: backup.lastEntry,
    migrations: 0,
    before: null,
  });
  const again = await openDatabase(target);
  expect(differing(backup.holds, await fingerprint(again))).toEqual([]);
  const [counts] = await again.query<{ entries: number; answers: number }>(
    'select (select count(*)::int from entry) as entries, (select count(*)::int from form_answer) as answers',
  );
  expect(counts!.entries).toBe(counts!.answers);
  await again.close();
});

it('keeps the newest of them, and leaves alone what is none', async () => {
  writeFileSync(join(below, 'backups', 'stable-notes.txt'), 'mine');
  await make('2027-01-06T10:00:00Z');
  await make('2027-01-07T10:00:00Z', 2);
  expect(readdirSync(join(below, 'backups')).sort()).toEqual([
    'stable-2027-01-06T100000Z',
    'stable-2027-01-07T100000Z',
    'stable-notes.txt',
  ]);
  expect(backupsBelow(join(below, 'backups'))[0]).toBe('stable-2027-01-07T100000Z');
});

it('a dry run says what would be and leaves the data as it was; the data before is kept beside', async () => {
  const backup = join(below, 'backups', 'stable-2027-01-07T100000Z');
  const target = join(below, 'target');
  cpSync(join(below, 'restored'), target, { recursive: true });
  writeFileSync(join(target, 'mine.txt'), 'x');
  const dry = await restore(backup, target, { now: now(), dryRun: true });
  expect(dry.lastEntry).toBe(readBackup(backup).lastEntry);
  expect(readdirSync(target)).toContain('mine.txt');
  expect(existsSync(`${target}.restoring`)).toBe(false);
  const { before } = await restore(backup, target, { now: now() });
  expect(before).toBe(`${target}.before-2027-01-05T090000Z`);
  expect(readFileSync(join(before!, 'mine.txt'), 'utf8')).toBe('x');
  expect(readdirSync(target)).not.toContain('mine.txt');
});

describe('refused, with everything as it was', () => {
  const broken = (change: (folder: string) => void) => {
    const folder = join(newFolder(), 'stable-2027-01-07T100000Z');
    cpSync(join(below, 'backups', 'stable-2027-01-07T100000Z'), folder, { recursive: true });
    change(folder);
    return folder;
  };
  it.each<[string, (folder: string) => void, string]>([
    ['without its words', (f) => rmSync(join(f, 'backup.json')), 'NOT_FOUND'],
    [
      'that is not what it says',
      (f) => {
        const said = readBackup(f);
        writeFileSync(
          join(f, 'backup.json'),
          JSON.stringify({ ...said, holds: { ...said.holds, entry: { rows: 1, digest: '7' } } }),
        );
      },
      'REFUSED',
    ],
  ])('a backup %s', async (_, change, code) => {
    const target = join(newFolder(), 'data');
    await expect(restore(broken(change), target, { now: now() })).rejects.toMatchObject({ code });
    expect(existsSync(target)).toBe(false);
  });
  it('into a folder that a Stable has open', async () =>
    expect(
      restore(join(below, 'backups', 'stable-2027-01-07T100000Z'), data, { now: now() }),
    ).rejects.toMatchObject({
      name: 'FolderInUse',
    }));
  it('a backup to where none can be', async () => {
    const file = join(newFolder(), 'file');
    writeFileSync(file, 'x');
    await expect(
      backUp(db, { data, to: join(file, 'in'), now: now(), keep: 3, beside: here }),
    ).rejects.toMatchObject({ code: 'NO_ROOM', message: expect.stringContaining('it is no folder') });
  });
  it('a backup into the data folder itself, and on a copy that differs', async () => {
    await expect(
      backUp(db, { data, to: join(data, 'backups'), now: now(), keep: 3, beside: here }),
    ).rejects.toMatchObject({ code: 'INVALID_INPUT' });
    const lossy: typeof here = async (task, input, options) => {
      const found = await here(task, input, options);
      // A disk that lost a row on the way.
      return { ...found, holds: {} };
    };
    const to = join(newFolder(), 'backups');
    await expect(backUp(db, { data, to, now: now(), keep: 3, beside: lossy })).rejects.toMatchObject({
      code: 'REFUSED',
    });
    expect(readdirSync(to)).toEqual([]);
  });
});
