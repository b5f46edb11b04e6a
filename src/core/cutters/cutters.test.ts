import fc from 'fast-check';
import {
  checkCutter,
  checkHolder,
  cutterOutline,
  describeCutter,
  FAMILY_NAMES,
  familySpec,
  geometry,
  questionCutter,
  type CutterGeometry,
  type Family,
} from './index';

const cutter = (over: Partial<CutterGeometry> = {}): CutterGeometry => ({
  ...geometry('square', { DC: 10, DMM: 10, LCF: 22, OAL: 72, NOF: 4 }),
  ...over,
});

describe('checkCutter', () => {
  it('passes a catalogue cutter', () => expect(checkCutter(cutter())).toEqual([]));
  // Rules of plane geometry; both sides of each limit.
  it.each<[string, Partial<CutterGeometry>, string | null]>([
    ['RE = DC/2', { family: 'corner-radius', RE: 5 }, null],
    ['RE just over DC/2', { family: 'corner-radius', RE: 5.001 }, 'RE'],
    ['corner-radius cutter with RE 0', { family: 'corner-radius', RE: 0 }, 'RE'],
    ['ball with its own radius', { family: 'ball', RE: 5 }, null],
    ['ball with another radius', { family: 'ball', RE: 4 }, 'RE'],
    ['square with a radius', { RE: 0.5 }, 'RE'],
    ['LCF = OAL', { LCF: 72 }, null],
    ['LCF over OAL', { LCF: 72.1 }, 'LCF'],
    ['half a flute', { NOF: 2.5 }, 'NOF'],
    ['point angle on an end mill', { SIG: 118 }, 'SIG'],
    ['neck as thick as the cutter', { DN: 10, LU: 40 }, null],
    ['neck thicker than the cutter', { DN: 10.1, LU: 40 }, 'DN'],
    // Tapering 1 degree over 40 - 22 = 18 mm a neck of 10.1 begins with 9.47; one of 10.7 with 10.07.
    ['the same, tapering to less where it leaves the edge', { DN: 10.1, LU: 40, BHTA1: 1 }, null],
    ['tapering, and still too thick there', { DN: 10.7, LU: 40, BHTA1: 1 }, 'DN'],
    // Round inserts of 10 on a flat of 6: 6 + 2 x 5 = 16 over all.
    ['round inserts larger than half the flat', { family: 'face', DC: 6, DCX: 16, RE: 5, LCF: 5 }, null],
    ['the same without its width', { family: 'face', DC: 6, RE: 5, LCF: 5 }, 'RE'],
    [
      'a corner over half the flat that no round insert makes',
      { family: 'face', DC: 6, DCX: 8, RE: 5, LCF: 5 },
      'RE',
    ],
    [
      'neck of a dovetail thicker than its top',
      { family: 'dovetail', DC: 20, KAPR: 60, LCF: 6, DN: 13.1 },
      'DN',
    ],
    [
      'neck of a tapered mill within its upper end',
      { family: 'tapered', DC: 6, TAPER: 10, LCF: 22, DN: 13.7 },
      null,
    ],
    ['usable length shorter than the flutes', { LU: 20 }, 'LU'],
    ['usable length of a drill, whose flutes are longer (ISO 13399)', { family: 'drill', LU: 20 }, null],
    ['usable length of a tap', { family: 'tap', LU: 20 }, null],
    ['a narrow engraver', { family: 'engraver', SIG: 10 }, null],
    ['usable length past the end', { LU: 72.1 }, 'LU'],
    ['deeper than the flutes', { APMX: 22.1 }, 'APMX'],
    ['widest below DC', { family: 'face', DCX: 9 }, 'DCX'],
    ['tip wider than the cutter', { family: 'chamfer', DCN: 11 }, 'DCN'],
    ['a taper on a square end mill', { TAPER: 3 }, 'TAPER'],
    ['flanks that meet below the top', { family: 'dovetail', DC: 10, KAPR: 45, LCF: 5 }, 'LCF'],
    ['corner radius over half the width', { family: 't-slot', CW: 2, RE: 1.01 }, 'RE'],
    ['flat arc of a high-feed mill larger than the cutter', { family: 'high-feed', RE: 12 }, null],
    ['point angle on a drill', { family: 'drill', SIG: 140 }, null],
    ['negative diameter', { DC: -10 }, 'DC'],
    ['not a number', { OAL: Number.NaN }, 'OAL'],
  ])('%s', (_, over, field) => expect(checkCutter(cutter(over)).map((f) => f.field)[0] ?? null).toBe(field));
  it('does not judge what is not known', () =>
    expect(checkCutter(cutter({ DMM: null, LCF: null, OAL: null, NOF: null }))).toEqual([]));
});

