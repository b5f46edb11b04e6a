import type { Database } from './connection';

/**
 * Tells the planner how much lies in each table: PGlite has no autovacuum, and without fresh statistics a join over the ledger
 * takes a hundred times as long. Each table by itself, so that whoever asks meanwhile waits for one of them and not for all.
 */
export async function refreshStatistics(db: Database): Promise<void> {
  const tables = await db.query<{ name: string }>(
    "select format('%I', relname) as name from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace order by oid",
  );
  for (const { name } of tables) {
    const begun = performance.now();
    await db.script(`analyze ${name}`);
    // A view asks one thing after the other, and is not to wait for one table with each of them.
    const took = performance.now() - begun;
    if (took > NOTICED_MS) await new Promise((resolve) => void setTimeout(resolve, took));
  }
}
/** What takes longer is noticed by whoever waits for it. */
const NOTICED_MS = 10;
