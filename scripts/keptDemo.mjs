// A filled demo shop, kept by the digest of what fills it: tests and pictures copy it. `node scripts/keptDemo.mjs FOLDER`.
import { spawn } from 'node:child_process';
import { cpSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { basename, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { digestOf, ROOT, run } from './prepare.mjs';
import { demoMark } from './settings.mjs';

/** What a filled demo folder follows from, besides the time it pretends. */
const FILLED_BY = ['package-lock.json', 'src/core', 'src/data', 'src/crib', 'demo'];

const FILL = (folder) => ['--import', 'tsx', '--conditions=react-server', 'demo/fill.ts', folder];

/** Fills an empty folder by the verbs. */
export const fill = (folder) => run('node', FILL(folder));

/**
 * The same beside what else this process does: nothing of the build is needed for it. Ends with this process; `done` says
 * whether it was filled.
 */
export function fillBeside(folder) {
  const child = spawn('node', FILL(folder), { cwd: ROOT, stdio: 'inherit' });
  process.on('exit', () => child.kill());
  const done = new Promise((resolve) => {
    child.on('error', () => resolve(false));
    child.on('exit', (code) => resolve(code === 0));
  });
  return { done };
}

/** The kept shop of the present sources and STABLE_NOW, filled now if there is none; those of older sources go. */
export function keptDemo(below) {
  const kept = join(
    below,
    `${digestOf(FILLED_BY).slice(0, 16)} ${process.env.STABLE_NOW}`.replace(/\W/g, '-'),
  );
  if (demoMark(kept)?.complete) return kept;
  const part = `${kept}.${process.pid}`;
  rmSync(below, { recursive: true, force: true });
  mkdirSync(part, { recursive: true });
  fill(part);
  renameSync(part, kept);
  return kept;
}

/** A copy of it in an empty folder; its mark comes last, so that half a copy is none. */
export function copyDemo(below, folder) {
  const kept = keptDemo(below);
  cpSync(kept, folder, { recursive: true, filter: (path) => basename(path) !== 'demo.json' });
  cpSync(join(kept, 'demo.json'), join(folder, 'demo.json'));
}

if (import.meta.url === pathToFileURL(process.argv[1]).href) console.log(keptDemo(process.argv[2]));
