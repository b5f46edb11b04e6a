'use client';
import { useRouter } from 'next/navigation';
import { FAMILY_NAMES, familySpec } from '@/core/cutters';
import { COOLANTS, CUTS, FEEDS, SPEEDS } from '@/core/cutting';
import { linkTo } from '@/core/links';
import { namesOf } from '@/core/names';
import type { RecipeView } from '@/crib/cutting';
import type { ShopView } from '@/crib/shop';
import { type FieldOf, VerbForm } from '@/ui/kit/form';
import { Caution } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { items } from '@/ui/screens/common/found';
import { inUseOptions } from '@/ui/screens/common/options';
import { SET_UP } from '@/ui/screens/common/setUp';

const SPEED_OPTIONS = [
  ['Vc', 'Vc, m/min'],
  ['Vc ft', 'Vc, ft/min'],
  ['n', SPEEDS.n],
] as const;

/** States how a cutter is run, or what is to be run instead of a recipe that is in force. */
export function StateRecipeTag({
  shop,
  instead: old,
  closeHref,
}: {
  shop: ShopView;
  instead: RecipeView | null;
  closeHref: string;
}) {
  const router = useRouter();
  const most = (least: number | undefined, m: number | undefined) =>
    m === undefined || m === least ? '' : String(m);
  const fields: FieldOf<'stateRecipe'>[] = [
    {
      ...{ name: 'item', label: 'Cutter', kind: 'search', search: items, optional: true, wide: true },
      ...{ start: old?.item ?? '', help: 'blank: any of a family, below' },
    },
    {
      ...{ name: 'family', label: 'Family', kind: 'choice', optional: true, wide: true },
      ...{ start: old?.family ?? '', options: FAMILY_NAMES.map((f) => [f, familySpec(f).words] as const) },
    },
    { name: 'dcFrom', label: 'its DC from', kind: 'length', optional: true, start: old?.entered.least ?? '' },
    { name: 'dcTo', label: 'to', kind: 'length', optional: true, start: old?.entered.most ?? '' },
    {
      ...{ name: 'material', label: 'Material', kind: 'choice', add: SET_UP.material },
      ...{ options: inUseOptions(shop.materials), start: old?.material ?? '' },
    },
    {
      ...{ name: 'machine', label: 'Machine', kind: 'choice', optional: true },
      ...{ options: inUseOptions(shop.machines), start: old?.machine ?? '', help: 'blank: any' },
    },
    {
      ...{ name: 'cut', label: 'What it does', kind: 'choice', start: old?.cut ?? '' },
      options: namesOf(CUTS).map((c) => [c, CUTS[c]] as const),
    },
    {
      ...{ name: 'coolant', label: 'Coolant', kind: 'choice', optional: true, start: old?.coolant ?? '' },
      options: COOLANTS.map((c) => [c, c] as const),
    },
    {
      ...{ name: 'speedAs', label: 'Speed as', kind: 'choice', optional: true, wide: true },
      ...{ options: SPEED_OPTIONS, start: old?.speed?.as ?? '' },
    },
    {
      ...{ name: 'speed', label: 'Speed', kind: 'number', optional: true },
      start: old?.speed ? String(old.speed.least) : '',
    },
    {
      ...{ name: 'speedMost', label: 'up to', kind: 'number', optional: true },
      start: most(old?.speed?.least, old?.speed?.most),
    },
    {
      ...{ name: 'feedAs', label: 'Feed as the way', kind: 'choice', optional: true, wide: true },
      options: namesOf(FEEDS).map((f) => [f, FEEDS[f]] as const),
      start: old?.feed?.as ?? '',
    },
    {
      ...{ name: 'feed', label: 'Feed', kind: 'length', optional: true },
      start: old?.entered.feedLeast ?? '',
    },
    {
      ...{ name: 'feedMost', label: 'up to', kind: 'length', optional: true },
      start: old?.entered.feedMost === old?.entered.feedLeast ? '' : (old?.entered.feedMost ?? ''),
    },
    { name: 'ap', label: 'Depth ap', kind: 'length', optional: true, start: old?.apEntered ?? '' },
    { name: 'ae', label: 'Width ae', kind: 'length', optional: true, start: old?.aeEntered ?? '' },
    {
      ...{ name: 'ramp', label: 'Ramp, degrees', kind: 'number', optional: true },
      start: old?.ramp == null ? '' : String(old.ramp),
    },
    {
      ...{ name: 'words', label: 'What else counts', kind: 'lines', optional: true, wide: true },
      ...{ start: old?.words ?? '', help: 'where the figures come from; what to look at' },
    },
  ];
  return (
    <Tag
      over={old ? `Instead of ${old.code}` : 'How a cutter is run'}
      number={old ? 'another' : 'a recipe'}
      words={
        old
          ? 'The old one stays readable; what came of it does not pass on.'
          : 'What is not known stays blank.'
      }
      closeHref={closeHref}
    >
      <VerbForm
        verb="stateRecipe"
        fixed={old ? { instead: old.code } : {}}
        submit="State it"
        begin
        fields={fields}
        said={(d) => `recipe ${d.code} stated`}
        onDone={(d) => router.push(linkTo('cutting', { open: d.code }), { scroll: false })}
      />
      <Caution>
        Figures from a chart are a place to begin. Prove them by a first cut with a hand at the feed override,
        as your shop’s rules say.
      </Caution>
    </Tag>
  );
}
