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
