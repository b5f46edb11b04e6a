import fc from 'fast-check';
import { ENDING_NAMES, HOLE_SIGNS, SIGNS } from '../life';
import {
  costsBy,
  isBreak,
  joined,
  judgeFragments,
  leavesFragments,
  partsIn,
  partWords,
  repeatsOf,
  SEEN_NAMES,
  signsAsked,
  standsOf,
  suspects,
  without,
  type Decided,
  type Keys,
  type PartRange,
} from './index';

const range = fc
  .tuple(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 0, max: 20 }))
  .map(([first, more]): PartRange => ({ first, last: first + more }));
const ranges = fc.array(range, { maxLength: 8 });
/** Part by part, as somebody would with the parts on the bench. */
const numbers = (of: readonly PartRange[]) =>
  new Set(of.flatMap((r) => Array.from({ length: r.last - r.first + 1 }, (_, i) => r.first + i)));

describe('ranges of parts', () => {
  it('joined and left out part by part come to the same', () =>
    fc.assert(
      fc.property(ranges, ranges, (some, others) => {
        const all = joined(some);
        expect(numbers(all)).toEqual(new Set([...numbers(some)].sort((a, b) => a - b)));
        expect(partsIn(all)).toBe(numbers(some).size);
        // As few as can be: there is a gap between each and the next.
        all.slice(1).forEach((r, i) => expect(r.first).toBeGreaterThan(all[i]!.last + 1));
        const left = without(some, others);
        expect(numbers(left)).toEqual(new Set([...numbers(all)].filter((n) => !numbers(others).has(n))));
      }),
    ));
  it('are said as somebody says them', () => {
    expect(partWords([])).toBe('no parts');
    expect(partWords([{ first: 4, last: 4 }])).toBe('part 4');
    expect(
      partWords([
        { first: 4, last: 9 },
        { first: 12, last: 12 },
        { first: 20, last: 21 },
      ]),
    ).toBe('parts 4 to 9, 12 and 20 to 21');
  });
});

describe('parts that edges may have spoilt', () => {
  // Common practice: hold every part since the last good measurement.
  const logged = [
    { first: 1, last: 10, cut: false },
    { first: 11, last: 20, cut: true },
    { first: 21, last: 25, cut: false },
    { first: 26, last: 40, cut: true },
  ];
  it('are those they cut since the last good one; without one, all they cut: unknown is not good', () => {
    expect(suspects(logged, 0)).toEqual([
      { first: 11, last: 20 },
      { first: 26, last: 40 },
    ]);
    expect(suspects(logged, 15)).toEqual([
      { first: 16, last: 20 },
      { first: 26, last: 40 },
    ]);
    expect(suspects(logged, 30)).toEqual([{ first: 31, last: 40 }]);
    expect(suspects(logged, 40)).toEqual([]);
  });
  it('what was decided last stands, part by part, and what nobody decided stays open', () =>
    fc.assert(
      fc.property(
        range,
        fc.array(fc.tuple(range, fc.constantFrom('good' as const, 'rework' as const, 'scrap' as const)), {
          maxLength: 12,
        }),
        (held, said) => {
          const decided: Decided[] = said.map(([r, verdict]) => ({ ...r, verdict }));
          const stands = standsOf(held, decided);
          expect(numbers(stands)).toEqual(numbers([held]));
          for (const run of stands)
            for (const n of numbers([run]))
              expect(run.by).toBe(decided.findLast((d) => d.first <= n && n <= d.last) ?? null);
        },
      ),
    ));
  it('ten thousand parts, all decided anew two thousand times, take no longer than they are', () => {
    let asked = 0;
    const all = Array.from({ length: 2_000 }, (_, i): Decided => ({
      get first() {
        asked += 1;
        return 1;
      },
      last: 10_000,
      verdict: i % 2 ? 'good' : 'scrap',
    }));
    expect(standsOf({ first: 1, last: 10_000 }, all)).toMatchObject([
      { first: 1, last: 10_000, by: { verdict: 'good' } },
    ]);
    // Each verdict is looked at once, not once a part.
    expect(asked).toBeLessThan(10 * all.length);
  });
});

