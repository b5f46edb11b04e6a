import { shopView } from '@/crib/shop';
import { furnish, MILL, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { buyingView } from '@/crib/buying';
import { placesView } from '@/crib/places';

/** What is set up once can be called otherwise and go out of use: common practice wherever people, drawers and suppliers change. */
let crib: TestCrib;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('addPerson', { initials: 'BO', name: 'Bo' });
  await crib.do('addPlace', { code: 'CAB', name: 'Cabinet', kind: 'cabinet' });
  await crib.do('addPlace', { code: 'CAB1', name: 'Its drawer', kind: 'drawer', parent: 'CAB' });
  await crib.do('addJob', {
    number: 'J-1',
    part: 'Block',
    material: 'C45',
    quantity: 50,
    due: '2027-02-01',
    machine: 'M2',
  });
});
afterAll(() => crib.db.close());
const change = (what: string, code: string, more: Record<string, unknown>) =>
  crib.do('changeSetUp', { what, code, ...more });
const refused = (detail: RegExp) => ({ code: 'REFUSED', message: expect.stringMatching(detail) });

describe('out of use while something hangs on it', () => {
  it.each([
    ['person', 'BO', /has things of the crib in hand/],
    ['place', 'S1', /is not empty/],
    ['place', 'CAB', /has places in it/],
    ['machine', 'M2', /has open jobs: J-1/],
    ['material', 'C45', /is cut by open jobs: J-1/],
    ['supplier', 'NORD', /has stock of its own here/],
  ])('%s %s', async (what, code, detail) => {
    if (what === 'person') await crib.do('issueStock', { item: 'EM10', from: 'S1', quantity: 1, to: 'BO' });
    if (what === 'supplier')
      await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 1, supplier: 'NORD' });
    await expect(change(what, code, { inUse: 'no' })).rejects.toMatchObject(refused(detail));
  });
  it('a place that is being counted, and the only one who signs', async () => {
    const { entry } = await crib.do('startCount', { place: 'CAB1' });
    await expect(change('place', 'CAB1', { inUse: 'no' })).rejects.toMatchObject(refused(/is being counted/));
    await crib.do('counterEntry', { counters: entry });
    await crib.do('returnStock', { item: 'EM10', from: 'HAND-BO', quantity: 1, to: 'S1', used: 'no' });
    await change('person', 'BO', { inUse: 'no' });
    await expect(change('person', 'IK', { inUse: 'no' })).rejects.toMatchObject(
      refused(/is the only one who signs here/),
    );
    await change('person', 'BO', { inUse: 'yes' });
  });
  it('names built-in places and what is not here', async () => {
    await expect(change('place', 'SCRAP', { name: 'Bin' })).rejects.toMatchObject({ code: 'NOT_FOUND' });
    await expect(change('machine', 'M7', { name: 'Mill' })).rejects.toMatchObject({ code: 'NOT_FOUND' });
    await expect(change('machine', 'M2', { leadTimeDays: 4 })).rejects.toMatchObject({
      parts: [expect.objectContaining({ field: 'leadTimeDays' })],
    });
  });
});

it('a new name is said everywhere, and with it whose hand it is', async () => {
  await change('person', 'BO', { name: 'Bo Berg' });
  await change('machine', 'M2', { name: 'The old mill' });
  await change('supplier', 'NORD', { name: 'Nordkap', leadTimeDays: 21 });
  const shop = await shopView(crib.db, '2027-01-05');
  expect(shop.people.find((p) => p.initials === 'BO')?.name).toBe('Bo Berg');
  expect(shop.machines[0]?.name).toBe('The old mill');
  expect(shop.suppliers[0]).toMatchObject({ name: 'Nordkap', leadTimeDays: 21, inUse: true });
  await crib.do('issueStock', { item: 'EM10', from: 'S1', quantity: 1, to: 'BO' });
  expect((await placesView(crib.db, '2027-01-05')).places.find((p) => p.person === 'BO')?.name).toBe(
    'with Bo Berg',
  );
  await crib.do('returnStock', { item: 'EM10', from: 'HAND-BO', quantity: 1, to: 'S1', used: 'no' });
});

