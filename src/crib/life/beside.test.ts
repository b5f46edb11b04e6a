import { furnish, guess, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { edgeCosts } from '@/crib/lives';
import { lifeSheet, lifeView } from './index';

/** Cutters and holders held beside each other: one that lasts twice as long, one holder in which all die young. */
let crib: TestCrib;
let operation: number;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  const EM = {
    ...{ SUBSTRATE: guess('carbide'), DC: guess('10'), DMM: guess('10') },
    ...{ LCF: guess('22'), OAL: guess('72'), NOF: guess('4') },
  };
  const supply = { supplier: 'NORD', orderCode: 'N-11', priceCents: 5000, pack: 1 };
  await crib.do('addItem', { code: 'EM10X', kind: 'cutter', family: 'square', facts: EM, supply });
  await crib.do('addItem', { code: 'EM10Y', kind: 'cutter', family: 'square', facts: EM });
  const { facts, segments } = {
    facts: {
      ...{ CCMS: guess('40 taper'), LF: guess('60'), CLAMP_MIN: guess('10'), CLAMP_MAX: guess('10') },
      ...{ GRIP_MIN: guess('30'), DEPTH_MAX: guess('45'), RPM_MAX: guess('12000') },
    },
    segments: [{ length: 60, upper: 44, lower: 32 }],
  };
  await crib.do('addItem', { code: 'CH10', kind: 'holder', facts, segments });
  for (const item of ['EM10', 'EM10X', 'EM10Y'])
    await crib.do('receiveStock', { item, place: 'S1', quantity: 20 });
  for (const item of ['SL10', 'CH10']) await crib.do('receiveStock', { item, place: 'S1', quantity: 3 });
  ({ operation } = (await crib.do('addJob', {
    ...{ number: 'J-1', part: 'Block', material: 'C45', quantity: 9000, due: '2027-02-01', machine: 'M2' },
  })) as unknown as { operation: number });
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 1) });
});
afterAll(() => crib.db.close());

const live = async (item: string, holder: string, parts: number, kind: string | null = 'worn') => {
  const { tag } = await crib.do('buildAssembly', {
    ...{ cutter: { item, place: 'S1' }, holder: { item: holder, place: 'S1' }, stickout: 34 },
    for: { operation, t: 7 },
  });
  await crib.do('logParts', { operation, parts, confirmed: true });
  if (kind) await crib.do('endLife', { tag, kind });
  return String(tag);
};
const sheet = (beside: string | null) => lifeSheet(crib.db, 'EM10', 'C45', { beside });

it('too few lives decide nothing, and it is said how many would; another that never cut here is no answer', async () => {
  await live('EM10', 'SL10', 20);
  await live('EM10X', 'SL10', 41);
  const two = (await sheet('EM10X'))!;
  expect(two.others).toEqual([{ code: 'EM10X', lives: 1 }]);
  // One of each: log-rank by hand, (1 − 1/2)² / (1/4) = 1; 7.849 is wanted.
  expect(two.beside!.compared).toMatchObject({ longer: null, moreFailures: 7 });
  expect(two.beside!.compared.p).toBeCloseTo(0.3173, 4);
  expect((await sheet('EM10Y'))!.beside).toBeNull();
  expect((await sheet('EM10'))!.beside).toBeNull();
  expect((await sheet('NOWHERE'))!.beside).toBeNull();
  expect((await sheet(null))!.beside).toBeNull();
});

it('one that lasts twice as long is told, and costs less a minute though it is dearer', async () => {
  for (const parts of [18, 22, 24, 26]) await live('EM10', 'SL10', parts);
  for (const parts of [38, 44, 46, 50]) await live('EM10X', 'SL10', parts);
  const { beside } = (await sheet('EM10X'))!;
  expect(beside).toMatchObject({ code: 'EM10X', lives: 5, compared: { longer: 'second', moreFailures: 0 } });
  const { first, second } = beside!.rates;
  expect([first.edge, second.edge]).toEqual([
    { cents: 3150, of: 'a new one' },
    { cents: 5000, of: 'a new one' },
  ]);
  // Means near 22 and 43.8 min: about 143 and 114 cents a minute.
  expect(first.aMinute!.cents).toBeCloseTo(3150 / beside!.compared.means.first!.value, 10);
  expect(first.aMinute!.cents).toBeGreaterThan(135);
  expect(second.aMinute!.cents).toBeLessThan(120);
  expect(first.aMinute!.from).toBeLessThan(first.aMinute!.cents);
});

