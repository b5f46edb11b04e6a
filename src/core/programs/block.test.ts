import fc from 'fast-check';
import { Block } from './block';
import { AT } from './letters';
import { bytesSource, readProgram, textSource, type ProgramSource } from './index';

/** Words as NISTIR 6556 (2000), section 3.3, has them. */
const wordsOf = (text: string) => {
  const block = new Block(textSource(text));
  const all: (string | number)[][] = [];
  while (block.read()) {
    const words: (string | number)[] = [];
    for (let i = 0; i < block.words; i += 1)
      words.push(String.fromCharCode(64 + block.letter(i)), block.of(block.letter(i))!);
    all.push(words);
  }
  return all;
};

it('a number is that of JavaScript for the same digits, to the last bit', () => {
  const digits = fc.tuple(
    fc.constantFrom('', '-', '+'),
    fc.stringMatching(/^\d{0,14}$/),
    fc.option(fc.stringMatching(/^\d{0,14}$/)),
  );
  fc.assert(
    fc.property(digits, ([sign, whole, rest]) => {
      const written = `${sign}${whole}${rest === null ? '' : `.${rest}`}`;
      const value = Number(written);
      fc.pre(/\d/.test(written) && Math.abs(value) <= 1e9 && (value === 0 || Math.abs(value) >= 1e-9));
      expect(wordsOf(`X${written}`)).toEqual([['X', value]]);
    }),
    { seed: 11, numRuns: 3000 },
  );
});
it('numbers as written, whatever blanks stand in them', () => {
  const block = new Block(textSource('n 1 0 x - 1 . 50 y+.5(here)z 7. ; end'));
  block.read();
  expect(Array.from({ length: block.words }, (_, i) => block.number(i))).toEqual([
    '10',
    '-1.50',
    '+.5',
    '7.',
  ]);
  expect([block.of(AT.X), block.of(AT.A), block.comment]).toEqual([-1.5, null, 'here  end']);
});
it('and beside a comment that is not closed', () => {
  const block = new Block(textSource('T1.5 (the end'));
  block.read();
  expect([block.number(0), block.unread?.why]).toEqual(['1.5', 'comment not closed']);
});
it('a mark of byte order at the start is no text', () => expect(wordsOf('\ufeffG21')).toEqual([['G', 21]]));

it('a comment of an older editor is read by its code page', () => {
  const block = new Block(bytesSource(Uint8Array.from([0x28, 0x4b, 0xfc, 0x68, 0x6c, 0x29, 0x4d, 0x38])));
  block.read();
  expect(block.comment).toBe('Kühl');
});

/** A source that gives a piece of the program at a time and counts what is held of it at once. */
const line = fc.oneof(
  { weight: 6, arbitrary: fc.stringMatching(/^[GXYZF][0-9. ]{0,9}[XYI]-?[0-9.]{1,6}$/) },
  fc.constantFrom(
    '',
    '%',
    '(a comment',
    '(b) G1 X1',
    ';c',
    '/G1 X9',
    'O5',
    '#1=3',
    'G1 X[3]',
    '(Größe 8 µm)',
  ),
);
it('is read alike wherever its pieces end, and whatever ends its lines', () => {
  fc.assert(
    fc.property(
      fc.array(line, { maxLength: 40 }),
      fc.constantFrom('\n', '\r\n', '\r'),
      // Blank lines before it move it over the end of the first piece that is held.
      fc.integer({ min: 0, max: 700 }),
      (lines, end, less) => {
        const program = ['G21', 'T1 M6', 'S1 M3', 'G0 X0 Y0 Z0 F100', ...lines].join(end);
        const far = `(${'x'.repeat(100)})`;
        const before = Math.floor((131_072 - less) / (far.length + end.length));
        const moved = readProgram(`${`${far}${end}`.repeat(before)}${program}`);
        const whole = readProgram(program);
        const bare = (report: typeof whole) =>
          JSON.stringify(report, (key, value: unknown) =>
            /line|warned_at/.test(key) || key === 'name' ? undefined : value,
          );
        expect(bare(moved)).toBe(bare(whole));
        expect(moved.not_understood.map((n) => n.line - before)).toEqual(
          whole.not_understood.map((n) => n.line),
        );
      },
    ),
    { seed: 12, numRuns: 120 },
  );
});

it('holds a piece of the program, never all of it', () => {
  const bytes = new TextEncoder().encode(`T1 M6\nS1 M3\nG0 X0 Y0 Z0\n${'G1 X1 F100\nX0\n'.repeat(200_000)}`);
  let largest = 0;
  const counting: ProgramSource = {
    size: bytes.length,
    read(from, into) {
      largest = Math.max(largest, into.length);
      return bytesSource(bytes).read(from, into);
    },
  };
  expect(readProgram(counting).tools[0]!.cutting_mm).toBe(399_999 + 1);
  expect(largest).toBeLessThan(bytes.length / 10);
});

it('says how far it is', () => {
  const heard: number[] = [];
  readProgram(`${'G1 X1 F100\n'.repeat(100_000)}`, {}, { progress: (bytes) => heard.push(bytes) });
  expect(heard.length).toBeGreaterThan(2);
  expect([...heard].sort((a, b) => a - b)).toEqual(heard);
});

it('noise of bytes is read to its end, and every figure is a number', () => {
  fc.assert(
    fc.property(fc.uint8Array({ maxLength: 3000 }), (bytes) => {
      const report = readProgram(bytesSource(bytes));
      expect(JSON.stringify(report)).not.toContain('"cutting_mm":null');
    }),
    { seed: 13, numRuns: 300 },
  );
});
