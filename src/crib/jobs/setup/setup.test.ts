import { furnish, MILL, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { jobsView } from '../views/jobsView';
import { type JobView, jobView } from '../views/jobView';

let crib: TestCrib;
let operation: number;
const job = async (number = 'J-1', op: number | null = null): Promise<JobView> =>
  (await jobView(crib.db, number, op))!;
const setup = async () => (await job()).setup;
const sheet = async () => (await setup()).sheet?.entryId;
const write = async (fields: Record<string, unknown>) => {
  const over = await sheet();
  return crib.do('writeSetupSheet', { operation, ...(over === undefined ? {} : { over }), ...fields });
};
const sign = (step: string, more: Record<string, unknown> = {}) =>
  crib.do('signSetup', { operation, step, ...more });
const STATED = {
  ...{ drawing: 'D-1180', revision: 'B', programNumber: 'O1180', fixture: 'V1', against: 'left end' },
  ...{ workOffset: 'G54', stockX: 100, stockY: 60, stockZ: '31', parallels: '5' },
  ...{ zeroX: 0, zeroY: 60, zeroZ: '30' },
};

beforeEach(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('addPerson', { initials: 'TO', name: 'Tove' });
  await crib.do('addMachine', { ...MILL, code: 'M3', name: 'Mill 3' });
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 3 });
  operation = (
    await crib.do('addJob', {
      ...{ number: 'J-1', part: 'Block', revision: 'A', customer: 'PO 4471', material: 'C45', quantity: 20 },
      ...{ due: '2027-02-01', machine: 'M2', highestBeside: 1 },
    })
  ).operation as number;
  for (let i = 0; i < 2; i += 1)
    await crib.do('buildAssembly', {
      ...{ cutter: { item: 'EM10', place: 'S1' }, holder: { item: 'SL10', place: 'S1' }, stickout: 34 },
    });
  await crib.do('recordMeasurement', { tag: 'A-0001', gaugeLength: 94.1, diameter: 9.99 });
});
afterEach(() => crib.db.close());

