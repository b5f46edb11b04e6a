import type { Because } from '../because';
import type { LifeTime } from './endings';
import { kaplanMeier } from './kaplanMeier';
import { meanReached } from './meanReached';

/** What a life is expected to be, and how far that can be trusted. */
export interface LifeExpectation {
  minutes: number;
  basis: 'mean reached' | 'mean reached, at least' | 'lower bound' | 'assumed';
  /** Fresh lives in this material that it rests on. */
  lives: number;
  because: Because;
}

export interface AssumedLife {
  minutes: number;
  origin: string;
}

/**
 * Life expectation of a cutter in one material: the mean reached where a life has failed; without a failure the
 * longest life seen as a lower bound; else the assumed life; null means 'cannot say'. A lower bound smaller than
 * the assumed life does not contradict it (three minutes into the first life say nothing of ninety), so then the
 * assumed life stands. Lives are fresh and of one material; a running life is censored at its present minutes.
 * `all`: how many lives there are, where only the latest of them are given; the reason then says so.
 * Example: no failure, longest 12 min, assumed 90 (guess): 90 'assumed'.
 */
export function expectLife(
  lives: readonly LifeTime[],
  assumed: AssumedLife | null,
  all: number = lives.length,
): LifeExpectation | null {
  const seen = lives.filter((l) => l.minutes > 0 || l.failed);
  const failures = kaplanMeier(seen).reduce((sum, s) => sum + s.failed, 0);
  const values = [
    {
      name: 'lives',
      value: all > lives.length ? `the latest ${seen.length} of ${all}` : String(seen.length),
    },
    { name: 'of them failed', value: String(failures) },
  ];
  const mean = meanReached(seen);
  if (mean && mean.minutes > 0)
    return {
      minutes: mean.minutes,
      basis: mean.atLeast ? 'mean reached, at least' : 'mean reached',
      lives: seen.length,
      because: {
        words: mean.atLeast
          ? 'Mean life reached so far; the longest life had not failed, so the true mean is more.'
          : 'Mean life reached by the cutters that ended here.',
        formula: 'area under the Kaplan-Meier curve to the longest life',
        values,
      },
    };
  const longest = Math.max(0, ...seen.map((l) => l.minutes));
  if (longest > 0 && longest >= (assumed?.minutes ?? 0))
    return {
      minutes: longest,
      basis: 'lower bound',
      lives: seen.length,
      because: {
        words: 'None has failed yet: at least the longest life seen.',
        formula: 'longest life',
        values,
      },
    };
  if (!assumed) return null;
  return {
    minutes: assumed.minutes,
    basis: 'assumed',
    lives: seen.length,
    because: {
      words: `No failure here yet: the assumed life counts (${assumed.origin}).`,
      values: [...values, { name: 'assumed', value: `${assumed.minutes} min`, source: assumed.origin }],
    },
  };
}
