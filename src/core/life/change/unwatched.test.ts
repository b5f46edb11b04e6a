import { lastsOn, unwatchedRun, type UnwatchedTool } from '../index';

/** Fails by chance alone, so that what is gone does not matter: mean minutes. */
const byChance = (mean: number) => (m: number) => Math.exp(-m / mean);
/** Weibull of shape 3 and scale 60. */
const wears = (m: number) => Math.exp(-((m / 60) ** 3));
const tool = (t: number, more: Partial<UnwatchedTool> = {}): UnwatchedTool => ({
  ...{ t, survival: wears, usedMinutes: 0, worn: false, minutesPerPart: 1, leftMinutes: 50, leftCost: 20 },
  ...more,
});

it('what has lasted lasts on by what is left of those that lasted as long (conditional chance, by hand)', () => {
  expect(lastsOn(wears, 0, 30)).toBeCloseTo(Math.exp(-0.125), 12);
  expect(lastsOn(wears, 30, 30)).toBeCloseTo(Math.exp(-0.875), 12);
  expect(lastsOn(byChance(50), 40, 10)).toBeCloseTo(Math.exp(-0.2), 12);
  expect(lastsOn(() => 0, 40, 10)).toBe(0);
});

it('together is the product, and nothing is changed where that is enough', () => {
  const run = unwatchedRun([tool(1), tool(2)], 10, 0.9);
  expect(run.now).toBeCloseTo(Math.exp(-2 / 216), 12);
  expect(run).toMatchObject({ reached: true, thrown: { minutes: 0, cost: 0 } });
  expect(run.tools.map((t) => t.change)).toEqual([false, false]);
});

it('the one that is nearly gone is changed, and no more than is needed', () => {
  const run = unwatchedRun(
    [tool(1), tool(2, { usedMinutes: 55, leftMinutes: 5, leftCost: 2 }), tool(3, { usedMinutes: 30 })],
    10,
    0.75,
  );
  expect(run.tools.map((t) => [t.t, t.change])).toEqual([
    [1, false],
    [2, true],
    [3, false],
  ]);
  expect(run.reached).toBe(true);
  expect(run.goesFor.asItStands).toBeLessThan(10);
  expect(run.goesFor.fresh).toBeGreaterThan(10);
  expect(run.thrown).toEqual({ minutes: 5, cost: 2 });
});

it('a worn one is changed first and throws nothing away', () => {
  const run = unwatchedRun([tool(1, { worn: true, usedMinutes: null }), tool(2)], 10, 0.9);
  expect(run).toMatchObject({ now: 0, reached: true, thrown: { minutes: 0, cost: 0 } });
  expect(run.goesFor.asItStands).toBeGreaterThan(10);
  // It is changed whatever else may be reached or not.
  expect(unwatchedRun([tool(1, { worn: true })], 1000, 0.9).tools[0]!.change).toBe(true);
});

it('one of which nothing is known keeps it from being reached, and is named', () => {
  const run = unwatchedRun([tool(1), tool(2, { survival: null })], 10, 0.5);
  expect(run).toMatchObject({ unknown: [2], reached: false });
  expect(run.tools[1]).toEqual({ t: 2, chance: null, fresh: null, change: false });
});

it('a worn one does not last whatever is known; of a fresh one in its place nothing may be', () => {
  const run = unwatchedRun([tool(1), tool(2, { survival: null, usedMinutes: null, worn: true })], 10, 0.5);
  expect(run.tools[1]).toEqual({ t: 2, chance: 0, fresh: null, change: true });
  expect(run).toMatchObject({ now: 0, unknown: [2], reached: false });
  expect(run.after).toBeCloseTo(wears(10), 12);
});

it('where even fresh edges do not reach it, it says so', () => {
  const run = unwatchedRun([tool(1, { minutesPerPart: 6 })], 10, 0.9);
  expect(run.after).toBeLessThan(0.9);
  expect(run).toMatchObject({ reached: false, tools: [{ change: false }] });
  // exp(-(m / 60)^3) = 0.9 at 28.34 min, so at 4 parts of 6 min; by hand.
  expect(run.goesFor).toEqual({ asItStands: 4, fresh: 4 });
});

it('an edge that fails by chance is not changed: a fresh one is no better', () =>
  expect(
    unwatchedRun([tool(1, { survival: byChance(20), usedMinutes: 30 })], 10, 0.99).tools[0]!.change,
  ).toBe(false));

describe('sister tools: the counter goes on to the next edge after so many parts', () => {
  const sister = { usedMinutes: 0, worn: false, until: 20 };
  const now = (more: Partial<UnwatchedTool>, parts: number) => unwatchedRun([tool(1, more)], parts, 0.9);
  it('each edge lasts its own share: 20 parts and 10 (the product, by hand)', () => {
    const run = now({ counted: { until: 20, fresh: 20, sisters: [sister] } }, 30);
    expect(run.now).toBeCloseTo(wears(20) * wears(10), 12);
    expect(run.goesFor.asItStands).toBeGreaterThan(now({}, 30).goesFor.asItStands);
  });
  it('one that has cut before lasts on from there, and is counted from there', () => {
    const run = now(
      { usedMinutes: 15, counted: { until: 5, fresh: 20, sisters: [{ ...sister, usedMinutes: 10 }] } },
      12,
    );
    expect(run.now).toBeCloseTo((wears(20) / wears(15)) * (wears(17) / wears(10)), 12);
    // A fresh one in its place does all twelve itself.
    expect(run.tools[0]!.fresh).toBeCloseTo(wears(12), 12);
  });
  it('the last takes what is left; a run that needs no sister is as without', () => {
    const two = { counted: { until: 20, fresh: 20, sisters: [sister, sister] } };
    expect(now(two, 100).now).toBeCloseTo(wears(20) * wears(20) * wears(60), 12);
    expect(now(two, 15).now).toBe(now({}, 15).now);
  });
  it('a worn sister lets nothing go past the counter, one nobody knows says nothing', () => {
    const with_ = (s: object) => ({ counted: { until: 20, fresh: 20, sisters: [{ ...sister, ...s }] } });
    expect(now(with_({ worn: true }), 21).now).toBe(0);
    expect(now(with_({ worn: true }), 20).now).toBeGreaterThan(0.9);
    expect(now(with_({ usedMinutes: null }), 21)).toMatchObject({ unknown: [1], reached: false });
    expect(now(with_({ usedMinutes: null }), 20)).toMatchObject({ unknown: [], reached: true });
  });
  it('of a worn edge at its count the sister does all: nothing is wrong with that', () =>
    expect(
      now({ worn: true, usedMinutes: null, counted: { until: 0, fresh: 20, sisters: [sister] } }, 10).now,
    ).toBeCloseTo(wears(10), 12));
});
