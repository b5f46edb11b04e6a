import { planDay, reckonedMinutes } from '@/core/jobs';
import { furnish, MILL, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { jobView } from '@/crib/jobs';
import { dayView } from './index';

/** What each machine has before it: the arithmetic worked by hand. 2027-01-05 is a Tuesday. */
let crib: TestCrib;
const TODAY = '2027-01-05';
const day = () => dayView(crib.db, TODAY);
const machine = async (code: string) => (await day()).machines.find((m) => m.code === code)!;
const job = async (number: string, more: Record<string, unknown> = {}) =>
  (
    await crib.do('addJob', {
      ...{ number, part: 'Block', material: 'C45', quantity: 30, due: '2027-02-01', machine: 'M2' },
      ...{ highestBeside: 0, ...more },
    })
  ).operation as number;

beforeEach(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('addMachine', { ...MILL, code: 'M10', name: 'Mill 10' });
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 5 });
});
afterEach(() => crib.db.close());

it('is empty while nothing is booked; six in the morning and eight hours are taken until the shop says', async () => {
  expect(await day()).toMatchObject({
    begins: { at: 360, assumed: true },
    hours: { open: 480, next: 480 },
    machines: [],
    calendar: { week: [480, 480, 480, 480, 480, 0, 0], closed: [], stated: false },
  });
  const week = { monday: 8, tuesday: 10, wednesday: 0, thursday: 8, friday: 6, saturday: 0, sunday: 0 };
  await crib.do('stateWeek', { ...week, begins: '07:30' });
  expect(await day()).toMatchObject({ begins: { at: 450, assumed: false }, hours: { open: 600, next: 0 } });
  await expect(crib.do('stateWeek', { ...week, begins: '24:00' })).rejects.toMatchObject({
    parts: [{ field: 'begins' }],
  });
  // One that says nothing of it leaves it as it was assumed.
  await crib.do('stateWeek', week);
  expect((await day()).begins).toEqual({ at: 360, assumed: true });
});

it('a part is 2 min in the cut, 0.016 in rapid and 5 s for its change; an edge of 40 min is good for 20 of 30 parts', async () => {
  const operation = await job('J-1');
  expect((await machine('M2')).lines).toMatchObject([
    { job: 'J-1', partsLeft: 30, minutesPerPart: null, tools: 0, atLeast: true, ends: [] },
  ]);
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 2) });
  await crib.do('buildAssembly', {
    ...{ cutter: { item: 'EM10', place: 'S1' }, holder: { item: 'SL10', place: 'S1' } },
    ...{ stickout: 34, for: { operation, t: 7 } },
  });
  const [line] = (await machine('M2')).lines;
  expect(line!.minutesPerPart).toBeCloseTo(2 + 5 / 60, 1);
  expect(line).toMatchObject({
    ...{ ready: 0, tools: 1, ends: [{ t: 7, parts: 20 }] },
    why: expect.stringMatching(/^T7: Not measured/),
  });
  const [bar] = planDay([line!], { open: 480, next: 480 }, 0, false);
  expect(bar!.to).toBeCloseTo(30 * line!.minutesPerPart!, 6);
  expect(bar!.ends).toMatchObject([{ t: 7, alone: false }]);
});

it('what runs goes on, then by the day it is due; what is to start later waits for its day; machines by their numbers', async () => {
  const late = await job('J-LATE', { due: '2027-03-01' });
  await crib.do('storeProgram', { operation: late, text: oneToolProgram(7, 2) });
  await crib.do('logParts', { operation: late, parts: 3 });
  await job('J-SOON', { due: '2027-01-20' });
  const next = await job('J-NEXT', { due: '2027-01-12' });
  await crib.do('planStart', { operation: next, starts: '2027-01-07' });
  await job('J-10', { machine: 'M10' });
  expect((await day()).machines.map((m) => m.code)).toEqual(['M2', 'M10']);
  expect((await machine('M2')).lines.map((l) => [l.job, l.starts])).toEqual([
    ['J-LATE', null],
    ['J-SOON', null],
    ['J-NEXT', '2027-01-07'],
  ]);
  // Its day has come.
  await crib.do('planStart', { operation: next, starts: TODAY });
  expect((await machine('M2')).lines.map((l) => l.starts)).toEqual([null, null, null]);
});

