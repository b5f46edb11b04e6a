import { type Connection, type LongTransaction, many } from '@/data/database';
import { sure } from '@/core/sure';
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
  const numbered = await withNumbers(c, items);
  const each = <T>(of: (item: StagedItem) => readonly T[]) =>
    numbered.flatMap((item) =>
      of(item).map((row, ordinal) => ({ ...row, itemId: item.itemId, fresh: item.fresh, ordinal })),
    );
  await lay('item', numbered, {
    item_id: ['int', (i) => i.itemId],
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
      item_id: ['int', (f) => f.itemId],
      fresh: ['bool', (f) => f.fresh],
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
      item_id: ['int', (s) => s.itemId],
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
      item_id: ['int', (s) => s.itemId],
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
      item_id: ['int', (l) => l.itemId],
      minutes: ['float8', (l) => l.minutes],
      origin: ['text', (l) => l.origin],
    },
  );
  await lay(
    'standing',
    each((i) => (i.standing ? [i.standing] : [])),
    {
      item_id: ['int', (s) => s.itemId],
      standing: ['text', (s) => s.standing],
      reason: ['text', (s) => s.reason],
    },
  );
  await lay(
    'link',
    each((i) => i.links),
    {
      item_id: ['int', (l) => l.itemId],
      earlier: ['text', (l) => l.earlier],
      relation: ['text', (l) => l.relation],
      reason: ['text', (l) => l.reason],
    },
  );
  const fresh = numbered.filter((i) => i.fresh).map((i) => i.itemId);
  if (fresh.length) await c.query('select say_staged($1)', [fresh]);
}

/**
 * Items with their numbers: of one that is here, its own; of one to come, the next, which is taken for it. One that was taken
 * back since the list was compared has none and is left out: the list is refused for that in any case.
 */
async function withNumbers(c: Connection, items: readonly StagedItem[]) {
  const numbers = new Map<string, number>();
  const fresh = items.filter((i) => i.fresh);
  if (fresh.length) {
    const taken = await many<{ id: number }>(
      c,
      `select nextval(pg_get_serial_sequence('item', 'id'))::int as id from generate_series(1, $1)`,
      [fresh.length],
    );
    fresh.forEach((item, i) => numbers.set(item.code, sure(taken[i], 'the number that was taken').id));
  }
  if (fresh.length < items.length) {
    const here = await many<{ code: string; id: number }>(
      c,
      'select i.code, i.id from item i where i.code = any ($1) and exists (select from item_now n where n.item_id = i.id)',
      [items.filter((i) => !i.fresh).map((i) => i.code)],
    );
    for (const { code, id } of here) numbers.set(code, id);
  }
  return items.flatMap((item) => {
    const itemId = numbers.get(item.code);
    return itemId === undefined ? [] : [{ ...item, itemId }];
  });
}

/**
 * Does something as a replica does: no foreign key is asked, and no trigger runs but those that are to run always. What is
 * joined to its item and supplier need not be looked up by each row once more, and the entry of a list comes after its rows.
 * Nothing goes through a table whole, however few rows the planner takes it to have.
 */
export async function asJoined(c: Connection, work: () => Promise<void>): Promise<void> {
  const settle = (role: string, seqscan: string) =>
    c.query(
      "select set_config('session_replication_role', $1, true), set_config('enable_seqscan', $2, true)",
      [role, seqscan],
    );
  await settle('replica', 'off');
  await work();
  await settle('origin', 'on');
}

