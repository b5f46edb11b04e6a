// npm test: everything, every step runs, one plain line at the end. npm run test:unit | test:data | test:e2e: one part.
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled, ROOT, run } from './prepare.mjs';

const only = process.argv[2];
const out = mkdtempSync(join(tmpdir(), 'stable-test-'));
let passed = 0;
let failed = 0;
const count = (name, code) => {
  if (code === 0) passed += 1;
  else failed += 1;
  console.log(`${code === 0 ? 'ok' : 'FAILED'}: ${name}`);
};
const bin = (name) => join(ROOT, 'node_modules', '.bin', name);
/** Steps that look at the sources alone, side by side: each one's words come out whole, once it has ended. */
const beside = (...steps) =>
  Promise.all(
    steps.map(
      ([name, command, args]) =>
        new Promise((resolve) => {
          const child = spawn(command, args, { cwd: ROOT });
          let out = '';
          const hear = (chunk) => (out += chunk);
          child.stdout.on('data', hear);
          child.stderr.on('data', hear);
          child.on('error', (error) => hear(`${command} did not start: ${error.message}\n`));
          child.on('close', (code) => {
            process.stdout.write(out);
            count(name, code ?? 1);
            resolve();
          });
        }),
    ),
  );

function jest(name, ...projects) {
  const report = join(out, `${name}.json`);
  const code = run(
    'node',
    [
      // PGlite is loaded as an ES module; the unit tests open no database and need no flag.
      ...(name === 'data' ? ['--experimental-vm-modules'] : []),
      bin('jest'),
      // A failed test may leave its database open, which would keep the run from ending.
      '--forceExit',
      // One worker a core of the smallest machine this is to run on in time.
      '--maxWorkers=2',
      // A worker keeps the memory of every database that its files opened until it ends: it ends after a file that took much.
      '--workerIdleMemoryLimit=3GB',
      '--selectProjects',
      ...projects,
      '--json',
      `--outputFile=${report}`,
    ],
    {
      keepGoing: true,
      env: { NODE_NO_WARNINGS: '1' },
    },
  );
  add(name, code, () => {
    const r = JSON.parse(readFileSync(report, 'utf8'));
    return [r.numPassedTests, r.numFailedTests + r.numRuntimeErrorTestSuites];
  });
}

/** Adds a runner's own counts; a runner that failed without saying what counts as one failure. */
function add(name, code, read) {
  let [ok, bad] = [0, 0];
  try {
    [ok, bad] = read();
  } catch {
    console.error(`${name} left no report`);
  }
  if ((code !== 0 || ok === 0) && bad === 0) bad = 1;
  passed += ok;
  failed += bad;
}

async function playwright() {
  const chromium = ensureChromium();
  if (!chromium) return void count('chromium is there', 1);
  try {
    await ensureBuilt('.next-test');
  } catch {
    return void count('build', 1);
  }
  const report = join(out, 'e2e.json');
  const code = run(bin('playwright'), ['test'], {
    keepGoing: true,
    env: {
      STABLE_CHROMIUM: chromium,
      PLAYWRIGHT_JSON_OUTPUT_NAME: report,
      STABLE_BUILD: 'ready',
      STABLE_DIST: '.next-test',
    },
  });
  add('e2e', code, () => {
    const { stats } = JSON.parse(readFileSync(report, 'utf8'));
    return [stats.expected, stats.unexpected + stats.flaky];
  });
}

ensureInstalled();
if (!only) {
  run('node', [join('node_modules', 'next', 'dist', 'bin', 'next'), 'typegen'], {
    keepGoing: true,
    env: { STABLE_DIST: '.next-test' },
  });
  await beside(
    ['types', bin('tsc'), ['--noEmit']],
    ['lint', bin('eslint'), ['.', '--max-warnings=0']],
    ['dependency rule', bin('depcruise'), ['src', '--config', '.dependency-cruiser.cjs']],
    ['format', bin('prettier'), ['--check', '--log-level=warn', '.']],
  );
}
if (!only || only === 'unit') jest('unit', 'unit');
if (!only || only === 'data') jest('data', 'gathered', 'alone');
if (!only || only === 'e2e') await playwright();
rmSync(out, { recursive: true, force: true });
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed ? 1 : 0);
