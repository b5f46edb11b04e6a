import { takeableView } from '@/crib/stock';
import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { lifeView } from './views/lifeView';

/** Two cutters tried against each other, from the plan to the loser's stock. */
let crib: TestCrib;
let operation: number;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  const fact = (value: string) => ({ value, origin: 'maker' });
  await crib.do('addItem', {
    ...{ code: 'EM10-Z', kind: 'cutter', family: 'square' },
    facts: {
      SUBSTRATE: fact('carbide'),
      DC: fact('10'),
      DMM: fact('10'),
      LCF: fact('22'),
      OAL: fact('72'),
      NOF: fact('4'),
    },
  });
  for (const [item, quantity] of [
    ['EM10', 30],
    ['EM10-Z', 12],
    ['SL10', 4],
  ])
    await crib.do('receiveStock', { item, place: 'S1', quantity });
  const job = await crib.do('addJob', {
    ...{ number: 'J-T', part: 'Block', material: 'C45', quantity: 5000, due: '2027-02-01', machine: 'M2' },
  });
  operation = Number(job.operation);
  await crib.do('storeProgram', { operation, text: oneToolProgram(1, 1) });
});
afterAll(() => crib.db.close());

const trial = async () => (await lifeView(crib.db, '2027-01-15', 'UTC')).trials[0]!;
/** What is offered first where one of them is to go in again. */
const offered = async (material?: string) =>
  (await takeableView(crib.db, { what: 'cutter', like: 'EM10', material }, '2027-01-15')).sources[0]!;

async function live(item: string, parts: number, ended: string | null): Promise<string> {
  const { tag } = await crib.do('buildAssembly', {
    ...{ cutter: { item, place: 'S1' }, holder: { item: 'SL10', place: 'S1' }, stickout: 34 },
  });
  await crib.do('tieTool', { operation, t: 1, tag });
  if (parts) await crib.do('logParts', { operation, parts, confirmed: true });
  if (ended) await crib.do('endLife', { tag, kind: ended });
  return String(tag);
}

it('what ran before it began is not in it, and the first turn is the first’s', async () => {
  await live('EM10', 20, 'worn');
  await crib.do('beginTrial', {
    ...{ item: 'EM10', against: 'EM10-Z', material: 'C45', failuresEach: 4, why: 'half the price' },
  });
  expect(await trial()).toMatchObject({
    row: { number: 'TR-0001', why: 'half the price', endedEntryId: null },
    ...{ begun: [0, 0], failures: [0, 0], next: 'first', state: 'going' },
  });
  expect(await offered('C45')).toMatchObject({ item: 'EM10', caution: 'TR-0001 in C45: EM10 goes in next' });
});

it('they go in by turns from the moment one is built for that material; another material has no turns', async () => {
  const tag = await live('EM10', 0, null);
  expect(await trial()).toMatchObject({ begun: [1, 0], next: 'second' });
  expect(await offered('C45')).toMatchObject({ item: 'EM10-Z' });
  expect((await offered('C45')).caution).toBe('TR-0001 in C45: EM10-Z goes in next');
  await crib.do('addMaterial', { code: 'AL', name: 'Aluminium', isoGroup: 'N' });
  expect(await offered('AL')).toMatchObject({ item: 'EM10', caution: null });
  await crib.do('logParts', { operation, parts: 11, confirmed: true });
  await crib.do('endLife', { tag, kind: 'worn' });
  expect(await trial()).toMatchObject({ begun: [1, 0], failures: [1, 0], next: 'second' });
});

it('a second trial of either in that material waits, and one that is no trial is said so', async () => {
  const refused = (input: Record<string, unknown>, code: string, field: string) =>
    expect(crib.do('beginTrial', { material: 'C45', failuresEach: 3, ...input })).rejects.toMatchObject({
      code,
      parts: [{ field }],
    });
  await refused({ item: 'EM10-Z', against: 'EM10' }, 'CONFLICT', 'against');
  await refused({ item: 'EM10', against: 'EM10', material: 'AL' }, 'INVALID_INPUT', 'against');
  await refused({ item: 'EM10', against: 'SL10', material: 'AL' }, 'INVALID_INPUT', 'against');
  await refused({ item: 'EM10', against: 'NONE', material: 'AL' }, 'NOT_FOUND', 'against');
  // On one T a cutter of another diameter is no other of it: within a tenth, no more (common practice).
  for (const [code, DC] of [
    ['EM16', '16'],
    ['EM11-1', '11.1'],
  ] as const)
    await crib.do('addItem', {
      ...{ code, kind: 'cutter', family: 'square' },
      facts: { DC: { value: DC, origin: 'maker' }, DMM: { value: DC, origin: 'maker' } },
    });
  await refused({ item: 'EM10', against: 'EM16', material: 'AL' }, 'INVALID_INPUT', 'against');
  await refused({ item: 'EM11-1', against: 'EM10', material: 'AL' }, 'INVALID_INPUT', 'against');
  await refused({ item: 'EM10', against: 'EM10-Z', failuresEach: 0 }, 'INVALID_INPUT', 'failuresEach');
  await refused({ item: 'EM10', against: 'EM10-Z', failuresEach: 51 }, 'INVALID_INPUT', 'failuresEach');
});

