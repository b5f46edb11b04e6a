import { group } from 'd3';
import { shankIn } from '@/core/cutters';
import { ageOfStock, freeFor, inCrib, takesIn } from '@/core/stock';
import { first, sure } from '@/core/sure';
import {
  type FactRow,
  type LinkRow,
  manyAssumedLives,
  manyFacts,
  manyHoldersOf,
  manyLinks,
  manyNearestHolders,
  manyPictures,
  manyStandings,
  manySupplies,
  maybeItem,
  type PictureLine,
  type StandingRow,
  type SupplyRow,
} from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { manyMaterials } from '@/data/shop';
import {
  type BalanceRow,
  manyBalances,
  manyPiecesHere,
  manyReceipts,
  manyReservations,
  type PieceRow,
} from '@/data/stock';
import { type CribItem, loadItems } from '../loadItems';
import { type BodiesOf, bodiesOf } from './bodiesOf';

/** One catalogue line with what the shelf has of it. */
export interface ItemLine extends Omit<CribItem, 'facts'> {
  /** Facts in force, each with who said it and when. */
  facts: FactRow[];
  /** Unused, in the crib, whoever owns it. */
  unused: number;
  /** Of those, a supplier's own until they are used. */
  suppliers: number;
  /** Of the unused, set aside for jobs. */
  reserved: { job: string; quantity: number; entryId: number }[];
  inBuilds: number;
  places: BalanceRow[];
  /** Marked cutters in the crib or in quarantine, still good or graded or to grade. */
  pieces: PieceRow[];
  /** Marked cutters that are with people or at machines. */
  lent: PieceRow[];
  supply: SupplyRow | null;
  assumed: { minutes: number; origin: string; material: string | null }[];
  links: LinkRow[];
  standing: StandingRow | null;
}

/** Items with all that is known of their stock. */
async function linesOf(c: Connection, ids: readonly number[]): Promise<ItemLine[]> {
  const items = await loadItems(c, ids);
  const facts = group(await manyFacts(c, ids), (f) => f.itemId);
  const balances = group(await manyBalances(c, ids), (b) => b.itemId);
  const pieces = group(await manyPiecesHere(c, ids), (p) => p.itemId);
  const supplies = new Map((await manySupplies(c, ids)).map((s) => [s.itemId, s]));
  const assumed = group(await manyAssumedLives(c, ids), (a) => a.itemId);
  const standings = new Map((await manyStandings(c, ids)).map((s) => [s.itemId, s]));
  const reserved = group(await manyReservations(c, ids), (r) => r.itemId);
  const links = await manyLinks(c, ids);
  const materials = new Map((await manyMaterials(c)).map((m) => [m.id, m.code]));
  return items.map((item) => {
    const places = (balances.get(item.id) ?? []).filter(
      (b) => b.placeKind !== 'scrap' && b.placeKind !== 'lost',
    );
    const loose = (list: BalanceRow[]) =>
      list.filter((b) => inCrib(b.placeKind)).reduce((sum, b) => sum + b.quantity - b.pieces, 0);
    return {
      ...item,
      facts: facts.get(item.id) ?? [],
      places,
      suppliers: loose(places.filter((b) => b.owner !== null)),
      reserved: freeFor(item.unused, reserved.get(item.id) ?? []).kept.map((k) => ({
        ...k,
        entryId: sure(
          reserved.get(item.id)?.find((r) => r.job === k.job),
          `the reservation of ${k.job}`,
        ).entryId,
      })),
      inBuilds: places.filter((b) => b.placeKind === 'build').reduce((sum, b) => sum + b.quantity, 0),
      pieces: (pieces.get(item.id) ?? []).filter((p) => takesIn(p.placeKind)),
      lent: (pieces.get(item.id) ?? []).filter((p) => p.placeKind === 'hand' || p.placeKind === 'machine'),
      supply: supplies.get(item.id) ?? null,
      assumed: (assumed.get(item.id) ?? []).map((a) => ({
        minutes: a.minutes,
        origin: a.origin,
        material: a.materialId === null ? null : (materials.get(a.materialId) ?? null),
      })),
      links: links.filter((l) => l.itemId === item.id || l.earlierItemId === item.id),
      standing: standings.get(item.id) ?? null,
    };
  });
}

export interface OneItemView extends BodiesOf {
  item: ItemLine | null;
  /** A shank that nothing here takes: what the holders and collets here do take. */
  noHolderTakes: string | null;
  pictures: PictureLine[];
  /** Of collets and holders, which wear without a count of minutes: since when what is left may be here. */
  age: { oldest: Date; atBest: Date } | null;
}
/** One item with everything about it; null where there is none of that code. */
export async function itemView(c: Connection, code: string | null): Promise<OneItemView> {
  const row = code === null ? null : await maybeItem(c, code);
  if (!row)
    return {
      item: null,
      noHolderTakes: null,
      bodies: [],
      bodyLife: null,
      spares: [],
      pictures: [],
      age: null,
    };
  const item = first(await linesOf(c, [row.id]));
  return {
    item,
    noHolderTakes: await noHolderTakes(c, item),
    ...(row.kind === 'body'
      ? await bodiesOf(c, row.id, row.code)
      : { bodies: [], bodyLife: null, spares: [] }),
    pictures: await manyPictures(c, row.id),
    age:
      row.kind === 'collet' || row.kind === 'holder'
        ? ageOfStock(
            await manyReceipts(c, row.id),
            item.places.reduce((n, p) => n + p.quantity, 0),
          )
        : null,
  };
}

const HOLDERS_AT_ONCE = 100;
async function noHolderTakes(c: Connection, item: ItemLine): Promise<string | null> {
  const shank = item.cutter?.DMM ?? null;
  if (shank === null) return null;
  const form = item.facts.find((f) => f.symbol === 'SHANK')?.text ?? null;
  const mm = (n: number) => `${Math.round(n * 1000) / 1000}`;
  // Most shanks are taken by one of the first; only one that nothing takes is looked for among all.
  let barred: { code: string; shanks: string | null } | null = null;
  for (let after: number | null = 0; after !== null;) {
    const { fit, next }: Awaited<ReturnType<typeof manyHoldersOf>> = await manyHoldersOf(
      c,
      shank,
      after,
      HOLDERS_AT_ONCE,
    );
    if (fit.some((r) => shankIn(form, r.shanks) !== 'stop')) return null;
    barred ??= fit[0] ?? null;
    after = next;
  }
  if (barred)
    return `No holder or collet here holds a ${form} shank of ${mm(shank)} mm: ${barred.code} takes ${barred.shanks}`;
  const [near] = (await manyNearestHolders(c, shank))
    .map((r) => ({ ...r, off: Math.max(r.min - shank, shank - r.max) }))
    .sort((a, b) => a.off - b.off);
  if (!near) return null;
  return `No holder or collet here takes a shank of ${mm(shank)} mm; the nearest, ${near.code}, takes ${mm(near.min)} to ${mm(near.max)} mm`;
}
