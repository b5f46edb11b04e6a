import { randomUUID } from 'node:crypto';
import { readProgram, type ProgramReport } from '../src/core/programs';
import { perform, type Crib, type Done } from '../src/crib/door';
import { rackView } from '../src/crib/rack';
import { registersView } from '../src/crib/registers';
import { verbNamed } from '../src/crib/verbs';
import type { Database } from '../src/data/database';
import { brokenIn } from './broken';
import { fillEarlier } from './earlier';
import { MORE_PLACES, PARTS, SHELVES, type ShelfSpec } from './shelves';

import { BUILDS, CUTTERS, HOLDERS, JOBS, MACHINES, MATERIALS, PEOPLE, PLACES, SUPPLIERS } from './shop';

const DAY = 86_400_000;
const DAYS = 120;

/** Small seeded random source (mulberry32): same seed, same shop. */
function random(seed: number): () => number {
  let a = seed;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

const SIGNS_OF: Record<string, string[]> = {
  worn: ['finish'],
  sign: ['sound', 'burr'],
};

type JobKey = keyof typeof JOBS;
interface Tool {
  tag: string;
  cutter: string;
  minutes: number;
  /** Last measured gauge length, mm. */
  length: number;
  /** Minutes at which it will end; drawn when it is built. */
  ends: number;
}

/** A morning begins so long before the hour of day at which the demo is started. */
const MORNING = 2.5 * 3_600_000;
/** Two days of seven are free, counted back from the day it is started: Saturdays and Sundays where that is a Tuesday. */
const isFree = (daysAgo: number): boolean => [2, 3].includes(daysAgo % 7);

/**
 * Four months of the shop, done with the same verbs that people use, a turned clock and a seeded random source:
 * builds, measurements, parts, endings, orders early and late, up to a morning with something of everything to do.
 */
export async function fillDemo(
  db: Database,
  now: Date,
  programText: (name: string) => string,
  /** Asked on each working morning, before anything is done: the shop as it stood then. */
  onMorning?: (day: string) => Promise<void>,
): Promise<{ entries: number; lives: number }> {
  const rnd = random(20_270_105);
  let clock = new Date(now.getTime() - DAYS * DAY);
  const crib: Crib = { db, now: () => clock, zone: 'UTC' };
  let who: string = 'IK';
  const counts = { entries: 0, lives: 0 };
  const broken = brokenIn(crib, () => (counts.entries += 1));
  const made: Record<string, number> = {};
  let lastBroke: { ending: number; operation: number; made: number } | null = null;
  const act = async (name: string, input: Record<string, unknown>): Promise<Done> => {
    clock = new Date(Math.min(clock.getTime() + (2 + rnd() * 6) * 60_000, now.getTime()));
    counts.entries += 1;
    return perform(crib, verbNamed(name)!, { who, formId: randomUUID(), ...input });
  };
  const isoDay = (days: number) => new Date(clock.getTime() + days * DAY).toISOString().slice(0, 10);

  await furnish(act);
  // Said beside the work: it takes none of the chances that the rest of the shop is made of.
  for (const [person, name, role] of PEOPLE) {
    if (role === 'viewer') await perform(crib, verbNamed('addPerson')!, { who, initials: person, name });
    await perform(crib, verbNamed('setRole')!, { who, person, role });
    counts.entries += role === 'viewer' ? 2 : 1;
  }
  const shelf = new Map<string, number>(CUTTERS.map((c) => [c.code, c.stock]));
  const operations = {} as Record<JobKey, number>;
  const reports = {} as Record<JobKey, ProgramReport>;
  const tools = new Map<string, Tool>();

  const openJob = async (key: JobKey, dueIn: number) => {
    const { program, ...job } = JOBS[key];
    const due = new Date(now.getTime() + dueIn * DAY).toISOString().slice(0, 10);
    who = 'MS';
    operations[key] = (await act('addJob', { ...job, due })).operation as number;
    const text = programText(program);
    reports[key] = readProgram(text);
    await act('storeProgram', { operation: operations[key], name: program, text });
    who = 'IK';
  };
  const placeOf = (cutter: string) => CUTTERS.find((c) => c.code === cutter)!.place;
  const drawLife = (cutter: string, material: string) => {
    const mean = CUTTERS.find((c) => c.code === cutter)!.lives[material] ?? 60;
    return (mean / 0.887) * (-Math.log(1 - rnd())) ** (1 / 2.5); // Weibull of shape 2.5, whose mean is 0.887 of its scale
  };
  const measure = async (tag: string, cutter: string, holder: string, stickout: string) => {
    const mm = (text: string) => (text.endsWith(' in') ? Number(text.slice(0, -3)) * 25.4 : Number(text));
    const LF = HOLDERS.find((h) => h.code === holder)!.facts.LF as string;
    const DC = CUTTERS.find((c) => c.code === cutter)!.facts.DC!;
    const inch = DC.includes('in');
    const L = mm(LF) + mm(stickout) + (rnd() - 0.5) * 0.3;
    const nominal = typeof DC === 'string' ? DC : DC[0];
    const [over, under] = nominal.replace(' in', '').split('/');
    const D = (under ? (Number(over) / Number(under)) * 25.4 : Number(over)) - 0.002 - rnd() * 0.014;
    const show = (n: number, decimals: number) =>
      inch ? `${(n / 25.4).toFixed(decimals + 1)} in` : n.toFixed(decimals);
    await act('recordMeasurement', {
      tag,
      gaugeLength: show(L, 3),
      diameter: show(D, 3),
      runout: show(0.002 + rnd() * 0.007, 3),
    });
    return L;
  };
  const take = async (cutter: string) => {
    const left = shelf.get(cutter)!;
    if (left > 0) return void shelf.set(cutter, left - 1);
    await act('receiveStock', {
      item: cutter,
      place: placeOf(cutter),
      quantity: 2,
      note: 'bought in town, urgent',
    });
    shelf.set(cutter, 1);
  };
  const build = async (key: string) => {
    const [cutter, holder, stickout] = BUILDS[key]!;
    const [job, T] = key.split(' T') as [JobKey, string];
    await take(cutter);
    const built = await act('buildAssembly', {
      cutter: { item: cutter, place: placeOf(cutter) },
      holder: { item: holder, place: 'HOLD' },
      stickout,
      for: { operation: operations[job], t: Number(T) },
    });
    const tag = built.tag as string;
    const length = await measure(tag, cutter, holder, stickout);
    tools.set(key, { tag, cutter, minutes: 0, length, ends: drawLife(cutter, JOBS[job].material) });
  };
  const endAndRebuild = async (key: string, partsSince: { operation: number; parts: number }[]) => {
    const tool = tools.get(key)!;
    const [cutter, holder, stickout] = BUILDS[key]!;
    const kind = pick(rnd(), [
      ['worn', 0.55],
      ['sign', 0.14],
      ['chipped', 0.12],
      ['broken', 0.08],
      ['preventive', 0.05],
      ['pulled-out', 0.03],
      ['crash', 0.03],
    ]);
    const signs = SIGNS_OF[kind] ?? [];
    await take(cutter);
    const kept = kind === 'preventive';
    const { case: why, ...saidOf } = broken.saidOf(kind, key);
    const answer = await act('endLife', {
      tag: tool.tag,
      kind,
      signs,
      ...saidOf,
      partsSince,
      ...(kind === 'broken' || kind === 'crash' ? { costCents: Math.round(40 + rnd() * 200) * 100 } : {}),
      ...(kept ? { cutterTo: 'USED' } : {}),
      rebuild: { cutter: { item: cutter, place: placeOf(cutter) }, stickout },
    });
    counts.lives += 1;
    if (why) {
      await broken.found(answer.entry, why);
      const job = key.slice(0, 2);
      lastBroke = { ending: answer.entry, operation: operations[job as JobKey], made: made[job] ?? 0 };
    }
    const tag = answer.newTag as string;
    const length = await measure(tag, cutter, holder, stickout);
    tools.set(key, {
      tag,
      cutter,
      minutes: 0,
      length,
      ends: drawLife(cutter, JOBS[key.slice(0, 2) as JobKey].material),
    });
    if (kept)
      await act('gradePiece', {
        piece: answer.piece,
        grade: rnd() < 0.5 ? 'squaring with the upper flute' : 'scrap',
      });
  };
  /** Parts of one job in a day: a tool that ends on the way ends at its part, and the rest is logged after. */
  const minutesOf = (key: JobKey) => reports[key].tools.reduce((sum, t) => sum + t.cutting_s, 0) / 60;
  const runParts = async (key: JobKey, parts: number) => {
    const keys = [...tools.keys()].filter((k) => k.startsWith(key));
    const perPart = (k: string) =>
      (reports[key].tools.find((t) => `${key} T${t.t}` === k)?.cutting_s ?? 0) / 60;
    let left = parts;
    while (left > 0) {
      const due = keys
        .map((k) => ({ k, at: Math.ceil((tools.get(k)!.ends - tools.get(k)!.minutes) / perPart(k)) }))
        .sort((a, b) => a.at - b.at)[0]!;
      const goes = Math.max(0, Math.min(left, due.at));
      made[key] = (made[key] ?? 0) + goes;
      for (const k of keys) tools.get(k)!.minutes += goes * perPart(k);
      left -= goes;
      // The machine takes its time: what it cuts, and a tenth for rapids and changes.
      clock = new Date(clock.getTime() + goes * minutesOf(key) * 1.1 * 60_000);
      who = pick(rnd(), [
        ['TO', 0.6],
        ['JB', 0.4],
      ]);
      if (due.at <= goes)
        await endAndRebuild(due.k, goes > 0 ? [{ operation: operations[key], parts: goes }] : []);
      else await act('logParts', { operation: operations[key], parts: goes });
    }
  };

  await openJob('VB', 19);
  await openJob('SH', 26);
  for (const key of Object.keys(BUILDS).filter((k) => !k.startsWith('BU'))) await build(key);

  const arriving: { day: number; number: string; item: string; quantity: number }[] = [];
  for (let day = 1; day < DAYS - 1; day += 1) {
    // By days and hours before now alone, and free on two of seven: on any day and at any hour it is the same shop.
    clock = new Date(now.getTime() - (DAYS - day) * DAY - MORNING);
    if (isFree(DAYS - day)) continue;
    await onMorning?.(clock.toISOString().slice(0, 10));
    who = 'IK';
    for (const order of arriving.filter((o) => o.day <= day).splice(0)) {
      arriving.splice(arriving.indexOf(order), 1);
      await act('receiveOrder', {
        number: order.number,
        quantity: order.quantity,
        place: placeOf(order.item),
      });
      shelf.set(order.item, shelf.get(order.item)! + order.quantity);
    }
    if (day % 7 === 3)
      for (const { code, pack } of CUTTERS)
        if (
          shelf.get(code)! <= 1 &&
          ['EM8', 'CR10-05', 'EM16R', 'D6.8', 'D12'].includes(code) &&
          !arriving.some((o) => o.item === code) &&
          day < DAYS - 30
        ) {
          const quantity = pack === 2 ? 4 : 3;
          const { number } = await act('placeOrder', { item: code, quantity, promised: isoDay(12) });
          arriving.push({
            day: day + 10 + Math.floor(rnd() * 12),
            number: number as string,
            item: code,
            quantity,
          });
        }
    await runParts('VB', 2 + Math.floor(rnd() * 2));
    await runParts('SH', 3 + Math.floor(rnd() * 2));
    if (day % 9 === 0) {
      who = 'IK';
      const tool = tools.get('VB T3')!;
      await act('recordWear', {
        tag: tool.tag,
        flankWear: Math.min(0.15, 0.03 + 0.11 * (tool.minutes / tool.ends)).toFixed(2),
      });
    }
    // Lately it is looked at more often; takes none of the chances.
    else if (day > DAYS - 24 && day % 2 === 0)
      for (const [key, fresh, grows] of [
        ['VB T3', 0.03, 0.11],
        ['VB T7', 0.05, 0.22],
      ] as const) {
        const { tag, minutes, ends } = tools.get(key)!;
        if (minutes < 3) continue;
        counts.entries += 1;
        await perform(crib, verbNamed('recordWear')!, {
          ...{ who: 'IK', formId: randomUUID(), tag },
          flankWear: (fresh + grows * (minutes / ends) + 0.002 * ((day % 3) - 1)).toFixed(3),
        });
      }
    if (day >= DAYS - 24 && !operations.BU) {
      await openJob('BU', 12);
      await build('BU T1');
      await build('BU T2');
    }
    if (day > DAYS - 20 && day % 3 === 0 && operations.BU) await runParts('BU', 4);
  }
  for (const order of arriving) {
    await act('receiveOrder', { number: order.number, quantity: order.quantity, place: placeOf(order.item) });
  }
  if (lastBroke) {
    const {
      ending,
      operation,
      made: parts,
    } = lastBroke as { ending: number; operation: number; made: number };
    await broken.checked(operation, Math.max(1, parts - 5));
    await broken.held(ending, operation, parts);
  }
  await giveNumbers();
  await lastMorning();
  await putTogether();
  counts.lives += (await fillEarlier(db, now, () => (counts.entries += 1))).lives;
  return counts;

  /** What stands is in the controls, read back the week before; what changes since is to be seen. Takes no chances. */
  async function giveNumbers(): Promise<void> {
    for (const machine of ['MILL-2', 'HORI-3']) {
      const sheet = await registersView(db, { machine }, 'UTC');
      const lines = (sheet?.lines ?? []).filter((l) => l.h !== null && !l.clashes && l.t !== 12);
      if (!lines.length) continue;
      counts.entries += 1;
      await perform(crib, verbNamed('giveRegisters')!, {
        who: 'IK',
        formId: randomUUID(),
        machine,
        how: machine === 'MILL-2' ? 'read back' : 'sent',
        lines: lines.map(({ t, tag, h, d }) => ({ t, tag, h, ...(d === null ? {} : { d }) })),
      });
    }
  }

  /** Magazines, and most of what is tied to their jobs in them: one stays in the crib, another is under its job's T. */
  async function magazines(
    quietly: (name: string, input: Record<string, unknown>) => Promise<Done>,
  ): Promise<void> {
    const limits = { weight: '7', length: '300' };
    await quietly('stateMagazine', {
      ...{ machine: 'MILL-2', kind: 'carousel', pockets: '20', diameter: '80', alone: '150' },
      takes: 'its own',
      ...limits,
    });
    await quietly('stateMagazine', {
      ...{ machine: 'HORI-3', kind: 'chain', pockets: '40', diameter: '95', alone: '160' },
      ...limits,
      weight: '12',
    });
    await quietly('stateMagazine', { machine: 'BENCH-1', kind: 'by hand', pockets: '0' });
    await quietly('stateFixture', {
      ...{ machine: 'MILL-2', code: 'VISE-L', name: 'Left vise of 125', centre: '-412.4', width: '125' },
      ...{ jaw: '-86.15', side: 'far', bed: '73.02', jawHigh: '20', stop: '-482.5' },
    });
    await quietly('keepTool', { machines: ['MILL-2', 'HORI-3'], t: '4', item: 'SD10-90' });
    const { assemblies } = await rackView(crib.db);
    for (const machine of ['MILL-2', 'HORI-3']) {
      const tied = assemblies.flatMap((a) => {
        const tie = a.ties.find((t) => t.machine === machine);
        return tie ? [{ tag: a.tag, t: tie.t }] : [];
      });
      // The last of them is still at the bench.
      for (const [i, { tag, t }] of tied.slice(0, -1).entries())
        await quietly('loadPocket', { machine, pocket: machine === 'MILL-2' ? t : 2 * i + 1, tag, t });
    }
  }

  /** Two builds of several parts: a long reach on an extension, a shell mill on its arbor. Takes none of the chances. */
  async function putTogether(): Promise<void> {
    clock = new Date(now.getTime() - 2 * DAY);
    who = 'IK';
    const quietly = async (name: string, input: Record<string, unknown>): Promise<Done> => {
      clock = new Date(clock.getTime() + 4 * 60_000);
      counts.entries += 1;
      return perform(crib, verbNamed(name)!, { who, formId: randomUUID(), ...input });
    };
    for (const spec of PARTS) await shelve(quietly, spec);
    // A stand-in that npm run demo starts beside the shop.
    await quietly('addDevice', { code: 'PRE-1', name: 'Presetter', port: '4400', master: '200' });
    const hold = (item: string) => ({ item, place: 'HOLD' });
    await quietly('writeBuildSheet', {
      code: 'BS-1',
      name: 'Long 6 mm for pockets to 30 deep',
      cutter: 'EM6-LN',
      holder: 'CC32-40',
      parts: ['C32-16', 'EXT16', 'C16-6', 'PS40'].map((item) => ({ item })),
      stickout: '34',
      least: '33',
      most: '36',
      torque: '40',
      steps:
        'The extension up to its shoulder before the nut is tightened.\nTurn it by hand: the 6 mm must run true to 0.015.',
    });
    await quietly('writeBuildSheet', {
      code: 'BS-2',
      name: 'Any 10 mm R0.5 with four flutes',
      must: { family: 'corner-radius', DC: '10', RE: '0.5', LCF: '20', DMM: '10', NOF: '4' },
      holder: 'CC32-40',
      parts: ['C32-10', 'PS40'].map((item) => ({ item })),
      stickout: '32',
      least: '30',
      most: '34',
      torque: '136',
      collar: true,
    });
    const long = await quietly('buildAssembly', {
      sheet: { code: 'BS-1', version: 1, clean: true, torqued: true },
      cutter: { item: 'EM6-LN', place: 'CAB1-A' },
      holder: hold('CC32-40'),
      parts: ['C32-16', 'EXT16', 'C16-6', 'PS40'].map(hold),
      stickout: '34',
    });
    await quietly('recordMeasurement', {
      tag: long.tag,
      gaugeLength: '204.087',
      diameter: '5.988',
      runout: '0.011',
    });
    const mounted = await quietly('mountInserts', {
      body: 'SM50',
      bodyFrom: 'CAB1-A',
      item: 'SEKN1203-M20',
      from: 'HOLD',
    });
    const shell = await quietly('buildAssembly', {
      cutter: { piece: mounted.piece },
      holder: hold('FA22-40'),
      parts: [hold('PS40')],
      stickout: '40',
    });
    await quietly('recordMeasurement', { tag: shell.tag, gaugeLength: '90.012', runout: '0.008' });
    await magazines(quietly);
    await setUps(quietly);
    clock = new Date(now.getTime() - 2 * 3_600_000);
    await quietly('checkDevice', { device: 'PRE-1', reading: '200.002' });
    await measuredBy(quietly);
  }

  /** Setup sheets: one that was proved, with a length that was measured since; one with blanks still. */
  async function setUps(
    quietly: (name: string, input: Record<string, unknown>) => Promise<Done>,
  ): Promise<void> {
    who = 'MS';
    await quietly('writeSetupSheet', {
      ...{ operation: operations.VB, drawing: 'D-4417', revision: 'C', programNumber: 'O4417' },
      ...{
        fixture: 'VISE-L',
        against: 'stop',
        workOffset: 'G54',
        stockX: '120',
        stockY: '80',
        stockZ: '31.5',
      },
      ...{ parallels: '15', zeroX: '0', zeroY: '0', zeroZ: '30.5' },
      notes:
        'Stock sawn 1 mm over. Parallels apart: T6 comes out 1.5 below.\nBurrs off before it is turned over.',
    });
    let planned: unknown;
    const signed = async (step: string, by: string) => {
      who = by;
      await quietly('signSetup', { operation: operations.VB, step });
    };
    await signed('written', 'MS');
    await signed('entered', 'TO');
    who = 'MS';
    await quietly('writeSetupSheet', {
      ...{ operation: operations.CV, drawing: 'D-3120', revision: 'B', fixture: 'plate with four clamps' },
      ...{ workOffset: 'G54', stockX: '100', stockY: '100', stockZ: '18' },
    });
    // The cover is not built for yet: what its tools are to be is said.
    for (const [t, does, what] of [
      [
        '3',
        'outline and pocket, in one',
        { must: { family: 'square', DC: '8', LCF: '20' }, leavesSide: '0.2', leavesFloor: '0' },
      ],
      ['2', 'the shoulder, R0.5', { sheet: 'BS-2', leavesSide: '0', leavesFloor: '0' }],
      ['8', 'four M8 through', { must: { family: 'tap', DC: '8' } }],
    ] as const) {
      const done = await quietly('planTool', { operation: operations.CV, t, does, ...what });
      if (t === '3') planned = done.entry;
    }
    await recipes(quietly, planned);
    who = 'IK';
  }

  /** How cutters are run: from a chart, kept from what ran, and one that was given up. */
  async function recipes(
    quietly: (name: string, input: Record<string, unknown>) => Promise<Done>,
    /** The plan of the cover's T3 that is in force. */
    planned: unknown,
  ): Promise<void> {
    await quietly('stateSpindle', {
      machine: 'MILL-2',
      low: { from: '40', to: '1800', kw: '7.5', nm: '140' },
      high: { from: '160', to: '10000', kw: '7.5', nm: '42' },
    });
    await quietly('stateSpindle', {
      machine: 'HORI-3',
      only: { from: '30', to: '12000', kw: '11', nm: '95' },
    });
    await quietly('stateMaterial', {
      ...{ material: 'C45', hardness: '205 HB', kc11: '2250', mc: '0.15', density: '7.85' },
      ...{ origin: 'measured', words: 'By the spindle load of MILL-2, three widths' },
    });
    await quietly('stateRecipe', {
      ...{ family: 'square', dcFrom: '10', dcTo: '20', material: 'C45', cut: 'roughing' },
      ...{ speedAs: 'Vc', speed: '130', speedMost: '170', feedAs: 'tooth', feed: '0.04', feedMost: '0.07' },
      ...{ coolant: 'flood', words: 'Chart of the maker, for a width of half of DC.' },
    });
    const kept = await quietly('recipeFromTool', { operation: operations.VB, t: '7', cut: 'roughing' });
    await quietly('recordOutcome', {
      ...{ recipe: kept.code, outcome: 'proven', operation: operations.VB, parts: '215' },
      words: 'Quiet. The flute wears evenly down to 6 mm.',
    });
    const stainless = await quietly('stateRecipe', {
      ...{ family: 'square', dcFrom: '6', dcTo: '10', material: '1.4404', cut: 'slotting' },
      ...{ speedAs: 'Vc', speed: '60', speedMost: '70', feedAs: 'tooth', feed: '0.02', feedMost: '0.03' },
      ...{ ap: '3', coolant: 'flood', words: 'Chart of the maker.' },
    });
    await quietly('planTool', {
      ...{ operation: operations.CV, t: '3', over: planned, does: 'outline and pocket, in one' },
      ...{ must: { family: 'square', DC: '8', LCF: '20' }, leavesSide: '0.2', leavesFloor: '0' },
      recipe: stainless.code,
    });
    const fast = await quietly('stateRecipe', {
      ...{ item: 'BN8', material: 'AlMgSi', machine: 'HORI-3', cut: 'finishing' },
      ...{ speedAs: 'n', speed: '12000', feedAs: 'minute', feed: '2400', ae: '0.25', coolant: 'air' },
    });
    who = 'TO';
    await quietly('recordOutcome', {
      ...{ recipe: fast.code, outcome: 'rejected' },
      words: 'Marks the wall where it turns round: the machine is too slow in corners.',
    });
    who = 'MS';
  }

  /** What is measured and tightened by besides the presetter, with certificates: good, due soon, overdue, found off. */
  async function measuredBy(
    quietly: (name: string, input: Record<string, unknown>) => Promise<Done>,
  ): Promise<void> {
    await quietly('addDevice', {
      ...{ code: 'STAND-1', name: 'Height stand', kind: 'height stand', port: '4401', master: '100' },
    });
    await quietly('checkDevice', { device: 'STAND-1', reading: '100.001' });
    for (const [code, name, kind, size, dueIn] of [
      ['MASTER-200', 'Master of the presetter', 'master', '200.002', 265],
      ['BLOCK-100', 'Block of the height stand', 'gauge block', '100', 20],
      ['WRENCH-1', 'Torque wrench at the bench', 'torque wrench', null, 169],
      ['BORE-20', 'Bore gauge 18 to 35', 'bore gauge', null, null],
    ] as const) {
      await quietly('addGauge', { code, name, kind, ...(size ? { size } : {}) });
      if (dueIn === null) continue;
      const due = new Date(now.getTime() + dueIn * DAY).toISOString().slice(0, 10);
      await quietly('recordCalibration', { of: code, found: 'good', due });
    }
  }

  /** The rest of the shelves, and what the crib does beside the programs: lending, counting, regrinding. */
  async function fillShelves(): Promise<void> {
    clock = new Date(now.getTime() - 9 * DAY);
    who = 'IK';
    for (const place of MORE_PLACES) await act('addPlace', place);
    for (const spec of SHELVES) await shelve(act, spec);
    await act('receiveStock', { item: 'SEKN1203-P25', place: 'CAB1-C-1', quantity: 5, edgesLeft: 2 });
    await act('receiveStock', { item: 'CN12-08', place: 'CAB1-C', quantity: 20, supplier: 'NORDKANT' });
    await act('scrapStock', {
      item: 'CN12-08',
      from: 'CAB1-C',
      quantity: 4,
      reason: 'turned on the lathe, all edges used',
      supplier: 'NORDKANT',
    });
    await act('addItem', {
      code: 'CR10-05B',
      kind: 'cutter',
      family: 'corner-radius',
      maker: 'Skarv',
      similarTo: 'CR10-05',
    });
    await act('linkItem', {
      item: 'CR10-05B',
      earlier: 'CR10-05',
      relation: 'version',
      reason: 'grade renamed by its maker',
    });
    await act('stateStanding', { item: 'CR10-05B', standing: 'trial', reason: 'ten pieces to compare' });
    await act('receiveStock', { item: 'CR10-05B', place: 'CAB1-A', quantity: 2 });
    clock = new Date(now.getTime() - 6 * DAY);
    await act('issueStock', { item: 'EM3-2A', from: 'CAB1-A', quantity: 2, to: 'TO', due: isoDay(2) });
    await act('issueStock', { item: 'C32-6', from: 'CAB1-C', quantity: 1, to: 'JB' });
    await act('moveStock', {
      item: 'TAP-M6',
      from: 'CAB1-B',
      quantity: 1,
      to: 'CART-1',
      note: 'for the valve blocks',
    });
    await act('issueStock', { item: 'EM6-LN', from: 'CAB1-A', quantity: 1, to: 'MS' });
    await act('returnStock', {
      item: 'EM6-LN',
      from: 'HAND-MS',
      quantity: 1,
      to: 'USED',
      used: 'yes',
      grade: 'slotting steel',
      goodZone: 'upper 5 mm',
      signs: ['small chip at one corner'],
    });
    await act('returnStock', {
      item: 'D-F',
      ...(await lentOut('D-F', 'MS')),
      to: 'USED',
      used: 'yes',
      grade: 'slotting steel',
    });
    const drill = (await db.query<{ mark: string }>('select mark from piece order by id desc limit 1'))[0]!
      .mark;
    await act('sendToRegrind', { piece: drill, to: 'SLIP', due: isoDay(4), wanted: '118 degrees, as new' });
    clock = new Date(now.getTime() - 2 * 3_600_000);
    await act('startCount', { place: 'CAB1-C' });
    await act('enterCount', {
      sheet: 'C-0001',
      lines: [
        { place: 'CAB1-C', item: 'SEKN1203-P25', counted: 18 },
        { place: 'CAB1-C', item: 'SEKN1203-K15', counted: 12 },
        { place: 'CAB1-C', item: 'C32-6', counted: 2 },
      ],
    });
  }

  async function lentOut(item: string, to: string) {
    await act('issueStock', { item, from: 'CAB1-B', quantity: 1, to });
    return { from: `HAND-${to}`, quantity: 1 };
  }

  /** Something of everything to do, so that every screen has something to say. */
  async function lastMorning(): Promise<void> {
    clock = new Date(now.getTime() - DAY - 3 * 3_600_000);
    who = 'MS';
    await openJob('CV', 14);
    for (const [t, key] of [
      [3, 'VB T3'],
      [2, 'VB T2'],
      [5, 'VB T5'],
    ] as const)
      await act('tieTool', { operation: operations.CV, t, tag: tools.get(key)!.tag });
    who = 'IK';
    clock = new Date(now.getTime() - 16 * DAY);
    await act('placeOrder', { item: 'EM16R', quantity: 4, promised: isoDay(13) });
    clock = new Date(now.getTime() - 3 * 3_600_000);
    const roughing = tools.get('VB T7')!;
    await act('recordMeasurement', {
      tag: roughing.tag,
      gaugeLength: (roughing.length + 0.041).toFixed(3),
      diameter: '15.986',
      runout: '0.006',
    });
    const ball = tools.get('SH T14')!;
    await act('resetStickout', { tag: ball.tag, stickout: '36' });
    const chamfer = tools.get('SH T16')!;
    await act('endLife', {
      tag: chamfer.tag,
      kind: 'preventive',
      cutterTo: 'USED',
      note: 'changed with the fixture',
    });
    const tip = tools.get('VB T3')!;
    await act('recordWear', {
      ...{ tag: tip.tag, flankWear: '0.16', chips: 'fine', zoneTo: '6' },
      signs: [{ sign: 'line on the wall', strength: 'clear' }],
      note: 'line on the wall',
    });
    await fillShelves();
  }
}

const statedFacts = (given: Record<string, string | [string, string]>) =>
  Object.fromEntries(
    Object.entries(given).map(([symbol, f]) => [
      symbol,
      typeof f === 'string' ? { value: f, origin: 'maker' } : { value: f[0], origin: f[1] },
    ]),
  );

function pick<T extends string>(at: number, options: readonly (readonly [T, number])[]): T {
  let sum = 0;
  for (const [value, share] of options) if ((sum += share) > at) return value;
  return options.at(-1)![0];
}

/** An item with its supply, and some of it at its place. */
async function shelve(
  act: (name: string, input: Record<string, unknown>) => Promise<Done>,
  s: ShelfSpec,
): Promise<void> {
  await act('addItem', {
    code: s.code,
    kind: s.kind,
    ...(s.family ? { family: s.family } : {}),
    ...(s.segments ? { segments: s.segments } : {}),
    maker: s.maker,
    facts: statedFacts(s.facts),
    supply: {
      supplier: s.maker === 'Skarv' ? 'NORDKANT' : 'HALVOR',
      orderCode: `${s.maker.slice(0, 2).toUpperCase()}-${s.code}`,
      ...(s.priceCents ? { priceCents: s.priceCents } : {}),
      ...(s.pack ? { pack: s.pack } : {}),
    },
  });
  await act('receiveStock', { item: s.code, place: s.place, quantity: s.stock });
}

async function furnish(act: (name: string, input: Record<string, unknown>) => Promise<Done>): Promise<void> {
  for (const [initials, name, role] of PEOPLE)
    if (role !== 'viewer') await act('addPerson', { initials, name });
  for (const place of PLACES) await act('addPlace', place);
  for (const material of MATERIALS) await act('addMaterial', material);
  for (const supplier of SUPPLIERS) await act('addSupplier', supplier);
  for (const machine of MACHINES) await act('addMachine', machine);
  const facts = statedFacts;
  for (const c of CUTTERS) {
    await act('addItem', {
      kind: 'cutter',
      code: c.code,
      family: c.family,
      maker: c.maker,
      facts: facts({ SUBSTRATE: c.substrate, ...c.facts }),
      ...(c.assumed ? { assumedLife: { minutes: c.assumed[0], origin: c.assumed[1] } } : {}),
      supply: {
        supplier: c.supplier,
        orderCode: `${c.supplier.slice(0, 2)}-${c.code}`,
        priceCents: c.priceCents,
        ...(c.pack ? { pack: c.pack } : {}),
      },
    });
    await act('receiveStock', { item: c.code, place: c.place, quantity: c.stock });
  }
  for (const h of HOLDERS) {
    await act('addItem', {
      kind: 'holder',
      code: h.code,
      maker: 'Skarv',
      facts: facts({ CCMS: h.taper, ...h.facts }),
      segments: h.segments.map(([length, upper, lower]) => ({ length, upper, lower })),
    });
    await act('receiveStock', { item: h.code, place: 'HOLD', quantity: h.stock });
  }
}
