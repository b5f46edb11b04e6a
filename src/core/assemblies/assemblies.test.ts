import { checkItem, geometry, shankForms, type CutterGeometry, type HolderGeometry } from '../cutters';
import { assemblyOutline, expectedGaugeLength, judgeBuild, stiffAs } from './index';

const cutter: CutterGeometry = geometry('square', { DC: 10, DMM: 10, LCF: 22, OAL: 72, NOF: 4 });
const holder: HolderGeometry = {
  LF: 60,
  CLAMP_MIN: 3,
  CLAMP_MAX: 13,
  GRIP_MIN: 30,
  DEPTH_MAX: 45,
  RPM_MAX: 15000,
  segments: [
    { length: 20, upper: 63, lower: 63 },
    { length: 40, upper: 44, lower: 32 },
  ],
};
const grade = (
  code: string,
  stickout: number,
  c: Partial<CutterGeometry> = {},
  h: Partial<HolderGeometry> = {},
) =>
  judgeBuild({ cutter: { ...cutter, ...c }, holder: { ...holder, ...h }, stickout }).find(
    (j) => j.code === code,
  )?.grade;

it('expects gauge-to-face plus stickout', () =>
  expect(expectedGaugeLength(108.3, 34)).toBeCloseTo(142.3, 12));

describe('judgeBuild: both sides of every limit (common practice; holder figures are the maker’s)', () => {
  it('flutes gripped below a stickout of LCF', () => {
    expect(grade('FLUTES_GRIPPED', 22)).toBe('good');
    expect(grade('FLUTES_GRIPPED', 21.99)).toBe('stop');
    expect(grade('FLUTES_GRIPPED', 30, { LCF: null })).toBe('not judged');
  });
  it('least grip 30 of OAL 72 ends at a stickout of 42', () => {
    expect(grade('GRIP', 42)).toBe('good');
    expect(grade('GRIP', 42.01)).toBe('stop');
    expect(grade('GRIP', 34, {}, { GRIP_MIN: null })).toBe('not judged');
    expect(grade('GRIP', 34, { OAL: null })).toBe('not judged');
    expect(grade('GRIP', 72, {}, { GRIP_MIN: null })).toBe('stop');
  });
  it('greatest depth 45 begins at a stickout of 27', () => {
    expect(grade('DEPTH', 27)).toBe('good');
    expect(grade('DEPTH', 26.99)).toBe('stop');
    expect(grade('DEPTH', 34, {}, { DEPTH_MAX: null })).toBe('not judged');
  });
  it('shank in the clamping range', () => {
    expect(grade('SHANK_FITS', 34, { DMM: 13 })).toBe('good');
    expect(grade('SHANK_FITS', 34, { DMM: 13.1 })).toBe('stop');
    expect(grade('SHANK_FITS', 34, { DMM: 2.9 })).toBe('stop');
    // An h6 shank of 10 is made to 9.991 (ISO 286-1) and goes into its bore of 10; 9.98 does not hold there.
    expect(grade('SHANK_FITS', 34, { DMM: 9.991 }, { CLAMP_MIN: 10, CLAMP_MAX: 10 })).toBe('good');
    expect(grade('SHANK_FITS', 34, { DMM: 9.98 }, { CLAMP_MIN: 10, CLAMP_MAX: 10 })).toBe('stop');
    expect(grade('SHANK_FITS', 34, { DMM: null })).toBe('not judged');
  });
  it('ratio: comfortable to 3 D, lighter past 4 D, far past 5 D', () => {
    expect([30, 40, 40.1, 50.1].map((s) => grade('RATIO', s, { OAL: 200 }))).toEqual([
      'good',
      'good',
      'question',
      'question',
    ]);
    expect(grade('RATIO', 80, { family: 'drill', OAL: 200 })).toBe('good');
  });
  it('a neck thinner than the shank stands out whole', () => {
    const necked = { DC: 10, DN: 9.6, LU: 30, LCF: 15 };
    expect(grade('NECK_GRIPPED', 30, necked)).toBe('good');
    expect(grade('NECK_GRIPPED', 29.99, necked)).toBe('stop');
    expect(grade('NECK_GRIPPED', 20, { ...necked, DN: 10 })).toBeUndefined();
  });
  // Castigliano by hand: 13³ / 6⁴ + (40³ − 13³) / 10⁴ = 7.8755, and (40³ / 7.8755)^¼ = 9.495.
  it('stiffness is that of the sections: a 6 mm cutter on a 10 mm shank is nearly as stiff as the shank', () => {
    const on10 = { ...cutter, DC: 6, LCF: 13, DMM: 10 };
    expect(stiffAs(on10, 40)).toBeCloseTo(9.495, 3);
    // 8³ / 6⁴ + (24³ − 8³) / 5.8⁴ + (40³ − 24³) / 10⁴ = 17.176
    expect(stiffAs({ ...on10, LCF: 8, DN: 5.8, LU: 24 }, 40)).toBeCloseTo(7.813, 2);
    expect(stiffAs(cutter, 34)).toBeCloseTo(10, 9);
    expect(grade('RATIO', 40, on10)).toBe('question');
    expect(grade('RATIO', 37, on10)).toBe('good');
  });
  it('gives every judgement its values', () => {
    const all = judgeBuild({ cutter, holder, stickout: 34 });
    expect(all).toHaveLength(5);
    all.forEach((j) => expect(j.because.values.length).toBeGreaterThan(1));
  });
});

