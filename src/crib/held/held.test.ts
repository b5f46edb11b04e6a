import { breakageSheet, breakagesView } from '@/crib/breakage';
import { jobView, runView } from '@/crib/jobs';
import { assemblyView, labelOf, rackView } from '@/crib/rack';
import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { takeableView } from '@/crib/stock';
import { todayView } from '@/crib/today';
import { heldView, holdSheet, traceView } from './index';

/** From the machine to the verdict: a cutter breaks, its fragments are asked for, its parts are held and decided. */
let crib: TestCrib;
let operation: number;
const TODAY = '2027-01-05';
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 20 });
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 9 });
  ({ operation } = (await crib.do('addJob', {
    ...{ number: 'J-1', part: 'Block', material: 'C45', quantity: 90, due: '2027-02-01', machine: 'M2' },
    highestBeside: 0,
  })) as unknown as { operation: number });
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 1) });
});
afterAll(() => crib.db.close());

const later = () => crib.at(new Date(crib.now().getTime() + 600_000).toISOString());
const build = async (t?: number) =>
  String(
    (
      await crib.do('buildAssembly', {
        ...{ cutter: { item: 'EM10', place: 'S1' }, holder: { item: 'SL10', place: 'S1' }, stickout: 34 },
        ...(t === undefined ? {} : { for: { operation, t } }),
      })
    ).tag,
  );
const t7 = async () => (await jobView(crib.db, 'J-1'))!.tools.find((t) => t.t === 7)!;
const work = async () => (await todayView(crib.db, TODAY)).lines.map((l) => [l.kind, l.todo]);
const log = (parts: number, more = {}) => crib.do('logParts', { operation, parts, ...more });
let ending: number;

it('a cutter that broke leaves its T stopped, on every screen alike, until its fragments are accounted for', async () => {
  const tag = await build(7);
  await log(12, { materialLot: 'H-33' });
  await crib.do('checkPart', { operation, part: 4, good: true });
  await crib.do('checkPart', { operation, good: false });
  later();
  // Nobody said what became of the fragments: another goes in only after that, and nothing was written.
  await expect(
    crib.do('endLife', {
      ...{ tag, kind: 'broken', rebuild: { cutter: { item: 'EM10', place: 'S1' }, stickout: 34 } },
    }),
  ).rejects.toMatchObject({ code: 'REFUSED', parts: [{ field: 'fragments' }] });
  expect((await breakagesView(crib.db, TODAY, crib.zone)).lines).toEqual([]);
  const done = await crib.do('endLife', {
    ...{ tag, kind: 'broken', signs: ['chips packed', 'slot'], lostParts: 1, lostMinutes: '22,5' },
    partsSince: [{ operation, parts: 3 }],
  });
  ending = done.entry;
  expect(done.at).toEqual({ operation, t: 7 });
  expect((await t7()).use).toMatchObject({
    grade: 'stop',
    why: 'Fragments of the cutter before it are not accounted for',
  });
  expect((await runView(crib.db, operation))!.job.tools[0]!.use.why).toBe((await t7()).use.why);
  // One line for it, and no second one for its T; the next cutter may be built meanwhile.
  const lines = await work();
  expect(lines.filter(([, todo]) => todo!.includes('T7'))).toEqual([
    ['stop', 'Find the fragments of T7 of J-1'],
    ['build', 'Build T7 for J-1'],
  ]);
  expect(lines).toContainEqual(['cause', 'Say why E-0001 broke']);
});

