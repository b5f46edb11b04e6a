import { randomUUID } from 'node:crypto';
import { perform, type Crib, type Done } from '../src/crib/door';
import { verbNamed } from '../src/crib/verbs';
import type { Database } from '../src/data/database';

const DAY = 86_400_000;

/** A cutter or holder of then, with nothing missing that anybody would ask for. */
const CUTTERS = [
  {
    ...{
      code: 'EM14',
      family: 'square',
      maker: 'Tindra',
      supplier: 'NORDKANT',
      priceCents: 5200,
      quantity: 14,
    },
    facts: { SUBSTRATE: 'carbide', DC: '14', DMM: '14', LCF: '26', OAL: '83', NOF: '4' },
  },
  {
    ...{
      code: 'EM14-U',
      family: 'square',
      maker: 'Skarv',
      supplier: 'HALVOR',
      priceCents: 6100,
      quantity: 9,
    },
    facts: { SUBSTRATE: 'carbide', DC: '14', DMM: '14', LCF: '28', OAL: '85', NOF: '4' },
  },
  {
    ...{ code: 'D9', family: 'drill', maker: 'Tindra', supplier: 'NORDKANT', priceCents: 3900, quantity: 15 },
    facts: { SUBSTRATE: 'carbide', DC: '9', DMM: '10', LCF: '47', OAL: '89', NOF: '2', SIG: '140' },
  },
  {
    ...{ code: 'D9-S', family: 'drill', maker: 'Skarv', supplier: 'HALVOR', priceCents: 3100, quantity: 4 },
    facts: { SUBSTRATE: 'carbide', DC: '9', DMM: '10', LCF: '47', OAL: '89', NOF: '2', SIG: '140' },
  },
] as const;
const HOLDERS = [
  {
    code: 'SH14-40',
    facts: { LF: '92', CLAMP_MIN: '14', CLAMP_MAX: '14', GRIP_MIN: '37', DEPTH_MAX: '52', RPM_MAX: '18000' },
  },
  {
    code: 'CC16-40',
    facts: { LF: '75', CLAMP_MIN: '2', CLAMP_MAX: '16', GRIP_MIN: '28', DEPTH_MAX: '60', RPM_MAX: '12000' },
  },
] as const;

/** Parts an edge lasted, and how it ended; in the order in which they went in. */
type Life = readonly [item: string, holder: string, parts: number, kind: string];
/** Two end mills by turns: the dearer one lasts half as long again. */
const MILLS: readonly Life[] = [
  ['EM14', 38, 'worn'],
  ['EM14-U', 61, 'worn'],
  ['EM14', 44, 'sign'],
  ['EM14-U', 70, 'worn'],
  ['EM14', 29, 'worn'],
  ['EM14-U', 52, 'sign'],
  ['EM14', 51, 'worn'],
  ['EM14-U', 78, 'worn'],
  ['EM14', 40, 'worn'],
  ['EM14-U', 66, 'worn'],
  ['EM14', 33, 'sign'],
  ['EM14-U', 58, 'worn'],
].map(([item, parts, kind]) => [String(item), 'SH14-40', Number(parts), String(kind)]);
/** The same a fifth faster, on another part: they last less. */
const FASTER: readonly Life[] = [27, 24, 30, 26].map((parts) => ['EM14', 'SH14-40', parts, 'worn']);
/** One drill in two holders, of which one runs out. */
const DRILLS: readonly Life[] = [
  ['DC13-40', 92, 'worn'],
  ['CC16-40', 31, 'chipped'],
  ['DC13-40', 104, 'worn'],
  ['CC16-40', 22, 'broken'],
  ['DC13-40', 81, 'worn'],
  ['CC16-40', 27, 'broken'],
  ['DC13-40', 97, 'sign'],
  ['CC16-40', 35, 'sign'],
].map(([holder, parts, kind]) => ['D9', String(holder), Number(parts), String(kind)]);
/** A trial that goes on: too little has failed to say anything. */
const TRIED: readonly Life[] = [
  ['D9', 'DC13-40', 88, 'worn'],
  ['D9-S', 'DC13-40', 79, 'worn'],
  ['D9', 'DC13-40', 101, 'worn'],
];
/** Runout at the tip, mm, as each was built: the shrink holder creeps, the collet chuck is past what a drill bears. */
const RUNOUT: Record<string, readonly number[]> = {
  'SH14-40': [
    0.003, 0.004, 0.003, 0.005, 0.004, 0.006, 0.005, 0.006, 0.007, 0.006, 0.008, 0.007, 0.007, 0.008, 0.007,
    0.008,
  ],
  'CC16-40': [0.016, 0.018, 0.017, 0.019],
};
/** Days before now since which holders are in use. */
const IN_USE_SINCE: Record<string, number> = { 'SH14-40': 1226, 'CC16-40': 4243 };
/** Parts of drills that were ground again: two thirds of a new one, for a third of its price. */
const GROUND = [58, 66, 51];
const STICKOUT: Record<string, string> = { EM14: '38', 'EM14-U': '38', D9: '52', 'D9-S': '52' };
/** Minutes of a part: 1 in the mill's, a quarter in the drill's two holes. */
const MILLED =
  'G21 G90 G17 G54\nT1 M6\nS2200 M3\nG0 X0 Y0\nG0 G43 H1 Z5\nG1 Z-4 F440\nG1 X431 F440\nG0 Z5\nM30';
