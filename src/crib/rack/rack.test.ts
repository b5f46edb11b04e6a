import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { type AssemblyView, assemblyView } from './views/assemblyView';
import { rackView } from './views/rackView';

let crib: TestCrib;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
});
afterAll(() => crib.db.close());
const card = async (tag = 'A-0001'): Promise<AssemblyView> => (await assemblyView(crib.db, tag, crib.zone))!;
const machine = (code: string, over: Record<string, unknown>) =>
  crib.do('addMachine', {
    code,
    name: code,
    taper: '40 taper',
    k: 490,
    diameterSchool: 'radius',
    units: 'mm',
    hEqualsT: 'no',
    ...over,
  });

it('one measured length, every machine’s register: all five schools and all four of diameter', async () => {
  await machine('GAUGE', { lengthSchool: 'gauge', diameterSchool: 'diameter' });
  await machine('STAND', { lengthSchool: 'common-stand', k0: 500, diameterSchool: 'wear-diameter' });
  await machine('MASTER', { lengthSchool: 'master', masterLength: 120, diameterSchool: 'wear-radius' });
  await machine('TOUCH', { lengthSchool: 'touched-off' });
  await machine('OTHER', { lengthSchool: 'gauge', taper: '30 taper' });
  await crib.do('buildAssembly', {
    cutter: { item: 'EM10', place: 'S1' },
    holder: { item: 'SL10', place: 'S1' },
    stickout: 34,
  });
  expect((await card()).registers).toEqual([]);
  await crib.do('recordMeasurement', { tag: 'A-0001', gaugeLength: 94.112, diameter: 9.988 });
  const registers = Object.fromEntries((await card()).registers.map((r) => [r.machine, [r.H, r.D]]));
  // Hand arithmetic with K 490, K0 500, master 120, DC 10; the 30 taper does not take this holder.
  const near = (value: number) => ({ value: expect.closeTo(value, 9) });
  expect(registers).toEqual({
    M2: [near(-395.888), near(4.994)],
    GAUGE: [near(94.112), near(9.988)],
    STAND: [near(-405.888), near(-0.012)],
    MASTER: [near(-25.888), near(-0.006)],
    TOUCH: [{ needs: 'part zero' }, near(4.994)],
  });
});

it('a machine touched off on the part takes part zero from the job the tool is tied to there', async () => {
  const { operation } = await crib.do('addJob', {
    number: 'J-T',
    part: 'Cap',
    material: 'C45',
    quantity: 5,
    due: '2027-02-01',
    machine: 'TOUCH',
    partZero: 60,
    highestBeside: 0,
  });
  await crib.do('storeProgram', { operation, text: oneToolProgram(3, 1, -12) });
  await crib.do('tieTool', { operation, t: 3, tag: 'A-0001' });
  const touch = (await card()).registers.find((r) => r.machine === 'TOUCH')!;
  // h + L - K = 60 + 94.112 - 490
  expect(touch).toMatchObject({
    H: { value: expect.closeTo(-335.888, 9) },
    workOffset: { value: 0 },
    partZeroOf: 'J-T',
  });
  expect((await card()).ties).toMatchObject([
    { job: 'J-T', t: 3, machine: 'TOUCH', partsLeft: 5, reachMm: 12 },
  ]);
});

it('a new K after a crash moves every register at once, and the old figures stay in the ledger', async () => {
  crib.at('2027-01-06T09:00:00Z');
  await crib.do('changeMachine', {
    code: 'M2',
    taper: '40 taper',
    k: 490.25,
    lengthSchool: 'datum',
    diameterSchool: 'radius',
    units: 'mm',
    hEqualsT: 'yes',
  });
  expect((await card()).registers.find((r) => r.machine === 'M2')!.H).toEqual({
    value: expect.closeTo(94.112 - 490.25, 9),
  });
  expect(
    await crib.db.query(
      'select 1 from machine_figures f join machine m on m.id = f.machine_id where m.code = $1',
      ['M2'],
    ),
  ).toHaveLength(2);
});

