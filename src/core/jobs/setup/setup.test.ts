import fc from 'fast-check';
import {
  airRun,
  BLANK_SHEET,
  doubtsOf,
  leavesWords,
  mergeSheets,
  nextToSign,
  type Setup,
  setupChanges,
  type SheetTexts,
  SHEET_FIELDS,
  sheetChanges,
  stageOf,
  stockAround,
  stockInZ,
  toProveAgain,
  zeroWords,
} from '../index';
import { readProgram } from '../../programs';
import { namesOf } from '../../names';

const SHEET: SheetTexts = { ...BLANK_SHEET, drawing: 'D-1180', revision: 'B', stockZ: '31', zeroZ: '30' };
const mm = (n: number) => `${n} mm`;

describe('two planners on one sheet', () => {
  it('what either changed alone is taken, what both changed is a clash and mine stands', () => {
    const theirs = { ...SHEET, stockZ: '32', fixture: 'V1' };
    const mine = { ...SHEET, stockZ: '33', notes: 'soft jaws' };
    const { merged, clashes } = mergeSheets(SHEET, theirs, mine);
    expect(merged).toMatchObject({ stockZ: '33', fixture: 'V1', notes: 'soft jaws', drawing: 'D-1180' });
    expect(clashes).toEqual(['stockZ']);
  });

  it('loses nobody’s word, whatever was typed (three-way merge: each field is one of the three, and a lone change stands)', () => {
    const text = fc.constantFrom(null, '1', '2', '3');
    const sheet = fc.record(
      Object.fromEntries(namesOf(SHEET_FIELDS).map((f) => [f, text])),
    ) as fc.Arbitrary<SheetTexts>;
    fc.assert(
      fc.property(sheet, sheet, sheet, (base, theirs, mine) => {
        const { merged, clashes } = mergeSheets(base, theirs, mine);
        for (const f of namesOf(SHEET_FIELDS)) {
          if (mine[f] === base[f]) expect(merged[f]).toBe(theirs[f]);
          else if (theirs[f] === base[f] || theirs[f] === mine[f]) expect(merged[f]).toBe(mine[f]);
          else expect(clashes).toContain(f);
        }
        // Taking theirs over again brings nothing new.
        expect(sheetChanges(merged, mergeSheets(base, theirs, merged).merged)).toEqual([]);
      }),
    );
  });
});

describe('the stock with zero in it (plane geometry)', () => {
  const box = { stock: { x: 100, y: 60, z: 31 }, zero: { x: 0, y: 30, z: 30 }, parallels: 10 };
  it('1 mm to face off: top at 1, bottom at −30', () => {
    expect(stockInZ(box)).toEqual({ top: 1, bottom: -30 });
    expect(zeroWords(box, mm)).toBe('left, middle, 1 mm below the top');
  });
  it('what is blank is not stated, and no zero', () => {
    const blank = { x: null, y: null, z: null };
    expect(zeroWords({ ...box, zero: blank }, mm)).toBeNull();
    expect(zeroWords({ ...box, zero: { x: 0, y: null, z: 31 } }, mm)).toBe('left, not stated, top');
    expect(stockInZ({ ...box, stock: blank })).toEqual({ top: null, bottom: -30 });
    expect(zeroWords({ ...box, stock: blank }, mm)).toBe('left, 30 mm from near, 30 mm from the bottom');
    expect(Object.is(stockInZ({ ...box, zero: { x: 0, y: 0, z: 0 } }).bottom, 0)).toBe(true);
  });
  it('zero above the stock, or off a corner, is said as it is', () => {
    expect(zeroWords({ ...box, zero: { x: 12.5, y: 60, z: 36 } }, mm)).toBe(
      '12.5 mm from left, far, 5 mm above the top',
    );
    expect(zeroWords({ ...box, zero: { x: 50, y: 0, z: 0 } }, mm)).toBe('middle, near, bottom');
  });
});

const TOOLS = (z: number) =>
  readProgram(
    `T1 M6\nG0 G43 H1 Z50.\nS4000 M3\nG1 Z${z} F200\nX10.\nT2 M6\nG0 G43 H2 Z50.\nS2000 M3\nG1 Z-2. F100\nX5.\nM30`,
  ).tools;