it('no price is no cost: it is said to be unknown', async () => {
  await live('EM10Y', 'SL10', 30);
  const { rates } = (await sheet('EM10Y'))!.beside!;
  expect(rates.second).toEqual({ edge: { cents: null, of: 'a new one' }, aMinute: null });
});

it('a holder whose cutters die young is called out once chance does not do it, and a life in two holders is of neither', async () => {
  const holders = async () => (await lifeView(crib.db, '2027-01-05', crib.zone)).holders;
  expect(await holders()).toEqual([]);
  for (const parts of [6, 7, 8]) await live('EM10', 'CH10', parts);
  const few = await holders();
  expect(few.map((h) => h.by)).toEqual(['CH10', 'SL10']);
  for (const parts of [9, 5]) await live('EM10', 'CH10', parts);
  for (const parts of [11, 12]) await live('EM10X', 'CH10', parts);
  const [worst, other] = await holders();
  expect(worst).toMatchObject({ by: 'CH10', lives: 7, failed: 7, diesYoung: true });
  expect(worst!.expected).toBeLessThan(3);
  expect(other).toMatchObject({ by: 'SL10', diesYoung: false });
  // Built anew in the other holder it goes on cutting: the life is of both.
  const tag = await live('EM10', 'CH10', 3, null);
  await crib.do('takeDown', { tag, cutterTo: 'USED' });
  const [piece] = await crib.db.query<{ mark: string }>('select mark from piece order by id desc limit 1');
  await crib.do('buildAssembly', {
    ...{ cutter: { piece: piece!.mark }, holder: { item: 'SL10', place: 'S1' }, stickout: 34 },
    for: { operation, t: 7 },
  });
  await crib.do('logParts', { operation, parts: 1, confirmed: true });
  expect((await holders()).find((h) => h.by === 'CH10')!.lives).toBe(7);
  // Of this cutter alone: five of CH10, none of the other cutter, and the one of both is of neither.
  const { byHolder } = (await sheet(null))!;
  expect(byHolder).toMatchObject({
    kinds: [
      { by: 'SL10', lives: 5, told: 'longer', rate: { edge: { cents: 3150 } } },
      { by: 'CH10', lives: 5, failed: 5, told: 'shorter' },
    ],
    apart: 1,
  });
  const [slow] = byHolder!.kinds;
  expect(slow!.rate.aMinute!.cents).toBeCloseTo(3150 / slow!.mean!.value, 10);
});

it('an edge set of a body costs what its seats take of its inserts, not a new body', async () => {
  const supply = (priceCents: number) => ({ supplier: 'NORD', orderCode: 'N-2', priceCents, pack: 1 });
  const FB50 = { DC: guess('50'), DMM: guess('10'), OAL: guess('72'), CICT: guess('5') };
  await crib.do('addItem', {
    ...{ code: 'FB50', kind: 'body', family: 'face', facts: FB50, supply: supply(18000) },
  });
  const SE12 = { ISO1832: guess('SEKN 1203AF'), EDGES: guess('4') };
  await crib.do('addItem', { code: 'SE12', kind: 'insert', facts: SE12, supply: supply(900) });
  for (const item of ['FB50', 'SE12']) await crib.do('receiveStock', { item, place: 'S1', quantity: 5 });
  const [row] = await crib.db.query<{ id: number }>(`select id from item where code = 'FB50'`);
  const cost = async () => (await edgeCosts(crib.db, [{ id: row!.id, kind: 'body' }])).get(row!.id);
  expect(await cost()).toEqual({ cents: null, of: 'its inserts, of which none were put in' });
  const { tag } = await crib.do('buildAssembly', {
    ...{ cutter: { item: 'FB50', place: 'S1' }, holder: { item: 'SL10', place: 'S1' }, stickout: 34 },
  });
  const { piece } = await crib.do('takeDown', { tag, cutterTo: 'S1' });
  await crib.do('mountInserts', { piece, item: 'SE12', from: 'S1' });
  // Five seats, an insert of 9.00 with four edges: 5 × 9.00 / 4.
  expect(await cost()).toEqual({ cents: 1125, of: '5 edges of SE12, of 4 each' });
});

