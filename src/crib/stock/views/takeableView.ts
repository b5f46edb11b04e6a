import { group } from 'd3';
import { type CutterDetails, type HolderDetails, type Part, PART_KINDS } from '@/core/assemblies';
import type { Grade } from '@/core/because';
import {
  type CutterGeometry,
  type HolderGeometry,
  itemQuery,
  type ItemKind,
  regroundGeometry,
} from '@/core/cutters';
import type { Question, TAKEABLE } from '@/core/questions';
import { DEFAULT_LADDER, isWorn, NOT_READ, type Rung } from '@/core/life';
import { countsAs, freeFor, inCrib, type Reservation, usedPiece } from '@/core/stock';
import { first } from '@/core/sure';
import {
  type CribItem,
  cutterDetails,
  factNumber,
  factText,
  holderDetails,
  isPart,
  loadItems,
  partOf,
} from '@/crib/catalogue';
import { type Turn, turnsOf } from '@/crib/lives';
import { fitFirst, fitOf, type Together, togetherSoFar } from './fitting';
import { type LinkRow, manyLinks, manyStandings, manyTakeableIds, maybeItem } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { manyLatestWear, maybeLadder, type WornRow } from '@/data/life';
import {
  type BalanceRow,
  manyBalances,
  manyPiecesHere,
  manyReservations,
  maybePiece,
  type PieceRow,
  presentSizes,
} from '@/data/stock';

/** One thing that can be taken for a build: unused stock at a place, or a marked cutter. */
export interface TakeSource {
  /** 'EM8|CAB1-A' is stock of an item at a place, 'E-0012' a marked piece. */
  value: string;
  item: string;
  /** What it is: '8 mm square end mill, carbide'. */
  words: string;
  /** What is taken: '3 unused at CAB1-A', 'E-0012 at USED, graded aluminium'. */
  take: string;
  /** Older stock that goes first, or that it is on trial; null where nothing speaks against taking it. */
  caution: string | null;
  cutter: CutterGeometry | null;
  holder: HolderGeometry | null;
  part: Part | null;
  /** Of a cutter or holder, beside its geometry. */
  details: { cutter: CutterDetails | null; holder: HolderDetails | null };
  /** Of a part: whether it goes onto what is put together so far; null: nothing was asked. */
  fits: { grade: Grade; words: string } | null;
  /** The form of the shank, or the forms the holder takes. */
  shank: string | null;
  /** Jobs for which the last of them are set aside, so that none is free for others; empty: some are. */
  keptFor: string[];
  /** A holder's spindle side. */
  taper: string | null;
  /** Of a body: its own speed limit; null: it is none. */
  body: { rpmMax: number | null } | null;
}
export interface TakeableView {
  sources: TakeSource[];
  /** More answer than are shown: more words are needed. */
  more: boolean;
  /** Why a piece that was scanned can't be taken; null: it can, or none was scanned. */
  against: string | null;
}
type TakeableAsked = Question<typeof TAKEABLE>;
const SHOWN = 24;

/** What can be taken for a build and answers to some words; older versions before what follows them. */
export async function takeableView(
  c: Connection,
  asked: TakeableAsked,
  today: string,
): Promise<TakeableView> {
  const what = asked.what ?? 'cutter';
  const { words, ranges } = itemQuery(asked.q ?? '', 'mm');
  // A mark is a cutter's: in the field of the holder it finds nothing.
  const typed = asked.q?.trim() ?? '';
  const scanned = what === 'cutter' && /^\S+$/.test(typed) ? await maybePiece(c, typed.toUpperCase()) : null;
  const found = scanned
    ? [scanned.itemId]
    : await manyTakeableIds(
        c,
        { words: words.slice(0, 10), ranges: ranges.slice(0, 10), kind: null },
        KINDS_OF[what],
        what === 'part' ? PARTS_JUDGED : SHOWN + 1,
      );
  const like = asked.like && !asked.q?.trim() ? await maybeItem(c, asked.like) : null;
  const listed = [...new Set([...(like ? [like.id] : []), ...found])];
  const together = what === 'part' ? await togetherSoFar(c, asked) : null;
  const ids = (together ? await fitFirst(c, listed, together) : listed).slice(0, SHOWN);
  if (!ids.length) return { sources: [], more: false, against: null };
  const known = await knownOf(c, ids, today, together, scanned, asked.material ?? null);
  // Whose turn it is in a trial stands first where nobody typed words for another.
  const turn = (id: number) => (typed ? [] : turnBefore(id, known));
  const order = ids.flatMap((id) => [...turn(id), ...olderThan(id, known), id]);
  const scannedItem = scanned && known.items.get(scanned.itemId);
  return {
    against: scannedItem ? againstTaking(scanned, scannedItem, known) : null,
    sources: [...new Set(order)].flatMap((id) => sourcesOf(known.items.get(id), known, scanned !== null)),
    more: found.length > SHOWN,
  };
}

