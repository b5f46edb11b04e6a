import type { DiameterSchool } from '@/core/measuring';
import { type Correction, hasWear, isWear, type Numbers, type RegisterNumbers } from '@/core/registers';
import type { LengthUnit } from '@/core/units';
import type { Connection } from '@/data/database';
import type { CorrectionRow } from '@/data/registers';
import type { MachineRow } from '@/data/shop';
import { sheetWithCards } from './sheet';

/** What a tool has in the control it runs on, and how it was corrected there: what a size that is off is held against. */
export interface InControl {
  t: number;
  tag: string;
  numbers: RegisterNumbers;
  /** By all that is recorded; null: nothing is. */
  had: Numbers | null;
  corrections: (Correction &
    Pick<CorrectionRow, 'number' | 'before' | 'after' | 'unit' | 'who' | 'happenedAt' | 'entryId'>)[];
}

/** How a machine takes a correction. */
export interface ControlRules {
  units: LengthUnit;
  digits: number | null;
  diameterSchool: DiameterSchool;
  /** Whether wear has registers of its own; null: nobody said. */
  hasWear: boolean | null;
  /** D is the register for wear itself. */
  dIsWear: boolean;
}

export const controlRules = (machine: MachineRow): ControlRules => ({
  units: machine.units,
  digits: machine.digits,
  diameterSchool: machine.diameterSchool,
  hasWear: hasWear(machine),
  dIsWear: isWear(machine.diameterSchool),
});

/** What a job's tools have in the control of its machine, sisters in other pockets too. */
export async function controlOf(c: Connection, machine: MachineRow, job: string): Promise<InControl[]> {
  // Days in its reasons are shown to nobody here.
  const sheet = await sheetWithCards(c, machine, 'UTC');
  const of = new Set(sheet.filter((x) => x.line.jobs.includes(job)).map((x) => x.line.t));
  return sheet.flatMap(({ line, row, card, had, corrections }) =>
    row && card && of.has(line.t) && (line.jobs.includes(job) || line.pocket !== null)
      ? [
          {
            ...{ t: line.t, tag: row.tag, numbers: line.numbers },
            had: had?.tag === row.tag ? had : null,
            corrections: corrections.map(
              ({ register, place, changeMm, leftMm, edgeSetId, number, ...x }) => ({
                ...{ register, place, changeMm, leftMm, edgeSetId, number },
                ...{ before: x.before, after: x.after, unit: x.unit },
                ...{ who: x.who, happenedAt: x.happenedAt, entryId: x.entryId },
              }),
            ),
          },
        ]
      : [],
  );
}
