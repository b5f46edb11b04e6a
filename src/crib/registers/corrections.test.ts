import { registerNumber } from '@/core/registers';
import { runView } from '@/crib/jobs';
import { assemblyView } from '@/crib/rack';
import { furnish, MILL, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { exportRegisters } from './exportRegisters';
import { registersView } from './views/registersView';

let crib: TestCrib;
let operation: number;
let tag: string;
const at = (item: string) => ({ item, place: 'S1' });
const M3 = { ...MILL, hEqualsT: 'no' };
const build = async (t: number, op: number) =>
  String(
    (
      await crib.do('buildAssembly', {
        cutter: at('EM10'),
        holder: at('SL10'),
        stickout: 34,
        for: { operation: op, t },
      })
    ).tag,
  );
const job = async (number: string, program: string, machine = 'M2') => {
  const done = await crib.do('addJob', {
    ...{ number, part: 'Cap', material: 'C45', quantity: 5, due: '2027-02-01', machine, highestBeside: 0 },
  });
  await crib.do('storeProgram', { operation: done.operation, text: program });
  return done.operation as number;
};
const line = async (machine = 'M2', of = tag) =>
  (await registersView(crib.db, { machine }, 'UTC'))!.lines.find((l) => l.tag === of)!;
const correct = (over: object) =>
  crib.do('recordCorrection', {
    ...{ operation, t: 7, features: [{ kind: 'depth', wanted: '8', measured: '8.03' }] },
    ...over,
  });
const figures = (over: object) => crib.do('changeMachine', { code: 'M2', ...MILL, ...over });

beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('receiveStock', { ...at('SL10'), quantity: 3 });
  operation = await job('J-1', oneToolProgram(7, 1));
  tag = await build(7, operation);
  await crib.do('recordMeasurement', { tag, gaugeLength: '94.112', diameter: '9.988' });
  await crib.do('giveRegisters', {
    ...{ machine: 'M2', how: 'read back', lines: [{ t: 7, tag, h: '-395.888', d: '4.994' }] },
  });
});
afterAll(() => crib.db.close());

it('where it goes must be known: into the register or into wear beside it', async () => {
  await expect(correct({ hAfter: '-395.858' })).rejects.toMatchObject({
    parts: [{ field: 'place' }],
  });
  await figures({ wearRegisters: 'no' });
});

// 8.03 for 8: 0.03 too deep, so H goes up by 0.03 (geometry): −395.888 becomes −395.858.
it('what the control shows then is read back: a slip is named, and nothing is recorded', async () => {
  for (const [over, words] of [
    [{ hAfter: '-395.918' }, 'H7 reads -395.918, it should be −395.858'],
    [{ hAfter: '-395.885' }, 'two digits are swapped'],
    [{}, 'H7: what does it show now'],
    [{ place: 'wear', hAfter: '0.03' }, 'wear of H7: what did it show before'],
    [{ hAfter: 'five' }, 'is no number'],
    [{ hAfter: '-395.858', hBefore: '-395.978' }, 'it should be −395.948'],
    [{ t: 8, hAfter: '1' }, 'Nothing is on T8 here'],
    [{ tag: 'A-0999', hAfter: '1' }, 'A-0999 is on T7 here'],
    [
      { features: [{ kind: 'depth', wanted: 8, measured: 8.03, least: 8.1, most: 7.9 }], hAfter: '1' },
      'are they swapped',
    ],
  ] as const)
    await expect(correct(over)).rejects.toThrow(words);
  expect((await line()).since.state).toBe('same');
});

it('a correction is in the register by every screen, and does not count as changed, since it was read back', async () => {
  const done = await correct({ hAfter: '-395.858' });
  expect(done).toMatchObject({
    tag,
    corrected: [{ register: 'H7', place: 'register', change: '0.030', after: '−395.858' }],
  });
  expect(await line()).toMatchObject({ h: '−395.858', since: { state: 'same' } });
});

it('a file of what changed, the tag and the run screen have the same H', async () => {
  const { text } = await exportRegisters(crib.db, { machine: 'M2', what: 'all' }, 'nc', new Date(), 'UTC');
  expect(text).toContain('G10 L1 P7 Z-395.858 R4.994');
  const on = (await assemblyView(crib.db, tag, 'UTC'))!.registers[0]!;
  expect(on.H).toEqual({ value: expect.closeTo(-395.858, 9) });
  expect(on.because.values.at(-1)).toMatchObject({ name: 'corrected, H', value: '+0.030 mm' });
  expect((await runView(crib.db, operation))!.control).toMatchObject([
    { t: 7, tag, numbers: { h: 7, d: 7 }, had: { h: '−395.858' }, corrections: [{ changeMm: 0.03 }] },
  ]);
});

