import { cheapestAt, type LifeAtSpeed, livesBySpeed } from '../index';

const at = (speed: number, minutes: readonly number[], not: readonly number[] = []): LifeAtSpeed[] => [
  ...minutes.map((m) => ({ speed, life: { minutes: m, failed: true } })),
  ...not.map((m) => ({ speed, life: { minutes: m, failed: false } })),
];
const LIVES = [
  ...at(100, [62, 75, 48, 80], [90]),
  ...at(140, [30, 25, 38, 20], [44]),
  ...at(180, [12, 18, 22], [15]),
];

// Three parameters at once by scipy.optimize.minimize (BFGS, then Nelder-Mead to 1e-12), limits of the profile by brentq,
// chance by scipy.stats.chi2: m 2.394981 (1.697846 to 3.104619), shape 4.140430, scale 40.224801 at 133.390096 m/min.
it('the law through censored lives at three speeds is what scipy finds', () => {
  const { law, noLaw, groups, apart } = livesBySpeed([
    ...LIVES,
    { speed: null, life: { minutes: 5, failed: true } },
  ]);
  expect(noLaw).toBeNull();
  expect(1 / law!.n.value).toBeCloseTo(2.3949806, 5);
  expect([1 / law!.n.to!, 1 / law!.n.from]).toEqual([
    expect.closeTo(1.6978457, 5),
    expect.closeTo(3.1046195, 5),
  ]);
  expect(law!.shape).toBeCloseTo(4.14043, 4);
  expect(law!.p).toBeCloseTo(2.0153e-5, 8);
  // Mean = scale Γ(1 + 1/shape): 40.2248 × 0.90805 = 36.53 min.
  expect(law!.middle).toEqual({ speed: expect.closeTo(133.390096, 5), minutes: expect.closeTo(36.53, 1) });
  expect(law!.seen).toEqual([100, 180]);
  expect(apart).toBe(1);
  expect(groups.map((g) => [g.from, g.to, g.lives, g.failed])).toEqual([
    [100, 100, 5, 4],
    [140, 140, 5, 4],
    [180, 180, 4, 3],
  ]);
  expect(groups[0]!.mean!.value).toBeGreaterThan(groups[1]!.mean!.value);
});

it('in other units of time and speed the law is the same', () => {
  const [mm, other] = [
    LIVES,
    LIVES.map(({ speed, life }) => ({ speed: speed! * 3.28, life: { ...life, minutes: life.minutes * 60 } })),
  ].map((lives) => livesBySpeed(lives).law!);
  expect(other!.n.value).toBeCloseTo(mm!.n.value, 6);
  expect(other!.p).toBeCloseTo(mm!.p, 9);
});

it('speeds within a twentieth of the slowest are one', () =>
  expect(livesBySpeed([...at(100, [10]), ...at(105, [20]), ...at(105.1, [30])]).groups).toMatchObject([
    { from: 100, to: 105, lives: 2 },
    { from: 105.1, to: 105.1, lives: 1 },
  ]));

it('no law of one speed, of few failures, of lives that can’t be told apart, or where faster lasts longer', () => {
  const why = (lives: LifeAtSpeed[]) => livesBySpeed(lives).noLaw;
  expect(why([])).toContain('too few');
  expect(why(at(100, [10, 20, 30, 40, 50]))).toContain('too few');
  expect(why([...at(100, [10, 20, 30, 40]), ...at(150, [15])])).toContain('too few');
  expect(why([...at(100, [10, 20, 30, 40]), ...at(150, [12, 18, 31, 36])])).toContain('do not tell');
  expect(why([...at(100, [10, 12, 14, 16]), ...at(200, [60, 70, 80, 90])])).toContain('no Taylor law');
  // All failures on the law itself: no spread, so that nothing can be said of it.
  expect(livesBySpeed([...at(100, [40, 40, 40]), ...at(200, [10, 10, 10])]).law).toBeNull();
});

it('a speed that is none is refused', () => {
  for (const speed of [0, -3, NaN, Infinity])
    expect(() => livesBySpeed([{ speed, life: { minutes: 1, failed: true } }])).toThrow(
      'more than 0 is needed',
    );
});

// Gilbert (1950), as in Groover (from memory): n 0.25 and C 400 (16 min at 200 m/min), 3 min, 12 an edge, 1.2 a minute:
// T = 3 × (3 + 10) = 39 min at 400 / 39^0.25 = 160.1 m/min.
it('the cheapest speed is that of the law, with what n leaves likely, and says where nobody has cut', () => {
  const costs = { changeMinutes: 3, edge: 12, minute: 1.2 };
  const law = {
    ...{ n: { value: 0.25, from: 0.2, to: 0.3 }, middle: { speed: 200, minutes: 16 }, shape: 3, p: 0.01 },
    seen: [150, 250],
  } as const;
  const cheapest = cheapestAt(law, costs)!;
  expect(cheapest).toMatchObject({ value: expect.closeTo(160.07, 1), minutes: 39, beyond: null });
  // n 0.2: T = 52 at 200 (16 / 52)^0.2 = 158.0; n 0.3: T = 30.33 at 200 (16 / 30.33)^0.3 = 165.0.
  expect([cheapest.from, cheapest.to]).toEqual([expect.closeTo(158.0, 0), expect.closeTo(165.0, 0)]);
  expect(cheapestAt({ ...law, seen: [190, 250] }, costs)!.beyond).toBe('slower');
  expect(cheapestAt({ ...law, seen: [100, 150] }, costs)!.beyond).toBe('faster');
  // Where n may be 1 or more there is no end to it: nothing is said of how fast it may be.
  expect(cheapestAt({ ...law, n: { value: 0.25, from: 0.2, to: 1.1 } }, costs)).toMatchObject({
    from: expect.closeTo(158.0, 0),
    to: null,
  });
  expect(cheapestAt({ ...law, n: { value: 1.2, from: 0.9, to: 1.5 } }, costs)).toBeNull();
});
