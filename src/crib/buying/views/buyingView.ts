import { group } from 'd3';
import { type BookedUse, type CutterSupply, type OrderProposal, proposeOrder } from '@/core/buying';
import { type CribItem, loadItems } from '@/crib/catalogue';
import { type ReadOnce, readOnce } from '@/crib/door';
import { openWork, type Work, workWith } from '@/crib/jobs';
import { type LifeBook, openBook, runningBook, type RunningBook } from '@/crib/life';
import { manyClosedPurchases, manyOpenPurchases, maybePurchase, type PurchaseRow } from '@/data/buying';
import { manySupplies, type SupplyRow } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import type { RunningRow } from '@/data/life';

export interface BuyingLine {
  item: Pick<CribItem, 'id' | 'code' | 'words'>;
  proposal: OrderProposal;
  supply: Pick<
    SupplyRow,
    'supplier' | 'orderCode' | 'priceCents' | 'pack' | 'minimum' | 'leadTimeDays'
  > | null;
}

export interface BuyingView {
  lines: BuyingLine[];
  /** T of booked jobs whose need can't be said: no cutter was ever tied, or its cutting was not read. */
  unknown: { job: string; operation: number; t: number; partsLeft: number; why: string }[];
  /** Orders of which something is to come, and the latest of those that came whole. */
  orders: PurchaseRow[];
}

const SAYS = { order: 0, 'cannot say': 1, enough: 2 } as const;

const CLOSED_SHOWN = 20;

/** What to buy, and what is and was on order. */
export async function buyingView(
  c: Connection,
  today: string,
  once: ReadOnce = readOnce(c, today),
): Promise<BuyingView> {
  const { lines, unknown, orders } = await once(proposals);
  return { lines, unknown, orders: [...orders, ...(await manyClosedPurchases(c, CLOSED_SHOWN))] };
}

/** One order by its number; null where there is none. */
export const orderView = (c: Connection, number: string): Promise<PurchaseRow | null> =>
  maybePurchase(c, number.toUpperCase());

/** What is proposed of one item now; null where nothing is booked on it. */
export async function proposalFor(c: Connection, today: string, itemId: number): Promise<BuyingLine | null> {
  const { booked } = bookedUses(await workWith(c, itemId));
  const uses = booked.filter((b) => b.itemId === itemId);
  if (!uses.length) return null;
  const book = await runningBook(c, [itemId]);
  const items = new Map((await loadItems(c, [itemId])).map((i) => [i.id, i]));
  return (await linesOf(c, today, uses, items, book, await manyOpenPurchases(c)))[0] ?? null;
}

interface Booked {
  itemId: number;
  use: Omit<BookedUse, 'life'>;
  materialId: number;
}

/** What open operations will cut, by the cutter tied to each T, and what of it can't be said. */
function bookedUses(work: Work): { booked: Booked[]; unknown: BuyingView['unknown'] } {
  const ties = new Map(work.ties.map((t) => [`${t.operationId} ${t.t}`, t]));
  const booked: Booked[] = [];
  const unknown: BuyingView['unknown'] = [];
  for (const o of work.operations) {
    const partsLeft = o.quantity - o.partsMade;
    for (const tool of work.programs.get(o.id)?.tools ?? []) {
      if (tool.cutting_s <= 0) {
        if (tool.lower_bound)
          unknown.push({
            job: o.job,
            operation: o.id,
            t: tool.t,
            partsLeft,
            why: 'its cutting was not read',
          });
        continue;
      }
      // A tool that was taken down still says which cutter is wanted there.
      const tied = work.assemblies.get(ties.get(`${o.id} ${tool.t}`)?.assemblyId ?? -1);
      if (!tied) {
        unknown.push({ job: o.job, operation: o.id, t: tool.t, partsLeft, why: 'no cutter was ever tied' });
        continue;
      }
      booked.push({
        itemId: tied.cutterItemId,
        materialId: o.materialId,
        use: {
          job: `${o.job} T${tool.t}`,
          due: o.due,
          material: o.material,
          partsLeft,
          minutesPerPart: tool.cutting_s / 60,
          atLeast: tool.lower_bound,
        },
      });
    }
  }
  return { booked, unknown };
}

/** What to buy, from booked jobs, lives, stock, life left and open orders; the most urgent first. */
export async function proposals(c: Connection, today: string, once: ReadOnce): Promise<BuyingView> {
  const work = await once(openWork);
  const book = await once(openBook);
  const orders = await manyOpenPurchases(c);
  const { booked, unknown } = bookedUses(work);
  return { lines: await linesOf(c, today, booked, work.items, book, orders), unknown, orders };
}

/** A line for each cutter that is booked, the most urgent first. */
async function linesOf(
  c: Connection,
  today: string,
  booked: readonly Booked[],
  items: Work['items'],
  book: RunningBook,
  orders: readonly PurchaseRow[],
): Promise<BuyingLine[]> {
  // Only what is booked is bought for: the rest of the catalogue is not read.
  const usesOf = group(booked, (b) => b.itemId);
  const supplies = new Map((await manySupplies(c, [...usesOf.keys()])).map((s) => [s.itemId, s]));
  const running = group(book.running, (e) => e.itemId);
  const ordered = group(orders, (o) => o.itemId);
  const lines = [...usesOf].flatMap(([itemId, uses]): BuyingLine[] => {
    const item = items.get(itemId);
    if (!item) return [];
    const supply = supplies.get(itemId) ?? null;
    const proposal = proposeOrder(
      uses.map(({ use, materialId }): BookedUse => {
        const life = book.expectation(itemId, materialId);
        return {
          ...use,
          life: life && { minutes: life.minutes, basis: `${life.basis}, ${life.lives} lives` },
        };
      }),
      supplyOf(item, running.get(itemId) ?? [], ordered.get(itemId) ?? [], book),
      {
        leadTimeDays: supply?.leadTimeDays ?? null,
        pack: supply?.pack ?? 1,
        minimum: supply?.minimum ?? 1,
      },
      today,
    );
    return proposal ? [{ item: { id: item.id, code: item.code, words: item.words }, proposal, supply }] : [];
  });
  const day = (p: OrderProposal) => (p.say === 'order' ? (p.orderBy ?? '') : '');
  lines.sort(
    (a, b) =>
      SAYS[a.proposal.say] - SAYS[b.proposal.say] ||
      day(a.proposal).localeCompare(day(b.proposal)) ||
      a.item.code.localeCompare(b.item.code, 'en', { numeric: true }),
  );
  return lines;
}

/** Shelf, life left on edge sets that still cut, and open orders of an item. */
const supplyOf = (
  item: CribItem,
  running: readonly RunningRow[],
  orders: readonly PurchaseRow[],
  book: LifeBook,
): CutterSupply => ({
  shelf: item.unused,
  edgeSets: running.map((e) => {
    const share = book.used(e.edgeSetId);
    return { tag: e.tag ?? `${e.mark} in ${e.place}`, livesLeft: share === null ? null : 1 - share };
  }),
  openOrders: orders.map((o) => ({
    number: o.number,
    quantity: o.quantity - o.received,
    promised: o.promised,
  })),
});
