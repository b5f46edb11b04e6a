import fc from 'fast-check';
import { deflection } from '../assemblies';
import { geometry } from '../cutters';
import reference from './reference/cuts.json';
import {
  centreFeed,
  chipOf,
  type CutAsked,
  cutFigures,
  cutMap,
  cuttingPower,
  drillChip,
  feedForChip,
  inCorner,
  spindleAt,
  specificForce,
  STARTING_MATERIALS,
  startingOf,
  tangentialForce,
  torqueOf,
  unitPower,
} from './index';

/** Worked values in full precision (mpmath, confirmed by integration): reference/cuts.json, with their sources. */
const near = (got: number | null | undefined, want: number) => {
  expect(got).not.toBeNull();
  expect(Math.abs((got ?? NaN) - want)).toBeLessThanOrEqual(
    Math.max(reference.tol.abs, reference.tol.rel * Math.abs(want)),
  );
};
const CASES: readonly { id: string; input: object; expected: object }[] = reference.cases;
const listsOf = (of: object): Record<string, unknown[]> => Object.fromEntries(Object.entries(of));
const each = (id: string) => {
  const found = CASES.find((c) => c.id === id);
  if (!found) throw new Error(`no case ${id}`);
  const [input, expected] = [listsOf(found.input), listsOf(found.expected)];
  const at = (of: Record<string, unknown[]>, i: number) =>
    Object.fromEntries(Object.entries(of).map(([name, list]) => [name, Number(list[i])]));
  return Array.from(
    { length: Object.values(input)[0]!.length },
    (_, i) => [at(input, i), at(expected, i)] as const,
  );
};

describe('the chip', () => {
  it.each(each('chip_thickness'))('%j', (i, e) => {
    const chip = chipOf(i.D_mm!, i.ae_mm!, i.fz_mm!, i.kappa_deg!);
    near(chip?.arc, e.phi_deg!);
    near(chip?.max, e.h_max!);
    near(chip?.mean, e.h_mean!);
    near(feedForChip(i.D_mm!, i.ae_mm!, i.fz_mm!, i.kappa_deg!), e.fz_for_h_max_equal_fz!);
  });
  it('of a width that is none, or wider than the cutter: there is none', () => {
    const bad = [-1, 0, 10.001, 12, Number.NaN].map((ae) => [
      chipOf(10, ae, 0.05),
      feedForChip(10, ae, 0.05),
    ]);
    expect(bad.flat()).toEqual(Array(10).fill(null));
  });
  it('of a drill: half the feed by the sine of half its point', () =>
    expect(drillChip(0.2, 118)).toBeCloseTo(0.1 * Math.sin((59 * Math.PI) / 180), 12));
});

describe('in an inside corner (plane geometry of circles)', () => {
  it('a tooth cuts over a longer arc: D 10, 1 mm off, R 6: cos φ = (25 − 1 − 25) / 10', () => {
    expect(inCorner(10, 1, 6)?.arc).toBeCloseTo((Math.acos(-0.1) * 180) / Math.PI, 10);
    expect(inCorner(10, 1, 6)?.width).toBeCloseTo(5.5, 10);
  });
  it('never less than on the wall, which it comes to where the corner is wide; none where it does not go in', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 40, noNaN: true }),
        fc.double({ min: 0.01, max: 0.95, noNaN: true }),
        fc.double({ min: 1.001, max: 50, noNaN: true }),
        (D, share, times) => {
          const ae = D * share;
          const wall = chipOf(D, ae, 0.1)!.arc;
          expect(inCorner(D, ae, (D / 2) * times)!.arc).toBeGreaterThanOrEqual(wall - 1e-4);
          expect(inCorner(D, ae, D * 1e5)!.arc).toBeCloseTo(wall, 1);
        },
      ),
    );
    expect([inCorner(10, 1, 5), inCorner(10, 1, 4), inCorner(10, 11, 20), inCorner(10, 0, 20)]).toEqual([
      null,
      null,
      null,
      null,
    ]);
  });
  it('in a bore the centre goes 240 where the edge goes 400: D 10 in 25', () => {
    expect(centreFeed(400, 10, 25)).toBe(240);
    expect(centreFeed(400, 10, 10)).toBeNull();
  });
});

