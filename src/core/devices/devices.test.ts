import fc from 'fast-check';
import { agree, isNear, judgeCalibration, judgeDevice, readLine, sumOf } from './index';

const line = (words: string) => `${words} ${sumOf(words)}\n`;
const GOOD = 'R 17 L=142.3161 D=9.9880 R=0.0040';

describe('a line of a presetter (own protocol, docs/formats.md)', () => {
  it('is a reading in mm under the device’s own count', () => {
    expect(readLine(line(GOOD))).toEqual({
      reading: { serial: 17, length: 142.3161, diameter: 9.988, runout: 0.004 },
    });
    expect(readLine(line('R 18 L=142.3161 D=- R=-'))).toMatchObject({
      reading: { diameter: null, runout: null },
    });
  });
  it.each([
    ['', 'garbled'],
    ['R 17 L=142.3161 D=9.9880 R=0.0040', 'garbled'],
    [line(GOOD).replace('142', '143'), 'garbled'],
    [line('R 17 L=142,3161 D=- R=-'), 'garbled'],
    [line('R 17 L=1042.3161 D=- R=-'), 'out of range'],
    [line('R 17 L=-2.0000 D=- R=-'), 'out of range'],
    [line('E cover open'), 'refused'],
    ['x'.repeat(100_000), 'garbled'],
  ])('%#: %s', (text, fault) => expect(readLine(text)).toMatchObject({ fault }));
  it('never takes a line for good that lost or changed one character', () => {
    const whole = line(GOOD).trimEnd();
    fc.assert(
      fc.property(fc.nat(whole.length - 1), fc.constantFrom('', '0', '9', '#', ' '), (at, put) => {
        const hurt = whole.slice(0, at) + put + whole.slice(at + 1);
        if (hurt !== whole) expect(readLine(hurt)).toHaveProperty('fault');
      }),
      { numRuns: 1000, seed: 4 },
    );
  });
});

describe('readings that repeat', () => {
  const r = (length: number, diameter: number | null = 9.988) => ({
    serial: 1,
    length,
    diameter,
    runout: 0.004,
  });
  it('their mean counts once they agree', () => {
    expect(agree([r(142.316), r(142.318)], 2, 0.005)).toMatchObject({ enough: true, of: 2 });
    expect(agree([r(142.316), r(142.318)], 2, 0.005)!.length).toBeCloseTo(142.317, 9);
  });
  it('one that is off begins anew: the last that agree count', () => {
    const all = [r(142.316), r(142.5), r(142.317)];
    expect(agree(all, 2, 0.005)).toMatchObject({ enough: false, of: 1, length: 142.317 });
    expect(agree([...all, r(142.318)], 2, 0.005)).toMatchObject({ enough: true });
  });
  it('exactly at the limit agrees; one alone does not, and none is nothing', () => {
    expect(agree([r(100), r(100.005)], 2, 0.005)?.enough).toBe(true);
    expect(agree([r(100), r(100.0051)], 2, 0.005)?.enough).toBe(false);
    expect(agree([r(100)], 2, 0.005)).toMatchObject({ enough: false, spread: null });
    expect(agree([], 2, 0.005)).toBeNull();
  });
  it('a diameter that one of them lacks is not half known', () =>
    expect(agree([r(100), r(100, null)], 2, 0.005)?.diameter).toBeNull());
});

it('a device is believed for the day it was checked on (common practice)', () => {
  expect([isNear(0.005), isNear(-0.005), isNear(0.0051)]).toEqual([true, true, false]);
  const grade = (day: string, off: number) => judgeDevice({ day, off, ok: isNear(off) }, '2027-01-12').grade;
  expect(judgeDevice(null, '2027-01-12').grade).toBe('question');
  expect([grade('2027-01-12', 0.002), grade('2027-01-11', 0.002), grade('2027-01-12', 0.02)]).toEqual([
    'good',
    'question',
    'stop',
  ]);
});

describe('a line of a height stand: its dial, and the block it stands against', () => {
  it('both make the length', () =>
    expect(readLine(line('R 17 H=-5.8123 B=100.0000'))).toEqual({
      reading: { serial: 17, length: expect.closeTo(94.1877, 9), diameter: null, runout: null, block: 100 },
    }));
  it.each([
    [line('R 17 H=-30.0001 B=100.0000'), 'out of range'],
    [line('R 17 H=1.0000 B=0.0000'), 'out of range'],
    [line('R 17 H=1.0000'), 'garbled'],
    ['R 17 H=-5.8123 B=100.0000', 'garbled'],
  ])('%#: %s', (text, fault) => expect(readLine(text)).toMatchObject({ fault }));
});

// Common practice; how long a certificate holds is the shop's to say.
it('a certificate is good to its day, and a thing that was found off is not used', () => {
  const at = (due: string, ok = true) =>
    judgeCalibration({ day: '2026-01-12', due, ok, found: null }, '2027-01-12');
  expect(judgeCalibration(null, '2027-01-12').grade).toBe('question');
  expect([
    at('2027-01-11').grade,
    at('2027-01-12').grade,
    at('2027-02-11').words,
    at('2027-02-12').words,
  ]).toEqual(['question', 'good', 'Calibrated; due in 30 days', 'Calibrated, due 2027-02-12']);
  expect(at('2028-01-01', false).grade).toBe('stop');
});
