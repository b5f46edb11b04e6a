import type { Family } from '../cutters';
import { fromFeet, turnsFor } from './speeds';

/** What a recipe cuts, and the word a setup sheet has for it. */
export const CUTS = {
  roughing: 'roughs',
  finishing: 'finishes',
  slotting: 'slots',
  facing: 'faces',
  chamfering: 'chamfers',
  holes: 'makes holes',
  threads: 'cuts threads',
} as const;
export type CutKind = keyof typeof CUTS;

/** How a speed is stated, with its unit: at the edge, or as turns. */
export const SPEEDS = { Vc: 'm/min', 'Vc ft': 'ft/min', n: 'rev/min' } as const;
export type SpeedAs = keyof typeof SPEEDS;
/** How a feed is stated: what it is the way of. */
export const FEEDS = { tooth: 'a tooth', turn: 'a turn', minute: 'a minute' } as const;
export type FeedAs = keyof typeof FEEDS;
/** How chips and heat are taken away. */
export const COOLANTS = ['dry', 'air', 'mist', 'flood', 'through the cutter'] as const;
export type Coolant = (typeof COOLANTS)[number];

/** What came of it where it was run: proven, a good part was made with it; nobody has run it yet: not tried. */
export const OUTCOMES = ['tried', 'proven', 'rejected'] as const;
export type Outcome = (typeof OUTCOMES)[number];
export type RecipeState = Outcome | 'not tried';

/** A figure that is stated as one value (least = most), or from a least to a most. */
export interface Range {
  least: number;
  most: number;
}

/** How a cutter is run in a material: what is not stated is null, and never a zero. */
export interface Recipe {
  code: string;
  state: RecipeState;
  /** The very cutter; null: any of a family between two diameters. */
  item: string | null;
  family: Family | null;
  /** mm */
  diameters: Range | null;
  material: string;
  /** null: on any. */
  machine: string | null;
  cut: CutKind;
  speed: (Range & { as: SpeedAs }) | null;
  /** mm of way. */
  feed: (Range & { as: FeedAs }) | null;
  /** Depth along the axis, and width from the side, mm. */
  ap: number | null;
  ae: number | null;
  /** Steepest way down, degrees. */
  ramp: number | null;
  coolant: Coolant | null;
  /** Code of the one that was written instead of it; null: it is in force. */
  replacedBy: string | null;
}

/** A cutter as a recipe asks for it. */
export interface RunCutter {
  item: string;
  family: Family;
  /** mm */
  DC: number;
}

/** mm by which a diameter may lie beside a range and still be in it: rounding of a stated size (practice). */
const SAME_DIAMETER = 0.0005;

/**
 * What of a use a recipe was not made for, in words; empty: it is for it. Example: a recipe for C45 asked in 42CrMo4 ->
 * ['is for C45, this is 42CrMo4'].
 */
export function notFor(recipe: Recipe, cutter: RunCutter, material: string, machine: string): string[] {
  const { item, family, diameters } = recipe;
  const inRange =
    !diameters ||
    (cutter.DC >= diameters.least - SAME_DIAMETER && cutter.DC <= diameters.most + SAME_DIAMETER);
  const cuts =
    item !== null ? item === cutter.item : (family === null || family === cutter.family) && inRange;
  return [
    ...(cuts ? [] : [`is for ${item ?? familyWords(recipe)}, this is ${cutter.item}`]),
    ...(recipe.material === material ? [] : [`is for ${recipe.material}, this is ${material}`]),
    ...(recipe.machine === null || recipe.machine === machine
      ? []
      : [`is for ${recipe.machine}, this is ${machine}`]),
  ];
}

const familyWords = ({ family, diameters }: Pick<Recipe, 'family' | 'diameters'>): string =>
  diameters ? `${family} ${diameters.least} to ${diameters.most} mm` : String(family);

/** Which of some recipes are to be looked at first: proven, tried, not tried, rejected; the newest code first in each. */
export function byTrust<R extends Pick<Recipe, 'state' | 'code'>>(recipes: readonly R[]): R[] {
  const ORDER: RecipeState[] = ['proven', 'tried', 'not tried', 'rejected'];
  return recipes.toSorted(
    (a, b) =>
      ORDER.indexOf(a.state) - ORDER.indexOf(b.state) ||
      b.code.localeCompare(a.code, 'en', { numeric: true }),
  );
}

/** Rev/min that a recipe's speed comes to on a diameter that cuts; null: it states none. Example: Vc 120 on 10 mm -> 3819.7. */
export function turnsOf({ speed }: Pick<Recipe, 'speed'>, D: number): Range | null {
  if (!speed) return null;
  if (speed.as === 'n') return { least: speed.least, most: speed.most };
  const metres = (v: number) => (speed.as === 'Vc' ? v : fromFeet(v));
  return { least: turnsFor(metres(speed.least), D), most: turnsFor(metres(speed.most), D) };
}

/**
 * A feed of a program in a recipe's own measure, mm: a tooth, a turn or a minute. null: the spindle stands, or nobody
 * knows how many teeth. Example: 955 mm/min at 4775 rev/min by 4 teeth, as tooth -> 0.05.
 */
export function feedAs(
  as: FeedAs,
  perTurn: number | null,
  n: number | null,
  teeth: number | null,
): number | null {
  if (perTurn === null) return null;
  if (as === 'turn') return perTurn;
  if (as === 'minute') return n === null ? null : perTurn * n;
  return teeth === null || teeth === 0 ? null : perTurn / teeth;
}
