import { runView } from './views/runView';
import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { type JobView, jobView } from './views/jobView';
import { jobsView } from './views/jobsView';

let crib: TestCrib;
let operation: number;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 3 });
  operation = (
    await crib.do('addJob', {
      number: 'J-1',
      part: 'Block',
      revision: 'A',
      material: 'C45',
      quantity: 20,
      due: '2027-02-01',
      machine: 'M2',
      highestBeside: '0.5 in',
    })
  ).operation as number;
  await crib.do('buildAssembly', {
    cutter: { item: 'EM10', place: 'S1' },
    holder: { item: 'SL10', place: 'S1' },
    stickout: 34,
  });
});
afterAll(() => crib.db.close());
const job = async (number = 'J-1'): Promise<JobView> => (await jobView(crib.db, number))!;
const grade = async (code: string) =>
  (await job()).tools[0]!.use.judgements.find((j) => j.code === code)?.grade;

it('a job without a program has no minutes, not zero minutes', async () => {
  expect(await job()).toMatchObject({
    program: null,
    cycle: null,
    tools: [],
    grade: 'not judged',
    partsLeft: 20,
  });
  await expect(crib.do('logParts', { operation, parts: 1 })).rejects.toMatchObject({
    code: 'REFUSED',
    message: expect.stringMatching(/no program/),
  });
  await expect(crib.do('tieTool', { operation, t: 7, tag: 'A-0001' })).rejects.toMatchObject({
    code: 'REFUSED',
  });
});

it('reach is judged in the job’s own units: 12.7 above, 20 below needs 32.7 of 34', async () => {
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 2, -20) });
  await crib.do('tieTool', { operation, t: 7, tag: 'A-0001' });
  expect((await job()).tools[0]).toMatchObject({ tag: 'A-0001', reachMm: expect.closeTo(32.7, 9) });
  expect(await grade('REACH')).toBe('good');
  await crib.do('stateOperation', { operation, highestBeside: 14.5 });
  expect(await grade('REACH')).toBe('stop');
  await crib.do('stateOperation', { operation });
  expect(await grade('REACH')).toBe('not judged');
});

it('only a T of the program can be tied, and only to what stands', async () => {
  await expect(crib.do('tieTool', { operation, t: 8, tag: 'A-0001' })).rejects.toMatchObject({
    code: 'INVALID_INPUT',
    parts: [{ field: 't', limit: 'T7' }],
  });
  await expect(crib.do('tieTool', { operation, t: 7, tag: 'A-0099' })).rejects.toMatchObject({
    code: 'NOT_FOUND',
  });
});

it('the depth of one pass is judged once it is stated', async () => {
  expect(await grade('PASS_DEPTH')).toBe('not judged');
  await crib.do('statePassDepth', { operation, t: 7, depth: 22 });
  expect(await grade('PASS_DEPTH')).toBe('good');
  await crib.do('statePassDepth', { operation, t: 7, depth: '0.9 in' });
  expect(await grade('PASS_DEPTH')).toBe('stop');
});

it('another H than the tool’s is a stop where the machine’s rule says so', async () => {
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 2, -5).replace('H7', 'H17') });
  expect(await grade('H_T')).toBe('stop');
  expect((await job()).report!.warnings[0]).toMatchObject({ code: 'H_DIFFERS_FROM_T', t: 7 });
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 2, -5) });
  expect(await grade('H_T')).toBe('good');
});

it('minutes of a part are shown in three parts: 2 in the cut, rapid by the machine, 5 s for the change', async () => {
  const { cycle } = await job();
  expect(cycle).toMatchObject({ cutting: expect.closeTo(2, 3), changes: expect.closeTo(5 / 60, 9) });
  expect(cycle!.rapid).toBeGreaterThan(0);
});

it('a program for a machine changed by hand: T and M0 are the change', async () => {
  const hand = (
    await crib.do('addJob', {
      number: 'J-2',
      part: 'Bush',
      material: 'C45',
      quantity: 3,
      due: '2027-01-20',
      machine: 'M2',
    })
  ).operation as number;
  await crib.do('storeProgram', {
    operation: hand,
    text: 'G20\nT1\nM0\nS900 M3\nG0 X0 Y0 Z0\nG1 X1. F10.\nT2\nM0\nM3\nG1 X0 F5.\nM30',
  });
  const line = await job('J-2');
  expect(line.tools.map((t) => [t.t, t.minutesPerPart])).toEqual([
    [1, expect.closeTo(0.1, 9)],
    [2, expect.closeTo(0.2, 9)],
  ]);
  // Due first comes first.
  expect((await jobsView(crib.db)).open.map((j) => j.operation.job)).toEqual(['J-2', 'J-1']);
  await crib.do('logParts', { operation: hand, parts: 3 });
  expect((await runView(crib.db, hand))!.openUses).toEqual([
    { t: 1, minutes: expect.closeTo(0.3, 9) },
    { t: 2, minutes: expect.closeTo(0.6, 9) },
  ]);
  expect((await job('J-2')).partsLeft).toBe(0);
  const { open, done } = await jobsView(crib.db);
  expect([open.map((j) => j.operation.job), done.map((o) => o.job)]).toEqual([['J-1'], ['J-2']]);
  await crib.do('assignUse', { operation: hand, t: 1, tag: 'A-0001' });
  expect((await runView(crib.db, hand))!.openUses).toEqual([{ t: 2, minutes: expect.closeTo(0.6, 9) }]);
  await expect(crib.do('assignUse', { operation: hand, t: 1, tag: 'A-0001' })).rejects.toMatchObject({
    code: 'NOT_FOUND',
  });
});

it('parts are logged newest first, and more than ordered leaves none, not fewer than none', async () => {
  crib.at('2027-01-07T09:00:00Z');
  await crib.do('logParts', { operation, parts: 15 });
  crib.at('2027-01-08T09:00:00Z');
  // More than are left is asked about before it is booked.
  await expect(crib.do('logParts', { operation, parts: 9 })).rejects.toMatchObject({
    code: 'REFUSED',
    message: '9 parts counted, 5 are left to make',
    parts: [{ field: 'confirmed' }],
  });
  await crib.do('logParts', { operation, parts: 9, confirmed: true });
  expect(await job()).toMatchObject({ partsLeft: 0, logs: [{ parts: 9 }, { parts: 15 }] });
});

it('one number is one job', async () =>
  expect(
    crib.do('addJob', {
      number: 'J-1',
      part: 'x',
      material: 'C45',
      quantity: 1,
      due: '2027-02-01',
      machine: 'M2',
    }),
  ).rejects.toMatchObject({ code: 'CONFLICT' }));

it('a T whose cutting was not understood is marked as a lower bound, and so is its use', async () => {
  const { operation: tapped } = await crib.do('addJob', {
    number: 'J-3',
    part: 'Nut',
    material: 'C45',
    quantity: 3,
    due: '2027-03-01',
    machine: 'M2',
  });
  await crib.do('storeProgram', {
    operation: tapped,
    text: 'G21\nT5 M6\nS300 M3\nG0 X0 Y0 Z5\nG87 X0 Y0 R5 Z-10 F300\nG80\nM30',
  });
  expect((await job('J-3')).tools[0]).toMatchObject({ minutesPerPart: 0, tool: { lower_bound: true } });
  await crib.do('logParts', { operation: tapped, parts: 1 });
  expect(await crib.db.query('select minutes, lower_bound from use order by id desc limit 1')).toEqual([
    { minutes: 0, lowerBound: true },
  ]);
});
