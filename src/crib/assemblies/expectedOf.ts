import { regroundGeometry } from '@/core/cutters';
import { held } from '@/core/sure';
import { cutterOf, loadItems } from '@/crib/catalogue';
import { type AssemblyRow, manyParts } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import { presentSizes } from '@/data/stock';
import { partsWith, putTogether } from './putTogether';

/** What is to be expected of an assembly that is measured: its gauge length by all that is in it, and its DC, mm. */
export async function expectedOf(
  c: Connection,
  assembly: AssemblyRow,
): Promise<{ expectedMm: number; DC: number; substrate: string | null }> {
  const rows = await manyParts(c, [assembly.id]);
  const ids = [assembly.cutterItemId, assembly.holderItemId, ...rows.map((r) => r.itemId)];
  const items = new Map((await loadItems(c, [...new Set(ids)])).map((i) => [i.id, i]));
  const cutterItem = held(items, assembly.cutterItemId);
  const sizes = await presentSizes(c, [assembly.pieceId]);
  const present = regroundGeometry(cutterOf(cutterItem), sizes.get(assembly.pieceId) ?? null);
  const holder = held(items, assembly.holderItemId);
  const { expectedMm } = putTogether(
    cutterItem,
    present,
    holder,
    partsWith(rows, items),
    assembly.stickoutMm,
  );
  return { expectedMm, DC: present.DC, substrate: cutterItem.substrate };
}
