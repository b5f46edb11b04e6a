import { ALLOY_NAMES, BOTTOMS, CUT_FIELD_NAMES, FEATURE_NAMES, GROUPS } from '../choosing';
import { ITEM_KINDS } from '../cutters';
import { ENDING_NAMES, MEASURE_NAMES } from '../life';
import { isOne } from '../names';
import { byName } from '../units';
import type { QuestionSpec } from './question';

const bothWays = <const S extends string>(names: readonly S[]): readonly (S | `-${S}`)[] => [
  ...names,
  ...names.map((n): `-${S}` => `-${n}`),
];
/** The orders the catalogue and the stock come in. */
export const CATALOGUE_ORDERS = ['code', 'dc', 'unused'] as const;
export const STOCK_ORDERS = ['item', 'place', 'quantity'] as const;

/** The order that is asked for, and whether it is turned; the first one where none is. Example: '-dc' -> dc, turned. */
export function orderAsked<S extends string>(
  orders: readonly [S, ...S[]],
  asked: string | undefined,
): { sort: S; descending: boolean } {
  const name = asked?.replace(/^-/, '');
  return { sort: isOne(orders, name) ? name : orders[0], descending: asked?.startsWith('-') ?? false };
}

const UNITS = ['mm', 'inch'] as const;

/** The catalogue, a page at a time: after or before a code. A minus turns the order. */
export const CATALOGUE = {
  q: 'words',
  kind: ITEM_KINDS,
  place: 'code',
  sort: bothWays(CATALOGUE_ORDERS),
  after: 'code',
  before: 'code',
  unit: UNITS,
  limit: 'number',
} as const satisfies QuestionSpec;

/** Where things may be looked for, in a word. */
export const LIES = [
  'crib',
  'lent',
  'machine',
  'regrind',
  'quarantine',
  'builds',
  'scrap',
  'lost',
  'anywhere',
] as const;

/** All that lies somewhere: after or before a line. Owner: ours, theirs (any supplier's until used), or a supplier. */
export const STOCK = {
  ...CATALOGUE,
  sort: bothWays(STOCK_ORDERS),
  after: 'number',
  before: 'number',
  lies: LIES,
  owner: 'code',
} as const satisfies QuestionSpec;

/** What moved, newest first, before a movement. */
export const MOVEMENTS = {
  item: 'code',
  piece: 'code',
  place: 'code',
  who: 'code',
  before: 'number',
} as const satisfies QuestionSpec;

/**
 * What can be taken for a build: words, ranges or a mark; an item whose stock comes first. Parts: what goes onto a holder
 * and the parts that are on it already (`onto`, their codes as a JSON list from the spindle down) and takes the shank of a
 * cutter (`shank`) comes first; holders are tried with a cutter, and `shank` says which; `material`: in which it is to cut, for whose
 * turn it is in a trial.
 */
export const TAKEABLE = {
  what: ['cutter', 'holder', 'part'],
  q: 'words',
  like: 'code',
  material: 'code',
  onto: 'words',
  shank: 'code',
} as const satisfies QuestionSpec;

/** Recipes: of a material, of a very cutter; after one of them. */
export const RECIPES = { material: 'code', item: 'code', after: 'number' } as const satisfies QuestionSpec;
/** A cut that is tried: a cutter, and a recipe to begin from. */
export const BENCH = { item: 'code', recipe: 'code' } as const satisfies QuestionSpec;
export const A_RECIPE = { code: 'code' } as const satisfies QuestionSpec;

/** What broke, before one of them. */
export const BREAKAGES = { before: 'number' } as const satisfies QuestionSpec;
/** At the machine: how it is said to have ended, and on which T. */
export const AN_END = { how: ENDING_NAMES, operation: 'number', t: 'number' } as const satisfies QuestionSpec;
export const A_BREAKAGE = { ending: 'number' } as const satisfies QuestionSpec;
/** What is held, before one of them. */
export const HELD = { before: 'number' } as const satisfies QuestionSpec;
export const A_HOLD = { number: 'code' } as const satisfies QuestionSpec;
/** The way back from a part to what cut it. */
export const A_TRACE = { job: 'code', op: 'number', part: 'number' } as const satisfies QuestionSpec;
/** What has a mark of its own, after one of them; one of them. */
export const HOLDERS = { after: 'number' } as const satisfies QuestionSpec;
export const A_HOLDER = { mark: 'code' } as const satisfies QuestionSpec;
/** How far long work has come: the form id that was sent with it. */
export const PROGRESS = { of: 'code' } as const satisfies QuestionSpec;
export const NOTHING = {} as const satisfies QuestionSpec;
export const AN_ITEM = { code: 'code' } as const satisfies QuestionSpec;
export const A_PLACE = { code: 'code' } as const satisfies QuestionSpec;
export const A_COUNT = { number: 'code' } as const satisfies QuestionSpec;
/** What hangs on the rack: of the open jobs of a machine and in its pockets, by words, by taper. */
export const RACK = { find: 'words', machine: 'code', taper: 'words' } as const satisfies QuestionSpec;
export const AN_ASSEMBLY = { tag: 'code' } as const satisfies QuestionSpec;
/**
 * Labels to print: of some tags with a comma between, of a job, or of all that stands; with the registers of some machines;
 * one a page, or on A4 after so many of the sheet that are used.
 */
export const LABELS = {
  tags: 'words',
  job: 'code',
  machines: 'words',
  as: ['one', 'sheet'],
  used: 'number',
} as const satisfies QuestionSpec;
export const A_SHEET = { code: 'code' } as const satisfies QuestionSpec;
/** A job; of several operations one by its number, else the first that is open. */
export const A_JOB = { number: 'code', op: 'number' } as const satisfies QuestionSpec;
/** What a machine is to be given: for all of its open jobs, or one; what changed since it was last given them, or all. */
export const REGISTERS = {
  machine: 'code',
  job: 'code',
  what: ['changed', 'all'],
} as const satisfies QuestionSpec;
/** A machine's magazine. */
export const POCKETS = { machine: 'code' } as const satisfies QuestionSpec;
export const A_MACHINE = { machine: 'code' } as const satisfies QuestionSpec;
export const A_RUN = { operation: 'number' } as const satisfies QuestionSpec;
/** Chances that every edge of a run lasts that nobody watches. */
export const ALONE_CHANCES = ['0.9', '0.95', '0.99'] as const;
export const A_RUN_ALONE = {
  operation: 'number',
  parts: 'number',
  chance: ALONE_CHANCES,
} as const satisfies QuestionSpec;
/**
 * A cutter in a material; what a planned change and a failure cost, and minutes of a part, for when to change it; another
 * cutter to hold it beside; what its lives are counted in, where that is not what its family is counted in.
 */
export const A_LIFE = {
  item: 'code',
  material: 'code',
  beside: 'code',
  in: MEASURE_NAMES,
  planned: 'words',
  failed: 'words',
  part: 'words',
  rpm: 'number',
} as const satisfies QuestionSpec;
/** A page that goes on after a row. */
export const AFTER_ROW = { after: 'number' } as const satisfies QuestionSpec;
export const LIVES = { after: 'words' } as const satisfies QuestionSpec;
export const ENTRIES = { before: 'number' } as const satisfies QuestionSpec;
/** A cut as it is described: what each field may be is judged with the cut. */
export const A_CUT = {
  ...byName(CUT_FIELD_NAMES, () => 'code' as const),
  feature: FEATURE_NAMES,
  group: GROUPS,
  alloy: ALLOY_NAMES,
  bottom: BOTTOMS,
  plunge: ['yes', 'no'],
} as const satisfies QuestionSpec;
