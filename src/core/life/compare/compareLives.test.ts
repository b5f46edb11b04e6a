import fc from 'fast-check';
import { inOrder, logRankInOrder } from './logRank';
import { randomOf } from './randomOf';
import { compareLives, type LifeTime, logRank, stratifiedLogRank } from '../index';

/** Under 0: it had not failed by then. */
const lives = (...minutes: number[]): LifeTime[] =>
  minutes.map((m) => ({ minutes: Math.abs(m), failed: m > 0 }));

describe('two kinds beside each other', () => {
  const few = [lives(10, 20, 30, 40), lives(20, 40, 60, 80)] as const;
  const some = [lives(30, 42, 55, -20, 61, -70), lives(18, 25, 33, -40, 28, 30, -12)] as const;
  // scipy 1.17.1: scipy.stats.logrank at the middle of every two ratios of a first to a second life, by brute force.
  it.each([
    ['looks twice as long and is not told', few, 0.10383863733578338, [0.5, 1 / 6, 1.5]],
    ['is told, with some that did not fail', some, 0.03473348098728649, [61 / 33, 1.05, 2.8]],
  ] as const)('%s', (_, [a, b], p, [value, from, to]) => {
    const got = compareLives(a, b);
    expect(got.p).toBeCloseTo(p, 10);
    expect(got.times!.value).toBeCloseTo(value, 8);
    expect(got.times!.from).toBeCloseTo(from, 8);
    expect(got.times!.to).toBeCloseTo(to, 8);
    const other = compareLives(b, a).times!;
    expect([other.from, other.to]).toEqual([expect.closeTo(1 / to, 8), expect.closeTo(1 / from, 8)]);
  });
  it('says the mean of each by its own law', () => {
    // The likelihood written out and maximised by scipy 1.17.1 (BFGS), its spread by its Hessian in differences: mean, and the
    // 95 % limits by the normal law; by Student's t (tables: 3.182 at 3, 2.776 at 4) of one failure fewer they are wider.
    const { first, second } = compareLives(...some).means;
    for (const [got, mean, [from, to], failures, t] of [
      [first!, 53.61, [40.25, 71.4], 4, 3.182],
      [second!, 29.6, [23.57, 37.17], 5, 2.776],
    ] as const) {
      const spread = Math.log(to / from) / 2 / 1.96;
      const off = t * spread * Math.sqrt(failures / (failures - 1));
      expect(got.value).toBeCloseTo(mean, 2);
      expect(got.from / (mean * Math.exp(-off))).toBeCloseTo(1, 3);
      expect(got.to / (mean * Math.exp(off))).toBeCloseTo(1, 3);
    }
  });
  it.each([2, 3, 5, 8])(
    'limits of the mean hold it in 95 % of all cases with %i failures (simulated)',
    (n) => {
      const u = randomOf(n);
      const runs = Array.from({ length: 500 }, () => {
        // Shape 2.5, mean 40: scale 40 / Γ(1.4).
        const failed = lives(
          ...Array.from({ length: n }, () => (40 / 0.887264) * (-Math.log(1 - u())) ** 0.4),
        );
        const { first } = compareLives(failed, []).means;
        return first === null ? null : first.from <= 40 && 40 <= first.to;
      }).filter((r) => r !== null);
      expect(runs.length).toBeGreaterThan(450);
      const held = runs.filter(Boolean).length / runs.length;
      // Three standard errors (of 500: 0.029) about 0.942, and what two failures leave wider.
      expect(held).toBeGreaterThan(0.91);
    },
  );
  it('leaves likely that both last alike exactly where it is not told that one lasts longer', () =>
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 1, max: 50, noNaN: true }), { minLength: 1, maxLength: 8 }),
        fc.array(fc.double({ min: 1, max: 50, noNaN: true }), { minLength: 1, maxLength: 8 }),
        (a, b) => {
          fc.pre(new Set([...a, ...b]).size === a.length + b.length);
          const { longer, times } = compareLives(lives(...a), lives(...b));
          const alike = times === null || ((times.from ?? 0) <= 1 && (times.to ?? Infinity) >= 1);
          expect(alike).toBe(longer === null);
        },
      ),
    ));

  it('is decided by the log-rank test alone, either way round', () => {
    const [short, long] = [lives(10, 11, 12, 13, 14, 15), lives(30, 31, 32, 33, 34, -35)];
    expect(compareLives(short, long)).toMatchObject({ longer: 'second', moreFailures: 0 });
    expect(compareLives(long, short)).toMatchObject({ longer: 'first', moreFailures: 0 });
    expect(compareLives(short, long).p).toBe(logRank(short, long).p);
  });

  it('says how many more failures would tell: those that there are give as much as they give', () => {
    // Schoenfeld (1981): wanted is (1.96 + 0.8416)² = 7.849 of chi-square, which grows with the failures.
    const { chiSquare } = logRank(...few);
    expect(compareLives(...few).moreFailures).toBe(Math.ceil(4 * (7.849 / chiSquare! - 1)));
    // Alike, no number is said.
    expect(compareLives(few[0], few[0])).toMatchObject({ longer: null, moreFailures: null });
  });

  it('concludes nothing where nothing failed, on one side or on both', () => {
    expect(compareLives([], [])).toMatchObject({
      ...{ p: null, longer: null, times: null, moreFailures: null, means: { first: null, second: null } },
    });
    // None of the first has failed: it lasts at least so many times as long, with no end above.
    const { times, means } = compareLives(lives(-30, -40, -50, -60), lives(10, 20, 25, 29));
    expect(times).toEqual({ value: null, from: expect.closeTo(2, 8), to: null });
    expect(means.first).toBeNull();
    const failedAtOnce = [{ minutes: 0, failed: true }, ...lives(20)];
    expect(compareLives(failedAtOnce, lives(10, 20)).means.first).toBeNull();
    expect(() => compareLives(lives(Number.NaN), lives(10))).toThrow(RangeError);
  });
});

