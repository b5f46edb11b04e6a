import { assemblyView } from '@/crib/rack';
import { furnish, openTestCrib, type TestCrib } from '@/crib/testing';
import { sheetsView, sheetView } from './index';

const maker = (value: string) => ({ value, origin: 'maker' });
const DAY = '2027-01-05';
let crib: TestCrib;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  const square = (code: string, facts: Record<string, string>) =>
    crib.do('addItem', {
      code,
      kind: 'cutter',
      family: 'square',
      facts: Object.fromEntries(Object.entries(facts).map(([s, v]) => [s, maker(v)])),
    });
  await square('EM10-3', { DC: '10', DMM: '10', LCF: '24', OAL: '72', NOF: '3', SUBSTRATE: 'carbide' });
  await square('EM10-S', { DC: '10', DMM: '10', LCF: '12', OAL: '60', NOF: '4', SUBSTRATE: 'carbide' });
  for (const item of ['EM10-3', 'EM10-S', 'SL10'])
    await crib.do('receiveStock', { item, place: 'S1', quantity: 2 });
});
afterAll(() => crib.db.close());

const SHEET = {
  code: 'BS-1',
  name: 'Finisher',
  cutter: 'EM10',
  holder: 'SL10',
  stickout: '34',
  least: '32',
  most: '36',
  torque: '40',
};
const from = (item: string, over: object = {}) =>
  crib.do('buildAssembly', {
    cutter: { item, place: 'S1' },
    holder: { item: 'SL10', place: 'S1' },
    stickout: 34,
    sheet: { code: 'BS-1', version: 1, clean: true, torqued: true },
    ...over,
  });

it('is written, shows what each step takes and what may stand in, and is drawn', async () => {
  expect(await crib.do('writeBuildSheet', SHEET)).toMatchObject({ code: 'BS-1', version: 1 });
  expect(await sheetsView(crib.db)).toMatchObject([
    // 60 of the holder and 34 out.
    { code: 'BS-1', version: 1, expectedMm: 94, stickoutEntered: '34 mm', holder: 'SL10' },
  ]);
  const view = await sheetView(crib.db, 'bs-1', DAY);
  const [cutter, holder] = view!.pieces;
  expect(cutter?.sources.map((s) => s.value)).toEqual(['EM10|S1']);
  // Twelve of flute is less than the sheet asks for: it is not offered.
  expect(cutter?.instead.map((o) => [o.source.value, o.judgement.grade])).toEqual([
    ['EM10-3|S1', 'question'],
  ]);
  expect(holder?.sources.map((s) => s.value)).toEqual(['SL10|S1']);
});

it('an assembly knows the version it was built from, and a substitute is judged by rule', async () => {
  const own = await from('EM10');
  expect((await assemblyView(crib.db, String(own.tag), 'UTC'))?.builtFrom).toEqual({
    code: 'BS-1',
    version: 1,
    now: 1,
  });
  expect((await from('EM10-3')).judgements).toContainEqual(
    expect.objectContaining({ code: 'SHEET_CUTTER', grade: 'question' }),
  );
});

it('what the sheet forbids is refused with the way out, and nothing is taken', async () => {
  const before = await crib.db.query<{ n: number }>('select count(*)::int as n from movement');
  await expect(from('EM10-S')).rejects.toMatchObject({
    code: 'REFUSED',
    message: expect.stringContaining('10 mm less flute'),
  });
  await expect(from('EM10', { stickout: 38 })).rejects.toMatchObject({
    message: expect.stringContaining('32 mm to 36 mm'),
  });
  await expect(from('EM10', { sheet: { code: 'BS-1', version: 1, clean: true } })).rejects.toMatchObject({
    parts: [expect.objectContaining({ field: 'sheet.torqued' })],
  });
  await expect(
    from('EM10', { sheet: { code: 'BS-1', version: 1, clean: false, torqued: true } }),
  ).rejects.toMatchObject({ parts: [expect.objectContaining({ field: 'sheet.clean' })] });
  await expect(from('EM10', { sheet: { code: 'BS-9', version: 1, clean: true } })).rejects.toMatchObject({
    code: 'NOT_FOUND',
  });
  expect(await crib.db.query('select count(*)::int as n from movement')).toEqual(before);
});

