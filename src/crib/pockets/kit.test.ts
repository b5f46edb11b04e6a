import { furnish, MILL, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { jobView } from '@/crib/jobs';
import { manyPassDepths } from '@/data/jobs';
import { kitView, pocketsView } from './index';

let crib: TestCrib;
let operation: number;
const TWO = (z = -10) =>
  `${oneToolProgram(7, 2, z).replace('M30', '')}(T8 FINISHER)\n${oneToolProgram(8, 1).replace('G21 G90 G17 G54\n', '')}`;
const kit = async (number = 'J-1') => (await kitView(crib.db, { number }, '2027-01-05'))!;
const tool = async (t: number, number = 'J-1') => (await kit(number)).tools.find((x) => x.t === t)!;
const plan = (t: number, more: Record<string, unknown>) => crib.do('planTool', { operation, t, ...more });
const use = async (t: number) => (await jobView(crib.db, 'J-1'))!.tools.find((x) => x.t === t)!.use;
const build = () =>
  crib.do('buildAssembly', {
    ...{ cutter: { item: 'EM10', place: 'S1' }, holder: { item: 'SL10', place: 'S1' }, stickout: 34 },
  });

beforeEach(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 5 });
  operation = (
    await crib.do('addJob', {
      ...{ number: 'J-1', part: 'Block', material: 'C45', quantity: 20, due: '2027-02-01', machine: 'M2' },
      highestBeside: 0,
    })
  ).operation as number;
});
afterEach(() => crib.db.close());

