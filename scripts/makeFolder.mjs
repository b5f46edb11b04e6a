// Folders for scripts, which run before there are packages or a build; src/data/database/makeFolder.ts is the program's own.
import { existsSync, mkdirSync, statSync } from 'node:fs';
import { dirname } from 'node:path';

const isFolder = (path) => existsSync(path) && statSync(path).isDirectory();

/** Makes a folder with those above it. Node's own recursive way never ends where a folder can hold none (/proc). */
export function makeFolder(path) {
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
