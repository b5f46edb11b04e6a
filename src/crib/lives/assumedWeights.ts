import { group } from 'd3';
import type { Origin } from '@/core/cutters';
import { DEFAULTS } from '@/core/defaults';
import { type AssumedAgainstSeen, assumedWeight, meanReached } from '@/core/life';
import type { ReadAll } from '@/crib/door';
import { type AssumedLifeRow, manyFirstAssumedLives } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { manyLifeLines } from '@/data/life';
import { lifeTimes } from './lifeTimes';

/** As how many lives an assumed life of each origin counts here, and how many cutters said so. */
export type AssumedWeights = ReadonlyMap<Origin, { countsAs: number; learntFrom: number }>;

/** The cutters and materials with the most lives that are asked how right their assumed life was. */
const LINES_ASKED = 40;

/** The one of a material before the one of any. */
export const assumedIn = (own: readonly AssumedLifeRow[], materialId: number): AssumedLifeRow | undefined =>
  own.find((x) => x.materialId === materialId) ?? own.find((x) => x.materialId === null);

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
  const told = new Map<Origin, AssumedAgainstSeen[]>();
  for (const line of lines) {
    const assumed = assumedIn(first.get(line.itemId) ?? [], line.materialId);
    const lives = lifeTimes(line);
    const failures = lives.filter((l) => l.failed).length;
    const seen = meanReached(lives);
    if (!assumed || !seen || failures < DEFAULTS.failuresForSpread) continue;
    const of = told.get(assumed.origin) ?? [];
    told.set(assumed.origin, [...of, { assumed: assumed.minutes, seen: seen.minutes, failures }]);
  }
  return new Map([...told].map(([origin, history]) => [origin, assumedWeight(history)]));
}

/** The same, read once with the views that ask for it. */
export const assumedWeights: ReadAll<AssumedWeights> = (c) => readAssumedWeights(c);
