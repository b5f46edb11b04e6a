import fc from 'fast-check';
import { readProgram } from '../readProgram';
import { DepthPicture } from './depthPicture';
import { Extents } from './extents';
import { MachineClock, type MachineMotion } from './machineClock';
import { nearestDot, PLAN_MARK, planFrame, PlanPicture } from './planPicture';
import type { PathListener } from './path';

const HEAD = 'T1 M6 S1000 M3\nG0 X0 Y0 Z5\n';
const hears = <T extends PathListener>(path: T, text: string): T => {
  readProgram(text, {}, { path });
  return path;
};
const extentsOf = (text: string) => hears(new Extents(), text).extents;

describe('extents', () => {
  it('reach from least to most of what is fed, and take the time of the report', () => {
    // 5 mm down and 10 mm across at 60 mm/min: worked by hand.
    const e = extentsOf(`${HEAD}G1 Z-5 F60\nX10\nG0 Z50\n`);
    expect(e.feed).toEqual([
      { least: 0, most: 10 },
      { least: 0, most: 0 },
      { least: -5, most: 5 },
    ]);
    expect(e.z).toEqual({ least: -5, most: 50 });
    expect(e.seconds).toBeCloseTo(20, 9);
    // From 5 up: the first rapid comes from a place that nobody knows.
    expect(e.rapidMm).toBeCloseTo(55, 9);
  });
  it('reach round an arc, not only to its ends', () => {
    const e = extentsOf(`${HEAD}G1 Z0 F100\nG2 X20 Y0 I10 J0\n`);
    expect(e.feed?.[1].most).toBeCloseTo(10, 2);
    // In G18 the first axis is Z and the second X: from X0 about X10 the arc dips, or rises, by its radius.
    const side = extentsOf(`${HEAD}G1 Z0 F100\nG18 G3 X20 Z0 I10 K0\n`);
    expect(side.z?.least).toBeCloseTo(
      readProgram(`${HEAD}G1 Z0 F100\nG18 G3 X20 Z0 I10 K0`).tools[0]!.lowest_z_mm!,
      2,
    );
  });
  it('of rapids where nothing is fed; none where no place is known', () => {
    expect(extentsOf(`${HEAD}G0 X0 Y0\nX30\n`).feed?.[0]).toEqual({ least: 0, most: 30 });
    expect(extentsOf('G91 G1 X10 F100').feed).toBeNull();
  });
  it('leave out what lies in a shifted frame', () => {
    expect(extentsOf(`${HEAD}G1 Z-1 F100\nG92 X0\nG1 X900 Z-900\n`).feed?.[0]).toEqual({ least: 0, most: 0 });
  });
  it('agree with the report in time, length and depth, whatever the program', () => {
    const number = fc.integer({ min: -50, max: 50 });
    const block = fc.oneof(
      fc.tuple(number, number, number).map(([x, y, z]) => `G1 X${x} Y${y} Z${z} F${200 + x}`),
      fc.tuple(number, number).map(([x, z]) => `G0 X${x} Z${z}`),
      fc.tuple(number, number).map(([i, z]) => `G2 I${i + 60} Z${z} F300`),
      number.map((x) => `G98 G83 X${x} Z-60 R55 Q7 P1 F90\nG80`),
      fc.constant('G4 P2'),
      fc.constant('T2 M6 S900 M3'),
    );
    fc.assert(
      fc.property(fc.array(block, { minLength: 1, maxLength: 20 }), (blocks) => {
        const text = `${HEAD}G1 Z1 F100\n` + blocks.join('\n');
        const report = readProgram(text);
        const e = extentsOf(text);
        const sum = (of: 'cutting_s' | 'dwell_s' | 'rapid_known_mm') =>
          report.tools.reduce((total, tool) => total + tool[of], 0);
        expect(e.seconds).toBeCloseTo(sum('cutting_s') + sum('dwell_s'), 6);
        expect(e.rapidMm).toBeCloseTo(sum('rapid_known_mm'), 6);
        expect(e.z?.least).toBeCloseTo(Math.min(...report.tools.map((t) => t.lowest_z_mm ?? Infinity)), 6);
      }),
    );
  });
});

