import { group } from 'd3';
import { inCrib } from '@/core/stock';
import { proposeOrder, type BookedUse, type CutterSupply, type OrderProposal } from '@/core/buying';
import { loadItems, type CribItem } from '@/crib/cutters';
import { loadLifeBook, type LifeBook } from '@/crib/life';
import { manyAssembliesById, manyStandingOfItems } from '@/data/assemblies';
import { manyClosedPurchases, manyOpenPurchases, maybePurchase, type PurchaseRow } from '@/data/buying';
import type { Connection } from '@/data/database';
import { manyOpenOperations, manyPrograms, manyTies } from '@/data/jobs';
import { manyBalances, manyPiecesHere, manySupplies, type PieceRow, type SupplyRow } from '@/data/stock';

export interface BuyingLine {
  item: Pick<CribItem, 'id' | 'code' | 'words'>;
  proposal: OrderProposal;
  supply: Pick<
    SupplyRow,
    'supplier' | 'order_code' | 'price_cents' | 'pack' | 'minimum' | 'lead_time_days'
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

/** What to buy, from booked jobs, lives, stock, life left and open orders; the most urgent first. */
export async function buyingView(c: Connection, today: string): Promise<BuyingView> {
  const orders = await manyOpenPurchases(c);
  const { lines, unknown } = await proposals(c, today, orders);
  return { lines, unknown, orders: [...orders, ...(await manyClosedPurchases(c, CLOSED_SHOWN))] };
}

/** One order by its number; null where there is none. */
export const orderView = (c: Connection, number: string): Promise<PurchaseRow | null> =>
  maybePurchase(c, number.toUpperCase());

/** What is proposed of one item now; null where nothing is booked on it. */
export async function proposalFor(c: Connection, today: string, itemId: number): Promise<BuyingLine | null> {
  return (await proposals(c, today, await manyOpenPurchases(c), itemId)).lines[0] ?? null;
}

interface Booked {
  itemId: number;
  use: Omit<BookedUse, 'life'>;
  materialId: number;
}

/** What open operations will cut, by the cutter tied to each T, and what of it can't be said. */
async function bookedUses(c: Connection): Promise<{ booked: Booked[]; unknown: BuyingView['unknown'] }> {
  const operations = await manyOpenOperations(c);
  const ids = operations.map((o) => o.id);
  const programs = new Map((await manyPrograms(c, ids)).map((p) => [p.operation_id, p]));
  const tied = await manyTies(c, ids);
  const ties = new Map(tied.map((t) => [`${t.operation_id} ${t.t}`, t]));
  const tiedIds = [...new Set(tied.flatMap((t) => t.assembly_id ?? []))];
  // A tool that was taken down still says which cutter is wanted there.
  const assemblies = new Map((await manyAssembliesById(c, tiedIds)).map((a) => [a.id, a]));
  const booked: Booked[] = [];
  const unknown: BuyingView['unknown'] = [];
  for (const o of operations) {
    const partsLeft = o.quantity - o.parts_made;
    for (const tool of programs.get(o.id)?.tools ?? []) {
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
      const itemId = assemblies.get(ties.get(`${o.id} ${tool.t}`)?.assembly_id ?? -1)?.cutter_item_id;
      if (itemId === undefined) {
        unknown.push({ job: o.job, operation: o.id, t: tool.t, partsLeft, why: 'no cutter was ever tied' });
        continue;
      }
      booked.push({
        itemId,
        materialId: o.material_id,
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

async function proposals(
  c: Connection,
  today: string,
  orders: readonly PurchaseRow[],
  only: number | null = null,
): Promise<Pick<BuyingView, 'lines' | 'unknown'>> {
  const { booked, unknown } = await bookedUses(c);
  // Only what is booked is bought for: the rest of the catalogue is not read.
  const wanted = [...new Set(booked.map((b) => b.itemId))].filter((id) => only === null || id === only);
  const items = await loadItems(c, wanted);
  const supplies = new Map((await manySupplies(c, wanted)).map((s) => [s.item_id, s]));
  const pieces = await manyPiecesHere(c, wanted);
  const book = await loadLifeBook(
    c,
    wanted,
    pieces.map((p) => p.edge_set_id),
  );
  const usesOf = group(booked, (b) => b.itemId);
  const supplyOf = await supplyFinder(c, wanted, pieces, book, orders);
  const lines = items.flatMap((item) => {
    const supply = supplies.get(item.id) ?? null;
    const uses = (usesOf.get(item.id) ?? []).map(({ use, materialId }): BookedUse => {
      const life = book.expectation(item.id, materialId);
      return {
        ...use,
        life: life && { minutes: life.minutes, basis: `${life.basis}, ${life.lives} lives` },
      };
    });
    const proposal = proposeOrder(
      uses,
      supplyOf(item.id),
      {
        leadTimeDays: supply?.lead_time_days ?? null,
        pack: supply?.pack ?? 1,
        minimum: supply?.minimum ?? 1,
      },
      today,
    );
    return proposal ? [{ item: { id: item.id, code: item.code, words: item.words }, proposal, supply }] : [];
  });
  const day = (p: OrderProposal) => (p.say === 'order' ? (p.orderBy ?? '') : '');
  lines.sort(
    (a, b) => SAYS[a.proposal.say] - SAYS[b.proposal.say] || day(a.proposal).localeCompare(day(b.proposal)),
  );
  return { lines, unknown };
}

/** Shelf, life left on edge sets that still cut, and open orders of an item. */
async function supplyFinder(
  c: Connection,
  itemIds: readonly number[],
  here: readonly PieceRow[],
  book: LifeBook,
  orders: readonly PurchaseRow[],
): Promise<(itemId: number) => CutterSupply> {
  const balances = group(await manyBalances(c, itemIds), (b) => b.item_id);
  const pieces = group(here, (p) => p.item_id);
  const tagOf = new Map((await manyStandingOfItems(c, itemIds)).map((a) => [a.piece_id, a.tag]));
  const ordered = group(orders, (o) => o.item_id);
  return (itemId) => ({
    shelf: (balances.get(itemId) ?? [])
      .filter((b) => inCrib(b.place_kind))
      .reduce((sum, b) => sum + b.quantity - b.pieces, 0),
    edgeSets: (pieces.get(itemId) ?? [])
      .filter((p) => p.ended_entry_id === null && (inCrib(p.place_kind) || p.place_kind === 'build'))
      .map((p) => {
        const share = book.used(p.edge_set_id);
        return {
          tag: tagOf.get(p.id) ?? `${p.mark} in ${p.place}`,
          livesLeft: share === null ? null : 1 - share,
        };
      }),
    openOrders: (ordered.get(itemId) ?? []).map((o) => ({
      number: o.number,
      quantity: o.quantity - o.received,
      promised: o.promised,
    })),
  });
}
