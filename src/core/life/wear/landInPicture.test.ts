import { landInPicture } from '../index';

const at = (x: number, y: number) => ({ x, y });

describe('a land measured in a picture', () => {
  it('is as long as its part of what is known', () => {
    // 10 mm over 500 dots along a slope of 3-4-5; 10 dots are a fiftieth: 0.2 mm.
    const got = landInPicture([at(100, 100), at(400, 500)], 10, [at(200, 200), at(206, 208)], 1)!;
    expect(got.mm).toBeCloseTo(0.2, 12);
    expect(got.dots).toEqual({ known: 500, land: 10 });
    // JCGM 100:2008, 5.1.2 by hand: 2 × 0.2 × √((√2/10)² + (√2/500)²) = 0.05658.
    expect(got.offMm).toBeCloseTo(0.05658, 5);
  });
  it('is surer the nearer the picture, and no surer than the length it is held against', () => {
    const near = landInPicture([at(0, 0), at(1500, 0)], 10, [at(0, 0), at(0, 30)], 1)!;
    expect(near.offMm).toBeLessThan(0.02);
    // The known length itself off by 5 %: so is the land at least.
    const vague = landInPicture([at(0, 0), at(1500, 0)], 10, [at(0, 0), at(0, 30)], 0, 0.5)!;
    expect(vague.offMm).toBeCloseTo(0.2 * 0.05, 12);
  });
  it('agrees with measuring it many times by a hand that is off (seeded)', () => {
    let seed = 7;
    const next = () => ((seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648) + 0.5) / 2_147_483_648;
    const off = () => Math.sqrt(-2 * Math.log(next())) * Math.cos(2 * Math.PI * next());
    const point = (x: number, y: number) => at(x + off(), y + off());
    const said = landInPicture([at(0, 0), at(400, 0)], 8, [at(50, 50), at(50, 62)], 1)!;
    const within = Array.from(
      { length: 4000 },
      () => landInPicture([point(0, 0), point(400, 0)], 8, [point(50, 50), point(50, 62)], 1)!.mm,
    ).filter((mm) => Math.abs(mm - said.mm) <= said.offMm).length;
    expect(within / 4000).toBeGreaterThan(0.935);
    expect(within / 4000).toBeLessThan(0.97);
  });
  it('is nothing where two points lie on each other, or the length is none', () => {
    expect(landInPicture([at(5, 5), at(5, 5)], 10, [at(0, 0), at(1, 1)], 1)).toBeNull();
    expect(landInPicture([at(0, 0), at(50, 5)], 10, [at(3, 3), at(3, 3)], 1)).toBeNull();
    expect(landInPicture([at(0, 0), at(50, 5)], 0, [at(0, 0), at(1, 1)], 1)).toBeNull();
    expect(landInPicture([at(0, 0), at(50, 5)], Number.NaN, [at(0, 0), at(1, 1)], 1)).toBeNull();
  });
});
