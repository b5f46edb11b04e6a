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

/** What a recipe is begun from: texts by the names of its fields. */
export type RecipeStart = Partial<Record<FieldOf<'stateRecipe'>['name'], string>>;

/** Another instead of one in force begins with its figures, as they were typed. */
export function startOf(old: RecipeView): RecipeStart {
  const most = (least: number | undefined, m: number | undefined) =>
    m === undefined || m === least ? '' : String(m);
  return {
    ...{ item: old.item ?? '', family: old.family ?? '' },
    ...{ dcFrom: old.entered.least ?? '', dcTo: old.entered.most ?? '' },
    ...{ material: old.material, machine: old.machine ?? '', cut: old.cut, coolant: old.coolant ?? '' },
    ...{ speedAs: old.speed?.as ?? '', speed: old.speed ? String(old.speed.least) : '' },
    speedMost: most(old.speed?.least, old.speed?.most),
    ...{ feedAs: old.feed?.as ?? '', feed: old.entered.feedLeast ?? '' },
    feedMost: old.entered.feedMost === old.entered.feedLeast ? '' : (old.entered.feedMost ?? ''),
    ...{ ap: old.apEntered ?? '', ae: old.aeEntered ?? '' },
    ...{ ramp: old.ramp === null ? '' : String(old.ramp), words: old.words ?? '' },
  };
}

/** States how a cutter is run, or what is to be run instead of a recipe that is in force. */
export function StateRecipeTag({
  shop,
  instead: old,
  begun,
  closeHref,
  doneHref = (code) => linkTo('cutting', { open: code }),
}: {
  shop: ShopView;
  instead: RecipeView | null;
  /** What stands in its fields at first: a cut of the bench. */
  begun?: RecipeStart;
  closeHref: string;
  /** Where it goes on once it is stated. */
  doneHref?: (code: string) => string;
}) {
  const router = useRouter();
  const start = old ? startOf(old) : (begun ?? {});
  const fields: FieldOf<'stateRecipe'>[] = [
    {
      ...{ name: 'item', label: 'Cutter', kind: 'search', search: items, optional: true, wide: true },
      ...{ start: start.item, help: 'blank: any of a family, below' },
    },
    {
      ...{ name: 'family', label: 'Family', kind: 'choice', optional: true, wide: true },
      ...{ start: start.family, options: FAMILY_NAMES.map((f) => [f, familySpec(f).words] as const) },
    },
    { name: 'dcFrom', label: 'its DC from', kind: 'length', optional: true, start: start.dcFrom },
    { name: 'dcTo', label: 'to', kind: 'length', optional: true, start: start.dcTo },
    {
      ...{ name: 'material', label: 'Material', kind: 'choice', add: SET_UP.material },
      ...{ options: inUseOptions(shop.materials), start: start.material },
    },
    {
      ...{ name: 'machine', label: 'Machine', kind: 'choice', optional: true },
      ...{ options: inUseOptions(shop.machines), start: start.machine, help: 'blank: any' },
    },
    {
      ...{ name: 'cut', label: 'What it does', kind: 'choice', start: start.cut },
      options: namesOf(CUTS).map((c) => [c, CUTS[c]] as const),
    },
    {
      ...{ name: 'coolant', label: 'Coolant', kind: 'choice', optional: true, start: start.coolant },
      options: COOLANTS.map((c) => [c, c] as const),
    },
    {
      ...{ name: 'speedAs', label: 'Speed as', kind: 'choice', optional: true, wide: true },
      ...{ options: SPEED_OPTIONS, start: start.speedAs },
    },
    {
      ...{ name: 'speed', label: 'Speed', kind: 'number', optional: true },
      start: start.speed,
    },
    {
      ...{ name: 'speedMost', label: 'up to', kind: 'number', optional: true },
      start: start.speedMost,
    },
    {
      ...{ name: 'feedAs', label: 'Feed as the way', kind: 'choice', optional: true, wide: true },
      options: namesOf(FEEDS).map((f) => [f, FEEDS[f]] as const),
      start: start.feedAs,
    },
    {
      ...{ name: 'feed', label: 'Feed', kind: 'length', optional: true },
      start: start.feed,
    },
    {
      ...{ name: 'feedMost', label: 'up to', kind: 'length', optional: true },
      start: start.feedMost,
    },
    { name: 'ap', label: 'Depth ap', kind: 'length', optional: true, start: start.ap },
    { name: 'ae', label: 'Width ae', kind: 'length', optional: true, start: start.ae },
    {
      ...{ name: 'ramp', label: 'Ramp, degrees', kind: 'number', optional: true },
      start: start.ramp,
    },
    {
      ...{ name: 'words', label: 'What else counts', kind: 'lines', optional: true, wide: true },
      ...{ start: start.words, help: 'where the figures come from; what to look at' },
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
        onDone={(d) => router.push(doneHref(d.code), { scroll: false })}
      />
      <Caution>
        Figures from a chart are a place to begin. Prove them by a first cut with a hand at the feed override,
        as your shop’s rules say.
      </Caution>
    </Tag>
  );
}
