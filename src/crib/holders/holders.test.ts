import { lookUpCode } from '@/crib/find';
import { jobView, runView } from '@/crib/jobs';
import { assemblyView } from '@/crib/rack';
import { takeableView } from '@/crib/stock';
import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { todayView } from '@/crib/today';
import { holderSheet, holdersView } from './index';

/** A holder gets its mark, is clamped again and again, falls, is looked over and measured again. Common practice throughout. */
let crib: TestCrib;
let operation: number;
const TODAY = '2027-01-05';
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 20 });
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 2 });
  ({ operation } = (await crib.do('addJob', {
    ...{ number: 'J-1', part: 'Block', material: 'C45', quantity: 90, due: '2027-02-01', machine: 'M2' },
    highestBeside: 0,
  })) as unknown as { operation: number });
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 1) });
});
afterAll(() => crib.db.close());

const later = () => crib.at(new Date(crib.now().getTime() + 600_000).toISOString());
const build = async (more: Record<string, unknown> = {}, marked?: string) =>
  String(
    (
      await crib.do('buildAssembly', {
        cutter: { item: 'EM10', place: 'S1' },
        holder: { item: 'SL10', place: 'S1', ...(marked === undefined ? {} : { marked }) },
        stickout: 34,
        ...more,
      })
    ).tag,
  );
const measure = (tag: string, runout?: string) =>
  crib.do('recordMeasurement', { tag, gaugeLength: '94.0', ...(runout ? { runout } : {}) });
const holder = (mark: string) => holderSheet(crib.db, mark, TODAY, crib.zone);
const offered = async (q = 'SL10') =>
  (await takeableView(crib.db, { what: 'holder', q }, TODAY)).sources.map((s) => s.take);
const t7 = async () => (await jobView(crib.db, 'J-1'))!.tools.find((t) => t.t === 7)!.use;
const work = async () =>
  (await todayView(crib.db, TODAY)).lines
    .filter((l) => /H-0|again/.test(l.todo + l.why))
    .map((l) => [l.kind, l.todo]);
let tag: string;

it('one of four gets a mark and is offered by it; of the others it is known only that there are three', async () => {
  expect(await crib.do('markHolder', { item: 'SL10', since: '2020-03-01' })).toMatchObject({
    mark: 'H-0001',
  });
  // A scan of the item alone takes the first: one without a mark.
  expect(await offered()).toEqual(['3 at S1, no mark', 'H-0001 at S1']);
  expect(await offered('h-0001')).toEqual(['H-0001 at S1']);
  expect(await lookUpCode(crib.db, 'h-0001', crib.zone)).toMatchObject({ href: '/holders?open=H-0001' });
});

it('it is in the build it was taken for, each build and each new stickout a clamping, and in no second build', async () => {
  tag = await build({ for: { operation, t: 7 } }, 'h-0001');
  await expect(build({}, 'H-0001')).rejects.toMatchObject({
    ...{ code: 'CONFLICT', parts: [{ field: 'holder.marked', limit: 'one that is in no build' }] },
  });
  expect(await offered()).toEqual(['3 at S1']);
  tag = String((await crib.do('resetStickout', { tag, stickout: 33.5 })).tag);
  await measure(tag, '0.006');
  expect(await holder('H-0001')).toMatchObject({
    tag,
    clampings: 2,
    clamped: [{ nth: 2, runoutMm: 0.006 }, { nth: 1 }],
  });
  expect((await assemblyView(crib.db, tag, crib.zone))?.holders).toEqual({
    ...{ marked: [{ placeInStack: 0, mark: 'H-0001' }], against: [] },
  });
});

it('refused: another item’s mark, none of that mark, a mark for a cutter, an item and a tag at once', async () => {
  await crib.do('addItem', {
    code: 'SL12',
    kind: 'holder',
    facts: { CCMS: { value: 'R8', origin: 'guess' }, LF: { value: '50', origin: 'guess' } },
    segments: [],
  });
  await crib.do('markHolder', { item: 'SL12' });
  await expect(build({}, 'H-0002')).rejects.toMatchObject({ code: 'REFUSED' });
  await expect(build({}, 'H-0099')).rejects.toMatchObject({ code: 'NOT_FOUND' });
  await expect(crib.do('markHolder', { item: 'EM10' })).rejects.toMatchObject({ code: 'REFUSED' });
  await expect(crib.do('markHolder', { item: 'SL10', tag })).rejects.toMatchObject({ code: 'INVALID_INPUT' });
  await expect(crib.do('markHolder', { tag })).rejects.toMatchObject({ code: 'CONFLICT' });
  await expect(crib.do('markHolder', { tag, part: 1 })).rejects.toMatchObject({ parts: [{ field: 'part' }] });
  await expect(crib.do('markHolder', { item: 'SL10', since: '2027-01-06' })).rejects.toMatchObject({
    parts: [{ field: 'since' }],
  });
  await expect(crib.do('changeStud', { mark: 'H-0002' })).rejects.toMatchObject({ code: 'REFUSED' });
  // Nothing was left half-written.
  expect((await holdersView(crib.db, TODAY, crib.zone)).lines).toHaveLength(2);
});

