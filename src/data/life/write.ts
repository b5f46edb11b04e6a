import { inserts, insertsWithId } from '@/data/database';

/** One row of each table of this room; texts of jsonb columns are JSON. */

export const insertEnding = inserts<{
  edgeSetId: number;
  kind: string;
  signs: string;
  costCents?: number | null;
}>('ending');

export const insertWearReading = inserts<{
  edgeSetId: number;
  flankWearMm?: number | null;
  flankWearEntered?: string | null;
  uncertaintyMm?: number | null;
  cornerMm?: number | null;
  cornerEntered?: string | null;
  gauge?: string | null;
  holeMm?: number | null;
  holeEntered?: string | null;
  holeFits?: string | null;
  holeLeastMm?: number | null;
  holeMostMm?: number | null;
  chips?: string | null;
  zoneFromMm?: number | null;
  zoneToMm?: number | null;
  runoutMm?: number | null;
  driftMm?: number | null;
  signs: string;
}>('wear_reading');

export const insertChangeCosts = inserts<{
  minuteCents: number;
  changeMinutes: number;
  failureMinutes: number;
  partCents: number | null;
}>('change_costs');

export const insertForecast = inserts<{
  edgeSetId: number;
  materialId: number;
  failedBy: string;
  lives: number;
  failures: number;
}>('forecast');

export const insertUseCorrected = inserts<{
  useId: number;
  minutes: number;
  holes: number | null;
  cutMm: number | null;
}>('use_corrected');

export const insertUseSaid = inserts<{
  edgeSetId: number;
  materialId: number;
  minutes: number | null;
  holes: number | null;
  cutMm: number | null;
}>('use_said');

export const insertGrade = inserts<{
  pieceId: number;
  grade: string;
  goodZone?: string | null;
  goodFromMm?: number | null;
  goodToMm?: number | null;
  signs?: string | null;
}>('grade');

export const insertGradeLadder = inserts<{
  rungs: string;
}>('grade_ladder');

export const insertEdgeSet = insertsWithId<{
  pieceId: number;
  fresh: boolean;
}>('edge_set');
