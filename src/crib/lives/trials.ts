import { group } from 'd3';
import type { Because } from '@/core/because';
import { DEFAULTS } from '@/core/defaults';
import {
  goesAfter,
  judgeTrial,
  nextInTrial,
  type Side,
  speedsApart,
  type SpeedsApart,
  type TrialJudgement,
  turnWords,
} from '@/core/life';
import { loadItems } from '@/crib/catalogue';
import { manyStandings } from '@/data/catalogue';
import { manyRecipesById } from '@/data/cutting';
import type { Connection } from '@/data/database';
import {
  manyHoldersOf,
  manyRecipesPlanned,
  manyTrialLives,
  manyTrialsOf,
  type TrialLifeRow,
  type TrialRow,
} from '@/data/life';
import { type EdgeRate, edgeRate, edgeCosts } from './edgeCosts';
import { lifeTime, lifeWithSpeed } from './lifeTimes';
import { recipesOfLives } from './ranBy';

/** A trial in a material as it stands. */
export interface Trial {
  row: TrialRow;
  /** Lives of each that began since it did, those that are built and have not cut yet too. */
  begun: [first: number, second: number];
  /** Lives of its cutter that began since and are of neither: in another holder, by another recipe, or by both. */
  neither: number;
  /** Why it can't go on: one of the two may no longer be used; null: it can, or has ended. */
  out: string | null;
  /** Which goes in next; null: it has ended, or can't go on. */
  next: Side | null;
  state: TrialJudgement['state'];
  longer: Side | null;
  failures: [first: number, second: number];
  p: number | null;
  times: TrialJudgement['compared']['times'];
  means: TrialJudgement['compared']['means'];
  /** Where the two ran at speeds apart, which may be what tells them apart; null: alike, not known, or recipes are tried. */
  ranApart: SpeedsApart | null;
  /** What the edges of each cost. */
  rates: { first: EdgeRate; second: EdgeRate };
  because: Because;
}

/** Some trials, each judged by the lives that began since it did. */
export async function judgedTrials(c: Connection, rows: readonly TrialRow[]): Promise<Trial[]> {
  if (!rows.length) return [];
  const all = await manyTrialLives(
    c,
    rows.map((r) => r.id),
    DEFAULTS.livesReckoned,
  );
  const lives = group(all, (l) => l.trialId);
  const sideOf = await sides(c, rows, lives);
  const outOf = await noLongerUsed(
    c,
    rows.filter((r) => r.endedEntryId === null),
  );
  const items = await loadItems(c, [...new Set(rows.flatMap((r) => cuttersOf(r)))]);
  const DC = new Map(items.map((i) => [i.id, i.cutter?.DC ?? 0]));
  const costs = await edgeCosts(c, items);
  return rows.map((row) => {
    const own = (lives.get(row.id) ?? []).map((life) => ({ life, side: sideOf(row, life) }));
    const of = (side: Side) => own.flatMap((l) => (l.side === side ? [l.life] : []));
    const [first, second] = [of('first'), of('second')];
    const judged = judgeTrial(times(first), times(second), row.failuresEach);
    const begun: Trial['begun'] = [first.length, second.length];
    const last = own.findLast((l) => l.side !== null);
    const { p, times: asLong, means } = judged.compared;
    const edge = (id: number) => costs.get(row.cutterItemId ?? id);
    const out = outOf.get(row.id) ?? null;
    return {
      ...{ row, begun, out },
      neither: own.length - first.length - second.length,
      next: row.endedEntryId === null && out === null ? nextInTrial(begun, last?.side ?? null) : null,
      ...{ state: judged.state, longer: judged.longer, failures: judged.failures },
      ...{ p, times: asLong, means },
      ranApart:
        row.tried === 'recipe'
          ? null
          : speedsApart(
              [first.map(lifeWithSpeed), DC.get(row.cutterItemId ?? row.firstId) ?? 0],
              [second.map(lifeWithSpeed), DC.get(row.cutterItemId ?? row.secondId) ?? 0],
            ),
      rates: {
        first: edgeRate(edge(row.firstId), means.first),
        second: edgeRate(edge(row.secondId), means.second),
      },
      because: judged.because,
    };
  });
}

/** The cutters whose lives tell a trial. */
const cuttersOf = (r: TrialRow): number[] =>
  r.cutterItemId === null ? [r.firstId, r.secondId] : [r.cutterItemId];

/** What is built and has not cut yet says nothing of how long it lasts. */
const times = (lives: readonly TrialLifeRow[]) =>
  lives.filter((l) => l.minutes > 0).map((l) => lifeTime(l.minutes, l.ended));

