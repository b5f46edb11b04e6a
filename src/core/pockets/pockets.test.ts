import * as fc from 'fast-check';
import { worstGrade } from '../because';
import {
  beside,
  fewestChanges,
  type InPocket,
  judgePocket,
  kitState,
  staysOnRack,
  type KitLine,
  type Magazine,
  type Need,
  type PocketTool,
} from './index';

const CAROUSEL: Magazine = {
  kind: 'carousel',
  pockets: 24,
  weight: 7,
  diameter: 75,
  alone: 150,
  length: 300,
};
const tool = (tag: string, over: Partial<PocketTool> = {}): PocketTool => ({
  tag,
  wide: 63,
  length: 120,
  weight: { kg: 2, atLeast: false },
  ...over,
});
const grade = (is: PocketTool, loaded: [number, PocketTool][] = [], magazine = CAROUSEL, pocket = 1) =>
  worstGrade(judgePocket(magazine, pocket, is, new Map(loaded)));

describe('pockets beside one', () => {
  it.each([
    ['carousel', 24, 1, [24, 2]],
    ['chain', 60, 60, [59, 1]],
    ['rack', 12, 1, [2]],
    ['rack', 12, 12, [11]],
    ['turret', 2, 1, [2]],
    ['carousel', 1, 1, []],
  ] as const)('%s of %d, pocket %d', (kind, pockets, pocket, are) =>
    expect(beside({ kind, pockets }, pocket)).toEqual(are),
  );
});

// A magazine maker's data sheet states heaviest, longest, widest beside others and widest alone (common practice).
describe('a tool and its pocket', () => {
  it.each([
    ['light, short and slim', tool('A'), 'good'],
    ['too heavy', tool('A', { weight: { kg: 7.2, atLeast: false } }), 'stop'],
    ['too heavy already, whatever is not counted', tool('A', { weight: { kg: 7.2, atLeast: true } }), 'stop'],
    ['light as far as it is known', tool('A', { weight: { kg: 2, atLeast: true } }), 'not judged'],
    ['too long', tool('A', { length: 301 }), 'stop'],
    ['wide, alone', tool('A', { wide: 125 }), 'good'],
    ['wider than any', tool('A', { wide: 160 }), 'stop'],
    ['of unknown width', tool('A', { wide: null }), 'not judged'],
  ] as const)('%s', (_, is, want) => expect(grade(is)).toBe(want));
  it('a wide one asks for empty pockets beside it, and nothing comes beside it later', () => {
    const face = tool('F', { wide: 125 });
    expect(grade(face, [[24, tool('B')]])).toBe('stop');
    expect(grade(tool('B'), [[2, face]])).toBe('stop');
    expect(grade(face, [[3, tool('B')]])).toBe('good');
    // It is not its own neighbour while it is moved on by one.
    expect(grade(face, [[2, face]])).toBe('good');
  });
  it('what the magazine’s maker does not state is not judged', () => {
    const none = { weight: null, diameter: null, alone: null, length: null };
    expect(judgePocket({ ...CAROUSEL, ...none }, 1, tool('A'), new Map()).map((j) => j.grade)).toEqual([
      'not judged',
      'not judged',
      'not judged',
    ]);
    expect(grade(tool('A', { wide: 100 }), [], { ...CAROUSEL, alone: null })).toBe('not judged');
  });
});

describe('how a T of a job stands', () => {
  const good: KitLine = {
    tag: 'A-1',
    t: 4,
    use: { grade: 'good', judgements: [], goodFor: 40 },
    partsLeft: 40,
    measured: 'measured',
    loadedAs: 4,
    toBuildWith: 3,
  };
  const against = (code: string, goodFor: number | null = 0): Partial<KitLine> => ({
    use: {
      goodFor,
      grade: 'question',
      judgements: [{ code, grade: 'question', words: code, because: { words: '', values: [] } }],
    },
  });
  it.each([
    [{}, 'loaded and good'],
    [{ loadedAs: 5 }, 'elsewhere'],
    [{ ...against('REACH'), loadedAs: 5 }, 'elsewhere'],
    [{ loadedAs: null, elsewhere: true }, 'elsewhere'],
    [{ loadedAs: null, elsewhere: true, measured: 'in question' }, 'to measure'],
    [{ loadedAs: null }, 'in the crib, ready'],
    [against('LIFE'), 'loaded, life too short'],
    [against('WEAR', 39), 'loaded, life too short'],
    // Changed soon, but it lasts for the job's last part; and what nobody can say of its edge is no short life.
    [against('LIFE', 40), 'loaded, to look at'],
    [against('LIFE', null), 'loaded, to look at'],
    [against('REACH'), 'loaded, to look at'],
    [{ ...against('LIFE'), loadedAs: null }, 'in the crib, to look at'],
    [{ measured: 'not measured' }, 'to measure'],
    [{ measured: 'in question' }, 'to measure'],
    [{ tag: null }, 'to build'],
    [{ tag: null, toBuildWith: null }, 'to build'],
    [{ tag: null, toBuildWith: 0 }, 'missing'],
  ] as [Partial<KitLine>, string][])('%j', (over, is) => expect(kitState({ ...good, ...over })).toBe(is));
});

