import fc from 'fast-check';
import { NotRenumbered, numbersInOrder, readProgram, renumberProgram, wrongNumbers } from './index';

/** T, H and D that move together: worked by hand; each number is one tool's or another's as the reader of programs takes it. */
const SWAP = [
  { t: 1, to: 5 },
  { t: 5, to: 1 },
];

it('T, its H, its D and its name in comments move together; what is not its own stays and is named', () => {
  const { text, changes, changed, left } = renumberProgram(
    [
      '(T01 SQUARE 10, BEFORE T5)',
      'N10 T01 M6',
      'G43 H1 Z50. (H1 IS ITS LENGTH)',
      'G41 D01 X0',
      'G43 H7 Z5.',
      'G49 H0 D0',
      'T5 M06',
      'G43 H5 Z50',
      'T9 M6 ; T1 comes later',
      'G43 H9',
      'M30',
    ].join('\n'),
    SWAP,
  );
  expect(text.split('\n')).toEqual([
    '(T05 SQUARE 10, BEFORE T1)',
    'N10 T05 M6',
    'G43 H5 Z50. (H1 IS ITS LENGTH)',
    'G41 D05 X0',
    'G43 H7 Z5.',
    'G49 H0 D0',
    'T1 M06',
    'G43 H1 Z50',
    'T9 M6 ; T5 comes later',
    'G43 H9',
    'M30',
  ]);
  expect(changed).toBe(7);
  expect(changes[1]).toEqual({ line: 2, was: 'N10 T01 M6', is: 'N10 T05 M6' });
  expect(left).toEqual([{ line: 5, text: 'G43 H7 Z5.', why: 'H7 with T1: not the number of its tool' }]);
});

it('a T that is named ahead of its change has not changed yet: H before M6 is the tool before', () => {
  const { text } = renumberProgram('T1 M6\nT5\nG43 H1\nM6\nG43 H5\nM30', SWAP);
  expect(text).toBe('T5 M6\nT1\nG43 H5\nM6\nG43 H1\nM30');
});

it('where tools are swapped by hand at a stop, the stop is the change', () => {
  expect(renumberProgram('T1\nM0\nG43 H1\nT5\nM0\nG43 H5\nM30', SWAP).text).toBe(
    'T5\nM0\nG43 H5\nT1\nM0\nG43 H1\nM30',
  );
});

it('D kept apart by the same number for all tools keeps it; one alone is no rule', () => {
  const by20 = 'T1 M6\nG43 H1\nG41 D21\nT5 M6\nG43 H5\nG41 D25\nM30';
  expect(renumberProgram(by20, SWAP)).toMatchObject({
    text: 'T5 M6\nG43 H5\nG41 D25\nT1 M6\nG43 H1\nG41 D21\nM30',
    left: [],
  });
  expect(renumberProgram('T1 M6\nG41 D21\nT5 M6\nG41 D5\nM30', SWAP)).toMatchObject({
    text: 'T5 M6\nG41 D21\nT1 M6\nG41 D1\nM30',
    left: [{ line: 2 }],
  });
});

it('written tight, with blanks or with points, by any case and line end', () => {
  expect(renumberProgram('g0x0t1m6\r\ng43h1z5\r\nT 0 0 1 M 6\r\nT1. M6\r\nM30\r\n', SWAP).text).toBe(
    'g0x0t5m6\r\ng43h5z5\r\nT 005 M 6\r\nT5. M6\r\nM30\r\n',
  );
});

it.each([
  ['T#101 M6', 1, /variable/],
  ['T1 M6\nG43 H[#4120]', 2, /expression/],
  ['T1 M6\nM98 P10\nM30\nO10\nG43 H1 Z5\nM99', 5, /subprogram/],
])('%j is refused by its line, and nothing comes back', (text, line, why) => {
  const tried = () => renumberProgram(text, SWAP);
  expect(tried).toThrow(NotRenumbered);
  expect(tried).toThrow(why);
  try {
    tried();
  } catch (error) {
    expect((error as NotRenumbered).line).toBe(line);
  }
});

