import type { Grade } from '../../because';
import { geometry } from '../../cutters';
import { judgeFit, judgeItself, judgeUse, notCalled, type Use, type UseBuild, type UseState } from '../index';

/**
 * Whether an assembly may run as a T on a machine now: each row a case of the shop, its good and its bad side. Lengths
 * by plane geometry; that a body's limit, an empty seat or a foreign length stops the work is common practice.
 */
const MILL: UseBuild & UseState = {
  name: 'A-0107',
  cutter: geometry('square', { DC: 10, LCF: 22, DN: 9.6, LU: 34, DMM: 10, OAL: 72 }),
  body: null,
  stickout: 36,
  holder: { taper: 'ISO 7388-1 40', rpmMax: 12000 },
  build: [],
  measured: 'measured',
  question: null,
  diameterMeasured: true,
  runout: 0.006,
  registerNeeds: null,
  figuresChanged: false,
  inserts: null,
  wear: null,
  life: { used: 0.2, leftMinutes: 32, fresh: true },
};
/** Half worn: 0.1 of 0.2 mm. */
const READ = { reading: 0.1, limit: 0.2, worn: false };
const GOOD: Use = {
  asks: {
    t: 7,
    h: [7],
    d: [7],
    spindle: [8000],
    highestFeed: 900,
    lowestFeedZ: -30,
    deepestHole: null,
    minutesPerPart: 2,
    atLeast: false,
    warned: [],
  },
  here: { highestBeside: 0, passDepth: 10 },
  machine: { code: 'M2', taper: 'ISO 7388-1 40', hEqualsT: true, rpmMax: 10000, feedMax: 5000 },
  partsLeft: 12,
  assembly: MILL,
  was: null,
};
interface Over {
  asks?: Partial<Use['asks']>;
  here?: Partial<Use['here']>;
  machine?: Partial<Use['machine']>;
  on?: Partial<UseBuild & UseState>;
}
const use = (over: Over): Use => ({
  ...GOOD,
  asks: { ...GOOD.asks, ...over.asks },
  here: { ...GOOD.here, ...over.here },
  machine: { ...GOOD.machine, ...over.machine },
  assembly: { ...MILL, ...over.on },
});
describe('a band of speeds in which the spindle hunts (common practice: it is left out)', () => {
  const hunts = { from: 7500, to: 8500 };
  const asked = (of: Use) => judgeUse(of).judgements.filter((j) => j.code === 'HUNTING');
  it('a speed within it is asked about, its ends too', () => {
    for (const s of [7500, 8000, 8500])
      expect(asked(use({ asks: { spindle: [3000, s] }, machine: { hunts } }))).toMatchObject([
        { grade: 'question' },
      ]);
    expect(judgeUse(use({ machine: { hunts } })).grade).toBe('question');
  });
  it('one beside it is not, nor any where none is known', () => {
    expect(asked(use({ asks: { spindle: [7499, 8501] }, machine: { hunts } }))).toEqual([]);
    expect(asked(use({ asks: { spindle: [8000] }, machine: { hunts: null } }))).toEqual([]);
  });
});

const DRILL = geometry('drill', { DC: 8, LCF: 43, LU: 43, DMM: 8, OAL: 89, SIG: 140 });
const TAP = geometry('tap', { DC: 8, LCF: 16, DMM: 8, OAL: 90 });
const drilling = (over: Over): Over => ({
  ...over,
  asks: { lowestFeedZ: -40, ...over.asks },
  here: { passDepth: null, ...over.here },
  on: { cutter: DRILL, stickout: 60, ...over.on },
});

it('a tool of which all is known and good may run, and says for how many parts', () => {
  const answer = judgeUse(GOOD);
  expect(answer).toMatchObject({ grade: 'good', why: null, goodFor: 16 });
  expect(answer.judgements.map((j) => j.grade)).not.toContain('not judged');
});