describe('the form of the shank (DIN 1835-1 and DIN 6535: A plain, B flats, E whistle notch; common practice)', () => {
  const form = (shank: string | null, takes: string | null) =>
    judgeBuild({ cutter, holder, stickout: 34, shank: { form: shank, takes } }).find(
      (j) => j.code === 'SHANK_FORM',
    )?.grade;
  it.each<[string | null, string | null, string | undefined]>([
    ['plain', 'plain', 'good'],
    ['flat', 'flat, whistle notch', 'good'],
    // A side screw finds nothing to seat on: it marks the shank and lets go.
    ['plain', 'flat', 'stop'],
    // The notch is inclined at 2 degrees: a flat's screw doesn't seat on it, nor the reverse.
    ['whistle notch', 'flat', 'stop'],
    ['flat', 'whistle notch', 'stop'],
    ['flat', 'plain', 'question'],
    ['threaded', 'plain', 'stop'],
    [null, 'flat', 'not judged'],
    ['flat', null, 'not judged'],
    // Nothing is said where nothing is known.
    [null, null, undefined],
  ])('%s in a holder that takes %s: %s', (shank, takes, expected) =>
    expect(form(shank, takes)).toBe(expected),
  );
  it('reads several forms; a word that is none makes no half list', () => {
    expect(shankForms('Plain, flat and whistle notch')).toEqual(['plain', 'flat', 'whistle notch']);
    expect(shankForms('plain, square')).toBeNull();
    expect(shankForms(' , ')).toBeNull();
    expect(
      checkItem('holder', null, [
        { symbol: 'LF', value: 60, text: '60' },
        { symbol: 'SHANKS', value: null, text: 'conical' },
      ]),
    ).toMatchObject([{ field: 'SHANKS' }]);
  });
});

describe('assemblyOutline', () => {
  it('hangs the tip at the expected or the measured length', () => {
    expect(assemblyOutline(cutter, holder, 34).flute.at(-1)).toEqual({ z: 94, r: 0 });
    expect(assemblyOutline(cutter, holder, 34, 94.3).flute.at(-1)).toEqual({ z: 94.3, r: 0 });
  });
  it('runs down from the gauge line without a gap at the holder face', () => {
    const o = assemblyOutline(cutter, holder, 34);
    expect(o.holder.at(-1)!.z).toBe(60);
    expect(o.shank[0]!.z).toBe(60);
    expect(o.widest).toBe(63);
    const z = [...o.holder, ...o.shank, ...o.flute].map((p) => p.z);
    z.slice(1).forEach((value, i) => expect(value).toBeGreaterThanOrEqual(z[i]! - 1e-9));
  });
  it('says that an unknown holder is drawn from nothing', () =>
    expect(assemblyOutline(cutter, { ...holder, segments: [] }, 34).assumed).toHaveLength(1));
});
