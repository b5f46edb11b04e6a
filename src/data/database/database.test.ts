import { spawn, spawnSync } from 'node:child_process';
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  symlinkSync,
  unlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  beginFolder,
  DataError,
  FolderInUse,
  freeBytes,
  giveUpRoom,
  insert,
  LAID_BY,
  layRoomBy,
  lockFolder,
  many,
  maybeOne,
  migrate,
  MigrationChanged,
  one,
  openDatabase,
  refreshStatistics,
} from './index';
import { openEmpty, openEmptyFolder } from '../testing';

const folders: string[] = [];
const folder = () => {
  const path = mkdtempSync(join(tmpdir(), 'stable-data-'));
  folders.push(path);
  return path;
};
afterAll(() => folders.forEach((path) => rmSync(path, { recursive: true, force: true })));
const code = (p: Promise<unknown>) =>
  p.then(
    () => 'done',
    (e: { code?: string }) => e.code,
  );

describe('in memory', () => {
  let db: Awaited<ReturnType<typeof openEmpty>>;
  beforeAll(async () => {
    db = await openEmpty();
    await db.script('create table thing (id int primary key, n int check (n >= 0), note text not null)');
  });
  afterAll(() => db.close());

  it('pins how values come out: int8 number, numeric and date text, timestamptz Date, json parsed', async () => {
    const row = await one<Record<string, unknown>>(
      db,
      `select 9007199254740991::int8 as big, 1.10::numeric as exact, date '2027-01-05' as day, timestamptz '2027-01-05T10:00:00Z' as at, '{"a":1}'::jsonb as json, null as nothing`,
    );
    expect(row).toEqual({
      big: 9007199254740991,
      exact: '1.10',
      day: '2027-01-05',
      at: new Date('2027-01-05T10:00:00Z'),
      json: { a: 1 },
      nothing: null,
    });
    await expect(one(db, 'select 9007199254740993::int8')).rejects.toThrow(/safe whole number/);
  });
  it('promises the number of rows by name', async () => {
    expect(await maybeOne(db, 'select 1 as a where false')).toBeNull();
    expect(await code(one(db, 'select 1 where false'))).toBe('WRONG_COUNT');
    expect(await code(maybeOne(db, 'select generate_series(1, 2)'))).toBe('WRONG_COUNT');
    expect(await many(db, 'select generate_series(1, 2) as n')).toHaveLength(2);
  });
  it('refuses undefined: a forgotten value must not become NULL', () =>
    expect(one(db, 'select $1::text', [undefined as never])).rejects.toThrow(TypeError));
  it('puts the database’s refusals in our words, with table and constraint kept', async () => {
    await insert(db, 'thing', { id: 1, n: 1, note: 'x' });
    const error = await insert(db, 'thing', { id: 1, n: 1, note: 'x' }).catch((e: DataError) => e);
    expect(error).toBeInstanceOf(DataError);
    expect(error).toMatchObject({
      code: 'NOT_UNIQUE',
      at: { table: 'thing', constraint: 'thing_pkey', sqlstate: '23505' },
    });
    expect(await code(insert(db, 'thing', { id: 2, n: -1, note: 'x' }))).toBe('OUT_OF_RANGE');
    expect(await code(insert(db, 'thing', { id: 2, n: 1, note: null }))).toBe('MISSING');
  });
  it('counts what lies in its tables one by one: who asks meanwhile is answered in between', async () => {
    const db = await openEmpty();
    await db.script(
      Array.from(
        { length: 6 },
        (_, i) =>
          `create table counted_${i} (a int); insert into counted_${i} select generate_series(1, 20000)`,
      ).join(';'),
    );
    const told: string[] = [];
    const all = refreshStatistics(db).then(() => told.push('all counted'));
    for (let i = 0; i < 4; i += 1) {
      await db.query('select 1');
      told.push('answered');
    }
    await all;
    expect(told).toEqual(['answered', 'answered', 'answered', 'answered', 'all counted']);
    expect(
      await db.query("select distinct reltuples as rows from pg_class where relname like 'counted_%'"),
    ).toEqual([{ rows: 20000 }]);
    await db.close();
  });
  it('a transaction is all or nothing', async () => {
    await expect(
      db.transaction(async (c) => {
        await insert(c, 'thing', { id: 7, n: 1, note: 'x' });
        throw new Error('no');
      }),
    ).rejects.toThrow('no');
    expect(await maybeOne(db, 'select 1 from thing where id = 7')).toBeNull();
  });
});

