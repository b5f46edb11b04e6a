import type { LifeTime } from '../endings';
import { kaplanMeier, type SurvivalStep } from '../survival/kaplanMeier';

/** What is kept of a forecast: minutes by which each of these shares of such lives has failed. */
export const SHARES_FORETOLD: readonly number[] = Array.from({ length: 19 }, (_, i) => (i + 1) / 20);

/** A forecast as it is kept: `by[i]` are the minutes by which SHARES_FORETOLD[i] have failed. */
export type Foretold = readonly number[];

/** What came of a life against its forecast, of which nine in ten fail between the first and the last minutes. */
export const OUTCOMES = ['earlier', 'inside', 'later', 'not told'] as const;
export type Outcome = (typeof OUTCOMES)[number];

const ends = (by: Foretold) => ({ from: by[0] ?? 0, to: by.at(-1) ?? Infinity });

/**
 * A failure is earlier than its interval, inside or later. One that did not fail (it runs on, or was changed before it
 * failed) is later once it has gone past it, and before that tells nothing.
 * Example: foretold 20 to 60: changed at a set count at 40 is 'not told', at 61 'later'.
 */
export function cameOut(by: Foretold, life: Pick<LifeTime, 'minutes' | 'failed'>): Outcome {
  const { from, to } = ends(by);
  if (life.minutes > to) return 'later';
  if (!life.failed) return 'not told';
  return life.minutes < from ? 'earlier' : 'inside';
}

/** How forecasts held: of nine in ten that are to be inside, how many are. */
export interface ForetoldHeld {
  lives: number;
  /** Lives of each outcome. */
  came: Record<Outcome, number>;
  /**
   * Share inside with its 95 % limits, those that did not fail reckoned in; null: none was told. The share itself is null
   * while the life that came furthest has not failed: what becomes of it and of as many like it is not known.
   */
  inside: { share: number | null; from: number; to: number } | null;
  /** Whether nine in ten lies within those limits. */
  says: 'hold' | 'too narrow' | 'too wide' | 'cannot say';
}

/**
 * Lives against their forecasts. Counting only what failed would favour the early: a life that was changed in the middle of
 * its interval might have gone past it. So each life stands at the share of such lives that was to have failed by its
 * minutes, censored where it did not fail, and the share inside is what the Kaplan-Meier curve of those falls between a
 * twentieth and nineteen. Where that curve ends before, with some still standing, the limits leave open whether those fail
 * inside or later. Limits by Wilson (1927) with as many lives as were told. Linear but for one sort.
 * Sources: Kaplan and Meier (1958); of the shares: the probability integral transform, Dawid (1984), from memory.
 * Example: ten failed, nine of them inside: 0.9 (0.60 to 0.98).
 */
export function foretoldHeld(
  lives: readonly { by: Foretold; life: Pick<LifeTime, 'minutes' | 'failed'> }[],
): ForetoldHeld {
  const came: Record<Outcome, number> = { earlier: 0, inside: 0, later: 0, 'not told': 0 };
  for (const { by, life } of lives) came[cameOut(by, life)] += 1;
  const told = lives.length - came['not told'];
  const about = { lives: lives.length, came };
  if (!told) return { ...about, inside: null, says: 'cannot say' };
  const steps = kaplanMeier(
    lives.map(({ by, life }) => ({
      minutes: shareBy(by, life.minutes),
      // Gone past all that was foretold: it is known to be later, whether it failed or not.
      failed: life.failed || life.minutes > ends(by).to,
    })),
  );
  const [first = 0, last = 1] = [SHARES_FORETOLD[0], SHARES_FORETOLD.at(-1)];
  const begun = standing(steps, (at) => at < first);
  const left = standing(steps, (at) => at <= last);
  // Nobody came as far as the interval's end, and some stand: they may end inside it or later.
  const open = left > 0 && !came.later;
  const share = begun - left;
  const { from } = wilson(share, told);
  const { to } = wilson(open ? begun : share, told);
  const promised = last - first;
  const says = to < promised ? 'too narrow' : from > promised ? 'too wide' : 'hold';
  return { ...about, inside: { share: open ? null : share, from, to }, says };
}

/** What still stands after the steps that are meant. */
const standing = (steps: readonly SurvivalStep[], meant: (at: number) => boolean): number =>
  steps.reduce((left, s) => (meant(s.minutes) ? s.survival : left), 1);

/** Share of such lives that was to have failed by some minutes: between those that are kept along a line. */
function shareBy(by: Foretold, minutes: number): number {
  const next = by.findIndex((m) => minutes <= m);
  const [from, to] = [by[next - 1] ?? 0, by[next]];
  const [low, high] = [SHARES_FORETOLD[next - 1] ?? 0, SHARES_FORETOLD[next]];
  // Past the last: in the order of how far.
  if (to === undefined || high === undefined)
    return 1 - (1 - (SHARES_FORETOLD.at(-1) ?? 1)) * (ends(by).to / minutes);
  return to > from ? low + ((high - low) * (minutes - from)) / (to - from) : high;
}

const Z95 = 1.959964;
function wilson(share: number, n: number): { from: number; to: number } {
  const middle = (share + Z95 ** 2 / (2 * n)) / (1 + Z95 ** 2 / n);
  const half =
    (Z95 / (1 + Z95 ** 2 / n)) * Math.sqrt(Math.max(0, share * (1 - share)) / n + Z95 ** 2 / (4 * n * n));
  return { from: Math.max(0, middle - half), to: Math.min(1, middle + half) };
}
