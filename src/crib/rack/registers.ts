import type { Because } from '@/core/because';
import {
  diameterRegister,
  LENGTH_SCHOOLS,
  lengthReason,
  lengthRegister,
  type MachineLengths,
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
  /** The job whose part zero the work offset has in it. */
  partZeroOf: string | null;
  /** The job this H is for alone, where the school has its part zero in the register; null: for any. */
  ofJob: string | null;
  /** Days of what it rests on: when the length was measured, since when the machine's figures hold. */
  since: { measured: string; machine: string };
  because: Because;
}

const lengthsOf = (m: MachineRow): MachineLengths => ({
  school: m.lengthSchool,
  K: m.kMm,
  K0: m.k0Mm,
  Lm: m.masterLengthMm,
});

/** H of a measured length on a machine, for an operation of its. */
export const hOn = (m: MachineRow, measurement: MeasurementRow, operation: OperationRow): Register =>
  lengthRegister(lengthsOf(m), measurement.gaugeLengthMm, operation.partZeroMm);

/** One measurement, this machine's registers. */
export function registersOn(
  m: MachineRow,
  measurement: MeasurementRow,
  DC: number,
  operations: readonly OperationRow[],
  zone: string,
): MachineRegisters {
  const lengths = lengthsOf(m);
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
    ofJob: m.lengthSchool === 'touched-off' ? (operation?.job ?? null) : null,
    since: { measured: localDay(measurement.happenedAt, zone), machine: localDay(m.lengthsSince, zone) },
    because: lengthReason(m.code, lengths, L, h, {
      L: `measured by ${measurement.who}`,
      K: `${m.code} since ${localDay(m.lengthsSince, zone)}`,
      h: operation?.job,
    }),
  };
}
