// Programs beside Next's: the workers' own, which threads load, and the tools of the command line. One file each.
import { build } from 'esbuild';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ROOT } from './prepare.mjs';

/** Packages with files of their own, loaded from node_modules. */
const OUTSIDE = ['sharp', 'exceljs', '@electric-sql/pglite', '@node-rs/argon2', '@zxcvbn-ts/language-common'];

const built = (from, out) =>
  build({
    entryPoints: [join(ROOT, 'src', from, 'main.ts')],
    outfile: out,
    bundle: true,
    platform: 'node',
    format: 'cjs',
    target: 'node20',
    external: OUTSIDE,
    alias: { 'server-only': join(ROOT, 'src', 'core', 'testing', 'empty.ts') },
    tsconfig: join(ROOT, 'tsconfig.json'),
    logLevel: 'warning',
  });

/** Builds them into their files; a fault ends with esbuild's own words. */
export const buildWorkers = (out) => built('workers', out);
export const buildTools = (out) => built('tools', out);

if (process.argv[1] === fileURLToPath(import.meta.url)) await buildWorkers(process.argv[2]);
