import fc from 'fast-check';
import {
  chiSquareBeyond,
  chiSquareQuantile,
  gamma,
  holm,
  lineThrough,
  logGamma,
  lowerGamma,
  normalQuantile,
  rootOf,
  tQuantile,
} from './index';

/** Printed tables of the distributions (any handbook), in more figures by scipy 1.17; the intervals here ask for six of them. */
it.each([
  ['normal 0.975', normalQuantile(0.975), 1.959963984540054],
  ['t 0.975, 1', tQuantile(0.975, 1), 12.706204736],
  ['t 0.975, 4', tQuantile(0.975, 4), 2.776445105],
  ['t 0.95, 10', tQuantile(0.95, 10), 1.812461123],
  ['chi-square 0.95, 1', chiSquareQuantile(0.95, 1), 3.841458821],
  ['chi-square 0.025, 8', chiSquareQuantile(0.025, 8), 2.179730747],
  ['chi-square beyond 3.841458821', chiSquareBeyond(3.841458821), 0.05],
  ['gamma of a half: the root of pi', gamma(0.5), Math.sqrt(Math.PI)],
  ['ln gamma of 5: ln 24', logGamma(5), Math.log(24)],
  ['lower gamma of 1 at 1: 1 - 1/e', lowerGamma(1, 1), 1 - 1 / Math.E],
])('%s', (_, got, want) => expect(Math.abs(got / want - 1)).toBeLessThan(5e-8));

describe('rootOf', () => {
  it('finds where a function is 0, also at an end and where it is flat', () => {
    expect(rootOf((x) => x * x - 2, 0, 2)).toBeCloseTo(Math.SQRT2, 11);
    expect(rootOf((x) => x, 0, 5)).toBe(0);
    expect(rootOf((x) => x - 5, 0, 5)).toBe(5);
    expect(rootOf((x) => (x - 1) ** 9, 0, 3, 1e-6)).toBeCloseTo(1, 2);
  });
  it('asks a smooth function about ten times, from however far', () => {
    let asked = 0;
    // Wallis's cubic, the worked example of most handbooks: 2.0945514815423265.
    expect(rootOf((x) => ((asked += 1), x ** 3 - 2 * x - 5), -300, 300)).toBeCloseTo(2.0945514815423265, 11);
    expect(asked).toBeLessThan(25);
  });
  it('refuses ends of one sign in place of a number that is none', () =>
    expect(() => rootOf((x) => x * x + 1, -1, 1)).toThrow(RangeError));
});

describe('lineThrough', () => {
  it('gives back a line that the points lie on, whatever they are shifted by', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -50, max: 50, noNaN: true }),
        fc.double({ min: -9, max: 9, noNaN: true }),
        fc.double({ min: -1e3, max: 1e3, noNaN: true }),
        (a, b, shift) => {
          const line = lineThrough([0, 1, 4, 9].map((x) => [x + shift, a + b * (x + shift)] as const))!;
          expect(line.slope).toBeCloseTo(b, 6);
          expect(line.intercept).toBeCloseTo(a, 3);
          expect(line.s).toBeCloseTo(0, 6);
        },
      ),
    ));
  it('there is none through one x, and no doubt of two points', () => {
    expect(lineThrough([])).toBeNull();
    expect(
      lineThrough([
        [1, 2],
        [1, 3],
      ]),
    ).toBeNull();
    expect(
      lineThrough([
        [0, 1],
        [1, 3],
      ]),
    ).toMatchObject({ slope: 2, intercept: 1, s: null, slopeSe: null });
  });
});

describe('chances of several tests', () => {
  // R, p.adjust(c(0.01, 0.04, 0.03), "holm"): 0.03 0.06 0.06; and of its help page’s kind, ties and 1 kept (from memory).
  it.each([
    [
      [0.01, 0.04, 0.03],
      [0.03, 0.06, 0.06],
    ],
    [
      [0.5, 0.001, 0.9],
      [1, 0.003, 1],
    ],
    [[0.02], [0.02]],
    [[], []],
  ])('%j raised are %j', (chances, raised) =>
    holm(chances).forEach((p, i) => expect(p).toBeCloseTo(raised[i]!, 12)),
  );
});
