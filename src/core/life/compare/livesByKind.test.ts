import { compareLives, type LifeTime, livesByKind } from '../index';

const lives = (...minutes: number[]): LifeTime[] =>
  minutes.map((m) => ({ minutes: Math.abs(m), failed: m > 0 }));
const by = (kind: string | null, of: readonly LifeTime[]) => of.map((life) => ({ by: kind, life }));

const fast = lives(10, 11, 12, 14, 15, -16);
const slow = lives(28, 30, 33, 35, -36, 40);

it('of two kinds it is their one comparison, and nothing is raised', () => {
  const { kinds, apart } = livesByKind([...by('R-2', fast), ...by('R-1', slow), ...by(null, lives(50))]);
  const one = compareLives(slow, fast);
  expect(apart).toBe(1);
  expect(kinds.map((k) => [k.by, k.lives, k.failed, k.told])).toEqual([
    ['R-1', 6, 5, 'longer'],
    ['R-2', 6, 5, 'shorter'],
  ]);
  expect(kinds[0]).toMatchObject({ p: one.p, times: one.times, mean: one.means.first, moreFailures: 0 });
  expect(kinds[1]!.p).toBeCloseTo(one.p!, 12);
  // The same the other way round.
  expect(kinds[1]!.times!.value! * one.times!.value!).toBeCloseTo(1, 6);
});

it('of one kind, or of none, nothing is said', () => {
  expect(livesByKind(by('R-1', slow))).toEqual({ kinds: [], apart: 0 });
  expect(livesByKind(by(null, slow))).toEqual({ kinds: [], apart: 6 });
  expect(livesByKind([])).toEqual({ kinds: [], apart: 0 });
});

it('what one comparison would tell is not told where many are asked about', () => {
  const alone = livesByKind([...by('A', lives(10, 12, 14, 16)), ...by('B', lives(15, 22, 26, 30))]);
  expect(alone.kinds[1]).toMatchObject({ by: 'A', told: 'shorter' });
  const many = livesByKind([
    ...by('A', lives(10, 12, 14, 16)),
    ...['B', 'C', 'D', 'E', 'F'].flatMap((k, i) => by(k, lives(9 + i, 15 + i, 22 - i, 31 - 2 * i))),
  ]);
  const a = many.kinds.find((k) => k.by === 'A')!;
  expect(a.told).toBeNull();
  expect(a.times).toBeNull();
  expect(a.p).toBeGreaterThan(alone.kinds[1]!.p!);
});

it('lives that differ little say how many more failures would tell; none that failed say nothing', () => {
  const { kinds } = livesByKind([...by('A', lives(10, 20, 30)), ...by('B', lives(14, 25, 36))]);
  expect(kinds.every((k) => k.told === null && k.moreFailures! > 3)).toBe(true);
  const still = livesByKind([...by('A', lives(-10, -20)), ...by('B', lives(-14))]);
  expect(still.kinds).toMatchObject([
    { p: null, told: null, mean: null, moreFailures: null },
    { p: null, told: null },
  ]);
});

it('takes the kinds with the most lives, however many there are', () => {
  const all = Array.from({ length: 40 }, (_, i) =>
    by(`R-${i}`, lives(10, 20, ...(i < 3 ? [30] : []))),
  ).flat();
  const { kinds, apart } = livesByKind(all);
  expect(kinds).toHaveLength(8);
  expect(kinds.filter((k) => k.lives === 3).map((k) => k.by)).toHaveLength(3);
  expect(apart).toBe(all.length - kinds.reduce((sum, k) => sum + k.lives, 0));
});
