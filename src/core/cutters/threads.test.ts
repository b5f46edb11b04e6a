import { readThread, tapDrill } from './index';
import type { ThreadSystem } from './threads';

/**
 * Designations against the rows of their standards: ISO 261 and ISO 2306 (metric), ASME B1.1 (unified), ISO 228-1 and
 * ISO 7-1 (Whitworth pipe), ASME B1.20.1 (NPT), ISO 2904 (trapezoidal), DIN 8140 (wire inserts); from memory. Drills
 * of pipe threads by common practice.
 */
const METRIC_ROWS =
  `M1 0.25 0.75;M1.1 0.25 0.85;M1.2 0.25 0.95;M1.4 0.3 1.1;M1.6 0.35 1.25;M1.8 0.35 1.45;M2 0.4 1.6;
M2.2 0.45 1.75;M2.5 0.45 2.05;M3 0.5 2.5;M3.5 0.6 2.9;M4 0.7 3.3;M4.5 0.75 3.7;M5 0.8 4.2;M6 1 5;M7 1 6;M8 1.25 6.8;
M9 1.25 7.8;M10 1.5 8.5;M11 1.5 9.5;M12 1.75 10.2;M14 2 12;M16 2 14;M18 2.5 15.5;M20 2.5 17.5;M22 2.5 19.5;M24 3 21;
M27 3 24;M30 3.5 26.5;M33 3.5 29.5;M36 4 32;M39 4 35;M42 4.5 37.5;M45 4.5 40.5;M48 5 43;M52 5 47;M56 5.5 50.5;
M60 5.5 54.5;M64 6 58;M68 6 62;M8x1 1 7;M10x1 1 9;M10x1.25 1.25 8.8;M12x1 1 11;M12x1.25 1.25 10.8;M12x1.5 1.5 10.5;
M14x1.5 1.5 12.5;M16x1 1 15;M16x1.5 1.5 14.5;M18x1.5 1.5 16.5;M18x2 2 16;M20x1.5 1.5 18.5;M20x2 2 18;M22x1.5 1.5 20.5;
M24x1.5 1.5 22.5;M24x2 2 22;M27x2 2 25;M30x1.5 1.5 28.5;M30x2 2 28;M33x2 2 31;M36x3 3 33;M39x3 3 36;M42x3 3 39;
M48x3 3 45;M56x4 4 52;M64x4 4 60;M72x6 6 66;M80x6 6 74;M90x6 6 84;M100x6 6 94;M100x4 4 96;M6x0.75 0.75 5.2;
M8x0.75 0.75 7.2;M5x0.5 0.5 4.5;M4x0.5 0.5 3.5;M3x0.35 0.35 2.65`
    .split(';')
    .map((row) => row.trim().split(' ') as [string, string, string]);
it.each(METRIC_ROWS)('%s has a pitch of %s and a drill of %s (ISO 261, ISO 2306)', (text, pitch, drill) => {
  const thread = readThread(text)!;
  expect(thread).toMatchObject({ pitch: Number(pitch), system: 'metric', hand: 'right' });
  expect(tapDrill(thread, 'cutting')!.drill).toBeCloseTo(Number(drill), 9);
});