it('seven years in use and never looked over: both are due, by what is assumed, and the run is not stopped by it', async () => {
  const one = await holder('H-0001');
  expect(one).toMatchObject({ grade: 'question', against: [] });
  expect(one?.dues.map((d) => [d.what, d.day, d.late])).toEqual([
    ['look', '2021-03-01', true],
    ['stud', '2023-03-01', true],
  ]);
  expect((await t7()).grade).toBe('good');
  expect(await work()).toEqual([['holder', `Look over H-0001 in ${tag}`]]);
  await crib.do('setHolderRule', { lookMonths: 120 });
  expect(await work()).toEqual([]);
  // Its own goes before the shop’s.
  await crib.do('setHolderRule', { item: 'SL10', lookClampings: 2, runout: '0.004' });
  expect(await holder('H-0001')).toMatchObject({
    rule: { from: 'its own' },
    dues: [{ what: 'look', late: true }],
  });
  later();
  await crib.do('lookOverHolder', { mark: 'H-0001', found: 'good', runout: '0.003' });
  expect(await holder('H-0001')).toMatchObject({ grade: 'good', clampings: 0, dues: [{ late: false }] });
});

it('it falls: every screen says stop, until it was looked over; then it is measured again', async () => {
  later();
  expect(await crib.do('dropHolder', { tag, by: 'IK', words: 'off the cart' })).toMatchObject({
    marks: ['H-0001'],
  });
  expect(await t7()).toMatchObject({ grade: 'stop', why: expect.stringContaining('off the cart') });
  const run = await runView(crib.db, operation);
  expect(JSON.stringify(run)).toContain('H-0001 was dropped');
  expect(await work()).toEqual([['stop', `Look over H-0001 in ${tag}`]]);
  // It is no holder to build with either, unless somebody says why.
  await crib.do('takeDown', { tag, cutterTo: 'USED' });
  expect(await work()).toEqual([['holder', 'Look over H-0001']]);
  await expect(build({}, 'H-0001')).rejects.toMatchObject({ code: 'REFUSED' });
  tag = await build({ despite: 'it goes to the bench only', for: { operation, t: 7 } }, 'H-0001');
  await measure(tag);
  later();
  await crib.do('dropHolder', { mark: 'H-0001' });
  later();
  await crib.do('lookOverHolder', { mark: 'H-0001', found: 'good' });
  expect(await t7()).toMatchObject({
    grade: 'question',
    why: 'Measured before H-0001 was dropped: measure it again',
  });
  expect(await work()).toEqual([['in question', `Measure ${tag} again`]]);
  later();
  await measure(tag);
  expect((await t7()).grade).toBe('good');
  expect((await holder('H-0001'))?.events.map((e) => [e.what, e.by ?? e.found])).toEqual([
    ['looked over', 'good'],
    ['dropped', null],
    ['dropped', 'IK'],
    ['looked over', 'good'],
  ]);
});

it('a build that falls gives its holder a mark, so that it is found again in the drawer', async () => {
  const other = await build();
  const { marks } = await crib.do('dropHolder', { tag: other });
  expect(marks).toEqual(['H-0003']);
  await crib.do('takeDown', { tag: other, cutterTo: 'USED' });
  expect(await holder('H-0003')).toMatchObject({ grade: 'stop', place: 'S1', since: null, clampings: 1 });
  // Out of use: not offered again, and nothing is due with it.
  later();
  await crib.do('lookOverHolder', { mark: 'H-0003', found: 'bad', words: 'flange bent' });
  // Somebody whose screen is older does not put it back into use without a word.
  for (const found of ['good', 'doubt'])
    await expect(crib.do('lookOverHolder', { mark: 'H-0003', found })).rejects.toMatchObject({
      code: 'REFUSED',
      message: 'H-0003 is out of use: flange bent; what was done to it is not said',
      parts: [{ field: 'words' }],
    });
  expect(await offered()).toEqual(['2 at S1, no mark']);
  expect(await holder('H-0003')).toMatchObject({ grade: 'stop', dues: [] });
});

it('a take-down is not taken back once its holder stands in another build', async () => {
  const first = await build({}, undefined);
  await crib.do('markHolder', { tag: first });
  const down = await crib.do('takeDown', { tag: first, cutterTo: 'USED' });
  const second = await build({}, 'H-0004');
  await expect(crib.do('counterEntry', { counters: down.entry })).rejects.toMatchObject({ code: 'REFUSED' });
  const undone = await crib.do('takeDown', { tag: second, cutterTo: 'USED' });
  expect(undone.tag).toBe(second);
});