/** What can be taken of some items, in their order: unused stock a place at a time, and marked cutters. */
export async function takeSources(
  c: Connection,
  itemIds: readonly number[],
  today: string,
): Promise<TakeSource[]> {
  if (!itemIds.length) return [];
  const known = await knownOf(c, itemIds, today, null, null, null);
  return itemIds.flatMap((id) => sourcesOf(known.items.get(id), known, false));
}

/** What is read of some items to say what can be taken of them. */
async function knownOf(
  c: Connection,
  ids: readonly number[],
  today: string,
  together: Together | null,
  scanned: PieceRow | null,
  material: string | null,
): Promise<Known> {
  const links = (await manyLinks(c, ids)).filter((l) => l.relation === 'version');
  // An older version that still lies here belongs beside the newer one, whatever words were typed.
  const older = links.filter((l) => ids.includes(l.itemId)).map((l) => l.earlierItemId);
  const turns = await turnsOf(c, ids, material);
  const all = [...new Set([...ids, ...older, ...[...turns.values()].map((t) => t.itemId)])];
  const items = new Map((await loadItems(c, all)).map((i) => [i.id, i]));
  const balances = group(await manyBalances(c, all), (b) => b.itemId);
  const pieces = (await manyPiecesHere(c, all)).filter((p) =>
    scanned ? p.id === scanned.id : inCrib(p.placeKind),
  );
  return {
    reserved: group(await manyReservations(c, all), (r) => r.itemId),
    turns,
    today,
    links,
    balances,
    pieces: group(pieces, (p) => p.itemId),
    sizes: await presentSizes(
      c,
      pieces.map((p) => p.id),
    ),
    standings: new Map((await manyStandings(c, all)).map((s) => [s.itemId, s.standing])),
    wear: new Map(
      (
        await manyLatestWear(
          c,
          pieces.map((p) => p.edgeSetId),
        )
      ).map((w) => [w.edgeSetId, w]),
    ),
    ladder: (await maybeLadder(c))?.rungs ?? DEFAULT_LADDER,
    items,
    together,
  };
}

interface Known {
  /** What is set aside for jobs, by item. */
  reserved: ReadonlyMap<number, Reservation[]>;
  /** Whose turn it is, of cutters that are or were in a trial. */
  turns: ReadonlyMap<number, Turn>;
  /** ISO. */
  today: string;
  links: readonly LinkRow[];
  balances: ReadonlyMap<number, BalanceRow[]>;
  pieces: ReadonlyMap<number, PieceRow[]>;
  sizes: Awaited<ReturnType<typeof presentSizes>>;
  standings: ReadonlyMap<number, string>;
  items: ReadonlyMap<number, CribItem>;
  /** Flank wear read last of each edge set, mm. */
  wear: ReadonlyMap<number, WornRow>;
  ladder: readonly Rung[];
  together: Together | null;
}

/** So many parts are judged for whether they fit; the crib has fewer kinds of them. */
const PARTS_JUDGED = 400;
const KINDS_OF: Record<'cutter' | 'holder' | 'part', readonly ItemKind[]> = {
  cutter: ['cutter', 'body'],
  holder: ['holder'],
  part: PART_KINDS,
};

/** Whether the last reading of a piece says that it is worn; null: none was taken. */
const wornOf = (p: PieceRow, item: CribItem, known: Known): boolean | null =>
  item.cutter ? isWorn(known.wear.get(p.edgeSetId) ?? NOT_READ, item.cutter.DC) : null;

