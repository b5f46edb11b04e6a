import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { lifeSheet } from '@/crib/life';
import { assemblyView } from '@/crib/rack';
import { loadLifeBook } from './index';

/** Lives of one cutter in one material at two speeds, and what each screen reckons with at a third. */
let crib: TestCrib;
let operation: number;
let cutter = 'EM10V';
const guess = (value: string) => ({ value, origin: 'guess' });
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('addItem', {
    ...{ code: 'EM10V', kind: 'cutter', family: 'square' },
    facts: { DC: guess('10'), DMM: guess('10'), SUBSTRATE: guess('carbide') },
    supply: { supplier: 'NORD', orderCode: 'N-13', priceCents: 3000, pack: 1 },
  });
  await crib.do('receiveStock', { item: 'EM10V', place: 'S1', quantity: 40 });
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 3 });
  ({ operation } = (await crib.do('addJob', {
    ...{ number: 'J-1', part: 'Block', material: 'C45', quantity: 9000, due: '2027-02-01', machine: 'M2' },
  })) as unknown as { operation: number });
});
afterAll(() => crib.db.close());

/** 1 min a part. */
const runsAt = (s: number) =>
  crib.do('storeProgram', { operation, text: oneToolProgram(7, 1).replace('S3000', `S${s}`) });
const build = async () =>
  String(
    (
      await crib.do('buildAssembly', {
        cutter: { item: cutter, place: 'S1' },
        ...{ holder: { item: 'SL10', place: 'S1' }, stickout: 34, for: { operation, t: 7 } },
      })
    ).tag,
  );
const live = async (parts: number, kind: string | null = 'worn') => {
  const tag = await build();
  await crib.do('logParts', { operation, parts, confirmed: true });
  if (kind) await crib.do('endLife', { tag, kind });
  return tag;
};
const idOf = async (table: 'item' | 'material', code: string) =>
  Number((await crib.db.query<{ id: number }>(`select id from ${table} where code = $1`, [code]))[0]!.id);
const expected = async (rpm: number | null) => {
  const item = await idOf('item', cutter);
  return (await loadLifeBook(crib.db, [item])).expectation(item, await idOf('material', 'C45'), rpm)!;
};
const forecast = async () =>
  (
    await crib.db.query<{ lives: number; failures: number; by: number[] }>(
      'select lives, failures, failed_by as by from forecast order by entry_id desc, edge_set_id desc limit 1',
    )
  )[0]!;

// Taylor (1907): V · T^n is one and the same; n 0.25 is usual for carbide (Groover, from memory): 1.25^4 = 2.44.
it('a T that runs slower than all lives so far is reckoned with by their law, and says so', async () => {
  await runsAt(5000);
  for (const parts of [38, 39, 40, 41, 42]) await live(parts);
  const mean = 40;
  expect((await expected(null)).minutes).toBeCloseTo(mean, 6);
  expect((await expected(5000)).minutes).toBeCloseTo(mean, 6);
  const slower = await expected(4000);
  expect(slower.minutes! / mean).toBeCloseTo(1.25 ** 4, 1);
  expect(slower).toMatchObject({ basis: 'assumed', lives: 0, failures: 0 });
  expect(slower.because.words).toContain('taken to 4000 rev/min by n 0.25 (usual for carbide');
  // Half again as fast and no more: of 8,000 nobody can say.
  const item = await idOf('item', 'EM10V');
  const book = await loadLifeBook(crib.db, [item]);
  expect(book.expectation(item, await idOf('material', 'C45'), 8000)).toBeNull();
});

it('tag, forecast and buying go by the speed of the T, and what was cut faster is a larger share of a life', async () => {
  const tag = await live(20, null);
  const on = async () => (await assemblyView(crib.db, tag, 'Europe/Oslo'))!;
  expect((await on()).life.used).toBeCloseTo(20 / 40, 6);
  expect((await on()).life.leftMinutes).toBeCloseTo(20, 6);
  await runsAt(4000);
  // Half a life went at 5,000; the other half lasts longer at 4,000.
  expect((await on()).life.used).toBeCloseTo(0.5, 6);
  expect((await on()).life.leftMinutes).toBeCloseTo(((await expected(4000)).minutes ?? 0) / 2, 6);
  expect((await on()).ties[0]!.freshMinutes).toBeCloseTo((await expected(4000)).minutes ?? 0, 6);
  await crib.do('logParts', { operation, parts: 30, confirmed: true });
  expect((await on()).life.used).toBeCloseTo(0.5 + 30 / (await expected(4000)).minutes!, 6);
  await crib.do('endLife', { tag, kind: 'worn' });

  const next = await live(90, null);
  // Said before it cut, of none at this speed: its middle lies where the law has it.
  expect(await forecast()).toMatchObject({ failures: 0 });
  const { by } = await forecast();
  expect(by[Math.floor(by.length / 2)]! / 97.7).toBeGreaterThan(0.7);
  expect(by[Math.floor(by.length / 2)]! / 97.7).toBeLessThan(1.3);
  await crib.do('endLife', { tag: next, kind: 'worn' });
});

