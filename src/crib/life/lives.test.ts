import { DEFAULTS } from '@/core/defaults';
import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { assemblyView } from '@/crib/rack';
import { loadLifeBook, readKnownHere } from '@/crib/lives';
import { lifeSheet, lifeView } from './views/lifeView';

let crib: TestCrib;
const operations: Record<string, number> = {};
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 30 });
  await crib.do('addMaterial', { code: 'AL', name: 'Aluminium', isoGroup: 'N' });
  for (const [number, material] of [
    ['J-C', 'C45'],
    ['J-A', 'AL'],
  ]) {
    const { operation } = await crib.do('addJob', {
      number,
      part: 'Block',
      material,
      quantity: 1000,
      due: '2027-02-01',
      machine: 'M2',
    });
    operations[material!] = operation as number;
    await crib.do('storeProgram', { operation, text: oneToolProgram(1, 1) });
  }
});
afterAll(() => crib.db.close());

/** One life from build to end: minutes in a material, then the ending (null: it goes on). */
async function live(
  minutes: Record<string, number>,
  kind: string | null,
  source: Record<string, string> = { item: 'EM10', place: 'S1' },
): Promise<string> {
  const { tag } = await crib.do('buildAssembly', {
    cutter: source,
    holder: { item: 'SL10', place: 'S1' },
    stickout: 34,
  });
  for (const [material, parts] of Object.entries(minutes)) {
    await crib.do('tieTool', { operation: operations[material], t: 1, tag });
    await crib.do('logParts', { operation: operations[material], parts });
  }
  // What breaks leaves fragments: until they are found nothing else goes on that T.
  const found = ['crash', 'chipped', 'broken'].includes(kind ?? '') ? { fragments: 'found' } : {};
  if (kind) await crib.do('endLife', { tag, kind, cutterTo: 'USED', ...found });
  return String(tag);
}
const sheet = async (material: string) => (await lifeSheet(crib.db, 'EM10', material))!;

it('failures and censored lives go to the curve as they should (Kaplan-Meier by hand)', async () => {
  await live({ C45: 30 }, 'worn');
  await live({ C45: 40 }, 'crash');
  await live({ C45: 50 }, 'chipped');
  await live({ C45: 50 }, 'preventive');
  const { steps, median, expectation, endings } = await sheet('C45');
  // At 30: 4 at risk; at 50: 2 at risk, one failed, one censored.
  expect(steps.map((s) => [Math.round(s.minutes), s.atRisk, s.failed, s.survival])).toEqual([
    [30, 4, 1, 0.75],
    [50, 2, 1, 0.375],
  ]);
  expect(median).toEqual({ median: expect.closeTo(50, 2) });
  // 30 + 0.75 x 20 = 45 of two failures, beside 40 assumed, which counts as three: (120 + 90) / 5
  expect(expectation).toMatchObject({
    minutes: expect.closeTo(42, 2),
    basis: 'failures here and the assumed life',
    lives: 4,
    failures: 2,
  });
  // All four were used up, whatever used them: (3 x 40 + 30 + 40 + 50 + 50) / 7
  expect((await sheet('C45')).consumption).toMatchObject({
    minutesPerEdge: expect.closeTo(290 / 7, 2),
    edges: 4,
  });
  expect(endings).toEqual({ worn: 1, crash: 1, chipped: 1, 'preventive, at a set count': 1 });
});

it('a running life is censored at its present minutes', async () => {
  const tag = await live({ C45: 60 }, null);
  const { records, endings } = await sheet('C45');
  expect(records[0]).toMatchObject({ ended: null, counts: 'censored', minutes: expect.closeTo(60, 2) });
  expect(endings['still running']).toBe(1);
  await crib.do('endLife', { tag, kind: 'lost' });
});

