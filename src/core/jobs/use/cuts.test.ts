import { geometry } from '../../cutters';
import { readProgram } from '../../programs';
import { asksOf, judgeFit, type UseBuild } from '../index';

/**
 * What a program does with a cutter, read out of real text. That a tap is fed by its pitch is its geometry; that it must not
 * dwell, that a mill without a centre is not to be fed straight down, and the ramp limit of its maker are common practice.
 */
const MACHINE = { code: 'M2', taper: 'ISO 7388-1 40', hEqualsT: true, rpmMax: 12_000, feedMax: 10_000 };
const TAP: UseBuild = {
  name: 'A-0008',
  cutter: geometry('tap', { DC: 8, LCF: 20, LU: 35, DMM: 8, OAL: 90 }),
  body: null,
  stickout: 50,
  holder: { taper: 'ISO 7388-1 40', rpmMax: 12_000 },
  cuts: { centreCutting: null, pitch: 1.25, body: false },
};
const MILL: UseBuild = {
  ...TAP,
  name: 'A-0107',
  cutter: geometry('square', { DC: 10, LCF: 22, DMM: 10, OAL: 72, NOF: 4, RMPX: 3 }),
  cuts: { centreCutting: false, pitch: null, body: false },
};
const HEAD = 'G21 G90\nT8 M6\nS240 M3\nG43 H8 G0 X0 Y0 Z20\n';
const said = (text: string, build: UseBuild, code: string, highestBeside: number | null = 0) => {
  const [tool] = readProgram(HEAD + text).tools;
  if (!tool) throw new Error('the text changes to a tool');
  const asks = asksOf(tool);
  const judged = judgeFit({ asks, here: { highestBeside, passDepth: null }, machine: MACHINE }, build);
  return judged.filter((j) => j.code === code);
};

describe('a tap', () => {
  it.each([
    ['M8 at 240 rev/min: 300 mm/min', 'G84 R5 Z-12 F300', 'good'],
    ['a thousandth beside it is the rounding of F', 'G84 R5 Z-12 F300.3', 'good'],
    ['a hundredth is asked about', 'G84 R5 Z-12 F303', 'question'],
    ['the pitch of M8 fine, 1.0, tears the thread', 'G84 R5 Z-12 F240', 'stop'],
    ['by a turn', 'G95 G84 R5 Z-12 F1.25', 'good'],
    ['by a turn, of another thread', 'G95 G84 R5 Z-12 F1.5', 'stop'],
    ['in inches a minute: 300 / 25.4', 'G20 G84 R0.2 Z-0.5 F11.811', 'good'],
    ['with the spindle off nobody can tell', 'M5\nG84 R5 Z-12 F300', 'not judged'],
  ])('%s', (_, text, grade) => expect(said(text, TAP, 'TAP_FEED')).toMatchObject([{ grade }]));
  it('says where it stands, and what it would have to be', () => {
    const [j] = said('G0 X5\nG84 R5 Z-12 F240', TAP, 'TAP_FEED');
    expect(j?.words).toBe('240 by S240 is 1 mm a turn, the tap’s pitch is 1.25 mm');
    expect(j?.because.values[0]).toEqual({ name: 'cycle', value: 'G84', source: 'program, line 6' });
  });
  it('each different feed or speed is judged, a hole more is not', () =>
    expect(said('G84 R5 Z-12 F300\nX10\nX20\nS200\nX30', TAP, 'TAP_FEED').map((j) => j.grade)).toEqual([
      'good',
      'stop',
    ]));
  it('without its pitch it is not judged', () =>
    expect(
      said(
        'G84 R5 Z-12 F300',
        { ...TAP, cuts: { centreCutting: null, pitch: null, body: false } },
        'TAP_FEED',
      ),
    ).toMatchObject([{ grade: 'not judged' }]));
  it('what is no tap taps nothing', () =>
    expect(said('G84 R5 Z-12 F300', MILL, 'TAP_FEED')).toMatchObject([
      { grade: 'stop', words: 'G84 taps, and this is no tap' },
    ]));
  it('a dwell at the bottom is asked about, none is not', () => {
    expect(said('G84 R5 Z-12 P0.5 F300', TAP, 'TAP_DWELL')).toMatchObject([{ grade: 'question' }]);
    expect(said('G84 R5 Z-12 F300', TAP, 'TAP_DWELL')).toEqual([]);
  });
});

describe('straight down with a mill that has no centre', () => {
  const down = 'G0 Z2\nG1 Z-4 F100\nX50';
  it('is asked about below the top, with its line', () => {
    const [j] = said(down, MILL, 'PLUNGE');
    expect(j).toMatchObject({ grade: 'question', words: expect.stringContaining('to Z-4') });
    expect(j?.because.values[0]?.source).toBe('program, line 6');
  });
  it('not above everything, not with a centre, not where nobody knows, not by a ramp', () => {
    expect(said('G0 Z9\nG1 Z5 F100', MILL, 'PLUNGE', 5)).toEqual([]);
    for (const centreCutting of [true, null])
      expect(said(down, { ...MILL, cuts: { centreCutting, pitch: null, body: false } }, 'PLUNGE')).toEqual(
        [],
      );
    expect(said('G0 Z0\nG1 X50 Z-1 F100', MILL, 'PLUNGE')).toEqual([]);
  });
  it('where the top is not known it is asked about', () =>
    expect(said(down, MILL, 'PLUNGE', null)).toHaveLength(1));
  it('a face mill goes down beside the work: it is said, and decides nothing', () => {
    const face = {
      ...MILL,
      cutter: geometry('face', { DC: 50, LCF: 10, NOF: 5 }),
      body: { rpmMax: 9000 },
      cuts: { centreCutting: false, pitch: null, body: true },
    };
    expect(said(down, face, 'PLUNGE')).toMatchObject([{ grade: 'question', aside: true }]);
  });
});

it('a slope against the ramp limit: 1 in 20 is 2.86 degrees, 1 in 10 is 5.71', () => {
  expect(said('G0 Z0\nG1 X20 Z-1 F100', MILL, 'RAMP')).toMatchObject([{ grade: 'good' }]);
  expect(said('G0 Z0\nG1 X10 Z-1 F100', MILL, 'RAMP')).toMatchObject([
    { grade: 'question', words: 'Feeds down at 5.71°, its limit is 3°' },
  ]);
  expect(said('G0 Z0\nG1 X10 Z-1 F100', { ...MILL, cutter: { ...MILL.cutter, RMPX: null } }, 'RAMP')).toEqual(
    [],
  );
});

it('chip load by every pair of feed and speed: F ÷ (S × flutes)', () => {
  // 96 / (240 × 4) = 0.1; 240 / (240 × 4) = 0.25
  const [j] = said('G0 Z0\nG1 X50 F240\nX60 F96', MILL, 'CHIP_LOAD');
  expect(j).toMatchObject({ grade: 'good', aside: true, words: '0.1 mm to 0.25 mm a tooth' });
  expect(j?.because.values.map((v) => v.source)).toEqual(['program, line 7', 'program, line 6', 'A-0107']);
  expect(said('G0 Z0\nG93 G1 X50 F2', MILL, 'CHIP_LOAD')).toEqual([]);
  expect(said('G0 Z0\nG81 R5 Z-12 F300', TAP, 'CHIP_LOAD')).toEqual([]);
});
