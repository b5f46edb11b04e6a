import type { Setup } from '@/core/jobs';
import type { ProgramReport, ReadAs } from '@/core/programs';

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
  /** What the customer calls it: an order's number. */
  customer: string | null;
  quantity: number;
  due: string;
  materialId: number;
  material: string;
  /** ISO 513. */
  materialGroup: string;
  /** The machine it goes on, and when it was moved there; null: it was planned there. */
  machineId: number;
  machine: string;
  movedAt: Date | null;
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
  /** Program zero above the stock's bottom, and what height is under it, by its setup sheet; null: not stated. */
  zeroZMm: number | null;
  parallelsMm: number | null;
  /** Program zero from the stock's side at the operator, and the stock's depth, by its setup sheet; null: not stated. */
  zeroYMm: number | null;
  stockYMm: number | null;
  /** The vise of its machine that its setup sheet names, and how high its jaws stand above its bed; null: none, or not stated. */
  vise: string | null;
  jawHighMm: number | null;
  /** The T on which a cutter broke of whose fragments nobody said what became; null: none. */
  fragmentsOfT: number | null;
}

/** A setup sheet as it was stated, by field: lengths as they were entered and in mm; null: blank. */
export interface SetupSheetRow {
  entryId: number;
  operationId: number;
  drawing: string | null;
  revision: string | null;
  programNumber: string | null;
  fixture: string | null;
  against: string | null;
  workOffset: string | null;
  stockXMm: number | null;
  stockXEntered: string | null;
  stockYMm: number | null;
  stockYEntered: string | null;
  stockZMm: number | null;
  stockZEntered: string | null;
  parallelsMm: number | null;
  parallelsEntered: string | null;
  zeroXMm: number | null;
  zeroXEntered: string | null;
  zeroYMm: number | null;
  zeroYEntered: string | null;
  zeroZMm: number | null;
  zeroZEntered: string | null;
  notes: string | null;
  happenedAt: Date;
  who: string;
}

/** A signature under a setup, with the setup it was given for. */
export interface SignatureRow {
  entryId: number;
  operationId: number;
  step: string;
  /** Who signed: the one who entered it, or somebody who is named. */
  name: string;
  standsFor: Setup;
  happenedAt: Date;
  who: string;
}

export interface ProgramRow {
  entryId: number;
  operationId: number;
  /** The job it was stored for, where that is another operation; null: it was stored for this one. */
  takenFrom: string | null;
  name: string;
  tools: ProgramReport['tools'];
  /** How it was read; null: nobody knows. */
  readAs: ReadAs | null;
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
  /** The lot of material they were made of; null: nobody said. */
  lot: string | null;
}
