import { buyingView } from '@/crib/buying';
import { lifeSheet } from '@/crib/life';
import { jobView, runView, unwatchedView } from '@/crib/jobs';
import { assemblyView, rackView } from '@/crib/rack';
import { blockOnT7, openTestCrib, type TestCrib } from '@/crib/testing';
import { todayView } from '@/crib/today';

/** A finisher is worn sooner than a rougher (common practice): said of a T, and judged alike wherever it is asked. EM10, usual 0.2 mm. */
let crib: TestCrib;
let operation: number;
let tag: string;
const TODAY = '2027-01-05';
beforeAll(async () => {
  crib = await openTestCrib();
  ({ operation, tag } = await blockOnT7(crib));
  await crib.do('logParts', { operation, parts: 2, confirmed: true });
  await crib.do('recordWear', { tag, flankWear: 0.12 });
});
afterAll(() => crib.db.close());

const t7 = async () => (await jobView(crib.db, 'J-1'))!.tools.find((t) => t.t === 7)!;
/** What each screen says of its wear. */
async function everywhere() {
  const tool = await t7();
  const run = (await runView(crib.db, operation))!.job.tools[0]!;
  const card = await assemblyView(crib.db, tag, crib.zone);
  return {
    job: tool.use.judgements.find((j) => j.code === 'WEAR')?.grade,
    run: run.use.judgements.find((j) => j.code === 'WEAR')?.grade,
    goodFor: [tool.use.goodFor, run.use.goodFor, card!.ties[0]!.use.goodFor],
    tag: card!.wear.worn,
    life: card!.life.leftMinutes,
    alone: (await unwatchedView(crib.db, { operation, parts: 1 }))!.lines[0]!.worn,
    today: (await todayView(crib.db, TODAY)).lines.some((l) => l.kind === 'wear' && l.todo.includes(tag)),
    rack: (await rackView(crib.db, {})).assemblies.find((l) => l.tag === tag)!.wear,
    buying: (await buyingView(crib.db, TODAY)).lines
      .find((l) => l.item.code === 'EM10')!
      .proposal.because.values.some((v) => JSON.stringify(v).includes('worn')),
  };
}

it('as usual it goes on: 0.12 of 0.20 mm', async () => {
  expect(await everywhere()).toMatchObject({
    ...{ job: 'good', run: 'good', tag: false, alone: false, today: false, rack: expect.closeTo(0.6, 9) },
  });
});

it('worn at 0.10 on its T: worn on every screen, and each says of which T', async () => {
  await crib.do('stateChange', { operation, t: 7, flank: '0.10' });
  expect(await everywhere()).toEqual({
    ...{ job: 'stop', run: 'stop', goodFor: [0, 0, 0], tag: true, life: 0, alone: true, today: true },
    ...{ rack: expect.closeTo(1.2, 9), buying: true },
  });
  expect((await t7()).use.judgements.find((j) => j.code === 'WEAR')!.because.values).toContainEqual({
    ...{ name: 'worn at', value: '0.1 mm', source: 'said of T7 of J-1' },
  });
  const card = await assemblyView(crib.db, tag, crib.zone);
  expect(card!.wear.limit).toMatchObject({
    value: 0.1,
    because: { words: 'Said of T7 of J-1: it is worn there at 0.1 mm, as usual at 0.2 mm.' },
  });
  // Worn, it does not last; of a fresh one its lives say nothing, since they were counted to another wear.
  expect((await unwatchedView(crib.db, { operation, parts: 1 }))!).toMatchObject({
    ...{ unknown: [7], reached: false },
    lines: [{ chance: 0, fresh: null, change: true, otherWear: true }],
  });
  expect((await t7()).change).toMatchObject({ flankEntered: '0.10 mm', cornerEntered: null, parts: null });
});

it('worn at 0.30 there: it goes on, and the lives that were counted to 0.20 say nothing of how long', async () => {
  await crib.do('stateChange', { operation, t: 7, flank: '0.30', corner: '0.5' });
  expect(await everywhere()).toMatchObject({
    ...{ job: 'good', run: 'good', goodFor: [null, null, null], tag: false, life: null, alone: false },
    ...{ today: false, rack: expect.closeTo(0.4, 9), buying: false },
  });
  expect((await t7()).use.judgements.find((j) => j.code === 'LIFE')).toMatchObject({
    ...{ grade: 'not judged', words: 'Life left: cannot say, its lives were counted to another wear' },
  });
  // Its own wear says: 0.12 after 4 minutes, 0.18 after 8 comes to 0.30 after 16, 4 parts on.
  crib.at('2027-01-05T10:00:00Z');
  await crib.do('logParts', { operation, parts: 2, confirmed: true });
  await crib.do('recordWear', { tag, flankWear: 0.18 });
  expect((await everywhere()).goodFor).toEqual([4, 4, 4]);
});