it('ended before the lives say so it needs a reason; told, it needs none, and the loser is used up first', async () => {
  await expect(crib.do('endTrial', { trial: 'TR-0001', winner: 'second' })).rejects.toMatchObject({
    code: 'INVALID_INPUT',
    parts: [{ field: 'words' }],
  });
  for (const [item, parts] of [
    ['EM10-Z', 33],
    ['EM10', 12],
    ['EM10-Z', 35],
    ['EM10', 10],
    ['EM10-Z', 31],
    ['EM10', 13],
    ['EM10-Z', 36],
  ] as const)
    await live(item, parts, 'worn');
  // Four failures of each, none of the one past the first of the other: 1 in 20 at the end is well passed.
  const told = await trial();
  expect(told).toMatchObject({ begun: [4, 4], failures: [4, 4], state: 'told', longer: 'second' });
  expect(told.times!.to).toBeLessThan(1);
  const { entry } = await crib.do('endTrial', { trial: 'tr-0001', winner: 'second' });
  expect(await trial()).toMatchObject({ next: null, row: { winner: 'second', endedBy: expect.any(String) } });
  // The winner goes in from now on, once what lies of the loser is used up.
  const first = (await takeableView(crib.db, { what: 'cutter', like: 'EM10-Z' }, '2027-01-15')).sources[0]!;
  expect(first).toMatchObject({ item: 'EM10', caution: 'EM10 lost TR-0001 in C45: use it up first' });
  await expect(crib.do('endTrial', { trial: 'TR-0001' })).rejects.toMatchObject({ code: 'REFUSED' });
  await crib.do('counterEntry', { counters: entry });
  expect(await trial()).toMatchObject({ next: 'first', row: { endedEntryId: null } });
});

it('lives that fail alike are not told apart, however often somebody looks', async () => {
  await crib.do('endTrial', { trial: 'TR-0001', winner: 'second' });
  await crib.do('beginTrial', { item: 'EM10', against: 'EM10-Z', material: 'C45', failuresEach: 2 });
  for (const [item, parts] of [
    ['EM10', 20],
    ['EM10-Z', 21],
    ['EM10', 25],
    ['EM10-Z', 24],
  ] as const)
    await live(item, parts, 'worn');
  expect(await trial()).toMatchObject({ row: { number: 'TR-0002' }, state: 'not told', longer: null });
  // What was decided stays as it was when it was: lives that began since are not in it.
  const [, decided] = (await lifeView(crib.db, '2027-01-15', 'UTC')).trials;
  expect(decided).toMatchObject({
    row: { number: 'TR-0001' },
    begun: [4, 4],
    failures: [4, 4],
    state: 'told',
  });
  // Neither won: nothing speaks for using either up first, but for what was decided before.
  await crib.do('endTrial', { trial: 'TR-0002' });
  expect(await trial()).toMatchObject({ row: { winner: null }, next: null });
});

it('two that ran at speeds apart: said, since that may be what tells them apart', async () => {
  const [, decided] = (await lifeView(crib.db, '2027-01-15', 'UTC')).trials;
  expect(decided!.ranApart).toBeNull();
  await crib.do('beginTrial', { item: 'EM10', against: 'EM10-Z', material: 'C45', failuresEach: 3 });
  await live('EM10', 20, 'worn');
  // The same T a fifth faster from here on.
  await crib.do('storeProgram', { operation, text: oneToolProgram(1, 1).replace('S3000', 'S3600') });
  await live('EM10-Z', 20, 'worn');
  const { ranApart } = await trial();
  expect(ranApart!.first).toBeCloseTo((Math.PI * 10 * 3000) / 1000, 6);
  expect(ranApart!.second).toBeCloseTo((Math.PI * 10 * 3600) / 1000, 6);
});
