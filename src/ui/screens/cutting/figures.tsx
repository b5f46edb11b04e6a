import { familySpec } from '@/core/cutters';
import { FEEDS, type RecipeState, SPEEDS } from '@/core/cutting';
import type { RecipeLine } from '@/crib/cutting';
import { useLengths } from '@/ui/shell';

/** The shapes of what came of a recipe, since colour comes third. */
const SHAPES: Record<RecipeState, string> = {
  proven: '●',
  tried: '◐',
  'not tried': '○',
  rejected: '✕',
};
export const StateMark = ({ state }: { state: RecipeState }) => (
  <span>
    <span aria-hidden="true">{SHAPES[state]}</span> {state}
  </span>
);

/** The figures of a recipe in the words of the shop; null: it does not state it. */
export function useFigures() {
  const { entered, unitWord } = useLengths();
  const between = (least: string, most: string) => (least === most ? least : `${least}–${most}`);
  return {
    cutter: (r: RecipeLine): string =>
      r.item ??
      `${r.family ? familySpec(r.family).words : ''} ${between(entered(r.entered.least, r.diameters?.least ?? null, 2), entered(r.entered.most, r.diameters?.most ?? null, 2))}`,
    speed: (r: RecipeLine): [figure: string, unit: string] | null =>
      r.speed && [
        between(String(r.speed.least), String(r.speed.most)),
        `${SPEEDS[r.speed.as]}${r.speed.as === 'n' ? '' : ' Vc'}`,
      ],
    feed: (r: RecipeLine): [figure: string, unit: string] | null =>
      r.feed && [
        between(
          entered(r.entered.feedLeast, r.feed.least, r.feed.as === 'minute' ? 0 : 4),
          entered(r.entered.feedMost, r.feed.most, r.feed.as === 'minute' ? 0 : 4),
        ),
        `${unitWord} ${FEEDS[r.feed.as]}`,
      ],
    ap: (r: RecipeLine) => (r.ap === null ? null : entered(r.apEntered, r.ap, 2)),
    ae: (r: RecipeLine) => (r.ae === null ? null : entered(r.aeEntered, r.ae, 2)),
    unitWord,
  };
}
