import { isFitted, whyApart, type Ending } from '@/core/life';
import { measurementCounts } from '@/core/measuring';
import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '../testing';

/**
 * What is kept as in force must be what the ledger says when it is summed anew: after any act and any counter-entry.
 * The right hand of each pair asks the ledger alone, as the screens once did.
 */
const SUMS: [name: string, kept: string, summed: string][] = [
  [
    'assemblies that stand, their newest measurement and the one that counts',
    'select assembly_id, piece_id, edge_set_id, newest_id, good_id from assembly_now order by 1',
    `with judged as (
       select m.assembly_id, m.entry_id, e.happened_at, jsonb_array_length(m.questions) as questions, v.accepted
       from measurement m join live_entry e on e.id = m.entry_id
       left join lateral (select x.accepted from verdict x join live_entry xe on xe.id = x.entry_id where x.measurement_id = m.entry_id
         order by xe.happened_at desc, xe.id desc limit 1) v on true)
     select a.id as assembly_id, a.piece_id, a.edge_set_id,
       (select j.entry_id from judged j where j.assembly_id = a.id and j.accepted is not false order by j.happened_at desc, j.entry_id desc limit 1) as newest_id,
       (select j.entry_id from judged j where j.assembly_id = a.id and (j.accepted or (j.questions = 0 and j.accepted is null))
        order by j.happened_at desc, j.entry_id desc limit 1) as good_id
     from assembly a join live_entry e on e.id = a.entry_id
     where not exists (select 1 from take_down t join live_entry te on te.id = t.entry_id where t.assembly_id = a.id) order by 1`,
  ],
  [
    'ties',
    'select operation_id, t, assembly_id, entry_id from tie_now order by 1, 2',
    `select distinct on (x.operation_id, x.t) x.operation_id, x.t, x.assembly_id, x.entry_id from tie x join live_entry e on e.id = x.entry_id
     order by x.operation_id, x.t, e.happened_at desc, e.id desc`,
  ],
  [
    'operations with parts made, program and figures',
    'select operation_id, job, number, due, quantity, state, parts_made, program_id, figures_id, open from operation_now order by 1',
    `select x.*, x.parts_made < x.quantity and x.state = 'open' as open from (
       select o.id as operation_id, j.number as job, o.number, coalesce(c.due, j.due) as due, coalesce(c.quantity, j.quantity) as quantity,
         coalesce(c.state, 'open') as state,
         coalesce((select sum(l.parts)::int from parts_log l join live_entry le on le.id = l.entry_id where l.operation_id = o.id), 0) as parts_made,
         (select p.entry_id from program p join live_entry pe on pe.id = p.entry_id where p.operation_id = o.id order by pe.happened_at desc, pe.id desc limit 1) as program_id,
         (select f.entry_id from operation_figures f join live_entry fe on fe.id = f.entry_id where f.operation_id = o.id order by fe.happened_at desc, fe.id desc limit 1) as figures_id
       from operation o join live_entry e on e.id = o.entry_id join job j on j.id = o.job_id
       left join lateral (select x.* from job_change x join live_entry xe on xe.id = x.entry_id where x.job_id = j.id
         order by xe.happened_at desc, xe.id desc limit 1) c on true) x order by 1`,
  ],
  [
    'minutes and parts of each edge set in each material',
    'select edge_set_id, material_id, round(minutes::numeric, 6) as minutes, parts, lower_bound from edge_use order by 1, 2',
    `select coalesce(a.edge_set_id, u.edge_set_id) as edge_set_id, j.material_id, round(sum(u.minutes)::numeric, 6) as minutes, sum(l.parts)::int as parts,
       bool_or(u.lower_bound) as lower_bound
     from use u join live_entry e on e.id = u.entry_id join parts_log l on l.id = u.parts_log_id join operation o on o.id = l.operation_id
     join job j on j.id = o.job_id
     left join (select x.use_id, x.edge_set_id from use_assignment x join live_entry xe on xe.id = x.entry_id) a on a.use_id = u.id
     where coalesce(a.edge_set_id, u.edge_set_id) is not null group by 1, 2 order by 1, 2`,
  ],
  [
    'lives',
    'select edge_set_id, piece_id, item_id, fresh, round(minutes::numeric, 6) as minutes, materials, material_id, ended, ended_id from life_now order by 1',
    `select s.id as edge_set_id, s.piece_id, p.item_id, s.fresh, coalesce(u.minutes, 0.000000) as minutes, coalesce(u.materials, 0) as materials, u.material_id,
       x.kind as ended, x.entry_id as ended_id
     from edge_set s join live_entry e on e.id = s.entry_id join piece p on p.id = s.piece_id
     left join (select edge_set_id, round(sum(minutes)::numeric, 6) as minutes, count(distinct material_id)::int as materials,
                  case when count(distinct material_id) = 1 then min(material_id) end as material_id from use_of_edges group by 1) u on u.edge_set_id = s.id
     left join (select t.edge_set_id, t.kind, t.entry_id from ending t join live_entry te on te.id = t.entry_id) x on x.edge_set_id = s.id order by 1`,
  ],
  [
    'how many lives there are of each cutter in each material',
    'select item_id, material_id, lives from life_line where lives > 0 order by 1, 2',
    'select item_id, material_id, count(*)::int as lives from life_now where fresh and materials = 1 and minutes > 0 group by 1, 2 order by 1, 2',
  ],
  [
    'uses that belong to no cutter',
    'select use_id, operation_id, t from use_open order by 1',
    `select u.id as use_id, l.operation_id, u.t from use u join live_entry e on e.id = u.entry_id join parts_log l on l.id = u.parts_log_id
     where u.edge_set_id is null and not exists (select 1 from use_assignment a join live_entry ae on ae.id = a.entry_id where a.use_id = u.id) order by 1`,
  ],
  [
    'orders with what came of them',
    'select purchase_id, quantity, received, open from purchase_now order by 1',
    `select x.*, received < quantity as open from (
       select p.id as purchase_id, p.quantity,
         coalesce((select sum(r.quantity)::int from receipt r join live_entry re on re.id = r.entry_id where r.purchase_id = p.id), 0) as received
       from purchase p join live_entry e on e.id = p.entry_id) x order by 1`,
  ],
  [
    'pieces that are gone, and pieces to grade',
    'select piece_id, item_id, gone, to_grade from piece_place order by 1',
    `select pp.piece_id, p.item_id, pl.kind in ('scrap', 'lost') as gone,
       exists (select 1 from ending t join live_entry te on te.id = t.entry_id join edge_set es on es.id = t.edge_set_id
               where es.piece_id = p.id and in_crib(pl.kind)
               and not exists (select 1 from edge_set l join live_entry le on le.id = l.entry_id where l.piece_id = p.id and l.id > es.id)
               and not exists (select 1 from grade g join live_entry ge on ge.id = g.entry_id where g.piece_id = p.id and g.entry_id > t.entry_id)) as to_grade
     from piece_place pp join piece p on p.id = pp.piece_id join place pl on pl.id = pp.place_id order by 1`,
  ],
  [
    'names and use of what was ever named anew',
    'select supplier_id, name, in_use from naming_now order by 1',
    `select supplier_id, name, in_use from (select distinct on (n.supplier_id) n.* from naming n join live_entry e on e.id = n.entry_id
       order by n.supplier_id, e.happened_at desc, e.id desc) x order by 1`,
  ],
  [
    'how much lies at each place',
    'select place_id, items, pieces from place_now where items > 0 order by 1',
    'select place_id, count(*)::int as items, sum(quantity)::int as pieces from balance where quantity > 0 group by 1 order by 1',
  ],
];

