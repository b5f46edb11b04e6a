import {
  dimensionsOf,
  FAMILY_NAMES,
  factsOf,
  geometry,
  GEOMETRY_SYMBOLS,
  holderDimensions,
  onFigure,
  type CutterSymbol,
} from './index';

const FIGURES: Partial<Record<CutterSymbol, number>> = {
  DMM: 10,
  LCF: 22,
  OAL: 72,
  RE: 1,
  SIG: 118,
  TAPER: 3,
  KAPR: 60,
  DCX: 12,
  CW: 3,
  APMX: 1,
  SDL: 9,
  STA: 90,
  PRFRAD: 80,
};

// Plane geometry: a dimension ends where the outline does, or where a rule of thumb drew it.
describe.each(FAMILY_NAMES)('a %s', (family) => {
  it.each([
    ['as it is known', geometry(family, { DC: 10, ...FIGURES })],
    ['with nothing known but DC', geometry(family, { DC: 10 })],
  ])('%s has each fact of its shape on the figure, none outside it', (_, c) => {
    const { dimensions, length, widest } = dimensionsOf('cutter', c);
    const shape = GEOMETRY_SYMBOLS.filter(
      (s) => factsOf('cutter', family).includes(s) && !['NOF', 'RMPX', 'CHIP_MAX'].includes(s),
    );
    expect(dimensions.map((d) => d.symbol).sort()).toEqual([...shape].sort());
    for (const d of dimensions) {
      expect(d.value).toBe(c[d.symbol as CutterSymbol]);
      const reach = d.runs === 'along' ? d.to : d.z;
      expect(reach).toBeGreaterThanOrEqual(0);
      expect(reach).toBeLessThanOrEqual(length + 1e-9);
      if (d.runs !== 'along') expect(d.r).toBeLessThanOrEqual(widest / 2 + 1e-9);
    }
  });
});

it('stands where the shape says', () => {
  const { dimensions, length } = dimensionsOf('cutter', geometry('drill', { DC: 10, ...FIGURES, LU: null }));
  const of = (symbol: string) => dimensions.find((d) => d.symbol === symbol);
  // A point of 118 on 10: its corners are 5 / tan 59 = 3.004 above the tip.
  expect(of('DC')).toMatchObject({ runs: 'across', z: expect.closeTo(3.004, 3), r: 5 });
  expect(of('SIG')).toMatchObject({ runs: 'to', z: expect.closeTo(1.502, 3), r: expect.closeTo(2.5, 3) });
  expect(of('LCF')).toMatchObject({ from: 0, to: 22 });
  expect(of('OAL')).toMatchObject({ from: 0, to: length });
  expect(of('LU')).toMatchObject({ value: null });
  expect(onFigure('cutter', geometry('square', { DC: 10 }))).not.toContain('NOF');
});

it('a holder’s bore is measured from its face', () => {
  const { dimensions, widest } = holderDimensions({
    LF: 60,
    CLAMP_MIN: 3,
    CLAMP_MAX: 10,
    GRIP_MIN: 20,
    DEPTH_MAX: 40,
    RPM_MAX: null,
    segments: [{ length: 60, upper: 50, lower: 40 }],
  });
  expect(widest).toBe(50);
  expect(dimensions.find((d) => d.symbol === 'GRIP_MIN')).toMatchObject({ from: 40, to: 60 });
  expect(dimensions.find((d) => d.symbol === 'DEPTH_MAX')).toMatchObject({ from: 20, to: 60 });
});
