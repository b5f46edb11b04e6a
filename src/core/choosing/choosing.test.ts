import { FAMILY_NAMES, geometry, type CutterSymbol, type Family } from '../cutters';
import {
  BLANK_CUT,
  chooseCutters,
  CUT_FIELD_NAMES,
  DEFAULT_RULES,
  FEATURE_NAMES,
  FEATURES,
  judgeCandidate,
  kitFor,
  reamingAllowance,
  type Candidate,
  type ChoosingRules,
  type Cut,
} from './index';

const cut = (over: Partial<Cut>): Cut => ({ ...BLANK_CUT, feature: 'pocket', ...over });
/** A used piece in the crib that ended and was graded. */
const gradedPiece = (over: Partial<Candidate['graded'][number]>): Candidate['graded'][number] => ({
  mark: 'E-1',
  place: 'drawer',
  daysLate: 0,
  ended: true,
  grade: null,
  groups: [],
  worn: null,
  goodTo: null,
  ...over,
});
const mill = (
  code: string,
  family: Family,
  shape: { DC: number } & Partial<Record<CutterSymbol, number>>,
  over: Partial<Candidate> = {},
): Candidate => ({
  code,
  words: code,
  cutter: geometry(family, shape),
  indexable: false,
  substrate: 'carbide',
  coating: null,
  centreCutting: true,
  thread: null,
  pitch: null,
  forming: null,
  cls: null,
  measured: null,
  standing: null,
  followed: false,
  guesses: [],
  unused: 1,
  reserved: [],
  chamfer: null,
  helix: null,
  built: [],
  graded: [],
  priceCents: null,
  ...over,
});
const fails = (c: Cut, m: Candidate) => judgeCandidate(c, m, DEFAULT_RULES).fails.join('; ');
const em10 = (over: Partial<Candidate> = {}) => mill('EM10', 'square', { DC: 10, LCF: 22, NOF: 4 }, over);

it('every feature has families that cut it', () =>
  FEATURE_NAMES.forEach((f) => FEATURES[f].families.forEach((x) => expect(FAMILY_NAMES).toContain(x))));

