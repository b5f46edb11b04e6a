import { XMLParser, XMLValidator } from 'fast-xml-parser';
import Papa from 'papaparse';
import { readOffsets } from '@/core/registers';
import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { exportRegisters } from './exportRegisters';
import { assemblyView } from '@/crib/rack';
import { registersView } from './views/registersView';

let crib: TestCrib;
const at = (item: string) => ({ item, place: 'S1' });
const job = async (number: string, t: number, due = '2027-02-01') => {
  const { operation } = await crib.do('addJob', {
    number,
    part: 'Cap',
    material: 'C45',
    quantity: 5,
    due,
    machine: 'M2',
    highestBeside: 0,
  });
  await crib.do('storeProgram', { operation, text: oneToolProgram(t, 1) });
  return operation as number;
};
const build = async (t: number, operation: number) =>
  String(
    (
      await crib.do('buildAssembly', {
        cutter: at('EM10'),
        holder: at('SL10'),
        stickout: 34,
        for: { operation, t },
      })
    ).tag,
  );
const view = async (asked: object = {}) =>
  (await registersView(crib.db, { machine: 'M2', ...asked }, 'UTC'))!;
const file = (as: 'nc' | 'csv' | 'json' | 'xml', asked: object = {}) =>
  exportRegisters(crib.db, { machine: 'M2', ...asked }, as, new Date('2027-01-12T09:00:00Z'), 'UTC');
const states = async () => (await view()).lines.map((l) => [l.t, l.since.state]);
let tag: string;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('receiveStock', { ...at('SL10'), quantity: 3 });
  await crib.do('receiveStock', { ...at('EM10'), quantity: 2 });
  tag = await build(7, await job('J-1', 7));
});
afterAll(() => crib.db.close());

const give = (over: object = {}, how = 'read back') =>
  crib.do('giveRegisters', {
    machine: 'M2',
    how,
    lines: [{ t: 7, tag, h: '-395.888', d: '4.994', ...over }],
  });

it('nothing can be given before it is measured, and the file has no figure for it', async () => {
  expect((await view()).lines).toMatchObject([{ t: 7, tag, h: null, lacks: ['not measured'] }]);
  await expect(give()).rejects.toMatchObject({ parts: [{ field: 'lines/0/h' }] });
  expect((await file('nc')).text).not.toContain('G10');
});

// K 490, L 94.112, D 9.988: H −395.888 by the datum school, D 4.994 by radius (hand arithmetic).
it('what is read back must be what is due: a slip is named, and nothing is recorded', async () => {
  await crib.do('recordMeasurement', { tag, gaugeLength: '94.112', diameter: '9.988' });
  expect(await states()).toEqual([[7, 'new']]);
  for (const [over, words] of [
    [{ h: '-395.878' }, 'it is another figure'],
    [{ h: '395.888' }, 'the sign is the other one'],
    [{ h: '4.994' }, 'that is D7'],
    [{ d: '9.988' }, 'it is another figure'],
    [{ h: undefined }, 'is to be read back'],
    [{ t: 8 }, 'is not on T8'],
    [{ tag: 'A-0999' }, 'is not on T7'],
  ] as const)
    await expect(give(over)).rejects.toThrow(words);
  await expect(
    crib.do('giveRegisters', {
      machine: 'M2',
      how: 'sent',
      lines: [
        { t: 7, tag, h: '-395.888' },
        { t: 7, tag, h: '-395.888' },
      ],
    }),
  ).rejects.toThrow('T7 is there twice');
  expect(await states()).toEqual([[7, 'new']]);
  await give();
  expect(await view()).toMatchObject({
    toGive: 0,
    lines: [{ since: { state: 'same' }, given: { how: 'read back' } }],
  });
  expect((await file('nc')).text).not.toContain('G10');
  expect((await file('nc', { what: 'all' })).text).toContain('G10 L1 P7 Z-395.888 R4.994');
});

it('a new measurement, a new K, an older sheet: each shows, and the old figures are refused', async () => {
  await crib.do('recordMeasurement', { tag, gaugeLength: '94.120', diameter: '9.988' });
  expect((await view()).lines[0]!.since).toEqual({ state: 'changed', words: 'H was −395.888' });
  await expect(give()).rejects.toThrow('H7 reads -395.888, it should be −395.880');
  await give({ h: '-395.880' });
  const { taper, lengthSchool, diameterSchool, units } = {
    taper: '40 taper',
    lengthSchool: 'datum',
    diameterSchool: 'radius',
    units: 'mm',
  };
  await crib.do('changeMachine', {
    code: 'M2',
    k: '490.030',
    hEqualsT: 'yes',
    g10Form: 'geometry and wear',
    ...{ taper, lengthSchool, diameterSchool, units },
  });
  expect((await view()).lines[0]).toMatchObject({ h: '−395.910', since: { state: 'changed' } });
  expect((await file('nc')).text).toContain('G10 L10 P7 R-395.910\nG10 L11 P7 R0.');
  await give({ h: '-395.910' }, 'sent');
  expect(await states()).toEqual([[7, 'same']]);
});

