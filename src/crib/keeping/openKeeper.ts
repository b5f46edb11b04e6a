import { chmodSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { type Beside, type Crib, type KeptFacts, type Keeper, Problem, toProblem } from '@/crib/door';
import type { FolderDatabase } from '@/data/database';
import { begunAt, maybeBackupPlan } from '@/data/keeping';
import { backUp, backupsBelow, copiesIn, copyFiles, stamp } from './backUp';
import { lastWanted } from './timetable';
import { archiveCopy, checkCopy } from './tasks';

/** Beside the data: what is known of how it is kept. */
const FACTS = 'keeping.json';
/** Beside the data, for the user alone who runs Stable; no backup holds it. */
const PASSPHRASE = 'backup-passphrase';
/** What lies beside the data and is kept through a restore. */
export const BESIDE = [FACTS, PASSPHRASE];
/** Seconds that looking through a copy, or writing it out, may take: nobody waits for it. */
const LONG_S = 3600;
/** After a night's backup failed it is tried again: a disk may be back, or have room. */
const AGAIN_AFTER_MS = 3_600_000;

/** When all is looked through where no backup does it. */
const NIGHTLY_CHECK = { at: '03:00' };

type Written = Pick<KeptFacts, 'good' | 'failed' | 'checked'>;

const read = (path: string): string | null => {
  try {
    return readFileSync(path, 'utf8');
  } catch {
    return null;
  }
};

/** What was written down of how a folder is kept; what can't be read is not known. */
function writtenOf(data: string): Written {
  const nothing: Written = { good: null, failed: null, checked: null };
  try {
    // Written by put, below.
    const written: Partial<Written> = JSON.parse(read(join(data, FACTS)) ?? '{}');
    return { ...nothing, ...written };
  } catch {
    return nothing;
  }
}

/** The keeper of a data folder that is open, and the look at the timetable that somebody has it take now and then. */
export function openKeeper(
  crib: Crib & { db: FolderDatabase },
  data: string,
  beside: Beside,
  demo = false,
): Keeper & { lookAtTimetable(): Promise<void> } {
  // What a killed Stable left.
  rmSync(copiesIn(data), { recursive: true, force: true });
  const put = (more: Partial<Written>) => {
    const path = join(data, FACTS);
    writeFileSync(`${path}.part`, JSON.stringify({ ...writtenOf(data), ...more }));
    renameSync(`${path}.part`, path);
  };
  const passphrase = () => read(join(data, PASSPHRASE));
  let busy: string | null = null;
  const alone = async <T>(what: string, work: () => Promise<T>): Promise<T> => {
    if (busy !== null) throw new Problem('BUSY', `Just now ${busy}`, { wayOut: 'Try again in a minute.' });
    busy = what;
    try {
      return await work();
    } finally {
      busy = null;
    }
  };
  /** Does something with a copy of the files of now, which goes afterwards. */
  const withCopy = async <T>(work: (folder: string, at: Date) => Promise<T>): Promise<T> => {
    const now = crib.now();
    const folder = join(copiesIn(data), stamp(now));
    try {
      await copyFiles(crib.db, data, folder, now);
      return await work(folder, now);
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  };
  const keeper: Keeper = {
    facts: () => ({ ...writtenOf(data), hasPassphrase: passphrase() !== null, demo, folder: data }),
    backups(folder) {
      try {
        return backupsBelow(folder);
      } catch {
        return null;
      }
    },
    onTheSameDisk(folder) {
      const at = statSync(folder, { throwIfNoEntry: false });
      return at ? at.dev === statSync(data).dev : null;
    },
    backUp: ({ folder, keep, locked }) =>
      alone('a backup is being made', async () => {
        const now = crib.now();
        const secret = locked ? passphrase() : null;
        try {
          if (locked && secret === null)
            throw new Problem('REFUSED', 'No passphrase is set to lock it with', {
              field: 'passphrase',
              wayOut: 'Set one on the page Backups, or let backups lie open.',
            });
          const made = await backUp(crib.db, {
            data,
            to: folder,
            now,
            keep,
            beside,
            passphrase: secret,
            // A copy that was looked through says of the data what it found, whether it becomes a backup or not.
            looked: (faults) => put({ checked: { at: now.toISOString(), faults } }),
          });
          const good = { at: now.toISOString(), folder: made.folder, lastEntry: made.backup.lastEntry };
          put({ good, failed: null });
          return { folder: made.folder, lastEntry: made.backup.lastEntry };
        } catch (error) {
          put({ failed: { at: now.toISOString(), why: toProblem(error).message } });
          throw error;
        }
      }),
    check: () =>
      alone('the books are being looked through', () =>
        withCopy(async (folder, at) => {
          const { faults } = await beside(checkCopy, { folder }, { seconds: LONG_S });
          put({ checked: { at: at.toISOString(), faults } });
          return { faults };
        }),
      ),
    archive: () =>
      alone('all is being written out', () =>
        withCopy(async (folder, at) => {
          const made = at.toISOString();
          const file = await beside(archiveCopy, { folder, made }, { seconds: LONG_S });
          const kept = join(dirname(folder), `${stamp(at)}.zip`);
          renameSync(file, kept);
          return { file: kept, name: `stable-${stamp(at)}.zip` };
        }),
      ),
    setPassphrase(secret) {
      const path = join(data, PASSPHRASE);
      if (secret === null) rmSync(path, { force: true });
      else {
        writeFileSync(`${path}.part`, secret, { mode: 0o600 });
        chmodSync(`${path}.part`, 0o600);
        renameSync(`${path}.part`, path);
      }
    },
  };
  /** What was tried last, so that what fails is not tried again each time somebody looks. */
  let tried = { plan: 0, at: 0 };
  return {
    ...keeper,
    async lookAtTimetable() {
      if (busy !== null) return;
      const now = crib.now();
      const plan = await maybeBackupPlan(crib.db);
      const wanted = lastWanted(plan ?? NIGHTLY_CHECK, crib.zone, now);
      const { good, checked } = writtenOf(data);
      const since = (at: string | undefined) =>
        at !== undefined && new Date(at) >= wanted && new Date(at) <= now;
      if (plan ? since(good?.at) : since(checked?.at)) return;
      // Nothing is copied on the day on which a shop begins, but where somebody asked for it.
      const begun = await begunAt(crib.db);
      if (!plan && (demo || !begun || begun >= wanted)) return;
      const of = plan?.entryId ?? 0;
      if (tried.plan === of && now.getTime() - tried.at < AGAIN_AFTER_MS) return;
      tried = { plan: of, at: now.getTime() };
      await (plan ? keeper.backUp(plan) : keeper.check());
    },
  };
}
