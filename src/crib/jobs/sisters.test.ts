import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { pocketsView } from '@/crib/pockets';
import { assemblyView, rackView } from '@/crib/rack';
import { exportRegisters, registersView } from '@/crib/registers';
import { todayView } from '@/crib/today';
import { jobView } from './views/jobView';
import { runView } from './views/runView';
import { unwatchedView } from './views/unwatchedView';

/** Sister tools: a machine changes to another edge of one cutter after so many parts (common practice). EM10 in C45, 40 min assumed. */
let crib: TestCrib;
let operation: number;
const build = async (item = 'EM10') =>
  String(
    (
      await crib.do('buildAssembly', {
        ...{ cutter: { item, place: 'S1' }, holder: { item: 'SL10', place: 'S1' }, stickout: 34 },
      })
    ).tag,
  );
let first: string;
let second: string;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 10 });
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 10 });
  const job = await crib.do('addJob', {
    ...{ number: 'J-S', part: 'Block', material: 'C45', quantity: 200, due: '2027-02-01', machine: 'M2' },
    highestBeside: 0,
  });
  operation = job.operation as number;
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 1) });
  await crib.do('stateMagazine', { machine: 'M2', kind: 'carousel', pockets: 8 });
  [first, second] = [await build(), await build()];
  for (const tag of [first, second]) await crib.do('recordMeasurement', { tag, gaugeLength: 94 });
  await crib.do('tieTool', { operation, t: 7, tag: first });
  await crib.do('loadPocket', { machine: 'M2', pocket: 2, tag: first, t: 7, h: 7, d: 7 });
});
afterAll(() => crib.db.close());
const run = async () => (await runView(crib.db, operation))!;
const alone = async (parts: number) => (await unwatchedView(crib.db, { operation, parts, chance: '0.9' }))!;

it('what its T is tied to is no sister of itself', async () =>
  expect(await run()).toMatchObject({ sisters: [], amiss: [] }));
it('where the machine would take another tool for its T, that is said at the machine', async () => {
  await crib.do('addItem', {
    ...{ code: 'BN10', kind: 'cutter', family: 'ball' },
    facts: {
      DC: { value: '10', origin: 'maker' },
      LCF: { value: '20', origin: 'maker' },
      OAL: { value: '72', origin: 'maker' },
      DMM: { value: '10', origin: 'maker' },
    },
  });
  await crib.do('receiveStock', { item: 'BN10', place: 'S1', quantity: 1 });
  const other = await build('BN10');
  const amiss = async () => (await run()).amiss.map((x) => [x.grade, x.words]);
  await crib.do('emptyPocket', { machine: 'M2', pocket: 2 });
  await crib.do('loadPocket', { machine: 'M2', pocket: 8, tag: other, t: 7, h: 8, d: 8 });
  expect(await amiss()).toEqual([['stop', `pocket 8 has ${other} as T7, not ${first}`]]);
  // Its own in another pocket under another number: two things are amiss, each said.
  await crib.do('loadPocket', { machine: 'M2', pocket: 3, tag: first, t: 9, h: 9, d: 9 });
  expect(await amiss()).toEqual([
    ['stop', `pocket 8 has ${other} as T7, not ${first}`],
    ['question', `${first} is in pocket 3 as T9`],
  ]);
  await crib.do('emptyPocket', { machine: 'M2', pocket: 8 });
  await crib.do('emptyPocket', { machine: 'M2', pocket: 3 });
  // In no pocket: where nobody writes them down that says nothing.
  expect(await amiss()).toEqual([]);
  await crib.do('loadPocket', { machine: 'M2', pocket: 2, tag: first, t: 7, h: 7, d: 7 });
  expect(await amiss()).toEqual([]);
});

it('another edge of it in a pocket under the same T is one, judged for that T', async () => {
  await crib.do('loadPocket', { machine: 'M2', pocket: 5, tag: second, t: 7, h: 27, d: 27 });
  expect((await run()).sisters).toMatchObject([
    { t: 7, tag: second, pocket: 5, h: 27, d: 27, goodFor: 40, use: { grade: expect.any(String) } },
  ]);
  // Its tag says whose it is, and so does the other's.
  const tag = async (of: string) => (await assemblyView(crib.db, of, 'UTC'))!.loaded;
  expect(await tag(second)).toEqual({
    ...{ machine: 'M2', pocket: 5, t: 7, sisters: [first] },
    standsIn: [{ operation, job: 'J-S', t: 7, use: (await run()).sisters[0]!.use }],
  });
  expect(await tag(first)).toMatchObject({ sisters: [second] });
  // As it would be judged if the T were tied to it.
  const { use } = (await run()).sisters[0]!;
  await crib.do('tieTool', { operation, t: 7, tag: second });
  expect((await run()).job.tools[0]!.use).toMatchObject(use);
  expect((await run()).sisters).toMatchObject([{ tag: first, pocket: 2 }]);
  await crib.do('tieTool', { operation, t: 7, tag: first });
});

