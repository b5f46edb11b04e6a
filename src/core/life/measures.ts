import { namesOf } from '../names';

/** What a life is counted in, and how much of it is written. */
export const MEASURES = {
  minutes: { words: 'minutes in the cut', unit: 'min', digits: 1 },
  holes: { words: 'holes', unit: 'holes', digits: 0 },
  metres: { words: 'metres fed', unit: 'm', digits: 1 },
} as const;
export type Measure = keyof typeof MEASURES;
export const MEASURE_NAMES = namesOf(MEASURES);

/** What the lives of a family are counted in. Example: a reamer -> 'holes'; a thread mill, which mills one -> 'minutes'. */
export const measureOf = (family: { countsHoles?: true } | null): Measure =>
  family?.countsHoles ? 'holes' : 'minutes';

/** So much of a measure in words. Example: 412 holes -> '412 holes'; 7.25 minutes -> '7.3 min'; 1 hole -> '1 hole'. */
export const amountWords = (amount: number, measure: Measure): string =>
  measure === 'holes' && amount === 1
    ? '1 hole'
    : `${amount.toFixed(MEASURES[measure].digits)} ${MEASURES[measure].unit}`;
