import { group } from 'd3';
import { inCrib } from '@/core/stock';
import { proposeOrder, type BookedUse, type CutterSupply, type OrderProposal } from '@/core/buying';
import { loadItems, type CribItem } from '@/crib/cutters';
import { loadLifeBook } from '@/crib/life';
import { manyAssemblies, manyStandingAssemblies } from '@/data/assemblies';
import { manyPurchases, type PurchaseRow } from '@/data/buying';
import type { Connection } from '@/data/database';
import { manyOperations, manyPrograms, manyTies } from '@/data/jobs';
import { manyBalances, manyPieces, manySupplies, type SupplyRow } from '@/data/stock';

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
  orders: PurchaseRow[];
}

const SAYS = { order: 0, 'cannot say': 1, enough: 2 } as const;

/** What to buy, from booked jobs, lives, stock, life left and open orders; the most urgent first. */
export async function buyingView(c: Connection, today: string): Promise<BuyingView> {
  const assemblies = new Map((await manyAssemblies(c)).map((a) => [a.id, a]));
  const programs = new Map((await manyPrograms(c)).map((p) => [p.operation_id, p]));
  const ties = new Map((await manyTies(c)).map((t) => [`${t.operation_id} ${t.t}`, t]));
  // Only what is booked is bought for: the rest of the catalogue is not read.
  const tied = [...new Set([...assemblies.values()].map((a) => a.cutter_item_id))];
  const book = await loadLifeBook(c, tied);
  const booked = new Map<number, BookedUse[]>();
  const unknown: BuyingView['unknown'] = [];
  for (const o of await manyOperations(c)) {
    const partsLeft = o.quantity - o.parts_made;
    if (partsLeft <= 0) continue;
    for (const tool of programs.get(o.id)?.report.tools ?? []) {
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
      const life = book.expectation(itemId, o.material_id);
      const uses = booked.get(itemId) ?? [];
      booked.set(itemId, uses);
      uses.push({
        job: `${o.job} T${tool.t}`,
        due: o.due,
        material: o.material,
        partsLeft,
        minutesPerPart: tool.cutting_s / 60,
        atLeast: tool.lower_bound,
        life: life && { minutes: life.minutes, basis: `${life.basis}, ${life.lives} lives` },
      });
    }
  }
  const orders = await manyPurchases(c);
  const wanted = [...booked.keys()];
  const items = wanted.length ? await loadItems(c, wanted) : [];
  const supplies = new Map((await manySupplies(c, wanted)).map((s) => [s.item_id, s]));
  const supplyOf = await supplyFinder(c, wanted, book.used, orders);
  const lines = items.flatMap((item) => {
    const supply = supplies.get(item.id) ?? null;
    const proposal = proposeOrder(
      booked.get(item.id) ?? [],
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
  return { lines, unknown, orders };
}

/** Shelf, life left on edge sets that still cut, and open orders of an item. */
async function supplyFinder(
  c: Connection,
  itemIds: readonly number[],
  used: (edgeSetId: number) => number | null,
  orders: readonly PurchaseRow[],
): Promise<(itemId: number) => CutterSupply> {
  const balances = group(await manyBalances(c, itemIds), (b) => b.item_id);
  const pieces = group(await manyPieces(c, itemIds), (p) => p.item_id);
  const tagOf = new Map((await manyStandingAssemblies(c)).map((a) => [a.piece_id, a.tag]));
  return (itemId) => ({
    shelf: (balances.get(itemId) ?? [])
      .filter((b) => inCrib(b.place_kind))
      .reduce((sum, b) => sum + b.quantity - b.pieces, 0),
    edgeSets: (pieces.get(itemId) ?? [])
      .filter((p) => p.ended_entry_id === null && (inCrib(p.place_kind) || p.place_kind === 'build'))
      .map((p) => {
        const share = used(p.edge_set_id);
        return {
          tag: tagOf.get(p.id) ?? `${p.mark} in ${p.place}`,
          livesLeft: share === null ? null : 1 - share,
        };
      }),
    openOrders: orders
      .filter((o) => o.item_id === itemId && o.received < o.quantity)
      .map((o) => ({ number: o.number, quantity: o.quantity - o.received, promised: o.promised })),
  });
}