const setup: Setup = {
  machine: 'M1',
  sheet: SHEET,
  program: 40,
  tools: {
    1: { tag: 'A-0001', stickout: '34', H: '120.010', D: '10.000' },
    2: { tag: 'A-0002', stickout: '40', H: '131.500', D: null },
  },
};
const changes = (now: Partial<Setup>, programs: Parameters<typeof setupChanges>[2] = null) =>
  setupChanges(setup, { ...setup, ...now }, programs);
const on1 = (tool: Partial<Setup['tools'][string]>) => ({
  tools: { ...setup.tools, 1: { ...setup.tools['1']!, ...tool } },
});

/** Common practice: the first run after a change of program, length or tool is a proving run; a drawing's change is everybody's. */
describe('what a change makes doubtful', () => {
  const doubtful = (c: ReturnType<typeof changes>) =>
    (['written', 'entered', 'proved', 'optimised', 'filed'] as const).filter((s) => doubtsOf(s, c).length);

  it('nothing changed: all hold, and nothing is to be proved', () => {
    expect(changes({})).toEqual([]);
    expect(toProveAgain([])).toEqual([]);
  });
  it('another machine: everything, and the whole is proved again', () => {
    const c = changes({ machine: 'M2' });
    expect(c).toEqual([{ kind: 'machine', t: null, words: 'it was on M1, is on M2' }]);
    expect(doubtful(c)).toEqual(['written', 'entered', 'proved', 'optimised', 'filed']);
    expect(toProveAgain(c)).toEqual([expect.stringContaining('the whole program')]);
  });
  it('another drawing: all but what was bettered', () => {
    const c = changes({ sheet: { ...SHEET, revision: 'C' } });
    expect(c).toEqual([{ kind: 'drawing', t: null, words: 'revision was B, is C' }]);
    expect(doubtful(c)).toEqual(['written', 'proved', 'filed']);
    expect(toProveAgain(c)).toEqual([expect.stringContaining('the whole program')]);
  });
  it('other notes are to be signed as written, and proved by nobody', () => {
    const c = changes({ sheet: { ...SHEET, notes: 'burrs' } });
    expect(doubtful(c)).toEqual(['written']);
    expect(toProveAgain(c)).toEqual([]);
  });
  it('a new length on one tool: its H is entered and proved again, that tool alone', () => {
    const c = changes(on1({ H: '120.062' }));
    expect(c).toEqual([{ kind: 'register', t: 1, words: 'H of T1 was 120.010, is 120.062' }]);
    expect(doubtful(c)).toEqual(['entered', 'proved']);
    expect(toProveAgain(c)).toEqual([expect.stringMatching(/^T1: its first approach/)]);
  });
  it('another assembly says that and not its numbers besides; so does another stickout', () => {
    expect(changes(on1({ tag: 'A-0009', stickout: '50', H: '99' })).map((c) => c.words)).toEqual([
      'T1 was A-0001, is A-0009',
    ]);
    expect(changes(on1({ stickout: '36', H: null })).map((c) => c.words)).toEqual([
      'A-0001 stood out 34, stands out 36',
    ]);
    expect(changes(on1({ tag: null })).map((c) => [c.kind, c.words])).toEqual([
      ['kit', 'T1 was A-0001, is without'],
    ]);
  });
  it('another program: which tools are other in it, or the whole where that can’t be said', () => {
    const known = changes({ program: 41 }, { then: TOOLS(-8), now: TOOLS(-9) });
    expect(known).toEqual([
      { kind: 'program', t: 1, words: expect.stringMatching(/T1 in the program: .*lowest feeding Z/) },
    ]);
    expect(toProveAgain(known)).toEqual([expect.stringMatching(/^T1: /)]);
    expect(toProveAgain(changes({ program: 41 }))).toEqual([expect.stringContaining('the whole program')]);
    expect(toProveAgain(changes({ program: null }))).toHaveLength(1);
    // Other words, the same cuts: still another text, which somebody must look at.
    expect(changes({ program: 41 }, { then: TOOLS(-8), now: TOOLS(-8) })).toHaveLength(1);
  });
  it('changed and changed back is no change', () => {
    expect(setupChanges(setup, structuredClone(setup), null)).toEqual([]);
  });
  it('a T that only one of the programs calls is a change of the program alone', () => {
    const { 2: _, ...rest } = setup.tools;
    expect(changes({ tools: rest })).toEqual([]);
  });
});

