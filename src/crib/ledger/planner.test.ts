import { randomUUID } from 'node:crypto';
import type { Connection, Database, Param } from '@/data/database';
import { jobView } from '@/crib/jobs';
import { registersView } from '@/crib/registers';
import { perform } from '../door';
import { furnish, MILL, oneToolProgram, openTestCrib, OWNER, type TestCrib } from '../testing';
import { lifeView } from '../life';
import { runView } from '../jobs';
import { takeableView } from '../stock';
import { todayView } from '../today';
import { VERBS, verbNamed } from '../verbs';
import { VIEWS } from '../views';

/**
 * No view and no verb may read a whole table of the ledger: what it costs would grow with the shop's history. Every
 * statement they put is kept as it was asked, and the planner says how it would look it up where scanning is dear.
 */

/** Tables that have as many rows as the shop has things of the kind, or changes of its own rules. */
const SMALL = new Set([
  'shop_week',
  'reorder_point',
  'person',
  'place',
  'material',
  'supplier',
  'supplier_terms',
  'machine',
  'machine_figures',
  'kind_word',
  'grade_ladder',
  'choosing_rules',
  'saved_view',
  'column_mapping',
  'settlement',
]);
/** Kept tables that grow with the history too; of the others, all rows are what is open now. */
const KEPT = [
  'fact_now',
  'item_said',
  'balance',
  'piece_place',
  'tie_now',
  'operation_now',
  'edge_use',
  'edge_speed',
  'edge_recipe',
  'clamping_now',
  'scrap_now',
  'life_now',
  'life_line',
  'purchase_now',
];
/** Indexes that hold what is open, is here, or is to be stated yet, alone: all of one may be read. */
const OPEN = new Set([
  'operation_now_open',
  'purchase_now_open',
  'piece_place_to_grade',
  'piece_place_here',
  'scrap_now_unknown',
]);
/** Statements that read on purpose all of what they name: lists that come in are compared with the whole catalogue. */
const WHOLE_LISTS = ['importItems'];

interface Plan {
  'Node Type': string;
  'Relation Name'?: string;
  'Index Name'?: string;
  'Index Cond'?: string;
  Filter?: string;
  Plans?: Plan[];
}

let crib: TestCrib;
let large: Set<string>;
const asked = new Map<string, { params: readonly Param[]; by: string }>();
let by = '';
const done = new Set<string>();

/** The same database, each statement kept with what put it. */
function listening(db: Database): Database {
  const hear = (c: Connection): Connection => ({
    query: <Row>(sql: string, params: readonly Param[] = []) => {
      if (!asked.has(sql)) asked.set(sql, { params, by });
      return c.query<Row>(sql, params);
    },
  });
  return {
    ...db,
    ...hear(db),
    transaction: (work) => db.transaction((c) => work(hear(c))),
    longTransaction: (work) => db.longTransaction((c) => work({ ...c, ...hear(c) })),
  };
}

beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  const ledger = await crib.db.query<{ name: string }>(
    "select tgrelid::regclass::text as name from pg_trigger where tgname = tgrelid::regclass::text || '_kept'",
  );
  large = new Set([...ledger.map((r) => r.name), ...KEPT].filter((name) => !SMALL.has(name)));
  expect(large.size).toBeGreaterThan(30);
});
afterAll(() => crib.db.close());