it('a T that is changed sooner takes more than its lives say: said where it is bought for', async () => {
  await crib.do('stateChange', { operation, t: 7, flank: '0.19' });
  const proposal = (await buyingView(crib.db, TODAY)).lines.find((l) => l.item.code === 'EM10')!.proposal;
  expect(proposal.because.words).toContain('a T changes it at less wear than its lives were counted to');
});

it('goes into a copy of the job; in inches by mistake it is refused; said anew it is as usual', async () => {
  await crib.do('copyJob', { from: 'J-1', number: 'J-2', quantity: 3, due: '2027-02-09' });
  expect((await jobView(crib.db, 'J-2'))!.tools[0]!.change).toMatchObject({ flankEntered: '0.19 mm' });
  for (const [flank, says] of [
    ['0.3 in', /“0.3 in” is too large \(0.005 to 2 mm\)/],
    ['0', /0/],
    ['-0.1', /-0.1/],
    ['a bit', /a bit/],
  ] as const)
    await expect(crib.do('stateChange', { operation, t: 7, flank })).rejects.toMatchObject({
      message: expect.stringMatching(says),
      parts: [{ field: 'flank' }],
    });
  expect((await t7()).change).toMatchObject({ flankEntered: '0.19 mm' });
  await crib.do('stateChange', { operation, t: 7 });
  // 0.18 comes to the usual 0.20 within the next part; its copy has it changed sooner still, so its lives say nothing.
  expect(await everywhere()).toMatchObject({ goodFor: [0, 0, 0], life: null });
  const copy = (await jobView(crib.db, 'J-2'))!.operation.id;
  await crib.do('stateChange', { operation: copy, t: 7 });
  expect(await everywhere()).toMatchObject({ job: 'question', tag: false, life: expect.any(Number) });
});

it('changed for its T alone: its life did not end by what lives are counted to, and counts as not ended', async () => {
  await crib.do('stateChange', { operation, t: 7, flank: '0.15' });
  await crib.do('endLife', { tag, kind: 'worn-here' });
  const life = (await lifeSheet(crib.db, 'EM10', 'C45', {}))!;
  expect(life.records).toMatchObject([
    { ended: 'worn for its T, not yet as usual', counts: 'censored', minutes: 8 },
  ]);
});

it('past the life that is usual and not read: nobody knows that it is not worn, so it is asked, here as for less wear as for more', async () => {
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 1 });
  ({ tag } = (await crib.do('buildAssembly', {
    ...{ cutter: { item: 'EM10', place: 'S1' }, holder: { item: 'SL10', place: 'S1' }, stickout: 34 },
    for: { operation, t: 7 },
  })) as unknown as { tag: string });
  await crib.do('recordMeasurement', { tag, gaugeLength: 94 });
  // 40 min are assumed of its life, and 2 min are a part.
  await crib.do('logParts', { operation, parts: 21, confirmed: true });
  const said = async () => ({
    use: (await t7()).use.judgements.find((j) => j.code === 'LIFE'),
    today: (await todayView(crib.db, TODAY)).lines.find((l) => l.kind === 'life' && l.todo.includes(tag))
      ?.todo,
  });
  for (const flank of ['0.15', '0.25']) {
    await crib.do('stateChange', { operation, t: 7, flank });
    expect(await said()).toMatchObject({
      use: { grade: 'question', words: 'Past its usual life, and worn here at another wear: read it' },
      today: `Read the wear of ${tag}`,
    });
  }
  expect((await t7()).use).toMatchObject({ grade: 'question', goodFor: null });
  // Read twice, its own wear says how long it goes on: 0.10 after 42 min, 0.11 after 44 come to 0.25 after 72.
  await crib.do('recordWear', { tag, flankWear: 0.1 });
  crib.at('2027-01-05T12:00:00Z');
  await crib.do('logParts', { operation, parts: 1, confirmed: true });
  await crib.do('recordWear', { tag, flankWear: 0.11 });
  expect(await said()).toMatchObject({ use: { grade: 'good' }, today: undefined });
  expect((await t7()).use.goodFor).toBe(14);
});
