import { group } from 'd3';
import type { Connection } from '@/data/database';
import { manyRecipesCutBy } from '@/data/life';

/** A life is by one recipe where it cut this part of its minutes by it. */
const MOST = 0.9;

/** The recipe that each of some lives was cut by, by its edge set; one that was cut by several, or by none, is left out. */
export async function recipesOfLives(
  c: Connection,
  lives: readonly { edgeSetId: number; minutes: number }[],
): Promise<Map<number, number>> {
  const cut = group(
    await manyRecipesCutBy(
      c,
      lives.map((l) => l.edgeSetId),
    ),
    (r) => r.edgeSetId,
  );
  return new Map(
    lives.flatMap((l) => {
      const main = cut.get(l.edgeSetId)?.find((r) => r.minutes >= MOST * l.minutes);
      return main ? [[l.edgeSetId, main.recipeId] as const] : [];
    }),
  );
}
