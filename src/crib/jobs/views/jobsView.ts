import type { Grade } from '@/core/because';
import { type ReadOnce, readOnce } from '@/crib/door';
import type { Connection } from '@/data/database';
import { manyDoneOperations, type OperationRow } from '@/data/jobs';
import { type JobLine, openJobs } from '../jobLines';

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
