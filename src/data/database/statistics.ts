import type { Database } from './connection';

/**
 * Tells the planner how much lies in each table: PGlite has no autovacuum, and without fresh statistics a join over the ledger
 * takes a hundred times as long. Each table by itself, so that whoever asks meanwhile waits for one of them and not for all.
 */
export async function refreshStatistics(db: Database): Promise<void> {
  const tables = await db.query<{ name: string }>(
    "select format('%I', relname) as name from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace order by oid",
  );
  for (const { name } of tables) await db.script(`analyze ${name}`);
}
