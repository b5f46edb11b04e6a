import { type Range, type Recipe, turnsOf } from './recipe';
import { tableFeed } from './speeds';

/**
 * What a recipe takes off, mm³/min, from its slowest to its fastest: Q = ap ae Vf, at the diameter that is given. null: it
 * states no depth, width or feed, or no speed where the feed is by the tooth or the turn, or nobody knows how many teeth.
 * Shop arithmetic. Example: D 10 with 4 teeth at 4775 rev/min, 0.05 a tooth, ap 10, ae 2 -> 19 100.
 */
export function removalOf(
  recipe: Pick<Recipe, 'speed' | 'feed' | 'ap' | 'ae'>,
  { DC, teeth }: { DC: number; teeth: number | null },
): Range | null {
  const { feed, ap, ae } = recipe;
  if (!feed || ap === null || ae === null) return null;
  const n = turnsOf(recipe, DC);
  const perTurn = feed.as === 'tooth' ? teeth : 1;
  const at = (turns: number | undefined, way: number): number | null =>
    feed.as === 'minute'
      ? way
      : turns === undefined || perTurn === null
        ? null
        : tableFeed(turns, perTurn, way);
  const [least, most] = [at(n?.least, feed.least), at(n?.most, feed.most)];
  return least === null || most === null ? null : { least: ap * ae * least, most: ap * ae * most };
}

/** A way that was fed, mm; null: not known; and the recipe it ran by; null: by none. */
export interface WayFed {
  mm: number | null;
  recipe: Pick<Recipe, 'ap' | 'ae'> | null;
}

/**
 * Chips that were cut at most, mm³: the way that was fed times the depth and width of its recipe; of a drill the way times its
 * section. At most, since what was fed through the air is in the way, and no pass is deeper than its recipe. null: not all of
 * it is known. Plain geometry. Example: 2 m at 4 deep and 7 wide -> 56 000; a hole of 10 mm fed 30 deep -> 2356.
 */
export function chipsAtMost(ways: readonly WayFed[], drill: { DC: number } | null): number | null {
  let all = 0;
  for (const { mm, recipe } of ways) {
    const section = drill
      ? (Math.PI / 4) * drill.DC ** 2
      : recipe && recipe.ap !== null && recipe.ae !== null
        ? recipe.ap * recipe.ae
        : null;
    if (mm === null || section === null) return null;
    all += mm * section;
  }
  return ways.length ? all : null;
}
