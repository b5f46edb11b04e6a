import fc from 'fast-check';
import { registerText } from '../measuring';
import {
  asEntered,
  asRead,
  corrected,
  type Correction,
  judgeCorrection,
  registerNumber,
  registerNumbers,
  sinceItsSetter,
  stillCorrects,
  wearToRead,
  whyOther,
} from './index';

const day = (n: number) => new Date(Date.UTC(2027, 0, n));
const correction = (over: Partial<Correction> = {}): Correction => ({
  ...{ register: 'H', place: 'wear', changeMm: -0.03, leftMm: 0.03, edgeSetId: 1, entryId: 10 },
  happenedAt: day(12),
  ...over,
});

// Common practice: a machine's rule, then what was stated of the pocket, then what the program calls.
describe('the numbers a tool’s figures go under', () => {
  it.each([
    ['as its T where H must be T', 7, { h: [17], d: [17] }, true, null, { h: 7, d: 7 }],
    ['as the program calls it', 7, { h: [17], d: [37] }, false, null, { h: 17, d: 37 }],
    ['D beside H where no D is called', 7, { h: [17], d: [] }, false, null, { h: 17, d: 17 }],
    ['H0 and D0 switch off and name nothing', 7, { h: [0, 7], d: [0] }, false, null, { h: 7, d: 7 }],
    ['its own where several are called', 7, { h: [7, 17], d: [7, 17] }, false, null, { h: 7, d: 7 }],
    ['its T where only others are, and several', 7, { h: [17, 18], d: [] }, false, null, { h: 7, d: 7 }],
    ['as the pocket says, before all', 7, { h: [7], d: [7] }, true, { h: 107, d: 207 }, { h: 107, d: 207 }],
  ] as const)('%s', (_, t, called, equal, pocket, numbers) =>
    expect(registerNumbers(t, called, equal, pocket)).toEqual(numbers),
  );
});

describe('which corrections still count', () => {
  const since = { edgeSetId: 1, measured: { happenedAt: day(10), entryId: 5 }, figures: day(1) };
  it.each([
    ['made since it was measured', {}, since, 1],
    [
      'measured again: the wear is in its length',
      {},
      { ...since, measured: { happenedAt: day(13), entryId: 11 } },
      0,
    ],
    ['of the same moment the later entry', { happenedAt: day(10), entryId: 4 }, since, 0],
    ['of the same moment, after it', { happenedAt: day(10), entryId: 6 }, since, 1],
    ['never measured here: a machine’s own setter', {}, { ...since, measured: null }, 1],
    ['other edges', { edgeSetId: 2 }, since, 0],
    ['H from before a new K', {}, { ...since, figures: day(13) }, 0],
    ['D, which K is nothing to', { register: 'D' }, { ...since, figures: day(13) }, 1],
  ] as const)('%s', (_, over, at, count) =>
    expect(stillCorrects([correction(over)], at)).toHaveLength(count),
  );
  it('adds them up by where they went and what they move', () =>
    expect(
      corrected([
        correction(),
        correction({ changeMm: 0.01 }),
        correction({ register: 'D', place: 'register', changeMm: 0.5 }),
      ]),
    ).toEqual({ wear: { H: expect.closeTo(-0.02, 12), D: 0 }, register: { H: 0, D: 0.5 } }));
});