it('what is more than wear is asked about: somebody who looked says why', async () => {
  const far = { features: [{ kind: 'depth', wanted: 8, measured: 7.9 }], hAfter: '-395.958' };
  await expect(correct(far)).rejects.toMatchObject({
    parts: [{ field: 'despite' }],
    message: expect.stringContaining('is much for one correction'),
  });
  await correct({ ...far, despite: 'a chip lay under it' });
  // Somebody moved it since.
  await expect(
    correct({
      features: [{ kind: 'depth', wanted: 8, measured: 7.99 }],
      hBefore: '-395.9',
      hAfter: '-395.91',
    }),
  ).rejects.toThrow('H7 was left at −395.958 and shows -395.9');
});

it('within its limits it may stay: that proves the register as it is', async () => {
  const within = { kind: 'depth', wanted: 8, measured: 7.996, least: 7.98, most: 8.02 };
  expect(await correct({ features: [within], stays: true })).toMatchObject({
    corrected: [{ change: '0.000', after: '−395.958' }],
  });
  expect((await line()).h).toBe('−395.958');
});

it('corrections are taken back from the newest, and H follows', async () => {
  const entries = (await runView(crib.db, operation))!.control[0]!.corrections.map((c) => c.entryId);
  expect(entries).toHaveLength(3);
  await expect(crib.do('counterEntry', { counters: entries[0] })).rejects.toMatchObject({ code: 'REFUSED' });
  await crib.do('counterEntry', { counters: entries[2] });
  await crib.do('counterEntry', { counters: entries[1] });
  expect((await line()).h).toBe('−395.858');
});

it('measured again, wear is in the length: what was added is added no more, and that is a change', async () => {
  await crib.do('recordMeasurement', { tag, gaugeLength: '94.100', diameter: '9.988' });
  expect(await line()).toMatchObject({ h: '−395.900', since: { state: 'changed', words: 'H was −395.858' } });
});

it('a length in question brings back nothing that an earlier measurement ended', async () => {
  const done = await crib.do('recordMeasurement', { tag, gaugeLength: '95.2', diameter: '9.988' });
  expect((await runView(crib.db, operation))!.control[0]!.corrections).toEqual([]);
  await crib.do('judgeMeasurement', { measurement: done.entry, accepted: false, reason: 'a chip' });
  expect(await line()).toMatchObject({ h: '−395.900' });
});

it('in a machine with registers for wear the length stays, and wear is due beside it until it is measured anew', async () => {
  await figures({ wearRegisters: 'yes', g10Form: 'geometry and wear' });
  await crib.do('giveRegisters', {
    machine: 'M2',
    how: 'sent',
    lines: [{ t: 7, tag, h: '-395.900', d: '4.994', hWear: '0', dWear: '0' }],
  });
  await correct({ hAfter: '0.030' });
  await correct({ features: [{ kind: 'outside', wanted: 40, measured: 40.06 }], dAfter: '-0.030' });
  expect(await line()).toMatchObject({
    ...{ h: '−395.900', d: '4.994' },
    wear: { h: { due: '0.030', had: '0.030' }, d: { due: '−0.030', had: '−0.030' } },
  });
  const all = { machine: 'M2', what: 'all' } as const;
  const nc = async () => (await exportRegisters(crib.db, all, 'nc', new Date(), 'UTC')).text;
  // Given again it does not wipe out what was corrected.
  expect(await nc()).toContain('G10 L11 P7 R0.030\nG10 L12 P7 R4.994\nG10 L13 P7 R-0.030');
  await crib.do('recordMeasurement', { tag, gaugeLength: '94.100', diameter: '9.988' });
  expect((await line()).since).toEqual({ state: 'changed', words: 'wear of H was 0.030' });
  const back = (over: object) =>
    crib.do('giveRegisters', {
      machine: 'M2',
      how: 'read back',
      lines: [{ t: 7, tag, h: '-395.900', d: '4.994', ...over }],
    });
  await expect(back({})).rejects.toThrow('wear of H7 is to be read back: it should be 0.000');
  await expect(back({ hWear: '0.030', dWear: '0' })).rejects.toThrow('wear of H7 reads 0.030');
  await back({ hWear: '0', dWear: '0.000' });
  expect((await line()).since.state).toBe('same');
});

