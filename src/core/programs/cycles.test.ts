import { readProgram, type ReadOptions, type ToolReport } from './index';

/**
 * Fixed cycles, worked out by hand on RS-274/NGC (NISTIR 6556, 2000), 3.5.16, and for G73, G74 and G76 on the common ISO
 * 6983 milling dialects (from memory). Each stands at Z20, comes to R2 and goes 10 mm deep at 60 mm/min: 10 s a way.
 */
const HEAD = 'G21 G90 G17 G94\nT1 M6\nS500 M3\nG0 X0 Y0 Z20\n';
const tool = (body: string, options: Partial<ReadOptions> = {}): ToolReport =>
  readProgram(HEAD + body, options).tools[0]!;

describe('what each cycle feeds, and what it takes', () => {
  it.each([
    ['G73 in pecks, which only break the chip', 'G73 X0 Y0 R2 Z-8 Q4 F60', 10, 0],
    ['G74 in and out at feed: a left-hand thread', 'G74 X0 Y0 R2 Z-8 F60', 20, 0],
    ['G76 fine boring: out at rapid', 'G76 X0 Y0 R2 Z-8 Q0.3 F60', 10, 0],
    ['G81', 'G81 X0 Y0 R2 Z-8 F60', 10, 0],
    ['G82 with a dwell at the bottom', 'G82 X0 Y0 R2 Z-8 P0.5 F60', 10, 0.5],
    ['G83 in pecks', 'G83 X0 Y0 R2 Z-8 Q4 F60', 10, 0],
    ['G84 in and out at feed', 'G84 X0 Y0 R2 Z-8 F60', 20, 0],
    ['G85 in and out at feed', 'G85 X0 Y0 R2 Z-8 F60', 20, 0],
    ['G86 out with the spindle standing', 'G86 X0 Y0 R2 Z-8 P1 F60', 10, 1],
    ['G88 out by hand', 'G88 X0 Y0 R2 Z-8 P1 F60', 10, 1],
    ['G89 with a dwell, in and out at feed', 'G89 X0 Y0 R2 Z-8 P2 F60', 20, 2],
  ])('%s', (_, block, feed, dwell) => {
    const t = tool(`${block}\nG80`);
    const code = block.slice(0, 3);
    expect(t).toMatchObject({
      cutting_mm: feed,
      cutting_s: feed,
      dwell_s: dwell,
      holes: 1,
      cycles: { [code]: 1 },
      lowest_feed_z_mm: -8,
      deepest_hole_mm: 10,
      deepest_hole_line: 5,
      lower_bound: false,
    });
  });

  it('every one of them is back where it began, so that the next move is known', () => {
    // From Z20 down to Z0 at the end: 20 mm, whatever the cycle did between.
    for (const g of [73, 74, 76, 81, 82, 83, 84, 85, 86, 88, 89]) {
      const t = tool(`G98 G${g} X0 Y0 R2 Z-8 Q4 F60\nG80\nG1 Z0`);
      const ways = [74, 84, 85, 89].includes(g) ? 2 : 1;
      expect([g, t.cutting_mm]).toEqual([g, 10 * ways + 20]);
    }
  });
  it('G84 comes out at feed to R, and from there at rapid: 18 mm less than all of it at rapid', () => {
    const rapid = (g: number) => tool(`G98 G${g} X0 Y0 R2 Z-8 F60`).rapid_mm;
    expect(rapid(81) - rapid(84)).toBeCloseTo(10, 9);
  });
  it('G73 has no way to R between its pecks, G83 has', () => {
    const rapid = (g: number) => tool(`G99 G${g} X0 Y0 R2 Z-8 Q4 F60`).rapid_mm;
    // Pecks end 4 and 8 below R: out and back 2 × 4 and 2 × 8.
    expect(rapid(83) - rapid(73)).toBeCloseTo(24, 9);
  });
  it('a dwell is one at every hole', () =>
    expect(tool('G82 X0 Y0 R2 Z-8 P0.5 F60\nX10\nX20\nG80').dwell_s).toBe(1.5));
  it('R, Z, Q and P hold from one cycle to another', () =>
    expect(tool('G83 X0 Y0 R2 Z-8 Q4 P0.5 F60\nG82 X10\nG84 X20\nG80')).toMatchObject({
      cycles: { G83: 1, G82: 1, G84: 1 },
      cutting_mm: 40,
      dwell_s: 1.5,
    }));
  it('an R alone in a series drills nothing, and holds for the next hole', () =>
    expect(tool('G99 G81 X0 Y0 R2 Z-8 F60\nR5\nX10\nG80')).toMatchObject({ holes: 2, cutting_mm: 23 }));
  it('G91 with L: each hole a way further, R and Z each from where it is', () =>
    expect(tool('G91 G99 G82 X10 R-18 Z-10 P1 L3 F60\nG80\nG90 G1 X30 Z2')).toMatchObject({
      holes: 3,
      // Three holes; it stands at X30 Z2 then, so that the last move is none.
      cutting_mm: 30,
      dwell_s: 3,
    }));
  it('by a turn: pitch 1.25 at 500 a minute is 625 mm a minute', () =>
    expect(tool('G95 G84 X0 Y0 R2 Z-8 F1.25\nG80')).toMatchObject({
      cutting_s: expect.closeTo((20 / 625) * 60, 9),
      highest_feed_mm_min: 625,
    }));
});

