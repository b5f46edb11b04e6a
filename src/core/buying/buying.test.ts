import fc from 'fast-check';
import {
  type BookedUse,
  chanceOfLasting,
  chanceWords,
  type CutterSupply,
  enoughFor,
  expectedDay,
  latestStart,
  needOf,
  openDayFrom,
  openDayUntil,
  orderTotal,
  openMinutes,
  type OpenOrder,
  proposeOrder,
  proposeReorder,
  type ShopCalendar,
  USUAL_CALENDAR,
} from './index';

/** Closed cases worked by hand: time-phased netting, renewal counts, and the days of a calendar (2027-01-04 is a Monday). */
const use = (over: Partial<BookedUse> = {}): BookedUse => ({
  job: 'J-1',
  due: '2027-01-20',
  start: '2027-01-20',
  material: 'P1',
  partsLeft: 100,
  minutesPerPart: 1.2,
  operationMinutes: 1.2,
  life: { minutesPerEdge: 40, spread: 0, basis: 'used up here', guess: false },
  perLife: 1,
  ...over,
});
const lives = (spread: number, minutesPerEdge = 40, guess = false) => ({
  life: { minutesPerEdge, spread, basis: 'x', guess },
});
const supply = (over: Partial<CutterSupply> = {}): CutterSupply => ({
  shelf: 0,
  edgeSets: [],
  openOrders: [],
  ...over,
});
const open = (over: Partial<OpenOrder> = {}): OpenOrder => ({
  number: 'O-1',
  quantity: 3,
  promised: '2027-01-20',
  supplier: 'NORD',
  late: null,
  ...over,
});
const terms = { leadTimeDays: 9, pack: 1, minimum: 1 };
const order = (
  uses: BookedUse[],
  s: CutterSupply,
  t: Parameters<typeof proposeOrder>[2] = terms,
  today = '2027-01-04',
  calendar = USUAL_CALENDAR,
) => proposeOrder(uses, s, t, today, calendar);
const CLOSED: ShopCalendar = { ...USUAL_CALENDAR, closed: new Set(['2027-01-11', '2027-01-08']) };

