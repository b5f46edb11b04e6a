import {
  againstRegrind,
  checkCollet,
  checkItem,
  factsOf,
  factsThatFollow,
  FAMILY_NAMES,
  geometry,
  ITEM_KINDS,
  isSymbol,
  missingFacts,
  pricePerEdge,
  rampLimit,
  rampLength,
  reach,
  readInsertCode,
  readTaper,
  regrindShare,
  regroundGeometry,
  sameTaper,
  SYMBOLS,
  effectiveDiameter,
  type KnownFact,
} from './index';

const fact = (symbol: string, value: number | string): KnownFact =>
  typeof value === 'number' ? { symbol, value, text: String(value) } : { symbol, value: null, text: value };

describe('facts a kind asks for', () => {
  it.each(ITEM_KINDS)('%s: known symbols, none twice', (kind) => {
    for (const family of kind === 'cutter' || kind === 'body' ? FAMILY_NAMES : [null]) {
      const asked = factsOf(kind, family);
      expect(asked.every(isSymbol)).toBe(true);
      expect(new Set(asked).size).toBe(asked.length);
    }
  });
  it('every symbol is asked for by some kind', () => {
    const asked = new Set(
      ITEM_KINDS.flatMap((k) =>
        (k === 'cutter' || k === 'body' ? FAMILY_NAMES : [null]).flatMap((f) => factsOf(k, f)),
      ),
    );
    expect(Object.keys(SYMBOLS).filter((s) => !asked.has(s as never))).toEqual([]);
  });
});

describe('readInsertCode (ISO 1832, from memory)', () => {
  // Sizes of catalogues everywhere: CNMG 12 is a 12.7 circle, TNMG 16 a 9.525, DCMT 11 a 9.525, RCMT a round of its own.
  it.each([
    [
      'CNMG 120408',
      { shape: 'rhomb of 80°', inscribed: 12.7, thickness: 4.76, radius: 0.8, edges: 4, clearance: 0 },
    ],
    ['CNMG120412-XY', { inscribed: 12.7, radius: 1.2, edges: 4 }],
    ['TNMG 160404', { shape: 'triangle', inscribed: 9.525, radius: 0.4, edges: 6 }],
    ['SNMM 190616', { shape: 'square', inscribed: 19.05, thickness: 6.35, radius: 1.6, edges: 4 }],
    [
      'DCMT 11T304',
      { shape: 'rhomb of 55°', inscribed: 9.525, thickness: 3.97, radius: 0.4, edges: 2, clearance: 7 },
    ],
    ['DNMG 150608', { inscribed: 12.7, edges: 4 }],
    ['VBMT 160404', { inscribed: 9.525, edges: 2, clearance: 5 }],
    ['WNMG 080408', { shape: 'trigon of 80°', inscribed: 12.7, edges: 6 }],
    ['CCMT 060204', { inscribed: 6.35, thickness: 2.38, edges: 2 }],
    ['RCMT 10T3M0', { shape: 'round', inscribed: 10, radius: 5, edges: null }],
    [
      'APKT 1604PDER',
      { shape: 'parallelogram of 85°', edge: 16, kapr: 90, radius: null, hand: 'right', clearance: 11 },
    ],
    ['SEKN 1203AFTN', { kapr: 45, hand: 'neutral', inscribed: 12.7, clearance: 20 }],
  ])('%s', (code, said) => expect(readInsertCode(code)).toMatchObject(said));
  it('an insert with clearance is not turned over, whatever its style', () =>
    expect(readInsertCode('CCGN 120408')!.edges).toBe(2));
  // An insert at 3 to 5 with four edges costs 0.75 to 1.25 an edge (plain arithmetic).
  it('price of an edge', () => {
    expect([pricePerEdge(300, 4), pricePerEdge(500, 4)]).toEqual([75, 125]);
    expect([pricePerEdge(null, 4), pricePerEdge(500, null), pricePerEdge(500, 0)]).toEqual([
      null,
      null,
      null,
    ]);
  });
});

