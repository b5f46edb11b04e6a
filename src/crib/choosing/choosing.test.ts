import { furnish, openTestCrib, type TestCrib } from '@/crib/testing';
import { VIEWS } from '@/crib/views';
import { rulesInForce } from './rulesInForce';
import { chooseView } from './views/chooseView';

/** A planner asks the real shelf: what lies there, what is built, what is graded, what would have to be bought. */
let crib: TestCrib;
const maker = (value: string) => ({ value, origin: 'maker' });
const add = (code: string, family: string, facts: Record<string, string>) =>
  crib.do('addItem', {
    code,
    kind: 'cutter',
    family,
    facts: Object.fromEntries(Object.entries(facts).map(([s, v]) => [s, maker(v)])),
  });
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await add('EM8', 'square', {
    DC: '8',
    LCF: '19',
    OAL: '63',
    DMM: '8',
    NOF: '4',
    CCC: 'yes',
    COATING: 'TiAlN',
  });
  await add('EM8N', 'square', {
    DC: '8',
    LCF: '19',
    OAL: '63',
    DMM: '8',
    NOF: '2',
    CCC: 'yes',
    COATING: 'none',
  });
  await add('EM6LN', 'square', { DC: '6', LCF: '9', DN: '5.8', LU: '30', OAL: '80', DMM: '6', NOF: '4' });
  await add('EM-1/4', 'square', { DC: '1/4', LCF: '0.75 in', OAL: '2.5 in', DMM: '1/4', NOF: '3' });
  await add('D5', 'drill', { DC: '5', LCF: '40', SIG: '140' });
  await add('SD10', 'spot-drill', { DC: '10', SIG: '90' });
  await add('CS12', 'countersink', { DC: '12', SIG: '90' });
  await add('TAP6', 'tap', { TDZ: 'M6', TAPPING: 'cutting', LCF: '15' });
  for (const item of ['EM8N', 'D5', 'SD10', 'TAP6'])
    await crib.do('receiveStock', { item, place: 'S1', quantity: 2 });
});
afterAll(() => crib.db.close());
const codes = (list: { code: string }[]) => list.map((c) => c.code);

it('on hand first; each that fails says by how much', async () => {
  const { fit, rejected } = await chooseView(crib.db, {
    feature: 'pocket',
    depth: '18',
    corner: '4',
    group: 'P',
  });
  expect([...codes(fit)].sort()).toEqual(['EM-1/4', 'EM6LN', 'EM8', 'EM8N']);
  expect(fit[0]).toMatchObject({ code: 'EM8N', availability: 'on hand' });
  expect(fit.filter((c) => c.code === 'EM8')).toMatchObject([{ availability: 'to buy' }]);
  expect(rejected.find((c) => c.code === 'EM10')!.fails).toEqual(['2 mm too thick for the corner']);
});
it('lengths as people type them, inches and fractions too', async () => {
  const inch = await chooseView(crib.db, { feature: 'slot', width: '1/4 in', depth: '0.5 in' });
  expect(codes(inch.fit)).toContain('EM-1/4');
  expect(inch.rejected.find((c) => c.code === 'EM8')!.fails).toEqual(['1.65 mm wider than the slot']);
});
it('a steel coating does not go to aluminium, a bare edge leads there', async () => {
  const side = { feature: 'side', depth: '15', group: 'N' } as const;
  const { fit, rejected } = await chooseView(crib.db, { ...side, alloy: 'aluminium' });
  expect(fit[0]!.code).toBe('EM8N');
  expect(rejected.find((c) => c.code === 'EM8')!.fails.join()).toMatch(/aluminium welds/);
  // The letter alone leaves it a question, for bronze is N too; an alloy of another letter is refused.
  const letter = await chooseView(crib.db, side);
  expect(letter.fit[0]!.code).toBe('EM8N');
  expect(letter.fit.find((c) => c.code === 'EM8')!.open.join()).toMatch(
    /aluminium welds to it, bronze does not/,
  );
  expect((await chooseView(crib.db, { feature: 'side', alloy: 'copper' })).cut.group).toBe('N');
  await expect(chooseView(crib.db, { ...side, alloy: 'titanium' })).rejects.toMatchObject({
    parts: [{ field: 'alloy', limit: 'an alloy of N' }],
  });
});
it('what must plunge and isn’t known to cut at its centre leaves a question', async () => {
  const { fit } = await chooseView(crib.db, { feature: 'pocket', depth: '8', plunge: 'yes' });
  expect(fit.find((c) => c.code === 'EM6LN')!.open).toEqual(['centre cutting not known']);
  expect(fit.find((c) => c.code === 'EM8N')!.open).toEqual([]);
});
it('built and graded cutters are offered by tag and mark', async () => {
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 3 });
  for (let i = 0; i < 3; i += 1)
    await crib.do('buildAssembly', {
      cutter: { item: 'EM10', place: 'S1' },
      holder: { item: 'SL10', place: 'S1' },
      stickout: '34',
    });
  const ask = async (group: 'P' | 'O') =>
    (await chooseView(crib.db, { feature: 'side', depth: '15', group })).fit.find((c) => c.code === 'EM10')!;
  expect(await ask('P')).toMatchObject({ availability: 'built', take: ['A-0001', 'A-0002', 'A-0003'] });
  await crib.do('endLife', { tag: 'A-0001', kind: 'worn', cutterTo: 'USED' });
  await crib.do('gradePiece', { piece: 'E-0001', grade: 'slotting steel', goodFrom: '2', goodTo: '20' });
  expect(await ask('P')).toMatchObject({ availability: 'graded', take: ['E-0001'] });
  // Graded for steel, it is nothing for plastics; the built ones still are.
  expect(await ask('O')).toMatchObject({ availability: 'built' });
});
it('the kit of a thread names what lies here and what is missing', async () => {
  const { kit } = await chooseView(crib.db, { feature: 'thread', thread: 'M6', depth: '12' });
  expect(kit!.map((s) => [s.step, s.missing ? null : s.choices[0]!.code])).toEqual([
    ['spot drill', 'SD10'],
    ['drill', 'D5'],
    ['chamfer', null],
    ['tap', 'TAP6'],
  ]);
  expect(kit!.find((s) => s.step === 'chamfer')!.choices[0]!.code).toBe('CS12');
});
it('the shop’s rules are data: set, in force, taken back', async () => {
  const before = await rulesInForce(crib.db);
  const { entry } = await crib.do('setChoosingRules', {
    weights: { short: '0', edge: 8 },
    flutes: { N: [1, '2'] },
    bulk: 'solid first',
  });
  const now = await rulesInForce(crib.db);
  expect([
    now.weights.short,
    now.weights.edge,
    now.weights.stout,
    now.flutes.N,
    now.flutes.P,
    now.bulk,
  ]).toEqual([0, 8, before.weights.stout, [1, 2], before.flutes.P, 'solid first']);
  await crib.do('counterEntry', { counters: entry });
  expect(await rulesInForce(crib.db)).toEqual(before);
});
it.each([
  [{ weights: { short: 11 } }, 'weights.short'],
  [{ weights: { pretty: 1 } }, 'weights.pretty'],
  [{ flutes: { N: [4, 2] } }, 'flutes.N'],
  [{ flutes: { N: [2] } }, 'flutes.N'],
  [{ bulk: 'whoever' }, 'bulk'],
])('rules %j are refused at %s', async (input, at) =>
  expect(crib.do('setChoosingRules', input)).rejects.toMatchObject({
    code: 'INVALID_INPUT',
    parts: [expect.objectContaining({ field: at })],
  }),
);
it.each([
  [{ feature: 'hinge' }, 'feature'],
  [{ feature: 'pocket', depth: '-3' }, 'depth'],
  [{ feature: 'pocket', depth: 'deep' }, 'depth'],
  [{ feature: 'hole', diameter: '900' }, 'diameter'],
  [{ feature: 'pocket', group: 'Q' }, 'group'],
  [{ feature: 'pocket', colour: 'red' }, 'colour'],
])('a cut %j is refused at %s', async (cut, at) =>
  expect(
    VIEWS.find((v) => v.path === 'choose')!.read(crib, new URLSearchParams(cut as Record<string, string>)),
  ).rejects.toMatchObject({
    code: 'INVALID_INPUT',
    parts: [expect.objectContaining({ field: at })],
  }),
);

