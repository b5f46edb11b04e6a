import { assemblyView } from '@/crib/rack';
import { furnish, MILL, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { pocketsView } from './index';

const maker = (value: string) => ({ value, origin: 'maker' });
const at = (item: string) => ({ item, place: 'S1' });
let crib: TestCrib;
const op: number[] = [];
const view = async () => (await pocketsView(crib.db, { machine: 'M2' }, '2027-01-05', 'UTC'))!;
const load = (pocket: number, tag: string, over: object = {}) =>
  crib.do('loadPocket', { machine: 'M2', pocket, tag, ...over });

beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 6 });
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 6 });
  await crib.do('addItem', {
    code: 'FACE',
    kind: 'cutter',
    family: 'face',
    facts: { DC: maker('80'), DMM: maker('10'), LCF: maker('8'), OAL: maker('60'), NOF: maker('5') },
  });
  await crib.do('receiveStock', { item: 'FACE', place: 'S1', quantity: 1 });
  for (let i = 0; i < 4; i++)
    await crib.do('buildAssembly', { cutter: at('EM10'), holder: at('SL10'), stickout: 34 });
  await crib.do('buildAssembly', {
    cutter: at('FACE'),
    holder: at('SL10'),
    stickout: 20,
    despite: 'as its drawing',
  });
  for (const tag of ['A-0001', 'A-0002', 'A-0005'])
    await crib.do('recordMeasurement', {
      tag,
      gaugeLength: tag === 'A-0005' ? '80' : '94.1',
      diameter: '9.99',
    });
  for (const [i, t] of [7, 9].entries()) {
    const { operation } = await crib.do('addJob', {
      number: `J-${i + 1}`,
      part: 'Block',
      material: 'C45',
      quantity: 3,
      due: `2027-02-0${i + 1}`,
      machine: 'M2',
    });
    op.push(Number(operation));
    await crib.do('storeProgram', { operation, text: oneToolProgram(t, 1) });
    await crib.do('tieTool', { operation, t, tag: `A-000${i + 1}` });
  }
});
afterAll(() => crib.db.close());

it('a magazine is stated with its limits; what can’t be is refused', async () => {
  await expect(load(1, 'A-0001')).rejects.toMatchObject({ message: 'M2 has no pocket 1' });
  await expect(
    crib.do('stateMagazine', { machine: 'M2', kind: 'by hand', pockets: 4 }),
  ).rejects.toMatchObject({ parts: [expect.objectContaining({ field: 'pockets' })] });
  await expect(
    crib.do('stateMagazine', { machine: 'M2', kind: 'carousel', pockets: 6, diameter: 75, alone: 70 }),
  ).rejects.toMatchObject({ parts: [expect.objectContaining({ field: 'alone', limit: 'at least 75 mm' })] });
  await crib.do('stateMagazine', {
    machine: 'M2',
    kind: 'carousel',
    pockets: 6,
    weight: 7,
    diameter: 75,
    alone: 125,
    length: 250,
  });
  expect(await view()).toMatchObject({ magazine: { kind: 'carousel', pockets: 6, diameterMm: 75 } });
});

it('a tool goes in under the T of its job; its numbers there stand beside it at once', async () => {
  expect((await view()).jobs.map((j) => j.lines[0]?.state)).toEqual([
    'in the crib, to look at',
    'in the crib, to look at',
  ]);
  expect(await load(3, 'A-0001')).toMatchObject({ t: 7, h: 7, d: 7, out: null });
  const { pockets, jobs, waiting, changes } = await view();
  // K 490 to the datum surface: 94.1 - 490.
  expect(pockets[2]?.tool).toMatchObject({ tag: 'A-0001', t: 7, H: '−395.900', sisters: [] });
  expect(jobs[0]?.lines).toMatchObject([{ t: 7, tag: 'A-0001', pocket: 3 }]);
  expect(waiting.map((w) => w.tag)).toEqual(['A-0002']);
  // One job has its tool; the other's goes into an empty pocket.
  expect(changes.map((x) => x.changes)).toEqual([
    [],
    [{ pocket: 1, load: { t: 9, tag: 'A-0002' }, out: null }],
  ]);
  expect((await assemblyView(crib.db, 'A-0001', 'UTC'))?.loaded).toMatchObject({
    machine: 'M2',
    pocket: 3,
    t: 7,
  });
});

