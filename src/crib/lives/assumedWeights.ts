import { group } from 'd3';
import type { Origin } from '@/core/cutters';
import { DEFAULTS } from '@/core/defaults';
import {
  type AssumedAgainstSeen,
  assumedFromLike,
  type AssumedLife,
  assumedWeight,
  meanReached,
} from '@/core/life';
import type { ReadAll } from '@/crib/door';
import { type AssumedLifeRow, manyFirstAssumedLives } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { type LifeTimesRow, manyLifeLines } from '@/data/life';
import { manyMaterials, type MaterialRow } from '@/data/shop';
import { lifeTimes } from './lifeTimes';

/** Where an assumed life comes from: who stated it, or its lives in like materials. */
type AssumedFrom = Origin | 'like materials';
/** As how many lives an assumed life of each origin counts here, and how many cutters said so. */
export type AssumedWeights = ReadonlyMap<AssumedFrom, { countsAs: number; learntFrom: number }>;

/** The cutters and materials with the most lives that are asked how right their assumed life was. */
const LINES_ASKED = 40;

/** The one of a material before the one of any. */
export const assumedIn = (own: readonly AssumedLifeRow[], materialId: number): AssumedLifeRow | undefined =>
  own.find((x) => x.materialId === materialId) ?? own.find((x) => x.materialId === null);

/** What each cutter came to in other materials of a material's group; null: none has failed there. */
export function likeLives(
  lines: readonly LifeTimesRow[],
  materials: readonly Pick<MaterialRow, 'id' | 'code' | 'isoGroup'>[],
): (
  itemId: number,
  materialId: number,
  weight?: { countsAs: number; learntFrom: number },
) => AssumedLife | null {
  const byItem = group(lines, (l) => l.itemId);
  const byId = new Map(materials.map((m) => [m.id, m]));
  return (itemId, materialId, weight) => {
    const own = byId.get(materialId);
    if (!own) return null;
    const elsewhere = (byItem.get(itemId) ?? []).flatMap((l) => {
      const other = byId.get(l.materialId);
      return other && other.id !== own.id && other.isoGroup === own.isoGroup
        ? [{ material: other.code, lives: lifeTimes(l) }]
        : [];
    });
    return assumedFromLike(own.isoGroup, elsewhere, weight);
  };
}

/**
 * How well the assumed lives did in this shop, by where they came from: a maker's figure may be good here and a guess not.
 * Held against is what was assumed at first; one that was restated after the lives had shown it would always be right.
 */
export async function readAssumedWeights(c: Connection): Promise<AssumedWeights> {
  const lines = await manyLifeLines(c, null, DEFAULTS.livesReckoned, LINES_ASKED);
  const first = group(
    await manyFirstAssumedLives(c, [...new Set(lines.map((l) => l.itemId))]),
    (a) => a.itemId,
  );
  const like = likeLives(lines, await manyMaterials(c));
  const told = new Map<AssumedFrom, AssumedAgainstSeen[]>();
  for (const line of lines) {
    const assumed = assumedIn(first.get(line.itemId) ?? [], line.materialId);
    const lives = lifeTimes(line);
    const failures = lives.filter((l) => l.failed).length;
    const seen = meanReached(lives);
    if (!seen || failures < DEFAULTS.failuresForSpread) continue;
    const tell = (from: AssumedFrom, minutes: number) =>
      told.set(from, [...(told.get(from) ?? []), { assumed: minutes, seen: seen.minutes, failures }]);
    if (assumed) tell(assumed.origin, assumed.minutes);
    const elsewhere = like(line.itemId, line.materialId);
    if (elsewhere) tell('like materials', elsewhere.minutes);
  }
  return new Map([...told].map(([origin, history]) => [origin, assumedWeight(history)]));
}

/** The same, read once with the views that ask for it. */
export const assumedWeights: ReadAll<AssumedWeights> = (c) => readAssumedWeights(c);
