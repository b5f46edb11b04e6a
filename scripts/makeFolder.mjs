// Folders for scripts, which run before there are packages or a build; src/data/database/makeFolder.ts is the program's own.
import { existsSync, mkdirSync } from 'node:fs';
import { dirname } from 'node:path';

/** Makes a folder with those above it. Node's own recursive way never ends where a folder can hold none (/proc). */
export function makeFolder(path) {
  if (existsSync(path)) return;
  makeFolder(dirname(path));
  try {
    mkdirSync(path, { mode: 0o700 });
  } catch (error) {
    // Another one was first.
    if (!existsSync(path)) throw error;
  }
}