/** The code that is judged, what is changed of the good case, and what it comes to. */
const CASES: [code: string, what: string, over: Over, grade: Grade | null][] = [
  // Length and registers
  ['MEASURED', 'not measured', { on: { measured: 'not measured' } }, 'question'],
  [
    'MEASURED',
    'its length in question',
    { on: { measured: 'in question', question: '0.04 longer' } },
    'question',
  ],
  ['REGISTER', 'a school that needs a part zero', { on: { registerNeeds: 'part zero' } }, 'question'],
  ['REGISTER', 'the machine’s K is another since', { on: { figuresChanged: true } }, 'question'],
  [
    'REGISTER',
    'nothing is asked of a length that is not there',
    { on: { measured: 'not measured', figuresChanged: true } },
    null,
  ],
  ['H_T', 'its own H', {}, 'good'],
  ['H_T', 'its own H, and H0 to cancel it', { asks: { h: [7, 0] } }, 'good'],
  ['H_T', 'H5 with T7 where H must be T', { asks: { h: [5] } }, 'stop'],
  ['H_T', 'H5 beside its own', { asks: { h: [7, 5] } }, 'stop'],
  ['H_T', 'H5 where the machine allows it', { asks: { h: [5] }, machine: { hEqualsT: false } }, 'question'],
  ['H_T', 'H0 alone', { asks: { h: [0] } }, 'question'],
  ['H_T', 'no H at all', { asks: { h: [] } }, 'question'],
  ['D_T', 'D of another tool', { asks: { d: [12] } }, 'question'],
  // Common practice: a sister in the magazine has registers of her own; who takes them is the control's doing.
  [
    'H_T',
    'its H by its pocket, the program’s another: nobody said',
    { on: { pocket: { pocket: 5, h: 27, d: 27, takes: null } } },
    'question',
  ],
  [
    'H_T',
    'the machine takes what is called',
    { on: { pocket: { pocket: 5, h: 27, d: 27, takes: 'as called' } } },
    'stop',
  ],
  [
    'H_T',
    'the machine takes its own',
    { on: { pocket: { pocket: 5, h: 27, d: 27, takes: 'its own' } } },
    'good',
  ],
  [
    'H_T',
    'an H of its own, and none is called',
    { asks: { h: [] }, on: { pocket: { pocket: 5, h: 27, d: 27, takes: 'its own' } } },
    'question',
  ],
  [
    'H_T',
    'a pocket that does not say',
    { on: { pocket: { pocket: 5, h: null, d: null, takes: 'as called' } } },
    'good',
  ],
  [
    'H_T',
    'the H of its pocket is called, where H must be T',
    { asks: { h: [27] }, on: { pocket: { pocket: 5, h: 27, d: 27, takes: null } } },
    'stop',
  ],
  [
    'H_T',
    'the H of its pocket is called',
    {
      asks: { h: [27] },
      machine: { hEqualsT: false },
      on: { pocket: { pocket: 5, h: 27, d: 27, takes: null } },
    },
    'good',
  ],
  [
    'H_T',
    'and another beside it',
    {
      asks: { h: [27, 7] },
      machine: { hEqualsT: false },
      on: { pocket: { pocket: 5, h: 27, d: 27, takes: null } },
    },
    'question',
  ],
  [
    'D_T',
    'the same, and its diameter was never measured',
    { on: { diameterMeasured: false, pocket: { pocket: 5, h: 7, d: 27, takes: 'its own' } } },
    'question',
  ],
  [
    'D_T',
    'its D by its pocket, where that is taken',
    { on: { pocket: { pocket: 5, h: 7, d: 27, takes: 'its own' } } },
    'good',
  ],
  [
    'D_T',
    'where what is called is taken',
    { on: { pocket: { pocket: 5, h: 7, d: 27, takes: 'as called' } } },
    'stop',
  ],
  [
    'D_T',
    'D where the machine keeps its own numbers',
    { asks: { d: [57] }, machine: { hEqualsT: false } },
    'good',
  ],
  ['D_T', 'D called and no diameter measured', { on: { diameterMeasured: false } }, 'question'],
  ['D_T', 'no D called', { asks: { d: [] } }, null],
  ['RUNOUT', 'a runout of 0.02', { on: { runout: 0.02 } }, 'good'],
  ['RUNOUT', 'of more', { on: { runout: 0.021 } }, 'question'],
  ['RUNOUT', 'not measured', { on: { runout: null } }, null],
  // Spindle side
  ['TAPER', 'a 40 taper in an R8 spindle', { machine: { taper: 'R8' } }, 'stop'],
  ['TAPER', 'HSK-A 63 in a 40 taper', { on: { holder: { taper: 'HSK-A 63', rpmMax: 12000 } } }, 'stop'],
  [
    'TAPER',
    'a holder whose taper nobody stated',
    { on: { holder: { taper: null, rpmMax: 12000 } } },
    'not judged',
  ],
  ['TAPER', 'the same taper', {}, 'good'],
  // Speed
  ['RPM', 'at the machine’s limit', { asks: { spindle: [10000] } }, 'good'],
  ['RPM', 'over it', { asks: { spindle: [10001] } }, 'stop'],
  ['RPM', 'over the holder’s', { on: { holder: { taper: 'ISO 7388-1 40', rpmMax: 7999 } } }, 'stop'],
  [
    'RPM',
    'S2800 on a body limited to 2000',
    { asks: { spindle: [2800] }, on: { body: { rpmMax: 2000 } } },
    'stop',
  ],
  ['RPM', 'a body whose limit nobody stated', { on: { body: { rpmMax: null } } }, 'not judged'],
  [
    'RPM',
    'a holder whose limit nobody stated',
    { on: { holder: { taper: 'ISO 7388-1 40', rpmMax: null } } },
    'not judged',
  ],
  ['RPM', 'a machine whose limit nobody stated', { machine: { rpmMax: null } }, 'not judged'],
  [
    'RPM',
    'a stop is a stop, whatever else is not known',
    { machine: { rpmMax: null }, asks: { spindle: [12001] } },
    'stop',
  ],
  ['RPM', 'it never turns', { asks: { spindle: [] } }, null],
  ['FEED', 'at the feed limit', { asks: { highestFeed: 5000 } }, 'good'],
  ['FEED', 'over it', { asks: { highestFeed: 5001 } }, 'question'],
  // Depth
  ['REACH', '31 of stickout for 30', { on: { stickout: 31 } }, 'good'],
  ['REACH', 'less than a millimetre to spare', { on: { stickout: 30.99 } }, 'question'],
  ['REACH', 'a hundredth short', { on: { stickout: 29.99 } }, 'stop'],
  ['REACH', 'a jaw 7 above', { here: { highestBeside: 7 } }, 'stop'],
  ['REACH', 'nothing known beside the cut', { here: { highestBeside: null } }, 'not judged'],
  ['REACH', 'a program that was not read whole', { asks: { atLeast: true } }, 'not judged'],
  ['REACH', 'it never feeds', { asks: { lowestFeedZ: null } }, null],
  ['REACH', 'its depth was not understood', { asks: { lowestFeedZ: null, atLeast: true } }, 'not judged'],
  ['PASS_DEPTH', 'a pass as deep as the flutes', { here: { passDepth: 22 } }, 'good'],
  ['PASS_DEPTH', 'a hundredth deeper', { here: { passDepth: 22.01 } }, 'stop'],
  [
    'PASS_DEPTH',
    'not stated, and deeper than the flutes in all',
    { here: { passDepth: null } },
    'not judged',
  ],
  [
    'PASS_DEPTH',
    'not stated, and all of it within the flutes',
    { here: { passDepth: null }, asks: { lowestFeedZ: -20 } },
    'good',
  ],
  [
    'PASS_DEPTH',
    'flutes nobody measured',
    { on: { cutter: geometry('square', { DC: 10, DMM: 10 }) } },
    'not judged',
  ],
  ['WALLS', 'a neck thinner than the cut', {}, 'good'],
  [
    'WALLS',
    'a straight shank as wide as the cut',
    { on: { cutter: geometry('square', { DC: 10, LCF: 22, DMM: 10 }) } },
    'question',
  ],
  [
    'WALLS',
    'a shank wider than the cut',
    { on: { cutter: geometry('square', { DC: 6, LCF: 13, DMM: 10 }) } },
    'stop',
  ],
  [
    'WALLS',
    'a thin neck that ends above the wall',
    { on: { cutter: geometry('square', { DC: 6, LCF: 13, DN: 5.8, LU: 32, DMM: 10 }) } },
    'good',
  ],
  [
    'WALLS',
    'the shank behind a neck that is too short',
    { on: { cutter: geometry('square', { DC: 6, LCF: 13, DN: 5.8, LU: 25, DMM: 10 }) } },
    'stop',
  ],
  [
    'WALLS',
    'a shank nobody measured',
    { on: { cutter: geometry('square', { DC: 10, LCF: 22 }) } },
    'not judged',
  ],
  ['WALLS', 'no deeper than the flutes', { asks: { lowestFeedZ: -20 } }, null],
  ['HOLE_DEPTH', '43 of flute for 40', drilling({}), 'good'],
  ['HOLE_DEPTH', '43 of flute for 48', drilling({ asks: { lowestFeedZ: -48 } }), 'stop'],
  [
    'HOLE_DEPTH',
    'a jaw above, but the cycle feeds less',
    drilling({ here: { highestBeside: 30 }, asks: { deepestHole: 42 } }),
    'good',
  ],
  [
    'HOLE_DEPTH',
    'the part’s top not known, a short cycle',
    drilling({ here: { highestBeside: null }, asks: { deepestHole: 42 } }),
    'good',
  ],
  [
    'HOLE_DEPTH',
    'the part’s top not known, a long one',
    drilling({ here: { highestBeside: null }, asks: { deepestHole: 50 } }),
    'not judged',
  ],
  [
    'HOLE_DEPTH',
    'a tap through its own length',
    drilling({ on: { cutter: TAP }, asks: { lowestFeedZ: -14 } }),
    'good',
  ],
  [
    'HOLE_DEPTH',
    'a tap deeper, its neck not known',
    drilling({ on: { cutter: TAP }, asks: { lowestFeedZ: -30 } }),
    'not judged',
  ],
  ['HOLE_DEPTH', 'a program that was not read whole', drilling({ asks: { atLeast: true } }), 'not judged'],
  // What became of it
  ['INSERTS', 'a bare body', { on: { inserts: { seats: 5, mounted: 0, damaged: 0 } } }, 'stop'],
  [
    'INSERTS',
    'four inserts in five seats',
    { on: { inserts: { seats: 5, mounted: 4, damaged: 0 } } },
    'stop',
  ],
  [
    'INSERTS',
    'a seat that is damaged and left out',
    { on: { inserts: { seats: 5, mounted: 4, damaged: 1 } } },
    'question',
  ],
  // Common practice: what was found damaged holds nothing safely until it was looked over, and no insert is left in it.
  [
    'INSERTS',
    'an insert in a seat that was found damaged',
    { on: { inserts: { seats: 5, mounted: 5, damaged: 1 } } },
    'stop',
  ],
  ['INSERTS', 'one in each', { on: { inserts: { seats: 5, mounted: 5, damaged: 0 } } }, 'good'],
  [
    'INSERTS',
    'seats nobody counted',
    { on: { inserts: { seats: null, mounted: 5, damaged: 0 } } },
    'not judged',
  ],
  ['WEAR', 'at the criterion', { on: { wear: { reading: 0.2, limit: 0.2, worn: true } } }, 'stop'],
  ['WEAR', 'below it', { on: { wear: { reading: 0.1, limit: 0.2, worn: false } } }, 'good'],
  ['WEAR', 'coarse chips', { on: { wear: { ...READ, asks: 'coarse chips out of the edge' } } }, 'question'],
  [
    'WEAR',
    'less left than a part',
    { on: { wear: { ...READ, left: { minutes: 1.9, cautious: 1 } } } },
    'question',
  ],
  ['WEAR', 'a part left', { on: { wear: { ...READ, left: { minutes: 2, cautious: null } } } }, 'good'],
  ['LIFE', 'nearly all of it used', { on: { life: { used: 0.8, leftMinutes: 8, fresh: true } } }, 'question'],
  ['LIFE', 'past it', { on: { life: { used: 1, leftMinutes: 0, fresh: true } } }, 'question'],
  ['LIFE', 'not known', { on: { life: { used: null, leftMinutes: null, fresh: true } } }, 'not judged'],
  // The program itself
  ['PROGRAM_NO_POINT', 'numbers the control may scale', { asks: { warned: ['NO_POINT'] } }, 'question'],
  [
    'PROGRAM_T_WITHOUT_CHANGE',
    'nothing changes to it',
    { asks: { warned: ['T_WITHOUT_CHANGE'] } },
    'question',
  ],
  [
    'PROGRAM_OFFSET_WRITTEN',
    'it writes offsets itself',
    { asks: { warned: ['OFFSET_WRITTEN'] } },
    'question',
  ],
  [
    'PROGRAM_SPINDLE_OFF_FEED',
    'it feeds with the spindle off',
    { asks: { warned: ['SPINDLE_OFF_FEED'] } },
    'question',
  ],
];

