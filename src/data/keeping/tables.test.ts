import { type Connection, type Database, openInMemory } from '../database';
import { fileKept, rowsKept, type TableKept } from './tables';

/** Rows and files that go out: each is read once, whatever else lies in the table. */
let db: Database;
const table: TableKept = {
  name: 'lying',
  columns: [
    { name: 'entry_id', type: 'integer', sql: 'integer', required: true },
    { name: 'words', type: 'string', sql: 'text', required: false },
  ],
  primaryKey: ['entry_id'],
  foreignKeys: [],
};
beforeAll(async () => {
  db = await openInMemory();
  await db.script('create table lying (entry_id int primary key, words text)');
});
afterAll(() => db.close());

const fill = (rows: number) =>
  db.script(
    `truncate lying; insert into lying select g, case when g % 7 > 0 then repeat('w', g % 300) end from generate_series(1, ${rows}) g; analyze lying`,
  );
/** How often each row was read. */
const perRow = (rows: number, read: (c: Connection) => Promise<void>) =>
  db.transaction(async (c) => {
    const count = async () =>
      (
        await c.query<{ n: number }>(
          "select (seq_tup_read + coalesce(idx_tup_fetch, 0))::int as n from pg_stat_xact_user_tables where relname = 'lying'",
        )
      )[0]?.n ?? 0;
    const before = await count();
    await read(c);
    return ((await count()) - before) / rows;
  });

it('rows come as they lie, all of them, each once', async () => {
  for (const rows of [0, 1, 3000, 9000]) {
    await fill(rows);
    const came: (string | null)[][] = [];
    const often = await perRow(Math.max(1, rows), async (c) => {
      for await (const page of rowsKept(c, table)) {
        expect(page.length).toBeLessThan(2000);
        came.push(...page);
      }
    });
    // A short row may lie in what room an earlier block has left.
    const lie = await db.query<{ id: string }>('select entry_id::text as id from lying order by ctid');
    expect(came.map(([id]) => id)).toEqual(lie.map((r) => r.id));
    expect(came.sort((a, b) => Number(a[0]) - Number(b[0]))).toEqual(
      Array.from({ length: rows }, (_, i) => [String(i + 1), (i + 1) % 7 ? 'w'.repeat((i + 1) % 300) : null]),
    );
    expect(often).toBeLessThanOrEqual(rows ? 1 : 0);
  }
  // Rows that were deleted leave blocks with none in them.
  await db.script('delete from lying where entry_id between 1000 and 8000');
  const left: (string | null)[] = [];
  for await (const page of rowsKept(db, table, ['words']))
    left.push(...page.map(([id, words]) => (words === null ? (id ?? null) : 'words')));
  expect(left.sort((a, b) => Number(a) - Number(b))).toEqual(
    [...Array(9000).keys()].map((i) => String(i + 1)).filter((id) => +id < 1000 || +id > 8000),
  );
});

it('a file is found by its key, without a look at the others', async () => {
  await fill(9000);
  const often = await perRow(1, async (c) => {
    expect(new TextDecoder().decode(await fileKept(c, 'lying', 'words', 'entry_id', '4001'))).toBe(
      'w'.repeat(4001 % 300),
    );
  });
  expect(often).toBeLessThanOrEqual(2);
});
