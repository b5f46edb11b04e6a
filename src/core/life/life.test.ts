import reference from './reference/survival.json';
import {
  DEFAULT_LADDER,
  ENDINGS,
  consumption,
  expectLife,
  kaplanMeier,
  lifeUsed,
  meanReached,
  medianLife,
  rungsFor,
  type LifeTime,
  isPastUsual,
  lifeState,
  wearLimit,
} from './index';

const lives = (time: number[], status: number[]): LifeTime[] =>
  time.map((minutes, i) => ({ minutes, failed: status[i] === 1 }));
const near = (got: number, want: number) =>
  expect(Math.abs(got - want)).toBeLessThanOrEqual(Math.max(1e-12, 1e-5 * Math.abs(want)));

// Published data sets (Miller 1981; Freireich 1963; Nelson 1982), curves recomputed with R's survival package.
const curves = reference.cases.flatMap((c) => (c.km ? [{ ...c, km: c.km }] : []));

describe('kaplanMeier against R survival', () => {
  it('has cases', () => expect(curves.length).toBeGreaterThan(12));
  it.each(curves.map((c) => [c.id, c] as const))('%s', (_, c) => {
    const steps = kaplanMeier(lives(c.time, c.status));
    expect(steps.map((s) => s.minutes)).toEqual(c.km.time);
    expect(steps.map((s) => s.atRisk)).toEqual(c.km.n_risk);
    expect(steps.map((s) => s.failed)).toEqual(c.km.n_event);
    steps.forEach((s, i) => {
      near(s.survival, c.km.surv[i]!);
      const se = c.km.se[i] ?? null;
      if (se === null || se === 0) expect(s.se ?? 0).toBe(0);
      else near(s.se!, se);
    });
    const median = medianLife(lives(c.time, c.status));
    if (c.km.median === null) expect(median).toEqual({ moreThan: Math.max(...c.time) });
    else expect(median).toEqual({ median: c.km.median });
  });
  it('of nothing is nothing, and a negative life is refused', () => {
    expect(kaplanMeier([])).toEqual([]);
    expect(medianLife([])).toBeNull();
    expect(() => kaplanMeier([{ minutes: -1, failed: true }])).toThrow(RangeError);
    expect(() => kaplanMeier([{ minutes: Number.NaN, failed: false }])).toThrow(/NaN/);
  });
});

describe('meanReached', () => {
  it('is the plain mean when all failed', () =>
    expect(meanReached(lives([10, 20, 30, 40], [1, 1, 1, 1]))).toEqual({ minutes: 25, atLeast: false }));
  it('is at least the area where the longest was still good: 10 + 0.5 x 10 (hand arithmetic)', () =>
    expect(meanReached(lives([10, 20], [1, 0]))).toEqual({ minutes: 15, atLeast: true }));
  it('exists only with a failure', () => expect(meanReached(lives([10, 20], [0, 0]))).toBeNull());
});

describe('expectLife: when to change', () => {
  const guess = { minutes: 90, origin: 'guess', guess: true };
  const ran = (minutes: number): LifeTime => ({ minutes, failed: false, running: true });
  it('the mean to a failure, where nothing is assumed', () => {
    expect(expectLife(lives([10, 20], [1, 1]), null)).toMatchObject({ minutes: 15, basis: 'failures here' });
    expect(expectLife(lives([10, 20], [1, 0]), null)!.because.words).toMatch(/true mean is more/);
  });
  // Hand arithmetic: the assumption counts as three lives.
  it('one early failure beside a maker’s figure does not replace it: (3 × 90 + 10) / 4 = 70', () =>
    expect(expectLife(lives([10], [1]), guess)).toMatchObject({
      minutes: 70,
      basis: 'failures here and the assumed life',
    }));
  it('the assumption fades: twelve failures at 10 leave (270 + 120) / 15 = 26', () =>
    expect(expectLife(lives(Array<number>(12).fill(10), Array<number>(12).fill(1)), guess)!.minutes).toBe(
      26,
    ));
  it('lives that ended past the assumed one without a failure: not known yet, at least the longest', () => {
    expect(expectLife(lives([50, 120], [0, 0]), guess)).toMatchObject({
      minutes: null,
      atLeast: 120,
      basis: 'not known yet',
      because: { words: 'Not known yet, at least 120.0 min: none has failed so far.' },
    });
    expect(expectLife(lives([50], [0]), null)).toMatchObject({ minutes: null, atLeast: 50 });
  });
  it('a running life is never its own expectation, however long it runs', () => {
    expect(expectLife([ran(200)], guess)).toMatchObject({ minutes: 90, basis: 'assumed' });
    expect(expectLife([ran(200)], null)).toBeNull();
  });
  it('three minutes into the first life do not contradict ninety', () =>
    expect(expectLife(lives([3], [0]), guess)).toMatchObject({ minutes: 90, basis: 'assumed' }));
  it('cannot say without life and assumption', () => {
    expect(expectLife([], null)).toBeNull();
    expect(expectLife(lives([0], [0]), null)).toBeNull();
  });
  it('says by when a quarter had failed, of five failures or more: 8 lives, the second at 20', () => {
    const eight = lives([10, 20, 30, 40, 50, 60, 70, 80], [1, 1, 1, 1, 1, 1, 1, 1]);
    expect(expectLife(eight, null)).toMatchObject({ quarter: 20, failures: 8 });
    expect(expectLife(eight.slice(0, 4), null)!.quarter).toBeNull();
  });
});

