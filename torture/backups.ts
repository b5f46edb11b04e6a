import { spawn } from 'node:child_process';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { furnish, oneReceived } from './shop';
import { newFolder, startStable } from './server';

/** Runs scripts/keep.mjs as npm run backup and restore do; gives what it said and whether it ended well. */
const keep = (data: string, ...args: string[]): Promise<{ good: boolean; said: string }> =>
  new Promise((resolve) => {
    const child = spawn('node', ['scripts/keep.mjs', ...args], {
      env: { ...process.env, STABLE_DATA: data },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let said = '';
    child.stdout.on('data', (chunk: Buffer) => void (said += chunk.toString()));
    child.stderr.on('data', (chunk: Buffer) => void (said += chunk.toString()));
    child.once('exit', (code) => resolve({ good: code === 0, said: said.trim() }));
  });

/**
 * Backs up and writes all out so many times while four write, then restores each backup and brings each archive in beside:
 * every one must be equal to what it was made of, which both compare row by row.
 */
export async function backups(times: number): Promise<{
  made: number;
  restored: number;
  archived: number;
  broughtIn: number;
  written: number;
  said: string[];
}> {
  const stable = await startStable();
  await furnish(stable);
  const to = newFolder();
  let on = true;
  let written = 0;
  const writer = async () => {
    while (on) if ((await stable.post('stock/received', oneReceived())).status === 201) written += 1;
  };
  const writers = [writer(), writer(), writer(), writer()];
  const out = { made: 0, restored: 0, archived: 0, broughtIn: 0, written: 0, said: new Array<string>() };
  const folders: string[] = [];
  const archives: string[] = [];
  for (let i = 0; i < times; i += 1) {
    const { good, said } = await keep(stable.folder, 'backup', to, '--keep', String(times));
    const folder = /^(\S+): entries/m.exec(said)?.[1];
    if (good && folder) {
      out.made += 1;
      folders.push(folder);
    } else out.said.push(said);
    const archive = join(to, `${i}.zip`);
    const wrote = await keep(stable.folder, 'archive', archive);
    if (wrote.good) {
      out.archived += 1;
      archives.push(archive);
    } else out.said.push(wrote.said);
  }
  on = false;
  await Promise.all(writers);
  await stable.end();
  for (const folder of folders) {
    const target = join(newFolder(), 'data');
    const { good, said } = await keep(target, 'restore', folder);
    if (good) out.restored += 1;
    else out.said.push(said);
    rmSync(target, { recursive: true, force: true });
  }
  for (const archive of archives) {
    const target = join(newFolder(), 'data');
    const { good, said } = await keep(target, 'bring-in', archive);
    if (good) out.broughtIn += 1;
    else out.said.push(said);
    rmSync(target, { recursive: true, force: true });
  }
  rmSync(to, { recursive: true, force: true });
  return { ...out, written };
}
