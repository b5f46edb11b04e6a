import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { missingView } from './views/missingView';
import { todayView } from './views/todayView';
import { inOrder, mayWait, type WorkKind, type WorkLine } from './worklist';

/** Each kind of work appears for its reason, and goes when it is dealt with. */
let crib: TestCrib;
let operation: number;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 20 });
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 5 });
});
afterAll(() => crib.db.close());
const lines = async (kind: WorkKind, today = '2027-01-05') =>
  (await todayView(crib.db, today)).lines.filter((l) => l.kind === kind);
const build = async (over = {}) =>
  String(
    (
      await crib.do('buildAssembly', {
        cutter: { item: 'EM10', place: 'S1' },
        holder: { item: 'SL10', place: 'S1' },
        stickout: 34,
        ...over,
      })
    ).tag,
  );

it('is empty where nothing waits', async () =>
  expect((await todayView(crib.db, '2027-01-05')).lines).toEqual([]));

it('build: a job wants its program, then an assembly for each T', async () => {
  operation = (
    await crib.do('addJob', {
      number: 'J-1',
      part: 'Block',
      material: 'C45',
      quantity: 30,
      due: '2027-02-01',
      machine: 'M2',
      highestBeside: 0,
    })
  ).operation as number;
  expect((await lines('build')).map((l) => l.todo)).toEqual(['Paste the program of J-1']);
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 2, -20) });
  expect(await lines('build')).toMatchObject([
    { todo: 'Build T7 for J-1', why: 'no assembly is tied to it', by: '2027-02-01', href: '/jobs?open=J-1' },
  ]);
  await build({ for: { operation, t: 7 } });
  expect(await lines('build')).toEqual([]);
});

it('measure: what a job waits for, not what merely hangs there', async () => {
  await build();
  expect((await lines('measure')).map((l) => l.todo)).toEqual(['Measure A-0001']);
  await crib.do('recordMeasurement', { tag: 'A-0001', gaugeLength: 94 });
  expect(await lines('measure')).toEqual([]);
});

it('in question: with its reason, until it is settled', async () => {
  const { entry } = await crib.do('recordMeasurement', { tag: 'A-0001', gaugeLength: 94.05 });
  expect(await lines('in question')).toMatchObject([
    {
      todo: 'Measure A-0001 again',
      why: '0.050 mm longer than last time',
      because: { formula: 'measured − last of the same build' },
    },
  ]);
  await crib.do('judgeMeasurement', {
    measurement: entry,
    accepted: true,
    reason: 'warm holder, measured twice',
  });
  expect(await lines('in question')).toEqual([]);
});

it('stop: a T that must not run comes before what merely waits', async () => {
  await crib.do('stateOperation', { operation, highestBeside: 15 });
  const [stop] = await lines('stop');
  expect(stop).toMatchObject({ todo: 'Do not run T7 of J-1', why: '1 mm short: the holder would hit' });
  expect((await todayView(crib.db, '2027-01-05')).lines[0]).toEqual(stop);
  await crib.do('stateOperation', { operation, highestBeside: 0 });
  expect(await lines('stop')).toEqual([]);
});

it('life: from 80 % of its expectation, both sides', async () => {
  await crib.do('logParts', { operation, parts: 15 });
  // 30 of an assumed 40 minutes: 75 %
  expect(await lines('life')).toEqual([]);
  await crib.do('logParts', { operation, parts: 1 });
  expect(await lines('life')).toMatchObject([
    { todo: 'Have another ready for A-0001', why: '80 % of its expected life used' },
  ]);
});

it('wear: at its limit of 0.2 for 10 mm, both sides', async () => {
  await crib.do('recordWear', { tag: 'A-0001', flankWear: 0.199 });
  expect(await lines('wear')).toEqual([]);
  await crib.do('recordWear', { tag: 'A-0001', flankWear: 0.2 });
  expect(await lines('wear')).toMatchObject([{ todo: 'Change the cutter of A-0001' }]);
});

it('grade: a cutter that ended and came back to the crib', async () => {
  await crib.do('endLife', {
    tag: 'A-0001',
    kind: 'worn',
    cutterTo: 'USED',
    rebuild: { cutter: { item: 'EM10', place: 'S1' }, stickout: 34 },
  });
  expect(await lines('grade')).toMatchObject([{ todo: 'Grade E-0001', why: 'EM10 ended and lies in USED' }]);
  expect(await lines('wear')).toEqual([]);
  await crib.do('gradePiece', { piece: 'E-0001', grade: 'scrap' });
  expect(await lines('grade')).toEqual([]);
});

