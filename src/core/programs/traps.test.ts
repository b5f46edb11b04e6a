import fc from 'fast-check';
import { readProgram, type ReadOptions, type ToolReport } from './index';

/**
 * Short programs, each with one trap, worked out by hand on the conventions of RS-274/NGC (NISTIR 6556, 2000) and the
 * common ISO 6983 dialects (from memory): no figure may be larger than the truth without a mark.
 */
const AT = 'T1 M6\nS1000 M3\nG0 X0 Y0 Z0\n';
const at = (body: string, options: Partial<ReadOptions> = {}): ToolReport =>
  readProgram(AT + body, options).tools[0]!;

interface Says {
  cutting?: number;
  seconds?: number;
  lowest?: number | null;
  bound: boolean;
}
const TRAPS: [name: string, body: string, says: Says][] = [
  // Codes with axis words that move nothing
  [
    'G92 sets a zero while G1 is in force: 10 mm were cut, not 110',
    'G1 X10 F100\nG92 X110',
    { cutting: 10, bound: true },
  ],
  [
    'after G92 the place is not known from there: its next way is not counted',
    'G1 X10 F100\nG92 X0\nX5',
    { cutting: 10, bound: true },
  ],
  ['G52 shifts: depths under it are none', 'G52 Z-20\nG1 Z-5 F100', { lowest: null, bound: true }],
  [
    'G52 back to zero ends it for the depth',
    'G52 Z-20\nG52 Z0\nG0 Z0\nG1 Z-5 F100',
    { lowest: -5, bound: true },
  ],
  [
    'G10 writes an offset and moves nothing',
    'G1 X10 F100\nG10 L2 P1 Z-300',
    { cutting: 10, lowest: 0, bound: false },
  ],
  [
    'G10 writes a tool length: its H and R are no word of the cut',
    'G1 X10 F100\nG10 L11 P5 R120',
    { cutting: 10, bound: false },
  ],
  [
    'a way after G10 begins where nobody knows',
    'G1 X10 F100\nG10 L2 P1 X5\nG1 X40',
    { cutting: 10, bound: true },
  ],
  [
    'G31 feels its way: how far is not known',
    'G31 Z-50 F50\nG1 X10 F100',
    { cutting: 0, lowest: null, bound: true },
  ],
  [
    'G65 calls a macro with Z as its argument',
    'G1 X10 F100\nG65 P9010 Z-40',
    { cutting: 10, lowest: 0, bound: true },
  ],
  [
    'G68 turns the plane: lengths are as written, marked',
    'G68 X0 Y0 R30\nG0 X0\nG1 X10 F100',
    { cutting: 10, lowest: null, bound: true },
  ],
  [
    'G51 halves everything: no length is booked',
    'G51 X0 Y0 P0.5\nG0 X0 Y0\nG1 X10 F100',
    { cutting: 0, seconds: 0, bound: true },
  ],
  [
    'G50 ends G51: what is cut then counts',
    'G51 X0 Y0 P0.5\nG50\nG0 X0 Y0 Z0\nG1 X10 F100',
    { cutting: 10, bound: true },
  ],
  ['G16: X is a radius and Y an angle', 'G16\nG0 X0 Y0\nG1 X10 Y90 F100', { cutting: 0, bound: true }],
  ['G15 ends G16', 'G16\nG15\nG0 X0 Y0\nG1 X10 F100', { cutting: 10, bound: true }],
  // Words of an unread block
  [
    'the F of a dwell is no feed: 10 mm at 100, not at 2',
    'G1 X10 F100\nG4 F2\nG1 X20',
    { cutting: 20, seconds: 12, bound: true },
  ],
  [
    'the P of a dwell is time, and no feed either',
    'G1 X10 F100\nG4 P2\nG1 X20',
    { cutting: 20, seconds: 12, bound: false },
  ],
  [
    'F beside a code that is not read is perhaps none',
    'G1 X10 F100\nG5.1 Q1 F5000\nG1 X20',
    { cutting: 20, seconds: 12, bound: true },
  ],
  [
    'an F that is a variable leaves no feed to reckon with',
    'G1 X10 F100\nG1 X20 F#501\nX30',
    { cutting: 30, seconds: 6, bound: true },
  ],
  [
    'an axis that is a variable is nowhere: the next way along it is not counted',
    'G1 X10 F100\nX#1\nX30',
    { cutting: 10, bound: true },
  ],
  ['the other axes are where they were', 'G1 X10 F100\nX#1\nY7', { cutting: 17, bound: true }],
  ['a letter without its number too', 'G1 X10 F100\nX\nX30', { cutting: 10, bound: true }],
  ['a number that is none', `G1 X10 F100\nX${'9'.repeat(400)}\nX30`, { cutting: 10, bound: true }],
  // Cycles
  [
    'after a cycle that is not read the tool is nowhere',
    'G0 Z5\nG87 X10 Y0 Z-12 R2 F500\nX30\nG80\nG1 X40 F100',
    { cutting: 0, lowest: null, bound: true },
  ],
  [
    'its place is found again by a way to it',
    'G0 Z5\nG87 X10 Y0 Z-12 R2 F500\nG80\nG0 X0 Y0 Z0\nG1 X10 F100',
    { cutting: 10, lowest: 0, bound: true },
  ],
  [
    'Q of a fine boring cycle is a shift, not a peck',
    'G76 X0 Y0 Z-20 R2 Q0.2 F40\nG80',
    { cutting: 22, seconds: 33, bound: false },
  ],
  [
    'a hole drilled from a place that is not known is as long as it is, and no depth',
    'G65 P1\nG91 G81 X5 R-8 Z-10 F60',
    { cutting: 10, lowest: null, bound: true },
  ],
  // Places
  ['home is no place to feed from', 'G28 G91 Z0\nG90 G1 Z-5 F100', { cutting: 0, lowest: -5, bound: true }],
  ['nor is a place of the machine', 'G53 G0 Z-100\nG1 Z-5 F100', { cutting: 0, lowest: -5, bound: true }],
  [
    'an axis that did not go home is where it was',
    'G28 G91 Z0\nG90 G1 X10 F100',
    { cutting: 10, lowest: null, bound: false },
  ],
  ['an arc from nowhere has no length', 'G28 G91 X0 Y0\nG90 G2 X10 Y0 I5 F100', { cutting: 0, bound: true }],
  ['relative ways from nowhere lead nowhere', 'G65 P1\nG91 G1 X10 F100', { cutting: 0, bound: true }],
  // Feed modes
  [
    'inverse time: half a minute whatever the way',
    'G93 G1 X10 F2',
    { cutting: 10, seconds: 30, bound: false },
  ],
  [
    'inverse time is its own block’s: the next has none',
    'G93 G1 X10 F2\nX20',
    { cutting: 20, seconds: 30, bound: true },
  ],
  [
    '0.1 a turn at 1000 turns is 100 a minute: 6 s',
    'G95 G1 X10 F0.1',
    { cutting: 10, seconds: 6, bound: false },
  ],
  ['a feed a turn is no feed a minute', 'G95 G1 X10 F0.1\nG94 X20', { cutting: 20, seconds: 6, bound: true }],
  [
    'a feed a turn with the spindle off takes how long?',
    'M5\nG95 G1 X10 F0.1',
    { cutting: 10, seconds: 0, bound: true },
  ],
  [
    'a feed a turn at a speed that is a variable takes how long?',
    'G95 S#1\nG1 X10 F0.1',
    { cutting: 10, seconds: 0, bound: true },
  ],
  [
    'a speed that is a variable changes no feed a minute',
    'S#1\nG1 X10 F100',
    { cutting: 10, seconds: 6, bound: true },
  ],
  // Calls and flow
  [
    'a change to a tool that is a variable: what follows is not surely work of the one before',
    'G1 X10 F100\nT#1 M6\nG1 X20',
    { cutting: 10, bound: true },
  ],
  ['an M that is a variable', 'G1 X10 F100\nM#1\nG1 X20', { cutting: 10, bound: true }],
  [
    'a subprogram that is not in the program may leave anything behind',
    'G1 X10 F100\nM98 P100\nG1 X20',
    { cutting: 10, bound: true },
  ],
  ['a jump', 'G1 X10 F100\nIF [#1 GT 3] GOTO 5\nG1 X20', { cutting: 10, bound: true }],
  [
    'an unread M beside the cut: the way is what it is',
    'G1 X10 F100\nM51\nG1 X20',
    { cutting: 20, seconds: 12, bound: true },
  ],
  ['path modes change no length', 'G64\nG1 X10 F100\nG61\nX20', { cutting: 20, seconds: 12, bound: false }],
  // Text
  [
    'what a comment holds is no word of the program',
    'G1 X10 F100 (Z-40 F900)\nX20 ; X90',
    { cutting: 20, seconds: 12, bound: false },
  ],
];

