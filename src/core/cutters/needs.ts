import { FAMILIES, factsOf, type Family, type ItemKind } from './families';
import type { FactSymbol } from './symbols';

/** A result and the facts of an item it needs: without one of them it is not had, or rests on a rule of thumb. */
export interface Need {
  result: string;
  facts: readonly FactSymbol[];
}

/** What the drawing to scale needs beyond DC and DMM, where it is more than the flute length. */
const DRAWN: Partial<Record<Family, readonly FactSymbol[]>> = {
  'corner-radius': ['LCF', 'RE'],
  roughing: ['LCF', 'RE'],
  router: ['LCF', 'RE'],
  tapered: ['LCF', 'RE', 'TAPER'],
  'high-feed': ['DCX', 'APMX'],
  face: ['LCF', 'RE'],
  't-slot': ['CW', 'RE'],
  dovetail: ['KAPR', 'LCF'],
  chamfer: ['SIG', 'LCF'],
  countersink: ['SIG'],
  drill: ['SIG', 'LCF'],
  'spot-drill': ['SIG', 'LCF'],
};
/** Families whose floor depends on a corner that is to be known. */
const FLOORED: readonly Family[] = ['corner-radius', 'tapered', 'roughing', 'face', 'router'];

const OF_KIND: Record<Exclude<ItemKind, 'cutter' | 'body'>, readonly Need[]> = {
  insert: [
    { result: 'its shape, size and edges', facts: ['ISO1832'] },
    { result: 'grades kept apart in a body', facts: ['GRADE'] },
    { result: 'edges left and price per edge', facts: ['CEDC', 'EDGES'] },
  ],
  holder: [
    { result: 'gauge length', facts: ['LF'] },
    { result: 'which machines it goes into', facts: ['CCMS'] },
    { result: 'whether a shank fits', facts: ['CLAMP_MIN', 'CLAMP_MAX'] },
    { result: 'whether a form of shank holds', facts: ['SHANKS'] },
    { result: 'whether enough is gripped', facts: ['GRIP_MIN'] },
    { result: 'whether a shank goes that deep', facts: ['DEPTH_MAX'] },
    { result: 'rpm it stands', facts: ['RPM_MAX'] },
  ],
  collet: [
    { result: 'which holder it goes into', facts: ['COLLET'] },
    { result: 'whether a shank fits', facts: ['CLAMP_MIN', 'CLAMP_MAX'] },
  ],
  extension: [
    { result: 'how far it reaches', facts: ['LPR'] },
    { result: 'whether a shank fits', facts: ['CLAMP_MIN', 'CLAMP_MAX'] },
  ],
  'pull-stud': [{ result: 'which holder it goes into', facts: ['CCMS'] }],
  spare: [{ result: 'what it fits', facts: ['FITS'] }],
};

/**
 * What is computed of an item of a kind and family, each with the facts it needs. Example: a drill's outline needs
 * DC, DMM, SIG and LCF; a reamer's limits TCHA.
 */
export function needsOf(kind: ItemKind, family: Family | null): readonly Need[] {
  if (kind !== 'cutter' && kind !== 'body') return OF_KIND[kind];
  const f = family!;
  const own = new Set(factsOf(kind, family));
  const needs: Need[] = [
    { result: 'outline', facts: ['DC', 'DMM', ...(DRAWN[f] ?? (['LCF'] as const))] },
    { result: 'whether the shank fits', facts: ['DMM'] },
    { result: 'whether the holder holds its form', facts: ['SHANK'] },
    { result: 'whether enough is gripped', facts: ['OAL'] },
    { result: 'whether flutes are gripped', facts: ['LCF'] },
    { result: 'how deep it reaches', facts: ['LCF'] },
    ...(FLOORED.includes(f)
      ? [
          {
            result: 'stepover and ridge',
            facts: ['RE', ...(f === 'tapered' ? (['TAPER'] as const) : [])],
          } as Need,
        ]
      : []),
    ...(FAMILIES[f].mills ? [{ result: 'plunging and ramp limit', facts: ['CCC', 'RMPX'] } as Need] : []),
    { result: 'flutes for the material', facts: [kind === 'body' ? 'CICT' : 'NOF'] },
    { result: 'hole and finer holes left', facts: f === 'reamer' ? ['TCHA', 'DCM'] : [] },
    { result: 'hole before the thread', facts: f === 'tap' ? ['TDZ', 'TAPPING'] : [] },
    { result: 'teeth that fit the thread', facts: f === 'thread-mill' ? ['TP'] : [] },
    { result: 'which inserts it takes', facts: ['MIID'] },
    { result: 'rungs of its second life', facts: ['COATING', 'SUBSTRATE'] },
    { result: 'whether it stands a regrind', facts: ['REGRINDS', 'DC_MIN'] },
  ];
  return needs
    .map((n) => ({ ...n, facts: n.facts.filter((s) => own.has(s)) }))
    .filter((n) => n.facts.length > 0);
}

/** Results that need a fact. Example: neededFor('cutter', 'drill', 'OAL') -> ['whether enough is gripped']. */
export const neededFor = (kind: ItemKind, family: Family | null, symbol: string): string[] =>
  needsOf(kind, family)
    .filter((n) => (n.facts as readonly string[]).includes(symbol))
    .map((n) => n.result);
