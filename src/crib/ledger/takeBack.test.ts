import { localDay } from '@/core/units';
import { consignedView } from '@/crib/consigned';
import { type ReadOnce, readOnce } from '@/crib/door';
import { previewImport } from '@/crib/exchange';
import { jobView } from '@/crib/jobs';
import { furnish, MILL, oneToolProgram, openTestCrib, OWNER, type TestCrib } from '@/crib/testing';
import { todayView } from '@/crib/today';
import { VERBS } from '@/crib/verbs';
import { VIEWS } from '@/crib/views';
import { historyView } from './index';

/** Taking an entry back must leave every screen as it was before, whatever the verb. */
let crib: TestCrib;
let operation: number;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 5 });
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 3 });
  operation = (
    await crib.do('addJob', {
      number: 'J-1',
      part: 'Block',
      material: 'C45',
      quantity: 50,
      due: '2027-02-01',
      machine: 'M2',
      highestBeside: 0,
    })
  ).operation as number;
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 2) });
  for (let i = 0; i < 3; i += 1)
    await crib.do('buildAssembly', {
      cutter: { item: 'EM10', place: 'S1' },
      holder: { item: 'SL10', place: 'S1' },
      stickout: '34',
    });
  await crib.do('recordMeasurement', { tag: 'A-0001', gaugeLength: 94.1 });
  await crib.do('recordMeasurement', { tag: 'A-0002', gaugeLength: 97 });
  await crib.do('tieTool', { operation, t: 7, tag: 'A-0001' });
  await crib.do('logParts', { operation, parts: 4 });
  await crib.do('tieTool', { operation, t: 7 });
  await crib.do('logParts', { operation, parts: 1 });
  await crib.do('tieTool', { operation, t: 7, tag: 'A-0001' });
  await crib.do('endLife', { tag: 'A-0003', kind: 'preventive', cutterTo: 'USED' });
  await crib.do('placeOrder', { item: 'EM10', quantity: 4, promised: '2027-01-20' });
  await crib.do('stateRecipe', {
    ...{ item: 'EM10', material: 'C45', cut: 'roughing', speedAs: 'n', speed: 4000 },
  });
  await crib.do('stateMagazine', { machine: 'M2', kind: 'carousel', pockets: 6 });
  await crib.do('loadPocket', { machine: 'M2', pocket: 1, tag: 'A-0001' });
  await crib.do('writeBuildSheet', {
    code: 'BS-1',
    name: 'Finisher',
    cutter: 'EM10',
    holder: 'SL10',
    stickout: 34,
  });
  await crib.do('addGauge', { code: 'W-1', name: 'Wrench', kind: 'torque wrench' });
  await crib.do('addDevice', { code: 'PRE-1', name: 'Presetter', port: 4400, master: 200 });
  await crib.do('checkDevice', { device: 'PRE-1', reading: 200.001 });
});
afterAll(() => crib.db.close());

/** Views that show one thing. */
const ASKED: Record<string, string> = {
  item: 'code=EM10',
  place: 'code=S1',
  count: 'number=C-0001',
  assembly: 'tag=A-0001',
  job: 'number=J-1',
  kit: 'number=J-1',
  run: 'operation=1',
  alone: 'operation=1&parts=5',
  registers: 'machine=M2',
  pockets: 'machine=M2',
  fixtures: 'machine=M2',
  'build-sheet': 'code=BS-1',
  life: 'item=EM10&material=C45',
  recipe: 'code=R-0001',
  bench: 'item=EM10&recipe=R-0001',
  hold: 'number=Q-0001',
  trace: 'job=J-1&part=2',
};

/** Screens that are compared, but for the ledger and the history of movements, whose entries stay. */
const SHOWN: [string, (once: ReadOnce) => Promise<unknown>][] = [
  // What moved stays in its history, as entries do; but every place has what it had.
  [
    'balances',
    () =>
      crib.db.query(
        'select item_id, place_id, lot_id, quantity from balance where quantity > 0 order by 1, 2, 3',
      ),
  ],
  ['catalogue', () => crib.db.query('select * from item_now order by item_id')],
  ['facts', () => crib.db.query('select * from fact_now order by item_id, symbol')],
  ...VIEWS.filter((v) => v.path !== 'entries' && v.path !== 'movements').map(
    (v): [string, (once: ReadOnce) => Promise<unknown>] => [
      v.path,
      (once) => v.read(crib, new URLSearchParams(ASKED[v.path] ?? ''), once, OWNER),
    ],
  ),
];
const plain = (shown: unknown): unknown => JSON.parse(JSON.stringify(shown));

