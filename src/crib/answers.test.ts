import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { furnish, openTestCrib } from '@/crib/testing';
import { VIEWS } from '@/crib/views';

/**
 * What the real views answer about a small crib, kept beside the tests of the screens, which are drawn on it: a screen
 * can't pass on an answer that no view gives. Where a view answers otherwise on purpose, write them anew with
 * STABLE_ANSWERS=write npm run test:data, and read what changed.
 */
const KEPT = join(process.cwd(), 'src', 'ui', 'testing', 'answers.json');

const PROGRAM = [
  'G21 G90 G17 G54',
  'T7 M6',
  'S3000 M3',
  'G0 X0 Y0',
  'G0 G43 H7 Z5',
  'G0 Z-30',
  'G1 X200 F100',
  'G0 Z5',
  'T8 M6',
  'S3000 M3',
  'G0 G43 H8 Z5',
  'G0 Z-10',
  'G1 X320 F100',
  'G0 Z5',
  'M30',
].join('\n');

/** A date as JSON can carry it, to be read as one again. */
const encoded = (answer: unknown): unknown =>
  JSON.parse(
    JSON.stringify(answer, function write(this: Record<string, unknown>, name, value) {
      return this[name] instanceof Date ? { date: this[name].toISOString() } : (value as unknown);
    }),
  );

