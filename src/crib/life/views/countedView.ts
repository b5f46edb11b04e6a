import {
  type LivesSurveyed,
  type Measure,
  type Median,
  medianLife,
  type NextLife,
  nextLife,
  surveyLives,
} from '@/core/life';
import { lifeTime } from '@/crib/lives';
import type { LifeRow } from '@/data/life';

/** Lives counted in something else than minutes in the cut. */
export interface Counted extends LivesSurveyed {
  measure: Exclude<Measure, 'minutes'>;
  /** How much each life has of it, by its edge set; one of which it is not known is in none of the figures. */
  amounts: Record<number, number>;
  known: number;
  notKnown: number;
  median: Median;
  /** What the next fresh edge set will do, by these lives alone; null: cannot say. */
  next: Omit<NextLife, 'survival' | 'by'> | null;
}

const amountIn = (l: LifeRow, measure: Counted['measure']): number | null =>
  measure === 'holes' ? l.holes : l.cutMm === null ? null : l.cutMm / 1000;

/**
 * Some lives counted in holes or in metres fed; null where it is known of none of them. What is judged by (when to change,
 * what is left, what to buy) goes by minutes in the cut all the same, which follow depth and feed as a count of holes does
 * not: this says the same lives in what the hand counts.
 */
export function countedIn(lives: readonly LifeRow[], measure: Counted['measure']): Counted | null {
  const known = lives.flatMap((life) => {
    const amount = amountIn(life, measure);
    return amount === null || amount === 0 ? [] : [{ life, amount }];
  });
  if (!known.length) return null;
  const times = known.map(({ life, amount }) => lifeTime(amount, life.ended));
  const next = nextLife(times, null);
  return {
    ...surveyLives(times),
    ...{ measure, known: known.length, notKnown: lives.length - known.length },
    amounts: Object.fromEntries(known.map(({ life, amount }) => [life.edgeSetId, amount])),
    median: medianLife(times),
    next: next && withoutCurve(next),
  };
}

/** As it is sent: the curve is drawn from the law. */
export function withoutCurve({ survival: _, by: __, ...said }: NextLife): Omit<NextLife, 'survival' | 'by'> {
  return said;
}
