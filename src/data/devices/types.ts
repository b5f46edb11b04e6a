export interface DeviceRow {
  id: number;
  code: string;
  name: string;
  port: number;
  masterMm: number;
  masterEntered: string;
  entryId: number;
  /** Its latest check at the master; null: there was none. */
  checkedAt: Date | null;
  offMm: number | null;
  ok: boolean | null;
}
