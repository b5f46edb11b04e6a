import { namesOf } from '../names';
import { familySpec, type Family } from './families';
import type { FactSymbol } from './symbols';

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
export const ITEM_KINDS = namesOf(KINDS);

const CENTRE: readonly FactSymbol[] = ['CCC', 'APMX'];
const SHANKED: readonly FactSymbol[] = ['DMM', 'OAL', 'SHANK', 'TCDMM', 'CSP'];
/** What a holder or an extension takes, and how. */
const HOLDS: readonly FactSymbol[] = [
  'CLAMPING',
  'SHANKS',
  'COLLET',
  'CLAMP_MIN',
  'CLAMP_MAX',
  'GRIP_MIN',
  'DEPTH_MAX',
  'RPM_MAX',
];
/** Of what is screwed in or sits on an arbor, beside its shank's: how far it stands out is its own, not set. */
const SEATED: readonly FactSymbol[] = ['CCMS', 'LPR', 'WT'];
const SOLID: readonly FactSymbol[] = ['SUBSTRATE', 'COATING', 'REGRINDS', 'DC_MIN'];
const OF_KIND: Record<Exclude<ItemKind, 'cutter' | 'body'>, readonly FactSymbol[]> = {
  insert: ['ISO1832', 'GRADE', 'IC', 'S', 'RE', 'APMX', 'CEDC', 'EDGES', 'SUBSTRATE', 'COATING', 'HAND'],
  holder: ['CCMS', 'LF', ...HOLDS, 'MOUNTS', 'CSP', 'TORQUE', 'CCWS', 'WT'],
  collet: ['COLLET', 'CLAMP_MIN', 'CLAMP_MAX', 'GRIP_MIN', 'CSP', 'DMM', 'OAL', 'WT'],
  extension: ['CCMS', 'LPR', 'DMM', ...HOLDS, 'MOUNTS', 'OAL', 'CSP', 'TORQUE', 'CCWS', 'WT'],
  'pull-stud': ['CCMS', 'TORQUE', 'CSP', 'WT'],
  spare: ['FITS', 'TORQUE', 'WT'],
};

/** The facts an item of this kind and family has, in the order its form asks for them. */
export function factsOf(kind: ItemKind, family: Family | null): readonly FactSymbol[] {
  return [...new Set(inOrder(kind, family))];
}
function inOrder(kind: ItemKind, family: Family | null): readonly FactSymbol[] {
  if (kind !== 'cutter' && kind !== 'body') return OF_KIND[kind];
  const spec = family === null ? null : familySpec(family);
  const own = spec?.facts ?? [];
  return kind === 'body'
    ? [
        'DC',
        ...own.filter((s) => s !== 'NOF'),
        'CICT',
        'MIID',
        ...SHANKED,
        'DCB',
        'MOUNT',
        ...SEATED,
        'RPM_MAX',
      ]
    : [
        ...(spec?.sizedBy ? [] : (['DC'] as const)),
        ...own,
        'DC',
        ...(spec?.mills ? CENTRE : []),
        ...SHANKED,
        ...SOLID,
        ...SEATED,
      ];
}

/** The one fact without which an item of a kind is nothing. */
export const FIRST_FACT: Partial<Record<ItemKind, FactSymbol>> = { cutter: 'DC', body: 'DC', holder: 'LF' };
/** The fact a form asks for first: what an item's size follows from. Example: a tap's thread, not its diameter. */
export const sizeFact = (kind: ItemKind, family: Family | null): FactSymbol | undefined =>
  (family === null ? undefined : familySpec(family).sizedBy) ?? FIRST_FACT[kind];

/** Where a fact came from. A result that leans on a guess says so. */
export const ORIGINS = ['measured', 'maker', 'similar', 'guess'] as const;
export type Origin = (typeof ORIGINS)[number];
export const ORIGIN_WORDS: Record<Origin, string> = {
  measured: 'measured here',
  maker: "maker's figure",
  similar: 'copied from a similar one',
  guess: 'guess',
};
