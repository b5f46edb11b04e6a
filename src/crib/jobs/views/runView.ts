import { sure } from '@/core/sure';
import { type RackCard, rackCard, standingAt } from '@/crib/rack';
import { controlOf, controlRules, type ControlRules, type InControl } from '@/crib/registers';
import type { TurnAt } from '@/crib/lives';
import { turnsOn, workAround } from '@/crib/work';
import { manyLastGood } from '@/data/breakage';
import type { Connection } from '@/data/database';
import {
  manyOpenUsesOf,
  manyPartsLogs,
  maybeOperation,
  type OpenUseSum,
  type PartsLogRow,
} from '@/data/jobs';
import { type Amiss, amissIn } from '../amissIn';
import { type JobLine, jobLines } from '../jobLines';
import { type SisterLine, sisterLine } from '../sisters';
import { type JobView, standingChoices } from './jobView';

/** What the machine's screen shows: an operation, the assemblies on its tools, minutes that belong to no cutter. */
export interface RunView {
  job: JobLine;
  /** How the machine holds sizes. */
  registers: ControlRules;
  /** What its tools have in the control; empty for one that is closed. */
  control: InControl[];
  assemblies: RackCard[];
  /** Other edges of one cutter in its pockets under the same T, on which it can go on. */
  sisters: SisterLine[];
  /** Where its machine has another tool for a T than what is tied to it, as far as its pockets are known. */
  amiss: Amiss[];
  /** What trials that go on say of the next edge of a T. */
  turns: (TurnAt & { t: number })[];
  /** What was logged last, to be taken back where it was wrong. */
  lastLog: PartsLogRow | null;
  /** The last part that was found good, and the check that said so; null: none was checked. */
  lastGood: { part: number; entryId: number } | null;
  openUses: Pick<OpenUseSum, 't' | 'minutes'>[];
  /** Assemblies that may have run them; empty where none are open. */
  standing: JobView['standing'];
}

/** An operation at the machine; null where there is none of that number. */
export async function runView(c: Connection, operationId: number): Promise<RunView | null> {
  const operation = await maybeOperation(c, operationId);
  if (!operation) return null;
  const work = await workAround(c, [operation]);
  const { cards, sisters } = await standingAt(c, work);
  const [job] = jobLines(work, cards);
  if (!job) return null;
  const machine = sure(work.machines.get(operation.machineId), 'the machine of an operation');
  const [lastLog = null] = await manyPartsLogs(c, operationId, 1);
  const [good] = await manyLastGood(c, [operationId]);
  const openUses = await manyOpenUsesOf(c, operationId);
  return {
    job,
    registers: controlRules(machine),
    control: await controlOf(c, machine, operation.job),
    assemblies: cards.map(rackCard),
    sisters: sisters.map(sisterLine),
    amiss: await amissIn(c, operation, work, job.tools, sisters),
    turns: [...(await turnsOn(c, work, operation))].flatMap(([t, of]) => of.map((turn) => ({ t, ...turn }))),
    lastLog,
    lastGood: good ? { part: good.part, entryId: good.entryId } : null,
    openUses: openUses.map(({ t, minutes }) => ({ t, minutes })),
    standing: openUses.length ? await standingChoices(c) : [],
  };
}
