import { commonOffset, registerText } from '@/core/measuring';
import type { G10Form } from '@/core/registers';
import type { Question, REGISTERS } from '@/core/questions';
import { found } from '@/crib/door';
import { lengthsOf } from '@/crib/rack';
import type { Connection } from '@/data/database';
import { type MachineRow, maybeMachine } from '@/data/shop';
import { clashesWith, type SheetLine, sheetOf } from '../sheet';

export type RegistersAsked = Question<typeof REGISTERS>;

export interface RegistersView {
  machine: Pick<
    MachineRow,
    | 'code'
    | 'name'
    | 'units'
    | 'lengthSchool'
    | 'diameterSchool'
    | 'hEqualsT'
    | 'lengthsSince'
    | 'ownSetter'
    | 'digits'
  > & {
    g10Form: G10Form;
    /** The common Z offset that its registers count with, or what it needs; null: its school has none. */
    commonOffset: { text: string } | { needs: string } | null;
  };
  /** Open jobs on it that have a tool tied. */
  jobs: string[];
  lines: SheetLine[];
  /** Lines to be given: new, changed, or nobody can say. */
  toGive: number;
}

/** What a machine is to be given, T by T, and how that stands against what it was given last; null: no such machine. */
export async function registersView(
  c: Connection,
  asked: RegistersAsked,
  zone: string,
): Promise<RegistersView | null> {
  const machine = await maybeMachine(c, asked.machine ?? '');
  return machine && viewOf(c, machine, asked, zone);
}

/** The same of a machine that must be there. */
export const registersOf = async (c: Connection, asked: RegistersAsked, zone: string) =>
  viewOf(
    c,
    found(await maybeMachine(c, asked.machine ?? ''), 'machine', asked.machine ?? '', 'machine'),
    asked,
    zone,
  );

async function viewOf(
  c: Connection,
  machine: MachineRow,
  asked: RegistersAsked,
  zone: string,
): Promise<RegistersView> {
  const all = await sheetOf(c, machine, zone);
  const { code, name, units, lengthSchool, diameterSchool, hEqualsT, lengthsSince, ownSetter, digits } =
    machine;
  const ofJob = asked.job ? onlyOf(asked.job, all) : all;
  const lines = asked.what === 'changed' ? ofJob.filter((l) => l.since.state !== 'same') : ofJob;
  return {
    machine: {
      ...{ code, name, units, lengthSchool, diameterSchool, hEqualsT, lengthsSince, ownSetter, digits },
      g10Form: machine.g10Form ?? 'table',
      commonOffset: commonOffsetOf(machine),
    },
    jobs: [...new Set(all.flatMap((l) => l.jobs))],
    lines,
    toGive: ofJob.filter((l) => l.since.state === 'new' || l.since.state === 'changed').length,
  };
}

/** One stand for many machines leaves each its own offset besides: without it every tool of it is off by the same. */
function commonOffsetOf(machine: MachineRow): RegistersView['machine']['commonOffset'] {
  if (machine.lengthSchool !== 'common-stand') return null;
  const offset = commonOffset(lengthsOf(machine));
  return 'needs' in offset ? offset : { text: registerText(offset, machine) ?? '' };
}

/** Lines of one job: what other jobs want of its T is no clash then, two tools of its own operations are. */
export function onlyOf(job: string, all: readonly SheetLine[]): SheetLine[] {
  const of = new Set(all.filter((l) => l.jobs.includes(job)).map((l) => l.t));
  // Sisters in other pockets run for the job as well.
  const own = all.filter((l) => l.jobs.includes(job) || (l.pocket !== null && of.has(l.t)));
  return own.map((l) => ({ ...l, clashes: clashesWith(l, own) }));
}
