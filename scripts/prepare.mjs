// What must hold before Stable runs, with Node alone: packages as the lock file says, a build of the present sources.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  constants,
  existsSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  statSync,
  writeFileSync,
} from 'node:fs';
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

const DIST = '.next';
/**
 * Holds the packages and the build for this process as long as it lives: a server loads of both when it first needs them. A lock
 * of the kernel's on either folder, shared with other servers, freed however the process ends.
 */
export function holdInUse(dist = DIST) {
  for (const name of ['node_modules', dist]) {
    const folder = join(ROOT, name);
    if (!existsSync(folder)) continue;
    // Left open: closed, it would let go.
    const fd = openSync(folder, constants.O_RDONLY | constants.O_DIRECTORY);
    spawnSync('flock', ['-n', '-s', '3'], { stdio: ['ignore', 'ignore', 'ignore', fd] });
  }
}
/** Ends where a server holds that folder: what it runs with isn't taken from under it. */
function mustBeFree(name, why) {
  const folder = join(ROOT, name);
  if (!existsSync(folder) || spawnSync('flock', ['-n', '-x', folder, 'true']).status !== 1) return;
  console.error(
    `${why}, and a Stable that was started before runs from ${ROOT}. It goes on; nothing was changed. Stop it, then run this again.`,
  );
  process.exit(1);
}

/** `npm ci` when the lock file is not the one that was installed last. */
export function ensureInstalled() {
  const at = join(ROOT, 'node_modules', '.stable-installed');
  const digest = digestOf(['package-lock.json']);
  if (marked(at) === digest) return;
  mustBeFree('node_modules', 'The packages that Stable needs have changed');
  console.log('Installing packages from the lock file …');
  run('npm', ['ci', '--include=dev', '--ignore-scripts', '--no-audit', '--no-fund']);
  mark(at, digest);
}

/** Where the workers' own program lies. */
export const workersOf = (dist = DIST) => join(ROOT, dist, 'stable-worker.cjs');
/** Where the tools of the command line lie. */
export const toolsOf = (dist = DIST) => join(ROOT, dist, 'stable-tools.cjs');

/** `next build` into its folder when lock file, sources or configuration changed. */
export async function ensureBuilt(dist = DIST) {
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
  mustBeFree(dist, 'Stable has changed and must be built anew');
  console.log('Building …');
  run('node', [join('node_modules', 'next', 'dist', 'bin', 'next'), 'build'], { env: { STABLE_DIST: dist } });
  // Only now: this script runs with Node alone until the packages are there.
  const { buildTools, buildWorkers } = await import('./workers.mjs');
  await buildWorkers(workersOf(dist));
  await buildTools(toolsOf(dist));
  mark(at, digest);
}