it('which tool: minutes that belong to no cutter, one line a T', async () => {
  await crib.do('tieTool', { operation, t: 7 });
  await crib.do('logParts', { operation, parts: 1 });
  await crib.do('logParts', { operation, parts: 2 });
  expect(await lines('which tool')).toMatchObject([
    {
      todo: 'Say what ran as T7 of J-1',
      why: '6.0 min in the cut belong to no cutter',
      href: `/run/${operation}`,
    },
  ]);
  await crib.do('assignUse', { operation, t: 7, tag: 'A-0003' });
  expect(await lines('which tool')).toEqual([]);
  await crib.do('tieTool', { operation, t: 7, tag: 'A-0003' });
});

it('order and delivery late: by day, and when the promise is past', async () => {
  const { operation: large } = await crib.do('addJob', {
    number: 'J-2',
    part: 'Block',
    material: 'C45',
    quantity: 1000,
    due: '2027-01-20',
    machine: 'M2',
  });
  await crib.do('storeProgram', { operation: large, text: oneToolProgram(7, 2) });
  await crib.do('tieTool', { operation: large, t: 7, tag: 'A-0003' });
  const [order] = await lines('order');
  // 2000 min are five days of eight hours before Wednesday 20th: it starts on Thursday 14th, less 10 days is a Monday.
  expect(order).toMatchObject({ by: '2027-01-04', href: '/buying?open=EM10' });
  const quantity = Number(/Order (\d+)/.exec(order!.todo)![1]);
  await crib.do('placeOrder', { item: 'EM10', quantity, promised: '2027-01-14' });
  expect(await lines('order')).toEqual([]);
  expect(await lines('delivery late', '2027-01-14')).toEqual([]);
  expect(await lines('delivery late', '2027-01-15')).toMatchObject([
    { todo: 'Ask NORD for O-0001', by: '2027-01-14' },
  ]);
});

it('the spine counts what waits in each area', async () => {
  const { counts, lines: all } = await todayView(crib.db, '2027-01-19');
  expect(counts.rack + counts.jobs + counts.buying + counts.cutters).toBe(all.length);
  expect(counts.buying).toBeGreaterThan(0);
});

it('late back: a loan past its day, a regrind past its day; count: an open sheet; each goes when it is dealt with', async () => {
  await crib.do('issueStock', { item: 'EM10', from: 'S1', quantity: 1, to: 'IK', due: '2027-01-06' });
  expect(await lines('late back', '2027-01-06')).toEqual([]);
  expect(await lines('late back', '2027-01-08')).toMatchObject([
    { todo: 'Ask IK for 1 × EM10', why: 'wanted back 2 days ago', href: '/places?show=loans' },
  ]);
  await crib.do('returnStock', { item: 'EM10', from: 'HAND-IK', quantity: 1, to: 'S1', used: 'no' });
  expect(await lines('late back', '2027-01-08')).toEqual([]);
  await crib.do('startCount', { place: 'USED' });
  expect(await lines('count')).toMatchObject([{ todo: 'Finish count sheet C-0001' }]);
});

