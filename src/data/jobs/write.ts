import type { CutByParts } from '@/core/jobs';
import { type Connection, inserts, insertsWithId } from '@/data/database';
import type { JobState, Priority } from './types';

/** One row of each table of this room; texts of jsonb columns are JSON. */

export const insertJob = insertsWithId<{
  number: string;
  part: string;
  revision: string;
  customer: string | null;
  materialId: number;
  quantity: number;
  due: string;
}>('job');

export const insertOperation = insertsWithId<{
  jobId: number;
  number: number;
  machineId: number;
}>('operation');

/** The machine an operation goes on from then on. */
export const insertOperationMoved = inserts<{ operationId: number; machineId: number }>('operation_moved');

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
  /** null: that of another program, which it is read from again. */
  text: string | null;
  textOf?: number;
  report: string;
}>('program');

export const insertPassDepth = inserts<{
  operationId: number;
  t: number;
  /** null: not known any more. */
  depthMm: number | null;
  depthEntered: string | null;
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
  materialLot: string | null;
}>('parts_log');

/** What one log of parts comes to on each T, in one statement. */
export async function insertUses(
  c: Connection,
  entryId: number,
  partsLogId: number,
  uses: readonly ({ t: number; edgeSetId: number | null; lowerBound: boolean } & CutByParts)[],
): Promise<void> {
  await c.query(
    `insert into use (entry_id, parts_log_id, t, edge_set_id, minutes, lower_bound, holes, cut_mm, rpm)
     select $1, $2, x.* from unnest($3::int[], $4::int[], $5::float8[], $6::boolean[], $7::int[], $8::float8[], $9::float8[]) x`,
    [
      entryId,
      partsLogId,
      uses.map((u) => u.t),
      uses.map((u) => u.edgeSetId),
      uses.map((u) => u.minutes),
      uses.map((u) => u.lowerBound),
      uses.map((u) => u.holes),
      uses.map((u) => u.cutMm),
      uses.map((u) => u.rpm),
    ],
  );
}

export const insertJobChange = inserts<{
  jobId: number;
  quantity: number;
  due: string;
  state: JobState;
  priority: Priority;
  reason: string | null;
}>('job_change');

export const insertOperationStart = inserts<{ operationId: number; starts: string | null }>(
  'operation_start',
);

export const insertUseAssignment = inserts<{
  useId: number;
  edgeSetId: number;
}>('use_assignment');