it('the views of a small crib answer what the screens are tested on', async () => {
  const crib = await openTestCrib();
  crib.at('2027-01-02T09:00:00Z');
  await furnish(crib);
  const maker = (value: string) => ({ value, origin: 'maker' });
  await crib.do('addPerson', { initials: 'TO', name: 'Tor Olander' });
  await crib.do('addPlace', { code: 'CAB1', name: 'Cabinet', kind: 'cabinet' });
  await crib.do('addPlace', { code: 'CAB1-A', name: 'Drawer A', kind: 'drawer', parent: 'CAB1' });
  await crib.do('addPlace', { code: 'SLIP', name: 'Slip & Edge', kind: 'regrind' });
  await crib.do('addItem', {
    code: 'EM12',
    kind: 'cutter',
    family: 'square',
    facts: { DC: maker('12'), LCF: maker('26'), SUBSTRATE: maker('carbide'), COATING: maker('TiAlN') },
  });
  await crib.do('addItem', {
    code: 'R20',
    kind: 'cutter',
    family: 'reamer',
    facts: { DC: maker('20'), TCHA: maker('H7') },
  });
  await crib.do('addItem', { code: 'TAP6', kind: 'cutter', family: 'tap', facts: { TDZ: maker('M6') } });
  await crib.do('receiveStock', { item: 'EM12', place: 'CAB1-A', quantity: 7 });
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 20, lot: 'B7', supplier: 'NORD' });
  const { operation } = await crib.do('addJob', {
    number: 'J-1',
    part: 'Block',
    material: 'C45',
    quantity: 40,
    due: '2027-01-20',
    machine: 'M2',
    highestBeside: 0,
  });
  await crib.do('storeProgram', { operation, text: PROGRAM });
  const built = await crib.do('buildAssembly', {
    cutter: { item: 'EM10', place: 'S1' },
    holder: { item: 'SL10', place: 'S1' },
    stickout: '34',
  });
  await crib.do('tieTool', { operation, t: 7, tag: built.tag });
  await crib.do('recordMeasurement', { tag: built.tag, gaugeLength: '94.112', diameter: '9.98' });
  await crib.do('logParts', { operation, parts: 10 });
  // A second one that ran as T8, wore out, and lies to be graded.
  const second = await crib.do('buildAssembly', {
    cutter: { item: 'EM10', place: 'S1' },
    holder: { item: 'SL10', place: 'S1' },
    stickout: '34',
  });
  await crib.do('assignUse', { operation, t: 8, tag: second.tag });
  await crib.do('endLife', { tag: second.tag, kind: 'worn', signs: ['burr'], cutterTo: 'USED' });
  const order = await crib.do('placeOrder', { item: 'EM10', quantity: 4, promised: '2027-01-12' });
  await crib.do('issueStock', { item: 'EM12', from: 'CAB1-A', quantity: 2, to: 'TO', due: '2027-01-03' });
  crib.at('2027-01-05T09:00:00Z');
  const sheet = await crib.do('startCount', { place: 'CAB1-A' });
  await crib.do('enterCount', {
    sheet: sheet.number,
    lines: [{ place: 'CAB1-A', item: 'EM12', counted: 4 }],
  });

  // A third one broke on another job, after five parts of which the first was good.
  const { operation: other } = await crib.do('addJob', {
    ...{ number: 'J-2', part: 'Cover', material: 'C45', quantity: 5, due: '2027-01-20', machine: 'M2' },
  });
  await crib.do('storeProgram', { operation: other, text: PROGRAM });
  const third = await crib.do('buildAssembly', {
    ...{ cutter: { item: 'EM10', place: 'S1' }, holder: { item: 'SL10', place: 'S1' }, stickout: '34' },
    for: { operation: other, t: 7 },
  });
  await crib.do('logParts', { operation: other, parts: 5, materialLot: 'H-33' });
  await crib.do('checkPart', { operation: other, part: 1, good: true });
  const { entry: broke } = await crib.do('endLife', {
    ...{ tag: third.tag, kind: 'broken', signs: ['chips packed', 'slot'], lostParts: 1, fragments: 'found' },
  });
  await crib.do('holdParts', { operation: other, from: 4, to: 5, why: 'E-0003 broke', ending: broke });
  await crib.do('judgeParts', { hold: 'Q-0001', from: 4, verdict: 'rework' });
  await crib.do('holdCutter', { piece: 'E-0002', why: 'fell on the floor' });
  // A holder with a mark that fell, and one that is long in use and was never looked over; an end mill in the scrap, and more sold.
  await crib.do('markHolder', { item: 'SL10', since: '2020-03-01' });
  await crib.do('markHolder', { item: 'SL10' });
  await crib.do('dropHolder', { mark: 'H-0002', words: 'off the cart' });
  await crib.do('receiveStock', { item: 'EM12', place: 'CAB1-A', quantity: 2 });
  const scrapped = { item: 'EM12', from: 'CAB1-A', quantity: 1, reason: 'chipped' };
  await crib.do('scrapStock', scrapped);
  await crib.do('sellScrap', { substrate: 'carbide', kg: '0.1', perKgCents: 1800 });
  await crib.do('scrapStock', scrapped);

  const ask: Record<string, string> = {
    shop: '',
    today: '',
    assemblies: '',
    assembly: `tag=${built.tag}`,
    run: `operation=${operation}`,
    registers: 'machine=M2',
    job: 'number=J-1',
    kit: 'number=J-1',
    lives: '',
    life: 'item=EM10&material=C45',
    orders: '',
    items: '',
    entries: '',
    missing: '',
    jobs: '',
    places: '',
    place: 'code=CAB1',
    count: `number=${sheet.number}`,
    movements: 'item=EM12',
    consigned: '',
    keeping: '',
    takeable: 'what=cutter&like=EM10',
    choose: 'feature=pocket&corner=6&depth=20',
    breakages: '',
    breakage: `ending=${broke}`,
    held: '',
    holders: '',
    holder: 'mark=H-0002',
    scrap: '',
    hold: 'number=Q-0001',
    trace: 'job=J-2&part=5',
  };
  expect(order.number).toBe('O-0001');
  const answers: Record<string, unknown> = {};
  for (const [path, question] of Object.entries(ask))
    answers[path] = encoded(
      await VIEWS.find((v) => v.path === path)?.read(crib, new URLSearchParams(question)),
    );
  for (const code of ['EM10', 'EM12', 'R20', 'TAP6'])
    answers[`item ${code}`] = encoded(
      await VIEWS.find((v) => v.path === 'item')?.read(crib, new URLSearchParams({ code })),
    );
  if (process.env.STABLE_ANSWERS === 'write') writeFileSync(KEPT, `${JSON.stringify(answers, null, 1)}\n`);
  expect(answers).toEqual(JSON.parse(readFileSync(KEPT, 'utf8')));
  await crib.db.close();
});
