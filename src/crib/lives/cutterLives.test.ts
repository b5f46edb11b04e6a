import { lifeSheet } from '@/crib/life';
import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { todayView } from '@/crib/today';
import type { Connection } from '@/data/database';
import { livesOfCutters, livesWithMost } from './cutterLives';

/** Lives that are read once, however often they are asked for, and anew once one of them is another one. */
let crib: TestCrib;
let ids: number[];
const operations: Record<string, number> = {};
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('addMaterial', { code: 'AL', name: 'Aluminium', isoGroup: 'N' });
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 40 });
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 9 });
  for (const material of ['C45', 'AL']) {
    const { operation } = await crib.do('addJob', {
      ...{ number: `J-${material}`, part: 'Block', material, quantity: 900, due: '2027-02-01' },
      machine: 'M2',
    });
    operations[material] = Number(operation);
    await crib.do('storeProgram', { operation, text: oneToolProgram(7, 1) });
    for (const parts of [30, 40, 50]) await live(material, parts);
  }
  ids = (await crib.db.query<{ id: number }>("select id from item where code = 'EM10'")).map((r) => r.id);
});
afterAll(() => crib.db.close());

async function live(material: string, parts: number, kind: string | null = 'worn') {
  const { tag } = await crib.do('buildAssembly', {
    cutter: { item: 'EM10', place: 'S1' },
    ...{
      holder: { item: 'SL10', place: 'S1' },
      stickout: 34,
      for: { operation: operations[material], t: 7 },
    },
  });
  const { entry } = await crib.do('logParts', { operation: operations[material], parts, confirmed: true });
  if (kind) await crib.do('endLife', { tag, kind });
  return { tag: String(tag), log: Number(entry) };
}
/** By material, with the statements that were put for it. */
async function asked(of: (c: Connection) => ReturnType<typeof livesOfCutters>) {
  const put: string[] = [];
  const lives = await of({ ...crib.db, query: (sql, values) => (put.push(sql), crib.db.query(sql, values)) });
  const codes = await crib.db.query<{ id: number; code: string }>('select id, code from material');
  const by = (code: string) => lives.find((l) => codes.some((m) => m.id === l.materialId && m.code === code));
  return { put, C45: by('C45'), AL: by('AL') };
}
const own = () => asked((c) => livesOfCutters(c, ids));
const minutes = (l: Awaited<ReturnType<typeof own>>['C45']) => l?.times.map((t) => t.minutes);

it('are read once, whoever asks', async () => {
  const first = await own();
  expect(minutes(first.C45)).toEqual([50, 40, 30]);
  const again = await own();
  expect(again.put).toHaveLength(1);
  expect(again.C45).toBe(first.C45);
  const most = await asked((c) => livesWithMost(c, 9));
  expect([most.put.length, most.AL]).toEqual([1, first.AL]);
});

it('a part that is logged has them read anew, in its material alone; and once it is taken back', async () => {
  const before = await own();
  const { log } = await live('C45', 7, null);
  const after = await own();
  expect(after.put).toHaveLength(2);
  expect(minutes(after.C45)).toEqual([7, 50, 40, 30]);
  expect(after.AL).toBe(before.AL);
  await crib.do('counterEntry', { counters: log });
  // It was cut by nobody then, and is no life.
  expect(minutes((await own()).C45)).toEqual([50, 40, 30]);
});

it('what was seen inside a transaction that was undone is not what stands', async () => {
  const before = await own();
  await expect(
    crib.db.transaction(async (c) => {
      // As a life is written once parts are logged, by triggers alone.
      await c.query(`insert into use (entry_id, parts_log_id, t, edge_set_id, minutes, lower_bound)
        select entry_id, parts_log_id, 9, edge_set_id, 1000, false from use where edge_set_id is not null order by id limit 1`);
      const inside = (await livesOfCutters(c, ids)).flatMap((l) => l.times);
      expect(inside.map((t) => t.minutes)).toContain(1030);
      throw new Error('undone');
    }),
  ).rejects.toThrow('undone');
  const after = await own();
  expect(after.C45).toBe(before.C45);
});

it('the screens that lean on them read none of them a second time', async () => {
  const put: string[] = [];
  const c: Connection = {
    ...crib.db,
    query: (sql, values) => (put.push(sql), crib.db.query(sql, values)),
  };
  const times = () => put.splice(0).filter((sql) => sql.includes('array_agg(y.minutes)')).length;
  for (const ask of [() => todayView(c, '2027-01-12'), () => lifeSheet(c, 'EM10', 'C45')]) {
    await ask();
    times();
    await ask();
    expect(times()).toBe(0);
  }
});

it('what is told of each is read once; and anew once it ends, is counted otherwise or is taken back', async () => {
  const put: string[] = [];
  const c: Connection = { ...crib.db, query: (sql, values) => (put.push(sql), crib.db.query(sql, values)) };
  const first = async () => {
    put.splice(0);
    const [life] = (await lifeSheet(c, 'EM10', 'C45'))?.records ?? [];
    return { life, read: put.filter((sql) => sql.includes('as began_at')).length };
  };
  await live('C45', 6, 'worn');
  const { tag } = await live('C45', 8, null);
  await first();
  const running = await first();
  expect(running).toMatchObject({ read: 0, life: { parts: 8, ended: null, note: null } });
  // It was foretold when its first minutes were logged, by the lives before it.
  expect(running.life?.foretold).not.toBeNull();

  const { entry } = await crib.do('endLife', { tag, kind: 'worn', note: 'by the burr' });
  expect(await first()).toMatchObject({ read: 1, life: { note: 'by the burr' } });
  await crib.do('counterEntry', { counters: entry });
  expect(await first()).toMatchObject({ read: 1, life: { ended: null, note: null } });

  // Its minutes stay as they are: what its hand counted is told otherwise alone.
  const [use] = await crib.db.query<{ id: number; minutes: number }>(
    'select u.id, u.minutes from use u join edge_set s on s.id = u.edge_set_id order by u.id desc limit 1',
  );
  const { entry: said } = await crib.do('correctUse', { use: use?.id, minutes: use?.minutes, holes: 40 });
  expect(await first()).toMatchObject({ read: 1, life: { holes: 40, minutes: running.life?.minutes } });
  await crib.do('counterEntry', { counters: said });
  expect(await first()).toMatchObject({ read: 1, life: { holes: running.life?.holes } });
});
