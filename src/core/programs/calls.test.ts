import { LIMITS } from '../limits';
import { readProgram } from './index';

/** Subprograms by M98 P L and M99, as the common ISO 6983 dialects have them (from memory); worked out by hand. */
const HEAD = 'T1 M6\nS1000 M3\nG0 X0 Y0 Z0\n';
const read = (main: string, subs: string) => readProgram(`${HEAD}${main}\nM30\n${subs}`);

it('what a subprogram does is done where it is called, by its own lines', () => {
  const r = read('G1 X10 F100\nM98 P100\nG1 X40', 'O100\nG1 X30\nG1 Z-7\nM99');
  expect(r.not_understood).toEqual([]);
  // 10, then 20 and 7, then 10.
  expect(r.tools[0]).toMatchObject({
    cutting_mm: 47,
    lowest_feed_z_mm: -7,
    lowest_feed_z_line: 10,
    lower_bound: false,
  });
});
it('L runs it so many times, 0 not at all', () => {
  const times = (l: string) => read(`G91 G1 F100\nM98 P7 ${l}`, 'O7\nX5\nM99').tools[0]?.cutting_mm;
  expect([times(''), times('L1'), times('L4'), times('L0')]).toEqual([5, 5, 20, 0]);
});
it('one calls another: three rows of four holes', () => {
  const r = read(
    'G0 Z5\nG91\nG99 G81 R-3 Z-10 L0 F60\nM98 P1 L3\nG80',
    'O1\nM98 P2 L4\nG0 X-40 Y10\nM99\nO2\nG81 X10 R0 Z-10\nM99',
  );
  expect(r.tools[0]).toMatchObject({ holes: 12, cutting_mm: 120 });
});
it('modal words hold into it and out of it, a tool changed in it stays', () => {
  const r = read('F100\nM98 P5\nG1 X20', 'O5\nT2 M6\nM3\nG91\nG1 X10 F200\nG90\nM99');
  expect(r.tool_sequence).toEqual([1, 2]);
  expect(r.tools[1]).toMatchObject({ cutting_mm: 20, cutting_s: 6 });
});
it('what stands behind the end and is never called is not read', () =>
  expect(read('G1 X10 F100', 'O9\nT9 M6\nG1 X500 F1\nM99')).toMatchObject({
    tools: [{ t: 1, cutting_mm: 10 }],
    not_understood: [],
  }));
it('a block may move before it calls', () =>
  expect(read('G1 X10 F100 M98 P3', 'O3\nX15\nM99').tools[0]!.cutting_mm).toBe(15));
it('M99 in the main program begins it anew: once through is what one part takes', () =>
  expect(readProgram(`${HEAD}G1 X10 F100\nM99\nG1 X50`).tools[0]!.cutting_mm).toBe(10));
it('line numbers may stand before O and within', () =>
  expect(read('N10 G1 F100\nN20 M98 P77', 'N30 O77\nN40 X3\nN50 M99').tools[0]!.cutting_mm).toBe(3));
it('long ones are found far behind, and left again for the right line', () => {
  const filler = 'G1 X1 F100 (A LONG COMMENT THAT FILLS THE PROGRAM UP)\nX0\n'.repeat(6000);
  const r = read(`M98 P8\n${filler}M98 P8\nG68`, `O8\nG1 Z-1 F100\nZ0\nM99`);
  expect(r.tools[0]!.cutting_mm).toBe(2 * 2 + 12_000 - 1 + 1);
  expect(r.not_understood).toMatchObject([{ line: 4 + 1 + 12_000 + 1, text: 'G68' }]);
});

it('a tool that a subprogram changes to ends the lines of the one before where it is called', () => {
  const r = read('G1 X10 F100\nM98 P5\nG1 X20', 'O5\nT2 M6\nM3\nM99');
  expect(r.tools.map((t) => t.lines)).toEqual([[[1, 5]], [[9, 9]]]);
});
it('what else stands beside its number is read, or named', () =>
  expect(read('M98 P5', 'O5 G68 R30\nM99').not_understood).toMatchObject([{ line: 6, text: 'G68' }]));
it('a return to another line is named', () =>
  expect(read('M98 P5', 'O5\nM99 P20').not_understood).toMatchObject([{ line: 7, text: 'M99 P20' }]));

describe('what cannot be called is named with its line, and marks the tool', () => {
  it.each([
    ['no such subprogram', 'M98 P5', 'O6\nM99', /no subprogram O5/],
    ['no P', 'M98', 'O6\nM99', /without a P/],
    ['half a time', 'M98 P6 L0.5', 'O6\nM99', /0.5 times/],
    ['one that never ends', 'M98 P6', 'O6\nG1 X3 F100', /without its M99/],
    ['one that calls itself', 'M98 P6', 'O6\nM98 P6\nM99', /more than 8 deep/],
  ])('%s', (_, main, subs, why) => {
    const r = read(main, subs);
    expect(r.not_understood[0]?.why).toMatch(why);
    expect(r.tools[0]!.lower_bound).toBe(true);
  });
});
it('calls within calls, thousands of times: reading stops once there is more than can be', () => {
  const r = read('M98 P1 L9999', 'O1\nM98 P2 L9999\nM99\nO2\nG1 X1 F100\nX0\nM99');
  expect(r.not_understood.at(-1)?.why).toContain('subprograms run through more than');
  expect(r.tools[0]!.cutting_mm).toBeLessThan(LIMITS.programCalled.most);
  expect(r.tools[0]!.lower_bound).toBe(true);
});

it.each([
  ['comments', '(NOTHING)\n'.repeat(100_000)],
  ['blocks that are left out', '/G1 X5\n'.repeat(100_000)],
  ['one long line', `(${'X'.repeat(1_000_000)})\n`],
])('%s in a subprogram that is called thousands of times take their time once in so many', (_, body) => {
  const text = `${HEAD}M98 P1 L9999\nM30\nO1\n${body}M99`;
  const r = readProgram(text, { blockDelete: true });
  expect(r.not_understood.at(-1)?.why).toContain('subprograms run through more than');
});
