import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { buyingView, orderView } from './views/buyingView';

let crib: TestCrib;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('addItem', {
    code: 'RM8',
    kind: 'cutter',
    family: 'reamer',
    facts: { DC: { value: '8', origin: 'maker' }, DMM: { value: '10', origin: 'maker' } },
  });
  await crib.do('receiveStock', { item: 'RM8', place: 'S1', quantity: 1 });
});
afterAll(() => crib.db.close());
const line = async (code: string, today = '2027-01-05') =>
  (await buyingView(crib.db, today)).lines.find((l) => l.item.code === code) ?? null;
async function job(number: string, quantity: number, due: string, item: string): Promise<number> {
  const { operation } = await crib.do('addJob', {
    number,
    part: 'Block',
    material: 'C45',
    quantity,
    due,
    machine: 'M2',
  });
  await crib.do('storeProgram', { operation, text: oneToolProgram(1, 4) });
  const built = await crib.do('buildAssembly', {
    cutter: { item, place: 'S1' },
    holder: { item: 'SL10', place: 'S1' },
    stickout: 34,
    for: { operation, t: 1 },
  });
  expect(built.tag).toMatch(/^A-/);
  return operation as number;
}

it('says nothing of what no job books', async () =>
  expect((await buyingView(crib.db, '2027-01-05')).lines).toEqual([]));

it('counts shelf, the set in the assembly and open orders against the booked lives', async () => {
  const operation = await job('J-1', 50, '2027-02-10', 'EM10');
  // 50 x 4 / 40 = 5 lives, which differ by 0.43: 5 + 1.2816 x 0.43 x root 5 = 6.23 are enough; 2 on the shelf and one
  // unused in the assembly: 4 short, in packs of 2. 200 min fit the due Wednesday; 10 days before is a Sunday.
  expect((await line('EM10'))!.proposal).toMatchObject({
    say: 'order',
    short: 4,
    quantity: 4,
    orderBy: '2027-01-29',
    balance: { needed: expect.closeTo(5, 3), wanted: expect.closeTo(6.232, 2), shelf: 2, onEdgeSets: 1 },
  });
  await crib.do('logParts', { operation, parts: 5 });
  // 20 minutes gone on both sides: 4.5 needed (5.67 are enough), 2.5 on hand
  expect((await line('EM10'))!.proposal).toMatchObject({
    say: 'order',
    short: 4,
    balance: { needed: expect.closeTo(4.5, 3), onEdgeSets: expect.closeTo(0.5, 3) },
  });
});

it('a used cutter that lies in a drawer is no unused one, but the life it has left counts', async () => {
  await crib.do('takeDown', { tag: 'A-0001', cutterTo: 'S1' });
  const { proposal } = (await line('EM10'))!;
  expect(proposal).toMatchObject({ balance: { shelf: 2, onEdgeSets: expect.closeTo(0.5, 3) } });
  expect(proposal.because.values.map((v) => v.name)).toContain('left on E-0001 in S1');
});

it('a late day says by how many days', async () =>
  expect((await line('EM10', '2027-02-03'))!.proposal).toMatchObject({ daysLate: 5 }));

