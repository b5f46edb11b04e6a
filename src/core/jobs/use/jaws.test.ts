import { readProgram } from '../../programs';
import { asksOf } from './judgeUse';
import { judgeJaws } from './jaws';

/**
 * What goes beyond the stock must stay above the jaws that hold it. Plane geometry, worked by hand: stock 60 deep with zero at
 * its near side, jaws 40 high, parallels 22 under 30 of stock with zero on its top: jaws to 40 − 22 − 30 = −12.
 */
const JAWS = { vise: 'V-1', top: -12, stock: { least: 0, most: 60 } };
const asks = (text: string) => asksOf(readProgram(`T7 M6 S1000 M3\nG0 X0 Y30 Z5\n${text}`).tools[0]!);
const judged = (text: string, DC: number | null, jaws: typeof JAWS | null | { top: null } = JAWS) =>
  judgeJaws(
    {
      asks: asks(text),
      here: {
        highestBeside: 0,
        passDepth: null,
        jaws: jaws && { ...JAWS, ...jaws },
      },
    },
    DC === null ? null : { DC, DCX: null },
  )[0];
const ROUND = 'G1 Z-24 F200\nY68\nX100\nY-8\nX0\nY30\n';

it('round the stock below the jaws is asked about, with how far beyond and how far below', () =>
  expect(judged(ROUND, 16)).toMatchObject({
    ...{ code: 'JAWS', grade: 'question' },
    words: 'Goes 16 mm beyond the stock, and 12 mm below the jaws of V-1: at one place?',
  }));
it('faces beyond the stock above them: good', () =>
  expect(judged(ROUND.replace('Z-24', 'Z0'), 50)).toMatchObject({
    ...{ grade: 'good', words: 'Stays 12 mm above the jaws of V-1' },
  }));
it('as low as they stand is not below them', () =>
  expect(judged(ROUND.replace('Z-24', 'Z-12'), 16)?.grade).toBe('good'));
it('a pocket between the jaws goes as deep as it likes: nothing is said', () => {
  expect(judged('G1 Z-24 F200\nY52\nY8\n', 16)).toBeUndefined();
  // A wider cutter reaches out of it.
  expect(judged('G1 Z-24 F200\nY52\nY8\n', 20)).toMatchObject({
    words: expect.stringContaining('Goes 2 mm beyond'),
  });
});
it('an arc that bulges over the jaw counts as far as it bulges, and not to its ends', () =>
  expect(judged('G1 Z-24 F200\nY40\nG2 X40 Y40 R20\n', 10)).toMatchObject({
    words: expect.stringContaining('Goes 5 mm beyond'),
  }));
it('where nothing is tied the middle of the path counts; what only touches the side does not', () => {
  expect(judged('G1 Z-24 F200\nY60\nY0\n', null)).toBeUndefined();
  expect(judged(ROUND, null)).toMatchObject({ words: expect.stringContaining('Goes 8 mm beyond') });
});
it('a hole beside the stock counts where it is drilled', () =>
  expect(judged('G81 X10 Y70 Z-20 R2 F100\n', 6)).toMatchObject({
    words: expect.stringContaining('Goes 13 mm beyond the stock, and 8 mm below'),
  }));
it('how high they stand is not known: it is said, and decides nothing', () =>
  expect(judged(ROUND, 16, { top: null })).toMatchObject({ grade: 'not judged', aside: true }));
it('no vise, or a path that nobody knows the place of: nothing is said', () => {
  expect(judged(ROUND, 16, null)).toBeUndefined();
  expect(judged(`G92 Y0\n${ROUND}`, 16)).toBeUndefined();
});
it('as far as the program was read: not good where some of it was not', () =>
  expect(judged(`#1=3\n${ROUND.replace('Z-24', 'Z0')}`, 50)?.grade).toBe('not judged'));
