import { ENDINGS, expectLife, lifeUsed, type LifeExpectation, type LifeTime } from '@/core/life';
import { ORIGIN_WORDS } from '@/core/cutters';
import type { Connection } from '@/data/database';
import { manyLives, manyUseSums, type LifeRow, type UseSumRow } from '@/data/life';
import { manyAssumedLives } from '@/data/stock';
import { group } from 'd3';

/** One life with what it has cut. */
export interface CribLife extends LifeRow {
  uses: UseSumRow[];
  minutes: number;
  /** The one material it was used in; null: none or several. */
  materialId: number | null;
}

/** All lives, and what to expect of a cutter in a material. */
export interface LifeBook {
  lives: CribLife[];
  byEdgeSet: Map<number, CribLife>;
  /** Fresh lives of one material that the statistics take, running ones censored at their present minutes. */
  fitted(itemId: number, materialId: number): CribLife[];
  expectation(itemId: number, materialId: number): LifeExpectation | null;
  /** Share of an edge set's life that is used; null: cannot say (graded, or no expectation in a material it cut). */
  used(edgeSetId: number): number | null;
}

/** A life as the statistics see it. */
export const lifeTime = (l: CribLife): LifeTime => ({
  minutes: l.minutes,
  failed: l.ended !== null && ENDINGS[l.ended].counts === 'failure',
});

/** An ended life without a minute logged is unknown, not zero: it is left out of the fit. */
const isFitted = (l: CribLife): boolean => l.fresh && l.materialId !== null && l.minutes > 0;

/** The lives of some items; null: of all that have cut or ended. */
export async function loadLifeBook(
  c: Connection,
  itemIds: readonly number[] | null = null,
): Promise<LifeBook> {
  const usesOf = group(await manyUseSums(c), (u) => u.edge_set_id);
  const lives: CribLife[] = (await manyLives(c, itemIds)).map((row) => {
    const uses = usesOf.get(row.edge_set_id) ?? [];
    return {
      ...row,
      uses,
      minutes: uses.reduce((sum, u) => sum + u.minutes, 0),
      materialId: uses.length === 1 ? uses[0]!.material_id : null,
    };
  });
  const assumed = group(await manyAssumedLives(c, itemIds), (a) => a.item_id);
  const byItem = group(lives.filter(isFitted), (l) => l.item_id);
  const byEdgeSet = new Map(lives.map((l) => [l.edge_set_id, l]));
  const fitted = (itemId: number, materialId: number) =>
    (byItem.get(itemId) ?? []).filter((l) => l.materialId === materialId);
  const remembered = new Map<string, LifeExpectation | null>();
  const expectation = (itemId: number, materialId: number) => {
    const key = `${itemId} ${materialId}`;
    if (!remembered.has(key)) {
      const own = assumed.get(itemId) ?? [];
      const a = own.find((x) => x.material_id === materialId) ?? own.find((x) => x.material_id === null);
      remembered.set(
        key,
        expectLife(
          fitted(itemId, materialId).map(lifeTime),
          a ? { minutes: a.minutes, origin: ORIGIN_WORDS[a.origin] } : null,
        ),
      );
    }
    return remembered.get(key)!;
  };
  const used = (edgeSetId: number) => {
    const life = byEdgeSet.get(edgeSetId);
    if (!life || !life.fresh) return null;
    return lifeUsed(
      life.uses.map((u) => ({
        minutes: u.minutes,
        expected: expectation(life.item_id, u.material_id)?.minutes ?? null,
      })),
    );
  };
  return { lives, byEdgeSet, fitted, expectation, used };
}