it('parts that were timed with other figures of the machine do not count', async () => {
  const operation = await job('J-1');
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 2) });
  const reckoned = (await machine('M2')).lines[0]!.minutesPerPart!;
  await crib.do('recordCycle', { operation, minutes: reckoned * 1.5 });
  await crib.do('changeMachine', { ...MILL, code: 'M2', acceleration: 2, corner: 0.01 });
  const { program, timed } = (await jobView(crib.db, 'J-1'))!;
  expect(timed).toMatchObject({ factor: null, runs: [{ counts: false }] });
  await crib.do('readProgramAgain', { operation, program: program!.entryId });
  const [line] = (await machine('M2')).lines;
  const { cycle } = (await jobView(crib.db, 'J-1'))!;
  expect(line!.minutesPerPart).toBeCloseTo(reckonedMinutes(cycle)!, 9);
  await crib.do('recordCycle', { operation, minutes: line!.minutesPerPart! * 1.1 });
  const runs = (await jobView(crib.db, 'J-1'))!.timed!;
  expect(runs.runs.map((r) => r.counts)).toEqual([true, false]);
  expect(runs.factor!.factor).toBeCloseTo(1.1, 9);
});

it('parts that were timed correct what is reckoned for their machine, and no other’s', async () => {
  const operation = await job('J-1');
  await expect(crib.do('recordCycle', { operation, minutes: 3 })).rejects.toMatchObject({
    code: 'REFUSED',
    message: 'Nothing is reckoned for J-1 yet',
  });
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 2) });
  const other = await job('J-10', { machine: 'M10' });
  await crib.do('storeProgram', { operation: other, text: oneToolProgram(7, 2) });
  const reckoned = (await machine('M2')).lines[0]!.minutesPerPart!;
  // 1.1, 1.2 and 1.5 of what is reckoned: the middle one.
  for (const by of [1.1, 1.5, 1.2]) await crib.do('recordCycle', { operation, minutes: reckoned * by });
  expect((await machine('M2')).lines[0]!.minutesPerPart).toBeCloseTo(1.2 * reckoned, 9);
  expect((await machine('M10')).lines[0]!.minutesPerPart).toBeCloseTo(reckoned, 9);
  const { timed } = (await jobView(crib.db, 'J-1'))!;
  expect(timed!.factor).toMatchObject({ factor: expect.closeTo(1.2, 9), runs: 3 });
  expect(timed!.runs.map((r) => [r.job, r.who])).toEqual(Array(3).fill(['J-1', 'IK']));
  // Two parts in one go, or a coffee in between, is asked about.
  await expect(crib.do('recordCycle', { operation, minutes: 12 })).rejects.toMatchObject({
    code: 'REFUSED',
    parts: [expect.objectContaining({ field: 'confirmed' })],
  });
  const { entry } = await crib.do('recordCycle', { operation, minutes: 12, confirmed: true });
  expect((await jobView(crib.db, 'J-1'))!.timed!.runs).toHaveLength(4);
  await crib.do('counterEntry', { counters: entry });
  expect((await jobView(crib.db, 'J-1'))!.timed!.factor!.factor).toBeCloseTo(1.2, 9);
});

it('one that is swapped by hand stands overnight', async () => {
  await job('J-1');
  expect((await machine('M2')).byHand).toBe(false);
  await crib.do('stateMagazine', { machine: 'M2', kind: 'by hand', pockets: 0 });
  expect((await machine('M2')).byHand).toBe(true);
});
