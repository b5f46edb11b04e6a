import {
  assumedTogether,
  expectLife,
  isElsewhere,
  livesAtSpeed,
  livesTakenTo,
  nextLife,
  statedAtSpeed,
  usualExponent,
} from '../index';

const usual = { n: 0.25, origin: 'usual' };
const words = (speed: number) => String(speed);
const lived = (
  speed: number | null,
  minutes: number,
  failed = true,
  parts: readonly { speed: number; minutes: number }[] | null = null,
) => ({ speed, life: { minutes, failed }, parts });
const at = (speed: number, lives: readonly ReturnType<typeof lived>[], by = usual) =>
  livesAtSpeed(lives, speed, by, words);

// Groover, Fundamentals of Modern Manufacturing (from memory): 160, 130 and 100 m/min lasted 5, 12 and 41 min; n 0.223.
it('a life at one speed says what the book saw at the others', () => {
  const n = { n: 0.223, origin: 'Groover' };
  expect(at(130, [lived(160, 5)], n).taken!.minutes).toBeCloseTo(12.7, 1);
  expect(at(100, [lived(130, 12)], n).taken!.minutes).toBeCloseTo(38.9, 1);
  expect(at(130, [lived(100, 41)], n).taken!.minutes).toBeCloseTo(12.6, 1);
});

// Kalpakjian and Schmid (from memory): with n 0.5 half the speed lasts four times as long; two thirds, by the same law, 2.25.
it('the law goes by the ratio of speeds alone', () => {
  expect(at(100, [lived(150, 20)], { n: 0.5, origin: '' }).taken!.minutes).toBeCloseTo(45, 6);
  expect(at(4000, [lived(5000, 40)]).taken!.minutes).toBeCloseTo(40 * 1.25 ** 4, 0);
});

// Palmgren and Miner: each part uses up its share. 20 min at 5,000 and 30 at 4,000 are 20 × 1.25^4 + 30 at 4,000.
it('a life of several speeds is taken part by part, and is of none of them', () => {
  const both = lived(null, 50, true, [
    { speed: 5000, minutes: 20 },
    { speed: 4000, minutes: 30 },
  ]);
  const slow = at(4000, [both]);
  expect(slow.lives).toEqual([]);
  expect(slow.taken!.minutes).toBeCloseTo(20 * 1.25 ** 4 + 30, 0);
  expect(slow.taken!.origin).toContain('at 4000 to 5000 failed');
  expect(at(5000, [both]).taken!.minutes).toBeCloseTo(20 + 30 * 0.8 ** 4, 1);
  // A tenth of it at a speed that nobody knows: as the rest.
  const most = { ...both, life: { minutes: 55, failed: true } };
  expect(at(4000, [most]).taken!.minutes).toBeCloseTo(1.1 * (20 * 1.25 ** 4 + 30), 0);
  expect(isElsewhere([both], 4000)).toBe(true);
  // One part too far away, and the whole is.
  expect(at(7000, [both])).toEqual({ lives: [], taken: null });
});

it('lives at the speed stand as they are, and those of no known speed too', () => {
  const { lives, taken } = at(4000, [lived(4000, 50), lived(4200, 44), lived(null, 30), lived(5000, 20)]);
  expect(lives.map((l) => l.minutes)).toEqual([50, 44, 30]);
  expect(taken).toMatchObject({ minutes: Number((20 * 1.25 ** 4).toPrecision(3)), countsAs: 1 });
  expect(isElsewhere([lived(4000, 1), lived(null, 1)], 4200)).toBe(false);
  expect(isElsewhere([lived(4000, 1)], 4211)).toBe(true);
});

