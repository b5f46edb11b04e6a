import type { ProgramReport } from '@/core/programs';

/** Whether what was booked is still wanted: closed, enough was made; cancelled, no more is. */
export const JOB_STATES = ['open', 'closed', 'cancelled'] as const;
export type JobState = (typeof JOB_STATES)[number];
/** Which goes before others of its day. */
export const PRIORITIES = ['first', 'usual', 'can wait'] as const;
export type Priority = (typeof PRIORITIES)[number];

export interface OperationRow {
  id: number;
  number: number;
  entryId: number;
  jobId: number;
  job: string;
  part: string;
  revision: string;
  quantity: number;
  due: string;
  materialId: number;
  material: string;
  /** ISO 513. */
  materialGroup: string;
  machineId: number;
  machine: string;
  highestBesideMm: number | null;
  highestBesideEntered: string | null;
  partZeroMm: number | null;
  partZeroEntered: string | null;
  partsMade: number;
  /** Whether it is still wanted. */
  state: JobState;
  priority: Priority;
  /** ISO day it is to start, where somebody stated it. */
  starts: string | null;
}

export interface ProgramRow {
  entryId: number;
  operationId: number;
  name: string;
  tools: ProgramReport['tools'];
  toolChanges: number;
  happenedAt: Date;
  who: string;
}

export interface TieRow {
  operationId: number;
  t: number;
  assemblyId: number | null;
  entryId: number;
}

export interface PassDepthRow {
  operationId: number;
  t: number;
  depthMm: number;
  depthEntered: string;
}

export interface OpenUseRow {
  id: number;
  entryId: number;
  minutes: number;
}
export interface OpenUseSum {
  operationId: number;
  job: string;
  t: number;
  minutes: number;
}

export interface PartsLogRow {
  id: number;
  entryId: number;
  operationId: number;
  parts: number;
  happenedAt: Date;
  who: string;
}