describe('the plan', () => {
  const drawn = (text: string, only: number | null = null, width = 220, height = 220) => {
    const { feed } = extentsOf(text);
    const frame = planFrame(feed![0], feed![1], width, height);
    return hears(new PlanPicture(frame, only), text);
  };
  const dotAt = (plan: PlanPicture, x: number, y: number) => {
    const { left, top, dot, width } = plan.frame;
    return Math.floor((top - y) / dot) * width + Math.floor((x - left) / dot);
  };
  it('is framed to one scale with a margin', () => {
    const frame = planFrame({ least: 0, most: 100 }, { least: 0, most: 50 }, 220, 220);
    expect(frame.dot).toBeCloseTo(0.5, 12);
    expect(frame.left).toBeCloseTo(-5, 9);
    expect(frame.top).toBeCloseTo(80, 9);
  });
  it('holds a circle where it was cut, and nothing beside', () => {
    const plan = drawn(`${HEAD}G0 X50 Y0\nG1 Z-2 F100\nG3 X50 Y0 I-50 J0\n`);
    const { left, top, dot, width } = plan.frame;
    plan.marks.forEach((mark, at) => {
      if (mark !== PLAN_MARK.cut) return;
      const x = left + ((at % width) + 0.5) * dot;
      const y = top - (Math.floor(at / width) + 0.5) * dot;
      // Within a dot of the circle, but for the three dots about the place where it goes straight down.
      if (Math.hypot(x - 50, y) > 4 * dot) expect(Math.abs(Math.hypot(x, y) - 50)).toBeLessThan(1.5 * dot);
    });
    for (let degree = 0; degree < 360; degree += 1) {
      const at = dotAt(plan, 50 * Math.cos(degree / 57.2957795), 50 * Math.sin(degree / 57.2957795));
      const { width: w } = plan.frame;
      const around = [-w - 1, -w, -w + 1, -1, 0, 1, w - 1, w, w + 1].map((by) => plan.marks[at + by]);
      expect(around).toContain(PLAN_MARK.cut);
    }
  });
  it('shows one tool over the others, with the line and the lowest Z of each dot', () => {
    const text = `${HEAD}G1 Z-1 F100\nX100\nG0 Z5\nT2 M6 S500 M3\nG0 X0 Y0\nG1 Z-3 F100\nY50\nX100\n`;
    const plan = drawn(text, 1);
    expect(plan.marks[dotAt(plan, 60, 0)]).toBe(PLAN_MARK.cut);
    expect(plan.lines[dotAt(plan, 60, 0)]).toBe(4);
    expect(plan.marks[dotAt(plan, 60, 50)]).toBe(PLAN_MARK.otherTool);
    expect(plan.lowest[dotAt(plan, 60, 50)]).toBe(-3);
    // Where both cut, what is said is of the tool that is shown.
    const twice = `${HEAD}G1 Z-1 F100\nX100\nG0 Z5\nT2 M6 S500 M3\nG0 X0\nG1 Z-3 F100\nX100\nG0 Z-2\nG1 X0\n`;
    const said = (plan: PlanPicture) => [plan.lines[dotAt(plan, 60, 0)], plan.lowest[dotAt(plan, 60, 0)]];
    expect(said(drawn(twice, 1))).toEqual([4, -1]);
    expect(said(drawn(twice, 2))).toEqual([9, -3]);
    // Of all, the lowest; and not the last.
    expect(said(drawn(twice))).toEqual([9, -3]);
    const all = drawn(text);
    expect(all.marks[dotAt(all, 60, 50)]).toBe(PLAN_MARK.cut);
    const at = dotAt(all, 60, 50);
    const { width } = all.frame;
    const row = Math.floor(at / width);
    expect(all.lines[nearestDot(all, at % width, row + 3, 5)!]).toBe(10);
    expect(nearestDot(all, at % width, row + 3, 5)).toBe(at);
    expect(nearestDot(all, at % width, row + 30, 5)).toBeNull();
  });
  it('marks a hole wide enough to be seen, and the deepest of two ways over one place', () => {
    const plan = drawn(`${HEAD}G81 X0 Y0 Z-8 R2 F100\nX100 Y60\nG80\n`);
    expect(plan.lowest[dotAt(plan, 100, 60)]).toBe(-8);
    expect(plan.marks.filter((m) => m === PLAN_MARK.cut).length).toBeGreaterThan(40);
  });
  it('draws a slope of short ways as a line, not as holes beside each other', () => {
    const short = Array.from(
      { length: 1000 },
      (_, i) => `X${(i / 10).toFixed(1)} Z${(-i / 1000).toFixed(3)}`,
    );
    const plan = drawn(`${HEAD}G1 Z0 F100\n${short.join('\n')}\n`);
    const rows = new Set(
      [...plan.marks.keys()].filter((at) => plan.marks[at]).map((at) => Math.floor(at / 220)),
    );
    // Only where it begins straight down.
    expect([...plan.marks].filter((m) => m === PLAN_MARK.cut).length).toBeLessThan(220 + 40);
    expect(rows.size).toBeLessThanOrEqual(7);
  });
  it('takes no more than its own dots for a way that leaves the frame', () => {
    const frame = planFrame({ least: 0, most: 10 }, { least: 0, most: 10 }, 50, 50);
    const text = `${HEAD}G1 Z0 F100\n${'X9999999\nX-9999999\n'.repeat(500)}`;
    const plan = hears(new PlanPicture(frame, null), text);
    expect(plan.marks.filter((m) => m === PLAN_MARK.cut).length).toBeLessThan(100);
  });
});

