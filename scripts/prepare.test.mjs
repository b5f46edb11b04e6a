import { spawn, spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** An installation of its own, without packages: real locks, real npm. */
const root = mkdtempSync(join(tmpdir(), 'stable-prepare-'));
const there = (...names) => join(root, ...names);
const lock = (version) => {
  const packages = { '': { name: 'shop', version } };
  writeFileSync(there('package.json'), JSON.stringify({ name: 'shop', version }));
  writeFileSync(
    there('package-lock.json'),
    JSON.stringify({ name: 'shop', version, lockfileVersion: 3, packages }),
  );
};
const calls = (what) => ['--input-type=module', '-e', `import * as p from './scripts/prepare.mjs'; ${what}`];
const done = (what) => spawnSync('node', calls(what), { cwd: root, encoding: 'utf8' });
const mark = () => readFileSync(there('node_modules', '.stable-installed'), 'utf8');
beforeAll(() => {
  mkdirSync(there('scripts'));
  cpSync(join(process.cwd(), 'scripts', 'prepare.mjs'), there('scripts', 'prepare.mjs'));
  lock('1.0.0');
});
afterAll(() => rmSync(root, { recursive: true }));

it('installs what the lock file says, and changes no packages and no build under a Stable that runs', async () => {
  expect(done('p.ensureInstalled()')).toMatchObject({ status: 0 });
  const first = mark();
  mkdirSync(there('.next'));
  writeFileSync(there('.next', 'of-the-first'), '');
  const server = spawn('node', calls("p.holdInUse(); console.log('holds'); setInterval(() => {}, 1000)"), {
    cwd: root,
  });
  await new Promise((resolve) => server.stdout.once('data', resolve));
  // Nothing to install: nobody is told to stop.
  expect(done('p.ensureInstalled()')).toMatchObject({ status: 0, stderr: '' });

  lock('2.0.0');
  writeFileSync(there('node_modules', 'of-the-first'), '');
  const refused = done('p.ensureInstalled()');
  expect(refused.status).toBe(1);
  expect(refused.stderr).toMatch(
    /packages that Stable needs have changed.* runs from .*Stop it, then run this again/,
  );
  expect([mark(), existsSync(there('node_modules', 'of-the-first'))]).toEqual([first, true]);
  const unbuilt = done('await p.ensureBuilt()');
  expect(unbuilt.status).toBe(1);
  expect(unbuilt.stderr).toMatch(/must be built anew.*nothing was changed/);
  expect(existsSync(there('.next', 'of-the-first'))).toBe(true);

  // However it ends: the kernel lets go.
  server.kill('SIGKILL');
  await new Promise((resolve) => server.once('exit', resolve));
  expect(done('p.ensureInstalled()')).toMatchObject({ status: 0 });
  expect(mark()).not.toBe(first);
  expect(existsSync(there('node_modules', 'of-the-first'))).toBe(false);
});