describe('migrate', () => {
  it('applies each file once, refuses an edited one and a database newer than the program', async () => {
    const db = await openEmpty();
    const files = folder();
    writeFileSync(join(files, '0001_a.sql'), 'create table a (id int)');
    writeFileSync(join(files, '0002_b.sql'), 'create table b (id int); insert into b values (1)');
    expect(await migrate(db, files)).toBe(2);
    expect(await migrate(db, files)).toBe(0);
    writeFileSync(join(files, '0001_a.sql'), 'create table a (id int8)');
    await expect(migrate(db, files)).rejects.toThrow(MigrationChanged);
    rmSync(join(files, '0002_b.sql'));
    writeFileSync(join(files, '0001_a.sql'), 'create table a (id int)');
    await expect(migrate(db, files)).rejects.toThrow(/newer Stable/);
    await db.close();
  });
  it('a file that breaks leaves nothing of itself', async () => {
    const db = await openEmpty();
    const files = folder();
    writeFileSync(join(files, '0001_a.sql'), 'create table a (id int); select broken');
    await expect(migrate(db, files)).rejects.toThrow(/broken/);
    expect(await one<{ t: string | null }>(db, "select to_regclass('a')::text as t")).toEqual({ t: null });
    writeFileSync(join(files, '0001_a.sql'), 'create table a (id int)');
    expect(await migrate(db, files)).toBe(1);
    await db.close();
  });
});

/** Runs a script in a process of its own, as a second Stable would. */
const script = (body: string) => {
  const file = join(folder(), 'child.ts');
  writeFileSync(
    file,
    `import { openDatabase, lockFolder, insert } from ${JSON.stringify(join(process.cwd(), 'src/data/database/index.ts'))};\n(async () => {${body}})();`,
  );
  return ['node', ['--import', 'tsx', '--conditions=react-server', file]] as const;
};

describe('on disk', () => {
  it('a second process on the folder is refused with a clear message, and the owner goes on', async () => {
    const path = folder();
    const unlock = lockFolder(path);
    const [command, args] = script(
      `try { lockFolder(${JSON.stringify(path)}); console.log('taken'); } catch (e) { console.log((e as Error).name, (e as Error).message); }`,
    );
    const second = spawnSync(command, args, { encoding: 'utf8' });
    expect(second.stdout).toMatch(/^FolderInUse .*in use by another Stable process.*STABLE_DATA/);
    expect(() => lockFolder(path)).toThrow(FolderInUse);
    unlock();
    lockFolder(path)();
  });

  // The lock lies on the folder's own inode, and whether it is still there is asked before each write.
  it('no deleted file, rename or link lets a second owner in; a copy is a folder of its own', async () => {
    const below = folder();
    const path = join(below, 'data');
    const db = await openDatabase(path);
    await db.script('create table row (n int primary key)');
    unlinkSync(join(path, 'dir.lock'));
    expect(() => lockFolder(path)).toThrow(FolderInUse);
    symlinkSync(path, join(below, 'link'));
    expect(() => lockFolder(join(below, 'link'))).toThrow(FolderInUse);
    cpSync(path, join(below, 'copy'), { recursive: true });
    lockFolder(join(below, 'copy'))();
    renameSync(path, join(below, 'elsewhere'));
    expect(() => lockFolder(join(below, 'elsewhere'))).toThrow(FolderInUse);
    // Moved away, it is not written to any more: at its old path another may stand.
    await expect(insert(db, 'row', { n: 1 })).rejects.toMatchObject({ code: 'FOLDER_GONE' });
    renameSync(join(below, 'copy'), path);
    await expect(insert(db, 'row', { n: 1 })).rejects.toMatchObject({ code: 'FOLDER_GONE' });
    expect(await many(db, 'select * from row')).toEqual([]);
    renameSync(path, join(below, 'copy'));
    renameSync(join(below, 'elsewhere'), path);
    await insert(db, 'row', { n: 1 });
    await db.close();
    lockFolder(path)();
  });

  it('refuses to write while the disk is nearly full, reads on, and goes on by itself', async () => {
    let free = 10e9;
    const db = await openEmptyFolder(folder(), () => free);
    await db.script('create table row (n int primary key)');
    await insert(db, 'row', { n: 1 });
    free = 199e6;
    expect(db.whyNoWrite()).toMatchObject({ code: 'NO_ROOM' });
    for (const write of [
      () => insert(db, 'row', { n: 2 }),
      () => db.transaction((c) => insert(c, 'row', { n: 2 })),
      () => db.script('create table more (n int)'),
    ])
      await expect(write()).rejects.toMatchObject({ code: 'NO_ROOM' });
    expect(await many(db, 'select n from row')).toEqual([{ n: 1 }]);
    free = 201e6;
    await insert(db, 'row', { n: 2 });
    expect(await many(db, 'select n from row')).toEqual([{ n: 1 }, { n: 2 }]);
    await db.close();
  });

  it('without room, a folder that is up to date is opened to be read; what a newer program must change waits for room', async () => {
    let free = 10e9;
    const files = folder();
    writeFileSync(join(files, '0001_a.sql'), 'create table a (id int)');
    const db = await openEmptyFolder(folder(), () => free);
    await migrate(db, files);
    free = 0;
    expect(await migrate(db, files)).toBe(0);
    writeFileSync(join(files, '0002_b.sql'), 'create table b (id int)');
    await expect(migrate(db, files)).rejects.toMatchObject({ code: 'NO_ROOM' });
    free = 10e9;
    expect(await migrate(db, files)).toBe(1);
    await db.close();
  });

  it('lays room by where there is enough, and gives it up where there is hardly any', async () => {
    const path = folder();
    const bytes = () => statSync(join(path, LAID_BY), { throwIfNoEntry: false })?.size ?? 0;
    await layRoomBy(path, () => 250e6);
    expect(bytes()).toBe(0);
    await layRoomBy(path, () => 300e6);
    expect(bytes()).toBe(64e6);
    giveUpRoom(path, () => 65e6);
    expect(bytes()).toBe(64e6);
    giveUpRoom(path, () => 0);
    expect(bytes()).toBe(0);
  });

  it('says how much is free where a folder lies', () => {
    const said = Number(
      spawnSync('stat', ['-f', '-c', '%a %S', folder()], { encoding: 'utf8' }).stdout.split(' ')[0],
    );
    const size = Number(spawnSync('stat', ['-f', '-c', '%S', folder()], { encoding: 'utf8' }).stdout);
    expect(Math.abs(freeBytes(folder()) / (said * size) - 1)).toBeLessThan(0.2);
  });

  it('every commit is synced to the disk: as many syncs as commits, counted in the file-system layer', async () => {
    const db = await openEmptyFolder(folder());
    await db.script('create table row (n int primary key)');
    const before = db.syncs();
    for (let n = 0; n < 20; n += 1) await insert(db, 'row', { n });
    expect(db.syncs() - before).toBeGreaterThanOrEqual(20);
    const reading = db.syncs();
    await many(db, 'select * from row');
    expect(db.syncs()).toBe(reading);
    await db.close();
  });

  it('what was acknowledged survives kill -9, and the killed owner leaves no lock', async () => {
    const path = folder();
    const acknowledged = join(path, 'acknowledged.txt');
    const first = await openDatabase(path);
    await first.script('create table row (n int primary key)');
    await first.close();
    let total = 0;
    for (let round = 0; round < 2; round += 1) {
      const [command, args] = script(`
        const { appendFileSync } = await import('node:fs');
        const db = await openDatabase(${JSON.stringify(path)});
        for (let n = ${round * 100_000}; ; n += 1) { await insert(db, 'row', { n }); appendFileSync(${JSON.stringify(acknowledged)}, n + '\\n'); }`);
      const child = spawn(command, args, { stdio: 'ignore', detached: true });
      const gone = new Promise((resolve) => child.on('exit', resolve));
      const lines = () =>
        existsSync(acknowledged) ? readFileSync(acknowledged, 'utf8').split('\n').length - 1 : 0;
      while (lines() < total + 40 + round * 25) await new Promise((resolve) => setTimeout(resolve, 20));
      process.kill(-child.pid!, 'SIGKILL');
      await gone;
      const said = readFileSync(acknowledged, 'utf8').trim().split('\n').map(Number);
      const db = await openDatabase(path);
      const kept = new Set((await many<{ n: number }>(db, 'select n from row')).map((r) => r.n));
      await db.close();
      expect(said.length).toBeGreaterThan(total);
      expect(said.filter((n) => !kept.has(n))).toEqual([]);
      // At most the one row whose commit was not yet acknowledged may be there beside them.
      expect(kept.size - said.length).toBeLessThanOrEqual(round + 1);
      total = said.length;
    }
  });
});

