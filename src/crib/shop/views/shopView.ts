import { group } from 'd3';
import type { Gear } from '@/core/cutting';
import type { Rung } from '@/core/life';
import { addDays } from '@/core/units';
import { ladderInForce } from '@/crib/secondlife';
import type { Connection } from '@/data/database';
import {
  type MachineRow,
  manyClosedDays,
  manyMachines,
  manyMaterials,
  manySpindleGears,
  manyPeople,
  manySuppliers,
  type MaterialRow,
  maybeShopWeek,
  oneBegun,
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
  /** What their spindles give, by machine's code, gear by gear; none where nobody stated it. */
  spindles: Record<string, Gear[]>;
  /** Where used cutters may still go, down to scrap. */
  ladder: readonly Rung[];
  /** Which of the first steps after the set-up were ever taken. */
  begun: Awaited<ReturnType<typeof oneBegun>>;
  /** Minutes it works on each weekday, Monday first; null: nobody has stated them. */
  week: number[] | null;
  /** When its day begins, minutes after midnight; null: nobody has stated it. */
  begins: number | null;
  /** Days it is closed besides, from a year back on. */
  closed: { day: string; reason: string | null; entryId: number }[];
}

/** What the shop consists of; the first run asks for what is empty here. */
export async function shopView(c: Connection, today: string): Promise<ShopView> {
  const week = await maybeShopWeek(c);
  const machines = await manyMachines(c);
  return {
    people: await manyPeople(c),
    places: await manyPlaces(c),
    materials: await manyMaterials(c),
    suppliers: await manySuppliers(c),
    machines,
    spindles: await spindlesOf(c, machines),
    ladder: await ladderInForce(c),
    begun: await oneBegun(c),
    week: week?.minutes ?? null,
    begins: week?.begins ?? null,
    closed: await manyClosedDays(c, addDays(today, -365)),
  };
}

async function spindlesOf(c: Connection, machines: readonly MachineRow[]): Promise<Record<string, Gear[]>> {
  const rows = group(await manySpindleGears(c), (g) => g.machineId);
  return Object.fromEntries(
    machines.flatMap((m) => {
      const gears = rows.get(m.id);
      return gears
        ? [[m.code, gears.map((g) => ({ name: g.gear, from: g.fromRpm, to: g.toRpm, kw: g.kw, nm: g.nm }))]]
        : [];
    }),
  );
}
