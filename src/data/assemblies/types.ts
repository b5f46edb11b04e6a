export interface AssemblyRow {
  id: number;
  tag: string;
  pieceId: number;
  mark: string;
  cutterItemId: number;
  cutterLotId: number | null;
  edgeSetId: number;
  fresh: boolean;
  holderItemId: number;
  holderPlaceId: number;
  holderPlace: string;
  holderLotId: number | null;
  stickoutMm: number;
  stickoutEntered: string;
  entryId: number;
  builtAt: Date;
  who: string;
  takenDownEntryId: number | null;
  takenDownAt: Date | null;
}

/** What is put together with cutter and holder, in order from the spindle down. */
export interface PartRow {
  assemblyId: number;
  itemId: number;
  /** The place it goes back to. */
  placeId: number;
  place: string;
  lotId: number | null;
  outMm: number | null;
  outEntered: string | null;
}

export interface MeasurementRow {
  entryId: number;
  assemblyId: number;
  gaugeLengthMm: number;
  gaugeLengthEntered: string;
  diameterMm: number | null;
  diameterEntered: string | null;
  runoutMm: number | null;
  runoutEntered: string | null;
  /** °C it was at, and the length as read before it was brought to 20; null: as it was read. */
  temperature: number | null;
  readMm: number | null;
  /** The block that a height stand's dial stood against; null: it was no height stand. */
  blockMm: number | null;
  questions: { code: string; words: string; because: import('@/core/because').Because }[];
  happenedAt: Date;
  who: string;
  note: string | null;
  /** The device it was read from; null: typed. */
  device: string | null;
  /** The device was off at its master before or at its next check: what it read since it was last good may be wrong. */
  deviceDoubt: boolean;
  verdictEntryId: number | null;
  accepted: boolean | null;
  reason: string | null;
}

/** What is in force of an assembly that stands: its newest measurement nobody rejected, and its newest that counts. */
export interface MeasuredRow {
  newest: MeasurementRow | null;
  good: MeasurementRow | null;
}
