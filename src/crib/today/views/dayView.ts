import { openMinutes, type ShopCalendar, USUAL_BEGINNING } from '@/core/buying';
import type { Grade } from '@/core/because';
import { type DayWork, reckonedMinutes } from '@/core/jobs';
import { held } from '@/core/sure';
import { addDays } from '@/core/units';
import { type ReadOnce, readOnce } from '@/crib/door';
import { cycleFactors, type JobLine, openJobs } from '@/crib/jobs';
import { loadCalendar } from '@/crib/shop';
import { openWork } from '@/crib/work';
import type { Connection } from '@/data/database';
import { manyByHand } from '@/data/pockets';

/** An operation as it waits for its machine. */
export interface DayLine extends DayWork {
  operation: number;
  job: string;
  part: string;
  number: number;
  /** Tools that may run, of how many. */
  ready: number;
  tools: number;
  grade: Grade;
  /** What keeps it from running: the first tool that may not, and why; null: nothing does. */
  why: string | null;
  /** Some of its time is not known: it takes at least so long. */
  atLeast: boolean;
  /** The day it is to start, where that is later than today; null: it may begin. */
  starts: string | null;
  /** The day somebody stated for it, past or to come; null: nobody did. */
  planned: string | null;
  /** ISO day. */
  due: string;
}

export interface DayMachine {
  code: string;
  taper: string;
  /** Its tools are swapped by hand: it stands while nobody is there. */
  byHand: boolean;
  /** In the order they go. */
  lines: DayLine[];
}

/** What each machine has before it, and when somebody is there. */
export interface DayView {
  /** Minutes after midnight at which the day begins; `assumed`: nobody said. */
  begins: { at: number; assumed: boolean };
  /** Minutes somebody is there from then on, today and tomorrow. */
  hours: { open: number; next: number };
  machines: DayMachine[];
  /** Machines in use that have nothing before them. */
  idle: Pick<DayMachine, 'code' | 'taper'>[];
  /** When the shop works: minutes of each weekday, Monday first, and days it is closed besides. */
  calendar: { week: ShopCalendar['week']; closed: string[]; stated: boolean };
}

/** The day of the machines that have open operations: what goes on each, and how its tools stand. */
export async function dayView(
  c: Connection,
  today: string,
  once: ReadOnce = readOnce(c, today),
): Promise<DayView> {
  const jobs = await once(openJobs);
  const { machines } = await once(openWork);
  const calendar = await loadCalendar(c, today);
  const ids = [...new Set(jobs.map((j) => j.operation.machineId))];
  const byHand = new Set((await manyByHand(c, ids)).map((m) => m.machineId));
  const timed = await cycleFactors(c, ids);
  const of = ids.map((id): DayMachine => {
    const machine = held(machines, id);
    const factor = timed.get(id)?.factor?.factor ?? null;
    const lines = jobs.filter((j) => j.operation.machineId === id).map((j) => lineOf(j, today, factor));
    return { code: machine.code, taper: machine.taper, byHand: byHand.has(id), lines: inOrder(lines) };
  });
  const byCode = (a: { code: string }, b: { code: string }) =>
    a.code.localeCompare(b.code, 'en', { numeric: true });
  const idle = [...machines.values()].filter((m) => m.inUse && !ids.includes(m.id));
  return {
    begins: { at: calendar.begins ?? USUAL_BEGINNING, assumed: calendar.begins == null },
    hours: { open: openMinutes(calendar, today), next: openMinutes(calendar, addDays(today, 1)) },
    calendar: { week: calendar.week, closed: [...calendar.closed], stated: calendar.stated },
    machines: of.sort(byCode),
    idle: idle.map(({ code, taper }) => ({ code, taper })).sort(byCode),
  };
}

/** What is running goes on; of the rest as it is due, but what is to start later waits for its day. */
const inOrder = (lines: readonly (DayLine & { running: boolean })[]): DayLine[] =>
  lines
    .toSorted(
      (a, b) =>
        Number(a.starts !== null) - Number(b.starts !== null) ||
        (a.starts ?? '').localeCompare(b.starts ?? '') ||
        Number(b.running) - Number(a.running),
    )
    .map(({ running: _, ...line }) => line);

/** `factor`: how much longer its machine takes than is reckoned; null: no part was timed on it. */
function lineOf(j: JobLine, today: string, factor: number | null): DayLine & { running: boolean } {
  const { operation: o, cycle } = j;
  const not = j.tools.find((t) => t.use.grade === j.grade && t.use.grade !== 'good');
  const reckoned = reckonedMinutes(cycle);
  const later = o.starts !== null && o.starts > today ? o.starts : null;
  return {
    ...{ operation: o.id, planned: o.starts, due: o.due },
    ...{ job: o.job, part: o.part, number: o.number, partsLeft: j.partsLeft },
    minutesPerPart: reckoned === null ? null : reckoned * (factor ?? 1),
    atLeast:
      cycle === null ||
      (factor === null && (cycle.rapid === null || cycle.changes === null)) ||
      j.tools.some((t) => t.tool.lower_bound),
    ends: j.tools.flatMap(({ t, use }) =>
      use.goodFor !== null && use.goodFor < j.partsLeft ? [{ t, parts: use.goodFor }] : [],
    ),
    ...{ ready: j.ready, tools: j.tools.length, grade: j.grade },
    why: not ? `T${not.t}: ${not.use.why ?? ''}` : null,
    starts: later,
    running: o.partsMade > 0,
  };
}
