import type { Grade } from '@/core/because';
import type { Stage } from '@/core/jobs';
import { held } from '@/core/sure';
import { standingCards } from '@/crib/rack';
import { openWork } from '@/crib/work';
import { type ReadOnce, readOnce } from '@/crib/door';
import type { Connection } from '@/data/database';
import { manyDoneOperations, manySetupSheets, manySignatures, type OperationRow } from '@/data/jobs';
import { type JobLine, openJobs } from '../jobLines';
import { setupOf } from '../setup/setupOf';
import { stageOfJob } from '../setup/setupView';
import { isProved } from '../setup/signed';

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
  stage: Stage;
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

const summary = (j: JobLine, proved: boolean): JobSummary => ({
  operation: j.operation,
  partsLeft: j.partsLeft,
  hasProgram: j.program !== null,
  ready: j.ready,
  tools: j.tools.length,
  cutting: j.cycle?.cutting ?? null,
  grade: j.grade,
  stage: stageOfJob(j, proved),
});

/** Jobs with parts to make, and a page of those that are done. */
export async function jobsView(
  c: Connection,
  after: number | null = null,
  once: ReadOnce = readOnce(c, ''),
): Promise<JobsView> {
  const done = await manyDoneOperations(c, after, PAGE + 1);
  const open = await once(openJobs);
  const proved = await provedNow(c, open, once);
  return {
    open: open.map((j) => summary(j, proved.has(j.operation.id))),
    done: done.slice(0, PAGE),
    next: done.length > PAGE ? (done[PAGE - 1]?.id ?? null) : null,
  };
}

/** Those of some operations that are proved as they are set up now. */
async function provedNow(c: Connection, jobs: readonly JobLine[], once: ReadOnce): Promise<Set<number>> {
  const rows = (
    await manySignatures(
      c,
      jobs.map((j) => j.operation.id),
    )
  ).filter((r) => r.step === 'proved');
  if (!rows.length) return new Set();
  const ids = new Set(rows.map((r) => r.operationId));
  const sheets = new Map((await manySetupSheets(c, [...ids])).map((s) => [s.operationId, s]));
  const { machines } = await once(openWork);
  const cards = await once(standingCards);
  return new Set(
    jobs
      .filter(({ operation: o }) => ids.has(o.id))
      .filter((j) => {
        const { id, machineId } = j.operation;
        const setup = setupOf(j, held(machines, machineId), sheets.get(id) ?? null, cards);
        return isProved(
          rows.filter((r) => r.operationId === id),
          setup,
        );
      })
      .map((j) => j.operation.id),
  );
}
