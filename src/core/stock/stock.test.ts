import fc from 'fast-check';
import {
  ageOfStock,
  countsAs,
  CRIB_PLACES,
  explainDifference,
  freeFor,
  inCrib,
  loansOut,
  type DifferenceFacts,
  type UsedPiece,
} from './index';

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

describe('how old what is left may be (nothing tells one from another: common practice is old ones first)', () => {
  const at = (month: number) => new Date(Date.UTC(2026, month - 1, 1));
  const receipts = [
    { at: at(6), quantity: 4 },
    { at: at(1), quantity: 4 },
  ];
  it.each<[number, number | null]>([
    [8, 1],
    [5, 1],
    [4, 6],
    [1, 6],
    // More than came: some were found, and nobody knows since when.
    [9, null],
    [0, null],
  ])('%i left', (left, month) =>
    expect(ageOfStock(receipts, left)).toEqual(month && { oldest: at(1), atBest: at(month) }),
  );
  it('the old ones going first never makes what is left older', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ at: fc.date({ noInvalidDate: true }), quantity: fc.integer({ min: 0, max: 9 }) }),
        ),
        fc.integer({ min: 0, max: 40 }),
        (list, left) => {
          const age = ageOfStock(list, left);
          const all = list.reduce((n, r) => n + r.quantity, 0);
          expect(age === null).toBe(left === 0 || left > all);
          if (age) {
            expect(age.oldest.getTime()).toBeLessThanOrEqual(age.atBest.getTime());
            // Enough came since then, and not since any later time.
            const since = list.filter((r) => r.at >= age.atBest).reduce((n, r) => n + r.quantity, 0);
            const later = list.filter((r) => r.at > age.atBest).reduce((n, r) => n + r.quantity, 0);
            expect(since >= left && later < left).toBe(true);
          }
        },
      ),
    ));
});

describe('what a used piece counts as (common practice)', () => {
  const piece: UsedPiece = {
    place: 'drawer',
    daysLate: 0,
    ended: false,
    grade: null,
    groups: [],
    worn: null,
  };
  it.each<[string, Partial<UsedPiece>, string | null, string, string]>([
    ['used, and still good', {}, 'P', 'life left', 'used, still good'],
    ['measured below the criterion', { worn: false }, 'P', 'life left', 'used, still good'],
    ['worn, whatever its minutes', { worn: true }, 'P', 'nothing', 'worn'],
    ['ended and not graded', { ended: true }, 'P', 'nothing', 'ended, and not graded'],
    [
      'graded for it',
      { ended: true, grade: 'slotting steel', groups: ['P', 'M'] },
      'P',
      'graded',
      'graded slotting steel',
    ],
    [
      'graded for something else',
      { ended: true, grade: 'aluminium', groups: ['N'] },
      'P',
      'nothing',
      'graded aluminium, not for P',
    ],
    [
      'graded, for work nobody named',
      { ended: true, grade: 'aluminium', groups: ['N'] },
      null,
      'graded',
      'graded aluminium',
    ],
    ['graded scrap', { ended: true, grade: 'scrap' }, 'P', 'nothing', 'graded scrap'],
    ['lent', { place: 'hand' }, 'P', 'nothing', 'lent out'],
    ['at the grinder', { place: 'regrind' }, 'P', 'nothing', 'away to be ground'],
    ['scrapped', { place: 'scrap' }, 'P', 'nothing', 'scrapped'],
    ['lost', { place: 'lost' }, 'P', 'nothing', 'lost'],
    [
      'in quarantine, good as it may be',
      { place: 'quarantine' },
      null,
      'nothing',
      'in quarantine until somebody has looked at it',
    ],
    ['lent and late', { place: 'hand', daysLate: 3 }, null, 'nothing', 'lent out, 3 days late'],
    [
      'late from the grinder',
      { place: 'regrind', daysLate: 1 },
      null,
      'nothing',
      'away to be ground, 1 day late',
    ],
    ['in a build', { place: 'build' }, 'P', 'nothing', 'stands in a build'],
    ['nowhere', { place: null }, 'P', 'nothing', 'nowhere'],
  ])('%s', (_, over, group, as, why) => expect(countsAs({ ...piece, ...over }, group)).toEqual({ as, why }));
  it('life left is added up in builds too', () =>
    expect(countsAs({ ...piece, place: 'build' }, 'P', true).as).toBe('life left'));
});

describe('what of the shelf is free (common practice: what is kitted for a job is not on the shelf)', () => {
  const kept = [
    { job: 'J-1', quantity: 2, taken: 0 },
    { job: 'J-2', quantity: 3, taken: 2 },
  ];
  it.each<[string, number, readonly string[], number, string | null]>([
    ['less what is kept for all others', 5, [], 2, 'reserved: 2 for J-1, 1 for J-2'],
    ['its own is free for a job', 5, ['J-1'], 4, 'reserved: 1 for J-2'],
    ['never below none', 2, [], 0, 'reserved: 2 for J-1, 1 for J-2'],
    ['all its own', 5, ['J-1', 'J-2'], 5, null],
  ])('%s', (_, unused, jobs, free, words) =>
    expect(freeFor(unused, kept, jobs)).toMatchObject({ free, words }),
  );
  it('more built than was kept keeps nothing', () =>
    expect(freeFor(3, [{ job: 'J-1', quantity: 1, taken: 4 }])).toEqual({ free: 3, kept: [], words: null }));
});