describe('in the air (plane geometry)', () => {
  it('1 of stock above zero, −24 the deepest: 25 and 20 of clearance are 45', () => {
    expect(airRun([-24, null, -8], 1, [])).toEqual({ raise: 45, room: null, stops: null });
    // Steps of 5, upwards.
    expect(airRun([-24.1], 0, [])?.raise).toBe(45);
    expect(airRun([-25], 0, [])?.raise).toBe(45);
    expect(airRun([-25.01], 0, [])?.raise).toBe(50);
  });
  it('a tool that stands too near to the end of Z is named: the least room counts', () => {
    const rooms = [
      { t: 1, room: 120 },
      { t: 6, room: 32 },
    ];
    expect(airRun([-24], 1, rooms)).toEqual({ raise: 45, room: 32, stops: 6 });
    expect(airRun([-4], 1, rooms)).toMatchObject({ raise: 25, stops: null });
  });
  it('what feeds nowhere is raised by nothing; what feeds above the stock keeps its clearance', () => {
    expect(airRun([null], 1, [])).toBeNull();
    expect(airRun([5], 1, [])?.raise).toBe(20);
  });
});

it.each([
  [{ side: 0.3, floor: 0.1 }, '0.3 side, 0.1 floor'],
  [{ side: 0.2, floor: 0.2 }, '0.2 all over'],
  [{ side: 0, floor: 0 }, 'to size'],
  [{ side: 0, floor: 0.1 }, 'side to size, 0.1 floor'],
  [{ side: null, floor: 0 }, 'floor to size'],
  [{ side: null, floor: null }, null],
])('what a tool leaves: nothing said is no nought, %j', (leaves, words) =>
  expect(leavesWords(leaves, String)).toBe(words),
);

it('the stock lies about its zero; nowhere where one of them is blank (plane geometry)', () => {
  const stock = { x: 100, y: 60, z: 30 };
  const box = { stock, zero: { x: 50, y: 0, z: 29.5 }, parallels: null };
  expect(stockAround(box)).toEqual({
    x: { least: -50, most: 50 },
    y: { least: 0, most: 60 },
    z: { least: -29.5, most: 0.5 },
  });
  expect(stockAround({ ...box, zero: { ...box.zero, x: null } }).x).toBeNull();
  expect(stockAround({ ...box, stock: { ...stock, z: null } }).z).toBeNull();
});

it('the next to sign is the first that nobody signed or that is in doubt; nobody must better it', () => {
  const held = (step: 'written' | 'entered' | 'proved' | 'filed', doubts: unknown[] = []) => ({
    step,
    doubts,
  });
  expect(nextToSign([])).toBe('written');
  expect(nextToSign([held('written'), held('entered', ['x'])])).toBe('entered');
  expect(nextToSign([held('written'), held('entered'), held('proved')])).toBe('filed');
  expect(nextToSign([held('written'), held('entered'), held('proved'), held('filed')])).toBeNull();
});

it('an operation goes from planned to done, and back where what it leans on changed', () => {
  const p = {
    ...{ state: 'open' as const, quantity: 20, partsMade: 0, hasProgram: false, ready: 0, tools: 0 },
    proved: false,
  };
  expect(stageOf(p)).toBe('planned');
  expect(stageOf({ ...p, hasProgram: true, tools: 3, ready: 2 })).toBe('programmed');
  expect(stageOf({ ...p, hasProgram: true, tools: 3, ready: 3 })).toBe('kit ready');
  expect(stageOf({ ...p, hasProgram: true, tools: 3, ready: 2, proved: true })).toBe('proved');
  expect(stageOf({ ...p, hasProgram: true, partsMade: 3 })).toBe('running');
  expect(stageOf({ ...p, partsMade: 20 })).toBe('made');
  expect(stageOf({ ...p, partsMade: 20, state: 'cancelled' })).toBe('cancelled');
  // A program that calls no tool is ready for nothing.
  expect(stageOf({ ...p, hasProgram: true })).toBe('programmed');
});