// Common practice: with the length of the tool beside it a cutter goes too deep; some controls take the length with the tool.
it('her length is in an H of her own: whether the machine takes that is asked until it is stated', async () => {
  const said = async () => {
    const { grade, use } = (await run()).sisters.map((s) => ({ grade: s.use.grade, use: s.use.why }))[0]!;
    return [grade, use];
  };
  const magazine = (takes?: string) =>
    crib.do('stateMagazine', { machine: 'M2', kind: 'carousel', pockets: 8, ...(takes ? { takes } : {}) });
  expect(await said()).toEqual([
    'question',
    'Its length is in H27, the program calls H7: does M2 take its own all the same?',
  ]);
  // One answer wherever it is judged: on the rack too, where the T is tied to her.
  await magazine('as called');
  expect(await said()).toEqual([
    'stop',
    'Its length is in H27, the program calls H7, and M2 takes what is called',
  ]);
  // So do the tag, the pocket, whoever puts her in, the sheet of the machine's numbers and what is sent of them.
  const stop = { grade: 'stop', why: (await said())[1] };
  expect((await assemblyView(crib.db, second, 'UTC'))!.loaded!.standsIn).toEqual([
    { operation, job: 'J-S', t: 7, use: stop },
  ]);
  const { pockets } = (await pocketsView(crib.db, { machine: 'M2' }, '2027-01-05', 'UTC'))!;
  expect(pockets.find((p) => p.pocket === 5)!.tool!.use).toEqual(stop);
  const lines = async () => (await registersView(crib.db, { machine: 'M2' }, 'UTC'))!.lines;
  expect((await lines()).map((l) => [l.tag, l.stop])).toEqual([
    [first, null],
    [second, stop.why],
  ]);
  const sent = async (as: 'csv' | 'xml') =>
    (await exportRegisters(crib.db, { machine: 'M2', what: 'all' }, as, new Date(), 'UTC')).text;
  expect(await sent('csv')).toContain(stop.why!);
  expect((await sent('xml')).match(/<Status>UNAVAILABLE/g)).toHaveLength(1);
  const { stop: heard } = await crib.do('loadPocket', {
    ...{ machine: 'M2', pocket: 5, tag: second, t: 7, h: 27, d: 27 },
  });
  expect(heard).toBe(stop.why);
  // Tied to another T meanwhile she stands under this one all the same, and is judged for both.
  const other = await crib.do('addJob', {
    ...{ number: 'J-T', part: 'Block', material: 'C45', quantity: 2, due: '2027-02-01', machine: 'M2' },
    highestBeside: 0,
  });
  await crib.do('storeProgram', { operation: other.operation, text: oneToolProgram(3, 1) });
  await crib.do('tieTool', { operation: other.operation, t: 3, tag: second });
  expect((await assemblyView(crib.db, second, 'UTC'))!.loaded!.standsIn).toMatchObject([{ t: 7, use: stop }]);
  expect((await pocketsView(crib.db, { machine: 'M2' }, '2027-01-05', 'UTC'))!.pockets[4]!.tool!.use).toEqual(
    stop,
  );
  await crib.do('tieTool', { operation: other.operation, t: 3 });
  const { entry } = await crib.do('tieTool', { operation, t: 7, tag: second });
  expect((await assemblyView(crib.db, second, 'UTC'))!.loaded!.standsIn).toEqual([]);
  const onRack = async () =>
    (await rackView(crib.db, { find: second })).assemblies.find((x) => x.tag === second)!.ties[0]!.use;
  expect(await onRack()).toMatchObject({ grade: 'stop', why: (await run()).job.tools[0]!.use.why });
  // The first is under H7 still, and nothing is asked of it.
  expect((await run()).sisters).toMatchObject([{ tag: first, h: 7 }]);
  expect((await run()).sisters[0]!.use.why ?? '').not.toMatch(/H7/);
  await magazine('its own');
  expect((await run()).job.tools[0]!.use.judgements.find((j) => j.code === 'H_T')).toMatchObject({
    grade: 'good',
    words: 'Its length is in H27, the program calls H7: M2 takes its own',
  });
  await crib.do('counterEntry', { counters: entry });
});

it('where nothing is counted the machine never goes on to it: alone it is as without', async () => {
  const view = await alone(30);
  expect(view.lines[0]).toMatchObject({ sisters: [{ tag: second, pocket: 5 }], counted: null });
  expect(view.now).toBeLessThan(0.8);
});