/** Size, threads to the inch, its series and whether that is the coarse one. */
const UNIFIED_ROWS: [text: string, inch: number, tpi: number, coarse: boolean][] = [
  ['#0-80 UNF', 0.06, 80, false],
  ['#1-64 UNC', 0.073, 64, true],
  ['#2-56', 0.086, 56, true],
  ['#3-48', 0.099, 48, true],
  ['4-40', 0.112, 40, true],
  ['#4-40 UNC', 0.112, 40, true],
  ['#4-48 UNF', 0.112, 48, false],
  ['#5-40', 0.125, 40, true],
  ['6-32 UNC', 0.138, 32, true],
  ['6-40 UNF', 0.138, 40, false],
  ['8-32', 0.164, 32, true],
  ['#10-24', 0.19, 24, true],
  ['10-32 UNF', 0.19, 32, false],
  ['12-24', 0.216, 24, true],
  ['1/4-20 UNC', 0.25, 20, true],
  ['1/4"-20', 0.25, 20, true],
  ['.250-20 UNC', 0.25, 20, true],
  ['1/4-28 UNF', 0.25, 28, false],
  ['5/16-18', 0.3125, 18, true],
  ['5/16-24 UNF', 0.3125, 24, false],
  ['3/8-16 UNC', 0.375, 16, true],
  ['3/8-24', 0.375, 24, false],
  ['7/16-14', 0.4375, 14, true],
  ['7/16-20 UNF', 0.4375, 20, false],
  ['1/2-13 UNC-2B', 0.5, 13, true],
  ['1/2-20 UNF', 0.5, 20, false],
  ['1/2-28 UNEF', 0.5, 28, false],
  ['9/16-12', 0.5625, 12, true],
  ['5/8-11', 0.625, 11, true],
  ['3/4-10 UNC', 0.75, 10, true],
  ['3/4-16 UNF', 0.75, 16, false],
  ['7/8-9', 0.875, 9, true],
  ['1-8 UNC', 1, 8, true],
  ['1-12 UNF', 1, 12, false],
  ['1 1/8-7', 1.125, 7, true],
  ['1-1/4-7', 1.25, 7, true],
  ['1 1/2-6 UNC', 1.5, 6, true],
  ['1 3/4-5', 1.75, 5, true],
  ['2-4.5 UNC', 2, 4.5, true],
  ['2-4 1/2', 2, 4.5, true],
  ['2 1/2-4', 2.5, 4, true],
  ['3-4 UNC', 3, 4, true],
  ['4-4 UNC', 4, 4, true],
  ['4-12 UN', 4, 12, false],
];
it.each(UNIFIED_ROWS)('%s is %d in, %d to the inch (ASME B1.1)', (text, inch, tpi, coarse) =>
  expect(readThread(text)).toMatchObject({
    major: expect.closeTo(inch * 25.4, 6),
    pitch: expect.closeTo(25.4 / tpi, 9),
    system: 'unified',
    coarse,
  }),
);

const PIPE_ROWS: [text: string, major: number, tpi: number, drill: number, system: ThreadSystem][] = [
  ['G1/8', 9.728, 28, 8.8, 'pipe, parallel'],
  ['G 1/4', 13.157, 19, 11.8, 'pipe, parallel'],
  ['G1/4-19', 13.157, 19, 11.8, 'pipe, parallel'],
  ['1/4 BSPP', 13.157, 19, 11.8, 'pipe, parallel'],
  ['G3/8', 16.662, 19, 15.25, 'pipe, parallel'],
  ['1/2 BSP', 20.955, 14, 19, 'pipe, parallel'],
  ['G3/4', 26.441, 14, 24.5, 'pipe, parallel'],
  ['G1', 33.249, 11, 30.75, 'pipe, parallel'],
  ['G1 1/4', 41.91, 11, 39.5, 'pipe, parallel'],
  ['G 1-1/2', 47.803, 11, 45.3, 'pipe, parallel'],
  ['Rp 1/2', 20.955, 14, 19, 'pipe, parallel'],
  ['G2', 59.614, 11, 57, 'pipe, parallel'],
  ['Rc 1/8', 9.728, 28, 8.4, 'pipe, taper 1:16'],
  ['R1/4', 13.157, 19, 11.2, 'pipe, taper 1:16'],
  ['1/2 BSPT', 20.955, 14, 18.25, 'pipe, taper 1:16'],
  ['Rc1', 33.249, 11, 30, 'pipe, taper 1:16'],
  ['1/8-27 NPT', 10.287, 27, 8.433, 'NPT, taper 1:16'],
  ['1/4-18 NPT', 13.716, 18, 11.113, 'NPT, taper 1:16'],
  ['NPT 1/4', 13.716, 18, 11.113, 'NPT, taper 1:16'],
  ['3/8 NPTF', 17.145, 18, 14.288, 'NPT, taper 1:16'],
  ['1/2-14 NPT', 21.336, 14, 17.859, 'NPT, taper 1:16'],
  ['3/4-14 NPTF', 26.67, 14, 23.02, 'NPT, taper 1:16'],
  ['1-11.5 NPT', 33.401, 11.5, 28.971, 'NPT, taper 1:16'],
  ['1-11 1/2 NPT', 33.401, 11.5, 28.971, 'NPT, taper 1:16'],
];
it.each(PIPE_ROWS)(
  '%s is %d across, %d to the inch, and has its own drill of %d',
  (text, major, tpi, drill, system) => {
    const thread = readThread(text)!;
    expect(thread).toMatchObject({
      system,
      pitch: expect.closeTo(25.4 / tpi, 9),
      major: expect.closeTo(major, 3),
    });
    expect(tapDrill(thread, 'cutting')).toMatchObject({ drill: expect.closeTo(drill, 2), percent: null });
    // The rule of the 60 degree charts is none of theirs.
    expect(tapDrill(thread, 'forming')).toBeNull();
  },
);

