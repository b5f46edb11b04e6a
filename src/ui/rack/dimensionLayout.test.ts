import { dimensionsOf, FAMILY_NAMES, geometry, holderDimensions, type Dimensioned } from '@/core/cutters';
import { layDimensions } from './dimensionLayout';

const FIGURES = {
  DMM: 10,
  LCF: 22,
  OAL: 72,
  LU: 40,
  DN: 8,
  RE: 1,
  SIG: 118,
  TAPER: 3,
  KAPR: 60,
  DCX: 12,
  DCN: 2,
  CW: 3,
};
const MORE = { APMX: 1, SDL: 9, STA: 90, PRFRAD: 80 };
const holder = { LF: 60, CLAMP_MIN: 3, CLAMP_MAX: 10, GRIP_MIN: 20, DEPTH_MAX: 40, RPM_MAX: null };
const figures: [string, Dimensioned][] = [
  ...FAMILY_NAMES.flatMap((family): [string, Dimensioned][] => [
    [`${family}, known`, dimensionsOf('cutter', geometry(family, { DC: 10, ...FIGURES, ...MORE }))],
    [`${family}, not known`, dimensionsOf('cutter', geometry(family, { DC: 10 }))],
    [`${family}, long and thin`, dimensionsOf('cutter', geometry(family, { DC: 2, ...FIGURES, OAL: 150 }))],
  ]),
  ['a holder', holderDimensions({ ...holder, segments: [] })],
];

it.each(figures)('%s: no label lies on another, none outside the drawing', (_, figure) => {
  const wide = 84;
  const { placed, width, height } = layDimensions(figure, 740, () => wide);
  expect(placed).toHaveLength(figure.dimensions.length);
  const boxes = placed.map((p) => ({ of: p.dimension.symbol, ...p.label }));
  for (const [i, a] of boxes.entries()) {
    expect(a.x - wide / 2).toBeGreaterThanOrEqual(0);
    expect(a.x + wide / 2).toBeLessThanOrEqual(width);
    expect(a.y).toBeGreaterThan(0);
    expect(a.y).toBeLessThan(height);
    for (const b of boxes.slice(i + 1)) {
      const apart = Math.abs(a.x - b.x) >= wide - 1e-6 || Math.abs(a.y - b.y) >= 24;
      expect([a.of, b.of, apart]).toEqual([a.of, b.of, true]);
    }
  }
});
