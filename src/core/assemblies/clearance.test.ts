import { clearanceOf, leastStickout, type Wall } from './index';

/** A source of chances that is the same in each run. */
function chances(seed: number) {
  let s = seed;
  return () => (s = (s * 48271) % 2147483647) / 2147483647;
}

describe('an outline beside a wall (plane geometry)', () => {
  const shank = [
    { z: 20, r: 5 },
    { z: 60, r: 5 },
  ];
  it('a shank of radius 5 beside an upright wall at 6: 1 off, at its foot', () =>
    expect(clearanceOf(shank, { depth: 40, radial: 6, draft: 0 })).toEqual({ gap: 1, height: 20 }));
  it('nothing stands beside a wall that ends below it', () =>
    expect(clearanceOf(shank, { depth: 20, radial: 6, draft: 0 })).toBeNull());
  it('a cone is nearest where the wall ends', () => {
    const cone = [
      { z: 10, r: 5 },
      { z: 50, r: 25 },
    ];
    // At 30 its radius is 15.
    expect(clearanceOf(cone, { depth: 30, radial: 12, draft: 0 })).toEqual({ gap: -3, height: 30 });
  });
  it('draft makes room: 45 degrees give a millimetre a millimetre', () =>
    expect(clearanceOf([{ z: 10, r: 15 }], { depth: 30, radial: 6, draft: 45 })!.gap).toBeCloseTo(1, 9));
  it('nothing drawn, nothing near', () =>
    expect(clearanceOf([], { depth: 30, radial: 6, draft: 0 })).toBeNull());
});

describe('the least stickout that clears', () => {
  const face = [
    { z: 0, r: 20 },
    { z: 30, r: 20 },
  ];
  it('a face wider than the wall is far stays above it', () =>
    expect(leastStickout(face, { depth: 30, radial: 12, draft: 0 }, 0)).toBe(30));
  it('a slim one goes down beside it', () =>
    expect(leastStickout(face, { depth: 30, radial: 20.5, draft: 0 }, 0.5)).toBe(0));
  it('a hair less room, and it does not', () =>
    expect(leastStickout(face, { depth: 30, radial: 20.4, draft: 0 }, 0.5)).toBe(30));
  it('a slanted wall lets a wide face in as far as there is room', () =>
    // At 45 degrees a wall at 12 leaves 20 at a height of 8.
    expect(leastStickout(face, { depth: 30, radial: 12, draft: 45 }, 0)).toBeCloseTo(8, 9));
  it('a cone goes in till its wide part meets the top of the wall', () => {
    const cone = [
      { z: 0, r: 10 },
      { z: 40, r: 30 },
    ];
    // Radius 16 stands 12 above its face: that must be at 30.
    expect(leastStickout(cone, { depth: 30, radial: 16, draft: 0 }, 0)).toBeCloseTo(18, 9);
  });
  it('agrees with what clearanceOf says there, and a little less does not clear (400 random holders)', () => {
    const next = chances(11);
    let tight = 0;
    for (let n = 0; n < 400; n++) {
      let z = 0;
      const holder = [{ z: 0, r: 5 + next() * 20 }];
      for (let i = 0; i < 5; i++) {
        z += next() * 20;
        holder.push({ z, r: 5 + next() * 25 });
      }
      const wall: Wall = {
        depth: 10 + next() * 60,
        radial: 8 + next() * 15,
        draft: next() < 0.3 ? 0 : next() * 20,
      };
      const free = next();
      const s = leastStickout(holder, wall, free);
      const at = (out: number) =>
        clearanceOf(
          holder.map((p) => ({ z: p.z + out, r: p.r })),
          wall,
        );
      const there = at(s + 1e-6);
      expect(there === null ? 0 : Math.min(0, there.gap - free)).toBeGreaterThan(-1e-4);
      if (s > 0.01) {
        tight++;
        expect(at(s - 0.005)!.gap).toBeLessThan(free);
      }
    }
    expect(tight).toBeGreaterThan(100);
  });
});
