import {
  BODY_FAMILIES,
  cutterOutline,
  factsOf,
  familySpec,
  FAMILY_NAMES,
  flatStepover,
  geometry,
  ITEM_KINDS,
  millsFloor,
  neededFor,
  needsOf,
  reach,
  ridgeHeight,
  type CutterSymbol,
  type FactSymbol,
  type Family,
} from './index';

/** What a function says of a cutter with these figures, and with one of them left out. */
const figures: Partial<Record<CutterSymbol, number>> = {
  DMM: 10,
  LCF: 20,
  OAL: 80,
  RE: 1,
  SIG: 118,
  NOF: 4,
  TAPER: 3,
  KAPR: 60,
  DCX: 12,
  CW: 3,
  APMX: 1,
};
/** Figures only some families are drawn or judged by: with a neck, others would be other cutters. */
const special: Partial<Record<CutterSymbol, number>> = { DN: 8, LU: 30, PRFRAD: 30, SDL: 30, STA: 90 };
const cutter = (family: Family, without?: string) => {
  const { drawnFrom, reach: own } = familySpec(family);
  const asked = [...drawnFrom, ...(own?.needs ?? [])];
  return geometry(family, {
    DC: 10,
    ...Object.fromEntries(
      [
        ...Object.entries(figures),
        ...Object.entries(special).filter(([s]) => asked.includes(s as FactSymbol)),
      ].filter(([symbol]) => symbol !== without),
    ),
  });
};
const needed = (family: Family, result: string) =>
  needsOf('cutter', family).find((n) => n.result === result)?.facts ?? [];

// Held against the functions themselves: what they can't answer without is what is said to be needed.
describe.each(FAMILY_NAMES)('what is needed for results of a %s', (family) => {
  it('outline: each fact whose absence the drawing names, and no other', () => {
    const all = new Set(cutterOutline(geometry(family, { DC: 10 }), 60).assumed.map((a) => a.symbol));
    expect([...needed(family, 'outline')].sort()).toEqual([...all, 'DC'].sort());
    expect(cutterOutline(cutter(family), 60).assumed).toEqual([]);
  });
  it('reach and floor', () => {
    for (const symbol of factsOf('cutter', family)) {
      const reached = reach(cutter(family, symbol)) === null;
      if (reached) expect(neededFor('cutter', family, symbol)).toContain('how deep it reaches');
      if (!millsFloor(cutter(family)) || symbol === 'DC') continue;
      const flat = flatStepover(cutter(family, symbol)) === null;
      const ridge = ridgeHeight(cutter(family, symbol), 9) === null;
      expect(neededFor('cutter', family, symbol).includes('stepover and ridge')).toBe(flat || ridge);
    }
  });
  it('names its own facts alone', () => {
    const own = factsOf('cutter', family);
    for (const need of needsOf('cutter', family))
      for (const symbol of need.facts) expect(own).toContain(symbol);
  });
});

it('every kind knows what it is needed for, and asks for it', () => {
  for (const kind of ITEM_KINDS) {
    const family = kind === 'cutter' ? 'drill' : kind === 'body' ? BODY_FAMILIES[0]! : null;
    const needs = needsOf(kind, family);
    expect(needs.length).toBeGreaterThan(0);
    for (const n of needs) for (const s of n.facts) expect(factsOf(kind, family)).toContain(s);
  }
  expect(neededFor('cutter', 'reamer', 'TCHA')).toEqual(['hole and finer holes left']);
  expect(neededFor('cutter', 'tap', 'TAPPING')).toEqual(['hole before the thread']);
  expect(neededFor('holder', null, 'GRIP_MIN')).toEqual(['whether enough is gripped']);
  expect(neededFor('cutter', 'square', 'TCDMM')).toEqual([]);
});
