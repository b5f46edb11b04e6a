import { changeCosts } from '../index';

const SAID = { minuteCents: 150, changeMinutes: 4, failureMinutes: 20, partCents: null };
const NONE = { minutes: null, parts: null };

describe('what a change and a failure cost (arithmetic by hand)', () => {
  it('edge and minutes; a failure the lost minutes besides', () => {
    expect(changeCosts(3000, SAID, NONE)?.value).toEqual({ planned: 36, failure: 66 });
  });
  it('a part is lost where nobody saw otherwise, and what it costs is left out where nobody said, and said so', () => {
    expect(changeCosts(3000, { ...SAID, partCents: 1200 }, NONE)?.value.failure).toBeCloseTo(78, 9);
    expect(changeCosts(3000, SAID, NONE)?.assumed).toEqual(['what a part costs']);
    expect(changeCosts(3000, { ...SAID, partCents: 1200 }, NONE)?.assumed).toEqual([]);
  });
  it('what was said counts as three failures: five of 44 min beside 20 are 35; five of no part beside one are 0.375', () => {
    const seen = { minutes: { failures: 5, mean: 44 }, parts: { failures: 5, mean: 0 } };
    // 36 + 1.50 x 35 + 12 x 0.375
    expect(changeCosts(3000, { ...SAID, partCents: 1200 }, seen)?.value.failure).toBeCloseTo(
      36 + 52.5 + 4.5,
      9,
    );
  });
  it('what is not known is not reckoned with', () => {
    expect(changeCosts(null, SAID, NONE)).toBeNull();
    expect(changeCosts(0, SAID, NONE)).toBeNull();
    expect(changeCosts(3000, null, NONE)).toBeNull();
  });
});
