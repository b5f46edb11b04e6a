import {
  checkCutter,
  cutterOutline,
  describeCutter,
  factsOf,
  geometry,
  reach,
  sizeFact,
  type CutterSymbol,
  type Family,
} from '../index';

type Figures = { DC: number } & Partial<Record<CutterSymbol, number | null>>;
const drawn = (family: Family, figures: Figures) => cutterOutline(geometry(family, figures), 60).flute;
const points = (family: Family, figures: Figures) =>
  drawn(family, figures).map((p) => [Math.round(p.z * 1e3) / 1e3, Math.round(p.r * 1e3) / 1e3]);

// Plane geometry; each figure below is worked out by hand.
describe('outlines by their facts', () => {
  it('a lollipop: a ball that passes into its neck above its middle', () => {
    const flute = drawn('lollipop', { DC: 10, DN: 6, DMM: 6 });
    flute.forEach((p) => expect(Math.hypot(p.z - 5, p.r)).toBeCloseTo(5, 9));
    // 5 + sqrt(25 - 9) = 9
    expect(flute.at(-1)).toEqual({ z: expect.closeTo(9, 9), r: expect.closeTo(3, 9) });
  });
  it('a corner-rounding cutter: a hollow quarter about the corner of the work', () => {
    const flute = drawn('corner-rounding', { DC: 4, RE: 3, DCX: 10, DMM: 10 });
    const quarter = flute.slice(2, -1);
    quarter.forEach((p) => expect(Math.hypot(p.z, p.r - 5)).toBeCloseTo(3, 9));
    expect(quarter[0]).toEqual({ z: 0, r: 2 });
    expect(quarter.at(-1)).toEqual({ z: expect.closeTo(3, 9), r: expect.closeTo(5, 9) });
  });
  it('a step drill: point, first step, cone, second step', () =>
    // A point of 118 on 6.8: 3.4 / tan 59 = 2.043; a cone of 90 from 6.8 to 9: 1.1 high.
    expect(points('step-drill', { DC: 6.8, DCX: 9, SDL: 20, STA: 90, SIG: 118, LCF: 40, DMM: 9 })).toEqual([
      [0, 0],
      [2.043, 3.4],
      [20, 3.4],
      [21.1, 4.5],
      [40, 4.5],
    ]));
  // DIN 333 form A (from memory): pilot 2.5 in a body of 6.3, cone 60 degrees, point 120.
  it('a centre drill: pilot, then a cone of 60 degrees', () =>
    expect(points('centre-drill', { DC: 2.5, DMM: 6.3, SDL: 3.1, STA: 60, SIG: 120 }).slice(0, 4)).toEqual([
      [0, 0],
      [0.722, 1.25],
      [3.1, 1.25],
      [6.391, 3.15],
    ]));
  it('a face mill with round inserts: a quarter round from its flat out to its width', () => {
    const flute = drawn('face', { DC: 40, DCX: 52, RE: 6, LCF: 6 });
    flute.slice(1).forEach((p) => expect(Math.hypot(p.z - 6, p.r - 20)).toBeCloseTo(6, 9));
    expect(flute.at(-1)).toEqual({ z: 6, r: 26 });
  });
  it('a neck that tapers: 1 degree over 20 mm is 0.349 a side', () => {
    const { shank } = cutterOutline(
      geometry('square', { DC: 5, DMM: 10, LCF: 10, DN: 5.5, BHTA1: 1, LU: 30, OAL: 60 }),
      60,
    );
    expect(shank[0]).toEqual({ z: 10, r: expect.closeTo(2.401, 3) });
    expect(shank[1]).toEqual({ z: 30, r: 2.75 });
    // As thick as the cutter 0.25 / tan 1 = 14.32 below its top: it reaches 15.68.
    expect(reach(geometry('square', { DC: 5, LCF: 10, DN: 5.5, BHTA1: 1, LU: 30 }))).toBeCloseTo(15.678, 3);
  });
  it('flutes of which nobody knows the end are drawn open there, and said', () => {
    const known = cutterOutline(geometry('square', { DC: 10, DMM: 10, LCF: 22 }), 60);
    const open = cutterOutline(geometry('square', { DC: 10, DMM: 12 }), 60);
    expect([known.openEnd, open.openEnd]).toEqual([false, true]);
    expect(open.assumed.map((a) => a.symbol)).toContain('LCF');
    // No funnel: the cutting part is as wide as DC to its end.
    expect(Math.max(...open.flute.map((p) => p.r))).toBe(5);
  });
  it('a saw is a disc, a boring head a point on a thinner bar', () => {
    expect(points('slitting-saw', { DC: 63, CW: 1.6, DMM: 16 })).toEqual([
      [0, 0],
      [0, 31.5],
      [1.6, 31.5],
    ]);
    expect(points('boring-head', { DC: 20, DN: 16, LU: 50, DMM: 20 }).slice(-2)).toEqual([
      [6, 10],
      [6, 8],
    ]);
  });
});

