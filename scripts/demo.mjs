// npm run demo: install, build, fill the demo folder if empty, start, print the address. `-- --fresh` starts over.
import { existsSync, readdirSync, rmSync } from 'node:fs';
import { spawn, spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { copyDemo, fillBeside } from './keptDemo.mjs';
import { makeFolder } from './makeFolder.mjs';
import { ensureBuilt, ensureInstalled, ROOT } from './prepare.mjs';
import { BadSetting, DEMO_FOLDER, demoMark, markDemo, readSettings } from './settings.mjs';

const folder = process.env.STABLE_DEMO_FOLDER ?? DEMO_FOLDER;
const stop = (message) => {
  console.error(message);
  process.exit(1);
};
/** Whether another process holds the folder: asked with the same kernel lock. */
const locked = () => existsSync(folder) && spawnSync('flock', ['-n', '-x', folder, 'true']).status === 1;

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
/** A shop that is filled while the app is built; null: it is there, or copied. */
let filling = null;
if (!demoMark(folder)?.complete) {
  if (locked())
    stop(`The demo folder ${folder} is in use: another start is filling it. Wait for that one, or stop it.`);
  rmSync(folder, { recursive: true, force: true });
  makeFolder(folder);
  // Before anything else: killed at any moment, the next start knows the folder as its own and starts over.
  markDemo(folder, false);
  console.log('Filling the demo shop …');
  // Tests and pictures say where it is kept, with the time it pretends.
  if (process.env.STABLE_KEEP_DEMO && process.env.STABLE_NOW) copyDemo(process.env.STABLE_KEEP_DEMO, folder);
  else filling = fillBeside(folder);
}
await ensureBuilt(process.env.STABLE_DIST);
if (filling && !(await filling.done)) stop('The demo shop was not filled: start again, it begins anew.');
// What the shop measures with, simulated: processes of their own, which end with the demo. Their ports are in the demo's books.
for (const [device, port] of [
  ['presetter', '4400'],
  ['heightStand', '4401'],
]) {
  const child = spawn('node', [join(ROOT, 'devices', `${device}.mjs`), '--port', port], {
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  child.on('error', (error) => console.error(`The simulated ${device} did not start: ${error.message}`));
  process.on('exit', () => child.kill('SIGTERM'));
}
try {
  const settings = readSettings(process.env, { demo: true, folder });
  const { serveOrExplain } = await import('./serve.mjs');
  await serveOrExplain(settings);
} catch (error) {
  if (error instanceof BadSetting) stop(error.message);
  throw error;
}
