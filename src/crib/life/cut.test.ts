import { runView } from '@/crib/jobs';
import { assemblyView, rackView } from '@/crib/rack';
import { todayView } from '@/crib/today';
import { furnish, openTestCrib, type TestCrib } from '@/crib/testing';
import { lifeSheet } from './views/lifeView';

/** What an edge has cut: from the program, corrected, and said beside the logs. */
let crib: TestCrib;
let operation: number;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('addItem', {
    ...{ kind: 'cutter', family: 'drill', code: 'DR6' },
    facts: {
      SUBSTRATE: fact('carbide'),
      DC: fact(6),
      DMM: fact(10),
      LCF: fact(40),
      OAL: fact(90),
      SIG: fact(140),
    },
  });
  await crib.do('receiveStock', { item: 'DR6', place: 'S1', quantity: 20 });
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 20 });
  const job = await crib.do('addJob', {
    ...{ number: 'J-H', part: 'Plate', material: 'C45', quantity: 10_000, due: '2027-02-01', machine: 'M2' },
  });
  operation = Number(job.operation);
  // Three holes of 20 mm at 100 mm/min from 2 mm above: 22 mm of feed each, 0.66 min a part in all.
  await crib.do('storeProgram', {
    operation,
    text: 'G21 G90\nT3 M6\nS2000 M3\nG0 X0 Y0 Z50\nG81 X0 Y0 Z-20 R2 F100\nX10\nX20\nG80\nG0 Z100\nM30',
  });
});
afterAll(() => crib.db.close());
const fact = (value: number | string) => ({ value: String(value), origin: 'maker' });

async function drill(parts: number, ended: string | null): Promise<string> {
  const { tag } = await crib.do('buildAssembly', {
    ...{ cutter: { item: 'DR6', place: 'S1' }, holder: { item: 'SL10', place: 'S1' }, stickout: 45 },
    despite: 'it is a test of counts',
  });
  await crib.do('tieTool', { operation, t: 3, tag });
  if (parts) await crib.do('logParts', { operation, parts, confirmed: true });
  if (ended) await crib.do('endLife', { tag, kind: ended, cutterTo: 'USED' });
  return String(tag);
}
const cutOf = async (tag: string) => (await assemblyView(crib.db, tag, 'UTC'))!.cut;
const sheet = async (counted?: 'minutes' | 'metres') =>
  (await lifeSheet(crib.db, 'DR6', 'C45', counted ? { in: counted } : {}))!;

it('a log comes to holes, minutes and metres by its program (three holes of 22 mm of feed at 100 mm/min, by hand)', async () => {
  const tag = await drill(10, null);
  const { measure, on, logs } = await cutOf(tag);
  expect(measure).toBe('holes');
  expect(on).toMatchObject([{ job: 'J-H', t: 3, material: 'C45', parts: 10, holes: 30, lowerBound: false }]);
  // 3 x 22 mm at 100 mm/min is 0.66 min a part; the way back at rapid is no cutting.
  expect(on[0]!.minutes).toBeCloseTo(6.6, 6);
  expect(on[0]!.cutMm).toBeCloseTo(660, 6);
  expect(logs).toHaveLength(1);
  await crib.do('endLife', { tag, kind: 'worn', cutterTo: 'USED' });
});

it('lives of what makes holes are counted in holes: the median of 30, 60 and 90 is 60 (Kaplan-Meier by hand)', async () => {
  await drill(20, 'worn');
  await drill(30, 'worn');
  const { counted, measure, median, records } = await sheet();
  expect(measure).toBe('holes');
  expect(counted).toMatchObject({ measure: 'holes', known: 3, notKnown: 0, median: { median: 60 } });
  expect(counted!.steps.map((s) => s.minutes)).toEqual([30, 60, 90]);
  // The same lives in minutes in the cut, by which everything is judged, stand in the same order.
  expect(median).toEqual({ median: records.find((r) => r.holes === 60)!.minutes });
  expect((await sheet('minutes')).counted).toBeNull();
  expect((await sheet('metres')).counted).toMatchObject({ measure: 'metres', median: { median: 1.32 } });
});

