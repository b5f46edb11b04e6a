import { furnish, openTestCrib, type TestCrib } from '@/crib/testing';
import { jobView } from '@/crib/jobs';
import { kitView } from '@/crib/pockets';
import { shopView } from '@/crib/shop';
import { recipesView, recipeView } from './views/recipesView';

/** A recipe from the first statement to what came of it, and the T that runs by it (common practice). */
let crib: TestCrib;
let operation: number;
const job = async () => (await jobView(crib.db, 'J-1'))!;
const codes = async () => (await job()).tools[0]!.use.judgements.map((j) => `${j.code} ${j.grade}`);
const PROGRAM = 'G21 G90\nT7 M6\nS4000 M3\nG43 H7 G0 X0 Y0 Z20\nG1 Z-5 F200\nX200 F800\nM30';
const OF = { item: 'EM10', material: 'C45', cut: 'roughing' } as const;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('addMaterial', { code: 'AL', name: 'Aluminium', isoGroup: 'N' });
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 3 });
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 3 });
  operation = (
    await crib.do('addJob', {
      ...{ number: 'J-1', part: 'Block', material: 'C45', quantity: 5, due: '2027-02-01', machine: 'M2' },
      highestBeside: 0,
    })
  ).operation as number;
  await crib.do('storeProgram', { operation, text: PROGRAM });
  await crib.do('buildAssembly', {
    ...{ cutter: { item: 'EM10', place: 'S1' }, holder: { item: 'SL10', place: 'S1' }, stickout: 34 },
  });
  await crib.do('tieTool', { operation, t: 7, tag: 'A-0001' });
});
afterAll(() => crib.db.close());

it('is stated with what is known; what is said by half is refused by its field', async () => {
  const refused = (over: object) =>
    crib.do('stateRecipe', { ...OF, ...over } as never).then(
      () => null,
      (p: { parts?: { field: string }[] }) => p.parts?.[0]?.field,
    );
  expect(await refused({})).toBe('speed');
  expect(await refused({ speed: 120 })).toBe('speedAs');
  expect(await refused({ speedAs: 'Vc', speed: 150, speedMost: 120 })).toBe('speedMost');
  expect(await refused({ speedAs: 'Vc', speedMost: 120 })).toBe('speed');
  expect(await refused({ speedAs: 'Vc', speed: 120, item: undefined })).toBe('item');
  expect(await refused({ speedAs: 'Vc', speed: 120, family: 'square' })).toBe('item');
  expect(await refused({ speedAs: 'Vc', speed: 120, item: 'SL10' })).toBe('item');
  expect(await refused({ speedAs: 'Vc', speed: 120, item: undefined, family: 'square', dcFrom: 8 })).toBe(
    'dcTo',
  );
  expect(await refused({ speedAs: 'Vc', speed: 120, material: 'X9' })).toBe('material');
  expect((await recipesView(crib.db, {})).lines).toEqual([]);
  const { code } = await crib.do('stateRecipe', {
    ...{ ...OF, speedAs: 'Vc', speed: 120, feedAs: 'tooth', feed: '0.002 in', ap: 10 },
    words: 'chart of the maker',
  });
  expect(code).toBe('R-0001');
  const [line] = (await recipesView(crib.db, { material: 'C45', item: 'EM10' })).lines;
  expect(line).toMatchObject({ code, state: 'not tried', item: 'EM10', ap: 10, ae: null });
  expect(line!.feed!.least).toBeCloseTo(0.0508, 9);
  expect(line!.entered.feedLeast).toBe('0.002 in');
  expect((await recipesView(crib.db, { material: 'AL' })).lines).toEqual([]);
});

it('is held beside every T its cutter is on; named, it decides', async () => {
  const beside = (await job()).tools[0]!.use.judgements.filter((j) => j.code.startsWith('RECIPE_'));
  expect(beside.map((j) => j.aside)).toEqual(beside.map(() => true));
  expect(beside.length).toBeGreaterThan(0);
  const kit = (await kitView(crib.db, { number: 'J-1', op: 10 }, '2027-01-05'))!;
  expect(kit.recipes).toEqual([
    { code: 'R-0001', words: 'not tried: EM10 roughs, Vc 120 m/min, 0.0508 mm a tooth' },
  ]);
  await crib.do('planTool', { operation, t: 7, does: 'roughs', recipe: 'R-0001' });
  expect((await job()).tools[0]!.plan).toMatchObject({ recipe: 'R-0001', does: 'roughs' });
  expect(await codes()).toContain('RECIPE good');
});

it('what came of it is the latest word; taken back, the one before', async () => {
  const say = (outcome: 'tried' | 'proven' | 'rejected', words?: string) =>
    crib.do('recordOutcome', {
      recipe: 'r-0001',
      outcome,
      ...(words ? { words } : {}),
      operation,
      minutes: 42,
    });
  await say('proven');
  await expect(say('rejected')).rejects.toMatchObject({ parts: [{ field: 'words' }] });
  const { entry } = await say('rejected', 'chatters in the corners');
  expect(await codes()).toContain('RECIPE question');
  expect(await recipeView(crib.db, 'R-0001')).toMatchObject({
    state: 'rejected',
    outcomes: [
      { outcome: 'rejected', job: 'J-1', operation: 10, minutes: 42, words: 'chatters in the corners' },
      { outcome: 'proven' },
    ],
  });
  await crib.do('counterEntry', { counters: entry });
  expect(await recipeView(crib.db, 'R-0001')).toMatchObject({ state: 'proven' });
});

