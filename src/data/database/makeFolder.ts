import { existsSync, mkdirSync } from 'node:fs';
import { dirname } from 'node:path';

/**
 * Makes a folder with those above it that are not there yet, for the one who runs Stable alone. Node's own recursive way
 * never ends where a folder can hold none (/proc): this one throws what the system says. Example: makeFolder('/srv/a/b').
 */
export function makeFolder(path: string): void {
  if (existsSync(path)) return;
  makeFolder(dirname(path));
  try {
    mkdirSync(path, { mode: 0o700 });
  } catch (error) {
    // Another one was first.
    if (!existsSync(path)) throw error;
  }
}
