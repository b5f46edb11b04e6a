import type { Because } from '@/core/because';
import {
  diameterRegister,
  lengthRegister,
  LENGTH_SCHOOLS,
  workOffset,
  type Register,
} from '@/core/measuring';
import { localDay, type LengthUnit } from '@/core/units';
import type { MeasurementRow } from '@/data/assemblies';
import type { OperationRow } from '@/data/jobs';
import type { MachineRow } from '@/data/machines';

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
  const lengths = { school: m.length_school, K: m.k_mm, K0: m.k0_mm, Lm: m.master_length_mm };
  const operation = operations.find((o) => o.machine === m.code && o.part_zero_mm !== null);
  const h = operation?.part_zero_mm ?? null;
  const L = measurement.gauge_length_mm;
  const D = measurement.diameter_mm;
  return {
    machine: m.code,
    units: m.units,
    school: LENGTH_SCHOOLS[m.length_school],
    H: lengthRegister(lengths, L, h),
    D: D === null ? { needs: 'a measured diameter' } : diameterRegister(m.diameter_school, D, DC),
    workOffset: workOffset(lengths, h),
    partZeroOf: operation?.job ?? null,
    because: {
      words: `${m.code} works with ${LENGTH_SCHOOLS[m.length_school]}.`,
      formula: {
        gauge: 'H = L',
        datum: 'H = L − K',
        'common-stand': 'H = L − K0',
        master: 'H = L − Lm',
        'touched-off': 'H = h + L − K',
      }[m.length_school],
      values: [
        { name: 'L', value: `${L.toFixed(3)} mm`, source: `measured by ${measurement.who}` },
        {
          name: 'K',
          value: `${m.k_mm.toFixed(3)} mm`,
          source: `${m.code} since ${localDay(m.figures_since, zone)}`,
        },
        ...(m.k0_mm === null ? [] : [{ name: 'K0', value: `${m.k0_mm.toFixed(3)} mm` }]),
        ...(m.master_length_mm === null
          ? []
          : [{ name: 'Lm', value: `${m.master_length_mm.toFixed(3)} mm` }]),
        ...(h === null ? [] : [{ name: 'h', value: `${h.toFixed(3)} mm`, source: operation!.job }]),
      ],
    },
  };
}