it('another is written instead of it: the old one stays readable, asks, and is not named any more', async () => {
  const instead = () =>
    crib.do('stateRecipe', {
      ...OF,
      instead: 'R-0001',
      speedAs: 'n',
      speed: 4000,
      feedAs: 'minute',
      feed: 800,
    });
  const { code, entry } = await instead();
  expect((await recipesView(crib.db, {})).lines.map((l) => [l.code, l.state])).toEqual([[code, 'not tried']]);
  expect(await recipeView(crib.db, 'R-0001')).toMatchObject({ replacedBy: code, state: 'proven' });
  expect(await codes()).toContain('RECIPE question');
  await expect(instead()).rejects.toMatchObject({ code: 'CONFLICT' });
  await expect(
    crib.do('planTool', { operation, t: 8, does: 'roughs', recipe: 'R-0001' }),
  ).rejects.toMatchObject({ code: 'REFUSED', parts: [{ field: 'recipe' }] });
  await crib.do('counterEntry', { counters: entry });
  expect(await recipeView(crib.db, 'R-0001')).toMatchObject({ replacedBy: null });
});

it('is for one material: neither a T nor an outcome of another takes it', async () => {
  const { operation: other } = await crib.do('addJob', {
    ...{ number: 'J-2', part: 'Lid', material: 'AL', quantity: 1, due: '2027-02-01', machine: 'M2' },
  });
  await expect(
    crib.do('planTool', { operation: other as number, t: 1, recipe: 'R-0001' }),
  ).rejects.toMatchObject({ code: 'REFUSED' });
  await expect(
    crib.do('recordOutcome', { recipe: 'R-0001', outcome: 'tried', operation: other as number }),
  ).rejects.toMatchObject({ code: 'REFUSED' });
});

it('what a T runs with is kept in one step: not tried, tried by the parts made, proven where its setup is proved; it runs by it from then on', async () => {
  const { code, outcome } = await crib.do('recipeFromTool', { operation, t: 7, cut: 'slotting' });
  expect([code, outcome]).toEqual(['R-0003', 'not tried']);
  const { tools } = await job();
  expect(tools[0]!.plan).toMatchObject({ recipe: 'R-0003', does: 'roughs' });
  // Held against itself it is off nothing.
  expect((await codes()).filter((c) => c.startsWith('RECIPE'))).toEqual([
    'RECIPE good',
    'RECIPE_SPEED good',
    'RECIPE_FEED good',
  ]);
  expect(await recipeView(crib.db, 'R-0003')).toMatchObject({
    ...{ item: 'EM10', material: 'C45', machine: 'M2', cut: 'slotting', ap: null },
    outcomes: [],
  });
  await expect(crib.do('recipeFromTool', { operation, t: 9, cut: 'slotting' })).rejects.toMatchObject({
    code: 'REFUSED',
    parts: [{ field: 't', value: 9 }],
  });
  await crib.do('logParts', { operation, parts: 2 });
  const tried = await crib.do('recipeFromTool', { operation, t: 7, cut: 'slotting' });
  expect(tried).toMatchObject({ code: 'R-0004', outcome: 'tried' });
  expect(await recipeView(crib.db, 'R-0004')).toMatchObject({
    outcomes: [{ outcome: 'tried', job: 'J-1', parts: 2 }],
  });
  await crib.do('recordMeasurement', { tag: 'A-0001', gaugeLength: '84' });
  await crib.do('writeSetupSheet', { operation, drawing: 'D-1' });
  for (const step of ['written', 'entered', 'proved'] as const)
    await crib.do('signSetup', { operation, step });
  expect(await crib.do('recipeFromTool', { operation, t: 7, cut: 'slotting' })).toMatchObject({
    ...{ code: 'R-0005', outcome: 'proven' },
  });
});

it('what a material takes to cut is stated whole, with where it comes from; kc1.1 comes with mc', async () => {
  const state = (over: object) =>
    crib.do('stateMaterial', { material: 'C45', origin: 'measured', ...over } as never);
  await expect(state({ kc11: 2220 })).rejects.toMatchObject({ parts: [{ field: 'mc' }] });
  await expect(state({ kc11: 2, mc: 0.14 })).rejects.toMatchObject({ parts: [{ field: 'kc11', value: 2 }] });
  const known = async () => (await shopView(crib.db, '2027-01-05')).materials.find((m) => m.code === 'C45');
  expect(await known()).toMatchObject({ kc11: null, mc: null, density: null, origin: null });
  const { entry } = await state({ kc11: '2300', mc: '0.15', hardness: '210 HB' });
  expect(await known()).toMatchObject({
    kc11: 2300,
    mc: 0.15,
    hardness: '210 HB',
    density: null,
    origin: 'measured',
  });
  await crib.do('counterEntry', { counters: entry });
  expect(await known()).toMatchObject({ kc11: null, origin: null });
});
