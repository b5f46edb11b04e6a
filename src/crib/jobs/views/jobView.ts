import { compareTools, type ProgramReport, type ReadOptions, type ToolChange } from '@/core/programs';
import { held } from '@/core/sure';
import { partsLeftOf, readByMachine } from '@/crib/assemblies';
import { loadItems } from '@/crib/catalogue';
import { standingAt } from '@/crib/rack';
import { workAround } from '@/crib/work';
import { manyStandingAssemblies } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import {
  manyOperationsOfJob,
  manyPartsLogs,
  maybeProgramBefore,
  maybeReport,
  type PartsLogRow,
} from '@/data/jobs';
import { cycleFactors, type TimedParts } from '../cycleOf';
import { type JobLine, jobLines } from '../jobLines';
import { type SisterLine, sisterLine, withSisters } from '../sisters';
import { type SetupView, setupView } from '../setup/setupView';

/** One of the operations of a job, beside the one that is shown. */
export interface OperationOf {
  id: number;
  number: number;
  machine: string;
  partsMade: number;
  done: boolean;
}

/** One operation of a job with all that its program said, what was made of it, and what can be tied to its tools. */
export interface JobView extends JobLine {
  /** All operations of the job, in their order. */
  operations: OperationOf[];
  /** How it is set up, and who signed for it. */
  setup: SetupView;
  report: ProgramReport | null;
  /** What its program does otherwise than the one before it did, tool by tool; null: there was none. */
  before: { name: string; since: Date; who: string; changes: ToolChange[] } | null;
  /** How much longer its machine takes than is reckoned, with the parts that were timed; null: none was. */
  timed: TimedParts | null;
  /** How a program for its machine is read. */
  reads: Partial<ReadOptions>;
  /** Rapid rate of its machine; null: not known. */
  rapidMmMin: number | null;
  /** The latest logs, and whether there are more. */
  logs: PartsLogRow[];
  moreLogs: boolean;
  /** Other edges of one cutter in its machine under the same T. */
  sisters: SisterLine[];
  /** Assemblies that stand. */
  standing: { tag: string; words: string; stickoutMm: number }[];
}
const LOGS_SHOWN = 12;

/**
 * A job by its number: the operation that is asked for, or else the first that has parts to make; null where there is no
 * such job.
 */
export async function jobView(
  c: Connection,
  number: string,
  op: number | null = null,
): Promise<JobView | null> {
  const operations = await manyOperationsOfJob(c, number);
  const operation =
    operations.find((o) => o.number === op) ?? operations.find((o) => partsLeftOf(o) > 0) ?? operations[0];
  if (!operation) return null;
  const work = await workAround(c, [operation]);
  const { cards, sisters: beside } = await standingAt(c, work);
  const [line] = jobLines(work, cards);
  if (!line) return null;
  const machine = held(work.machines, operation.machineId);
  const logs = await manyPartsLogs(c, operation.id, LOGS_SHOWN + 1);
  const sisters = beside.map(sisterLine);
  return {
    ...line,
    tools: line.tools.map((tool) => withSisters(tool, line, cards, operation, sisters)),
    sisters,
    operations: operations.map((o) => ({
      ...{ id: o.id, number: o.number, machine: o.machine, partsMade: o.partsMade },
      done: partsLeftOf(o) === 0,
    })),
    setup: await setupView(c, line, machine, cards),
    report: line.program && ((await maybeReport(c, line.program.entryId))?.report ?? null),
    before: line.program && (await changesSince(c, operation.id, line)),
    timed: (await cycleFactors(c, [machine.id])).get(machine.id) ?? null,
    reads: readByMachine(machine),
    rapidMmMin: machine.rapidMmMin,
    logs: logs.slice(0, LOGS_SHOWN),
    moreLogs: logs.length > LOGS_SHOWN,
    standing: await standingChoices(c),
  };
}

async function changesSince(c: Connection, operation: number, line: JobLine): Promise<JobView['before']> {
  const before = line.program && (await maybeProgramBefore(c, operation, line.program.entryId));
  if (!before) return null;
  const { name, happenedAt: since, who, tools } = before;
  return {
    ...{ name, since, who },
    changes: compareTools(
      tools,
      line.tools.map((t) => t.tool),
    ),
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
