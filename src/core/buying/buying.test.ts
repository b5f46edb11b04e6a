import fc from 'fast-check';
import { proposeOrder, type BookedUse, type CutterSupply } from './index';

/** Expected numbers: hand arithmetic of time-phased netting. */
const use = (over: Partial<BookedUse> = {}): BookedUse => ({
  job: 'J-1',
  due: '2027-01-20',
  material: 'P1',
  partsLeft: 100,
  minutesPerPart: 1.2,
  life: { minutes: 40, basis: 'mean reached' },
  ...over,
});
const supply = (over: Partial<CutterSupply> = {}): CutterSupply => ({
  shelf: 0,
  edgeSets: [],
  openOrders: [],
  ...over,
});
const terms = { leadTimeDays: 10, pack: 1, minimum: 1 };
const order = (uses: BookedUse[], s: CutterSupply, t = terms, today = '2027-01-01') =>
  proposeOrder(uses, s, t, today);

it('100 parts x 1.2 min / 40 min = 3 lives; one on the shelf leaves 2, by due day less lead time', () =>
  expect(order([use()], supply({ shelf: 1 }))).toMatchObject({
    say: 'order',
    quantity: 2,
    short: 2,
    orderBy: '2027-01-10',
    daysLate: 0,
    firstShort: { job: 'J-1' },
    lives: { needed: expect.closeTo(3, 9) },
  }));
it('stock exactly used up is no shortage', () =>
  expect(order([use()], supply({ shelf: 3 }))).toMatchObject({ say: 'enough' }));
it('life left on good edge sets counts, what cannot be said counts as none and outlived sets never below none', () => {
  const edgeSets = [
    { tag: 'A-1', livesLeft: 0.6 },
    { tag: 'A-2', livesLeft: null },
    { tag: 'A-3', livesLeft: -0.4 },
  ];
  expect(order([use()], supply({ shelf: 1, edgeSets }))).toMatchObject({
    quantity: 2,
    lives: { onEdgeSets: 0.6 },
  });
  expect(order([use()], supply({ shelf: 2, edgeSets }))).toMatchObject({ quantity: 1 });
});
it('packs and minimum', () => {
  expect(order([use()], supply(), { ...terms, pack: 5 })).toMatchObject({ quantity: 5, short: 3 });
  expect(order([use()], supply(), { ...terms, minimum: 8, pack: 5 })).toMatchObject({ quantity: 10 });
});
it('the first job that runs short sets the day, all jobs the quantity', () =>
  expect(
    order(
      [use({ job: 'J-2', due: '2027-03-01' }), use({ job: 'J-1', due: '2027-02-01', partsLeft: 10 })],
      supply({ shelf: 1 }),
    ),
  ).toMatchObject({ quantity: 3, firstShort: { job: 'J-2' }, orderBy: '2027-02-19' }));
it('says by how many days the day is past, over a leap day too', () => {
  expect(order([use()], supply(), terms, '2027-01-10')).toMatchObject({ daysLate: 0 });
  expect(order([use()], supply(), terms, '2027-01-13')).toMatchObject({ daysLate: 3 });
  expect(order([use({ due: '2028-03-05' })], supply(), terms)).toMatchObject({ orderBy: '2028-02-24' });
});
it('an open order counts from its promised day; one too late is to be hastened, not ordered twice', () => {
  const open = (promised: string) => supply({ openOrders: [{ number: 'O-1', quantity: 3, promised }] });
  expect(order([use()], open('2027-01-20'))).toMatchObject({ say: 'enough' });
  expect(order([use()], open('2027-01-21'))).toMatchObject({
    say: 'order',
    quantity: 0,
    because: { words: expect.stringMatching(/hasten/) },
  });
});
it('cannot say without a life, unless the rest already runs short', () => {
  expect(order([use({ life: null })], supply())).toMatchObject({ say: 'cannot say' });
  expect(order([use({ life: null })], supply({ shelf: 99 }))).toMatchObject({ say: 'cannot say' });
  expect(order([use({ life: null }), use({ job: 'J-2' })], supply())).toMatchObject({
    say: 'order',
    quantity: 3,
  });
});
it('no lead time known: no day is made up', () =>
  expect(order([use()], supply(), { ...terms, leadTimeDays: null as never })).toMatchObject({
    orderBy: null,
  }));
it('nothing booked is nothing to say', () => {
  expect(order([], supply())).toBeNull();
  expect(order([use({ partsLeft: 0 })], supply())).toBeNull();
});
it('property: what is proposed covers the need, and never by a whole pack too much', () => {
  const n = (max: number) => fc.integer({ min: 1, max });
  fc.assert(
    fc.property(
      n(500),
      n(90),
      n(120),
      fc.integer({ min: 0, max: 20 }),
      n(10),
      (parts, tenths, life, shelf, pack) => {
        const got = order(
          [use({ partsLeft: parts, minutesPerPart: tenths / 10, life: { minutes: life, basis: '' } })],
          supply({ shelf }),
          { ...terms, pack },
        )!;
        const needed = (parts * tenths) / 10 / life;
        const bought = got.say === 'order' ? got.quantity : 0;
        expect(shelf + bought).toBeGreaterThanOrEqual(needed - 1e-6);
        if (got.say === 'order') expect(shelf + bought - needed).toBeLessThan(pack + 1e-6);
      },
    ),
    { seed: 5 },
  );
});
it('unfolds to every cause', () =>
  expect(
    order([use()], supply({ shelf: 1, edgeSets: [{ tag: 'A-9', livesLeft: 0.5 }] }))!.because.values.map(
      (v) => v.name,
    ),
  ).toEqual(['J-1, due 2027-01-20', 'unused on the shelf', 'left on A-9', 'lead time', 'pack and minimum']));
