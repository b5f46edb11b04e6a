import type { Grade } from '@/core/because';
import type { ProgramReport } from '@/core/programs';
import { loadItems } from '@/crib/cutters';
import { readOnce, type ReadOnce } from '@/crib/door';
import { manyStandingAssemblies } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import {
  manyDoneOperations,
  manyOperationsOfJob,
  manyPartsLogs,
  maybeReport,
  type OperationRow,
  type PartsLogRow,
} from '@/data/jobs';
import { jobLines, openJobs, type JobLine } from './jobLines';
import { workAround } from './openWork';

/** One line of the list of jobs. */
export interface JobSummary {
  operation: OperationRow;
  partsLeft: number;
  hasProgram: boolean;
  /** Tools with an assembly, of how many the program calls. */
  ready: number;
  tools: number;
  /** Minutes in the cut a part; null without a program. */
  cutting: number | null;
  grade: Grade;
}
export interface JobsView {
  /** Operations with parts to make, the first due on top. */
  open: JobSummary[];
  /** A page of those whose parts are all made, the last due on top. */
  done: OperationRow[];
  /** The operation after which the next page of done ones begins; null at the end. */
  next: number | null;
}
const PAGE = 30;

const summary = (j: JobLine): JobSummary => ({
  operation: j.operation,
  partsLeft: j.partsLeft,
  hasProgram: j.program !== null,
  ready: j.ready,
  tools: j.tools.length,
  cutting: j.cycle?.cutting ?? null,
  grade: j.grade,
});

/** Jobs with parts to make, and a page of those that are done. */
export async function jobsView(
  c: Connection,
  after: number | null = null,
  once: ReadOnce = readOnce(c, ''),
): Promise<JobsView> {
  const done = await manyDoneOperations(c, after, PAGE + 1);
  return {
    open: (await once(openJobs)).map(summary),
    done: done.slice(0, PAGE),
    next: done.length > PAGE ? (done[PAGE - 1]?.id ?? null) : null,
  };
}

/** One job with all that its program said, what was made of it, and what can be tied to its tools. */
export interface JobView extends JobLine {
  report: ProgramReport | null;
  /** The latest logs, and whether there are more. */
  logs: PartsLogRow[];
  moreLogs: boolean;
  /** Assemblies that stand. */
  standing: { tag: string; words: string; stickoutMm: number }[];
}
const LOGS_SHOWN = 12;

/** A job by its number; null where there is none. */
export async function jobView(c: Connection, number: string): Promise<JobView | null> {
  const [operation] = await manyOperationsOfJob(c, number);
  if (!operation) return null;
  const [line] = jobLines(await workAround(c, [operation]));
  if (!line) return null;
  const logs = await manyPartsLogs(c, operation.id, LOGS_SHOWN + 1);
  return {
    ...line,
    report: line.program && ((await maybeReport(c, line.program.entryId))?.report ?? null),
    logs: logs.slice(0, LOGS_SHOWN),
    moreLogs: logs.length > LOGS_SHOWN,
    standing: await standingChoices(c),
  };
}

/** What can be tied: every assembly that stands, in a few words. */
export async function standingChoices(c: Connection): Promise<JobView['standing']> {
  const rows = await manyStandingAssemblies(c);
  const ids = [...new Set(rows.map((r) => r.cutterItemId))];
  const words = new Map((await loadItems(c, ids)).map((i) => [i.id, i.words]));
  return rows.map((r) => ({
    tag: r.tag,
    words: words.get(r.cutterItemId) ?? '',
    stickoutMm: r.stickoutMm,
  }));
}