describe('what can’t be made is refused', () => {
  it.each<[string, Family, Figures, string[]]>([
    ['a lollipop thinner than its neck', 'lollipop', { DC: 10, DN: 10 }, ['DN']],
    ['a lollipop', 'lollipop', { DC: 10, DN: 6, LU: 30 }, []],
    ['a saw without teeth beyond its flange', 'slitting-saw', { DC: 63, DN: 63 }, ['DN']],
    ['a saw a quarter as wide as it is large', 'slitting-saw', { DC: 63, CW: 16 }, ['CW']],
    ['a saw', 'slitting-saw', { DC: 63, CW: 1.6, DN: 32 }, []],
    ['an arc that ends outside', 'corner-rounding', { DC: 4, RE: 3, DCX: 9.9 }, ['DCX']],
    ['a rounding of nothing', 'corner-rounding', { DC: 4, RE: 0 }, ['RE']],
    ['a corner-rounding cutter', 'corner-rounding', { DC: 4, RE: 3, DCX: 10 }, []],
    ['a step beyond the flutes', 'step-drill', { DC: 6.8, DCX: 9, SDL: 41, LCF: 40 }, ['SDL']],
    ['a step within the point', 'step-drill', { DC: 6.8, DCX: 9, SDL: 2, SIG: 118 }, ['SDL']],
    ['a step smaller than the first', 'step-drill', { DC: 6.8, DCX: 6 }, ['DCX']],
    ['a body thinner than the pilot', 'centre-drill', { DC: 2.5, DMM: 2.5 }, ['DMM']],
    ['a bar that doesn’t enter', 'boring-bar', { DC: 12, DN: 12 }, ['DN']],
    ['a boring head', 'boring-head', { DC: 12, DN: 10, DCX: 52, LU: 60 }, []],
    ['an engraver with a tip wider than itself', 'engraver', { DC: 3, DCN: 4 }, ['DCN']],
  ])('%s', (_, family, figures, fields) =>
    expect(checkCutter(geometry(family, figures)).map((f) => f.field)).toEqual(fields),
  );
});

it('how deep each reaches is its own', () => {
  const of = (family: Family, figures: Figures) => reach(geometry(family, figures));
  expect(of('slitting-saw', { DC: 63, DN: 32 })).toBe(15.5);
  expect(of('slitting-saw', { DC: 63 })).toBeNull();
  expect(of('step-drill', { DC: 6.8, SDL: 20, LCF: 40 })).toBe(20);
  expect(of('corner-rounding', { DC: 4, RE: 3 })).toBe(3);
  expect(of('boring-head', { DC: 12, LU: 60 })).toBe(60);
  expect(of('lollipop', { DC: 10, DN: 6 })).toBe(9);
  expect(of('lollipop', { DC: 10, DN: 6, LU: 40 })).toBe(40);
});

it('is said as people say it, and asked for by what sizes it', () => {
  expect(describeCutter(geometry('slitting-saw', { DC: 63, CW: 1.6, NOF: 64 }), 'HSS')).toBe(
    '63 mm × 1.6 slitting saw, 64 flutes, HSS',
  );
  expect(describeCutter(geometry('corner-rounding', { DC: 4, RE: 3 }), null)).toBe(
    '4 mm R3 corner-rounding cutter',
  );
  expect(sizeFact('cutter', 'tap')).toBe('TDZ');
  expect(sizeFact('cutter', 'step-drill')).toBe('DC');
  expect(factsOf('cutter', 'tap').indexOf('TDZ')).toBeLessThan(factsOf('cutter', 'tap').indexOf('DC'));
});
