import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { buyingView } from '@/crib/buying';
import { assemblyView } from '@/crib/rack';
import { jobView } from './index';

/** A T that is changed after so much of what its edge cut: 4 holes a part, and another job that drills with the same edge. */
let crib: TestCrib;
let tag: string;
const operations: Record<string, number> = {};
const drills = (t: number, holes: number) =>
  [
    ...['G21 G90 G17 G54', `T${t} M6`, 'S3000 M3', 'G0 X0 Y0', `G0 G43 H${t} Z5`],
    ...Array.from({ length: holes }, (_, i) => (i === 0 ? 'G81 X0 Y0 Z-10 R2 F100' : `X${10 * i}`)),
    ...['G80', 'G0 Z50', 'M30'],
  ].join('\n');
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 9 });
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 3 });
  for (const [number, holes] of [
    ['J-1', 4],
    ['J-2', 10],
  ] as const) {
    const { operation } = await crib.do('addJob', {
      ...{ number, part: 'Plate', material: 'C45', quantity: 90, due: '2027-02-01', machine: 'M2' },
      highestBeside: 0,
    });
    operations[number] = Number(operation);
    await crib.do('storeProgram', { operation, text: drills(8, holes) });
  }
  const built = await crib.do('buildAssembly', {
    ...{ cutter: { item: 'EM10', place: 'S1' }, holder: { item: 'SL10', place: 'S1' }, stickout: 34 },
    for: { operation: operations['J-1'], t: 8 },
  });
  tag = String(built.tag);
});
afterAll(() => crib.db.close());

const state = (said: object, job = 'J-1') =>
  crib.do('stateChange', { operation: operations[job], t: 8, ...said });
const log = (parts: number, job = 'J-1') =>
  crib.do('logParts', { operation: operations[job], parts, confirmed: true });
const line = async (job = 'J-1') => (await jobView(crib.db, job))!.tools[0]!;
const change = async () => (await line()).use.judgements.find((j) => j.code === 'CHANGE');

it('after so many holes it is as many parts as go into them, and job and tag say the same', async () => {
  await state({ amount: 50, counts: 'holes', basis: 'maker' });
  // 50 / 4 = 12.5.
  expect(await line()).toMatchObject({
    change: { amount: 50, counts: 'holes', parts: null, each: 12 },
    use: { goodFor: 12 },
    untilChange: 12,
  });
  await log(5);
  expect(await change()).toMatchObject({
    grade: 'good',
    words: 'To be changed after 7 more parts, at 50 holes',
  });
  const tied = (await assemblyView(crib.db, tag, 'Europe/Oslo'))!.ties[0]!;
  expect(tied).toMatchObject({ untilChange: 7, use: { goodFor: 7 } });
  // What is bought is bought for twelve parts an edge.
  const bought = JSON.stringify(await buyingView(crib.db, '2027-01-05'));
  expect(bought).toContain('changed after 12 parts');
});

it('holes it makes on another job count as well, and then it is due', async () => {
  await crib.do('tieTool', { operation: operations['J-2'], t: 8, tag });
  await log(2, 'J-2');
  // 5 × 4 + 2 × 10 = 40: ten are left, two parts.
  expect(await line()).toMatchObject({ untilChange: 2, use: { goodFor: 2 } });
  await log(2);
  // 48: the next part would go past it.
  expect(await change()).toMatchObject({ grade: 'question', words: 'Change it now: 48 of 50 holes cut' });
});

it('a correction of what it cut moves it, and a program that makes more holes too', async () => {
  const { cut } = (await assemblyView(crib.db, tag, 'Europe/Oslo'))!;
  const mine = cut.logs.find((l) => l.parts === 5)!;
  await crib.do('correctUse', { use: mine.useId, minutes: '1', holes: 8 });
  // 8 + 20 + 8 = 36: 14 are left.
  expect(await line()).toMatchObject({ untilChange: 3 });
  await crib.do('storeProgram', { operation: operations['J-1'], text: drills(8, 7) });
  expect(await line()).toMatchObject({ untilChange: 2, change: { each: 7 } });
});

it('what nobody can count is asked about: of some holes nobody knows, or its program makes none', async () => {
  await crib.do('recordUse', { tag, material: 'C45', minutes: '3' });
  expect(await change()).toMatchObject({
    grade: 'question',
    words: 'Changed after 50 holes: how many holes it has cut is not known',
  });
  expect(await line()).toMatchObject({ untilChange: null });
  await crib.do('storeProgram', { operation: operations['J-1'], text: oneToolProgram(8, 1) });
  expect(await change()).toMatchObject({
    words: 'Changed after 50 holes: its program does not say how many holes a part takes',
  });
  expect((await line()).change).toMatchObject({ each: null });
});

it('refuses what can’t be counted, half of it, both, and less than one part', async () => {
  const refused = (said: object, field: string, job = 'J-2') =>
    expect(state(said, job)).rejects.toMatchObject({ parts: [{ field }] });
  await refused({ amount: 50 }, 'counts');
  await refused({ counts: 'holes' }, 'amount');
  await refused({ amount: 50, counts: 'teeth' }, 'counts');
  await refused({ parts: 9, amount: 50, counts: 'holes' }, 'amount');
  await refused({ amount: 0, counts: 'holes' }, 'amount');
  await refused({ amount: 1e7, counts: 'holes' }, 'amount');
  await refused({ amount: 9, counts: 'holes' }, 'amount');
  await refused({ amount: 50, counts: 'holes' }, 'counts', 'J-1');
  await expect(
    crib.do('stateChange', { operation: operations['J-2'], t: 9, amount: 50, counts: 'holes' }),
  ).rejects.toMatchObject({ parts: [{ field: 'counts' }] });
  // Nothing of it was written.
  expect((await line('J-2')).change).toBeNull();
  await state({ amount: 4, counts: 'minutes' }, 'J-2');
  expect((await line('J-2')).change).toMatchObject({ counts: 'minutes' });
  await state({}, 'J-2');
  expect((await line('J-2')).change).toMatchObject({ parts: null, amount: null });
});

it('it goes along where T are numbered anew and where a job is copied', async () => {
  await state({ amount: 60, counts: 'holes', basis: 'hand' }, 'J-2');
  const { program } = (await jobView(crib.db, 'J-2'))!;
  await crib.do('renumberTools', {
    ...{ operation: operations['J-2'], program: program!.entryId, numbers: [{ t: 8, to: 12 }] },
  });
  expect(await line('J-2')).toMatchObject({ t: 12, change: { amount: 60, counts: 'holes', basis: 'hand' } });
  await crib.do('copyJob', { from: 'J-2', number: 'J-3', quantity: 3, due: '2027-02-09' });
  expect((await line('J-3')).change).toMatchObject({ amount: 60, counts: 'holes' });
});
