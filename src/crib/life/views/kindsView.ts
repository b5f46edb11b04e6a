import type { Range, Recipe } from '@/core/cutting';
import { removalOf } from '@/core/cutting';
import { costOfWay, type KindOfLives, type Likely, livesByKind } from '@/core/life';
import type { CribItem } from '@/crib/catalogue';
import { recipeOf } from '@/crib/cutting';
import { type EdgeCost, edgeRate, type EdgeRate, lifeTime, recipesOfLives } from '@/crib/lives';
import { manyRecipesById } from '@/data/cutting';
import type { Connection } from '@/data/database';
import { type LifeRow, manyHoldersOf } from '@/data/life';
import type { CostsHere } from '../costsHere';

/** Lives of a cutter in a material that were cut by one recipe, beside those by its others. */
export interface RecipeKind extends KindOfLives {
  recipe: Recipe;
  /** mm³/min that it takes off; null: it does not state all that is needed. */
  removal: Range | null;
  /** Cents a litre of chips, by machine, changes and edges; null: not all of it is known. */
  litre: Likely | null;
}

/** Lives of a cutter in a material by recipe. */
export interface ByRecipe {
  kinds: RecipeKind[];
  apart: number;
}

/** Lives of a cutter in a material by the kind of holder they stood in all along. */
export interface ByHolder {
  kinds: (KindOfLives & { rate: EdgeRate })[];
  apart: number;
}

/** null: fewer than two recipes have lives. What an edge costs and what a minute is say which costs less a litre. */
export async function livesByRecipe(
  c: Connection,
  item: CribItem,
  lives: readonly LifeRow[],
  edge: EdgeCost,
  { said }: CostsHere,
): Promise<ByRecipe | null> {
  const ranBy = await recipesOfLives(c, lives);
  const rows = await manyRecipesById(c, [...new Set(ranBy.values())]);
  const recipes = new Map(rows.map((r) => [r.id, recipeOf(r)]));
  const byCode = new Map([...recipes.values()].map((r) => [r.code, r]));
  const { kinds, apart } = livesByKind(
    lives.map((l) => ({
      by: recipes.get(ranBy.get(l.edgeSetId) ?? -1)?.code ?? null,
      life: lifeTime(l.minutes, l.ended),
    })),
  );
  const of = kinds.flatMap((kind): RecipeKind[] => {
    const recipe = byCode.get(kind.by);
    return recipe ? [{ ...kind, recipe, ...litreBy(recipe, item, kind.mean, edge, said) }] : [];
  });
  return of.length ? { kinds: of, apart } : null;
}

/** What a cutter takes off by a recipe, and what a litre of chips costs then; each null: not all that is needed is known. */
export function litreBy(
  recipe: Recipe,
  item: CribItem,
  mean: Likely | null,
  edge: EdgeCost,
  said: CostsHere['said'],
): { removal: Range | null; litre: Likely | null } {
  // A body's teeth are its seats: the shape knows them as it knows those of a solid one.
  const removal = item.cutter && removalOf(recipe, { DC: item.cutter.DC, teeth: item.cutter.NOF });
  const minute = said && edge.cents !== null ? { ...said, edgeCents: edge.cents } : null;
  return { removal, litre: litreOf(mean, removal, minute) };
}

/** From the fastest with the longest mean life to the slowest with the shortest. */
function litreOf(
  mean: Likely | null,
  removal: Range | null,
  costs: { edgeCents: number; minuteCents: number; changeMinutes: number } | null,
): Likely | null {
  if (!mean || !removal || !costs) return null;
  const at = (lifeMinutes: number, mm3: number) =>
    costOfWay(
      { edge: costs.edgeCents, lifeMinutes, partMinutes: 1, changeMinutes: costs.changeMinutes, once: 0 },
      costs.minuteCents,
      mm3 / 1000,
    ).litre ?? 0;
  return {
    value: at(mean.value, (removal.least + removal.most) / 2),
    from: at(mean.to, removal.most),
    to: at(mean.from, removal.least),
  };
}

/** null: they stood in fewer than two kinds of holders. */
export async function livesByHolder(
  c: Connection,
  lives: readonly LifeRow[],
  edge: EdgeCost,
): Promise<ByHolder | null> {
  const holders = new Map(
    (
      await manyHoldersOf(
        c,
        lives.map((l) => l.edgeSetId),
      )
    ).map((h) => [h.edgeSetId, h.holder]),
  );
  const { kinds, apart } = livesByKind(
    lives.map((l) => ({ by: holders.get(l.edgeSetId) ?? null, life: lifeTime(l.minutes, l.ended) })),
  );
  return kinds.length ? { kinds: kinds.map((k) => ({ ...k, rate: edgeRate(edge, k.mean) })), apart } : null;
}
