import { type Judgement, say } from '../because';
import type { Ending } from '../life';
import { isOne } from '../names';

/** Ends of a life that somebody looks into: where something broke, hit or came out. */
export const BREAKS = ['broken', 'chipped', 'crash', 'pulled-out'] as const satisfies readonly Ending[];
export type Break = (typeof BREAKS)[number];
export const isBreak = (kind: Ending): kind is Break => isOne(BREAKS, kind);

/** After which of them fragments may lie in the cut: a cutter that was pulled out is whole. */
const LEAVES_FRAGMENTS: readonly Ending[] = ['broken', 'chipped', 'crash'];
export const leavesFragments = (kind: Ending): boolean => LEAVES_FRAGMENTS.includes(kind);

/** What became of them: all were found, or the spot was cut again so that what is left there can't break the next. */
export const FRAGMENT_STATES = {
  found: 'all fragments found',
  recut: 'not found, recut',
} as const;
export type FragmentState = keyof typeof FRAGMENT_STATES;

/**
 * The stop on every T of an operation while nobody said what became of the fragments of a cutter that broke on one of them.
 * Source: common practice (a shard left in a slot breaks the next cutter).
 * Example: T5 broke, asked for T5 and T7: both stop.
 */
export const judgeFragments = (t: number, brokeOn: number | null): Judgement[] =>
  brokeOn === null
    ? []
    : [
        say(
          'FRAGMENTS',
          'stop',
          t === brokeOn
            ? 'Fragments of the cutter before it are not accounted for'
            : `Fragments of the cutter that broke on T${brokeOn} are not accounted for`,
          'A shard left in the cut breaks the next cutter. Find all of them, or say by what the spot was recut.',
          [['T it broke on', String(brokeOn)]],
        ),
      ];
