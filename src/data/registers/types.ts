import type { Correction } from '@/core/registers';
import type { LengthUnit } from '@/core/units';

/** How numbers came into a control: as a file that was run there, or typed in and read back from it. */
export const HOW_GIVEN = ['sent', 'read back'] as const;
export type HowGiven = (typeof HOW_GIVEN)[number];

/** What a machine was given last in the registers of a number. */
export interface GivenRow {
  /** The number of its H. */
  number: number;
  t: number;
  tag: string;
  h: string | null;
  d: string | null;
  hWear: string | null;
  dWear: string | null;
  unit: LengthUnit;
  how: HowGiven;
  happenedAt: Date;
  who: string;
  entryId: number;
}

/** A register of a tool that was corrected at a machine. */
export interface CorrectionRow extends Correction {
  machineId: number;
  operationId: number;
  assemblyId: number;
  tag: string;
  t: number;
  number: number;
  unit: LengthUnit;
  before: string | null;
  after: string | null;
  despite: string | null;
  who: string;
}
