import { type ChildProcess, spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { join } from 'node:path';
import type { Reading } from '@/core/devices';
import { assemblyView } from '@/crib/rack';
import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { askDevice } from './askDevice';
import { readDevice } from './readDevice';
import { devicesView } from './views/devicesView';

/** Stable against its stand-ins, which run as their own processes: real sockets, with faults. */
let crib: TestCrib;
let tag: string;
const running: ChildProcess[] = [];
const presetter = async (...options: string[]): Promise<number> => {
  const child = spawn('node', [join('devices', 'presetter.mjs'), '--port', '0', ...options]);
  running.push(child);
  return new Promise((resolve, reject) => {
    child.once('error', reject);
    child.stdout.once('data', (said: Buffer) => resolve(Number(/:(\d+)/.exec(String(said))![1])));
  });
};
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  tag = String(
    (
      await crib.do('buildAssembly', {
        cutter: { item: 'EM10', place: 'S1' },
        holder: { item: 'SL10', place: 'S1' },
        stickout: 34,
      })
    ).tag,
  );
});
afterAll(async () => {
  for (const child of running) child.kill('SIGTERM');
  await crib.db.close();
});
const add = async (code: string, ...options: string[]) => {
  await crib.do('addDevice', { code, name: 'Presetter', port: await presetter(...options), master: '200' });
  return code;
};
const read = (device: string, over: object = {}) => readDevice(crib.db, { device, tag, ...over });
const reading = async (device: string): Promise<Reading> => {
  const line = await read(device);
  if (!('reading' in line)) throw new Error(line.words);
  return line.reading;
};
const record = (device: string, readings: Reading[], over: object = {}) =>
  crib.do('recordMeasurement', {
    tag,
    gaugeLength: (readings.reduce((n, r) => n + r.length, 0) / readings.length).toFixed(3),
    device,
    readings: readings.map(({ serial, length }) => ({ serial, length })),
    ...over,
  });

it('readings of a tool repeat within its noise, count on, and become one measurement; none is taken twice', async () => {
  const device = await add('PRE-1');
  const readings = [await reading(device), await reading(device)];
  expect(readings[1]!.serial).toBe(readings[0]!.serial + 1);
  // LF 60 and stickout 34: near 94; the stand-in's noise is a micrometre.
  expect(Math.abs(readings[0]!.length - 94)).toBeLessThan(0.2);
  expect(Math.abs(readings[0]!.length - readings[1]!.length)).toBeLessThan(0.01);
  await record(device, readings);
  expect((await assemblyView(crib.db, tag, 'UTC'))!.measurements[0]).toMatchObject({
    device,
    deviceDoubt: false,
  });
  await expect(record(device, readings)).rejects.toThrow(
    `Reading ${readings[0]!.serial} of PRE-1 was taken already`,
  );
  const [third, fourth] = [await reading(device), await reading(device)];
  await expect(record(device, [third, third])).rejects.toThrow('was taken already');
  await expect(record(device, [third, fourth], { gaugeLength: '94.9' })).rejects.toThrow(
    'The readings come to',
  );
  await expect(
    crib.do('recordMeasurement', { tag, gaugeLength: 94, readings: [{ serial: 1, length: 94 }] }),
  ).rejects.toThrow('Of which device');
  await record(device, [third, fourth]);
});

it('a garbled line is shown and not guessed at; asked again the reading comes under the same count', async () => {
  const device = await add('PRE-2', '--faults', 'garbled,ok');
  const first = await read(device);
  expect(first).toMatchObject({ fault: 'garbled', words: expect.stringContaining('#') });
  const again = await read(device, { again: true });
  expect(again).toHaveProperty('reading');
  const next = await reading(device);
  expect('reading' in again && again.reading.serial).toBe(next.serial - 1);
});

it('an answer that never came is not lost: the device says it again', async () => {
  const device = await add('PRE-3', '--faults', 'none,ok');
  const { port } = (await devicesView(crib.db, '2027-01-05', 'UTC')).find((d) => d.code === device)!;
  await expect(
    askDevice(device, port!, { what: 'READ', length: 94, diameter: 10, block: null }, 150),
  ).rejects.toMatchObject({
    code: 'DEVICE_SILENT',
  });
  const again = await read(device, { again: true });
  const next = await reading(device);
  expect('reading' in again && again.reading.serial).toBe(next.serial - 1);
});