describe('Z over time', () => {
  const drawn = (text: string, columns: number, rapidMmS: number | null = null) => {
    const e = extentsOf(text);
    const seconds = e.seconds + (rapidMmS ? e.rapidMm / rapidMmS : 0);
    return hears(new DepthPicture(seconds, columns, rapidMmS), text);
  };
  // 10 s down, 20 s across at −5, 10 s up.
  const text = `${HEAD}G1 Z-5 F60\nX20\nZ5\n`;
  it('says of each column how high and how low it was, by time', () => {
    const z = drawn(text, 4);
    expect([...z.feedLow]).toEqual([-5, -5, -5, -5]);
    expect([...z.feedHigh].map((n) => Math.round(n))).toEqual([5, -5, -5, 5]);
    expect(z.lines[0]).toBe(3);
  });
  it('keeps each tool its time, and a needle that is no column wide', () => {
    const z = drawn(`${text}T2 M6 S500 M3\nG0 X0 Y0 Z5\nG1 Z-9 F6000\nZ5\nF60 X40\n`, 40);
    expect(z.spans.map((s) => s.t)).toEqual([1, 2]);
    expect(z.spans[1]!.from).toBeCloseTo(40, 6);
    expect(Math.min(...z.feedLow)).toBe(-9);
  });
  it('gives rapids their time where the machine has a rate', () => {
    const rapid = `${HEAD}G1 Z-5 F60\nG0 Z95\n`;
    const z = drawn(rapid, 10, 10);
    // 10 s of feed, and 100 mm at 10 mm/s.
    expect(z.spans.at(-1)!.to).toBeCloseTo(20, 6);
    expect(z.rapidHigh[9]).toBeCloseTo(95, 4);
    expect(drawn(rapid, 10).spans.at(-1)!.to).toBeCloseTo(10, 6);
  });
  it('has no more spans than columns', () => {
    const many = Array.from({ length: 500 }, (_, i) => `T${(i % 7) + 1} M6 S1 M3\nG1 X${i % 3} Z1 F100`).join(
      '\n',
    );
    expect(drawn(HEAD + many, 20).spans.length).toBeLessThanOrEqual(21);
  });
});

