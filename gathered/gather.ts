import { relative } from 'node:path';

/** The data tests that are gathered, as jest.config.mjs lists them. */
declare const GATHERED: readonly string[];

/**
 * Runs every `of`th of the gathered test files, from the `nth` on, as one: what they stand on (700 modules, the schemas, a
 * PostgreSQL) is loaded once for all of them instead of once a file, which took half of their time. Each keeps a database
 * as new, its own `beforeAll` and its own name before what its tests are called.
 */
export function gather(nth: number, of: number): void {
  for (const file of GATHERED.filter((_, i) => i % of === nth - 1))
    describe(relative(process.cwd(), file), () => void jest.requireActual(file));
}
