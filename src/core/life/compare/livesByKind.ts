import { holm } from '@/core/statistics';
import type { LifeTime } from '../endings';
import { compareLives, failuresToTell, type Likely, type LivesCompared, meanOf } from './compareLives';
import { logRank } from './logRank';

/** A life with what it is told apart by: the recipe it was cut by, the holder it stood in; null: by none of them, or by several. */
export interface LifeBy {
  by: string | null;
  life: LifeTime;
}

/** Lives of one kind beside all that are of the others. */
export interface KindOfLives {
  by: string;
  lives: number;
  failed: number;
  /** Mean minutes to a failure; null: none can be said. */
  mean: Likely | null;
  /** Whether it lasts otherwise than the others, told where so great a difference is chance in under 5 % of such lists. */
  told: 'longer' | 'shorter' | null;
  /** That chance, with as many kinds asked about as there are; null: nothing to compare has failed. */
  p: number | null;
  /** How many times as long it lasts as the others, where that is told or there are but two; else null. */
  times: LivesCompared['times'];
  /** How many more failures of each side would tell; 0: they are told apart; null: cannot say, or more than anybody waits for. */
  moreFailures: number | null;
}

export interface LivesByKind {
  /** Those that last longest first; fewer than two say nothing of each other, and then there is none. */
  kinds: KindOfLives[];
  /** Lives of no one kind, or of one that has few beside the others. */
  apart: number;
}

const LEAST = 0.05;
/** Those with the most lives: of more nobody reads, and each is a comparison. */
const MOST_KINDS = 8;

/**
 * Lives of one cutter in one material by what they are told apart by, each kind beside all others by the log-rank test of
 * `compareLives`; of two it is that comparison. Those with the most lives are taken, MOST_KINDS of them. The chances of more
 * than two are raised by Holm's steps; of two there is but one question. Sources: as for `compareLives` and `holm`.
 * Throws RangeError on a negative or non-finite time. Example: of lives by one recipe alone nothing is said.
 */
export function livesByKind(all: readonly LifeBy[]): LivesByKind {
  const by = new Map<string, LifeTime[]>();
  for (const l of all) {
    if (l.by === null) continue;
    const of = by.get(l.by);
    if (of) of.push(l.life);
    else by.set(l.by, [l.life]);
  }
  const shown = [...by].sort((a, b) => b[1].length - a[1].length).slice(0, MOST_KINDS);
  const apart = all.length - shown.reduce((sum, [, lives]) => sum + lives.length, 0);
  if (shown.length < 2) return { kinds: [], apart };
  const ranks = shown.map(([kind, own]) => {
    const others = shown.flatMap(([k, lives]) => (k === kind ? [] : lives));
    return { kind, own, others, rank: logRank(own, others) };
  });
  const asked = ranks.flatMap(({ kind, rank: { p } }) => (p === null ? [] : [{ kind, p }]));
  const raised = shown.length === 2 ? asked.map((k) => k.p) : holm(asked.map((k) => k.p));
  const chances = new Map(asked.map((k, i) => [k.kind, raised[i] ?? 1]));
  const kinds = ranks.map(({ kind, own, others, rank }): KindOfLives => {
    const p = chances.get(kind) ?? null;
    const told = p !== null && p < LEAST;
    return {
      by: kind,
      lives: own.length,
      failed: rank.observed[0],
      mean: meanOf(own),
      told: !told ? null : rank.observed[0] < rank.expected[0] ? 'longer' : 'shorter',
      p,
      // Looked for only where it is read.
      times: told || shown.length === 2 ? compareLives(own, others).times : null,
      moreFailures: told ? 0 : failuresToTell(rank),
    };
  });
  return { kinds: kinds.sort((a, b) => (b.mean?.value ?? -1) - (a.mean?.value ?? -1)), apart };
}
