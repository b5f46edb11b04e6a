import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { here, perform } from '@/crib/door';
import { furnish, openFolder } from '@/crib/testing';
import { verbNamed } from '@/crib/verbs';
import { differing, fingerprint, type FolderDatabase, openDatabase, openToCheck } from '@/data/database';
import { wholeDamage } from '@/data/keeping';
import { keepingView, openKeeper, restore } from './index';
import { handOver } from './archive/handOver';
import { backUp, mustHaveRoom } from './backUp';
import { lockFiles, unlockFiles } from './lock';
import { lastWanted, nextWanted } from './timetable';

/** A real folder and its keeper, with a clock that the test turns. */
const below = mkdtempSync(join(tmpdir(), 'stable-keeper-'));
afterAll(() => rmSync(below, { recursive: true, force: true }));
const data = join(below, 'data');
const to = join(below, 'backups');
const zone = 'Europe/Oslo';
let clock = new Date('2027-01-05T09:00:00Z');
const now = () => clock;
let db: FolderDatabase;
let keeper: ReturnType<typeof openKeeper>;
/** When is one thing, and that a copy is opened and compared another (keeping.test): here copies are believed at first. */
let believed = true;
let found: string[] = [];
const beside: typeof here = async (task, input, options) =>
  // What checkCopy gives, of the folder that was copied.
  believed
    ? ({ holds: await fingerprint(db), faults: found } as Awaited<ReturnType<typeof task.run>>)
    : here(task, input, options);
const act = (name: string, input: Record<string, unknown>) =>
  perform({ db, now, zone }, verbNamed(name)!, { who: 'IK', ...input });
const shown = () => keepingView({ db, now, zone, keeper });
beforeAll(async () => {
  db = await openFolder(data);
  await furnish({ db, zone, now, at: () => undefined, do: act });
  mkdirSync(join(data, 'copies', 'of-a-killed-one'), { recursive: true });
  keeper = openKeeper({ db, now, zone }, data, beside);
});
afterAll(() => db.close());

it('what a killed Stable left of a copy goes at the start', () =>
  expect(existsSync(join(data, 'copies'))).toBe(false));

// Time zones: IANA; Oslo has UTC+1, from 28 March 2027 UTC+2.
it.each([
  ['2027-01-05T09:00:00Z', '2027-01-05T01:00:00Z', '2027-01-06T01:00:00Z'],
  ['2027-01-05T00:59:00Z', '2027-01-04T01:00:00Z', '2027-01-05T01:00:00Z'],
  ['2027-07-05T09:00:00Z', '2027-07-05T00:00:00Z', '2027-07-06T00:00:00Z'],
  // The night on which 02:00 to 03:00 is left out: it is made that night all the same.
  ['2027-03-28T09:00:00Z', '2027-03-28T01:00:00Z', '2027-03-29T00:00:00Z'],
])('at %s one is wanted since %s and next at %s', (at, last, next) => {
  expect(lastWanted({ at: '02:00' }, zone, new Date(at)).toISOString()).toBe(last.replace('Z', '.000Z'));
  expect(nextWanted({ at: '02:00' }, zone, new Date(at))?.toISOString()).toBe(next.replace('Z', '.000Z'));
});

