import { SHARES_FORETOLD } from '@/core/life';
import type { Moment } from '@/crib/door';
import type { Connection } from '@/data/database';
import { insertForecast, manyUncutEdges } from '@/data/life';
import { loadLifeBook } from './lifeBook';

/**
 * Keeps what can be said of edges that are about to cut for the first time, at the speed they will cut at, rev/min: to be called before their minutes are written.
 * A graded edge is not foretold, nor one of which nothing can be said; taken back, the entry takes its forecasts with it.
 */
export async function foretell(
  c: Connection,
  moment: Moment,
  edges: readonly { edgeSetId: number; rpm: number | null }[],
  materialId: number,
): Promise<void> {
  const rpmOf = new Map(edges.map((e) => [e.edgeSetId, e.rpm]));
  const uncut = await manyUncutEdges(c, [...rpmOf.keys()]);
  if (!uncut.length) return;
  const book = await loadLifeBook(c, [...new Set(uncut.map((u) => u.itemId))]);
  for (const { edgeSetId, itemId } of uncut) {
    const rpm = rpmOf.get(edgeSetId) ?? null;
    const next = book.next(itemId, materialId, rpm);
    const said = book.expectation(itemId, materialId, rpm);
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