describe('fragments', () => {
  // Common practice: a shard left in the cut breaks the next cutter, on whichever T that is.
  it('stop every T of the operation until somebody says what became of them', () => {
    expect(judgeFragments(5, null)).toEqual([]);
    expect(judgeFragments(5, 5)).toMatchObject([
      { grade: 'stop', words: expect.stringContaining('before it') },
    ]);
    expect(judgeFragments(7, 5)).toMatchObject([{ grade: 'stop', words: expect.stringContaining('T5') }]);
  });
  it('lie where something broke, chipped or crashed, not where it came out whole or wore', () =>
    expect(ENDING_NAMES.map((k) => [k, isBreak(k), leavesFragments(k)])).toEqual([
      ['worn', false, false],
      ['worn-here', false, false],
      ['sign', false, false],
      ['chipped', true, true],
      ['broken', true, true],
      ['crash', true, true],
      ['pulled-out', true, false],
      ['lost', false, false],
      ['preventive', false, false],
    ]));
});

it('signs of wear are offered for what wore; for what broke all, the most telling first; of holes where one is made', () => {
  expect(signsAsked('worn', 'square')).toEqual(SIGNS);
  expect(signsAsked(null, null)).toEqual(SIGNS);
  const broke = signsAsked('broken', 'square');
  expect(broke).not.toEqual(expect.arrayContaining([...HOLE_SIGNS]));
  expect(new Set([...broke, ...HOLE_SIGNS])).toEqual(new Set(SEEN_NAMES));
  expect(broke.indexOf('chips packed')).toBeLessThan(broke.indexOf('burr'));
  expect(signsAsked('broken', 'tap')).toEqual(expect.arrayContaining([...HOLE_SIGNS]));
});

it('a repeat is called out by what it is on, with its share of all: a T from two, a machine from three', () => {
  const keys = (over: Partial<Keys>): Keys => ({
    ...{ T: null, holder: null, machine: 'M2', cutter: null, recipe: null, cause: null },
    ...over,
  });
  const one = keys({ T: 'T5 of J-7', holder: 'CC10' });
  expect(repeatsOf(one, [])).toEqual([]);
  expect(repeatsOf(one, [keys({ T: 'T5 of J-7' }), keys({ machine: 'M9' })])).toEqual([
    { shared: 'T', of: 'T5 of J-7', times: 2, among: 3 },
  ]);
  expect(repeatsOf(one, [keys({}), keys({ holder: 'CC10' })]).map((r) => [r.shared, r.times])).toEqual([
    ['holder', 2],
    ['machine', 3],
  ]);
  // What is not known is like nothing.
  expect(repeatsOf(keys({ machine: null }), [keys({ machine: null }), keys({ machine: null })])).toEqual([]);
});

it('cost is summed by what is known, and says how much is not: never by person', () => {
  const cases = [
    { at: 'M2', cents: 12_000, lostParts: 1, lostMinutes: 30 },
    { at: 'M2', cents: null, lostParts: null, lostMinutes: null },
    { at: 'M7', cents: 30_000, lostParts: 2, lostMinutes: 5 },
    { at: 'M9', cents: null, lostParts: 4, lostMinutes: null },
  ];
  expect(costsBy(cases, (c) => c.at)).toEqual([
    { key: 'M7', cases: 1, cents: 30_000, unpriced: 0, lostParts: 2, lostMinutes: 5 },
    { key: 'M2', cases: 2, cents: 12_000, unpriced: 1, lostParts: 1, lostMinutes: 30 },
    { key: 'M9', cases: 1, cents: 0, unpriced: 1, lostParts: 4, lostMinutes: 0 },
  ]);
});
