import { cycleMinutes, questionParts, reachNeeded, reckonedMinutes } from './index';

it('reach is the highest thing beside the cut above the lowest feeding Z; unknown stays unknown', () => {
  expect(reachNeeded(5, -30)).toBe(35);
  expect(reachNeeded(null, -30)).toBeNull();
  expect(reachNeeded(5, null)).toBeNull();
});

describe('a count of parts that can hardly be is asked about (arithmetic)', () => {
  const count = { parts: 10, partsLeft: 12, minutesPerPart: 5, minutesSince: 50 };
  it('10 parts of 5 min in 50 min, 12 left: not asked', () => expect(questionParts(count)).toEqual([]));
  it('more than are left', () =>
    expect(questionParts({ ...count, partsLeft: 9 })).toEqual(['10 parts counted, 9 are left to make']));
  it('more than the time allows', () =>
    expect(questionParts({ ...count, minutesSince: 49.5 })).toEqual([
      '10 parts are at least 50 min in the cut, and the last log is 49 min old',
    ]));
  it('without a log before it the time says nothing', () =>
    expect(questionParts({ ...count, minutesSince: null })).toEqual([]));
  it('a program without minutes says nothing either', () =>
    expect(questionParts({ ...count, minutesPerPart: 0, minutesSince: 1 })).toEqual([]));
});

it('cycleMinutes keeps the three parts apart, unknown stays unknown', () => {
  expect(cycleMinutes(600, 5000, 3, { rapidMmMin: 20000, toolChangeS: 5 })).toEqual({
    cutting: 10,
    slowing: null,
    rapid: 0.25,
    standing: 0,
    changes: 0.25,
  });
  expect(cycleMinutes(600, 5000, 3, { rapidMmMin: null, toolChangeS: null })).toEqual({
    cutting: 10,
    slowing: null,
    rapid: null,
    standing: 0,
    changes: null,
  });
  // As the machine runs it: 630 s of feed for 600 s by F, 21 s of rapid for 15 s by its rate, and 6 s standing.
  const run = cycleMinutes(
    600,
    5000,
    3,
    { rapidMmMin: 20000, toolChangeS: 5 },
    { standingS: 6, run: { feed: 630, rapid: 21 } },
  );
  expect(run).toEqual({ cutting: 10, slowing: 0.5, rapid: 0.35, standing: 0.1, changes: 0.25 });
  expect(reckonedMinutes(run)).toBeCloseTo(11.2, 12);
  expect(reckonedMinutes(null)).toBeNull();
});
