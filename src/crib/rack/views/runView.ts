import { type JobLine, jobLines, type JobView, standingChoices, workAround } from '@/crib/jobs';
import type { Connection } from '@/data/database';
import { manyOpenUsesOf, maybeOperation, type OpenUseSum } from '@/data/jobs';
import { standingOn } from '../cards';
import { type RackCard, rackCard } from './rackView';

/** What the machine's screen shows: an operation, the assemblies on its tools, minutes that belong to no cutter. */
export interface RunView {
  job: JobLine;
  assemblies: RackCard[];
  openUses: Pick<OpenUseSum, 't' | 'minutes'>[];
  /** Assemblies that may have run them; empty where none are open. */
  standing: JobView['standing'];
}

/** An operation at the machine; null where there is none of that number. */
export async function runView(c: Connection, operationId: number): Promise<RunView | null> {
  const operation = await maybeOperation(c, operationId);
  if (!operation) return null;
  const work = await workAround(c, [operation]);
  const [job] = jobLines(work);
  if (!job) return null;
  const openUses = await manyOpenUsesOf(c, operationId);
  return {
    job,
    assemblies: (await standingOn(c, work)).map(rackCard),
    openUses: openUses.map(({ t, minutes }) => ({ t, minutes })),
    standing: openUses.length ? await standingChoices(c) : [],
  };
}
