export interface MappingRow {
  header: string;
  /** A symbol or plain column; null: left out on purpose. */
  symbol: string | null;
}

export interface ImportRow {
  entryId: number;
  name: string;
  added: number;
  changed: number;
  who: string;
  happenedAt: Date;
}

/** An item of a list as it is laid down before it is entered. */
export interface StagedItem {
  code: string;
  /** It is not here yet; else only what changes is laid down. */
  fresh: boolean;
  kind: string;
  family: string | null;
  maker: string | null;
  facts: readonly { symbol: string; text: string; unit: string; value: number | null; origin: string }[];
  segments: readonly { length: number; upper: number; lower: number }[];
  supply: {
    supplier: string;
    orderCode: string;
    priceCents: number | null;
    pack: number;
    minimum: number;
  } | null;
  life: { minutes: number; origin: string } | null;
  standing: { standing: string; reason: string } | null;
  links: readonly { earlier: string; relation: string; reason: string }[];
}
