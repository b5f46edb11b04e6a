import { type ChildProcess, spawn } from 'node:child_process';
import { join } from 'node:path';
import { assemblyView } from '@/crib/rack';
import { todayView } from '@/crib/today';
import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { readDevice } from './readDevice';
import { gaugesView } from './views/gaugesView';

let crib: TestCrib;
const running: ChildProcess[] = [];
const heightStand = async (...options: string[]): Promise<number> => {
  const child = spawn('node', [join('devices', 'heightStand.mjs'), '--port', '0', ...options]);
  running.push(child);
  return new Promise((resolve, reject) => {
    child.once('error', reject);
    child.stdout.once('data', (said: Buffer) => resolve(Number(/:(\d+)/.exec(String(said))![1])));
  });
};
const tags: string[] = [];
const use = async (tag: string, code: string) =>
  (await assemblyView(crib.db, tag, 'UTC'))!.ties[0]!.use.judgements.find((j) => j.code === code);
const gauge = async (code: string, today = '2027-01-05') =>
  (await gaugesView(crib.db, today, 'UTC')).find((g) => g.code === code)!;
const measure = (tag: string, over: object = {}) =>
  crib.do('recordMeasurement', { tag, gaugeLength: '94.0', ...over });

beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 3 });
  const { operation } = await crib.do('addJob', {
    ...{ number: 'J-1', part: 'Cap', material: 'C45', quantity: 5, due: '2027-02-01' },
    ...{ machine: 'M2', highestBeside: 0 },
  });
  const program = [7, 8, 9].map((t) => oneToolProgram(t, 1).split('\n').slice(1, -1).join('\n'));
  await crib.do('storeProgram', { operation, text: `G21 G90 G17 G54\n${program.join('\n')}\nM30` });
  for (const t of [7, 8, 9])
    tags.push(
      String(
        (
          await crib.do('buildAssembly', {
            cutter: { item: 'EM10', place: 'S1' },
            holder: { item: 'SL10', place: 'S1' },
            ...{ stickout: 34, for: { operation, t } },
          })
        ).tag,
      ),
    );
  for (const [code, kind, size] of [
    ['M-200', 'master', '200'],
    ['B-100', 'gauge block', '100'],
    ['W-1', 'torque wrench', undefined],
    ['BG-20', 'bore gauge', undefined],
  ] as const)
    await crib.do('addGauge', { code, name: code, kind, ...(size ? { size } : {}) });
});
afterAll(async () => {
  for (const child of running) child.kill('SIGTERM');
  await crib.db.close();
});

it('what has a certificate says when it is due, and what is refused of it', async () => {
  const grade = async (today: string) => (await gauge('M-200', today)).judgement;
  expect(await grade('2027-01-05')).toMatchObject({ grade: 'question' });
  await crib.do('recordCalibration', { of: 'M-200', found: 'good', due: '2028-01-05', words: '+0.2 µm' });
  expect(await grade('2027-01-05')).toMatchObject({ grade: 'good', words: 'Calibrated, due 2028-01-05' });
  expect(await grade('2027-12-10')).toMatchObject({ grade: 'good', words: 'Calibrated; due in 26 days' });
  expect(await grade('2028-01-06')).toMatchObject({ grade: 'question' });
  for (const [verb, input, words] of [
    ['addGauge', { code: 'X', name: 'X', kind: 'master' }, 'stands for a length'],
    ['addGauge', { code: 'X', name: 'X', kind: 'bore gauge', size: '20' }, 'stands for none'],
    ['recordCalibration', { of: 'NONE', found: 'good', due: '2028-01-05' }, 'no device or gauge NONE'],
    ['recordCalibration', { of: 'W-1', found: 'good', due: '2027-01-05' }, 'is not after 2027-01-05'],
    ['recordTightening', { tag: tags[0], wrench: 'M-200' }, 'M-200 is a master'],
    ['addDevice', { code: 'X', name: 'X', master: '100' }, 'a presetter is asked on a port'],
    ['recordMeasurement', { tag: tags[0], gaugeLength: 94, block: 100 }, 'only a height stand'],
  ] as const)
    await expect(crib.do(verb, input)).rejects.toThrow(words);
});

