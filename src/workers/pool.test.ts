import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { readProgram } from '@/core/programs';
import { compute } from '@/crib/computations';
import { defineTask, type Problem } from '@/crib/door';
import { readList, type RowsRead, writeList } from '@/crib/exchange';
import { readProgramText } from '@/crib/jobs';
import { openPool } from './index';

/** The pool as the server has it: real threads, on the program that the build makes. */
mkdirSync('.stable', { recursive: true });
const folder = mkdtempSync(join(process.cwd(), '.stable', 'pool-'));
const script = join(folder, 'worker.cjs');
const pools: ReturnType<typeof openPool>[] = [];
const open = (limits?: Parameters<typeof openPool>[1]) => {
  const pool = openPool(script, limits);
  pools.push(pool);
  return pool.beside;
};
beforeAll(() => {
  const built = spawnSync('node', ['scripts/workers.mjs', script], { encoding: 'utf8' });
  expect(built.stderr).toBe('');
});
afterAll(async () => {
  for (const pool of pools) await pool.close();
  rmSync(folder, { recursive: true });
});
const refused = (work: Promise<unknown>) =>
  work.then(
    () => null,
    (p: Problem) => p,
  );
const csv = (text: string) => ({ bytes: new TextEncoder().encode(text), mapping: [] });
/** Takes a worker a second or more. */
const long = {
  text: `T1 M6\n${'G1 X1 F1\n'.repeat(800_000)}G81 R1 Z-1\n${'X1 L9999\n'.repeat(40)}M98 P1 L9999\nM30\nO1\n${'X1 Y1\n'.repeat(95)}M99`,
  options: {},
};

it('answers what the same task answers here', async () => {
  const text = 'G21 T1 M6\nS1000 M3\nG0 X0 Y0 Z5\nG1 Z-5 F100\nM30';
  const { json, tools } = await open()(readProgramText, { text, options: {} });
  expect([JSON.parse(json), tools]).toEqual([JSON.parse(JSON.stringify(readProgram(text))), 1]);
});

it('tells what it finds in parts, and takes and gives bytes', async () => {
  const beside = open();
  const rows = Array.from({ length: 1200 }, (_, i) => [`EM${i}`, 'cutter', 'square', '10']);
  const table = { headers: ['code', 'kind', 'family', 'DC'], rows };
  for (const format of ['csv', 'xlsx'] as const) {
    const bytes = await beside(writeList, { table, format, name: 'items' });
    const parts: RowsRead[] = [];
    await beside(readList, { bytes, mapping: [] }, { hear: (part) => void parts.push(part) });
    expect(parts.map((p) => p.items.length)).toEqual([...Array.from({ length: 12 }, () => 100), 0]);
    expect(parts[11]!.items.at(-1)!.code).toBe('EM1199');
  }
});

it('a Problem comes out as one, with all it says', async () =>
  expect(await refused(open()(readList, csv('code,kind\n"A,cutter\n')))).toMatchObject({
    name: 'Problem',
    code: 'INVALID_INPUT',
    message: 'Row 2: a quotation mark is not closed',
    parts: [{ field: 'content' }],
    wayOut: expect.stringContaining('nothing was read'),
  }));

it('a task that is none is told to whoever wrote it, not hidden', async () => {
  const none = defineTask('none', () => 1);
  expect(await refused(open()(none, undefined))).toMatchObject({ message: 'no task none' });
});

it('past its time it is ended, and the next one is answered', async () => {
  const beside = open({ threads: 1, seconds: 3 });
  // A shop that never opens: each of many uses looks for its day through ten years, which would take minutes.
  const uses = Array.from({ length: 50_000 }, () => ({
    job: 'J-1',
    due: '2027-03-01',
    start: null,
    material: 'C45',
    partsLeft: 10,
    minutesPerPart: 1,
    operationMinutes: 2,
    perLife: 1,
    life: null,
  }));
  const input = {
    uses,
    supply: { shelf: 0, edgeSets: [], openOrders: [] },
    terms: { leadTimeDays: 1, pack: 1, minimum: 1 },
    today: '2027-01-12',
    calendar: { week: [0, 0, 0, 0, 0, 0, 0], closed: [] },
  };
  expect(await refused(beside(compute, { path: 'buying/propose', input }))).toMatchObject({
    code: 'TOO_LARGE',
    message: 'Reading or reckoning took longer than 3 s',
  });
  // On a busy machine its thread alone may take longer to begin.
  expect((await beside(readProgramText, { text: 'T1 M6', options: {} }, { seconds: 60 })).tools).toBe(1);
});

it('what the shop itself asked for may take longer than a file that is sent', async () => {
  const beside = open({ threads: 1, seconds: 0.2 });
  expect(await refused(beside(readProgramText, long))).toMatchObject({ code: 'TOO_LARGE' });
  expect((await beside(readProgramText, long, { seconds: 60 })).tools).toBe(1);
});

it('past its memory it is ended, and the next one is answered', async () => {
  const beside = open({ threads: 1, megabytes: 24 });
  const many = `code,kind,family,DC\n${Array.from({ length: 59_000 }, (_, i) => `EM${i},cutter,square,10`).join('\n')}`;
  expect(await refused(beside(readList, csv(many)))).toMatchObject({
    code: 'TOO_LARGE',
    message: 'Reading or reckoning took too much memory',
  });
  expect((await beside(readProgramText, { text: 'T1 M6', options: {} })).tools).toBe(1);
});