/** The rows of a part of a list: $1 the batch, $2 its entry, $3 and $4 the first and last item of the part. */
const OF_PART = 's.batch = $1 and s.item_id between $3 and $4';
/** How the rows of a part are entered, as one leans on the other, and where they were laid down. */
const ENTER: readonly [from: (typeof TABLES)[number], sql: string][] = [
  [
    'item',
    `insert into item (id, entry_id, code, kind, maker, family) overriding system value
    select s.item_id, $2, s.code, s.kind, s.maker, s.family from staged_item s where ${OF_PART} and s.fresh`,
  ],
  [
    'fact',
    `insert into fact (entry_id, item_id, symbol, text, unit, value, origin)
    select $2, s.item_id, s.symbol, s.text, s.unit, s.value, s.origin from staged_fact s where ${OF_PART}`,
  ],
  // Of a new item nothing else can be in force yet.
  [
    'fact',
    `insert into fact_now (entry_id, item_id, symbol, text, unit, value, origin)
    select $2, s.item_id, s.symbol, s.text, s.unit, s.value, s.origin from staged_fact s where ${OF_PART} and s.fresh`,
  ],
  [
    'segment',
    `insert into holder_segment (entry_id, item_id, ordinal, length_mm, upper_mm, lower_mm)
    select $2, s.item_id, s.ordinal, s.length_mm, s.upper_mm, s.lower_mm from staged_segment s where ${OF_PART}`,
  ],
  // An offset keeps a lateral question whole: it is asked of an index row by row, however few rows the planner expects.
  [
    'supply',
    `insert into supply (entry_id, item_id, supplier_id, order_code, price_cents, pack, minimum)
    select $2, s.item_id, p.id, s.order_code, s.price_cents, s.pack, s.minimum from staged_supply s
    cross join lateral (
      select p.id from supplier p where p.code = s.supplier
        and (p.entry_id = $2 or exists (select from live_entry e where e.id = p.entry_id)) offset 0) p
    where ${OF_PART}`,
  ],
  [
    'life',
    `insert into assumed_life (entry_id, item_id, material_id, minutes, origin)
    select $2, s.item_id, null, s.minutes, s.origin from staged_life s where ${OF_PART}`,
  ],
  [
    'standing',
    `insert into item_standing (entry_id, item_id, standing, reason)
    select $2, s.item_id, s.standing, s.reason from staged_standing s where ${OF_PART}`,
  ],
];
/** What leans on items of any part comes after all of them. */
const ENTER_AFTER: typeof ENTER = [
  [
    'link',
    `insert into item_link (entry_id, item_id, earlier_item_id, relation, reason)
    select $2, s.item_id, o.id, s.relation, s.reason from staged_link s
    cross join lateral (
      select i.id from item i where i.code = s.earlier
        and (i.entry_id = $2 or exists (select from item_now n where n.item_id = i.id)) offset 0) o
    where ${OF_PART}`,
  ],
];

/**
 * Enters what was laid down, as rows of an entry that is still to come, part by part: whoever reads is let in between, and
 * sees nothing of them. Suppliers are here already. `showStaged` and the row of `import_list` come after, with the entry.
 * @param tell of how many items all is written
 */
export async function enterStaged(
  c: LongTransaction,
  batch: string,
  entryId: number,
  tell: (done: number, of: number) => void,
): Promise<void> {
  // No item is cut in two: its rows lie in one part.
  const parts = await many<{ first: number; last: number; done: number }>(
    c,
    `select min(item_id) as first, max(item_id) as last, max(nth)::int as done
     from (select item_id, row_number() over (order by item_id) as nth from staged_item where batch = $1) x
     group by (nth - 1) / ${ENTERED_AT_ONCE} order by first`,
    [batch],
  );
  const laid = new Set<string>();
  for (const table of TABLES)
    if ((await many(c, `select 1 as one from staged_${table} where batch = $1 limit 1`, [batch])).length)
      laid.add(table);
  for (const statements of [ENTER, ENTER_AFTER]) {
    const needed = statements.filter(([from]) => laid.has(from));
    if (!needed.length) continue;
    for (const { first, last, done } of parts) {
      for (const [, sql] of needed) {
        await asJoined(c, async () => void (await c.query(sql, [batch, entryId, first, last])));
        await c.letReadersIn();
      }
      tell(done, parts.at(-1)?.done ?? done);
    }
  }
}
/** Items of a part: whoever reads waits for a statement or two of one. */
const ENTERED_AT_ONCE = 50;

/** Shows what is new, all of it at once. */
export async function showStaged(c: Connection, batch: string): Promise<void> {
  await asJoined(c, async () => {
    await c.query(
      `update item_said n set shown = true from staged_item s
       where s.batch = $1 and s.fresh and n.item_id = s.item_id and not n.shown`,
      [batch],
    );
  });
}

/** Takes away what was laid down: it was entered, or won't be. In steps, as it came: whoever reads is let in between. */
export async function dropStaged(c: Connection, batch: string): Promise<void> {
  for (const table of TABLES) {
    const step = `with dropped as (
        delete from staged_${table} where ctid = any (array(select ctid from staged_${table} where batch = $1 limit ${DROPPED_AT_ONCE}))
        returning item_id)
      select array_agg(item_id) as items from dropped`;
    for (let rows = DROPPED_AT_ONCE; rows === DROPPED_AT_ONCE;) {
      const [dropped] = await c.query<{ items: number[] | null }>(step, [batch]);
      rows = dropped?.items?.length ?? 0;
      if (rows && table === 'item') await c.query('select unsay_staged($1)', [dropped?.items ?? []]);
    }
  }
}
const DROPPED_AT_ONCE = 4000;

/** The same of every list that a process left behind when it ended. */
export async function dropLeftStaged(c: Connection): Promise<void> {
  for (const table of TABLES) await c.query(`delete from staged_${table}`);
  await c.query('select unsay_staged(array(select item_id from item_said where not shown))');
}
