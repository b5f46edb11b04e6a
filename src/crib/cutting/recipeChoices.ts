import { group } from 'd3';
import { byTrust, CUTS, feedWords, type Recipe, speedWords } from '@/core/cutting';
import type { Connection } from '@/data/database';
import { manyRecipesIn, manyRecipesOfItems } from '@/data/cutting';
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

const cutterOf = (r: Recipe) => r.item ?? `${r.family} ${r.diameters?.least} to ${r.diameters?.most}`;
const wordsOf = (r: Recipe): string => figuresOf(`${r.state}: ${cutterOf(r)} ${CUTS[r.cut]}`, r);
const figuresOf = (first: string, r: Recipe): string =>
  [first, speedWords(r), feedWords(r, String, 'mm')].filter((w) => w !== null).join(', ');

/** Recipes shown beside each cutter that is chosen from. */
const BESIDE = 3;

/** How some cutters are run in materials of a group (null: in any), the most trusted first, by the code of the cutter; none that was rejected. */
export async function recipesBeside(
  c: Connection,
  items: readonly string[],
  isoGroup: string | null,
): Promise<Record<string, { code: string; words: string }[]>> {
  const kept = (await manyRecipesOfItems(c, items, isoGroup, MOST))
    .map(recipeOf)
    .filter((r) => r.state !== 'rejected');
  return Object.fromEntries(
    [...group(kept, (r) => r.item ?? '')].map(([item, recipes]) => [
      item,
      byTrust(recipes)
        .slice(0, BESIDE)
        .map((r) => ({ code: r.code, words: figuresOf(`${r.state} in ${r.material}`, r) })),
    ]),
  );
}
