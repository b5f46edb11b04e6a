import { DEFAULTS } from '../defaults';

/** How far a life is used up, in one word for every screen. */
export type LifeState = 'past' | 'ending' | 'going' | 'not known';

/**
 * Whether an edge is past the life that is usual, on a T where it is worn at another wear than its lives were counted to, and its own
 * wear does not say how long it goes on: nobody knows then that it is not worn. `usualUsed`: the share of that life; null: not known.
 */
export const isPastUsual = (usualUsed: number | null, outlook: { minutes: number } | null): boolean =>
  outlook === null && lifeState(usualUsed) === 'past';

/**
 * What a share of the expected life that is used comes to: from 80 % on another cutter should be ready, from 100 % on
 * it has been expected to end. Common practice. Example: 0.85 -> 'ending'; null -> 'not known'.
 */
export const lifeState = (used: number | null): LifeState =>
  used === null ? 'not known' : used >= 1 ? 'past' : used >= DEFAULTS.lifeAboutToEnd ? 'ending' : 'going';