it('no cutter goes on the T and no part is logged there before that, not by any way in', async () => {
  const next = await build();
  const refused = {
    code: 'REFUSED',
    message: 'Fragments of the cutter that broke on T7 of J-1 are not accounted for',
  };
  later();
  await expect(crib.do('tieTool', { operation, t: 7, tag: next })).rejects.toMatchObject(refused);
  await expect(build(7)).rejects.toMatchObject(refused);
  await expect(log(1)).rejects.toMatchObject(refused);
  // Freeing it is no next cutter; what was made before it broke may be logged late.
  await crib.do('tieTool', { operation, t: 7 });
  await log(1, { happenedAt: '2027-01-05T08:59:59Z' }).catch((e: { message: string }) =>
    expect(e.message).not.toBe(refused.message),
  );
  const { program } = (await jobView(crib.db, 'J-1'))!;
  await expect(
    crib.do('renumberTools', { operation, program: program!.entryId, numbers: [{ t: 7, to: 17 }] }),
  ).rejects.toMatchObject(refused);
  await expect(crib.do('accountFragments', { ending, fragments: 'recut' })).rejects.toMatchObject({
    parts: [{ field: 'recutBy' }],
  });
  await expect(
    crib.do('accountFragments', { ending, fragments: 'found', recutBy: 'carbide' }),
  ).rejects.toMatchObject({ parts: [{ field: 'recutBy' }] });
  await expect(crib.do('accountFragments', { ending: 1, fragments: 'found' })).rejects.toMatchObject({
    code: 'NOT_FOUND',
  });
  const { entry } = await crib.do('accountFragments', {
    ...{ ending, fragments: 'recut', recutBy: 'carbide 6 mm at full chip load' },
  });
  // Somebody else whose screen still asks does not make it 'all found'.
  await expect(crib.do('accountFragments', { ending, fragments: 'found' })).rejects.toMatchObject({
    code: 'CONFLICT',
    parts: [{ field: 'ending' }],
  });
  await crib.do('tieTool', { operation, t: 7, tag: next });
  expect((await t7()).use.judgements.map((j) => j.code)).not.toContain('FRAGMENTS');
  // What the next cutter leans on can't be taken back under it.
  await expect(crib.do('counterEntry', { counters: entry })).rejects.toMatchObject({ code: 'REFUSED' });
});

it('its sheet ranks causes by what was seen, and a confirmed one teaches the next; it is said again and taken back', async () => {
  const before = (await breakageSheet(crib.db, TODAY, ending))!;
  expect(before.line).toMatchObject({
    ...{ kind: 'broken', where: 'T7 of J-1, M2', lostParts: 1, lostMinutes: 22.5, waits: ['cause'] },
    ...{
      fragments: 'recut',
      recutBy: 'carbide 6 mm at full chip load',
      cents: 3150,
      centsAre: 'price of the cutter',
    },
  });
  expect(before.causes[0]).toMatchObject({ cause: 'chips', for: ['chips packed', 'slot'], proof: [] });
  expect(before.causes[0]!.asks).toEqual(expect.arrayContaining(['dry', 'bogged']));
  expect(before.learntFrom).toBe(0);
  await expect(crib.do('confirmCause', { ending, cause: 'chips', notSeen: ['slot'] })).rejects.toMatchObject({
    parts: [{ field: 'notSeen' }],
  });
  await crib.do('confirmCause', { ending, cause: 'feed' });
  later();
  const { entry } = await crib.do('confirmCause', {
    ...{ ending, cause: 'chips', remedy: 'air nozzle turned onto the slot', notSeen: ['bogged'] },
  });
  expect((await breakageSheet(crib.db, TODAY, ending))!.line).toMatchObject({
    ...{ cause: 'chips', remedy: 'air nozzle turned onto the slot', waits: [] },
  });
  // The next one of the same kind: the case stands behind the cause, and is called out as the second on its T.
  const [tied] = (await runView(crib.db, operation))!.job.tools;
  const second = await crib.do('endLife', {
    ...{ tag: tied!.tag, kind: 'chipped', signs: ['slot'], fragments: 'found' },
  });
  const sheet = (await breakageSheet(crib.db, TODAY, second.entry))!;
  expect(sheet.learntFrom).toBe(1);
  expect(sheet.causes.find((c) => c.cause === 'chips')!.proof).toEqual([
    { entry: ending, words: 'E-0001, T7 of J-1, M2' },
  ]);
  expect(sheet.repeats).toEqual([
    { shared: 'T', of: 'T7 of J-1', times: 2, among: 2 },
    { shared: 'holder', of: 'SL10', times: 2, among: 2 },
  ]);
  await crib.do('counterEntry', { counters: entry });
  expect((await breakageSheet(crib.db, TODAY, ending))!.line.cause).toBe('feed');
  expect(await breakageSheet(crib.db, TODAY, 1)).toBeNull();
  const view = await breakagesView(crib.db, TODAY, crib.zone);
  expect(view.lines.map((l) => l.entryId)).toEqual([second.entry, ending]);
  expect(view.year.by.machine).toMatchObject([
    {
      key: 'M2',
      cases: 2,
      cents: 6300,
      unpriced: 0,
      lostParts: 1,
      lostMinutes: 22.5,
      entries: [second.entry, ending],
    },
  ]);
  expect(view.year.by.month).toMatchObject([{ key: '2027-01', cases: 2 }]);
});