describe('what it takes', () => {
  it('Kienzle: C45 at 0.1 mm is 2220 x 0.1^-0.14; a thinner chip than 0.05 is beyond what was measured', () => {
    expect(specificForce(2220, 0.14, 0.1)).toEqual({
      kc: expect.closeTo(2220 * 10 ** 0.14, 8),
      extrapolated: false,
    });
    expect(specificForce(2220, 0.14, 0.02).extrapolated).toBe(true);
    expect(specificForce(2220, 0.14, 1).kc).toBe(2220);
  });
  it('power, torque and force agree with each other: P = M ω = F v', () => {
    const kw = cuttingPower(24_000, 3000);
    expect(kw).toBeCloseTo(1.2, 12);
    // 9550 is 60,000 / 2 π, rounded: 0.005 % off.
    expect((torqueOf(kw, 3000) * 2 * Math.PI * 3000) / 60_000).toBeCloseTo(kw, 3);
    expect((tangentialForce(kw, 120) * 120) / 60_000).toBeCloseTo(kw, 12);
  });
  it('unit power: 0.34 in3/min of alloy steel is about 0.4 hp (common practice)', () =>
    expect(unitPower(0.34 * 16_387.064, 1.2) / 0.7457).toBeCloseTo(0.408, 3));
  it('kc of 2000 N/mm2 is a unit power of 0.73 (common practice)', () =>
    expect(unitPower(60_000, 0.7326)).toBeCloseTo(cuttingPower(60_000, 2000), 3));
});

describe('what bends', () => {
  it.each([...each('deflection'), ...each('deflection_load_inside')])('%j', (i, e) => {
    const cutter = geometry('square', { DC: i.D_mm!, LCF: i.Lf_mm!, DMM: i.ds_mm!, OAL: 200 });
    const details = { ...DETAILS, SUBSTRATE: i.E_N_mm2 === 600_000 ? 'carbide' : 'HSS' };
    near(deflection(cutter, details, [], i.Lf_mm! + i.Ls_mm!, i.F_N!, i.a_mm).tip.value, e.deflection_mm!);
  });
});
const DETAILS = { SHANK: null, DCB: null, LPR: null, CCMS: null, CSP: null, WT: null, SUBSTRATE: 'carbide' };

const NO_LIMITS = { rpm: [], hunts: null, feedMax: null, power: null, torque: null, eta: null };
const CUT: CutAsked = {
  cutter: geometry('square', { DC: 10, LCF: 22, DMM: 10, OAL: 72, NOF: 4 }),
  speed: { n: 4775 },
  feed: { fz: 0.05 },
  ...{ ap: 10, ae: 2.5 },
  material: STARTING_MATERIALS.C45,
  limits: NO_LIMITS,
  build: { details: DETAILS, stickout: 40 },
  ...{ tolerance: null, corner: null, bore: null },
};
const cut = (over: Partial<CutAsked> = {}) => cutFigures({ ...CUT, ...over });

