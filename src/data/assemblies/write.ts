import { inserts, insertsWithId } from '@/data/database';

/** One row of each table of this room; texts of jsonb columns are JSON. */

export const insertAssembly = insertsWithId<{
  tag: string;
  pieceId: number;
  edgeSetId: number;
  holderItemId: number;
  holderPlaceId: number;
  stickoutMm: number;
  stickoutEntered: string;
  holderLotId?: number | null;
}>('assembly');

export const insertAssemblyPart = inserts<{
  assemblyId: number;
  placeInStack: number;
  itemId: number;
  placeId: number;
  lotId?: number | null;
  outMm?: number | null;
  outEntered?: string | null;
}>('assembly_part');

export const insertTakeDown = inserts<{
  assemblyId: number;
}>('take_down');

export const insertMeasurement = inserts<{
  assemblyId: number;
  gaugeLengthMm: number;
  gaugeLengthEntered: string;
  diameterMm?: number | null;
  diameterEntered?: string | null;
  runoutMm?: number | null;
  runoutEntered?: string | null;
  deviceId?: number | null;
  temperature?: number | null;
  readMm?: number | null;
  blockMm?: number | null;
  questions: string;
}>('measurement');

export const insertVerdict = inserts<{
  measurementId: number;
  accepted: boolean;
  reason: string;
}>('verdict');