describe('how much', () => {
  it('100 parts × 1.2 min / 40 min = 3 lives; one on the shelf leaves 2', () =>
    expect(order([use()], supply({ shelf: 1 }))).toMatchObject({
      say: 'order',
      quantity: 2,
      short: 2,
      firstShort: { job: 'J-1' },
      balance: { needed: expect.closeTo(3, 9) },
    }));
  it('lives that differ need a margin: 3 + 1.28 × 0.43 √3 = 3.95, so 4 are enough and 3 are not', () => {
    expect(enoughFor(needOf(120, 40, 0.43))).toBeCloseTo(3.954, 3);
    expect(order([use(lives(0.43))], supply({ shelf: 3 }))).toMatchObject({ say: 'order', quantity: 1 });
    expect(order([use(lives(0.43))], supply({ shelf: 4 }))).toMatchObject({ say: 'enough' });
  });
  it('what can be said of the chance is said in words, and what it leans on', () => {
    expect(order([use(lives(0.43))], supply({ shelf: 4 }))!.because.words).toBe(
      'What is there and on order is likely to last for the booked jobs.',
    );
    expect(
      order([use({ ...lives(0.43, 40, true), atLeast: true })], supply({ shelf: 9 }))!.because.words,
    ).toMatch(/almost certain .*but a program was not read whole.* a life is a guess/);
  });
  it('lives all alike and stock exactly used up is no shortage', () =>
    expect(order([use()], supply({ shelf: 3 }))).toMatchObject({ say: 'enough', chance: 1 }));
  it('what is left on edges counts, what cannot be said and what is worn counts as none', () => {
    const edgeSets = [
      { tag: 'A-1', left: 0.6 },
      { tag: 'A-2', left: null },
      { tag: 'A-3', left: 0, why: 'worn' },
      { tag: 'A-4', left: -0.4 },
    ];
    expect(order([use()], supply({ shelf: 1, edgeSets }))).toMatchObject({
      quantity: 2,
      balance: { onEdgeSets: 0.6 },
    });
  });
  it('packs and minimum', () => {
    expect(order([use()], supply(), { ...terms, pack: 5 })).toMatchObject({ quantity: 5, short: 3 });
    expect(order([use()], supply(), { ...terms, minimum: 8, pack: 5 })).toMatchObject({ quantity: 10 });
  });
  // 3 lives of a body with 5 seats, inserts of 4 edges: 3 × 5 / 4 = 3.75 inserts, in packs of ten.
  it('inserts wear, and are bought by the seats and their edges', () =>
    expect(order([use({ perLife: 5 / 4 })], supply({ shelf: 1 }), { ...terms, pack: 10 })).toMatchObject({
      short: 3,
      quantity: 10,
      balance: { needed: expect.closeTo(3.75, 9) },
    }));
  it('cannot say without a life, unless the rest already runs short', () => {
    expect(order([use({ life: null })], supply({ shelf: 99 }))).toMatchObject({ say: 'cannot say' });
    expect(order([use({ life: null }), use({ job: 'J-2' })], supply())).toMatchObject({
      say: 'order',
      quantity: 3,
    });
  });
  it('nothing booked is nothing to say', () => {
    expect(order([], supply())).toBeNull();
    expect(order([use({ partsLeft: 0 })], supply())).toBeNull();
  });
  it('chances (normal tables): 0.9 at 1.2816, 0.5 at the mean, and their words', () => {
    expect(chanceOfLasting(1.2815516, { mean: 0, variance: 1 })).toBeCloseTo(0.9, 6);
    expect(chanceOfLasting(0, { mean: 0, variance: 1 })).toBeCloseTo(0.5, 7);
    expect(chanceOfLasting(-1.96, { mean: 0, variance: 1 })).toBeCloseTo(0.025, 4);
    expect([0.99, 0.9, 0.7, 0.5, 0.1].map(chanceWords)).toEqual([
      'almost certain to last',
      'likely to last',
      'more likely than not to last',
      'as likely as not to last',
      'not likely to last',
    ]);
  });
});

describe('by which day', () => {
  it('the day the operation starts, less the lead time: Wednesday 20th less 9 days is Monday 11th', () =>
    expect(order([use()], supply())).toMatchObject({ orderBy: '2027-01-11', daysLate: 0 }));
  it('never a closed day: with the 11th and the Friday before closed it is Thursday 7th', () =>
    expect(order([use()], supply(), terms, '2027-01-04', CLOSED)).toMatchObject({ orderBy: '2027-01-07' }));
  it('a lead time that ends on a Sunday is counted from the Friday', () =>
    expect(order([use()], supply(), { ...terms, leadTimeDays: 10 })).toMatchObject({
      orderBy: '2027-01-08',
    }));
  // 100 parts of 30 min are 3000 min: 7 days of 8 hours, the last of them the due Wednesday: start Tuesday 12th.
  it('a start nobody stated is counted back from its minutes and the shop’s hours', () =>
    expect(order([use({ start: null, operationMinutes: 30 })], supply())).toMatchObject({
      firstShort: { start: '2027-01-12' },
      orderBy: '2027-01-01',
      daysLate: 3,
    }));
  it('the first to start that runs short sets the day, all the quantity', () =>
    expect(
      order(
        [
          use({ job: 'J-2', start: '2027-03-01', due: '2027-03-05' }),
          use({ job: 'J-1', start: '2027-02-01', partsLeft: 10 }),
        ],
        supply({ shelf: 1 }),
      ),
    ).toMatchObject({ quantity: 3, firstShort: { job: 'J-2' }, orderBy: '2027-02-19' }));
  it('says by how many days the day is past, over a leap day too', () => {
    expect(order([use()], supply(), terms, '2027-01-13')).toMatchObject({ daysLate: 2 });
    expect(order([use({ start: '2028-03-08', due: '2028-03-08' })], supply())).toMatchObject({
      orderBy: '2028-02-28',
    });
  });
  it('no lead time known: no day is made up', () =>
    expect(order([use()], supply(), { ...terms, leadTimeDays: null })).toMatchObject({ orderBy: null }));
  it('an open order counts from its promised day; one too late is to be chased, not ordered twice', () => {
    expect(order([use()], supply({ openOrders: [open()] }))).toMatchObject({ say: 'enough' });
    expect(order([use()], supply({ openOrders: [open({ promised: '2027-01-21' })] }))).toMatchObject({
      say: 'order',
      quantity: 0,
      because: { words: expect.stringMatching(/chase/) },
    });
  });
  it('an order promised for a day that is past has not arrived', () =>
    // Promised for Friday 1st, today Monday 4th: from Tuesday 5th, too late for a start that day before.
    expect(
      order([use({ start: '2027-01-04' })], supply({ openOrders: [open({ promised: '2027-01-01' })] })),
    ).toMatchObject({ say: 'order', quantity: 0 }));
});

