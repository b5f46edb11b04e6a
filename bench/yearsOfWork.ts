import { randomUUID } from 'node:crypto';
import { readProgram } from '../src/core/programs';
import { type Crib, perform } from '../src/crib/door';
import { verbNamed } from '../src/crib/verbs';
import { enterKindWords } from '../src/data/catalogue';
import { type Database, migrate, openInMemory } from '../src/data/database';
import { largeCrib, settle } from './largeCrib';
import { livesRecorded } from './yearsOfLives';

/** What a shop does in a year, and what it has standing at any time, however old it is. */
const YEAR = {
  items: 2_000,
  jobs: 500,
  operationsPerJob: 8,
  lives: 6_000,
  logs: 30_000,
  movements: 100_000,
  orders: 150,
};
/** Four machines with fifteen tools each, and what is planned for the next weeks. */
export const STANDING = {
  assemblies: 60,
  openJobs: 3,
  openOperationsPerJob: 4,
  toolsPerOperation: 5,
  toGrade: 20,
  used: 150,
};

export interface Worked {
  crib: Crib;
  db: Database;
  do(verb: string, input: Record<string, unknown>): Promise<Record<string, unknown>>;
}

/** A program of so many tools, a few feeding moves each. */
export const program = (tools: number, minutes = 1.5): string =>
  [
    'G21 G90 G17 G54',
    ...Array.from({ length: tools }, (_, i) => [
      `T${i + 1} M6`,
      `S${2000 + 100 * i} M3`,
      'G0 X0 Y0',
      `G0 G43 H${i + 1} Z5`,
      'G0 Z-10',
      `G1 X${minutes * 50} F100`,
      `G1 Y${minutes * 50}`,
      'G0 Z5',
    ]).flat(),
    'M30',
  ].join('\n');

/**
 * A crib after so many years: items, finished jobs with programs, lives, logs and movements in proportion; half of the
 * lives are of sixty cutters that everything is cut with. What stands and what is open is the same at any age. Rows are
 * loaded as a restored backup would be; what is in force is then summed once.
 */
