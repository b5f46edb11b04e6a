import { isOne } from '../names';
import { sure } from '../sure';
import { familySpec, type Family, type Need } from './families';
import { factsOf, type ItemKind } from './kinds';

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
  const spec = familySpec(sure(family, 'the family of what cuts'));
  const own = new Set(factsOf(kind, family));
  const needs: Need[] = [
    { result: 'outline', facts: ['DC', 'DMM', ...spec.drawnFrom] },
    { result: 'whether the shank fits', facts: ['DMM'] },
    { result: 'whether the holder holds its form', facts: ['SHANK'] },
    { result: 'whether enough is gripped', facts: ['OAL'] },
    { result: 'whether flutes are gripped', facts: spec.head?.needs ?? ['LCF'] },
    { result: 'how deep it reaches', facts: spec.reach?.needs ?? ['LCF'] },
    { result: 'stepover and ridge', facts: spec.floor?.needs ?? [] },
    { result: 'plunging and ramp limit', facts: spec.mills ? ['CCC', 'RMPX'] : [] },
    { result: 'flutes for the material', facts: [kind === 'body' ? 'CICT' : 'NOF'] },
    ...(spec.needs ?? []),
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
    .filter((n) => isOne(n.facts, symbol))
    .map((n) => n.result);
