import type { Because } from '@/core/because';
import {
  diameterRegister,
  LENGTH_SCHOOLS,
  lengthReason,
  lengthRegister,
  type Register,
  workOffset,
} from '@/core/measuring';
import { type LengthUnit, localDay } from '@/core/units';
import type { MeasurementRow } from '@/data/assemblies';
import type { OperationRow } from '@/data/jobs';
import type { MachineRow } from '@/data/shop';

export interface MachineRegisters {
  machine: string;
  units: LengthUnit;
  school: string;
  H: Register;
  D: Register;
  workOffset: Register;
  /** Which part zero was used, where the school needs one. */
  partZeroOf: string | null;
  because: Because;
}

/** One measurement, this machine's registers. */
export function registersOn(
  m: MachineRow,
  measurement: MeasurementRow,
  DC: number,
  operations: readonly OperationRow[],
  zone: string,
): MachineRegisters {
  const lengths = { school: m.lengthSchool, K: m.kMm, K0: m.k0Mm, Lm: m.masterLengthMm };
  const operation = operations.find((o) => o.machine === m.code && o.partZeroMm !== null);
  const h = operation?.partZeroMm ?? null;
  const L = measurement.gaugeLengthMm;
  const D = measurement.diameterMm;
  return {
    machine: m.code,
    units: m.units,
    school: LENGTH_SCHOOLS[m.lengthSchool],
    H: lengthRegister(lengths, L, h),
    D: D === null ? { needs: 'a measured diameter' } : diameterRegister(m.diameterSchool, D, DC),
    workOffset: workOffset(lengths, h),
    partZeroOf: operation?.job ?? null,
    because: lengthReason(m.code, lengths, L, h, {
      L: `measured by ${measurement.who}`,
      K: `${m.code} since ${localDay(m.figuresSince, zone)}`,
      h: operation?.job,
    }),
  };
}
