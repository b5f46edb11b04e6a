import { assemblyView } from '@/crib/rack';
import { takeableView } from '@/crib/stock';
import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';

const maker = (value: string) => ({ value, origin: 'maker' });
let crib: TestCrib;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  const add = async (code: string, kind: string, facts: Record<string, string>, over: object = {}) => {
    await crib.do('addItem', {
      code,
      kind,
      facts: Object.fromEntries(Object.entries(facts).map(([s, v]) => [s, maker(v)])),
      ...over,
    });
    await crib.do('receiveStock', { item: code, place: 'S1', quantity: 5 });
  };
  await add(
    'CC32',
    'holder',
    {
      CCMS: 'ISO 7388-1 40',
      LF: '60',
      COLLET: '32',
      CLAMPING: 'collet',
      CLAMP_MIN: '2',
      CLAMP_MAX: '20',
      DEPTH_MAX: '70',
      RPM_MAX: '12000',
    },
    {
      segments: [
        { length: 27, upper: 63, lower: 63 },
        { length: 33, upper: 50, lower: 50 },
      ],
    },
  );
  await add('C32-16', 'collet', { COLLET: '32', CLAMP_MIN: '15', CLAMP_MAX: '16', GRIP_MIN: '27' });
  await add('C32-10', 'collet', { COLLET: '32', CLAMP_MIN: '9', CLAMP_MAX: '10', GRIP_MIN: '22' });
  await add('C16-10', 'collet', { COLLET: '16', CLAMP_MIN: '9', CLAMP_MAX: '10', GRIP_MIN: '20' });
  await add('X16', 'extension', {
    LPR: '100',
    DMM: '16',
    COLLET: '16',
    CLAMP_MIN: '1',
    CLAMP_MAX: '10',
    DEPTH_MAX: '60',
    RPM_MAX: '8000',
  });
  await add('X-BARE', 'extension', { DMM: '16', CLAMP_MIN: '10', CLAMP_MAX: '10' });
  await add('PS40', 'pull-stud', { CCMS: 'ISO 7388-1 40', TORQUE: '60' });
  await add('PS50', 'pull-stud', { CCMS: 'ISO 7388-1 50' });
});
afterAll(() => crib.db.close());

const at = (item: string) => ({ item, place: 'S1' });
const built = async (parts: { item: string; place: string; out?: string }[], over: object = {}) =>
  String(
    (
      await crib.do('buildAssembly', {
        cutter: at('EM10'),
        holder: at('CC32'),
        parts,
        stickout: 34,
        ...over,
      })
    ).tag,
  );
const view = async (tag: string) => (await assemblyView(crib.db, tag, crib.zone))!;
/** What lies where, by item and place. */
const lies = async () =>
  Object.fromEntries(
    (
      await crib.db.query<{ k: string; n: number }>(
        `select i.code || ' ' || p.code as k, sum(b.quantity)::int as n from balance b join item i on i.id = b.item_id join place p on p.id = b.place_id
         where b.quantity <> 0 group by 1 order by 1`,
      )
    ).map((r) => [r.k, r.n]),
  );
const LONG = [at('C32-16'), at('X16'), at('C16-10'), at('PS40')];

it('takes every part from its place, counts it in length, and gives each back', async () => {
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 20 });
  const before = await lies();
  const tag = await built(LONG);
  expect(await lies()).toMatchObject({
    'CC32 BUILD': 1,
    'C32-16 BUILD': 1,
    'X16 BUILD': 1,
    'X16 S1': 4,
    'PS40 BUILD': 1,
  });
  const card = await view(tag);
  expect(card.parts.map((p) => p.code)).toEqual(['C32-16', 'X16', 'C16-10', 'PS40']);
  // 60 to the holder's face, 100 more to the extension's, 34 out of that.
  expect(card.expectedMm).toBeCloseTo(194, 9);
  expect(card.judgements.filter((j) => j.grade === 'stop')).toEqual([]);
  expect(card.figures.rpm).toMatchObject({ value: 8000 });
  await crib.do('takeDown', { tag, cutterTo: 'S1' });
  const after = await lies();
  // The cutter is marked now, and lies there as a piece.
  expect(after).toEqual(before);
});

it('a measured length is held against all of it: the holder’s own 94 is far off', async () => {
  const tag = await built(LONG);
  const short = await crib.do('recordMeasurement', { tag, gaugeLength: '94.1' });
  expect(short.questions).toMatchObject([{ code: 'FAR_FROM_EXPECTED' }]);
  await crib.do('judgeMeasurement', {
    measurement: short.entry,
    accepted: false,
    reason: 'without the extension',
  });
  expect((await crib.do('recordMeasurement', { tag, gaugeLength: '194.1' })).questions).toEqual([]);
  await crib.do('takeDown', { tag, cutterTo: 'S1' });
});