it('an order keeps its cause, is received in parts, and a promised day in the past is refused', async () => {
  await expect(
    crib.do('placeOrder', { item: 'EM10', quantity: 2, promised: '2027-01-04' }),
  ).rejects.toMatchObject({ parts: [{ field: 'promised', limit: 'today or later' }] });
  await crib.do('placeOrder', { item: 'EM10', quantity: 4, promised: '2027-02-12' });
  // It comes two days after the job is due: chase it, do not order again.
  expect((await line('EM10'))!.proposal).toMatchObject({
    say: 'order',
    quantity: 0,
    because: { words: expect.stringMatching(/chase/) },
  });
  const { orders } = await buyingView(crib.db, '2027-01-05');
  expect(orders[0]).toMatchObject({
    number: 'O-0001',
    supplier: 'NORD',
    received: 0,
    priceCents: 3150,
    because: {
      values: expect.arrayContaining([
        expect.objectContaining({ name: 'J-1 T1, must start by 2027-02-10, due 2027-02-10' }),
      ]),
    },
  });
  await crib.do('receiveOrder', { number: 'O-0001', quantity: 1, place: 'S1' });
  // A new promise counts from then on; the first one is kept.
  await crib.do('restatePromise', { number: 'O-0001', promised: '2027-02-09' });
  expect((await line('EM10'))!.proposal.say).toBe('enough');
  expect((await buyingView(crib.db, '2027-01-05')).orders[0]).toMatchObject({
    promised: '2027-02-09',
    promisedFirst: '2027-02-12',
    expected: { day: '2027-02-09', overdue: false },
  });
  expect((await buyingView(crib.db, '2027-02-10')).orders[0]!.expected).toMatchObject({
    day: '2027-02-11',
    overdue: true,
  });
  await crib.do('receiveOrder', { number: 'o-0001', quantity: 3, place: 's1' });
  expect((await line('EM10'))!.proposal.say).toBe('enough');
  await expect(crib.do('receiveOrder', { number: 'O-0001', quantity: 1, place: 'S1' })).rejects.toMatchObject(
    { code: 'CONFLICT', parts: [{ limit: 'at most 0' }] },
  );
});

it('without a life it cannot say, and without a supplier nothing is recorded as ordered', async () => {
  await job('J-2', 10, '2027-03-01', 'RM8');
  expect((await line('RM8'))!.proposal).toMatchObject({ say: 'cannot say' });
  await expect(
    crib.do('placeOrder', { item: 'RM8', quantity: 1, promised: '2027-02-01' }),
  ).rejects.toMatchObject({ code: 'REFUSED', message: expect.stringMatching(/no supplier/) });
  await crib.do('stateFacts', { item: 'RM8', assumedLife: { minutes: 10, origin: 'guess' } });
  // 40 minutes / 10 = 4 lives, 5.10 are enough, one in the assembly: 5 short; no supplier, so no day is made up
  expect((await line('RM8'))!).toMatchObject({
    proposal: { say: 'order', quantity: 5, orderBy: null },
    supply: null,
  });
});

it('a T that no cutter was ever tied to is named as not reckoned', async () => {
  const { operation } = await crib.do('addJob', {
    number: 'J-3',
    part: 'Cap',
    material: 'C45',
    quantity: 10,
    due: '2027-03-01',
    machine: 'M2',
  });
  await crib.do('storeProgram', { operation, text: oneToolProgram(9, 1) });
  expect((await buyingView(crib.db, '2027-01-05')).unknown).toEqual([
    { job: 'J-3', operation, t: 9, partsLeft: 10, why: 'no cutter was ever tied' },
  ]);
});

it('stock at zero and a scrapped set leave the whole need to order', async () => {
  await crib.do('endLife', { tag: 'A-0002', kind: 'broken' });
  expect((await line('RM8'))!.proposal).toMatchObject({
    quantity: 6,
    balance: { shelf: 0, onEdgeSets: 0 },
  });
});

it('inserts, collets and spares are ordered without any job, and kept on the shelf by a reorder point', async () => {
  await crib.do('addItem', {
    code: 'C32-10',
    kind: 'collet',
    facts: { COLLET: { value: '32', origin: 'maker' } },
    supply: { supplier: 'NORD', orderCode: 'N-C32', pack: 2 },
  });
  await crib.do('receiveStock', { item: 'C32-10', place: 'S1', quantity: 3 });
  expect(await line('C32-10')).toBeNull();
  await crib.do('stateReorder', { item: 'C32-10', minimum: 4, upTo: 6 });
  // 3 there, up to 6, in packs of two
  expect((await line('C32-10'))!.proposal).toMatchObject({ say: 'order', short: 3, quantity: 4 });
  const { number } = await crib.do('placeOrder', { item: 'C32-10', quantity: 4, promised: '2027-01-20' });
  expect(await line('C32-10')).toBeNull();
  await crib.do('receiveOrder', { number, quantity: 4, place: 'S1' });
  await crib.do('stateReorder', { item: 'C32-10' });
  await crib.do('scrapStock', { item: 'C32-10', from: 'S1', quantity: 6, reason: 'worn bores' });
  expect(await line('C32-10')).toBeNull();
});

