import { type Connection, type Database, many, one, plainDamage } from '@/data/database';
import { IN_FORCE } from './inForce';

/**
 * What is wrong with the files or the books, looked for in all of them: what is plain at a start; then each row by each of
 * its indexes; then everything that is kept ready against what the ledger sums up to. Takes a look at every row, so it is
 * asked of a copy (openToCheck). Gives each fault in words.
 */
export async function wholeDamage(db: Database): Promise<string[]> {
  const faults = await plainDamage(db);
  if (faults.length) return faults;
  return [...(await indexFaults(db)), ...(await sumFaults(db))];
}

/** What is kept ready and is not what the ledger sums up to. */
export async function sumFaults(c: Connection): Promise<string[]> {
  const faults: string[] = [];
  for (const [name, kept, summed] of IN_FORCE)
    try {
      const { differ } = await one<{ differ: number }>(
        c,
        `with kept as materialized (${kept}), summed as materialized (${summed})
         select count(*)::int as differ from (
           (select * from kept except all select * from summed) union all (select * from summed except all select * from kept)) x`,
      );
      if (differ) faults.push(`not what the ledger sums up to: ${name}`);
    } catch {
      faults.push(`can’t be summed from the ledger: ${name}`);
    }
  return faults;
}

/** Thrown to end a transaction of which nothing is to stay. */
class Undone extends Error {}

/** Indexes that don’t hold the rows of their table, by PostgreSQL’s own check (amcheck), which leaves nothing behind; its words stay out. */
async function indexFaults(db: Database): Promise<string[]> {
  const indexes = await many<{ name: string; table: string }>(
    db,
    `select i.indexrelid::regclass::text as name, i.indrelid::regclass::text as "table"
     from pg_index i join pg_class x on x.oid = i.indexrelid join pg_am a on a.oid = x.relam and a.amname = 'btree'
     where x.relnamespace = 'public'::regnamespace and x.relpersistence = 'p' order by 1`,
  );
  const faults: string[] = [];
  try {
    await db.transaction(async (c) => {
      await c.query('create extension amcheck');
      for (const { name, table } of indexes) {
        await c.query('savepoint one');
        try {
          await c.query(`select bt_index_check('${name}'::regclass, true)`);
        } catch {
          await c.query('rollback to savepoint one');
          faults.push(`the index ${name} does not hold the rows of ${table}`);
        }
      }
      throw new Undone();
    });
  } catch (error) {
    if (!(error instanceof Undone)) throw error;
  }
  return faults;
}
