import type { Connection } from './connection';
import { many } from './rows';

/** The data can't be trusted: a table that can't be read, or books that don't agree. */
export class Damaged extends Error {
  constructor(readonly faults: readonly string[]) {
    super(
      `The data folder is damaged, and is not opened so that nothing is written into it: ${faults.slice(0, 5).join('; ')}. ` +
        'Stop, keep a copy of the folder as it is, and put back the last copy from before; ask whoever looks after the disk why it lost data.',
    );
    this.name = 'Damaged';
  }
}

/**
 * What is plainly wrong with the files, looked for at each start: the newest row of each table, which lies at the end of
 * its file, is fetched by way of its index, so that a file that was cut short or is missing is found at the cost of a few
 * pages; then the balances must be what was moved. Gives each fault in words.
 */
export async function plainDamage(c: Connection): Promise<string[]> {
  const faults: string[] = [];
  const tables = await many<{ name: string; columns: string[] }>(
    c,
    `select t.relname as name, array(
       select quote_ident(a.attname) from unnest(i.indkey) with ordinality as k(number, place)
       join pg_attribute a on a.attrelid = t.oid and a.attnum = k.number order by k.place) as columns
     from pg_class t join pg_index i on i.indrelid = t.oid and i.indisprimary
     where t.relkind = 'r' and t.relpersistence = 'p' and t.relnamespace = 'public'::regnamespace order by t.relname`,
  );
  // Row by row a file that was cut short looks like one with fewer rows; its index knows what it should hold.
  await c.query("select set_config('enable_seqscan', 'off', false), set_config('enable_sort', 'off', false)");
  for (const { name, columns } of tables)
    try {
      const order = columns.map((column) => `${column} desc`).join(', ');
      await c.query(`select * from ${name} order by ${order} limit 1`);
    } catch {
      faults.push(`the table ${name} can’t be read to its end`);
    }
  await c.query("select set_config('enable_seqscan', 'on', false), set_config('enable_sort', 'on', false)");
  if (faults.length) return faults;
  try {
    const wrong = await many<{ item: string }>(
      c,
      `with moved as (
         select item_id, sum(n)::int as n from (
           select item_id, quantity as n from movement where to_place_id is not null
           union all select item_id, -quantity from movement where from_place_id is not null) m group by item_id),
       lies as (select item_id, sum(quantity)::int as n from balance group by item_id)
       select i.code as item from moved m full join lies l using (item_id) join item i on i.id = item_id
       where coalesce(m.n, 0) <> coalesce(l.n, 0) limit 5`,
    );
    if (wrong.length)
      faults.push(`what lies at the places is not what was moved, of ${wrong.map((w) => w.item).join(', ')}`);
  } catch {
    faults.push('what was moved can’t be read whole');
  }
  return faults;
}
