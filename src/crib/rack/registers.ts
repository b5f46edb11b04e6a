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
import { type Corrected, corrected, isWear, stillCorrects, withCorrection } from '@/core/registers';
import { type LengthUnit, localDay } from '@/core/units';
import type { MeasurementRow } from '@/data/assemblies';
import type { OperationRow } from '@/data/jobs';
import type { CorrectionRow } from '@/data/registers';
import type { MachineRow } from '@/data/shop';

export interface MachineRegisters {
  machine: string;
  units: LengthUnit;
  digits: number | null;
  school: string;
  H: Register;
  D: Register;
  /** What corrections of it add there, in H and D and in their wear, mm. */
  corrected: Corrected;
  workOffset: Register;
  /** The job whose part zero the work offset has in it. */
  partZeroOf: string | null;
  /** The job this H is for alone, where the school has its part zero in the register; null: for any. */
  ofJob: string | null;
  /** Days of what it rests on: when the length was measured, since when the machine's figures hold. */
  since: { measured: string; machine: string };
  because: Because;
}

/** A machine as its length registers are reckoned. */
export const lengthsOf = (m: MachineRow): MachineLengths => ({
  school: m.lengthSchool,
  K: m.kMm,
  K0: m.k0Mm,
  Lm: m.masterLengthMm,
});

/** H of a measured length on a machine, for an operation of its. */
export const hOn = (m: MachineRow, measurement: MeasurementRow, operation: OperationRow): Register =>
  lengthRegister(lengthsOf(m), measurement.gaugeLengthMm, operation.partZeroMm);

/** Of corrections of an assembly, those that still count on a machine. */
export const correctionsOn = (
  m: MachineRow,
  assembly: { id: number; edgeSetId: number },
  measurement: MeasurementRow | null,
  corrections: readonly CorrectionRow[],
): CorrectionRow[] =>
  stillCorrects(
    corrections.filter((c) => c.machineId === m.id && c.assemblyId === assembly.id),
    {
      edgeSetId: assembly.edgeSetId,
      measured: measurement,
      figures: m.lengthsSince,
    },
  );

/** Said where a machine is master of a figure. */
const ITS_OWN = { needs: 'the machine’s own setter' } as const;

/** One measurement, this machine's registers, with what was corrected there since. */
export function registersOn(
  m: MachineRow,
  measurement: MeasurementRow,
  DC: number,
  operations: readonly OperationRow[],
  zone: string,
  corrections: readonly CorrectionRow[] = [],
): MachineRegisters {
  const lengths = lengthsOf(m);
  const operation = operations.find((o) => o.machine === m.code && o.partZeroMm !== null);
  const h = operation?.partZeroMm ?? null;
  const L = measurement.gaugeLengthMm;
  const D = measurement.diameterMm;
  const added = corrected(corrections);
  return {
    machine: m.code,
    units: m.units,
    digits: m.digits,
    school: LENGTH_SCHOOLS[m.lengthSchool],
    H: m.ownSetter === null ? withCorrection(lengthRegister(lengths, L, h), added.register.H) : ITS_OWN,
    D:
      m.ownSetter === 'length and diameter'
        ? ITS_OWN
        : D === null
          ? { needs: 'a measured diameter' }
          : withCorrection(
              diameterRegister(m.diameterSchool, D, DC),
              // Such a school's D is the wear register itself.
              added.register.D + (isWear(m.diameterSchool) ? added.wear.D : 0),
            ),
    corrected: added,
    workOffset: workOffset(lengths, h),
    partZeroOf: operation?.job ?? null,
    ofJob: m.lengthSchool === 'touched-off' ? (operation?.job ?? null) : null,
    since: { measured: localDay(measurement.happenedAt, zone), machine: localDay(m.lengthsSince, zone) },
    because: withCorrections(
      lengthReason(m.code, lengths, L, h, {
        L: `measured by ${measurement.who}`,
        K: `${m.code} since ${localDay(m.lengthsSince, zone)}`,
        h: operation?.job,
      }),
      corrections,
      zone,
    ),
  };
}

const withCorrections = (because: Because, corrections: readonly CorrectionRow[], zone: string): Because => ({
  ...because,
  values: [
    ...because.values,
    ...corrections.map((c) => ({
      name: `corrected, ${c.place === 'wear' ? `wear of ${c.register}` : c.register}`,
      value: `${c.changeMm > 0 ? '+' : ''}${c.changeMm.toFixed(3)} mm`,
      source: `${c.who}, ${localDay(c.happenedAt, zone)}`,
    })),
  ],
});