describe('a cut as a whole', () => {
  it('any two figures give the rest: 4775, 4 x 0.05, 10 x 2.5 -> 955 mm/min, 23.875 cm3/min', () => {
    const of = (c: ReturnType<typeof cut>) => [c.n.value, c.vc.value, c.fz.value, c.vf.value, c.Q.value];
    const all = of(cut());
    expect(all[3]).toBeCloseTo(955, 9);
    expect(all[4]).toBeCloseTo(23_875, 6);
    expect(cut().minutesALitre.value).toBeCloseTo(1e6 / 23_875, 9);
    const same = of(cut({ speed: { vc: all[1]! }, feed: { vf: 955 } }));
    same.forEach((figure, i) => expect(figure).toBeCloseTo(all[i]!, 6));
  });
  it('power by both schools side by side, torque and force from the first', () => {
    const c = cut();
    const kc = 2220 * c.chip.value!.mean ** -0.14;
    expect(c.power.value).toBeCloseTo((23_875 * kc) / 60e6, 9);
    expect(c.power.because.words).toContain('beyond what is known');
    expect(c.byUnit.value).toBeCloseTo(unitPower(23_875, 0.9), 9);
    expect(c.torque.value).toBeCloseTo((9550 * c.power.value!) / 4775, 9);
    expect(c.deflection.value).toBeGreaterThan(0);
  });
  it('unknown is never zero: no teeth counted, no material, no build', () => {
    const c = cut({ cutter: { ...CUT.cutter, NOF: null }, feed: { vf: 955 }, material: null, build: null });
    expect([c.fz, c.chip, c.power, c.byUnit, c.torque, c.force, c.deflection].map((f) => f.value)).toEqual(
      Array(7).fill(null),
    );
    expect(c.Q.value).toBeCloseTo(23_875, 9);
    expect(cut({ cutter: { ...CUT.cutter, NOF: null } }).Q.value).toBeNull();
    expect(cut({ ae: 11 }).chip.value).toBeNull();
  });
  it('of a drill speed and feed follow, but nothing that a width from the side gives', () => {
    const drill = cut({ cutter: geometry('drill', { DC: 10, LCF: 60, NOF: 2 }), corner: 20 });
    expect(drill.vf.value).toBeCloseTo(4775 * 2 * 0.05, 9);
    const none = [drill.Q, drill.chip, drill.power, drill.byUnit, drill.torque, drill.force, drill.ridge];
    expect([...none, drill.corner].map((f) => f.value)).toEqual(Array(8).fill(null));
    expect(drill.chip.because.words).toContain('this cutter does not');
  });
  it('a ball at 0.5 turns by 4.36, not by 10 (plane geometry: 2 √(0.5 x 9.5))', () => {
    const ball = cut({ cutter: geometry('ball', { DC: 10, LCF: 20, NOF: 2 }), ap: 0.5, speed: { vc: 120 } });
    expect(ball.D.value).toBeCloseTo(2 * Math.sqrt(4.75), 9);
    expect(ball.n.value).toBeCloseTo(120_000 / (Math.PI * 2 * Math.sqrt(4.75)), 6);
  });
  it('inside the corner the feed comes down to what keeps the chip: from 2.5 wide to over the middle', () => {
    // h_max on the wall is 2 fz √(0.25 x 0.75) = 0.866 fz; over the middle it is fz. The centre goes (6 − 5) / 6 of the edge's way.
    const c = cut({ corner: 6 });
    expect(c.corner.value!.vf).toBeCloseTo((955 * 2 * Math.sqrt(0.1875)) / 6, 6);
    // A wide corner is a wall.
    expect(cut({ corner: 1e6 }).corner.value!.vf).toBeCloseTo(955, 1);
    expect(cut({ corner: 5 }).corner.value).toBeNull();
    expect(cut({ bore: 25 }).centre.value).toBeCloseTo((955 * 15) / 25, 9);
  });
});

describe('what binds', () => {
  const first = (over: Partial<CutAsked['limits']>, more: Partial<CutAsked> = {}) =>
    cut({ limits: { ...NO_LIMITS, ...over }, ...more }).binds[0]!;
  it.each<[string, Partial<CutAsked['limits']>, Partial<CutAsked>, string, RegExp]>([
    [
      'the lowest of the turns, named',
      {
        rpm: [
          { of: 'machine', limit: 8000 },
          { of: 'holder', limit: 4000 },
        ],
      },
      {},
      'rpm',
      /4775 of 4000, the limit of holder/,
    ],
    ['the feed of the machine', { feedMax: 900 }, {}, 'feed', /955 of 900/],
    ['what the spindle gives', { power: 1, eta: 0.8 }, {}, 'power', /of 0.8 kW/],
    ['its torque', { torque: 2 }, {}, 'torque', /of 2 N m/],
    ['where it hunts', { hunts: { from: 4700, to: 4900 } }, {}, 'hunting', /4700 and 4900/],
    ['how far it may bend', {}, { tolerance: 0.01 }, 'deflection', /of 0.01 mm/],
    ['a chip that rubs', {}, { feed: { fz: 0.008 } }, 'thin chip', /below 0.01 mm an edge rubs/],
  ])('%s', (_, limits, more, of, words) => {
    const bind = first(limits, more);
    expect([bind.of, bind.over]).toEqual([of, true]);
    expect(bind.words).toMatch(words);
  });
  it('what is nearest where nothing is over; what is not known is named and last', () => {
    const { binds } = cut({
      limits: {
        ...NO_LIMITS,
        rpm: [
          { of: 'machine', limit: 5000 },
          { of: 'collet', limit: null },
        ],
      },
    });
    expect(binds[0]).toMatchObject({ of: 'rpm', over: false, share: 0.955 });
    expect(binds.filter((b) => b.share === null).map((b) => b.words)).toContain('limit of collet not known');
    expect(binds.every((b) => b.share === null || Number.isFinite(b.share))).toBe(true);
  });
});

