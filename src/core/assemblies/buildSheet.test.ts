import * as fc from 'fast-check';
import { worstGrade } from '../because';
import { type CutterGeometry, geometry, type HolderGeometry } from '../cutters';
import {
  type BuiltAfter,
  judgeBySheet,
  mustOf,
  type Part,
  partsStandIn,
  type SheetDesign,
  standsIn,
} from './index';

const NONE = {
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
} satisfies Omit<Part, 'code' | 'kind'>;
const collet = (code: string, COLLET: string, CLAMP_MIN: number, CLAMP_MAX: number): Part => ({
  ...NONE,
  code,
  kind: 'collet',
  COLLET,
  CLAMP_MIN,
  CLAMP_MAX,
});
const EM = geometry('square', { DC: 10, DMM: 10, LCF: 22, OAL: 72, NOF: 4 });
const LF70: HolderGeometry = {
  LF: 70,
  CLAMP_MIN: 2,
  CLAMP_MAX: 20,
  GRIP_MIN: null,
  DEPTH_MAX: 74,
  RPM_MAX: 12000,
  segments: [{ length: 70, upper: 63, lower: 50 }],
};
const details = (code: string) => ({
  code,
  CCMS: 'ISO 7388-1 40',
  CCWS: null,
  CLAMPING: 'collet',
  SHANKS: null,
  COLLET: '32',
  CSP: null,
  WT: null,
  TORQUE: null,
});
const C10 = collet('C32-10', '32', 9, 10);
const SHEET: SheetDesign = {
  name: 'BS-1 v1',
  cutterCode: 'EM10',
  must: mustOf(EM, 'carbide'),
  holder: { details: details('CC32'), geometry: LF70 },
  parts: [C10],
  range: { least: 31, most: 33 },
  grip: null,
};
const asDrawn: BuiltAfter = {
  offered: { code: 'EM10', cutter: EM, substrate: 'carbide' },
  holder: SHEET.holder,
  parts: [C10],
  stickout: 32,
};
const grade = (built: Partial<BuiltAfter>, sheet: Partial<SheetDesign> = {}) =>
  worstGrade(judgeBySheet({ ...SHEET, ...sheet }, { ...asDrawn, ...built }));
const other = (over: Partial<CutterGeometry>, substrate: string | null = 'carbide') =>
  standsIn(SHEET.must, { code: 'X', cutter: { ...EM, ...over }, substrate }, 'EM10');

it('what is built as it was drawn is good, anywhere in its range', () =>
  fc.assert(
    fc.property(fc.double({ min: 31, max: 33, noNaN: true }), (stickout) => grade({ stickout }) === 'good'),
  ));

// Common practice: form and size make the part, so they must be the sheet's; what only changes speeds and feeds is asked about.
describe('a cutter stands in for another', () => {
  it.each([
    ['the same figures under another code', {}, 'good'],
    ['more flute', { LCF: 26 }, 'good'],
    ['less flute: it would rub above', { LCF: 20 }, 'stop'],
    ['reground to 9.8', { DC: 9.8 }, 'stop'],
    ['a corner radius where the sheet says none', { RE: 1 }, 'question'],
    ['a drill', { family: 'drill' }, 'stop'],
    ['three flutes: another feed', { NOF: 3 }, 'question'],
    ['shank 12: another collet', { DMM: 12 }, 'question'],
    ['flutes not known', { LCF: null, APMX: null }, 'not judged'],
  ] as const)('%s', (_, over, is) => expect(other(over).grade).toBe(is));
  it('of another material of its edge', () => {
    expect(other({}, 'HSS')).toMatchObject({
      grade: 'question',
      words: 'X in the place of EM10: HSS, not carbide',
    });
    expect(other({}, null).grade).toBe('not judged');
  });
  it('a corner radius is held against the one that is asked for', () => {
    const must = mustOf(geometry('corner-radius', { DC: 10, RE: 0.5 }), null);
    const cut = (RE: number | null) =>
      standsIn(must, { code: 'X', cutter: geometry('corner-radius', { DC: 10, RE }), substrate: null }, null)
        .grade;
    expect([cut(0.5), cut(1), cut(null)]).toEqual(['good', 'stop', 'not judged']);
  });
  it('says all that differs in one line', () =>
    expect(other({ NOF: 3, LCF: 20 }).words).toBe(
      'X in the place of EM10: NOF 3, the sheet asks for 4, 2 mm less flute than the sheet asks for',
    ));
});

it('a holder that comes out longer, or is thicker or slower, is asked about; one of another taper is stopped', () => {
  const holder = (over: Partial<HolderGeometry>, CCMS: string | null = 'ISO 7388-1 40') => ({
    details: { ...details('CC32-L'), CCMS },
    geometry: { ...LF70, ...over },
  });
  expect(grade({ holder: holder({}) })).toBe('good');
  expect(judgeBySheet(SHEET, { ...asDrawn, holder: holder({ LF: 100 }) })[1]?.words).toBe(
    'CC32-L in the place of CC32: comes out 30 mm longer',
  );
  expect(grade({ holder: holder({ segments: [{ length: 70, upper: 70, lower: 50 }] }) })).toBe('question');
  expect(grade({ holder: holder({ RPM_MAX: 8000 }) })).toBe('question');
  expect(grade({ holder: holder({ RPM_MAX: null }) })).toBe('not judged');
  expect(grade({ holder: holder({}, 'ISO 7388-1 50') })).toBe('stop');
  expect(grade({ holder: holder({}, null) })).toBe('not judged');
  const takes = (COLLET: string | null) => ({ details: { ...details('SL10'), COLLET }, geometry: LF70 });
  expect([
    grade({ holder: takes('25') }),
    grade({ holder: takes(null) }),
    grade({ holder: takes('ER 32') }),
  ]).toEqual(['stop', 'stop', 'good']);
});

it('parts: each asked one is there, of its size; none more', () => {
  const of = (...parts: Part[]) => partsStandIn([C10], parts).map((j) => j.grade);
  expect(of(C10)).toEqual(['good']);
  expect(of()).toEqual(['stop']);
  expect(of(collet('C16-10', '16', 9, 10))).toEqual(['stop']);
  expect(of(collet('C32-10B', 'ER 32', 9, 10))).toEqual(['good']);
  expect(of(collet('C32-12', '32', 11, 12))).toEqual(['question']);
  expect(of(C10, collet('C32-6', '32', 5, 6))).toEqual(['good', 'question']);
  // The sheet's own is never spent on another's place.
  expect(
    partsStandIn([C10, collet('C32-6', '32', 5, 6)], [collet('C32-6', '32', 5, 6), C10]).map((j) => j.grade),
  ).toEqual(['good', 'good']);
  const extension = (code: string, LPR: number | null, setOut: number | null = null): Part => ({
    ...NONE,
    code,
    kind: 'extension',
    LPR,
    setOut,
  });
  const out = (is: Part) => partsStandIn([extension('X100', 100)], [is])[0]?.grade;
  expect([out(extension('Y', 100)), out(extension('Y', 120)), out(extension('Y', 120, 100))]).toEqual([
    'good',
    'question',
    'good',
  ]);
});

it('a stickout out of its range is stopped, and a grip shorter than the sheet’s own', () => {
  expect(grade({ stickout: 33.5 })).toBe('stop');
  expect(grade({ stickout: 30.9 })).toBe('stop');
  // 72 long, 32 out: 40 gripped.
  expect(grade({}, { grip: 40 })).toBe('good');
  expect(grade({}, { grip: 40.5 })).toBe('stop');
});
