import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '../testing';

/** The database's own guard, tried with raw SQL past the verbs. */
let crib: TestCrib;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('buildAssembly', {
    cutter: { item: 'EM10', place: 'S1' },
    holder: { item: 'SL10', place: 'S1' },
    stickout: '34',
  });
  await crib.do('recordMeasurement', { tag: 'A-0001', gaugeLength: '94.1' });
  const { operation } = await crib.do('addJob', {
    number: 'J-1',
    part: 'Block',
    material: 'C45',
    quantity: 9,
    due: '2027-02-01',
    machine: 'M2',
  });
  await crib.do('storeProgram', { operation, text: oneToolProgram(1, 1) });
  await crib.do('tieTool', { operation, t: 1, tag: 'A-0001' });
  await crib.do('logParts', { operation, parts: 2 });
  await crib.do('recordWear', { tag: 'A-0001', flankWear: '0.1' });
  await crib.do('placeOrder', { item: 'EM10', quantity: 2, promised: '2027-02-01' });
});
afterAll(() => crib.db.close());

const raw = (sql: string) =>
  crib.db.query(sql).then(
    () => 'done',
    (e: { code?: string }) => e.code,
  );
const entry = (over: Partial<Record<'kind' | 'happened' | 'recorded' | 'counters', string>> = {}) =>
  `insert into entry (kind, happened_at, recorded_at, who, form_id, counters) values ('x', ${over.happened ?? 'now()'}, ${over.recorded ?? 'now()'}, 'IK', gen_random_uuid(), ${over.counters ?? 'null'}) returning id`;
const newEntry = async () => (await crib.db.query<{ id: number }>(entry()))[0]!.id;
const id = async (sql: string) => (await crib.db.query<{ id: number }>(sql))[0]!.id;

describe('no ledger row is changed, deleted or truncated', () => {
  const tables = [
    'person',
    'entry',
    'entry_need',
    'form_answer',
    'place',
    'material',
    'supplier',
    'supplier_terms',
    'item',
    'fact',
    'holder_segment',
    'supply',
    'assumed_life',
    'piece',
    'movement',
    'machine',
    'machine_figures',
    'edge_set',
    'assembly',
    'measurement',
    'job',
    'operation',
    'operation_figures',
    'program',
    'tie',
    'parts_log',
    'use',
    'wear_reading',
    'purchase',
    'balance',
    'piece_place',
    'fact_now',
    'item_said',
    'kind_word',
  ];
  it.each(tables)('%s', async (table) => {
    const before = await crib.db.query<{ n: number }>(`select count(*)::int as n from ${table}`);
    expect(before[0]!.n).toBeGreaterThan(0);
    const column = (
      await crib.db.query<{ name: string }>(
        `select attname as name from pg_attribute where attrelid = '${table}'::regclass and attnum > 0 and attidentity = '' limit 1`,
      )
    )[0]!.name;
    expect(await raw(`update ${table} set ${column} = ${column}`)).toBe('LEDGER');
    expect(await raw(`delete from ${table}`)).toBe('LEDGER');
    expect(await raw(`truncate ${table} cascade`)).toBe('LEDGER');
    expect(await crib.db.query(`select count(*)::int as n from ${table}`)).toEqual(before);
  });
  // Unlogged is what a list lays down before it is entered: no part of the ledger.
  // What people sign in with is taken away for good where it is taken away: it is no ledger.
  const SECRETS = ['api_key', 'one_time_code', 'secret', 'session'];
  it('covers every table but the migrations’ bookkeeping and what people sign in with', async () => {
    const all = await crib.db.query<{ relname: string }>(
      "select relname from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace and relname <> 'schema_migration' and relpersistence = 'p'",
    );
    const guarded = await crib.db.query<{ relname: string }>(
      "select distinct c.relname from pg_trigger t join pg_class c on c.oid = t.tgrelid join pg_proc p on p.oid = t.tgfoid where p.proname in ('refuse_change', 'guard_derived')",
    );
    expect(all.length).toBeGreaterThan(30);
    expect(guarded.map((g) => g.relname).sort()).toEqual(
      all
        .map((a) => a.relname)
        .filter((name) => !SECRETS.includes(name))
        .sort(),
    );
  });
});

describe('entries', () => {
  it('never happen in the future', async () => {
    expect(await raw(entry({ happened: "now() + interval '1 second'" }))).toBe('OUT_OF_RANGE');
    expect(await raw(entry({ happened: 'now()' }))).toBe('done');
  });
  it('are signed by somebody known', async () =>
    expect(await raw(entry().replace("'IK'", "'ZZ'"))).toBe('NOT_FOUND'));
  it('are countered once, never by or of a counter-entry, and not while another leans on them', async () => {
    const old = await newEntry();
    const [counter] = await crib.db.query<{ id: number }>(entry({ counters: String(old) }));
    expect(await raw(entry({ counters: String(old) }))).toBe('NOT_UNIQUE');
    expect(await raw(entry({ counters: String(counter!.id) }))).toBe('COUNTER_OF_COUNTER');
    const built = await id("select entry_id as id from assembly where tag = 'A-0001'");
    expect(await raw(entry({ counters: String(built) }))).toBe('LEANED_ON');
  });
});