describe('what is planned', () => {
  it('stands before any program does, and says what is to be built and from where', async () => {
    await plan(7, { does: 'roughs the pocket', item: 'EM10' });
    const [only] = (await kit()).tools;
    expect(only).toMatchObject({
      ...{ t: 7, called: false, state: 'to build', tag: null, why: null },
      plan: { does: 'roughs the pocket', item: 'EM10', words: expect.stringContaining('EM10, 10 mm') },
      pieces: [{ what: 'cutter', item: 'EM10', from: 'EM10|S1', take: '3 unused at S1', place: 'S1' }],
    });
    await crib.do('storeProgram', { operation, text: oneToolProgram(8, 1) });
    expect(await tool(7)).toMatchObject({ called: false, why: 'the program does not call it' });
    expect(await tool(8)).toMatchObject({ called: true, plan: null, state: 'to build', pieces: [] });
  });

  it('what is tied and is something else is no longer good, on every screen', async () => {
    await crib.do('storeProgram', { operation, text: oneToolProgram(7, 2) });
    await build();
    await crib.do('recordMeasurement', { tag: 'A-0001', gaugeLength: 94.1, diameter: 9.99 });
    await crib.do('tieTool', { operation, t: 7, tag: 'A-0001' });
    await crib.do('statePassDepth', { operation, t: 7, depth: 10 });
    expect((await use(7)).grade).toBe('good');
    const { entry: over } = await plan(7, { must: { family: 'square', DC: 10, LCF: 20 } });
    expect((await use(7)).judgements.find((j) => j.code === 'PLANNED')).toMatchObject({ grade: 'good' });
    const { entry } = await plan(7, { over, must: { family: 'square', DC: '8' } });
    expect(await use(7)).toMatchObject({
      grade: 'stop',
      why: expect.stringMatching(/Not what is planned.*DC 10.*8/),
    });
    expect(await tool(7)).toMatchObject({ grade: 'stop', state: 'in the crib, to look at' });
    // 25 of flute are asked for, it has 22.
    await plan(7, { over: entry, must: { family: 'square', DC: 10, LCF: 25 } });
    expect((await use(7)).why).toMatch(/3 mm less flute/);
  });

  it('a second planner sees that it was planned anew, and nothing is written over', async () => {
    const { entry: over } = await plan(7, { does: 'roughs' });
    await plan(7, { over, does: 'roughs the pocket' });
    await expect(plan(7, { over, does: 'slots' })).rejects.toMatchObject({ code: 'CONFLICT' });
    await expect(plan(7, { does: 'slots' })).rejects.toMatchObject({ code: 'CONFLICT' });
    expect((await tool(7)).plan?.does).toBe('roughs the pocket');
    const { plan: now } = await tool(7);
    await plan(7, { over: now!.entryId, gone: true });
    expect((await kit()).tools).toEqual([]);
  });

  it.each([
    [{}, 'does'],
    [{ item: 'EM10', must: { family: 'square', DC: 10 } }, 'sheet'],
    [{ item: 'SL10' }, 'item'],
    [{ item: 'NONE' }, 'item'],
    [{ sheet: 'BS-9' }, 'sheet'],
    [{ must: { family: 'square', DC: 10, LCF: -1 } }, 'must.LCF'],
  ])('refuses %j by its field', async (input, name) => {
    await expect(plan(7, input)).rejects.toMatchObject({
      parts: [expect.objectContaining({ field: expect.stringContaining(name.split('.')[0]!) })],
    });
    expect((await kit()).tools).toEqual([]);
  });

  it('a build sheet brings its holder, and what of it lies nowhere is lacking', async () => {
    await crib.do('writeBuildSheet', {
      ...{ code: 'BS-1', name: 'Finisher', cutter: 'EM10', holder: 'SL10', stickout: 34 },
    });
    await plan(7, { sheet: 'bs-1' });
    expect(await tool(7)).toMatchObject({
      ...{ sheet: 'BS-1', lacking: [] },
      pieces: [{ what: 'cutter' }, { what: 'holder', item: 'SL10', place: 'S1' }],
    });
    await crib.do('issueStock', { item: 'SL10', from: 'S1', quantity: 7, to: 'IK' });
    expect(await tool(7)).toMatchObject({ state: 'to build', lacking: ['SL10'] });
    await crib.do('issueStock', { item: 'EM10', from: 'S1', quantity: 3, to: 'IK' });
    expect(await tool(7)).toMatchObject({ state: 'missing', lacking: ['EM10', 'SL10'], pieces: [] });
  });

  it('what is set aside for another job is not there to build with', async () => {
    await crib.do('addJob', {
      ...{ number: 'J-2', part: 'Cap', material: 'C45', quantity: 5, due: '2027-03-01', machine: 'M2' },
    });
    await plan(7, { item: 'EM10' });
    await crib.do('reserveStock', { item: 'EM10', job: 'J-2', quantity: 3 });
    expect(await tool(7)).toMatchObject({ state: 'missing', lacking: ['EM10'] });
    // The machine's own page says the same of it.
    await crib.do('storeProgram', { operation, text: oneToolProgram(7, 2) });
    const there = async () =>
      (await pocketsView(crib.db, { machine: 'M2' }, '2027-01-05', 'UTC'))!.jobs[0]!.lines[0]!.state;
    expect([(await tool(7)).state, await there()]).toEqual(['missing', 'missing']);
    await crib.do('reserveStock', { item: 'EM10', job: 'J-2', quantity: 0 });
    expect((await tool(7)).aside).toBe(0);
    await crib.do('reserveStock', { item: 'EM10', job: 'J-1', quantity: 3 });
    // One more is set aside beside those, and never instead of them.
    expect(await tool(7)).toMatchObject({ state: 'to build', aside: 3 });
  });
});

