import { buyingView } from '@/crib/buying';
import { jobView, runView } from '@/crib/jobs';
import { assemblyView } from '@/crib/rack';
import { blockOnT7, openTestCrib, type TestCrib } from '@/crib/testing';
import { todayView } from '@/crib/today';

/** A T whose cutter is changed after a number of parts: every screen counts alike. EM10 in C45: 40 min assumed, 2 min a part. */
let crib: TestCrib;
let operation: number;
let tag: string;
const TODAY = '2027-01-05';
beforeAll(async () => {
  crib = await openTestCrib();
  ({ operation, tag } = await blockOnT7(crib));
});
afterAll(() => crib.db.close());

const t7 = async () => (await jobView(crib.db, 'J-1'))!.tools.find((t) => t.t === 7)!;
const change = async () => (await t7()).use.judgements.find((j) => j.code === 'CHANGE');
const line = async () =>
  (await buyingView(crib.db, TODAY)).lines.find((l) => l.item.code === 'EM10')!.proposal;

it('nobody said: it runs to the sign, by its lives', async () => {
  expect(await t7()).toMatchObject({ change: null, use: { goodFor: 20 } });
  expect(await change()).toBeUndefined();
});

it('after so many parts: its T, the machine, the rack and Today count alike, and an edge is due', async () => {
  const needed = (await line()).because.values.map((v) => v.value).join('; ');
  await crib.do('stateChange', { operation, t: 7, parts: 8, basis: 'cost' });
  expect(await t7()).toMatchObject({
    ...{ change: { parts: 8, basis: 'cost', who: 'IK' } },
    // Eight, and eight from then on at most; a life of 20 parts in the mean ends some of them before.
    use: { goodFor: 8, edges: { first: 8 } },
  });
  const { every, fresh } = (await t7()).use.edges!;
  expect(every).toBeGreaterThanOrEqual(7);
  expect(every).toBeLessThanOrEqual(8);
  expect(fresh).toBe(Math.ceil(52 / every!));
  await crib.do('logParts', { operation, parts: 5, confirmed: true });
  expect(await change()).toMatchObject({ grade: 'good', words: 'To be changed after 3 more of 8 parts' });
  await crib.do('logParts', { operation, parts: 3, confirmed: true });
  const words = 'Change it now: 8 of 8 parts cut';
  expect(await change()).toMatchObject({ grade: 'question', words });
  expect((await runView(crib.db, operation))!.job.tools[0]!.use.judgements.map((j) => j.words)).toContain(
    words,
  );
  expect((await assemblyView(crib.db, tag, crib.zone))!.ties[0]!.use).toMatchObject({ goodFor: 0 });
  expect((await todayView(crib.db, TODAY)).lines).toContainEqual(
    expect.objectContaining({ kind: 'life', todo: `Change the cutter of ${tag}`, why: words }),
  );
  // What is bought is bought for the changes that are planned: no more than 16 min an edge.
  const now = (await line()).because.values.map((v) => v.value).join('; ');
  expect(now).not.toBe(needed);
  expect(JSON.stringify((await line()).because)).toContain('changed after 8 parts');
});

it('a fresh edge begins its count anew', async () => {
  const { newTag } = await crib.do('endLife', {
    ...{ tag, kind: 'preventive', rebuild: { cutter: { item: 'EM10', place: 'S1' }, stickout: 34 } },
  });
  tag = String(newTag);
  expect((await t7()).use.judgements.find((j) => j.code === 'CHANGE')!.words).toBe(
    'To be changed after 8 more of 8 parts',
  );
});

it('it goes with its T under another number and into a copy of its job; said anew it runs to the sign', async () => {
  const { program } = (await jobView(crib.db, 'J-1'))!;
  await crib.do('logParts', { operation, parts: 2, confirmed: true });
  await crib.do('renumberTools', { operation, program: program!.entryId, numbers: [{ t: 7, to: 17 }] });
  const t17 = (await jobView(crib.db, 'J-1'))!.tools.find((t) => t.t === 17)!;
  // What it cut under its old number counts.
  expect(t17).toMatchObject({ change: { parts: 8 } });
  expect(t17.use.judgements.find((j) => j.code === 'CHANGE')!.words).toBe(
    'To be changed after 6 more of 8 parts',
  );
  await crib.do('copyJob', { from: 'J-1', number: 'J-2', quantity: 3, due: '2027-02-09' });
  expect((await jobView(crib.db, 'J-2'))!.tools[0]!.change).toMatchObject({ parts: 8, basis: 'cost' });
  await expect(crib.do('stateChange', { operation, t: 17, basis: 'risk' })).rejects.toMatchObject({
    parts: [{ field: 'parts' }],
  });
  await expect(crib.do('stateChange', { operation, t: 17, parts: 0 })).rejects.toMatchObject({
    parts: [{ field: 'parts' }],
  });
  await crib.do('stateChange', { operation, t: 17 });
  const again = (await jobView(crib.db, 'J-1'))!.tools.find((t) => t.t === 17)!;
  expect(again.change).toMatchObject({ parts: null });
  expect(again.use.judgements.map((j) => j.code)).not.toContain('CHANGE');
});

it('of two who say it at once over the same word the second is told, and who said over none while one stands too', async () => {
  const over = async () => (await jobView(crib.db, 'J-1'))!.tools.find((t) => t.t === 17)!.change!;
  const seen = (await over()).entryId;
  const both = await Promise.allSettled(
    [11, 12].map((parts) => crib.do('stateChange', { operation, t: 17, parts, over: seen })),
  );
  expect(both.map((x) => x.status).sort()).toEqual(['fulfilled', 'rejected']);
  const { parts, entryId } = await over();
  const refused = { code: 'CONFLICT', message: 'IK has said anew when T17 is changed since you opened it' };
  for (const late of [seen, 0])
    await expect(crib.do('stateChange', { operation, t: 17, parts: 13, over: late })).rejects.toMatchObject({
      ...refused,
      parts: [{ field: 't', limit: `entry ${entryId} is in force` }],
    });
  expect((await over()).parts).toBe(parts);
  await crib.do('counterEntry', { counters: entryId });
  await expect(crib.do('stateChange', { operation, t: 17, parts: 13, over: entryId })).rejects.toMatchObject({
    code: 'CONFLICT',
  });
  await crib.do('stateChange', { operation, t: 17, parts: 13, over: seen });
});
