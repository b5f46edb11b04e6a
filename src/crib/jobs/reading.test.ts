import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { readByMachine } from '@/crib/assemblies';
import { maybeProgramText } from '@/data/jobs';
import { readOptionsOf } from './readOptions';
import { jobView } from './views/jobView';

/** A program is read by what is known of its machine's control; P in milliseconds and D = T are such dialects (from memory). */
let crib: TestCrib;
let operation: number;
const FIGURES = {
  code: 'M2',
  ...{ taper: 'ISO 7388-1 40', k: 490, lengthSchool: 'gauge', diameterSchool: 'diameter', units: 'mm' },
  ...{ hEqualsT: 'yes' },
} as const;
const TEXT =
  'G21\nT7 M6\nS8000 M3\nG43 H7 G0 X0. Y0. Z20.\nG41 D27 X1.\nG99 G83 R2. Z-8. Q4. P500 F60\nG80\nM30';
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  operation = (
    await crib.do('addJob', {
      ...{ number: 'J-1', part: 'Block', material: 'C45', quantity: 5, due: '2027-02-01', machine: 'M2' },
    })
  ).operation as number;
});
afterAll(() => crib.db.close());
const read = async () => {
  await crib.do('storeProgram', { operation, text: TEXT });
  const job = await jobView(crib.db, 'J-1');
  const tool = job?.tools[0]?.tool;
  return { dwell: tool?.dwell_s, feed: tool?.cutting_mm, warned: tool?.warned, reads: job?.reads };
};

it('where nobody said anything: seconds, no clearance, D as it likes', async () => {
  await crib.do('changeMachine', FIGURES);
  expect(await read()).toMatchObject({ dwell: 500, feed: 10, warned: [] });
});
it('by the figures of its machine, on the page as at the server', async () => {
  await crib.do('changeMachine', {
    ...FIGURES,
    ...{ dwellUnit: 'milliseconds', peckClearance: 0.5, dEqualsT: 'yes', huntsFrom: 7500, huntsTo: 8500 },
  });
  // Two returns of a peck, each stops 0.5 mm higher: 1 mm more at feed.
  expect(await read()).toMatchObject({
    ...{ dwell: 0.5, feed: expect.closeTo(11, 9), warned: ['D_DIFFERS_FROM_T'] },
    reads: { dwellUnit: 'milliseconds', peckClearanceMm: 0.5, dEqualsT: true },
  });
});
it('what was read before keeps its minutes when the figures are taken back, what is read then goes by those before', async () => {
  const { entry } = await crib.do('changeMachine', { ...FIGURES, dwellUnit: 'milliseconds' });
  expect((await read()).dwell).toBe(0.5);
  await crib.do('counterEntry', { counters: entry });
  await crib.do('changeMachine', FIGURES);
  expect((await jobView(crib.db, 'J-1'))?.tools[0]?.tool.dwell_s).toBe(0.5);
  expect((await read()).dwell).toBe(500);
});
it('a program that was read as its machine was taken for before says so, and is read again where it lies', async () => {
  await crib.do('changeMachine', FIGURES);
  await read();
  const job = async () => (await jobView(crib.db, 'J-1'))!;
  const before = await job();
  expect(before.program!.otherwise).toEqual({ figures: [], motion: false });
  const again = () => crib.do('readProgramAgain', { operation, program: before.program!.entryId });
  await expect(again()).rejects.toMatchObject({ code: 'REFUSED' });
  await crib.do('changeMachine', { ...FIGURES, dwellUnit: 'milliseconds', acceleration: 3, corner: 0.01 });
  const stale = await job();
  expect(stale.program!.otherwise).toEqual({ figures: ['the P of a dwell'], motion: true });
  // Nothing is concluded from what nobody reckoned: no minutes of gaining speed, and each tool is a question.
  expect(stale.cycle!.slowing).toBeNull();
  expect(stale.tools[0]!.use.judgements).toContainEqual(
    expect.objectContaining({ code: 'READ_OTHERWISE', grade: 'question' }),
  );
  await expect(crib.do('recordCycle', { operation, minutes: 10 })).rejects.toMatchObject({
    code: 'REFUSED',
    wayOut: expect.stringContaining('Read its program again'),
  });
  const { entry } = await again();
  const now = await job();
  expect(now.program).toMatchObject({
    otherwise: { figures: [], motion: false },
    name: before.program!.name,
  });
  expect(now.tools[0]!.tool).toMatchObject({ dwell_s: 0.5, run_s: { feed: expect.any(Number) } });
  expect(now.cycle!.slowing).toBeGreaterThan(0);
  expect(now.tools[0]!.use.judgements.map((j) => j.code)).not.toContain('READ_OTHERWISE');
  // Its text lies where it lay, and is the same from either; again from the one that was read again.
  const texts = [before, now].map(async (x) => (await maybeProgramText(crib.db, x.program!.entryId))!);
  expect(await Promise.all(texts)).toEqual(Array(2).fill({ text: TEXT, textOf: before.program!.entryId }));
  await crib.do('changeMachine', { ...FIGURES, acceleration: 5, corner: 0.01 });
  await expect(again()).rejects.toMatchObject({ code: 'CONFLICT' });
  const third = await crib.do('readProgramAgain', { operation, program: now.program!.entryId });
  expect((await maybeProgramText(crib.db, third.entry as number))!.textOf).toBe(before.program!.entryId);
  await crib.do('counterEntry', { counters: third.entry });
  await crib.do('counterEntry', { counters: entry });
  expect((await job()).program!.entryId).toBe(before.program!.entryId);
});
it('what a program does otherwise than the one before it is said tool by tool', async () => {
  await crib.do('changeMachine', FIGURES);
  const job = async (number: string) => (await jobView(crib.db, number))!;
  const { operation: fresh } = await crib.do('addJob', {
    ...{ number: 'J-9', part: 'Block', material: 'C45', quantity: 3, due: '2027-02-01', machine: 'M2' },
  });
  const stores = (text: string, name: string) => crib.do('storeProgram', { operation: fresh, name, text });
  await stores(oneToolProgram(7, 2, -20), 'first');
  expect((await job('J-9')).before).toBeNull();
  await stores(oneToolProgram(7, 2, -24), 'second');
  const { entry } = await stores(oneToolProgram(8, 2, -24), 'third');
  expect((await job('J-9')).before).toMatchObject({
    name: 'second',
    changes: [
      { t: 8, kind: 'new' },
      { t: 7, kind: 'gone' },
    ],
  });
  await crib.do('counterEntry', { counters: entry });
  expect((await job('J-9')).before).toMatchObject({
    ...{ name: 'first', who: 'IK' },
    changes: [
      {
        t: 7,
        kind: 'changed',
        changes: [expect.objectContaining({ what: 'lowestFeedZ', before: -20, now: -24 })],
      },
    ],
  });
});
it('acceleration and corner are stated together', async () => {
  for (const [over, field] of [
    [{ acceleration: 3 }, 'corner'],
    [{ corner: 0.01 }, 'acceleration'],
    [{ acceleration: 3, corner: 0 }, 'corner'],
    [{ acceleration: 101, corner: 0.01 }, 'acceleration'],
  ] as const)
    await expect(crib.do('changeMachine', { ...FIGURES, ...over })).rejects.toMatchObject({
      parts: [expect.objectContaining({ field })],
    });
});
it('a spindle hunts from one speed to a higher one', async () => {
  for (const [over, field] of [
    [{ huntsFrom: 3000 }, 'huntsTo'],
    [{ huntsTo: 3000 }, 'huntsFrom'],
    [{ huntsFrom: 3000, huntsTo: 3000 }, 'huntsTo'],
  ] as const)
    await expect(crib.do('changeMachine', { ...FIGURES, ...over })).rejects.toMatchObject({
      parts: [{ field }],
    });
});
it('a clearance that no cycle has is refused with its limit', async () =>
  expect(crib.do('changeMachine', { ...FIGURES, peckClearance: 51 })).rejects.toMatchObject({
    parts: [{ field: 'peckClearance', limit: expect.stringContaining('50') }],
  }));