describe('checkHolder', () => {
  const holder = { LF: 60, CLAMP_MIN: 3, CLAMP_MAX: 10, GRIP_MIN: 20, DEPTH_MAX: 40, RPM_MAX: 15000 };
  it('wants the outline to reach the face', () => {
    expect(
      checkHolder({
        ...holder,
        segments: [
          { length: 20, upper: 63, lower: 63 },
          { length: 40, upper: 40, lower: 32 },
        ],
      }),
    ).toEqual([]);
    expect(checkHolder({ ...holder, segments: [{ length: 55, upper: 63, lower: 63 }] })[0]).toMatchObject({
      field: 'segments',
      value: 55,
    });
  });
  it('refuses a range that is upside down', () => {
    expect(checkHolder({ ...holder, CLAMP_MIN: 12, segments: [] })[0]?.field).toBe('CLAMP_MIN');
    expect(checkHolder({ ...holder, GRIP_MIN: 41, segments: [] })[0]?.field).toBe('GRIP_MIN');
  });
});

/** Facts that shape each family beside DC, drawn at random: what the outline is bound by. */
const SHAPING: Partial<Record<Family, (r: (max: number) => number, DC: number) => Partial<CutterGeometry>>> =
  {
    'corner-radius': (_, DC) => ({ RE: DC / 5 }),
    tapered: (r, DC) => ({ TAPER: 1 + r(20), RE: DC / 4 }),
    'high-feed': (r, DC) => ({ DCX: DC + r(20), APMX: 0.1 + r(2) }),
    face: (r, DC) => ({ DCX: DC + r(20), APMX: 0.5 + r(6), KAPR: 45 }),
    't-slot': (r) => ({ CW: 0.5 + r(10) }),
    dovetail: (r) => ({ KAPR: 45 + r(30) }),
    chamfer: (r, DC) => ({ SIG: 60 + r(60), DCN: DC / 5 }),
    countersink: (r) => ({ SIG: 60 + r(60) }),
    drill: (r) => ({ SIG: 90 + r(90) }),
  };
/** The widest a family may be drawn at a height: DC/2, but for those that widen upwards by their own facts. */
function widest(c: CutterGeometry, z: number): number {
  if (c.family === 'tapered') return c.DC / 2 + z * Math.tan(((c.TAPER ?? 3) * Math.PI) / 180);
  return familySpec(c.family).widest?.(c, z) ?? c.DC / 2;
}

