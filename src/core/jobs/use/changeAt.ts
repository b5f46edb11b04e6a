import { type Judgement, say } from '../../because';

/** By what somebody chose after how many parts a cutter is changed. */
export const CHANGE_BASES = {
  cost: 'by cost',
  risk: 'by risk',
  maker: 'by the maker’s figure',
  hand: 'by hand',
} as const;
export type ChangeBasis = keyof typeof CHANGE_BASES;

/** After how many parts the cutter of a T is changed, failed or not. */
export interface ChangeAt {
  parts: number;
  basis: ChangeBasis | null;
}

/** Parts until it is changed, of an edge that has cut some on this operation; 0: it is due. */
export const partsUntilChange = (at: ChangeAt, cut: number): number => Math.max(0, at.parts - cut);

/**
 * A planned change that is due, or when it will be: always between two parts. A change that is due keeps nothing from running,
 * and is asked about. Common practice (two schools: run to the sign, or change at a set number of parts).
 * Example: at 40, 40 cut: question 'Change it now'.
 */
export function judgeChange(at: ChangeAt | null, cut: number): Judgement[] {
  if (at === null) return [];
  const left = partsUntilChange(at, cut);
  const values: [string, string][] = [
    ['changed after', `${at.parts} parts${at.basis ? `, ${CHANGE_BASES[at.basis]}` : ''}`],
    ['cut here', `${cut} parts`],
  ];
  const why =
    'It is changed before it fails: what fails in the cut costs the part. Between two parts, never within one.';
  return [
    left === 0
      ? say('CHANGE', 'question', `Change it now: ${cut} of ${at.parts} parts cut`, why, values)
      : say('CHANGE', 'good', `To be changed after ${left} more of ${at.parts} parts`, why, values),
  ];
}