describe('a machine that gains and loses speed evenly', () => {
  const MOTION: MachineMotion = { rapidMmMin: 12_000, accelerationMmS2: 1000, cornerMm: 0.01 };
  const runOf = (text: string, motion: Partial<MachineMotion> = {}) => {
    const [tool] = readProgram(HEAD + text, { motion: { ...MOTION, ...motion } }).tools;
    return tool!.run_s!;
  };
  it('takes v/a longer from rest to rest', () => {
    // 100 mm at 100 mm/s and 1000 mm/s²: 0.1 s up, 90 mm even, 0.1 s down; worked by v = a t.
    expect(runOf('G1 X100 F6000').feed).toBeCloseTo(1.1, 9);
    // Too short to come to its feed: 2 √(s / a).
    expect(runOf('G1 X1 F6000').feed).toBeCloseTo(2 * Math.sqrt(1 / 1000), 9);
    // A rapid of 200 mm at 200 mm/s the same way, besides the 5 mm down that nobody knows the beginning of.
    expect(runOf('G0 X200').rapid).toBeCloseTo(1.2, 9);
    expect(runOf('G0 X200', { rapidMmMin: null }).rapid).toBeNull();
  });
  it('does not slow where the way goes straight on, and slows at a corner by its tolerance', () => {
    expect(runOf('G1 X50 F6000\nX100').feed).toBeCloseTo(1.1, 9);
    // Square corner: s = sin 45°, v² = a δ s / (1 − s) = 24.14, v = 4.913 mm/s; each half worked by uniform acceleration.
    const v = Math.sqrt((1000 * 0.01 * Math.SQRT1_2) / (1 - Math.SQRT1_2));
    const half = 100 / 1000 + (100 - v) / 1000 + (50 - (100 ** 2 + 100 ** 2 - v ** 2) / 2000) / 100;
    expect(runOf('G1 X50 F6000\nY50').feed).toBeCloseTo(2 * half, 9);
    // Back on its own way it stands.
    expect(runOf('G1 X50 F6000\nX0').feed).toBeCloseTo(1.2, 9);
    expect(runOf('G1 X50 F6000\nY50', { cornerMm: 0 }).feed).toBeCloseTo(1.2, 9);
  });
  it('runs round an arc no faster than its acceleration holds it there', () => {
    // Radius 2.5: v² = a r, 50 mm/s of the 100 asked for, from rest to rest.
    const round = 2 * Math.PI * 2.5;
    expect(runOf('G2 I2.5 F6000').feed).toBeCloseTo(round / 50 + 50 / 1000, 9);
    // And a circle made of short ways is no faster, and not much slower.
    const chords = Array.from({ length: 720 }, (_, i) => {
      const angle = ((i + 1) * Math.PI) / 360;
      return `X${(2.5 - 2.5 * Math.cos(angle)).toFixed(5)} Y${(2.5 * Math.sin(angle)).toFixed(5)}`;
    });
    const short = runOf(`G1 F6000 ${chords.join('\n')}`).feed;
    expect(short).toBeGreaterThan(round / 50 + 0.045);
    expect(short).toBeLessThan(1.1 * (round / 50 + 0.05));
  });
  it('goes from a line into an arc that touches it without slowing more than the arc asks', () => {
    const run = runOf('G1 X100 F6000\nG3 X100 Y40 J20').feed;
    // 100 mm/s is less than √(1000 · 20) = 141: no slowing at all.
    expect(run).toBeCloseTo((100 + 20 * Math.PI) / 100 + 0.1, 6);
  });
  it('is never quicker than length / feed, comes near it as acceleration grows, and ends with a stop at each tool', () => {
    const number = fc.integer({ min: -40, max: 40 });
    const block = fc.oneof(
      fc.tuple(number, number).map(([x, y]) => `G1 X${x} Y${y} F1000`),
      number.map((i) => `G2 I${i + 50} F2000`),
      fc.constant('G4 P1'),
      fc.constant('G0 Z5'),
    );
    fc.assert(
      fc.property(fc.array(block, { minLength: 1, maxLength: 600 }), (blocks) => {
        const text = HEAD + blocks.join('\n');
        const [bare] = readProgram(text).tools;
        const at = (accelerationMmS2: number) =>
          readProgram(text, { motion: { ...MOTION, accelerationMmS2 } }).tools[0]!.run_s!;
        expect(at(500).feed).toBeGreaterThanOrEqual(bare!.cutting_s - 1e-6);
        expect(at(500).feed).toBeGreaterThanOrEqual(at(5000).feed - 1e-6);
        expect(at(1e9).feed).toBeCloseTo(bare!.cutting_s, 2);
        expect(at(1e9).rapid!).toBeCloseTo(bare!.rapid_known_mm / 200, 2);
      }),
      { numRuns: 40 },
    );
  });
  it('keeps what is not timed out of it: no feed, no time', () => {
    const clock = hears(new MachineClock(MOTION), `${HEAD}G1 X100\nX200 F6000`);
    clock.stand();
    expect(clock.of(1).feed).toBeCloseTo(1.1, 9);
  });
});
