import { byTrust, CUTS, feedWords, type Recipe, speedWords } from '@/core/cutting';
import type { Connection } from '@/data/database';
import { manyRecipesIn } from '@/data/cutting';
import { recipeOf } from './recipeOf';

/** Recipes offered for a tool line: more than anybody reads in a list. */
const MOST = 200;

/** Recipes in a material that may be run on a machine, the most trusted first: what a tool line may be planned to run by. */
export async function recipeChoices(
  c: Connection,
  materialId: number,
  machine: string,
): Promise<{ code: string; words: string }[]> {
  const recipes = (await manyRecipesIn(c, materialId, MOST))
    .map(recipeOf)
    .filter((r) => r.state !== 'rejected' && (r.machine === null || r.machine === machine));
  return byTrust(recipes).map((r) => ({ code: r.code, words: wordsOf(r) }));
}

const wordsOf = (r: Recipe): string =>
  [
    `${r.state}: ${r.item ?? `${r.family} ${r.diameters?.least} to ${r.diameters?.most}`} ${CUTS[r.cut]}`,
    speedWords(r),
    feedWords(r, String, 'mm'),
  ]
    .filter((w) => w !== null)
    .join(', ');
