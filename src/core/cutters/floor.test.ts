import reference from './reference/floor.json';
import {
  effectiveDiameter,
  flatStepover,
  geometry,
  millsFloor,
  ridgeHeight,
  smallestInsideCorner,
  type CutterGeometry,
} from './index';

/** Worked values in full precision (mpmath) from the plane geometry of circles: reference/floor.json. */
const mill = (over: Partial<CutterGeometry>): CutterGeometry => ({
  ...geometry('corner-radius', { DC: 10 }),
  ...over,
});
const near = (got: number | null, want: number) => {
  expect(got).not.toBeNull();
  expect(Math.abs(got! - want)).toBeLessThanOrEqual(
    Math.max(reference.tol.abs, reference.tol.rel * Math.abs(want)),
  );
};
const { scallop_ball: ball, bull_nose: bull, ball_effective_diameter: effective } = reference.cases;

it('has cases', () =>
  expect([ball.input.R_mm.length, bull.input.D_mm.length, effective.input.D_mm.length]).toEqual([4, 5, 3]));

it.each(ball.input.R_mm.map((R, i) => [R, ball.input.b_mm[i]!, ball.expected.h_mm[i]!]))(
  'ball of radius %d, stepover %d',
  (R, b, h) => near(ridgeHeight(mill({ family: 'ball', DC: 2 * R }), b), h),
);

it.each(
  bull.input.D_mm.map((D, i) => [
    D,
    bull.input.r_mm[i]!,
    bull.input.b_mm[i]!,
    bull.expected.h_mm[i]!,
    bull.expected.max_flat_stepover_mm[i]!,
  ]),
)('corner radius: D %d, r %d, stepover %d', (D, r, b, h, flat) => {
  near(ridgeHeight(mill({ DC: D, RE: r }), b), h);
  near(flatStepover(mill({ DC: D, RE: r })), flat);
});

it.each(effective.input.D_mm.map((D, i) => [D, effective.input.ap_mm[i]!, effective.expected.D_eff_mm[i]!]))(
  'ball of %d at %d deep',
  (D, ap, want) => near(effectiveDiameter(mill({ family: 'ball', DC: D }), ap), want),
);

it('0.75 in with RE 0.25 in leaves a flat of 0.25 in (practice)', () =>
  expect(flatStepover(mill({ DC: 19.05, RE: 6.35 }))).toBeCloseTo(6.35, 12));

it('an unknown radius makes no flat, no ridge, no diameter: never 0', () => {
  const c = mill({ family: 'roughing' });
  expect([flatStepover(c), ridgeHeight(c, 5), effectiveDiameter(c, 1)]).toEqual([null, null, null]);
});

it('a square cutter leaves no ridge up to its diameter, beyond it the passes do not meet', () => {
  const c = mill({ family: 'square' });
  expect([
    ridgeHeight(c, 10),
    ridgeHeight(c, 10.001),
    ridgeHeight(c, 0),
    ridgeHeight(c, -1),
    ridgeHeight(c, Number.NaN),
  ]).toEqual([0, null, null, null, null]);
  expect(effectiveDiameter(c, 0.01)).toBe(10);
  expect(effectiveDiameter(c, 0)).toBeNull();
});

it('at the corner’s own depth the whole diameter cuts, both sides', () => {
  const c = mill({ RE: 2 });
  expect(effectiveDiameter(c, 2)).toBe(10);
  expect(effectiveDiameter(c, 1.999)).toBeLessThan(10);
});

it('drills, taps, reamers and chamfer cutters mill no floor; a face mill leaves no inside corner', () => {
  expect(
    (['drill', 'tap', 'reamer', 'chamfer', 'spot-drill'] as const).some((family) =>
      millsFloor(mill({ family })),
    ),
  ).toBe(false);
  expect(smallestInsideCorner(mill({ family: 'drill' }))).toBeNull();
  expect(smallestInsideCorner(mill({ family: 'face', DC: 50 }))).toBeNull();
  expect(smallestInsideCorner(mill({ family: 'ball', DC: 8 }))).toBe(4);
});
