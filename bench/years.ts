import type { Crib } from '../src/crib/door';
import { OWNER } from '../src/crib/testing';
import { VIEWS } from '../src/crib/views';
import { program, yearsOfWork, type Worked } from './yearsOfWork';

const VIEW_ROUNDS = 40;
const VERB_ROUNDS = 24;

const p95 = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[Math.ceil(times.length * 0.95) - 1] ?? NaN;

/** What each view that shows one thing is asked for: things that are there at any age. */
async function questions(w: Worked): Promise<Record<string, string[]>> {
  const list = async (sql: string) => (await w.db.query<{ v: string }>(sql)).map((r) => String(r.v));
  const tags = await list(
    'select a.tag as v from assembly_now n join assembly a on a.id = n.assembly_id order by 1 limit 10',
  );
  const open = await list('select operation_id as v from operation_now where open order by 1 limit 10');
  const jobs = await list('select distinct job as v from operation_now where open order by 1');
  const sheet = await list('select number as v from count_sheet order by id desc limit 1');
  const broken = await list('select entry_id as v from breakage order by 1 desc limit 5');
  const items = ['D5', 'EM6', 'EM12', 'EM23', 'H4'];
  return {
    item: items.map((code) => `code=${code}`),
    place: ['code=P17', 'code=USED', 'code=SCRAP'],
    count: [`number=${sheet[0]}`],
    movements: ['', 'item=EM6', 'place=P17', 'who=TO', 'piece=E-0500'],
    choose: [
      'feature=pocket&depth=10&corner=4',
      'feature=hole&diameter=8&cls=H7',
      'feature=side&depth=20',
      'feature=thread&thread=M8',
    ],
    takeable: ['what=cutter&q=ball', 'what=holder', 'what=cutter&like=EM6', 'what=cutter&q=DC 6..8'],
    assembly: tags.map((t) => `tag=${t}`),
    job: jobs.map((j) => `number=${j}`),
    kit: jobs.map((j) => `number=${j}`),
    run: open.map((o) => `operation=${o}`),
    alone: open.map((o) => `operation=${o}`),
    holder: ['mark=H-0001', 'mark=H-0017'],
    breakage: broken.map((e) => `ending=${e}`),
    hold: ['number=Q-0003', 'number=Q-0150'],
    registers: ['machine=M1'],
    pockets: ['machine=M2'],
    recipe: ['code=R-0007'],
    trace: jobs.slice(0, 3).map((number) => `job=${number}&op=10&part=12`),
    jobs: ['', 'after=100'],
    life: ['item=EM11&material=MAT1', 'item=EM56&material=MAT2', 'item=EM43&material=MAT3&beside=EM48'],
    items: ['', 'q=drill', 'q=DC 6..8', 'sort=dc'],
    stock: ['', 'q=drill', 'sort=place', 'place=P17'],
    entries: ['', 'before=5000'],
  };
}