it('the test over several kinds is that of one where there is one, and does not mix what differs by itself', () => {
  const [a, b] = [lives(10, 20, -30), lives(12, 25, 33)];
  expect(stratifiedLogRank([[a, b]])).toEqual(logRank(a, b));
  // Each alike in itself, one kind ten times the other: mixed they would differ.
  const [short, long] = [lives(1, 2, 3, 4), lives(10, 20, 30, 40)];
  const kinds = [
    [[...short, ...short], lives(1, 2, 3, 4)],
    [lives(10, 20), [...long, ...long]],
  ] as const;
  expect(stratifiedLogRank(kinds).p).toBeGreaterThan(0.3);
  expect(logRank([...kinds[0][0], ...kinds[1][0]], [...kinds[0][1], ...kinds[1][1]]).p).toBeLessThan(
    stratifiedLogRank(kinds).p!,
  );
});

it('asked at a factor of the first, lives in order answer as the divided lives themselves (logRank sorts and counts anew)', () => {
  // Few different times and factors, so that many are equal.
  const some = fc.array(fc.record({ minutes: fc.integer({ min: 0, max: 12 }), failed: fc.boolean() }), {
    maxLength: 30,
  });
  fc.assert(
    fc.property(some, some, fc.constantFrom(0.25, 0.5, 1, 2, 3, 1e-300, 1e300), (a, b, by) => {
      const divided = a.map((l) => ({ ...l, minutes: l.minutes / by }));
      expect(logRankInOrder(inOrder(a), inOrder(b), by)).toEqual(logRank(divided, b));
    }),
  );
});

it('a group of none, or a life of 0 minutes divided by next to nothing, ends and says nothing', () => {
  expect(logRankInOrder([], [])).toMatchObject({ chiSquare: null, p: null });
  expect(logRankInOrder(lives(1, 2), [])).toMatchObject({ observed: [2, 0], chiSquare: null });
  expect(compareLives(lives(0, 1e-308), lives(1e308, 1e-308)).p).toBeLessThanOrEqual(1);
});