it.each(CASES)('%s, %s', (code, _, over, grade) => {
  const answer = judgeUse(use(over));
  const judged = answer.judgements.find((j) => j.code === code);
  expect(judged?.grade ?? null).toBe(grade);
  // What is no pass is none of the whole, unless it is said beside.
  if (judged && judged.grade !== 'good' && !judged.aside) expect(answer.grade).not.toBe('good');
  if (judged) expect(judged.because.words).not.toBe('');
});

it('what is beside the work keeps nothing from running: a slow machine, a life nobody knows', () => {
  expect(judgeUse(use({ asks: { highestFeed: 9000 } }))).toMatchObject({ grade: 'good' });
  expect(judgeUse(use({ on: { life: { used: null, leftMinutes: null, fresh: true } } }))).toMatchObject({
    grade: 'good',
    goodFor: null,
  });
});
it('a stop of the build stands, and names itself', () => {
  const build = [
    { code: 'GRIP', grade: 'stop' as const, words: 'Too short to grip', because: { words: 'x', values: [] } },
  ];
  expect(judgeUse(use({ on: { build } }))).toMatchObject({ grade: 'stop', why: 'Too short to grip' });
});
it('advice of the build, such as cutting lighter, is no question of the use', () => {
  const build = [
    { code: 'RATIO', grade: 'question' as const, words: '4.5 × D', because: { words: 'x', values: [] } },
  ];
  expect(judgeUse(use({ on: { build } })).grade).toBe('good');
});
it('worn is nothing left, whatever the minutes say', () =>
  expect(judgeUse(use({ on: { wear: { reading: 0.3, limit: 0.2, worn: true } } }))).toMatchObject({
    grade: 'stop',
    goodFor: 0,
  }));
