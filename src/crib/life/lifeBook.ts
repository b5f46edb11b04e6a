import { group } from 'd3';
import { ORIGIN_WORDS } from '@/core/cutters';
import { DEFAULTS } from '@/core/defaults';
import {
  type AssumedLife,
  type Consumption,
  consumption,
  type Ending,
  ENDINGS,
  expectLife,
  type LifeExpectation,
  type LifeTime,
  lifeUsed,
} from '@/core/life';
import type { ReadOnce } from '@/crib/door';
import { openWork } from '@/crib/work';
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

/** What to expect of some cutters in a material, and what some edge sets have left. */
export interface LifeBook {
  expectation(itemId: number, materialId: number): LifeExpectation | null;
  /** What of it is used up in a material; null: cannot say. */
  consumption(itemId: number, materialId: number): Consumption | null;
  /** What is assumed of a cutter in a material before any life was seen; null: nothing. */
  assumed(itemId: number, materialId: number): AssumedLife | null;
  /** Share of an edge set's life that is used; null: cannot say (graded, or no expectation in a material it cut). */
  used(edgeSetId: number): number | null;
  /** What an edge set has cut so far; null: it is none of those asked for. */
  cut(edgeSetId: number): EdgeUseRow | null;
}

/** A life as the statistics see it; one that runs on is censored at its present minutes. */
const lifeTime = (minutes: number, ended: Ending | null): LifeTime => ({
  minutes,
  failed: ended !== null && ENDINGS[ended].counts === 'failure',
  running: ended === null,
});

/** The times of a line's lives, the latest `livesReckoned` of them. */
export const lifeTimes = (row: LifeTimesRow): LifeTime[] =>
  row.minutes.map((minutes, i) => lifeTime(minutes, row.ended[i] ?? null));

/** The lives of some cutters, and what some edge sets (of those cutters) have cut. */
export const loadLifeBook = async (
  c: Connection,
  itemIds: readonly number[],
  edgeSetIds: readonly number[] = [],
): Promise<LifeBook> =>
  lifeBook(
    await manyLifeTimes(c, itemIds, DEFAULTS.livesReckoned),
    await manyAssumedLives(c, itemIds),
    edgeSetIds.length ? await manyEdgeUses(c, edgeSetIds) : [],
  );

/** A book with the edges it names that go on cutting. */
export type RunningBook = LifeBook & { running: RunningRow[] };

/** The book of every cutter that stands or is tied to open work, with all its edges that go on cutting. */
export async function openBook(c: Connection, _: string, once: ReadOnce): Promise<RunningBook> {
  const { assemblies } = await once(openWork);
  return runningBook(c, [...new Set([...assemblies.values()].map((a) => a.cutterItemId))]);
}

/** The book of some cutters, with all their edges that go on cutting. */
export async function runningBook(c: Connection, items: readonly number[]): Promise<RunningBook> {
  const running = await manyRunningEdges(c, items);
  const times = await manyLifeTimes(c, items, DEFAULTS.livesReckoned);
  return { ...lifeBook(times, await manyAssumedLives(c, items), running), running };
}

function lifeBook(
  lines: readonly LifeTimesRow[],
  assumedLives: readonly AssumedLifeRow[],
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
    const own = assumed.get(itemId) ?? [];
    const a = own.find((x) => x.materialId === materialId) ?? own.find((x) => x.materialId === null);
    return a ? { minutes: a.minutes, origin: ORIGIN_WORDS[a.origin], guess: a.origin === 'guess' } : null;
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
    assumed: assumedOf,
    used,
    cut: (edgeSetId) => uses.get(edgeSetId) ?? null,
  };
}
