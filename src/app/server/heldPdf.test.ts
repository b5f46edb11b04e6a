import { execFileSync } from 'node:child_process';
import { type HoldSheet, holdSheet } from '@/crib/held';
import { lookUpCode } from '@/crib/find';
import { shiftView } from '@/crib/shift';
import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { VERBS } from '@/crib/verbs';
import { holdPdf } from './holdPdf';
import { shiftPdf } from './shiftPdf';

interface Page {
  wideMm: number;
  highMm: number;
  text: string;
  smallest: number;
  codes: { text: string; x: number; y: number }[];
}
/** What was printed, as pdf.js draws it and ZXing reads the codes on it; mm. */
const printed = (pdf: Buffer): Page[] =>
  JSON.parse(
    execFileSync(process.execPath, ['src/app/testing/readPrint.mjs'], { input: pdf, encoding: 'utf8' }),
  ) as Page[];

let crib: TestCrib;
let operation: number;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  ({ operation } = (await crib.do('addJob', {
    ...{ number: 'J-1', part: 'Block', material: 'C45', quantity: 60, due: '2027-02-01', machine: 'M2' },
  })) as unknown as { operation: number });
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 2) });
  await crib.do('logParts', { operation, parts: 14, confirmed: true });
  await crib.do('holdParts', { operation, from: 3, to: 14, why: 'part 5 came back: a step in its wall' });
});
afterAll(() => crib.db.close());
const hold = async () => (await holdSheet(crib.db, 'Q-0001'))!;

it('each held part of which nobody decided has a tag, ten on an A4, whose code opens the hold', async () => {
  const [first, second, ...more] = printed(await holdPdf(await hold(), crib.zone));
  expect(more).toEqual([]);
  expect([first!.wideMm, first!.highMm].map(Math.round)).toEqual([210, 297]);
  expect([first!.codes.length, second!.codes.length]).toEqual([10, 2]);
  expect(new Set([...first!.codes, ...second!.codes].map((c) => c.text))).toEqual(new Set(['Q-0001']));
  for (const words of ['HELD', 'part 3 of J-1', 'Block', 'a step in its wall', 'good', 'rework', 'scrap'])
    expect(first!.text).toContain(words);
  expect(second!.text).toContain('part 14 of J-1');
  expect((await lookUpCode(crib.db, first!.codes[0]!.text, crib.zone)).href).toBe('/held?open=Q-0001');
});

it('what is decided has none; where they would be more than are printed at once, each run has one', async () => {
  await crib.do('judgeParts', { hold: 'Q-0001', from: 4, to: 13, verdict: 'good' });
  const [page] = printed(await holdPdf(await hold(), crib.zone));
  expect(page!.codes).toHaveLength(2);
  expect(page!.text).not.toContain('part 4 of');
  const many: HoldSheet = {
    ...(await hold()),
    ...{ firstPart: 1, lastPart: 500, parts: 500, open: 500 },
    stands: [{ first: 1, last: 500, by: null }],
  };
  const [run, ...others] = printed(await holdPdf(many, crib.zone));
  expect([run!.codes.length, others.length]).toEqual([1, 0]);
  expect(run!.text).toContain('parts 1 to 500 of J-1');
});

it('what is handed over is printed with its note and a line for the initials', async () => {
  await crib.do('handOver', { words: 'M2 is warm: look at T7 before the next part' });
  const [page] = printed(
    await shiftPdf(await shiftView(crib.db, '2027-01-05', VERBS), crib.now(), crib.zone),
  );
  for (const words of [
    'M2 is warm: look at T7 before the next part',
    ...['Held', 'Decide of parts 3 to 14 of J-1', '14 of J-1 Block, M2', 'taken over by, when'],
  ])
    expect(page!.text).toContain(words);
});

it('a long reason and a long note stand whole and at their size: what is small on paper is not read', async () => {
  const why =
    'the wall shows a step of two hundredths from the second pass on, seen by the customer on nine of the ten parts that were looked at';
  await crib.do('holdParts', { operation, from: 1, to: 2, why });
  const note = Array.from({ length: 120 }, (_, i) => `${i + 1}: look at T7.`).join(' ');
  await crib.do('handOver', { words: note });
  const pages = printed(await shiftPdf(await shiftView(crib.db, '2027-01-05', VERBS), crib.now(), crib.zone));
  const text = pages
    .map((p) => p.text)
    .join(' ')
    .replaceAll(/\s+/g, ' ');
  expect(text).toContain(why);
  expect(text).toContain(note);
  // The foot is set in 2.6 mm, and nothing smaller.
  expect(Math.min(...pages.map((p) => p.smallest))).toBeGreaterThan(2.55);
});