/** Of which of the two each life of some trials is; null: of neither. */
async function sides(
  c: Connection,
  rows: readonly TrialRow[],
  lives: ReadonlyMap<number, TrialLifeRow[]>,
): Promise<(row: TrialRow, life: TrialLifeRow) => Side | null> {
  const livesOf = (tried: TrialRow['tried']) =>
    rows.flatMap((r) => (r.tried === tried ? (lives.get(r.id) ?? []) : []));
  const inHolders = livesOf('holder').map((l) => l.edgeSetId);
  const holders = new Map(
    (inHolders.length ? await manyHoldersOf(c, inHolders) : []).map((h) => [h.edgeSetId, h.holder]),
  );
  const [cut, uncut] = [
    livesOf('recipe').filter((l) => l.minutes > 0),
    livesOf('recipe').filter((l) => !l.minutes),
  ];
  const ranBy = cut.length ? await recipesOfLives(c, cut) : new Map<number, number>();
  const planned = group(
    uncut.length
      ? await manyRecipesPlanned(
          c,
          uncut.map((l) => l.edgeSetId),
        )
      : [],
    (p) => p.edgeSetId,
  );
  return (row, life) => {
    const is = (side: Side): boolean => {
      const id = side === 'first' ? row.firstId : row.secondId;
      if (row.tried === 'cutter') return life.itemId === id;
      if (row.tried === 'holder') return holders.get(life.edgeSetId) === row[side];
      if (life.minutes > 0) return ranBy.get(life.edgeSetId) === id;
      const of = planned.get(life.edgeSetId) ?? [];
      return of.length === 1 && of[0]?.recipeId === id;
    };
    return is('first') ? 'first' : is('second') ? 'second' : null;
  };
}

/** Of some trials those of which one of the two may no longer be used, each with why. */
async function noLongerUsed(c: Connection, rows: readonly TrialRow[]): Promise<Map<number, string>> {
  const ids = (is: (r: TrialRow) => boolean) => [
    ...new Set(rows.filter(is).flatMap((r) => [r.firstId, r.secondId])),
  ];
  const [recipeIds, itemIds] = [ids((r) => r.tried === 'recipe'), ids((r) => r.tried !== 'recipe')];
  const recipes = new Map(
    (recipeIds.length ? await manyRecipesById(c, recipeIds) : []).map((r) => [r.id, r]),
  );
  const standings = new Map(
    (itemIds.length ? await manyStandings(c, itemIds) : []).map((s) => [s.itemId, s.standing]),
  );
  const why = (r: TrialRow, id: number): string | null => {
    if (r.tried !== 'recipe') return standings.get(id) === 'rejected' ? 'is not to be used here' : null;
    const recipe = recipes.get(id);
    if (recipe?.replacedBy != null) return `was written anew as ${recipe.replacedBy}`;
    return recipe?.outcome === 'rejected' ? 'was rejected' : null;
  };
  return new Map(
    rows.flatMap((r) => {
      const of = (['first', 'second'] as const).flatMap((side) => {
        const words = why(r, side === 'first' ? r.firstId : r.secondId);
        return words === null ? [] : [`${r[side]} ${words}`];
      });
      return of.length ? [[r.id, `${of.join(', ')}: end ${r.number}`] as const] : [];
    }),
  );
}

/** Trials that some items were ever in, those that go on first, each with which of the two goes before the other; null: neither any more. */
async function turns(c: Connection, itemIds: readonly number[], material: string | null) {
  const rows = (await manyTrialsOf(c, itemIds)).filter(
    (r) => material === null || r.material === material.toUpperCase(),
  );
  const open = await judgedTrials(
    c,
    rows.filter((r) => r.endedEntryId === null),
  );
  const going = new Map(open.map((t) => [t.row.id, t]));
  return rows.flatMap((row) => {
    const trial = going.get(row.id);
    const said = trial
      ? { side: trial.next, words: trial.next === null ? trial.out : turnWords(row, trial.next) }
      : goesAfter(row, row.winner);
    return said && said.words !== null
      ? [{ row, open: trial !== undefined, side: said.side, words: said.words }]
      : [];
  });
}

/** Whose turn it is: what is taken before an item, and why. */
export interface Turn {
  /** What goes first; the item itself: it is its own turn. */
  itemId: number;
  /** It goes on; false: it is decided. */
  open: boolean;
  words: string;
}

/**
 * Of some cutters or holders those whose turn a trial says: while one goes on they are alternated; once it is decided, what lies of
 * a cutter that lost is used up first. `material`: of trials in that one alone; null: in any. Holders are tried with a cutter:
 * `cutterId`, and where it is null no trial says which goes.
 */
export async function turnsOf(
  c: Connection,
  itemIds: readonly number[],
  material: string | null = null,
  cutterId: number | null = null,
): Promise<Map<number, Turn>> {
  const said = new Map<number, Turn>();
  for (const { row, side, open, words } of await turns(c, itemIds, material)) {
    // Where one may no longer be used, its own standing says so where it is taken.
    if (side === null || row.tried === 'recipe' || (row.tried === 'holder' && row.cutterItemId !== cutterId))
      continue;
    const itemId = side === 'first' ? row.firstId : row.secondId;
    // What goes on says it before what was decided, and the latest before what was before it.
    for (const id of [row.firstId, row.secondId]) if (!said.has(id)) said.set(id, { itemId, open, words });
  }
  return said;
}

/** What a trial says of a T whose cutter tells it. */
export interface TurnAt {
  /** The trial. */
  number: string;
  words: string;
}

/** What trials that go on in a material say of the next edge of each of some cutters: which cutter, which holder, which recipe. */
export async function turnsAt(
  c: Connection,
  cutterIds: readonly number[],
  material: string,
): Promise<Map<number, TurnAt[]>> {
  if (!cutterIds.length) return new Map();
  const said = (await turns(c, cutterIds, material))
    .filter((t) => t.open)
    .flatMap(({ row, words }) => cuttersOf(row).map((id) => ({ id, turn: { number: row.number, words } })));
  return new Map([...group(said, (s) => s.id)].map(([id, of]) => [id, of.map((s) => s.turn)]));
}
