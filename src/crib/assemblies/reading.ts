import { type ReadAs, READ_DEFAULTS, readAs, type ReadOptions, readOtherwise } from '@/core/programs';
import type { MachineRow } from '@/data/shop';

type Control = Pick<
  MachineRow,
  | 'withoutPoint'
  | 'dwellUnit'
  | 'peckClearanceMm'
  | 'dEqualsT'
  | 'rapidMmMin'
  | 'accelerationMmS2'
  | 'cornerMm'
>;

/** How programs of a machine are read: by what is known of its control, and of how it moves. */
export const readByMachine = (machine: Control | null): ReadOptions => ({
  ...READ_DEFAULTS,
  withoutPoint: machine?.withoutPoint ?? null,
  dwellUnit: machine?.dwellUnit ?? READ_DEFAULTS.dwellUnit,
  peckClearanceMm: machine?.peckClearanceMm ?? READ_DEFAULTS.peckClearanceMm,
  dEqualsT: machine?.dEqualsT ?? READ_DEFAULTS.dEqualsT,
  motion:
    machine && machine.accelerationMmS2 !== null && machine.cornerMm !== null
      ? {
          rapidMmMin: machine.rapidMmMin,
          accelerationMmS2: machine.accelerationMmS2,
          cornerMm: machine.cornerMm,
        }
      : null,
});

/** What of a stored program was read otherwise than its machine is taken for now. */
export const readOtherwiseOn = (program: { readAs: ReadAs | null }, machine: Control) =>
  readOtherwise(program.readAs, readAs(readByMachine(machine)));
