import * as fc from 'fast-check';
import { type Clamped, type Fixture, fixtureOffset } from './index';

const VISE: Fixture = { centre: -24.6, width: 6, jaw: -10, far: true, bed: 4, stop: null };
const part = (over: Partial<Clamped> = {}): Clamped => ({
  against: 'left end',
  stock: { x: 4, y: 3, z: 1.5 },
  parallels: 1,
  zero: { x: 'left', y: 'at the fixed jaw', z: 'top' },
  ...over,
});

// The worked example of the trade: vise centre less half its width, −24.6 with a width of 6: −27.6 (common practice).
it('a part against the left end of the vise: −24.6 − 3 = −27.6', () =>
  expect(fixtureOffset(VISE, part())).toMatchObject({ X: expect.closeTo(-27.6, 9), Y: -10, h: 6.5 }));

it.each([
  ['its right against the right end', { against: 'right end' }, { X: -25.6 }],
  [
    'zero in the middle of it',
    { zero: { x: 'middle', y: 'middle', z: 'bottom' } },
    { X: -25.6, Y: -11.5, h: 5 },
  ],
  [
    'zero at the operator’s side',
    { zero: { x: 'right', y: 'away from it', z: 'top' } },
    { X: -23.6, Y: -13, h: 6.5 },
  ],
  ['on the bed itself', { parallels: 0 }, { h: 5.5 }],
] as [string, Partial<Clamped>, object][])('%s, by hand', (_, over, is) =>
  expect(fixtureOffset(VISE, part(over))).toMatchObject(
    Object.fromEntries(Object.entries(is).map(([k, v]) => [k, expect.closeTo(v as number, 9)])),
  ),
);

it('against a stop where there is one; none is no place', () => {
  expect(fixtureOffset(VISE, part({ against: 'stop' }))).toBeNull();
  expect(fixtureOffset({ ...VISE, stop: -30 }, part({ against: 'stop' }))?.X).toBe(-30);
});

it('a near jaw mirrors Y; wherever zero is, it lies on the part (random vises)', () => {
  const mmOf = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  fc.assert(
    fc.property(
      mmOf(-900, 0),
      mmOf(50, 200),
      mmOf(-500, 0),
      fc.boolean(),
      mmOf(10, 150),
      mmOf(10, 100),
      fc.constantFrom('left', 'middle', 'right' as const),
      fc.constantFrom('at the fixed jaw', 'middle', 'away from it' as const),
      (centre, width, jaw, far, x, y, zx, zy) => {
        const vise = { ...VISE, centre, width, jaw, far };
        const at = (zero: Clamped['zero']) => fixtureOffset(vise, part({ stock: { x, y, z: 20 }, zero }))!;
        const { X, Y } = at({ x: zx as 'left', y: zy as 'middle', z: 'top' });
        const left = centre - width / 2;
        expect(X).toBeGreaterThanOrEqual(left - 1e-9);
        expect(X).toBeLessThanOrEqual(left + x + 1e-9);
        const [low, high] = far ? [jaw - y, jaw] : [jaw, jaw + y];
        expect(Y).toBeGreaterThanOrEqual(low - 1e-9);
        expect(Y).toBeLessThanOrEqual(high + 1e-9);
      },
    ),
  );
});
