import fc from 'fast-check';
import {
  at20,
  commonOffset,
  diameterRegister,
  figureNeeded,
  gaugeLengthFromTouch,
  LENGTH_SCHOOLS,
  lengthRegister,
  machineZAtPartZero,
  questionMeasurement,
  workOffset,
  type LengthSchool,
  type MachineLengths,
} from './index';

const schools = Object.keys(LENGTH_SCHOOLS) as LengthSchool[];
const machine = (school: LengthSchool, over: Partial<MachineLengths> = {}): MachineLengths => ({
  school,
  K: 490,
  K0: 500,
  Lm: 120,
  ...over,
});

describe('length registers', () => {
  // Hand arithmetic: K 490, L 142.316, h 60, K0 500, Lm 120.
  it.each<[LengthSchool, number, number]>([
    ['gauge', 142.316, -430],
    ['datum', -347.684, 60],
    ['common-stand', -357.684, 60],
    ['master', 22.316, -310],
    ['touched-off', -287.684, 0],
  ])('%s', (school, H, Z) => {
    expect(lengthRegister(machine(school), 142.316, 60)).toEqual({ value: expect.closeTo(H, 9) });
    expect(workOffset(machine(school), 60)).toEqual({ value: expect.closeTo(Z, 9) });
  });
  it('says what it needs instead of showing 0', () => {
    expect(lengthRegister(machine('touched-off'), 142, null)).toEqual({ needs: 'part zero' });
    // K is asked for where a register counts from the datum surface, and where a work offset does.
    const noK = { needs: 'K of the machine' };
    for (const school of ['datum', 'touched-off'] as const)
      expect(lengthRegister(machine(school, { K: null }), 142, 60)).toEqual(noK);
    expect(lengthRegister(machine('gauge', { K: null }), 142, 60)).toEqual({ value: 142 });
    expect(workOffset(machine('gauge', { K: null }), 60)).toEqual(noK);
    expect(workOffset(machine('datum', { K: null }), 60)).toEqual({ value: 60 });
    expect(schools.map((s) => figureNeeded(s))).toEqual([null, 'K', 'K0', 'Lm', 'K']);
    expect(lengthRegister(machine('master', { Lm: null }), 142, 60)).toEqual({
      needs: 'the length of the master tool',
    });
    expect(lengthRegister(machine('common-stand', { K0: null }), 142, 60)).toHaveProperty('needs');
    expect(workOffset(machine('gauge'), null)).toEqual({ needs: 'part zero' });
    expect(commonOffset(machine('gauge'))).toEqual({ value: 0 });
    expect(machineZAtPartZero(machine('master', { Lm: null }), 142, 60)).toHaveProperty('needs');
  });
  const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  it('identity: every school puts any tool at part zero at the same place, h + L − K (rigid geometry)', () => {
    fc.assert(
      fc.property(
        num(100, 900),
        num(100, 900),
        num(20, 400),
        num(20, 400),
        num(-50, 600),
        (K, K0, Lm, L, h) => {
          for (const school of schools) {
            const z = machineZAtPartZero({ school, K, K0, Lm }, L, h);
            expect(z).toEqual({ value: expect.closeTo(h + L - K, 6) });
          }
        },
      ),
      { seed: 11 },
    );
  });
  it('a change of L moves every register by the same amount, and touching off gives L back', () => {
    fc.assert(
      fc.property(num(100, 900), num(20, 400), num(-5, 5), num(0, 300), num(0, 50), (K, L, dL, h, g) => {
        for (const school of schools) {
          const a = lengthRegister(machine(school, { K }), L, h);
          const b = lengthRegister(machine(school, { K }), L + dL, h);
          expect('value' in a && 'value' in b && b.value - a.value).toBeCloseTo(dL, 6);
        }
        const touched = gaugeLengthFromTouch(h + L - K + g, g, K, h);
        expect(touched.L).toBeCloseTo(L, 6);
      }),
      { seed: 12 },
    );
  });
});

it('diameter registers: diameter, radius, and near 0 where the program contains the size', () => {
  expect(diameterRegister('diameter', 9.988, null)).toEqual({ value: 9.988 });
  expect(diameterRegister('radius', 9.988, null)).toEqual({ value: 4.994 });
  expect(diameterRegister('wear-diameter', 9.988, 10)).toEqual({ value: expect.closeTo(-0.012, 9) });
  expect(diameterRegister('wear-radius', 9.988, 10)).toEqual({ value: expect.closeTo(-0.006, 9) });
  expect(diameterRegister('wear-radius', 9.988, null)).toHaveProperty('needs');
});

