import type { Connection } from '@/data/database';
import type { StagedItem } from './types';

const TABLES = ['item', 'fact', 'segment', 'supply', 'life', 'standing', 'link'] as const;

/** Lays some items of a list down, where nobody reads them yet. A few hundred at a time hold nobody up. */
export async function stageItems(c: Connection, batch: string, items: readonly StagedItem[]): Promise<void> {
  const lay = async <Row>(
    table: (typeof TABLES)[number],
    rows: readonly Row[],
    columns: Record<string, [type: string, of: (row: Row) => string | number | boolean | null]>,
  ) => {
    if (!rows.length) return;
    const names = Object.keys(columns);
    const types = Object.values(columns);
    await c.query(
      `insert into staged_${table} (batch, ${names.join(', ')})
       select $1::uuid, * from unnest(${types.map(([type], i) => `$${i + 2}::${type}[]`).join(', ')})`,
      [batch, ...types.map(([, of]) => rows.map(of))],
    );
  };
  const each = <T>(of: (item: StagedItem) => readonly T[]) =>
    items.flatMap((item) => of(item).map((row, ordinal) => ({ ...row, code: item.code, ordinal })));
  await lay('item', items, {
    code: ['text', (i) => i.code],
    fresh: ['bool', (i) => i.fresh],
    kind: ['text', (i) => i.kind],
    family: ['text', (i) => i.family],
    maker: ['text', (i) => i.maker],
  });
  await lay(
    'fact',
    each((i) => i.facts),
    {
      code: ['text', (f) => f.code],
      symbol: ['text', (f) => f.symbol],
      text: ['text', (f) => f.text],
      unit: ['text', (f) => f.unit],
      value: ['float8', (f) => f.value],
      origin: ['text', (f) => f.origin],
    },
  );
  await lay(
    'segment',
    each((i) => i.segments),
    {
      code: ['text', (s) => s.code],
      ordinal: ['int', (s) => s.ordinal],
      length_mm: ['float8', (s) => s.length],
      upper_mm: ['float8', (s) => s.upper],
      lower_mm: ['float8', (s) => s.lower],
    },
  );
  await lay(
    'supply',
    each((i) => (i.supply ? [i.supply] : [])),
    {
      code: ['text', (s) => s.code],
      supplier: ['text', (s) => s.supplier],
      order_code: ['text', (s) => s.orderCode],
      price_cents: ['int', (s) => s.priceCents],
      pack: ['int', (s) => s.pack],
      minimum: ['int', (s) => s.minimum],
    },
  );
  await lay(
    'life',
    each((i) => (i.life ? [i.life] : [])),
    {
      code: ['text', (l) => l.code],
      minutes: ['float8', (l) => l.minutes],
      origin: ['text', (l) => l.origin],
    },
  );
  await lay(
    'standing',
    each((i) => (i.standing ? [i.standing] : [])),
    {
      code: ['text', (s) => s.code],
      standing: ['text', (s) => s.standing],
      reason: ['text', (s) => s.reason],
    },
  );
  await lay(
    'link',
    each((i) => i.links),
    {
      code: ['text', (l) => l.code],
      earlier: ['text', (l) => l.earlier],
      relation: ['text', (l) => l.relation],
      reason: ['text', (l) => l.reason],
    },
  );
}

/** The item a row is of: one that comes with it, or one that is here; not one that was taken back. */
const ITEM = (alias: string, code: string) =>
  `item ${alias} on ${alias}.code = ${code} and (${alias}.entry_id = $2 or exists (select from item_now n where n.item_id = ${alias}.id))`;

/** Enters what was laid down, as rows of one entry; suppliers are here already. The row of `import_list` comes after. */
export async function enterStaged(c: Connection, batch: string, entryId: number): Promise<void> {
  const enter = (sql: string) => c.query(sql, [batch, entryId]);
  /**
   * What is joined here to its item, entry and supplier need not be looked up by each row once more: that took half of the
   * time in which everybody waits. As a replica PostgreSQL asks no foreign key and runs no trigger; what is derived of a
   * list follows by the row of `import_list` in any case.
   */
  const enterJoined = async (sql: string) => {
    await c.query('set local session_replication_role = replica');
    await enter(sql);
    await c.query('set local session_replication_role = origin');
  };
  await enter(
    'insert into item (entry_id, code, kind, maker, family) select $2, code, kind, maker, family from staged_item where batch = $1 and fresh',
  );
  await enterJoined(
    `insert into fact (entry_id, item_id, symbol, text, unit, value, origin)
     select $2, i.id, s.symbol, s.text, s.unit, s.value, s.origin from staged_fact s join ${ITEM('i', 's.code')} where s.batch = $1`,
  );
  await enterJoined(
    `insert into holder_segment (entry_id, item_id, ordinal, length_mm, upper_mm, lower_mm)
     select $2, i.id, s.ordinal, s.length_mm, s.upper_mm, s.lower_mm from staged_segment s join ${ITEM('i', 's.code')} where s.batch = $1`,
  );
  await enterJoined(
    `insert into supply (entry_id, item_id, supplier_id, order_code, price_cents, pack, minimum)
     select $2, i.id, p.id, s.order_code, s.price_cents, s.pack, s.minimum
     from staged_supply s join ${ITEM('i', 's.code')} join supplier p on p.code = s.supplier
     where s.batch = $1 and exists (select from live_entry e where e.id = p.entry_id)`,
  );
  await enter(
    `insert into assumed_life (entry_id, item_id, material_id, minutes, origin)
     select $2, i.id, null, s.minutes, s.origin from staged_life s join ${ITEM('i', 's.code')} where s.batch = $1`,
  );
  await enter(
    `insert into item_standing (entry_id, item_id, standing, reason)
     select $2, i.id, s.standing, s.reason from staged_standing s join ${ITEM('i', 's.code')} where s.batch = $1`,
  );
  await enter(
    `insert into item_link (entry_id, item_id, earlier_item_id, relation, reason)
     select $2, i.id, o.id, s.relation, s.reason
     from staged_link s join ${ITEM('i', 's.code')} join ${ITEM('o', 's.earlier')} where s.batch = $1`,
  );
}

/** Takes away what was laid down: it was entered, or won't be. In steps, as it came: whoever reads is let in between. */
export async function dropStaged(c: Connection, batch: string): Promise<void> {
  for (const table of TABLES) {
    const step = `with dropped as (
        delete from staged_${table} where ctid = any (array(select ctid from staged_${table} where batch = $1 limit ${DROPPED_AT_ONCE}))
        returning 1)
      select count(*)::int as rows from dropped`;
    const dropped = async () => (await c.query<{ rows: number }>(step, [batch]))[0]?.rows ?? 0;
    while ((await dropped()) === DROPPED_AT_ONCE);
  }
}
const DROPPED_AT_ONCE = 4000;

/** The same of every list that a process left behind when it ended. */
export async function dropLeftStaged(c: Connection): Promise<void> {
  for (const table of TABLES) await c.query(`delete from staged_${table}`);
}
