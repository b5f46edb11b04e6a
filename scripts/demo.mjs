// npm run demo: install, build, fill the demo folder if empty, start, print the address. `-- --fresh` starts over.
import { cpSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { digestOf, ensureBuilt, ensureInstalled, run } from './prepare.mjs';
import { BadSetting, DEMO_FOLDER, demoMark, readSettings } from './settings.mjs';

const folder = process.env.STABLE_DEMO_FOLDER ?? DEMO_FOLDER;
/** What a filled demo folder follows from. */
const FILLED_BY = ['package-lock.json', 'src/core', 'src/data', 'src/crib', 'demo'];
/** Keeps a filled folder whole or not at all, and none of older sources. */
function keep(filled, kept) {
  rmSync(dirname(kept), { recursive: true, force: true });
  cpSync(filled, `${kept}.part`, { recursive: true });
  renameSync(`${kept}.part`, kept);
}
const stop = (message) => {
  console.error(message);
  process.exit(1);
};
/** Whether another process holds the folder: asked with the same kernel lock. */
const locked = () =>
  existsSync(`${folder}/dir.lock`) &&
  spawnSync('flock', ['-n', '-x', `${folder}/dir.lock`, 'true']).status === 1;

const begun = existsSync(folder) && readdirSync(folder).length > 0;
if (begun && !demoMark(folder))
  stop(
    `${folder} holds something that the demo did not begin; it is left alone. Move it away, or set STABLE_DEMO_FOLDER.`,
  );
if (process.argv.includes('--fresh') && begun) {
  if (locked()) stop(`The demo folder ${folder} is in use: stop the running demo first.`);
  rmSync(folder, { recursive: true });
}
ensureInstalled();
ensureBuilt(process.env.STABLE_DIST);
if (!demoMark(folder)?.complete) {
  if (locked())
    stop(`The demo folder ${folder} is in use: another start is filling it. Wait for that one, or stop it.`);
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  // The same sources fill the same shop: for tests and pictures it is kept by their digest, and copied.
  const kept =
    process.env.STABLE_KEEP_DEMO && join(process.env.STABLE_KEEP_DEMO, digestOf(FILLED_BY).slice(0, 16));
  if (kept && demoMark(kept)?.complete) cpSync(kept, folder, { recursive: true });
  else {
    console.log('Filling the demo shop …');
    run('node', ['--import', 'tsx', '--conditions=react-server', 'demo/fill.ts', folder]);
    if (kept) keep(folder, kept);
  }
}
try {
  const settings = readSettings(process.env, { demo: true, folder });
  const { serveOrExplain } = await import('./serve.mjs');
  await serveOrExplain(settings);
} catch (error) {
  if (error instanceof BadSetting) stop(error.message);
  throw error;
}
