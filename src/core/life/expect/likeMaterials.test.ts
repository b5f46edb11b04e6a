import { assumedFromLike } from '../index';

const failed = (...minutes: number[]) => minutes.map((m) => ({ minutes: m, failed: true }));

describe('a cutter in a material of which nobody said anything', () => {
  it('comes to what it came to in another of the group, and counts as three lives', () => {
    expect(assumedFromLike('P', [{ material: 'C35', lives: failed(30, 40, 50, 40) }])).toEqual({
      ...{ minutes: 40, countsAs: 3, learntFrom: 0 },
      origin: 'its lives in C35, of group P as well',
    });
  });
  it('several are weighed by how many failed, on the scale of logarithms: 20 of one and 80 of three are 56.6 (by hand)', () => {
    const like = assumedFromLike('P', [
      { material: 'C35', lives: failed(20) },
      { material: '42CrMo4', lives: failed(80, 80, 80) },
    ]);
    // exp((ln 20 + 3 ln 80) / 4)
    expect(like?.minutes).toBe(56.6);
  });
  it('one failure elsewhere counts as one life, whatever such figures are worth here', () => {
    expect(assumedFromLike('P', [{ material: 'C35', lives: failed(20) }])?.countsAs).toBe(1);
    const worth = { countsAs: 0.8, learntFrom: 7 };
    expect(assumedFromLike('P', [{ material: 'C35', lives: failed(20, 30) }], worth)).toMatchObject(worth);
  });
  it('where none has failed nothing is assumed', () => {
    expect(assumedFromLike('P', [])).toBeNull();
    expect(assumedFromLike('P', [{ material: 'C35', lives: [{ minutes: 30, failed: false }] }])).toBeNull();
  });
});
