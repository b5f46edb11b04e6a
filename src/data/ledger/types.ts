export interface EntryRow {
  id: number;
  kind: string;
  happenedAt: Date;
  recordedAt: Date;
  who: string;
  formId: string;
  counters: number | null;
  note: string | null;
  counteredBy: number | null;
}

export interface NewEntry {
  kind: string;
  happenedAt: Date;
  recordedAt: Date;
  who: string;
  formId: string;
  counters: number | null;
  note: string | null;
}