describe('a height stand: a dial against a block', () => {
  // LF 60 and stickout 34: near 94, so that a block of 100 leaves the dial near −6.
  it('sends what its dial shows and the block it stood against; both make the length', async () => {
    const port = await heightStand('--faults', 'ok,ok,garbled,far');
    await crib.do('addDevice', {
      code: 'HS-1',
      name: 'Height stand',
      kind: 'height stand',
      port,
      master: '100',
    });
    const taken = [await readDevice(crib.db, { device: 'HS-1', tag: tags[0]! })];
    taken.push(await readDevice(crib.db, { device: 'HS-1', tag: tags[0]!, block: '90' }));
    const readings = taken.map((x) => ('reading' in x ? x.reading : null)!);
    expect(readings.map((r) => r.block)).toEqual([100, 90]);
    expect(Math.abs(readings[0]!.length - readings[1]!.length)).toBeLessThan(0.01);
    expect(Math.abs(readings[0]!.length - 94)).toBeLessThan(0.2);
    expect(await readDevice(crib.db, { device: 'HS-1', tag: tags[0]! })).toMatchObject({ fault: 'garbled' });
    expect(await readDevice(crib.db, { device: 'HS-1', tag: tags[0]! })).toMatchObject({
      fault: 'out of range',
    });
    await measure(tags[0]!, {
      ...{ device: 'HS-1', gaugeLength: readings[0]!.length.toFixed(4) },
      readings: [{ serial: readings[0]!.serial, length: readings[0]!.length }],
    });
    const [m] = (await assemblyView(crib.db, tags[0]!, 'UTC'))!.measurements;
    expect(m).toMatchObject({ device: 'HS-1', blockMm: 100 });
    // Its block is its master: the dial on it shows nothing but what it drifted.
    const zero = await readDevice(crib.db, { device: 'HS-1' });
    expect('reading' in zero && Math.abs(zero.reading.length - 100)).toBeLessThan(0.01);
  });
  it('is read by eye as well, and says so where it is asked', async () => {
    await crib.do('addDevice', { code: 'HS-2', name: 'By eye', kind: 'height stand', master: '100' });
    await expect(readDevice(crib.db, { device: 'HS-2', tag: tags[0]! })).rejects.toThrow('is read by eye');
    await measure(tags[1]!, { device: 'HS-2', gaugeLength: '93.95', block: '90' });
    expect((await assemblyView(crib.db, tags[1]!, 'UTC'))!.measurements[0]).toMatchObject({
      ...{ device: 'HS-2', blockMm: 90, gaugeLengthMm: 93.95 },
    });
  });
});

// ISO 1: 20 °C. 60 mm of steel and 34 of carbide, 10 K warmer: (60 × 11.5 + 34 × 5.5) × 1e-6 × 10 = 0.00877 (hand arithmetic).
it('a warm tool is brought to 20 °C, and what was read is kept beside it', async () => {
  await measure(tags[2]!, { gaugeLength: '94.0000', temperature: '30' });
  const [m] = (await assemblyView(crib.db, tags[2]!, 'UTC'))!.measurements;
  expect(m).toMatchObject({ temperature: 30, readMm: 94 });
  expect(m!.gaugeLengthMm).toBeCloseTo(94 - 0.00877, 4);
  await measure(tags[2]!, { gaugeLength: '94.0000', temperature: '20' });
  expect((await assemblyView(crib.db, tags[2]!, 'UTC'))!.measurements[0]!.gaugeLengthMm).toBe(94);
});