it('a pocket that is taken is said, and two are swapped or one goes out', async () => {
  await load(4, 'A-0002');
  await expect(load(4, 'A-0001')).rejects.toMatchObject({
    code: 'CONFLICT',
    message: 'A-0002 is in pocket 4',
  });
  await load(4, 'A-0001', { instead: 'swap' });
  const tags = async () => (await view()).pockets.map((p) => p.tool?.tag ?? null);
  expect(await tags()).toEqual([null, null, 'A-0002', 'A-0001', null, null]);
  const { entry } = await load(3, 'A-0001', { instead: 'out' });
  expect(await tags()).toEqual([null, null, 'A-0001', null, null, null]);
  // Taken back, both hang where they were.
  await crib.do('counterEntry', { counters: entry });
  expect(await tags()).toEqual([null, null, 'A-0002', 'A-0001', null, null]);
});

it('a T is of one tool, or of sisters with an H each', async () => {
  await crib.do('buildAssembly', { cutter: { item: 'EM10', place: 'S1' }, holder: at('SL10'), stickout: 30 });
  await expect(load(1, 'A-0005', { t: 7 })).rejects.toMatchObject({ message: 'T7 is A-0001 in pocket 4' });
  await expect(load(1, 'A-0003', { t: 7 })).rejects.toMatchObject({
    message: 'H7 holds the length of A-0001',
    parts: [expect.objectContaining({ field: 'h' })],
  });
  await load(1, 'A-0003', { t: 7, h: 27, counter: 'zero' });
  expect((await view()).pockets[0]?.tool).toMatchObject({
    t: 7,
    h: 27,
    d: 27,
    counterZero: true,
    sisters: ['A-0001'],
  });
});

it('a wide tool asks for room, and nothing comes beside it', async () => {
  // 80 across, 75 beside others: pockets 1 and 3 are full.
  await expect(load(2, 'A-0005')).rejects.toMatchObject({
    code: 'REFUSED',
    message: '80 mm across: pocket 1 (A-0003) and 3 (A-0002) must be empty',
  });
  await crib.do('emptyPocket', { machine: 'M2', pocket: 1 });
  await load(6, 'A-0005');
  await expect(load(1, 'A-0003')).rejects.toMatchObject({
    message: 'A-0005 in pocket 6 is too wide to have one beside it',
  });
  const { pockets } = await view();
  expect(pockets[5]?.tool?.pocket.grade).not.toBe('stop');
  await load(1, 'A-0003', { despite: 'pocket 6 is turned away' });
  // Seen as it is, at both.
  expect((await view()).pockets.map((p) => p.tool?.pocket.grade ?? null)).toEqual([
    'stop',
    null,
    expect.not.stringMatching('stop'),
    expect.not.stringMatching('stop'),
    null,
    'stop',
  ]);
});

it('what is taken down or goes to another machine is in no pocket here any more', async () => {
  await crib.do('takeDown', { tag: 'A-0003', cutterTo: 'USED' });
  expect((await view()).pockets[0]?.tool).toBeNull();
  await expect(crib.do('emptyPocket', { machine: 'M2', pocket: 1 })).rejects.toMatchObject({
    code: 'CONFLICT',
  });
  await crib.do('addMachine', {
    code: 'M3',
    name: 'Mill 3',
    taper: '40 taper',
    k: 500,
    lengthSchool: 'gauge',
    diameterSchool: 'diameter',
    units: 'mm',
    hEqualsT: 'yes',
  });
  await crib.do('stateMagazine', { machine: 'M3', kind: 'rack', pockets: 3 });
  await crib.do('loadPocket', { machine: 'M3', pocket: 2, tag: 'A-0002' });
  const there = (await pocketsView(crib.db, { machine: 'M3' }, '2027-01-05', 'UTC'))!;
  // The same length, as that machine takes it: whole.
  expect(there.pockets[1]?.tool).toMatchObject({
    tag: 'A-0002',
    H: '94.100',
    pocket: { grade: 'not judged' },
  });
  expect((await view()).pockets[2]?.tool).toBeNull();
});

