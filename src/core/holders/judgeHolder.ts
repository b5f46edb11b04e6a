import { type Judgement, mm, say } from '../because';
import type { ItemKind } from '../cutters';
import { namesOf } from '../names';
import type { HolderRule } from './rule';

/** What may have a mark of its own beside cutters, and lives long. */
export const MARKED_KINDS = ['holder', 'extension', 'collet'] as const satisfies readonly ItemKind[];

/** What somebody found who looked a holder over. */
export const HOLDER_LOOKS = {
  good: 'good',
  doubt: 'in doubt',
  bad: 'out of use',
} as const;
export type HolderLook = keyof typeof HOLDER_LOOKS;
export const HOLDER_LOOK_NAMES = namesOf(HOLDER_LOOKS);

/** What was said of one holder, extension or collet with a mark of its own. */
export interface HolderSaid {
  mark: string;
  /** What was found when it was looked over last; null: nobody has looked it over since it has its mark. */
  look: { found: HolderLook; words: string | null; runoutMm: number | null } | null;
  /** It was dropped and nobody has looked it over since; null: it was not. */
  dropped: { words: string | null } | null;
  rule: Pick<HolderRule, 'runoutMm' | 'from'>;
}

/**
 * What speaks against a holder, extension or collet wherever it is: out of use and dropped are stops, in doubt or off its
 * runout a question; empty: nothing that anybody said. What is due by a day is a task (`holderDue`) and stops nothing.
 * Source: common practice; the runout is the rule's. Example: dropped yesterday: a stop until it is looked over.
 */
export function judgeHolder({ mark, look, dropped, rule }: HolderSaid): Judgement[] {
  const said: Judgement[] = [];
  if (look?.found === 'bad')
    said.push(
      say(
        'HOLDER_OUT',
        'stop',
        `${mark} is out of use${because(look.words)}`,
        'Take it out of the build, and scrap it.',
      ),
    );
  if (dropped)
    said.push(
      say(
        'HOLDER_DROPPED',
        'stop',
        `${mark} was dropped, and nobody has looked it over since${because(dropped.words)}`,
        'A bruise on taper or flange seats it askew: it runs out, marks the spindle, or is let go.',
      ),
    );
  if (look?.found === 'doubt')
    said.push(
      say(
        'HOLDER_DOUBT',
        'question',
        `${mark} is in doubt${because(look.words)}`,
        'Somebody who knows tapers must see it.',
      ),
    );
  if (look?.found === 'good' && look.runoutMm !== null && look.runoutMm > rule.runoutMm)
    said.push(
      say(
        'HOLDER_RUNOUT',
        'question',
        `${mark} runs out by ${mm(look.runoutMm)} on the test bar`,
        'One edge then cuts for the others, and dies for them.',
        [
          ['on the test bar', mm(look.runoutMm), 'when it was looked over'],
          ['at most', mm(rule.runoutMm), rule.from === 'assumed' ? 'assumed' : `${rule.from} rule`],
        ],
      ),
    );
  return said;
}

const because = (words: string | null): string => (words ? `: ${words}` : '');

/**
 * A length that was measured before its holder fell says where the tip was then. null: it was measured since, or nothing
 * fell. Source: common practice. Example: measured at 8, dropped at 9, looked over and found good at 10: measure again.
 */
export const measuredBefore = (
  mark: string,
  measuredAt: Date | null,
  droppedAt: Date | null,
): Judgement | null =>
  measuredAt && droppedAt && droppedAt > measuredAt
    ? say(
        'MEASURED_BEFORE_FALL',
        'question',
        `Measured before ${mark} was dropped: measure it again`,
        'A fall drives a cutter into its collet or out of true, which nobody sees.',
      )
    : null;
