import { inserts, insertsWithId } from '@/data/database';

/** One row of each table of this room; texts of jsonb columns are JSON. */

export const insertJob = insertsWithId<{
  number: string;
  part: string;
  revision: string;
  materialId: number;
  quantity: number;
  due: string;
}>('job');

export const insertOperation = insertsWithId<{
  jobId: number;
  number: number;
  machineId: number;
}>('operation');

export const insertOperationFigures = inserts<{
  operationId: number;
  highestBesideMm?: number | null;
  highestBesideEntered?: string | null;
  partZeroMm?: number | null;
  partZeroEntered?: string | null;
}>('operation_figures');

export const insertProgram = inserts<{
  operationId: number;
  name: string;
  text: string;
  report: string;
}>('program');

export const insertPassDepth = inserts<{
  operationId: number;
  t: number;
  depthMm: number;
  depthEntered: string;
}>('pass_depth');

export const insertTie = inserts<{
  operationId: number;
  t: number;
  assemblyId?: number | null;
}>('tie');

export const insertPartsLog = insertsWithId<{
  operationId: number;
  programId: number;
  parts: number;
}>('parts_log');

export const insertUse = inserts<{
  partsLogId: number;
  t: number;
  edgeSetId?: number | null;
  minutes: number;
  lowerBound: boolean;
}>('use');

export const insertUseAssignment = inserts<{
  useId: number;
  edgeSetId: number;
}>('use_assignment');
