import type { FactSymbol } from './symbols';
export { SUBSTRATES } from './symbols';
export type { Substrate } from './symbols';

/** The shape of a cutter's end. */
type Tip = 'flat' | 'ball' | 'cone' | 'shallow arc';

interface FamilySpec {
  words: string;
  tip: Tip;
  /** What a gauge length is measured to. */
  lengthTo: string;
  /** What DC says. */
  diameterAt: string;
  /** Facts beyond those every cutter has. */
  facts: readonly FactSymbol[];
  /** Cuts walls or floors sideways. */
  mills: boolean;
}

/** Cutter families in the trade's words. Each states its reference points for length and diameter. */
export const FAMILIES = {
  square: {
    words: 'square end mill',
    tip: 'flat',
    lengthTo: 'tip',
    diameterAt: 'over the flutes',
    facts: ['LCF', 'NOF', 'DN', 'LU', 'RMPX'],
    mills: true,
  },
  'corner-radius': {
    words: 'corner-radius end mill',
    tip: 'flat',
    lengthTo: 'tip',
    diameterAt: 'over the flutes, above the radius',
    facts: ['RE', 'LCF', 'NOF', 'DN', 'LU', 'RMPX'],
    mills: true,
  },
  ball: {
    words: 'ball end mill',
    tip: 'ball',
    lengthTo: 'ball tip; the centre is DC/2 above',
    diameterAt: 'twice the ball radius',
    facts: ['LCF', 'NOF', 'DN', 'LU'],
    mills: true,
  },
  tapered: {
    words: 'tapered end mill',
    tip: 'flat',
    lengthTo: 'tip',
    diameterAt: 'at the tip, where the flanks meet the end',
    facts: ['TAPER', 'RE', 'LCF', 'NOF', 'DN', 'LU'],
    mills: true,
  },
  roughing: {
    words: 'roughing end mill',
    tip: 'flat',
    lengthTo: 'tip',
    diameterAt: 'over the crests',
    facts: ['RE', 'LCF', 'NOF', 'DN', 'LU', 'RMPX'],
    mills: true,
  },
  'high-feed': {
    words: 'high-feed mill',
    tip: 'shallow arc',
    lengthTo: 'lowest point of the edge',
    diameterAt: 'flat under the edges; DCX is the widest',
    facts: ['DCX', 'RE', 'APMX', 'LCF', 'NOF', 'DN', 'LU', 'RMPX'],
    mills: true,
  },
  face: {
    words: 'face mill',
    tip: 'flat',
    lengthTo: 'lowest edge',
    diameterAt: 'at the lowest edge; DCX is the widest',
    facts: ['DCX', 'KAPR', 'RE', 'APMX', 'LCF', 'NOF', 'RMPX'],
    mills: true,
  },
  't-slot': {
    words: 'slot or T-slot cutter',
    tip: 'flat',
    lengthTo: 'lower face',
    diameterAt: 'over the teeth',
    facts: ['CW', 'RE', 'NOF', 'DN', 'LU'],
    mills: true,
  },
  dovetail: {
    words: 'dovetail cutter',
    tip: 'flat',
    lengthTo: 'lower face',
    diameterAt: 'at the lower face, the widest',
    facts: ['KAPR', 'LCF', 'NOF', 'DN', 'LU'],
    mills: true,
  },
  chamfer: {
    words: 'chamfer mill',
    tip: 'cone',
    lengthTo: 'chamfer tip',
    diameterAt: 'the widest; DCN at the tip',
    facts: ['SIG', 'DCN', 'LCF', 'NOF'],
    mills: false,
  },
  countersink: {
    words: 'countersink',
    tip: 'cone',
    lengthTo: 'tip, sharp or flat',
    diameterAt: 'the widest; DCN at the tip',
    facts: ['SIG', 'DCN', 'NOF'],
    mills: false,
  },
  'thread-mill': {
    words: 'thread mill',
    tip: 'flat',
    lengthTo: 'lower end of the teeth',
    diameterAt: 'over the crests',
    facts: ['TP', 'LCF', 'NOF', 'DN', 'LU'],
    mills: false,
  },
  drill: {
    words: 'drill',
    tip: 'cone',
    lengthTo: 'drill tip; the corners are the point above',
    diameterAt: 'across the corners',
    facts: ['SIG', 'LCF', 'LU', 'NOF', 'TCHA'],
    mills: false,
  },
  'spot-drill': {
    words: 'spot drill',
    tip: 'cone',
    lengthTo: 'drill tip',
    diameterAt: 'across the corners',
    facts: ['SIG', 'LCF', 'NOF'],
    mills: false,
  },
  reamer: {
    words: 'reamer',
    tip: 'flat',
    lengthTo: 'lead-in end',
    diameterAt: 'behind the lead-in; the nominal hole',
    facts: ['TCHA', 'DCM', 'LCF', 'NOF', 'HAND'],
    mills: false,
  },
  tap: {
    words: 'tap',
    tip: 'flat',
    lengthTo: 'chamfer end',
    diameterAt: 'major diameter of the thread',
    facts: ['TDZ', 'TP', 'TCTR', 'TAPPING', 'THCHT', 'LCF', 'NOF', 'DN', 'LU'],
    mills: false,
  },
  router: {
    words: 'router bit',
    tip: 'flat',
    lengthTo: 'tip',
    diameterAt: 'over the edges',
    facts: ['RE', 'LCF', 'NOF'],
    mills: true,
  },
} as const satisfies Record<string, FamilySpec>;

