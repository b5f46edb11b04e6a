import { assumedFromOthers, isLike } from '../index';

const mill = { family: 'square', substrate: 'carbide', DC: 8 };

// Common practice.
it('cutters of one family and substrate tell of each other where neither is much thicker', () => {
  expect([8, 12, 12.01, 5.4, 5.3].map((DC) => isLike(mill, { ...mill, DC }))).toEqual([
    ...[true, true, false, true, false],
  ]);
  expect(isLike(mill, { ...mill, substrate: 'HSS' })).toBe(false);
  expect(isLike(mill, { ...mill, family: 'ball' })).toBe(false);
});

it('what is not known of two is not taken for alike', () => {
  const unknown = { family: null, substrate: null, DC: null };
  expect(isLike(unknown, unknown)).toBe(false);
  expect(isLike(mill, { ...mill, substrate: null })).toBe(false);
  expect(isLike(mill, { ...mill, DC: null })).toBe(false);
});

it('only those are named of which some failed', () => {
  const lives = (failed: boolean) => [{ minutes: 30, failed }];
  const names = assumedFromOthers(
    [
      { name: 'A', lives: lives(true) },
      { name: 'B', lives: lives(false) },
    ],
    (of) => of.join(),
  );
  expect(names).toMatchObject({ minutes: 30, origin: 'A', countsAs: 1 });
});
