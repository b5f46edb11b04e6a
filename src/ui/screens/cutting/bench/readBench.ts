import { ORIGIN_WORDS } from '@/core/cutters';
import { type CutAsked, type Recipe, STARTING_MATERIALS, startingOf, turnsOf } from '@/core/cutting';
import { isOne, namesOf } from '@/core/names';
import { type LengthUnit, parseLength, parseNumber } from '@/core/units';
import type { BenchView } from '@/crib/cutting';
import type { ShopView } from '@/crib/shop';
import type { RecipeStart } from '../StateRecipeTag';

/** What is typed of one cut. */
export interface CutTexts {
  speedAs: 'Vc' | 'n';
  speed: string;
  feedAs: 'tooth' | 'minute';
  feed: string;
  ap: string;
  ae: string;
}
/** What two cuts have in common. */
export interface BenchTexts {
  material: string;
  machine: string;
  holderRpm: string;
  power: string;
  torque: string;
  stickout: string;
  tolerance: string;
  corner: string;
  bore: string;
  /** Degrees at which it goes down. */
  ramp: string;
  /** Thickest chip its edge stands. */
  chip: string;
  /** cm3 that are cut away of a part. */
  volume: string;
}
export const BLANK: CutTexts = { speedAs: 'Vc', speed: '', feedAs: 'tooth', feed: '', ap: '', ae: '' };
export const BLANK_BENCH: BenchTexts = {
  ...{ material: '', machine: '', holderRpm: '', power: '', torque: '' },
  ...{ stickout: '', tolerance: '', corner: '', bore: '', ramp: '', chip: '', volume: '' },
};

/** The cut that a recipe is, as it would be typed; a range by its middle. */
export function textsOf(recipe: Recipe, cutter: BenchView['cutter']): CutTexts {
  const mid = (range: { least: number; most: number } | null) =>
    range === null ? '' : String(Number(((range.least + range.most) / 2).toPrecision(4)));
  const { speed, feed } = recipe;
  const teeth = cutter?.shape.NOF ?? null;
  // A feed a turn is one a tooth only where the teeth are counted.
  const perTooth =
    feed?.as !== 'turn' ? feed : teeth ? { least: feed.least / teeth, most: feed.most / teeth } : null;
  const length = (mm: number | null) => (mm === null ? '' : `${mm} mm`);
  return {
    speedAs: speed?.as === 'Vc' ? 'Vc' : 'n',
    speed: speed?.as === 'Vc ft' ? mid(turnsOf(recipe, cutter?.shape.DC ?? 1)) : mid(speed),
    feedAs: feed?.as === 'minute' ? 'minute' : 'tooth',
    feed: perTooth ? `${mid(perTooth)} mm` : '',
    ...{ ap: length(recipe.ap), ae: length(recipe.ae) },
  };
}

/** How the shop's own materials are told from those that ship, in a choice. */
const OWN = 'own ';
/** The shop's materials that somebody stated the force of, as the choice has them. */
export const ownMaterials = (shop: ShopView) =>
  shop.materials.flatMap((m) =>
    m.kc11 === null ? [] : [[`${OWN}${m.code}`, `${m.code} ${m.name}`] as const],
  );
/** What a shop's code is in the choice: its own figures where they are stated, else what ships of that name; '': neither. */
export const chosenOf = (shop: ShopView, code: string): string =>
  shop.materials.some((m) => m.code === code && m.kc11 !== null) ? `${OWN}${code}` : (startingOf(code) ?? '');

function materialOf(shop: ShopView, chosen: string): CutAsked['material'] {
  const own = shop.materials.find((m) => `${OWN}${m.code}` === chosen);
  const one = (n: number) => ({ least: n, most: n });
  if (own && own.kc11 !== null && own.mc !== null)
    return {
      ...{ kc11: one(own.kc11), mc: one(own.mc), unit: own.unitPower === null ? null : one(own.unitPower) },
      source: own.origin === null ? null : `${own.code}, ${ORIGIN_WORDS[own.origin]}`,
    };
  return isOne(namesOf(STARTING_MATERIALS), chosen)
    ? { ...STARTING_MATERIALS[chosen], source: 'starting point, from memory' }
    : null;
}

/** A cut from what is typed; the names of what is missing or no figure, where it can't be reckoned yet. */
export function readCut(
  view: BenchView,
  shop: ShopView,
  bench: BenchTexts,
  cut: CutTexts,
  unit: LengthUnit,
): CutAsked | { missing: string[] } {
  const length = (text: string) => {
    const mm = parseLength(text, unit)?.mm ?? null;
    return mm !== null && mm > 0 ? mm : null;
  };
  const plain = (text: string) => {
    const n = parseNumber(text);
    return n !== null && n > 0 ? n : null;
  };
  const [speed, feed, ap, ae] = [plain(cut.speed), length(cut.feed), length(cut.ap), length(cut.ae)];
  const missing = [
    ...(view.cutter ? [] : ['a cutter']),
    ...(speed === null ? ['speed'] : []),
    ...(feed === null ? ['feed'] : []),
    ...(ap === null ? ['depth ap'] : []),
    ...(ae === null ? ['width ae'] : []),
  ];
  if (!view.cutter || speed === null || feed === null || ap === null || ae === null) return { missing };
  const machine = shop.machines.find((m) => m.code === bench.machine) ?? null;
  const { shape, details, rpmMax } = view.cutter;
  const [stickout, volume] = [length(bench.stickout), plain(bench.volume)];
  return {
    cutter: shape,
    speed: cut.speedAs === 'Vc' ? { vc: speed } : { n: speed },
    feed: cut.feedAs === 'tooth' ? { fz: feed } : { vf: feed },
    ...{ ap, ae },
    material: materialOf(shop, bench.material),
    limits: {
      rpm: [
        ...(machine ? [{ of: machine.code, limit: machine.rpmMax }] : []),
        { of: 'holder', limit: plain(bench.holderRpm) },
        ...(details.RPM_MAX === undefined ? [] : [{ of: 'cutter body', limit: rpmMax }]),
      ],
      hunts:
        machine && machine.huntsFrom !== null && machine.huntsTo !== null
          ? { from: machine.huntsFrom, to: machine.huntsTo }
          : null,
      feedMax: machine?.feedMaxMmMin ?? null,
      ...{ power: plain(bench.power), torque: plain(bench.torque), eta: null },
      thickestChip: length(bench.chip),
      gears: shop.spindles[bench.machine] ?? [],
    },
    build: stickout === null ? null : { details, stickout },
    ...{ tolerance: length(bench.tolerance), corner: length(bench.corner), bore: length(bench.bore) },
    volume: volume === null ? null : volume * 1000,
    ...{ ramp: plain(bench.ramp), centreCutting: view.cutter.centreCutting },
  };
}

/** A cut of the bench as a recipe is begun from it; what it cuts is the shop's own material, or still to be chosen. */
export const startFromBench = (
  shop: ShopView,
  item: string | null,
  bench: BenchTexts,
  cut: CutTexts,
): RecipeStart => ({
  item: item ?? '',
  material:
    bench.material === ''
      ? ''
      : (shop.materials.find((m) => chosenOf(shop, m.code) === bench.material)?.code ?? ''),
  ...{ machine: bench.machine, speedAs: cut.speedAs, speed: cut.speed },
  ...{ feedAs: cut.feedAs, feed: cut.feed, ap: cut.ap, ae: cut.ae, ramp: bench.ramp },
  words: 'Reckoned on the bench.',
});
