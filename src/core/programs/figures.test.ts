import { readProgram, type ToolReport } from './index';

/**
 * What the checks against the crib are made of, with the lines they stand on. Worked out by hand on the conventions of
 * RS-274/NGC (NISTIR 6556, 2000).
 */
const HEAD = 'G21 G90\nT1 M6\nS1000 M3\nG0 X0 Y0\nG43 H1 Z50\n';
const tool = (body: string): ToolReport => readProgram(HEAD + body).tools[0]!;

it('feed and speed by pairs, in order of first use, with the way and the time of each', () =>
  expect(tool('G0 Z0\nG1 X10 F100\nX40 F300\nS2000\nX50\nF100 X60').in_force).toEqual([
    { s: 1000, dir: 'M3', f: 100, mode: 'G94', unit: 'mm/min', line: 7, cutting_mm: 10, cutting_s: 6 },
    {
      s: 1000,
      dir: 'M3',
      f: 300,
      mode: 'G94',
      unit: 'mm/min',
      line: 8,
      cutting_mm: 30,
      cutting_s: expect.closeTo(6, 9),
    },
    {
      s: 2000,
      dir: 'M3',
      f: 300,
      mode: 'G94',
      unit: 'mm/min',
      line: 10,
      cutting_mm: 10,
      cutting_s: expect.closeTo(2, 9),
    },
    { s: 2000, dir: 'M3', f: 100, mode: 'G94', unit: 'mm/min', line: 11, cutting_mm: 10, cutting_s: 6 },
  ]));
it('their lengths and times add up to those of the tool', () => {
  const t = tool('G0 Z0\nG1 X10 F100\nG95 X20 F0.1\nG93 X30 F2\nG94 G2 X40 Y10 R10 F50\nG81 R2 Z-8\nG80');
  const sum = (of: 'cutting_mm' | 'cutting_s') => t.in_force.reduce((all, pair) => all + pair[of], 0);
  expect(sum('cutting_mm')).toBeCloseTo(t.cutting_mm, 9);
  expect(sum('cutting_s')).toBeCloseTo(t.cutting_s, 9);
});
it('the highest S is one that it fed with', () => {
  expect(tool('S9000\nS2000\nG1 X1 F100').highest_spindle).toBe(2000);
  expect(tool('S9000\nG0 X1').highest_spindle).toBeNull();
});

it('lowest places with their lines, each the first that is so low', () =>
  expect(tool('G0 Z2\nG1 Z-5 F100\nX10\nZ-5\nG0 Z-6')).toMatchObject({
    lowest_feed_z_mm: -5,
    lowest_feed_z_line: 7,
    lowest_z_mm: -6,
    lowest_z_line: 10,
  }));
it('heights at which it feeds sideways, highest first', () => {
  expect(tool('G0 Z2\nG1 Z-4 F100\nX10\nZ-2\nX0\nZ-2.0003\nX10\nZ-8\nG2 X0 I-5').levels_mm).toEqual([
    -2, -4, -8,
  ]);
  expect(tool('G0 Z2\nG1 X10 Z-4 F100').levels_mm).toEqual([]);
});
it('feeds straight down, apart from slopes and holes', () => {
  const t = tool('G0 Z2\nG1 Z-4 F100\nX10 Z-5\nG81 X20 Y0 R2 Z-30\nG80\nG1 Z-6\nZ0');
  expect(t.plunges).toEqual({ count: 2, lowest_z_mm: -6, line: 11 });
  expect(tool('G0 Z2\nG1 X9 F100').plunges).toBeNull();
});
it('the steepest way down: 1 in 10 is 5.711 degrees; a helix by its own length', () => {
  expect(tool('G0 Z0\nG1 X10 Z-1 F100\nX110 Z-2').steepest_ramp).toEqual({
    degrees: expect.closeTo(5.7106, 4),
    line: 7,
  });
  // Once round a circle of radius 5: 31.416 mm, 1 mm down.
  expect(tool('G0 X5 Z0\nG3 X5 Y0 Z-1 I-5 F100').steepest_ramp?.degrees).toBeCloseTo(1.8232, 4);
});
it('where Z goes first after each change, by which length and offset', () => {
  const r = readProgram(
    'G55\nT1 M6\nG0 X0\nG43 H1 Z50\nZ2\nT2 M6\nG49\nG0 Z30\nT1 M6\nG43 H1 Z50\nT1 M6\nG0 Z99',
  );
  expect(r.tools.map((t) => t.first_z)).toEqual([
    [
      { z_mm: 50, h: 1, offset: 'G55', line: 4 },
      { z_mm: 99, h: 1, offset: 'G55', line: 12 },
    ],
    [{ z_mm: 30, h: null, offset: 'G55', line: 8 }],
  ]);
});
it('the lines of each time it is in', () =>
  expect(readProgram('T1 M6\nG0 X1\nT2 M6\nG0 X2\nX3\nT1 M6\nG0 X4\nM30').tools.map((t) => t.lines)).toEqual([
    [
      [1, 2],
      [6, 8],
    ],
    [[3, 5]],
  ]));
