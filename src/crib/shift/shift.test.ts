import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { VERBS } from '@/crib/verbs';
import { shiftView } from './index';

/** Two shifts: what the first did is handed over, taken by the second, and not said again at the end of it. */
let crib: TestCrib;
let operation: number;
const shift = () => shiftView(crib.db, '2027-01-05', VERBS);
const later = () => crib.at(new Date(crib.now().getTime() + 3_600_000).toISOString());
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('addPerson', { initials: 'TO', name: 'Tor Olander' });
  await crib.do('setRole', { person: 'TO', role: 'operator' });
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 9 });
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 5 });
  ({ operation } = (await crib.do('addJob', {
    ...{ number: 'J-1', part: 'Block', material: 'C45', quantity: 60, due: '2027-02-01', machine: 'M2' },
  })) as unknown as { operation: number });
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 2) });
  await crib.do('handOver', { words: 'set up' });
  const { waiting } = await shift();
  await crib.do('takeOver', { handOver: waiting!.entryId });
});
afterAll(() => crib.db.close());

it('says what was made, changed, broken, held and lent since it was taken over, and no more', async () => {
  later();
  const { tag } = await crib.do('buildAssembly', {
    ...{ cutter: { item: 'EM10', place: 'S1' }, holder: { item: 'SL10', place: 'S1' }, stickout: 34 },
    for: { operation, t: 7 },
  });
  await crib.do('logParts', { operation, parts: 4, confirmed: true });
  await crib.do('logParts', { operation, parts: 3, confirmed: true });
  await crib.do('issueStock', { item: 'EM10', from: 'S1', quantity: 2, to: 'TO', due: '2027-01-09' });
  await crib.do('endLife', { tag, kind: 'broken', fragments: 'found' });
  await crib.do('holdParts', { operation, from: 5, to: 7, why: 'it broke' });
  const wrong = await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 99 });
  await crib.do('counterEntry', { counters: wrong.entry });
  const view = await shift();
  expect(view).toMatchObject({
    since: { who: 'IK', takenBy: 'IK', words: 'set up' },
    waiting: null,
    made: [{ job: 'J-1', part: 'Block', machine: 'M2', parts: 7 }],
    lent: [{ person: 'TO', what: '2 × EM10', due: '2027-01-09' }],
    more: false,
  });
  const done = view.done.map((d) => d.words);
  expect(done).toEqual(
    expect.arrayContaining([expect.stringContaining('held'), expect.stringContaining('ended')]),
  );
  // What was taken back was not done; parts are summed; what came before is not said again.
  expect(done.join()).not.toMatch(/99|parts made|J-1 added|set up/);
  const heap = (name: string) => view.heaps.find((h) => h.name === name)?.lines.map((l) => l.todo);
  expect(heap('Held')).toEqual(['Decide of parts 5 to 7 of J-1']);
  expect(heap('To build and to measure')).toContain('Build T7 for J-1');
});

it('what is handed over waits as it was until somebody takes it, and is taken once', async () => {
  const { entry } = await crib.do('handOver', { words: 'T7 broke: look at the nozzle' });
  later();
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 1 });
  const handed = await shift();
  expect(handed.waiting).toMatchObject({
    entryId: entry,
    words: 'T7 broke: look at the nozzle',
    takenBy: null,
  });
  expect(handed.made).toMatchObject([{ parts: 7 }]);
  // What came after it is the next shift’s.
  expect(handed.done.map((d) => d.words).join()).not.toMatch(/1 × EM10 received|received 1/);
  await crib.do('takeOver', { who: 'TO', handOver: entry });
  expect(await shift()).toMatchObject({ since: { takenBy: 'TO' }, waiting: null, made: [] });
  await expect(crib.do('takeOver', { handOver: entry })).rejects.toMatchObject({
    code: 'CONFLICT',
    message: 'TO has taken it over already',
  });
  const next = await crib.do('handOver', {});
  await expect(crib.do('takeOver', { handOver: entry })).rejects.toMatchObject({ code: 'CONFLICT' });
  await crib.do('counterEntry', { counters: next.entry });
  expect((await shift()).waiting).toBeNull();
});

it('where more was done than is looked through, it says that there is more', async () => {
  for (let i = 0; i < 410; i += 1)
    await crib.do('stateFacts', {
      item: 'EM10',
      facts: { LCF: { value: String(20 + (i % 3)), origin: 'guess' } },
    });
  const { done, more } = await shift();
  expect([done.length, more]).toEqual([60, true]);
  // What says nothing to whoever takes over fills the page as well: what is below it is not nothing.
  for (let i = 0; i < 405; i += 1) await crib.do('saveView', { name: `v${i}`, address: '/cutters?q=drill' });
  expect((await shift()).more).toBe(true);
});

it('where nobody ever took over, it says what was done since the day before, and not all the years', async () => {
  const alone = await openTestCrib();
  await furnish(alone);
  const job = await alone.do('addJob', {
    ...{ number: 'J-1', part: 'Block', material: 'C45', quantity: 60, due: '2027-02-01', machine: 'M2' },
  });
  await alone.do('storeProgram', { operation: job.operation, text: oneToolProgram(7, 2) });
  const made = async (day: string) => (await shiftView(alone.db, day, VERBS)).made.map((m) => m.parts);
  const log = (parts: number) => alone.do('logParts', { operation: job.operation, parts, confirmed: true });
  await log(4);
  expect(await made('2027-01-05')).toEqual([4]);
  alone.at('2027-01-08T09:00:00Z');
  await log(3);
  const view = await shiftView(alone.db, '2027-01-08', VERBS);
  expect(view).toMatchObject({ since: null, moreMade: false, more: false });
  expect(view.made.map((m) => m.parts)).toEqual([3]);
  expect(view.done.map((d) => d.words).join()).not.toMatch(/J-1 added/);
  // Handed over and left lying over some days, it says what it said.
  await alone.do('handOver', {});
  alone.at('2027-01-12T09:00:00Z');
  expect(await shiftView(alone.db, '2027-01-12', VERBS)).toMatchObject({
    since: null,
    waiting: { who: 'IK' },
  });
  expect(await made('2027-01-12')).toEqual([3]);
  await alone.db.close();
});
