/** A shift that was handed over; `takenBy` null: nobody took it over yet. */
export interface HandOverRow {
  entryId: number;
  happenedAt: Date;
  who: string;
  words: string | null;
  takenBy: string | null;
  takenAt: Date | null;
}
