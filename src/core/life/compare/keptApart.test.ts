import { keptApart, type LifeIn, logRank } from '../index';

const inHolder = (by: string, alike: string, ...minutes: number[]): LifeIn[] =>
  minutes.map((m) => ({ by, alike, life: { minutes: Math.abs(m), failed: m > 0 } }));

describe('holders whose cutters die young', () => {
  const young = [
    ...inHolder('SL10', 'EM10 C45', 8, 9, 10, 11, 12, 13, 14),
    ...inHolder('ER20', 'EM10 C45', 30, 31, 33, 36, 40, 44, -50),
  ];
  it('is called out, with the test of the two alone where there are two', () => {
    const [first, second] = keptApart(young);
    const alone = logRank(
      young.filter((l) => l.by === 'SL10').map((l) => l.life),
      young.filter((l) => l.by === 'ER20').map((l) => l.life),
    );
    expect(first).toMatchObject({ by: 'SL10', lives: 7, failed: 7, diesYoung: true });
    expect(first!.expected).toBeCloseTo(alone.expected[0], 12);
    // Holm (1979): the least of two chances counts twice.
    expect(first!.p).toBeCloseTo(2 * alone.p!, 12);
    // The other lasts longer than to be expected: that is nothing to be called out.
    expect(second).toMatchObject({ by: 'ER20', diesYoung: false });
  });
  it('is not blamed for the hard work: each cutter and material is compared within itself', () => {
    const hard = [
      ...inHolder('SL10', 'EM10 C45', 30, 34, 38, 42),
      ...inHolder('ER20', 'EM10 C45', 31, 33, 39, 41),
      ...inHolder('SL10', 'EM4 X5', 2, 3, 4, 5, 6, 7, 8),
      ...inHolder('ER20', 'EM4 X5', 2.5, 6.5),
    ];
    expect(keptApart(hard).filter((k) => k.diesYoung)).toEqual([]);
  });
  it('says nothing of one that shares no cutter with another, nor where nothing failed', () => {
    expect(keptApart([])).toEqual([]);
    expect(keptApart(inHolder('SL10', 'EM10 C45', 5, 6))).toEqual([]);
    expect(keptApart([...inHolder('A', 'k', -5, -6), ...inHolder('B', 'k', -7)])).toEqual([]);
  });
  it('asks more the more holders are asked about', () => {
    const many = Array.from({ length: 12 }, (_, i) => inHolder(`H${i}`, 'k', 20 + i, 30 - i, 40 + i)).flat();
    const [first] = keptApart([...young.map((l) => ({ ...l, alike: 'k2' })), ...many]);
    expect(first!.p).toBeGreaterThan(keptApart(young)[0]!.p);
  });
});