// Rigid geometry: H too high by e leaves the floor e too high; D too large by e leaves a wall e too thick, in a radius register.
it('a part that was cut with a wrong register comes to size with the next, whatever it was off by', async () => {
  const control = { H: 0, D: 0 };
  for (const [name, off] of [
    ['H', 0.021],
    ['D', -0.017],
    ['H', -0.044],
    ['D', 0.033],
  ] as const) {
    const kind = name === 'H' ? 'depth' : 'outside';
    const part = (e: number) => (name === 'H' ? 8 - e : 40 + 2 * e);
    const key = name === 'H' ? 'hAfter' : 'dAfter';
    const wears = await line();
    control[name] = registerNumber((name === 'H' ? wears.wear!.h : wears.wear!.d!).due)!;
    const next = control[name] - off;
    await correct({
      features: [{ kind, wanted: name === 'H' ? 8 : 40, measured: part(off) }],
      [key]: next.toFixed(3),
      despite: 'a simulated part',
    });
    const now = await line();
    const wear = registerNumber((name === 'H' ? now.wear!.h : now.wear!.d!).due)!;
    expect(part(off + wear - control[name])).toBeCloseTo(name === 'H' ? 8 : 40, 9);
  }
});

describe('registers with numbers of their own', () => {
  let hand: number;
  let other: string;
  let sister: string;
  beforeAll(async () => {
    await crib.do('addMachine', { code: 'M3', name: 'Mill 3', ...M3, wearRegisters: 'no' });
    hand = await job('J-3', oneToolProgram(4, 1).replace('H4', 'H14'), 'M3');
    other = await build(4, hand);
    await crib.do('recordMeasurement', { tag: other, gaugeLength: '94.300', diameter: '9.990' });
  });
  it('where the machine lets H differ it is what the program calls', async () => {
    expect(await line('M3', other)).toMatchObject({ t: 4, numbers: { h: 14, d: 14 }, pocket: null });
    const all = { machine: 'M3', what: 'all' } as const;
    const { text } = await exportRegisters(crib.db, all, 'nc', new Date(), 'UTC');
    expect(text).toContain('G10 L1 P14 Z-395.700 R4.995');
  });
  it('in a pocket it is what was stated there; a sister has its own beside it and does not clash', async () => {
    await crib.do('stateMagazine', { machine: 'M3', kind: 'carousel', pockets: 12 });
    sister = await build(4, hand);
    await crib.do('recordMeasurement', { tag: sister, gaugeLength: '94.500', diameter: '9.980' });
    await crib.do('tieTool', { operation: hand, t: 4, tag: other });
    await crib.do('loadPocket', { machine: 'M3', pocket: 1, tag: other, t: 4, h: 14, d: 14 });
    await crib.do('loadPocket', { machine: 'M3', pocket: 5, tag: sister, t: 4, h: 24, d: 34 });
    const { lines } = (await registersView(crib.db, { machine: 'M3', job: 'J-3' }, 'UTC'))!;
    expect(lines.map((l) => [l.tag, l.pocket, l.numbers, l.h, l.d, l.clashes])).toEqual([
      [other, 1, { h: 14, d: 14 }, '−395.700', '4.995', false],
      [sister, 5, { h: 24, d: 34 }, '−395.500', '4.990', false],
    ]);
    // The program calls H14, which a sister of it has.
    expect(lines.map((l) => l.lacks)).toEqual([[], []]);
    const all = { machine: 'M3', what: 'all' } as const;
    const { text } = await exportRegisters(crib.db, all, 'nc', new Date(), 'UTC');
    expect(text).toContain('G10 L1 P24 Z-395.500\nG10 L1 P34 R4.990');
    await crib.do('giveRegisters', {
      machine: 'M3',
      how: 'sent',
      lines: lines.map((l) => ({ t: l.t, tag: l.tag, h: l.h, d: l.d })),
    });
    expect((await registersView(crib.db, { machine: 'M3' }, 'UTC'))!.toGive).toBe(0);
  });
  it('a pocket whose H the program does not call is told: it would run by another tool’s length', async () => {
    await crib.do('loadPocket', { machine: 'M3', pocket: 1, tag: other, t: 4, h: 15, d: 15 });
    expect((await line('M3', other)).lacks).toEqual(['its program calls H14, its pocket says H15']);
    await crib.do('loadPocket', { machine: 'M3', pocket: 1, tag: other, t: 4, h: 14, d: 14 });
    expect((await line('M3', other)).lacks).toEqual([]);
  });
  it('each sister is corrected for itself', async () => {
    await crib.do('recordCorrection', {
      ...{ operation: hand, t: 4, tag: sister },
      features: [{ kind: 'depth', wanted: 8, measured: 7.98 }],
      hAfter: '-395.520',
    });
    expect((await line('M3', sister)).h).toBe('−395.520');
    expect((await line('M3', other)).h).toBe('−395.700');
  });
  it('figures have the digits that the machine’s control has', async () => {
    const { entry } = await crib.do('changeMachine', { code: 'M3', ...M3, wearRegisters: 'no', digits: 2 });
    expect(await line('M3', other)).toMatchObject({ h: '−395.70', d: '5.00' });
    await crib.do('counterEntry', { counters: entry });
  });
  it('a tool that is loaded where another is tied wants the same register: both are shown as clashing', async () => {
    await crib.do('tieTool', { operation: hand, t: 4, tag });
    expect((await line('M3', other)).clashes).toBe(true);
    await crib.do('tieTool', { operation: hand, t: 4, tag: other });
    expect((await line('M3', other)).clashes).toBe(false);
  });
});