it('another material is another life, with an assumption of its own or the general one', async () => {
  const [item] = await crib.db.query<{ id: number }>("select id from item where code = 'EM10'");
  const book = async () => loadLifeBook(crib.db, [item!.id]);
  const [al] = await crib.db.query<{ id: number }>("select id from material where code = 'AL'");
  expect((await book()).expectation(item!.id, al!.id, null)).toMatchObject({ minutes: 40, basis: 'assumed' });
  await crib.do('stateFacts', {
    item: 'EM10',
    assumedLife: { minutes: 200, origin: 'maker', material: 'AL' },
  });
  expect((await book()).expectation(item!.id, al!.id, null)).toMatchObject({
    minutes: 200,
    because: { words: expect.stringContaining("maker's figure") },
  });
  await live({ AL: 90 }, 'worn');
  expect((await sheet('AL')).expectation).toMatchObject({
    // One early failure beside the maker's figure: (3 x 200 + 90) / 4
    minutes: expect.closeTo(172.5, 2),
    basis: 'failures here and the assumed life',
  });
});

it('a life in two materials, a graded one, and one without a minute logged are shown apart, not fitted', async () => {
  const before = (await sheet('C45')).lives;
  await live({ C45: 10, AL: 10 }, 'worn');
  await live({}, 'broken');
  const [mark] = await crib.db.query<{ mark: string }>('select mark from piece order by id limit 1');
  await crib.do('gradePiece', { piece: mark!.mark, grade: 'squaring with the upper flute' });
  await live({ C45: 5 }, 'worn', { piece: mark!.mark });
  const view = await lifeView(crib.db, '2027-01-05', 'UTC');
  expect(view.lines.map((l) => [l.material.code, l.lives])).toEqual([
    ['C45', before],
    ['AL', 1],
  ]);
  expect(view.apart.map((a) => a.why).sort()).toEqual([
    'cut several materials',
    'no minutes were logged',
    'not fresh: a graded cutter',
  ]);
  // By shares, each of what is expected there (Palmgren and Miner's sum): only of the one that cut two materials.
  const share = view.apart.find((a) => a.why === 'cut several materials')!.share!;
  const expected = async (material: string) => (await sheet(material)).expectation!.minutes!;
  expect(share.of.map((u) => [u.material, Math.round(u.minutes), u.expected])).toEqual([
    ['C45', 10, await expected('C45')],
    ['AL', 10, await expected('AL')],
  ]);
  expect(share.used).toBeCloseTo(10 / (await expected('C45')) + 10 / (await expected('AL')), 2);
  expect(view.apart.filter((a) => a.share)).toHaveLength(1);
});

it('a life ends once; the count of its minutes goes on if parts are logged late for an hour before', async () => {
  crib.at('2027-01-05T15:00:00Z');
  const tag = await live({ AL: 20 }, null);
  crib.at('2027-01-05T17:00:00Z');
  await crib.do('endLife', {
    tag,
    kind: 'worn',
    partsSince: [
      { operation: operations.AL, parts: 3 },
      { operation: operations.C45, parts: 0 },
    ],
  });
  await expect(crib.do('endLife', { tag, kind: 'worn' })).rejects.toMatchObject({ code: 'CONFLICT' });
  await crib.do('logParts', { operation: operations.AL, parts: 2, happenedAt: '2027-01-05T16:00:00Z' });
  expect((await sheet('AL')).records[0]!.minutes).toBeCloseTo(25, 2);
  // After the end nothing of that T belongs to it.
  const { uses } = await crib.do('logParts', { operation: operations.AL, parts: 2 });
  expect(uses).toMatchObject([{ tag: null }]);
});

it('wear needs a standing assembly, and blank is no reading', async () => {
  const tag = await live({}, null);
  await expect(crib.do('recordWear', { tag, flankWear: '' })).rejects.toMatchObject({
    parts: [{ field: 'flankWear' }],
  });
  await crib.do('recordWear', { tag, flankWear: 0 });
  await crib.do('takeDown', { tag, cutterTo: 'USED' });
  await expect(crib.do('recordWear', { tag, flankWear: 0.1 })).rejects.toMatchObject({ code: 'CONFLICT' });
});