/** What every screen shows. */
async function screens(): Promise<Record<string, unknown>> {
  expect(localDay(crib.now(), crib.zone)).toBe('2027-01-05');
  const shown: Record<string, unknown> = {};
  const once = readOnce(crib.db, '2027-01-05');
  for (const [name, read] of SHOWN) shown[name] = plain(await read(once));
  return shown;
}
/** The first screen that shows something else than before; null where all are as they were. */
async function changed(before: Record<string, unknown>): Promise<string | null> {
  const once = readOnce(crib.db, '2027-01-05');
  for (const [name, read] of SHOWN)
    if (JSON.stringify(plain(await read(once))) !== JSON.stringify(before[name])) return name;
  return null;
}

const maker = (value: string) => ({ value, origin: 'maker' });
/** A list that adds one and changes one, with a supplier that is new and a header that nobody knows. */
const LIST = Buffer.from(
  'code,kind,family,DC,LCF,Schaft,supplier,order_code\nZ1,cutter,square,9,12,10,NEW,x\nEM10,cutter,square,10,24,,,\n',
);
let digest = '';
/** A PNG of one pixel. */
const PIXEL =
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==';
/** Mark of a built cutter body. */
let body = '';
/** A line of the worklist that may wait. */
let waiting = '';
/** The newest movement of what was taken of a supplier's own stock. */
let taken = 0;
/** Adds a cutter for a case to work on: it stays. */
const add = (code: string) =>
  crib.do('addItem', { code, kind: 'cutter', family: 'square', facts: { DC: maker('10') } });
