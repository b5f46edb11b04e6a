import { group } from 'd3';
import { cutterKg } from '@/core/assemblies';
import type { Substrate } from '@/core/cutters';
import { LIMITS } from '@/core/limits';
import { cutterDetails, type CribItem, factNumber, loadItems } from '@/crib/catalogue';
import type { Connection } from '@/data/database';
import { countScrapUnknown, manyScrap, manyScrapSales, type ScrapRow, type ScrapSaleRow } from '@/data/stock';

interface ScrapItem {
  code: string;
  words: string;
  quantity: number;
  /** Of all of them; null: not known. */
  kg: number | null;
  /** Why it weighs that: stated, by its outline, or not known. */
  by: string;
}
/** All scrap of one substrate that was not sold. */
export interface ScrapHeap {
  substrate: Substrate;
  pieces: number;
  /** At most, of those whose weight is known: flutes and bores are taken as full. */
  kg: number;
  /** Pieces whose weight is not known. */
  notWeighed: number;
  /** What it fetches at the last price; null: none of it was ever sold. */
  cents: number | null;
  /** The heaviest first, so many as are shown. */
  items: ScrapItem[];
}
export interface ScrapView {
  heaps: ScrapHeap[];
  /** Pieces of which no substrate is on record. */
  unknown: number;
  /** More kinds lie there than are weighed. */
  more: boolean;
  sales: ScrapSaleRow[];
}

const SHOWN = 12;
const SALES_SHOWN = 12;

/** Scrap by what it is sold as: how much of it lies there, what it weighs at most, what it fetched last. */
export async function scrapView(c: Connection): Promise<ScrapView> {
  const rows = await manyScrap(c, LIMITS.scrapKinds.most + 1);
  const kept = rows.slice(0, LIMITS.scrapKinds.most);
  const sales = await manyScrapSales(c, SALES_SHOWN);
  const loaded = await loadItems(
    c,
    kept.map((r) => r.itemId),
  );
  const items = new Map(loaded.map((i) => [i.id, i]));
  const heaps = [...group(kept, (r) => r.substrate)].map(([substrate, of]) =>
    heapOf(substrate, of, items, sales.find((s) => s.substrate === substrate)?.perKgCents ?? null),
  );
  return {
    heaps: heaps.sort((a, b) => b.kg - a.kg || a.substrate.localeCompare(b.substrate)),
    unknown: (await countScrapUnknown(c))?.n ?? 0,
    more: rows.length > kept.length,
    sales,
  };
}

function heapOf(
  substrate: Substrate,
  rows: readonly ScrapRow[],
  items: ReadonlyMap<number, CribItem>,
  perKgCents: number | null,
): ScrapHeap {
  const list = rows.flatMap(({ itemId, quantity }): ScrapItem[] => {
    const item = items.get(itemId);
    if (!item) return [];
    const { kg, by } = weightOfOne(item);
    return [{ code: item.code, words: item.words, quantity, kg: kg === null ? null : kg * quantity, by }];
  });
  const kg = list.reduce((sum, x) => sum + (x.kg ?? 0), 0);
  return {
    substrate,
    pieces: list.reduce((sum, x) => sum + x.quantity, 0),
    kg,
    notWeighed: list.reduce((sum, x) => sum + (x.kg === null ? x.quantity : 0), 0),
    cents: perKgCents === null ? null : Math.round(kg * perKgCents),
    items: list.sort((a, b) => (b.kg ?? 0) - (a.kg ?? 0) || a.code.localeCompare(b.code)).slice(0, SHOWN),
  };
}

/** Of a solid cutter by its outline; of an insert or a body by what is stated of it alone. */
function weightOfOne(item: CribItem): { kg: number | null; by: string } {
  if (item.cutter && item.kind === 'cutter') return cutterKg(item.cutter, cutterDetails(item));
  const kg = factNumber(item, 'WT');
  return { kg, by: kg === null ? 'its weight is not stated' : 'stated' };
}
