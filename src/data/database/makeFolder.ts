import { existsSync, mkdirSync, statSync } from 'node:fs';
import { dirname } from 'node:path';

const isFolder = (path: string) => existsSync(path) && statSync(path).isDirectory();

/**
 * Makes a folder with those above it that are not there yet, for the one who runs Stable alone. Node's own recursive way
 * never ends where a folder can hold none (/proc): this one throws what the system says. Example: makeFolder('/srv/a/b').
 */
export function makeFolder(path: string): void {
  // What is there and no folder is left to the system to refuse.
  if (isFolder(path)) return;
  if (!existsSync(path)) makeFolder(dirname(path));
  try {
    mkdirSync(path, { mode: 0o700 });
  } catch (error) {
    // Another one was first.
    if (!isFolder(path)) throw error;
  }
}