it('the limit that binds is named', () =>
  expect(judgeUse(use({ asks: { spindle: [2800] }, on: { body: { rpmMax: 2000 } } })).why).toBe(
    'S2800 is over the cutter body’s 2000',
  ));
it('nothing tied is a question, what was taken down is named, and the program is judged all the same', () => {
  expect(judgeUse({ ...GOOD, assembly: null })).toMatchObject({
    grade: 'question',
    why: 'T7 has no assembly yet',
    goodFor: null,
  });
  expect(judgeUse({ ...GOOD, assembly: null, was: 'A-0101' }).why).toBe('A-0101 was taken down');
  expect(judgeUse({ ...GOOD, asks: { ...GOOD.asks, h: [5] }, assembly: null }).grade).toBe('stop');
});
it('a T the program does not call any more says so', () =>
  expect(notCalled(4)).toMatchObject({ grade: 'question', why: 'The program does not call T4' }));
it('before anybody tightens a nut taper, reach, flutes and speed are judged, and nothing that is not there yet', () =>
  expect(judgeFit(GOOD, MILL).map((j) => j.code)).toEqual([
    'TAPER',
    'RPM',
    'FEED',
    'REACH',
    'PASS_DEPTH',
    'WALLS',
  ]));

describe('what is left, by the lives of others and by the wear of this very edge', () => {
  const words = (of: Use, code: string) => judgeUse(of).judgements.find((j) => j.code === code)?.words;
  // 2 min a part; 32 min of life left are 16 parts.
  it('is the one that ends first, and says which', () => {
    const wears = (minutes: number) => ({ wear: { ...READ, left: { minutes, cautious: null } } });
    expect(judgeUse(use({ on: wears(50) })).goodFor).toBe(16);
    expect(words(use({ on: wears(50) }), 'LIFE')).toBe('Good for about 12 of 12 parts');
    expect(judgeUse(use({ on: wears(9) })).goodFor).toBe(4);
    expect(words(use({ on: wears(9) }), 'LIFE')).toBe('Good for about 4 of 12 parts by its wear');
  });
  it('is said by its wear where nothing is known of its life, and not at all where neither is', () => {
    const life = { used: null, leftMinutes: null, fresh: true };
    expect(
      words(use({ on: { life, wear: { ...READ, left: { minutes: 7, cautious: null } } } }), 'LIFE'),
    ).toMatch(/^Good for about 3 of 12/);
    expect(words(use({ on: { life, wear: READ } }), 'LIFE')).toBe('Life left: cannot say');
    expect(judgeUse(use({ on: { life, wear: READ } })).goodFor).toBeNull();
  });
  it('worn by its corner is worn, whatever the flank says', () => {
    const wear = { ...READ, worn: true, corner: { reading: 0.35, limit: 0.333 } };
    expect(words(use({ on: { wear } }), 'WEAR')).toBe('Worn: corner worn 0.35 of 0.33 mm');
    expect(judgeUse(use({ on: { wear } })).goodFor).toBe(0);
  });
  it('a reading of signs alone says nothing of wear', () => {
    expect(words(use({ on: { wear: { ...READ, reading: null } } }), 'WEAR')).toBeUndefined();
  });
});

