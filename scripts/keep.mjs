// What is done with a data folder from the command line:
// npm run backup -- FOLDER [--keep 7] [--locked]: a copy of your data while Stable runs, or while it does not.
// npm run restore -- BACKUP [--dry-run]: puts one in the place of your data, while Stable is stopped.
// npm run archive -- FILE.zip: all of it as open files. npm run bring-in -- FILE.zip: into an empty folder.
// npm run check: looks through all books and files.
// npm run recover -- INITIALS: a code by which somebody who forgot their password sets it anew.
import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { existsSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { makeFolder } from './makeFolder.mjs';
import { ensureBuilt, ensureInstalled, ROOT, toolsOf } from './prepare.mjs';
import { OWN_FOLDER } from './settings.mjs';

const [what, ...args] = process.argv.slice(2);
const end = (words) => {
  console.error(words);
  process.exit(1);
};
const data = resolve(process.env.STABLE_DATA || OWN_FOLDER);
const flag = (name) => {
  const at = args.indexOf(name);
  return at >= 0 && args.splice(at, 1).length === 1;
};
const keepAt = args.indexOf('--keep');
const keep = keepAt < 0 ? 7 : Number(args.splice(keepAt, 2)[1]);
const dryRun = flag('--dry-run');
const locked = flag('--locked');
/** What each takes, in words, and how its answer reads. */
const DOES = {
  backup: {
    takes:
      'npm run backup -- FOLDER [--keep 7] [--locked]: a folder, best on another disk, how many backups are kept in it, and whether they are locked by the passphrase that was set on the page Backups.',
    says: (a) => `${a.folder}: entries to ${a.lastEntry}, opened and compared.`,
  },
  restore: {
    takes:
      'npm run restore -- BACKUP [--dry-run]: one backup, such as …/stable-2027-01-12T090000Z; for a locked one STABLE_PASSPHRASE is set.',
  },
  archive: {
    takes: 'npm run archive -- FILE.zip: all that is kept, as open files.',
    says: (a) => `${a.file}: all that is kept, as open files.`,
  },
  'bring-in': {
    takes:
      'npm run bring-in -- FILE.zip: what npm run archive wrote, into a folder (STABLE_DATA) that holds nothing yet.',
  },
  check: {
    takes: 'npm run check: looks through all books and files.',
    says: (a) => (a.faults.length ? end(a.faults.join('; ')) : 'All books and files agree.'),
  },
  recover: {
    takes: 'npm run recover -- INITIALS: of somebody who signs in here.',
    says: (a) => recovered(a.code, of),
  },
};
const { takes, says } = DOES[what] ?? end(`${what} is nothing here`);
const [of] = args;
if (args.length !== (what === 'check' ? 0 : 1) || !Number.isInteger(keep) || keep < 1) end(takes);
const named = what === 'recover' || what === 'check' ? (of ?? '') : resolve(of);
if (says && !existsSync(join(data, 'pg')))
  end(`${data} holds no data. Set STABLE_DATA to the folder that does.`);

function recovered(code, person) {
  if (!code)
    end(
      `${person} does not sign in here: capital initials of somebody in use, with something to do, are needed.`,
    );
  return `${person} sets a password at /sign-in#code=${code}, once, within three days.`;
}

const running = existsSync(data) && spawnSync('flock', ['-n', '-x', data, 'true']).status === 1;
if (says && running) {
  const asks = join(data, 'ask');
  makeFolder(asks);
  const ask = join(asks, `${what}-${randomUUID()}.json`);
  const done = ask.replace(/json$/, 'done');
  writeFileSync(
    `${ask}.part`,
    JSON.stringify(what === 'recover' ? { person: named } : { to: named, keep, locked }),
  );
  renameSync(`${ask}.part`, ask);
  for (let left = 1200; !existsSync(done); left -= 1) {
    if (left === 0) {
      rmSync(ask, { force: true });
      end('The Stable that has the folder open does not answer. Look whether it runs; nothing was done.');
    }
    await new Promise((wait) => setTimeout(wait, 500));
  }
  const answer = JSON.parse(readFileSync(done, 'utf8'));
  rmSync(done);
  if (answer.wrong) end(`${answer.wrong}.${answer.wayOut ? ` ${answer.wayOut}` : ''}`);
  console.log(says(answer));
} else {
  ensureInstalled();
  await ensureBuilt(process.env.STABLE_DIST);
  const option = {
    backup: [`${keep} ${locked ? 'locked' : 'open'}`],
    restore: dryRun ? ['--dry-run'] : [],
  }[what];
  const { status } = spawnSync(
    process.execPath,
    [toolsOf(process.env.STABLE_DIST), what, data, named, ...(option ?? [])],
    { stdio: 'inherit', cwd: ROOT },
  );
  process.exit(status ?? 1);
}