it('an extension set out further than its own figure says counts as it was set', async () => {
  const tag = await built([at('C32-16'), { ...at('X16'), out: '80' }, at('C16-10')]);
  expect((await view(tag)).expectedMm).toBeCloseTo(174, 9);
  await crib.do('takeDown', { tag, cutterTo: 'S1' });
});

it('refuses what does not go together, and what has no length, with nothing taken', async () => {
  const before = await lies();
  await expect(built([at('C16-10')])).rejects.toThrow('C16-10 is a collet 16; CC32 takes 32');
  await expect(built([at('C32-16')])).rejects.toThrow('too thin');
  await expect(built([at('C32-10'), at('PS50')])).rejects.toThrow('PS50 is for ISO 7388-1 50');
  await expect(built([at('C32-16'), at('X-BARE')])).rejects.toMatchObject({
    parts: [{ field: 'parts/1/out', detail: 'How far X-BARE stands out is not known' }],
  });
  await expect(built([at('EM10')])).rejects.toMatchObject({ parts: [{ field: 'parts/0.item' }] });
  expect(await lies()).toEqual(before);
});

it('a re-set stickout and another cutter keep what is between; the last take-down gives all back', async () => {
  const before = await lies();
  const tag = await built(LONG);
  const again = String((await crib.do('resetStickout', { tag, stickout: 36 })).tag);
  expect((await view(again)).parts.map((p) => p.code)).toEqual(['C32-16', 'X16', 'C16-10', 'PS40']);
  expect((await view(again)).expectedMm).toBeCloseTo(196, 9);
  const { newTag } = await crib.do('endLife', {
    tag: again,
    kind: 'worn',
    rebuild: { cutter: at('EM10'), stickout: 34 },
  });
  expect((await view(String(newTag))).parts).toHaveLength(4);
  await crib.do('takeDown', { tag: newTag, cutterTo: 'S1' });
  const { 'EM10 S1': _s, 'EM10 SCRAP': _x, ...after } = await lies();
  const { 'EM10 S1': _t, ...was } = before;
  expect(after).toEqual(was);
});

it('what goes elsewhere is named; what is not in the build is refused', async () => {
  const tag = await built([at('C32-10')]);
  const to = (item: string) =>
    crib.do('takeDown', { tag, cutterTo: 'S1', elsewhere: [{ item, place: 'USED' }] });
  await expect(to('X16')).rejects.toThrow(`X16 is not in ${tag}`);
  await to('C32-10');
  expect(await lies()).toMatchObject({ 'C32-10 USED': 1 });
});

it('a build that is taken back leaves everything where it was', async () => {
  const before = await lies();
  const { entry } = await crib.do('buildAssembly', {
    cutter: at('EM10'),
    holder: at('CC32'),
    parts: LONG,
    stickout: 34,
  });
  await crib.do('counterEntry', { counters: entry });
  expect(await lies()).toEqual(before);
});

it('a program faster than the extension may turn is stopped at the build, and names it', async () => {
  const { operation } = await crib.do('addJob', {
    number: 'J-X',
    part: 'Cap',
    material: 'C45',
    quantity: 5,
    due: '2027-02-01',
    machine: 'M2',
    highestBeside: 0,
  });
  await crib.do('storeProgram', { operation, text: oneToolProgram(3, 1).replace('S3000', 'S9000') });
  await expect(built(LONG, { for: { operation, t: 3 } })).rejects.toThrow(
    'S9000 is over the extension X16’s 8000',
  );
});

it('offers what fits onto what is put together so far, before the rest', async () => {
  const offered = async (onto: string[], q = '') =>
    (
      await takeableView(
        crib.db,
        { what: 'part', q, onto: JSON.stringify(onto), shank: 'EM10' },
        '2027-01-05',
      )
    ).sources.map((s) => [s.item, s.fits?.grade]);
  const first = await offered(['CC32']);
  expect(first[0]).toEqual(['C32-10', 'good']);
  expect(first).toContainEqual(['C16-10', 'stop']);
  expect(first).toContainEqual(['C32-16', 'stop']);
  expect((await offered(['CC32', 'C32-16', 'X16'], 'collet'))[0]).toEqual(['C16-10', 'good']);
  await expect(takeableView(crib.db, { what: 'part', onto: '[1]' }, '2027-01-05')).rejects.toMatchObject({
    code: 'INVALID_INPUT',
  });
});
