import { group } from 'd3';
import { loansOut, takesIn } from '@/core/stock';
import { first } from '@/core/sure';
import type { Connection } from '@/data/database';
import {
  type LoanRow,
  manyCountLines,
  manyLoans,
  manyPlaces,
  manyPlaceTotals,
  manyRegrindsOut,
  manySheets,
  type PlaceRow,
  type RegrindOutRow,
  type SheetRow,
} from '@/data/stock';

export interface PlacesView {
  /** The tree, in the order of the codes; depth 0 stands at the top. */
  places: (PlaceRow & { depth: number; items: number; pieces: number })[];
  loans: (LoanRow & { out: number; daysLate: number })[];
  regrinds: RegrindOutRow[];
  sheets: SheetRow[];
}

/** Places as a tree with how much lies in each, who has what, what is being reground, count sheets. */
export async function placesView(c: Connection, today: string): Promise<PlacesView> {
  const places = (await manyPlaces(c)).filter((p) => p.kind !== 'build');
  const totals = new Map((await manyPlaceTotals(c)).map((t) => [t.placeId, t]));
  const below = group(places, (p) => p.parentId);
  const tree = (parent: number | null, depth: number): PlacesView['places'] =>
    (below.get(parent) ?? []).flatMap((p) => [
      { ...p, depth, items: totals.get(p.id)?.items ?? 0, pieces: totals.get(p.id)?.pieces ?? 0 },
      ...tree(p.id, depth + 1),
    ]);
  // Where things lie comes before where they have gone.
  const order = (p: PlaceRow) =>
    takesIn(p.kind)
      ? p.kind === 'quarantine'
        ? 0.5
        : 0
      : p.kind === 'machine'
        ? 1
        : p.kind === 'regrind'
          ? 2
          : p.kind === 'hand'
            ? 3
            : 4;
  const roots = [...(below.get(null) ?? [])].sort(
    (a, b) => order(a) - order(b) || a.code.localeCompare(b.code),
  );
  below.set(null, roots);
  return {
    places: tree(null, 0).filter((p) => p.kind !== 'hand' || p.pieces > 0),
    ...(await awaitedBack(c, today)),
  };
}

/** What is to come back or to be finished: what people have, what is being reground, the latest count sheets. */
export async function awaitedBack(
  c: Connection,
  today: string,
): Promise<Pick<PlacesView, 'loans' | 'regrinds' | 'sheets'>> {
  const loans = group(await manyLoans(c), (l) => `${l.person} ${l.item} ${l.piece}`);
  return {
    loans: [...loans.values()]
      .flatMap((list) => loansOut(list, first(list).has, today))
      .sort((a, b) => b.daysLate - a.daysLate || a.happenedAt.getTime() - b.happenedAt.getTime()),
    regrinds: await manyRegrindsOut(c),
    sheets: await manySheets(c, 30),
  };
}

export type Counted = Awaited<ReturnType<typeof manyCountLines>>[number];
