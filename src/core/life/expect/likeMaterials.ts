import { DEFAULTS } from '../../defaults';
import type { LifeTime } from '../endings';
import { meanReached } from '../survival/meanReached';
import type { AssumedLife } from './expectLife';

/** Lives of a cutter in another material of the same group. */
export interface LivesElsewhere {
  /** Its code. */
  material: string;
  lives: readonly LifeTime[];
}

/**
 * What is assumed of a cutter in a material in which nobody stated a figure: what it came to in others of the same group
 * (ISO 513), their means weighed by how many failed, on the scale of logarithms. It counts as no more lives than failed
 * there, nor as more than is stated or learnt for such figures. null: none has failed there.
 * Source: common practice; how well it does is learnt as for makers' figures (`assumedWeight`).
 * Example: a mean of 40 min of four failures in one material of the group: 40 min, counting as 3.
 */
export function assumedFromLike(
  group: string,
  elsewhere: readonly LivesElsewhere[],
  weight: { countsAs: number; learntFrom: number } = {
    countsAs: DEFAULTS.assumedCountsAs,
    learntFrom: 0,
  },
): AssumedLife | null {
  const told = elsewhere.flatMap(({ material, lives }) => {
    const mean = meanReached(lives);
    const failures = lives.filter((l) => l.failed).length;
    return mean && mean.minutes > 0 && failures > 0 ? [{ material, minutes: mean.minutes, failures }] : [];
  });
  const failures = told.reduce((sum, t) => sum + t.failures, 0);
  if (failures === 0) return null;
  const log = told.reduce((sum, t) => sum + t.failures * Math.log(t.minutes), 0) / failures;
  const minutes = Number(Math.exp(log).toPrecision(3));
  return {
    minutes,
    origin: `its lives in ${told.map((t) => t.material).join(', ')}, of group ${group} as well`,
    countsAs: Math.min(weight.countsAs, failures),
    learntFrom: weight.learntFrom,
  };
}