it('what need not reach the depth is looked at however short it is: face mills, and what begins a hole', async () => {
  for (let i = 0; i < 9; i += 1) {
    await add(`FM${50 + i}`, 'face', { DC: String(50 + i), LCF: '6', OAL: '50' });
    await add(`SD${11 + i}`, 'spot-drill', { DC: String(11 + i), LCF: '8', SIG: '90' });
    for (const item of [`FM${50 + i}`, `SD${11 + i}`])
      await crib.do('receiveStock', { item, place: 'S1', quantity: 1 });
  }
  const { fit } = await chooseView(crib.db, { feature: 'face', depth: '12' });
  expect(codes(fit).filter((code) => code.startsWith('FM'))).toHaveLength(9);
  const { kit } = await chooseView(crib.db, { feature: 'thread', thread: 'M6', depth: '12' });
  const spots = kit!.find((step) => step.step === 'spot drill')!;
  expect(codes(spots.choices).filter((code) => code.startsWith('SD'))).toHaveLength(10);
});

it('the reach that is kept is what the facts in force say: neck and slot count, and a fact taken back does not', async () => {
  const reach = async () =>
    (
      await crib.db.query<{ reach: number | null }>(
        `select n.reach from item_now n join item i on i.id = n.item_id where i.code = 'RCH'`,
      )
    )[0];
  await crib.do('addItem', {
    code: 'RCH',
    kind: 'cutter',
    family: 'square',
    facts: { DC: { value: '10', origin: 'maker' } },
  });
  // Not known, and not 0.
  expect(await reach()).toEqual({ reach: null });
  await crib.do('stateFacts', { item: 'RCH', facts: { LCF: { value: '22', origin: 'maker' } } });
  expect(await reach()).toEqual({ reach: 22 });
  const neck = await crib.do('stateFacts', {
    item: 'RCH',
    facts: { LU: { value: '2 in', origin: 'maker' }, DN: { value: '9.5', origin: 'maker' } },
  });
  expect(await reach()).toEqual({ reach: 50.8 });
  await crib.do('counterEntry', { counters: neck.entry });
  expect(await reach()).toEqual({ reach: 22 });
});
