import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { assemblyView } from '@/crib/rack';
import { jobView } from './views/jobView';
import { unwatchedView } from './views/unwatchedView';

let crib: TestCrib;
let operation: number;
let tag: string;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 20 });
  const job = await crib.do('addJob', {
    ...{ number: 'J-N', part: 'Block', material: 'C45', quantity: 100, due: '2027-02-01', machine: 'M2' },
  });
  operation = job.operation as number;
  await crib.do('storeProgram', { operation, text: oneToolProgram(1, 1) });
});
afterAll(() => crib.db.close());
const build = async () =>
  String(
    (
      await crib.do('buildAssembly', {
        cutter: { item: 'EM10', place: 'S1' },
        holder: { item: 'SL10', place: 'S1' },
        stickout: 34,
      })
    ).tag,
  );
const asked = async (parts: number, chance: '0.9' | '0.95' | '0.99' = '0.95') =>
  (await unwatchedView(crib.db, { operation, parts, chance }))!;

it('with nothing tied it cannot be said, and no chance of all is made of nothing', async () => {
  const view = await asked(10);
  expect(view.lines).toMatchObject([{ t: 1, tag: null, chance: null, change: false }]);
  expect(view).toMatchObject({ unknown: [1], reached: false });
});

it('a fresh edge of a cutter that nobody saw fail stands on what was assumed of it', async () => {
  tag = await build();
  await crib.do('tieTool', { operation, t: 1, tag });
  const short = await asked(3);
  expect(short.lines[0]).toMatchObject({ tag, minutes: expect.closeTo(3, 1), used: 0, change: false });
  expect(short.now).toBeGreaterThan(0.95);
  expect(short).toMatchObject({ reached: true, unknown: [] });
  // 40 min assumed: at 40 about half are gone, and no change helps, for it is fresh.
  const long = await asked(40);
  expect(long.now).toBeGreaterThan(0.3);
  expect(long.now).toBeLessThan(0.6);
  expect(long).toMatchObject({ reached: false, lines: [{ change: false }] });
  // Nobody said how many: as many as go, which is the most that reaches it.
  const { parts, now } = (await unwatchedView(crib.db, { operation }))!;
  expect(now).toBeGreaterThan(0.95);
  expect((await asked(parts + 1)).now).toBeLessThan(0.95);
});

it('one that has cut most of its life is to be changed before leaving, and what that throws away is said', async () => {
  await crib.do('logParts', { operation, parts: 30 });
  const view = await asked(5, '0.9');
  expect(view.lines[0]).toMatchObject({ change: true, used: expect.closeTo(0.75, 1) });
  expect(view.now).toBeLessThan(0.9);
  expect(view.after).toBeGreaterThan(0.9);
  expect(view.thrown.minutes).toBeCloseTo(10, 0);
  // The same edge is not changed for a part.
  expect((await asked(1, '0.9')).lines[0]!.change).toBe(false);
});

it('however long its edge lasts, what speaks against the T beside it is said: nobody is there to see it', async () => {
  const against = async () => (await asked(1, '0.9')).against;
  // How much is left of the edge is what the chance is of, and stands there.
  const [unmeasured, ...none] = await against();
  expect(unmeasured).toMatchObject({ t: 1, grade: 'question', words: expect.stringMatching(/measured/i) });
  expect(none).toEqual([]);
  await crib.do('recordMeasurement', { tag, gaugeLength: 94.1, diameter: 9.99 });
  const { judgements } = (await jobView(crib.db, 'J-N'))!.tools[0]!.use;
  const beside = judgements.filter(
    (j) => !j.aside && ['stop', 'question'].includes(j.grade) && !['LIFE', 'CHANGE'].includes(j.code),
  );
  expect(await against()).toEqual(beside.slice(0, 1).map((j) => ({ t: 1, grade: j.grade, words: j.words })));
  const piece = (await assemblyView(crib.db, tag, 'UTC'))!.mark;
  const { entry } = await crib.do('holdCutter', { piece, why: 'fell on the floor' });
  const held = await asked(1, '0.9');
  expect(held.against).toEqual([
    { t: 1, grade: 'stop', words: 'Its cutter is held back: fell on the floor' },
  ]);
  expect(held.now).toBeGreaterThan(0.9);
  await crib.do('counterEntry', { counters: entry });
  // In the machine under another number: it would stop, or take something else.
  await crib.do('stateMagazine', { machine: 'M2', kind: 'carousel', pockets: 8 });
  await crib.do('loadPocket', { machine: 'M2', pocket: 4, tag, t: 9 });
  expect((await against())[0]).toEqual({ t: 1, grade: 'question', words: `${tag} is in pocket 4 as T9` });
  await crib.do('emptyPocket', { machine: 'M2', pocket: 4 });
});

it('a worn one has no chance, whatever its minutes say', async () => {
  await crib.do('recordWear', { tag, flankWear: '0.2' });
  const worn = await asked(1);
  expect(worn).toMatchObject({ now: 0, lines: [{ worn: true, chance: 0, change: true }] });
  expect(worn.against.filter((x) => x.words.startsWith('Worn'))).toEqual([]);
});

it('too many parts are refused by name, an operation that is not there is nothing', async () => {
  await expect(asked(0)).rejects.toMatchObject({ parts: [{ field: 'parts' }] });
  await expect(asked(10_001)).rejects.toMatchObject({ parts: [{ field: 'parts' }] });
  expect(await unwatchedView(crib.db, { operation: 99 })).toBeNull();
});