describe('a machine that measures its tools itself', () => {
  const OWN = { ownSetter: 'length', wearRegisters: 'yes', g10Form: 'geometry and wear' };
  beforeAll(() => {
    crib.at('2027-01-06T09:00:00Z');
    return figures(OWN);
  });
  const back = (h: string, over: object = {}) =>
    crib.do('giveRegisters', {
      ...{ machine: 'M2', how: 'read back' },
      lines: [{ t: 7, tag, h, d: '4.994', hWear: '0', dWear: '0', ...over }],
    });
  const use = async () =>
    (await assemblyView(crib.db, tag, 'UTC'))!.ties
      .find((t) => t.t === 7)!
      .use.judgements.find((j) => j.code === 'MEASURED')!;
  it('its figure is given by nobody: it is to be set there, and whoever runs it is told so', async () => {
    await crib.do('recordMeasurement', { tag, gaugeLength: '94.100', diameter: '9.988' });
    await figures({ ...OWN, k: '490.01' });
    expect(await line()).toMatchObject({ h: null, d: '4.994', wouldBe: '−395.910', lacks: [] });
    const { text } = await exportRegisters(crib.db, { machine: 'M2', what: 'all' }, 'nc', new Date(), 'UTC');
    expect(text).toContain('G10 L12 P7 R4.994');
    expect(text).not.toContain('G10 L10');
    expect(await use()).toMatchObject({ grade: 'question', words: expect.stringContaining('set it there') });
  });
  it('what its setter left is read back: no slip of the hand, but what it measured', async () => {
    await expect(back('395.910')).rejects.toThrow('the sign is the other one');
    await back('-395.897');
    expect((await line()).since).toEqual({
      state: 'same',
      words: '0.013 mm from what was measured here (−395.910)',
    });
    expect(await use()).toMatchObject({ grade: 'good', words: 'Measured by M2 itself, and read back' });
    await back('-395.797');
    expect((await line()).since).toMatchObject({ state: 'changed' });
    expect((await line()).since.words).toContain('find out which is right');
  });
});

// One stand for many machines: register L − K0, offset Z h, and the machine's common offset K0 − K (common practice).
it('one stand for many machines: the sheet says the common offset that its registers count with', async () => {
  const stand = { ...M3, lengthSchool: 'common-stand', k0: '500' };
  await crib.do('changeMachine', { code: 'M3', ...stand });
  const { machine } = (await registersView(crib.db, { machine: 'M3' }, 'UTC'))!;
  expect(machine.commonOffset).toEqual({ text: '10.000' });
  expect((await registersView(crib.db, { machine: 'M2' }, 'UTC'))!.machine.commonOffset).toBeNull();
  const { k: _k, ...none } = stand;
  await crib.do('changeMachine', { code: 'M3', ...none });
  expect((await registersView(crib.db, { machine: 'M3' }, 'UTC'))!.machine.commonOffset).toHaveProperty(
    'needs',
  );
});
