import { group } from 'd3';
import {
  type BookedUse,
  expectedDay,
  type OrderProposal,
  proposeOrder,
  proposeReorder,
  type ShopCalendar,
} from '@/core/buying';
import { DEFAULTS } from '@/core/defaults';
import { minutesUntilChange } from '@/core/life';
import { type CribItem, loadItems } from '@/crib/catalogue';
import { type ReadOnce, readOnce } from '@/crib/door';
import { openBook } from '@/crib/life';
import { type RunningBook, runningBook } from '@/crib/lives';
import { loadCalendar } from '@/crib/shop';
import { openWork, type Work, workWith } from '@/crib/work';
import {
  manyClosedPurchases,
  manyOpenPurchases,
  manyPurchasesOf,
  manyReorderPoints,
  manySupplierDelays,
  type PurchaseRow,
} from '@/data/buying';
import { manySupplies, type SupplyRow } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { manyBodiesWith, manyReservations } from '@/data/stock';
import {
  type Booked,
  demandOf,
  edgesLeft,
  insertsOfBodies,
  type NotReckoned,
  supplyOf,
  wornByTag,
} from '../demand';

export interface BuyingLine {
  item: Pick<CribItem, 'id' | 'code' | 'words'>;
  proposal: OrderProposal;
  supply: Pick<
    SupplyRow,
    'supplier' | 'orderCode' | 'priceCents' | 'pack' | 'minimum' | 'leadTimeDays'
  > | null;
}

/** An order as it is shown: from when it can be counted on. */
export interface OrderLine extends PurchaseRow {
  /** null: it came whole. */
  expected: { day: string; overdue: boolean; words: string } | null;
}

export interface BuyingView {
  lines: BuyingLine[];
  /** T of booked jobs whose need can't be said. */
  unknown: NotReckoned[];
  /** Orders of which something is to come, and a page of those that came whole. */
  orders: OrderLine[];
  /** The order after which the next page of those begins; null at the end. */
  next: number | null;
}

const SAYS = { order: 0, 'cannot say': 1, enough: 2 } as const;

const CLOSED_SHOWN = 20;
/** Orders a supplier is judged by. */
const LATEST_ORDERS = 20;

/** What to buy, and what is and was on order. */
export async function buyingView(
  c: Connection,
  today: string,
  once: ReadOnce = readOnce(c, today),
  after: number | null = null,
): Promise<BuyingView> {
  const { lines, unknown, orders } = await once(proposals);
  const closed = await manyClosedPurchases(c, after, CLOSED_SHOWN + 1);
  const shown = closed.slice(0, CLOSED_SHOWN);
  return {
    lines,
    unknown,
    orders: [...(after === null ? orders : []), ...shown.map((o) => ({ ...o, expected: null }))],
    next: closed.length > CLOSED_SHOWN ? (shown.at(-1)?.id ?? null) : null,
  };
}

/** The lines of one order by its number; none where there is no such order. */
export const orderView = async (c: Connection, number: string, today: string): Promise<OrderLine[]> =>
  ordersShown(await manyPurchasesOf(c, number.toUpperCase()), await daysOf(c, today));

/** What days are reckoned with: when the shop works, and how late suppliers were. */
interface Days {
  today: string;
  calendar: ShopCalendar;
  delays: ReadonlyMap<string, { days: number; of: number }>;
}
const daysOf = async (c: Connection, today: string): Promise<Days> => ({
  today,
  calendar: await loadCalendar(c, today),
  delays: new Map(
    (await manySupplierDelays(c, LATEST_ORDERS)).map((d) => [d.supplier, { days: d.days, of: d.orders }]),
  ),
});

/** Orders with the day each can be counted on. */
const ordersShown = (orders: readonly PurchaseRow[], { today, calendar, delays }: Days): OrderLine[] =>
  orders.map((o) => ({
    ...o,
    expected:
      o.received >= o.quantity
        ? null
        : expectedDay({ ...o, late: delays.get(o.supplier) ?? null }, today, calendar),
  }));

/** What is proposed of one item now; null where nothing is booked on it. */
export async function proposalFor(c: Connection, today: string, itemId: number): Promise<BuyingLine | null> {
  // An insert is booked by the bodies that take it.
  const work = await workWith(c, [itemId, ...(await manyBodiesWith(c, itemId))]);
  const around = await bodiesOf(c, work);
  const uses = demandOf(work, around.of).booked.filter((b) => b.itemId === itemId);
  if (!uses.length) return null;
  const items = new Map([...work.items, ...(await loadItems(c, [itemId])).map((i) => [i.id, i] as const)]);
  const book = await runningBook(c, [...new Set(uses.map((u) => u.cutterItemId))]);
  return (
    (await linesOf(c, await daysOf(c, today), uses, items, book, around, await manyOpenPurchases(c)))[0] ??
    null
  );
}

/** The inserts of all bodies that are tied or stand, and the wear that was said of the T they run on. */
const bodiesOf = async (c: Connection, work: Work) => ({
  ...(await insertsOfBodies(
    c,
    [...work.assemblies.values()].flatMap((a) =>
      work.items.get(a.cutterItemId)?.kind === 'body' ? [a.pieceId] : [],
    ),
  )),
  here: wornByTag(work),
});

/** What to buy, from booked jobs, lives, stock, life left and open orders; the most urgent first. */
export async function proposals(
  c: Connection,
  today: string,
  once: ReadOnce,
): Promise<Omit<BuyingView, 'next'>> {
  const work = await once(openWork);
  const book = await once(openBook);
  const orders = await manyOpenPurchases(c);
  const around = await bodiesOf(c, work);
  const { booked, unknown } = demandOf(work, around.of);
  const items = new Map([...work.items, ...around.items]);
  const days = await daysOf(c, today);
  const lines = await linesOf(c, days, booked, items, book, around, orders);
  return {
    lines: inOrder(await withKept(c, days, lines, orders)),
    unknown,
    orders: ordersShown(orders, days),
  };
}