describe('the sheet', () => {
  it('blank stays blank, and no zero: what is not stated is null in the row', async () => {
    await write({ drawing: 'D-1180', zeroZ: 0 });
    expect((await setup()).sheet).toMatchObject({
      ...{ drawing: 'D-1180', zeroZMm: 0, zeroZEntered: '0 mm', stockZMm: null, stockZEntered: null },
      ...{ fixture: null, parallelsMm: null, notes: null },
    });
    expect((await setup()).inZ).toEqual({ top: null, bottom: 0 });
  });

  it('a second planner writes over nothing unseen: he is told what the first changed, and nothing is written', async () => {
    await write(STATED);
    const seen = await sheet();
    await crib.do('writeSetupSheet', {
      who: 'TO',
      operation,
      over: seen,
      ...STATED,
      stockZ: '32',
      notes: 'soft jaws',
    });
    const late = crib.do('writeSetupSheet', { operation, over: seen, ...STATED, drawing: 'D-1181' });
    await expect(late).rejects.toMatchObject({
      code: 'CONFLICT',
      message:
        'TO has written this sheet since you opened it: stock Z was 31 mm, is 32 mm; the notes are other ones',
      parts: [
        { field: 'stockZ', value: '32 mm', detail: 'stock Z is 32 mm now' },
        { field: 'notes', value: 'soft jaws' },
      ],
    });
    expect((await setup()).sheet).toMatchObject({ drawing: 'D-1180', stockZEntered: '32 mm' });
    // The first sheet of an operation is no other.
    await expect(crib.do('writeSetupSheet', { operation, drawing: 'X' })).rejects.toMatchObject({
      code: 'CONFLICT',
    });
  });

  it('one that was taken back is said too', async () => {
    const { entry } = await write(STATED);
    await crib.do('counterEntry', { counters: entry });
    await expect(crib.do('writeSetupSheet', { operation, over: entry, ...STATED })).rejects.toMatchObject({
      code: 'CONFLICT',
      message: expect.stringContaining('taken back'),
    });
  });

  it('the work offset follows from the vise: worked by hand', async () => {
    await crib.do('stateFixture', {
      ...{
        machine: 'M2',
        code: 'V1',
        name: 'Vise',
        centre: -400,
        width: 125,
        jaw: -90,
        side: 'far',
        bed: 60,
      },
    });
    await write(STATED);
    // Left end −400 − 62.5; far jaw −90, zero at the stock's far side; 60 + 5 + 30 above the datum surface.
    expect((await setup()).offset).toMatchObject({
      X: '−462.500',
      Y: '−90.000',
      Z: '95.000',
      h: 95,
      stated: null,
    });
    await crib.do('stateOperation', { operation, highestBeside: 1, partZero: 80 });
    expect((await setup()).offset).toMatchObject({ h: 95, stated: 80 });
    await write({ ...STATED, zeroY: 0 });
    expect((await setup()).offset?.Y).toBe('−150.000');
    await write({ ...STATED, against: 'stop', parallels: undefined });
    expect(await setup()).toMatchObject({
      offset: null,
      offsetNeeds: 'parallels, a stop of V1 on the cheat sheet',
    });
    await write({ ...STATED, fixture: 'plate with six clamps' });
    expect(await setup()).toMatchObject({ offset: null, offsetNeeds: null });
  });

  it('what goes beyond the stock is held against the jaws of the vise that the sheet names', async () => {
    const vise = {
      ...{ machine: 'M2', code: 'V1', name: 'Vise', centre: -400, width: 125 },
      ...{ jaw: -90, side: 'far', bed: 60 },
    };
    // Stock 60 deep with zero at its far side, its bottom at −30 on parallels of 5; a 10 mm cutter whose middle goes 8 beyond.
    const text = 'T7 M6 S1000 M3\nG0 G43 H7 X0 Y8 Z5\nG1 Z-20 F200\nX100\nG0 Z50\nM30';
    await crib.do('storeProgram', { operation, name: 'O1181', text });
    await write(STATED);
    const said = async () =>
      (await jobView(crib.db, 'J-1'))!.tools
        .flatMap((t) => t.use.judgements)
        .filter((j) => j.code === 'JAWS')
        .map((j) => [j.grade, j.words]);
    expect(await said()).toEqual([]);
    await crib.do('stateFixture', vise);
    expect(await said()).toMatchObject([['not judged', expect.stringContaining('is not known')]]);
    // 20 − 5 − 30: the jaws stand to Z −15.
    const { entry } = await crib.do('stateFixture', { ...vise, jawHigh: '20 mm' });
    const [[grade, words] = []] = await said();
    expect(grade).toBe('question');
    expect(words).toMatch(/^Goes \d+ mm beyond the stock, and 5 mm below the jaws of V1/);
    // Moved to another machine's cheat sheet, or stated without: nobody says so any more.
    await crib.do('counterEntry', { counters: entry });
    await crib.do('stateFixture', { ...vise, jawHigh: 10 });
    expect(await said()).toMatchObject([['good', expect.stringContaining('Stays 5 mm above')]]);
    await write({ ...STATED, fixture: 'plate with six clamps' });
    expect(await said()).toEqual([]);
  });

  it.each([
    ['stockZ', 0],
    ['stockX', '11 m'],
    ['parallels', -1],
    ['workOffset', 'G53'],
    ['against', 'the wall'],
    ['notes', 'x'.repeat(2001)],
  ])('refuses %s %p by its name', async (name, value) => {
    await expect(write({ ...STATED, [name]: value })).rejects.toMatchObject({
      code: 'INVALID_INPUT',
      parts: [expect.objectContaining({ field: name })],
    });
    expect((await setup()).sheet).toBeNull();
  });

  it('a Z into what carries the part stops its T, wherever it is judged', async () => {
    await crib.do('storeProgram', { operation, text: oneToolProgram(7, 2, -20) });
    await crib.do('tieTool', { operation, t: 7, tag: 'A-0001' });
    const sink = async () => (await job()).tools[0]!.use.judgements.find((j) => j.code === 'SINK')?.grade;
    expect(await sink()).toBeUndefined();
    await write({ ...STATED, zeroZ: '18', parallels: '5' });
    expect(await sink()).toBe('question');
    await write({ ...STATED, zeroZ: '12', parallels: '5' });
    expect(await sink()).toBe('stop');
    expect((await jobsView(crib.db)).open[0]).toMatchObject({ grade: 'stop' });
    await write(STATED);
    expect(await sink()).toBe('good');
  });
});

