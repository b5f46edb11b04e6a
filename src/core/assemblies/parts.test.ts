import { geometry, type HolderGeometry } from '../cutters';
import {
  type Build,
  type CutterDetails,
  deflection,
  expectedGaugeLength,
  type HolderDetails,
  holdsAs,
  judgeBuild,
  type Part,
  permissibleUnbalance,
  revolvedVolume,
  rpmLimit,
  stickoutRange,
  weightOf,
} from './index';

const part = (kind: Part['kind'], code: string, known: Partial<Part> = {}): Part => ({
  code,
  kind,
  setOut: null,
  CCMS: null,
  CCWS: null,
  CLAMPING: null,
  SHANKS: null,
  COLLET: null,
  DMM: null,
  OAL: null,
  LPR: null,
  CLAMP_MIN: null,
  CLAMP_MAX: null,
  GRIP_MIN: null,
  DEPTH_MAX: null,
  RPM_MAX: null,
  TORQUE: null,
  CSP: null,
  WT: null,
  segments: [],
  ...known,
});
const cutterIs = (known: Partial<CutterDetails> = {}): CutterDetails => ({
  SHANK: null,
  DCB: null,
  LPR: null,
  CCMS: null,
  CSP: null,
  SUBSTRATE: 'carbide',
  WT: null,
  ...known,
});
const holderIs = (known: Partial<HolderDetails> = {}): HolderDetails => ({
  code: 'CC32-40',
  CCMS: 'ISO 7388-1 40',
  CCWS: null,
  CLAMPING: 'collet',
  SHANKS: null,
  COLLET: '32',
  CSP: null,
  WT: null,
  TORQUE: 136,
  ...known,
});
const mill = geometry('square', { DC: 10, DMM: 10, LCF: 22, OAL: 72, NOF: 4 });
const chuck: HolderGeometry = {
  LF: 60,
  CLAMP_MIN: 2,
  CLAMP_MAX: 20,
  GRIP_MIN: null,
  DEPTH_MAX: 70,
  RPM_MAX: 12000,
  segments: [
    { length: 27, upper: 63, lower: 63 },
    { length: 33, upper: 50, lower: 50 },
  ],
};
const C10 = part('collet', 'C32-10', { COLLET: '32', CLAMP_MIN: 9, CLAMP_MAX: 10, GRIP_MIN: 22 });
const EXT = part('extension', 'EXT16', {
  LPR: 100,
  DMM: 16,
  COLLET: 'ER 16',
  CLAMP_MIN: 1,
  CLAMP_MAX: 10,
  RPM_MAX: 9000,
});
const build = (known: Partial<Build> = {}): Build => ({
  cutter: mill,
  holder: chuck,
  stickout: 34,
  details: { cutter: cutterIs(), holder: holderIs() },
  ...known,
});
const found = (b: Build, code: string) => judgeBuild(b).filter((j) => j.code === code);
const grade = (b: Build, code: string) => found(b, code)[0]?.grade;

describe('what stands between spindle and cutter, as one holder', () => {
  it('is as long as its parts, is as fast as the slowest, grips as the last grips', () => {
    const held = holdsAs(chuck, [
      part('collet', 'C32-16', { COLLET: '32', CLAMP_MIN: 15, CLAMP_MAX: 16 }),
      EXT,
      part('collet', 'C16-10', { COLLET: '16', CLAMP_MIN: 9, CLAMP_MAX: 10, GRIP_MIN: 20 }),
    ]);
    expect(held.holder).toMatchObject({ LF: 160, CLAMP_MIN: 9, CLAMP_MAX: 10, GRIP_MIN: 20, RPM_MAX: 9000 });
    expect(expectedGaugeLength(held.holder.LF, 34)).toBeCloseTo(194, 9);
    expect(held.holder.segments.reduce((sum, s) => sum + s.length, 0)).toBeCloseTo(160, 9);
    // The extension's outline was not stated: the drawing says so.
    expect(held.assumed).toMatchObject([{ words: expect.stringContaining('EXT16') }]);
  });
  it('adds any stack up to its parts within 0.01 mm, and its drawing with it', () => {
    let seed = 7;
    const next = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
    for (let i = 0; i < 200; i++) {
      const lengths = Array.from({ length: 1 + Math.floor(next() * 5) }, () => 10 + next() * 150);
      const stack = lengths.map((LPR, n) =>
        part('extension', `X${n}`, next() < 0.5 ? { LPR } : { LPR: 999, setOut: LPR }),
      );
      const { holder } = holdsAs(chuck, stack);
      const sum = 60 + lengths.reduce((a, b) => a + b, 0);
      expect(Math.abs(holder.LF - sum)).toBeLessThan(0.01);
      expect(Math.abs(holder.segments.reduce((a, s) => a + s.length, 0) - sum)).toBeLessThan(0.01);
    }
  });
  it('counts an extension of unknown length as none, and does not pass it', () => {
    const stack = [part('extension', 'X1', { DMM: 16 })];
    expect(holdsAs(chuck, stack).lengthUnknown).toEqual(['X1']);
    expect(grade(build({ parts: stack }), 'LENGTH_KNOWN')).toBe('not judged');
  });
});

