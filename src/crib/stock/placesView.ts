import { localDay } from '@/core/units';
import { group } from 'd3';
import { explainDifference, inCrib, loansOut } from '@/core/stock';
import { loadItems, type CribItem } from '@/crib/cutters';
import type { Connection } from '@/data/database';
import {
  manyBalancesAt,
  manyCountLines,
  manyLoans,
  manyMarksOf,
  manyMovements,
  manyPlaces,
  manyPlaceTotals,
  manyRegrindsOut,
  manySheets,
  manySupplies,
  maybePlace,
  maybeSheet,
  placesBelow,
  type BalanceRow,
  type LoanRow,
  type PlaceRow,
  type RegrindOutRow,
  type SheetRow,
} from '@/data/stock';

export interface PlaceLine extends BalanceRow {
  item: string;
  words: string;
  /** Marks of the pieces that lie there, the first six. */
  marks: string[];
}
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
    inCrib(p.kind) ? 0 : p.kind === 'machine' ? 1 : p.kind === 'regrind' ? 2 : p.kind === 'hand' ? 3 : 4;
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
      .flatMap((list) => loansOut(list, list[0]!.has, today))
      .sort((a, b) => b.daysLate - a.daysLate || a.happenedAt.getTime() - b.happenedAt.getTime()),
    regrinds: await manyRegrindsOut(c),
    sheets: await manySheets(c, 30),
  };
}

export interface PlaceView {
  place: PlaceRow | null;
  lines: PlaceLine[];
  /** More lies there than is shown: the table of all stock has it, a page at a time. */
  more: boolean;
}
const LINES_SHOWN = 100;
const MARKS_SHOWN = 6;

/** What lies at a place and in what is inside it. */
export async function placeView(c: Connection, code: string | null): Promise<PlaceView> {
  const place = code === null ? null : await maybePlace(c, code.toUpperCase());
  if (!place) return { place: null, lines: [], more: false };
  const lines = await linesAt(c, await placesBelow(c, place.id), LINES_SHOWN + 1);
  return { place, lines: lines.slice(0, LINES_SHOWN), more: lines.length > LINES_SHOWN };
}

/** What lies at some places, in the order of places and items; null: all of it. */
async function linesAt(
  c: Connection,
  placeIds: readonly number[],
  limit: number | null = null,
): Promise<PlaceLine[]> {
  const balances = await manyBalancesAt(c, placeIds, limit);
  const ids = [...new Set(balances.map((b) => b.itemId))];
  const items = new Map((await loadItems(c, ids)).map((i) => [i.id, i]));
  const marked = balances.filter((b) => b.pieces > 0);
  const marks = group(
    marked.length ? await manyMarksOf(c, marked, MARKS_SHOWN) : [],
    (p) => `${p.itemId} ${p.placeId} ${p.lotId}`,
  );
  return balances.map((b) => ({
    ...b,
    item: items.get(b.itemId)?.code ?? '',
    words: items.get(b.itemId)?.words ?? '',
    marks: (marks.get(`${b.itemId} ${b.placeId} ${b.lotId}`) ?? []).map((p) => p.mark),
  }));
}

export interface CountedLine {
  place: string;
  item: string;
  words: string;
  lot: string | null;
  owner: string | null;
  edgesLeft: number | null;
  /** What the books say: now, or when it was counted. */
  expected: number;
  marks: string[];
  counted: number | null;
  by: string | null;
  explanations: string[];
}
export interface CountView {
  sheet: SheetRow | null;
  lines: CountedLine[];
}

/** A count sheet: what the books say, what was counted, and for each difference what may explain it. */
export async function countView(c: Connection, number: string | null, zone: string): Promise<CountView> {
  const sheet = number === null ? null : await maybeSheet(c, number.toUpperCase());
  if (!sheet) return { sheet: null, lines: [] };
  const counted = await manyCountLines(c, sheet.id);
  const open = sheet.bookedEntryId === null;
  const there = open ? await linesAt(c, await placesBelow(c, sheet.placeId)) : [];
  const ids = [...new Set([...counted.map((l) => l.itemId), ...there.map((l) => l.itemId)])];
  const items = new Map((ids.length ? await loadItems(c, ids) : []).map((i) => [i.id, i]));
  const same = (a: { placeId: number; itemId: number; lotId: number | null }) => (b: typeof a) =>
    a.placeId === b.placeId && a.itemId === b.itemId && a.lotId === b.lotId;
  const lines = await Promise.all(
    counted.map(async (l): Promise<CountedLine> => {
      const book = there.find(same(l));
      return {
        place: l.place,
        item: l.item,
        words: items.get(l.itemId)?.words ?? '',
        lot: l.lot,
        owner: book?.owner ?? null,
        edgesLeft: book?.edgesLeft ?? null,
        expected: l.expected,
        marks: book?.marks ?? [],
        counted: l.counted,
        by: l.who,
        explanations: l.counted === l.expected ? [] : await explained(c, l, counted, items, zone),
      };
    }),
  );
  const uncounted = there
    .filter((t) => !counted.some(same(t)))
    .map((t): CountedLine => ({
      place: t.place,
      item: t.item,
      words: t.words,
      lot: t.lot,
      owner: t.owner,
      edgesLeft: t.edgesLeft,
      expected: t.quantity,
      marks: t.marks,
      counted: null,
      by: null,
      explanations: [],
    }));
  const key = (l: CountedLine) => `${l.place} ${l.item} ${l.lot ?? ''}`;
  return {
    sheet,
    lines: [...lines, ...uncounted].sort((a, b) => key(a).localeCompare(key(b), 'en', { numeric: true })),
  };
}

type Counted = Awaited<ReturnType<typeof manyCountLines>>[number];

async function explained(
  c: Connection,
  line: Counted,
  all: readonly Counted[],
  items: ReadonlyMap<number, CribItem>,
  zone: string,
): Promise<string[]> {
  const item = items.get(line.itemId)!;
  const alike = (other: CribItem | undefined) =>
    other !== undefined &&
    other.kind === item.kind &&
    other.family === item.family &&
    (item.cutter === null || Math.abs(other.cutter!.DC - item.cutter.DC) <= 0.3 * item.cutter.DC);
  const recent = await manyMovements(c, { itemId: line.itemId, standing: true, limit: 20 });
  const loans = (await manyLoans(c)).filter((l) => l.item === line.item && l.has > 0);
  return explainDifference({
    counted: line.counted,
    expected: line.expected,
    elsewhere: all
      .filter((o) => o.itemId === line.itemId && o.lotId === line.lotId && o.placeId !== line.placeId)
      .map((o) => ({ place: o.place, difference: o.counted - o.expected })),
    alike: all
      .filter((o) => o.itemId !== line.itemId && o.placeId === line.placeId && alike(items.get(o.itemId)))
      .map((o) => ({ item: o.item, difference: o.counted - o.expected })),
    hands: [...new Map(loans.map((l) => [l.person, { person: l.person, quantity: l.has }])).values()],
    recent: recent
      .filter((m) => m.fromPlace === line.place || m.toPlace === line.place)
      .slice(0, 8)
      .map((m) => ({
        words: `${m.quantity} ${m.fromPlace === line.place ? `to ${m.toPlace ?? 'outside'}` : `from ${m.fromPlace ?? 'outside'}`} by ${m.who} on ${localDay(m.happenedAt, zone)}`,
        quantity: m.quantity,
        out: m.fromPlace === line.place,
      })),
    pack: (await manySupplies(c, [line.itemId]))[0]?.pack ?? null,
  });
}