it('a subprogram without numbers of tools is no hindrance; offsets that are written are named', () => {
  expect(renumberProgram('T1 M6\nM98 P10\nM30\nO10\nG91 X5\nM99', SWAP).text).toContain('T5 M6');
  expect(renumberProgram('G10 L10 P1 R95.2\nT1 M6\nM30', SWAP).left).toMatchObject([{ line: 1 }]);
});

it('there and back again is the same text, and what the reader says moves with the numbers and nothing else', () => {
  const tool = fc.record({
    t: fc.integer({ min: 1, max: 6 }),
    h: fc.boolean(),
    d: fc.boolean(),
    z: fc.integer({ min: -30, max: -1 }),
    pad: fc.boolean(),
  });
  fc.assert(
    fc.property(
      fc.uniqueArray(tool, { selector: (x) => x.t, minLength: 1 }),
      fc.shuffledSubarray([1, 2, 3, 4, 5, 6], { minLength: 6 }),
      (tools, targets) => {
        const name = (t: number, pad: boolean) => (pad ? String(t).padStart(2, '0') : String(t));
        const text = `G21 G90\n${tools
          .map(
            (x) =>
              `T${name(x.t, x.pad)} M6\nS1000 M3\nG0 X0 Y0\n${x.h ? `G43 H${x.t} ` : ''}Z50.\nG1 Z${x.z}. F100\n${x.d ? `G41 D${x.t} ` : ''}X10.\nG0 Z50.`,
          )
          .join('\n')}\nM30`;
        const map = tools.map(({ t }) => ({ t, to: targets[t - 1]! }));
        const there = renumberProgram(text, map);
        expect(
          renumberProgram(
            there.text,
            map.map(({ t, to }) => ({ t: to, to: t })),
          ).text,
        ).toBe(text);
        const [before, after] = [readProgram(text), readProgram(there.text)];
        expect(after.tools.map((x) => x.t)).toEqual(before.tools.map((x) => targets[x.t - 1]));
        expect(after.tools.map((x) => [x.cutting_s, x.lowest_feed_z_mm])).toEqual(
          before.tools.map((x) => [x.cutting_s, x.lowest_feed_z_mm]),
        );
        expect(after.tools.flatMap((x) => x.h)).toEqual(
          before.tools.flatMap((x) => x.h.map((h) => targets[h - 1])),
        );
        expect(there.left).toEqual([]);
      },
    ),
    { numRuns: 200 },
  );
});

it('whatever is sent, it ends, keeps the number of lines, and refuses by a line that is there', () => {
  const noise = fc.array(
    fc.constantFrom(
      'T',
      'H',
      'D',
      'M6',
      'M0',
      '1',
      '#',
      '(',
      ')',
      ';',
      '\n',
      ' ',
      'O1',
      'G43',
      '.',
      '\r',
      'é',
    ),
  );
  fc.assert(
    fc.property(noise, (parts) => {
      const text = parts.join('');
      try {
        expect(renumberProgram(text, SWAP).text.split('\n')).toHaveLength(text.split('\n').length);
      } catch (error) {
        expect(error).toBeInstanceOf(NotRenumbered);
        expect((error as NotRenumbered).line).toBeLessThanOrEqual(text.split('\n').length);
      }
    }),
    { numRuns: 400 },
  );
});

describe('new numbers', () => {
  it('go up in the new order, round those that are kept in their machine', () => {
    expect(numbersInOrder([3, 1, 2])).toEqual([
      { t: 3, to: 1 },
      { t: 1, to: 2 },
      { t: 2, to: 3 },
    ]);
    expect(numbersInOrder([3, 1, 2], new Set([1]))).toEqual([
      { t: 3, to: 2 },
      { t: 1, to: 1 },
      { t: 2, to: 3 },
    ]);
  });
  it('no two tools under one number, none that the program does not call', () => {
    expect(wrongNumbers(SWAP, [1, 5])).toBeNull();
    expect(wrongNumbers([{ t: 1, to: 5 }], [1, 5])).toBe('two tools would be T5');
    expect(wrongNumbers([{ t: 2, to: 5 }], [1, 5])).toBe('the program does not call T2');
    expect(
      wrongNumbers(
        [
          { t: 1, to: 2 },
          { t: 1, to: 3 },
        ],
        [1, 5],
      ),
    ).toBe('T1 is given two numbers');
  });
});
