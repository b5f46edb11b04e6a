import { type Crib, here, isProblem, Problem } from '@/crib/door';
import { bringInto, handOver, openKeeper, restore } from '@/crib/keeping';
import { codeFromConsole } from '@/crib/people';
import { beginFolder, type FolderDatabase, MigrationChanged, openDatabase } from '@/data/database';

type Open = Crib & { db: FolderDatabase };
/** Opens a data folder on which no Stable runs, for one thing that is done with it. */
async function opened<T>(data: string, work: (crib: Open) => Promise<T>): Promise<T> {
  const db = await openDatabase(data);
  try {
    return await work({ db, now: () => new Date(), zone: 'UTC' });
  } finally {
    await db.close();
  }
}
const keeperOf = (crib: Open, data: string) => openKeeper(crib, data, here);

/** What is done with a data folder from the command line, beside the server; each says what came of it. */
const DOES: Record<string, (data: string, what: string, option?: string) => Promise<string>> = {
  async begin(data) {
    await beginFolder(data);
    return `${data} holds a database.`;
  },
  backup: (data, folder, option = '') =>
    opened(data, async (crib) => {
      const [keep, locked] = option.split(' ');
      const to = { folder, keep: Number(keep), locked: locked === 'locked' };
      const made = await keeperOf(crib, data).backUp(to);
      return `${made.folder}: entries to ${made.lastEntry}, opened and compared.`;
    }),
  check: (data) =>
    opened(data, async (crib) => {
      const { faults } = await keeperOf(crib, data).check();
      if (faults.length)
        throw new Problem('REFUSED', faults.join('; '), { wayOut: 'Put back the last backup from before.' });
      return 'All books and files agree.';
    }),
  archive: (data, to) =>
    opened(data, async (crib) => {
      const { file } = await keeperOf(crib, data).archive();
      handOver(file, to);
      return `${to}: all that is kept, as open files.`;
    }),
  async 'bring-in'(data, archive) {
    const { lastEntry, migrations } = await bringInto(archive, data);
    const older = migrations ? `, brought up from an older Stable by ${migrations} steps` : '';
    return `Brought in: entries to ${lastEntry}${older}, compared with what went out. Who signs in sets a password anew: npm run recover -- INITIALS.`;
  },
  recover: (data, person) =>
    opened(data, async (crib) => {
      const code = await codeFromConsole(crib, person);
      return code === null
        ? `${person} does not sign in here: capital initials of somebody in use, with something to do, are needed.`
        : `${person} sets a password at /sign-in#code=${code}, once, within three days.`;
    }),
  async restore(data, backup, option) {
    const dryRun = option === '--dry-run';
    const passphrase = process.env.STABLE_PASSPHRASE ?? null;
    const done = await restore(backup, data, { now: new Date(), dryRun, passphrase });
    const older = done.migrations ? `, brought up from an older Stable by ${done.migrations} steps` : '';
    const kept = done.before ? ` What was there before is kept as ${done.before}.` : '';
    return `${dryRun ? 'It would restore' : 'Restored'} what was backed up at ${done.made}: entries to ${done.lastEntry}${older}.${kept}`;
  },
};

/** `WHAT DATA [OF WHAT] [OPTION]`. Built into one file, which scripts/keep.mjs starts. */
async function main([what = '', data = '', of = '', option]: string[]): Promise<void> {
  const does = DOES[what];
  if (!does) throw new Error(`${what} is nothing here`);
  console.log(await does(data, of, option));
}

main(process.argv.slice(2)).then(
  () => process.exit(0),
  (error: unknown) => {
    const known =
      error instanceof Error &&
      (isProblem(error) || error instanceof MigrationChanged || error.name === 'FolderInUse');
    console.error(
      known
        ? `${error.message}.${isProblem(error) && error.wayOut ? ` ${error.wayOut}` : ''}`
        : `It broke: ${String(error)}`,
    );
    process.exit(1);
  },
);