describe('stock', () => {
  const movement = async (from: string, to: string, n = 1, piece = 'null') =>
    `insert into movement (entry_id, item_id, piece_id, from_place_id, to_place_id, quantity)
     values (${await newEntry()}, (select id from item where code = 'EM10'), ${piece}, ${from}, ${to}, ${n})`;
  const S1 = "(select id from place where code = 'S1')";
  const USED = "(select id from place where code = 'USED')";

  it('never falls below zero: 2 are on the shelf, both sides of the limit', async () => {
    expect(await raw(await movement(S1, USED, 3))).toBe('BELOW_ZERO');
    expect(await raw(await movement(S1, USED, 2))).toBe('done');
    expect(await raw(await movement(S1, USED))).toBe('BELOW_ZERO');
    expect(await raw(await movement(USED, S1, 2))).toBe('done');
  });
  it('no balance is written but by a movement', async () =>
    expect(
      await raw(
        `insert into balance select id, ${S1}, 99 from item where code = 'EM10' on conflict (item_id, place_id, lot_id) do update set quantity = 99`,
      ),
    ).toBe('LEDGER'));
  it('a piece is where it is: not moved from elsewhere, not taken by a count without its mark', async () => {
    const piece = "(select id from piece where mark = 'E-0001')";
    const build = "(select id from place where code = 'BUILD')";
    expect(await raw(await movement(S1, USED, 1, piece))).toBe('PIECE_ELSEWHERE');
    expect(await raw(await movement(build, USED, 1, piece))).toBe('done');
    expect(await raw(await movement(USED, S1))).toBe('ONLY_PIECES_LEFT');
    expect(await raw(await movement(USED, build, 1, piece))).toBe('done');
  });
  it('nothing from nowhere to nowhere, nothing from a place to itself, no zero', async () => {
    expect(await raw(await movement('null', 'null'))).toBe('OUT_OF_RANGE');
    expect(await raw(await movement(S1, S1))).toBe('OUT_OF_RANGE');
    expect(await raw(await movement('null', S1, 0))).toBe('OUT_OF_RANGE');
  });
  it('a counter-entry moves everything back, or is refused where it is no longer there', async () => {
    const e = await newEntry();
    await crib.db.query(
      `insert into movement (entry_id, item_id, from_place_id, to_place_id, quantity) values (${e}, (select id from item where code = 'SL10'), null, ${USED}, 4)`,
    );
    const held = () =>
      crib.db.query(
        `select quantity from balance where place_id = ${USED} and item_id = (select id from item where code = 'SL10')`,
      );
    expect(await held()).toEqual([{ quantity: 4 }]);
    await crib.db.query(entry({ counters: String(e) }));
    expect(await held()).toEqual([{ quantity: 0 }]);
    const f = await newEntry();
    await crib.db.query(
      `insert into movement (entry_id, item_id, from_place_id, to_place_id, quantity) values (${f}, (select id from item where code = 'SL10'), null, ${USED}, 1)`,
    );
    await crib.db.query(
      `insert into movement (entry_id, item_id, from_place_id, to_place_id, quantity) values (${await newEntry()}, (select id from item where code = 'SL10'), ${USED}, ${S1}, 1)`,
    );
    expect(await raw(entry({ counters: String(f) }))).toBe('BELOW_ZERO');
  });
  it('every balance equals the sum of its movements, and pieces lie where their last movement left them', async () => {
    const wrong = await crib.db.query(
      `select b.* from balance b full join (
         select item_id, place_id, sum(n)::int as n from (
           select item_id, to_place_id as place_id, quantity as n from movement union all select item_id, from_place_id, -quantity from movement) m
         where place_id is not null group by 1, 2) s using (item_id, place_id) where coalesce(b.quantity, 0) <> coalesce(s.n, 0)`,
    );
    expect(wrong).toEqual([]);
    expect((await crib.db.query('select 1 from balance')).length).toBeGreaterThan(3);
    const lost = await crib.db.query(
      `select pp.* from piece_place pp where pp.place_id <> (select m.to_place_id from movement m where m.piece_id = pp.piece_id order by m.id desc limit 1)`,
    );
    expect(lost).toEqual([]);
  });
});

describe('endings and receipts', () => {
  it('a life ends once', async () => {
    const end = async () =>
      `insert into ending (entry_id, edge_set_id, kind, signs) values (${await newEntry()}, (select id from edge_set limit 1), 'worn', '[]')`;
    expect(await raw(await end())).toBe('done');
    expect(await raw(await end())).toBe('ENDED_ALREADY');
  });
  it('no more is received than was ordered: 2', async () => {
    const receive = async (n: number) =>
      `insert into receipt (entry_id, purchase_id, quantity) values (${await newEntry()}, (select id from purchase limit 1), ${n})`;
    expect(await raw(await receive(3))).toBe('MORE_THAN_ORDERED');
    expect(await raw(await receive(2))).toBe('done');
    expect(await raw(await receive(1))).toBe('MORE_THAN_ORDERED');
  });
});