it('lives at a speed are told from others as they come, and Life shows what is reckoned with at each', async () => {
  for (const parts of [88, 92, 95, 99]) await live(parts);
  const here = await expected(4000);
  expect(here).toMatchObject({ basis: 'failures here and the assumed life' });
  // Five lives of 92.8 in the mean at it, and three more as the others come to; the one of both speeds is of these.
  expect(here.failures).toBe(5);
  const { bySpeed } = (await lifeSheet(crib.db, 'EM10V', 'C45'))!;
  expect(bySpeed!.groups.map((g) => [g.lives, g.expectation!.minutes])).toEqual([
    [5, expect.closeTo(here.minutes!, 6)],
    [5, expect.closeTo((await expected(5000)).minutes!, 6)],
  ]);
  // Their own law now says the exponent: ln 1.25 / ln (92.8 / 40) = 0.265.
  expect(bySpeed!.law!.n.value).toBeCloseTo(Math.log(1.25) / Math.log(92.8 / 40), 1);
  expect(here.because.values.find((v) => v.name === 'assumed')!.source).toContain(
    'as its lives here tell it',
  );
});

// A planned change is reckoned by the law of its lives: at a fifth less speed they last 1.25^(1/n) times as long, and so does it.
it('when a change pays on a T is reckoned at the speed it runs at', async () => {
  const change = { costs: { planned: 30, failure: 400 }, partMinutes: 1 };
  const sheet = async (rpm?: number) => (await lifeSheet(crib.db, 'EM10V', 'C45', { change, rpm }))!;
  const [all, slow, fast] = [await sheet(), await sheet(4000), await sheet(5000)];
  expect(all.changeAt).toBeNull();
  const { n } = (await lifeSheet(crib.db, 'EM10V', 'C45'))!.bySpeed!.law!;
  expect(slow.changeAt).toMatchObject({ rpm: 4000, lives: 11, by: { n: expect.closeTo(n.value, 6) } });
  expect(slow.change!.parts! / fast.change!.parts!).toBeCloseTo(1.25 ** (1 / n.value), 0);
  expect(fast.change!.parts!).toBeLessThan(slow.change!.parts!);
  // Of a speed that nothing was cut near to there is no law, and so no interval.
  expect(await sheet(9000)).toMatchObject({
    change: null,
    changeAt: { lives: 0, noLaw: 'no life has failed' },
  });
  // What else it says is of all its lives as they were cut.
  expect(slow.expectation).toEqual(all.expectation);
});

it('on two T at two speeds it is judged on each by its own', async () => {
  await runsAt(5000);
  const tag = await live(10, null);
  const { operation: slow } = await crib.do('addJob', {
    ...{ number: 'J-2', part: 'Block', material: 'C45', quantity: 90, due: '2027-02-02', machine: 'M2' },
  });
  await crib.do('storeProgram', {
    operation: slow,
    text: oneToolProgram(7, 1).replace('S3000', 'S4000'),
  });
  await crib.do('tieTool', { operation: slow, t: 7, tag });
  const { ties } = (await assemblyView(crib.db, tag, 'Europe/Oslo'))!;
  const on = (job: string) => ties.find((x) => x.job === job)!;
  expect(on('J-1').freshMinutes).toBeCloseTo((await expected(5000)).minutes!, 6);
  expect(on('J-2').freshMinutes).toBeCloseTo((await expected(4000)).minutes!, 6);
  // Ten minutes at 5,000 are one share of a life on both; what is left is more parts where it runs slower.
  const left = 1 - 10 / (await expected(5000)).minutes!;
  expect(on('J-1').use.goodFor).toBe(Math.floor(left * (await expected(5000)).minutes!));
  expect(on('J-2').use.goodFor).toBe(Math.floor(left * (await expected(4000)).minutes!));
  await crib.do('endLife', { tag, kind: 'preventive' });
});

it('where no exponent is usual for its substrate its lives are taken nowhere: all count as they are', async () => {
  cutter = 'EM10W';
  await crib.do('addItem', {
    ...{ code: cutter, kind: 'cutter', family: 'square' },
    facts: { DC: guess('10'), DMM: guess('10'), SUBSTRATE: guess('PCD') },
  });
  await crib.do('receiveStock', { item: cutter, place: 'S1', quantity: 40 });
  await runsAt(5000);
  for (const parts of [30, 40, 50]) await live(parts);
  expect(await expected(4000)).toMatchObject({ lives: 3, failures: 3, minutes: expect.closeTo(40, 6) });
});