describe('from when an open order counts', () => {
  it('as promised, while that is to come, with how late that supplier is', () =>
    expect(expectedDay(open({ late: { days: 3.4, of: 5 } }), '2027-01-04', USUAL_CALENDAR)).toEqual({
      day: '2027-01-20',
      overdue: false,
      words: 'promised 2027-01-20; NORD is 3 days late on average (5 orders)',
    }));
  it('past its day: the promise and the days that supplier is late, no earlier than the next open day', () => {
    const past = (promised: string, late: OpenOrder['late'], today: string) =>
      expectedDay(open({ promised, late }), today, USUAL_CALENDAR);
    expect(past('2027-01-04', { days: 3, of: 2 }, '2027-01-05')).toMatchObject({
      day: '2027-01-07',
      overdue: true,
    });
    expect(past('2027-01-04', null, '2027-01-05')).toMatchObject({ day: '2027-01-06' });
    // Today is Friday: the next open day is Monday.
    expect(past('2027-01-04', null, '2027-01-08')).toMatchObject({ day: '2027-01-11' });
  });
});

describe('when the shop works', () => {
  it('by the day of the week, and not on days it is closed', () => {
    expect(
      ['2027-01-04', '2027-01-08', '2027-01-09', '2027-01-10'].map((d) => openMinutes(USUAL_CALENDAR, d)),
    ).toEqual([480, 480, 0, 0]);
    expect(openMinutes(CLOSED, '2027-01-08')).toBe(0);
    // A Monday long before the one that is counted from.
    expect(openMinutes(USUAL_CALENDAR, '2020-03-02')).toBe(480);
    expect(openMinutes(USUAL_CALENDAR, '2020-03-01')).toBe(0);
  });
  it('the last open day until one, the first from one', () => {
    expect(openDayUntil(CLOSED, '2027-01-11')).toBe('2027-01-07');
    expect(openDayFrom(CLOSED, '2027-01-08')).toBe('2027-01-12');
  });
  it('the latest start: 480 min fit the due day, one more needs the day before', () => {
    expect(latestStart(USUAL_CALENDAR, '2027-01-11', 480)).toBe('2027-01-11');
    expect(latestStart(USUAL_CALENDAR, '2027-01-11', 481)).toBe('2027-01-08');
    expect(latestStart(USUAL_CALENDAR, '2027-01-10', 0)).toBe('2027-01-08');
  });
  it('a shop that never opens has no day, and it ends', () => {
    const never: ShopCalendar = { week: [0, 0, 0, 0, 0, 0, 0], closed: new Set(), stated: true };
    expect(openDayUntil(never, '2027-01-11')).toBeNull();
    expect(latestStart(never, '2027-01-11', 1)).toBeNull();
    expect(order([use()], supply(), terms, '2027-01-04', never)).toMatchObject({ orderBy: null });
  });
});

