import { group } from 'd3';
import { ORIGIN_WORDS } from '@/core/cutters';
import {
  type AssumedLife,
  assumedTogether,
  type Consumption,
  consumption,
  expectLife,
  type Exponent,
  isElsewhere,
  type LifeBySpeeds,
  livesAtSpeed,
  livesTakenTo,
  type LifeExpectation,
  type LifeTime,
  lifeUsed,
  type NextLife,
  nextLife,
  statedAtSpeed,
  type Weight,
} from '@/core/life';
import { type AssumedLifeRow, manyAssumedLives } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import {
  type EdgeUseRow,
  manyEdgeUses,
  manyOldestUses,
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
import { type CutterLives, livesOfCutters } from './cutterLives';
import { exponentOf } from './exponents';
import { keptFor } from './keptFor';

/**
 * What to expect of some cutters in a material at a speed, rev/min, and what some edge sets have left. Speed null: whatever it
 * is cut at, as it was cut so far.
 */
export interface LifeBook {
  expectation(itemId: number, materialId: number, rpm: number | null): LifeExpectation | null;
  /** What of it is used up in a material; null: cannot say. */
  consumption(itemId: number, materialId: number, rpm: number | null): Consumption | null;
  /** What the next fresh edge of it will do in a material; null: cannot say. */
  next(itemId: number, materialId: number, rpm: number | null): NextLife | null;
  /** Its lives in a material as they come to at a speed, and by what they were taken there; null: all stand as they were cut. */
  takenTo(itemId: number, materialId: number, rpm: number): { lives: LifeTime[]; by: Exponent } | null;
  /**
   * Share of an edge set's life that is used, by its oldest edge where they are not all of one age; null: cannot say (graded, or no
   * expectation in a material it cut).
   */
  used(edgeSetId: number): number | null;
  /** Minutes that its oldest edge has cut; null: all of them are of one age, or nobody knows. */
  oldest(edgeSetId: number): number | null;
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
  const lines = await livesOfCutters(c, itemIds);
  const materials = await manyMaterials(c);
  const { others, substrateOf } = await readOtherLives(c, itemIds, lines, known, materials);
  const assumed = await manyAssumedLives(c, itemIds);
  return lifeBook(
    whatIsTold(lines, assumed, known.weights, others, substrateOf),
    edges,
    await oldestOf(c, edges),
  );
}

/** What the oldest edge of each set cut whose edges are not all of one age. */
async function oldestOf(c: Connection, edges: readonly EdgeUseRow[]): Promise<Map<number, Uses>> {
  const ids = edges.filter((e) => !e.fresh).map((e) => e.edgeSetId);
  const rows = group(ids.length ? await manyOldestUses(c, ids) : [], (r) => r.of);
  return new Map(
    [...rows].map(([of, sets]) => [
      of,
      { minutes: sets.reduce((sum, s) => sum + s.minutes, 0), uses: sets.flatMap((s) => s.uses) },
    ]),
  );
}
type Uses = Pick<EdgeUseRow, 'minutes' | 'uses'>;

/** What is known of a cutter in a material at a speed: its lives, of how many they are the latest, and what is assumed beside them. */
interface Told {
  of(
    itemId: number,
    materialId: number,
    rpm: number | null,
  ): { lives: readonly LifeTime[]; all?: number; assumed: AssumedLife | null };
  /** Its lives, and what takes them to a speed; null: nothing does, or they were all cut at it. */
  elsewhere(
    itemId: number,
    materialId: number,
    rpm: number,
  ): { lives: readonly LifeBySpeeds[]; by: Exponent } | null;
}

function whatIsTold(
  lines: readonly CutterLives[],
  assumedLives: readonly AssumedLifeRow[],
  weights: AssumedWeights,
  others: FromOtherLives,
  substrateOf: (itemId: number) => string | null,
): Told {
  const times = group(
    lines,
    (l) => l.itemId,
    (l) => l.materialId,
  );
  const stated = group(assumedLives, (a) => a.itemId);
  const statedOf = (itemId: number, materialId: number): AssumedLife | null => {
    const a = assumedIn(stated.get(itemId) ?? [], materialId);
    return a
      ? {
          minutes: a.minutes,
          origin: ORIGIN_WORDS[a.origin],
          guess: a.origin === 'guess',
          ...weights.get(a.origin),
        }
      : null;
  };
  const fromOthers = (itemId: number, materialId: number): AssumedLife | null => {
    for (const [from, of] of others) {
      const taken = of(itemId, materialId, weights.get(from));
      if (taken) return taken;
    }
    return null;
  };
  const lineOf = (itemId: number, materialId: number) => times.get(itemId)?.get(materialId)?.[0];
  const elsewhere: Told['elsewhere'] = (itemId, materialId, rpm) => {
    const lives = lineOf(itemId, materialId)?.bySpeeds ?? [];
    const by = isElsewhere(lives, rpm) ? exponentOf(lives, substrateOf(itemId)) : null;
    return by && { lives, by };
  };
  const of: Told['of'] = (itemId, materialId, rpm) => {
    const said = statedOf(itemId, materialId);
    const from = rpm === null ? null : elsewhere(itemId, materialId, rpm);
    if (rpm === null || from === null) {
      const line = lineOf(itemId, materialId);
      const assumed = said ?? fromOthers(itemId, materialId);
      return { lives: line?.times ?? NONE, ...(line && { all: line.all }), assumed };
    }
    const { lives, taken } = atSpeed(from.lives, rpm, from.by, weights.get('another speed'));
    const here = said && statedAtSpeed(said, from.lives, rpm, from.by);
    if (taken) return { lives, assumed: here ? assumedTogether(here, taken) : taken };
    return { lives, assumed: here ?? fromOthers(itemId, materialId) };
  };
  return { of, elsewhere };
}

const NONE: readonly LifeTime[] = [];
const revs = (rpm: number) => `${rpm.toFixed(0)} rev/min`;
const atSpeed = keptFor((lives: readonly LifeBySpeeds[], rpm: number, by: Exponent, weight?: Weight) =>
  livesAtSpeed(lives, rpm, by, revs, weight),
);
// Of the same lives every screen asks the same: what they come to is reckoned once.
const expected = keptFor(expectLife);
const usedUp = keptFor(consumption);
const nextOf = keptFor((lives: readonly LifeTime[], assumed: AssumedLife | null) => nextLife(lives, assumed));

function lifeBook(told: Told, edges: readonly EdgeUseRow[], oldest: ReadonlyMap<number, Uses>): LifeBook {
  const uses = new Map(edges.map((u) => [u.edgeSetId, u]));
  const said = <T>(of: (lives: readonly LifeTime[], assumed: AssumedLife | null, all?: number) => T) => {
    const remembered = new Map<string, T>();
    return (itemId: number, materialId: number, rpm: number | null): T => {
      const key = `${itemId} ${materialId} ${rpm ?? ''}`;
      const known = remembered.get(key);
      if (known !== undefined) return known;
      const { lives, assumed, all } = told.of(itemId, materialId, rpm);
      const answer = of(lives, assumed, all);
      remembered.set(key, answer);
      return answer;
    };
  };
  const expectation = said(expected);
  const used = (edgeSetId: number) => {
    const life = uses.get(edgeSetId);
    // It lasts no longer than the oldest of its edges.
    const cut = life?.fresh ? life : oldest.get(edgeSetId);
    if (!life || !cut) return null;
    return lifeUsed(
      cut.uses.map((u) => ({
        minutes: u.minutes,
        expected: expectation(life.itemId, u.materialId, u.rpm)?.minutes ?? null,
      })),
    );
  };
  return {
    expectation,
    consumption: said((lives, assumed) => usedUp(lives, assumed)),
    next: said((lives, assumed) => nextOf(lives, assumed)),
    takenTo: (itemId, materialId, rpm) => {
      const from = told.elsewhere(itemId, materialId, rpm);
      return from && { lives: livesTakenTo(from.lives, rpm, from.by), by: from.by };
    },
    used,
    oldest: (edgeSetId) => oldest.get(edgeSetId)?.minutes ?? null,
    cut: (edgeSetId) => uses.get(edgeSetId) ?? null,
  };
}