it('one log is corrected: what was left out stays, the life follows, and taking it back brings back what was booked', async () => {
  const tag = await drill(10, null);
  const use = (await cutOf(tag)).logs[0]!.useId!;
  const { entry } = await crib.do('correctUse', { use, minutes: '9.9', note: 'ran at two thirds' });
  expect((await cutOf(tag)).on).toMatchObject([{ minutes: 9.9, holes: 30, cutMm: 660 }]);
  expect((await cutOf(tag)).logs).toMatchObject([{ minutes: 9.9, correctedBy: entry }]);
  const wear = await crib.do('recordWear', { tag, flankWear: '0.05' });
  // A reading knows the minutes as they are known now, not as they were booked.
  expect((await assemblyView(crib.db, tag, 'UTC'))!.wear.readings).toMatchObject([{ minutes: 9.9 }]);
  const again = await crib.do('correctUse', { use, minutes: 8, holes: 28 });
  expect((await cutOf(tag)).on).toMatchObject([{ minutes: 8, holes: 28 }]);
  // The one below can't go while the one above stands on it; nor the log itself.
  await expect(crib.do('counterEntry', { counters: entry })).rejects.toMatchObject({ code: 'REFUSED' });
  await expect(
    crib.do('counterEntry', { counters: (await cutOf(tag)).logs[0]!.entryId }),
  ).rejects.toMatchObject({ code: 'REFUSED' });
  for (const counters of [again.entry, wear.entry, entry]) await crib.do('counterEntry', { counters });
  expect((await cutOf(tag)).on[0]!.minutes).toBeCloseTo(6.6, 6);
  await crib.do('endLife', { tag, kind: 'lost' });
});

it('what it cut beside the logs counts; without minutes its life is a lower bound, and never 0', async () => {
  const tag = await drill(10, null);
  await crib.do('recordUse', { tag, material: 'C45', minutes: 2, holes: 5, metres: '0.11' });
  const both = await cutOf(tag);
  expect(both.on.find((x) => x.job === null)).toMatchObject({ holes: 5, parts: 0, lowerBound: false });
  expect(both.on.reduce((sum, x) => sum + x.minutes, 0)).toBeCloseTo(8.6, 6);
  const { entry } = await crib.do('recordUse', { tag, material: 'C45', holes: 4 });
  const life = (await sheet()).records[0]!;
  expect(life).toMatchObject({ holes: 39, metres: null, lowerBound: true });
  expect(life.minutes).toBeCloseTo(8.6, 6);
  await crib.do('counterEntry', { counters: entry });
  expect((await sheet()).records[0]).toMatchObject({ holes: 35, lowerBound: false });
  await crib.do('endLife', { tag, kind: 'lost' });
});

it('a hole that is fed without a cycle is not counted as none: its life is known in minutes alone', async () => {
  const job = await crib.do('addJob', {
    ...{ number: 'J-G', part: 'Plate', material: 'C45', quantity: 100, due: '2027-02-01', machine: 'M2' },
  });
  const own = Number(job.operation);
  await crib.do('storeProgram', {
    operation: own,
    text: 'G21 G90\nT3 M6\nS2000 M3\nG0 X0 Y0 Z2\nG1 Z-20 F100\nG0 Z50\nM30',
  });
  const tag = await drill(0, null);
  await crib.do('tieTool', { operation: own, t: 3, tag });
  await crib.do('logParts', { operation: own, parts: 4 });
  const { on, logs } = await cutOf(tag);
  expect(on).toMatchObject([{ job: 'J-G', holes: null, parts: 4 }]);
  const { counted } = await sheet();
  expect(counted).toMatchObject({ notKnown: 1 });
  // Whoever knows says it: one hole a part.
  await crib.do('correctUse', { use: logs[0]!.useId, minutes: on[0]!.minutes, holes: 4 });
  expect((await cutOf(tag)).on).toMatchObject([{ holes: 4 }]);
  expect((await sheet()).counted).toMatchObject({ notKnown: 0 });
});

it('a cycle that is not understood may drill: its holes are not counted, and are not 0', async () => {
  const job = await crib.do('addJob', {
    ...{ number: 'J-U', part: 'Plate', material: 'C45', quantity: 100, due: '2027-02-01', machine: 'M2' },
  });
  const own = Number(job.operation);
  await crib.do('storeProgram', {
    operation: own,
    text: 'G21\nT3 M6\nS300 M3\nG0 X0 Y0 Z5\nG87 X0 Y0 R5 Z-10 F300\nG80\nM30',
  });
  const tag = await drill(0, null);
  await crib.do('tieTool', { operation: own, t: 3, tag });
  await crib.do('logParts', { operation: own, parts: 2 });
  expect((await cutOf(tag)).on).toMatchObject([{ job: 'J-U', holes: null, cutMm: null, lowerBound: true }]);
});