it('has at least 40 of them', () => expect(TRAPS.length).toBeGreaterThanOrEqual(40));

it.each(TRAPS)('%s', (_, body, says) => {
  const t = at(body);
  expect({
    cutting: says.cutting === undefined ? undefined : Number(t.cutting_mm.toFixed(6)),
    seconds: says.seconds === undefined ? undefined : Number(t.cutting_s.toFixed(6)),
    lowest: says.lowest === undefined ? undefined : t.lowest_feed_z_mm,
    bound: t.lower_bound,
  }).toEqual({ cutting: says.cutting, seconds: says.seconds, lowest: says.lowest, bound: says.bound });
});

describe('a code that stays in force marks every tool until it is ended', () => {
  const two = (between: string, end: string) =>
    readProgram(
      `T1 M6\nS1000 M3\nG0 X0 Y0 Z0\n${between}\nG0 X0 Y0 Z0\nG1 X10 F100\nT2 M6\n${end}\nT3 M6\nM3\nG0 X0 Y0 Z0\nG1 X10`,
    ).tools.map((t) => t.lower_bound);
  it.each([
    ['G68 R45', 'G69'],
    ['G92 Z5', 'G92.1'],
    ['G52 X5', 'G52 X0 Y0 Z0'],
    ['G51.1 X0', 'G50.1 X0'],
    ['G16', 'G15'],
    ['G43.4 H1', 'G49'],
    ['G96 S100', 'G97'],
    ['G66 P9001', 'G67'],
  ])('%s until %s', (begin, end) => {
    expect(two(begin, '')).toEqual([true, true, true]);
    expect(two(begin, end)).toEqual([true, true, false]);
  });
  it('nothing is known to end a code that nobody knows', () =>
    expect(two('G123', 'G69')).toEqual([true, true, true]));
});