describe('settings of a control', () => {
  it('the P of a dwell in milliseconds', () => {
    expect(tool('G4 P500\nG82 X0 Y0 R2 Z-8 P250 F60', { dwellUnit: 'milliseconds' }).dwell_s).toBe(0.75);
    expect(tool('G4 X2', { dwellUnit: 'milliseconds' }).dwell_s).toBe(2);
  });
  it('a clearance above the depth reached: less rapid, and more feed', () => {
    const at = (peckClearanceMm: number) => tool('G99 G83 X0 Y0 R2 Z-8 Q4 F60', { peckClearanceMm });
    // Two returns, each ends 0.5 higher.
    expect(at(0.5).cutting_mm - at(0).cutting_mm).toBeCloseTo(1, 9);
    expect(at(0).rapid_mm - at(0.5).rapid_mm).toBeCloseTo(1, 9);
  });
  it('D against the tool, where the machine wants it equal', () => {
    const warned = (dEqualsT: boolean) =>
      readProgram(`${HEAD}G41 D21 X1 F100`, { dEqualsT }).warnings.map((w) => w.code);
    expect(warned(true)).toContain('D_DIFFERS_FROM_T');
    expect(warned(false)).not.toContain('D_DIFFERS_FROM_T');
  });
});

describe('what a tap must agree in', () => {
  it('is told once a cycle, with feed, speed and dwell', () =>
    expect(tool('G84 X0 Y0 R2 Z-8 F625\nX10\nG80\nS400\nG74 X0 R2 Z-8 P1 F500').taps).toEqual([
      { cycle: 'G84', f: 625, mode: 'G94', unit: 'mm/min', s: 500, dwell_s: null, line: 5 },
      { cycle: 'G74', f: 500, mode: 'G94', unit: 'mm/min', s: 400, dwell_s: 1, line: 9 },
    ]));
  it('a cycle that cuts no thread is none', () => expect(tool('G85 X0 Y0 R2 Z-8 F60').taps).toEqual([]));
});

it('what G87 means differs from control to control: it is named, and its holes are not counted', () => {
  const r = readProgram(`${HEAD}G87 X0 Y0 R-30 Z-8 Q3 F60`);
  expect(r.not_understood).toMatchObject([{ line: 5, text: 'G87' }]);
  expect(r.tools[0]).toMatchObject({ holes: 0, lower_bound: true });
});