const countsOf = (p: PieceRow, item: CribItem, known: Known) =>
  countsAs(usedPiece(p, known.ladder, wornOf(p, item, known), known.today), null);

/** Why a piece can't be taken; null: it can. */
function againstTaking(p: PieceRow, item: CribItem, known: Known): string | null {
  const counts = countsOf(p, item, known);
  return counts.as === 'nothing' ? `${p.mark} can’t be taken: ${counts.why}` : null;
}

/** Unused parcels of an item in the crib, a place at a time. */
const parcels = (id: number, known: Known): { place: string; quantity: number }[] => {
  const there = (known.balances.get(id) ?? []).filter((b) => inCrib(b.placeKind) && b.quantity > b.pieces);
  return [...group(there, (b) => b.place)].map(([place, of]) => ({
    place,
    quantity: of.reduce((n, b) => n + b.quantity - b.pieces, 0),
  }));
};
/** Earlier versions of an item that still lie here, the nearest last. */
const olderThan = (id: number, known: Known): number[] =>
  known.links
    .filter((l) => l.itemId === id && parcels(l.earlierItemId, known).length > 0)
    .map((l) => l.earlierItemId);

/** What a trial lets go in before an item, where it lies here; empty: the item itself, or no trial says so. */
function turnBefore(id: number, known: Known): number[] {
  const turn = known.turns.get(id);
  return turn && turn.itemId !== id && parcels(turn.itemId, known).length > 0 ? [turn.itemId] : [];
}
/** What a trial says of taking it now. */
function turnWords(id: number, known: Known): string[] {
  const turn = known.turns.get(id);
  if (!turn) return [];
  if (parcels(turn.itemId, known).length > 0) return [turn.words];
  return turn.open ? [`${turn.words}, and none lies here`] : [];
}

function sourcesOf(item: CribItem | undefined, known: Known, onlyPieces: boolean): TakeSource[] {
  if (!item) return [];
  const standing = known.standings.get(item.id) ?? null;
  const older = olderThan(item.id, known).map((id) => {
    const lie = parcels(id, known);
    return `old stock first: ${known.items.get(id)?.code ?? ''} has ${lie.reduce((n, p) => n + p.quantity, 0)} at ${first(lie).place}`;
  });
  const { free, words: kept, kept: keptFor } = freeFor(item.unused, known.reserved.get(item.id) ?? []);
  const caution =
    [
      ...turnWords(item.id, known),
      ...older,
      ...(kept ? [kept] : []),
      ...(standing && standing !== 'approved' ? [standing] : []),
    ].join('; ') || null;
  const fits = known.together && isPart(item) ? fitOf(item, known.together) : null;
  const base = {
    item: item.code,
    words: item.words,
    holder: item.holder,
    part: isPart(item) ? partOf(item) : null,
    details: {
      cutter: item.cutter && cutterDetails(item),
      holder: item.holder && holderDetails(item),
    },
    fits: fits && { grade: fits.grade, words: fits.words },
    shank: factText(item, item.holder ? 'SHANKS' : 'SHANK'),
    taper: item.holder ? item.taper : null,
    body: item.kind === 'body' ? { rpmMax: factNumber(item, 'RPM_MAX') } : null,
  };
  const unused = onlyPieces
    ? []
    : parcels(item.id, known).map((p) => ({
        ...base,
        value: `${item.code}|${p.place}`,
        keptFor: free > 0 ? [] : keptFor.map((k) => k.job),
        take: `${p.quantity} ${item.cutter ? 'unused ' : ''}at ${p.place}`,
        caution,
        cutter: item.cutter,
      }));
  const again = (known.pieces.get(item.id) ?? [])
    .map((p) => ({ p, counts: countsOf(p, item, known) }))
    .filter(({ counts }) => counts.as !== 'nothing')
    .map(({ p, counts }) => ({
      ...base,
      value: p.mark,
      keptFor: [],
      take: `${p.mark} at ${p.place}, ${counts.why}`,
      caution: standing && standing !== 'approved' ? standing : null,
      // What was reground is as it was measured on return.
      cutter: item.cutter && regroundGeometry(item.cutter, known.sizes.get(p.id) ?? null),
    }));
  return [...unused, ...again];
}
