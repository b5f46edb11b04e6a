import { runView } from '@/crib/jobs';
import { kitView } from '@/crib/pockets';
import { assemblyView } from '@/crib/rack';
import { takeableView } from '@/crib/stock';
import { furnish, guess, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { lifeView } from './views/lifeView';

/** Two kinds of holders, then two recipes, tried by the lives of one cutter. */
let crib: TestCrib;
let operation: number;
const HOLDER = {
  ...{ LF: guess('60'), CLAMP_MIN: guess('10'), CLAMP_MAX: guess('10') },
  ...{ GRIP_MIN: guess('30'), DEPTH_MAX: guess('45'), RPM_MAX: guess('12000') },
};
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  const segments = [{ length: 60, upper: 44, lower: 32 }];
  for (const [code, taper] of [
    ['SH10', '40 taper'],
    ['SH10-R8', 'R8'],
  ] as const)
    await crib.do('addItem', {
      ...{ code, kind: 'holder', segments, facts: { ...HOLDER, CCMS: guess(taper) } },
    });
  for (const [item, quantity] of [
    ['EM10', 40],
    ['SL10', 6],
    ['SH10', 6],
  ])
    await crib.do('receiveStock', { item, place: 'S1', quantity });
  const job = await crib.do('addJob', {
    ...{ number: 'J-T', part: 'Block', material: 'C45', quantity: 5000, due: '2027-02-01', machine: 'M2' },
  });
  operation = Number(job.operation);
  await crib.do('storeProgram', { operation, text: oneToolProgram(1, 1) });
  await crib.do('setChangeCosts', { minuteCents: 100, changeMinutes: 6, failureMinutes: 25, partCents: 500 });
});
afterAll(() => crib.db.close());

const trial = async () => (await lifeView(crib.db, '2027-01-15', 'UTC')).trials[0]!;
const build = async (holder: string) => {
  const { tag } = await crib.do('buildAssembly', {
    ...{ cutter: { item: 'EM10', place: 'S1' }, holder: { item: holder, place: 'S1' }, stickout: 34 },
    for: { operation, t: 1 },
  });
  return String(tag);
};
const wear = async (tag: string, parts: number) => {
  await crib.do('logParts', { operation, parts, confirmed: true });
  await crib.do('endLife', { tag, kind: 'worn' });
};
const live = async (holder: string, parts: number) => wear(await build(holder), parts);
const turns = async () => (await runView(crib.db, operation))!.turns;
/** What is offered first of holders for EM10 in C45. */
const offered = async (asked: { shank?: string; material?: string } = { shank: 'EM10', material: 'C45' }) =>
  (await takeableView(crib.db, { what: 'holder', like: 'SL10', ...asked }, '2027-01-15')).sources[0]!;
const refused = (input: Record<string, unknown>, field: string, says: RegExp) =>
  expect(
    crib.do('beginTrial', { item: 'EM10', material: 'C45', failuresEach: 3, ...input } as never),
  ).rejects.toMatchObject({ parts: [{ field, detail: expect.stringMatching(says) }] });

