import { furnish, guess, openTestCrib, type TestCrib } from '@/crib/testing';
import { scrapView } from './index';

/** Scrap is weighed by its outlines until it is sold by the scales. */
let crib: TestCrib;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 20 });
  const facts = {
    SUBSTRATE: guess('HSS'),
    DC: guess('8'),
    DMM: guess('8'),
    LCF: guess('20'),
    OAL: guess('60'),
  };
  await crib.do('addItem', { code: 'H8', kind: 'cutter', family: 'square', facts });
  await crib.do('addItem', { code: 'IN1', kind: 'insert', facts: { SUBSTRATE: guess('carbide') } });
  for (const item of ['H8', 'IN1']) await crib.do('receiveStock', { item, place: 'S1', quantity: 10 });
});
afterAll(() => crib.db.close());
const scrap = (item: string, quantity: number) =>
  crib.do('scrapStock', { item, from: 'S1', quantity, reason: 'worn out' });
const heap = async (substrate = 'carbide') =>
  (await scrapView(crib.db)).heaps.find((h) => h.substrate === substrate) ?? null;

it('a cylinder of 10 x 72 of carbide is 0.082 kg (14.5 g/cm³, by hand); inserts of no stated weight are said to be so', async () => {
  expect((await scrapView(crib.db)).heaps).toEqual([]);
  await scrap('EM10', 5);
  await scrap('IN1', 4);
  await scrap('H8', 2);
  const carbide = (await heap())!;
  // π / 4 x 10² x 72 = 5655 mm³, five of them.
  expect(carbide.kg).toBeCloseTo(5 * 5654.87 * 14.5e-6, 5);
  expect(carbide).toMatchObject({ pieces: 9, notWeighed: 4, cents: null });
  expect(await heap('HSS')).toMatchObject({ pieces: 2, notWeighed: 0 });
  await scrap('SL10', 1);
  expect((await scrapView(crib.db)).unknown).toBe(1);
});

it('sold by the scales it is gone from the heap; what is scrapped later is priced as the last one', async () => {
  expect(
    await crib.do('sellScrap', { substrate: 'carbide', kg: '0.40', perKgCents: 1800, buyer: 'Alt & Eisen' }),
  ).toMatchObject({ pieces: 9, cents: 720, tooMuch: null });
  expect(await heap()).toBeNull();
  expect(await heap('HSS')).toMatchObject({ pieces: 2 });
  await scrap('EM10', 2);
  expect(await heap()).toMatchObject({ pieces: 2, cents: Math.round(2 * 5654.87 * 14.5e-6 * 1800) });
  // Taken back, the whole heap lies there again.
  const sale = await crib.do('sellScrap', { substrate: 'carbide', kg: '0.16', perKgCents: 2000 });
  await crib.do('counterEntry', { counters: sale.entry });
  expect(await heap()).toMatchObject({ pieces: 2 });
  expect((await scrapView(crib.db)).sales).toMatchObject([{ kg: 0.4, pieces: 9, buyer: 'Alt & Eisen' }]);
});

it('what was scrapped before a sale and is taken back after it takes nothing off what is scrapped later', async () => {
  const first = await scrap('EM10', 1);
  await crib.do('sellScrap', { substrate: 'carbide', kg: '0.20', perKgCents: 1800 });
  await crib.do('counterEntry', { counters: first.entry });
  expect(await heap()).toBeNull();
  await scrap('EM10', 1);
  expect(await heap()).toMatchObject({ pieces: 1 });
  // What was scrapped since and is taken back lies there no more.
  const again = await scrap('EM10', 2);
  expect(await heap()).toMatchObject({ pieces: 3 });
  await crib.do('counterEntry', { counters: again.entry });
  expect(await heap()).toMatchObject({ pieces: 1 });
  // What was fetched out of it before a sale, and goes back as that is taken back, lies there.
  await scrap('EM10', 2);
  const fetched = await crib.do('moveStock', { item: 'EM10', from: 'SCRAP', to: 'S1', quantity: 1 });
  await crib.do('sellScrap', { substrate: 'carbide', kg: '0.08', perKgCents: 1800 });
  await crib.do('counterEntry', { counters: fetched.entry });
  expect(await heap()).toMatchObject({ pieces: 1 });
  await crib.do('sellScrap', { substrate: 'carbide', kg: '0.08', perKgCents: 1800 });
});

it('more on the scales than such pieces can weigh is said, and nothing is sold twice', async () => {
  expect(await crib.do('sellScrap', { substrate: 'HSS', kg: 9, perKgCents: 100 })).toMatchObject({
    tooMuch: expect.stringMatching(/more than 2 of these can/),
  });
  await expect(crib.do('sellScrap', { substrate: 'HSS', kg: 1, perKgCents: 100 })).rejects.toMatchObject({
    ...{ code: 'CONFLICT', parts: [{ field: 'substrate' }] },
  });
  for (const [input, field] of [
    [{ kg: 0 }, 'kg'],
    [{ kg: 'two' }, 'kg'],
    [{ perKgCents: -1 }, 'perKgCents'],
  ] as const)
    await expect(
      crib.do('sellScrap', { substrate: 'carbide', kg: 1, perKgCents: 100, ...input }),
    ).rejects.toMatchObject({ code: 'INVALID_INPUT', parts: [{ field }] });
});
