import { group, sum } from 'd3';
import { lifeUsed, whyApart } from '@/core/life';
import { type KnownHere, loadLifeBook } from '@/crib/lives';
import type { Connection } from '@/data/database';
import { manyLivesApart } from '@/data/life';
import type { MaterialRow } from '@/data/shop';
import { type LifeRecord, record } from './record';

/** A life that is shown apart and not fitted. */
export interface LifeApart extends LifeRecord {
  item: string;
  why: string;
  /**
   * Of one that cut several materials, the share of a life it came to by what is expected in each; null: in one of them nobody
   * knows, or it is no fresh edge.
   */
  share: { used: number; of: { material: string; minutes: number; expected: number }[] } | null;
}

const SHOWN = 50;

/** The latest lives that are shown apart, each with why, and what several materials come to together. */
export async function livesApart(
  c: Connection,
  known: KnownHere,
  materials: ReadonlyMap<number, Pick<MaterialRow, 'code'>>,
): Promise<LifeApart[]> {
  const rows = await manyLivesApart(c, SHOWN);
  const several = rows.filter((l) => l.fresh && l.materials > 1);
  const book = several.length
    ? await loadLifeBook(
        c,
        [...new Set(several.map((l) => l.itemId))],
        several.map((l) => l.edgeSetId),
        known,
      )
    : null;
  return rows.map((l) => {
    const used = book?.used(l.edgeSetId) ?? null;
    const of = [...group(book?.cut(l.edgeSetId)?.uses ?? [], (u) => u.materialId)].flatMap(([id, uses]) => {
      const minutes = sum(uses, (u) => u.minutes);
      // Cut at several speeds, it is expected to last as long as their shares together say.
      const share = lifeUsed(
        uses.map((u) => ({
          minutes: u.minutes,
          expected: book?.expectation(l.itemId, id, u.rpm)?.minutes ?? null,
        })),
      );
      const material = materials.get(id)?.code;
      return minutes > 0 && share !== null && material
        ? [{ material, minutes, expected: minutes / share }]
        : [];
    });
    return {
      ...record(l),
      item: l.item,
      why: whyApart(l) ?? '',
      share: used === null || of.length < 2 ? null : { used, of },
    };
  });
}