describe('each part against its neighbour (common practice)', () => {
  const withParts = (...parts: Part[]) => build({ parts });
  it('a collet goes where its size is taken: 32, ER 32 and ISO 15488-32 are one', () => {
    for (const COLLET of ['32', 'ER 32', 'ISO 15488-32'])
      expect(grade(withParts({ ...C10, COLLET }), 'COLLET_FITS')).toBe('good');
    expect(grade(withParts({ ...C10, COLLET: '16' }), 'COLLET_FITS')).toBe('stop');
    expect(grade(withParts({ ...C10, COLLET: null }), 'COLLET_FITS')).toBe('not judged');
  });
  it('the shank is judged by the collet that is in it, not by what the nut could take', () => {
    const thin = geometry('square', { DC: 6, DMM: 6, LCF: 13, OAL: 57 });
    expect(grade(build({ cutter: thin }), 'SHANK_FITS')).toBe('good');
    expect(grade({ ...withParts(C10), cutter: thin }, 'SHANK_FITS')).toBe('stop');
    expect(grade(withParts(C10), 'SHANK_FITS')).toBe('good');
  });
  it('there is room for one', () =>
    expect(found(withParts(C10, { ...C10, code: 'C32-8' }), 'COLLET_FITS').map((j) => j.grade)).toEqual([
      'good',
      'stop',
    ]));
  it('a sleeve goes by its outside', () => {
    const bore = { ...chuck, CLAMP_MIN: 20, CLAMP_MAX: 20 };
    const holder = holderIs({ CLAMPING: 'hydraulic', COLLET: null });
    const into = (DMM: number) =>
      grade(
        build({
          holder: bore,
          parts: [part('collet', 'S20-10', { DMM, CLAMP_MIN: 10, CLAMP_MAX: 10 })],
          details: { cutter: cutterIs(), holder },
        }),
        'COLLET_FITS',
      );
    expect([into(20), into(20.1), into(16)]).toEqual(['good', 'stop', 'stop']);
  });
  it('which collet is in it may be left open, and decides nothing', () => {
    expect(found(build(), 'COLLET')).toMatchObject([{ grade: 'not judged', aside: true }]);
    expect(found(withParts(C10), 'COLLET')).toEqual([]);
  });
  it('two thirds of a collet are filled, where its maker says no more: 27 of 40', () => {
    const plain = { ...C10, GRIP_MIN: null };
    const out = (stickout: number) => grade({ ...withParts(plain), stickout }, 'GRIP');
    // OAL 72: 26.67 mm are gripped at a stickout of 45.33.
    expect([out(45.3), out(45.4)]).toEqual(['good', 'question']);
  });
  it('an extension goes by its shank into what grips, by its coupling where both have one', () => {
    const C16 = part('collet', 'C32-16', { COLLET: '32', CLAMP_MIN: 15, CLAMP_MAX: 16 });
    expect(grade(withParts(C16, EXT), 'EXTENSION_FITS')).toBe('good');
    expect(grade(withParts(C10, EXT), 'EXTENSION_FITS')).toBe('stop');
    const onto = (CCMS: string, CCWS: string) =>
      grade(
        build({
          parts: [{ ...EXT, CCMS }],
          details: { cutter: cutterIs(), holder: holderIs({ CCWS }) },
        }),
        'EXTENSION_FITS',
      );
    expect([onto('PSC 50', 'ISO 26623 PSC 50'), onto('PSC 50', 'PSC 63')]).toEqual(['good', 'stop']);
  });
  it('an extension that is drawn out too far is not held', () => {
    const C16 = part('collet', 'C32-16', { COLLET: '32', CLAMP_MIN: 15, CLAMP_MAX: 16, GRIP_MIN: 30 });
    const at = (setOut: number) => grade(withParts(C16, { ...EXT, OAL: 150, setOut }), 'EXTENSION_GRIP');
    expect([at(120), at(120.1)]).toEqual(['good', 'stop']);
  });
  // ISO 7388-3: studs are of one taper size and standard (from memory).
  it('a pull stud is of the taper it is screwed into', () => {
    const stud = (CCMS: string | null, taper: string | null = 'ISO 7388-1 40') =>
      grade(
        build({
          parts: [part('pull-stud', 'PS', { CCMS })],
          details: { cutter: cutterIs(), holder: holderIs({ CCMS: taper }) },
        }),
        'PULL_STUD',
      );
    expect(stud('ISO 7388-1 40')).toBe('good');
    expect(stud('ISO 7388-1 50')).toBe('stop');
    expect(stud('BT40')).toBe('stop');
    expect(stud(null)).toBe('not judged');
    expect(stud('ISO 7388-1 40', 'HSK-A63')).toBe('stop');
    expect(found(build(), 'PULL_STUD')).toMatchObject([{ grade: 'not judged', aside: true }]);
    expect(
      found(build({ details: { cutter: cutterIs(), holder: holderIs({ CCMS: 'HSK-A63' }) } }), 'PULL_STUD'),
    ).toEqual([]);
  });
  it('coolant comes through when every part lets it: one that does not is named', () => {
    const chain = (holder: boolean | null, collet: boolean | null) =>
      found(
        build({
          parts: [{ ...C10, CSP: collet }],
          details: { cutter: cutterIs({ CSP: true }), holder: holderIs({ CSP: holder }) },
        }),
        'COOLANT',
      )[0];
    expect(chain(true, true)).toMatchObject({ grade: 'good' });
    expect(chain(true, false)).toMatchObject({ grade: 'question', aside: true });
    expect(chain(true, false)?.words).toContain('C32-10');
    expect(chain(null, true)).toMatchObject({ grade: 'not judged', aside: true });
    expect(found(withParts(C10), 'COOLANT')).toEqual([]);
  });
  it('advises against a collet for what may rough, and only advises', () => {
    const rough = geometry('roughing', { DC: 16, DMM: 16, LCF: 32, OAL: 92 });
    expect(found(build({ cutter: rough }), 'CLAMPING')).toMatchObject([{ grade: 'question', aside: true }]);
    expect(found(build(), 'CLAMPING')).toEqual([]);
    const lock = holderIs({ CLAMPING: 'side-lock', COLLET: null });
    expect(
      found(build({ cutter: rough, details: { cutter: cutterIs(), holder: lock } }), 'CLAMPING'),
    ).toEqual([]);
  });
});