// Common practice: what is known to be worn or wrong is not put on the cart.
describe('what is not carried to the machine', () => {
  const t3 = { t: 3, grade: 'stop', why: 'Flank wear 0.35 of 0.30 mm' } as const;
  it.each([
    [[t3], t3.why],
    [[{ ...t3, why: null }], 'it must not run as T3'],
    [[t3, { t: 8, grade: 'stop', why: 'The holder would hit' } as const], t3.why],
    // It is wanted as T8, whatever is said of it as T3.
    [[t3, { t: 8, grade: 'question', why: 'Its length is in question' } as const], null],
    [[{ t: 8, grade: 'not judged', why: 'Its program is not read' } as const], null],
    [[{ t: 8, grade: 'good', why: null } as const], null],
    [[], null],
  ])('%j', (uses, why) => expect(staysOnRack(uses)).toBe(why));
});

describe('the fewest changes', () => {
  const need = (tag: string): Need => ({ t: tag.charCodeAt(0), tag });
  const jobs = (...lists: string[]) =>
    lists.map((needs, i) => ({ job: `J${i}`, needs: [...needs].map(need) }));
  const inPockets = (tags: string): InPocket[] =>
    [...tags].map((tag, i) => ({ pocket: i + 1, ...need(tag) }));
  const count = (pockets: number, tags: string, ...lists: string[]) =>
    fewestChanges(pockets, inPockets(tags), jobs(...lists)).reduce((n, j) => n + j.changes.length, 0);

  it('what is there stays; what is never wanted again goes first', () => {
    expect(count(2, 'ab', 'ab')).toBe(0);
    expect(count(2, 'ab', 'ac', 'ab')).toBe(2);
    expect(fewestChanges(3, inPockets('abc'), jobs('ad', 'ab'))[0]?.changes).toEqual([
      { pocket: 3, load: need('d'), out: 'c' },
    ]);
  });

  // The textbook string of page references, three frames: 9 faults by the best there is (Silberschatz, Operating System
  // Concepts, page replacement: 7 0 1 2 0 3 0 4 2 3 0 3 2 1 2 0 1 7 0 1; from memory).
  it('does a known worked example of the best replacement', () =>
    expect(count(3, '', ...'70120304230321201701')).toBe(9));

  it('a T that the job wants for another tool is freed; one of its own under another T is numbered anew', () => {
    const [first] = fewestChanges(
      9,
      [{ pocket: 1, t: 4, tag: 'a' }],
      [{ job: 'J', needs: [{ t: 4, tag: 'b' }] }],
    );
    expect(first?.changes).toEqual([{ pocket: 1, load: { t: 4, tag: 'b' }, out: 'a' }]);
    const [anew] = fewestChanges(
      9,
      [{ pocket: 1, t: 4, tag: 'a' }],
      [{ job: 'J', needs: [{ t: 7, tag: 'a' }] }],
    );
    expect(anew?.changes).toEqual([{ pocket: 1, load: { t: 7, tag: 'a' }, out: null }]);
  });

  it('goes where another stands under its T, so that each change can be made by itself', () => {
    const [only] = fewestChanges(
      3,
      [{ pocket: 2, t: 5, tag: 'x' }],
      [
        {
          job: 'J',
          needs: [
            { t: 3, tag: 'a' },
            { t: 5, tag: 'b' },
          ],
        },
      ],
    );
    expect(only?.changes).toEqual([
      { pocket: 1, load: { t: 3, tag: 'a' }, out: null },
      { pocket: 2, load: { t: 5, tag: 'b' }, out: 'x' },
    ]);
  });

  it('what is kept in the machine goes last; more than it holds is said', () => {
    const [kept] = fewestChanges(2, inPockets('ab'), jobs('c'), new Set(['a']));
    expect(kept?.changes).toEqual([{ pocket: 2, load: need('c'), out: 'b' }]);
    expect(fewestChanges(2, [], jobs('abc'))[0]?.noRoom).toEqual(['c'.charCodeAt(0)]);
  });

  it('is never beaten by trying every way, and leaves each job with what it wants (random magazines)', () => {
    const list = fc
      .uniqueArray(fc.constantFrom(...'abcde'), { minLength: 1, maxLength: 2 })
      .map((x) => x.join(''));
    fc.assert(
      fc.property(
        fc.array(list, { minLength: 1, maxLength: 5 }),
        fc.constantFrom('', 'a', 'ab', 'ce'),
        (lists, tags) => {
          const plan = fewestChanges(2, inPockets(tags), jobs(...lists));
          expect(count(2, tags, ...lists)).toBe(
            best(
              2,
              [...tags],
              lists.map((l) => [...l]),
            ),
          );
          const now = new Map(inPockets(tags).map((l) => [l.pocket, l.tag]));
          for (const [i, { changes }] of plan.entries()) {
            for (const { pocket, load } of changes) if (load) now.set(pocket, load.tag);
            for (const tag of lists[i]!) expect([...now.values()]).toContain(tag);
          }
        },
      ),
    );
  });
});

/** The fewest loads by trying every tool that could go out. */
function best(pockets: number, inIt: string[], lists: string[][]): number {
  const [now, ...later] = lists;
  if (!now) return 0;
  const missing = now.find((x) => !inIt.includes(x));
  if (missing === undefined) return best(pockets, inIt, later);
  if (inIt.length < pockets) return 1 + best(pockets, [...inIt, missing], lists);
  const out = inIt.filter((x) => !now.includes(x));
  return 1 + Math.min(...out.map((x) => best(pockets, [...inIt.filter((y) => y !== x), missing], lists)));
}
