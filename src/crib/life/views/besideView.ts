import { LIMITS } from '@/core/limits';
import {
  compareLives,
  keptApart,
  type KeptApart,
  type LivesCompared,
  speedsApart,
  type SpeedsApart,
  type SurvivalStep,
  surveyLives,
} from '@/core/life';
import { type CribItem, loadItems } from '@/crib/catalogue';
import {
  cheaperOf,
  edgeCosts,
  type EdgeRate,
  edgeRate,
  keptFor,
  lifeTime,
  livesOfCutters,
} from '@/crib/lives';
import { maybeItem } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { manyLivesInHolders } from '@/data/life';

/** Another cutter in the same material beside the one that is shown. */
export interface Beside {
  code: string;
  words: string;
  lives: number;
  /** Of its survival curve, to its longest life. */
  steps: SurvivalStep[];
  longest: number;
  compared: LivesCompared;
  /** Where the two ran at speeds apart, which may be what tells them apart; null: alike, or not known. */
  ranApart: SpeedsApart | null;
  rates: { first: EdgeRate; second: EdgeRate };
  /** Which costs less a minute in the cut; null: cannot say. */
  cheaper: 'first' | 'second' | null;
}

const surveyed = keptFor(surveyLives);

/** The lives of an item in a material beside those of another; null where the other has none there. */
export async function besideView(
  c: Connection,
  item: CribItem,
  materialId: number,
  other: string,
): Promise<Beside | null> {
  const row = await maybeItem(c, other);
  if (!row || row.id === item.id) return null;
  const rows = (await livesOfCutters(c, [item.id, row.id])).filter((l) => l.materialId === materialId);
  const [mine, its] = [item.id, row.id].map((id) => rows.find((r) => r.itemId === id));
  const [loaded] = await loadItems(c, [row.id]);
  if (!mine || !its || !loaded) return null;
  const [first, second] = [mine.times, its.times];
  const compared = compareLives(first, second);
  const costs = await edgeCosts(c, [item, loaded]);
  const rates = {
    first: edgeRate(costs.get(item.id), compared.means.first),
    second: edgeRate(costs.get(row.id), compared.means.second),
  };
  return {
    code: loaded.code,
    words: loaded.words,
    lives: its.all,
    steps: surveyed(second).steps,
    longest: Math.max(...second.map((l) => l.minutes)),
    compared,
    ranApart: speedsApart([mine.bySpeeds, item.cutter?.DC ?? 0], [its.bySpeeds, loaded.cutter?.DC ?? 0]),
    rates,
    cheaper: cheaperOf(rates.first, rates.second),
  };
}

/** A kind of holder, or a marked one, beside all others. */
export interface HolderApart extends KeptApart {
  /** It is one holder with a mark of its own. */
  marked: boolean;
}

/**
 * How cutters did in each holder beside the same cutters in all others, over the latest lives: each kind of holder, then each
 * with a mark of its own beside all that are not it.
 */
export async function holdersApart(c: Connection): Promise<HolderApart[]> {
  const rows = await manyLivesInHolders(c, LIMITS.forecasts.most);
  const apart = (by: (r: (typeof rows)[number]) => string) =>
    keptApart(
      rows.map((r) => ({
        by: by(r),
        alike: `${r.itemId} ${r.materialId}`,
        life: lifeTime(r.minutes, r.ended),
      })),
    );
  const marks = new Set(rows.flatMap((r) => r.mark ?? []));
  return [
    ...apart((r) => r.holder).map((k) => ({ ...k, marked: false })),
    ...(marks.size
      ? apart((r) => r.mark ?? r.holder).flatMap((k) => (marks.has(k.by) ? [{ ...k, marked: true }] : []))
      : []),
  ];
}
