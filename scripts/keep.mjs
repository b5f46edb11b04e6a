// npm run backup -- FOLDER [--keep 7]: a copy of your data while Stable runs, or while it does not.
// npm run recover -- INITIALS: a code by which somebody who forgot their password sets it anew.
// npm run restore -- BACKUP [--dry-run]: puts one in the place of your data, while Stable is stopped.
import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { ensureBuilt, ensureInstalled, ROOT, toolsOf } from './prepare.mjs';
import { OWN_FOLDER } from './settings.mjs';

const [what, ...args] = process.argv.slice(2);
const end = (words) => {
  console.error(words);
  process.exit(1);
};
const data = resolve(process.env.STABLE_DATA || OWN_FOLDER);
const keepAt = args.indexOf('--keep');
const keep = keepAt < 0 ? 7 : Number(args.splice(keepAt, 2)[1]);
const dryAt = args.indexOf('--dry-run');
const dryRun = dryAt >= 0 && args.splice(dryAt, 1).length === 1;
const [folder] = args;
if (!folder || args.length > 1 || !Number.isInteger(keep) || keep < 1)
  end(
    what === 'recover'
      ? 'npm run recover -- INITIALS: of somebody who signs in here.'
      : what === 'backup'
        ? 'npm run backup -- FOLDER [--keep 7]: a folder, best on another disk, and how many backups are kept in it.'
        : 'npm run restore -- BACKUP [--dry-run]: the folder of one backup, such as …/stable-2027-01-12T090000Z.',
  );
if (what !== 'restore' && !existsSync(join(data, 'pg')))
  end(`${data} holds no data. Set STABLE_DATA to the folder that does.`);

function recovered(code, person) {
  if (!code)
    end(
      `${person} does not sign in here: capital initials of somebody in use, with something to do, are needed.`,
    );
  return `${person} sets a password at /sign-in#code=${code}, once, within three days.`;
}

const running = existsSync(data) && spawnSync('flock', ['-n', '-x', data, 'true']).status === 1;
if (what !== 'restore' && running) {
  const asks = join(data, 'ask');
  mkdirSync(asks, { recursive: true, mode: 0o700 });
  const ask = join(asks, `${what}-${randomUUID()}.json`);
  const done = ask.replace(/json$/, 'done');
  writeFileSync(
    `${ask}.part`,
    JSON.stringify(what === 'recover' ? { person: folder } : { to: resolve(folder), keep }),
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
  console.log(
    what === 'backup'
      ? `${answer.folder}: entries to ${answer.lastEntry}, opened and compared.`
      : recovered(answer.code, folder),
  );
} else {
  ensureInstalled();
  await ensureBuilt(process.env.STABLE_DIST);
  const option = what === 'recover' ? [] : what === 'backup' ? [String(keep)] : dryRun ? ['--dry-run'] : [];
  const { status } = spawnSync(
    process.execPath,
    [toolsOf(process.env.STABLE_DIST), what, data, what === 'recover' ? folder : resolve(folder), ...option],
    { stdio: 'inherit', cwd: ROOT },
  );
  process.exit(status ?? 1);
}
