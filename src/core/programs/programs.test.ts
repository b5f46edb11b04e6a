import fc from 'fast-check';
import { readProgram, type ToolReport } from './index';

/** Expected numbers are hand arithmetic from length / feed on the conventions of RS-274/NGC (NISTIR 6556). */
const head = 'G21 G90 G17 G54\nT1 M6\nS1000 M3\nG0 G43 H1 Z50\n';
const one = (body: string, options = {}): ToolReport => readProgram(head + body, options).tools[0]!;
const codes = (text: string, options = {}) =>
  readProgram(text, options).warnings.map((w) => `${w.code} ${w.lines.join()}`);

describe('straight moves', () => {
  it('10 mm at 100 mm/min takes 6 s', () => {
    const t = one('G0 X0 Y0 Z5\nG1 Z-5 F100');
    expect(t).toMatchObject({
      t: 1,
      cutting_mm: 10,
      cutting_s: 6,
      lowest_feed_z_mm: -5,
      h: [1],
      spindle: [1000],
      spindle_dir: ['M3'],
      lower_bound: false,
    });
    expect(t.feeds).toEqual([{ f: 100, mode: 'G94', unit: 'mm/min' }]);
  });
  it('inch programs report in mm: 1 in at 10 in/min takes 6 s', () => {
    const r = readProgram('G20\nT2 M6\nS500 M3\nG0 X0 Y0 Z0\nG1 X1 F10');
    expect(r.tools[0]).toMatchObject({
      cutting_mm: 25.4,
      cutting_s: expect.closeTo(6, 9),
      feeds: [{ f: 10, mode: 'G94', unit: 'inch/min' }],
    });
    expect(r.units).toEqual(['inch']);
    expect(readProgram('G0 X1').units_assumed).toBe('mm');
  });
  it('incremental moves add up, and a feed holds over a tool change', () => {
    const r = readProgram(
      'G21 T1 M6 S1000 M3\nG0 X0 Y0 Z0\nG91 G1 X3 Y4 F60\nX3 Y4\nG90 T2 M6\nM3\nG1 X0 Y0',
    );
    expect(r.tools.map((t) => t.cutting_s)).toEqual([10, 10]);
  });
  it('leaves rapid axes of unknown place out of the known length', () => {
    const t = readProgram('T1 M6\nG0 X30 Y40\nG0 Z10\nG0 X0 Y0').tools[0]!;
    expect(t.rapid_mm).toBeCloseTo(50 + 10 + 50, 9);
    expect(t.rapid_known_mm).toBeCloseTo(50, 9);
  });
});

describe('arcs', () => {
  it('a full circle by I is 2 pi r: 62.832 mm', () =>
    expect(one('G0 X10 Y0 Z0\nG3 I-10 F100').cutting_mm).toBeCloseTo(20 * Math.PI, 9));
  it('a quarter by R is pi r / 2; R < 0 takes the other three quarters', () => {
    expect(one('G0 X10 Y0 Z0\nG3 X0 Y10 R10 F100').cutting_mm).toBeCloseTo(5 * Math.PI, 9);
    expect(one('G0 X10 Y0 Z0\nG3 X0 Y10 R-10 F100').cutting_mm).toBeCloseTo(15 * Math.PI, 9);
    expect(one('G0 X10 Y0 Z0\nG2 X0 Y10 I-10 J0 F100').cutting_mm).toBeCloseTo(15 * Math.PI, 9);
  });
  it('a helix is the root of turn and rise squared', () =>
    expect(one('G0 X10 Y0 Z0\nG3 X10 Y0 Z-5 I-10 J0 F100').cutting_mm).toBeCloseTo(
      Math.hypot(20 * Math.PI, 5),
      9,
    ));
  it('finds the lowest point inside a G18 arc: half a circle of radius 5 below Z0', () => {
    expect(one('G0 X5 Y0 Z0\nG18 G3 X-5 Z0 I-5 K0 F100').lowest_feed_z_mm).toBeCloseTo(-5, 9);
    expect(one('G0 X5 Y0 Z0\nG18 G2 X-5 Z0 I-5 K0 F100').lowest_feed_z_mm).toBeCloseTo(0, 9);
  });
  it('and inside a G19 arc', () =>
    expect(one('G0 X0 Y5 Z0\nG19 G2 Y-5 Z0 J-5 K0 F100').lowest_feed_z_mm).toBeCloseTo(-5, 9));
  it('radii may differ by 0.002 mm, not by more', () => {
    expect(codes(`${head}G0 X10 Y0 Z0\nG3 X0 Y10.0019 I-10 F100`)).toEqual([]);
    expect(codes(`${head}G0 X10 Y0 Z0\nG3 X0 Y10.003 I-10 F100`)).toEqual(['ARC_RADIUS_MISMATCH 6']);
  });
  it('names an R that is too small and an arc without centre, goes on from the end, and says lower bound', () => {
    const text = `${head}G0 X10 Y0 Z0\nG3 X0 Y10 R5 F100\nG3 X10 Y0\nG1 X20`;
    expect(codes(text)).toEqual(['ARC_RADIUS_TOO_SMALL 6', 'ARC_NO_CENTER 7']);
    expect(readProgram(text).tools[0]).toMatchObject({ cutting_mm: 10, lower_bound: true });
    expect(one('G0 X10 Y0 Z0\nG3 X0 Y10 R5 F100\nG1 X10').cutting_mm).toBe(10);
  });
});

