import reference from './reference/holes.json';
import {
  classesLeft,
  drillForPercent,
  formingHole,
  HOLE_GRADES,
  HOLE_LETTERS,
  holeLimits,
  readThread,
  reamerLimits,
  reamerState,
  tapDrill,
  threadPercent,
  toleranceGrade,
} from './index';

// Values: reference/holes.json (exact fractions and mpmath; tables of the standards from memory).
const { cases } = reference;
const MM = 25.4;

describe('standard tolerances (ISO 286-1)', () => {
  const { size_mm } = cases.iso286_grades.input;
  const expected = cases.iso286_grades.expected as unknown as Record<string, number[]>;
  it.each(Object.keys(expected))('%s at every size of the reference', (name) =>
    expect(size_mm.map((s) => toleranceGrade(s, Number(name.slice(2))))).toEqual(expected[name]),
  );
  it('the end of a step belongs to it; beyond the tables nothing is said', () => {
    expect([toleranceGrade(6, 7), toleranceGrade(6.0001, 7)]).toEqual([12, 15]);
    expect([
      toleranceGrade(120, 7),
      toleranceGrade(120.1, 7),
      toleranceGrade(0, 7),
      toleranceGrade(10, 3),
    ]).toEqual([35, null, null, null]);
  });
  it('a coarser grade is wider at every size', () =>
    [2, 5, 9, 15, 25, 45, 75, 110].forEach((s) => {
      const widths = HOLE_GRADES.map((g) => toleranceGrade(s, g)!);
      expect(widths).toEqual([...widths].sort((a, b) => a - b));
    }));
  // ISO 286-2, from memory: 10 F8 is +13/+35, 25 G7 +7/+28, 8 JS9 -18/+18.
  it.each([
    [10, 'F8', 10.013, 10.035],
    [25, 'G7', 25.007, 25.028],
    [8, 'JS9', 7.982, 8.018],
    [20, 'h7', 20, 20.021],
    // Tighter than nominal: ISO 286-2, tables, from memory.
    [20, 'J7', 19.991, 20.012],
    [20, 'K7', 19.985, 20.006],
    [20, 'K6', 19.989, 20.002],
    [20, 'M7', 19.979, 20],
    [20, 'N7', 19.972, 19.993],
    [20, 'N8', 19.964, 19.997],
    [20, 'P7', 19.965, 19.986],
    [20, 'P8', 19.945, 19.978],
    [3, 'K7', 2.99, 3],
    [3, 'N7', 2.986, 2.996],
    [100, 'K7', 99.975, 100.01],
    [100, 'P7', 99.941, 99.976],
    // As a drawing states them.
    [8, '+0.010/+0.028', 8.01, 8.028],
    [8, '8.010..8.028', 8.01, 8.028],
    [8, '−0.005 / +0.010', 7.995, 8.01],
  ])('%d %s', (d, cls, lower, upper) => {
    expect(holeLimits(d, cls)!.lower).toBeCloseTo(lower, 9);
    expect(holeLimits(d, cls)!.upper).toBeCloseTo(upper, 9);
  });
  it.each(['U7', 'H', '7', 'H4', 'K5', 'M9', '', '+0.028/+0.028', '25..26', '+0.01'])(
    'class %j is not known and gives no limits',
    (cls) => expect(holeLimits(20, cls)).toBeNull(),
  );
});

describe('reamers (ISO 522, DIN 1420)', () => {
  const { input, expected } = cases.reamer;
  it.each(input.size_mm.map((size, i) => [size, i] as const))('%d H7', (size, i) => {
    const r = reamerLimits(size, `H${input.H_grade[i]}`)!;
    expect(r.largest).toBeCloseTo(expected.reamer_max_mm[i]!, 9);
    expect(r.smallest).toBeCloseTo(expected.reamer_min_mm[i]!, 9);
    expect(r.it).toBe(expected.hole_IT_um[i]);
  });
  // DIN 1420 worked examples, from memory: 20 H7 20.017 / 20.009, 8 H7 8.012 / 8.006.
  it('8 H7', () =>
    expect([reamerLimits(8, 'H7')!.largest, reamerLimits(8, 'H7')!.smallest]).toEqual([
      expect.closeTo(8.012, 9),
      expect.closeTo(8.006, 9),
    ]));
  it('stands on the right side of each limit', () => {
    const r = reamerLimits(20, 'H7')!;
    expect([20.0171, 20.017, 20.009, 20.0089, 20, 19.9999].map((d) => reamerState(r, d))).toEqual([
      'too large',
      'new',
      'new',
      'in use',
      'in use',
      'worn out',
    ]);
  });
  it('what classes remain: finest first, none that it would cut too large or too small', () => {
    const left = classesLeft(8, 8.004).map((x) => x.cls);
    expect(left.slice(0, 2)).toEqual(['H5', 'H6'].filter((c) => left.includes(c)));
    for (const cls of HOLE_LETTERS.flatMap((l) => HOLE_GRADES.map((g) => `${l}${g}`))) {
      const r = reamerLimits(8, cls)!;
      expect(left.includes(cls)).toBe(8.004 <= r.largest + 1e-7 && 8.004 >= r.lower - 1e-7);
    }
    expect(classesLeft(8, 7.9).some((x) => x.cls.startsWith('H'))).toBe(false);
  });
});