it('far beyond what it can measure is no length; a port where nothing is, or hangs up, says so', async () => {
  expect(await read(await add('PRE-4', '--faults', 'far'))).toMatchObject({ fault: 'out of range' });
  await expect(askDevice('PRE-X', 1, { what: 'LAST' })).rejects.toMatchObject({ code: 'DEVICE_SILENT' });
  const rude = createServer((s) => s.destroy());
  await new Promise<void>((done) => rude.listen(0, '127.0.0.1', done));
  const { port } = rude.address() as { port: number };
  await expect(askDevice('PRE-X', port, { what: 'LAST' })).rejects.toThrow('hung up before it answered');
  // One that never ends its line is not listened to for ever.
  const endless = createServer((s) => void s.on('error', () => undefined).write('x'.repeat(10_000)));
  await new Promise<void>((done) => endless.listen(0, '127.0.0.1', done));
  const at = (endless.address() as { port: number }).port;
  expect(await askDevice('PRE-X', at, { what: 'LAST' })).toMatchObject({ fault: 'garbled' });
  rude.close();
  endless.close();
});

it('one that drifted puts in question what it read since it was last good, until it is measured again', async () => {
  const device = await add('PRE-5', '--drift', '0.02');
  crib.at('2027-01-06T07:00:00Z');
  // It was good in the morning, by a master that was still cold.
  expect(await crib.do('checkDevice', { device, reading: '200.004' })).toMatchObject({
    ok: true,
    doubted: [],
  });
  crib.at('2027-01-06T09:00:00Z');
  const { operation } = await crib.do('addJob', {
    number: 'J-1',
    part: 'Cap',
    material: 'C45',
    quantity: 5,
    due: '2027-02-01',
    machine: 'M2',
    highestBeside: 0,
  });
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 1) });
  await crib.do('tieTool', { operation, t: 7, tag });
  const readings = [await reading(device), await reading(device)];
  const recorded = await record(device, readings);
  if (recorded.inQuestion)
    await crib.do('judgeMeasurement', { measurement: recorded.entry, accepted: true, reason: 'read twice' });
  const why = async () =>
    (await assemblyView(crib.db, tag, 'UTC'))!.ties[0]!.use.judgements.find((j) => j.code === 'MEASURED');
  expect(await why()).toMatchObject({ grade: 'good' });
  crib.at('2027-01-06T15:00:00Z');
  const zero = await readDevice(crib.db, { device });
  const off = 'reading' in zero ? zero.reading.length : 0;
  expect(off - 200).toBeCloseTo(0.02, 2);
  expect(await crib.do('checkDevice', { device, reading: off.toFixed(4) })).toMatchObject({
    ok: false,
    doubted: [tag],
  });
  expect(await why()).toMatchObject({ grade: 'question' });
  const line = (await devicesView(crib.db, '2027-01-06', 'UTC')).find((d) => d.code === device)!;
  expect(line).toMatchObject({ judgement: { grade: 'stop' }, doubted: [{ tag }] });
  // Known to be off, it can't vouch for what it reads now either.
  crib.at('2027-01-06T15:30:00Z');
  await record(device, [await reading(device), await reading(device)]);
  expect((await assemblyView(crib.db, tag, 'UTC'))!.measurements[0]!.deviceDoubt).toBe(true);
  // Measured again by hand, nobody doubts it any more.
  crib.at('2027-01-06T16:00:00Z');
  await crib.do('recordMeasurement', { tag, gaugeLength: '94.10' }).catch(() => undefined);
  const now = (await assemblyView(crib.db, tag, 'UTC'))!;
  expect(now.measurements[0]!.deviceDoubt).toBe(false);
  expect((await devicesView(crib.db, '2027-01-06', 'UTC')).find((d) => d.code === device)!.doubted).toEqual(
    [],
  );
});
