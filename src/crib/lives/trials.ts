import { group } from 'd3';
import type { Because } from '@/core/because';
import { DEFAULTS } from '@/core/defaults';
import { judgeTrial, nextInTrial, type Side, type TrialJudgement } from '@/core/life';
import type { Connection } from '@/data/database';
import { manyTrialLives, manyTrialsOf, type TrialLifeRow, type TrialRow } from '@/data/life';
import { type EdgeRate, edgeRate, edgeCosts } from './edgeCosts';
import { lifeTime } from './lifeTimes';

/** A trial of two cutters in a material as it stands. */
export interface Trial {
  row: TrialRow;
  /** Lives of each that began since it did, those that are built and have not cut yet too. */
  begun: [first: number, second: number];
  /** Which goes in next; null: it has ended. */
  next: Side | null;
  state: TrialJudgement['state'];
  longer: Side | null;
  failures: [first: number, second: number];
  p: number | null;
  times: TrialJudgement['compared']['times'];
  means: TrialJudgement['compared']['means'];
  /** What the edges of each cost. */
  rates: { first: EdgeRate; second: EdgeRate };
  because: Because;
}

/** Some trials, each judged by the lives that began since it did. */
export async function judgedTrials(c: Connection, rows: readonly TrialRow[]): Promise<Trial[]> {
  if (!rows.length) return [];
  const lives = group(
    await manyTrialLives(
      c,
      rows.map((r) => r.id),
      DEFAULTS.livesReckoned,
    ),
    (l) => l.trialId,
  );
  const items = new Map(
    rows.flatMap((r) => [
      [r.firstItemId, { id: r.firstItemId, kind: r.firstKind }],
      [r.secondItemId, { id: r.secondItemId, kind: r.secondKind }],
    ]),
  );
  const costs = await edgeCosts(c, [...items.values()]);
  return rows.map((row) => {
    const own = lives.get(row.id) ?? [];
    const of = (itemId: number) => own.filter((l) => l.itemId === itemId);
    const [first, second] = [of(row.firstItemId), of(row.secondItemId)];
    const judged = judgeTrial(times(first), times(second), row.failuresEach);
    const begun: Trial['begun'] = [first.length, second.length];
    const last = own.at(-1);
    const { p, times: asLong, means } = judged.compared;
    return {
      row,
      begun,
      next:
        row.endedEntryId === null
          ? nextInTrial(begun, last ? (last.itemId === row.firstItemId ? 'first' : 'second') : null)
          : null,
      ...{ state: judged.state, longer: judged.longer, failures: judged.failures },
      ...{ p, times: asLong, means },
      rates: {
        first: edgeRate(costs.get(row.firstItemId), means.first),
        second: edgeRate(costs.get(row.secondItemId), means.second),
      },
      because: judged.because,
    };
  });
}

/** What is built and has not cut yet says nothing of how long it lasts. */
const times = (lives: readonly TrialLifeRow[]) =>
  lives.filter((l) => l.minutes > 0).map((l) => lifeTime(l.minutes, l.ended));

/** Whose turn it is: what is taken before an item, and why. */
export interface Turn {
  /** What goes first; the item itself: it is its own turn. */
  itemId: number;
  /** It goes on; false: it is decided, and what is left of the loser goes first. */
  open: boolean;
  words: string;
}

/**
 * Of some cutters those whose turn a trial says: while one goes on they are alternated; once it is decided, what lies of the
 * loser is used up first. `material`: of trials in that one alone; null: in any.
 */
export async function turnsOf(
  c: Connection,
  itemIds: readonly number[],
  material: string | null = null,
): Promise<Map<number, Turn>> {
  const rows = (await manyTrialsOf(c, itemIds)).filter(
    (r) => material === null || r.material === material.toUpperCase(),
  );
  const turns = new Map<number, Turn>();
  // What goes on says it before what was decided, and the latest before what was before it.
  const say = (itemId: number, turn: Turn) => turns.has(itemId) || turns.set(itemId, turn);
  const open = new Map(
    (
      await judgedTrials(
        c,
        rows.filter((r) => r.endedEntryId === null),
      )
    ).map((t) => [t.row.id, t]),
  );
  for (const row of rows) {
    const next = open.get(row.id)?.next ?? null;
    const loser =
      row.winner === 'first' ? row.secondItemId : row.winner === 'second' ? row.firstItemId : null;
    const goes = next === 'first' ? row.firstItemId : next === 'second' ? row.secondItemId : loser;
    if (goes === null) continue;
    const code = goes === row.firstItemId ? row.first : row.second;
    const words =
      next === null
        ? `${code} lost ${row.number} in ${row.material}: use it up first`
        : `${row.number} in ${row.material}: ${code} goes in next`;
    for (const id of [row.firstItemId, row.secondItemId])
      say(id, { itemId: goes, open: next !== null, words });
  }
  return turns;
}
