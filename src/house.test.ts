import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const src = join(process.cwd(), 'src');
const picture = readFileSync(join(process.cwd(), 'docs', 'architecture.md'), 'utf8');
/** The rows of the table of words: a word, and its path on each floor. */
const words = picture
  .split('\n')
  .filter((line) => line.startsWith('| ') && line.includes('`'))
  .map((line) =>
    line
      .split('|')
      .slice(1, -1)
      .map((cell) => cell.trim()),
  )
  .filter((cells) => cells.length === 5);

it('names at least twelve words of the trade', () => expect(words.length).toBeGreaterThanOrEqual(12));

it.each(words)('%s is found where the picture says', (_, core, data, crib, screens) => {
  const floors = { core, data, crib, 'ui/screens': screens };
  for (const [floor, cell] of Object.entries(floors))
    for (const [, path] of (cell ?? '').matchAll(/`([\w/]+)`/g)) {
      const at = join(src, floor, path!);
      expect(`${floor}/${path} ${['', '.ts', '.tsx'].some((x) => existsSync(at + x))}`).toBe(
        `${floor}/${path} true`,
      );
    }
});

// Data tables may be longer: figures of a standard, a demo shop.
it('no file is too long to be read at one sitting', () => {
  const long = readdirSync(src, { recursive: true, encoding: 'utf8' })
    .filter((f) => /\.tsx?$/.test(f) && !/\.test\.tsx?$/.test(f))
    .map((f) => ({ f, lines: readFileSync(join(src, f), 'utf8').split('\n').length }))
    .filter(({ lines }) => lines > 300);
  expect(long).toEqual([]);
});