// Hand arithmetic; -0.0012 in is 0.03048 mm.
it.each([
  [-0.03004, '-395.888', 'mm', '−0.030', '−395.918'],
  [0.03, null, 'mm', '0.030', null],
  [-0.03, '−13.6884', 'inch', '−0.0012', '−13.6896'],
  [0.0004, '0.000', 'mm', '0.000', '0.000'],
  [-0.03, 'five', 'mm', '−0.030', null],
] as const)('%s mm after %s in %s: %s, then %s', (change, before, unit, added, after) =>
  expect(asEntered(change, before, unit)).toMatchObject({ added, after }),
);
// A control of four digits, and one of two (hand arithmetic).
it('goes in with the digits that the control has, and is read back to half of the last', () => {
  const four = { units: 'mm', digits: 4 } as const;
  const two = { units: 'mm', digits: 2 } as const;
  expect(asEntered(-0.03004, '-395.8881', four)).toMatchObject({ added: '−0.0300', after: '−395.9181' });
  expect(asEntered(-0.03004, '-395.89', two)).toMatchObject({ added: '−0.03', after: '−395.92' });
  expect(asRead('-395.9', { units: 'inch', digits: 5 })).toBe('−395.90000');
  expect(whyOther('-395.8884', '−395.8881', four)).toBe('it is another figure');
  expect(whyOther('-395.8884', '−395.888', 'mm')).toBeNull();
  expect(registerText({ value: -395.888 }, two)).toBe('−395.89');
  expect(registerText({ value: 25.4 }, { units: 'inch', digits: null })).toBe('1.0000');
});
it('what is shown after is what was before and what is said to be added, to the last digit', () =>
  fc.assert(
    fc.property(
      fc.integer({ min: -900_000, max: 900_000 }),
      fc.double({ min: -2, max: 2, noNaN: true }),
      (thousandths, change) => {
        const before = (thousandths / 1000).toFixed(3);
        const { added, after } = asEntered(change, before, 'mm');
        expect(registerNumber(after!)).toBeCloseTo(Number(before) + registerNumber(added)!, 9);
      },
    ),
    { numRuns: 300, seed: 4 },
  ));

describe('what a correction is asked about besides its size', () => {
  const control = { name: 'H7', form: 'mm', before: null, believed: null } as const;
  const codes = (left: number, earlier: Correction[], c: object = {}) =>
    judgeCorrection({ register: 'H', left }, earlier, { ...control, ...c }).map((j) => j.code);
  it('what is in the control must be what was left there', () => {
    expect(codes(0.01, [], { before: '-395.888', believed: '−395.888' })).toEqual([]);
    expect(codes(0.01, [], { before: '-395.978', believed: '−395.888' })).toEqual(['NOT_AS_LEFT']);
    expect(codes(0.01, [], { before: '-395.888' })).toEqual([]);
  });
  it('small ones add up; the first takes up what measuring and machine differ by, and counts for nothing', () => {
    const small = (leftMm: number) => correction({ leftMm });
    expect(codes(0.04, [small(0.3), small(0.04)])).toEqual([]);
    expect(codes(0.04, [small(0.3), small(0.04), small(0.04)])).toEqual(['IN_ALL']);
    expect(codes(0.04, [correction({ register: 'D', leftMm: 0.4 })])).toEqual([]);
    // What only proved the register as it is adds nothing.
    expect(codes(0.04, [small(0), small(0.04), correction({ leftMm: 0.04, changeMm: 0 })])).toEqual([]);
  });
});

describe('a machine that measures its tools itself', () => {
  const now = { tag: 'A-0012', wouldBe: '−347.684', unit: 'mm', figures: day(1) } as const;
  const read = (h: string | null, over: object = {}) => ({
    ...{ tag: 'A-0012', h, d: null, happenedAt: day(12) },
    ...over,
  });
  it.each([
    ['never read', now, null, 'new'],
    ['read for another tool', now, read('−347.684', { tag: 'A-0011' }), 'new'],
    ['close to what was measured', now, read('-347.671'), 'same'],
    ['far from it', now, read('-347.571'), 'changed'],
    ['a scale of inches', { ...now, unit: 'inch', wouldBe: '−13.6884' }, read('-13.6924'), 'changed'],
    ['not measured by the crib at all', { ...now, wouldBe: null }, read('-300'), 'same'],
    ['before its figures changed', { ...now, figures: day(13) }, read('-347.684'), 'changed'],
    ['taken out', null, read('-347.684'), 'gone'],
  ] as const)('%s: %s', (_, a, given, state) => expect(sinceItsSetter(a, given)?.state).toBe(state));
  it('says how far apart both are', () =>
    expect(sinceItsSetter(now, read('-347.671'))?.words).toBe(
      '0.013 mm from what was measured here (−347.684)',
    ));
});

it.each([
  [{ due: '0.000', had: null }, false],
  [{ due: '−0.030', had: null }, true],
  [{ due: '−0.030', had: '−0.030' }, false],
  [{ due: '0.000', had: '−0.030' }, true],
])('wear %j is to be read: %s', (wear, is) => expect(wearToRead(wear)).toBe(is));