it('figures entered late for an earlier day do not override later ones', async () => {
  await crib.do('changeMachine', {
    code: 'M2',
    taper: '40 taper',
    k: 480,
    lengthSchool: 'datum',
    diameterSchool: 'radius',
    units: 'mm',
    hEqualsT: 'yes',
    happenedAt: '2027-01-05T12:00:00Z',
  });
  expect(
    (await card()).registers.find((r) => r.machine === 'M2')!.because.values.find((v) => v.name === 'K')!
      .value,
  ).toBe('490.250 mm');
});

it('a measurement entered late for an earlier hour is not the last one', async () => {
  await crib.do('recordMeasurement', {
    tag: 'A-0001',
    gaugeLength: 94.12,
    happenedAt: '2027-01-06T08:00:00Z',
  });
  expect(await card()).toMatchObject({
    measured: { state: 'measured', measurement: { gaugeLengthMm: 94.12 } },
  });
  await crib.do('recordMeasurement', {
    tag: 'A-0001',
    gaugeLength: 94.118,
    happenedAt: '2027-01-06T07:00:00Z',
  });
  expect(await card()).toMatchObject({ measured: { measurement: { gaugeLengthMm: 94.12 } } });
});

it('an inch measurement shows its own text, and its register in the machine’s unit', async () => {
  crib.at('2027-01-06T10:00:00Z');
  await crib.do('recordMeasurement', { tag: 'A-0001', gaugeLength: '3.7055 in' });
  const m = await card();
  expect(m).toMatchObject({
    measured: {
      measurement: { gaugeLengthEntered: '3.7055 in', gaugeLengthMm: expect.closeTo(94.1197, 9) },
    },
  });
});

it('is drawn to the measured length; a guess in its facts is named', async () => {
  expect((await card()).outline.length).toBeCloseTo(94.1197, 9);
  expect((await card()).cutter.guesses).toEqual([]);
  await crib.do('stateFacts', { item: 'EM10', facts: { LCF: { value: '24', origin: 'guess' } } });
  const after = await card();
  expect(after.cutter.guesses).toEqual(['LCF']);
  expect(after.judgements.find((j) => j.code === 'FLUTES_GRIPPED')!.because.values).toContainEqual({
    name: 'LCF',
    value: '24 mm',
  });
});

it('life left counts in parts, and past its expectation it is good for none', async () => {
  const operation = (await card()).ties[0]!.operation;
  await crib.do('logParts', { operation, parts: 5 });
  // 5 of an assumed 40 minutes; the job is done
  expect(await card()).toMatchObject({
    life: { minutes: expect.closeTo(5, 3), used: expect.closeTo(0.125, 4) },
    ties: [{ partsLeft: 0, use: { goodFor: 35 } }],
  });
  await crib.do('logParts', { operation, parts: 45, confirmed: true });
  const past = await card();
  // 50 of an assumed 40: a running life is never what it is itself held against.
  expect(past.life).toMatchObject({ minutes: expect.closeTo(50, 3), used: expect.closeTo(1.25, 6) });
  expect(past.ties[0]!.use.goodFor).toBe(0);
});

it('the rack of one machine is what its open jobs call and what is in it; words, tapers and a label find the same', async () => {
  const all = (await rackView(crib.db)).assemblies;
  const tags = async (asked: Parameters<typeof rackView>[1]) =>
    (await rackView(crib.db, asked)).assemblies.map((a) => a.tag);
  // Its job is done, and it hangs in the crib.
  expect(await tags({ machine: 'TOUCH' })).toEqual([]);
  await crib.do('stateMagazine', { machine: 'TOUCH', kind: 'rack', pockets: 4 });
  await crib.do('loadPocket', { machine: 'TOUCH', pocket: 2, tag: 'A-0001' });
  expect((await rackView(crib.db, { machine: 'TOUCH' })).assemblies).toEqual(
    all.filter((a) => a.tag === 'A-0001'),
  );
  expect(await tags({ machine: 'NONE' })).toEqual([]);
  expect(await tags({ find: 'square sl10' })).toEqual(all.map((a) => a.tag));
  expect(await tags({ find: 'A-0001/YA.K3F' })).toEqual(['A-0001']);
  expect(await tags({ taper: '30 taper' })).toEqual([]);
});