it('a length in question leaves the control with what nobody vouches for', async () => {
  await crib.do('recordMeasurement', { tag, gaugeLength: '94.9' });
  expect((await view()).lines[0]).toMatchObject({
    h: null,
    lacks: ['its length is in question'],
    since: { state: 'cannot say', words: `the control still has −395.910 of ${tag}` },
  });
  await crib.do('recordMeasurement', { tag, gaugeLength: '94.120', diameter: '9.988' });
});

it('two jobs that want one T are shown beside each other, and no program writes the one over the other', async () => {
  const operation = await job('J-2', 7, '2027-03-01');
  const other = await build(7, operation);
  await crib.do('recordMeasurement', { tag: other, gaugeLength: '94.300', diameter: '9.990' });
  const { lines, jobs } = await view();
  expect(lines.map((l) => [l.t, l.tag, l.jobs, l.clashes])).toEqual([
    [7, tag, ['J-1'], true],
    [7, other, ['J-2'], true],
  ]);
  expect(jobs).toEqual(['J-1', 'J-2']);
  await expect(file('nc', { what: 'all' })).rejects.toMatchObject({ code: 'CONFLICT' });
  const ofJob = (await file('nc', { what: 'all', job: 'J-2' })).text;
  expect(readOffsets(ofJob, 'radius', 'mm')).toEqual([
    { number: 7, h: '-395.730', d: '4.995', hWear: '0.000', dWear: '0.000' },
  ]);
  // The same T with another tool is a change, even where only the tool is another.
  expect(lines[1]!.since).toMatchObject({ state: 'changed' });
});

it('two operations of one job that want one T clash even when that job is chosen', async () => {
  const again = await job('J-2B', 9);
  await build(9, again);
  const sheet = (await view({ job: 'J-2B' })).lines;
  expect(sheet.map((l) => l.clashes)).toEqual([false]);
  const { onlyOf } = await import('./views/registersView');
  const [line] = sheet;
  expect(onlyOf('J-2B', [line!, { ...line!, tag: 'A-0099' }]).map((l) => l.clashes)).toEqual([true, true]);
  await crib.do('takeDown', { tag: line!.tag, cutterTo: 'S1' });
  await crib.do('tieTool', { operation: again, t: 9 });
});

it('CSV, JSON and MTConnect assets read back as they were', async () => {
  const csv = Papa.parse<Record<string, string>>((await file('csv', { what: 'all' })).text.trim(), {
    header: true,
  });
  expect(csv.data.map((r) => [r.T, r.H, r.D, r.tag])).toEqual([
    ['7', '-395.910', '4.994', tag],
    ['7', '-395.730', '4.995', 'A-0002'],
  ]);
  expect(JSON.parse((await file('json', { what: 'all' })).text).lines).toHaveLength(2);
  const { text } = await file('xml', { what: 'all' });
  expect(XMLValidator.validate(text)).toBe(true);
  const read = new XMLParser({ ignoreAttributes: false, parseTagValue: false }).parse(text);
  const [tool] = read.MTConnectAssets.Assets.CuttingTool;
  expect(tool).toMatchObject({ '@_assetId': tag, '@_toolId': 'EM10' });
  const cycle = tool.CuttingToolLifeCycle;
  expect(cycle.CutterStatus.Status).toEqual(['MEASURED', 'NEW']);
  const [minutes, parts] = cycle.ToolLife;
  expect(minutes).toMatchObject({ '@_type': 'MINUTES', '@_countDirection': 'UP', '#text': '0.0' });
  // Assumed 40 min of life, a minute a part.
  expect(parts).toMatchObject({ '@_type': 'PART_COUNT', '@_countDirection': 'DOWN', '#text': '40' });
  expect(cycle.ProgramToolNumber).toBe('7');
  expect(cycle.Measurements.FunctionalLength).toMatchObject({
    '@_code': 'LF',
    '@_units': 'MILLIMETER',
    '@_nominal': '94.0000',
    '#text': '94.1200',
  });
  expect(cycle.Measurements.CuttingDiameterMax).toMatchObject({ '@_code': 'DC', '#text': '9.9880' });
});

