// The browser of tests, pictures and the scroll's bench: Debian's chromium, without its windows where there is such a one.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { delimiter, join } from 'node:path';

/** Debian's package of chromium without the parts that draw windows: the same engine, for a quarter less processor time. */
const SHELL = 'chromium-headless-shell';
const NAMES = [SHELL, 'chromium', 'chromium-browser'];

const found = (names) =>
  names
    .flatMap((name) =>
      (process.env.PATH ?? '')
        .split(delimiter)
        .filter(Boolean)
        .map((folder) => join(folder, name)),
    )
    .find((path) => existsSync(path));

/** Where the chromium of this machine lies, or the one that STABLE_CHROMIUM names; undefined where there is none. */
export const chromiumHere = () => process.env.STABLE_CHROMIUM || found(NAMES);

/** The same; on Debian as root it is installed first, elsewhere we say what to install. */
export function ensureChromium() {
  if (process.env.STABLE_CHROMIUM) return process.env.STABLE_CHROMIUM;
  if (!found([SHELL]) && existsSync('/etc/debian_version') && process.getuid?.() === 0) {
    const apt = (...args) =>
      spawnSync('apt-get', args, {
        stdio: 'inherit',
        env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      }).status === 0;
    const install = (name) => apt('install', '-y', '--no-install-recommends', name);
    const there = apt('update') && install(SHELL);
    // An older Debian has no package of the shell alone: the whole browser does as well, more slowly.
    if (!there && !chromiumHere()) install('chromium');
  }
  if (!chromiumHere())
    console.error(
      `Chromium is needed for the browser tests: install the package ${SHELL} or chromium (Debian: apt-get install ${SHELL}).`,
    );
  return chromiumHere();
}