describe('checkItem', () => {
  const insert = (...more: KnownFact[]) =>
    checkItem('insert', null, [fact('ISO1832', 'CNMG 120408'), ...more]);
  it('an insert’s figures agree with its code', () => {
    expect(insert(fact('RE', 0.8))).toEqual([]);
    expect(insert(fact('RE', 1.2))[0]).toMatchObject({ field: 'RE', limit: '0.8 by its code' });
    expect(insert(fact('CEDC', 4), fact('EDGES', 4))).toEqual([]);
    expect(insert(fact('CEDC', 4), fact('EDGES', 5))[0]?.field).toBe('EDGES');
    // A maker's own designation is no error: nothing follows from it.
    expect(checkItem('insert', null, [fact('ISO1832', 'R300-0828')])).toEqual([]);
  });
  it('a tap’s figures agree with its thread', () => {
    const tap = (...facts: KnownFact[]) => checkItem('cutter', 'tap', facts);
    expect(tap(fact('TDZ', 'M6'), fact('DC', 6), fact('TP', 1))).toEqual([]);
    expect(tap(fact('TDZ', 'M6'), fact('DC', 6), fact('TP', 0.75))[0]?.field).toBe('TP');
    expect(tap(fact('TDZ', 'M6'), fact('DC', 8))[0]?.field).toBe('DC');
  });
  it('a cutter without DC and a holder without LF are nothing', () => {
    expect(checkItem('cutter', 'square', [fact('LCF', 20)])[0]).toMatchObject({
      field: 'DC',
      limit: 'needed',
    });
    expect(checkItem('holder', null, [])[0]).toMatchObject({ field: 'LF' });
    expect(checkItem('spare', null, [])).toEqual([]);
  });
  it('a reamer’s class is one that is known', () => {
    expect(checkItem('cutter', 'reamer', [fact('DC', 8), fact('TCHA', 'H7')])).toEqual([]);
    expect(checkItem('cutter', 'reamer', [fact('DC', 8), fact('TCHA', 'Z9')])[0]?.field).toBe('TCHA');
  });
  it('what follows from a thread or a code is filled in, what was stated is kept', () => {
    expect(factsThatFollow('cutter', [fact('TDZ', 'M8x1')])).toEqual([
      { symbol: 'DC', mm: 8, text: '8', from: 'TDZ' },
      { symbol: 'TP', mm: 1, text: '1', from: 'TDZ' },
    ]);
    expect(
      factsThatFollow('insert', [fact('ISO1832', 'CNMG 120408'), fact('RE', 0.8)]).map((f) => f.symbol),
    ).toEqual(['IC', 'S', 'CEDC']);
    expect(factsThatFollow('spare', [fact('FITS', 'M6')])).toEqual([]);
  });
});