describe('consumption: what to buy by', () => {
  const maker = { minutes: 40, origin: 'maker' };
  it('every ending uses an edge up: three planned changes at 20 and a crash at 4 are 16 min an edge', () =>
    expect(consumption(lives([20, 20, 20, 4], [0, 0, 0, 0]), null)).toMatchObject({
      minutesPerEdge: 16,
      edges: 4,
      basis: 'used up here',
    }));
  it('a planned change at 20 of a cutter that never failed is not bought as if it lasted for ever', () =>
    expect(expectLife(lives([20, 20], [0, 0]), null)!.minutes).toBeNull());
  it('a running one is not used up', () => {
    expect(consumption([{ minutes: 30, failed: false, running: true }], null)).toBeNull();
    expect(consumption([{ minutes: 30, failed: false, running: true }], maker)).toMatchObject({
      minutesPerEdge: 40,
      basis: 'assumed',
      guess: false,
    });
  });
  it('beside the assumed life: (3 × 40 + 20) / 4 = 35', () =>
    expect(consumption(lives([20], [1]), maker)).toMatchObject({ minutesPerEdge: 35 }));
  it('leans on a guess until three were used up', () => {
    const guess = { ...maker, guess: true };
    expect(consumption(lives([20, 20], [1, 1]), guess)!.guess).toBe(true);
    expect(consumption(lives([20, 20, 20], [1, 1, 1]), guess)!.guess).toBe(false);
  });
  it('the spread is seen from five on: 10, 20, 30, 40, 50 have 15.81 / 30', () => {
    expect(consumption(lives([10, 20, 30, 40, 50], [1, 1, 1, 1, 1]), null)!.spread).toBeCloseTo(0.527, 3);
    expect(consumption(lives([10, 50], [1, 1]), null)!.spread).toBe(0.43);
  });
});

it('lifeUsed adds shares over materials and cannot say where one has no expectation', () => {
  expect(lifeUsed([])).toBe(0);
  expect(
    lifeUsed([
      { minutes: 30, expected: 60 },
      { minutes: 10, expected: 40 },
    ]),
  ).toBe(0.75);
  expect(
    lifeUsed([
      { minutes: 30, expected: 60 },
      { minutes: 1, expected: null },
    ]),
  ).toBeNull();
  expect(lifeUsed([{ minutes: 0, expected: null }])).toBe(0);
});

it('a crash, a pull-out, a loss and a planned change are censored; worn, chipped, broken and a sign are failures', () => {
  const kinds = Object.entries(ENDINGS)
    .filter(([, e]) => e.counts === 'failure')
    .map(([k]) => k);
  expect(kinds).toEqual(['worn', 'sign', 'chipped', 'broken']);
});

it('flank wear limit: 0.3 mm (ISO 8688-2, from memory) or 0.02 D, the lesser (practice)', () => {
  expect(wearLimit(10).value).toBeCloseTo(0.2, 12);
  expect(wearLimit(15).value).toBeCloseTo(0.3, 12);
  expect(wearLimit(63).value).toBe(0.3);
});

describe('the ladder of second lives (common practice)', () => {
  const open = (coating: string | null, substrate: string | null) =>
    rungsFor(DEFAULT_LADDER, { coating, substrate })
      .filter((r) => r.not === null)
      .map((r) => r.rung.name);
  it('a steel coating never goes to aluminium', () =>
    expect(open('TiAlN', 'carbide')).toEqual(['slotting steel', 'squaring with the upper flute', 'scrap']));
  it('bare carbide made for aluminium does not step down to steel', () =>
    expect(open('none', 'carbide')).toEqual(['plastics', 'aluminium', 'scrap']));
  it('in whatever order the groups of a rung stand', () => {
    const turned = DEFAULT_LADDER.map((r) => ({ ...r, groups: [...r.groups].reverse() }));
    expect(
      rungsFor(turned, { coating: 'TiAlN', substrate: 'carbide' })
        .filter((r) => r.not === null)
        .map((r) => r.rung.name),
    ).toEqual(['slotting steel', 'squaring with the upper flute', 'scrap']);
  });
  it('bare HSS cuts both; what is not known bars nothing', () => {
    expect(open('none', 'HSS')).toHaveLength(5);
    expect(open(null, null)).toHaveLength(5);
  });
});

it.each([
  [null, 'not known'],
  [0.799, 'going'],
  [0.8, 'ending'],
  [1, 'past'],
] as const)(
  'a life of which %p is used is %s, for the rack, the machine and the worklist alike',
  (used, state) => {
    expect(lifeState(used)).toBe(state);
  },
);

// Common practice: past what is usual somebody looks, unless the edge's own wear says how long it goes on.
it.each([
  [1, null, true],
  [1.4, { minutes: 12 }, false],
  [0.99, null, false],
  [null, null, false],
] as const)(
  'worn there at another wear, %p of its usual life used, its own outlook %p: asked %p',
  (used, outlook, asks) => expect(isPastUsual(used, outlook)).toBe(asks),
);
