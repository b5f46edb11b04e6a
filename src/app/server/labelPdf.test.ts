import { execFileSync } from 'node:child_process';
import { readLabelCode } from '@/core/links';
import { lookUpCode } from '@/crib/find';
import { assemblyView, labelOf, labelsAsked } from '@/crib/rack';
import { furnish, openTestCrib, type TestCrib } from '@/crib/testing';
import { labelsPdf } from './labelPdf';

interface Page {
  wideMm: number;
  highMm: number;
  text: string;
  codes: { text: string; x: number; y: number }[];
}
/** What was printed, as pdf.js draws it and ZXing reads the codes on it; mm. */
const printed = (pdf: Buffer): Page[] =>
  JSON.parse(
    execFileSync(process.execPath, ['src/app/testing/readPrint.mjs'], { input: pdf, encoding: 'utf8' }),
  ) as Page[];

let crib: TestCrib;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  for (let i = 0; i < 2; i++)
    await crib.do('buildAssembly', {
      cutter: { item: 'EM10', place: 'S1' },
      holder: { item: 'SL10', place: 'S1' },
      stickout: 34,
    });
  await crib.do('recordMeasurement', { tag: 'A-0001', gaugeLength: '94.112', diameter: '9.987' });
});
afterAll(() => crib.db.close());

const labelNow = async (tag: string) => labelOf((await assemblyView(crib.db, tag, crib.zone))!, crib.zone);

it('a label is 50 x 25 mm, says its figures, and its code is read off the print', async () => {
  const label = await labelNow('A-0001');
  const [page, ...more] = printed(await labelsPdf([label], 'one'));
  expect(more).toEqual([]);
  expect(page!.wideMm).toBeCloseTo(50, 1);
  expect(page!.highMm).toBeCloseTo(25, 1);
  expect(page!.codes.map((c) => c.text)).toEqual([label.code]);
  expect(readLabelCode(page!.codes[0]!.text)).toMatchObject({ tag: 'A-0001' });
  // K 490 of the machine: 94.112 down to its datum surface.
  for (const figure of ['A-0001', '94.112', '9.987', '34', 'IK', 'M2 H -395.888'])
    expect(page!.text.replaceAll('−', '-')).toContain(figure);
});

it('a blank looks like a blank, and what must not run has no number to enter', async () => {
  const [blank] = printed(await labelsPdf([await labelNow('A-0002')], 'one'));
  expect(blank!.text).not.toMatch(/94|H -/);
  const label = {
    ...(await labelNow('A-0001')),
    stop: 'Gripped on the flutes: 2 mm of flute would be in the bore',
  };
  const [stopped] = printed(await labelsPdf([{ ...label, registers: [] }], 'one'));
  expect(stopped!.text).toContain('DO NOT RUN');
  expect(stopped!.text).not.toContain('395.888');
});

it('44 lie on an A4 sheet, after those that are used, each with its own code', async () => {
  const labels = await labelsAsked(crib.db, {}, crib.zone);
  expect(labels.map((l) => l.tag)).toEqual(['A-0001', 'A-0002']);
  const [first, second, third] = printed(await labelsPdf(labels, 'sheet', 43));
  expect([first!.wideMm, first!.highMm].map(Math.round)).toEqual([210, 297]);
  // The last of the first sheet, the first of the second.
  expect([...first!.codes, ...second!.codes]).toEqual([
    { text: labels[0]!.code, x: expect.closeTo(5 + 3 * 50 + 2, 0), y: expect.closeTo(11 + 10 * 25 + 2, 0) },
    { text: labels[1]!.code, x: expect.closeTo(7, 0), y: expect.closeTo(13, 0) },
  ]);
  expect(third).toBeUndefined();
});

it('scanned after it was measured again, or once the length is doubted, a label is stale and says why', async () => {
  const { code } = await labelNow('A-0001');
  const blank = (await labelNow('A-0002')).code;
  const scanned = (text: string) => lookUpCode(crib.db, text, crib.zone);
  expect(await scanned(code)).toEqual({
    href: '/rack?open=A-0001',
    said: expect.stringContaining('opened beside'),
  });
  await crib.do('recordMeasurement', { tag: 'A-0001', gaugeLength: '94.115' });
  expect((await scanned(code)).stale).toBe(
    'STALE LABEL: it was measured again. Take it off and print a new one',
  );
  const again = (await labelNow('A-0001')).code;
  await crib.do('changeMachine', {
    code: 'M2',
    taper: '40 taper',
    k: '490.2',
    lengthSchool: 'datum',
    diameterSchool: 'radius',
    units: 'mm',
    hEqualsT: 'yes',
  });
  expect((await scanned(again)).said).toContain('STALE LABEL: a figure on it changed');
  expect(await scanned(blank)).not.toHaveProperty('stale');
  await crib.do('recordMeasurement', { tag: 'A-0002', gaugeLength: '94.03' });
  expect((await scanned(blank)).stale).toContain('it was measured since');
});

it('what does not stand is refused by name', async () => {
  await expect(labelsAsked(crib.db, { tags: 'A-0001,A-0777' }, 'UTC')).rejects.toMatchObject({
    code: 'NOT_FOUND',
  });
  await expect(labelsAsked(crib.db, { job: 'J-9' }, 'UTC')).rejects.toMatchObject({ code: 'NOT_FOUND' });
});