it('what the gauge no longer passes is worn, whatever its flank, and every screen says so until it passes again', async () => {
  const tag = await drill(1, null);
  const use = async () => (await runView(crib.db, operation))!.job.tools[0]!.use;
  await crib.do('recordWear', { tag, gauge: 'passes' });
  expect((await assemblyView(crib.db, tag, 'UTC'))!.wear).toMatchObject({ worn: false, gauge: 'passes' });
  await crib.do('recordWear', { tag, gauge: 'tight', flankWear: '0.01' });
  expect((await assemblyView(crib.db, tag, 'UTC'))!.wear).toMatchObject({ worn: true, wornAt: 'gauge' });
  expect(await use()).toMatchObject({ grade: 'stop', goodFor: 0 });
  const [card] = (await rackView(crib.db, { find: tag })).assemblies;
  expect(card).toMatchObject({ wear: 1 });
  expect((await todayView(crib.db, '2027-01-12')).lines.map((l) => l.why).join()).toMatch(/too tight/);
  await crib.do('recordWear', { tag, gauge: 'passes' });
  expect((await use()).goodFor).toBeGreaterThan(0);
  // What mills no hole along its axis has no gauge: the size it makes is said by how far it is off.
  const mill = await crib.do('buildAssembly', {
    ...{ cutter: { item: 'EM10', place: 'S1' }, holder: { item: 'SL10', place: 'S1' }, stickout: 34 },
  });
  await expect(crib.do('recordWear', { tag: mill.tag, gauge: 'tight' })).rejects.toMatchObject({
    code: 'INVALID_INPUT',
    parts: [{ field: 'gauge' }],
  });
});

it('holes that are measured shrink to their limit: how many are left is foretold, and by parts at the machine (line by hand)', async () => {
  const tag = await drill(50, null);
  const later = () => crib.at(new Date(crib.now().getTime() + 600_000).toISOString());
  const run = async () => (await runView(crib.db, operation))!.job.tools[0]!.use;
  // 6 H9 is 6.000 to 6.030 (ISO 286-2).
  later();
  expect(await crib.do('recordWear', { tag, hole: '6.014', holeFits: 'H9' })).toMatchObject({
    gauge: 'passes',
  });
  later();
  await crib.do('logParts', { operation, parts: 50, confirmed: true });
  later();
  // What it must be is known of this edge by now.
  await crib.do('recordWear', { tag, hole: '6.008' });
  const { wear } = (await assemblyView(crib.db, tag, 'UTC'))!;
  // 6 µm in 150 holes: at 6.000 after 500, of which 300 are made; 200 holes are 66 parts of three.
  expect(wear.size).toMatchObject({ towards: 'least', least: 6, most: 6.03 });
  expect(wear.size?.left?.holes).toBeCloseTo(200, 6);
  expect(wear.left?.minutes).toBeCloseTo(200 * 0.22, 6);
  expect((await run()).goodFor).toBeLessThanOrEqual(66);
  // Under its limit it is as a gauge would say: worn, on every screen.
  await crib.do('recordWear', { tag, hole: '5.999' });
  expect((await assemblyView(crib.db, tag, 'UTC'))!.wear).toMatchObject({
    worn: true,
    wornAt: 'gauge',
    gauge: 'tight',
  });
  expect(await run()).toMatchObject({ grade: 'stop', goodFor: 0 });
  for (const [input, field] of [
    [{ hole: '6.01', gauge: 'tight' }, 'gauge'],
    [{ hole: '8' }, 'hole'],
    [{ hole: '6.01', holeFits: 'Q99' }, 'holeFits'],
    [{ flankWear: '0.01', holeFits: 'H7' }, 'hole'],
  ] as const)
    await expect(crib.do('recordWear', { tag, ...input })).rejects.toMatchObject({
      ...{ code: 'INVALID_INPUT', parts: [{ field }] },
    });
  const fresh = await drill(0, null);
  await expect(crib.do('recordWear', { tag: fresh, hole: '6.01' })).rejects.toMatchObject({
    parts: [{ field: 'holeFits' }],
  });
});

it('bad input names the field and the way out, and nothing is half-written', async () => {
  const tag = await drill(1, null);
  const before = await cutOf(tag);
  const use = before.logs[0]!.useId!;
  for (const [verb, input, code, field] of [
    ['correctUse', { use: 999_999, minutes: 1 }, 'NOT_FOUND', 'use'],
    ['correctUse', { use, minutes: -1 }, 'INVALID_INPUT', 'minutes'],
    ['correctUse', { use, minutes: 1, holes: 1.5 }, 'INVALID_INPUT', 'holes'],
    ['recordUse', { tag, material: 'C45' }, 'INVALID_INPUT', 'minutes'],
    ['recordUse', { tag, material: 'C45', minutes: 0 }, 'INVALID_INPUT', 'minutes'],
    ['recordUse', { tag, material: 'NONE', minutes: 1 }, 'NOT_FOUND', 'material'],
    ['recordUse', { tag: 'A-9999', material: 'C45', minutes: 1 }, 'NOT_FOUND', 'tag'],
  ] as const)
    await expect(crib.do(verb, input)).rejects.toMatchObject({ code, parts: [{ field }] });
  expect(await cutOf(tag)).toEqual(before);
  await crib.do('tieTool', { operation, t: 3 });
  await crib.do('logParts', { operation, parts: 1, confirmed: true });
  const [open] = await crib.db.query<{ id: number }>('select use_id as id from use_open');
  await expect(crib.do('correctUse', { use: open!.id, minutes: 1 })).rejects.toMatchObject({
    code: 'REFUSED',
    parts: [{ field: 'use' }],
  });
});