const CASES: [string, () => Record<string, unknown>, (() => Promise<unknown>)?][] = [
  ['addPlace', () => ({ code: 'S9', name: 'Shelf 9', kind: 'shelf', parent: 'S1' })],
  ['addMaterial', () => ({ code: 'X5', name: 'Stainless', isoGroup: 'M' })],
  ['addSupplier', () => ({ code: 'SOR', name: 'Sør', leadTimeDays: 3 })],
  [
    'addMachine',
    () => ({
      code: 'M9',
      name: 'Mill 9',
      taper: '40 taper',
      k: 400,
      lengthSchool: 'gauge',
      diameterSchool: 'diameter',
      units: 'mm',
      hEqualsT: 'no',
    }),
  ],
  [
    'changeMachine',
    () => ({
      code: 'M2',
      taper: '40 taper',
      k: 491.5,
      lengthSchool: 'gauge',
      diameterSchool: 'diameter',
      units: 'mm',
      hEqualsT: 'no',
    }),
  ],
  [
    'addItem',
    () => ({
      code: 'D5',
      kind: 'cutter',
      family: 'drill',
      facts: { DC: maker('5'), SIG: maker('140') },
      assumedLife: { minutes: 30, origin: 'guess' },
      supply: { supplier: 'NORD', orderCode: 'D5' },
    }),
  ],
  [
    'linkItem',
    () => ({ item: 'EM10', earlier: 'EM10-OLD', relation: 'version', reason: 'renamed grade' }),
    () => add('EM10-OLD'),
  ],
  ['saveView', () => ({ name: 'short of', address: 'sort=unused' })],
  ['reserveStock', () => ({ item: 'EM10', job: 'J-1', quantity: 1 })],
  ['moveStock', () => ({ item: 'EM10', from: 'S1', quantity: 1, to: 'USED' })],
  ['issueStock', () => ({ item: 'EM10', from: 'S1', quantity: 2, to: 'IK', due: '2027-01-08' })],
  [
    'returnStock',
    () => ({
      item: 'EM10',
      from: 'HAND-IK',
      quantity: 2,
      to: 'USED',
      used: 'yes',
      grade: 'plastics',
      signs: ['burr'],
    }),
    () => crib.do('issueStock', { item: 'EM10', from: 'S1', quantity: 2, to: 'IK' }),
  ],
  ['scrapStock', () => ({ item: 'SL10', from: 'S1', quantity: 1, reason: 'bore worn' })],
  ['loseStock', () => ({ piece: 'E-0003', reason: 'not in the drawer' })],
  ['startCount', () => ({ place: 'S1' }), () => crib.do('startCount', { place: 'USED' })],
  ['enterCount', () => ({ sheet: 'C-0001', lines: [{ place: 'USED', item: 'EM10', counted: 9 }] })],
  [
    'bookCount',
    () => ({ sheet: 'C-0001', explained: 'two lay behind the drawer' }),
    () => crib.do('enterCount', { sheet: 'C-0001', lines: [{ place: 'USED', item: 'EM10', counted: 5 }] }),
  ],
  [
    'stateSeat',
    () => ({ piece: body, seat: 2, damaged: 'yes' }),
    async () => {
      await crib.do('addItem', {
        code: 'FM',
        kind: 'body',
        family: 'face',
        facts: { DC: maker('50'), CICT: maker('4') },
      });
      await crib.do('receiveStock', { item: 'FM', place: 'S1', quantity: 1 });
      await crib.do('buildAssembly', {
        cutter: { item: 'FM', place: 'S1' },
        holder: { item: 'SL10', place: 'S1' },
        stickout: '40',
      });
      body = (await crib.db.query<{ mark: string }>('select mark from piece order by id desc limit 1'))[0]!
        .mark;
      ASKED.item = 'code=FM';
    },
  ],
  [
    'mountInserts',
    () => ({ piece: body, item: 'INS', from: 'S1' }),
    async () => {
      await crib.do('addItem', { code: 'INS', kind: 'insert', facts: { CEDC: maker('4') } });
      await crib.do('receiveStock', { item: 'INS', place: 'S1', quantity: 20 });
      const { tag } = (
        await crib.db.query<{ tag: string }>('select tag from assembly order by id desc limit 1')
      )[0]!;
      await crib.do('takeDown', { tag, cutterTo: 'S1' });
      ASKED.item = 'code=FM';
    },
  ],
  [
    'turnSeats',
    () => ({
      piece: body,
      seats: [2],
      brokenSeats: [2],
      fresh: { from: 'S1' },
      ended: { kind: 'chipped', fragments: 'found' },
    }),
    async () => {
      await crib.do('mountInserts', { piece: body, item: 'INS', from: 'S1' });
      ASKED.item = 'code=FM';
    },
  ],
  [
    'renewSpare',
    () => ({ piece: body, item: 'SCREW', from: 'S1', quantity: 4 }),
    async () => {
      await crib.do('addItem', { code: 'SCREW', kind: 'spare', facts: { FITS: maker('FM seats') } });
      await crib.do('receiveStock', { item: 'SCREW', place: 'S1', quantity: 10 });
      ASKED.item = 'code=FM';
    },
  ],
  ['unmountInserts', () => ({ piece: body, to: 'S1', broken: 1 }), async () => void (ASKED.item = 'code=FM')],
  [
    'settleTakings',
    () => ({ supplier: 'NORD', upTo: taken, reference: 'R-1' }),
    async () => {
      await crib.do('receiveStock', { item: 'EM10', place: 'USED', quantity: 2, supplier: 'NORD' });
      await crib.do('scrapStock', {
        item: 'EM10',
        from: 'USED',
        quantity: 1,
        reason: 'dropped',
        supplier: 'NORD',
      });
      taken = (await consignedView(crib.db)).taken[0]!.upTo;
    },
  ],
  ['setChoosingRules', () => ({ weights: { short: 9 }, flutes: { N: [1, 2] }, bulk: 'solid first' })],
  [
    'importItems',
    () => ({
      name: 'list.csv',
      content: LIST.toString('base64'),
      accepted: digest,
      mapping: { Schaft: 'DMM' },
    }),
    async () => {
      digest = (await previewImport(crib.db, LIST, { Schaft: 'DMM' })).digest;
    },
  ],
  [
    'setLadder',
    () => ({
      rungs: [
        { name: 'brass', groups: ['N'] },
        { name: 'scrap', groups: [] },
      ],
    }),
  ],
  ['addPicture', () => ({ item: 'EM10', shows: 'a chip', content: PIXEL })],
  ['stateStanding', () => ({ item: 'EM10', standing: 'trial', reason: 'ten pieces to try' })],
  [
    'stateFacts',
    () => ({
      item: 'EM10',
      facts: { LCF: { value: '25', origin: 'measured' } },
      assumedLife: { minutes: 77, origin: 'maker' },
      supply: { supplier: 'NORD', orderCode: 'new', pack: 5 },
    }),
  ],
  ['receiveStock', () => ({ item: 'EM10', place: 'S1', quantity: 3 })],
  ['foundStock', () => ({ item: 'SL10', place: 'USED', quantity: 1 })],
  ['gradePiece', () => ({ piece: 'E-0003', grade: 'aluminium', place: 'S1' })],
  [
    'buildAssembly',
    () => ({
      cutter: { item: 'EM10', place: 'S1' },
      holder: { item: 'SL10', place: 'S1' },
      stickout: '1.4 in',
      for: { operation, t: 7 },
    }),
  ],
  ['resetStickout', () => ({ tag: 'A-0001', stickout: 31 })],
  ['takeDown', () => ({ tag: 'A-0002', cutterTo: 'USED' })],
  ['recordMeasurement', () => ({ tag: 'A-0001', gaugeLength: 94.3, diameter: 9.99, runout: 0.004 })],
  ['judgeMeasurement', () => ({ measurement: question, accepted: true, reason: 'set so on purpose' })],
  [
    'addJob',
    () => ({ number: 'J-2', part: 'Cap', material: 'C45', quantity: 5, due: '2027-03-01', machine: 'M2' }),
  ],
  ['stateOperation', () => ({ operation, highestBeside: 30, partZero: 80 })],
  ['addOperation', () => ({ job: 'J-1', number: 20, machine: 'M2', highestBeside: 2 })],
  ['copyJob', () => ({ from: 'J-1', number: 'J-3', quantity: 8, due: '2027-04-01', customer: 'PO 118' })],
  [
    'writeSetupSheet',
    () => ({ operation, drawing: 'D-1', stockZ: '30', zeroZ: '30', parallels: '5', notes: 'deburr' }),
  ],
  [
    'signSetup',
    () => ({ operation, step: 'written' }),
    () => crib.do('writeSetupSheet', { operation, drawing: 'D-1', workOffset: 'G54' }),
  ],
  ['recordCycle', () => ({ operation, minutes: '2.4' })],
  ['stateSpindle', () => ({ machine: 'M2', only: { from: 0, to: 8000, kw: 7.5, nm: 48 } })],
  ['stateMaterial', () => ({ material: 'C45', kc11: 2220, mc: 0.14, origin: 'similar' })],
  [
    'stateRecipe',
    () => ({
      ...{ item: 'EM10', material: 'C45', cut: 'roughing', instead: 'R-0001' },
      ...{ speedAs: 'Vc', speed: '120', feedAs: 'tooth', feed: '0.002 in', ap: '8' },
    }),
  ],
  ['recordOutcome', () => ({ recipe: 'R-0001', outcome: 'rejected', words: 'chatters' })],
  [
    'recipeFromTool',
    () => ({ operation, t: 7, cut: 'roughing' }),
    () =>
      crib.do('storeProgram', {
        operation,
        text: 'G21 G90\nT7 M6\nS2000 M3\nG0 G43 H7 Z20.\nG1 Z0. F200\nX90. F400\nM30',
      }),
  ],
  ['planTool', () => ({ operation, t: 7, does: 'roughs', must: { family: 'square', DC: '10' } })],
  [
    'moveKit',
    () => ({ operation, tag: 'A-0002', to: 'cart' }),
    () => crib.do('tieTool', { operation, t: 7, tag: 'A-0002' }),
  ],
  [
    'renumberTools',
    () => ({ operation, program, numbers: [{ t: 7, to: 3 }] }),
    async () => {
      await crib.do('tieTool', { operation, t: 7, tag: 'A-0001' });
      program = (await jobView(crib.db, 'J-1'))!.program!.entryId;
    },
  ],
  [
    'readProgramAgain',
    () => ({ operation, program }),
    async () => {
      await crib.do('changeMachine', { ...MILL, code: 'M2', acceleration: '3', corner: '0.01' });
      program = (await jobView(crib.db, 'J-1'))!.program!.entryId;
    },
  ],
  [
    'moveOperation',
    () => ({ operation, machine: 'M7', starts: '2027-01-14' }),
    async () => {
      await crib.do('addMachine', { code: 'M7', name: 'Mill 7', ...MILL });
    },
  ],
  ['planStart', () => ({ operation, starts: '2027-01-13' })],
  ['changeJob', () => ({ number: 'J-1', quantity: 99, due: '2027-03-02', state: 'closed' })],
  [
    'stateWeek',
    () => ({ monday: 7.5, tuesday: 8, wednesday: 8, thursday: 8, friday: 6, saturday: 0, sunday: 0 }),
  ],
  ['changeSetUp', () => ({ what: 'supplier', code: 'NORD', name: 'Nord', leadTimeDays: 4 })],
  ['stateDay', () => ({ day: '2027-01-06', closed: 'yes' })],
  ['storeProgram', () => ({ operation, text: oneToolProgram(7, 5, -44) })],
  ['tieTool', () => ({ operation, t: 7, tag: 'A-0002' })],
  [
    'writeBuildSheet',
    () => ({ code: 'BS-2', name: 'Finisher', cutter: 'EM10', holder: 'SL10', stickout: 34, torque: 40 }),
  ],
  ['addDevice', () => ({ code: 'PRE-2', name: 'Height stand', port: 4401, master: 100 })],
  ['stateMagazine', () => ({ machine: 'M2', kind: 'carousel', pockets: 8, diameter: 80 })],
  ['loadPocket', () => ({ machine: 'M2', pocket: 2, tag: 'A-0002', t: 17, h: 17 })],
  ['emptyPocket', () => ({ machine: 'M2', pocket: 1 })],
  [
    'stateFixture',
    () => ({
      machine: 'M2',
      code: 'V1',
      name: 'Vise',
      centre: -400,
      width: 125,
      jaw: -90,
      side: 'far',
      bed: 60,
    }),
  ],
  ['keepTool', () => ({ machines: ['M2'], t: 8, item: 'EM10' })],
  ['addGauge', () => ({ code: 'W-2', name: 'Wrench', kind: 'torque wrench' })],
  ['recordTightening', () => ({ tag: 'A-0001', wrench: 'W-1', torque: 60 })],
  ['recordCalibration', () => ({ of: 'W-1', found: 'off', due: '2028-01-05' })],
  ['checkDevice', () => ({ device: 'PRE-1', reading: 200.02 })],
  // K 490, L 94.1: the datum school.
  [
    'giveRegisters',
    () => ({ machine: 'M2', how: 'read back', lines: [{ t: 7, tag: 'A-0001', h: '-395.900' }] }),
  ],
  [
    'recordCorrection',
    () => ({
      ...{ operation, t: 7, place: 'wear', hBefore: '0', hAfter: '-0.030' },
      features: [{ kind: 'depth', wanted: 8, measured: 7.97 }],
    }),
  ],
  ['statePassDepth', () => ({ operation, t: 7, depth: 40 })],
  ['stateChange', () => ({ operation, t: 7, parts: 30, basis: 'hand' })],
  ['logParts', () => ({ operation, parts: 6 })],
  ['assignUse', () => ({ operation, t: 7, tag: 'A-0002' })],
  [
    'correctUse',
    () => ({ use, minutes: 3, holes: 2 }),
    async () => {
      use = (
        await crib.db.query<{ id: number }>('select min(id) as id from use where edge_set_id is not null')
      )[0]!.id;
    },
  ],
  [
    'beginTrial',
    () => ({ item: 'EM10', against: 'EM11', material: 'C45', failuresEach: 3 }),
    async () => {
      await crib.do('addItem', ANOTHER);
    },
  ],
  [
    'endTrial',
    () => ({ trial: tried, winner: 'second', words: 'cheaper' }),
    async () => {
      const input = { item: 'EM10', against: 'EM11', material: 'C45', failuresEach: 3 };
      tried = String((await crib.do('beginTrial', input)).number);
    },
  ],
  ['recordUse', () => ({ tag: 'A-0001', material: 'C45', minutes: 3, holes: 2 })],
  ['recordWear', () => ({ tag: 'A-0001', flankWear: 0.25 })],
  [
    'endLife',
    () => ({
      tag: 'A-0001',
      kind: 'broken',
      signs: ['load'],
      costCents: 12000,
      partsSince: [{ operation, parts: 2 }],
      fragments: 'found',
      rebuild: { cutter: { item: 'EM10', place: 'S1' }, stickout: 30 },
    }),
  ],
  ['placeOrder', () => ({ item: 'EM10', quantity: 6, promised: '2027-01-25' })],
  ['stateReorder', () => ({ item: 'EM10', minimum: 500, upTo: 600 })],
  [
    'sayOfWork',
    () => ({ line: waiting, word: 'put off', until: '2027-01-09', reason: 'the supplier is away' }),
    async () => {
      waiting = (await todayView(crib.db, '2027-01-05')).lines.find((l) => l.mayWait)!.key;
    },
  ],
  ['restatePromise', () => ({ number: 'O-0001', promised: '2027-03-01' })],
  ['receiveOrder', () => ({ number: 'O-0001', quantity: 1, place: 'S1' })],
  [
    'sendToRegrind',
    () => ({ piece: 'E-0003', to: 'GRIND', due: '2027-01-20' }),
    () => crib.do('addPlace', { code: 'GRIND', name: 'Grinder', kind: 'regrind' }),
  ],
  [
    'takeFromRegrind',
    () => ({ piece: 'E-0003', place: 'S1', dc: '9.8', lcf: '20', recoated: 'TiAlN', costCents: 900 }),
    () => crib.do('sendToRegrind', { piece: 'E-0003', to: 'GRIND' }),
  ],
  ['handOver', () => ({ words: 'HORI-3 is warm, look at T4' })],
  [
    'takeOver',
    () => ({ handOver: over }),
    async () => {
      over = (await crib.do('handOver', {})).entry;
    },
  ],
  [
    'accountFragments',
    () => ({ ending, fragments: 'recut', recutBy: 'carbide 6 mm' }),
    async () => {
      await crib.do('logParts', { operation, parts: 4 });
      ending = (await crib.do('endLife', { tag: 'A-0001', kind: 'broken', at: { operation, t: 7 } })).entry;
      ASKED.breakage = `ending=${ending}`;
    },
  ],
  ['confirmCause', () => ({ ending, cause: 'chips', remedy: 'air', notSeen: ['dry'] })],
  ['checkPart', () => ({ operation, part: 2, good: true })],
  ['holdParts', () => ({ operation, from: 1, to: 3, why: 'it broke', ending })],
  [
    'judgeParts',
    () => ({ hold, from: 2, verdict: 'scrap' }),
    async () => {
      hold = String(
        (await crib.do('holdParts', { operation, from: 1, to: 3, why: 'it broke', ending })).number,
      );
      ASKED.hold = `number=${hold}`;
    },
  ],
  ['holdCutter', () => ({ piece: 'E-0002', why: 'fell on the floor' })],
  [
    'clearCutter',
    () => ({ piece: 'E-0002', found: 'whole under the loupe' }),
    () => crib.do('holdCutter', { piece: 'E-0002', why: 'fell on the floor' }),
  ],
  [
    'sellScrap',
    () => ({ substrate: 'carbide', kg: '0.1', perKgCents: 1800 }),
    async () => {
      await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 1 });
      await crib.do('scrapStock', { item: 'EM10', from: 'S1', quantity: 1, reason: 'chipped' });
    },
  ],
  ['setChangeCosts', () => ({ minuteCents: 120, changeMinutes: 4, failureMinutes: 20 })],
  ['markHolder', () => ({ item: 'SL10', since: '2020-03-01' })],
  [
    'lookOverHolder',
    () => ({ mark: 'H-0002', found: 'doubt' }),
    () => crib.do('markHolder', { item: 'SL10' }),
  ],
  ['changeStud', () => ({ mark: 'H-0002' })],
  ['dropHolder', () => ({ mark: 'H-0002', words: 'off the cart' })],
  ['setHolderRule', () => ({ lookMonths: 6 })],
];
let ending = 0;
let use = 0;
let tried = '';
/** A cutter to be tried against the other. */
const ANOTHER = {
  ...{ code: 'EM11', kind: 'cutter', family: 'square' },
  facts: Object.fromEntries(
    [
      ['SUBSTRATE', 'carbide'],
      ['DC', '11'],
      ['DMM', '12'],
      ['LCF', '22'],
      ['NOF', '4'],
    ].map(([symbol, value]) => [symbol, { value, origin: 'guess' }]),
  ),
};
let over = 0;
let hold = '';
let question = 0;
let program = 0;
/** What every screen showed when the last case ended, and what it was asked. */
let left: { asked: string; shown: Record<string, unknown> } | null = null;

