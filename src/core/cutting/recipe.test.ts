import {
  byTrust,
  chipsAtMost,
  feedAs,
  feedText,
  feedWords,
  notFor,
  type Recipe,
  removalOf,
  speedWords,
  turnsOf,
} from './index';

/** Speeds by n = 1000 Vc / (π D), worked beside each; what a recipe covers is common practice. */
const RECIPE: Recipe = {
  code: 'R-0001',
  state: 'proven',
  item: 'EM10',
  family: null,
  diameters: null,
  material: 'C45',
  machine: null,
  cut: 'roughing',
  speed: { as: 'Vc', least: 120, most: 150 },
  feed: { as: 'tooth', least: 0.05, most: 0.06 },
  ap: 10,
  ae: 3,
  ramp: 3,
  coolant: 'flood',
  replacedBy: null,
};
const cutter = { item: 'EM10', family: 'square', DC: 10 } as const;
const ANY: Recipe = { ...RECIPE, item: null, family: 'square', diameters: { least: 8, most: 12 } };

it.each([
  ['the very cutter', RECIPE, cutter, 'C45', 'M2', []],
  ['another one', RECIPE, { ...cutter, item: 'EM8' }, 'C45', 'M2', ['is for EM10, this is EM8']],
  ['a family between two diameters', ANY, { ...cutter, item: 'EM12', DC: 12 }, 'C45', 'M2', []],
  [
    'half an inch is beside it',
    ANY,
    { ...cutter, DC: 12.7 },
    'C45',
    'M2',
    ['is for square 8 to 12 mm, this is EM10'],
  ],
  [
    'another family',
    ANY,
    { ...cutter, family: 'ball' },
    'C45',
    'M2',
    ['is for square 8 to 12 mm, this is EM10'],
  ],
  ['another material', RECIPE, cutter, '42CrMo4', 'M2', ['is for C45, this is 42CrMo4']],
  ['its machine', { ...RECIPE, machine: 'M2' }, cutter, 'C45', 'M2', []],
  ['another machine', { ...RECIPE, machine: 'M1' }, cutter, 'C45', 'M2', ['is for M1, this is M2']],
] as const)('covers %s', (_, recipe, of, material, machine, want) =>
  expect(notFor(recipe, of, material, machine)).toEqual(want),
);

it('its turns on a diameter: 120 and 150 m/min on 10 mm are 3820 and 4775; feet are metres first', () => {
  expect(turnsOf(RECIPE, 10)).toEqual({
    least: expect.closeTo(3819.72, 2),
    most: expect.closeTo(4774.65, 2),
  });
  // 400 ft/min on 12.7 mm (12 x 400 / (π x 0.5) = 3055.8).
  const feet = { speed: { as: 'Vc ft', least: 400, most: 400 } } as const;
  expect(turnsOf(feet, 12.7)?.most).toBeCloseTo(3055.77, 2);
  expect(turnsOf({ speed: { as: 'n', least: 900, most: 900 } }, 3)).toEqual({ least: 900, most: 900 });
  expect(turnsOf({ speed: null }, 10)).toBeNull();
});

it('a feed in the measure it was stated in; unknown is never zero', () => {
  expect(feedAs('tooth', 0.2, 4775, 4)).toBeCloseTo(0.05, 12);
  expect(feedAs('turn', 0.2, null, null)).toBe(0.2);
  expect(feedAs('minute', 0.2, 4775, null)).toBeCloseTo(955, 9);
  expect([
    feedAs('tooth', 0.2, 4775, null),
    feedAs('minute', 0.2, null, 4),
    feedAs('turn', null, 1, 1),
  ]).toEqual([null, null, null]);
});

it('the proven ones first, the newest of each first', () => {
  const of = (code: string, state: Recipe['state']) => ({ code, state });
  const list = [
    of('R-0002', 'rejected'),
    of('R-0009', 'not tried'),
    of('R-0001', 'proven'),
    of('R-0010', 'proven'),
  ];
  expect(byTrust(list).map((r) => r.code)).toEqual(['R-0010', 'R-0001', 'R-0009', 'R-0002']);
});

it('says itself in a few words', () => {
  expect([speedWords(RECIPE), feedWords(RECIPE, String, 'mm')]).toEqual([
    'Vc 120 to 150 m/min',
    '0.05 to 0.06 mm a tooth',
  ]);
  expect(speedWords({ speed: { as: 'n', least: 900, most: 900 } })).toBe('n 900 rev/min');
  expect([feedText(0.05, 'tooth'), feedText(955.2, 'minute')]).toEqual([
    '0.05 mm a tooth',
    '955 mm a minute',
  ]);
  expect([speedWords({ speed: null }), feedWords({ feed: null }, String, 'mm')]).toEqual([null, null]);
});

// By hand: 2 × 10 × 4 × 0.05 × 4775 = 19 100 mm³/min; a feed in mm/min asks for neither speed nor teeth.
describe('what a recipe takes off', () => {
  const of = (over: Partial<Recipe>, teeth: number | null = 4) =>
    removalOf(
      {
        ...RECIPE,
        ...{ speed: { as: 'n', least: 4775, most: 4775 }, feed: { as: 'tooth', least: 0.05, most: 0.06 } },
        ...{ ap: 10, ae: 2 },
        ...over,
      },
      { DC: 10, teeth },
    );
  const near = (q: ReturnType<typeof of>) => q && [Math.round(q.least), Math.round(q.most)];
  it.each([
    ['by the tooth', {}, 4, [19_100, 22_920]],
    ['nobody knows how many teeth', {}, null, null],
    [
      'by the turn, whatever its teeth',
      { feed: { as: 'turn', least: 0.2, most: 0.2 } },
      null,
      [19_100, 19_100],
    ],
    [
      'mm/min, at whatever speed',
      { speed: null, feed: { as: 'minute', least: 955, most: 955 } },
      null,
      [19_100, 19_100],
    ],
    ['by the tooth at no stated speed', { speed: null }, 4, null],
    [
      'Vc on its diameter: 150 m/min is 4774.6',
      { speed: { as: 'Vc', least: 150, most: 150 } },
      4,
      [19_099, 22_918],
    ],
    ['no depth', { ap: null }, 4, null],
    ['no width', { ae: null }, 4, null],
    ['no feed', { feed: null }, 4, null],
  ] as const)('%s', (_, over, teeth, q) => expect(near(of(over, teeth))).toEqual(q));
});

// By hand: 2 m at 4 × 7 is 56 cm³; π/4 × 10² × 30 = 2356 mm³.
it('chips at most: of all ways or of none', () => {
  const r = (ap: number | null, ae: number | null) => ({ ap, ae });
  expect(chipsAtMost([{ mm: 2000, recipe: r(4, 7) }], null)).toBe(56_000);
  expect(
    chipsAtMost(
      [
        { mm: 2000, recipe: r(4, 7) },
        { mm: 100, recipe: r(1, 1) },
      ],
      null,
    ),
  ).toBe(56_100);
  expect(
    chipsAtMost(
      [
        { mm: 2000, recipe: r(4, 7) },
        { mm: 100, recipe: null },
      ],
      null,
    ),
  ).toBeNull();
  expect(chipsAtMost([{ mm: null, recipe: r(4, 7) }], null)).toBeNull();
  expect(chipsAtMost([{ mm: 2000, recipe: r(4, null) }], null)).toBeNull();
  expect(chipsAtMost([{ mm: 30, recipe: null }], { DC: 10 })).toBeCloseTo(2356.194, 3);
  expect(chipsAtMost([], { DC: 10 })).toBeNull();
});
