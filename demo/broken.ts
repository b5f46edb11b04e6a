import { randomUUID } from 'node:crypto';
import { perform, type Crib, type Done } from '../src/crib/door';
import { verbNamed } from '../src/crib/verbs';

/** What was seen where a cutter of the demo broke, and what somebody found when they looked. */
interface Case {
  signs: string[];
  cause: string;
  remedy: string;
  notSeen?: string[];
}

/** By the T it broke on: the corner cutter of the valve block runs out, again and again; others as it comes. */
const CASES: Record<string, readonly Case[]> = {
  'VB T2': [
    { signs: ['one tooth', 'vibration'], cause: 'runout', remedy: 'collet cleaned', notSeen: ['oversize'] },
    { signs: ['one tooth', 'finish'], cause: 'runout', remedy: 'collet replaced', notSeen: ['chips packed'] },
    {
      signs: ['one tooth', 'new cutter'],
      cause: 'runout',
      remedy: 'another holder; bearings to be looked at',
    },
  ],
};
const ANYWHERE: readonly Case[] = [
  { signs: ['corners', 'chips packed', 'new cutter'], cause: 'entry', remedy: 'roll-in entry at half feed' },
  { signs: ['vibration', 'at the holder'], cause: 'stickout', remedy: 'built 6 mm shorter' },
  { signs: ['in a corner', 'vibration'], cause: 'corner', remedy: 'corner feed down to 60 %' },
  { signs: ['leaving', 'thin wall'], cause: 'exit', remedy: 'web supported' },
  { signs: ['long in use', 'load'], cause: 'worn out', remedy: 'changed on the sound from now on' },
];
const PULLED: Case = {
  signs: ['longer', 'bright rings on the shank'],
  cause: 'pulled out',
  remedy: 'bore degreased, nut torqued to its figure',
  notSeen: ['hit'],
};
const CRASHED: Case = {
  signs: ['hit', 'first part'],
  cause: 'crash',
  remedy: 'H and T of the program checked before each first part',
};
const BREAKS = ['broken', 'chipped', 'crash', 'pulled-out'];

/**
 * What breaks in the demo: signs and fragments said at the machine, the cause found the same day, parts held. It takes none of
 * the chances that the rest of the shop is made of.
 */
export function brokenIn(crib: Crib, said: () => void) {
  let number = 0;
  const quietly = async (name: string, who: string, input: Record<string, unknown>): Promise<Done> => {
    said();
    return perform(crib, verbNamed(name)!, { who, formId: randomUUID(), ...input });
  };
  return {
    /** What is said at the machine of an end on a T; nothing more of what merely wore. */
    saidOf(kind: string, key: string): Record<string, unknown> & { case?: Case } {
      if (!BREAKS.includes(kind)) return {};
      const own = CASES[key] ?? ANYWHERE;
      const one = kind === 'pulled-out' ? PULLED : kind === 'crash' ? CRASHED : own[number % own.length]!;
      number += 1;
      return {
        case: one,
        signs: one.signs,
        lostParts: kind === 'chipped' ? 0 : 1,
        lostMinutes: kind === 'chipped' ? 10 : 25 + 5 * (number % 4),
        ...(kind === 'pulled-out' ? {} : { fragments: 'found' }),
      };
    },
    /** What was found when somebody looked. */
    async found(ending: number, { cause, remedy, signs, notSeen }: Case): Promise<void> {
      await quietly('confirmCause', 'JB', {
        ...{ ending, cause, remedy, seen: signs },
        ...(notSeen ? { notSeen } : {}),
      });
    },
    /** A part that the last one cut came back: two of those since the last good one are decided, the others wait. */
    async held(ending: number, operation: number, made: number): Promise<void> {
      if (made < 6) return;
      const hold = await quietly('holdParts', 'JB', {
        ...{ operation, from: made - 4, to: made, ending },
        why: `part ${made - 2} came back: a step in its wall`,
      });
      await quietly('judgeParts', 'IK', {
        ...{
          hold: hold.number,
          from: made - 4,
          to: made - 3,
          verdict: 'good',
          words: 'wall measured, Ra 0.8',
        },
      });
    },
    async checked(operation: number, part: number): Promise<void> {
      await quietly('checkPart', 'TO', { operation, part, good: true });
    },
  };
}