it('a cutter is kept under its number in many machines: planned against what is in them', async () => {
  await crib.do('keepTool', { machines: ['M2', 'M3'], t: 7, item: 'EM10' });
  expect((await view()).kept).toEqual([{ t: 7, item: 'EM10', is: 'A-0001', right: true }]);
  const m3 = async () => (await pocketsView(crib.db, { machine: 'M3' }, '2027-01-05', 'UTC'))!.kept;
  expect(await m3()).toEqual([{ t: 7, item: 'EM10', is: null, right: false }]);
  // One of its kind takes the number by itself.
  expect(await crib.do('loadPocket', { machine: 'M3', pocket: 1, tag: 'A-0004' })).toMatchObject({ t: 7 });
  expect(await m3()).toMatchObject([{ is: 'A-0004', right: true }]);
  await crib.do('keepTool', { machines: ['M3'], t: 7 });
  expect(await m3()).toEqual([]);
  await expect(crib.do('keepTool', { machines: ['M2'], t: 1, item: 'SL10' })).rejects.toMatchObject({
    code: 'REFUSED',
  });
});

it('fewer pockets than are full are refused, by the tool that is beyond', () =>
  expect(crib.do('stateMagazine', { machine: 'M2', kind: 'carousel', pockets: 3 })).rejects.toMatchObject({
    code: 'INVALID_INPUT',
    message: 'A-0005 is in pocket 6',
    parts: [expect.objectContaining({ field: 'pockets', limit: 'at least 6' })],
  }));

it('where tools are swapped by hand each stop of the program stands, a T that comes again twice', async () => {
  await crib.do('addMachine', {
    code: 'HAND',
    name: 'By hand',
    taper: '40 taper',
    k: 300,
    lengthSchool: 'datum',
    diameterSchool: 'radius',
    units: 'mm',
    hEqualsT: 'no',
  });
  await crib.do('stateMagazine', { machine: 'HAND', kind: 'by hand', pockets: 0 });
  const { operation } = await crib.do('addJob', {
    number: 'J-9',
    part: 'Cap',
    material: 'C45',
    quantity: 2,
    due: '2027-02-09',
    machine: 'HAND',
  });
  const call = (t: number) => `T${t} M6\nS2000 M3\nG43 H${t} Z5\nG1 X${t} F200\nG0 Z5`;
  await crib.do('storeProgram', {
    operation,
    text: `G21 G90 G17 G54\n${[2, 1, 2].map(call).join('\n')}\nM30`,
  });
  const hand = (await pocketsView(crib.db, { machine: 'HAND' }, '2027-01-05', 'UTC'))!;
  expect(hand.jobs[0]).toMatchObject({ order: [2, 1, 2], lines: [{ t: 2 }, { t: 1 }] });
});

it('who loads what must not run hears it at once, as the pocket says it; one that may run has nothing said', async () => {
  await crib.do('addMachine', { code: 'M48', name: 'Mill 48', ...MILL });
  await crib.do('stateMagazine', { machine: 'M48', kind: 'carousel', pockets: 3 });
  const into = async (pocket: number, tag: string) => {
    const { stop } = await crib.do('loadPocket', { machine: 'M48', pocket, tag });
    const there = (await pocketsView(crib.db, { machine: 'M48' }, '2027-01-05', 'UTC'))!.pockets;
    const use = there.find((p) => p.pocket === pocket)!.tool!.use;
    expect(use?.grade === 'stop' ? use.why : null).toBe(stop);
    return stop;
  };
  const { tag } = await crib.do('buildAssembly', {
    ...{ cutter: at('EM10'), holder: at('SL10'), stickout: 34 },
  });
  expect(await into(1, String(tag))).toBeNull();
  // Tied to nothing: by itself it is worn all the same.
  await crib.do('recordWear', { tag, flankWear: 0.35 });
  expect(await into(2, String(tag))).toMatch(/^Worn: flank wear 0\.35 of/);
  const { operation } = await crib.do('addJob', {
    ...{ number: 'J-48', part: 'Lid', material: 'C45', quantity: 5, due: '2027-02-01', machine: 'M48' },
  });
  await crib.do('storeProgram', { operation, text: oneToolProgram(3, 1) });
  await crib.do('tieTool', { operation, t: 3, tag });
  expect(await into(3, String(tag))).toMatch(/^Worn/);
});