it('fragments that nobody accounted for stop every T of the operation, tied or not; a cutter that is held back stops where it stands', () => {
  // Common practice: a shard left in the cut breaks the next cutter, on whichever T that is.
  expect(judgeUse(use({ here: { fragmentsOfT: 9 } }))).toMatchObject({
    grade: 'stop',
    why: 'Fragments of the cutter that broke on T9 are not accounted for',
  });
  expect(judgeUse({ ...use({ here: { fragmentsOfT: 7 } }), assembly: null })).toMatchObject({
    grade: 'stop',
    why: 'Fragments of the cutter before it are not accounted for',
  });
  expect(judgeUse(use({ on: { heldBack: 'fell on the floor' } }))).toMatchObject({
    grade: 'stop',
    why: 'Its cutter is held back: fell on the floor',
  });
  expect(judgeUse(use({ here: { fragmentsOfT: null }, on: { heldBack: null } })).grade).toBe('good');
});

describe('an assembly by itself, called by nothing (common practice: what must not run on any T has no place in a spindle)', () => {
  const said = (code: string, grade: Grade) => ({
    code,
    grade,
    words: code,
    because: { words: '', values: [] },
  });
  it.each<[what: string, on: Over['on'], grade: Grade, why: string | null]>([
    ['nothing speaks against it', {}, 'not judged', null],
    ['not measured: that is said beside', { measured: 'not measured' }, 'not judged', null],
    ['held back', { heldBack: 'fell' }, 'stop', 'Its cutter is held back: fell'],
    ['built despite a stop', { build: [said('BORE', 'stop')] }, 'stop', 'BORE'],
    [
      'built despite a question: that was answered at the build',
      { build: [said('RATIO', 'question')] },
      'not judged',
      null,
    ],
    ['its holder was dropped', { holders: [said('HOLDER_DROPPED', 'stop')] }, 'stop', 'HOLDER_DROPPED'],
    ['an empty seat', { inserts: { seats: 6, mounted: 5, damaged: 0 } }, 'stop', '5 inserts in 6 seats'],
    ['no inserts', { inserts: { seats: 6, mounted: 0, damaged: 0 } }, 'stop', 'No inserts are in it'],
    [
      'an insert in a damaged seat',
      { inserts: { seats: 6, mounted: 6, damaged: 1 } },
      'stop',
      'An insert sits in a damaged seat',
    ],
    [
      'a damaged seat left empty',
      { inserts: { seats: 6, mounted: 5, damaged: 1 } },
      'question',
      '1 of 6 seats damaged',
    ],
    ['seats not known', { inserts: { seats: null, mounted: 5, damaged: 0 } }, 'not judged', null],
    ['half worn', { wear: READ }, 'not judged', null],
    ['worn', { wear: { reading: 0.2, limit: 0.2, worn: true } }, 'stop', 'Worn: flank wear 0.20 of 0.20 mm'],
    [
      'worn, by the gauge',
      { wear: { ...READ, gauge: 'loose' } },
      'stop',
      'Worn: what it makes is too loose: the not-go goes',
    ],
    [
      'a wrench that was off',
      { offWrench: 'TW-1' },
      'question',
      'Tightened with TW-1, which was found off: tighten it again',
    ],
    [
      'the worst goes before the first',
      { offWrench: 'TW-1', inserts: { seats: 6, mounted: 0, damaged: 0 } },
      'stop',
      'No inserts are in it',
    ],
  ])('%s', (_, on, grade, why) => {
    const answer = judgeItself({ ...MILL, ...on });
    expect(answer).toMatchObject({ grade, why });
    // Nothing speaks against it, and nothing says that it may run: no T was asked about.
    if (grade === 'not judged') expect(answer).toEqual({ grade, why: null, judgements: [] });
    // On a T it is never less: two screens would answer differently about one tool.
    expect(judgeUse(use({ on })).judgements).toEqual(expect.arrayContaining([...answer.judgements]));
  });
  it('of every case on a T too, what is said by itself is said there', () => {
    for (const [, , over] of CASES)
      expect(judgeUse(use(over)).judgements).toEqual(
        expect.arrayContaining([...judgeItself({ ...MILL, ...over.on }).judgements]),
      );
  });
});
