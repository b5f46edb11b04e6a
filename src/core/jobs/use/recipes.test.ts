import { geometry } from '../../cutters';
import type { Recipe } from '../../cutting';
import { readProgram } from '../../programs';
import { asksOf, judgeFit, ranWith, type UseBuild } from '../index';

/**
 * A program held against how its cutter is stated to run, read out of real text: 4 flutes at S4000 and F800 are 0.05 a
 * tooth (F ÷ (S × z)); Vc 125 m/min on 10 mm is 3979 rev/min (1000 Vc ÷ (π D)). Tolerances are common practice.
 */
const RECIPE: Recipe = {
  ...{ code: 'R-0001', state: 'proven', item: 'EM10', family: null, diameters: null },
  ...{ material: 'C45', machine: null, cut: 'roughing', coolant: null, replacedBy: null },
  speed: { as: 'Vc', least: 125, most: 125 },
  feed: { as: 'tooth', least: 0.05, most: 0.05 },
  ...{ ap: 8, ae: null, ramp: 3 },
};
const MACHINE = { code: 'M2', taper: 'ISO 7388-1 40', hEqualsT: true, rpmMax: 12_000, feedMax: 10_000 };
const MILL: UseBuild = {
  name: 'A-0107',
  itemCode: 'EM10',
  cutter: geometry('square', { DC: 10, LCF: 22, DMM: 10, OAL: 72, NOF: 4 }),
  body: null,
  stickout: 40,
  holder: { taper: 'ISO 7388-1 40', rpmMax: 12_000 },
  cuts: { centreCutting: true, pitch: null, body: false },
};
const CUT = 'G21 G90\nT8 M6\nS4000 M3\nG43 H8 G0 X0 Y0 Z20\nG1 Z-5 F200\nX200 F800';
interface Over {
  text?: string;
  recipe?: Partial<Recipe>;
  build?: Partial<UseBuild>;
  pass?: number;
  kept?: Recipe[];
}
function judged({ text = CUT, recipe = {}, build = {}, pass, kept }: Over) {
  const [tool] = readProgram(text).tools;
  if (!tool) throw new Error('the text changes to a tool');
  const recipes = { material: 'C45', named: kept ? null : { ...RECIPE, ...recipe }, recipes: kept ?? [] };
  const here = { highestBeside: 0, passDepth: pass ?? null, recipes };
  return judgeFit({ asks: asksOf(tool), here, machine: MACHINE }, { ...MILL, ...build }).filter((j) =>
    j.code.startsWith('RECIPE'),
  );
}
const grades = (over: Over) => Object.fromEntries(judged(over).map((j) => [j.code, j.grade]));
const words = (over: Over, code: string) => judged(over).find((j) => j.code === code)?.words;