describe('a question to the reader at the API', () => {
  const of = (query: string) => readOptionsOf(new URLSearchParams(query));
  it('asks by the same words', () =>
    expect(
      of('z_limit_mm=-5&block_delete=true&without_point=not known&dwell=milliseconds&d_equals_t=true'),
    ).toEqual({
      ...{ zLimitMm: -5, blockDelete: true, withoutPoint: null, dwellUnit: 'milliseconds' },
      ...{ peckClearanceMm: 0, dEqualsT: true, motion: null },
    }));
  it('asks how the machine moves by acceleration and corner together', () => {
    expect(of('acceleration_mm_s2=3000&corner_mm=0.01&rapid_mm_min=24000').motion).toEqual({
      ...{ accelerationMmS2: 3000, cornerMm: 0.01, rapidMmMin: 24_000 },
    });
    expect(of('acceleration_mm_s2=3000&corner_mm=0.01').motion?.rapidMmMin).toBeNull();
    for (const [query, field] of [
      ['acceleration_mm_s2=3000', 'corner_mm'],
      ['rapid_mm_min=24000', 'acceleration_mm_s2'],
      ['acceleration_mm_s2=0&corner_mm=1', 'acceleration_mm_s2'],
    ] as const)
      expect(() => of(query)).toThrow(
        expect.objectContaining({ parts: [expect.objectContaining({ field })] }),
      );
  });
  it('left out, it is read as the conventions say', () =>
    expect(of('')).toEqual({
      ...readByMachine(null),
      zLimitMm: null,
      blockDelete: false,
      withoutPoint: 'as written',
    }));
  it.each([
    ['z_limit_mm=deep', 'z_limit_mm'],
    ['block_delete=perhaps', 'block_delete'],
    ['dwell=minutes', 'dwell'],
    ['peck_clearance_mm=-1', 'peck_clearance_mm'],
    ['unit=mm', 'unit'],
  ])('%s is refused by its name', (query, field) =>
    expect(() => of(query)).toThrow(expect.objectContaining({ parts: [expect.objectContaining({ field })] })),
  );
});
