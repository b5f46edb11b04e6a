import fc from 'fast-check';
import { shareEdge } from './index';

/** No minute of an edge is promised twice: those due first cut first (common practice). */
const claims = [
  { job: 'J-2', due: '2027-02-01', minutes: 25 },
  { job: 'J-1', due: '2027-01-20', minutes: 30 },
];

it('40 min left: J-1 is due first and has 30 of them, J-2 has 10 of the 25 it wants', () => {
  expect(shareEdge(40, claims, 'J-2')).toEqual({
    left: 10,
    enough: false,
    words: 'J-1 cuts with it first, 30 min of 40 min: 10 min left of 25 min wanted',
  });
  expect(shareEdge(40, claims, 'J-1')).toMatchObject({
    left: 40,
    enough: true,
    words: 'J-2 counts on it after this',
  });
  expect(shareEdge(20, claims, 'J-1')).toMatchObject({
    enough: false,
    words: '20 min left of 30 min wanted; J-2 counts on it after this',
  });
  expect(shareEdge(0, claims, 'J-2')).toMatchObject({
    left: 0,
    enough: false,
    words: expect.stringContaining('nothing'),
  });
  expect(shareEdge(20, claims, 'J-2')).toMatchObject({
    left: 0,
    words: expect.stringContaining('20 min of 20 min'),
  });
});

it('what is not known is not enough, and not too little', () => {
  expect(shareEdge(null, claims, 'J-2')).toMatchObject({ left: null, enough: null });
  expect(shareEdge(40, [claims[0]!, { ...claims[1]!, minutes: null }], 'J-2')).toMatchObject({
    left: null,
    enough: null,
  });
  expect(shareEdge(40, [{ ...claims[0]!, minutes: null }, claims[1]!], 'J-2')).toMatchObject({
    left: 10,
    enough: null,
  });
});

it('one that nobody else counts on is shared with nobody', () => {
  expect(shareEdge(40, claims.slice(0, 1), 'J-2')).toBeNull();
  expect(shareEdge(40, claims, 'J-9')).toBeNull();
});

it('however many count on it, what all may count on is no more than there is', () => {
  const claim = fc.record({
    job: fc.string({ minLength: 1, maxLength: 4 }),
    due: fc.integer({ min: 1, max: 28 }).map((d) => `2027-02-${String(d).padStart(2, '0')}`),
    minutes: fc.integer({ min: 0, max: 90 }),
  });
  fc.assert(
    fc.property(
      fc.uniqueArray(claim, { selector: (x) => x.job, minLength: 2, maxLength: 6 }),
      fc.integer({ min: 0, max: 200 }),
      (all, left) => {
        const counted = all.reduce(
          (sum, x) => sum + Math.min(x.minutes, shareEdge(left, all, x.job)!.left!),
          0,
        );
        expect(counted).toBeLessThanOrEqual(left);
      },
    ),
  );
});
