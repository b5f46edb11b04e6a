import type { Because } from '../../because';
import { normalQuantile } from '@/core/statistics';
import type { LifeTime } from '../endings';
import { compareLives, type LivesCompared } from './compareLives';

/** Which of the two that are tried. */
export type Side = 'first' | 'second';

/** What is tried: two cutters on a T; or two kinds of holders, or two recipes, that the lives of one cutter tell apart. */
export const TRIED = ['cutter', 'holder', 'recipe'] as const;
export type Tried = (typeof TRIED)[number];

/** A trial as its turns are said. */
export interface TrialTold {
  number: string;
  material: string;
  tried: Tried;
  /** The cutter whose lives tell; null: cutters are tried. */
  cutter: string | null;
  first: string;
  second: string;
}

/** What a trial says so far. */
export interface TrialJudgement {
  /** going: it is not over; told: one lasts longer; not told: it is over, and they can't be told apart. */
  state: 'going' | 'told' | 'not told';
  /** Which lasts longer; null: it is not told. */
  longer: Side | null;
  /** Failures of each so far. */
  failures: [first: number, second: number];
  compared: LivesCompared;
  because: Because;
}

/** Before its planned end a trial is told only by a chance as small as this, so that looking often tells nothing wrong. */
const EARLY = 0.001;
const AT_END = 0.05;

const failed = (lives: readonly LifeTime[]) => lives.filter((l) => l.failed).length;

/**
 * What a trial says, that ends after so many failures of both together, twice `failuresEach`. Whoever looks after every life
 * would see a difference sooner or later where there is none: until the end it is told only at a chance of 1 in 1000.
 * Sources: Haybittle, Br. J. Radiol. 44 (1971) 793-797; Peto et al., Br. J. Cancer 34 (1976) 585-612 (both from memory);
 * the test at compareLives. Throws RangeError on a negative or non-finite time, and where failuresEach is no whole number
 * over 0. Example: failures at 10, 20, 30, 40 against 20, 40, 60, 80, four of each planned: not told.
 */
export function judgeTrial(
  first: readonly LifeTime[],
  second: readonly LifeTime[],
  failuresEach: number,
): TrialJudgement {
  if (!(Number.isInteger(failuresEach) && failuresEach > 0))
    throw new RangeError(`${failuresEach} failures of each: a whole number over 0 is needed`);
  const compared = compareLives(first, second);
  const failures: [number, number] = [failed(first), failed(second)];
  const over = failures[0] + failures[1] >= 2 * failuresEach;
  const told = compared.p !== null && compared.p < (over ? AT_END : EARLY);
  return {
    state: told ? 'told' : over ? 'not told' : 'going',
    // Under 5 % the comparison says which.
    longer: told ? compared.longer : null,
    ...{ failures, compared },
    because: {
      words: over
        ? 'Its failures are there: a chance under 1 in 20 tells them apart.'
        : 'Until its failures are there only a chance under 1 in 1000 tells them apart: looking after every life would see a difference sooner or later where there is none.',
      formula: 'log-rank, by Haybittle and Peto until the end',
      values: [
        { name: 'failures', value: `${failures[0]} and ${failures[1]} of ${2 * failuresEach} together` },
        {
          name: 'chance if both lasted alike',
          value: compared.p === null ? 'not known' : compared.p.toPrecision(2),
        },
        ...compared.because.values,
      ],
    },
  };
}

/**
 * Which goes in next: they are alternated, so that what changes in the shop meets both alike. The one of which fewer have
 * begun; as many of each: not the one that began last. Example: 3 and 2 begun -> second.
 */
export function nextInTrial([first, second]: readonly [number, number], last: Side | null): Side {
  if (first !== second) return first < second ? 'first' : 'second';
  return last === 'first' ? 'second' : 'first';
}

/**
 * Whose turn it is, in words for whoever takes one. Example: of a trial of holders -> 'TR-0002 in C45: the next EM10 goes into SH10'.
 */
export function turnWords(trial: TrialTold, next: Side): string {
  const { number, material, tried, cutter } = trial;
  const goes =
    tried === 'cutter'
      ? `${trial[next]} goes in next`
      : `the next ${cutter} ${tried === 'holder' ? 'goes into' : 'runs by'} ${trial[next]}`;
  return `${number} in ${material}: ${goes}`;
}

/**
 * Which of the two goes before the other once it is decided, with words for whoever takes one: what lies of a cutter that lost is used
 * up first; a holder or a recipe is not used up, and the one that won goes first. null: neither won.
 */
export function goesAfter(trial: TrialTold, winner: Side | null): { side: Side; words: string } | null {
  if (winner === null) return null;
  const loser: Side = winner === 'first' ? 'second' : 'first';
  const lost = `${trial[loser]} lost ${trial.number}`;
  return trial.tried === 'cutter'
    ? { side: loser, words: `${lost} in ${trial.material}: use it up first` }
    : { side: winner, words: `${lost} with ${trial.cutter} in ${trial.material}: ${trial[winner]} first` };
}

/** Told in so many of all trials. */
const POWER = 0.8;

/**
 * How many times as long the one must last for a trial of so many failures of each to tell it in four of five tries at least,
 * where their lives have a Weibull shape: the hazards then differ by times^shape. null: so few tell nothing that is likely.
 * Source: Freedman, Stat. Med. 1 (1982) 121-129 (from memory), which stays on the safe side with few failures where Schoenfeld's does not
 * (by simulation: 8 of each tell 84 in 100, by Schoenfeld's figure only 70). Throws RangeError where either is not over 0.
 * Example: 8 of each, shape 2.5: 2.0 times.
 */
export function timesTold(failuresEach: number, shape: number): number | null {
  if (!(failuresEach > 0 && shape > 0))
    throw new RangeError(`${failuresEach} failures of each, shape ${shape}: both over 0 are needed`);
  const z = normalQuantile(1 - AT_END / 2) + normalQuantile(POWER);
  const root = Math.sqrt(2 * failuresEach);
  return root > z ? ((root + z) / (root - z)) ** (1 / shape) : null;
}