// Plane geometry and common practice; both sides of each limit, and by how much it fails.
describe('by how much a cutter fails', () => {
  it.each<[string, Partial<Cut>, Candidate, string]>([
    ['reach met', { depth: 22 }, em10(), ''],
    ['flutes short', { depth: 24.3 }, em10(), 'flutes 2.3 mm short'],
    ['a neck reaches', { depth: 30 }, mill('LN', 'square', { DC: 6, LCF: 9, DN: 5.8, LU: 30 }), ''],
    [
      'a neck too short',
      { depth: 31 },
      mill('LN', 'square', { DC: 6, LCF: 9, DN: 5.8, LU: 30 }),
      'flutes and neck 1 mm short',
    ],
    [
      'one pass needs flutes, not neck',
      { passDepth: 10 },
      mill('LN', 'square', { DC: 6, LCF: 9, DN: 5.8, LU: 30 }),
      'flutes 1 mm short for one pass',
    ],
    ['corner met', { corner: 5 }, em10(), ''],
    ['corner too small', { corner: 4.9 }, em10(), '0.2 mm too thick for the corner'],
    ['slot met', { feature: 'slot', width: 10 }, em10(), ''],
    ['slot too narrow', { feature: 'slot', width: 9.5 }, em10(), '0.5 mm wider than the slot'],
    ['passes the jaw', { clearance: 10 }, em10(), ''],
    ['does not pass the jaw', { clearance: 8 }, em10(), '2 mm too thick to pass beside the wall'],
    ['plunges', { plunge: true }, em10(), ''],
    ['cannot plunge', { plunge: true }, em10({ centreCutting: false }), 'cannot plunge'],
    [
      'radius within the floor',
      { feature: 'pocket', floorRadius: 2 },
      mill('CR', 'corner-radius', { DC: 10, RE: 2 }),
      '',
    ],
    [
      'radius too large for the floor',
      { feature: 'pocket', floorRadius: 1.5 },
      mill('CR', 'corner-radius', { DC: 10, RE: 2 }),
      '0.5 mm too large for the floor',
    ],
    [
      'radius too small to form it',
      { feature: 'floor', floorRadius: 3 },
      mill('CR', 'corner-radius', { DC: 10, RE: 2 }),
      "1 mm too small to form the floor's",
    ],
    ['draft met', { draft: 3 }, mill('T', 'tapered', { DC: 6, TAPER: 3 }), ''],
    ['draft missed', { draft: 3 }, mill('T', 'tapered', { DC: 6, TAPER: 5 }), 'taper 2° off the draft'],
    ['no taper for a draft', { draft: 3 }, em10(), 'no taper'],
    ['taper on a straight wall', {}, mill('T', 'tapered', { DC: 6, TAPER: 3 }), 'no draft'],
    ['a drill in a pocket', {}, mill('D', 'drill', { DC: 6 }), 'does not cut a pocket'],
    ['not to be used', {}, em10({ standing: 'rejected' }), 'not to be used here'],
    [
      'a steel coating in aluminium',
      { group: 'N', alloy: 'aluminium' },
      em10({ coating: 'TiAlN' }),
      'aluminium welds to it',
    ],
    ['the same in bronze', { group: 'N', alloy: 'copper' }, em10({ coating: 'TiAlN' }), ''],
    ['ramps as steep as it may', { ramp: 3 }, mill('R', 'square', { DC: 10, LCF: 22, RMPX: 3 }), ''],
    [
      'steeper than it may',
      { ramp: 5 },
      mill('R', 'square', { DC: 10, LCF: 22, RMPX: 3 }),
      'ramps in at most at 3°, not at 5°',
    ],
    [
      'a T-slot cutter in a plain slot',
      { feature: 'slot', width: 20 },
      mill('TS', 't-slot', { DC: 20, CW: 6 }),
      'does not cut a slot',
    ],
    [
      'a spiral point in a blind hole',
      { feature: 'thread', thread: 'M6', bottom: 'blind' },
      mill('T', 'tap', { DC: 6 }, { thread: 'M6', chamfer: 'B' }),
      'pushes the chips ahead',
    ],
    [
      'the same through',
      { feature: 'thread', thread: 'M6', bottom: 'through' },
      mill('T', 'tap', { DC: 6 }, { thread: 'M6', chamfer: 'B' }),
      '',
    ],
    // A point of 118 on 10: 5 / tan 59 = 3.004.
    [
      'a drill whose point comes out',
      { feature: 'hole', diameter: 10, depth: 40, bottom: 'through' },
      mill('D', 'drill', { DC: 10, SIG: 118, LCF: 43.1 }),
      '',
    ],
    [
      'a drill whose point stays in',
      { feature: 'hole', diameter: 10, depth: 40, bottom: 'through' },
      mill('D', 'drill', { DC: 10, SIG: 118, LCF: 42 }),
      'its point stays 1.004 mm in the hole',
    ],
    [
      'the same in a blind one, whose depth is that of the point',
      { feature: 'hole', diameter: 10, depth: 40, bottom: 'blind' },
      mill('D', 'drill', { DC: 10, SIG: 118, LCF: 42 }),
      '',
    ],
    // Form C: 3 threads of 1 mm below 12 mm of thread are 15 mm.
    [
      'a chamfer that ends at the bottom',
      { feature: 'thread', thread: 'M6', bottom: 'blind', depth: 12, holeDepth: 15 },
      mill('T', 'tap', { DC: 6, LCF: 20 }, { thread: 'M6', chamfer: 'C', helix: 40 }),
      '',
    ],
    [
      'a chamfer that meets the bottom',
      { feature: 'thread', thread: 'M6', bottom: 'blind', depth: 12, holeDepth: 14 },
      mill('T', 'tap', { DC: 6, LCF: 20 }, { thread: 'M6', chamfer: 'C', helix: 40 }),
      'its chamfer of 3 threads meets the bottom: 1 mm too long',
    ],
    [
      'a short one does',
      { feature: 'thread', thread: 'M6', bottom: 'blind', depth: 12, holeDepth: 14 },
      mill('T', 'tap', { DC: 6, LCF: 20 }, { thread: 'M6', chamfer: 'E', helix: 40 }),
      '',
    ],
    ['the same in steel', { group: 'P' }, em10({ coating: 'TiAlN' }), ''],
    [
      'a chamfer of another angle',
      { feature: 'chamfer', angle: 90 },
      mill('C', 'chamfer', { DC: 12, SIG: 60 }),
      'point angle 60°',
    ],
    ['a drill of the size', { feature: 'hole', diameter: 6.8 }, mill('D', 'drill', { DC: 6.8 }), ''],
    [
      'a drill too large',
      { feature: 'hole', diameter: 6.5 },
      mill('D', 'drill', { DC: 6.8 }),
      '0.3 mm too large',
    ],
    [
      'a drill for a close hole',
      { feature: 'hole', diameter: 8, cls: 'H7' },
      mill('D', 'drill', { DC: 8 }),
      'does not hold H7',
    ],
    [
      'a reamer of another class',
      { feature: 'hole', diameter: 8, cls: 'H7' },
      mill('R', 'reamer', { DC: 8 }, { cls: 'H8' }),
      'made for H8',
    ],
    [
      'a reamer measured within it',
      { feature: 'hole', diameter: 20, cls: 'H7' },
      mill('R', 'reamer', { DC: 20 }, { measured: 20.005 }),
      '',
    ],
    [
      'a reamer worn out for it',
      { feature: 'hole', diameter: 20, cls: 'H7' },
      mill('R', 'reamer', { DC: 20 }, { measured: 19.99 }),
      'worn 0.01 mm below',
    ],
    [
      'a tap of the thread',
      { feature: 'thread', thread: 'M6' },
      mill('T', 'tap', { DC: 6 }, { thread: 'M6x1' }),
      '',
    ],
    [
      'a tap of another pitch',
      { feature: 'thread', thread: 'M8' },
      mill('T', 'tap', { DC: 8 }, { thread: 'M8x1' }),
      'cuts M8x1',
    ],
  ])('%s', (_, c, m, words) =>
    words === '' ? expect(fails(cut(c), m)).toBe('') : expect(fails(cut(c), m)).toContain(words),
  );
  // What leaves a question is said beside what fits: common practice.
  it.each<[string, Partial<Cut>, Candidate, string[]]>([
    [
      'a letter is no alloy',
      { group: 'N' },
      em10({ coating: 'TiAlN' }),
      ['coated TiAlN: aluminium welds to it, bronze does not'],
    ],
    [
      'a ramp is no plunge',
      { ramp: 3 },
      em10({ centreCutting: true }),
      ['how steep it may ramp is not known'],
    ],
    [
      'flutes not known in a blind hole',
      { feature: 'thread', thread: 'M6', bottom: 'blind' },
      mill('T', 'tap', { DC: 6 }, { thread: 'M6', chamfer: 'C' }),
      ['whether its flutes bring the chips up is not known'],
    ],
    [
      'straight flutes in a blind hole',
      { feature: 'thread', thread: 'M6', bottom: 'blind' },
      mill('T', 'tap', { DC: 6 }, { thread: 'M6', chamfer: 'C', helix: 0 }),
      ['straight flutes: chips pack at the bottom of the hole'],
    ],
    [
      'a forming tap makes no chips',
      { feature: 'thread', thread: 'M6', bottom: 'blind', group: 'N', alloy: 'aluminium' },
      mill('T', 'tap', { DC: 6 }, { thread: 'M6', chamfer: 'C', forming: true, coating: 'TiN' }),
      [],
    ],
    [
      'bronze seldom forms',
      { feature: 'thread', thread: 'M6', group: 'N', alloy: 'copper' },
      mill('T', 'tap', { DC: 6 }, { thread: 'M6', forming: true, coating: 'TiN' }),
      ['a forming tap: bronze, brass, copper seldom form'],
    ],
    [
      'a chamfer nobody stated',
      { feature: 'thread', thread: 'M6', bottom: 'blind', depth: 12, holeDepth: 14 },
      mill('T', 'tap', { DC: 6, LCF: 20 }, { thread: 'M6', helix: 40 }),
      ['how long its chamfer is is not known'],
    ],
  ])('asked about: %s', (_, c, m, open) => {
    const judged = judgeCandidate(cut(c), m, DEFAULT_RULES);
    expect([judged.fails, judged.open]).toEqual([[], open]);
  });
  it('what is set aside for jobs is not on hand for others, and says for which', () => {
    const m = (quantity: number) => em10({ unused: 3, reserved: [{ job: 'J-2', quantity, taken: 1 }] });
    // 3 there, 3 kept of which one was taken: one is free.
    expect(judgeCandidate(cut({}), m(3), DEFAULT_RULES)).toMatchObject({
      availability: 'on hand',
      reserved: 'reserved: 2 for J-2',
    });
    expect(judgeCandidate(cut({}), m(4), DEFAULT_RULES)).toMatchObject({ availability: 'reserved' });
  });
  it('a build whose holder would be in the work is none on hand, and says by how much', () => {
    const m = em10({
      unused: 0,
      built: [
        { tag: 'A-1', stickoutMm: 18 },
        { tag: 'A-2', stickoutMm: 20 },
      ],
    });
    expect(judgeCandidate(cut({ depth: 20 }), m, DEFAULT_RULES)).toMatchObject({
      availability: 'built',
      take: ['A-2'],
      shortBuilds: ['A-1 stands out 18 mm: its holder is 2 mm in the work'],
    });
    expect(judgeCandidate(cut({ depth: 20.5 }), m, DEFAULT_RULES)).toMatchObject({
      availability: 'to buy',
      take: [],
    });
  });
  it('what is not known leaves a question open and never passes for good', () => {
    const c = judgeCandidate(
      cut({ depth: 10, plunge: true }),
      mill('X', 'square', { DC: 8 }, { centreCutting: null }),
      DEFAULT_RULES,
    );
    expect([c.fails, c.open]).toEqual([[], ['reach not known', 'centre cutting not known']]);
  });
});

