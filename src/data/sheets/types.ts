/** A version of a build sheet. */
export interface SheetRow {
  id: number;
  code: string;
  version: number;
  name: string;
  /** null: any cutter that has what it must have. */
  cutterItemId: number | null;
  must: SheetMust | null;
  holderItemId: number;
  leastMm: number;
  leastEntered: string;
  mostMm: number;
  mostEntered: string;
  stickoutMm: number;
  stickoutEntered: string;
  gripMm: number | null;
  gripEntered: string | null;
  /** N m. */
  torque: number | null;
  collar: boolean;
  steps: string | null;
  entryId: number;
  happenedAt: Date;
  who: string;
}

/** What any cutter of a sheet must have, as it lies in the row; mm and degrees. */
export interface SheetMust {
  family: string;
  DC: number;
  LCF?: number;
  DMM?: number;
  RE?: number;
  NOF?: number;
}

export interface SheetPartRow {
  sheetId: number;
  itemId: number;
  outMm: number | null;
  outEntered: string | null;
}