describe('questionMeasurement: both sides of each limit', () => {
  const codes = (L: number, last: number | null = null, D: number | null = null) =>
    questionMeasurement({ L, expected: 142.3, last, D, DC: 10 }).map((q) => q.code);
  it('0.5 mm from expected', () => {
    expect(codes(142.8)).toEqual([]);
    expect(codes(142.801)).toEqual(['FAR_FROM_EXPECTED']);
    expect(codes(141.799)).toEqual(['FAR_FROM_EXPECTED']);
  });
  // ISO 80000-3: an inch is 25.4 mm exactly. 142.3 mm are 5.602 in.
  it('what would be right in the other unit is told so, and not as far off', () => {
    expect(codes(5.602)).toEqual(['WRONG_UNIT']);
    expect(codes(142.3 * 25.4)).toEqual(['WRONG_UNIT']);
    expect(codes(142.8 / 25.4)).toEqual(['WRONG_UNIT']);
    expect(codes(142.9 / 25.4)).toEqual(['FAR_FROM_EXPECTED']);
  });
  it('says what commonly makes it so, by its side and by how much', () => {
    const why = (L: number) =>
      questionMeasurement({ L, expected: 142.3, last: null, D: null, DC: 10 })[0]!.because.words;
    expect(why(144)).toContain('collet that is not snapped');
    expect(why(141)).toContain('Slipped in');
    expect(why(160)).toContain('extension');
  });
  it('0.02 mm from the last of the same build', () => {
    expect(codes(142.336, 142.316)).toEqual([]);
    expect(codes(142.337, 142.316)).toEqual(['FAR_FROM_LAST']);
    expect(codes(142.295, 142.316)).toEqual(['FAR_FROM_LAST']);
  });
  it('2 % of DC: 0.2 mm of 10', () => {
    expect(codes(142.3, null, 9.8)).toEqual([]);
    expect(codes(142.3, null, 9.79)).toEqual(['DIAMETER_FAR_FROM_DC']);
  });
  it('no less than 0.02 of a small one, no more than half a millimetre of a large one', () => {
    const off = (DC: number, D: number) =>
      questionMeasurement({ L: 100, expected: 100, last: null, D, DC }).length;
    expect([off(0.5, 0.48), off(0.5, 0.47)]).toEqual([0, 1]);
    expect([off(100, 99.5), off(100, 99.4)]).toEqual([0, 1]);
  });
});

// Common practice: the face of a holder is known to a tenth of a mm.
it('a length is held against what the stickout of its build sheet comes to', () => {
  const codes = (L: number, sheet: { code: string; least: number; most: number } | null) =>
    questionMeasurement({ L, expected: 94.3, last: null, sheet, D: null, DC: 10 }).map((q) => q.code);
  const sheet = { code: 'BS-1', least: 94, most: 94.5 };
  expect([codes(94.6, sheet), codes(93.9, sheet), codes(94.5, null)]).toEqual([[], [], []]);
  expect([codes(94.61, sheet), codes(93.89, sheet)]).toEqual([['OUTSIDE_SHEET'], ['OUTSIDE_SHEET']]);
});

// ISO 1: lengths are stated at 20 °C. Growth: steel 11.5, carbide 5.5, high-speed steel 11 millionths a kelvin (handbook values,
// from memory); the figures by hand.
describe('a length brought to 20 °C', () => {
  it.each([
    [142.316, 34, 'carbide', 30, (108.316 * 11.5 + 34 * 5.5) * 1e-5],
    [142.316, 34, 'HSS', 30, (108.316 * 11.5 + 34 * 11) * 1e-5],
    [142.316, 34, null, 30, 142.316 * 11.5e-5],
    [142.316, 34, 'carbide', 20, 0],
    [142.316, 34, 'carbide', 12, -(108.316 * 11.5 + 34 * 5.5) * 0.8e-5],
    [40, 60, 'carbide', 30, 40 * 5.5e-5],
  ] as const)('%s with %s of %s at %s °C grew by %s', (L, out, substrate, t, grown) => {
    const is = at20(L, out, substrate, t);
    expect(is.grown).toBeCloseTo(grown, 9);
    expect(is.length).toBeCloseTo(L - grown, 9);
  });
});