it('an asset says its pocket, its wear and the build sheet it is built from, whose archetype stands beside', async () => {
  await crib.do('stateMagazine', { machine: 'M2', kind: 'carousel', pockets: 6 });
  await crib.do('loadPocket', { machine: 'M2', pocket: 3, tag });
  await crib.do('recordWear', { tag, flankWear: '0.08' });
  const operation = await job('J-9', 12);
  await crib.do('writeBuildSheet', {
    ...{ code: 'BS-9', name: 'Short ten', cutter: 'EM10', holder: 'SL10' },
    ...{ stickout: '34', least: '32', most: '36' },
  });
  const built = await crib.do('buildAssembly', {
    ...{ cutter: at('EM10'), holder: at('SL10'), stickout: 34, for: { operation, t: 12 } },
    sheet: { code: 'BS-9', version: 1, clean: true },
  });
  await crib.do('recordMeasurement', { tag: built.tag, gaugeLength: '94.1', diameter: '9.99' });
  const read = new XMLParser({ ignoreAttributes: false, parseTagValue: false }).parse(
    (await file('xml', { what: 'all' })).text,
  ).MTConnectAssets.Assets;
  expect(read.CuttingToolArchetype).toMatchObject({
    '@_assetId': 'BS-9/1',
    CuttingToolLifeCycle: { Measurements: { FunctionalLength: { '@_nominal': '94.0000' } } },
  });
  const tools = read.CuttingTool as Record<string, never>[];
  const one = (of: unknown) => tools.find((x) => x['@_assetId'] === of)!;
  expect(one(built.tag)).toMatchObject({ CuttingToolArchetypeReference: 'BS-9/1' });
  expect(one(tag)).toMatchObject({
    CuttingToolLifeCycle: {
      Location: { '@_type': 'POT', '#text': '3' },
      ToolLife: expect.arrayContaining([
        expect.objectContaining({
          '@_type': 'WEAR',
          '#text': '0.080',
          '@_limit': expect.stringMatching(/^0\.\d{3}$/),
        }),
      ]),
    },
  });
  await crib.do('emptyPocket', { machine: 'M2', pocket: 3 });
  await crib.do('takeDown', { tag: built.tag, cutterTo: 'S1' });
  await crib.do('tieTool', { operation, t: 12 });
});

// The standard's list of cutter statuses, from memory: UNAVAILABLE is what is not to be used.
it('what must not run is said to be so on its sheet and in every file, beside its figures, which are right', async () => {
  const piece = (await assemblyView(crib.db, tag, 'UTC'))!.mark;
  const status = async () => {
    const { text } = await file('xml', { what: 'all' });
    const tools = [new XMLParser({ ignoreAttributes: false }).parse(text).MTConnectAssets.Assets.CuttingTool];
    return tools.flat().find((x) => x['@_assetId'] === tag)!.CuttingToolLifeCycle.CutterStatus.Status;
  };
  const line = async () => (await view()).lines.find((l) => l.tag === tag)!;
  const before = await line();
  expect(before).toMatchObject({ stop: null, h: '−395.910' });
  expect((await file('nc', { what: 'all', job: 'J-1' })).text).toContain(`(T7 ${tag} `);
  const { entry } = await crib.do('holdCutter', { piece, why: 'fell on the floor' });
  const why = 'Its cutter is held back: fell on the floor';
  expect(await line()).toMatchObject({ stop: why, h: before.h, since: before.since });
  expect((await file('nc', { what: 'all', job: 'J-1' })).text).toContain(`(T7 MUST NOT RUN, ${tag} `);
  const { data } = Papa.parse<Record<string, string>>((await file('csv', { what: 'all' })).text, {
    header: true,
  });
  expect(data.filter((r) => r['must not run']).map((r) => [r.tag, r['must not run']])).toEqual([[tag, why]]);
  expect(await status()).toBe('UNAVAILABLE');
  await crib.do('counterEntry', { counters: entry });
  // Worn is a word of the standard's own.
  const { entry: worn } = await crib.do('recordWear', { tag, flankWear: '0.5' });
  expect((await line()).stop).toMatch(/^Worn: flank wear 0.50? of /);
  expect(await status()).toEqual(['MEASURED', 'EXPIRED', 'NEW']);
  await crib.do('counterEntry', { counters: worn });
  expect(await line()).toEqual(before);
});

it('what is not on the machine any more is told, since the control still has it', async () => {
  await crib.do('takeDown', { tag, cutterTo: 'S1' });
  const lines = (await view()).lines.filter((l) => l.tag !== 'A-0002');
  expect(lines).toMatchObject([{ t: 7, tag: null, since: { state: 'gone' } }]);
  expect(await registersView(crib.db, { machine: 'NONE' }, 'UTC')).toBeNull();
});