describe('drilling cycles', () => {
  it('G81 feeds from R to depth at each place, one block one hole', () => {
    const t = one('G0 X0 Y0 Z10\nG98 G81 X0 Y0 R2 Z-8 F60\nX20\nX40\nG80');
    expect(t).toMatchObject({
      holes: 3,
      cycles: { G81: 3 },
      cutting_mm: 30,
      cutting_s: 30,
      lowest_feed_z_mm: -8,
    });
  });
  it('G98 goes back to the start level, G99 to R only: rapid lengths differ', () => {
    const body = (g: string) => `G0 X0 Y0 Z10\n${g} G81 X0 Y0 R2 Z-8 F60\nX20\nG80`;
    // Z10 -> 2, -8 -> 10, over 20, 10 -> 2, -8 -> 10 against 10 -> 2, -8 -> 2, over 20, -8 -> 2; before both: Z50 and to Z10
    expect(one(body('G98')).rapid_mm - one(body('G99')).rapid_mm).toBeCloseTo(
      8 + 18 + 20 + 8 + 18 - (8 + 10 + 20 + 10),
      9,
    );
  });
  it('G83 pecks without an empty last peck: same feed, more rapid', () => {
    const t = one('G0 X0 Y0 Z2\nG99 G83 X0 Y0 R2 Z-8 Q5 F60\nG80');
    expect(t).toMatchObject({ cutting_mm: 10, holes: 1, cycles: { G83: 1 } });
    // 48 down to Z2, then up 5 and down 5 between the pecks, and out 10
    expect(t.rapid_mm - one('G0 X0 Y0 Z2').rapid_mm).toBeCloseTo(20, 9);
  });
  it('G91: R from the present Z, Z from R, L repeats', () =>
    expect(one('G0 X0 Y0 Z10\nG91 G81 X5 R-8 Z-10 L4 F60\nG80')).toMatchObject({
      holes: 4,
      cutting_mm: 40,
      lowest_feed_z_mm: -8,
    }));
  it('a block without an axis word drills nothing, but the one with the G8x does', () =>
    expect(one('G0 X0 Y0 Z10\nG81 R2 Z-8 F60\nM8\nG80').holes).toBe(1));
});

describe('tools', () => {
  it('T alone is no change; M6 in either order of writing is', () => {
    const r = readProgram('T1 M6\nT2\nG0 X1\nM6 T3\nT1 M6');
    expect(r).toMatchObject({ tool_changes: 3, tool_sequence: [1, 3, 1] });
    expect(r.tools.map((t) => [t.t, t.changes])).toEqual([
      [1, 2],
      [3, 1],
      // Called, and never changed to.
      [2, 0],
    ]);
  });
  it('without any M6, T followed by M0 is the change and an M0 without a new T is a stop', () => {
    const r = readProgram('T4\nM0\nS900 M3\nG0 X0 Y0 Z0\nG1 X5 F50\nM0\nT5\nM1');
    expect(r).toMatchObject({ tool_changes: 2, tool_sequence: [4, 5], program_stops: 1 });
  });
  it('a change stops the spindle; feeding then is warned of', () =>
    expect(codes('T1 M6 S1000 M3\nT2 M6\nG0 X0 Y0 Z0\nG1 X5 F50')).toEqual(['SPINDLE_OFF_FEED 4']));
  it('H against the tool in the spindle', () =>
    expect(codes('T4 M6\nG43 H5 Z50')).toEqual(['H_DIFFERS_FROM_T 2']));
  it('what moves before the first tool is kept apart', () =>
    expect(readProgram('G0 X10\nT1 M6').before_first_tool).toMatchObject({ rapid_mm: 10, cutting_mm: 0 }));
  it('has nothing before the first tool where nothing moved', () =>
    expect(readProgram('T1 M6\nG0 X1').before_first_tool).toBeNull());
});

