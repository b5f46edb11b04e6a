// What must hold before Stable runs, with Node alone: packages as the lock file says, a build of the present sources.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');
process.env.NEXT_TELEMETRY_DISABLED = '1';

/** Runs a command in the project; a failing one ends the script with its code unless `keepGoing`. */
export function run(command, args, { keepGoing = false, env = {} } = {}) {
  const { status, error } = spawnSync(command, args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  if (error) console.error(`${command} did not start: ${error.message}`);
  const code = status ?? 1;
  if (code !== 0 && !keepGoing) process.exit(code);
  return code;
}

function filesBelow(path) {
  const full = join(ROOT, path);
  if (!existsSync(full)) return [];
  if (!statSync(full).isDirectory()) return [path];
  return readdirSync(full, { withFileTypes: true }).flatMap((entry) => filesBelow(join(path, entry.name)));
}

/** A digest of files and folders, by path and content. */
export function digestOf(paths) {
  const hash = createHash('sha256');
  for (const file of paths.flatMap(filesBelow).sort())
    hash
      .update(file)
      .update('\0')
      .update(readFileSync(join(ROOT, file)))
      .update('\0');
  return hash.digest('hex');
}

const marked = (path) => (existsSync(path) ? readFileSync(path, 'utf8').trim() : '');
function mark(path, text) {
  mkdirSync(dirname(path), { recursive: true });
  writeFileSync(path, text);
}

/** `npm ci` when the lock file is not the one that was installed last. */
export function ensureInstalled() {
  const at = join(ROOT, 'node_modules', '.stable-installed');
  const digest = digestOf(['package-lock.json']);
  if (marked(at) === digest) return;
  console.log('Installing packages from the lock file …');
  run('npm', ['ci', '--include=dev', '--ignore-scripts', '--no-audit', '--no-fund']);
  mark(at, digest);
}

/** Where the workers' own program lies. */
export const workersOf = (dist = '.next') => join(ROOT, dist, 'stable-worker.cjs');
/** Where the tools of the command line lie. */
export const toolsOf = (dist = '.next') => join(ROOT, dist, 'stable-tools.cjs');

/** `next build` into its folder when lock file, sources or configuration changed. */
export async function ensureBuilt(dist = '.next') {
  // The test run has built already; two servers that both began to build would break each other's.
  if (process.env.STABLE_BUILD === 'ready') return;
  const at = join(ROOT, dist, '.stable-built');
  const digest = digestOf([
    'package-lock.json',
    'next.config.ts',
    'tsconfig.json',
    'scripts/workers.mjs',
    'src',
  ]);
  if (marked(at) === digest && existsSync(join(ROOT, dist, 'BUILD_ID'))) return;
  console.log('Building …');
  run('node', [join('node_modules', 'next', 'dist', 'bin', 'next'), 'build'], { env: { STABLE_DIST: dist } });
  // Only now: this script runs with Node alone until the packages are there.
  const { buildTools, buildWorkers } = await import('./workers.mjs');
  await buildWorkers(workersOf(dist));
  await buildTools(toolsOf(dist));
  mark(at, digest);
}