/** Who supplies each item, where that one is in use: its lead time, pack and minimum are reckoned with. */
const suppliesOf = async (c: Connection, ids: readonly number[]) =>
  new Map((await manySupplies(c, ids)).flatMap((s) => (s.supplierInUse ? [[s.itemId, s] as const] : [])));

/** A line for each thing that is booked, the most urgent first. */
async function linesOf(
  c: Connection,
  { today, calendar, delays }: Days,
  booked: readonly Booked[],
  items: ReadonlyMap<number, CribItem>,
  book: RunningBook,
  around: Awaited<ReturnType<typeof bodiesOf>>,
  orders: readonly PurchaseRow[],
): Promise<BuyingLine[]> {
  // Only what is booked is bought for: the rest of the catalogue is not read.
  const usesOf = group(booked, (b) => b.itemId);
  const supplies = await suppliesOf(c, [...usesOf.keys()]);
  const left = await edgesLeft(c, book.running, book, items, around);
  const ordered = group(orders, (o) => o.itemId);
  const reserved = group(await manyReservations(c, [...usesOf.keys()]), (r) => r.itemId);
  const lines = [...usesOf].flatMap(([itemId, uses]): BuyingLine[] => {
    const item = items.get(itemId);
    if (!item) return [];
    const supply = supplies.get(itemId) ?? null;
    const proposal = proposeOrder(
      uses.map((b): BookedUse => ({ ...b.use, life: lifeOf(b, book) })),
      supplyOf(
        item,
        left.get(itemId) ?? [],
        ordered.get(itemId) ?? [],
        delays,
        (reserved.get(itemId) ?? []).filter((r) => !uses.some((u) => u.job === r.job)),
      ),
      {
        leadTimeDays: supply?.leadTimeDays ?? null,
        pack: supply?.pack ?? 1,
        minimum: supply?.minimum ?? 1,
      },
      today,
      calendar,
    );
    return proposal ? [{ item: { id: item.id, code: item.code, words: item.words }, proposal, supply }] : [];
  });
  return inOrder(lines);
}

/** What an edge does before it is used up: as they were used up here, or until it is changed where that comes first. */
function lifeOf(
  { use, cutterItemId, materialId, rpm, changedAfter }: Booked,
  book: RunningBook,
): BookedUse['life'] {
  const used = book.consumption(cutterItemId, materialId, rpm);
  const as = used && {
    minutesPerEdge: used.minutesPerEdge,
    spread: used.spread,
    basis: `${used.basis}, ${used.edges} edges`,
    guess: used.guess,
  };
  if (changedAfter === null) return as;
  const until = minutesUntilChange(
    book.next(cutterItemId, materialId, rpm)?.survival ?? null,
    changedAfter * use.minutesPerPart,
  );
  if (!(until > 0) || (as && as.minutesPerEdge <= until)) return as;
  return {
    minutesPerEdge: until,
    spread: as?.spread ?? DEFAULTS.spreadOfLives,
    basis: `changed after ${changedAfter} parts`,
    guess: false,
  };
}

/** The most urgent first. */
function inOrder(lines: readonly BuyingLine[]): BuyingLine[] {
  const day = (p: OrderProposal) => (p.say === 'order' ? (p.orderBy ?? '') : '');
  return lines.toSorted(
    (a, b) =>
      SAYS[a.proposal.say] - SAYS[b.proposal.say] ||
      day(a.proposal).localeCompare(day(b.proposal)) ||
      a.item.code.localeCompare(b.item.code, 'en', { numeric: true }),
  );
}

/** What is kept on the shelf without any job asking: its own lines, and where a job asks for fewer, more. */
async function withKept(
  c: Connection,
  { today, calendar, delays }: Days,
  lines: readonly BuyingLine[],
  orders: readonly PurchaseRow[],
): Promise<BuyingLine[]> {
  const points = await manyReorderPoints(c);
  if (!points.length) return [...lines];
  const ids = points.map((p) => p.itemId);
  const items = new Map((await loadItems(c, ids)).map((i) => [i.id, i]));
  const supplies = await suppliesOf(c, ids);
  const reserved = group(await manyReservations(c, ids), (r) => r.itemId);
  const kept = points.flatMap((point): BuyingLine[] => {
    const item = items.get(point.itemId);
    if (!item) return [];
    const supply = supplies.get(point.itemId) ?? null;
    const { shelf, openOrders } = supplyOf(
      item,
      [],
      orders.filter((o) => o.itemId === item.id),
      delays,
      reserved.get(item.id) ?? [],
    );
    const proposal = proposeReorder(
      point,
      shelf,
      openOrders,
      { leadTimeDays: supply?.leadTimeDays ?? null, pack: supply?.pack ?? 1, minimum: supply?.minimum ?? 1 },
      today,
      calendar,
    );
    return proposal ? [{ item: { id: item.id, code: item.code, words: item.words }, proposal, supply }] : [];
  });
  const more = new Map(kept.map((l) => [l.item.id, l]));
  const quantity = (l: BuyingLine) => (l.proposal.say === 'order' ? l.proposal.quantity : 0);
  const together = lines.map((l) => {
    const own = more.get(l.item.id);
    more.delete(l.item.id);
    return own && quantity(own) > quantity(l) ? own : l;
  });
  return [...together, ...more.values()];
}