it('the range of a stickout is where judgeBuild stops nothing (both sides, random cutters and collets)', () => {
  let seed = 3;
  const next = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
  const of = ['FLUTES_GRIPPED', 'NECK_GRIPPED', 'GRIP', 'DEPTH'];
  const wrong = (b: Build) =>
    judgeBuild(b).filter((j) => of.includes(j.code) && !['good', 'not judged'].includes(j.grade));
  let asked = 0;
  for (let i = 0; i < 200; i++) {
    const LCF = 5 + next() * 30;
    const c = geometry('square', {
      DC: 10,
      DMM: 10,
      LCF,
      OAL: 60 + next() * 40,
      ...(next() < 0.3 ? { DN: 9, LU: LCF + next() * 20 } : {}),
    });
    const b = build({ cutter: c, parts: next() < 0.5 ? [C10] : [{ ...C10, GRIP_MIN: null }] });
    const { least, most } = stickoutRange(b);
    if (least === null || most === null || least >= most) continue;
    asked++;
    expect(wrong({ ...b, stickout: least })).toEqual([]);
    expect(wrong({ ...b, stickout: most })).toEqual([]);
    expect(wrong({ ...b, stickout: least - 0.01 })).not.toEqual([]);
    expect(wrong({ ...b, stickout: most + 0.01 })).not.toEqual([]);
  }
  expect(asked).toBeGreaterThan(100);
});