describe('bringing it together', () => {
  beforeEach(async () => {
    await crib.do('storeProgram', { operation, text: TWO() });
    await build();
    await crib.do('recordMeasurement', { tag: 'A-0001', gaugeLength: 94.1, diameter: 9.99 });
    await crib.do('statePassDepth', { operation, t: 7, depth: 10 });
  });

  it('what stands already and is what is planned only needs tying', async () => {
    await plan(7, { item: 'EM10' });
    expect(await tool(7)).toMatchObject({ standing: ['A-0001'], state: 'to build' });
    // What is worn is not offered as free.
    const { entry } = await crib.do('recordWear', { tag: 'A-0001', flankWear: 0.35 });
    expect(await tool(7)).toMatchObject({ standing: [], state: 'to build' });
    await crib.do('counterEntry', { counters: entry });
    expect((await tool(7)).standing).toEqual(['A-0001']);
    await crib.do('tieTool', { operation, t: 7, tag: 'A-0001' });
    expect(await tool(7)).toMatchObject({ standing: [], state: 'in the crib, ready' });
    await plan(8, { item: 'EM10' });
    // It is counted on by this job already.
    expect((await tool(8)).standing).toEqual([]);
  });

  it('what must not run stays on the rack, whoever asks; pulled before it became that, it goes back', async () => {
    const move = (to: string) => crib.do('moveKit', { operation, tag: 'A-0001', to });
    const worn = () => crib.do('recordWear', { tag: 'A-0001', flankWear: 0.35 });
    await crib.do('tieTool', { operation, t: 7, tag: 'A-0001' });
    const { entry } = await worn();
    expect(await tool(7)).toMatchObject({ grade: 'stop', worn: true, state: 'in the crib, to look at' });
    expect((await kit()).pull).toEqual([]);
    const why = (await tool(7)).why!;
    expect(why).toMatch(/^Worn: flank wear 0\.35 of/);
    await expect(move('cart')).rejects.toMatchObject({
      code: 'REFUSED',
      message: `A-0001 stays on the rack: ${why}`,
    });
    // As another T of the program it would wear as much; a T that asks nothing of it is no way round.
    await crib.do('tieTool', { operation, t: 8, tag: 'A-0001' });
    await expect(move('cart')).rejects.toMatchObject({ code: 'REFUSED' });
    await crib.do('counterEntry', { counters: entry });
    expect(await tool(7)).toMatchObject({ worn: false });
    await move('cart');
    await worn();
    expect(await tool(7)).toMatchObject({ grade: 'stop', state: 'pulled, to look at' });
    await move('rack');
    await expect(move('cart')).rejects.toMatchObject({ code: 'REFUSED' });
  });

  it('a stop that only one T makes of it does not keep it from another', async () => {
    // T7 takes more in one pass than there is flute; T8 does not.
    await crib.do('statePassDepth', { operation, t: 7, depth: 60 });
    await crib.do('statePassDepth', { operation, t: 8, depth: 10 });
    await crib.do('tieTool', { operation, t: 7, tag: 'A-0001' });
    expect((await tool(7)).grade).toBe('stop');
    const move = crib.do('moveKit', { operation, tag: 'A-0001', to: 'cart' });
    await expect(move).rejects.toMatchObject({ code: 'REFUSED' });
    await crib.do('tieTool', { operation, t: 8, tag: 'A-0001' });
    expect((await tool(8)).grade).not.toBe('stop');
    await crib.do('moveKit', { operation, tag: 'A-0001', to: 'cart' });
  });

  it('a T that its program calls no more asks nothing of it: the tag itself is asked', async () => {
    await crib.do('tieTool', { operation, t: 7, tag: 'A-0001' });
    await crib.do('storeProgram', { operation, text: oneToolProgram(8, 1) });
    const move = (to: string) => crib.do('moveKit', { operation, tag: 'A-0001', to });
    await move('cart');
    await move('rack');
    await crib.do('recordWear', { tag: 'A-0001', flankWear: 0.35 });
    await expect(move('cart')).rejects.toMatchObject({
      message: expect.stringMatching(/^A-0001 stays on the rack: Worn/),
    });
  });

  it('is pulled, is in the machine, and is put back; nobody pulls it for two', async () => {
    await crib.do('addPlace', { code: 'CART-1', name: 'Cart', kind: 'cart' });
    await crib.do('tieTool', { operation, t: 7, tag: 'A-0001' });
    expect((await kit()).pull).toEqual([
      { place: 'rack', what: 'A-0001', words: expect.any(String), forT: 7 },
    ]);
    const move = (to: string, more: object = {}) =>
      crib.do('moveKit', { operation, tag: 'A-0001', to, ...more });
    await build();
    await expect(crib.do('moveKit', { operation, tag: 'A-0002', to: 'cart' })).rejects.toMatchObject({
      code: 'REFUSED',
      message: 'A-0002 is on no T of J-1',
    });
    await move('cart', { cart: 'CART-1' });
    expect(await tool(7)).toMatchObject({ state: 'pulled, ready', pulled: { who: 'IK', cart: 'CART-1' } });
    expect(await kit()).toMatchObject({ pull: [], out: [{ tag: 'A-0001', cart: 'CART-1' }] });
    await expect(move('cart')).rejects.toMatchObject({
      code: 'CONFLICT',
      message: 'A-0001 is pulled already',
    });
    const other = (
      await crib.do('addJob', {
        ...{ number: 'J-2', part: 'Cap', material: 'C45', quantity: 5, due: '2027-01-20', machine: 'M2' },
      })
    ).operation;
    await expect(crib.do('moveKit', { operation: other, tag: 'A-0001', to: 'cart' })).rejects.toMatchObject({
      code: 'CONFLICT',
      message: 'A-0001 was pulled for J-1 by IK',
    });
    await crib.do('stateMagazine', { machine: 'M2', kind: 'carousel', pockets: 10 });
    await crib.do('loadPocket', { machine: 'M2', pocket: 7, tag: 'A-0001' });
    expect(await tool(7)).toMatchObject({ state: 'loaded and good', pocket: 7 });
    await crib.do('emptyPocket', { machine: 'M2', pocket: 7 });
    await move('rack');
    // In another machine it is on no rack to be pulled from.
    await crib.do('addMachine', { ...MILL, code: 'M9', name: 'Mill 9' });
    await crib.do('stateMagazine', { machine: 'M9', kind: 'carousel', pockets: 10 });
    await crib.do('loadPocket', { machine: 'M9', pocket: 2, tag: 'A-0001' });
    expect(await tool(7)).toMatchObject({ state: 'elsewhere', pocket: null, elsewhere: 'in M9, pocket 2' });
    const shown = async () =>
      (await pocketsView(crib.db, { machine: 'M2' }, '2027-01-05', 'UTC'))!.jobs
        .find((j) => j.job === 'J-1')!
        .lines.find((l) => l.t === 7)!;
    expect(await shown()).toMatchObject({ t: 7, state: 'elsewhere', elsewhere: 'in M9, pocket 2' });
    expect((await kit()).pull).toEqual([]);
    await expect(move('cart')).rejects.toMatchObject({ message: 'A-0001 is in M9, pocket 2' });
    await crib.do('emptyPocket', { machine: 'M9', pocket: 2 });
    // Under another T the machine takes it for another tool: it is not in the machine, and not on the rack either.
    await crib.do('loadPocket', { machine: 'M2', pocket: 5, tag: 'A-0001', t: 9 });
    for (const said of [await tool(7), await shown()])
      expect(said).toMatchObject({ state: 'elsewhere', pocket: 5, elsewhere: 'in pocket 5 as T9' });
    expect((await kit()).pull).toEqual([]);
    await crib.do('emptyPocket', { machine: 'M2', pocket: 5 });
    expect(await tool(7)).toMatchObject({ state: 'in the crib, ready', pulled: null });
    await expect(move('rack')).rejects.toMatchObject({ message: 'A-0001 hangs on the rack already' });
    await expect(move('cart', { cart: 'CART-9' })).rejects.toMatchObject({ parts: [{ field: 'cart' }] });
  });

  it('an edge that two jobs count on is counted once: worked by hand', async () => {
    await crib.do('tieTool', { operation, t: 7, tag: 'A-0001' });
    expect((await tool(7)).shared).toBeNull();
    const other = (
      await crib.do('addJob', {
        ...{ number: 'J-2', part: 'Cap', material: 'C45', quantity: 15, due: '2027-01-20', machine: 'M2' },
      })
    ).operation;
    await crib.do('storeProgram', { operation: other, text: oneToolProgram(3, 2) });
    await crib.do('tieTool', { operation: other, t: 3, tag: 'A-0001' });
    // Fresh edges of 40 minutes; J-2 cuts 15 x 2 before, 10 are left of the 20 x 2 that this wants.
    expect((await tool(7)).shared).toEqual({
      left: 10,
      enough: false,
      words: 'J-2 cuts with it first, 30 min of 40 min: 10 min left of 40 min wanted',
    });
    expect((await tool(3, 'J-2')).shared).toMatchObject({ left: 40, enough: true });
    await crib.do('changeJob', { number: 'J-2', state: 'cancelled' });
    expect((await tool(7)).shared).toBeNull();
  });

  it('what is fetched is in the order of the shelves, the rack last', async () => {
    await crib.do('addPlace', { code: 'A2', name: 'Cabinet', kind: 'shelf' });
    await crib.do('moveStock', { item: 'SL10', from: 'S1', quantity: 6, to: 'A2' });
    await crib.do('tieTool', { operation, t: 7, tag: 'A-0001' });
    await crib.do('writeBuildSheet', {
      ...{ code: 'BS-1', name: 'Finisher', cutter: 'EM10', holder: 'SL10', stickout: 34 },
    });
    await plan(8, { sheet: 'BS-1' });
    expect((await kit()).pull.map((p) => [p.place, p.what, p.forT])).toEqual([
      ['A2', 'SL10', 8],
      ['S1', 'EM10', 8],
      ['rack', 'A-0001', 7],
    ]);
  });
});