it('past its time it is ended at once: a second more, and what it took would have ended the whole server', async () => {
  const text = `${long.text}\n${'G1 X1 F1\n'.repeat(3_000_000)}`;
  for (let time = 0; time < 3; time += 1) {
    const beside = open({ threads: 1, megabytes: 24, seconds: 0.1 });
    expect(await refused(beside(readProgramText, { ...long, text }))).toMatchObject({
      message: 'Reading or reckoning took longer than 0.1 s',
    });
    const next = beside(readProgramText, { text: 'T1 M6', options: {} }, { seconds: 60 });
    expect((await next).tools).toBe(1);
  }
});

it('is stopped by whoever asked', async () => {
  const beside = open({ threads: 1 });
  const stop = new AbortController();
  const asked = refused(beside(readProgramText, long, { signal: stop.signal }));
  setTimeout(() => stop.abort(), 100);
  expect(await asked).toMatchObject({ code: 'STOPPED' });
  expect((await beside(readProgramText, { text: 'T1 M6', options: {} })).tools).toBe(1);
});

it('more than can wait are told to come again', async () => {
  const beside = open({ threads: 1, seconds: 2 });
  const stop = new AbortController();
  const all = Array.from({ length: 30 }, () =>
    refused(beside(readProgramText, long, { signal: stop.signal })),
  );
  const busy = await Promise.race([...all.slice(25), new Promise((r) => setTimeout(() => r('none'), 1500))]);
  stop.abort();
  expect(busy).toMatchObject({ code: 'BUSY', wayOut: expect.stringContaining('again') });
  const codes = (await Promise.all(all)).map((p) => p?.code ?? 'done');
  expect(codes.filter((c) => c === 'BUSY').length).toBeGreaterThan(5);
  expect(codes).not.toContain(undefined);
});

describe('with a program that fails', () => {
  const failing = join(folder, 'failing.cjs');
  const end = (name: string) => defineTask<string, string>(name, (said) => said);
  beforeAll(() =>
    writeFileSync(
      failing,
      `module.exports = async ({ name, input, parts }) => {
        parts.postMessage({ begun: true });
        if (name === 'ends') process.exit(1);
        if (name === 'ends later') setTimeout(() => process.exit(1), 50);
        if (name === 'throws later') setTimeout(() => { throw new Error('nobody asked') }, 50);
        for (let i = 0; i < 200; i += 1) parts.postMessage({ part: i });
        return { value: input };
      };`,
    ),
  );
  const opened = () => {
    const pool = openPool(failing, { threads: 1 });
    pools.push(pool);
    return pool.beside;
  };
  const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));
  /** The server's own thread does something else, and hears nothing meanwhile. */
  const heldUp = (ms: number) => Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, ms);

  it.each(['ends later', 'throws later'])('a thread that %s fails no other task', async (name) => {
    const beside = opened();
    expect(await beside(end(name), 'first')).toBe('first');
    await pause(500);
    expect(await beside(end('goes on'), 'second')).toBe('second');
  });

  it('one that ended while nobody heard it is not waited for', async () => {
    const beside = opened();
    expect(await beside(end('ends later'), 'first')).toBe('first');
    heldUp(500);
    expect(await refused(beside(end('goes on'), 'second', { seconds: 5 }))).toBeNull();
    const lost = refused(beside(end('ends'), 'third'));
    await pause(0);
    heldUp(500);
    expect(await lost).toMatchObject({ message: expect.stringContaining('exited') });
    expect(await beside(end('goes on'), 'fourth')).toBe('fourth');
  });

  it('a thread that can’t begin is told at once, not waited for; and it is none of the task’s fault', async () => {
    const broken = join(folder, 'broken.cjs');
    writeFileSync(broken, "require('no-such-package')");
    const pool = openPool(broken, { threads: 2 });
    pools.push(pool);
    const began = Date.now();
    for (let i = 0; i < 5; i += 1)
      expect(await refused(pool.beside(end('goes on'), 'x', { seconds: 30 }))).toMatchObject({
        code: 'MODULE_NOT_FOUND',
      });
    expect(Date.now() - began).toBeLessThan(20_000);
    writeFileSync(broken, 'module.exports = async ({ input }) => ({ value: input })');
    expect(await pool.beside(end('goes on'), 'mended')).toBe('mended');
  });

  it('they come in their order, each with all its parts before its answer', async () => {
    const beside = opened();
    const told: string[] = [];
    const all = ['a', 'b', 'c', 'd', 'e', 'f'].map(async (name) => {
      let parts = 0;
      const said = await beside(end('goes on'), name, { hear: () => void (parts += 1) });
      told.push(`${said} ${parts}`);
    });
    await pause(0);
    heldUp(300);
    await Promise.all(all);
    expect(told).toEqual(['a 200', 'b 200', 'c 200', 'd 200', 'e 200', 'f 200']);
  });
});

it('without its program it says how to start', () =>
  expect(() => openPool(join(folder, 'nothing.cjs'))).toThrow(/npm start/));