describe('two kinds of holders', () => {
  it('what is no trial of them is said so', async () => {
    await refused({ tries: 'holder', against: 'SH10' }, 'first', /which holder .* is missing/);
    await refused({ first: 'SL10', against: 'EM10' }, 'first', /the cutter that is tried is its item/);
    await refused({ tries: 'holder', first: 'SL10', against: 'EM10' }, 'against', /no holder/);
    await refused({ tries: 'holder', first: 'SL10', against: 'SL10' }, 'against', /against itself/);
    await refused({ tries: 'holder', first: 'SL10', against: 'SH10-R8' }, 'against', /no spindle/);
    await refused({ tries: 'holder', item: 'SL10', first: 'SL10', against: 'SH10' }, 'item', /no cutter/);
    expect((await lifeView(crib.db, '2027-01-15', 'UTC')).trials).toEqual([]);
  });

  it('the one of which fewer have begun goes next: at the build, at the machine, in the kit and where a life ends', async () => {
    await live('SL10', 9);
    await crib.do('beginTrial', {
      ...{ item: 'EM10', tries: 'holder', first: 'SL10', against: 'SH10', material: 'C45', failuresEach: 3 },
      why: 'runs truer',
    });
    expect(await trial()).toMatchObject({
      row: { number: 'TR-0001', tried: 'holder', cutter: 'EM10', first: 'SL10', second: 'SH10' },
      ...{ begun: [0, 0], neither: 0, next: 'first', litres: null },
    });
    const tag = await build('SL10');
    const says = 'TR-0001 in C45: the next EM10 goes into SH10';
    expect(await trial()).toMatchObject({ begun: [1, 0], next: 'second' });
    expect(await turns()).toEqual([{ t: 1, number: 'TR-0001', words: says }]);
    expect((await assemblyView(crib.db, tag, 'UTC'))!.turns).toEqual([{ number: 'TR-0001', words: says }]);
    expect(await offered()).toMatchObject({ item: 'SH10', caution: says });
    // Of holders for a cutter that nobody named yet, or for another material, no trial says which goes.
    expect(await offered({})).toMatchObject({ item: 'SL10', caution: null });
    expect(await offered({ shank: 'EM10', material: 'AL' })).toMatchObject({ item: 'SL10', caution: null });
    await wear(tag, 10);
    const kit = (await kitView(crib.db, { number: 'J-T', op: 10 }, '2027-01-15'))!;
    expect(kit.tools[0]).toMatchObject({ t: 1, tag: null, turns: [{ number: 'TR-0001', words: says }] });
    // Another trial of that cutter in that material would leave open which made the difference.
    await refused(
      { tries: 'holder', first: 'SH10', against: 'SL10' },
      'against',
      /TR-0001 goes on in C45: SL10 against SH10/,
    );
  });

  it('a life that moved from one into the other is of neither; told, the one that won goes first and nothing is used up', async () => {
    // Begun in the one, gone on in the other.
    const tag = await build('SH10');
    await crib.do('logParts', { operation, parts: 4, confirmed: true });
    const down = await crib.do('takeDown', { tag, cutterTo: 'USED' });
    const { tag: moved } = await crib.do('buildAssembly', {
      ...{ cutter: { piece: String(down.piece) }, holder: { item: 'SL10', place: 'S1' }, stickout: 34 },
      for: { operation, t: 1 },
    });
    await wear(String(moved), 8);
    expect(await trial()).toMatchObject({ begun: [1, 0], neither: 1, next: 'second' });
    for (const [holder, parts] of [
      ['SH10', 31],
      ['SL10', 11],
      ['SH10', 33],
      ['SL10', 12],
      ['SH10', 35],
    ] as const)
      await live(holder, parts);
    // Three against three, none of the one past the first of the other. Log-rank by hand: expected 1/2 + 2/5 + 1/4 = 1.15, variance
    // 1/4 + 6/25 + 3/16 = 0.6775, (3 − 1.15)² / 0.6775 = 5.05, which chance passes in 0.0246.
    expect(await trial()).toMatchObject({ failures: [3, 3], neither: 1, state: 'told', longer: 'second' });
    expect((await trial()).p).toBeCloseTo(0.0246, 4);
    await crib.do('endTrial', { trial: 'TR-0001', winner: 'second' });
    expect(await turns()).toEqual([]);
    expect(await offered()).toMatchObject({
      item: 'SH10',
      caution: 'SL10 lost TR-0001 with EM10 in C45: SH10 first',
    });
  });
});