it('property: what is proposed is enough, never by a whole pack too much, ordered on an open day before the start', () => {
  const n = (max: number) => fc.integer({ min: 1, max });
  fc.assert(
    fc.property(
      n(500),
      n(90),
      n(120),
      fc.integer({ min: 0, max: 20 }),
      n(10),
      fc.integer({ min: 0, max: 80 }),
      fc.integer({ min: 0, max: 60 }),
      (parts, tenths, life, shelf, pack, hundredths, lead) => {
        const booked = use({
          partsLeft: parts,
          minutesPerPart: tenths / 10,
          ...lives(hundredths / 100, life),
          start: null,
        });
        const got = order([booked], supply({ shelf }), { ...terms, pack, leadTimeDays: lead })!;
        const need = needOf((parts * tenths) / 10, life, hundredths / 100);
        const bought = got.say === 'order' ? got.quantity : 0;
        expect(shelf + bought).toBeGreaterThanOrEqual(enoughFor(need) - 1e-5);
        if (got.say !== 'order') return;
        expect(shelf + bought - enoughFor(need)).toBeLessThan(pack + 1e-5);
        expect(openMinutes(USUAL_CALENDAR, got.orderBy!)).toBeGreaterThan(0);
        expect(got.orderBy! <= got.firstShort.start).toBe(true);
      },
    ),
    { seed: 5 },
  );
});
it('unfolds to every cause', () =>
  expect(
    order(
      [use()],
      supply({ shelf: 1, edgeSets: [{ tag: 'A-9', left: 0.5 }], openOrders: [open({ quantity: 1 })] }),
    )!.because.values.map((v) => v.name),
  ).toEqual([
    'J-1, starts 2027-01-20, due 2027-01-20',
    'unused on the shelf',
    'left on A-9',
    'on order O-1',
    'lead time',
    'pack and minimum',
    'days the shop works',
  ]));

describe('what an order comes to (by hand)', () => {
  const supply = { priceCents: 3150, pack: 2, minimum: 4 };
  it.each([
    // 4 x 31.50 = 126.00
    [[{ item: 'EM10', quantity: 4, supply }], '126.00', []],
    // 3 x 31.50 = 94.50, fewer than 4, and a pack of 2 is broken
    [
      [{ item: 'EM10', quantity: 3, supply }],
      '94.50',
      ['EM10: fewer than the least, 4', 'EM10: 3 are no whole packs of 2'],
    ],
    [
      [
        { item: 'EM10', quantity: 4, supply },
        { item: 'AP16', quantity: 10, supply: { priceCents: null, pack: 10, minimum: 1 } },
      ],
      'at least 126.00: no price of AP16',
      [],
    ],
    [[{ item: 'X', quantity: 1, supply: null }], 'no price is known', []],
  ])('%j', (lines, words, against) => expect(orderTotal(lines)).toEqual({ words, against }));
});

describe('what is kept on the shelf without any job (reorder point, by hand)', () => {
  const kept = (shelf: number, openOrders: OpenOrder[] = [], pack = 1) =>
    proposeReorder(
      { minimum: 4, upTo: 10 },
      shelf,
      openOrders,
      { ...terms, pack },
      '2027-01-09',
      USUAL_CALENDAR,
    );
  it('at the minimum nothing, below it up to what is kept', () => {
    expect(kept(4)).toBeNull();
    expect(kept(3)).toMatchObject({ quantity: 7, short: 7 });
  });
  it('what is on order is there, late or not: it is chased, not ordered twice', () =>
    expect(kept(1, [open({ quantity: 3, promised: '2027-01-01' })])).toBeNull());
  it('whole packs: 8 short in packs of 5 are 10', () =>
    expect(kept(2, [], 5)).toMatchObject({ quantity: 10 }));
  it('on a day the shop works: Saturday becomes Monday', () =>
    expect(kept(0)).toMatchObject({ orderBy: '2027-01-11', daysLate: 0 }));
});
