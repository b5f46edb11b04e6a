import type { Recipe } from '@/core/cutting';
import type { RECIPES } from '@/core/questions';
import type { Question } from '@/core/questions';
import { manyOutcomes, manyRecipes, maybeRecipe, type OutcomeRow, type RecipeRow } from '@/data/cutting';
import type { Connection } from '@/data/database';
import { recipeOf } from '../recipeOf';

/** Recipes on a page, and words on one that is open: more are asked for. */
const LINES = 100;
const WORDS = 50;

/** A recipe as lists show it: its figures, with lengths as they were entered. */
export interface RecipeLine extends Recipe {
  entered: { least: string | null; most: string | null; feedLeast: string | null; feedMost: string | null };
  apEntered: string | null;
  aeEntered: string | null;
  words: string | null;
  insteadOf: string | null;
  who: string;
  happenedAt: Date;
}
export interface RecipesView {
  lines: RecipeLine[];
  /** Goes on after this one; null: that was all. */
  after: number | null;
}
/** One recipe with what came of it, the latest first. */
export interface RecipeView extends RecipeLine {
  entryId: number;
  outcomes: OutcomeRow[];
}

const lineOf = (row: RecipeRow): RecipeLine => ({
  ...recipeOf(row),
  entered: {
    ...{ least: row.leastEntered, most: row.mostEntered },
    ...{ feedLeast: row.feedLeastEntered, feedMost: row.feedMostEntered },
  },
  ...{ apEntered: row.apEntered, aeEntered: row.aeEntered },
  ...{ words: row.words, insteadOf: row.insteadOf, who: row.who, happenedAt: row.happenedAt },
});

/** Recipes in force, the latest first: of a material and of a very cutter where they are asked for. */
export async function recipesView(
  c: Connection,
  { material, item, after }: Question<typeof RECIPES>,
): Promise<RecipesView> {
  const rows = await manyRecipes(
    c,
    { material: material ?? null, item: item ?? null, after: after ?? null },
    LINES + 1,
  );
  const shown = rows.slice(0, LINES);
  return { lines: shown.map(lineOf), after: rows.length > LINES ? (shown.at(-1)?.id ?? null) : null };
}

/** One recipe by its code, in force or not; null: there is none. */
export async function recipeView(c: Connection, code: string): Promise<RecipeView | null> {
  const row = await maybeRecipe(c, code);
  return row && { ...lineOf(row), entryId: row.entryId, outcomes: await manyOutcomes(c, row.id, WORDS) };
}