describe('depth, home and offsets', () => {
  it('below the limit means lower than it, feeding and rapid apart', () => {
    const text = `${head}G0 X0 Y0 Z-10\nG1 Z-10 X5 F50\nG1 Z-10.001\nG0 Z-11`;
    expect(codes(text, { zLimitMm: -10 })).toEqual(['Z_BELOW_LIMIT 7', 'Z_BELOW_LIMIT_RAPID 8']);
  });
  it('G53 and the home leg of G28 are no depth', () => {
    const t = one('G0 X0 Y0 Z5\nG53 G0 Z-300\nG28 G91 Z0');
    expect(t.lowest_z_mm).toBe(5);
    expect(t.lowest_feed_z_mm).toBeNull();
  });
  it('lists offsets in order of first use', () =>
    expect(readProgram('G54\nG55\nS1 M3 G0 X0 Y0 Z0\nG1 X1 F1')).toMatchObject({
      work_offsets: ['G54', 'G55'],
      work_offsets_while_feeding: ['G55'],
    }));
  it('dwells in seconds', () => expect(one('G4 P1.5\nG4 X2').dwell_s).toBe(3.5));
});

describe('text', () => {
  it('any case, spaces inside numbers, comments, word order', () =>
    expect(one('g0 x0 y0 z0 (to start; here)\nx 1 0 . 5 g1 f 1 00 ; end').cutting_mm).toBe(10.5));
  it('stops at M30 and at the second %', () => {
    expect(readProgram('T1 M6\nM30\nT2 M6').tool_changes).toBe(1);
    expect(readProgram('%\nT1 M6\n%\nT2 M6').tool_changes).toBe(1);
  });
  it('block delete is an option', () => {
    expect(one('G0 X0 Y0 Z0\n/G1 X5 F50').cutting_mm).toBe(5);
    expect(one('G0 X0 Y0 Z0\n/G1 X5 F50', { blockDelete: true }).cutting_mm).toBe(0);
  });
  it('lists what it does not understand with its line, and marks the tool', () => {
    const r = readProgram('T1 M6\nS1000 M3\nG0 X0 Y0 Z0\n#1=5\nG1 X#1 F50\nG68 R45');
    expect(r.not_understood.map((n) => n.line)).toEqual([4, 5, 6]);
    expect(r.tools[0]!.lower_bound).toBe(true);
  });
  it('an unknown cycle loses its holes, and where it leaves the tool is not known', () => {
    const r = readProgram(`${head}G0 X0 Y0 Z5\nG87 X10 Z-5 R2 F100\nX12\nX10\nG80\nG1 X20 F100`);
    expect(r.not_understood.map((n) => [n.line, n.text])).toEqual([[6, 'G87']]);
    expect(r.tools[0]).toMatchObject({ lower_bound: true, holes: 0, cutting_mm: 0 });
  });
  it('feed missing: length counts, time does not', () => {
    expect(one('G0 X0 Y0 Z0\nG1 X5')).toMatchObject({ cutting_mm: 5, cutting_s: 0 });
    expect(codes(`${head}G0 X0 Y0 Z0\nG1 X5\nG1 X6`)).toEqual(['FEED_MISSING 6,7']);
  });
  it('feed per turn: 5 mm at 0.1 and 1000 turns are 3 s', () =>
    expect(one('G0 X0 Y0 Z0\nG95 G1 X5 F0.1')).toMatchObject({
      cutting_mm: 5,
      cutting_s: expect.closeTo(3, 9),
      lower_bound: false,
    }));
  it('never throws and never gives a number that is not one, on any text', () => {
    const word = fc
      .tuple(
        fc.constantFrom(...'GMTHDSFXYZIJKRQLPNO'),
        fc.oneof(
          fc.integer({ min: -99, max: 99 }),
          fc.double({ noNaN: true, min: -50, max: 50 }).map((n) => n.toFixed(3)),
        ),
      )
      .map(([l, n]) => `${l}${n}`);
    const line = fc.oneof(
      { weight: 5, arbitrary: fc.array(word, { maxLength: 7 }).map((w) => w.join(' ')) },
      fc.string(),
    );
    fc.assert(
      fc.property(fc.array(line, { maxLength: 30 }), (lines) => {
        for (const t of readProgram(lines.join('\n')).tools) {
          for (const n of [t.cutting_mm, t.cutting_s, t.rapid_mm, t.rapid_known_mm])
            expect(n).toBeGreaterThanOrEqual(0);
          expect(t.rapid_known_mm).toBeLessThanOrEqual(t.rapid_mm + 1e-6);
        }
      }),
      { seed: 3, numRuns: 300 },
    );
  });
});
