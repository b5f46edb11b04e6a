import { group } from 'd3';
import type { Recipe } from '@/core/cutting';
import type { RecipesHere } from '@/core/jobs';
import { manyRecipesById, manyRecipesOf } from '@/data/cutting';
import type { Connection } from '@/data/database';
import { recipeOf } from './recipeOf';

/** Recipes of very cutters that are read for one look at the work: far more than anybody keeps of what stands. */
const MOST = 2000;

/** The recipes that some tool lines name, by number, and those kept for cutters that stand, by material's code. */
export interface RecipesAround {
  named: ReadonlyMap<number, Recipe>;
  kept: ReadonlyMap<string, readonly Recipe[]>;
}

export async function recipesAround(
  c: Connection,
  named: readonly number[],
  assemblyIds: readonly number[],
  materialIds: readonly number[],
): Promise<RecipesAround> {
  const rows = named.length ? await manyRecipesById(c, [...new Set(named)]) : [];
  const kept = assemblyIds.length
    ? await manyRecipesOf(c, [...new Set(assemblyIds)], [...new Set(materialIds)], MOST)
    : [];
  return {
    named: new Map(rows.map((r) => [r.id, recipeOf(r)])),
    kept: group(kept.map(recipeOf), (r) => r.material),
  };
}

/** How cutters are run here: by the recipe that a T's planner named, else those kept in what is cut; null: there are none. */
export function recipesHere(
  around: RecipesAround,
  material: string,
  recipeId: number | null,
): RecipesHere | null {
  const named = recipeId === null ? null : (around.named.get(recipeId) ?? null);
  const recipes = named ? [] : (around.kept.get(material) ?? []);
  return named || recipes.length ? { material, named, recipes } : null;
}