it('counted, each does its share, and it goes for about twice as many', async () => {
  const before = (await alone(1)).goesFor.asItStands;
  await crib.do('stateChange', { operation, t: 7, parts: 10 });
  const view = await alone(18);
  expect(view.lines[0]).toMatchObject({ counted: 10, sisters: [{ tag: second, worn: false }] });
  // Ten by one and eight by the other: each by itself, multiplied.
  const chance = async (parts: number) => (await alone(parts)).now;
  expect(view.now).toBeCloseTo((await chance(10)) * (await chance(8)), 9);
  expect(view.goesFor.asItStands).toBeGreaterThan(before);
  await crib.do('logParts', { operation, parts: 6, confirmed: true });
  expect((await run()).job.tools[0]!).toMatchObject({ untilChange: 4, use: { goodFor: 4 } });
  expect((await alone(18)).lines[0]).toMatchObject({ counted: 4 });
});

it('what is needed of fresh ones for the parts, and what Today asks for, go by her too', async () => {
  const tool = async () => (await jobView(crib.db, 'J-S'))!;
  // 194 left: 4 until the count, then 10 by her; fresh ones last 9 in the mean, since some fail before their count.
  expect((await tool()).tools[0]!.use.edges).toMatchObject({ fresh: 20, first: 14, every: 9 });
  expect((await tool()).tools[0]!.use.edges!.words).toMatch(/^with its sister 20 fresh ones: after 14 parts/);
  expect((await tool()).sisters).toMatchObject([{ t: 7, tag: second, goodFor: 10 }]);
  const asked = async () =>
    (await todayView(crib.db, '2027-01-05')).lines.filter((l) => l.todo.includes(first)).map((l) => l.todo);
  const { entry } = await crib.do('stateChange', { operation, t: 7, parts: 6 });
  expect(await asked()).toEqual([`Go on with ${second} in place of ${first}`]);
  // One that must not run is no other: the cutter is changed.
  const { entry: called } = await crib.do('stateMagazine', {
    ...{ machine: 'M2', kind: 'carousel', pockets: 8, takes: 'as called' },
  });
  expect(await asked()).toEqual([`Change the cutter of ${first}`]);
  expect((await tool()).tools[0]!.use.edges!.words).not.toMatch(/sister/);
  await crib.do('counterEntry', { counters: called });
  await crib.do('counterEntry', { counters: entry });
  expect(await asked()).toEqual([]);
});

it('one that must not run there lets nothing go past the count, whatever is left in her', async () => {
  const before = (await alone(5)).now;
  expect(before).toBeGreaterThan(0.5);
  const { entry } = await crib.do('stateMagazine', {
    ...{ machine: 'M2', kind: 'carousel', pockets: 8, takes: 'as called' },
  });
  expect((await alone(5)).now).toBe(0);
  expect((await alone(4)).now).toBeGreaterThan(0.9);
  expect((await alone(5)).lines[0]!.sisters).toMatchObject([{ worn: false, use: { grade: 'stop' } }]);
  await crib.do('counterEntry', { counters: entry });
  expect((await alone(5)).now).toBe(before);
});

it('a worn sister is named, and lets nothing go past the count', async () => {
  await crib.do('recordUse', { tag: second, material: 'C45', minutes: 3 });
  await crib.do('recordWear', { tag: second, flankWear: 0.25 });
  expect((await run()).sisters[0]).toMatchObject({ goodFor: 0, use: { grade: 'stop' } });
  expect((await alone(5)).now).toBe(0);
  expect((await alone(4)).now).toBeGreaterThan(0.9);
});

it('gone on with, what is logged is booked on it, and the first one is its sister', async () => {
  const third = await build();
  await crib.do('recordMeasurement', { tag: third, gaugeLength: 94 });
  await crib.do('loadPocket', { machine: 'M2', pocket: 6, tag: third, t: 7, h: 28, d: 28 });
  await crib.do('logParts', { operation, parts: 4, confirmed: true });
  await crib.do('tieTool', { operation, t: 7, tag: third });
  await crib.do('logParts', { operation, parts: 3, confirmed: true });
  const view = await run();
  expect(view.job.tools[0]).toMatchObject({ tag: third, untilChange: 7 });
  expect(view.sisters.map((s) => [s.tag, s.goodFor])).toEqual([
    [first, 0],
    [second, 0],
  ]);
});

it('taken out of its pocket, or another cutter under that T of another machine: none', async () => {
  for (const pocket of [2, 5]) await crib.do('emptyPocket', { machine: 'M2', pocket });
  expect((await run()).sisters).toEqual([]);
});