/** Everything a crib writes in a day, in an order that leaves it as it was for the next round. */
async function aDay(w: Worked, round: number, took: (verb: string, ms: number) => void): Promise<void> {
  const verb = async (name: string, input: Record<string, unknown>): Promise<Record<string, unknown>> => {
    const from = performance.now();
    const answer = await w.do(name, input);
    took(name, performance.now() - from);
    return answer;
  };
  const one = async (sql: string) => String((await w.db.query<{ v: unknown }>(sql))[0]?.v);
  const n = `${round}`;
  await verb('addPlace', { code: `N${n}`, name: `New ${n}`, kind: 'drawer' });
  await verb('addItem', {
    code: `NEW${n}`,
    kind: 'cutter',
    family: 'square',
    facts: { DC: { value: '8', origin: 'maker' }, LCF: { value: '20', origin: 'maker' } },
    supply: { supplier: 'NORD', orderCode: `X${n}`, pack: 1 },
  });
  await verb('stateFacts', { item: `NEW${n}`, facts: { OAL: { value: '70', origin: 'maker' } } });
  await verb('linkItem', { item: `NEW${n}`, earlier: 'EM6', relation: 'substitute', reason: 'tried' });
  await verb('stateStanding', { item: `NEW${n}`, standing: 'trial', reason: 'two on trial' });
  await verb('receiveStock', { item: 'EM6', place: 'P17', quantity: 6 });
  await verb('foundStock', { item: 'EM6', place: 'P17', quantity: 1 });
  await verb('moveStock', { item: 'EM6', from: 'P17', quantity: 2, to: 'P18' });
  await verb('issueStock', { item: 'EM6', from: 'P18', quantity: 1, to: 'TO', due: '2027-02-01' });
  await verb('returnStock', { item: 'EM6', from: 'HAND-TO', quantity: 1, to: 'P18', used: 'no' });
  await verb('scrapStock', { item: 'EM6', from: 'P18', quantity: 1, reason: 'dropped' });
  await verb('loseStock', { item: 'EM6', from: 'P18', quantity: 1, reason: 'not found' });
  const job = await verb('addJob', {
    number: `N-${n}`,
    part: 'Cover',
    material: 'MAT1',
    quantity: 8,
    due: '2027-02-20',
    machine: 'M1',
    highestBeside: 0,
  });
  const { operation } = job;
  await verb('storeProgram', { operation, text: program(5) });
  await verb('stateOperation', { operation, highestBeside: 1 });
  await verb('statePassDepth', { operation, t: 1, depth: 2 });
  await w.do('receiveStock', { item: 'H9', place: 'P17', quantity: 2 });
  const built = await verb('buildAssembly', {
    cutter: { item: 'EM6', place: 'P17' },
    holder: { item: 'H9', place: 'P17' },
    stickout: '34',
    despite: 'as for the bench',
  });
  await verb('tieTool', { operation, t: 1, tag: built.tag });
  const measured = await verb('recordMeasurement', { tag: built.tag, gaugeLength: '150' });
  await verb('judgeMeasurement', {
    measurement: measured.entry,
    accepted: true,
    reason: 'another holder',
  });
  await verb('logParts', { operation, parts: 2 });
  await verb('assignUse', { operation, t: 2, tag: built.tag });
  await verb('recordWear', { tag: built.tag, flankWear: '0.05' });
  const anew = await verb('resetStickout', {
    tag: built.tag,
    stickout: '35',
    despite: 'as for the bench',
  });
  const ended = await verb('endLife', {
    tag: anew.tag,
    kind: 'worn',
    cutterTo: 'USED',
    partsSince: [{ operation, parts: 6 }],
    confirmed: true,
    rebuild: { cutter: { item: 'EM6', place: 'P17' }, stickout: '34', despite: 'as for the bench' },
  });
  await verb('gradePiece', { piece: ended.piece, grade: 'plastics' });
  await verb('takeDown', { tag: ended.newTag, cutterTo: 'USED' });
  const order = await verb('placeOrder', { item: 'EM6', quantity: 2, promised: '2027-02-01' });
  await verb('receiveOrder', { number: order.number, quantity: 2, place: 'P17' });
  const last = await one('select id as v from entry order by id desc limit 1');
  await verb('counterEntry', { counters: Number(last) });
  const sheet = await verb('startCount', { place: 'P30' });
  const lies = await one(
    `select i.code as v from balance b join item i on i.id = b.item_id join place p on p.id = b.place_id
     where p.code = 'P30' and b.quantity > b.marked and b.lot_id is null order by b.id limit 1`,
  );
  await verb('enterCount', { sheet: sheet.number, lines: [{ place: 'P30', item: lies, counted: 199 }] });
  await verb('bookCount', { sheet: sheet.number, explained: 'nobody knows' });
  await verb('saveView', { name: `view ${round % 3}`, address: '/cutters?q=drill' });
  await verb('counterEntry', {
    counters: Number(await one('select id as v from entry order by id desc limit 1')),
  });
}

/** p95 of every view and verb after ten years against after one, with the time and the size of the answers. */
export async function benchYears(
  say: (name: string, ratio: number, note: string) => void,
  years = 10,
): Promise<void> {
  const began = performance.now();
  const young = await yearsOfWork(years / 10);
  const old = await yearsOfWork(years);
  console.log(
    `made ${years} years of work and a tenth of it in ${Math.round((performance.now() - began) / 1000)} s`,
  );
  const asks = [await questions(young), await questions(old)] as const;
  // How the folder is kept: of a shop in memory nothing.
  for (const view of VIEWS.filter((v) => v.path !== 'keeping')) {
    const times: [number[], number[]] = [[], []];
    let size = 0;
    for (let i = -4; i < VIEW_ROUNDS; i += 1)
      for (const [which, w] of [young, old].entries()) {
        const list = asks[which as 0 | 1][view.path] ?? [''];
        const query = new URLSearchParams(list[Math.max(0, i) % list.length]);
        const from = performance.now();
        const answer = await view.read(w.crib as Crib, query, undefined, OWNER);
        if (i < 0) continue;
        times[which as 0 | 1].push(performance.now() - from);
        if (which === 1) size = Math.max(size, JSON.stringify(answer).length);
      }
    say(
      `view ${view.path}: p95 at ${years} years against a tenth`,
      p95(times[1]) / p95(times[0]),
      `${p95(times[1]).toFixed(1)} ms, ${Math.ceil(size / 1000)} kB`,
    );
  }
  const verbs = [new Map<string, number[]>(), new Map<string, number[]>()] as const;
  for (let round = 0; round < VERB_ROUNDS + 2; round += 1)
    for (const [which, w] of [young, old].entries())
      await aDay(w, round, (name, ms) => {
        if (round < 2) return;
        const of = verbs[which as 0 | 1];
        of.set(name, [...(of.get(name) ?? []), ms]);
      });
  for (const [name, times] of verbs[1])
    say(
      `verb ${name}: p95 at ${years} years against a tenth`,
      p95(times) / p95(verbs[0].get(name) ?? []),
      `${p95(times).toFixed(1)} ms`,
    );
  await young.db.close();
  await old.db.close();
}