export async function yearsOfWork(
  years: number,
  /** Other than usual: how many assemblies stand, and how often each was measured. */
  { standing = STANDING.assemblies, measurements = 1 }: { standing?: number; measurements?: number } = {},
): Promise<Worked> {
  const n = (of: Exclude<keyof typeof YEAR, 'operationsPerJob'>) => Math.round(YEAR[of] * years);
  const operations = n('jobs') * YEAR.operationsPerJob;
  const open = STANDING.openJobs * STANDING.openOperationsPerJob;
  // The popular ones are cutters of the first items: every fifth item, from the fourth on, is a holder.
  const popular = '(5 + 5 * ((g / 2) % 15) + ((g / 2) / 15) % 4)';
  const db = await largeCrib({
    items: n('items'),
    pieces: n('lives') + standing,
    movements: n('movements'),
    pieceItem: `case when g % 2 = 0 or g > ${n('lives')} then ${popular} else 5 + 5 * ((g * 7919::bigint) % ${n('items') / 5 - 1}) + g % 4 end::int`,
  });
  const tools = STANDING.toolsPerOperation;
  const report = JSON.stringify(readProgram(program(tools))).replaceAll("'", "''");
  const day = (g: string, span: number) =>
    `timestamptz '2027-01-05' - interval '${Math.round(years * 365)} days' * (1 - ${g}::float8 / ${span})`;
  /** So many entries of a kind, over the years; they are numbered on from `first`. */
  let next = 2000;
  const script: string[] = [];
  const entries = (kind: string, count: number): number => {
    const first = next;
    next += count;
    script.push(
      `insert into entry (id, kind, happened_at, recorded_at, who, form_id) overriding system value
         select ${first} + g, '${kind}', t, t, case when g % 3 = 0 then 'TO' else 'IK' end, gen_random_uuid()
         from generate_series(0, ${count - 1}) g cross join lateral (select ${day('g', count)} as t) x;
       insert into form_answer (form_id, input_digest, answer) select form_id, 'x', '{"tag":"A-0001","parts":4}' from entry where id >= ${first} and id < ${first + count};`,
    );
    return first;
  };
  await db.script(`
    set session_replication_role = replica;
    insert into material (code, name, iso_group, entry_id) select 'MAT' || g, 'Material ' || g, (array['P','M','K','N','S'])[g], 1 from generate_series(1, 5) g;
    insert into supplier (code, name, entry_id) values ('NORD', 'Nordkap Tools', 1);
    insert into supplier_terms (entry_id, supplier_id, lead_time_days) values (1, 1, 10);
    insert into machine (code, name, entry_id) select 'M' || g, 'Mill ' || g, g from generate_series(1, 4) g;
    insert into machine_figures (entry_id, machine_id, taper, k_mm, k_entered, length_school, diameter_school, units, h_equals_t, rpm_max, feed_max_mm_min, rapid_mm_min, tool_change_s)
      select g, g, '40 taper', 490, '490', 'datum', 'radius', 'mm', true, 10000, 6000, 20000, 5 from generate_series(1, 4) g;
    insert into place (code, name, kind, entry_id) values ('GRIND', 'Grinder', 'regrind', 1), ('USED', 'Used drawer', 'drawer', 1);
    insert into fact (entry_id, item_id, symbol, text, unit, value, origin)
      select i.entry_id, i.id, 'CCMS', '40 taper', 'words', null, 'maker' from item i where i.kind = 'holder'
      union all select i.entry_id, i.id, 'SUBSTRATE', 'carbide', 'words', null::float8, 'maker' from item i where i.kind = 'cutter';
    insert into fact_now select item_id, symbol, entry_id, text, unit, value, origin from fact where symbol in ('CCMS', 'SUBSTRATE');
    insert into supply (entry_id, item_id, supplier_id, order_code, price_cents, pack, minimum)
      select i.entry_id, i.id, 1, 'N-' || i.id, 3000 + i.id, 2, 1 from item i where i.kind = 'cutter';
    insert into assumed_life (entry_id, item_id, material_id, minutes, origin) select i.entry_id, i.id, null, 60, 'guess' from item i where i.kind = 'cutter';
  `);
  const lives = n('lives');
  const built = entries('buildAssembly', lives + standing);
  const measured = entries('recordMeasurement', lives + standing * measurements);
  const ended = entries('endLife', lives);
  const jobs = n('jobs') + STANDING.openJobs;
  const added = entries('addJob', jobs);
  const programs = entries('storeProgram', operations + open);
  const tied = entries('tieTool', operations + open);
  const logged = entries('logParts', n('logs'));
  const ordered = entries('placeOrder', n('orders') + 6);
  const received = entries('receiveOrder', n('orders'));
  const worn = entries('recordWear', lives);
  const graded = entries('gradePiece', lives);
  const counted = entries('startCount', Math.max(10, 100 * years));
  entries('moveStock', n('movements') / 4);
  const S = (sql: string) => script.push(sql);
  S(`insert into assembly (tag, piece_id, edge_set_id, holder_item_id, holder_place_id, stickout_mm, stickout_entered, entry_id)
     select 'A-' || lpad(g::text, greatest(4, length(g::text)), '0'), g, g, 4 + 5 * (g % 40), 4, 34, '34 mm', ${built} + g - 1 from generate_series(1, ${lives + standing}) g`);
  S(
    `insert into take_down (entry_id, assembly_id) select ${ended} + g - 1, g from generate_series(1, ${lives}) g`,
  );
  S(`insert into measurement (entry_id, assembly_id, gauge_length_mm, gauge_length_entered, diameter_mm, diameter_entered, questions)
     select ${measured} + g - 1, case when g <= ${lives} then g else ${lives} + 1 + (g - ${lives} - 1) % ${standing} end, 94.1, '94.1', null, null, '[]'
     from generate_series(1, ${lives + standing * measurements}) g`);
  S(
    `insert into ending (entry_id, edge_set_id, kind, signs) select ${ended} + g - 1, g, (array['worn','broken','crash','sign','worn'])[1 + g % 5], '[]' from generate_series(1, ${lives}) g`,
  );
  S(
    `insert into wear_reading (entry_id, edge_set_id, flank_wear_mm, flank_wear_entered) select ${worn} + g - 1, g, 0.01 * (g % 18), 'x' from generate_series(1, ${lives}) g`,
  );
  // Material by weeks of jobs: a life that cut two is shown apart, and then there would be none to survey.
  S(`insert into job (number, part, revision, material_id, quantity, due, entry_id)
     select 'J-' || lpad(g::text, 5, '0'), 'Housing ' || g, 'A', 1 + (g / 100) % 5, case when g > ${n('jobs')} then 400 else 40 end,
       (${day('g', jobs)})::date + 30, ${added} + g - 1 from generate_series(1, ${jobs}) g`);
  S(`insert into operation (job_id, number, machine_id, entry_id)
     select j, 10 * (1 + (g - 1) % ${YEAR.operationsPerJob}), 1 + g % 4, ${added} + j - 1 from generate_series(1, ${operations + open}) g
     cross join lateral (select case when g > ${operations} then ${n('jobs')} + 1 + (g - ${operations} - 1) / ${STANDING.openOperationsPerJob}
       else 1 + (g - 1) / ${YEAR.operationsPerJob} end as j) x`);
  S(
    `insert into operation_figures (entry_id, operation_id, highest_beside_mm, highest_beside_entered) select ${programs} + g - 1, g, 0, '0' from generate_series(1, ${operations + open}) g`,
  );
  S(
    `insert into program (entry_id, operation_id, name, text, report) select ${programs} + g - 1, g, 'O' || g, '${program(tools)}', '${report}' from generate_series(1, ${operations + open}) g`,
  );
  // A finished operation was cut by lives of its time; an open one is cut by what stands.
  S(`insert into tie (entry_id, operation_id, t, assembly_id)
     select ${tied} + g - 1, g, t, case when g > ${operations} then ${lives} + 1 + ((g - ${operations} - 1) * ${tools} + t - 1) % ${standing}
       else 1 + ((g::bigint * ${lives} / ${operations + 1}) + t * 37) % ${lives} end
     from generate_series(1, ${operations + open}) g, generate_series(1, ${tools}) t`);
  const openLogs = open * 12;
  S(`insert into parts_log (entry_id, operation_id, program_id, parts)
     select ${logged} + g - 1, o, ${programs} + o - 1, 8 from generate_series(1, ${n('logs')}) g
     cross join lateral (select case when g > ${n('logs') - openLogs} then ${operations} + 1 + g % ${open} else 1 + ((g - 1)::bigint * ${operations} / ${n('logs') - openLogs})::int end as o) x`);
  S(`insert into use (entry_id, parts_log_id, t, edge_set_id, minutes, lower_bound, rpm)
     select l.entry_id, l.id, x.t, a.edge_set_id, 0.2 + (l.id % 7) * 0.1, false, 2000 + 300 * (l.operation_id / 400 % 3) from parts_log l join tie x on x.operation_id = l.operation_id join assembly a on a.id = x.assembly_id`);
  S(`insert into purchase (id, entry_id, number, item_id, supplier_id, quantity, promised, because)
     select g, ${ordered} + g - 1, 'O-' || lpad(g::text, 5, '0'), 5 + 5 * (g % 15), 1, 4, '2027-02-01', '{"words":"x","values":[]}' from generate_series(1, ${n('orders') + 6}) g`);
  S("select setval('purchase_id_seq', (select max(id) from purchase))");
  S(
    `insert into receipt (entry_id, purchase_id, quantity) select ${received} + g - 1, g, 4 from generate_series(1, ${n('orders')}) g`,
  );
  S(`insert into loan (entry_id, item_id, hand_place_id, quantity, due)
     select ${built} + g, 5 + 5 * (g % 15), (select id from place where code = 'HAND-TO'), 1, null from generate_series(1, ${lives / 4}) g`);
  S(
    `insert into count_sheet (number, place_id, entry_id) select 'C-' || lpad(g::text, 5, '0'), 4 + g % 100, ${counted} + g - 1 from generate_series(1, ${Math.max(10, 100 * years)}) g`,
  );
  S(
    `insert into count_booking (entry_id, sheet_id) select ${counted} + g - 1, g from generate_series(1, ${Math.max(10, 100 * years) - 2}) g`,
  );
  // Ended cutters went to the scrap, of the last ones some to the drawer of used ones, graded; what stands is in its build.
  S(`insert into movement (entry_id, who, item_id, piece_id, from_place_id, to_place_id, quantity)
     select case when p.id <= ${lives} then ${ended} + p.id - 1 else ${built} + p.id - 1 end, 'IK', p.item_id, p.id, pp.place_id,
       (select id from place where code = case when p.id > ${lives} then 'BUILD' when p.id > ${lives - 4 * STANDING.used} and p.id % 4 = 0 then 'USED' else 'SCRAP' end), 1
     from piece p join piece_place pp on pp.piece_id = p.id`);
  S(
    `update piece_place pp set place_id = m.to_place_id from movement m where m.piece_id = pp.piece_id and m.id = (select max(x.id) from movement x where x.piece_id = pp.piece_id)`,
  );
  S(
    `insert into grade (entry_id, piece_id, grade, signs) select ${graded} + g - 1, g, 'plastics', '[]' from generate_series(1, ${lives}) g where g % 4 = 0 and g < ${lives - 4 * STANDING.toGrade}`,
  );
  for (const sql of livesRecorded({
    ...{ lives, operations, open, tools, standing, ended, programs, tied, built },
  }))
    S(sql);
  S(`select setval(pg_get_serial_sequence('entry', 'id'), ${next})`);
  for (const sql of script) await db.script(`set session_replication_role = replica; ${sql};`);
  await settle(db);
  return working(db);
}

const working = (db: Database): Worked => {
  const crib: Crib = { db, zone: 'Europe/Oslo', now: () => new Date('2027-01-12T09:00:00Z') };
  return {
    crib,
    db,
    do: (name, input) => perform(crib, verbNamed(name)!, { who: 'IK', formId: randomUUID(), ...input }),
  };
};

/** A crib in which nothing is yet. */
export async function emptyCrib(): Promise<Worked> {
  const db = await openInMemory();
  await migrate(db);
  await enterKindWords(db);
  return working(db);
}
