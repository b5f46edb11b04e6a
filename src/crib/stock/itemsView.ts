import { inCrib } from '@/core/stock';
import { loadItems, type CribItem } from '@/crib/cutters';
import type { Connection } from '@/data/database';
import {
  manyBalances,
  manyPieces,
  manySupplies,
  manyAssumedLives,
  manyMaterials,
  type BalanceRow,
  type PieceRow,
  type SupplyRow,
} from '@/data/stock';

/** One catalogue line with what the shelf has of it. */
export interface ItemLine extends CribItem {
  /** Unused, in the crib. */
  unused: number;
  inBuilds: number;
  places: BalanceRow[];
  /** Marked cutters in the crib, still good or graded or to grade. */
  pieces: PieceRow[];
  supply: SupplyRow | null;
  assumed: { minutes: number; origin: string; material: string | null }[];
}
export interface ItemsView {
  items: ItemLine[];
}

/** The catalogue with stock, cutters first. */
export async function itemsView(c: Connection): Promise<ItemsView> {
  const items = await loadItems(c);
  const balances = await manyBalances(c);
  const pieces = await manyPieces(c);
  const supplies = await manySupplies(c);
  const assumed = await manyAssumedLives(c);
  const materials = new Map((await manyMaterials(c)).map((m) => [m.id, m.code]));
  return {
    items: items.map((item) => {
      const places = balances.filter(
        (b) => b.item_id === item.id && b.place_kind !== 'scrap' && b.place_kind !== 'lost',
      );
      return {
        ...item,
        places,
        unused: places.filter((b) => inCrib(b.place_kind)).reduce((sum, b) => sum + b.quantity - b.pieces, 0),
        inBuilds: places.find((b) => b.place_kind === 'build')?.quantity ?? 0,
        pieces: pieces.filter((p) => p.item_id === item.id && inCrib(p.place_kind)),
        supply: supplies.find((s) => s.item_id === item.id) ?? null,
        assumed: assumed
          .filter((a) => a.item_id === item.id)
          .map((a) => ({
            minutes: a.minutes,
            origin: a.origin,
            material: a.material_id === null ? null : (materials.get(a.material_id) ?? null),
          })),
      };
    }),
  };
}