it.each([
  ['EG M8', 9.624, 1.25],
  ['M8 EG', 9.624, 1.25],
  ['EG M6', 7.299, 1],
  ['STI M10x1', 11.299, 1],
  ['EG M5', 6.039, 0.8],
  ['STI 1/4-20', 8.0, 1.27],
])('%s is tapped oversize for its insert: %d (D + 1.299 P, DIN 8140)', (text, major, pitch) => {
  const thread = readThread(text)!;
  expect(thread).toMatchObject({
    forInsert: true,
    pitch: expect.closeTo(pitch, 9),
    major: expect.closeTo(major, 2),
  });
  expect(tapDrill(thread, 'cutting')!.drill).toBeGreaterThan(major - 1.0825 * pitch - 0.01);
});

it.each([
  ['Tr20x4', 20, 4],
  ['TR 30x6', 30, 6],
  ['Tr40x7 LH', 40, 7],
])('%s has a core of D − P (ISO 2904)', (text, major, pitch) => {
  expect(readThread(text)).toMatchObject({ major, pitch, system: 'trapezoidal' });
  expect(tapDrill(readThread(text)!, 'cutting')!.drill).toBe(major - pitch);
});

it.each([
  ['M12 LH', 12, 1.75],
  ['M8x1 LH', 8, 1],
  ['M10x1.25-6H LH', 10, 1.25],
  ['1/2-13 UNC LH', 12.7, 25.4 / 13],
  ['M16-LH', 16, 2],
  ['G1/4 left', 13.157, 25.4 / 19],
])('%s keeps its left hand', (text, major, pitch) =>
  expect(readThread(text)).toMatchObject({ hand: 'left', major, pitch: expect.closeTo(pitch, 9) }),
);
it.each(['M8-6H', 'M8 6H', 'M8x1.25-6H', 'M8 x 1,25', 'm8', 'M8×1.25'])('%s is M8', (text) =>
  expect(readThread(text)).toMatchObject({ major: 8, pitch: 1.25 }),
);

it.each([
  ['no coarse pitch above M68', 'M72'],
  ['no such pitch', 'M6x1.1'],
  ['a core of less than 0.6 of it', 'M6x3'],
  ['a series that has another pitch there', '1/4-28 UNC'],
  ['a fraction that is none', '5/4-20'],
  ['no such numbered screw', '#7-32'],
  ['above 4 in', '5-4'],
  ['no such pipe size', 'G1/5'],
  ['a pitch that NPT does not have there', '1/4-14 NPT'],
  ['words', 'metric eight'],
  ['several starts', 'Tr20x8P4'],
  ['a core that is gone', 'Tr8x4'],
])('%s: %s is not read, and so never drilled', (_, text) => expect(readThread(text)).toBeNull());

it('no designation of any standard here is drilled absurdly: more than half of it, less than all', () => {
  for (const text of [...METRIC_ROWS, ...UNIFIED_ROWS, ...PIPE_ROWS].map(([t]) => t)) {
    const thread = readThread(text)!;
    const { drill } = tapDrill(thread, 'cutting')!;
    expect([text, drill > 0.55 * thread.major && drill < thread.major]).toEqual([text, true]);
  }
});
