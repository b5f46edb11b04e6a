import fc from 'fast-check';
import { edgesNeeded, edgesWithSisters, edgesWords } from './edgesNeeded';

/** Hand arithmetic; that an edge is changed between parts and not within one is common practice. */
it.each([
  ['lasts for all', 9, 9, 2, 66, { fresh: 0, first: 9, every: null }],
  ['one change', 10, 9, 2, 66, { fresh: 1, first: 9, every: null }],
  ['96 more at 33 each: 3', 105, 9, 2, 66, { fresh: 3, first: 9, every: 33 }],
  ['half a part more of life is none', 105, 9, 2, 67, { fresh: 3, first: 9, every: 33 }],
  ['a worn one is changed at once', 33, 0, 2, 66, { fresh: 1, first: 0, every: null }],
  ['nothing left to make', 0, 9, 2, null, { fresh: 0, first: 0, every: null }],
  ['what is in lasts, whatever a fresh one does', 5, 9, 2, null, { fresh: 0, first: 5, every: null }],
])('%s', (_, left, good, each, life, needed) => expect(edgesNeeded(left, good, each, life)).toEqual(needed));
it.each([
  ['how long this one lasts', 10, null, 2, 66],
  ['how long a fresh one lasts', 10, 9, 2, null],
  ['minutes a part', 10, 9, 0, 66],
  ['a life shorter than a part', 10, 9, 70, 66],
])('without %s it cannot say', (_, left, good, each, life) =>
  expect(edgesNeeded(left, good, each, life)).toBeNull(),
);
it('they reach for all parts, and one fewer would not', () =>
  fc.assert(
    fc.property(
      fc.nat(2000),
      fc.nat(300),
      fc.double({ min: 0.05, max: 20, noNaN: true }),
      fc.double({ min: 20, max: 300, noNaN: true }),
      (left, good, each, life) => {
        const needed = edgesNeeded(left, good, each, life);
        if (!needed) throw new Error('each of them can be said');
        const perEdge = Math.floor(life / each + 1e-9);
        expect(needed.first + needed.fresh * perEdge).toBeGreaterThanOrEqual(left);
        if (needed.fresh > 0) expect(needed.first + (needed.fresh - 1) * perEdge).toBeLessThan(left);
      },
    ),
    { seed: 21 },
  ));
it('in words', () =>
  expect(
    [
      { fresh: 0, first: 9, every: null },
      { fresh: 1, first: 0, every: null },
      { fresh: 1, first: 1, every: null },
      { fresh: 3, first: 9, every: 33 },
    ].map(edgesWords),
  ).toEqual([
    'what is in lasts for all',
    '1 fresh one: at once',
    '1 fresh one: after 1 part',
    '3 fresh ones: after 9 parts, then every 33',
  ]));

// Hand arithmetic: what is in and its sisters go before a fresh one.
describe('with sisters in the machine', () => {
  const fresh = { minutesPerPart: 2, minutes: 66, changedAfter: null };
  it.each([
    ['one that does the rest', 105, 33, [120], 0, 'what is in and its sister last for all'],
    ['two that do not', 105, 9, [20, 10], 2, 'with its sisters 2 fresh ones: after 39 parts, then every 33'],
    ['none is needed, nor they', 9, 9, [20], 0, 'what is in lasts for all'],
    [
      'a sister with nothing left',
      105,
      9,
      [0],
      3,
      'with its sister 3 fresh ones: after 9 parts, then every 33',
    ],
    [
      'enough without the one that is not known',
      40,
      9,
      [31, null],
      0,
      'what is in and its sisters last for all',
    ],
  ])('%s', (_, left, own, sisters, needed, words) =>
    expect(edgesWithSisters(left, own, sisters, fresh)).toMatchObject({ fresh: needed, words }),
  );
  it.each([
    ['a sister of which nobody knows', 105, 9, [20, null]],
    ['what is in', 105, null, [200]],
  ])('without %s it cannot say', (_, left, own, sisters) =>
    expect(edgesWithSisters(left, own, sisters, fresh)).toBeNull(),
  );
  it('says so too where nobody knows how long a fresh one lasts and the sisters do the rest', () =>
    expect(edgesWithSisters(50, 20, [30], { ...fresh, minutes: null })).toMatchObject({ fresh: 0 }));
});
