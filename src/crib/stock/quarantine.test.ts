import { catalogueView, itemView } from '@/crib/catalogue';
import { chooseView } from '@/crib/choosing';
import { furnish, openTestCrib, type TestCrib } from '@/crib/testing';
import { stockView } from './views/stockView';
import { takeableView } from './views/takeableView';

/** What is doubtful is set apart until somebody has looked, and counts for nothing meanwhile: common practice. */
let crib: TestCrib;
const TODAY = '2027-01-05';
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('addPlace', { code: 'QUAR', name: 'Look at first', kind: 'quarantine' });
});
afterAll(() => crib.db.close());
const unused = async () => (await catalogueView(crib.db, { q: 'em10' })).lines[0]!.unused;
const takes = async (q: string) => (await takeableView(crib.db, { q }, TODAY)).sources.map((s) => s.take);

it('is not on the shelf: not chosen, not taken, not unused, and found all the same', async () => {
  expect(await unused()).toBe(3);
  await crib.do('moveStock', { item: 'EM10', from: 'S1', quantity: 3, to: 'QUAR' });
  expect(await unused()).toBe(0);
  expect(await takes('em10')).toEqual([]);
  const chosen = await chooseView(crib.db, { feature: 'pocket', depth: '10', group: 'P' });
  expect(JSON.stringify(chosen)).not.toContain('QUAR');
  expect((await itemView(crib.db, 'EM10')).item).toMatchObject({
    unused: 0,
    places: [{ place: 'QUAR', quantity: 3 }],
  });
  expect((await stockView(crib.db, { lies: 'quarantine' })).lines).toMatchObject([
    { item: 'EM10', place: 'QUAR', quantity: 3 },
  ]);
  await expect(
    crib.do('buildAssembly', {
      cutter: { item: 'EM10', place: 'QUAR' },
      holder: { item: 'SL10', place: 'S1' },
      stickout: 34,
    }),
  ).rejects.toMatchObject({ message: expect.stringContaining('QUAR') });
});

it('is counted where it lies, moved back when it was found good, and received there when it came doubtful', async () => {
  const { number } = await crib.do('startCount', { place: 'QUAR' });
  await crib.do('enterCount', { sheet: number, lines: [{ place: 'QUAR', item: 'EM10', counted: 2 }] });
  await crib.do('bookCount', { sheet: number, explained: 'one was sent back' });
  await crib.do('moveStock', { item: 'EM10', from: 'QUAR', quantity: 2, to: 'S1' });
  expect(await unused()).toBe(2);
  await crib.do('receiveStock', { item: 'EM10', place: 'QUAR', quantity: 5 });
  expect(await unused()).toBe(2);
});

it('a marked piece that is scanned says why it can’t be taken: in quarantine, lent and late', async () => {
  const { tag } = await crib.do('buildAssembly', {
    cutter: { item: 'EM10', place: 'S1' },
    holder: { item: 'SL10', place: 'S1' },
    stickout: 34,
  });
  await crib.do('takeDown', { tag, cutterTo: 'QUAR' });
  expect(await takes('E-0001')).toEqual([]);
  expect((await takeableView(crib.db, { q: 'e-0001' }, TODAY)).against).toBe(
    'E-0001 can’t be taken: in quarantine until somebody has looked at it',
  );
  const again = { cutter: { piece: 'E-0001' }, holder: { item: 'SL10', place: 'S1' }, stickout: 34 };
  await expect(crib.do('buildAssembly', again)).rejects.toMatchObject({
    wayOut: 'Look at it, then move it out of quarantine or scrap it.',
  });
  await crib.do('moveStock', { piece: 'E-0001', to: 'S1' });
  await crib.do('issueStock', { piece: 'E-0001', to: 'IK', due: '2027-01-06' });
  crib.at('2027-01-09T09:00:00Z');
  await expect(crib.do('buildAssembly', again)).rejects.toMatchObject({
    message: 'E-0001 is not in the crib: lent out, 3 days late',
    wayOut: 'Take it back first, or choose another.',
  });
  await crib.do('returnStock', { piece: 'E-0001', to: 'S1', used: 'no' });
  await crib.do('buildAssembly', again);
});