describe('tapers and collets', () => {
  it.each([
    ['ISO 7388-1 A40', 'ISO 7388-1', 44.45],
    ['ISO 7388-2 JD 50', 'ISO 7388-2', 69.85],
    ['ASME B5.50 40', 'ASME B5.50', 44.45],
    ['iso 297 30', 'ISO 297', 31.75],
    ['HSK-A63', 'ISO 12164', null],
    ['R8', 'R8', null],
  ])('%s (gauge diameters of ISO 297, from memory)', (text, standard, gauge) =>
    expect(readTaper(text)).toMatchObject({ standard, gauge }),
  );
  it.each(['HSK-G 63', 'a taper', 'BT41', 'HSK-A 64', 'ISO 297 35', ''])('%j is not read', (text) =>
    expect(readTaper(text)).toBeNull(),
  );
  it('forms of one size share a spindle; sizes, standards and forms of hollow taper don’t', () => {
    expect(sameTaper('ISO 7388-1 A40', 'ISO 7388-1 AD 40')).toBe(true);
    expect(sameTaper('ISO 7388-1 40', 'ISO 7388-2 40')).toBe(false);
    expect(sameTaper('HSK-A 63', 'HSK-A 50')).toBe(false);
    expect(sameTaper('40 taper', '40 Taper')).toBe(true);
    expect(sameTaper('40 taper', 'ISO 7388-1 40')).toBeNull();
    expect(sameTaper('40 taper', 'R8')).toBe(false);
    expect(sameTaper('40 taper', '50 taper')).toBe(false);
    expect(sameTaper('HSK 63', 'HSK-A 63')).toBeNull();
    expect(sameTaper('house spindle', 'R8')).toBeNull();
  });
  // Common usage: the flanges of one cone by what people call them.
  it.each([
    ['BT40', 'ISO 7388-2 40'],
    ['BT 50', 'ISO 7388-2 J50'],
    ['MAS BT40', 'BT40'],
    ['SK40', 'ISO 7388-1 A40'],
    ['CAT40', 'ASME B5.50 40'],
    ['CV-50', 'CAT 50'],
    ['NMTB 40', 'ISO 297 40'],
    ['HSK63A', 'HSK-A 63'],
    ['ISO 12164-1 HSK-A 100', 'HSK100A'],
    ['MT3', 'ISO 296 MK3'],
    ['PSC 63', 'ISO 26623-1 PSC63'],
  ])('%s and %s are one interface', (a, b) => expect(sameTaper(a, b)).toBe(true));
  it.each([
    ['BT40', 'CAT40'],
    ['BT40', 'SK40'],
    ['BT40', 'BT50'],
    ['CAT40', 'R8'],
    ['HSK63A', 'HSK63E'],
    ['MT3', 'MT4'],
    ['HSK63A', 'PSC 63'],
  ])('%s and %s are not', (a, b) => {
    expect(sameTaper(a, b)).toBe(false);
  });
  it('collets (ISO 15488, from memory): bore within the size, closing by a millimetre', () => {
    expect(checkCollet('32', 9, 10)).toEqual([]);
    expect(checkCollet('16', 11, 12)[0]?.field).toBe('CLAMP_MAX');
    expect(checkCollet('32', 8.9, 10)[0]?.words).toMatch(/millimetre/);
    expect(checkCollet('32', 10, 9)[0]?.field).toBe('CLAMP_MIN');
    expect(checkCollet('our own', 1, 30)).toEqual([]);
    // Other systems have figures too, and none of these limits.
    expect([checkCollet('R8', 3, 19), checkCollet('5C', 1.5, 28), checkCollet('TG100', 2, 26)]).toEqual([
      [],
      [],
      [],
    ]);
    expect(checkCollet('ER 16', 11, 12)[0]?.field).toBe('CLAMP_MAX');
  });
});

describe('what a cutter does', () => {
  it('reaches with its flutes, or with a neck thinner than it', () => {
    expect(reach(geometry('square', { DC: 6, LCF: 8 }))).toBe(8);
    expect(reach(geometry('square', { DC: 6, LCF: 8, DN: 5.8, LU: 24 }))).toBe(24);
    expect(reach(geometry('square', { DC: 6, LCF: 8, DN: 6, LU: 24 }))).toBe(8);
    expect(reach(geometry('square', { DC: 6 }))).toBeNull();
  });
  it('ramps by its limit alone; unknown is not guessed', () => {
    expect(rampLimit(geometry('square', { DC: 10, RMPX: 3 }), null).degrees).toBe(3);
    expect(rampLimit(geometry('square', { DC: 10 }), true).degrees).toBeNull();
    expect(rampLimit(geometry('drill', { DC: 10 }), null).words).toMatch(/no ramping/);
    expect(rampLength(2, 3)).toBeCloseTo(38.162, 3);
  });
  it('a tapered mill cuts wider the deeper it goes: DC 6, 5 degrees, 10 deep is 7.7498 (6 + 2 · 10 tan 5°)', () => {
    const c = geometry('tapered', { DC: 6, TAPER: 5, RE: 0 });
    expect(effectiveDiameter(c, 10)).toBeCloseTo(7.74977, 5);
    const ball = geometry('tapered', { DC: 6, TAPER: 5, RE: 3 });
    // Below the touching point it is a ball: 2 sqrt(0.5 · (6 − 0.5)).
    expect(effectiveDiameter(ball, 0.5)).toBeCloseTo(3.31662, 5);
    expect(effectiveDiameter(geometry('tapered', { DC: 6, RE: 3 }), 1)).toBeNull();
  });
  it('the diameter does not jump where ball and flank meet', () => {
    const ball = geometry('tapered', { DC: 6, TAPER: 5, RE: 3 });
    const touch = 3 * (1 - Math.sin((5 * Math.PI) / 180));
    expect(effectiveDiameter(ball, touch - 1e-9)).toBeCloseTo(effectiveDiameter(ball, touch + 1e-9)!, 6);
  });
});

