import { kaplanMeier } from '@/core/life';
import { staircase, survivalAt } from './survivalPath';

const steps = kaplanMeier([
  { minutes: 10, failed: true },
  { minutes: 20, failed: true },
  { minutes: 25, failed: false },
]);

it('the staircase starts at 1, steps at failures only, and runs flat to the longest life', () => {
  const points = staircase(steps, 25);
  expect(points.map((p) => p.minutes)).toEqual([0, 10, 10, 20, 20, 25]);
  expect(points.map((p) => p.survival)).toEqual([
    1,
    1,
    expect.closeTo(2 / 3, 12),
    expect.closeTo(2 / 3, 12),
    expect.closeTo(1 / 3, 12),
    expect.closeTo(1 / 3, 12),
  ]);
  expect(staircase([], 25)).toEqual([
    { minutes: 0, survival: 1 },
    { minutes: 25, survival: 1 },
  ]);
});

it('a censored life sits on the curve where it stands then', () => {
  expect(survivalAt(steps, 9.9)).toBe(1);
  expect(survivalAt(steps, 25)).toBeCloseTo(1 / 3, 12);
});