const MILLED_FASTER = MILLED.replace('S2200', 'S2640').replaceAll('F440', 'F528').replace('X431', 'X517');
const DRILLED =
  'G21 G90 G17 G54\nT2 M6\nS2800 M3\nG0 X0 Y0\nG0 G43 H2 Z50\nG81 X20 Y20 Z-28 R2 F240\nX60\nG80\nG0 Z100\nM30';

/**
 * The eight months before: two jobs that are done with, a trial that was decided, one that goes on, and a holder whose drills
 * die young. It is entered after all the rest and takes none of its chances, so that the rest stays as it is.
 */
export async function fillEarlier(db: Database, now: Date, said: () => void): Promise<{ lives: number }> {
  let clock = new Date(now.getTime() - 352 * DAY);
  let lives = 0;
  const crib: Crib = { db, now: () => clock, zone: 'UTC' };
  const act = async (name: string, input: Record<string, unknown>, who = 'IK'): Promise<Done> => {
    clock = new Date(clock.getTime() + 4 * 60_000);
    said();
    return perform(crib, verbNamed(name)!, { who, formId: randomUUID(), ...input });
  };
  const daysAgo = (days: number) => new Date(now.getTime() - days * DAY).toISOString().slice(0, 10);
  const marks = new Map<string, string>();
  const clamped = new Map<string, number>();
  const facts = (given: Record<string, string>) =>
    Object.fromEntries(Object.entries(given).map(([symbol, value]) => [symbol, { value, origin: 'maker' }]));
  for (const { code, family, maker, supplier, priceCents, quantity, facts: known } of CUTTERS) {
    await act('addItem', {
      ...{ code, kind: 'cutter', family, maker, facts: facts(known) },
      assumedLife: { minutes: family === 'drill' ? '20' : '45', origin: 'maker' },
      supply: { supplier, orderCode: `${supplier.slice(0, 2)}-${code}`, priceCents },
    });
    const place = family === 'drill' ? 'CAB1-B' : 'CAB1-A';
    await act('receiveStock', { item: code, place, quantity });
  }
  for (const { code, facts: known } of HOLDERS) {
    await act('addItem', {
      ...{ code, kind: 'holder', maker: 'Skarv', facts: facts({ CCMS: '40 taper', ...known }) },
      segments: [
        { length: 27, upper: 63, lower: 63 },
        { length: Number(known.LF) - 27, upper: 40, lower: 34 },
      ],
    });
    await act('receiveStock', { item: code, place: 'HOLD', quantity: 1 });
    const { mark } = await act('markHolder', { item: code, since: daysAgo(IN_USE_SINCE[code] ?? 0) });
    marks.set(code, String(mark));
  }
  const job = async (number: string, part: string, of: readonly Life[], text: string) => {
    const quantity = of.reduce((sum, [, , parts]) => sum + parts, 0);
    const due = new Date(clock.getTime() + 300 * DAY).toISOString().slice(0, 10);
    const { operation } = await act(
      'addJob',
      { number, part, revision: 'A', material: 'C45', quantity, due, machine: 'HORI-3', highestBeside: '0' },
      'MS',
    );
    await act(
      'storeProgram',
      { operation, name: `${part.toLowerCase().replaceAll(' ', '-')}.nc`, text },
      'MS',
    );
    return Number(operation);
  };
  /** One life, half of it logged on its first day. */
  const live = async (
    operation: number,
    t: number,
    [item, holder, parts, kind]: Life,
    days: number,
    again?: string,
  ) => {
    clock = new Date(Date.UTC(clock.getUTCFullYear(), clock.getUTCMonth(), clock.getUTCDate() + 1, 7, 0));
    const { tag } = await act('buildAssembly', {
      cutter: again ? { piece: again } : { item, place: item.startsWith('D') ? 'CAB1-B' : 'CAB1-A' },
      ...{
        holder: { item: holder, place: 'HOLD', ...(marks.has(holder) ? { marked: marks.get(holder) } : {}) },
      },
      ...{ stickout: STICKOUT[item], for: { operation, t } },
    });
    const nth = clamped.get(holder) ?? 0;
    clamped.set(holder, nth + 1);
    const runout = RUNOUT[holder]?.[nth];
    if (runout !== undefined) {
      const face = HOLDERS.find((h) => h.code === holder)?.facts.LF ?? '0';
      const gaugeLength = String(Number(face) + Number(STICKOUT[item]));
      await act('recordMeasurement', { tag, gaugeLength, runout: String(runout) });
    }
    const log = async (n: number) => {
      clock = new Date(clock.getTime() + 6 * 3_600_000);
      await act('logParts', { operation, parts: n, confirmed: true }, 'TO');
    };
    await log(Math.floor(parts / 2));
    clock = new Date(clock.getTime() + (days - 1) * DAY);
    const broke = ['broken', 'chipped'].includes(kind);
    await log(parts - Math.floor(parts / 2));
    const { entry } = await act(
      'endLife',
      {
        ...{ tag, kind, signs: broke ? ['one tooth', 'vibration'] : kind === 'sign' ? ['burr'] : ['finish'] },
        ...(broke
          ? { fragments: 'found', lostParts: kind === 'broken' ? 1 : 0, lostMinutes: 20, costCents: 6400 }
          : {}),
      },
      'TO',
    );
    lives += 1;
    if (broke)
      await act(
        'confirmCause',
        {
          ending: entry,
          cause: 'runout',
          remedy: `${holder}: nose indicated, 0.03 at the tip`,
          seen: ['one tooth', 'vibration'],
        },
        'JB',
      );
  };
  /** The same edge at two speeds: each part's T runs by its own recipe. */
  const runsBy = async (operation: number, n: string, words: string) => {
    const { code } = await act(
      'stateRecipe',
      {
        ...{
          family: 'square',
          dcFrom: '14',
          dcTo: '14',
          material: 'C45',
          cut: 'roughing',
          speedAs: 'n',
          speed: n,
        },
        ...{ feedAs: 'tooth', feed: '0.05', ap: '4', ae: '7', coolant: 'flood', words },
      },
      'MS',
    );
    await act('planTool', { operation, t: 1, does: 'outline', recipe: code }, 'MS');
  };
  const milled = await job('J-0655', 'Pump foot', MILLS, MILLED);
  await runsBy(milled, '2200', 'As the maker’s chart has it.');
  await act('beginTrial', {
    ...{ item: 'EM14', against: 'EM14-U', material: 'C45', failuresEach: 6 },
    why: 'unequal flutes, a sixth dearer',
  });
  for (const life of MILLS) await live(milled, 1, life, 9);
  await act('endTrial', {
    trial: 'TR-0001',
    winner: 'second',
    words: 'EM14 no more, but for what lies here',
  });
  const lid = await job('J-0657', 'Pump lid', FASTER, MILLED_FASTER);
  await runsBy(lid, '2640', 'A fifth faster, to see what it costs.');
  for (const life of FASTER) await live(lid, 1, life, 3);
  const drilled = await job(
    'J-0656',
    'Flange',
    [...DRILLS, ...TRIED, ...GROUND.map((parts): Life => ['D9', 'DC13-40', parts, 'worn'])],
    DRILLED,
  );
  for (const life of DRILLS) await live(drilled, 2, life, 7);
  await act(
    'lookOverHolder',
    {
      mark: marks.get('CC16-40'),
      found: 'bad',
      runout: '0.017',
      words: 'nose bell-mouthed, collets seat askew',
    },
    'JB',
  );
  await act('beginTrial', {
    ...{ item: 'D9', against: 'D9-S', material: 'C45', failuresEach: 6 },
    why: 'a fifth cheaper',
  });
  for (const life of TRIED) await live(drilled, 2, life, 9);
  // The oldest that wore out in the good holder were ground again, and cut on.
  const worn = await db.query<{ mark: string }>(
    `select p.mark from piece p join item i on i.id = p.item_id join life_now n on n.piece_id = p.id
     where i.code = 'D9' and n.ended = 'worn' order by p.id limit 3`,
  );
  for (const [i, parts] of GROUND.entries()) {
    const piece = worn[i]!.mark;
    await act('sendToRegrind', { piece, to: 'SLIP', wanted: 'point and margins, coated as it was' }, 'JB');
    clock = new Date(clock.getTime() + 5 * DAY);
    const dc = (8.98 - i / 100).toFixed(2);
    const back = { place: 'CAB1-B', dc, lcf: '44', recoated: 'TiAlN', costCents: 1350 };
    await act('takeFromRegrind', { piece, ...back }, 'JB');
    await live(drilled, 2, ['D9', 'DC13-40', parts, 'worn'], 4, piece);
  }
  clock = new Date(Math.max(clock.getTime(), now.getTime() - 26 * DAY));
  await act('lookOverHolder', { mark: marks.get('SH14-40'), found: 'good', runout: '0.004' }, 'JB');
  await act('changeStud', { mark: marks.get('SH14-40'), torque: '60' }, 'JB');
  clock = new Date(now.getTime() - 90 * 60_000);
  // One that stands, and one of a drawer of which nobody knows when anybody looked at it.
  const { mark: standing } = await act('markHolder', { tag: 'A-0042', since: daysAgo(1065) });
  await act('lookOverHolder', { mark: standing, found: 'good', runout: '0.003' }, 'JB');
  await act('markHolder', { item: 'DC13-40', since: daysAgo(1716) });
  await act(
    'setChangeCosts',
    { minuteCents: 110, changeMinutes: 6, failureMinutes: 25, partCents: 3800 },
    'JB',
  );
  // Holes of the small drill on HORI-3, measured as it went: they shrink.
  for (const [days, hole] of [
    [16, '5.061'],
    [12, '5.053'],
    [8, '5.046'],
    [4, '5.037'],
  ] as const)
    await act('recordWear', {
      ...{ tag: 'A-0011', hole, holeFits: 'H12' },
      happenedAt: new Date(now.getTime() - days * DAY).toISOString(),
    });
  // A second shell mill, of which one edge frayed: its seat was turned alone.
  await act('receiveStock', { item: 'SM50', place: 'CAB1-A', quantity: 1 });
  await act('receiveStock', { item: 'SEKN1203-M20', place: 'CAB1-C', quantity: 5 });
  const { piece: body } = await act(
    'mountInserts',
    { body: 'SM50', bodyFrom: 'CAB1-A', item: 'SEKN1203-M20', from: 'CAB1-C' },
    'JB',
  );
  await act(
    'turnSeats',
    { piece: body, seats: [3], ended: { kind: 'sign' }, note: 'one edge frayed: a line on the wall' },
    'JB',
  );
  // The valve block's drill has a sister beside it, on which MILL-2 goes on by its counter.
  const [block] = await db.query<{ id: number }>(
    `select o.id from operation o join job j on j.id = o.job_id where j.number = 'J-4417'`,
  );
  await act('receiveStock', { item: 'D12', place: 'CAB1-B', quantity: 1 }, 'JB');
  await act('receiveStock', { item: 'CC20-40', place: 'HOLD', quantity: 1 }, 'JB');
  const { tag: sister } = await act(
    'buildAssembly',
    {
      ...{ cutter: { item: 'D12', place: 'CAB1-B' }, holder: { item: 'CC20-40', place: 'HOLD' } },
      stickout: '58',
    },
    'JB',
  );
  await act('recordMeasurement', { tag: sister, gaugeLength: '142.967', diameter: '11.994' }, 'JB');
  await act('loadPocket', { machine: 'MILL-2', pocket: 9, tag: sister, t: 6, h: 26, d: 26 }, 'TO');
  await act('stateChange', { operation: block!.id, t: 6, parts: 120, basis: 'risk' }, 'MS');
  // Its tap drill is changed by what its edge has cut on whatever job; what shows on a wall is worn sooner than the usual.
  await act(
    'stateChange',
    { operation: block!.id, t: 5, amount: '1500', counts: 'holes', basis: 'hand' },
    'MS',
  );
  const [plate] = await db.query<{ id: number }>(
    `select o.id from operation o join job j on j.id = o.job_id where j.number = 'J-2205'`,
  );
  await act('stateChange', { operation: plate!.id, t: 12, flank: '0.1' }, 'MS');
  await act('beginTrial', {
    ...{
      item: 'EM8',
      tries: 'holder',
      first: 'CC10-40',
      against: 'SH8-40',
      material: 'C45',
      failuresEach: 6,
    },
    why: 'is the shrink holder worth its heat?',
  });
  return { lives };
}