describe('regrinding (common practice)', () => {
  const base = {
    cutter: geometry('drill', { DC: 10 }),
    regrinds: 0,
    limit: 3,
    dcMin: 9.5,
    dc: 10,
    costCents: 900,
    priceCents: 3000,
  };
  it('nothing against it within its limits', () => expect(againstRegrind(base)).toEqual([]));
  it.each([
    ['its count', { regrinds: 3 }, /3 times of at most 3/],
    ['its diameter', { dc: 9.5 }, /least is 9.5/],
    ['its cost, above 60 %', { costCents: 1801 }, /60 %/],
    ['a tap', { cutter: geometry('tap', { DC: 6 }) }, /thread gets smaller/],
  ])('against it: %s', (_, over, words) =>
    expect(againstRegrind({ ...base, ...over }).join()).toMatch(words),
  );
  it('60 % itself is still worth it; what is not known is not held against it', () => {
    expect(againstRegrind({ ...base, costCents: 1800 })).toEqual([]);
    expect(againstRegrind({ ...base, limit: null, dcMin: null, costCents: null })).toEqual([]);
    expect(regrindShare(900, null)).toBeNull();
  });
  it('what was measured on return counts from then on; what the flutes lost the cutter lost', () => {
    const ball = geometry('ball', { DC: 10, RE: 5, LCF: 20, OAL: 80 });
    expect(regroundGeometry(ball, { dc: 9.8, lcf: 18 })).toMatchObject({
      DC: 9.8,
      LCF: 18,
      RE: 4.9,
      OAL: 78,
    });
    expect(regroundGeometry(ball, null)).toBe(ball);
    expect(
      regroundGeometry(geometry('corner-radius', { DC: 10, RE: 1 }), { dc: 9.8, lcf: 18 }),
    ).toMatchObject({ RE: null, OAL: null });
  });
});

describe('missingFacts: the worst first', () => {
  const blocked = (
    item: string,
    symbol: string,
    state: 'not known' | 'guess',
    of: string,
    minutes: number,
    result = 'its outline',
  ) => ({ item, symbol, state, of, minutes, result });
  it('not known before guessed, then by the minutes that are booked on it', () =>
    expect(
      missingFacts([
        blocked('A', 'LCF', 'guess', 'A-1', 90),
        blocked('B', 'OAL', 'not known', 'A-2', 10),
        blocked('C', 'OAL', 'not known', 'A-3', 40),
      ]).map((f) => f.item),
    ).toEqual(['C', 'B', 'A']));
  it('one fact stands once with all it blocks; one assembly counts once; known nowhere beats a guess', () =>
    expect(
      missingFacts([
        blocked('A', 'LCF', 'guess', 'A-1', 40, 'reach'),
        blocked('A', 'LCF', 'not known', 'A-1', 40, 'its outline'),
        blocked('A', 'LCF', 'not known', 'A-2', 5, 'its outline'),
      ]),
    ).toEqual([
      {
        item: 'A',
        symbol: 'LCF',
        state: 'not known',
        results: ['reach', 'its outline'],
        of: ['A-1', 'A-2'],
        minutes: 45,
      },
    ]));
});
