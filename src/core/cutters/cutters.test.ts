import fc from 'fast-check';
import {
  checkCutter,
  checkHolder,
  cutterOutline,
  describeCutter,
  FAMILY_NAMES,
  type CutterGeometry,
} from './index';

const cutter = (over: Partial<CutterGeometry> = {}): CutterGeometry => ({
  family: 'square',
  DC: 10,
  DMM: 10,
  LCF: 22,
  OAL: 72,
  RE: null,
  SIG: null,
  NOF: 4,
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

describe('cutterOutline', () => {
  it.each(FAMILY_NAMES)(
    '%s: z never turns back, radius within DC/2 on the flute and the larger of DC, DMM above',
    (family) => {
      const positive = (max: number) => fc.double({ min: 0.1, max, noNaN: true });
      fc.assert(
        fc.property(positive(60), positive(60), positive(120), positive(200), (DC, DMM, LCF, length) => {
          const o = cutterOutline(
            cutter({ family, DC, DMM, LCF, RE: family === 'corner-radius' ? DC / 5 : null }),
            length,
          );
          const all = [...o.flute, ...o.shank];
          expect(all.length).toBeGreaterThan(1);
          all.slice(1).forEach((p, i) => expect(p.z).toBeGreaterThanOrEqual(all[i]!.z - 1e-9));
          o.flute.forEach((p) => expect(p.r).toBeLessThanOrEqual(DC / 2 + 1e-9));
          o.shank.forEach((p) => expect(p.r).toBeLessThanOrEqual(Math.max(DC, DMM) / 2 + 1e-9));
          expect(all.at(-1)!.z).toBeCloseTo(length, 9);
        }),
        { seed: 7 },
      );
    },
  );
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
