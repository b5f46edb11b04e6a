import { inserts, insertsWithId } from '../database';

/** One row of each table of this room; texts of jsonb columns are JSON. */

export const insertMachine = insertsWithId<{
  code: string;
  name: string;
}>('machine');

export const insertMachineFigures = inserts<{
  machineId: number;
  taper: string;
  kMm: number;
  kEntered: string;
  lengthSchool: string;
  k0Mm?: number | null;
  masterLengthMm?: number | null;
  diameterSchool: string;
  units: string;
  hEqualsT: boolean;
  rpmMax?: number | null;
  feedMaxMmMin?: number | null;
  rapidMmMin?: number | null;
  toolChangeS?: number | null;
}>('machine_figures');
