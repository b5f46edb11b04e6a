import { costRate, whenToChange } from '../index';

const life = { shape: 2, scale: 100 };
const costs = { planned: 1, failure: 5 };

it('by cost: 51.07 min saves 27.6 % (age replacement by mpmath, reference/age_replacement.json)', () => {
  const change = whenToChange(life, costs, null);
  expect(change).toMatchObject({ minutes: expect.closeTo(51.0655, 3), parts: null, why: null });
  expect(change.cost).toBeCloseTo(0.0408524, 7);
  expect(change.saving).toBeCloseTo(0.27591, 5);
});

it('in whole parts, never mid-part, the better of the two about it; a part that is longer than the best age is still one', () => {
  // 10 min a part: 5 parts are 50 min, 6 are 60.
  expect(whenToChange(life, costs, 10)).toMatchObject({ parts: 5, minutes: 50 });
  expect(whenToChange(life, costs, 28)).toMatchObject({ parts: 2, minutes: 56 });
  expect(whenToChange(life, costs, 90)).toMatchObject({ parts: 1, minutes: 90 });
  expect(whenToChange(life, costs, 10).cost).toBeCloseTo(10 * costRate(life, costs, 50), 12);
});

it('it is flat about the best: its ends cost 2 % more and all between them less', () => {
  const { flat, cost } = whenToChange(life, costs, null);
  for (const end of [flat!.from, flat!.to!]) expect(costRate(life, costs, end) / cost).toBeCloseTo(1.02, 6);
  expect(flat!.from).toBeLessThan(51);
  expect(flat!.to).toBeGreaterThan(52);
});

it('none pays where it fails by chance, or where a failure costs no more: run to the sign', () => {
  expect(whenToChange({ shape: 1, scale: 100 }, costs, 10)).toMatchObject({
    ...{ minutes: null, parts: null, saving: 0, flat: null },
    why: expect.stringMatching(/does not wear out/),
  });
  expect(whenToChange(life, { planned: 5, failure: 5 }, null).why).toMatch(/no more than a planned/);
});

// The Weibull law by hand: 100 sqrt(-ln 0.95) = 22.65.
it('by risk: one in twenty has failed by 22.65 min', () =>
  expect(whenToChange(life, costs, null).risks[1]).toEqual({
    share: 0.05,
    minutes: expect.closeTo(22.648, 3),
  }));

it('a failure that is hardly dearer leaves it open upwards: running to the sign is as good', () =>
  expect(whenToChange(life, { planned: 1, failure: 1.05 }, null).flat!.to).toBeNull());
