import { geometry } from '../cutters';
import { type CutAsked, cutFigures, huntingSpeeds, speedMap, speedReach } from './index';

const MILL = geometry('square', { DC: 10, LCF: 22, DMM: 10, OAL: 72, NOF: 4 });
const CUT: CutAsked = {
  cutter: MILL,
  ...{ speed: { vc: 120 }, feed: { fz: 0.05 }, ap: 10, ae: 2.5, material: null },
  limits: { rpm: [], hunts: null, feedMax: null, power: null, torque: null, eta: null },
  ...{ build: null, tolerance: null, corner: null, bore: null },
};
const bind = (asked: CutAsked, of: string) => cutFigures(asked).binds.filter((b) => b.of === of);

describe('going down a ramp', () => {
  it("is held against the cutter's own limit (RMPX of ISO 13399): 5 of 3 degrees is past it", () => {
    const cutter = { ...MILL, RMPX: 3 };
    expect(bind({ ...CUT, cutter, ramp: 5 }, 'ramp')).toMatchObject([
      { over: true, share: 5 / 3, words: 'goes down at 5° of 3°, its ramp limit' },
    ]);
    expect(bind({ ...CUT, cutter, ramp: 3 }, 'ramp')).toMatchObject([{ over: false, share: 1 }]);
  });
  it('nobody knows the limit: not judged, and why; not asked: no line', () => {
    expect(bind({ ...CUT, ramp: 5 }, 'ramp')).toEqual([
      { of: 'ramp', share: null, over: false, words: 'ramp: neither ramp limit nor centre cutting known' },
    ]);
    expect(bind({ ...CUT, ramp: 5, centreCutting: true }, 'ramp')[0]?.words).toMatch(/may plunge/);
    expect(bind(CUT, 'ramp')).toEqual([]);
  });
  it('comes down 2 mm over 38.16 mm at 3 degrees (2 / tan 3); straight down is no ramp', () => {
    expect(cutFigures({ ...CUT, ap: 2, ramp: 3 }).way.value).toBeCloseTo(
      2 / Math.tan((3 * Math.PI) / 180),
      10,
    );
    expect(cutFigures({ ...CUT, ap: 2, ramp: 3 }).way.value).toBeCloseTo(38.16, 2);
    expect([cutFigures({ ...CUT, ramp: 90 }).way.value, cutFigures(CUT).way.value]).toEqual([null, null]);
  });
});

describe('too thick a chip', () => {
  // D 10, ae 2.5: h = 2 fz √(0.25 x 0.75) = 0.866 fz.
  it('past what its edge stands, by its own fact or as somebody says', () => {
    const cutter = { ...MILL, CHIP_MAX: 0.04 };
    expect(bind({ ...CUT, cutter }, 'thick chip')).toMatchObject([{ over: true }]);
    expect(bind({ ...CUT, cutter }, 'thick chip')[0]?.share).toBeCloseTo((0.05 * Math.sqrt(0.75)) / 0.04, 10);
    expect(
      bind({ ...CUT, cutter, limits: { ...CUT.limits, thickestChip: 0.06 } }, 'thick chip'),
    ).toMatchObject([{ over: false }]);
  });
  it('the same feed makes a thicker chip in a slot: past it there', () => {
    const limits = { ...CUT.limits, thickestChip: 0.045 };
    expect(bind({ ...CUT, limits }, 'thick chip')).toMatchObject([{ over: false }]);
    expect(bind({ ...CUT, limits, ae: 10 }, 'thick chip')).toMatchObject([{ over: true }]);
  });
  it('nobody knows: not judged', () =>
    expect(bind(CUT, 'thick chip')).toMatchObject(
      [{ share: null, over: false, words: /not known/ }].map((b) => ({
        ...b,
        words: expect.stringMatching(b.words) as string,
      })),
    ));
});

it('a part of 40 cm3 at 19.1 cm3 a minute takes 2.09 minutes in the cut', () => {
  const { Q, minutesAPart } = cutFigures({ ...CUT, volume: 40_000 });
  expect(minutesAPart.value).toBeCloseTo(40_000 / (Q.value ?? NaN), 12);
  expect(minutesAPart.value).toBeCloseTo(2.094, 2);
  expect(cutFigures(CUT).minutesAPart.value).toBeNull();
});

describe('over speeds and feeds', () => {
  const limits = {
    ...CUT.limits,
    ...{ rpm: [{ of: 'spindle', limit: 5000 }], feedMax: 900, thickestChip: 0.08, power: 2 },
    hunts: { from: 4000, to: 4400 },
  };
  const material = { kc11: { least: 2220, most: 2220 }, mc: { least: 0.14, most: 0.14 }, unit: null };
  const asked = { ...CUT, limits, material };
  it('a cut comes to what it comes to there', () => {
    const map = speedMap(asked, 8);
    if (!map) throw new Error('no map');
    const there = cutFigures({ ...asked, speed: { vc: map.vc[3]! }, feed: { fz: map.fz[5]! } });
    for (const b of there.binds)
      if (b.share !== null) expect(map.shares[b.of]?.[3 * 8 + 5]).toBeCloseTo(b.share, 12);
    expect(Object.keys(map.shares).sort()).toEqual(['feed', 'power', 'rpm', 'thick chip', 'thin chip']);
  });
  it('reaches a quarter past 5000 rev/min (196.3 m/min on 10), doubled until the cut is on it', () => {
    expect(speedReach(asked)?.vc).toBeCloseTo((Math.PI * 10 * 6250) / 1000, 9);
    expect(speedReach({ ...asked, speed: { vc: 300 } })?.vc).toBeCloseTo((2 * Math.PI * 10 * 6250) / 1000, 9);
    expect(speedReach(CUT)).toEqual({ fz: 0.2, vc: 200 });
    expect(speedReach({ ...CUT, feed: { fz: 0.2 }, speed: { vc: 200 } })).toEqual({ fz: 0.2, vc: 200 });
    expect(speedReach({ ...CUT, feed: { fz: 0.21 } })?.fz).toBe(0.4);
  });
  it('no feed a tooth where the teeth are not counted: no map', () => {
    const cutter = { ...MILL, NOF: null };
    expect([
      speedReach({ ...CUT, cutter, feed: { vf: 400 } }),
      speedMap({ ...CUT, cutter, feed: { vf: 400 } }, 4),
    ]).toEqual([null, null]);
  });
  it('the spindle hunts between 4000 and 4400: 125.7 to 138.2 m/min on 10', () => {
    expect(huntingSpeeds(asked)?.from).toBeCloseTo(125.66, 2);
    expect(huntingSpeeds(asked)?.to).toBeCloseTo(138.23, 2);
    expect(huntingSpeeds(CUT)).toBeNull();
  });
});
