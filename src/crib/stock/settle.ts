import { group } from 'd3';
import { defineVerb, field, found, Problem, toNumber } from '@/crib/door';
import { loadItems } from '@/crib/cutters';
import type { Connection } from '@/data/database';
import {
  manySettlements,
  manySupplies,
  manyTakings,
  maybeSupplier,
  type SettlementRow,
  type TakingRow,
  insertSettlement,
} from '@/data/stock';

export interface TakenLine {
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

async function takenOf(c: Connection, rows: readonly TakingRow[]): Promise<Taken[]> {
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
      supplier: of[0]!.supplier,
      name: of[0]!.supplierName,
      lines,
      costCents: lines.some((l) => l.priceCents === null)
        ? null
        : lines.reduce((sum, l) => sum + l.quantity * l.priceCents!, 0),
      upTo: Math.max(...of.map((r) => r.upTo)),
    };
  });
}

export const settleTakings = defineVerb({
  name: 'settleTakings',
  path: 'stock/settlements',
  summary:
    'Settle with a supplier what was taken of their own stock, up to the movement that was seen: paid for, or replaced.',
  properties: {
    supplier: field.code,
    upTo: { ...field.whole(1, 2_000_000_000), description: 'The newest movement of what was seen' },
    reference: { ...field.words(80), description: 'Invoice or delivery note' },
  },
  required: ['supplier', 'upTo'],
  async run(c, input, moment) {
    const supplier = found(await maybeSupplier(c, input.supplier), 'supplier', input.supplier, 'supplier');
    const upTo = toNumber(input.upTo);
    const rows = (await manyTakings(c, upTo)).filter((r) => r.supplierId === supplier.id);
    // The movement that was seen must be one of theirs: a number out of the air would settle what nobody looked at.
    if (!rows.some((r) => r.upTo === upTo))
      throw new Problem('CONFLICT', `Nothing of ${supplier.code} is open up to there`, {
        field: 'upTo',
        value: upTo,
        wayOut: 'Somebody may have settled it meanwhile: look again.',
      });
    await moment.leansOn(supplier.entryId);
    await insertSettlement(c, moment.entryId, {
      supplierId: supplier.id,
      upToMovementId: upTo,
      reference: input.reference?.trim() ?? null,
    });
    const [taken] = await takenOf(c, rows);
    return {
      supplier: supplier.code,
      pieces: rows.reduce((n, r) => n + r.quantity, 0),
      costCents: taken!.costCents,
      reference: input.reference ?? null,
    };
  },
  says: (a) => `${a.pieces} taken of ${a.supplier}’s stock settled`,
});
