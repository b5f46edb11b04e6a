import { randomOf } from './randomOf';
import { goesAfter, judgeTrial, type LifeTime, logRank, nextInTrial, timesTold, turnWords } from '../index';

const fails = (...minutes: number[]): LifeTime[] => minutes.map((m) => ({ minutes: m, failed: true }));

const weibull = (u: number, scale: number, shape: number) => scale * (-Math.log(1 - u)) ** (1 / shape);

/** A trial that is looked at after each failure until it is told or over. */
function run(
  random: () => number,
  times: number,
  each: number,
): { told: boolean; right: boolean; naive: boolean } {
  const [first, second]: [LifeTime[], LifeTime[]] = [[], []];
  let naive = false;
  for (let i = 0; i < each; i += 1) {
    first.push({ minutes: weibull(random(), 40 * times, 2.5), failed: true });
    second.push({ minutes: weibull(random(), 40, 2.5), failed: true });
    const close = i > 0 && (logRank(first, second).p ?? 1) < 0.05;
    naive ||= close;
    // What is over 1 in 20 is told at no look: only the others are asked for more than that.
    const judged = close ? judgeTrial(first, second, each) : null;
    if (judged?.state === 'told') return { told: true, right: judged.longer === 'first', naive };
  }
  return { told: false, right: false, naive };
}

it('looking after every life tells a difference where there is none about as seldom as looking once at 1 in 20', () => {
  const random = randomOf(7);
  const runs = Array.from({ length: 150 }, () => run(random, 1, 6));
  const told = runs.filter((r) => r.told).length / runs.length;
  const naive = runs.filter((r) => r.naive).length / runs.length;
  // Three standard errors over 0.05 (of 150: 0.053); who takes 1 in 20 at every look tells one far more often.
  expect(told).toBeLessThan(0.1);
  expect(naive).toBeGreaterThan(0.12);
});

it('a difference as great as is promised is told in four of five trials at least, the right way round (Freedman)', () => {
  const random = randomOf(11);
  const times = timesTold(8, 2.5)!;
  const runs = Array.from({ length: 120 }, () => run(random, times, 8));
  const right = runs.filter((r) => r.right).length / runs.length;
  // Three standard errors about 0.84, as a simulation of 2,000 such trials with numpy has it.
  expect(right).toBeGreaterThan(0.74);
  expect(right).toBeLessThan(0.94);
  expect(runs.filter((r) => r.told && !r.right)).toEqual([]);
});

it('how great a difference is told follows from the failures (Freedman 1982: d = z² ((1 + HR) / (1 − HR))²)', () => {
  // 2 x 8 failures: z = 1.96 + 0.8416, so that (HR + 1) / (HR - 1) = 4 / 2.8016 and HR = 5.675; its root of shape 2.5: 2.003.
  expect(timesTold(8, 2.5)).toBeCloseTo(2.003, 2);
  expect(timesTold(32, 2.5)).toBeLessThan(timesTold(8, 2.5)!);
  expect(timesTold(3, 2.5)).toBeNull();
  expect(() => timesTold(0, 2.5)).toThrow(RangeError);
});

it('before the end only 1 in 1000 tells, at the end 1 in 20', () => {
  const [short, long] = [fails(10, 11, 12, 13), fails(30, 31, 32, 33)];
  // p is 0.006 here: told once the planned failures are there, not before.
  expect(logRank(short, long).p).toBeLessThan(0.05);
  expect(judgeTrial(short, long, 8)).toMatchObject({ state: 'going', longer: null, failures: [4, 4] });
  expect(judgeTrial(short, long, 4)).toMatchObject({ state: 'told', longer: 'second' });
  expect(judgeTrial(fails(10, 20, 30, 40), fails(20, 40, 60, 80), 4)).toMatchObject({ state: 'not told' });
  expect(judgeTrial([], [], 1)).toMatchObject({ state: 'going', failures: [0, 0] });
  expect(() => judgeTrial([], [], 0)).toThrow(RangeError);
});

it('they go in by turns', () => {
  expect(nextInTrial([0, 0], null)).toBe('first');
  expect(nextInTrial([1, 0], 'first')).toBe('second');
  expect(nextInTrial([1, 1], 'second')).toBe('first');
  expect(nextInTrial([1, 1], 'first')).toBe('second');
  expect(nextInTrial([3, 5], 'first')).toBe('first');
});

// Words of our own: no source. What is used up is a cutter; a holder and a recipe stay, and then the better goes first (common practice).
it.each([
  [
    'cutter',
    null,
    'TR-0001 in C45: B goes in next',
    { side: 'first', words: 'A lost TR-0001 in C45: use it up first' },
  ],
  [
    'holder',
    'EM10',
    'TR-0001 in C45: the next EM10 goes into B',
    { side: 'second', words: 'A lost TR-0001 with EM10 in C45: B first' },
  ],
  [
    'recipe',
    'EM10',
    'TR-0001 in C45: the next EM10 runs by B',
    { side: 'second', words: 'A lost TR-0001 with EM10 in C45: B first' },
  ],
] as const)(
  'whose turn it is where a %s is tried, and what goes before the other once it is decided',
  (tried, cutter, turn, after) => {
    const trial = { number: 'TR-0001', material: 'C45', tried, cutter, first: 'A', second: 'B' };
    expect(turnWords(trial, 'second')).toBe(turn);
    expect(goesAfter(trial, 'second')).toEqual(after);
    expect(goesAfter(trial, null)).toBeNull();
  },
);
