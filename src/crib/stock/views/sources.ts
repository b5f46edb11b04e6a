import type { CutterDetails, HolderDetails, Part } from '@/core/assemblies';
import type { Grade } from '@/core/because';
import { type CutterGeometry, type HolderGeometry, regroundGeometry } from '@/core/cutters';
import { askedOfTheRest, isWorn, NOT_READ, type Rung } from '@/core/life';
import { countsAs, freeFor, inCrib, type Reservation, usedPiece } from '@/core/stock';
import { first } from '@/core/sure';
import {
  type CribItem,
  cutterDetails,
  factNumber,
  factText,
  holderDetails,
  isPart,
  partOf,
} from '@/crib/catalogue';
import type { Turn } from '@/crib/lives';
import type { LinkRow } from '@/data/catalogue';
import type { WornRow } from '@/data/life';
import type { BalanceRow, PieceRow, presentSizes } from '@/data/stock';
import { group } from 'd3';
import type { MarkedHolder } from '../markedHolders';
import { fitOf, type Together } from './fitting';

/** One thing that can be taken for a build: unused stock at a place, or a marked cutter. */
export interface TakeSource {
  /** 'EM8|CAB1-A' is stock of an item at a place, 'SL8|CAB1-A H-0003' a holder with a mark of its own, 'E-0012' a marked piece. */
  value: string;
  item: string;
  /** Of a holder or part: its own mark; null: it has none, or is a cutter. */
  marked: string | null;
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
/** What is known of some items, to say what can be taken of them. */
export interface Known {
  /** What is set aside for jobs, by item. */
  reserved: ReadonlyMap<number, Reservation[]>;
  /** Whose turn it is, of cutters and holders that are or were in a trial. */
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
  /** Read last of the set that some of an edge set's edges were in before, where others were turned alone. */
  before: ReadonlyMap<number, WornRow>;
  ladder: readonly Rung[];
  together: Together | null;
  /** Holders and parts with a mark of their own, by item. */
  marked: ReadonlyMap<number, MarkedHolder[]>;
}

/** Whether the last reading of a piece says that it is worn; null: none was taken. */
const wornOf = (p: PieceRow, item: CribItem, known: Known): boolean | null =>
  item.cutter ? isWorn(known.wear.get(p.edgeSetId) ?? NOT_READ, item.cutter.DC) : null;

/** What is to be asked of the edges of a piece before it cuts; null: nothing. */
const askedOf = (p: PieceRow, item: CribItem, known: Known): string | null => {
  const before = known.before.get(p.edgeSetId);
  return before && item.cutter && wornOf(p, item, known) === null
    ? askedOfTheRest(before, item.cutter.DC)
    : null;
};

const countsOf = (p: PieceRow, item: CribItem, known: Known) =>
  countsAs(usedPiece(p, known.ladder, wornOf(p, item, known), known.today), null);

/** Why a piece can't be taken; null: it can. */
export function againstTaking(p: PieceRow, item: CribItem, known: Known): string | null {
  const counts = countsOf(p, item, known);
  return counts.as === 'nothing' ? `${p.mark} can’t be taken: ${counts.why}` : null;
}

/** Unused parcels of an item in the crib, a place at a time. */
export const parcels = (id: number, known: Known): { place: string; quantity: number }[] => {
  const there = (known.balances.get(id) ?? []).filter((b) => inCrib(b.placeKind) && b.quantity > b.pieces);
  return [...group(there, (b) => b.place)].map(([place, of]) => ({
    place,
    quantity: of.reduce((n, b) => n + b.quantity - b.pieces, 0),
  }));
};
/** Earlier versions of an item that still lie here, the nearest last. */
export const olderThan = (id: number, known: Known): number[] =>
  known.links
    .filter((l) => l.itemId === id && parcels(l.earlierItemId, known).length > 0)
    .map((l) => l.earlierItemId);

/** What a trial lets go in before an item, where it lies here; empty: the item itself, or no trial says so. */
export function turnBefore(id: number, known: Known): number[] {
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

/** Those with a mark of their own that are in no build, each where it was put last, or where its like lie. */
function markedOf(id: number, known: Known): { one: MarkedHolder; place: string }[] {
  const lie = parcels(id, known);
  if (!lie.length) return [];
  return (known.marked.get(id) ?? [])
    .filter((m) => m.row.tag === null)
    .map((one) => ({
      one,
      place: lie.find((p) => p.place === one.row.place)?.place ?? first(lie).place,
    }));
}

/** What lies at each place beside those with a mark. */
const withoutMark = (id: number, known: Known, marked: ReturnType<typeof markedOf>) =>
  parcels(id, known)
    .map((p) => ({ ...p, quantity: p.quantity - marked.filter((m) => m.place === p.place).length }))
    .filter((p) => p.quantity > 0);

export function sourcesOf(item: CribItem | undefined, known: Known, scanned: string | null): TakeSource[] {
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
    marked: null,
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
  const marked = markedOf(item.id, known);
  const unused =
    scanned !== null
      ? []
      : withoutMark(item.id, known, marked).map((p) => ({
          ...base,
          value: `${item.code}|${p.place}`,
          keptFor: free > 0 ? [] : keptFor.map((k) => k.job),
          take: `${p.quantity} ${item.cutter ? 'unused ' : ''}at ${p.place}${marked.length ? ', no mark' : ''}`,
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
      caution:
        [askedOf(p, item, known), standing !== 'approved' && standing].filter(Boolean).join('; ') || null,
      // What was reground is as it was measured on return.
      cutter: item.cutter && regroundGeometry(item.cutter, known.sizes.get(p.id) ?? null),
    }));
  const withMark = marked
    .filter(({ one: { row } }) => row.found !== 'bad' && (scanned === null || row.mark === scanned))
    .sort((a, b) => Number(a.one.against.length > 0) - Number(b.one.against.length > 0))
    .map(({ one: { row, against }, place }) => ({
      ...base,
      value: `${item.code}|${place} ${row.mark}`,
      marked: row.mark,
      keptFor: [],
      take: `${row.mark} at ${place}`,
      caution: [...against.map((j) => j.words), ...(caution ? [caution] : [])].join('; ') || null,
      cutter: null,
    }));
  // Who scans the item and no mark holds one without: those with a mark come after, what speaks against one last.
  return [...unused, ...withMark, ...again];
}