describe('other numbers', () => {
  const renumber = async (numbers: { t: number; to: number }[]) =>
    crib.do('renumberTools', {
      ...{ operation, program: (await jobView(crib.db, 'J-1'))!.program!.entryId, numbers },
    });
  const lines = async () =>
    (await jobView(crib.db, 'J-1'))!.tools.map((t) => [
      t.t,
      t.tag,
      t.passDepth,
      t.plan?.does ?? null,
      t.plan?.leaves.side ?? null,
    ]);

  beforeEach(async () => {
    await crib.do('storeProgram', { operation, name: 'O1', text: TWO() });
    await build();
    await build();
    await crib.do('tieTool', { operation, t: 7, tag: 'A-0001' });
    await crib.do('tieTool', { operation, t: 8, tag: 'A-0002' });
    await crib.do('statePassDepth', { operation, t: 7, depth: 10 });
    await plan(7, { does: 'roughs', leavesSide: 0.3, leavesFloor: 0 });
  });

  it('two that change places take with them what is tied, planned and stated; nothing is left on the other', async () => {
    const before = (await jobView(crib.db, 'J-1'))!;
    const { entry, lines: changed } = await renumber([
      { t: 7, to: 8 },
      { t: 8, to: 7 },
    ]);
    expect(changed).toBeGreaterThan(3);
    expect(await lines()).toEqual([
      [8, 'A-0001', '10 mm', 'roughs', 0.3],
      [7, 'A-0002', null, null, null],
    ]);
    const now = (await jobView(crib.db, 'J-1'))!;
    expect(now.tools.map((t) => t.tool.h)).toEqual([[8], [7]]);
    expect(now.tools.map((t) => t.minutesPerPart)).toEqual(before.tools.map((t) => t.minutesPerPart));
    expect(now.program!.entryId).not.toBe(before.program!.entryId);
    // The program that was stored is as it was, and taken back all of it is.
    await crib.do('counterEntry', { counters: entry });
    expect(await lines()).toEqual([
      [7, 'A-0001', '10 mm', 'roughs', 0.3],
      [8, 'A-0002', null, null, null],
    ]);
    expect((await jobView(crib.db, 'J-1'))!.program!.entryId).toBe(before.program!.entryId);
  });

  it('to a number that nobody had: the old one has nothing any more', async () => {
    await renumber([{ t: 7, to: 1 }]);
    expect(await lines()).toEqual([
      [1, 'A-0001', '10 mm', 'roughs', 0.3],
      [8, 'A-0002', null, null, null],
    ]);
    expect((await manyPassDepths(crib.db, [operation])).map((p) => p.t)).toEqual([1]);
    expect((await kit()).tools.map((t) => t.t)).toEqual([1, 8]);
  });

  it('refuses two under one number, a T that is not called, a program that is not in force, and one it can’t read', async () => {
    await expect(renumber([{ t: 7, to: 8 }])).rejects.toMatchObject({
      code: 'INVALID_INPUT',
      message: 'numbers: two tools would be T8',
    });
    await expect(renumber([{ t: 3, to: 4 }])).rejects.toMatchObject({ code: 'INVALID_INPUT' });
    const { program } = (await jobView(crib.db, 'J-1'))!;
    await crib.do('storeProgram', { operation, text: TWO(-12) });
    await expect(
      crib.do('renumberTools', { operation, program: program!.entryId, numbers: [{ t: 7, to: 1 }] }),
    ).rejects.toMatchObject({ code: 'CONFLICT', parts: [expect.objectContaining({ field: 'program' })] });
    await crib.do('storeProgram', { operation, text: 'T7 M6\nG43 H#1 Z5\nS900 M3\nG1 Z-2 F100\nM30' });
    await expect(renumber([{ t: 7, to: 1 }])).rejects.toMatchObject({
      code: 'REFUSED',
      message: 'Line 2: H is a variable or an expression, not a number',
    });
    expect((await lines()).map(([t]) => t)).toEqual([7]);
  });
});
