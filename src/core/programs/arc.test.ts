import fc from 'fast-check';
import { arcThrough, lowestOnArc, reachOfArc, type Arc } from './arc';

const ok = (a: Arc | string): Arc => {
  if (typeof a === 'string') throw new Error(a);
  return a;
};
const point = (arc: Arc, share: number): [number, number] => {
  const angle = arc.from + arc.turn * share;
  return [arc.centre[0] + arc.radius * Math.cos(angle), arc.centre[1] + arc.radius * Math.sin(angle)];
};
const coordinate = fc.double({ min: -100, max: 100, noNaN: true });

it('property: an arc by R begins and ends where it was told, with that radius, the short way for R > 0', () => {
  fc.assert(
    fc.property(
      coordinate,
      coordinate,
      coordinate,
      coordinate,
      fc.double({ min: 1.01, max: 20, noNaN: true }),
      fc.boolean(),
      fc.boolean(),
      (sx, sy, ex, ey, factor, clockwise, long) => {
        const chord = Math.hypot(ex - sx, ey - sy);
        fc.pre(chord > 1e-3);
        const R = (chord / 2) * factor * (long ? -1 : 1);
        const arc = ok(
          arcThrough({ start: [sx, sy], end: [ex, ey], centre: null, R, clockwise, endGiven: true }),
        );
        expect(arc.radius).toBeCloseTo(Math.abs(R), 6);
        const [px, py] = point(arc, 1);
        expect(px).toBeCloseTo(ex, 5);
        expect(py).toBeCloseTo(ey, 5);
        expect(Math.sign(arc.turn)).toBe(clockwise ? -1 : 1);
        if (long) expect(Math.abs(arc.turn)).toBeGreaterThan(Math.PI - 1e-6);
        else expect(Math.abs(arc.turn)).toBeLessThan(Math.PI + 1e-6);
      },
    ),
    { seed: 21 },
  );
});

it('property: the lowest point agrees with walking the arc in two thousand steps', () => {
  fc.assert(
    fc.property(
      coordinate,
      coordinate,
      fc.double({ min: 0.5, max: 50, noNaN: true }),
      fc.double({ min: -6.28, max: 6.28, noNaN: true }),
      fc.double({ min: 0.05, max: 6.2, noNaN: true }),
      fc.boolean(),
      fc.constantFrom<0 | 1>(0, 1),
      (cx, cy, r, from, turn, clockwise, axis) => {
        const arc: Arc = { centre: [cx, cy], radius: r, from, turn: clockwise ? -turn : turn };
        const walked = Math.min(...Array.from({ length: 2001 }, (_, i) => point(arc, i / 2000)[axis]));
        expect(lowestOnArc(arc, axis)).toBeLessThanOrEqual(walked + 1e-9);
        expect(walked - lowestOnArc(arc, axis)).toBeLessThan(r * 1e-5 + 1e-9);
      },
    ),
    { seed: 22 },
  );
});

it('a half circle by an R that is a hair too short is a half circle: 0.002 mm are allowed, not more', () => {
  const half = (R: number) =>
    arcThrough({ start: [0, 0], end: [20, 0], centre: null, R, clockwise: false, endGiven: true });
  expect(ok(half(9.9981)).turn).toBeCloseTo(Math.PI, 2);
  expect(half(9.9979)).toBe('ARC_RADIUS_TOO_SMALL');
});

it('end at the start is a full circle by centre, and no arc by R', () => {
  const whole = arcThrough({
    start: [5, 0],
    end: [5, 0],
    centre: [-5, 0],
    R: null,
    clockwise: true,
    endGiven: true,
  });
  expect(ok(whole).turn).toBeCloseTo(-2 * Math.PI, 12);
  expect(
    arcThrough({ start: [5, 0], end: [5, 0], centre: null, R: 5, clockwise: true, endGiven: true }),
  ).toBe('ARC_NO_CENTER');
  expect(
    arcThrough({ start: [5, 0], end: [0, 5], centre: [0, 0], R: null, clockwise: true, endGiven: true }),
  ).toBe('ARC_NO_CENTER');
});

it('property: an arc reaches as far as its points do, and no further', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.5, max: 50, noNaN: true }),
      fc.double({ min: -Math.PI, max: Math.PI, noNaN: true }),
      fc.double({ min: -2 * Math.PI, max: 2 * Math.PI, noNaN: true }),
      (radius, from, turn) => {
        const arc: Arc = { centre: [3, -7], radius, from, turn };
        const [x, y] = reachOfArc(arc);
        const points = Array.from({ length: 721 }, (_, i) => point(arc, i / 720));
        for (const [axis, extent] of [x, y].entries()) {
          const along = points.map((p) => p[axis]!);
          // Between two of 720 points an arc rises by at most r (1 − cos of half a step).
          const slack = radius * (1 - Math.cos(Math.PI / 360)) + 1e-9;
          expect(extent.least).toBeLessThanOrEqual(Math.min(...along) + 1e-9);
          expect(extent.least).toBeGreaterThanOrEqual(Math.min(...along) - slack);
          expect(extent.most).toBeGreaterThanOrEqual(Math.max(...along) - 1e-9);
          expect(extent.most).toBeLessThanOrEqual(Math.max(...along) + slack);
        }
      },
    ),
  );
});
