import { type BackupPlan, type BackupsJudged, judgeBackups } from '@/core/keeping';
import type { Crib, KeptFacts } from '@/crib/door';
import { begunAt, maybeBackupPlan } from '@/data/keeping';
import { lastWanted, nextWanted } from '../timetable';

/** What is said of the backups, and by what. */
export interface KeepingView {
  judged: BackupsJudged;
  plan: BackupPlan | null;
  /** When the next one is made by itself; null: none is planned. */
  next: Date | null;
  /** null: this crib lies in no folder. */
  facts: KeptFacts | null;
  /** Names of the backups in the planned folder, the newest first; null: it can’t be read. */
  there: string[] | null;
  /** The planned folder lies on the disk of the data: what takes one takes both. */
  sameDisk: boolean;
}

/** How safe the data is kept. */
export async function judgedBackups(crib: Crib): Promise<BackupsJudged> {
  return judge(crib, await maybeBackupPlan(crib.db));
}

async function judge(crib: Crib, plan: BackupPlan | null): Promise<BackupsJudged> {
  const facts = crib.keeper?.facts() ?? null;
  const now = crib.now();
  const good = facts?.good ? new Date(facts.good.at) : null;
  // One of a day to come was made while the clock was wrong: how old it is, nobody knows.
  const lastGood = good && good <= now ? good : null;
  return judgeBackups({
    demo: facts?.demo ?? false,
    plan,
    lastGood,
    wanted: plan && lastWanted(plan, crib.zone, now),
    wrong: facts?.failed?.why ?? null,
    faults: facts?.checked?.faults ?? [],
    since: await begunAt(crib.db),
    now,
  });
}

/** How the data is kept: the timetable, what lies there, what is to be said of it. */
export async function keepingView(crib: Crib): Promise<KeepingView> {
  const said = await maybeBackupPlan(crib.db);
  const plan = said && { folder: said.folder, at: said.at, keep: said.keep, locked: said.locked };
  return {
    judged: await judge(crib, plan),
    plan,
    next: plan && nextWanted(plan, crib.zone, crib.now()),
    facts: crib.keeper?.facts() ?? null,
    there: plan && crib.keeper ? crib.keeper.backups(plan.folder) : null,
    sameDisk: plan !== null && crib.keeper?.onTheSameDisk(plan.folder) === true,
  };
}
