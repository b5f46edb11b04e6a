import type { FactSymbol, Family, HolderSegment, ItemKind, Origin, SymbolRange } from '@/core/cutters';

export interface ItemRow {
  id: number;
  code: string;
  kind: ItemKind;
  maker: string | null;
  family: Family | null;
  entryId: number;
}

export interface FactRow {
  entryId: number;
  itemId: number;
  symbol: FactSymbol;
  text: string;
  unit: 'mm' | 'inch' | 'deg' | '' | 'words';
  /** mm where a length; null where the fact is words. */
  value: number | null;
  origin: Origin;
  happenedAt: Date;
  who: string;
}

/** An item with its facts and outline in force, in one row: what every judgement begins with. */
export interface FullItemRow extends ItemRow {
  unused: number;
  facts: Pick<FactRow, 'symbol' | 'text' | 'unit' | 'value' | 'origin'>[];
  segments: HolderSegment[];
}

export interface NewFacts {
  itemId: number;
  symbol: FactSymbol;
  text: string;
  unit: FactRow['unit'];
  value: number | null;
  origin: Origin;
}

/** What a cutter is, as far as it tells of the lives of others of its family. */
export interface CutterKindRow {
  itemId: number;
  code: string;
  family: string | null;
  substrate: string | null;
  dc: number | null;
}

export interface LinkRow {
  entryId: number;
  itemId: number;
  item: string;
  earlierItemId: number;
  earlier: string;
  relation: 'version' | 'substitute';
  reason: string;
  happenedAt: Date;
}

export const STANDINGS = ['approved', 'trial', 'discontinued', 'rejected'] as const;
export type Standing = (typeof STANDINGS)[number];
export interface StandingRow {
  itemId: number;
  standing: Standing;
  reason: string;
  happenedAt: Date;
}

export interface AssumedLifeRow {
  itemId: number;
  materialId: number | null;
  minutes: number;
  origin: Origin;
}

export interface SupplyRow {
  entryId: number;
  itemId: number;
  supplierId: number;
  supplier: string;
  /** false: nothing is ordered there any more. */
  supplierInUse: boolean;
  orderCode: string;
  priceCents: number | null;
  pack: number;
  minimum: number;
  leadTimeDays: number | null;
}

/** Of a family, cutters nearest to a diameter: so many from below and from above, mm. */
export interface NearQuestion {
  family: Family;
  near: number;
  below: number;
  above: number;
  /** Depth it must reach, mm; null: any will do. */
  depth: number | null;
}

export type SortKey = 'code' | 'dc' | 'unused';

/** What of the catalogue is asked for. */
export interface CatalogueQuestion {
  words: readonly string[];
  ranges: readonly SymbolRange[];
  kind: ItemKind | null;
  /** Places in which something of the item must lie. */
  placeIds: readonly number[] | null;
  sort: SortKey;
  descending: boolean;
  /** The item after which (or before which) the page begins; null: from the start. */
  from: { itemId: number; backwards: boolean } | null;
  limit: number;
}

/** One line of the catalogue as it is kept ready. */
export interface CatalogueRow {
  itemId: number;
  code: string;
  kind: ItemKind;
  family: Family | null;
  maker: string | null;
  unused: number;
}

/** What is asked of an item, wherever it lies. */
export type ItemQuestion = Pick<CatalogueQuestion, 'words' | 'ranges' | 'kind'>;

export interface ItemFacts {
  itemId: number;
  facts: Pick<FactRow, 'symbol' | 'text' | 'unit' | 'value' | 'origin'>[];
}

export interface ItemPlaces {
  itemId: number;
  places: { place: string; kind: string; quantity: number; theirs: number }[];
}

/** A picture as it is listed, without its bytes. */
export interface PictureLine {
  entryId: number;
  shows: string;
  mark: string | null;
  width: number;
  height: number;
  who: string;
  happenedAt: Date;
}

export interface SavedView {
  name: string;
  address: string;
}
