import type { LifeTime } from '../endings';
import type { AssumedLife } from './expectLife';
import { assumedFromOthers, type Weight } from './otherLives';

/** Lives of a cutter in another material of the same group. */
export interface LivesElsewhere {
  /** Its code. */
  material: string;
  lives: readonly LifeTime[];
}

/**
 * What is assumed of a cutter in a material in which nobody stated a figure: what it came to in others of the same group
 * (ISO 513). null: none has failed there. Source: common practice.
 * Example: a mean of 40 min of four failures in one material of the group: 40 min, counting as 3.
 */
export const assumedFromLike = (
  group: string,
  elsewhere: readonly LivesElsewhere[],
  weight?: Weight,
): AssumedLife | null =>
  assumedFromOthers(
    elsewhere.map(({ material, lives }) => ({ name: material, lives })),
    (materials) => `its lives in ${materials.join(', ')}, of group ${group} as well`,
    weight,
  );
