import { DEFAULTS } from '../../defaults';
import type { LifeTime } from '../endings';
import { meanReached } from '../survival/meanReached';
import type { AssumedLife } from './expectLife';

/** Lives that are not of this cutter in this material, but tell of it. */
export interface OtherLives {
  /** Whose they are: the code of a material, or of another cutter. */
  name: string;
  lives: readonly LifeTime[];
}

/** As how many lives a figure counts, and how many cutters of this shop said so. */
export interface Weight {
  countsAs: number;
  learntFrom: number;
}

/**
 * A life that is assumed from other lives: their means weighed by how many failed, on the scale of logarithms. It counts as no
 * more lives than failed there, nor as more than such figures are worth. `origin` says it of the names that told something.
 * null: none has failed there. Source: common practice; how well it does is learnt as for makers' figures (`assumedWeight`).
 * Example: a mean of 40 min of four failures: 40 min, counting as 3.
 */
export function assumedFromOthers(
  others: readonly OtherLives[],
  origin: (names: readonly string[]) => string,
  weight: Weight = { countsAs: DEFAULTS.assumedCountsAs, learntFrom: 0 },
): AssumedLife | null {
  const told = others.flatMap(({ name, lives }) => {
    const mean = meanReached(lives);
    const failures = lives.filter((l) => l.failed).length;
    return mean && mean.minutes > 0 && failures > 0 ? [{ name, minutes: mean.minutes, failures }] : [];
  });
  const failures = told.reduce((sum, t) => sum + t.failures, 0);
  if (failures === 0) return null;
  const log = told.reduce((sum, t) => sum + t.failures * Math.log(t.minutes), 0) / failures;
  return {
    minutes: Number(Math.exp(log).toPrecision(3)),
    origin: origin(told.map((t) => t.name)),
    countsAs: Math.min(weight.countsAs, failures),
    learntFrom: weight.learntFrom,
  };
}

/** What a cutter is, as far as it tells of the lives of others of its family. */
export interface CutterKind {
  family: string | null;
  substrate: string | null;
  /** mm; null: not known. */
  DC: number | null;
}

/** How far the diameters of cutters of one family may be apart for one to tell of the other's life. */
const NEAR = 1.5;

/**
 * Whether one cutter's lives tell of another's that has none: the same family, of the same substrate, and neither more than
 * one and a half times as thick. Common practice. Where any of it is not known: no.
 * Example: square carbide end mills of 8 and 10 mm do; of 4 and 10 mm do not.
 */
export const isLike = (a: CutterKind, b: CutterKind): boolean =>
  a.family !== null &&
  a.family === b.family &&
  a.substrate !== null &&
  a.substrate === b.substrate &&
  a.DC !== null &&
  b.DC !== null &&
  Math.max(a.DC, b.DC) <= NEAR * Math.min(a.DC, b.DC);
