import type { Likely } from '@/core/life';
import { loadItems } from '@/crib/catalogue';
import { recipeOf } from '@/crib/cutting';
import { judgedTrials, type Trial } from '@/crib/lives';
import { manyRecipesById } from '@/data/cutting';
import type { Connection } from '@/data/database';
import type { TrialRow } from '@/data/life';
import { costsHere } from '../costsHere';
import { litreBy } from './kindsView';

/** A trial as the Life screen shows it. */
export interface TrialLine extends Trial {
  /**
   * Of a trial of recipes, what a litre of chips costs by each, cents: minutes alone say nothing of recipes that take off more in a
   * minute. null: another trial; of one of them null: not all that is needed is known.
   */
  litres: { first: Likely | null; second: Likely | null } | null;
}

export async function trialsView(c: Connection, rows: readonly TrialRow[]): Promise<TrialLine[]> {
  const trials = await judgedTrials(c, rows);
  const ofRecipes = rows.filter((r) => r.tried === 'recipe');
  if (!ofRecipes.length) return trials.map((t) => ({ ...t, litres: null }));
  const items = new Map(
    (await loadItems(c, [...new Set(ofRecipes.flatMap((r) => r.cutterItemId ?? []))])).map((i) => [i.id, i]),
  );
  const ids = [...new Set(ofRecipes.flatMap((r) => [r.firstId, r.secondId]))];
  const recipes = new Map((await manyRecipesById(c, ids)).map((r) => [r.id, recipeOf(r)]));
  const { said } = await costsHere(c, null);
  return trials.map((t) => {
    const { row, means, rates } = t;
    const item = items.get(row.cutterItemId ?? -1);
    if (row.tried !== 'recipe' || !item) return { ...t, litres: null };
    const litre = (side: 'first' | 'second') => {
      const recipe = recipes.get(side === 'first' ? row.firstId : row.secondId);
      return recipe ? litreBy(recipe, item, means[side], rates[side].edge, said).litre : null;
    };
    return { ...t, litres: { first: litre('first'), second: litre('second') } };
  });
}
