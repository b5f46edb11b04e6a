import { readProgram, type ToolReport } from './index';

/**
 * The conventions of reading, one by one. Source: RS-274/NGC (NISTIR 6556, 2000) and the common ISO 6983 milling
 * dialect; numbers are hand arithmetic.
 */
const at = 'T1 M6\nS1000 M3\nG0 X0 Y0 Z0\n';
const tool = (body: string): ToolReport => readProgram(at + body).tools[0]!;

describe('text', () => {
  it.each([
    ['spaces inside numbers and words', 'G 1 X 1 0 F 1 0 0'],
    ['small letters', 'g1 x10 f100'],
    ['word order is free', 'F100 X10 G1'],
    ['a line number', 'N0010 G1 X10 F100'],
    ['a comment in the middle', 'G1 (to the (wall) X10 F100'],
    ['a semicolon comment', 'G1 X10 F100 ; X99'],
    ['leading zeros', 'G01 X010. F0100'],
    ['a plus sign', 'G1 X+10 F100'],
    ['no digit before the point', 'G1 X10 F100.'],
    ['carriage returns', 'G1 X10 F100\r'],
  ])('%s', (_, block) =>
    expect(tool(block)).toMatchObject({ cutting_mm: 10, cutting_s: 6, lower_bound: false }),
  );
  it('a semicolon inside parentheses ends nothing', () =>
    expect(tool('(a;b) G1 X10 F100').cutting_mm).toBe(10));
  it('a comment that never closes is named, with what stood before it read', () => {
    const r = readProgram(`${at}G1 X10 F100 (and so on`);
    expect(r.tools[0]!.cutting_mm).toBe(10);
    expect(r.not_understood).toMatchObject([{ line: 4, why: 'comment not closed' }]);
  });
  it('words before a macro on the same line still count', () => {
    const r = readProgram(`${at}G1 X10 F100 Y#5`);
    expect(r.tools[0]).toMatchObject({ cutting_mm: 10, lower_bound: true });
    expect(r.not_understood[0]).toMatchObject({ line: 4, text: 'Y#5' });
  });
  it('line numbers of reports are 1-based over the whole text, blank lines and % counted', () =>
    expect(readProgram('%\n\n(x)\nT1 M6\nG68\n%').not_understood).toMatchObject([{ line: 5, text: 'G68' }]));
  it('old Mac, DOS and Unix line ends', () => {
    for (const end of ['\r', '\r\n', '\n'])
      expect(readProgram(['T1 M6', 'S1 M3', 'G0 X0 Y0 Z0', 'G1 X5 F50'].join(end)).tools[0]!.cutting_mm).toBe(
        5,
      );
  });
  it('an empty program says nothing and assumes mm', () =>
    expect(readProgram('')).toMatchObject({
      tools: [],
      units: [],
      units_assumed: 'mm',
      before_first_tool: null,
      tool_changes: 0,
    }));
});

describe('units and distance', () => {
  it('units in the order stated, and a change in the middle', () => {
    const r = readProgram(`G21\n${at}G1 X10 F100\nG20\nG1 X1. F10.`);
    // 10 mm at 100, then from 10 mm to 25.4 mm at 254 mm/min
    expect(r.units).toEqual(['mm', 'inch']);
    expect(r.tools[0]).toMatchObject({
      cutting_mm: expect.closeTo(25.4, 9),
      cutting_s: expect.closeTo(6 + (15.4 / 254) * 60, 9),
    });
    expect(r.tools[0]!.feeds.map((f) => f.unit)).toEqual(['mm/min', 'inch/min']);
  });
  it('arc centres are incremental whatever G90 says', () =>
    expect(tool('G0 X10\nG90 G2 X0 Y-10 I-10 J0 F100').cutting_mm).toBeCloseTo(5 * Math.PI, 9));
  it('G91 holds for the block it stands in', () =>
    expect(tool('G1 X10 F100\nG91 X10\nX10\nG90 X0').cutting_mm).toBe(60));
  it('feed moves are straight in space', () =>
    expect(tool('G1 X2 Y3 Z-6 F60')).toMatchObject({ cutting_mm: 7, cutting_s: 7 }));
});