it('has a case for every verb that can be taken back', () =>
  expect(CASES.map(([name]) => name).sort()).toEqual(
    VERBS.filter((v) => !(v.countering && 'never' in v.countering) && !v.counters)
      .map((v) => v.name)
      .sort(),
  ));

it.each(CASES.map(([verb, input, first]) => [verb, { input, first }] as const))(
  '%s',
  async (verb, { input, first }) => {
    ASKED.item = 'code=EM10';
    await first?.();
    question = (
      await crib.db.query<{ id: number }>(
        "select entry_id as id from measurement where questions <> '[]' limit 1",
      )
    )[0]!.id;
    // Where nothing was done since, the screens are as the case before left and compared them.
    const asked = JSON.stringify(ASKED);
    const before = !first && left?.asked === asked ? left.shown : await screens();
    left = null;
    const { entry } = await crib.do(verb, input());
    expect(await changed(before)).not.toBeNull();
    await crib.do('counterEntry', { counters: entry });
    const after = await screens();
    expect(after).toEqual(before);
    left = { asked, shown: after };
  },
);

it('a person is not taken back: what they signed stays signed', async () => {
  const { entry } = await crib.do('addPerson', { initials: 'ZZ', name: 'Zoe' });
  await expect(crib.do('counterEntry', { counters: entry })).rejects.toMatchObject({ code: 'REFUSED' });
});