describe('the order', () => {
  it('a face is milled with a face mill first, where both are on hand (common practice)', () => {
    const both = [
      mill('EM20', 'square', { DC: 20, LCF: 40, NOF: 4 }),
      mill('FM50', 'face', { DC: 50, NOF: 4 }),
    ];
    expect(chooseCutters(cut({ feature: 'face' }), both, DEFAULT_RULES).fit.map((c) => c.code)).toEqual([
      'FM50',
      'EM20',
    ]);
  });
  it('plastics are cut with two or three sharp flutes (common practice)', () =>
    expect(DEFAULT_RULES.flutes.O).toEqual([2, 3]));
  const order = (c: Partial<Cut>, list: Candidate[], rules = DEFAULT_RULES) =>
    chooseCutters(cut(c), list, rules).fit.map((x) => x.code);
  it('on hand before graded, built and to buy, whatever the score', () => {
    const short = { DC: 10, LCF: 12, NOF: 4 };
    expect(
      order({ depth: 12, corner: 5 }, [
        mill('BUY', 'square', short, { unused: 0 }),
        mill('BUILT', 'square', short, { unused: 0, built: [{ tag: 'A-0001', stickoutMm: 40 }] }),
        mill('GRADED', 'square', short, {
          unused: 0,
          graded: [gradedPiece({ mark: 'E-0001', grade: 'slotting steel', groups: ['P', 'M', 'K'] })],
        }),
        mill('HERE', 'square', { DC: 6, LCF: 60, NOF: 2 }, { guesses: ['LCF'] }),
      ]),
    ).toEqual(['HERE', 'GRADED', 'BUILT', 'BUY']);
  });
  it('the shortest that reaches is the stiffest; the thickest that the corner allows too', () => {
    expect(
      order({ depth: 20, corner: 6 }, [
        mill('LONG', 'square', { DC: 10, LCF: 45 }),
        mill('SHORT', 'square', { DC: 10, LCF: 22 }),
      ]),
    ).toEqual(['SHORT', 'LONG']);
    expect(
      order({ depth: 20, corner: 6 }, [
        mill('THIN', 'square', { DC: 6, LCF: 22 }),
        mill('STOUT', 'square', { DC: 12, LCF: 22 }),
      ]),
    ).toEqual(['STOUT', 'THIN']);
  });
  it('two or three flutes for aluminium, four and more for stainless (common practice)', () => {
    const both = [mill('FOUR', 'square', { DC: 10, NOF: 4 }), mill('TWO', 'square', { DC: 10, NOF: 2 })];
    expect(order({ group: 'N' }, both)).toEqual(['TWO', 'FOUR']);
    expect(order({ group: 'M' }, both)).toEqual(['FOUR', 'TWO']);
  });
  it('the two schools: who takes the bulk', () => {
    const both = [
      mill('SOLID', 'square', { DC: 20 }),
      mill('BODY', 'square', { DC: 20 }, { indexable: true }),
    ];
    expect(order({ stock: 5, feature: 'face' }, both)).toEqual(['BODY', 'SOLID']);
    expect(order({ stock: 5, feature: 'face' }, both, { ...DEFAULT_RULES, bulk: 'solid first' })).toEqual([
      'SOLID',
      'BODY',
    ]);
  });
  it('finishers are kept for finishing, or one cutter does both, as the shop says', () => {
    const both = [mill('A-FIN', 'square', { DC: 16 }), mill('ROUGH', 'roughing', { DC: 16 })];
    expect(order({ stock: 4 }, both)[0]).toBe('ROUGH');
    expect(order({ stock: 0.3 }, both)[0]).toBe('A-FIN');
    const one: ChoosingRules = {
      ...DEFAULT_RULES,
      finishing: 'one for both',
      weights: { ...DEFAULT_RULES.weights, bulk: 0 },
    };
    expect(order({ stock: 4 }, both, one)[0]).toBe('A-FIN');
  });
  it('a weight of 0 leaves a reason out; old stock goes before its newer version', () => {
    const list = [mill('NEW', 'square', { DC: 10 }), mill('OLD', 'square', { DC: 10 }, { followed: true })];
    expect(order({}, list)).toEqual(['OLD', 'NEW']);
    expect(order({}, list, { ...DEFAULT_RULES, weights: { ...DEFAULT_RULES.weights, old: 0 } })).toEqual([
      'NEW',
      'OLD',
    ]);
  });
  it('points are share times weight, and every reason is told', () => {
    const [best] = chooseCutters(cut({ depth: 11, corner: 5 }), [em10()], DEFAULT_RULES).fit;
    expect(best!.reasons.map((r) => [r.reason, r.points])).toEqual([
      ['short', 2],
      ['stout', 4],
      ['known', 1],
    ]);
    expect(best!.score).toBe(7);
  });
  it('graded pieces only where the grade and the good zone allow it', () => {
    const graded = (grade: string, goodTo: number | null, groups = ['P', 'M', 'K']) =>
      mill(
        'G',
        'square',
        { DC: 10, LCF: 22 },
        { unused: 0, graded: [gradedPiece({ mark: 'E-1', grade, groups, goodTo })] },
      );
    const where = (c: Partial<Cut>, m: Candidate) => judgeCandidate(cut(c), m, DEFAULT_RULES).availability;
    expect(where({ group: 'P', passDepth: 5 }, graded('slotting steel', 8))).toBe('graded');
    expect(where({ group: 'P', passDepth: 9 }, graded('slotting steel', 8))).toBe('to buy');
    expect(where({ group: 'O' }, graded('slotting steel', null))).toBe('to buy');
    expect(where({ group: 'P' }, graded('scrap', null, []))).toBe('to buy');
  });
  it('the nearest miss stands first among the rejected', () => {
    const { rejected } = chooseCutters(
      cut({ depth: 30, corner: 4 }),
      [mill('BOTH', 'square', { DC: 10, LCF: 20 }), mill('ONE', 'square', { DC: 8, LCF: 20 })],
      DEFAULT_RULES,
    );
    expect(rejected.map((r) => r.code)).toEqual(['ONE', 'BOTH']);
  });
});

