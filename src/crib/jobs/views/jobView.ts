import type { ProgramReport, ReadOptions } from '@/core/programs';
import { held } from '@/core/sure';
import { loadItems } from '@/crib/catalogue';
import { standingOn } from '@/crib/rack';
import { workAround } from '@/crib/work';
import { manyStandingAssemblies } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import { manyOperationsOfJob, manyPartsLogs, maybeReport, type PartsLogRow } from '@/data/jobs';
import { type JobLine, jobLines } from '../jobLines';
import { readByMachine } from '../readOptions';

/** One job with all that its program said, what was made of it, and what can be tied to its tools. */
export interface JobView extends JobLine {
  report: ProgramReport | null;
  /** How a program for its machine is read. */
  reads: Partial<ReadOptions>;
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
  const work = await workAround(c, [operation]);
  const [line] = jobLines(work, await standingOn(c, work));
  if (!line) return null;
  const logs = await manyPartsLogs(c, operation.id, LOGS_SHOWN + 1);
  return {
    ...line,
    report: line.program && ((await maybeReport(c, line.program.entryId))?.report ?? null),
    reads: readByMachine(held(work.machines, operation.machineId)),
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
