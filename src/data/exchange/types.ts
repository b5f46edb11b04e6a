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