it('all orders can be found: those that came whole a page at a time', async () => {
  const first = await buyingView(crib.db, '2027-01-05');
  for (let i = 0; i < 22; i += 1) {
    const { number } = await crib.do('placeOrder', { item: 'C32-10', quantity: 1, promised: '2027-01-20' });
    await crib.do('receiveOrder', { number, quantity: 1, place: 'S1' });
  }
  const latest = await buyingView(crib.db, '2027-01-05');
  expect(latest.next).not.toBeNull();
  const older = await buyingView(crib.db, '2027-01-05', undefined, latest.next);
  expect(older.next).toBeNull();
  const closed = [...latest.orders, ...older.orders].filter((o) => o.expected === null).map((o) => o.number);
  expect(new Set(closed).size).toBe(closed.length);
  expect(closed.length).toBe(first.orders.filter((o) => o.expected === null).length + 22);
});

it('one order has several lines of one supplier: each comes and is promised by itself, all are taken back together', async () => {
  for (const [code, supplier] of [
    ['B1', 'NORD'],
    ['B2', 'NORD'],
    ['B3', 'SYD'],
  ] as const) {
    if (supplier === 'SYD') await crib.do('addSupplier', { code: 'SYD', name: 'Syd' });
    await crib.do('addItem', {
      code,
      kind: 'cutter',
      family: 'square',
      facts: { DC: { value: '5', origin: 'maker' } },
      supply: { supplier, orderCode: code, priceCents: 1000 },
    });
  }
  const order = { item: 'B1', quantity: 2, promised: '2027-06-01' };
  const lines = async (number: string) => orderView(crib.db, number, '2027-01-05');
  await expect(
    crib.do('placeOrder', { ...order, more: [{ item: 'B3', quantity: 1 }] }),
  ).rejects.toMatchObject({ parts: [{ field: 'more.0.item', limit: 'items of NORD' }] });
  const { number, entry } = await crib.do('placeOrder', { ...order, more: [{ item: 'B2', quantity: 3 }] });
  expect(await lines(number as string)).toMatchObject([
    { line: 1, item: 'B1', quantity: 2, promised: '2027-06-01' },
    { line: 2, item: 'B2', quantity: 3, promised: '2027-06-01' },
  ]);
  const came = { number, quantity: 1, place: 'S1' };
  await expect(crib.do('receiveOrder', came)).rejects.toMatchObject({
    parts: [{ field: 'line', limit: '1 (B1), 2 (B2)' }],
  });
  const receipt = await crib.do('receiveOrder', { ...came, line: 2 });
  await crib.do('restatePromise', { number, line: 2, promised: '2027-06-20' });
  expect(await lines(number as string)).toMatchObject([
    { received: 0, promised: '2027-06-01' },
    { received: 1, promised: '2027-06-20', promisedFirst: '2027-06-01' },
  ]);
  await crib.do('restatePromise', { number, promised: '2027-06-25' });
  expect((await lines(number as string)).map((l) => l.promised)).toEqual(['2027-06-25', '2027-06-25']);
  // What came keeps the order; the next order has the next number, whatever lines this one has.
  await expect(crib.do('counterEntry', { counters: entry })).rejects.toMatchObject({ code: 'REFUSED' });
  const next = await crib.do('placeOrder', order);
  expect(Number(String(next.number).slice(2))).toBe(Number(String(number).slice(2)) + 1);
  await crib.do('counterEntry', { counters: next.entry });
  expect(await lines(next.number as string)).toEqual([]);
  expect(receipt.item).toBe('B2');
  // The last open line of an order need not be named.
  await crib.do('receiveOrder', { ...came, line: 1, quantity: 2 });
  await crib.do('receiveOrder', { ...came, quantity: 2 });
  await expect(crib.do('restatePromise', { number, promised: '2027-07-01' })).rejects.toMatchObject({
    code: 'CONFLICT',
  });
});
