import { here, isProblem } from '@/crib/door';
import { backUp, restore } from '@/crib/keeping';
import { codeFromConsole } from '@/crib/people';
import { openDatabase } from '@/data/database';

/**
 * What is done with a data folder from the command line, beside the server: `backup DATA TO KEEP`, where no Stable runs on
 * it, `recover DATA INITIALS`, and `restore DATA BACKUP [--dry-run]`. Built into one file, which scripts/keep.mjs starts.
 */
async function main([what, data = '', folder = '', option]: string[]): Promise<void> {
  const now = new Date();
  if (what === 'backup') {
    const db = await openDatabase(data);
    try {
      const made = await backUp(db, { data, to: folder, now, keep: Number(option), beside: here });
      console.log(`${made.folder}: entries to ${made.backup.lastEntry}, opened and compared.`);
    } finally {
      await db.close();
    }
    return;
  }
  if (what === 'recover') {
    const db = await openDatabase(data);
    try {
      const code = await codeFromConsole({ db, now: () => now, zone: 'UTC' }, folder);
      console.log(
        code === null
          ? `${folder} does not sign in here: capital initials of somebody in use, with something to do, are needed.`
          : `${folder} sets a password at /sign-in#code=${code}, once, within three days.`,
      );
    } finally {
      await db.close();
    }
    return;
  }
  const dryRun = option === '--dry-run';
  const done = await restore(folder, data, { now, dryRun });
  const older = done.migrations ? `, brought up from an older Stable by ${done.migrations} steps` : '';
  const kept = done.before ? ` What was there before is kept as ${done.before}.` : '';
  console.log(
    `${dryRun ? 'It would restore' : 'Restored'} what was backed up at ${done.made}: entries to ${done.lastEntry}${older}.${kept}`,
  );
}

main(process.argv.slice(2)).then(
  () => process.exit(0),
  (error: unknown) => {
    const known = error instanceof Error && (isProblem(error) || error.name === 'FolderInUse');
    console.error(
      known
        ? `${error.message}.${isProblem(error) && error.wayOut ? ` ${error.wayOut}` : ''}`
        : `It broke: ${String(error)}`,
    );
    process.exit(1);
  },
);