it('what changes cost here is said once; the chart stands without anybody typing, and what failures lose is learnt', async () => {
  const before = (await sheet(null))!;
  expect(before).toMatchObject({ change: null, costs: { said: null, costs: null } });
  await crib.do('setChangeCosts', {
    minuteCents: 150,
    changeMinutes: 4,
    failureMinutes: 20,
    partCents: 1200,
  });
  const { costs, change } = (await sheet(null))!;
  // EM10 costs 31.50 a piece: 31.50 + 1.50 x 4 = 37.50; a failure 1.50 x 20 + 12.00 more.
  expect(costs.costs?.value).toEqual({ planned: 37.5, failure: 79.5 });
  expect(change?.costs).toEqual({ planned: 37.5, failure: 79.5 });
  // What is typed goes before it.
  const typed = await lifeSheet(crib.db, 'EM10', 'C45', {
    change: { costs: { planned: 10, failure: 90 }, partMinutes: null },
  });
  expect(typed?.change?.costs).toEqual({ planned: 10, failure: 90 });
  const { tag } = await crib.do('buildAssembly', {
    ...{ cutter: { item: 'EM10', place: 'S1' }, holder: { item: 'SL10', place: 'S1' }, stickout: 34 },
    for: { operation, t: 7 },
  });
  await crib.do('logParts', { operation, parts: 3, confirmed: true });
  await crib.do('endLife', { tag, kind: 'broken', fragments: 'found', lostParts: 3, lostMinutes: '60' });
  // Said counts as three: (3 x 20 + 60) / 4 = 30 min, (3 x 1 + 3) / 4 = 1.5 parts.
  expect((await sheet(null))!.costs.costs?.value.failure).toBeCloseTo(37.5 + 45 + 18, 9);
  // Of what nobody knows the price nothing is reckoned.
  expect((await lifeSheet(crib.db, 'EM10Y', 'C45'))?.costs.costs ?? null).toBeNull();
});

it('lives by the speed of the programs they were cut by, with Taylor’s law; one that was cut at two is of neither', async () => {
  const at = async (item: string) => (await lifeSheet(crib.db, item, 'C45'))!.bySpeed;
  await crib.do('addItem', {
    ...{ code: 'EM10V', kind: 'cutter', family: 'square', facts: { DC: guess('10'), DMM: guess('10') } },
    supply: { supplier: 'NORD', orderCode: 'N-13', priceCents: 3000, pack: 1 },
  });
  await crib.do('receiveStock', { item: 'EM10V', place: 'S1', quantity: 30 });
  const store = (s: number) =>
    crib.do('storeProgram', { operation, text: oneToolProgram(7, 1).replace('S3000', `S${s}`) });
  await store(4000);
  for (const parts of [40, 48, 52, 60]) await live('EM10V', 'SL10', parts);
  expect(await at('EM10V')).toBeNull();
  await store(6000);
  for (const parts of [16, 19, 21, 24]) await live('EM10V', 'SL10', parts);
  const told = (await at('EM10V'))!;
  // π × 10 mm × 4000 / 1000 and × 6000 / 1000.
  expect(told.groups.map((g) => [g.from, g.lives])).toEqual([
    [expect.closeTo(125.66, 2), 4],
    [expect.closeTo(188.5, 1), 4],
  ]);
  // Half again as fast, and means of 50 and 20: ln 1.5 / ln 2.5 = 0.4425.
  expect(told.law!.n.value).toBeCloseTo(Math.log(1.5) / Math.log(2.5), 1);
  expect(told.law!.n.from).toBeLessThan(0.44);
  expect(told.law!.n.to).toBeGreaterThan(0.44);
  // Gilbert (1950), from memory: T = (1/n − 1)(tc + Ct/Cm), with 4 min to change, 30.00 an edge and 1.50 a minute.
  const { n } = told.law!;
  expect(told.cheapest!.minutes).toBeCloseTo((1 / n.value - 1) * (4 + 3000 / 150), 6);
  const tag = await live('EM10V', 'SL10', 10, null);
  await store(4000);
  await crib.do('logParts', { operation, parts: 10, confirmed: true });
  await crib.do('endLife', { tag, kind: 'worn' });
  expect(await at('EM10V')).toMatchObject({ apart: 1, groups: [{ lives: 4 }, { lives: 4 }] });
});