describe('signatures', () => {
  const steps = async () => (await setup()).signed.map((s) => [s.step, s.doubts.map((d) => d.kind)]);
  const upTo = async (...names: string[]) => {
    await write(STATED);
    await crib.do('storeProgram', { operation, text: oneToolProgram(7, 2, -20) });
    await crib.do('tieTool', { operation, t: 7, tag: 'A-0001' });
    await crib.do('statePassDepth', { operation, t: 7, depth: 10 });
    for (const name of names) await sign(name);
  };

  it('go in their order, and say what is missing', async () => {
    await expect(sign('written')).rejects.toMatchObject({
      code: 'REFUSED',
      message: 'There is no setup sheet yet',
    });
    await upTo();
    await expect(sign('proved')).rejects.toMatchObject({
      message: 'Nobody has signed ‘entered’ yet',
      wayOut: expect.stringContaining('entered'),
    });
    await sign('written');
    await sign('entered', { by: 'Kari, night shift' });
    expect((await setup()).signed).toMatchObject([
      { step: 'written', name: 'IK', doubts: [] },
      { step: 'entered', name: 'Kari, night shift', who: 'IK', doubts: [] },
    ]);
    expect((await setup()).next).toBe('proved');
  });

  it('a length measured anew makes ‘entered’ doubtful, and no other; the way back is signing it again', async () => {
    await upTo('written', 'entered');
    await crib.do('recordMeasurement', { tag: 'A-0001', gaugeLength: 94.111, diameter: 9.99 });
    expect(await steps()).toEqual([
      ['written', []],
      ['entered', ['register']],
    ]);
    expect((await setup()).signed[1]!.doubts[0]!.words).toBe('H of T7 was −395.900, is −395.889');
    await expect(sign('proved')).rejects.toMatchObject({
      message: expect.stringMatching(/in doubt: H of T7/),
    });
    await sign('entered');
    expect(await steps()).toEqual([
      ['written', []],
      ['entered', []],
    ]);
  });

  it('another program, another assembly, another drawing: who must sign again, and what is proved again', async () => {
    await upTo('written', 'entered', 'proved', 'optimised', 'filed');
    expect((await jobsView(crib.db)).open[0]).toMatchObject({ stage: 'proved' });
    await crib.do('storeProgram', { operation, text: oneToolProgram(7, 2, -22) });
    expect(await steps()).toEqual([
      ['written', []],
      ['entered', ['program']],
      ['proved', ['program']],
      ['optimised', ['program']],
      ['filed', ['program']],
    ]);
    expect((await setup()).again).toEqual([expect.stringMatching(/^T7: /)]);
    expect((await jobsView(crib.db)).open[0]!.stage).not.toBe('proved');
    const { entry } = await crib.do('tieTool', { operation, t: 7, tag: 'A-0002' });
    expect((await setup()).signed[2]!.doubts.map((d) => d.words)).toEqual([
      expect.stringContaining('T7 in the program'),
      'T7 was A-0001, is A-0002',
    ]);
    await crib.do('counterEntry', { counters: entry });
    await write({ ...STATED, revision: 'C' });
    expect((await steps()).map(([, kinds]) => kinds)).toEqual([
      ['drawing'],
      ['program'],
      ['drawing', 'program'],
      ['program'],
      ['drawing', 'program'],
    ]);
    expect((await setup()).again).toEqual([expect.stringContaining('whole program')]);
    expect((await setup()).next).toBe('written');
  });

  it('what was changed and taken back is no change', async () => {
    await upTo('written', 'entered', 'proved');
    const { entry } = await crib.do('storeProgram', { operation, text: oneToolProgram(7, 9, -29) });
    expect((await setup()).again).toHaveLength(1);
    await crib.do('counterEntry', { counters: entry });
    expect((await setup()).again).toEqual([]);
  });

  it('a stop is not signed away, and nobody signs for what he did not see', async () => {
    await upTo('written', 'entered');
    await crib.do('stateOperation', { operation, highestBeside: 30 });
    await expect(sign('proved')).rejects.toMatchObject({
      message: expect.stringMatching(/^T7 must not run: /),
    });
    await crib.do('stateOperation', { operation, highestBeside: 1 });
    const { program } = await job();
    await crib.do('storeProgram', { operation, text: oneToolProgram(7, 2, -21) });
    await expect(sign('proved', { program: program!.entryId })).rejects.toMatchObject({
      code: 'CONFLICT',
      parts: [expect.objectContaining({ field: 'program' })],
    });
    await expect(sign('written', { sheet: 1 })).rejects.toMatchObject({ code: 'CONFLICT' });
    // Whoever saw none is told that there is one by now.
    await expect(sign('written', { sheet: 0 })).rejects.toMatchObject({
      code: 'CONFLICT',
      parts: [expect.objectContaining({ field: 'sheet', limit: expect.stringContaining('is in force') })],
    });
  });
});

