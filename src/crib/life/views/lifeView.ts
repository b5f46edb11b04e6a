import { familySpec } from '@/core/cutters';
import {
  type Consumption,
  ENDINGS,
  type Exponent,
  fitWeibull,
  type LifeExpectation,
  type LivesSurveyed,
  type Measure,
  measureOf,
  type Median,
  medianLife,
  type NextLife,
  surveyLives,
  type WhenToChange,
  whenToChange,
} from '@/core/life';
import { type CribItem, loadItems } from '@/crib/catalogue';
import { maybeItem } from '@/data/catalogue';
import {
  type CutterLives,
  type EdgeCost,
  edgeCosts,
  keptFor,
  type LifeBook,
  livesOfCutters,
  livesTold,
  livesWithMost,
  loadLifeBook,
  readKnownHere,
} from '@/crib/lives';
import type { Connection } from '@/data/database';
import { manyCuttersIn, manyTrials } from '@/data/life';
import { manyMaterials, maybeMaterial } from '@/data/shop';
import type { ChangeAsked } from '../changeAsked';
import { costsHere, type CostsHere } from '../costsHere';
import { type Beside, besideView, type HolderApart, holdersApart } from './besideView';
import { type Counted, countedIn, withoutCurve } from './countedView';
import { regroundView, type Reground } from './regroundView';
import { type ByHolder, type ByRecipe, livesByHolder, livesByRecipe } from './kindsView';
import { type BySpeed, speedView } from './speedView';
import { type ForetoldYear, foretoldYear } from './foretoldYear';
import { type LifeApart, livesApart } from './livesApart';
import { type LifeRecord, record } from './record';
import { type TrialLine, trialsView } from './trialsView';

/** One cutter in one material: how many lives, how they ended, what they say. */
export interface LifeLine {
  item: Pick<CribItem, 'id' | 'code' | 'words'>;
  material: { id: number; code: string; name: string };
  /** How many lives there are; the latest `reckoned` of them say the rest. */
  lives: number;
  reckoned: number;
  median: Median;
  /** When to change. */
  expectation: LifeExpectation | null;
  /** What to buy by. */
  consumption: Consumption | null;
  endings: Record<string, number>;
}
/** The same with its survival curve and its lives, the latest begun first. */
export interface LifeSheet extends LifeLine, LivesSurveyed {
  records: LifeRecord[];
  /** What the next fresh edge set will do; null: cannot say. */
  next: Omit<NextLife, 'survival' | 'by'> | null;
  /** What a change and a failure of it cost here. */
  costs: CostsHere;
  /** When to change it by the costs that were asked with, or else by what they are here; null: they are not known, or no Weibull law can be said. */
  change: WhenToChange | null;
  /** The speed that was asked of, rev/min, where its lives were taken there for it; null: as they were cut. */
  changeAt: { rpm: number; lives: number; by: Exponent; noLaw: string | null } | null;
  /** What a fresh edge set of it costs. */
  edge: EdgeCost;
  /** Other cutters in this material, those with the most lives first. */
  others: { code: string; lives: number }[];
  /** What lives of its family are counted in, and the same lives counted so or as was asked for; null: in minutes, or not known. */
  measure: Measure;
  counted: Counted | null;
  /** Those that were ground again beside fresh ones; null: none of them has cut this material since. */
  reground: Reground | null;
  /** By cutting speed; null: they were all cut at one. */
  bySpeed: BySpeed | null;
  /** By recipe, and by the kind of holder; null: they were all of one, or of none. */
  byRecipe: ByRecipe | null;
  byHolder: ByHolder | null;
  /** The one it is held beside; null: none was asked for, or it has no lives in this material. */
  beside: Beside | null;
}

export interface LifeView {
  lines: LifeLine[];
  /** Where the next page goes on, '12-3' (item and material); null at the end. */
  next: string | null;
  /** The latest lives that are shown apart and not fitted, each with why. */
  apart: LifeApart[];
  /** Lives begun in the last twelve months beside what was foretold of them; null on a further page, and where none was. */
  foretold: ForetoldYear | null;
  /** The latest trials; empty on a further page. */
  trials: TrialLine[];
  /** Each holder beside all others; empty on a further page. */
  holders: HolderApart[];
}

// The same lives say the same, until one of them is another one.
const surveyed = keptFor(surveyLives);
const PAGE = 25;
const OTHERS_SHOWN = 12;
const TRIALS_SHOWN = 12;