/** Scans of a plan that read a whole table. A page cut straight from an index (Limit above it, no sort between) is none. */
function wholeScans(plan: Plan, underLimit = false): string[] {
  const kind = plan['Node Type'];
  const table = plan['Relation Name'];
  const scans = /Scan$/.test(kind) && table !== undefined && large.has(table);
  const own =
    // What is not shown yet are the new items of a list while it comes in: a limit is reached as soon as without asking.
    scans && kind === 'Seq Scan' && !(underLimit && plan.Filter === 'shown')
      ? [`${table} row by row`]
      : scans &&
          !plan['Index Cond'] &&
          !underLimit &&
          !OPEN.has(plan['Index Name'] ?? '') &&
          !/Bitmap Heap|Seq Scan/.test(kind)
        ? [`${table} along the whole of ${plan['Index Name']}`]
        : [];
  const cut =
    kind === 'Limit' ||
    (underLimit &&
      ['Nested Loop', 'Incremental Sort', 'Subquery Scan', 'Result', 'Append', 'Merge Append'].includes(
        kind,
      ));
  // Only the outer side of a loop stops when the limit is reached.
  return [
    ...own,
    ...(plan.Plans ?? []).flatMap((p, i) => wholeScans(p, cut && (i === 0 || /Append/.test(kind)))),
  ];
}

