import fc from 'fast-check';
import { DEFAULTS } from '../../defaults';
import { assumedWeight, type LifeTime, nextLife } from '../index';

const lives = (...minutes: number[]): LifeTime[] =>
  minutes.map((m) => ({ minutes: Math.abs(m), failed: m > 0 }));
const assumed = { minutes: 40, origin: 'maker', countsAs: 3 };

describe('the next life', () => {
  // The same law integrated over a grid of 1,201 shapes and 6,001 scales (numpy 2, scipy 1.17), in place of the closed form.
  it.each([
    ['nothing seen', [], assumed, [9.1608, 86.963, 37.935, 40, 2.8328]],
    ['three failed, one did not', [30, 42, 55, -20], null, [14.3973, 84.6821, 42.2065, 43.7718, 3.1365]],
    ['beside what was assumed', [30, 42, 55, -20], assumed, [15.7921, 68.744, 40.2658, 40.6633, 3.4456]],
    ['one that went past it', [-50], assumed, [10.9019, 115.18, 44.4856, 48.9622, 2.5286]],
  ] as const)('%s', (_, minutes, a, [from, to, middle, mean, shape]) => {
    const next = nextLife(lives(...minutes), a)!;
    const off = [
      [next.from, from],
      [next.to, to],
      [next.middle, middle],
      [next.mean, mean],
      [next.shape, shape],
    ].map(([got, want]) => Math.abs(got! / want! - 1));
    expect(Math.max(...off)).toBeLessThan(5e-4);
  });
  it('cannot be said without a failure and without anything assumed', () => {
    expect(nextLife([], null)).toBeNull();
    expect(nextLife(lives(-50, -60), null)).toBeNull();
    expect(() => nextLife([{ minutes: Number.NaN, failed: true }], null)).toThrow(RangeError);
  });
  it('a failure in the first minute is not left out, and drags the next one down', () =>
    expect(nextLife([{ minutes: 0, failed: true }, ...lives(30, 40)], null)!.from).toBeLessThan(
      nextLife(lives(30, 40), null)!.from,
    ));
  it('more lives leave less doubt, and what was assumed fades: thirty at 90 are not held at 40', () => {
    const many = nextLife(lives(...Array.from({ length: 30 }, (_, i) => 80 + (i % 11) * 2)), assumed)!;
    expect(many.mean).toBeGreaterThan(80);
    expect(many.to - many.from).toBeLessThan(60);
  });
  it('has one measure: lives in seconds are sixty times the minutes', () =>
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 1, max: 500, noNaN: true }), { minLength: 2, maxLength: 8 }),
        (minutes) => {
          const one = nextLife(lives(...minutes), assumed)!;
          const other = nextLife(lives(...minutes.map((m) => m * 60)), { ...assumed, minutes: 2400 })!;
          expect(other.from / one.from).toBeCloseTo(60, 4);
          expect(other.to / one.to).toBeCloseTo(60, 4);
          expect(one.survival(one.middle)).toBeCloseTo(0.5, 6);
        },
      ),
      { numRuns: 30 },
    ));
});

describe('as how many lives an assumed one counts', () => {
  const told = (...offs: number[]) =>
    offs.map((off) => ({ assumed: 40, seen: 40 * Math.exp(off), failures: 30 }));
  it('as three until five cutters say otherwise', () =>
    expect(assumedWeight(told(0, 0, 0, 0))).toEqual({ countsAs: 3, learntFrom: 4 }));
  it('as the most where they all did what was assumed, as the least where it was never right', () => {
    expect(assumedWeight(told(0, 0, 0, 0, 0)).countsAs).toBe(DEFAULTS.assumedCountsBetween[1]);
    expect(assumedWeight(told(2, -2, 2, -2, 2)).countsAs).toBe(DEFAULTS.assumedCountsBetween[0]);
  });
  // Hand arithmetic: 0.43² / (0.3² − 0.43² / 30) = 2.21
  it('by how far they were off beside what thirty lives are off by themselves', () =>
    expect(assumedWeight(told(0.3, -0.3, 0.3, -0.3, 0.3)).countsAs).toBeCloseTo(2.205, 3));
});
