import { buyingView } from '@/crib/buying';
import { itemView } from '@/crib/catalogue';
import { chooseView } from '@/crib/choosing';
import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { takeableView } from './views/takeableView';

/** What is set aside for a job is taken by nobody else unasked, and is free again with the job: common practice. */
let crib: TestCrib;
const TODAY = '2027-01-05';
const ops: Record<string, number> = {};
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 5 });
  for (const number of ['J-1', 'J-2']) {
    const { operation } = await crib.do('addJob', {
      number,
      part: 'Block',
      material: 'C45',
      quantity: 10,
      due: '2027-02-01',
      machine: 'M2',
      highestBeside: 0,
    });
    ops[number] = operation as number;
    await crib.do('storeProgram', { operation, text: oneToolProgram(7, 2) });
  }
});
afterAll(() => crib.db.close());
const reserve = (job: string, quantity: number) => crib.do('reserveStock', { item: 'EM10', job, quantity });
const build = (more: Record<string, unknown> = {}) =>
  crib.do('buildAssembly', {
    cutter: { item: 'EM10', place: 'S1' },
    holder: { item: 'SL10', place: 'S1' },
    stickout: 34,
    ...more,
  });
const kept = async () =>
  (await itemView(crib.db, 'EM10')).item!.reserved.map((r) => `${r.quantity} for ${r.job}`);

it('no more than is there and free', async () => {
  await expect(reserve('J-1', 4)).rejects.toMatchObject({
    parts: [{ field: 'quantity', limit: 'at most 3' }],
  });
  await reserve('J-1', 2);
  await expect(reserve('J-2', 2)).rejects.toMatchObject({ parts: [{ limit: 'at most 1' }] });
  // The latest word of a job counts: its own is free for it.
  await reserve('J-1', 3);
  await reserve('J-1', 2);
  expect(await kept()).toEqual(['2 for J-1']);
});

it('one is free for anybody, then none but for the job; taking, choosing and the tag say so', async () => {
  await build();
  await expect(build()).rejects.toMatchObject({
    code: 'REFUSED',
    message: 'None of EM10 is free; reserved: 2 for J-1',
  });
  await expect(build({ for: { operation: ops['J-2'], t: 7 } })).rejects.toMatchObject({ code: 'REFUSED' });
  expect((await takeableView(crib.db, { q: 'em10' }, TODAY)).sources[0]).toMatchObject({
    take: '2 unused at S1',
    caution: 'reserved: 2 for J-1',
  });
  const { fit } = await chooseView(crib.db, { feature: 'side', depth: '15' });
  expect(fit.find((c) => c.code === 'EM10')).toMatchObject({
    availability: 'built',
    reserved: 'reserved: 2 for J-1',
  });
  const { tag } = await build({ for: { operation: ops['J-1'], t: 7 } });
  expect(await kept()).toEqual(['1 for J-1']);
  // Set anew it is the same cutter: nothing more came off the shelf.
  await crib.do('resetStickout', { tag, stickout: 33 });
  expect(await kept()).toEqual(['1 for J-1']);
});

it('somebody who says why takes it all the same, and it can be taken back', async () => {
  const built = await build({ despite: 'J-1 waits for its casting' });
  expect((await itemView(crib.db, 'EM10')).item).toMatchObject({ unused: 0 });
  await crib.do('counterEntry', { counters: built.entry });
  expect(await kept()).toEqual(['1 for J-1']);
});

it('buying counts on it only for the job it is kept for; with the job it is free', async () => {
  await crib.do('stateReorder', { item: 'EM10', minimum: 1, upTo: 5 });
  const line = async () => (await buyingView(crib.db, TODAY)).lines.find((l) => l.item.code === 'EM10')!;
  // J-1 books it, so its need is reckoned; kept on the shelf beside it: none of the one is free, 5 are to be ordered, in packs of 2.
  expect((await line()).proposal).toMatchObject({ say: 'order', quantity: 6 });
  await crib.do('changeJob', { number: 'J-1', state: 'closed' });
  expect(await kept()).toEqual([]);
  expect((await line())?.proposal.say).not.toBe('order');
  await crib.do('changeJob', { number: 'J-1', state: 'open' });
  await reserve('J-1', 0);
  expect(await kept()).toEqual([]);
});
