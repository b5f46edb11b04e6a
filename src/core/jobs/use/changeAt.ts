import { type Judgement, say } from '../../because';
import { amountWords, type Measure, MEASURES } from '../../life';
import type { ToolReport } from '../../programs';
import { cutByParts } from '../cutByParts';

/** By what somebody chose after how many parts a cutter is changed. */
export const CHANGE_BASES = {
  cost: 'by cost',
  risk: 'by risk',
  maker: 'by the maker’s figure',
  hand: 'by hand',
} as const;
export type ChangeBasis = keyof typeof CHANGE_BASES;

/** After how much the cutter of a T is changed, failed or not. */
export interface ChangeAt {
  /** So many parts a fresh one does until then; null: its program does not say how much a part is. */
  parts: number | null;
  basis: ChangeBasis | null;
  /** What is counted of the edge, wherever it cut it; null: parts of this operation. */
  counted: { amount: number; measure: Measure; perPart: number | null } | null;
}

/** What was said of a T: parts, or an amount of what is counted; neither: when a sign shows. */
export interface ChangeRule {
  parts: number | null;
  basis: ChangeBasis | null;
  amount: number | null;
  counts: Measure | null;
}
type Cutting = Pick<
  ToolReport,
  'cutting_s' | 'cutting_mm' | 'holes' | 'plunges' | 'lower_bound' | 'in_force'
>;

/** How much of what is counted a T cuts in one part, by its program; null: none of it, or it was not understood whole. */
export function perPartOf(tool: Cutting, measure: Measure): number | null {
  const one = cutByParts(tool, 1);
  const of = {
    minutes: tool.lower_bound ? null : one.minutes,
    holes: one.holes,
    metres: one.cutMm === null ? null : one.cutMm / 1000,
  }[measure];
  return of !== null && of > 0 ? of : null;
}

/**
 * When the cutter of a T is changed, in parts: of what is counted as many whole parts as go into it, at least one, since it is
 * never changed within a part. null: when a sign shows. Example: 800 holes of which a part has 6: 133 parts.
 */
export function changeAtOf(rule: ChangeRule | null, tool: Cutting | null): ChangeAt | null {
  if (rule === null) return null;
  const { parts, basis, amount, counts } = rule;
  if (amount === null || counts === null) return parts === null ? null : { parts, basis, counted: null };
  const perPart = tool && perPartOf(tool, counts);
  return {
    parts: perPart === null ? null : Math.max(1, wholeParts(amount, perPart)),
    basis,
    counted: { amount, measure: counts, perPart },
  };
}
const wholeParts = (amount: number, perPart: number) => Math.floor(amount / perPart + 1e-9);

/** What an edge has cut so far: parts of this operation, and of what is counted altogether; null: of some nobody knows. */
export interface CutSoFar {
  parts: number;
  amount: number | null;
}

/** Parts until it is changed, of an edge that has cut some; 0: it is due; null: what it has cut, or what a part is, is not known. */
export function partsUntilChange({ parts, counted }: ChangeAt, cut: CutSoFar): number | null {
  if (counted === null) return parts === null ? null : Math.max(0, parts - cut.parts);
  if (parts === null || counted.perPart === null || cut.amount === null) return null;
  const left = wholeParts(Math.max(0, counted.amount - cut.amount), counted.perPart);
  // A part that is more than the whole amount is cut by a fresh one, or by none.
  return cut.amount === 0 ? parts : left;
}

/**
 * A planned change that is due, or when it will be: always between two parts. A change that is due keeps nothing from running,
 * and is asked about; so is one that nobody can count. Common practice (two schools: run to the sign, or change at a set number).
 * Example: at 40, 40 cut: question 'Change it now'.
 */
export function judgeChange(at: ChangeAt | null, cut: CutSoFar): Judgement[] {
  if (at === null) return [];
  const left = partsUntilChange(at, cut);
  const { counted } = at;
  const after = counted ? amountWords(counted.amount, counted.measure) : `${at.parts} parts`;
  const values: [string, string][] = [
    ['changed after', `${after}${at.basis ? `, ${CHANGE_BASES[at.basis]}` : ''}`],
    ...(counted
      ? countedValues(counted, cut)
      : ([['cut here', `${cut.parts} parts`]] satisfies [string, string][])),
  ];
  const why =
    'It is changed before it fails: what fails in the cut costs the part. Between two parts, never within one.';
  if (left === null)
    return [say('CHANGE', 'question', `Changed after ${after}: ${whyNotCounted(counted)}`, why, values)];
  const so = counted ? (cut.amount === null ? '' : inWords(cut.amount, counted.measure)) : `${cut.parts}`;
  return [
    left === 0
      ? say('CHANGE', 'question', `Change it now: ${so} of ${after} cut`, why, values)
      : say(
          'CHANGE',
          'good',
          `To be changed after ${left} more ${counted ? 'parts, at ' : 'of '}${after}`,
          why,
          values,
        ),
  ];
}

const inWords = (amount: number, measure: Measure) => amount.toFixed(MEASURES[measure].digits);
const countedValues = (
  { measure, perPart }: NonNullable<ChangeAt['counted']>,
  { amount }: CutSoFar,
): [string, string][] => [
  ['cut so far', amount === null ? 'not known' : amountWords(amount, measure)],
  ['a part', perPart === null ? 'not known' : amountWords(perPart, measure)],
];
const whyNotCounted = (counted: ChangeAt['counted']): string =>
  counted?.perPart == null
    ? `its program does not say how many ${counted ? MEASURES[counted.measure].words : 'parts'} a part takes`
    : `how many ${MEASURES[counted.measure].words} it has cut is not known`;
