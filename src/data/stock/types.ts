import type { Family, ItemKind, Substrate } from '@/core/cutters';
import type { PlaceKind } from '@/core/stock';
import type { ItemQuestion } from '@/data/catalogue';

export interface PlaceRow {
  id: number;
  code: string;
  name: string;
  /** false: it is empty and nothing goes there any more. */
  inUse: boolean;
  kind: PlaceKind;
  parentId: number | null;
  /** Whose hand it is. */
  person: string | null;
  entryId: number | null;
}

export interface BalanceRow {
  itemId: number;
  placeId: number;
  place: string;
  placeKind: PlaceKind;
  lotId: number | null;
  /** The maker's lot, whose stock it is, how many edges are left: null where it is ordinary stock of our own. */
  lot: string | null;
  owner: string | null;
  edgesLeft: number | null;
  quantity: number;
  /** Of them, marked pieces: used cutters that lie here. */
  pieces: number;
}

/** What tells a parcel apart; at least one of them. */
export interface LotMarks {
  code: string | null;
  ownerId: number | null;
  edgesLeft: number | null;
}

export interface NewMovement {
  entryId: number;
  itemId: number;
  pieceId?: number | null;
  lotId?: number | null;
  from: number | null;
  to: number | null;
  quantity: number;
}

export interface PieceRow {
  id: number;
  mark: string;
  itemId: number;
  lotId: number | null;
  entryId: number;
  placeId: number | null;
  place: string | null;
  placeKind: PlaceKind | null;
  /** The day it is wanted back from somebody's hands or from being ground; null: it is neither, or no day was said. */
  dueBack: string | null;
  edgeSetId: number;
  edgeSetEntryId: number;
  fresh: boolean;
  endedEntryId: number | null;
  endedAt: Date | null;
  grade: string | null;
  gradeEntryId: number | null;
  goodZone: string | null;
  goodFromMm: number | null;
  goodToMm: number | null;
  /** It was reground; with what it was recoated then, null where nobody said. */
  reground: boolean;
  recoated: string | null;
  /** Held back until somebody has looked at it. */
  heldBack: boolean;
}

export interface TakingRow {
  supplierId: number;
  supplier: string;
  supplierName: string;
  itemId: number;
  item: string;
  lot: string | null;
  /** Taken, less what came back unused. Negative: more came back than was taken since. */
  quantity: number;
  since: Date;
  /** The newest movement in it. */
  upTo: number;
}

export interface SettlementRow {
  entryId: number;
  supplier: string;
  reference: string | null;
  who: string;
  happenedAt: Date;
}

export interface SheetRow {
  id: number;
  number: string;
  placeId: number;
  place: string;
  entryId: number;
  who: string;
  happenedAt: Date;
  bookedEntryId: number | null;
  bookedBy: string | null;
  bookedAt: Date | null;
  explained: string | null;
}

export interface CountLineRow {
  entryId: number;
  placeId: number;
  place: string;
  itemId: number;
  item: string;
  lotId: number | null;
  lot: string | null;
  counted: number;
  expected: number;
  who: string;
  happenedAt: Date;
}

export interface MovementRow {
  id: number;
  entryId: number;
  kind: string;
  who: string;
  happenedAt: Date;
  note: string | null;
  counters: number | null;
  counteredBy: number | null;
  item: string;
  piece: string | null;
  lot: string | null;
  fromPlace: string | null;
  fromKind: PlaceKind | null;
  toPlace: string | null;
  toKind: PlaceKind | null;
  quantity: number;
}
/** What the history is asked for: everything, or all of an item, a piece, a place, a person; newest first, before an id. */
export interface MovementQuestion {
  itemId?: number;
  pieceId?: number;
  placeId?: number;
  who?: string;
  before?: number;
  /** Only what stands: neither taken back nor taking back. */
  standing?: boolean;
  limit: number;
}

export interface LoanRow {
  entryId: number;
  item: string;
  piece: string | null;
  person: string;
  quantity: number;
  due: string | null;
  happenedAt: Date;
  /** How many of the item (or the piece) this person has now. */
  has: number;
}

export interface RegrindOutRow {
  entryId: number;
  pieceId: number;
  mark: string;
  itemId: number;
  item: string;
  place: string;
  who: string;
  happenedAt: Date;
  due: string | null;
  wanted: string | null;
}

export interface RegroundRow {
  entryId: number;
  pieceId: number;
  dcMm: number;
  dcEntered: string;
  lcfMm: number;
  lcfEntered: string;
  recoated: string | null;
  costCents: number | null;
  happenedAt: Date;
  who: string;
}

export type StockSort = 'item' | 'place' | 'quantity';

/** What is asked of everything that lies somewhere. */
export interface StockQuestion extends ItemQuestion {
  /** Where it lies; null: at any place of these kinds. */
  placeIds: readonly number[] | null;
  kinds: readonly PlaceKind[];
  /** Whose it is; null: anybody's. */
  owner: { ours: true } | { supplierId: number | null } | null;
  sort: StockSort;
  descending: boolean;
  /** The line after which (or before which) the page begins; null: from the start. */
  from: { lineId: number; backwards: boolean } | null;
  limit: number;
}

/** So many of an item, of one lot, at one place: a balance with the names of its item and place. */
export interface StockRow extends BalanceRow {
  id: number;
  item: string;
  kind: ItemKind;
  family: Family | null;
  maker: string | null;
  placeName: string;
}
export type MarkRow = Pick<PieceRow, 'mark' | 'itemId' | 'lotId' | 'grade'> & { placeId: number };

/** Where a parcel lies: some of an item, of one lot, at a place. */
export interface Parcel {
  itemId: number;
  placeId: number;
  lotId: number | null;
}

export interface Mounted {
  edgeSetId: number;
  entryId: number;
  itemId: number;
  item: string;
  lotId: number | null;
  edgesLeft: number | null;
  quantity: number;
  /** What sits in each seat, where the inserts are not all alike; empty: they are. */
  seats: SeatInsert[];
}

/** The insert in one seat of a body. */
export interface SeatInsert {
  seat: number;
  lotId: number | null;
  /** Edges left on it, this one included; null: all it has. */
  edgesLeft: number | null;
  /** The set of edges in which this edge began to cut. */
  sinceId: number;
  /** Minutes in the cut of this edge that were logged. */
  minutes: number;
}

/** A marked body: how many sets of edges it has held, and whether it is scrap. */
export interface BodyRow {
  pieceId: number;
  sets: number;
  placeKind: string | null;
}

/** A small part of a body that was renewed last, and how many sets of edges the body held until then. */
export interface SpareRow {
  pieceId: number;
  item: string;
  happenedAt: Date;
  setsSince: number;
}

export interface Seating {
  pieceId: number;
  mounted: number;
  damaged: number;
}

export interface SeatRow {
  pieceId: number;
  seat: number;
  damaged: boolean;
  note: string | null;
}

/** Pieces of an item that lie in the scrap and were not sold. */
export interface ScrapRow {
  itemId: number;
  substrate: Substrate;
  quantity: number;
  /** All of it that was ever scrapped. */
  total: number;
}
export interface ScrapSaleRow {
  entryId: number;
  substrate: Substrate;
  kg: number;
  perKgCents: number;
  buyer: string | null;
  pieces: number;
  happenedAt: Date;
  who: string;
}
