import { namesOf } from '../names';
import type { Group } from './cut';

/** What speaks for one cutter rather than another, each with its weight. */
export const REASONS = {
  meant: 'what is taken first for such work',
  short: 'as short as reaches the work: stiffness falls with the cube of the length',
  stout: 'as thick as the corner allows',
  flutes: 'flutes that suit the material',
  edge: 'an edge and coating that suit the material',
  corner: 'a small corner radius outlives a sharp corner',
  bulk: 'indexable and roughing cutters take the bulk',
  kept: 'good finishing cutters are kept for finishing',
  graded: 'a graded cutter does where it still can',
  old: 'old stock is used first',
  known: 'nothing about it is a guess',
} as const;
export type Reason = keyof typeof REASONS;
export const REASON_NAMES = namesOf(REASONS);

/** The shop's rules for choosing: data, changed by the shop, with the schools where people differ. */
export interface ChoosingRules {
  weights: Record<Reason, number>;
  /** Fewest and most flutes by ISO 513 group. */
  flutes: Partial<Record<Group, readonly [number, number]>>;
  /** Who takes the bulk: an indexable body first, since a snapped end mill halfway through can cost the part; or solid. */
  bulk: 'indexable first' | 'solid first';
  /** Separate cutters for roughing and finishing, or one for both. */
  finishing: 'kept apart' | 'one for both';
}

/** Rules until the shop sets its own: common practice. */
export const DEFAULT_RULES: ChoosingRules = {
  weights: {
    meant: 6,
    short: 4,
    stout: 4,
    flutes: 3,
    edge: 3,
    corner: 1,
    bulk: 2,
    kept: 2,
    graded: 1,
    old: 1,
    known: 1,
  },
  flutes: { N: [2, 3], O: [2, 3], P: [3, 10], M: [4, 10], K: [3, 10], S: [4, 12], H: [4, 12] },
  bulk: 'indexable first',
  finishing: 'kept apart',
};