// ISO 6462: bores of shell mills 16, 22, 27, 32, 40, 50, 60 mm, from memory.
describe('a body on its arbor, a head that is screwed in: nothing is set', () => {
  const body = geometry('face', { DC: 50, LCF: 10, NOF: 5 });
  const on = (DCB: number | null, stickout: number) =>
    build({
      cutter: body,
      stickout,
      holder: { ...chuck, CLAMP_MIN: 22, CLAMP_MAX: 22 },
      details: {
        cutter: cutterIs({ SHANK: 'arbor bore', DCB, LPR: 40, RPM_MAX: null }),
        holder: holderIs({ CLAMPING: 'face mill arbor', COLLET: null }),
      },
    });
  it('a bore goes on its own pilot', () => {
    expect(grade(on(22, 40), 'BORE_FITS')).toBe('good');
    expect(grade(on(27, 40), 'BORE_FITS')).toBe('stop');
    expect(grade(on(null, 40), 'BORE_FITS')).toBe('not judged');
  });
  // ISO 6462 has forms A, B and C, from memory.
  it('is held by the screw of its own form of seat', () => {
    const on = (MOUNT: string | null, MOUNTS: string | null) =>
      build({
        cutter: body,
        stickout: 40,
        holder: { ...chuck, CLAMP_MIN: 22, CLAMP_MAX: 22 },
        details: {
          cutter: cutterIs({ SHANK: 'arbor bore', DCB: 22, MOUNT, LPR: 40, RPM_MAX: null }),
          holder: holderIs({ CLAMPING: 'face mill arbor', COLLET: null, MOUNTS }),
        },
      });
    const formed = (MOUNT: string | null, MOUNTS: string | null) => grade(on(MOUNT, MOUNTS), 'SEAT_FORM');
    expect([formed('A', 'A and B'), formed('B', 'a, b'), formed('C', 'A B')]).toEqual([
      'good',
      'good',
      'stop',
    ]);
    expect([formed('A', null), formed(null, 'A')]).toEqual(['not judged', 'not judged']);
    expect(found(on(null, null), 'SEAT_FORM')).toEqual([]);
  });
  it('stands out as far as it is high, and has no shank to be judged', () => {
    expect(grade(on(22, 40), 'SEATED')).toBe('good');
    expect(grade(on(22, 41), 'SEATED')).toBe('stop');
    for (const code of ['SHANK_FITS', 'GRIP', 'DEPTH', 'FLUTES_GRIPPED'])
      expect(found(on(22, 40), code)).toEqual([]);
  });
  it('a thread goes into its own', () => {
    const head = (CCMS: string, CCWS: string) =>
      grade(
        build({
          details: { cutter: cutterIs({ SHANK: 'threaded', CCMS, LPR: 34 }), holder: holderIs({ CCWS }) },
        }),
        'THREAD_FITS',
      );
    expect([head('M10', 'm10'), head('M10', 'M12')]).toEqual(['good', 'stop']);
  });
});

describe('weight by outline and density: five assemblies by hand', () => {
  const W = (known: Partial<Parameters<typeof weightOf>[0]> = {}) =>
    weightOf({
      cutter: mill,
      holder: chuck,
      stickout: 32,
      parts: [],
      details: { cutter: cutterIs(), holder: holderIs() },
      ...known,
    });
  // A rod of 10 x 72 is 5654.867 mm³; at 14.5 g/cm³ 0.0820 kg.
  it('holder of a stated 1.2 kg, carbide rod 10 x 72', () => {
    const w = W({ details: { cutter: cutterIs(), holder: holderIs({ WT: 1.2 }) } });
    expect(w.value).toBeCloseTo(1.282, 4);
    expect(w.atLeast).toBe(false);
  });
  // Discs 63 x 27 and 50 x 33: 84165.5 + 64795.3 mm³, 1.16934 kg. Cone from 44.45 over 68.4 to 24.5: 65630.8 mm³, 0.51520.
  // Rod 0.08200, of which 40 mm lie in the steel: less 3141.593 mm³ x 7.85, 0.02466.
  it('holder by its outline and cone, the rod gripped over 40', () => {
    expect(W().value).toBeCloseTo(1.16934 + 0.5152 + 0.082 - 0.02466, 4);
  });
  // A cone from 32 to 24 over 100 is π 100 (16² + 16·12 + 12²) / 3 = 61993 mm³, 0.48665 kg; the rod is gripped in it over 40.
  it('with an extension that tapers', () => {
    const taper = { ...EXT, segments: [{ length: 100, upper: 32, lower: 24 }] };
    expect(W({ parts: [C10, taper] }).value).toBeCloseTo(1.16934 + 0.5152 + 0.48665 + 0.082 - 0.02466, 4);
  });
  // A steel disc of 50 x 40: 78539.8 mm³, 0.61654 kg.
  it('a shell mill of 50 x 40 on an arbor of a stated 1.1 kg', () => {
    const w = W({
      cutter: geometry('square', { DC: 50, LCF: 40 }),
      stickout: 40,
      details: {
        cutter: cutterIs({ SHANK: 'arbor bore', DCB: 22, LPR: 40, RPM_MAX: null }),
        holder: holderIs({ WT: 1.1 }),
      },
    });
    expect(w.value).toBeCloseTo(1.71654, 4);
  });
  // Half a ball of radius 5 and a rod of 10 x 67: 261.80 + 5262.17 mm³, 0.08010 kg. The drawn round has corners.
  it('a ball-nosed one, what is not known named and not counted', () => {
    const ball = geometry('ball', { DC: 10, DMM: 10, LCF: 22, OAL: 72 });
    const w = W({ cutter: ball, holder: { ...chuck, segments: [] }, parts: [part('spare', 'TUBE')] });
    expect(w.atLeast).toBe(true);
    expect(w.because.words).toContain('TUBE');
    expect(w.because.words).toContain('CC32-40');
    expect(w.value).toBeGreaterThan(0.515);
    expect(w.value).toBeLessThan(0.5152 + 0.0801 + 0.0001);
  });
  it('turns an outline about the axis: cylinder, cone, nothing', () => {
    expect(
      revolvedVolume([
        { z: 0, r: 5 },
        { z: 10, r: 5 },
      ]),
    ).toBeCloseTo(785.398, 3);
    expect(
      revolvedVolume([
        { z: 0, r: 0 },
        { z: 9, r: 3 },
      ]),
    ).toBeCloseTo(84.823, 3);
    expect(revolvedVolume([])).toBe(0);
  });
});

