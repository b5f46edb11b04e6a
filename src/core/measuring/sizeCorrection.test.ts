import fc from 'fast-check';
import { sure } from '../sure';
import { correctSize, type FeatureKind, FEATURES, type MeasuredFeature, registerOf, standOff } from './index';
import { DIAMETER_SCHOOLS, type DiameterSchool } from './schools';

const feature = (kind: FeatureKind, wanted: number, measured: number, over = {}): MeasuredFeature => ({
  kind,
  wanted,
  measured,
  least: null,
  most: null,
  ...over,
});
const radius = { school: 'radius', cutBefore: true } as const;

/**
 * A part as a machine cuts it, by solid geometry: the path's centre runs beside each wanted wall at the radius the register
 * says, and the cutter takes away what lies within its true radius. Walls stand at 0 and at the wanted size, material
 * between them (outside) or beyond them (inside); floors are cut by the true length where the register says another.
 */
function cut(kind: FeatureKind, wanted: number, said: number, real: number): number {
  switch (kind) {
    case 'outside': {
      const [low, high] = [0 - said, wanted + said];
      return high - real - (low + real);
    }
    case 'inside': {
      const [low, high] = [0 + said, wanted - said];
      return high + real - (low - real);
    }
    // From a datum at 0 that it did not cut: the wall is reached from beyond the material, or from within the gap.
    case 'wall over material':
      return wanted + said - real;
    case 'wall over a gap':
      return wanted - said + real;
    // Gauge line above the floor by what the register says, the tip below the gauge line by the true length.
    case 'height':
      return wanted + said - real;
    case 'depth': {
      const floor = -wanted + said - real;
      return -floor;
    }
    case 'same way': {
      const [first, second] = [0 - said + real, wanted - said + real];
      return second - first;
    }
  }
}
const kinds = Object.keys(FEATURES) as FeatureKind[];
const schools = Object.keys(DIAMETER_SCHOOLS) as DiameterSchool[];
/** What a register holds of a radius or length, mm, and back: true-minus-programmed ones hold it less what is programmed. */
const held = (register: 'D' | 'H', school: DiameterSchool, r: number) =>
  register === 'H'
    ? r
    : school === 'diameter'
      ? 2 * r
      : school === 'wear-diameter'
        ? 2 * r - 10
        : school === 'radius'
          ? r
          : r - 5;
const holds = (register: 'D' | 'H', school: DiameterSchool, value: number) =>
  register === 'H'
    ? value
    : school === 'diameter'
      ? value / 2
      : school === 'wear-diameter'
        ? (value + 10) / 2
        : school === 'radius'
          ? value
          : value + 5;

it('brings the next part to size, whatever was wrong, for every feature, school and number of them (property)', () =>
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom(...kinds), { minLength: 1, maxLength: 5 }),
      fc.constantFrom(...schools),
      fc.double({ min: 1, max: 40, noNaN: true }),
      fc.double({ min: -0.3, max: 0.3, noNaN: true }),
      (cuts, school, real, error) => {
        for (const register of ['D', 'H'] as const) {
          const now = held(register, school, real + error);
          const said = holds(register, school, now);
          const part = cuts.map((kind, i) => feature(kind, 60 + i, cut(kind, 60 + i, said, real)));
          const correction = correctSize(register, part, { school, cutBefore: true });
          const moved = part.filter((f) => registerOf(f.kind) === register);
          expect(correction === null).toBe(moved.length === 0);
          if (!correction) continue;
          expect(correction.left).toBeCloseTo(error, 9);
          expect(correction.spread).toBeCloseTo(0, 9);
          const after = holds(register, school, now + correction.change);
          for (const f of moved) expect(cut(f.kind, f.wanted, after, real)).toBeCloseTo(f.wanted, 9);
          for (const { feature: f, size } of correction.next) expect(size).toBeCloseTo(f.wanted, 9);
        }
      },
    ),
  ));

it('between two walls that face the same way no register changes anything', () => {
  expect(cut('same way', 30, 5.2, 5)).toBeCloseTo(30, 12);
  expect(correctSize('D', [feature('same way', 30, 30.1)], radius)).toBeNull();
  expect(registerOf('same way')).toBeNull();
});