describe('two recipes', () => {
  const AT = {
    item: 'EM10',
    material: 'C45',
    cut: 'roughing',
    speedAs: 'n',
    ap: 4,
    ae: 5,
    feedAs: 'minute',
  } as const;
  const codes: string[] = [];
  it('only those that may be run on one T, in force and not rejected', async () => {
    for (const over of [
      { speed: 3000, feed: 100 },
      { speed: 3600, feed: 150 },
      { speed: 3000, feed: 100, cut: 'finishing' },
      { speed: 3000, feed: 120 },
    ] as const)
      codes.push(String((await crib.do('stateRecipe', { ...AT, ...over })).code));
    await crib.do('addMaterial', { code: 'AL', name: 'Aluminium', isoGroup: 'N' });
    await crib.do('recordOutcome', { recipe: codes[3]!, outcome: 'rejected', words: 'chattered' });
    const [one, two, finishing, rejected] = codes;
    await refused({ tries: 'recipe', first: one, against: finishing }, 'against', /is for finishing/);
    await refused({ tries: 'recipe', first: one, against: rejected }, 'against', /was rejected/);
    await refused({ tries: 'recipe', first: one, against: 'R-9999' }, 'against', /R-9999/);
    await refused(
      { tries: 'recipe', first: one, against: two, material: 'AL' },
      'first',
      /is for C45, this is AL/,
    );
    const { code } = await crib.do('stateRecipe', { ...AT, speed: 2900, feed: 100, instead: one! });
    await refused(
      { tries: 'recipe', first: one, against: two },
      'first',
      new RegExp(`written anew as ${code}`),
    );
    codes[0] = String(code);
  });

  it('a life is of the recipe its T was planned to run by; the screen says which the next one runs by', async () => {
    const [one, two] = codes;
    let over: { over?: number } = {};
    const plan = async (recipe: string) => {
      const { entry } = await crib.do('planTool', { operation, t: 1, does: 'outline', recipe, ...over });
      over = { over: Number(entry) };
    };
    await plan(one!);
    await crib.do('beginTrial', {
      ...{ item: 'EM10', tries: 'recipe', first: one!, against: two!, material: 'C45', failuresEach: 3 },
    });
    // Built for a T that is planned so: begun, and not cut yet.
    const tag = await build('SH10');
    expect(await trial()).toMatchObject({ row: { number: 'TR-0002', tried: 'recipe' }, begun: [1, 0] });
    expect(await turns()).toEqual([
      { t: 1, number: 'TR-0002', words: `TR-0002 in C45: the next EM10 runs by ${two}` },
    ]);
    // What is rejected meanwhile is nothing the screen says to run by.
    const { entry } = await crib.do('recordOutcome', {
      recipe: two!,
      outcome: 'rejected',
      words: 'chatters',
    });
    const out = `${two} was rejected: end TR-0002`;
    expect(await turns()).toEqual([{ t: 1, number: 'TR-0002', words: out }]);
    expect(await trial()).toMatchObject({ next: null, out });
    await crib.do('counterEntry', { counters: entry });
    await wear(tag, 30);
    for (const [recipe, parts] of [
      [two, 20],
      [one, 31],
      [two, 21],
      [one, 33],
      [two, 22],
    ] as const) {
      await plan(recipe!);
      await live('SH10', parts);
    }
    // Half by the one, half by the other: of neither.
    await plan(one!);
    const both = await build('SH10');
    await crib.do('logParts', { operation, parts: 12, confirmed: true });
    await plan(two!);
    await wear(both, 12);
    const told = await trial();
    expect(told).toMatchObject({
      begun: [3, 3],
      failures: [3, 3],
      neither: 1,
      state: 'told',
      longer: 'first',
    });
    // Longer in minutes, and dearer in chips. By hand: 4 × 5 × 100 = 2 and 4 × 5 × 150 = 3 cm³ a minute; an edge of 3150 cents and 6 min at
    // 100 cents over about 31.4 and 21 min: (100 + 3750 / 31.4) / 2 and (100 + 3750 / 21) / 3 cents a cm³.
    const [first, second] = [told.litres!.first!, told.litres!.second!];
    expect(first.value / 1000).toBeCloseTo((100 + 3750 / told.means.first!.value) / 2, 1);
    expect(second.value / 1000).toBeCloseTo((100 + 3750 / told.means.second!.value) / 3, 1);
    expect(second.value).toBeLessThan(first.value);
    // So the one that wears sooner may win, with a reason; and what was tried is no cutter that anybody is to use up.
    await expect(crib.do('endTrial', { trial: 'TR-0002', winner: 'second' })).rejects.toMatchObject({
      parts: [{ field: 'words' }],
    });
    await crib.do('endTrial', { trial: 'TR-0002', winner: 'second', words: 'a litre costs less' });
    expect(await turns()).toEqual([]);
  });
});
