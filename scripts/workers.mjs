// The workers' own program: one file beside the build, of core and crib, which threads load without Next.
import { build } from 'esbuild';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ROOT } from './prepare.mjs';

/** Packages with files of their own, loaded from node_modules. */
const OUTSIDE = ['sharp', 'exceljs', 'workerpool', '@electric-sql/pglite'];

/** Builds it into `out`; a fault ends with esbuild's own words. */
export const buildWorkers = (out) =>
  build({
    entryPoints: [join(ROOT, 'src', 'workers', 'main.ts')],
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

if (process.argv[1] === fileURLToPath(import.meta.url)) await buildWorkers(process.argv[2]);
