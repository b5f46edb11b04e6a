import { holm } from '@/core/statistics';
import type { LifeTime } from '../endings';
import { stratifiedLogRank } from './logRank';

/** A life by what held it, among lives that are alike but for that. */
export interface LifeIn {
  /** What held it: the code of a holder. */
  by: string;
  /** What it is compared within: a cutter in a material. */
  alike: string;
  life: LifeTime;
}

/** How the lives in one holder did beside those of the same cutters in the same materials in all others. */
export interface KeptApart {
  by: string;
  lives: number;
  failed: number;
  /** How many would have failed if it were as all others. */
  expected: number;
  /** Chance of so great a difference if they last alike, with as many holders asked about as there are. */
  p: number;
  /** Its cutters die young: more failed than expected, and that chance is under 5 %. */
  diesYoung: boolean;
}

const LEAST = 0.05;

/**
 * Each holder beside all others by a log-rank test over cutters and materials, so that a holder that is given the hard work
 * is not blamed for it; those that share no cutter and material with another are left out. Who asks about many finds one by
 * luck: the chances are raised by Holm's steps. The one whose cutters die soonest comes first.
 * Sources: Mantel (1966); Holm, Scand. J. Statist. 6 (1979) 65-70. Example: of one holder alone nothing is said.
 */
export function keptApart(lives: readonly LifeIn[]): KeptApart[] {
  const alike = byKey(lives, (l) => l.alike);
  const shown = [...byKey(lives, (l) => l.by)].flatMap(([by, own]) => {
    const kinds = [...new Set(own.map((l) => l.alike))].flatMap((kind) => {
      const of = alike.get(kind) ?? [];
      const others = of.filter((l) => l.by !== by);
      return others.length
        ? [[of.filter((l) => l.by === by).map((l) => l.life), others.map((l) => l.life)] as const]
        : [];
    });
    const rank = stratifiedLogRank(kinds);
    return rank.p === null
      ? []
      : [
          {
            by,
            lives: kinds.reduce((sum, [mine]) => sum + mine.length, 0),
            failed: rank.observed[0],
            expected: rank.expected[0],
            alone: rank.p,
          },
        ];
  });
  const raised = holm(shown.map((k) => k.alone));
  return shown
    .map(({ alone, ...k }, i) => {
      const p = raised[i] ?? alone;
      return { ...k, p, diesYoung: p < LEAST && k.failed > k.expected };
    })
    .sort((a, b) => b.failed * a.expected - a.failed * b.expected);
}

function byKey(lives: readonly LifeIn[], key: (l: LifeIn) => string): Map<string, LifeIn[]> {
  const groups = new Map<string, LifeIn[]>();
  for (const l of lives) {
    const of = groups.get(key(l));
    if (of) of.push(l);
    else groups.set(key(l), [l]);
  }
  return groups;
}