it('parts it cut since the last good one are held, decided one by one by whom, and stand on Today until all are', async () => {
  const { suspects } = (await breakageSheet(crib.db, TODAY, ending))!;
  // Part 4 was good, 12 were made and 3 with the end: 15 stood then.
  expect(suspects).toMatchObject([
    { job: 'J-1', lastGood: 4, ranges: [{ first: 5, last: 15 }], lots: ['H-33'] },
  ]);
  const { number, entry } = await crib.do('holdParts', {
    ...{ operation, from: 5, to: 15, why: 'E-0001 broke', ending },
  });
  expect(number).toBe('Q-0001');
  await expect(crib.do('holdParts', { operation, from: 10, to: 15, why: 'again' })).rejects.toMatchObject({
    code: 'CONFLICT',
    message: expect.stringContaining('Q-0001'),
  });
  await expect(crib.do('holdParts', { operation, from: 9, to: 8, why: 'x' })).rejects.toMatchObject({
    parts: [{ field: 'to' }],
  });
  await expect(crib.do('holdParts', { operation, from: 1, to: 999, why: 'x' })).rejects.toMatchObject({
    parts: [{ field: 'to', limit: expect.stringMatching(/^1 to \d+$/) }],
  });
  // Nothing of them is under suspicion twice.
  expect((await breakageSheet(crib.db, TODAY, ending))!.suspects).toEqual([]);
  expect(await work()).toContainEqual(['held', 'Decide of parts 5 to 15 of J-1']);
  const { entry: first } = await crib.do('judgeParts', {
    ...{ hold: 'q-0001', from: 5, to: 9, verdict: 'good', words: 'bore 10.004' },
  });
  // Of two who decide at once the second is told what the first said, and nothing of his is written.
  // Nor does one pass that names an entry that nobody can have seen.
  for (const over of [Number(first) - 1, 2_000_000_000])
    await expect(
      crib.do('judgeParts', { hold: 'Q-0001', from: 8, to: 15, verdict: 'scrap', over }),
    ).rejects.toMatchObject({ code: 'CONFLICT', parts: [{ field: 'over', value: over }] });
  await expect(
    crib.do('judgeParts', { hold: 'Q-0001', from: 8, to: 15, verdict: 'scrap' }),
  ).rejects.toMatchObject({
    code: 'CONFLICT',
    message: 'parts 5 to 9 of Q-0001: decided by IK as good',
    parts: [{ field: 'over' }],
  });
  await crib.do('judgeParts', { hold: 'Q-0001', from: 9, verdict: 'scrap', over: first });
  expect((await holdSheet(crib.db, 'Q-0001'))!.stands).toMatchObject([
    { first: 5, last: 8, by: { verdict: 'good', who: 'IK', note: 'bore 10.004' } },
    { first: 9, last: 9, by: { verdict: 'scrap' } },
    { first: 10, last: 15, by: null },
  ]);
  await expect(crib.do('judgeParts', { hold: 'Q-0001', from: 4, verdict: 'good' })).rejects.toMatchObject({
    parts: [{ field: 'from', limit: '5 to 15' }],
  });
  await crib.do('judgeParts', { hold: 'Q-0001', from: 10, to: 15, verdict: 'rework' });
  expect((await heldView(crib.db)).open).toEqual([]);
  expect((await heldView(crib.db)).lines).toMatchObject([{ number: 'Q-0001', open: 0, parts: 11 }]);
  expect((await work()).map(([kind]) => kind)).not.toContain('held');
  await expect(crib.do('counterEntry', { counters: entry })).rejects.toMatchObject({ code: 'REFUSED' });
});