describe('one that was found off puts in doubt what was done with it since it was last good', () => {
  it('a wrench: builds it tightened, until they are tightened again', async () => {
    await crib.do('recordCalibration', { of: 'W-1', found: 'good', due: '2028-01-05' });
    crib.at('2027-01-06T09:00:00Z');
    await crib.do('recordTightening', { tag: tags[0], wrench: 'W-1', torque: '60' });
    await crib.do('recordTightening', { tag: tags[1], wrench: 'W-1' });
    expect(await use(tags[0]!, 'TIGHTENED')).toBeUndefined();
    crib.at('2027-01-07T09:00:00Z');
    const done = await crib.do('recordCalibration', { of: 'W-1', found: 'off', due: '2028-01-07' });
    expect(done.doubted).toEqual([tags[0], tags[1]]);
    expect(await use(tags[0]!, 'TIGHTENED')).toMatchObject({
      ...{ grade: 'question', words: 'Tightened with W-1, which was found off: tighten it again' },
    });
    const waits = (await todayView(crib.db, '2027-01-07')).lines.map((l) => l.todo);
    expect(waits).toEqual(
      expect.arrayContaining([`Tighten ${tags[0]} again`, `Tighten ${tags[1]} again`, 'Have W-1 calibrated']),
    );
    expect((await assemblyView(crib.db, tags[0]!, 'UTC'))!.tightened).toEqual({
      ...{ wrench: 'W-1', torque: 60, doubted: true },
    });
    await expect(crib.do('recordTightening', { tag: tags[0], wrench: 'W-1' })).rejects.toThrow(
      'W-1 was found off on 2027-01-07',
    );
    await crib.do('addGauge', { code: 'W-2', name: 'Wrench 2', kind: 'torque wrench' });
    await crib.do('recordTightening', { tag: tags[0], wrench: 'W-2' });
    expect(await use(tags[0]!, 'TIGHTENED')).toBeUndefined();
    expect((await gauge('W-1', '2027-01-07')).doubted).toMatchObject([{ what: 'tightening', tag: tags[1] }]);
    // A calibration that was written for the wrong wrench takes its doubts with it.
    await crib.do('counterEntry', { counters: done.entry });
    expect(await use(tags[1]!, 'TIGHTENED')).toBeUndefined();
  });
  it('a device: lengths it measured, until they are measured again', async () => {
    const done = await crib.do('recordCalibration', {
      ...{ of: 'HS-1', found: 'off', off: '0.03', due: '2028-01-07' },
    });
    expect(done.doubted).toEqual([tags[0]]);
    expect(await use(tags[0]!, 'MEASURED')).toMatchObject({ grade: 'question' });
    await measure(tags[0]!, { gaugeLength: '94.0' }).catch(() => undefined);
    expect((await gauge('HS-1', '2027-01-07')).doubted).toEqual([]);
  });
  it('a master: what devices measured that were checked at it', async () => {
    crib.at('2027-01-08T07:00:00Z');
    await expect(
      crib.do('checkDevice', { device: 'HS-2', reading: '100.001', master: 'BG-20' }),
    ).rejects.toThrow('BG-20 is a bore gauge');
    expect(
      await crib.do('checkDevice', { device: 'HS-2', reading: '200.001', master: 'M-200' }),
    ).toMatchObject({ ok: true, off: expect.closeTo(0.001, 9) });
    crib.at('2027-01-08T08:00:00Z');
    await measure(tags[1]!, { device: 'HS-2', gaugeLength: '93.95' });
    expect(await use(tags[1]!, 'MEASURED')).toMatchObject({ grade: 'good' });
    crib.at('2027-01-08T15:00:00Z');
    const done = await crib.do('recordCalibration', { of: 'M-200', found: 'off', due: '2028-01-07' });
    expect(done.doubted).toEqual([tags[1]]);
    expect(await use(tags[1]!, 'MEASURED')).toMatchObject({ grade: 'question' });
    const { lines } = await todayView(crib.db, '2027-01-08');
    expect(lines).toContainEqual(
      expect.objectContaining({
        ...{ todo: `Measure ${tags[1]} again`, why: 'HS-2, which measured it, was off', mayWait: false },
      }),
    );
    // Overdue a year on, and what nobody ever had calibrated is not nagged about.
    const late = (await todayView(crib.db, '2028-02-01')).lines.filter((l) => l.kind === 'certificate');
    expect(late.map((l) => [l.todo, l.by])).toContainEqual(['Have W-1 calibrated', '2028-01-05']);
    expect(late.map((l) => l.todo)).not.toContain('Have B-100 calibrated');
  });
  it('a bore gauge: sizes of parts, by the job they were measured for', async () => {
    await crib.do('recordCorrection', {
      ...{ operation: 1, t: 9, gauge: 'BG-20', place: 'wear', dBefore: '0', dAfter: '0.030' },
      features: [{ kind: 'inside', wanted: 20, measured: 20.06 }],
      despite: 'looked at it',
    });
    crib.at('2027-01-09T15:00:00Z');
    await crib.do('recordCalibration', { of: 'BG-20', found: 'off', due: '2028-01-07' });
    expect((await gauge('BG-20', '2027-01-09')).doubted).toMatchObject([
      { what: 'size', tag: tags[2], job: 'J-1' },
    ]);
  });
});
