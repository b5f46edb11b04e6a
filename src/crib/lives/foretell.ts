import { SHARES_FORETOLD } from '@/core/life';
import type { Moment } from '@/crib/door';
import type { Connection } from '@/data/database';
import { insertForecast, manyUncutEdges } from '@/data/life';
import { loadLifeBook } from './lifeBook';

/**
 * Keeps what can be said of edges that are about to cut for the first time: to be called before their minutes are written.
 * A graded edge is not foretold, nor one of which nothing can be said; taken back, the entry takes its forecasts with it.
 */
export async function foretell(
  c: Connection,
  moment: Moment,
  edgeSetIds: readonly number[],
  materialId: number,
): Promise<void> {
  const uncut = await manyUncutEdges(c, edgeSetIds);
  if (!uncut.length) return;
  const book = await loadLifeBook(c, [...new Set(uncut.map((u) => u.itemId))]);
  for (const { edgeSetId, itemId } of uncut) {
    const next = book.next(itemId, materialId);
    const said = book.expectation(itemId, materialId);
    if (!next) continue;
    await insertForecast(c, moment.entryId, {
      edgeSetId,
      materialId,
      failedBy: `{${SHARES_FORETOLD.map((share) => next.by(share)).join(',')}}`,
      lives: said?.lives ?? 0,
      failures: said?.failures ?? 0,
    });
  }
}