describe('what is said of a line (common practice: a list on the wall with names and days on it)', () => {
  const view = (today = '2027-01-05') => todayView(crib.db, today);
  const countLine = async (today?: string) => (await view(today)).lines.find((l) => l.kind === 'count');
  it('done for today: out of sight until tomorrow, when it comes back if it is still so', async () => {
    const { key } = (await countLine())!;
    await crib.do('sayOfWork', { line: key, word: 'done' });
    expect(await countLine()).toBeUndefined();
    expect((await view()).later).toMatchObject([
      { key, said: { word: 'done', who: 'IK', until: '2027-01-06' } },
    ]);
    expect((await view()).counts.places).toBe((await view('2027-01-06')).counts.places - 1);
    expect(await countLine('2027-01-06')).toMatchObject({ said: { word: 'done' } });
  });
  it('put off to a day that is to come, and the latest word counts; given to somebody whatever is put off', async () => {
    const { key } = (await countLine('2027-01-06'))!;
    const put = { line: key, word: 'put off' };
    await expect(crib.do('sayOfWork', { ...put, until: '2027-01-05' })).rejects.toMatchObject({
      parts: [{ field: 'until', limit: 'tomorrow or later' }],
    });
    await crib.do('sayOfWork', { ...put, until: '2027-01-12' });
    await crib.do('sayOfWork', { line: key, word: 'given', to: 'IK' });
    expect(await countLine('2027-01-11')).toBeUndefined();
    expect(await countLine('2027-01-12')).toMatchObject({ given: 'IK' });
    await crib.do('sayOfWork', { line: key, word: 'given' });
    expect(await countLine('2027-01-12')).toMatchObject({ given: null });
  });
  it('what can hurt or mislead is given, and never put off', async () => {
    await crib.do('stateOperation', { operation, highestBeside: 15 });
    const stop = (await view()).lines[0]!;
    expect(stop).toMatchObject({ kind: 'stop', mayWait: false });
    for (const word of ['done', 'put off'])
      await expect(crib.do('sayOfWork', { line: stop.key, word, until: '2027-02-01' })).rejects.toMatchObject(
        { code: 'REFUSED', parts: [{ limit: 'given' }] },
      );
    await crib.do('sayOfWork', { line: stop.key, word: 'given', to: 'IK' });
    expect((await view()).lines[0]).toMatchObject({ kind: 'stop', given: 'IK' });
    await crib.do('stateOperation', { operation, highestBeside: 0 });
    await expect(crib.do('sayOfWork', { line: 'swim: today', word: 'done' })).rejects.toMatchObject({
      parts: [{ field: 'line' }],
    });
  });
  it('a line that says something else is another one', async () => {
    const scrap = (quantity: number) =>
      crib.do('scrapStock', { item: 'EM10', from: 'S1', quantity, reason: 'dropped' });
    await scrap(6);
    const order = (await lines('order'))[0]!;
    await crib.do('sayOfWork', { line: order.key, word: 'done' });
    expect(await lines('order')).toEqual([]);
    // Packs of two: two fewer there are two more to order.
    await scrap(2);
    expect(await lines('order')).toHaveLength(1);
    expect((await lines('order'))[0]!.todo).not.toBe(order.todo);
  });
});

it('in order: what must not wait, then by day, then by machine', () => {
  const line = (
    kind: WorkKind,
    by: string | null,
    machine: string | null,
    goes: WorkLine['goes'] = 'usual',
  ): WorkLine => ({
    key: `${kind} ${by} ${machine} ${goes}`,
    kind,
    todo: '',
    cutter: null,
    machine,
    why: '',
    because: null,
    href: '',
    by,
    goes,
    mayWait: mayWait(kind),
    given: null,
    said: null,
  });
  const told = [
    line('stop', '2027-03-01', 'B'),
    line('wear', null, null),
    line('order', '2027-01-01', null),
    line('build', '2027-01-02', 'Z', 'first'),
    line('measure', '2027-01-02', 'A'),
    line('build', '2027-01-02', 'B'),
    line('build', '2027-01-02', 'A', 'can wait'),
    line('grade', null, null),
  ];
  expect(inOrder(told.toReversed())).toEqual(told);
});

it('what is missing: a gap and a guess of what a job waits for, the gap first; gone when it is stated', async () => {
  const shop = await openTestCrib();
  await furnish(shop);
  const maker = (value: string) => ({ value, origin: 'maker' });
  await shop.do('addItem', {
    code: 'GAP',
    kind: 'cutter',
    family: 'square',
    facts: { DC: maker('10'), DMM: maker('10'), LCF: { value: '22', origin: 'guess' } },
  });
  await shop.do('receiveStock', { item: 'GAP', place: 'S1', quantity: 1 });
  const { operation: op } = await shop.do('addJob', {
    number: 'J-1',
    part: 'P',
    material: 'C45',
    quantity: 10,
    due: '2027-02-01',
    machine: 'M2',
  });
  await shop.do('storeProgram', { operation: op, text: oneToolProgram(7, 2) });
  await shop.do('buildAssembly', {
    cutter: { item: 'GAP', place: 'S1' },
    holder: { item: 'SL10', place: 'S1' },
    stickout: 34,
    for: { operation: op, t: 7 },
  });
  const missing = async () =>
    (await missingView(shop.db, '2027-01-05')).facts
      .filter((f) => f.symbol !== 'life')
      .map((f) => [f.item, f.symbol, f.state, Math.round(f.minutes)]);
  expect(await missing()).toEqual([
    ['GAP', 'OAL', 'not known', 20],
    ['GAP', 'LCF', 'guess', 20],
  ]);
  await shop.do('stateFacts', {
    item: 'GAP',
    facts: { OAL: { value: '72', origin: 'measured' }, LCF: { value: '22', origin: 'measured' } },
  });
  expect(await missing()).toEqual([]);
  await shop.db.close();
});