it('a part that came back is traced to the edges that cut it, with what else they cut; a part nobody logged is said to be none', async () => {
  const trace = (await traceView(crib.db, 'J-1', null, 14))!;
  expect(trace).toMatchObject({
    logged: { first: 13, last: 15 },
    heldIn: 'Q-0001',
    lastGood: 4,
    cutBy: [{ t: 7, mark: 'E-0001', item: 'EM10', also: [] }],
    sameLot: [],
  });
  expect(await traceView(crib.db, 'J-1', 10, 3)).toMatchObject({
    ...{ logged: { first: 1, last: 12, lot: 'H-33' }, sameLot: [{ first: 1, last: 12 }], heldIn: null },
  });
  expect(await traceView(crib.db, 'J-1', null, 99)).toMatchObject({ logged: null, cutBy: [] });
  expect(await traceView(crib.db, 'J-9', null, 1)).toBeNull();
  await expect(crib.do('checkPart', { operation, part: 99, good: true })).rejects.toMatchObject({
    parts: [{ field: 'part' }],
  });
});

it('a cutter that is held back runs nowhere and is built with nowhere until somebody says what was found', async () => {
  const tag = await build(7);
  const piece = (await assemblyView(crib.db, tag, crib.zone))!.mark;
  await crib.do('recordMeasurement', { tag, gaugeLength: 94 });
  await crib.do('holdCutter', { piece, why: 'fell on the floor' });
  expect((await t7()).use).toMatchObject({
    grade: 'stop',
    why: 'Its cutter is held back: fell on the floor',
  });
  expect((await assemblyView(crib.db, tag, crib.zone))!.heldBack).toBe('fell on the floor');
  // Its label prints no figure to be entered, and the rack hangs it as stopped.
  expect(labelOf((await assemblyView(crib.db, tag, crib.zone))!, crib.zone)).toMatchObject({
    ...{ stop: 'held back: fell on the floor', registers: [] },
  });
  expect((await rackView(crib.db)).assemblies.find((a) => a.tag === tag)!.itself.grade).toBe('stop');
  await expect(crib.do('holdCutter', { piece, why: 'twice' })).rejects.toMatchObject({ code: 'CONFLICT' });
  expect(await work()).toContainEqual(['held', `Look at ${tag}`]);
  // In a drawer it counts for nothing, here as where something is built.
  await crib.do('takeDown', { tag, cutterTo: 'S1' });
  const source = { piece };
  await expect(
    crib.do('buildAssembly', { cutter: source, holder: { item: 'SL10', place: 'S1' }, stickout: 34 }),
  ).rejects.toMatchObject({ message: expect.stringContaining('held back') });
  const offered = async () =>
    (await takeableView(crib.db, { what: 'cutter', q: piece }, TODAY)).sources.map((s) => s.value);
  expect(await offered()).toEqual([]);
  await crib.do('clearCutter', { piece, found: 'edge whole under the loupe, runs 0.004' });
  expect(await offered()).toHaveLength(1);
  await expect(crib.do('clearCutter', { piece, found: 'again' })).rejects.toMatchObject({ code: 'CONFLICT' });
  await crib.do('buildAssembly', { cutter: source, holder: { item: 'SL10', place: 'S1' }, stickout: 34 });
});