it('no statement of a view or a verb reads a table of the ledger whole', async () => {
  const heard = { ...crib, db: listening(crib.db) };
  const does = async (name: string, input: Record<string, unknown>): Promise<Record<string, unknown>> => {
    by = name;
    done.add(name);
    return perform(heard, verbNamed(name)!, { who: 'IK', formId: randomUUID(), ...input });
  };
  const EVERY: [string, Record<string, string>][] = [
    ['recipes', { material: 'C45' }],
    ['recipes', { item: 'EM10', after: '900' }],
    ['recipe', { code: 'R-0001' }],
    ['bench', { item: 'EM10', recipe: 'R-0001' }],
    ['item', { code: 'EM10' }],
    ['item', { code: 'SL10' }],
    ['item', { code: 'FM50' }],
    ['place', { code: 'S1' }],
    ['count', { number: 'C-0001' }],
    ['movements', { item: 'EM10' }],
    ['movements', { piece: 'E-0001' }],
    ['movements', { place: 'S1' }],
    ['movements', { who: 'IK', before: '900' }],
    ['choose', { feature: 'pocket', depth: '10', corner: '6' }],
    ['choose', { feature: 'thread', thread: 'M8' }],
    ['takeable', { what: 'cutter', q: 'square DC 9..11' }],
    ['takeable', { what: 'cutter', q: 'E-0001' }],
    ['takeable', { what: 'holder', like: 'SL10' }],
    ['assembly', { tag: 'A-0001' }],
    ['job', { number: 'J-1' }],
    ['kit', { number: 'J-1' }],
    ['run', { operation: '1' }],
    ['alone', { operation: '1', parts: '5' }],
    ['registers', { machine: 'M2' }],
    ['devices', {}],
    ['gauges', {}],
    ['to-measure', {}],
    ['pockets', { machine: 'M2' }],
    ['fixtures', { machine: 'M2' }],
    ['assemblies', { machine: 'M2' }],
    ['build-sheets', {}],
    ['build-sheet', { code: 'BS-1' }],
    ['jobs', { after: '1' }],
    ['lives', { after: '1-1' }],
    ['life', { item: 'EM10', material: 'C45' }],
    ['items', { q: 'square DC 9..11', sort: 'dc', place: 'S1', after: 'EM10' }],
    ['items', { sort: '-unused' }],
    ['stock', { q: 'square', sort: 'place', owner: 'NORD' }],
    ['stock', { sort: '-quantity', place: 'S1' }],
    ['entries', { before: '900' }],
  ];
  const everyView = async () => {
    for (const [path, query] of [
      ...VIEWS.map((v): [string, Record<string, string>] => [v.path, {}]),
      ...EVERY,
    ]) {
      by = `view ${path}`;
      await VIEWS.find((v) => v.path === path)!.read(heard, new URLSearchParams(query), undefined, OWNER);
    }
  };

  const maker = (value: string) => ({ value, origin: 'maker' });
  await does('addPlace', { code: 'GRIND', name: 'Grinder', kind: 'regrind' });
  await does('addPerson', { initials: 'TO', name: 'Tor Olander' });
  await does('setRole', { person: 'TO', role: 'operator' });
  await does('setBackups', { made: 'not' });
  await does('setSecondPerson', { writeOff: 'no', deviation: 'no', settlement: 'yes' });
  await does('addItem', {
    code: 'FM50',
    kind: 'body',
    family: 'face',
    facts: { DC: maker('50'), CICT: maker('4'), MIID: maker('APKT') },
  });
  await does('addItem', {
    code: 'AP16',
    kind: 'insert',
    facts: { ISO1832: maker('APKT 160408'), CEDC: maker('2') },
  });
  await does('addItem', { code: 'SCREW', kind: 'spare', facts: { FITS: maker('FM50') } });
  await does('addItem', {
    code: 'EM11',
    kind: 'cutter',
    family: 'square',
    similarTo: 'EM10',
    facts: { DC: maker('11') },
  });
  await does('linkItem', { item: 'EM11', earlier: 'EM10', relation: 'version', reason: 'newer' });
  await does('stateStanding', { item: 'EM11', standing: 'trial', reason: 'two' });
  await does('stateFacts', { item: 'EM10', facts: { COATING: maker('TiAlN') } });
  for (const [item, quantity] of [
    ['EM10', 20],
    ['SL10', 5],
    ['FM50', 2],
    ['AP16', 20],
    ['SCREW', 20],
  ] as const)
    await does('receiveStock', { item, place: 'S1', quantity });
  await does('receiveStock', { item: 'EM10', place: 'S1', quantity: 4, supplier: 'NORD' });
  await does('moveStock', { item: 'EM10', from: 'S1', quantity: 2, to: 'USED' });
  await does('issueStock', { item: 'EM10', from: 'USED', quantity: 1, to: 'TO', due: '2027-02-01' });
  const operation = (
    await does('addJob', {
      number: 'J-1',
      part: 'Block',
      material: 'C45',
      quantity: 40,
      due: '2027-02-01',
      machine: 'M2',
      highestBeside: 0,
    })
  ).operation as number;
  await does('storeProgram', { operation, text: oneToolProgram(7, 2) });
  await does('logParts', { operation, parts: 1 });
  const drawn = { code: 'BS-1', name: 'Finisher', cutter: 'EM10', holder: 'SL10', stickout: 34 };
  await does('writeBuildSheet', drawn);
  for (let i = 0; i < 3; i += 1)
    await does('buildAssembly', {
      sheet: { code: 'BS-1', version: 1, clean: true },
      cutter: { item: 'EM10', place: 'S1' },
      holder: { item: 'SL10', place: 'S1' },
      stickout: '34',
      for: { operation, t: 7 },
    });
  await does('tieTool', { operation, t: 7, tag: 'A-0001' });
  await does('assignUse', { operation, t: 7, tag: 'A-0001' });
  const { entry: measurement } = await does('recordMeasurement', { tag: 'A-0001', gaugeLength: 97 });
  await does('judgeMeasurement', { measurement, accepted: true, reason: 'set so' });
  const sheet = await registersView(crib.db, { machine: 'M2' }, 'UTC');
  const { t, tag, h } = sheet!.lines[0]!;
  await does('addDevice', { code: 'PRE-1', name: 'Presetter', port: 4400, master: 200 });
  await does('addGauge', { code: 'M-200', name: 'Master', kind: 'master', size: 200 });
  await does('addGauge', { code: 'W-1', name: 'Wrench', kind: 'torque wrench' });
  await does('recordTightening', { tag, wrench: 'W-1', torque: 60 });
  await does('checkDevice', { device: 'PRE-1', reading: 200.02, master: 'M-200' });
  for (const code of ['W-1', 'M-200', 'PRE-1'])
    await does('recordCalibration', { of: code, found: 'off', due: '2028-01-05' });
  await does('stateMagazine', { machine: 'M2', kind: 'carousel', pockets: 6 });
  await does('loadPocket', { machine: 'M2', pocket: 1, tag: 'A-0001' });
  await does('emptyPocket', { machine: 'M2', pocket: 1 });
  await does('loadPocket', { machine: 'M2', pocket: 1, tag: 'A-0001' });
  await does('stateFixture', {
    ...{ machine: 'M2', code: 'V1', name: 'Vise', centre: -400, width: 125 },
    ...{ jaw: -90, side: 'far', bed: 60 },
  });
  await does('keepTool', { machines: ['M2'], t: 7, item: 'EM10' });
  await does('giveRegisters', { machine: 'M2', how: 'sent', lines: [{ t, tag, h }] });
  await does('recordCorrection', {
    ...{ operation, t, place: 'wear', hBefore: '0', hAfter: '-0.010' },
    features: [{ kind: 'depth', wanted: 8, measured: 7.99 }],
  });
  const [own] = await crib.db.query<{ id: number }>('select max(id) as id from use');
  await does('correctUse', { use: own!.id, minutes: 2 });
  await does('beginTrial', { item: 'EM10', against: 'EM11', material: 'C45', failuresEach: 3 });
  await takeableView(heard.db, { what: 'cutter', like: 'EM10' }, '2027-01-12');
  await lifeView(heard.db, '2027-01-12', 'UTC');
  await does('endTrial', { trial: 'TR-0001', winner: 'first', words: 'cheaper' });
  // Holders by the lives of one cutter; what it says is asked where a holder is taken, and at the machine.
  await crib.do('addItem', {
    ...{ code: 'SL10-B', kind: 'holder' },
    facts: { LF: { value: '60', origin: 'maker' } },
  });
  await does('beginTrial', {
    ...{ item: 'EM10', tries: 'holder', first: 'SL10', against: 'SL10-B', material: 'C45', failuresEach: 3 },
  });
  await takeableView(
    heard.db,
    { what: 'holder', like: 'SL10', shank: 'EM10', material: 'C45' },
    '2027-01-12',
  );
  await lifeView(heard.db, '2027-01-12', 'UTC');
  await runView(heard.db, operation);
  await does('endTrial', { trial: 'TR-0002', words: 'neither' });
  await does('recordUse', { tag: 'A-0001', material: 'C45', minutes: 2 });
  await does('recordWear', { tag: 'A-0001', flankWear: '0.1' });
  await does('statePassDepth', { operation, t: 7, depth: 2 });
  await does('stateChange', { operation, t: 7, parts: 30, basis: 'cost' });
  await does('stateOperation', { operation, highestBeside: 1 });
  await does('addOperation', { job: 'J-1', number: 20, machine: 'M2' });
  const { entry: over } = await does('writeSetupSheet', { operation, drawing: 'D-1', zeroZ: 30 });
  await does('writeSetupSheet', { operation, over, drawing: 'D-1', zeroZ: 30, stockZ: 31, fixture: 'V1' });
  await does('signSetup', { operation, step: 'written' });
  await does('signSetup', { operation, step: 'entered' });
  await does('recordCycle', { operation, minutes: 2.6 });
  await does('stateSpindle', { machine: 'M2', only: { from: 0, to: 8000, kw: 7.5, nm: 48 } });
  await does('stateMaterial', { material: 'C45', density: 7.85, origin: 'guess' });
  await does('stateRecipe', {
    ...{ item: 'EM10', material: 'C45', cut: 'roughing', speedAs: 'n', speed: 4000 },
  });
  await does('recordOutcome', { recipe: 'R-0001', outcome: 'tried', operation });
  await does('planTool', { operation, t: 7, item: 'EM10', does: 'roughs', recipe: 'R-0001' });
  await does('planTool', { operation, t: 9, sheet: 'BS-1' });
  const faster = { item: 'EM10', material: 'C45', cut: 'roughing', speedAs: 'n', speed: 4400 } as const;
  await does('stateRecipe', faster);
  await does('beginTrial', {
    ...{
      item: 'EM10',
      tries: 'recipe',
      first: 'R-0001',
      against: 'R-0002',
      material: 'C45',
      failuresEach: 3,
    },
  });
  await lifeView(heard.db, '2027-01-12', 'UTC');
  await runView(heard.db, operation);
  await does('endTrial', { trial: 'TR-0003', words: 'neither' });
  await does('tieTool', { operation, t: 7, tag: 'A-0002' });
  await does('moveKit', { operation, tag: 'A-0002', to: 'cart' });
  await does('tieTool', { operation, t: 7, tag: 'A-0001' });
  await does('storeProgram', {
    operation,
    text: 'G21 G90\nT7 M6\nS2000 M3\nG0 G43 H7 Z20.\nG1 Z0. F200\nX90. F400\nM30',
  });
  await does('recipeFromTool', { operation, t: 7, cut: 'roughing' });
  await everyView();
  const { program } = (await jobView(crib.db, 'J-1', 10))!;
  await does('renumberTools', { operation, program: program!.entryId, numbers: [{ t: 7, to: 17 }] });
  const { program: now } = (await jobView(crib.db, 'J-1', 10))!;
  await does('renumberTools', { operation, program: now!.entryId, numbers: [{ t: 17, to: 7 }] });
  await crib.do('changeMachine', { ...MILL, code: 'M2', acceleration: 3, corner: 0.01 });
  const { program: read } = (await jobView(crib.db, 'J-1', 10))!;
  await does('readProgramAgain', { operation, program: read!.entryId });
  await does('copyJob', { from: 'J-1', number: 'J-7', quantity: 3, due: '2027-02-09' });
  await crib.do('addMachine', { code: 'M7', name: 'Mill 7', ...MILL });
  await does('moveOperation', { operation, machine: 'M7' });
  await does('moveOperation', { operation, machine: 'M2' });
  await does('planStart', { operation, starts: '2027-01-18' });
  await does('changeJob', { number: 'J-1', quantity: 60 });
  await does('logParts', { operation, parts: 2 });
  await does('startCount', { place: 'S1' });
  await does('enterCount', { sheet: 'C-0001', lines: [{ place: 'S1', item: 'SL10', counted: 3 }] });
  await everyView();
  await does('bookCount', { sheet: 'C-0001', explained: 'nobody knows' });
  await does('resetStickout', { tag: 'A-0002', stickout: '33' });
  const { newTag } = await does('endLife', {
    tag: 'A-0001',
    kind: 'worn',
    cutterTo: 'USED',
    partsSince: [{ operation, parts: 1 }],
    rebuild: { cutter: { item: 'EM10', place: 'S1' }, stickout: '34' },
  });
  await does('gradePiece', { piece: 'E-0001', grade: 'slotting steel' });
  await does('takeDown', { tag: 'A-0003', cutterTo: 'USED' });
  await does('sendToRegrind', { piece: 'E-0001', to: 'GRIND' });
  await does('takeFromRegrind', { piece: 'E-0001', place: 'S1', dc: '9.8', lcf: '20' });
  await does('mountInserts', { body: 'FM50', bodyFrom: 'S1', item: 'AP16', from: 'S1' });
  const [{ mark }] = (await crib.db.query<{ mark: string }>(
    "select p.mark from piece p join item i on i.id = p.item_id where i.code = 'FM50'",
  )) as [{ mark: string }];
  await does('turnSeats', { piece: mark, seats: [2], ended: { kind: 'chipped' } });
  await does('renewSpare', { piece: mark, item: 'SCREW', from: 'S1', quantity: 2 });
  await does('stateSeat', { piece: mark, seat: 1, damaged: 'yes' });
  await does('unmountInserts', { piece: mark, to: 'S1' });
  await does('returnStock', { item: 'EM10', from: 'HAND-TO', quantity: 1, to: 'S1', used: 'no' });
  await does('scrapStock', { item: 'EM10', from: 'S1', quantity: 1, reason: 'dropped' });
  await does('loseStock', { item: 'EM10', from: 'S1', quantity: 1, reason: 'gone' });
  await does('foundStock', { item: 'EM10', place: 'S1', quantity: 1 });
  const { number } = await does('placeOrder', { item: 'EM10', quantity: 4, promised: '2027-02-01' });
  await does('reserveStock', { item: 'EM10', job: 'J-1', quantity: 0 });
  await does('stateReorder', { item: 'EM10', minimum: 3, upTo: 6 });
  await does('restatePromise', { number, promised: '2027-02-03' });
  const { entry } = await does('receiveOrder', { number, quantity: 1, place: 'S1' });
  await does('counterEntry', { counters: entry });
  const { lines } = await todayView(crib.db, '2027-01-05');
  await does('sayOfWork', { line: lines.find((l) => l.mayWait)!.key, word: 'done' });
  await does('saveView', { name: 'drills', address: '/cutters?q=drill' });
  const broke = Number(
    (await does('endLife', { tag: newTag, kind: 'broken', signs: ['slot'], at: { operation, t: 7 } })).entry,
  );
  await does('accountFragments', { ending: broke, fragments: 'recut', recutBy: 'carbide 6 mm' });
  await does('confirmCause', { ending: broke, cause: 'chips', notSeen: ['dry'] });
  await does('setChangeCosts', { minuteCents: 120, changeMinutes: 4, failureMinutes: 20 });
  await does('checkPart', { operation, part: 1, good: true });
  await does('holdParts', { operation, from: 2, to: 4, why: 'it broke', ending: broke });
  await does('judgeParts', { hold: 'Q-0001', from: 2, verdict: 'good' });
  const { entry: handed } = await does('handOver', { words: 'look at T4' });
  await does('takeOver', { handOver: handed });
  await does('holdCutter', { piece: 'E-0002', why: 'fell on the floor' });
  await everyView();
  await does('clearCutter', { piece: 'E-0002', found: 'whole' });
  await everyView();
  await does('sellScrap', { substrate: 'carbide', kg: '0.1', perKgCents: 1800 });
  await does('markHolder', { item: 'SL10', since: '2020-03-01' });
  await does('lookOverHolder', { mark: 'H-0001', found: 'good' });
  await does('changeStud', { mark: 'H-0001' });
  await does('setHolderRule', { item: 'SL10', lookMonths: 6 });
  await does('receiveStock', { item: 'SL10', place: 'S1', quantity: 1 });
  await does('receiveStock', { item: 'EM10', place: 'S1', quantity: 1 });
  const { tag: marked } = await does('buildAssembly', {
    ...{ cutter: { item: 'EM10', place: 'S1' }, holder: { item: 'SL10', place: 'S1', marked: 'H-0001' } },
    stickout: 34,
  });
  await does('dropHolder', { tag: String(marked) });
  await everyView();
  for (const [path, query] of [
    ['breakage', { ending: String(broke) }],
    ['breakages', { before: String(broke + 1) }],
    ['hold', { number: 'Q-0001' }],
    ['held', { before: '9' }],
    ['trace', { job: 'J-1', part: '2' }],
    ['holders', { after: '0' }],
    ['holder', { mark: 'H-0001' }],
  ] as [string, Record<string, string>][]) {
    by = `view ${path}`;
    await VIEWS.find((v) => v.path === path)!.read(heard, new URLSearchParams(query), undefined, OWNER);
  }

  // What is not done here sets the shop's own rules, or reads a whole list on purpose.
  expect(
    VERBS.map((v) => v.name)
      .filter((n) => !done.has(n))
      .sort(),
  ).toEqual(
    [
      'addMachine',
      'addMaterial',
      'addPicture',
      'addSupplier',
      'changeMachine',
      'changeSetUp',
      'setChoosingRules',
      'setLadder',
      'settleTakings',
      'stateDay',
      'stateWeek',
      ...WHOLE_LISTS,
    ].sort(),
  );
  expect(asked.size).toBeGreaterThan(150);
  // As the planner would see them after years: a million rows each, of which nothing more is known.
  await crib.db.script('analyze');
  await crib.db.query(
    `with of as (select c.oid from pg_class c where c.relnamespace = 'public'::regnamespace and c.relname = any ($1)),
       tables as (update pg_class set reltuples = 1e6 where oid in (select oid from of) returning oid),
       indexes as (update pg_class set reltuples = 1e6 where oid in (select indexrelid from pg_index where indrelid in (select oid from of)))
     delete from pg_statistic where starelid in (select oid from of)`,
    [[...large]],
  );
  await crib.db.script('set enable_seqscan = off; set enable_hashjoin = off;');
  const found: string[] = [];
  for (const [sql, { params, by: who }] of asked) {
    const of = async (how: string, values: readonly Param[] = []) => {
      const [row] = await crib.db.query<{ 'QUERY PLAN': [{ Plan: Plan }] }>(
        `explain (format json) ${how}`,
        values,
      );
      return wholeScans(row!['QUERY PLAN'][0].Plan);
    };
    // PostgreSQL plans for the values it is asked with, and goes over to a plan for any where that looks no dearer.
    await crib.db.script(`prepare asked as ${sql}`);
    const any = await of(`execute asked${params.length ? `(${params.map(() => 'null').join(', ')})` : ''}`);
    await crib.db.script('deallocate asked');
    for (const scan of new Set([...any, ...(await of(sql, params))]))
      found.push(`${who} reads ${scan}: ${sql.replace(/\s+/g, ' ').slice(0, 160)}`);
  }
  expect(found).toEqual([]);
});

