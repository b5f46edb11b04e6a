import { type Database, openInMemory } from '.';
import { Readers } from './readers';

/** Real PostgreSQL with two tables, in which something long is written. */
let db: Database;
beforeAll(async () => {
  db = await openInMemory();
  await db.script('create table row (n int primary key); create table other (n int primary key)');
});
afterAll(() => db.close());
beforeEach(() => db.script('truncate row, other'));
const count = async (table = 'row') =>
  (await db.query<{ n: number }>(`select count(*)::int as n from ${table}`))[0]!.n;

/** Writes so many rows in as many steps, each of which takes a moment. */
const long = (steps: number, first = 1) =>
  db.longTransaction(async (c) => {
    for (let n = first; n < first + steps; n += 1) {
      await c.query('insert into row select $1 from pg_sleep(0.025)', [n]);
      await c.letReadersIn();
    }
    return steps;
  });

describe('reads while something long is written', () => {
  it('are answered between its steps, one after the other; a write waits for its end', async () => {
    const order: string[] = [];
    const writing = long(50).then(() => order.push('long'));
    const reading = (async () => {
      for (let i = 0; i < 3; i += 1) {
        const seen = await count();
        expect(seen).toBeGreaterThan(0);
        expect(seen).toBeLessThan(50);
      }
      order.push('reads');
    })();
    const other = db.query('insert into other values (1)').then(() => order.push('write'));
    const transaction = db
      .transaction((c) => c.query('insert into other values (2)'))
      .then(() => order.push('transaction'));
    await Promise.all([writing, reading, other, transaction]);
    expect(order).toEqual(['reads', 'long', 'write', 'transaction']);
    expect([await count(), await count('other')]).toEqual([50, 2]);
  });

  it('that fail leave it as it was, and are told why', async () => {
    const writing = long(20);
    await expect(db.query('select 1 / $1::int', [0])).rejects.toThrow(/division by zero/);
    await expect(db.query('select nothing from nowhere')).rejects.toThrow(/nowhere/);
    expect(await count()).toBeLessThan(20);
    expect(await writing).toBe(20);
    expect(await count()).toBe(20);
  });

  it('a read that writes waits, and is no part of it: it stays where the long one is undone', async () => {
    const undone = db.longTransaction(async (c) => {
      for (let step = 1; step <= 5; step += 1) {
        await c.query('insert into row select $1 from pg_sleep(0.025)', [step]);
        await c.letReadersIn();
      }
      throw new Error('undone');
    });
    const sly = db.query<{ n: number }>(
      'with x as (insert into other values (7) returning n) select n from x',
    );
    await expect(undone).rejects.toThrow('undone');
    expect(await sly).toEqual([{ n: 7 }]);
    expect([await count(), await count('other')]).toEqual([0, 1]);
  });

  it('that came too late to be let in are answered after it, also where it broke', async () => {
    let late: Promise<number> | undefined;
    const broken = db.longTransaction(async (c) => {
      await c.letReadersIn();
      await c.query('insert into row values (1)');
      late = count();
      await c.query('insert into row values (1)');
    });
    await expect(broken).rejects.toMatchObject({ code: 'NOT_UNIQUE' });
    expect(await late).toBe(0);
    // And nothing waits any more for what has ended.
    expect(await count()).toBe(0);
  });

  it('two long ones come one after the other, and reads are let in by both', async () => {
    const seen = new Set<number>();
    let on = true;
    const reading = (async () => {
      while (on) seen.add(await count());
    })();
    await Promise.all([long(20), long(20, 101)]);
    on = false;
    await reading;
    expect([...seen].some((n) => n > 0 && n < 20)).toBe(true);
    expect([...seen].some((n) => n > 20 && n < 40)).toBe(true);
    expect(await count()).toBe(40);
  });

  it('whoever reads without end does not keep it from its end', async () => {
    let on = true;
    let reads = 0;
    const greedy = Array.from({ length: 4 }, async () => {
      while (on) {
        await count();
        reads += 1;
      }
    });
    expect(await long(5)).toBe(5);
    on = false;
    await Promise.all(greedy);
    expect(reads).toBeGreaterThan(20);
  });

  it('leaves nobody without an answer where the connection fails while one is let in', async () => {
    const readers = new Readers(async (sql) => [{ sql, later: true }]);
    const broken = readers.during(async () => {
      await new Promise((resolve) => setTimeout(resolve, 30));
      await readers.letIn(async (sql) => {
        if (sql.startsWith('rollback')) throw new Error('gone');
        return [{ sql, later: false }];
      });
    });
    const [first, second] = [readers.read('select 1', []), readers.read('select 2', [])];
    await expect(broken).rejects.toThrow('gone');
    expect(await first).toEqual([{ sql: 'select 1', later: false }]);
    expect(await second).toEqual([{ sql: 'select 2', later: true }]);
  });
});
