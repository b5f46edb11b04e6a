import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Database } from './connection';
import { one } from './rows';

const FOLDER = join(/* turbopackIgnore: true */ process.cwd(), 'src', 'data', 'migrations');

/**
 * What the planner is told of a shop that has not been counted yet: hardly an entry takes another back. Left to itself it
 * expects that nearly all do, joins the ledger to itself a thousand times, and a screen of a young shop takes up to ten times as
 * long. The first `analyze` of a table with rows in it says how it is (PostgreSQL 18, 9.28.6: functions for statistics).
 */
const TOLD = `select pg_restore_attribute_stats('schemaname', 'public', 'relname', 'entry', 'attname', 'counters',
    'inherited', false, 'null_frac', 0.98::real, 'avg_width', 4, 'n_distinct', -0.02::real)
  where exists (select 1 from pg_attribute where attrelid = to_regclass('public.entry') and attname = 'counters')
    and not exists (select 1 from pg_stats where schemaname = 'public' and tablename = 'entry' and attname = 'counters')`;

/** A migration that was applied and is not what lies on the disk, or is missing there. */
export class MigrationChanged extends Error {}

/**
 * Brings the schema up to date: numbered plain SQL files in order, each with its bookkeeping row in one transaction.
 * A file that was applied is never edited: a changed checksum is refused, as is a database newer than the program.
 * `last`: the number of the last one, for what was made by an older program.
 */
export async function migrate(db: Database, folder = FOLDER, last = Infinity): Promise<number> {
  // A folder that is up to date is opened without a write: on a full disk it can be read all the same.
  if (
    !(await one<{ there: boolean }>(db, "select to_regclass('schema_migration') is not null as there")).there
  )
    await db.script(`create table if not exists schema_migration (
    number int primary key, name text not null, checksum text not null, applied_at timestamptz not null default now())`);
  const applied = new Map(
    (
      await db.query<{ number: number; checksum: string }>('select number, checksum from schema_migration')
    ).map((m) => [m.number, m.checksum]),
  );
  const files = readdirSync(folder)
    .filter((name) => /^\d{4}_\w+\.sql$/.test(name) && Number(name.slice(0, 4)) <= last)
    .sort();
  let done = 0;
  for (const name of files) {
    const number = Number(name.slice(0, 4));
    const sql = readFileSync(join(folder, name), 'utf8');
    const checksum = createHash('sha256').update(sql).digest('hex');
    const before = applied.get(number);
    applied.delete(number);
    if (before === checksum) continue;
    if (before)
      throw new MigrationChanged(
        `Migration ${name} was changed after it was applied. Restore the file; add a new migration instead.`,
      );
    const row = `insert into schema_migration (number, name, checksum) values (${number}, '${name}', '${checksum}')`;
    try {
      await db.script(`begin;\n${sql}\n;${row};\ncommit;`);
    } catch (error) {
      await db.script('rollback');
      throw error;
    }
    done += 1;
  }
  if (applied.size)
    throw new MigrationChanged(
      `This data folder was made by a newer Stable (migration ${Math.max(...applied.keys())}). Start that one.`,
    );
  if (done) await db.query(TOLD);
  return done;
}