it('a reading says at least one thing, each sign once, and a zone that lies on the flute; the rest stays not looked at', async () => {
  const tag = await live({}, null);
  const refused = (input: Record<string, unknown>, field: string) =>
    expect(crib.do('recordWear', { tag, ...input })).rejects.toMatchObject({ parts: [{ field }] });
  await refused({}, 'flankWear');
  await refused({ signs: [] }, 'flankWear');
  await refused({ flankWear: '6' }, 'flankWear');
  await refused({ drift: '2' }, 'drift');
  await refused({ chips: 'some' }, 'chips');
  // Its flute is 22 mm long.
  await refused({ zoneTo: '22.5' }, 'zoneTo');
  await refused({ zoneFrom: '5', zoneTo: '5' }, 'zoneTo');
  await refused({ zoneFrom: '5' }, 'zoneTo');
  await refused({ uncertainty: '0.02', corner: '0.1' }, 'uncertainty');
  const burr = { sign: 'burr', strength: 'slight' };
  await refused({ signs: [burr, { ...burr, strength: 'strong' }] }, 'signs');
  await refused({ signs: [{ ...burr, strength: 'awful' }] }, 'signs.0.strength');
  await crib.do('recordWear', { tag, zoneTo: '0.25 in', drift: '-0.004', signs: [burr] });
  const { wear } = (await assemblyView(crib.db, tag, 'UTC'))!;
  expect(wear).toMatchObject({ worn: null, flankMm: null, left: null, zone: { fromMm: 0, toMm: 6.35 } });
  expect(wear.readings).toMatchObject([
    { flankWearMm: null, cornerMm: null, chips: null, driftMm: -0.004, signs: [burr] },
  ]);
  // Past the verb the table itself refuses a reading that says nothing.
  await expect(
    crib.db.query(
      'insert into wear_reading (entry_id, edge_set_id) select max(entry_id) + 1, max(edge_set_id) from wear_reading',
    ),
  ).rejects.toThrow(/wear_reading_says/);
  await crib.do('endLife', { tag, kind: 'lost' });
});

it('readings stand at the minutes the edge had cut by then, also by parts that were logged late', async () => {
  const day = (hour: number) => `2027-01-07T${String(hour).padStart(2, '0')}:00:00Z`;
  crib.at(day(8));
  const tag = await live({ AL: 10 }, null);
  crib.at(day(9));
  await crib.do('recordWear', { tag, flankWear: '0.08' });
  crib.at(day(10));
  await crib.do('logParts', { operation: operations.AL, parts: 10 });
  crib.at(day(11));
  await crib.do('recordWear', { tag, flankWear: '0.12' });
  const wear = async () => (await assemblyView(crib.db, tag, 'UTC'))!.wear;
  expect((await wear()).readings.map((r) => Math.round(r.minutes))).toEqual([10, 20]);
  // 4 µm a minute, worn at 0.2 mm: at 40 min, of which 20 are gone.
  expect((await wear()).left!.minutes).toBeCloseTo(20, 1);
  // Five more parts were made before the second reading than anybody knew: 25 min then, so 2.7 µm a minute.
  crib.at(day(12));
  await crib.do('logParts', { operation: operations.AL, parts: 5, happenedAt: day(10) });
  expect((await wear()).readings.map((r) => Math.round(r.minutes))).toEqual([10, 25]);
  expect((await wear()).left!.minutes).toBeCloseTo(30, 1);
  await crib.do('endLife', { tag, kind: 'worn' });
});

