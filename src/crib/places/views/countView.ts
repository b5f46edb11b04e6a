import { explainDifference } from '@/core/stock';
import { held } from '@/core/sure';
import { localDay } from '@/core/units';
import { type CribItem, loadItems } from '@/crib/catalogue';
import { manySupplies, placesBelow } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { manyCountLines, manyLoans, manyMovements, maybeSheet, type SheetRow } from '@/data/stock';
import { linesAt } from './placeView';
import type { Counted } from './placesView';

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

async function explained(
  c: Connection,
  line: Counted,
  all: readonly Counted[],
  items: ReadonlyMap<number, CribItem>,
  zone: string,
): Promise<string[]> {
  const item = held(items, line.itemId);
  const alike = (other: CribItem | undefined) =>
    other !== undefined &&
    other.kind === item.kind &&
    other.family === item.family &&
    (item.cutter === null ||
      other.cutter === null ||
      Math.abs(other.cutter.DC - item.cutter.DC) <= 0.3 * item.cutter.DC);
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