describe('what is called and what is named', () => {
  it('a T that nothing changes to is listed, marked and warned of', () => {
    const r = readProgram(`${AT}T9\nG1 X10 F100`);
    expect(r.tools.map((t) => [t.t, t.changes])).toEqual([
      [1, 1],
      [9, 0],
    ]);
    expect(r.tools[1]!.lower_bound).toBe(true);
    expect(r.warnings).toMatchObject([{ code: 'T_WITHOUT_CHANGE', t: 9, lines: [4] }]);
  });
  it('one that waits for the next run of the program is none of those', () =>
    expect(readProgram('T1 M6\nT2\nG0 X1\nM6\nT1\nM30').warnings).toEqual([]));
  it.each([
    ['beside the change', 'T8 M6 (TAP M8)'],
    ['with its own T before it', 'T8 M6 (T8: TAP M8)'],
    ['beside the T alone', 'T8 (TAP M8)\nG0 X1\nM6'],
    ['on the line before', '(TAP M8)\nN10 T8 M6'],
    ['in the list at the top', '%\n(T8 TAP M8)\n(T9 DRILL)\nG21\nT8 M6'],
    ['in such a list with a colon', '(T08: TAP M8)\nG21\nT8 M6'],
    ['behind a semicolon', 'T8 M6 ; TAP M8'],
  ])('a tool is called what its comment says: %s', (_, text) =>
    expect(readProgram(text).tools.find((t) => t.t === 8)).toMatchObject({ name: 'TAP M8' }),
  );
  it('without a comment it has no name', () => expect(at('G1 X1 F1').name).toBeNull());
  it('the program’s number is no code, another in the middle is', () => {
    expect(readProgram(`%\nO1234 (COVER)\n${AT}G1 X10 F100`).not_understood).toEqual([]);
    expect(readProgram(`${AT}O1234`).not_understood).toHaveLength(1);
  });
  it('offsets beyond G59', () =>
    expect(readProgram(`${AT}G54.1 P5\nG1 X1 F1\nG59.2\nX2`)).toMatchObject({
      work_offsets_while_feeding: ['G54.1 P5', 'G59.2'],
      not_understood: [],
    }));
  it('a program that writes offsets itself is warned of', () =>
    expect(readProgram(`${AT}G10 L11 P5 R120`).warnings).toMatchObject([
      { code: 'OFFSET_WRITTEN', lines: [4] },
    ]));
  it('the deepest hole is from R to its depth, the highest feed in mm a minute by any mode', () => {
    const t = at('G0 Z20\nG81 X0 Y0 R2 Z-48 F60\nX10 Z-8\nG80\nG0 Z0\nG95 G1 X20 F0.5');
    expect(t).toMatchObject({ deepest_hole_mm: 50, highest_feed_mm_min: 500 });
    expect(at('G0 X1')).toMatchObject({ deepest_hole_mm: null, highest_feed_mm_min: null });
  });
});

