import { execFileSync } from 'node:child_process';
import { KIT_HEAPS, KIT_STATES } from '@/core/pockets';
import { type JobView, jobView } from '@/crib/jobs';
import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { kitView } from '@/crib/pockets';
import { kitPdf } from './kitPdf';
import { setupPdf } from './setupPdf';

interface Page {
  wideMm: number;
  highMm: number;
  text: string;
  smallest: number;
  codes: { text: string }[];
}
const PRINTED = new Date('2027-01-05T09:00:00Z');
/** What was printed, as pdf.js reads it; mm. */
const readOff = (pdf: Buffer): Page[] =>
  (
    JSON.parse(
      execFileSync(process.execPath, ['src/app/testing/readPrint.mjs'], { input: pdf, encoding: 'utf8' }),
    ) as Page[]
  ).map((page) => ({ ...page, text: page.text.replaceAll(/\s+/g, ' ') }));
const printed = async (job: JobView) => readOff(await setupPdf(job, PRINTED, 'UTC'));

let crib: TestCrib;
let operation: number;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  operation = (
    await crib.do('addJob', {
      ...{ number: 'J-4417/2', part: 'Ventilblokk Ø20 åæø', material: 'C45', quantity: 320 },
      ...{ due: '2027-02-01', machine: 'M2', highestBeside: 1, customer: 'PO 118' },
    })
  ).operation as number;
});
afterAll(() => crib.db.close());
const job = async () => (await jobView(crib.db, 'J-4417/2'))!;

it('what is not known is a line to write on: no figure stands where none was stated', async () => {
  const [page, ...more] = await printed(await job());
  expect(more).toEqual([]);
  // ISO 216: A4 is 210 x 297 mm.
  expect([page!.wideMm, page!.highMm].map(Math.round)).toEqual([210, 297]);
  for (const said of [
    'J-4417/2',
    'operation 10',
    'Ventilblokk Ø20 åæø',
    'PO 118',
    'Stock X',
    'written',
    '2027-01-05',
  ])
    expect(page!.text).toContain(said);
  expect(page!.text).toContain('Care.');
  expect(page!.text).not.toMatch(/\b0 mm\b|null|undefined/);
});

it('prints what is stated, each tool with its numbers, who signed, and what is in doubt since', async () => {
  await crib.do('stateFixture', {
    ...{ machine: 'M2', code: 'V1', name: 'Vise', centre: -400, width: 125, jaw: -90, side: 'far', bed: 60 },
  });
  await crib.do('writeSetupSheet', {
    ...{
      operation,
      drawing: 'D-4417',
      fixture: 'V1',
      against: 'left end',
      workOffset: 'G54',
      parallels: '5',
    },
    ...{
      stockX: 100,
      stockY: 60,
      stockZ: '31',
      zeroX: 0,
      zeroY: 60,
      zeroZ: '30',
      notes: 'Burrs off.\nTurn it over.',
    },
  });
  await crib.do('storeProgram', { operation, name: 'O4417', text: oneToolProgram(7, 2, -20) });
  await crib.do('buildAssembly', {
    ...{ cutter: { item: 'EM10', place: 'S1' }, holder: { item: 'SL10', place: 'S1' }, stickout: 34 },
  });
  await crib.do('tieTool', { operation, t: 7, tag: 'A-0001' });
  await crib.do('signSetup', { operation, step: 'written' });
  await crib.do('signSetup', { operation, step: 'entered', by: 'Kari' });
  await crib.do('recordMeasurement', { tag: 'A-0001', gaugeLength: '94.112', diameter: '9.987' });
  const [page] = await printed(await job());
  const text = page!.text.replaceAll('−', '-');
  // K 490 of the machine; the vise as worked by hand: left end -400 - 62.5, jaw -90, 60 + 5 + 30.
  for (const figure of ['D-4417', 'left, far, 1 mm below the top', '-462.500', '-90.000', '95.000'])
    expect(text).toContain(figure);
  for (const figure of ['A-0001', '34 mm', '-395.888', 'Burrs off.', 'Turn it over.'])
    expect(text).toContain(figure);
  expect(text).toMatch(/IK, 2027-01-05/);
  expect(text).toMatch(/Kari signed 2027-01-05; since then H of T7 was not known/);
});

