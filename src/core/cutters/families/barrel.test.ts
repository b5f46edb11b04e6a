import { checkCutter, cutterOutline, describeCutter, familiesThatCut, geometry, reach } from '../index';

const barrel = geometry('barrel', { DC: 10, DMM: 10, LCF: 20, PRFRAD: 85, RE: 1, OAL: 80 });

// Plane geometry: the flank falls back by the sagitta of its chord, P - sqrt(P^2 - (L/2)^2) (handbooks of the trade).
it('its flank falls back towards both ends by the sagitta of the chord', () => {
  const { flute, assumed } = cutterOutline(geometry('barrel', { ...barrel, RE: 0 }), 60);
  const sagitta = 85 - Math.sqrt(85 ** 2 - 10 ** 2);
  expect(sagitta).toBeCloseTo(0.5903, 4);
  expect(flute[1]!.r).toBeCloseTo(5 - sagitta, 9);
  expect(flute.at(-1)).toEqual({ z: 20, r: expect.closeTo(5 - sagitta, 9) });
  expect(Math.max(...flute.map((p) => p.r))).toBeCloseTo(5, 9);
  expect(flute.find((p) => p.r > 5 - 1e-9)!.z).toBeCloseTo(10, 9);
  expect(assumed).toEqual([]);
});

it('its corner touches the end face and the flank without a step', () => {
  const { flute } = cutterOutline(barrel, 60);
  // Each point lies on the end face, on the corner's circle or on the flank's; the corner's centre is 84 from the flank's.
  const centre = { z: 1, r: 5 - 85 + Math.sqrt(84 ** 2 - 9 ** 2) };
  const off = (p: { z: number; r: number }) =>
    Math.min(
      Math.abs(p.z),
      Math.abs(Math.hypot(p.z - centre.z, p.r - centre.r) - 1),
      Math.abs(Math.hypot(p.z - 10, p.r - (5 - 85)) - 85),
    );
  flute.forEach((p) => expect(off(p)).toBeLessThan(1e-9));
  expect(flute.every((p, i) => i === 0 || Math.hypot(p.z - flute[i - 1]!.z, p.r - flute[i - 1]!.r) < 5)).toBe(
    true,
  );
});

it.each([
  ['can be made', {}, []],
  ['a flank of half the diameter is a ball', { PRFRAD: 5 }, ['PRFRAD']],
  ['a flank that meets the axis', { PRFRAD: 10.5, LCF: 21 }, ['LCF']],
  ['a corner wider than its end', { RE: 4.9 }, ['RE']],
  ['nothing is judged of what is not known', { PRFRAD: null, LCF: null, RE: null }, []],
])('%s', (_, over, fields) =>
  expect(checkCutter(geometry('barrel', { ...barrel, ...over })).map((f) => f.field)).toEqual(fields),
);

it('is said by its flank, reaches with its flutes and cuts walls', () => {
  expect(describeCutter(barrel, 'carbide')).toBe('10 mm R85 barrel mill, carbide');
  expect(reach(barrel)).toBe(20);
  expect(familiesThatCut('side')).toContain('barrel');
  expect(familiesThatCut('floor')).not.toContain('barrel');
});