let crib: TestCrib;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
});
afterAll(() => crib.db.close());

it('after random acts and counter-entries everything in force is what the ledger sums up to', async () => {
  let seed = 20_270;
  const random = () => (seed = (seed * 1_103_515_245 + 12_345) & 0x7fffffff) / 0x7fffffff;
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const column = async (sql: string): Promise<string[]> =>
    (await crib.db.query<{ v: string }>(sql)).map((r) => String(r.v));
  const upTo = (n: number) => 1 + Math.floor(random() * n);
  const standing = () =>
    column('select a.tag as v from assembly_now n join assembly a on a.id = n.assembly_id order by 1');
  const operations = () => column('select operation_id as v from operation_now order by 1');
  await crib.do('addMaterial', { code: 'AL', name: 'Aluminium', isoGroup: 'N' });
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 60 });
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 6 });

  /** Each act, from what stands now; the clock may be turned back an hour, as people enter things late. */
  const ACTS: Record<string, () => Promise<{ entry: number }>> = {
    build: () =>
      crib.do('buildAssembly', {
        cutter: { item: 'EM10', place: 'S1' },
        holder: { item: 'SL10', place: 'S1' },
        stickout: 34,
      }),
    again: async () =>
      crib.do('buildAssembly', {
        cutter: {
          piece: pick(
            await column(
              "select p.mark as v from piece p join piece_place pp on pp.piece_id = p.id join place l on l.id = pp.place_id where l.code = 'USED' order by 1",
            ),
          ),
        },
        holder: { item: 'SL10', place: 'S1' },
        stickout: 34,
      }),
    job: () =>
      crib.do('addJob', {
        number: `J-${upTo(1e6)}`,
        part: 'Block',
        material: pick(['C45', 'AL']),
        quantity: upTo(12),
        due: `2027-02-0${upTo(9)}`,
        machine: 'M2',
        highestBeside: 0,
      }),
    program: async () =>
      crib.do('storeProgram', {
        operation: Number(pick(await operations())),
        text: oneToolProgram(7, upTo(4)),
      }),
    figures: async () =>
      crib.do('stateOperation', { operation: Number(pick(await operations())), highestBeside: upTo(9) }),
    change: async () =>
      crib.do('changeJob', {
        number: pick(await column('select number as v from job order by 1')),
        quantity: upTo(12),
        state: pick(['open', 'open', 'closed', 'cancelled']),
      }),
    tie: async () =>
      crib.do('tieTool', { operation: Number(pick(await operations())), t: 7, tag: pick(await standing()) }),
    free: async () => crib.do('tieTool', { operation: Number(pick(await operations())), t: 7 }),
    log: async () =>
      crib.do('logParts', {
        operation: Number(pick(await operations())),
        parts: upTo(4),
        ...(random() < 0.3 ? { happenedAt: new Date(crib.now().getTime() - 3_600_000).toISOString() } : {}),
      }),
    assign: async () =>
      crib.do('assignUse', {
        operation: Number(pick(await column('select operation_id as v from use_open order by 1'))),
        t: 7,
        tag: pick(await standing()),
      }),
    measure: async () =>
      crib.do('recordMeasurement', { tag: pick(await standing()), gaugeLength: 93.6 + random() }),
    judge: async () =>
      crib.do('judgeMeasurement', {
        measurement: Number(
          pick(await column('select entry_id as v from measurement order by entry_id desc limit 6')),
        ),
        accepted: random() < 0.5,
        reason: 'looked at it again',
      }),
    down: async () => crib.do('takeDown', { tag: pick(await standing()), cutterTo: 'USED' }),
    end: async () =>
      crib.do('endLife', {
        tag: pick(await standing()),
        kind: pick(['worn', 'broken', 'crash', 'lost']),
        ...(random() < 0.5 ? { cutterTo: 'USED' } : {}),
      }),
    grade: async () =>
      crib.do('gradePiece', {
        piece: pick(
          await column(
            'select mark as v from piece p join piece_place pp on pp.piece_id = p.id where to_grade order by 1',
          ),
        ),
        grade: pick(['plastics', 'scrap']),
      }),
    order: () => crib.do('placeOrder', { item: 'EM10', quantity: upTo(6), promised: '2027-02-01' }),
    receive: async () =>
      crib.do('receiveOrder', {
        number: pick(await column('select number as v from purchase order by 1')),
        quantity: upTo(3),
        place: 'S1',
      }),
    name: () =>
      crib.do('changeSetUp', {
        what: 'supplier',
        code: 'NORD',
        name: `Nord ${upTo(9)}`,
        inUse: pick(['yes', 'yes', 'no']),
      }),
    counter: async () =>
      crib.do('counterEntry', {
        counters: Number(
          pick(
            await column('select id as v from live_entry where counters is null order by id desc limit 12'),
          ),
        ),
      }),
  };
  const done: Record<string, number> = {};
  let refused = 0;
  for (let step = 0; step < 420; step += 1) {
    crib.at(new Date(Date.parse('2027-01-05T09:00:00Z') + step * 60_000).toISOString());
    const name = pick([...Object.keys(ACTS), 'counter', 'counter', 'log', 'log', 'build']);
    try {
      await ACTS[name]!();
      done[name] = (done[name] ?? 0) + 1;
    } catch (error) {
      // Refused, or there was nothing to pick from: then nothing may have changed either.
      expect((error as { code?: string }).code ?? '').not.toBe('INTERNAL');
      refused += 1;
    }
    if (step % 7 === 0) await agree(`step ${step}, after ${name}`);
  }
  await agree('the end');
  // Every act was done, and refusals came in between.
  for (const name of Object.keys(ACTS)) expect([name, done[name] ?? 0]).toEqual([name, expect.any(Number)]);
  expect(Object.keys(ACTS).filter((name) => (done[name] ?? 0) < 2)).toEqual([]);
  expect(refused).toBeGreaterThan(10);

  // Loaded past the triggers, as a restored ledger would be, it is the same again.
  await crib.db.script(
    `set session_replication_role = replica; delete from tie_now; delete from life_now; update piece_place set gone = not gone;
     call rebuild_in_force(); set session_replication_role = default;`,
  );
  await agree('rebuilt');
  await expect(crib.db.query('call rebuild_in_force()')).rejects.toMatchObject({ code: 'LEDGER' });

  async function agree(when: string): Promise<void> {
    for (const [name, kept, summed] of SUMS)
      expect({ when, name, rows: await crib.db.query(kept) }).toEqual({
        when,
        name,
        rows: await crib.db.query(summed),
      });
  }
});