it('a new version replaces the one that was looked at; what was built stays what it was', async () => {
  await expect(crib.do('writeBuildSheet', SHEET)).rejects.toMatchObject({ code: 'CONFLICT' });
  await crib.do('writeBuildSheet', { ...SHEET, stickout: '36', most: '38', replaces: 1 });
  await expect(crib.do('writeBuildSheet', { ...SHEET, replaces: 1 })).rejects.toMatchObject({
    message: 'BS-1 is at version 2 by now',
  });
  await expect(from('EM10')).rejects.toMatchObject({
    code: 'CONFLICT',
    message: 'BS-1 is at version 2 by now',
  });
  expect((await assemblyView(crib.db, 'A-0001', 'UTC'))?.builtFrom).toEqual({
    code: 'BS-1',
    version: 1,
    now: 2,
  });
  const view = await sheetView(crib.db, 'BS-1', DAY);
  expect(view).toMatchObject({
    version: 2,
    stickoutEntered: '36 mm',
    built: [
      { tag: 'A-0001', version: 1 },
      { tag: 'A-0002', version: 1 },
    ],
  });
});

it('taken back, the version before stands again; its number is not used twice', async () => {
  const view = await sheetView(crib.db, 'BS-1', DAY);
  await crib.do('counterEntry', { counters: view!.versions[0]!.entryId });
  expect(await sheetView(crib.db, 'BS-1', DAY)).toMatchObject({ version: 1, stickoutEntered: '34 mm' });
  expect(await crib.do('writeBuildSheet', { ...SHEET, replaces: 1 })).toMatchObject({ version: 3 });
});

it('a design that may not be built is no sheet: flutes gripped at its least stickout, a cutter that can’t be', async () => {
  // 22 of flute: 21 out would grip one of it.
  await expect(crib.do('writeBuildSheet', { ...SHEET, code: 'BS-2', least: '21' })).rejects.toMatchObject({
    code: 'REFUSED',
    message: expect.stringContaining('Gripped on the flutes'),
  });
  await expect(crib.do('writeBuildSheet', { ...SHEET, code: 'BS-2', least: '35' })).rejects.toMatchObject({
    parts: [expect.objectContaining({ field: 'least', limit: 'at most 34 mm' })],
  });
  const { cutter: _, ...any } = { ...SHEET, code: 'BS-2' };
  await expect(crib.do('writeBuildSheet', any)).rejects.toMatchObject({
    parts: [expect.objectContaining({ field: 'cutter' })],
  });
  await expect(
    crib.do('writeBuildSheet', { ...any, must: { family: 'corner-radius', DC: '10', RE: '6' } }),
  ).rejects.toMatchObject({ parts: [expect.objectContaining({ field: 'must.RE' })] });
  await crib.do('writeBuildSheet', { ...any, must: { family: 'square', DC: '10', LCF: '20', NOF: 3 } });
  const view = await sheetView(crib.db, 'BS-2', DAY);
  // No very cutter is named: one that is all it asks is its own.
  expect(view!.pieces[0]?.sources.map((x) => x.item)).toEqual(['EM10-3']);
  expect(view!.pieces[0]?.instead.map((o) => [o.source.item, o.judgement.grade])).toEqual([
    ['EM10', 'question'],
  ]);
});

it('a length that its sheet’s stickout can’t come to is in question, and says which sheet', async () => {
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 1 });
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 1 });
  await crib.do('writeBuildSheet', { ...SHEET, code: 'BS-7', name: 'Close' });
  const { tag } = await from('EM10', { sheet: { code: 'BS-7', version: 1, clean: true, torqued: true } });
  const codes = async (gaugeLength: string) =>
    ((await crib.do('recordMeasurement', { tag, gaugeLength })).questions as { code: string }[]).map(
      (q) => q.code,
    );
  // 60 of the holder, and 32 to 36 out of it.
  expect(await codes('94.02')).toEqual([]);
  expect(await codes('96.2')).toContain('OUTSIDE_SHEET');
});
