import { furnish, MILL, openTestCrib, type TestCrib } from '@/crib/testing';
import { dayView } from '@/crib/today';
import { jobView } from './views/jobView';

/** Common practice: a program goes to another machine with its lengths set there, and its first part proved there. */
let crib: TestCrib;
let operation: number;
const job = async () => (await jobView(crib.db, 'J-1'))!;
const day = () => dayView(crib.db, '2027-01-05');
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('addMachine', { code: 'M7', name: 'Mill 7', ...MILL, k: '500', dwellUnit: 'milliseconds' });
  operation = (
    await crib.do('addJob', {
      ...{ number: 'J-1', part: 'Block', material: 'C45', quantity: 5, due: '2027-02-01', machine: 'M2' },
    })
  ).operation as number;
  await crib.do('storeProgram', {
    operation,
    text: 'T7 M6\nS2000 M3\nG43 H7 G0 X0. Y0. Z20.\nG99 G82 R2. Z-8. P500 F60\nG80\nM30',
  });
  await crib.do('writeSetupSheet', { operation, drawing: 'D-1' });
  await crib.do('signSetup', { operation, step: 'written' });
});
afterAll(() => crib.db.close());

it('goes to another machine with what it has; what hung on the old one is doubtful and read again', async () => {
  expect(await day()).toMatchObject({ machines: [{ code: 'M2' }], idle: [{ code: 'M7' }] });
  await crib.do('recordCycle', { operation, minutes: 0.02, confirmed: true });
  await crib.do('logParts', { operation, parts: 2 });
  expect((await job()).setup!.signed).toMatchObject([{ step: 'written', doubts: [] }]);
  await crib.do('moveOperation', { operation, machine: 'M7', starts: '2027-01-11' });
  const moved = await job();
  expect(moved.operation).toMatchObject({ machine: 'M7', partsMade: 2, starts: '2027-01-11' });
  expect(moved.setup!.signed[0]!.doubts).toEqual([
    { kind: 'machine', t: null, words: 'it was on M2, is on M7' },
  ]);
  // Its control counts milliseconds: what the other read as 500 s is a question until it is read again.
  expect(moved.program!.otherwise.figures).toEqual(['the P of a dwell']);
  await crib.do('readProgramAgain', { operation, program: moved.program!.entryId });
  expect((await job()).tools[0]!.tool.dwell_s).toBe(0.5);
  // The part that was timed on the other machine says nothing of this one.
  expect((await job()).timed).toBeNull();
  expect(await day()).toMatchObject({
    machines: [{ code: 'M7', lines: [{ partsLeft: 3 }] }],
    idle: [{ code: 'M2' }],
  });
  // M2 has nothing before it any more and may go out of use; M7 may not.
  await expect(
    crib.do('changeSetUp', { what: 'machine', code: 'M7', name: 'Mill 7', inUse: 'no' }),
  ).rejects.toMatchObject({ message: expect.stringContaining('J-1') });
});

it('what it did before it came is said of the other machine, not of this one', async () => {
  const { movedAt } = (await job()).operation;
  await expect(
    crib.do('recordCycle', {
      ...{ operation, minutes: 0.02, confirmed: true },
      happenedAt: new Date(movedAt!.getTime() - 3_600_000).toISOString(),
    }),
  ).rejects.toMatchObject({ code: 'REFUSED', message: expect.stringContaining('it came to M7 later') });
});

it('is refused where it is already, to a machine nobody has, and when all is made; taken back it is where it was', async () => {
  const move = (machine: string) => crib.do('moveOperation', { operation, machine });
  await expect(move('M7')).rejects.toMatchObject({
    ...{ code: 'CONFLICT', message: expect.stringContaining('is on M7 already') },
    parts: [{ field: 'machine', value: 'M7' }],
  });
  await expect(move('M99')).rejects.toMatchObject({ parts: [{ field: 'machine', value: 'M99' }] });
  const { entry } = await move('M2');
  expect((await job()).setup!.signed[0]!.doubts).toEqual([]);
  await crib.do('counterEntry', { counters: entry });
  expect((await job()).operation.machine).toBe('M7');
  await crib.do('logParts', { operation, parts: 3, confirmed: true });
  await expect(move('M2')).rejects.toMatchObject({ message: expect.stringContaining('All 5 parts') });
});