describe('how fast, and how true', () => {
  // ISO 21940-11: 1 kg, G 2.5, 20,000 rev/min: 1.2 g mm.
  it('permits 1.2 g mm at 20,000', () => expect(permissibleUnbalance(1, 20000, 2.5)).toBeCloseTo(1.19, 2));
  it('the lowest limit of all parts, and those that state none', () => {
    const details = { cutter: cutterIs({ RPM_MAX: null }), holder: holderIs() };
    expect(rpmLimit(chuck, [C10, EXT], details)).toEqual({
      lowest: { of: 'EXT16', rpm: 9000 },
      unknown: ['cutter body'],
    });
    expect(rpmLimit({ ...chuck, RPM_MAX: null }, [], { ...details, cutter: cutterIs() })).toEqual({
      lowest: null,
      unknown: ['CC32-40'],
    });
  });
});

describe('side deflection at the tip', () => {
  // By hand: 22³ / (3 · 600,000 · 201.06) + (40³ − 22³) / (3 · 600,000 · 490.87) = 8.980e-5 mm per N.
  it('of a carbide cutter 40 out, by hand and by summing M m / E I in thin slices', () => {
    const got = deflection(mill, cutterIs(), [], 40, 100);
    expect(got.tip.value).toBeCloseTo(0.00898, 5);
    let slices = 0;
    for (let x = 0.005; x < 40; x += 0.01)
      slices += (x * x * 0.01) / (600_000 * (Math.PI / 64) * (x < 22 ? 8 : 10) ** 4);
    expect(got.tip.value).toBeCloseTo(100 * slices, 5);
    // At 30 out 4.793e-5: 0.534 as stiff.
    expect(got.stiffness).toBeCloseTo(0.534, 3);
    expect(deflection(mill, cutterIs(), [], 30, 100).stiffness).toBeCloseTo(1, 9);
  });
  it('an extension gives way too; what is not known is not reckoned with', () => {
    // (140³ − 40³) / (3 · 210,000 · π/64 · 16⁴) = 2,680,000 / 2.0267e9 = 1.3223e-3 mm per N more.
    const got = deflection(mill, cutterIs(), [EXT], 40, 100);
    expect(got.tip.value).toBeCloseTo(0.00898 + 0.13223, 4);
    expect(deflection(mill, cutterIs({ SUBSTRATE: null }), [], 40, 100)).toMatchObject({
      tip: { value: null },
      stiffness: null,
    });
    expect(deflection(mill, cutterIs(), [{ ...EXT, DMM: null }], 40, 100).tip.value).toBeNull();
    expect(deflection(mill, cutterIs({ SHANK: 'arbor bore' }), [], 40, 100).tip.value).toBeNull();
  });
});
