import type { FragmentState, PartVerdict } from '@/core/breakage';
import { inserts, insertsWithId } from '@/data/database';

/** One row of each table of this room; texts of jsonb columns are JSON. */

export const insertBreakage = inserts<{
  edgeSetId: number;
  operationId: number | null;
  t: number | null;
  partsMade: number | null;
  lostParts: number | null;
  lostMinutes: number | null;
  fragments: boolean;
}>('breakage');

export const insertFragments = inserts<{
  endingId: number;
  state: FragmentState;
  recutBy: string | null;
}>('fragments');

export const insertCauseConfirmed = inserts<{
  endingId: number;
  cause: string;
  remedy: string | null;
  seen: string;
  notSeen: string;
}>('cause_confirmed');

export const insertPartCheck = inserts<{
  operationId: number;
  part: number;
  good: boolean;
}>('part_check');

export const insertHold = insertsWithId<{
  number: string;
  operationId: number;
  firstPart: number;
  lastPart: number;
  why: string;
  edgeSetId: number | null;
  endingId: number | null;
}>('hold');

export const insertHoldVerdict = inserts<{
  holdId: number;
  firstPart: number;
  lastPart: number;
  verdict: PartVerdict;
  note: string | null;
}>('hold_verdict');

export const insertPieceDoubt = inserts<{ pieceId: number; why: string }>('piece_doubt');
export const insertPieceCleared = inserts<{ doubtId: number; found: string }>('piece_cleared');
