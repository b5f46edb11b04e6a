import fc from 'fast-check';
import { CYCLE_RUNS, cycleFactor } from './index';

/** The middle of what was taken over what was reckoned: the median as any statistics book has it. */
const run = (minutes: number, reckoned: number) => ({ minutes, reckoned, of: 'J-1' });

it('11 of 10, 24 of 20 and 13 of 10: 1.2; of two the middle between them; of none there is none', () => {
  expect(cycleFactor([run(11, 10), run(24, 20), run(13, 10)])).toMatchObject({ factor: 1.2, runs: 3 });
  expect(cycleFactor([run(10, 10), run(12, 10)])?.factor).toBeCloseTo(1.1, 12);
  expect(cycleFactor([])).toBeNull();
});

it('one odd part, with a coffee in it, moves it little', () => {
  const runs = [run(11, 10), run(11.2, 10), run(11.1, 10), run(49, 10), run(11.3, 10)];
  expect(cycleFactor(runs)?.factor).toBeCloseTo(1.12, 12);
});

it('the latest ten count, each in its reason', () => {
  const old = Array.from({ length: 40 }, () => run(30, 10));
  const now = Array.from({ length: CYCLE_RUNS }, () => run(11, 10));
  const factor = cycleFactor([...now, ...old])!;
  expect(factor).toMatchObject({ factor: 1.1, runs: 10 });
  expect(factor.because.values).toHaveLength(10);
  expect(factor.because.values[0]).toEqual({ name: 'J-1', value: '11.00 of 10.00 min: 1.10' });
});

it('lies between the shortest and the longest, in whatever order they come', () => {
  const some = fc.array(fc.tuple(fc.integer({ min: 1, max: 900 }), fc.integer({ min: 1, max: 900 })), {
    minLength: 1,
    maxLength: 10,
  });
  fc.assert(
    fc.property(some, (pairs) => {
      const runs = pairs.map(([m, r]) => run(m, r));
      const ratios = runs.map((r) => r.minutes / r.reckoned);
      const { factor } = cycleFactor(runs)!;
      expect(factor).toBeGreaterThanOrEqual(Math.min(...ratios) - 1e-12);
      expect(factor).toBeLessThanOrEqual(Math.max(...ratios) + 1e-12);
      expect(cycleFactor(runs.toReversed())!.factor).toBeCloseTo(factor, 12);
    }),
  );
});
