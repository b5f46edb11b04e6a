import { CRIB_PLACES, explainDifference, inCrib, loansOut, type DifferenceFacts } from './index';

const facts = (over: Partial<DifferenceFacts>): DifferenceFacts => ({
  counted: 5,
  expected: 5,
  elsewhere: [],
  alike: [],
  hands: [],
  recent: [],
  pack: null,
  ...over,
});

it('only what lies in the crib can be taken from there', () => {
  expect(CRIB_PLACES.every(inCrib)).toBe(true);
  expect(['hand', 'machine', 'regrind', 'build', 'scrap', 'lost', null].some(inCrib)).toBe(false);
});

// What crib people look for first when a count is off: common practice.
describe('explainDifference', () => {
  it('says nothing where nothing differs', () =>
    expect(explainDifference(facts({ hands: [{ person: 'IK', quantity: 2 }] }))).toEqual([]));
  it.each<[string, Partial<DifferenceFacts>, RegExp]>([
    [
      'moved without being booked',
      { counted: 3, elsewhere: [{ place: 'B2', difference: 2 }] },
      /2 pieces too many at B2/,
    ],
    [
      'the other way round',
      { counted: 7, elsewhere: [{ place: 'B2', difference: -2 }] },
      /2 pieces missing at B2/,
    ],
    ['mixed up', { counted: 4, alike: [{ item: 'EM8', difference: 1 }] }, /EM8 here has 1 piece too many/],
    ['in somebody’s hands', { counted: 4, hands: [{ person: 'TO', quantity: 1 }] }, /TO has 1/],
    ['done twice', { counted: 3, recent: [{ words: '2 to BUILD', quantity: 2, out: true }] }, /done twice/],
    [
      'booked, not done',
      { counted: 7, recent: [{ words: '2 to BUILD', quantity: 2, out: true }] },
      /not done/,
    ],
    ['a pack', { counted: 15, pack: 10 }, /One whole pack over/],
    ['packs short', { counted: 0, expected: 20, pack: 10 }, /2 whole packs short/],
  ])('%s', (_, over, words) => expect(explainDifference(facts(over)).join('; ')).toMatch(words));
  it('a difference the same way is no explanation', () =>
    expect(
      explainDifference(
        facts({
          counted: 3,
          elsewhere: [{ place: 'B2', difference: -2 }],
          alike: [{ item: 'X', difference: -1 }],
          pack: 1,
        }),
      ),
    ).toEqual([]));
});

describe('loansOut: what came back is taken off the oldest loan', () => {
  const loans = [
    { quantity: 2, due: '2027-01-03' },
    { quantity: 3, due: null },
  ];
  const out = (has: number) => loansOut(loans, has, '2027-01-05').map((l) => [l.out, l.daysLate]);
  it('all out', () =>
    expect(out(5)).toEqual([
      [2, 2],
      [3, 0],
    ]));
  it('one back', () =>
    expect(out(4)).toEqual([
      [1, 2],
      [3, 0],
    ]));
  it('the first whole back', () => expect(out(3)).toEqual([[3, 0]]));
  it('all back', () => expect(out(0)).toEqual([]));
  it('due today is not late', () =>
    expect(loansOut([{ quantity: 1, due: '2027-01-05' }], 1, '2027-01-05')[0]!.daysLate).toBe(0));
});
