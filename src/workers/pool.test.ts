import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
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

it('without its program it says how to start', () =>
  expect(() => openPool(join(folder, 'nothing.cjs'))).toThrow(/npm start/));