// Hand arithmetic: 40.06 over two walls leaves 0.03 on each; a slot of 19.94 for 20 as well; a floor 0.02 too high.
it.each<[string, FeatureKind, number, number, DiameterSchool, number]>([
  ['outside too big, a smaller radius', 'outside', 40, 40.06, 'radius', -0.03],
  ['outside too big, a smaller diameter', 'outside', 40, 40.06, 'diameter', -0.06],
  ['a slot too narrow', 'inside', 20, 19.94, 'wear-radius', -0.03],
  ['a slot too wide, by a wear of the diameter', 'inside', 20, 20.06, 'wear-diameter', 0.06],
  ['one wall through material', 'wall over material', 12, 12.04, 'radius', -0.04],
  ['one wall across a gap', 'wall over a gap', 12, 11.96, 'radius', -0.04],
  ['a floor too high, from below', 'height', 15, 15.02, 'diameter', -0.02],
  ['a pocket not deep enough', 'depth', 8, 7.98, 'diameter', -0.02],
  ['too deep', 'depth', 8, 8.03, 'radius', 0.03],
])('%s', (_, kind, wanted, measured, school, change) => {
  const register = sure(registerOf(kind), 'a register');
  expect(
    correctSize(register, [feature(kind, wanted, measured)], { school, cutBefore: true })?.change,
  ).toBeCloseTo(change, 9);
});

it('aims at the middle of the limits: 20 H7 is 20.000 to 20.021 (ISO 286-2)', () => {
  const bore = feature('inside', 20, 19.99, { least: 20, most: 20.021 });
  expect(correctSize('D', [bore], radius)).toMatchObject({
    change: expect.closeTo(-0.01025, 9),
    next: [{ size: expect.closeTo(20.0105, 9) }],
    judgements: [{ code: 'CUT_AGAIN', grade: 'good' }],
  });
  expect(correctSize('D', [{ ...bore, measured: 20.012 }], radius)?.judgements).toMatchObject([
    { code: 'WITHIN', grade: 'good' },
  ]);
  // At a limit is within it.
  expect(
    correctSize('D', [{ ...bore, measured: 20.021 }], { ...radius, cutBefore: false })?.judgements,
  ).toMatchObject([{ code: 'WITHIN' }]);
});

describe('says what no register can do, and asks where it is no wear (common practice)', () => {
  const judged = (f: MeasuredFeature[], cutBefore = true) =>
    correctSize('D', f, { ...radius, cutBefore })?.judgements.map((j) => [j.code, j.grade]);
  it('cut too far, past its limits: this part is set aside', () =>
    expect(judged([feature('outside', 40, 39.95, { least: 39.98, most: 40.02 })], false)).toEqual([
      ['TOO_MUCH_CUT', 'stop'],
    ]));
  it('what has cut before does not grow; a fresh one may go either way', () => {
    expect(judged([feature('outside', 40, 39.98)])).toEqual([['CUTS_MORE', 'question']]);
    expect(judged([feature('outside', 40, 39.98)], false)).toEqual([['NO_LIMITS', 'not judged']]);
    // No more than a measurement is not sure of.
    expect(judged([feature('outside', 40, 39.99)])).toEqual([['NO_LIMITS', 'not judged']]);
  });
  it('limits that are swapped are asked about, and nothing is said of the part', () =>
    expect(judged([feature('outside', 40, 39.9, { least: 40.02, most: 39.98 })])).toEqual([
      ['LIMITS_SWAPPED', 'question'],
    ]));
  it('more than 0.05 a wall, both sides', () => {
    expect(judged([feature('outside', 40, 40.1)])).toEqual([['NO_LIMITS', 'not judged']]);
    expect(judged([feature('outside', 40, 40.102)])).toEqual([['FAR_OFF', 'question']]);
  });
  it('several that no one change brings within their limits: their spread is said', () => {
    const limits = (n: number) => ({ least: n - 0.01, most: n + 0.01 });
    const both = [feature('outside', 40, 40.06, limits(40)), feature('inside', 20, 20.0, limits(20))];
    expect(correctSize('D', both, radius)).toMatchObject({
      spread: expect.closeTo(0.03, 9),
      left: expect.closeTo(0.015, 9),
    });
    expect(judged(both)).toEqual([['DISAGREE', 'question']]);
  });
});

it('a first cut that stays off the size leaves as much on each wall, whatever the register holds', () => {
  for (const school of schools) {
    const now = held('D', school, 5) + standOff('D', school, 0.2);
    const size = cut('outside', 40, holds('D', school, now), 5);
    expect(size).toBeCloseTo(40.4, 9);
  }
  expect(standOff('H', 'diameter', 0.2)).toBe(0.2);
});