describe('cutterOutline', () => {
  it.each(FAMILY_NAMES)(
    '%s: z never turns back; within its own width on the cutting part, the larger of DC, DCX and DMM above',
    (family) => {
      const positive = (max: number) => fc.double({ min: 0.1, max, noNaN: true });
      const share = fc.double({ min: 0, max: 1, noNaN: true });
      fc.assert(
        fc.property(
          positive(60),
          positive(60),
          positive(120),
          positive(200),
          share,
          fc.boolean(),
          (DC, DMM, LCF, length, s, neck) => {
            const c = cutter({
              family,
              DC,
              DMM,
              LCF,
              ...(SHAPING[family]?.((max) => s * max, DC) ?? {}),
              ...(neck ? { DN: DC * 0.6, LU: LCF + 10 * s } : {}),
            });
            const o = cutterOutline(c, length);
            const all = [...o.flute, ...o.shank];
            expect(all.length).toBeGreaterThan(1);
            all.slice(1).forEach((p, i) => expect(p.z).toBeGreaterThanOrEqual(all[i]!.z - 1e-9));
            o.flute.forEach((p) => expect(p.r).toBeLessThanOrEqual(widest(c, p.z) + 1e-9));
            const above = Math.max(DC, c.DCX ?? 0, DMM, 2 * o.flute.at(-1)!.r) / 2;
            o.shank.forEach((p) => expect(p.r).toBeLessThanOrEqual(above + 1e-9));
            all.forEach((p) => expect(p.r).toBeGreaterThanOrEqual(0));
            expect(all.at(-1)!.z).toBeCloseTo(length, 9);
          },
        ),
        { seed: 7 },
      );
    },
  );
  it('each family says its reference points in words', () =>
    FAMILY_NAMES.forEach((f) =>
      expect(`${familySpec(f).lengthTo}|${familySpec(f).diameterAt}`).toMatch(/^[^|]{3,}\|[^|]{3,}$/),
    ));
  it('a tapered ball touches its flank: DC 6, RE 3, 5 degrees leaves the ball at 3 (1 - sin 5°) = 2.7385 (hand arithmetic)', () => {
    const o = cutterOutline(cutter({ family: 'tapered', DC: 6, RE: 3, TAPER: 5, LCF: 30 }), 60);
    const touch = o.flute.at(-2)!;
    expect(touch.z).toBeCloseTo(2.73853, 5);
    expect(touch.r).toBeCloseTo(2.98858, 5);
    expect(o.flute.at(-1)!.r).toBeCloseTo(2.98858 + (30 - 2.73853) * Math.tan((5 * Math.PI) / 180), 4);
  });
  it('a dovetail of 60 degrees, DC 20 and 6 high is 13.07 wide on top (20 - 2 · 6 / tan 60°, hand arithmetic)', () => {
    const o = cutterOutline(cutter({ family: 'dovetail', DC: 20, KAPR: 60, LCF: 6, DMM: 12 }), 60);
    expect(2 * o.flute.at(-1)!.r).toBeCloseTo(13.0718, 4);
  });
  it('a neck is drawn between flutes and shank', () => {
    const o = cutterOutline(cutter({ DC: 6, DMM: 6, LCF: 8, DN: 5.8, LU: 24 }), 57);
    expect(o.shank.slice(0, 2)).toEqual([
      { z: 8, r: 2.9 },
      { z: 24, r: 2.9 },
    ]);
  });
  it('draws a drill tip at its angle: 10 mm, 118 degrees is 3.004 mm high (5 / tan 59°, hand arithmetic)', () => {
    const o = cutterOutline(cutter({ family: 'drill', SIG: 118 }), 60);
    expect(o.flute[1]!.z).toBeCloseTo(3.0043, 4);
    expect(o.assumed).toEqual([]);
  });
  it('says what it had to assume', () =>
    expect(cutterOutline(cutter({ family: 'drill', LCF: null, DMM: null }), 60).assumed).toHaveLength(3));
});

it('describes a cutter as people say it', () => {
  expect(describeCutter(cutter({ family: 'corner-radius', RE: 0.5 }), 'carbide')).toBe(
    '10 mm R0.5 corner-radius end mill, 4 flutes, carbide',
  );
  expect(describeCutter(cutter({ NOF: null }), null, '1/4 in')).toBe('1/4 in square end mill');
});

describe('questionCutter: both sides of what is usual (common practice)', () => {
  it.each<[string, Partial<CutterGeometry>, string | null]>([
    ['an everyday cutter', {}, null],
    ['flutes of 12 DC', { LCF: 120, OAL: 200 }, null],
    ['flutes over 12 DC', { LCF: 120.1, OAL: 200 }, 'LCF'],
    ['a shank of 3 DC', { DMM: 30 }, null],
    ['a shank over 3 DC', { DMM: 30.1 }, 'DMM'],
    ['a small cutter on a 6 mm shank', { DC: 1, DMM: 6, LCF: 3, OAL: 50 }, null],
    ['shorter than 2 DC', { LCF: 8, OAL: 19 }, 'OAL'],
    ['four flutes on a drill', { family: 'drill', NOF: 4 }, 'NOF'],
    ['a taper that may be an included angle', { family: 'tapered', TAPER: 31 }, 'TAPER'],
  ])('%s', (_, over, field) => expect(questionCutter(cutter(over))[0]?.field ?? null).toBe(field));
});
