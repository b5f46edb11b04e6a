import { DEFAULTS } from '@/core/defaults';
import { isFitted, whyApart, type Ending } from '@/core/life';
import { measurementCounts } from '@/core/measuring';
import { oneSpeed } from '@/core/programs';
import { livesOfCutters } from '@/crib/lives';
import { IN_FORCE } from '@/data/keeping';
import { manyLifeLines, manyLifeTimes } from '@/data/life';
import { furnish, MILL, oneToolProgram, openTestCrib, type TestCrib } from '../testing';

/** What is kept as in force must be what the ledger says when it is summed anew: after any act and any counter-entry. */
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
  await crib.do('addMachine', { code: 'M7', name: 'Mill 7', ...MILL });
  await crib.do('addMaterial', { code: 'AL', name: 'Aluminium', isoGroup: 'N' });
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 200 });
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 60 });
  await crib.do('stateFacts', { item: 'EM10', facts: { SUBSTRATE: { value: 'carbide', origin: 'maker' } } });
  for (const speed of [3000, 4500])
    await crib.do('stateRecipe', {
      ...{ item: 'EM10', material: 'C45', cut: 'roughing', speedAs: 'n', speed },
      ...{ feedAs: 'tooth', feed: '0.05' },
    });

  // What all of it is done with is not taken back, or nothing could be done.
  const begun = Number((await column('select max(id) as v from entry'))[0]);
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
    move: async () =>
      crib.do('moveOperation', {
        operation: Number(pick(await operations())),
        machine: pick(['M2', 'M7']),
      }),
    program: async () =>
      crib.do('storeProgram', {
        operation: Number(pick(await operations())),
        // Speeds that are one, and one that is another.
        text: oneToolProgram(7, upTo(4)).replace('S3000', `S${pick([3000, 3100, 4500])}`),
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
    correct: async () =>
      crib.do('correctUse', {
        use: Number(pick(await column('select id as v from use order by id desc limit 8'))),
        minutes: upTo(9),
        ...(random() < 0.5 ? { holes: upTo(9) } : {}),
      }),
    say: async () =>
      crib.do('recordUse', {
        tag: pick(await standing()),
        material: pick(['C45', 'AL']),
        ...pick([{ minutes: upTo(9) }, { holes: upTo(9) }, { minutes: 2, holes: 3, metres: 1.5 }]),
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
    down: async () =>
      crib.do('takeDown', {
        tag: pick(await standing()),
        cutterTo: 'USED',
        ...pick([
          {},
          {},
          { ended: { kind: 'worn' } },
          { ended: { kind: 'worn' }, grade: 'plastics' },
          { ended: { kind: 'chipped' }, grade: 'scrap' },
        ]),
      }),
    end: async () =>
      crib.do('endLife', {
        tag: pick(await standing()),
        kind: pick(['worn', 'broken', 'crash', 'broken', 'lost']),
        ...(random() < 0.5 ? { cutterTo: 'USED' } : {}),
      }),
    break: async () =>
      crib.do('endLife', {
        tag: pick(
          await column(
            'select a.tag as v from tie_now t join assembly_now n on n.assembly_id = t.assembly_id join assembly a on a.id = t.assembly_id order by 1',
          ),
        ),
        kind: 'broken',
      }),
    fragments: async () =>
      crib.do('accountFragments', {
        ending: Number(
          pick(await column("select id as v from waits_now where kind = 'fragments' order by 1")),
        ),
        fragments: 'found',
      }),
    hold: async () => {
      const parts = pick(
        await crib.db.query<{ id: number; made: number }>(
          'select operation_id as id, parts_made as made from operation_now where parts_made > 0 order by 1 desc limit 3',
        ),
      );
      const from = upTo(parts.made);
      return crib.do('holdParts', { operation: parts.id, from, to: parts.made, why: 'looked at' });
    },
    decide: async () =>
      crib.do('judgeParts', {
        hold: pick(await column('select number as v from hold order by 1')),
        ...pick<object>([{}, {}, { from: upTo(9) }]),
        verdict: pick(['good', 'scrap']),
      }),
    doubt: async () =>
      crib.do('holdCutter', {
        piece: pick(await column('select mark as v from piece order by 1')),
        why: 'fell',
      }),
    clear: async () =>
      crib.do('clearCutter', {
        piece: pick(
          await column('select mark as v from piece where id in (select piece_id from waits_now) order by 1'),
        ),
        found: 'whole',
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
    scrap: async () =>
      crib.do('scrapStock', {
        item: pick(['EM10', 'SL10']),
        from: 'S1',
        quantity: upTo(2),
        reason: 'dropped',
      }),
    substrate: () =>
      crib.do('stateFacts', {
        item: pick(['EM10', 'SL10']),
        facts: { SUBSTRATE: { value: pick(['carbide', 'HSS']), origin: 'maker' } },
      }),
    sell: () => crib.do('sellScrap', { substrate: 'carbide', kg: 0.4, perKgCents: 1800 }),
    recipe: async () => {
      const operation = Number(pick(await operations()));
      const [over] = await column(
        `select p.entry_id as v from tool_plan p join live_entry e on e.id = p.entry_id
         where p.operation_id = ${operation || 0} and p.t = 7 order by e.happened_at desc, e.id desc limit 1`,
      );
      return crib.do('planTool', {
        ...{ operation, t: 7, ...(over === undefined ? {} : { over: Number(over) }) },
        ...pick<object>([{ recipe: 'R-0001' }, { recipe: 'R-0002' }, { does: 'roughs' }]),
        ...(random() < 0.4 ? { happenedAt: new Date(crib.now().getTime() - 3_600_000).toISOString() } : {}),
      });
    },
    keep: async () =>
      crib.do('recipeFromTool', { operation: Number(pick(await operations())), t: 7, cut: 'roughing' }),
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
    magazine: () => crib.do('stateMagazine', { machine: 'M2', kind: 'carousel', pockets: 4 }),
    load: async () =>
      crib.do('loadPocket', {
        ...{ machine: 'M2', pocket: upTo(4), tag: pick(await standing()), t: upTo(9), instead: 'out' },
        ...(random() < 0.3 ? { happenedAt: new Date(crib.now().getTime() - 3_600_000).toISOString() } : {}),
      }),
    mark: async () =>
      crib.do(
        'markHolder',
        pick<Record<string, unknown>>([{ tag: pick(await standing()) }, { item: 'SL10' }]),
      ),
    clamp: async () =>
      crib.do('buildAssembly', {
        cutter: { item: 'EM10', place: 'S1' },
        holder: {
          ...{ item: 'SL10', place: 'S1' },
          marked: pick(await column('select mark as v from marked_holder order by 1')),
        },
        stickout: 34,
      }),
    look: async () =>
      crib.do('lookOverHolder', {
        mark: pick(await column('select mark as v from marked_holder order by 1')),
        found: 'good',
        ...(random() < 0.5 ? { happenedAt: new Date(crib.now().getTime() - 3_600_000).toISOString() } : {}),
      }),
    counter: async () =>
      crib.do('counterEntry', {
        counters: Number(
          pick(
            await column(
              `select id as v from live_entry where counters is null and id > ${begun} order by id desc limit 12`,
            ),
          ),
        ),
      }),
  };
  const done: Record<string, number> = {};
  let refused = 0;
  const marks = new Set<string>();
  for (let step = 0; step < 700; step += 1) {
    crib.at(new Date(Date.parse('2027-01-05T09:00:00Z') + step * 60_000).toISOString());
    const name = pick([
      ...Object.keys(ACTS),
      'counter',
      'counter',
      'log',
      'log',
      'build',
      'tie',
      'hold',
      'fragments',
      'load',
      'clamp',
      'break',
      'fragments',
      'decide',
      'doubt',
      'clear',
      'keep',
      'keep',
      'recipe',
      'recipe',
      'load',
      'magazine',
      'magazine',
      'program',
      'log',
    ]);
    try {
      await ACTS[name]!();
      done[name] = (done[name] ?? 0) + 1;
    } catch (error) {
      // Refused, or there was nothing to pick from: then nothing may have changed either.
      expect((error as { code?: string }).code ?? '').not.toBe('INTERNAL');
      refused += 1;
    }
    await livesKept(`step ${step}, after ${name}`);
    if (step % 7 === 0) await agree(`step ${step}, after ${name}`);
  }
  await agree('the end');
  // Every act was done, and refusals came in between.
  for (const name of Object.keys(ACTS)) expect([name, done[name] ?? 0]).toEqual([name, expect.any(Number)]);
  expect(Object.keys(ACTS).filter((name) => (done[name] ?? 0) < 2)).toEqual([]);
  expect(refused).toBeGreaterThan(10);
  // They were other ones often enough, or this says nothing of what is kept.
  expect(marks.size).toBeGreaterThan(20);

  // Loaded past the triggers, as a restored ledger would be, it is the same again.
  await crib.db.script(
    `set session_replication_role = replica; delete from tie_now; delete from life_now; delete from holder_now; delete from pocket_now;
     delete from edge_recipe; delete from clamping_now; delete from scrap_now; update piece_place set gone = not gone;
     call rebuild_in_force(); set session_replication_role = default;`,
  );
  await agree('rebuilt');
  await livesKept('rebuilt');
  await expect(crib.db.query('call rebuild_in_force()')).rejects.toMatchObject({ code: 'LEDGER' });

  /** Lives that were kept since they were read are as they are now. */
  async function livesKept(when: string): Promise<void> {
    const items = (await column('select id as v from item order by 1')).map(Number);
    const lines = await manyLifeLines(crib.db, items);
    const now = lines.length ? await manyLifeTimes(crib.db, lines, DEFAULTS.livesReckoned) : [];
    const kept = await livesOfCutters(crib.db, items);
    const inOrder = <T extends { itemId: number; materialId: number }>(rows: readonly T[]) =>
      [...rows].sort((a, b) => a.itemId - b.itemId || a.materialId - b.materialId);
    expect({
      when,
      lives: inOrder(kept).map((l) => [
        ...[l.itemId, l.materialId, l.all, l.ended, l.times.map((t) => t.minutes)],
        ...[l.bySpeeds.map((x) => x.speed), l.bySpeeds.map((x) => x.parts)],
      ]),
    }).toEqual({
      when,
      lives: inOrder(now).map((l) => [
        ...[l.itemId, l.materialId, l.lives, l.ended, l.minutes],
        ...[l.rpm, l.speeds],
      ]),
    });
    for (const line of lines) marks.add(line.revision);
  }
  async function agree(when: string): Promise<void> {
    for (const [name, kept, summed] of IN_FORCE)
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

it('the database takes a life for one speed as the core does', async () => {
  const cut = await crib.db.query<{ edge: number; s: number | null; minutes: number }>(
    'select edge_set_id as edge, rpm as s, minutes from cut_of(array(select id from edge_set))',
  );
  const of = (edge: number) =>
    cut.filter((x) => x.edge === edge).map(({ s, minutes }) => ({ s, cutting_s: minutes }));
  const lives = await crib.db.query<{ edge: number; rpm: number | null }>(
    'select edge_set_id as edge, rpm from life_now',
  );
  for (const { edge, rpm } of lives) expect([edge, rpm]).toEqual([edge, oneSpeed(of(edge))]);
  // Both kinds come up.
  expect(new Set(lives.map((l) => l.rpm)).size).toBeGreaterThan(2);
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
  await crib.do('planTool', { operation, t: 7, recipe: 'R-0001' });
  const { tag } = await crib.do('buildAssembly', {
    ...{ cutter: { item: 'EM10', place: 'S1' }, holder: { item: 'SL10', place: 'S1' }, stickout: 34 },
    for: { operation, t: 7 },
  });
  await crib.do('markHolder', { tag });
  await crib.do('logParts', { operation, parts: 1 });
  await crib.do('scrapStock', { item: 'EM10', from: 'S1', quantity: 1, reason: 'dropped' });
  for (const table of [
    'assembly_now',
    'tie_now',
    'operation_now',
    'edge_use',
    'edge_speed',
    'edge_recipe',
    'clamping_now',
    'scrap_now',
    'life_now',
    'life_line',
    'use_open',
    'purchase_now',
    'place_now',
    'holder_now',
    'pocket_now',
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
