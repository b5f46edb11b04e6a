import { changeAtOf, judgeChange, partsUntilChange } from './changeAt';
import { edgesNeeded } from './edgesNeeded';
import { partsGoodFor } from './left';

/** Two schools, as shops have them: run to the sign, or change at a set number of parts (common practice). */
const life = (leftMinutes: number | null) => ({
  wear: null,
  life: { used: null, leftMinutes, fresh: true },
});
const here = (parts: number) => ({ parts, amount: null });
const asks = { minutesPerPart: 2, atLeast: false };

it('counts down, is due at its number and stays due; run to the sign says nothing', () => {
  const at = { parts: 40, basis: 'cost' as const, counted: null };
  expect([0, 39, 40, 55].map((cut) => partsUntilChange(at, here(cut)))).toEqual([40, 1, 0, 0]);
  expect(judgeChange(null, here(90))).toEqual([]);
  expect(judgeChange(at, here(12))).toMatchObject([
    { grade: 'good', words: 'To be changed after 28 more of 40 parts' },
  ]);
  for (const cut of [40, 41])
    expect(judgeChange(at, here(cut))).toMatchObject([
      { grade: 'question', words: `Change it now: ${cut} of 40 parts cut` },
    ]);
  expect(judgeChange(at, here(12))[0]!.because.values).toContainEqual(
    expect.objectContaining({ value: '40 parts, by cost' }),
  );
});

it('what is left is the lesser of life and change; with no life known the change still stands', () => {
  const at = { parts: 40, basis: null, counted: null };
  // 30 min at 2 min a part: 15; changed in 28: 15. 90 min: 45, changed in 28.
  expect(partsGoodFor(asks, { ...life(30), cutSoFar: here(12) }, at)).toBe(15);
  expect(partsGoodFor(asks, { ...life(90), cutSoFar: here(12) }, at)).toBe(28);
  expect(partsGoodFor(asks, { ...life(null), cutSoFar: here(12) }, at)).toBe(28);
  expect(partsGoodFor(asks, { ...life(null), cutSoFar: here(12) }, null)).toBeNull();
  expect(partsGoodFor(asks, life(90), at)).toBe(40);
  expect(partsGoodFor(asks, { ...life(90), cutSoFar: here(60) }, at)).toBe(0);
});

it('fresh ones are counted by the change where that comes before the life, by hand', () => {
  // 100 left, 8 until the change, every 20 then: 92 / 20 = 4.6, so 5.
  expect(edgesNeeded(100, 8, 2, 66, 20)).toEqual({ fresh: 5, first: 8, every: 20 });
  // A life of 33 parts ends before a change at 50.
  expect(edgesNeeded(100, 8, 2, 66, 50)).toEqual({ fresh: 3, first: 8, every: 33 });
  expect(edgesNeeded(100, 8, 2, null, 50)).toEqual({ fresh: 2, first: 8, every: 50 });
  expect(edgesNeeded(100, 8, 2, null)).toBeNull();
});

/** 30 s, 6 holes and 240 mm a part. */
const tool = {
  ...{ cutting_s: 30, cutting_mm: 240, holes: 6, plunges: null, lower_bound: false },
  in_force: [],
};
const rule = (amount: number, counts: 'minutes' | 'holes' | 'metres') =>
  changeAtOf({ parts: null, basis: 'maker', amount, counts }, tool)!;
const cut = (amount: number | null) => ({ parts: 7, amount });

// By hand: 800 / 6 = 133.3; 20 min / 0.5 = 40; 12 m / 0.24 = 50.
it('an amount of what is counted is as many whole parts as go into it', () => {
  expect(rule(800, 'holes').parts).toBe(133);
  expect(rule(20, 'minutes').parts).toBe(40);
  expect(rule(12, 'metres').parts).toBe(50);
  // Never within a part.
  expect(rule(5, 'holes').parts).toBe(1);
});

it('it goes by what the edge cut wherever, and not by parts of the operation', () => {
  const at = rule(800, 'holes');
  // (800 − 500) / 6 = 50; 799 leaves one hole, and no whole part.
  expect([0, 500, 794, 799, 800, 950].map((holes) => partsUntilChange(at, cut(holes)))).toEqual([
    ...[133, 50, 1, 0, 0, 0],
  ]);
  expect(judgeChange(at, cut(500))).toMatchObject([
    { grade: 'good', words: 'To be changed after 50 more parts, at 800 holes' },
  ]);
  expect(judgeChange(at, cut(804))).toMatchObject([
    { grade: 'question', words: 'Change it now: 804 of 800 holes cut' },
  ]);
  expect(partsGoodFor(asks, { ...life(90), cutSoFar: cut(770) }, at)).toBe(5);
});

it('what nobody can count is asked about, and is no number', () => {
  const at = rule(800, 'holes');
  expect(partsUntilChange(at, cut(null))).toBeNull();
  expect(judgeChange(at, cut(null))).toMatchObject([
    { grade: 'question', words: 'Changed after 800 holes: how many holes it has cut is not known' },
  ]);
  const rules = { parts: null, basis: null, amount: 800, counts: 'holes' as const };
  for (const none of [{ ...tool, lower_bound: true }, { ...tool, holes: 0 }, null]) {
    const blind = changeAtOf(rules, none)!;
    expect(blind.parts).toBeNull();
    expect(judgeChange(blind, cut(10))).toMatchObject([
      {
        grade: 'question',
        words: 'Changed after 800 holes: its program does not say how many holes a part takes',
      },
    ]);
    // How long it lasts still stands.
    expect(partsGoodFor(asks, { ...life(30), cutSoFar: cut(10) }, blind)).toBe(15);
  }
  expect(changeAtOf(null, tool)).toBeNull();
  expect(changeAtOf({ parts: null, basis: null, amount: null, counts: null }, tool)).toBeNull();
});