export type Family = keyof typeof FAMILIES;
export const FAMILY_NAMES = Object.keys(FAMILIES) as Family[];
export const familySpec = (family: Family): FamilySpec => FAMILIES[family];

/** Families an indexable body comes in. */
export const BODY_FAMILIES = [
  'face',
  'high-feed',
  'square',
  'corner-radius',
  'ball',
  'chamfer',
  'drill',
] as const;

/** What one can buy and count. Cutters and bodies have a family; the others a form of their own. */
export const KINDS = {
  cutter: { words: 'cutter', plural: 'cutters' },
  body: { words: 'cutter body', plural: 'cutter bodies' },
  insert: { words: 'insert', plural: 'inserts' },
  holder: { words: 'holder', plural: 'holders' },
  collet: { words: 'collet', plural: 'collets' },
  extension: { words: 'extension', plural: 'extensions' },
  'pull-stud': { words: 'pull stud', plural: 'pull studs' },
  spare: { words: 'spare', plural: 'spares' },
} as const;
export type ItemKind = keyof typeof KINDS;
export const ITEM_KINDS = Object.keys(KINDS) as ItemKind[];

const CENTRE: readonly FactSymbol[] = ['CCC', 'APMX'];
const SHANKED: readonly FactSymbol[] = ['DMM', 'OAL', 'SHANK', 'TCDMM', 'CSP'];
const SOLID: readonly FactSymbol[] = ['SUBSTRATE', 'COATING', 'REGRINDS', 'DC_MIN'];
const OF_KIND: Record<Exclude<ItemKind, 'cutter' | 'body'>, readonly FactSymbol[]> = {
  insert: ['ISO1832', 'GRADE', 'IC', 'S', 'RE', 'APMX', 'CEDC', 'EDGES', 'SUBSTRATE', 'COATING', 'HAND'],
  holder: [
    'CCMS',
    'LF',
    'CLAMPING',
    'SHANKS',
    'COLLET',
    'CLAMP_MIN',
    'CLAMP_MAX',
    'GRIP_MIN',
    'DEPTH_MAX',
    'RPM_MAX',
    'CSP',
    'TORQUE',
  ],
  collet: ['COLLET', 'CLAMP_MIN', 'CLAMP_MAX', 'GRIP_MIN', 'CSP'],
  extension: ['CCMS', 'LPR', 'DMM', 'COLLET', 'CLAMP_MIN', 'CLAMP_MAX', 'GRIP_MIN', 'DEPTH_MAX', 'RPM_MAX'],
  'pull-stud': ['CCMS', 'TORQUE', 'CSP'],
  spare: ['FITS', 'TORQUE'],
};

/** The facts an item of this kind and family has, in the order its form asks for them. */
export function factsOf(kind: ItemKind, family: Family | null): readonly FactSymbol[] {
  return [...new Set(inOrder(kind, family))];
}
function inOrder(kind: ItemKind, family: Family | null): readonly FactSymbol[] {
  if (kind !== 'cutter' && kind !== 'body') return OF_KIND[kind];
  const own = family === null ? [] : FAMILIES[family].facts;
  return kind === 'body'
    ? ['DC', ...own.filter((s) => s !== 'NOF'), 'CICT', 'MIID', ...SHANKED, 'RPM_MAX']
    : [
        ...(family === 'tap' ? [] : (['DC'] as const)),
        ...own,
        'DC',
        ...(FAMILIES[family!].mills ? CENTRE : []),
        ...SHANKED,
        ...SOLID,
      ];
}

/** The one fact without which an item of a kind is nothing. */
export const FIRST_FACT: Partial<Record<ItemKind, FactSymbol>> = { cutter: 'DC', body: 'DC', holder: 'LF' };

/** Where a fact came from. A result that leans on a guess says so. */
export const ORIGINS = ['measured', 'maker', 'similar', 'guess'] as const;
export type Origin = (typeof ORIGINS)[number];
export const ORIGIN_WORDS: Record<Origin, string> = {
  measured: 'measured here',
  maker: "maker's figure",
  similar: 'copied from a similar one',
  guess: 'guess',
};