describe('kits (common practice; drills by ISO 2306)', () => {
  const shelf = [
    mill('SPOT', 'spot-drill', { DC: 10, SIG: 90 }),
    mill('D5', 'drill', { DC: 5, LCF: 40 }),
    mill('D5.1', 'drill', { DC: 5.1, LCF: 40 }, { unused: 0 }),
    mill('D5.8', 'drill', { DC: 5.8, LCF: 40 }),
    mill('CS', 'countersink', { DC: 12, SIG: 90 }),
    mill('TAP', 'tap', { DC: 6, LCF: 15, LU: 30, DN: 4 }, { thread: 'M6', forming: false }),
    mill('RM6', 'reamer', { DC: 6, LCF: 30 }, { cls: 'H7' }),
  ];
  const steps = (c: Partial<Cut>, list = shelf) =>
    kitFor(cut(c), list, DEFAULT_RULES)?.map((s) => [s.step, s.missing ? 'missing' : s.choices[0]!.code]);
  it('M6: spot drill, drill of 5, chamfer, tap', () =>
    expect(steps({ feature: 'thread', thread: 'M6', depth: 12 })).toEqual([
      ['spot drill', 'SPOT'],
      ['drill', 'D5'],
      ['chamfer', 'CS'],
      ['tap', 'TAP'],
    ]));
  it('says what is missing, and which drill a forming tap needs beside', () => {
    expect(steps({ feature: 'thread', thread: 'M8', depth: 12 })).toEqual([
      ['spot drill', 'SPOT'],
      ['drill', 'missing'],
      ['chamfer', 'CS'],
      ['tap', 'missing'],
    ]);
    const forming = [
      ...shelf,
      mill('TAPF', 'tap', { DC: 6, LCF: 15 }, { thread: 'M6', forming: true }),
      mill('D5.55', 'drill', { DC: 5.55, LCF: 40 }),
    ];
    expect(steps({ feature: 'thread', thread: 'M6' }, forming)).toContainEqual(['drill', 'D5.55']);
  });
  it('a close hole: a drill that leaves stock, then the reamer; a wide one needs no kit', () => {
    expect(steps({ feature: 'hole', diameter: 6, cls: 'H7', depth: 20 })).toEqual([
      ['spot drill', 'SPOT'],
      ['drill', 'D5.8'],
      ['chamfer', 'CS'],
      ['reamer', 'RM6'],
    ]);
    expect(steps({ feature: 'hole', diameter: 6, cls: 'H12' })).toBeUndefined();
    expect(steps({ feature: 'pocket' })).toBeUndefined();
  });
  it.each([
    [4, 0.1],
    [5, 0.1],
    [8, 0.2],
    [20, 0.2],
    [30, 0.3],
    [60, 0.5],
  ])('%d mm is left %d for the reamer', (d, left) => expect(reamingAllowance(d)).toBe(left));
});