describe('feed and spindle', () => {
  it('F and S stay over a change, the spindle does not', () => {
    const r = readProgram(`${at}G1 X10 F100\nT2 M6\nM4\nG1 X20`);
    expect(r.tools[1]).toMatchObject({
      cutting_s: 6,
      spindle: [1000],
      spindle_dir: ['M4'],
      f_words: [],
      s_words: [],
    });
  });
  it('lists S and F words as written, and the S that was in force while feeding', () => {
    const t = tool('S2000\nG1 X10 F100\nS3000 F100\nS3000\nG1 X20 F250');
    expect(t).toMatchObject({ s_words: [1000, 2000, 3000], spindle: [2000, 3000], f_words: [100, 250] });
  });
  it('F0 is no feed: length counts, time does not', () => {
    const r = readProgram(`${at}G1 X10 F0`);
    expect(r.tools[0]).toMatchObject({ cutting_mm: 10, cutting_s: 0, feeds: [] });
    expect(r.warnings.map((w) => w.code)).toEqual(['FEED_MISSING']);
  });
  it('M5 takes effect after the move of its block', () =>
    expect(readProgram(`${at}G1 X10 F100 M5\nG1 X0`).warnings).toMatchObject([
      { code: 'SPINDLE_OFF_FEED', lines: [5] },
    ]));
  it('S0 is a spindle that stands', () =>
    expect(readProgram(`${at}S0\nG1 X10 F100`).warnings.map((w) => w.code)).toEqual(['SPINDLE_OFF_FEED']));
  it('one warning a code and tool, with all its lines', () =>
    expect(
      readProgram('T1 M6\nG0 X0 Y0 Z0\nG1 X1 F10\nX2\nX3\nT2 M6\nX4').warnings.map((w) => [
        w.code,
        w.t,
        w.lines,
      ]),
    ).toEqual([
      ['SPINDLE_OFF_FEED', 1, [3, 4, 5]],
      ['SPINDLE_OFF_FEED', 2, [7]],
    ]));
});

describe('tools', () => {
  it('one entry a tool in order of first use, changes counted', () => {
    const r = readProgram('T3 M6\nT1 M6\nT3 M6');
    expect(r.tools.map((t) => [t.t, t.changes])).toEqual([
      [3, 2],
      [1, 1],
    ]);
    expect(r.tool_sequence).toEqual([3, 1, 3]);
  });
  it('a T word before M6 on an earlier line is the selection', () =>
    expect(readProgram('T5\nG0 X1\nM6').tool_sequence).toEqual([5]));
  it('M6 without any T is named', () =>
    expect(readProgram('M6\nG0 X1').not_understood).toMatchObject([{ line: 1, text: 'M6' }]));
  it('with M6 somewhere, T and M0 are no change', () =>
    expect(readProgram('T1 M6\nT2\nM0\nG0 X1')).toMatchObject({ tool_changes: 1, program_stops: 1 }));
  it('H and D are listed once each', () =>
    expect(tool('G43 H1 Z5\nG43 H1 Z5\nG41 D11 X1 F100\nG40')).toMatchObject({ h: [1], d: [11] }));
  it('H is compared when G43 is read, not before a tool is in', () =>
    expect(readProgram('G43 H4 Z5').warnings).toEqual([]));
});

describe('depth', () => {
  it('a move that starts deep counts its start too', () =>
    expect(tool('G0 Z-4\nG1 Z0 F100').lowest_feed_z_mm).toBe(-4));
  it('a tool that never feeds has no feeding depth, but its own lowest', () =>
    expect(tool('G0 Z-3')).toMatchObject({ lowest_feed_z_mm: null, lowest_z_mm: -3 }));
  it('a helix counts its lowest end', () =>
    expect(tool('G0 X5\nG2 X5 Y0 I-5 J0 Z-2 F100').lowest_feed_z_mm).toBe(-2));
  it('the top half of a G18 arc goes no lower than its ends', () =>
    expect(tool('G0 X-5\nG18 G3 X5 Z0 I5 K0 F100').lowest_feed_z_mm).toBeCloseTo(0, 9));
  it('the other way round it goes by the bottom', () =>
    expect(tool('G0 X-5\nG18 G2 X5 Z0 I5 K0 F100').lowest_feed_z_mm).toBeCloseTo(-5, 9));
  it('exactly at the limit is not below it', () =>
    expect(readProgram(`${at}G1 Z-5 F100`, { zLimitMm: -5 }).warnings).toEqual([]));
  it('G28 goes by way of its point, and then is at home: its place is unknown', () => {
    const t = tool('G0 Z10\nG91 G28 Z0\nG90 G0 X30 Y40');
    // 10 up, 0 by way, 50 over: Z was not named again, X and Y stay known
    expect(t).toMatchObject({ rapid_mm: 60, lowest_z_mm: 0 });
  });
  it('G53 moves count for no length and no depth', () =>
    expect(tool('G53 G0 Z-500\nG53 G0 X-900')).toMatchObject({ rapid_mm: 0, lowest_z_mm: 0 }));
});