it.each([
  ['setRole', { person: 'IK', role: 'owner' }],
  ['setBackups', { made: 'not' }],
  ['setSecondPerson', { writeOff: 'yes', deviation: 'no', settlement: 'no' }],
])('%s is said anew, not taken back', async (verb, input) => {
  const { entry } = await crib.do(verb, input);
  await expect(crib.do('counterEntry', { counters: entry })).rejects.toMatchObject({ code: 'REFUSED' });
  // Nor does the history offer it.
  expect((await historyView(crib.db, VERBS, 1))[0]).toMatchObject({ id: entry, stays: true });
});

it('an entry that does not exist, and a counter-entry, are not countered', async () => {
  await expect(crib.do('counterEntry', { counters: 99_999 })).rejects.toMatchObject({
    code: expect.stringMatching(/NOT_FOUND/),
  });
  const { entry } = await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 1 });
  const counter = await crib.do('counterEntry', { counters: entry });
  await expect(crib.do('counterEntry', { counters: counter.entry })).rejects.toMatchObject({
    code: 'REFUSED',
  });
});

it('what was moved on since is not taken back: the count would fall below zero', async () => {
  const { entry } = await crib.do('receiveStock', { item: 'SL10', place: 'USED', quantity: 1 });
  const built = await crib.do('buildAssembly', {
    cutter: { item: 'EM10', place: 'S1' },
    holder: { item: 'SL10', place: 'USED' },
    stickout: 34,
  });
  await expect(crib.do('counterEntry', { counters: entry })).rejects.toMatchObject({ code: 'CONFLICT' });
  await crib.do('counterEntry', { counters: built.entry });
  await crib.do('counterEntry', { counters: entry });
});
