import { judgeChange, partsUntilChange } from './changeAt';
import { edgesNeeded } from './edgesNeeded';
import { partsGoodFor } from './left';

/** Two schools, as shops have them: run to the sign, or change at a set number of parts (common practice). */
const life = (leftMinutes: number | null) => ({
  wear: null,
  life: { used: null, leftMinutes, fresh: true },
});
const asks = { minutesPerPart: 2, atLeast: false };

it('counts down, is due at its number and stays due; run to the sign says nothing', () => {
  const at = { parts: 40, basis: 'cost' as const };
  expect([0, 39, 40, 55].map((cut) => partsUntilChange(at, cut))).toEqual([40, 1, 0, 0]);
  expect(judgeChange(null, 90)).toEqual([]);
  expect(judgeChange(at, 12)).toMatchObject([
    { grade: 'good', words: 'To be changed after 28 more of 40 parts' },
  ]);
  for (const cut of [40, 41])
    expect(judgeChange(at, cut)).toMatchObject([
      { grade: 'question', words: `Change it now: ${cut} of 40 parts cut` },
    ]);
  expect(judgeChange(at, 12)[0]!.because.values).toContainEqual(
    expect.objectContaining({ value: '40 parts, by cost' }),
  );
});

it('what is left is the lesser of life and change; with no life known the change still stands', () => {
  const at = { parts: 40, basis: null };
  // 30 min at 2 min a part: 15; changed in 28: 15. 90 min: 45, changed in 28.
  expect(partsGoodFor(asks, { ...life(30), partsCut: 12 }, at)).toBe(15);
  expect(partsGoodFor(asks, { ...life(90), partsCut: 12 }, at)).toBe(28);
  expect(partsGoodFor(asks, { ...life(null), partsCut: 12 }, at)).toBe(28);
  expect(partsGoodFor(asks, { ...life(null), partsCut: 12 }, null)).toBeNull();
  expect(partsGoodFor(asks, life(90), at)).toBe(40);
  expect(partsGoodFor(asks, { ...life(90), partsCut: 60 }, at)).toBe(0);
});

it('fresh ones are counted by the change where that comes before the life, by hand', () => {
  // 100 left, 8 until the change, every 20 then: 92 / 20 = 4.6, so 5.
  expect(edgesNeeded(100, 8, 2, 66, 20)).toEqual({ fresh: 5, first: 8, every: 20 });
  // A life of 33 parts ends before a change at 50.
  expect(edgesNeeded(100, 8, 2, 66, 50)).toEqual({ fresh: 3, first: 8, every: 33 });
  expect(edgesNeeded(100, 8, 2, null, 50)).toEqual({ fresh: 2, first: 8, every: 50 });
  expect(edgesNeeded(100, 8, 2, null)).toBeNull();
});
