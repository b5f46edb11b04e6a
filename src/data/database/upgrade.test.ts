import { copyFileSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { migrate } from './index';
import { openEmpty } from '../testing';

/** A folder of yesterday's program comes along: its rows were written under the schema as it was then. */
const MIGRATIONS = join(process.cwd(), 'src', 'data', 'migrations');
const files = readdirSync(MIGRATIONS)
  .filter((f) => f.endsWith('.sql'))
  .sort();

it('what was entered under the second schema is there, counted and found under the newest', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'stable-upgrade-'));
  const upTo = (n: number) =>
    files.slice(0, n).forEach((f) => copyFileSync(join(MIGRATIONS, f), join(folder, f)));
  const db = await openEmpty();
  upTo(2);
  await migrate(db, folder);
  await db.script(`
    begin;
    insert into entry (kind, happened_at, recorded_at, who, form_id)
      select 'x', '2026-01-01', '2026-01-01', 'IK', gen_random_uuid() from generate_series(1, 6);
    insert into person (initials, name) values ('IK', 'Ida Kern');
    commit;
    insert into place (code, name, kind, entry_id) values ('S10', 'Ten', 'shelf', 1), ('S2', 'Two', 'drawer', 2);
    insert into item (code, kind, maker, family, entry_id) values ('EM10', 'cutter', 'Skarv', 'square', 3);
    insert into fact (entry_id, item_id, symbol, text, unit, value, origin) values (3, 1, 'DC', '10', 'mm', 10, 'maker'),
      (3, 1, 'LCF', '22', 'mm', 22, 'maker');
    insert into movement (entry_id, item_id, to_place_id, quantity) select 4, 1, id, 7 from place where code = 'S10';
    insert into piece (mark, item_id, entry_id) values ('E-0001', 1, 5);
    insert into movement (entry_id, item_id, piece_id, from_place_id, to_place_id, quantity)
      select 5, 1, 1, (select id from place where code = 'S10'), id, 1 from place where code = 'S2';
  `);
  // One version at a time, as a shop that updates each time would come along.
  for (let n = 3; n <= files.length; n += 1) {
    upTo(n);
    expect(await migrate(db, folder)).toBe(1);
    // An order of the time when it had one line, some of it received, promised anew.
    if (files[n - 1]?.startsWith('0016'))
      await db.script(`
        insert into entry (kind, happened_at, recorded_at, who, form_id)
          select 'x', '2026-01-02', '2026-01-02', 'IK', gen_random_uuid() from generate_series(1, 3);
        insert into supplier (code, name, entry_id) values ('NORD', 'Nordkap', 7);
        insert into purchase (entry_id, number, item_id, supplier_id, quantity, promised, because)
          values (7, 'O-0001', 1, 1, 4, '2026-02-01', '{}');
        insert into receipt (entry_id, purchase_id, quantity) values (8, 7, 1);
        insert into promise (entry_id, purchase_id, promised) values (9, 7, '2026-02-09');
      `);
  }
  expect(await migrate(db)).toBe(0);
  // It is one line of its order, with what came of it, and goes on: the next line has a number of its own.
  expect(
    await db.query(
      `select p.id, p.number, p.line, n.received, n.open, r.promised::text as promised from purchase p
       join purchase_now n on n.purchase_id = p.id join promise r on r.purchase_id = p.id`,
    ),
  ).toEqual([{ id: 7, number: 'O-0001', line: 1, received: 1, open: true, promised: '2026-02-09' }]);
  await db.script(`
    insert into entry (kind, happened_at, recorded_at, who, form_id)
      select 'x', '2026-01-03', '2026-01-03', 'IK', gen_random_uuid() from generate_series(1, 2);
    insert into receipt (entry_id, purchase_id, quantity) values (10, 7, 3);
    insert into purchase (entry_id, number, line, item_id, supplier_id, quantity, promised, because)
      values (11, 'O-0002', 1, 1, 1, 2, '2026-03-01', '{}'), (11, 'O-0002', 2, 1, 1, 5, '2026-03-01', '{}');
  `);
  expect(await db.query('select purchase_id, received, open from purchase_now order by 1')).toEqual([
    { purchaseId: 7, received: 4, open: false },
    { purchaseId: 8, received: 0, open: true },
    { purchaseId: 9, received: 0, open: true },
  ]);
  expect(
    await db.query(
      `select p.code, b.quantity, b.marked, b.lot_id, b.id is not null as numbered
       from balance b join place p on p.id = b.place_id where b.quantity > 0 order by p.sort_code`,
    ),
  ).toEqual([
    { code: 'S2', quantity: 1, marked: 1, lotId: null, numbered: true },
    { code: 'S10', quantity: 6, marked: 0, lotId: null, numbered: true },
  ]);
  expect(await db.query('select dc, reach, unused, search from item_now')).toEqual([
    { dc: 10, reach: 22, unused: 6, search: expect.stringContaining('skarv') },
  ]);
  // And the rules hold on what came along: no more is taken than lies there.
  await expect(
    db.query(
      `insert into movement (entry_id, item_id, from_place_id, quantity) select 6, 1, id, 7 from place where code = 'S10'`,
    ),
  ).rejects.toMatchObject({ code: 'BELOW_ZERO' });
  await db.close();
  rmSync(folder, { recursive: true });
});
