import { many, one } from './index';
import { openEmpty } from '../testing';

// What a statement must answer is PostgreSQL's own affair (documentation, 55.2.3 and PREPARE): here, that one kept ready
// answers what it does when it is new, for other values, after a fault, after the schema changed, and beyond what is kept.
let db: Awaited<ReturnType<typeof openEmpty>>;
beforeAll(async () => {
  db = await openEmpty();
  await db.script('create table thing (id int primary key, made_on date, note text)');
  await db.query(
    `insert into thing select n, date '2027-01-01' + n, 'n' || n from generate_series(1, 100) n`,
  );
});
const kept = async (): Promise<string[]> =>
  (await many<{ statement: string }>(db, 'select statement from pg_prepared_statements')).map(
    (s) => s.statement,
  );

it('answers the same the first, second and tenth time, with columns in our own words', async () => {
  for (let n = 1; n <= 10; n += 1)
    expect(await one(db, 'select id, made_on, note from thing where id = $1', [n])).toEqual({
      id: n,
      madeOn: `2027-01-${String(n + 1).padStart(2, '0')}`,
      note: `n${n}`,
    });
  expect(await kept()).toContain('select id, made_on, note from thing where id = $1');
});

it('takes nulls, lists, moments, bytes and JSON, and gives them back', async () => {
  const at = new Date('2027-01-05T10:00:00Z');
  const sql = `select $1::text as nothing, $2::int[] as list, $3::timestamptz as at, $4::bytea as bytes, $5::jsonb as json,
    $6::bool as yes, $7::numeric as exact`;
  for (let n = 0; n < 3; n += 1)
    expect(
      await one(db, sql, [null, [1, 2], at, new Uint8Array([0, 255, 39]), '{"a":[1]}', true, '1.10']),
    ).toEqual({
      nothing: null,
      list: [1, 2],
      at,
      bytes: new Uint8Array([0, 255, 39]),
      json: { a: [1] },
      yes: true,
      exact: '1.10',
    });
});

it('after a fault the next one is answered, and a transaction that failed is undone whole', async () => {
  const sql = 'select 10 / $1::int as share';
  for (let n = 0; n < 3; n += 1) {
    await expect(one(db, sql, [0])).rejects.toThrow('division by zero');
    expect(await one(db, sql, [5])).toEqual({ share: 2 });
    await expect(
      db.transaction(async (c) => {
        await c.query('delete from thing where id = $1', [1]);
        await c.query(sql, [0]);
      }),
    ).rejects.toThrow('division by zero');
    expect(await one(db, 'select count(*) as n from thing')).toEqual({ n: 100 });
  }
  await expect(db.query('select nothing here')).rejects.toMatchObject({ at: { sqlstate: '42703' } });
  await expect(db.query('selec 1')).rejects.toMatchObject({ at: { sqlstate: '42601' } });
  expect(await one(db, 'select 1 as n')).toEqual({ n: 1 });
});

it('what is used after its transaction is refused, and others wait for one that is open', async () => {
  let late: Promise<unknown> = Promise.resolve();
  let waits: Promise<unknown> = Promise.resolve();
  const order: string[] = [];
  const open = db.transaction(async (c) => {
    late = new Promise((resolve) => setTimeout(resolve, 50)).then(() => c.query('select 1'));
    late.catch(() => undefined);
    waits = db.query('select 1').then(() => order.push('alone'));
    await c.query('select pg_sleep(0.01)');
    order.push('within');
  });
  await open;
  await waits;
  expect(order).toEqual(['within', 'alone']);
  await expect(late).rejects.toThrow('has ended');
});

it('a changed schema changes what a kept one gives', async () => {
  const sql = 'select * from thing where id = $1';
  for (let n = 0; n < 7; n += 1) expect(Object.keys(await one<object>(db, sql, [1]))).toHaveLength(3);
  await db.script('alter table thing add column place text');
  for (let n = 0; n < 3; n += 1)
    expect(await one(db, sql, [1])).toEqual({ id: 1, madeOn: '2027-01-02', note: 'n1', place: null });
});

it('keeps no more than a few hundred, whatever is asked', async () => {
  for (let n = 0; n < 300; n += 1)
    for (let turn = 0; turn < 2; turn += 1)
      expect(await one(db, `select ${n} as n, $1::int as m`, [turn])).toEqual({ n, m: turn });
  expect((await kept()).length).toBeLessThanOrEqual(250);
  expect(await kept()).toContain('select 299 as n, $1::int as m');
  // One that went is read anew.
  expect(await one(db, 'select 0 as n, $1::int as m', [7])).toEqual({ n: 0, m: 7 });
});

it('a closed one says so', async () => {
  await db.close();
  await expect(db.query('select 1')).rejects.toThrow(/closed/);
});
