import { hatchTop, mirrored, openLine } from './drawing';
import { rackLayout } from './rackLayout';

const pieces = (n: number, widest = 63, length = 140) =>
  Array.from({ length: n }, () => ({ widest, length }));

describe('rackLayout', () => {
  it('places every assembly once, in rows of one scale', () => {
    for (const n of [0, 1, 7, 12, 60]) {
      const layout = rackLayout(pieces(n), 720, 560);
      expect(layout.rows.reduce((sum, r) => sum + r.count, 0)).toBe(n);
      layout.rows.forEach((r, i) =>
        expect(r.first).toBe(layout.rows.slice(0, i).reduce((sum, x) => sum + x.count, 0)),
      );
    }
  });
  it('columns are wide enough that neighbours never touch, and a row fits the width', () => {
    for (const n of [1, 5, 13, 60]) {
      const layout = rackLayout(pieces(n, 80), 720, 560);
      expect(layout.columnWidth).toBeGreaterThan(80 * layout.scale);
      layout.rows.forEach((r) => expect(r.count * layout.columnWidth).toBeLessThanOrEqual(720));
    }
  });
  it('gives up a little size for a row less, and shows 60 tools at the least scale', () => {
    expect(rackLayout(pieces(7), 720, 560).rows).toHaveLength(1);
    const many = rackLayout(pieces(60), 720, 560);
    expect(many.scale).toBeCloseTo(1.05, 9);
    expect(many.rows.length).toBeGreaterThan(5);
  });
  it('a larger screen draws larger: 15 tools at 1280 x 800 and at 1920 x 1080', () => {
    const [small, large] = [rackLayout(pieces(15), 1060, 560), rackLayout(pieces(15), 1700, 840)];
    expect(large.scale).toBeGreaterThan(small.scale * 1.2);
  });
  it('one huge face mill does not break it', () =>
    expect(rackLayout(pieces(1, 900), 300, 400).rows).toHaveLength(1));
});

it('mirrored closes the half outline about the axis', () => {
  expect(
    mirrored(
      [
        { z: 0, r: 5 },
        { z: 10, r: 5 },
      ],
      2,
    ),
  ).toBe('M10,0L10,20L-10,20L-10,0Z');
  expect(mirrored([], 2)).toBe('');
});

it('the hatch starts at the tip and never leaves the flute', () => {
  expect(hatchTop(100, 20, 0.5)).toBe(90);
  expect(hatchTop(100, 20, 1.4)).toBe(80);
  expect(hatchTop(100, 20, -1)).toBe(100);
});

it('an open line has no stroke across its end at the shank, from either side', () => {
  const down = [
    { z: 0, r: 5 },
    { z: 10, r: 5 },
    { z: 10, r: 0 },
  ];
  expect(openLine(down, 2, 'shank')).toBe('M-10,0L-10,20L0,20L0,20L10,20L10,0');
  expect(openLine(down.toReversed(), 2, 'tip')).toBe(openLine(down, 2, 'shank'));
  expect(openLine([], 2, 'tip')).toBe('');
});
