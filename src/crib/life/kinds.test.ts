import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { assemblyView } from '@/crib/rack';
import { lifeSheet } from './index';

/** Lives of one cutter in one material told apart by recipe: 1 min a part, EM10 at 31.50. */
let crib: TestCrib;
let operation: number;
let plan: number | undefined;
const R = { fast: '', slow: '' };
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 40 });
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 3 });
  ({ operation } = (await crib.do('addJob', {
    ...{ number: 'J-1', part: 'Block', material: 'C45', quantity: 9000, due: '2027-02-01', machine: 'M2' },
  })) as unknown as { operation: number });
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 1) });
  const state = async (n: number, fz: string) =>
    String(
      (
        await crib.do('stateRecipe', {
          ...{ item: 'EM10', material: 'C45', cut: 'roughing', speedAs: 'n', speed: n },
          ...{ feedAs: 'tooth', feed: fz, ap: '10', ae: '2' },
        })
      ).code,
    );
  [R.fast, R.slow] = [await state(6000, '0.05'), await state(4775, '0.05')];
});
afterAll(() => crib.db.close());

const runsBy = async (recipe: string | null) => {
  const done = await crib.do('planTool', {
    ...{ operation, t: 7, ...(plan === undefined ? {} : { over: plan }) },
    ...(recipe === null ? { does: 'roughs' } : { recipe }),
  });
  plan = Number(done.entry);
};
const live = async (parts: number, kind: string | null = 'worn') => {
  const { tag } = await crib.do('buildAssembly', {
    ...{ cutter: { item: 'EM10', place: 'S1' }, holder: { item: 'SL10', place: 'S1' }, stickout: 34 },
    for: { operation, t: 7 },
  });
  await crib.do('logParts', { operation, parts, confirmed: true });
  if (kind) await crib.do('endLife', { tag, kind });
  return String(tag);
};
const byRecipe = async () => (await lifeSheet(crib.db, 'EM10', 'C45'))!.byRecipe;

it('lives by no recipe, or all by one, say nothing of any', async () => {
  await live(25);
  expect(await byRecipe()).toBeNull();
  await runsBy(R.fast);
  for (const parts of [14, 16, 17, 19, 20]) await live(parts);
  expect(await byRecipe()).toBeNull();
});

it('of two it says which lasts longer, what it takes off and what a litre costs; and the rest is of none', async () => {
  await runsBy(R.slow);
  for (const parts of [33, 36, 39, 41, 44]) await live(parts);
  const { kinds, apart } = (await byRecipe())!;
  expect(apart).toBe(1);
  expect(kinds).toMatchObject([
    { by: R.slow, lives: 5, failed: 5, told: 'longer', recipe: { cut: 'roughing', ap: 10 } },
    { by: R.fast, lives: 5, failed: 5, told: 'shorter' },
  ]);
  // By hand: 10 × 2 × 4 × 0.05 × 6000 = 24 000 mm³/min, and 19 100.
  expect(kinds.map((k) => Math.round(k.removal!.most))).toEqual([19_100, 24_000]);
  // Nobody said what a minute is.
  expect(kinds.map((k) => k.litre)).toEqual([null, null]);
  await crib.do('setChangeCosts', { minuteCents: 120, changeMinutes: 3, failureMinutes: 10 });
  const [slow, fast] = (await byRecipe())!.kinds;
  // Groover: minutes of a litre × (machine + (change × machine + edge) / life). It lasts half as long and costs less a litre.
  const litre = (mean: number, cm3: number) => (1000 / cm3) * (120 + (3 * 120 + 3150) / mean);
  expect(slow!.litre!.value).toBeCloseTo(litre(slow!.mean!.value, 19.1), 6);
  expect(fast!.litre!.value).toBeCloseTo(litre(fast!.mean!.value, 24), 6);
  expect(fast!.litre!.from).toBeLessThan(fast!.litre!.value);
  expect(fast!.litre!.to).toBeGreaterThan(fast!.litre!.value);
});

it('a life of two recipes is of none; what was planned later says nothing of what ran before', async () => {
  const { tag } = await crib.do('buildAssembly', {
    ...{ cutter: { item: 'EM10', place: 'S1' }, holder: { item: 'SL10', place: 'S1' }, stickout: 34 },
    for: { operation, t: 7 },
  });
  await crib.do('logParts', { operation, parts: 20, confirmed: true });
  await runsBy(R.fast);
  await crib.do('logParts', { operation, parts: 5, confirmed: true });
  await crib.do('endLife', { tag, kind: 'worn' });
  const { kinds, apart } = (await byRecipe())!;
  expect([apart, ...kinds.map((k) => k.lives)]).toEqual([2, 5, 5]);
});

it('what a T ran with becomes a recipe, and the lives before it by that program are of it', async () => {
  const other = (
    await crib.do('addJob', {
      ...{ number: 'J-2', part: 'Bar', material: 'C45', quantity: 900, due: '2027-02-01', machine: 'M2' },
    })
  ).operation as number;
  await crib.do('storeProgram', { operation: other, text: oneToolProgram(7, 2) });
  const { tag } = await crib.do('buildAssembly', {
    ...{ cutter: { item: 'EM10', place: 'S1' }, holder: { item: 'SL10', place: 'S1' }, stickout: 34 },
    for: { operation: other, t: 7 },
  });
  await crib.do('logParts', { operation: other, parts: 9, confirmed: true });
  const { code, entry } = await crib.do('recipeFromTool', { operation: other, t: 7, cut: 'slotting' });
  const of = async () => (await byRecipe())!.kinds.find((k) => k.by === code)?.lives ?? 0;
  expect(await of()).toBe(1);
  // By another program it is not: what that runs with nobody kept.
  await crib.do('counterEntry', { counters: entry });
  expect(await of()).toBe(0);
  await crib.do('storeProgram', { operation: other, text: oneToolProgram(7, 3) });
  const { code: later } = await crib.do('recipeFromTool', { operation: other, t: 7, cut: 'slotting' });
  expect((await byRecipe())!.kinds.some((k) => k.by === later)).toBe(false);
  await crib.do('logParts', { operation: other, parts: 400, confirmed: true });
  expect((await byRecipe())!.kinds.find((k) => k.by === later)).toMatchObject({ lives: 1, failed: 0 });
  await crib.do('endLife', { tag, kind: 'worn' });
  expect((await byRecipe())!.kinds.find((k) => k.by === later)).toMatchObject({ lives: 1, failed: 1 });
});

it('the tag says the chips of each T at most, where the recipe of all of it says how deep and wide', async () => {
  const chips = async (tag: string) =>
    (await assemblyView(crib.db, tag, 'UTC'))!.cut.on.map((x) => [x.t, x.chipsMm3 && Math.round(x.chipsMm3)]);
  const tag = await live(10, null);
  // 10 parts, each 100 mm fed at 10 deep and 2 wide by the fast recipe that T7 was planned by last.
  const [cut] = (await assemblyView(crib.db, tag, 'UTC'))!.cut.on;
  expect(await chips(tag)).toEqual([[7, Math.round(cut!.cutMm! * 20)]]);
  expect(cut!.cutMm).toBeCloseTo(1000, 6);
  // With parts by no recipe it is not known of all.
  await runsBy(null);
  await crib.do('logParts', { operation, parts: 1, confirmed: true });
  expect(await chips(tag)).toEqual([[7, null]]);
});
