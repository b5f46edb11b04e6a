import { group } from 'd3';
import { first, sure } from '@/core/sure';
import { loadItems } from '@/crib/catalogue';
import { manySupplies } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { manySettlements, manyTakings, type SettlementRow, type TakingRow } from '@/data/stock';

interface TakenLine {
  item: string;
  words: string;
  lot: string | null;
  quantity: number;
  since: Date;
  /** Price of one by the supplier's own offer; null where none is known. */
  priceCents: number | null;
}
export interface Taken {
  supplier: string;
  name: string;
  lines: TakenLine[];
  /** What it comes to; null while a price is not known. */
  costCents: number | null;
  /** The newest movement in it: what is settled is what was seen. */
  upTo: number;
}
export interface ConsignedView {
  taken: Taken[];
  settled: SettlementRow[];
}

/** What was taken of suppliers' own stock since it was last settled, a supplier at a time. */
export async function consignedView(c: Connection): Promise<ConsignedView> {
  return { taken: await takenOf(c, await manyTakings(c)), settled: await manySettlements(c) };
}

export async function takenOf(c: Connection, rows: readonly TakingRow[]): Promise<Taken[]> {
  const ids = [...new Set(rows.map((r) => r.itemId))];
  const items = new Map((ids.length ? await loadItems(c, ids) : []).map((i) => [i.id, i]));
  const supplies = new Map((ids.length ? await manySupplies(c, ids) : []).map((s) => [s.itemId, s]));
  return [...group(rows, (r) => r.supplier).values()].map((of) => {
    const lines = of.map((r): TakenLine => {
      const supply = supplies.get(r.itemId);
      return {
        item: r.item,
        words: items.get(r.itemId)?.words ?? '',
        lot: r.lot,
        quantity: r.quantity,
        since: r.since,
        // Another supplier's price says nothing about theirs.
        priceCents: supply?.supplier === r.supplier ? supply.priceCents : null,
      };
    });
    return {
      supplier: first(of).supplier,
      name: first(of).supplierName,
      lines,
      costCents: lines.some((l) => l.priceCents === null)
        ? null
        : lines.reduce((sum, l) => sum + l.quantity * sure(l.priceCents, 'the price of a line'), 0),
      upTo: Math.max(...of.map((r) => r.upTo)),
    };
  });
}
