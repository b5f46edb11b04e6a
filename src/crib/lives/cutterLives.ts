import { LRUCache } from 'lru-cache';
import { DEFAULTS } from '@/core/defaults';
import type { Ending, LifeBySpeeds, LifeTime } from '@/core/life';
import type { Connection } from '@/data/database';
import {
  type LifeLineRow,
  type LifeRow,
  type LifeTimesRow,
  manyFittedLives,
  manyLifeLines,
  manyLifeTimes,
  manyLinesWithMost,
} from '@/data/life';
import { lifeWithSpeed } from './lifeTimes';

/** The lives of a cutter in a material, of which the statistics take the latest `livesReckoned`. They never change. */
export interface CutterLives {
  itemId: number;
  materialId: number;
  /** Another one once any of them is. */
  revision: string;
  /** How many there are in all. */
  all: number;
  /** The latest begun first, in each of these. */
  times: readonly LifeTime[];
  /** With the speeds each was cut at, rev/min. */
  bySpeeds: readonly LifeBySpeeds[];
  ended: readonly (Ending | null)[];
}

/**
 * Those that were read, by their revision, which is another one once any of the lives is: it does not matter whose database
 * they were read from. A day's work reads some two hundred lines. A hundred lives take 15 kB, and what the next one will do,
 * which is kept with them (`keptFor`), 31 kB: it is for what is reckoned that there are no more of them.
 */
const read = new LRUCache<string, CutterLives>({ max: 600 });

const livesOf = (row: LifeTimesRow): CutterLives => {
  const bySpeeds = row.minutes.map((minutes, i) =>
    lifeWithSpeed({
      ...{ minutes, ended: row.ended[i] ?? null, rpm: row.rpm[i] ?? null },
      speeds: row.speeds[i] ?? null,
    }),
  );
  return {
    ...{ itemId: row.itemId, materialId: row.materialId, revision: row.revision, all: row.lives },
    ...{ times: bySpeeds.map((l) => l.life), bySpeeds, ended: row.ended },
  };
};

/** The lives of some lines, in their order; what came into force meanwhile comes as it is now, and a line that went is left out. */
async function livesOn(c: Connection, lines: readonly LifeLineRow[]): Promise<CutterLives[]> {
  const of = new Map<string, CutterLives>();
  for (const line of lines) {
    const known = read.get(line.revision);
    if (known) of.set(lineKey(line), known);
  }
  const missing = lines.filter((line) => !of.has(lineKey(line)));
  for (const row of missing.length ? await manyLifeTimes(c, missing, DEFAULTS.livesReckoned) : []) {
    const lives = livesOf(row);
    read.set(row.revision, lives);
    of.set(lineKey(row), lives);
  }
  return lines.flatMap((line) => of.get(lineKey(line)) ?? []);
}
const lineKey = (l: Pick<LifeLineRow, 'itemId' | 'materialId'>) => `${l.itemId} ${l.materialId}`;

/** Of some cutters in every material they cut. */
export const livesOfCutters = async (c: Connection, itemIds: readonly number[]): Promise<CutterLives[]> =>
  livesOn(c, itemIds.length ? await manyLifeLines(c, itemIds) : []);

/** A page of all cutters and materials, those with the most lives first; after one of them. */
export const livesWithMost = async (
  c: Connection,
  limit: number,
  after: { itemId: number; materialId: number } | null = null,
): Promise<CutterLives[]> => livesOn(c, await manyLinesWithMost(c, after, limit));

/** Those that were read with all that is told of each: 60 kB a hundred lives, for the few pages that are open at a time. */
const told = new LRUCache<string, readonly LifeRow[]>({ max: 60 });

/**
 * The same lives with all that is told of each, the latest begun first. They are others only once its revision is: what is foretold
 * of a life, what it cut and how it ended are written before the life itself is, in one transaction.
 */
export async function livesTold(c: Connection, of: CutterLives): Promise<readonly LifeRow[]> {
  const known = told.get(of.revision);
  if (known) return known;
  const rows = await manyFittedLives(c, of.itemId, of.materialId, DEFAULTS.livesReckoned);
  // As they are now, which another entry may have changed since the line was read.
  const [first] = rows;
  if (first) told.set(first.revision, rows);
  return rows;
}