/** A page of lives per cutter and material, most lives first. */
export async function lifeView(
  c: Connection,
  today: string,
  zone: string,
  after: string | null = null,
): Promise<LifeView> {
  const rows = await livesWithMost(c, PAGE + 1, placeOf(after));
  const shown = rows.slice(0, PAGE);
  const ids = [...new Set(shown.map((r) => r.itemId))];
  const items = new Map((await loadItems(c, ids)).map((i) => [i.id, i]));
  const materials = new Map((await manyMaterials(c)).map((m) => [m.id, m]));
  const known = await readKnownHere(c);
  const book = await loadLifeBook(c, ids, [], known);
  const last = shown.at(-1);
  return {
    lines: shown.flatMap((row) => {
      const item = items.get(row.itemId);
      const material = materials.get(row.materialId);
      return item && material ? [lineOf(row, item, material, book)] : [];
    }),
    next: rows.length > PAGE && last ? `${last.itemId}-${last.materialId}` : null,
    apart: after === null ? await livesApart(c, known, materials) : [],
    trials: after === null ? await trialsView(c, await manyTrials(c, TRIALS_SHOWN)) : [],
    holders: after === null ? await holdersApart(c) : [],
    foretold: after === null ? await foretoldYear(c, today, zone) : null,
  };
}

function placeOf(after: string | null): { itemId: number; materialId: number } | null {
  if (after === null) return null;
  const parts = /^(\d{1,9})-(\d{1,9})$/.exec(after);
  return { itemId: Number(parts?.[1] ?? 0), materialId: Number(parts?.[2] ?? 0) };
}

function lineOf(
  row: CutterLives,
  item: CribItem,
  material: { id: number; code: string; name: string },
  book: LifeBook,
): LifeLine {
  const endings: Record<string, number> = {};
  for (const ended of row.ended) {
    const words = ended ? ENDINGS[ended].words : 'still running';
    endings[words] = (endings[words] ?? 0) + 1;
  }
  return {
    item: { id: item.id, code: item.code, words: item.words },
    material: { id: material.id, code: material.code, name: material.name },
    lives: row.all,
    reckoned: row.times.length,
    median: medianLife(row.times),
    expectation: book.expectation(row.itemId, row.materialId, null),
    consumption: book.consumption(row.itemId, row.materialId, null),
    endings,
  };
}

/** One cutter in one material with its curve and its lives, counted as its family is unless it is asked otherwise; null where it cut none. */
export async function lifeSheet(
  c: Connection,
  itemCode: string,
  materialCode: string,
  {
    change: asked = null,
    beside = null,
    in: counted,
    rpm,
  }: { change?: ChangeAsked | null; beside?: string | null; in?: Measure; rpm?: number } = {},
): Promise<LifeSheet | null> {
  const item = await maybeItem(c, itemCode);
  const material = await maybeMaterial(c, materialCode);
  if (!item || !material) return null;
  const row = (await livesOfCutters(c, [item.id])).find((l) => l.materialId === material.id);
  const [loaded] = await loadItems(c, [item.id]);
  if (!row || !loaded) return null;
  const book = await loadLifeBook(c, [item.id]);
  const { times } = row;
  const survey = surveyed(times);
  const next = book.next(item.id, material.id, null);
  const lives = await livesTold(c, row);
  const own = measureOf(loaded.family && familySpec(loaded.family));
  const measure = counted ?? own;
  const edge = (await edgeCosts(c, [loaded])).get(item.id) ?? { cents: null, of: 'a new one' };
  const costs = await costsHere(c, edge.cents);
  const by = asked?.costs ?? costs.costs?.value ?? null;
  // When it pays on a T goes by the speed that T runs at.
  const at = rpm ? book.takenTo(item.id, material.id, rpm) : null;
  const fitted = at ? fitWeibull(at.lives) : survey.weibull;
  const law = typeof fitted === 'string' ? null : fitted;
  return {
    ...lineOf(row, loaded, material, book),
    ...survey,
    costs,
    change: by && law ? whenToChange(law, by, asked?.partMinutes ?? null) : null,
    changeAt:
      at && rpm
        ? { rpm, lives: at.lives.length, by: at.by, noLaw: typeof fitted === 'string' ? fitted : null }
        : null,
    edge,
    others: (await manyCuttersIn(c, material.id, OTHERS_SHOWN + 1))
      .filter((o) => o.itemId !== item.id)
      .slice(0, OTHERS_SHOWN)
      .map(({ code, lives }) => ({ code, lives })),
    reground: await regroundView(c, item, material.id, times, edge),
    bySpeed: speedView(loaded, material.id, lives, book, edge.cents, costs),
    byRecipe: await livesByRecipe(c, loaded, lives, edge, costs),
    byHolder: await livesByHolder(c, lives, edge),
    beside: beside === null ? null : await besideView(c, loaded, material.id, beside),
    next: next && withoutCurve(next),
    counted: measure === 'minutes' ? null : countedIn(lives, measure),
    measure: own,
    records: lives.map(record),
  };
}
