import { inserts, insertsWithId } from '@/data/database';

/** One row of each table of this room; texts of jsonb columns are JSON. */

export const insertSheet = insertsWithId<{
  code: string;
  version: number;
  name: string;
  cutterItemId: number | null;
  must: string | null;
  holderItemId: number;
  leastMm: number;
  leastEntered: string;
  mostMm: number;
  mostEntered: string;
  stickoutMm: number;
  stickoutEntered: string;
  gripMm: number | null;
  gripEntered: string | null;
  torque: number | null;
  collar: boolean;
  steps: string | null;
}>('build_sheet');

export const insertSheetPart = inserts<{
  sheetId: number;
  placeInStack: number;
  itemId: number;
  outMm: number | null;
  outEntered: string | null;
}>('build_sheet_part');

export const insertBuiltFrom = inserts<{
  assemblyId: number;
  sheetId: number;
  isClean: boolean;
  isTorqued: boolean;
}>('built_from');