describe('by a timetable', () => {
  it('is made once it is time, even if the machine was off then, and not again', async () => {
    expect((await shown()).judged).toMatchObject({ grade: 'not judged' });
    await keeper.lookAtTimetable();
    expect(keeper.facts().checked).toBeNull();
    await act('setBackups', { made: 'every night', folder: to, at: '02:00', keep: 2, locked: 'no' });
    await keeper.lookAtTimetable();
    expect(readdirSync(to)).toEqual(['stable-2027-01-05T090000Z']);
    await keeper.lookAtTimetable();
    clock = new Date('2027-01-06T00:59:30Z');
    await keeper.lookAtTimetable();
    expect(readdirSync(to)).toHaveLength(1);
    clock = new Date('2027-01-06T01:00:10Z');
    await keeper.lookAtTimetable();
    expect(await shown()).toMatchObject({
      judged: { grade: 'good' },
      plan: { folder: to, at: '02:00', keep: 2, locked: false },
      next: new Date('2027-01-07T01:00:00Z'),
      there: ['stable-2027-01-06T010010Z', 'stable-2027-01-05T090000Z'],
      sameDisk: true,
      facts: { good: { at: '2027-01-06T01:00:10.000Z' }, checked: { faults: [] } },
    });
  });

  it('what fails is said, tried again after an hour, and forgotten once one is good', async () => {
    clock = new Date('2027-01-07T01:00:10Z');
    rmSync(to, { recursive: true });
    writeFileSync(to, 'a file');
    await expect(keeper.lookAtTimetable()).rejects.toMatchObject({ code: 'NO_ROOM' });
    expect(await shown()).toMatchObject({
      judged: { grade: 'question', words: expect.stringMatching(/02:00 was not made: .*no folder/) },
      there: null,
    });
    rmSync(to);
    clock = new Date('2027-01-07T01:30:00Z');
    await keeper.lookAtTimetable();
    expect(existsSync(to)).toBe(false);
    clock = new Date('2027-01-07T02:00:20Z');
    await keeper.lookAtTimetable();
    expect((await shown()).judged.grade).toBe('good');
    expect(keeper.facts().failed).toBeNull();
  });

  it('of nights without one Today is told, the longer the worse', async () => {
    clock = new Date('2027-01-08T09:00:00Z');
    expect((await shown()).judged).toMatchObject({
      grade: 'question',
      words: expect.stringMatching(/nothing says why/),
    });
    clock = new Date('2027-01-09T09:00:00Z');
    expect((await shown()).judged).toMatchObject({
      grade: 'stop',
      words: 'The last good backup is 2 days old',
    });
  });

  it('what does not agree makes no backup, and is said whatever else is good', async () => {
    clock = new Date('2027-01-09T10:00:00Z');
    found = ['the index item_by_code does not hold the rows of item'];
    await expect(keeper.lookAtTimetable()).rejects.toThrow(
      /Books or files do not agree: the index item_by_code/,
    );
    expect((await shown()).judged).toMatchObject({
      grade: 'stop',
      words: expect.stringContaining('item_by_code'),
    });
    found = [];
  });
  it('where none is planned, all is looked through each night all the same', async () => {
    await act('setBackups', { made: 'not' });
    await keeper.lookAtTimetable();
    expect(keeper.facts().checked).toEqual({ at: '2027-01-09T10:00:00.000Z', faults: expect.any(Array) });
    clock = new Date('2027-01-10T02:30:00Z');
    for (let turn = 0; turn < 2; turn += 1) await keeper.lookAtTimetable();
    expect(keeper.facts().checked).toEqual({ at: '2027-01-10T02:30:00.000Z', faults: [] });
    expect((await shown()).judged).toMatchObject({
      grade: 'question',
      words: expect.stringContaining('no next one'),
    });
    await act('setBackups', { made: 'every night', folder: to, at: '02:00', keep: 2, locked: 'no' });
  });

  it.each([
    ['in the data itself', () => join(data, 'backups'), /lies in the data itself/],
    ['that is none', () => join(below, 'data', 'dir.lock'), /no folder|can’t be made/],
    ['that takes none', () => '/proc/stable', /can’t be made/],
    ['not by its whole path', () => 'backups', /does not begin with/],
  ])('refuses a folder %s', async (_, folder, words) => {
    await expect(
      act('setBackups', { made: 'every night', folder: folder(), at: '02:00', keep: 2 }),
    ).rejects.toMatchObject({ code: 'INVALID_INPUT', message: expect.stringMatching(words) });
  });
  it('refuses half of what is needed, and what is no time', async () => {
    for (const input of [
      { folder: to, keep: 2 },
      { folder: to, at: '24:00', keep: 2 },
      { folder: to, at: '25:00', keep: 2 },
      { folder: to, at: '02:00', keep: 0 },
      { folder: `${to}\u0000`, at: '02:00', keep: 2 },
      { at: '02:00', keep: 2 },
    ])
      await expect(act('setBackups', { made: 'every night', ...input })).rejects.toMatchObject({
        code: 'INVALID_INPUT',
      });
    expect((await shown()).plan).toMatchObject({ folder: to });
  });
});

