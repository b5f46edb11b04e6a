import { group } from 'd3';
import { ORIGIN_WORDS } from '@/core/cutters';
import { DEFAULTS } from '@/core/defaults';
import {
  type AssumedLife,
  type Consumption,
  consumption,
  expectLife,
  type LifeExpectation,
  type LifeTime,
  lifeUsed,
  type NextLife,
  nextLife,
} from '@/core/life';
import { type AssumedLifeRow, manyAssumedLives } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import {
  type EdgeUseRow,
  type LifeTimesRow,
  manyEdgeUses,
  manyLifeTimes,
  manyRunningEdges,
  type RunningRow,
} from '@/data/life';
import { manyMaterials } from '@/data/shop';
import {
  assumedIn,
  type AssumedWeights,
  type FromOtherLives,
  type KnownHere,
  readKnownHere,
  readOtherLives,
} from './assumedWeights';
import { lifeTimes } from './lifeTimes';

/** What to expect of some cutters in a material, and what some edge sets have left. */
export interface LifeBook {
  expectation(itemId: number, materialId: number): LifeExpectation | null;
  /** What of it is used up in a material; null: cannot say. */
  consumption(itemId: number, materialId: number): Consumption | null;
  /** What the next fresh edge of it will do in a material; null: cannot say. */
  next(itemId: number, materialId: number): NextLife | null;
  /** Share of an edge set's life that is used; null: cannot say (graded, or no expectation in a material it cut). */
  used(edgeSetId: number): number | null;
  /** What an edge set has cut so far; null: it is none of those asked for. */
  cut(edgeSetId: number): EdgeUseRow | null;
}

/** The lives of some cutters, and what some edge sets (of those cutters) have cut. */
export const loadLifeBook = async (
  c: Connection,
  itemIds: readonly number[],
  edgeSetIds: readonly number[] = [],
  known?: KnownHere,
): Promise<LifeBook> => {
  const edges = edgeSetIds.length ? await manyEdgeUses(c, edgeSetIds) : [];
  return readBook(c, itemIds, known ?? (await readKnownHere(c)), edges);
};

/** A book with the edges it names that go on cutting. */
export type RunningBook = LifeBook & { running: RunningRow[] };

/** The book of some cutters, with all their edges that go on cutting. */
export async function runningBook(
  c: Connection,
  items: readonly number[],
  known?: KnownHere,
): Promise<RunningBook> {
  const running = await manyRunningEdges(c, items);
  return { ...(await readBook(c, items, known ?? (await readKnownHere(c)), running)), running };
}

async function readBook(
  c: Connection,
  itemIds: readonly number[],
  known: KnownHere,
  edges: readonly EdgeUseRow[],
): Promise<LifeBook> {
  const lines = await manyLifeTimes(c, itemIds, DEFAULTS.livesReckoned);
  const materials = await manyMaterials(c);
  const others = await readOtherLives(c, itemIds, lines, known, materials);
  return lifeBook(lines, await manyAssumedLives(c, itemIds), known.weights, others, edges);
}

function lifeBook(
  lines: readonly LifeTimesRow[],
  assumedLives: readonly AssumedLifeRow[],
  weights: AssumedWeights,
  others: FromOtherLives,
  edges: readonly EdgeUseRow[],
): LifeBook {
  const times = group(
    lines,
    (l) => l.itemId,
    (l) => l.materialId,
  );
  const assumed = group(assumedLives, (a) => a.itemId);
  const uses = new Map(edges.map((u) => [u.edgeSetId, u]));
  const assumedOf = (itemId: number, materialId: number): AssumedLife | null => {
    const a = assumedIn(assumed.get(itemId) ?? [], materialId);
    if (a)
      return {
        minutes: a.minutes,
        origin: ORIGIN_WORDS[a.origin],
        guess: a.origin === 'guess',
        ...weights.get(a.origin),
      };
    for (const [from, of] of others) {
      const taken = of(itemId, materialId, weights.get(from));
      if (taken) return taken;
    }
    return null;
  };
  const said = <T>(of: (lives: LifeTime[], assumed: AssumedLife | null, all?: number) => T) => {
    const remembered = new Map<string, T>();
    return (itemId: number, materialId: number): T => {
      const key = `${itemId} ${materialId}`;
      const known = remembered.get(key);
      if (known !== undefined) return known;
      const line = times.get(itemId)?.get(materialId)?.[0];
      const answer = of(line ? lifeTimes(line) : [], assumedOf(itemId, materialId), line?.lives);
      remembered.set(key, answer);
      return answer;
    };
  };
  const expectation = said(expectLife);
  const used = (edgeSetId: number) => {
    const life = uses.get(edgeSetId);
    if (!life || !life.fresh) return null;
    return lifeUsed(
      life.uses.map((u) => ({
        minutes: u.minutes,
        expected: expectation(life.itemId, u.materialId)?.minutes ?? null,
      })),
    );
  };
  return {
    expectation,
    consumption: said(consumption),
    next: said((lives, a) => nextLife(lives, a)),
    used,
    cut: (edgeSetId) => uses.get(edgeSetId) ?? null,
  };
}