// Plane geometry, and facts of the trade (from memory): both sides of each limit.
describe('cutters for what is not a pocket or a hole', () => {
  it.each<[string, Partial<Cut>, Candidate, string]>([
    ['a barrel on a wall', { feature: 'side', depth: 20 }, mill('B', 'barrel', { DC: 10, LCF: 20 }), ''],
    [
      'under a wall as far as its neck lets it',
      { feature: 'undercut', under: 2 },
      mill('L', 'lollipop', { DC: 10, DN: 6 }),
      '',
    ],
    [
      'further under than that',
      { feature: 'undercut', under: 2.5 },
      mill('L', 'lollipop', { DC: 10, DN: 6 }),
      'rubs 0.5 mm',
    ],
    [
      'a head higher than the undercut',
      { feature: 'undercut', width: 5 },
      mill('T', 't-slot', { DC: 18, DN: 8, CW: 6 }),
      '1 mm too high',
    ],
    [
      'a dovetail of its angle',
      { feature: 'dovetail', flank: 60 },
      mill('D', 'dovetail', { DC: 20, KAPR: 60 }),
      '',
    ],
    [
      'of another',
      { feature: 'dovetail', flank: 60 },
      mill('D', 'dovetail', { DC: 20, KAPR: 45 }),
      '15° off',
    ],
    [
      'a rounding of another radius',
      { feature: 'rounding', edgeRadius: 3 },
      mill('R', 'corner-rounding', { DC: 4, RE: 2 }),
      'rounds to 2 mm, not 3 mm',
    ],
    [
      'a saw for a slot',
      { feature: 'slot', width: 1.6, depth: 15 },
      mill('S', 'slitting-saw', { DC: 63, CW: 1.6, DN: 32 }),
      '',
    ],
    [
      'as deep as its flange lets it',
      { feature: 'slot', width: 1.6, depth: 16 },
      mill('S', 'slitting-saw', { DC: 63, CW: 1.6, DN: 32 }),
      '0.5 mm short',
    ],
    [
      'a saw wider than the slot',
      { feature: 'slot', width: 1.5 },
      mill('S', 'slitting-saw', { DC: 63, CW: 1.6, DN: 32 }),
      '0.1 mm wider',
    ],
    // 0.2 + 2 * 0.5 * tan 30 = 0.777
    [
      'a line at its depth',
      { feature: 'engraving', width: 0.78, depth: 0.5 },
      mill('E', 'engraver', { DC: 3, DCN: 0.2, SIG: 60, LCF: 3 }),
      '',
    ],
    [
      'a line too wide for it',
      { feature: 'engraving', width: 0.4, depth: 0.5 },
      mill('E', 'engraver', { DC: 3, DCN: 0.2, SIG: 60, LCF: 3 }),
      '0.777 mm wide',
    ],
    [
      'a tip wider than the line',
      { feature: 'engraving', width: 0.1 },
      mill('E', 'engraver', { DC: 3, DCN: 0.2 }),
      '0.1 mm wider than the line',
    ],
    [
      'a centre of another pilot',
      { feature: 'centre', diameter: 3.15 },
      mill('C', 'centre-drill', { DC: 2.5, STA: 60 }),
      'pilot is 2.5 mm',
    ],
    [
      'a centre of its cone',
      { feature: 'centre', diameter: 2.5, angle: 60 },
      mill('C', 'centre-drill', { DC: 2.5, STA: 60 }),
      '',
    ],
    [
      'a bore within the range holds a close class',
      { feature: 'hole', diameter: 40, cls: 'H7' },
      mill('BH', 'boring-head', { DC: 20, DCX: 52, LU: 60 }),
      '',
    ],
    [
      'a bore beyond it',
      { feature: 'hole', diameter: 60 },
      mill('BH', 'boring-head', { DC: 20, DCX: 52 }),
      '8 mm short',
    ],
    [
      'a bore it can’t enter',
      { feature: 'hole', diameter: 18 },
      mill('BH', 'boring-head', { DC: 20, DCX: 52 }),
      '2 mm too large',
    ],
    [
      'a hole within the first step',
      { feature: 'hole', diameter: 6.8, depth: 20 },
      mill('SD', 'step-drill', { DC: 6.8, DCX: 9, SDL: 20, LCF: 40 }),
      '',
    ],
    [
      'a hole deeper than it',
      { feature: 'hole', diameter: 6.8, depth: 22 },
      mill('SD', 'step-drill', { DC: 6.8, DCX: 9, SDL: 20, LCF: 40 }),
      '2 mm short',
    ],
  ])('%s', (_, over, candidate, words) => {
    const found = fails(cut(over), candidate);
    if (words) expect(found).toContain(words);
    else expect(found).toBe('');
  });

  it('what is not known stays a question', () => {
    const open = (over: Partial<Cut>, c: Candidate) =>
      judgeCandidate(cut(over), c, DEFAULT_RULES).open.join('; ');
    expect(open({ feature: 'undercut', under: 2 }, mill('L', 'lollipop', { DC: 10 }))).toContain(
      'neck not known',
    );
    expect(open({ feature: 'rounding', edgeRadius: 3 }, mill('R', 'corner-rounding', { DC: 4 }))).toContain(
      'radius',
    );
    expect(open({ feature: 'hole', diameter: 40 }, mill('BB', 'boring-bar', { DC: 12 }))).toContain(
      'largest bore',
    );
    expect(open({ feature: 'hole', diameter: 6.8 }, mill('SD', 'step-drill', { DC: 6.8 }))).toContain(
      'its step',
    );
    expect(open({ feature: 'engraving', width: 1 }, mill('E', 'engraver', { DC: 3 }))).toContain('tip');
  });

  it('each feature asks what its rules look at, and each field is asked by one', () => {
    const asked = new Set(FEATURE_NAMES.flatMap((f) => FEATURES[f].asks));
    expect([...asked].sort()).toEqual([...CUT_FIELD_NAMES].sort());
  });
});
