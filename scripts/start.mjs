// npm start: the user's own folder, under a supervisor. npm run dev: the same with Next's development server, without one.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureBuilt, ensureInstalled, ROOT, toolsOf, workersOf } from './prepare.mjs';
import { BadSetting, readSettings } from './settings.mjs';

const dev = process.argv.includes('--dev');
/** This process is the server itself: under the supervisor, or under one of the system's (docs/running.md). */
const server = process.argv.includes('--server');
let settings;
try {
  settings = readSettings(process.env);
} catch (error) {
  if (!(error instanceof BadSetting)) throw error;
  console.error(error.message);
  process.exit(1);
}
if (!server) {
  ensureInstalled();
  if (dev) await (await import('./workers.mjs')).buildWorkers(workersOf(process.env.STABLE_DIST));
  else await ensureBuilt(process.env.STABLE_DIST);
}
/** Milliseconds in which even a slow machine has made a database. */
const BEGIN_MS = 120_000;
if (server && !existsSync(join(settings.data, 'pg'))) {
  console.log('A first start: the database is made …');
  // In a process of its own, whose memory goes with it. What keeps it from being made is said by the server below, which tries it itself.
  spawnSync(process.execPath, [toolsOf(process.env.STABLE_DIST), 'begin', settings.data], {
    stdio: 'ignore',
    cwd: ROOT,
    timeout: BEGIN_MS,
  });
}
if (server || dev) {
  const { serveOrExplain } = await import('./serve.mjs');
  await serveOrExplain({ ...settings, dev });
} else {
  const { supervise } = await import('./supervise.mjs');
  process.exit(await supervise(fileURLToPath(import.meta.url), { data: settings.data }));
}