describe('drilling cycles', () => {
  const drill = (body: string) => tool(`G0 Z20\n${body}`);
  it('R, Z and Q hold until the series ends, from one cycle to another too', () => {
    const t = drill('G99 G83 X0 Y0 R2 Z-8 Q4 F60\nX10\nG81 X20\nG80');
    expect(t).toMatchObject({ holes: 3, cycles: { G83: 2, G81: 1 }, cutting_mm: 30 });
  });
  it('G80 ends the series: the next one needs its own R and Z', () =>
    expect(readProgram(`${at}G81 X0 R2 Z-8 F60\nG80\nG81 X10 F60`).not_understood).toMatchObject([
      { line: 6, why: expect.stringMatching(/without R and Z/) },
    ]));
  it('a G0 ends the series as well', () => expect(drill('G81 X0 Y0 R2 Z-8 F60\nG0 X10\nX20').holes).toBe(1));
  it('G98 returns to where the series began, or to R if that is higher', () => {
    expect(drill('G98 G81 X0 Y0 R2 Z-8 F60\nG80\nG1 Z0').cutting_mm).toBe(10 + 20);
    expect(tool('G0 Z1\nG98 G81 X0 Y0 R5 Z-5 F60\nG80\nG1 Z0').cutting_mm).toBe(10 + 5);
  });
  it('K repeats like L, and L0 drills nothing', () => {
    expect(drill('G91 G81 X5 R-18 Z-10 K3 F60').holes).toBe(3);
    expect(drill('G81 X5 R2 Z-8 L0 F60').holes).toBe(0);
  });
  it('a peck that does not divide the depth ends with a short one, an exact one with no empty peck', () => {
    // Feed is always R to depth; pecks show in rapid: down and up between them.
    const rapid = (q: number) => drill(`G99 G83 X0 Y0 R0 Z-10 Q${q} F60`).rapid_mm;
    expect(rapid(10)).toBeCloseTo(rapid(99), 9);
    expect(rapid(5) - rapid(10)).toBeCloseTo(10, 9);
    expect(rapid(4) - rapid(10)).toBeCloseTo(8 + 16, 9);
  });
  it('G83 without Q is one feed, and says so', () => {
    const r = readProgram(`${at}G83 X0 R2 Z-8 F60`);
    expect(r.tools[0]).toMatchObject({ cutting_mm: 10, holes: 1 });
    expect(r.not_understood[0]!.why).toMatch(/without a peck/);
  });
  it('a depth above R, a cycle outside G17 and millions of holes are named, not drilled', () => {
    for (const block of [
      'G81 X0 R2 Z8 F60',
      'G18 G81 X0 R2 Z-8 F60',
      'G81 X0 R2 Z-8 L9999999 F60',
      'G83 X0 R2 Z-8 Q0.0001 F60',
    ]) {
      const r = readProgram(at + block);
      expect(r.tools[0]).toMatchObject({ holes: 0, lower_bound: true });
      expect(r.not_understood).toHaveLength(1);
    }
  });
});

describe('what is not read', () => {
  it.each([
    'G68 R45',
    'G92 X0',
    'A90',
    'G41.1 X1',
    'O<sub> CALL',
    'M98 P100',
    'IF [#1 GT 3] GOTO 5',
    'WHILE',
    '~~~',
  ])('%s is listed and marks the tool', (block) => {
    const r = readProgram(`${at}${block}`);
    expect(r.not_understood.length).toBeGreaterThan(0);
    expect(r.tools[0]!.lower_bound).toBe(true);
  });
  it('feed per turn until G94 says minutes again: 6 s each', () => {
    const t = tool('G95 G1 X10 F0.1\nG94 G1 X20 F100');
    expect(t).toMatchObject({ cutting_mm: 20, cutting_s: expect.closeTo(12, 9), lower_bound: false });
  });
  it('stops after a thousand things it does not understand, and says where', () => {
    const r = readProgram(`${at}${'G68\n'.repeat(5000)}`);
    expect(r.not_understood).toHaveLength(1002);
    expect(r.not_understood.at(-1)!.why).toMatch(/reading stopped/);
  });
  it('nothing after M2, and a program without its end is read to its last line', () => {
    expect(tool('G1 X10 F100\nM2\nG1 X99').cutting_mm).toBe(10);
    expect(tool('G1 X10 F100').cutting_mm).toBe(10);
  });
});
