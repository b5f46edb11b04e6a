import type { Rung } from '@/core/life';
import { ladderInForce } from '@/crib/secondlife';
import type { Connection } from '@/data/database';
import {
  type MachineRow,
  manyMachines,
  manyMaterials,
  manyPeople,
  manySuppliers,
  type MaterialRow,
  type PersonRow,
  type SupplierRow,
} from '@/data/shop';
import { manyPlaces, type PlaceRow } from '@/data/stock';

export interface ShopView {
  people: PersonRow[];
  places: PlaceRow[];
  materials: MaterialRow[];
  suppliers: SupplierRow[];
  machines: MachineRow[];
  /** Where used cutters may still go, down to scrap. */
  ladder: readonly Rung[];
}

/** What the shop consists of; the first run asks for what is empty here. */
export async function shopView(c: Connection): Promise<ShopView> {
  return {
    people: await manyPeople(c),
    places: await manyPlaces(c),
    materials: await manyMaterials(c),
    suppliers: await manySuppliers(c),
    machines: await manyMachines(c),
    ladder: await ladderInForce(c),
  };
}