// What triggers ask is not among the statements above: no plan of theirs walks through the ledger beside another table.
it('nothing is joined by merging', async () => {
  const plan = async () =>
    JSON.stringify(
      await crib.db.query(
        'explain (format json) select * from movement m join entry e on e.id = m.entry_id order by e.id',
      ),
    );
  expect(await plan()).not.toContain('Merge Join');
  await crib.db.script('set enable_mergejoin = on');
  expect(await plan()).toContain('Merge Join');
  await crib.db.script('set enable_mergejoin = off');
});

it('tells a whole scan from one that is looked up or cut by a limit', async () => {
  const scans = async (sql: string) => {
    const [row] = await crib.db.query<{ 'QUERY PLAN': [{ Plan: Plan }] }>(`explain (format json) ${sql}`);
    return wholeScans(row!['QUERY PLAN'][0].Plan);
  };
  expect(await scans('select * from parts_log')).toHaveLength(1);
  expect(await scans('select count(*) from entry')).toHaveLength(1);
  expect(await scans('select * from movement order by quantity limit 5')).toHaveLength(1);
  expect(await scans('select * from movement order by id desc limit 5')).toEqual([]);
  expect(await scans('select * from movement where item_id = 1')).toEqual([]);
  expect(await scans('select 1 from (select 1 from item_now limit 5) x')).toEqual([]);
  expect(await scans("select 1 from (select 1 from item_now where family = 'drill' limit 5) x")).toHaveLength(
    1,
  );
  expect(await scans('select * from operation_now where open order by due, job, number')).toEqual([]);
  expect(await scans('select * from operation_now where not open order by due, operation_id')).toHaveLength(
    1,
  );
});

it('takes hardly an entry for one that takes another back, before anything was counted and after', async () => {
  const young = await openTestCrib();
  await furnish(young);
  /** The rows that the planner expects. */
  const expected = async (sql: string) => {
    const [row] = await young.db.query<{ 'QUERY PLAN': [{ Plan: { 'Plan Rows': number } }] }>(
      `explain (format json) ${sql}`,
    );
    return row!['QUERY PLAN'][0].Plan['Plan Rows'];
  };
  const share = async () =>
    (await expected('select * from entry where counters is null')) / (await expected('select * from entry'));
  // PostgreSQL's own guess of a column that it knows nothing of is 0.005 (selfuncs.h, DEFAULT_UNK_SEL).
  expect(await share()).toBeGreaterThan(0.9);
  await young.db.script('analyze entry');
  expect(await share()).toBeGreaterThan(0.9);
  await young.db.close();
});
