// npm start: the user's own folder. npm run dev: the same with Next's development server.
import { ensureBuilt, ensureInstalled, workersOf } from './prepare.mjs';
import { BadSetting, readSettings } from './settings.mjs';

const dev = process.argv.includes('--dev');
let settings;
try {
  settings = readSettings(process.env);
} catch (error) {
  if (!(error instanceof BadSetting)) throw error;
  console.error(error.message);
  process.exit(1);
}
ensureInstalled();
if (dev) await (await import('./workers.mjs')).buildWorkers(workersOf(process.env.STABLE_DIST));
else await ensureBuilt(process.env.STABLE_DIST);
const { serveOrExplain } = await import('./serve.mjs');
await serveOrExplain({ ...settings, dev });