it('the latest hundred lives of a cutter in a material are reckoned with, and the screen says of how many', async () => {
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 110 });
  const before = await sheet('C45');
  // 100 new lives of one minute: what was assumed has faded to (3 x 40 + 100 x 1) / 103.
  for (let i = 0; i < 100; i += 1) await live({ C45: 1 }, 'worn');
  const { lives, reckoned, records, expectation, endings } = await sheet('C45');
  expect(before.reckoned).toBe(before.lives);
  expect(lives).toBe(before.lives + 100);
  expect([reckoned, records.length]).toEqual([100, 100]);
  expect(expectation).toMatchObject({ minutes: expect.closeTo(220 / 103, 2), lives: 100, failures: 100 });
  expect(expectation!.because.values[0]).toEqual({ name: 'lives', value: `the latest 100 of ${lives}` });
  expect(endings).toEqual({ worn: 100 });
});

it('as how many lives an assumed one counts is learnt from how such figures did here, by where they came from', async () => {
  // Five cutters that do what their maker says of them, within what five lives are off by themselves.
  const cutters = ['EM-A', 'EM-B', 'EM-C', 'EM-D', 'EM-E'];
  for (const code of cutters) {
    await crib.do('addItem', {
      ...{ kind: 'cutter', family: 'square', code, maker: 'Skarv' },
      facts: Object.fromEntries(
        Object.entries({ DC: '10', DMM: '10', LCF: '22', OAL: '72', NOF: '4' }).map(([symbol, value]) => [
          symbol,
          { value, origin: 'maker' },
        ]),
      ),
      assumedLife: { minutes: 20, origin: 'maker' },
    });
    await crib.do('receiveStock', { item: code, place: 'S1', quantity: 6 });
    for (const parts of [14, 17, 20, 23, 26]) await live({ C45: parts }, 'worn', { item: code, place: 'S1' });
    // What is restated afterwards is not held against the lives: it would always be right.
    await crib.do('stateFacts', { item: code, assumedLife: { minutes: 500, origin: 'guess' } });
    await crib.do('stateFacts', { item: code, assumedLife: { minutes: 20, origin: 'maker' } });
  }
  const { weights } = await readKnownHere(crib.db);
  expect(weights.get('maker')).toEqual({ countsAs: DEFAULTS.assumedCountsBetween[1], learntFrom: 5 });
  const { expectation, next } = (await lifeSheet(crib.db, 'EM-A', 'C45'))!;
  expect(expectation!.because.values).toContainEqual({
    name: 'it counts as',
    value: '15 lives',
    source: 'how such figures did on 5 cutters here',
  });
  // Fifteen and five lives at 20: the mean is there, and one life still is what one life is.
  expect(next!.mean).toBeCloseTo(20, 0);
  expect(next!.to / next!.from).toBeGreaterThan(2);
});

it('of a material in which nobody knows it, its lives in others of the group are assumed, and of no other group', async () => {
  await crib.do('addMaterial', { code: 'C35', name: 'Softer steel', isoGroup: 'P' });
  const facts = Object.fromEntries(
    Object.entries({ DC: '10', DMM: '10', LCF: '22', OAL: '72', NOF: '4' }).map(([symbol, value]) => [
      symbol,
      { value, origin: 'maker' },
    ]),
  );
  await crib.do('addItem', { kind: 'cutter', family: 'square', code: 'EM-Z', facts });
  await crib.do('receiveStock', { item: 'EM-Z', place: 'S1', quantity: 6 });
  const rows = await crib.db.query<{ id: number; code: string }>('select id, code from material');
  const { id: item } = (await crib.db.query<{ id: number }>(`select id from item where code = 'EM-Z'`))[0]!;
  const in_ = async (code: string) => {
    const book = await loadLifeBook(crib.db, [item]);
    return book.expectation(item, rows.find((r) => r.code === code)!.id, null);
  };
  expect(await in_('C35')).toBeNull();
  for (const parts of [30, 40, 50]) await live({ C45: parts }, 'worn', { item: 'EM-Z', place: 'S1' });
  // Three failures with a mean of 40 in steel of the same group.
  expect(await in_('C35')).toMatchObject({ minutes: 40, basis: 'assumed', lives: 0 });
  expect((await in_('C35'))!.because.values).toContainEqual({
    ...{ name: 'assumed', value: '40 min', source: 'its lives in C45, of group P as well' },
  });
  expect(await in_('AL')).toBeNull();
  // What somebody states of it goes before.
  await crib.do('stateFacts', { item: 'EM-Z', assumedLife: { minutes: 70, origin: 'maker' } });
  expect(await in_('C35')).toMatchObject({ minutes: 70 });
});