describe('once out of use', () => {
  it('a person signs nothing, and is lent nothing', async () => {
    const { entry } = await change('person', 'BO', { inUse: 'no' });
    await expect(
      crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 1, who: 'BO' }),
    ).rejects.toMatchObject({ message: 'who: BO signs here no more' });
    await expect(
      crib.do('issueStock', { item: 'EM10', from: 'S1', quantity: 1, to: 'BO' }),
    ).rejects.toMatchObject(refused(/to: person BO is out of use/));
    await crib.do('counterEntry', { counters: entry });
    await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 1, who: 'BO' });
  });

  it('a place takes nothing, not even what is taken back', async () => {
    await crib.do('receiveStock', { item: 'SL10', place: 'CAB1', quantity: 1 });
    const moved = await crib.do('moveStock', { item: 'SL10', from: 'CAB1', quantity: 1, to: 'S1' });
    await change('place', 'CAB1', { inUse: 'no' });
    await expect(crib.do('receiveStock', { item: 'SL10', place: 'CAB1', quantity: 1 })).rejects.toMatchObject(
      refused(/place CAB1 is out of use/),
    );
    await expect(crib.do('counterEntry', { counters: moved.entry })).rejects.toMatchObject(
      refused(/The place is out of use/),
    );
    await change('place', 'CAB', { inUse: 'no' });
    await expect(
      crib.do('addPlace', { code: 'CAB2', name: 'Second', kind: 'drawer', parent: 'CAB' }),
    ).rejects.toMatchObject(refused(/place CAB is out of use/));
  });

  it('a machine and a material get no new job', async () => {
    await crib.do('changeJob', { number: 'J-1', state: 'cancelled' });
    await change('machine', 'M2', { inUse: 'no' });
    await change('material', 'C45', { inUse: 'no' });
    const job = { number: 'J-2', part: 'Cap', quantity: 5, due: '2027-03-01' };
    await expect(crib.do('addJob', { ...job, material: 'C45', machine: 'M2' })).rejects.toMatchObject(
      refused(/material C45 is out of use/),
    );
    await change('material', 'C45', { inUse: 'yes' });
    await expect(crib.do('addJob', { ...job, material: 'C45', machine: 'M2' })).rejects.toMatchObject(
      refused(/machine M2 is out of use/),
    );
    // Nor is one that was closed meanwhile opened again.
    await expect(crib.do('changeJob', { number: 'J-1', state: 'open' })).rejects.toMatchObject(
      refused(/machine M2 is out of use/),
    );
    await change('machine', 'M2', { inUse: 'yes' });
  });

  it('nothing is ordered from a supplier, what is on order still comes, and buying names none', async () => {
    const shelf = { item: 'EM10', from: 'S1', quantity: 1, reason: 'sent back', supplier: 'NORD' };
    await crib.do('scrapStock', shelf);
    const order = await crib.do('placeOrder', { item: 'EM10', quantity: 2, promised: '2027-01-20' });
    await change('supplier', 'NORD', { inUse: 'no' });
    await expect(
      crib.do('placeOrder', { item: 'EM10', quantity: 2, promised: '2027-01-20' }),
    ).rejects.toMatchObject(refused(/NORD, where EM10 was bought, is out of use/));
    await crib.do('receiveOrder', { number: order.number, quantity: 2, place: 'S1' });
    await crib.do('addJob', {
      number: 'J-3',
      part: 'Block',
      material: 'C45',
      quantity: 500,
      due: '2027-02-01',
      machine: 'M2',
    });
    const { id } = (
      await crib.db.query<{ id: number }>('select id from operation order by id desc limit 1')
    )[0]!;
    await crib.do('storeProgram', { operation: id, text: oneToolProgram(7, 2) });
    const { tag } = await crib.do('buildAssembly', {
      cutter: { item: 'EM10', place: 'S1' },
      holder: { item: 'SL10', place: 'S1' },
      stickout: '34',
    });
    await crib.do('tieTool', { operation: id, t: 7, tag });
    const line = (await buyingView(crib.db, '2027-01-05')).lines.find((l) => l.item.code === 'EM10');
    expect(line).toMatchObject({ supply: null, proposal: { say: 'order', orderBy: null } });
  });
});

it('codes differ by more than case', async () => {
  for (const [verb, input] of [
    [
      'addItem',
      { code: 'em10', kind: 'cutter', family: 'square', facts: { DC: { value: '10', origin: 'maker' } } },
    ],
    ['addMaterial', { code: 'c45', name: 'Steel', isoGroup: 'P' }],
    ['addSupplier', { code: 'Nord', name: 'Nord' }],
  ] as const)
    await expect(crib.do(verb, input)).rejects.toMatchObject({ code: 'CONFLICT' });
});

it('K is asked for where a school of registers counts from the datum surface, and is not known elsewhere', async () => {
  const mill = {
    code: 'G1',
    name: 'Gauge',
    taper: '40 taper',
    diameterSchool: 'diameter',
    units: 'mm',
    hEqualsT: 'no',
  };
  for (const lengthSchool of ['datum', 'touched-off'])
    await expect(crib.do('addMachine', { ...mill, lengthSchool })).rejects.toMatchObject({
      parts: [{ field: 'k', limit: 'needed for this school' }],
    });
  await crib.do('addMachine', { ...mill, lengthSchool: 'gauge' });
  expect((await shopView(crib.db, '2027-01-05')).machines.find((m) => m.code === 'G1')).toMatchObject({
    kMm: null,
    kEntered: null,
  });
});

// What was added by mistake and taken back is not there: its code or number is free again, and taken once more from then on.
describe('a code that was taken back', () => {
  it.each([
    ['addPlace', { code: 'S9', name: 'Shelf 9', kind: 'shelf' }],
    ['addMaterial', { code: 'X5', name: 'Stainless', isoGroup: 'M' }],
    ['addSupplier', { code: 'SYD', name: 'Syd', leadTimeDays: 3 }],
    ['addMachine', { code: 'M9', name: 'Mill 9', ...MILL }],
    [
      'addJob',
      { number: 'J-9', part: 'Lid', material: 'C45', quantity: 5, due: '2027-02-01', machine: 'M2' },
    ],
    ['addItem', { code: 'EM9', kind: 'spare', facts: {} }],
  ])('%s', async (verb, input) => {
    const { entry } = await crib.do(verb, input);
    await expect(crib.do(verb, input)).rejects.toMatchObject({ code: 'CONFLICT' });
    await crib.do('counterEntry', { counters: entry });
    await crib.do(verb, input);
    await expect(crib.do(verb, input)).rejects.toMatchObject({ code: 'CONFLICT' });
  });
});