describe('tap drills', () => {
  const coarse = cases.tap_drill_coarse;
  it.each(coarse.input.thread.map((t, i) => [t, i] as const))(
    '%s before a cutting tap (ISO 2306)',
    (text, i) => {
      const thread = readThread(text)!;
      expect(thread).toMatchObject({ pitch: coarse.input.pitch_mm[i], coarse: true, system: 'metric' });
      expect(tapDrill(thread, 'cutting')).toMatchObject({
        drill: coarse.expected.drill_mm[i],
        words: 'ISO 2306',
      });
      // The drill lies above the thread's minor diameter: 5/8 H of engagement is never exceeded by much (ISO 965-1).
      expect(tapDrill(thread, 'cutting')!.drill).toBeGreaterThan(
        coarse.expected.minor_diameter_D1_mm[i]! - 1e-9,
      );
    },
  );
  it.each(
    cases.tap_drill_fine.input.thread.map((t, i) => [t, cases.tap_drill_fine.expected.drill_mm[i]!] as const),
  )('%s fine', (text, drill) => expect(tapDrill(readThread(text)!, 'cutting')!.drill).toBe(drill));
  const unified = cases.tap_drill_unified;
  it.each(
    unified.input.major_in.map(
      (D, i) => [D, unified.input.tpi[i]!, unified.input.percent[i]!, unified.expected.drill_in[i]!] as const,
    ),
  )('%d in, %d to the inch, %d %% is a drill of %d in', (D, tpi, percent, drill) =>
    expect(Math.abs(drillForPercent({ major: D * MM, pitch: MM / tpi }, percent) / MM - drill)).toBeLessThan(
      1e-5,
    ),
  );
  const percents = cases.thread_percent_unified;
  it.each(
    percents.input.major_in.map(
      (D, i) =>
        [D, percents.input.tpi[i]!, percents.input.drill_in[i]!, percents.expected.percent[i]!] as const,
    ),
  )('%d in, %d to the inch, drill %d in leaves %d %%', (D, tpi, drill, percent) =>
    expect(threadPercent({ major: D * MM, pitch: MM / tpi }, drill * MM) / percent).toBeCloseTo(1, 4),
  );
  const metric = cases.tap_drill_metric_percent;
  it.each(
    metric.input.major_mm.map(
      (D, i) =>
        [D, metric.input.pitch_mm[i]!, metric.input.percent[i]!, metric.expected.drill_mm[i]!] as const,
    ),
  )('M%d x %d, %d %% is a drill of %d mm', (major, pitch, percent, drill) =>
    expect(drillForPercent({ major, pitch }, percent)).toBeCloseTo(drill, 4),
  );
  // Charts for forming taps, from memory: M3 2.8, M6 5.55.
  it.each([
    ['M3', 2.8],
    ['M6', 5.55],
  ])('%s forming takes a hole of %d', (text, hole) => {
    // Charts round to drills that are sold: within 0.03 mm.
    expect(Math.abs(formingHole(readThread(text)!) - hole)).toBeLessThan(0.03);
    expect(tapDrill(readThread(text)!, 'forming')!.drill).toBeGreaterThan(
      tapDrill(readThread(text)!, 'cutting')!.drill,
    );
  });
  it('a size that ISO 2306 does not have is drilled for 75 %, and says so', () =>
    expect(tapDrill(readThread('1/4-20')!, 'cutting')).toMatchObject({
      drill: expect.closeTo(0.2013 * MM, 2),
      percent: 75,
      words: expect.stringContaining('75 %'),
    }));
});

describe('readThread', () => {
  // Numbered screws are 0.060 in + 0.013 in a number (ASME B1.1, from memory): #10 is 0.190 in.
  it.each([
    ['M6', 6, 1],
    ['M8x1', 8, 1],
    ['M8 x 1', 8, 1],
    ['M2,5', 2.5, 0.45],
    ['1/4-20', 6.35, 1.27],
    ['1/4-20 UNC', 6.35, 1.27],
    ['1 1/4-7', 31.75, 25.4 / 7],
    ['#10-24', 4.826, 25.4 / 24],
    ['10-32 UNF', 4.826, 25.4 / 32],
  ])('%s', (text, major, pitch) => {
    expect(readThread(text)!.major).toBeCloseTo(major, 9);
    expect(readThread(text)!.pitch).toBeCloseTo(pitch, 9);
  });
  it.each(['', 'M', 'M6x7', 'M6.3', '20-1/4', '#13-20', 'six'])('%j is none that is read', (text) =>
    expect(readThread(text)).toBeNull(),
  );
});