it('what is taken counts as what it is worth, and fades as lives at the speed are seen', () => {
  const others = [40, 40, 40, 40, 40].map((m) => lived(5000, m));
  const far = at(4000, others).taken!;
  expect(far.countsAs).toBe(3);
  expect(far.origin).toBe('5 of its lives at 5000 failed, taken to 4000 by n 0.25 (usual)');
  const own = [60, 60, 60].map((m) => lived(4000, m));
  const { lives, taken } = at(4000, [...others, ...own]);
  // (3 × 97.7 + 3 × 60) / 6.
  expect(expectLife(lives, taken)!.minutes).toBeCloseTo((97.7 + 60) / 2, 1);
});

it('an interval from another speed is wider than from lives at this one', () => {
  const wide = at(4000, [lived(5000, 40), lived(5000, 44), lived(5000, 36)]);
  const own = at(4000, [lived(4000, 98), lived(4000, 107), lived(4000, 88)]);
  const spread = ({ lives, taken }: typeof own) => {
    const next = nextLife(lives, taken)!;
    return next.to / next.from;
  };
  expect(spread(wide)).toBeGreaterThan(spread(own));
});

it('nothing is taken further than half again as fast or slow', () => {
  expect(at(4000, [lived(6000, 10)]).taken).not.toBeNull();
  expect(at(4000, [lived(6001, 10)])).toEqual({ lives: [], taken: null });
  expect(at(6000, [lived(4000, 10)]).taken).not.toBeNull();
});

it('for a law at a speed all lives near it are taken there, and those too far away are left out', () => {
  const all = [lived(4000, 50), lived(null, 30), lived(5000, 40, false), lived(9000, 5)];
  expect(livesTakenTo(all, 4000, usual)).toEqual([
    { minutes: 50, failed: true },
    { minutes: 30, failed: true },
    { minutes: expect.closeTo(40 * 1.25 ** 4, 9), failed: false },
  ]);
});

it('what did not fail elsewhere lasts at least so long here', () => {
  const { lives, taken } = at(4000, [lived(5000, 40, false)]);
  expect(taken).toBeNull();
  expect(expectLife(lives, null)).toMatchObject({
    minutes: null,
    atLeast: expect.closeTo(40 * 1.25 ** 4, 6),
  });
});

it('a stated figure and what was taken count together, each as it counts', () => {
  const maker = { minutes: 90, origin: 'the maker', countsAs: 3, learntFrom: 5 };
  expect(assumedTogether(maker, { minutes: 30, origin: 'others', countsAs: 1, learntFrom: 0 })).toEqual({
    minutes: 75,
    origin: 'the maker: 90 min as 3; others: 30 min as 1',
    guess: false,
    countsAs: 4,
    learntFrom: 0,
  });
});

// By hand: d = ln(10/9) / 0.25 = 0.4214; 1 / (1/9 + (0.4214 / 0.43)²) = 0.9332. Variances add.
it('a stated figure counts the less the further its cutter ran from the speed that is asked', () => {
  const maker = { minutes: 90, origin: 'the maker', countsAs: 9 };
  const counts = (speed: number, lives = [lived(5000, 40)]) =>
    statedAtSpeed(maker, lives, speed, usual).countsAs;
  expect(counts(4500)).toBeCloseTo(0.9332, 3);
  // Far away it counts as the least any stated life does.
  expect(counts(3000)).toBe(0.5);
  expect(counts(5000)).toBeCloseTo(9, 9);
  expect(counts(4900)).toBeGreaterThan(6);
  // As much at both: the middle is between them, by minutes.
  expect(counts(4000, [lived(5000, 40), lived(4000, 40)])).toBeCloseTo(
    counts(5000, [lived(5000, 40), lived(4000, 40)])!,
    9,
  );
  expect(counts(4000, [lived(null, 40)])).toBe(9);
});

it('of some substrates no usual exponent is known', () => {
  expect([null, 'other', 'PCD', 'CBN'].map(usualExponent)).toEqual([null, null, null, null]);
  // Groover's table of representative values (from memory).
  expect(['HSS', 'carbide', 'ceramic'].map((s) => usualExponent(s)!.n)).toEqual([0.125, 0.25, 0.6]);
});