describe('locked by a passphrase', () => {
  beforeAll(() => void (believed = false));
  const PASSPHRASE = 'correct horse battery staple';
  let file: string;
  it('is one file that shows nothing of the shop, and opens by it alone to equal rows', async () => {
    await act('setBackups', { made: 'every night', folder: to, at: '02:00', keep: 1, locked: 'yes' });
    await expect(keeper.lookAtTimetable()).rejects.toThrow(/No passphrase is set/);
    keeper.setPassphrase(PASSPHRASE);
    expect(statSync(join(data, 'backup-passphrase')).mode & 0o777).toBe(0o600);
    clock = new Date('2027-01-11T01:00:10Z');
    await keeper.lookAtTimetable();
    // The one that lay open went by `keep`, and nothing of a copy is left.
    expect(readdirSync(to)).toEqual(['stable-2027-01-11T010010Z.tar.gz.age']);
    expect(existsSync(join(data, 'copies', 'stable-2027-01-11T010010Z'))).toBe(false);
    file = join(to, 'stable-2027-01-11T010010Z.tar.gz.age');
    const bytes = readFileSync(file);
    // age-encryption.org/v1: its first line, and a stanza for a passphrase.
    expect(bytes.subarray(0, 30).toString('latin1')).toMatch(/^age-encryption\.org\/v1\n-> scr/);
    expect(bytes.includes('PG_VERSION')).toBe(false);
    const target = join(below, 'unlocked');
    await expect(restore(file, target, { now: now() })).rejects.toThrow(/locked by a passphrase/);
    mkdirSync(target);
    writeFileSync(join(target, 'backup-passphrase'), PASSPHRASE);
    await restore(file, target, { now: now(), passphrase: PASSPHRASE });
    // What the folder knew of its keeping came along.
    expect(readFileSync(join(target, 'backup-passphrase'), 'utf8')).toBe(PASSPHRASE);
    const again = await openDatabase(target);
    const there = await fingerprint(db);
    expect(differing(there, await fingerprint(again))).toEqual([]);
    await again.close();
  }, 120_000);
  it.each<[string, string, (bytes: Buffer) => void]>([
    ['by another passphrase', 'another one altogether', () => undefined],
    // Encryption that is authenticated: a bit that turned is found, and nothing of it is believed.
    ['with one bit turned', PASSPHRASE, (bytes) => void (bytes[bytes.length >> 1]! ^= 1)],
    ['cut short', PASSPHRASE, (bytes) => void bytes.fill(0, bytes.length - 20)],
  ])('%s nothing opens', async (name, passphrase, change) => {
    const folder = join(below, `of ${name}`);
    mkdirSync(folder);
    writeFileSync(join(folder, 'x'), 'x'.repeat(200_000));
    const locked = join(below, `${name}.tar.gz.age`);
    // Few rounds: what is looked for is not how long a guess takes.
    await lockFiles(folder, locked, PASSPHRASE, 10);
    const bytes = readFileSync(locked);
    change(bytes);
    writeFileSync(locked, bytes);
    await expect(unlockFiles(locked, join(below, `from ${name}`), passphrase)).rejects.toThrow(
      /does not open by this passphrase, or is damaged/,
    );
  });
});

it('one thing at a time: who comes second is told what is being done', async () => {
  const first = keeper.check();
  await expect(keeper.archive()).rejects.toMatchObject({
    code: 'BUSY',
    message: expect.stringContaining('looked through'),
  });
  expect(await first).toEqual({ faults: [] });
  const { file } = await keeper.archive();
  expect(statSync(file).mode & 0o777).toBe(0o600);
  expect(readdirSync(join(data, 'copies'))).toHaveLength(1);
  // Where it can't lie, that is said, and nothing of it stays behind.
  expect(() => handOver(file, join(below, 'no', 'folder', 'all.zip'))).toThrow(/can’t be written/);
  expect(readdirSync(join(data, 'copies'))).toEqual([]);
});

it('where no folder can be made, a backup is refused and nothing stands still', () =>
  expect(backUp(db, { data, to: '/proc/stable/backups', now: now(), keep: 2, beside })).rejects.toMatchObject(
    { code: 'NO_ROOM', message: expect.stringContaining('no folder can be made') },
  ));

it('a copy that would fill the disk is refused before it is begun', () => {
  expect(() => mustHaveRoom(50e6, below, () => 251e6)).not.toThrow();
  expect(() => mustHaveRoom(50e6, below, () => 249e6)).toThrow(/copy of 50 MB does not go onto the disk/);
});

describe('looked through whole', () => {
  const folder = join(below, 'unlocked');
  const withCopy = async (change: string) => {
    const copy = await openToCheck(folder);
    try {
      await copy.script(
        `set session_replication_role = replica; ${change}; set session_replication_role = default`,
      );
      return await wholeDamage(copy);
    } finally {
      await copy.close();
    }
  };
  it('finds what is kept ready and is not what the ledger sums up to', async () => {
    expect(await withCopy('update place_now set pieces = pieces + 1 where items > 0')).toEqual([
      'not what the ledger sums up to: how much lies at each place',
    ]);
    await withCopy('update place_now set pieces = pieces - 1 where items > 0');
  });
  it('finds an index that does not hold the rows of its table, as PostgreSQL’s own check says', async () => {
    // A row that its index was never told of: the index is hidden from the writer for a moment.
    const faults = await withCopy(
      `update pg_index set indisready = false where indexrelid = 'item_by_code'::regclass;
       insert into item (code, kind, entry_id) overriding system value values ('LOST', 'holder', 1);
       update pg_index set indisready = true where indexrelid = 'item_by_code'::regclass`,
    );
    expect(faults).toContain('the index item_by_code does not hold the rows of item');
  });
});