it('notes of as many words as are taken stand whole, over as many pages as they need, and nothing is set too small to read', async () => {
  const before = await job();
  const notes = Array.from({ length: 140 }, (_, i) => `line ${i + 1} of them`).join('\n');
  const sheet = { ...before.setup.sheet!, notes };
  const tools = before.tools.map((t) => ({
    ...t,
    words: '10 mm R0.5 corner-radius end mill, 4 flutes, carbide, coated, long neck of 40 mm',
    use: {
      ...t.use,
      why: `Below its flutes 13.97 mm of shank rub on the wall; ${'and so on, for a long while; '.repeat(4)}`,
    },
  }));
  const pages = await printed({ ...before, tools, setup: { ...before.setup, sheet } });
  expect(pages.length).toBeGreaterThan(1);
  const text = pages.map((p) => p.text).join(' ');
  for (const line of [1, 80, 140]) expect(text).toContain(`line ${line} of them`);
  expect(text).toContain('long neck of 40 mm');
  expect(text).not.toContain('…');
  expect(Math.min(...pages.map((p) => p.smallest))).toBeGreaterThan(2.55);
});

it('forty tools go onto as many pages as they need, each with its head and its number', async () => {
  await crib.do('storeProgram', {
    operation,
    text:
      Array.from({ length: 40 }, (_, i) => oneToolProgram(i + 1, 1).replace('M30', '')).join('\n') + '\nM30',
  });
  const pages = await printed(await job());
  expect(pages.length).toBeGreaterThan(1);
  for (const [i, page] of pages.entries()) expect(page.text).toContain(`${i + 1} of ${pages.length}`);
  const all = pages.map((p) => p.text).join(' ');
  for (let t = 1; t <= 40; t += 1) expect(all).toMatch(new RegExp(`\\bT${t}\\b`));
});

it('the pull list has the shelves in their order, and each tag its code, which is read off the print', async () => {
  await crib.do('planTool', { operation, t: 9, item: 'EM10', does: 'finishes the wall' });
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 2, -20) });
  const kit = (await kitView(crib.db, { number: 'J-4417/2' }, '2027-01-05'))!;
  const [page, ...more] = readOff(await kitPdf(kit, PRINTED, 'UTC'));
  expect(more).toEqual([]);
  expect(page!.codes.map((c) => c.text)).toEqual(['A-0001']);
  expect(page!.text).toMatch(/To fetch, one walk: 2.*S1 EM10 .*T9.*rack A-0001 .*T7/);
  expect(page!.text).toContain('2027-01-05');
});

it('every T is on the pull list, also what is to be built, measured or looked at, with why', async () => {
  const kit = (await kitView(crib.db, { number: 'J-4417/2' }, '2027-01-05'))!;
  const seven = kit.tools.find((t) => t.t === 7)!;
  const of = async (over: Partial<typeof seven>) =>
    readOff(
      await kitPdf(
        { ...kit, pull: [], tools: [...kit.tools.filter((t) => t.t !== 7), { ...seven, ...over }] },
        PRINTED,
        'UTC',
      ),
    )
      .map((p) => p.text)
      .join(' ');
  const worn = await of({ state: 'in the crib, to look at', why: 'Worn: flank wear 0.16 of 0.16 mm' });
  expect(worn).toMatch(/To build: 1 .*T9.*To look at: 1 .*A-0001.*Worn: flank wear 0.16 of 0.16 mm.*T7/);
  expect(await of({ state: 'to measure', why: 'Length in question', pocket: 4 })).toMatch(
    /To measure: 1 .*pocket 4 .*A-0001.*Length in question.*T7/,
  );
  expect(
    await of({ state: 'missing', tag: null, words: null, named: 'SQUARE 8', lacking: ['EM8', 'H9'] }),
  ).toMatch(/To buy, or to wait for: 2 .*EM8.*SQUARE 8.*T7.*H9/);
  // A T that can't be built yet says so in both: what is to be built, and what of it is not here.
  expect(await of({ state: 'to build', tag: null, words: null, named: 'SQUARE 8', lacking: ['H9'] })).toMatch(
    /To buy, or to wait for: 1 .*H9.*T7 .*To build: 2 .*SQUARE 8.*T7/,
  );
  // Nothing that a kit can be is in no heap, or in two.
  expect(KIT_HEAPS.flatMap(([, states]) => states).toSorted()).toEqual([...KIT_STATES].toSorted());
});
