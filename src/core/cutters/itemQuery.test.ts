import { itemQuery, matchesItem } from './index';

const finds = (
  query: string,
  values: Record<string, number>,
  text = 'D8 drill carbide',
  unit: 'mm' | 'inch' = 'mm',
) => matchesItem(itemQuery(query, unit), text, new Map(Object.entries(values)));

describe('itemQuery', () => {
  it('reads words and ranges apart', () =>
    expect(itemQuery('Drill DC 6..8 carbide LCF>20', 'mm')).toEqual({
      words: ['drill', 'carbide'],
      ranges: [
        { symbol: 'DC', min: 6, max: 8, minOpen: false, maxOpen: false },
        { symbol: 'LCF', min: 20, max: Infinity, minOpen: true, maxOpen: false },
      ],
    }));
  it('takes units, fractions, small letters and spaces', () => {
    expect(itemQuery('dc = 1/4', 'mm').ranges).toMatchObject([{ symbol: 'DC', min: 6.35, max: 6.35 }]);
    expect(itemQuery('dc 0.25..0.5', 'inch').ranges).toMatchObject([{ min: 6.35, max: 12.7 }]);
    expect(itemQuery('oal <= 3in', 'mm').ranges).toMatchObject([{ symbol: 'OAL', max: 76.19999999999999 }]);
    expect(itemQuery('NOF=4 SIG>=118', 'inch').ranges).toMatchObject([
      { symbol: 'NOF', min: 4, max: 4 },
      { symbol: 'SIG', min: 118 },
    ]);
  });
  it('a range written the wrong way round is still that range', () =>
    expect(itemQuery('DC 8..6', 'mm').ranges).toMatchObject([{ min: 6, max: 8 }]));
  it('what is no range stays words: nothing typed is dropped', () => {
    expect(itemQuery('DC', 'mm')).toEqual({ words: ['dc'], ranges: [] });
    expect(itemQuery('DC 6', 'mm')).toEqual({ words: ['dc', '6'], ranges: [] });
    expect(itemQuery('DC>1..2.3', 'mm').ranges).toEqual([]);
    expect(itemQuery('XX 6..8', 'mm').words).toEqual(['xx', '6..8']);
    expect(itemQuery('ABC-DC>6', 'mm').ranges).toEqual([]);
    expect(itemQuery('', 'mm')).toEqual({ words: [], ranges: [] });
  });
});

describe('matchesItem: both sides of each limit', () => {
  it.each<[string, number, boolean]>([
    ['DC 6..8', 6, true],
    ['DC 6..8', 8, true],
    ['DC 6..8', 5.99, false],
    ['DC 6..8', 8.01, false],
    ['DC>6', 6, false],
    ['DC>6', 6.01, true],
    ['DC>=6', 6, true],
    ['DC<6', 6, false],
    ['DC<=6', 6, true],
    ['DC=1/4', 6.35, true],
    ['DC=1/4', 6.4, false],
  ])('%s has %d: %s', (query, DC, found) => expect(finds(query, { DC })).toBe(found));
  it('an unknown fact lies in no range', () => expect(finds('LCF<100', { DC: 8 })).toBe(false));
  it('all words and all ranges must hold', () => {
    expect(finds('drill DC 6..8', { DC: 8 })).toBe(true);
    expect(finds('reamer DC 6..8', { DC: 8 })).toBe(false);
    expect(finds('drill DC 6..8 LCF>50', { DC: 8, LCF: 43 })).toBe(false);
  });
});