it('the materials that ship are starting points: kc1.1, mc and density within what handbooks print (from memory)', () => {
  for (const m of Object.values(STARTING_MATERIALS)) {
    expect(m.kc11.least).toBeLessThanOrEqual(m.kc11.most);
    expect([m.kc11.least >= 100, m.kc11.most <= 4700, m.mc.least >= 0.14, m.mc.most <= 0.26]).toEqual(
      Array(4).fill(true),
    );
  }
  expect([startingOf('C45'), startingOf('1.4404'), startingOf('C4'), startingOf('')]).toEqual([
    'C45',
    'stainless 1.4301, 1.4404',
    null,
    null,
  ]);
  expect(STARTING_MATERIALS.C45).toMatchObject({ kc11: { least: 2220 }, mc: { least: 0.14 }, density: 7.85 });
});

it('over its map a cut comes to what it comes to there; what grows with depth and width grows', () => {
  const limits = { ...NO_LIMITS, power: 3, feedMax: 900 };
  const asked = { ...CUT, limits, tolerance: 0.05 };
  const map = cutMap(asked, 8);
  expect([map.ae[7], map.ap[7]]).toEqual([10, 22]);
  const there = cutFigures({ ...asked, ap: map.ap[3]!, ae: map.ae[5]! });
  const share = there.binds.find((b) => b.of === 'power')!.share!;
  expect(map.shares.power![3 * 8 + 5]).toBeCloseTo(share, 12);
  for (let i = 8; i < 64; i += 1) expect(map.shares.power![i]!).toBeGreaterThan(map.shares.power![i - 8]!);
  expect(new Set(map.shares.feed)).toHaveProperty('size', 1);
  expect(Object.keys(map.shares).sort()).toEqual(['deflection', 'feed', 'power', 'thin chip']);
});

describe('what a spindle gives (P = M n / 9550: torque up to its power, power from there on)', () => {
  const LOW = { name: 'low', from: 40, to: 1500, kw: 7.5, nm: 190 } as const;
  const HIGH = { name: 'high', from: 160, to: 6000, kw: 7.5, nm: 48 } as const;
  it('its torque below, its power above', () => {
    expect(spindleAt([{ ...HIGH, name: 'only' }], 1000)).toEqual({
      gear: 'only',
      kw: expect.closeTo((48 * 1000) / 9550, 9),
      nm: 48,
    });
    expect(spindleAt([HIGH], 3000)).toMatchObject({ kw: 7.5, nm: expect.closeTo(23.875, 9) });
  });
  it('the gear that gives more; none where none runs so', () => {
    expect(spindleAt([LOW, HIGH], 400)?.gear).toBe('low');
    expect(spindleAt([LOW, HIGH], 2000)?.gear).toBe('high');
    expect([spindleAt([LOW, HIGH], 7000), spindleAt([], 1000), spindleAt([LOW], 0)]).toEqual([
      null,
      null,
      null,
    ]);
  });
  it('a cut is held against it at its own turns; what somebody says of these turns goes before', () => {
    const binds = (limits: Partial<CutAsked['limits']>) =>
      cut({ limits: { ...NO_LIMITS, ...limits } })
        .binds.map((b) => b.words)
        .join('; ');
    expect(binds({ gears: [LOW, HIGH] })).toMatch(/of 7.5 kW, high gear/);
    expect(binds({ gears: [LOW, HIGH], power: 3 })).toMatch(/of 3 kW/);
    expect(binds({ gears: [LOW] })).toMatch(/no gear of the spindle runs at 4775/);
  });
});