describe('a job of several operations', () => {
  it('shows the one that is asked for, else the first with parts to make', async () => {
    await crib.do('addOperation', { job: 'J-1', number: 20, machine: 'M3' });
    expect((await job()).operations.map((o) => [o.number, o.machine, o.done])).toEqual([
      [10, 'M2', false],
      [20, 'M3', false],
    ]);
    expect((await job('J-1', 20)).operation).toMatchObject({
      number: 20,
      machine: 'M3',
      customer: 'PO 4471',
    });
    await crib.do('storeProgram', { operation, text: oneToolProgram(7, 2) });
    await crib.do('logParts', { operation, parts: 20, confirmed: true });
    expect((await job()).operation.number).toBe(20);
    // One that nobody has is the first.
    expect((await job('J-1', 99)).operation.number).toBe(20);
  });

  it('a number that is taken, or a machine out of use, is refused by name', async () => {
    await expect(crib.do('addOperation', { job: 'J-1', number: 10, machine: 'M3' })).rejects.toMatchObject({
      code: 'CONFLICT',
      parts: [{ field: 'number', limit: 'not 10' }],
    });
    await expect(crib.do('addOperation', { job: 'J-9', number: 10, machine: 'M3' })).rejects.toMatchObject({
      code: 'NOT_FOUND',
      parts: [{ field: 'job' }],
    });
  });

  it('fewer than were made of any operation are not booked', async () => {
    const second = (await crib.do('addOperation', { job: 'J-1', number: 20, machine: 'M2' })).operation;
    await crib.do('storeProgram', { operation: second, text: oneToolProgram(7, 2) });
    await crib.do('logParts', { operation: second, parts: 15, confirmed: true });
    await expect(crib.do('changeJob', { number: 'J-1', quantity: 12 })).rejects.toMatchObject({
      message: '15 of J-1 are made already',
    });
  });
});

it('a copied job has all that the earlier one had, and no signature', async () => {
  await write(STATED);
  await crib.do('storeProgram', { operation, name: 'O1180', text: oneToolProgram(7, 2, -20) });
  await crib.do('tieTool', { operation, t: 7, tag: 'A-0001' });
  await crib.do('statePassDepth', { operation, t: 7, depth: 10 });
  await crib.do('addOperation', { job: 'J-1', number: 20, machine: 'M3', highestBeside: 4 });
  await sign('written');
  await crib.do('planTool', { operation, t: 7, leavesFloor: '0.1 mm' });
  await crib.do('copyJob', { from: 'J-1', number: 'J-2', quantity: 5, due: '2027-03-01', revision: 'B' });
  const copy = await job('J-2');
  expect(copy).toMatchObject({
    operation: {
      part: 'Block',
      revision: 'B',
      customer: null,
      quantity: 5,
      partsMade: 0,
      highestBesideMm: 1,
    },
    program: { name: 'O1180' },
    tools: [{ t: 7, tag: 'A-0001', passDepth: '10 mm', plan: { leaves: { side: null, floor: 0.1 } } }],
    setup: {
      sheet: { drawing: 'D-1180', stockZEntered: '31 mm' },
      signed: [],
      next: 'written',
      stage: 'kit ready',
    },
  });
  expect(copy.operations.map((o) => [o.number, o.machine])).toEqual([
    [10, 'M2'],
    [20, 'M3'],
  ]);
  // What was taken down since is not tied again.
  await crib.do('takeDown', { tag: 'A-0001', cutterTo: 'USED' });
  await crib.do('copyJob', { from: 'J-1', number: 'J-4', quantity: 5, due: '2027-03-01' });
  expect((await job('J-4')).tools).toMatchObject([{ tag: null, wasTag: null }]);
  // A failed copy leaves nothing.
  await expect(
    crib.do('copyJob', { from: 'J-1', number: 'j-2', quantity: 5, due: '2027-03-01' }),
  ).rejects.toMatchObject({ code: 'CONFLICT' });
  await expect(
    crib.do('copyJob', { from: 'J-77', number: 'J-5', quantity: 5, due: '2027-03-01' }),
  ).rejects.toMatchObject({ code: 'NOT_FOUND', parts: [{ field: 'from' }] });
  expect((await jobsView(crib.db)).open.map((j) => j.operation.job)).not.toContain('J-5');
});