it('of a cutter without lives those of what it is linked with tell, then those of its family and size; of no other', async () => {
  await crib.do('addMaterial', { code: 'TI', name: 'Titanium', isoGroup: 'S' });
  const { operation } = await crib.do('addJob', {
    ...{ number: 'J-T', part: 'Rib', material: 'TI', quantity: 1000, due: '2027-02-01', machine: 'M2' },
  });
  operations.TI = operation as number;
  await crib.do('storeProgram', { operation, text: oneToolProgram(1, 1) });
  const add = async (code: string, DC: string, SUBSTRATE = 'carbide') => {
    const facts = { SUBSTRATE, DC, DMM: '10', LCF: '22', OAL: '72', NOF: '4' };
    await crib.do('addItem', {
      ...{ kind: 'cutter', family: 'barrel', code, maker: 'Skarv' },
      facts: Object.fromEntries(
        Object.entries(facts).map(([symbol, value]) => [symbol, { value, origin: 'maker' }]),
      ),
    });
  };
  await add('BA10', '10');
  await add('BA12', '12');
  await add('BA9', '9');
  await add('BA20', '20');
  await add('BA9-H', '9', 'HSS');
  const idOf = async (table: string, code: string) =>
    (await crib.db.query<{ id: number }>(`select id from ${table} where code = $1`, [code]))[0]!.id;
  const said = async (code: string) => {
    const item = await idOf('item', code);
    return (await loadLifeBook(crib.db, [item])).expectation(item, await idOf('material', 'TI'), null);
  };
  expect(await said('BA9')).toBeNull();
  for (const item of ['BA10', 'BA12']) await crib.do('receiveStock', { item, place: 'S1', quantity: 6 });
  for (const parts of [18, 22]) await live({ TI: parts }, 'worn', { item: 'BA10', place: 'S1' });
  for (const parts of [38, 42]) await live({ TI: parts }, 'worn', { item: 'BA12', place: 'S1' });
  // Means of 20 and 40 of two failures each, on the scale of logarithms: sqrt(800) = 28.3.
  expect(await said('BA9')).toMatchObject({
    ...{ minutes: 28.3, basis: 'assumed', failures: 0 },
    because: {
      values: expect.arrayContaining([
        {
          name: 'assumed',
          value: '28.3 min',
          source: 'lives in TI of others of its family and size: BA12, BA10',
        },
        // A family is further off than a maker's figure: it counts as one life (practice).
        { name: 'it counts as', value: '1 lives', source: 'practice' },
      ]),
    },
  });
  // More than one and a half times as thick as one, as the other; another substrate.
  expect(await said('BA20')).toBeNull();
  expect(await said('BA9-H')).toBeNull();
  await crib.do('linkItem', { item: 'BA9', earlier: 'BA12', relation: 'substitute', reason: 'same cut' });
  expect(await said('BA9')).toMatchObject({
    minutes: 40,
    because: {
      values: expect.arrayContaining([
        {
          name: 'assumed',
          value: '40 min',
          source: 'lives of BA12 in TI: a substitute or a version of it',
        },
      ]),
    },
  });
  // What is stated goes before all that, and one life seen fades it.
  await crib.do('stateFacts', { item: 'BA9', assumedLife: { minutes: 60, origin: 'maker' } });
  expect(await said('BA9')).toMatchObject({ minutes: 60 });
});
