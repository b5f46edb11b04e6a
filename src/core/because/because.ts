/** One input of a figure: what it is called, what it was, where it came from. */
interface BecauseValue {
  name: string;
  value: string;
  source?: string;
}

/** Why a figure is what it is: every number on a screen can be pulled to show this. */
export interface Because {
  words: string;
  formula?: string;
  values: BecauseValue[];
}

/**
 * A figure with why it is so, from the one function that reckons it. `assumed`: symbols it leans on that are not known,
 * each taken as the reason says.
 */
export interface Figure<V = number> {
  value: V;
  because: Because;
  assumed: readonly string[];
}

/** Four grades of a judgement. 'not judged' says that a fact was missing; it is never a pass. */
export type Grade = 'good' | 'question' | 'stop' | 'not judged';

export interface Judgement {
  code: string;
  grade: Grade;
  words: string;
  because: Because;
  /** It is shown beside the others and decides nothing: what is judged may go on whatever it says. */
  aside?: true;
  /** Facts that are not known, for want of which it is not judged: whose, and their symbols. */
  lacking?: readonly { of: 'cutter' | 'holder'; symbol: string }[];
}

const ORDER: Grade[] = ['stop', 'question', 'not judged', 'good'];

/** The worst grade of a list, in the order stop, question, not judged, good; 'not judged' when empty. */
export function worstGrade(judgements: readonly { grade: Grade }[]): Grade {
  return ORDER.find((grade) => judgements.some((j) => j.grade === grade)) ?? 'not judged';
}