describe('a folder that begins', () => {
  it('has its database with the schema at once and whole, and nothing beside it', async () => {
    const path = join(folder(), 'data');
    await beginFolder(path);
    expect(readdirSync(path)).toEqual(['pg']);
    const db = await openDatabase(path);
    // The schema is there: nothing is left to lay down.
    expect(await migrate(db)).toBe(0);
    expect(await many(db, 'select * from entry')).toEqual([]);
    await db.close();
    // What is there is left alone.
    const since = statSync(join(path, 'pg', 'PG_VERSION')).mtimeMs;
    await beginFolder(path);
    expect(statSync(join(path, 'pg', 'PG_VERSION')).mtimeMs).toBe(since);
  }, 60_000);
  it('a process that was killed while it made one leaves nothing that is taken for one', async () => {
    const path = folder();
    // No process has so high a number (Linux: at most 2^22).
    const left = join(path, 'beginning-5000000');
    mkdirSync(join(left, 'pg'), { recursive: true });
    writeFileSync(join(left, 'pg', 'PG_VERSION'), '18');
    const another = join(path, `beginning-${process.ppid}`);
    mkdirSync(another);
    await expect(beginFolder(path, () => 199e6)).rejects.toMatchObject({ code: 'NO_ROOM' });
    // One whose process still runs is let alone, and of its own it leaves nothing.
    expect(readdirSync(path)).toEqual([`beginning-${process.ppid}`]);
  });
  it('is refused on a disk that is nearly full, before anything is made', async () => {
    const path = folder();
    await expect(openDatabase(path, () => 199e6)).rejects.toMatchObject({ code: 'NO_ROOM' });
    expect(existsSync(join(path, 'pg'))).toBe(false);
  });
});
