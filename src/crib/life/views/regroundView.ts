import { DEFAULTS } from '@/core/defaults';
import { compareLives, type LifeTime, surveyLives } from '@/core/life';
import { cheaperOf, type EdgeCost, edgeRate, lifeTime } from '@/crib/lives';
import type { Connection } from '@/data/database';
import { manyLivesReground } from '@/data/life';
import type { Beside } from './besideView';

/** A cutter that was ground again beside fresh ones, and how many were sent and lost at the grinder's. */
export interface Reground extends Omit<Beside, 'ranApart'> {
  sent: number;
  lost: number;
}

/**
 * Lives after regrinding beside fresh ones of the same cutter in the same material, with what each costs: a new one its price,
 * a reground one what its regrind cost, and the more the fewer come back. null: none has cut this material after grinding.
 */
export async function regroundView(
  c: Connection,
  item: { id: number; code: string },
  materialId: number,
  fresh: readonly LifeTime[],
  newOne: EdgeCost,
): Promise<Reground | null> {
  const rows = await manyLivesReground(c, item.id, DEFAULTS.livesReckoned);
  const again = rows.flatMap((r) =>
    r.materialId === materialId && r.minutes !== null ? [lifeTime(r.minutes, r.ended)] : [],
  );
  if (!again.length) return null;
  const compared = compareLives(fresh, again);
  const rates = {
    first: edgeRate(newOne, compared.means.first),
    second: edgeRate(regrindCost(rows), compared.means.second),
  };
  return {
    code: 'reground',
    words: `${item.code}, ground again`,
    lives: again.length,
    steps: surveyLives(again).steps,
    longest: Math.max(...again.map((l) => l.minutes)),
    compared,
    rates,
    cheaper: cheaperOf(rates.first, rates.second),
    sent: rows.length,
    lost: rows.filter((r) => r.lost).length,
  };
}

/** What an edge costs that is ground again: the mean of what was paid, over the share that came back. Plain arithmetic. */
export function regrindCost(rows: readonly { lost: boolean; costCents: number | null }[]): EdgeCost {
  const back = rows.filter((r) => !r.lost);
  const paid = back.flatMap((r) => r.costCents ?? []);
  const of = `a regrind, by ${paid.length} that were paid for${
    back.length < rows.length ? `; ${rows.length - back.length} of ${rows.length} were lost there` : ''
  }`;
  if (!paid.length) return { cents: null, of: 'a regrind' };
  const mean = paid.reduce((sum, cents) => sum + cents, 0) / paid.length;
  return { cents: (mean * rows.length) / back.length, of };
}