it('the database counts a measurement as the core does', async () => {
  for (const questions of [[], [{ code: 'L_FROM_EXPECTED' }]])
    for (const accepted of [true, false, null])
      expect(
        await crib.db.query('select measurement_counts($1::jsonb, $2::boolean) as counts', [
          JSON.stringify(questions),
          accepted,
        ]),
      ).toEqual([{ counts: measurementCounts({ questions, accepted }) }]);
});

it('the database fits a life, and shows it apart, as the core does', async () => {
  const rows = await crib.db.query<{
    fresh: boolean;
    minutes: number;
    materials: number;
    ended: Ending | null;
    fitted: boolean;
    apart: boolean;
  }>('select fresh, minutes, materials, ended, fitted, apart from life_now');
  expect(new Set(rows.map((r) => `${r.fitted} ${r.apart}`)).size).toBe(3);
  for (const r of rows) expect({ ...r, fitted: isFitted(r), apart: whyApart(r) !== null }).toEqual({ ...r });
});

it('nobody writes what is derived', async () => {
  // Some of each: a thing named anew, and minutes that belong to no cutter.
  await crib.do('changeSetUp', { what: 'material', code: 'C45', name: 'Steel' });
  const { operation } = await crib.do('addJob', {
    number: 'J-X',
    part: 'P',
    material: 'C45',
    quantity: 9,
    due: '2027-03-01',
    machine: 'M2',
  });
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 1) });
  await crib.do('logParts', { operation, parts: 1 });
  for (const table of [
    'assembly_now',
    'tie_now',
    'operation_now',
    'edge_use',
    'life_now',
    'life_line',
    'use_open',
    'purchase_now',
    'place_now',
    'naming_now',
  ]) {
    expect([table, await crib.db.query(`select 1 as there from ${table} limit 1`)]).toEqual([
      table,
      [{ there: 1 }],
    ]);
    await expect(crib.db.query(`delete from ${table}`)).rejects.toMatchObject({ code: 'LEDGER' });
    await expect(crib.db.query(`truncate ${table}`)).rejects.toMatchObject({ code: 'LEDGER' });
  }
});