describe('one that is named decides', () => {
  it('as it is stated: good', () =>
    expect(grades({ pass: 5 })).toEqual({
      RECIPE: 'good',
      RECIPE_SPEED: 'good',
      RECIPE_FEED: 'good',
      RECIPE_DEPTH: 'good',
    }));
  it.each<[string, Over, string, RegExp]>([
    [
      'a speed a tenth over',
      { text: CUT.replace('S4000', 'S4400') },
      'RECIPE_SPEED',
      /S4400, R-0001 says 3979/,
    ],
    [
      'a tooth too thick',
      { text: CUT.replace('F800', 'F1000') },
      'RECIPE_FEED',
      /0.0625 mm a tooth, R-0001 says 0.05/,
    ],
    ['one that rubs', { text: CUT.replace('F800', 'F400') }, 'RECIPE_FEED', /0.025 mm a tooth at most/],
    ['too deep a pass', { pass: 12 }, 'RECIPE_DEPTH', /12 mm deep a pass, R-0001 says 8 mm/],
    ['too steep a ramp', { text: `${CUT}\nG1 X0 Z-25 F800` }, 'RECIPE_RAMP', /at 5.71°, R-0001 says 3°/],
    ['another cutter', { build: { itemCode: 'EM10L' } }, 'RECIPE', /is for EM10, this is EM10L/],
    ['a rejected one', { recipe: { state: 'rejected' } }, 'RECIPE', /was rejected/],
    ['one out of use', { recipe: { replacedBy: 'R-0004' } }, 'RECIPE', /R-0004 was written instead/],
  ])('%s is asked about', (_, over, code, said) => {
    expect(grades(over)[code]).toBe('question');
    expect(words(over, code)).toMatch(said);
    expect(judged(over).some((j) => j.aside)).toBe(false);
  });
  it('rounding of S and F is none: a twentieth, a tenth', () =>
    expect(grades({ text: CUT.replace('S4000', 'S4100').replace('F800', 'F880') })).toMatchObject({
      RECIPE_SPEED: 'good',
      RECIPE_FEED: 'good',
    }));
  it('between a least and a most', () => {
    const range = { feed: { as: 'tooth', least: 0.04, most: 0.07 } } as const;
    expect(grades({ recipe: range })).toMatchObject({ RECIPE_FEED: 'good' });
    expect(words({ recipe: range, text: CUT.replace('F800', 'F1600') }, 'RECIPE_FEED')).toMatch(
      /0.1 mm a tooth, R-0001 says 0.04 to 0.07 mm a tooth/,
    );
  });
  it('by the turn and by the minute as it was stated', () => {
    expect(grades({ recipe: { feed: { as: 'turn', least: 0.2, most: 0.2 } } }).RECIPE_FEED).toBe('good');
    expect(grades({ recipe: { feed: { as: 'minute', least: 800, most: 800 } } }).RECIPE_FEED).toBe('good');
    expect(grades({ recipe: { feed: { as: 'minute', least: 1200, most: 1200 } } }).RECIPE_FEED).toBe(
      'question',
    );
  });
  it('a ball turns by what cuts at its depth: 10 mm, 0.5 deep, is 4.36 (plane geometry): 9128 rev/min at 125 m/min', () => {
    const ball = { cutter: geometry('ball', { DC: 10, LCF: 22, DMM: 10, OAL: 72, NOF: 4 }) };
    expect(words({ build: ball, pass: 0.5 }, 'RECIPE_SPEED')).toMatch(/S4000, R-0001 says 9128/);
  });
  it('flutes nobody counted: not judged, and what is not stated is not asked', () => {
    const uncounted = { cutter: { ...MILL.cutter, NOF: null } };
    expect(grades({ build: uncounted }).RECIPE_FEED).toBe('not judged');
    expect(grades({ recipe: { speed: null, feed: null, ap: null, ramp: null }, pass: 5 })).toEqual({
      RECIPE: 'good',
    });
  });
});

describe('those that are kept for the cutter are held beside, and decide nothing', () => {
  const kept = (over: Partial<Recipe>): Recipe => ({ ...RECIPE, ...over });
  it('within what any of them says', () => {
    const list = [kept({}), kept({ code: 'R-0002', feed: { as: 'tooth', least: 0.09, most: 0.09 } })];
    const beside = judged({ kept: list, text: CUT.replace('F800', 'F1200') });
    expect(beside.find((j) => j.code === 'RECIPE_FEED')).toMatchObject({ grade: 'good', aside: true });
    expect(words({ kept: list, text: CUT.replace('F800', 'F2400') }, 'RECIPE_FEED')).toMatch(
      /0.15 mm a tooth, R-000\d, R-000\d say 0.05 to 0.09/,
    );
  });
  it('not those of other cutters, materials, machines, nor rejected ones', () =>
    expect(
      judged({
        kept: [
          kept({ item: 'EM8' }),
          kept({ material: 'AL' }),
          kept({ machine: 'M1' }),
          kept({ state: 'rejected' }),
        ],
      }),
    ).toEqual([]));
});

describe('what a tool runs with', () => {
  const of = (text: string, build = MILL.cutter) => ranWith(readProgram(text).tools[0]!.in_force, build);
  it('is what it is longest in the cut with: a tooth of a mill, a turn of a drill', () => {
    expect(of(CUT)).toEqual({ n: 4000, feed: { as: 'tooth', mm: 0.05 } });
    expect(of(CUT, geometry('drill', { DC: 10, NOF: 2 }))).toEqual({
      n: 4000,
      feed: { as: 'turn', mm: 0.2 },
    });
    expect(of(CUT, { ...MILL.cutter, NOF: null })).toEqual({ n: 4000, feed: { as: 'turn', mm: 0.2 } });
  });
  it('a minute where nobody can tell how it turns, in inches too; nothing where it never feeds', () => {
    expect(of(CUT.replace('S4000 M3\n', ''))).toEqual({ n: null, feed: { as: 'minute', mm: 800 } });
    expect(of('G20 G90\nT8 M6\nG43 H8 G0 Z1.\nG1 X5. F10.')).toEqual({
      n: null,
      feed: { as: 'minute', mm: 254 },
    });
    expect(of('G21\nT8 M6\nG0 X1.')).toBeNull();
  });
});
