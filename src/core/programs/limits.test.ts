import { LIMITS } from '../limits';
import { readProgram } from './index';

/** Each of these once took a minute and more. The limit of each test is what a reader in linear time needs many times over. */
const SOON = 10_000;
const program = (lines: string) => `G21 G90 G17 G54\nT1 M6\nS3000 M3\nG0 X0 Y0\nG0 G43 H1 Z5\n${lines}\nM30`;
const times = (n: number, of: (i: number) => string) => Array.from({ length: n }, (_, i) => of(i)).join('\n');
const whys = (text: string) => readProgram(text).not_understood.map((n) => n.why);

it(
  'a hundred thousand different feeds, as adaptive paths have them, are all read',
  () => {
    const { tools } = readProgram(program(times(100_000, (i) => `G1 X${i % 2} F${i + 1}`)));
    expect(tools[0]).toMatchObject({ lower_bound: false, highest_feed_mm_min: 100_000 });
    // Worked out by hand: it starts at X0, so that all but the first of the moves are 1 mm long.
    expect(tools[0]!.cutting_mm).toBe(99_999);
    // The lists hold what a person can look through, and say that there were more.
    expect(tools[0]!.f_words).toHaveLength(LIMITS.programValues.most);
    expect(tools[0]!.cut_short).toEqual(['f_words', 'feeds', 'in_force']);
  },
  SOON,
);

it(
  'more tools than a program can have: reading stops, and says so of every tool',
  () => {
    const report = readProgram(times(50_000, (i) => `T${i + 1} M6\nG1 X1 F100`));
    expect(report.tools).toHaveLength(LIMITS.programTools.most + 1);
    expect(report.tools.every((t) => t.lower_bound)).toBe(true);
    expect(report.not_understood.at(-1)?.why).toContain('more than 1000 tools');
  },
  SOON,
);

it('as many tools as one can have are read', () => {
  const report = readProgram(`S1000 M3\n${times(LIMITS.programTools.most, (i) => `T${i + 1} M6`)}\nM30`);
  expect(report.tools).toHaveLength(LIMITS.programTools.most);
  expect(report.not_understood).toEqual([]);
});

it(
  'repeats without an end: reading stops once there are more than can be',
  () => {
    const report = readProgram(program(`G81 X0 Y0 Z-1 R1 F100\n${times(100_000, () => 'X1 L9999')}`));
    expect(report.tools[0]!.holes).toBeLessThan(LIMITS.programRepeats.most + 20_000);
    expect(report.tools[0]!.lower_bound).toBe(true);
    expect(report.not_understood.at(-1)?.why).toContain('holes and pecks');
  },
  SOON,
);

it(
  'eight million blank lines are none',
  () => {
    const { tools, not_understood } = readProgram('\n'.repeat(7_900_000) + program('G1 X10 F100'));
    expect([tools[0]!.cutting_mm, not_understood]).toEqual([10, []]);
  },
  SOON,
);

it('the number of a line is that of the file, whatever its line ends and blank lines', () => {
  for (const end of ['\n', '\r\n', '\r'])
    expect(readProgram(['T1 M6', '', '', 'G4711'].join(end)).not_understood).toMatchObject([
      { line: 4, text: 'G4711' },
    ]);
});

it('a line longer than any control takes is not read, and nothing after it is surely the same tool', () => {
  const report = readProgram(
    `${program('G1 X1 F100').replace('M30', '')}\n${'X1'.repeat(4_000)}\nG1 X2\nM30`,
  );
  expect(report.not_understood).toMatchObject([{ why: expect.stringContaining('4000 characters') }]);
  expect(report.tools[0]!.lower_bound).toBe(true);
});

describe('numbers that overflow are not understood, and no figure is none without a sign', () => {
  it.each([
    ['X of 400 digits', `G1 X${'9'.repeat(400)} F100`],
    ['X of 300 digits, whose square overflows', `G1 X${'9'.repeat(300)} F100`],
    ['a feed so small that the time overflows', `G1 X1 F0.${'0'.repeat(320)}1`],
    ['an arc of 200 digits', `G2 X1 I${'9'.repeat(200)} F100`],
    ['a dwell of 400 digits', `G4 P${'9'.repeat(400)}`],
    ['a depth of 310 digits', `G81 R1 Z-${'9'.repeat(310)} F100`],
  ])('%s', (_, line) => {
    expect(whys(program(line))).toContain('no such number');
    const report = readProgram(program(line));
    expect(report.tools[0]!.lower_bound).toBe(true);
    // JSON writes what is not finite as null: then null would stand where a number was meant.
    const figures = ['cutting_mm', 'cutting_s', 'rapid_mm', 'rapid_known_mm', 'dwell_s'] as const;
    const sent = JSON.parse(JSON.stringify(report.tools[0])) as Record<string, unknown>;
    for (const f of figures) expect(typeof sent[f]).toBe('number');
  });
  it('a millionfold of the largest that is understood stays finite', () => {
    const report = readProgram(program(times(1000, (i) => `G1 X${i % 2 ? '-' : ''}1000000000 F0.000000001`)));
    expect(Number.isFinite(report.tools[0]!.cutting_s)).toBe(true);
  });
});

it('a warning of every line names the first thousand and says how many more', () => {
  const report = readProgram(`T1 M6\nS1 M3\n${times(1500, (i) => `G1 X${i}`)}\nM30`);
  const [missing] = report.warnings.filter((w) => w.code === 'FEED_MISSING');
  expect([missing!.lines.length, missing!.more_lines]).toEqual([1000, 500]);
});