it('where it is tied to several T the one is asked for; what merely wore has no fragments', async () => {
  const { operation: other } = (await crib.do('addJob', {
    ...{ number: 'J-2', part: 'Block', material: 'C45', quantity: 9, due: '2027-02-01', machine: 'M2' },
  })) as unknown as { operation: number };
  await crib.do('storeProgram', { operation: other, text: oneToolProgram(7, 1) });
  const tag = await build(7);
  await crib.do('tieTool', { operation: other, t: 7, tag });
  const end = (more: Record<string, unknown>) => crib.do('endLife', { tag, ...more });
  await expect(end({ kind: 'broken' })).rejects.toMatchObject({
    code: 'REFUSED',
    parts: [{ field: 'at', limit: expect.stringContaining('T7 of J-2') }],
  });
  await expect(end({ kind: 'broken', at: { operation: other, t: 8 } })).rejects.toMatchObject({
    parts: [{ field: 'at' }],
  });
  await expect(end({ kind: 'broken', at: { operation, t: 7 }, recutBy: 'carbide' })).rejects.toMatchObject({
    parts: [{ field: 'fragments' }],
  });
  await expect(end({ kind: 'worn', fragments: 'found' })).rejects.toMatchObject({
    parts: [{ field: 'fragments' }],
  });
  await expect(
    end({ kind: 'pulled-out', at: { operation, t: 7 }, fragments: 'found' }),
  ).rejects.toMatchObject({
    parts: [{ field: 'fragments' }],
  });
  const { entry } = await end({ kind: 'crash', at: { operation: other, t: 7 } });
  // The other job’s T goes on; taking the end back takes the question with it.
  expect((await t7()).use.judgements.map((j) => j.code)).not.toContain('FRAGMENTS');
  expect((await jobView(crib.db, 'J-2'))!.tools[0]!.use.grade).toBe('stop');
  await crib.do('counterEntry', { counters: entry });
  expect((await jobView(crib.db, 'J-2'))!.tools[0]!.use.judgements.map((j) => j.code)).not.toContain(
    'FRAGMENTS',
  );
});

it('a month is the shop’s: what broke at half past nine on New Year’s Eve in St John’s is of the old year', async () => {
  crib.at('2028-01-01T01:00:00Z');
  const tag = await build();
  await crib.do('endLife', { tag, kind: 'broken' });
  const { year } = await breakagesView(crib.db, '2028-01-01', 'America/St_Johns');
  expect(year.by.month.at(-1)).toMatchObject({ key: '2027-12', cases: 1 });
});

it('of a part that several edges cut, each leads to what that one cut, on every operation it ran on', async () => {
  const job = async (number: string) =>
    (
      await crib.do('addJob', {
        ...{ number, part: 'Cap', material: 'C45', quantity: 50, due: '2027-03-01', machine: 'M2' },
        highestBeside: 0,
      })
    ).operation as number;
  const [both, alone] = [await job('J-5'), await job('J-6')];
  const two = `${oneToolProgram(7, 1).replace('M30', '')}${oneToolProgram(8, 1).replace('G21 G90 G17 G54\n', '')}`;
  await crib.do('storeProgram', { operation: both, text: two });
  await crib.do('storeProgram', { operation: alone, text: oneToolProgram(8, 1) });
  const [first, second] = [await build(), await build()];
  await crib.do('tieTool', { operation: both, t: 7, tag: first });
  await crib.do('tieTool', { operation: both, t: 8, tag: second });
  await crib.do('tieTool', { operation: alone, t: 8, tag: second });
  await crib.do('logParts', { operation: both, parts: 3 });
  await crib.do('logParts', { operation: alone, parts: 4, materialLot: 'H-61' });
  // From part 4 on another cutter is T7 of the first: it is suspect of its own parts alone.
  await crib.do('tieTool', { operation: both, t: 7, tag: await build() });
  await crib.do('logParts', { operation: both, parts: 2 });
  const also = async (part: number) =>
    (await traceView(crib.db, 'J-5', null, part))!.cutBy.map(({ t, also }) => [
      t,
      also.map((s) => [s.job, s.ranges, s.lots]),
    ]);
  const onBoth = (first: number, last: number) => ['J-5', [{ first, last }], []];
  const onAlone = ['J-6', [{ first: 1, last: 4 }], ['H-61']];
  expect(await also(2)).toEqual([
    [7, [onBoth(1, 3)]],
    [8, [onBoth(1, 5), onAlone]],
  ]);
  expect(await also(5)).toEqual([
    [7, [onBoth(4, 5)]],
    [8, [onBoth(1, 5), onAlone]],
  ]);
  // Up to a part that was found good nothing is suspect on its operation; the other is as it was.
  await crib.do('checkPart', { operation: both, part: 2, good: true });
  expect(await also(2)).toEqual([
    [7, [onBoth(3, 3)]],
    [8, [onBoth(3, 5), onAlone]],
  ]);
});