describe('a number without a point', () => {
  const r = (withoutPoint: ReadOptions['withoutPoint']) =>
    readProgram(`${AT}G1 X10 Y0 F100\nX20.`, { withoutPoint });
  it('is read as written and asked about where the machine’s rule is not known', () => {
    expect(r(null).tools[0]).toMatchObject({ cutting_mm: 20 });
    expect(r(null).warnings).toMatchObject([{ code: 'NO_POINT', t: 1, lines: [4] }]);
  });
  it('is what is written on one control, a hundredth of a millimetre on another', () => {
    expect(r('as written')).toMatchObject({ warnings: [] });
    expect(r('least increment').tools[0]!.cutting_mm).toBeCloseTo(20, 9);
    expect(
      readProgram(`${AT}G1 X10 F100`, { withoutPoint: 'least increment' }).tools[0]!.cutting_mm,
    ).toBeCloseTo(0.01, 9);
    expect(
      readProgram(`G20\n${AT}G1 X10 F1`, { withoutPoint: 'least increment' }).tools[0]!.cutting_mm,
    ).toBeCloseTo(0.0254, 9);
  });
  it('0 is 0 either way', () => expect(readProgram(`${AT}G1 X0 Y0 F100`).warnings).toEqual([]));
});

it('a foreign code put in anywhere never gives other figures without a mark', () => {
  const PROGRAM = [
    'G21 G90 G17',
    'T1 M6 (SQUARE)',
    'S1000 M3',
    'G0 X0. Y0. Z5.',
    'G1 Z-5. F100.',
    'X30. F200.',
    'G2 X40. Y10. I0. J10.',
    'G1 Y30.',
    'G0 Z5.',
    'T2 M6',
    'S900 M3',
    'G0 X0. Y0. Z5.',
    'G99 G81 X5. Y5. R2. Z-8. F60.',
    'X15.',
    'G80',
    'T3 M6',
    'S2000 M3',
    'G0 X0. Y0. Z2.',
    'G1 X10.',
    'Z-3.',
    'M30',
  ];
  const figures = (t: ToolReport) => [t.cutting_mm, t.cutting_s, t.lowest_feed_z_mm, t.holes, t.dwell_s];
  const truth = new Map(readProgram(PROGRAM.join('\n')).tools.map((t) => [t.t, t]));
  const code = fc.oneof(
    fc.constantFrom(
      'G92 X5',
      'G92 Z0',
      'G52 X1 Y2',
      'G10 L2 P1 Z-3',
      'G68 R30',
      'G51 P0.5',
      'G16',
      'G31 Z-9 F40',
      'G65 P9000 X3',
      'G87 X5 Z-3 R1 F300',
      'G77 X1 Z-9 R1 Q2 F80',
      'G5.1 Q1',
      'G43.4 H3',
      'M98 P77',
      'M29',
      'G4 F3',
      '#1=5',
      'X#1',
      'F#2',
      'GOTO 20',
      'G12 I5 F900',
      'G60 X3',
      'A90',
      'G96 S120',
      'G7',
      'G90.1',
      'G30 Z0',
    ),
    fc
      .tuple(fc.integer({ min: 0, max: 200 }), fc.constantFrom('', ' X9', ' Z-7', ' F3000', ' S9', ' I4 J4'))
      .map(([n, rest]) => `G${n}.7${rest}`),
  );
  fc.assert(
    fc.property(fc.integer({ min: 0, max: PROGRAM.length - 1 }), code, (line, foreign) => {
      const program = [...PROGRAM.slice(0, line), foreign, ...PROGRAM.slice(line)].join('\n');
      for (const t of readProgram(program).tools) {
        const was = truth.get(t.t)!;
        if (JSON.stringify(figures(t)) !== JSON.stringify(figures(was)))
          expect([foreign, t.t, t.lower_bound]).toEqual([foreign, t.t, true]);
      }
    }),
    { seed: 5, numRuns: 2000 },
  );
});
