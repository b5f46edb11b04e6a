import { assemblyView } from '@/crib/rack';
import { performAs } from '@/crib/door';
import { takeSources } from '@/crib/stock';
import { furnish, openTestCrib, OWNER, type TestCrib } from '@/crib/testing';
import { VERBS } from '@/crib/verbs';
import { maybeItem } from '@/data/catalogue';
import { manyBalances, manyToGrade, maybeMounted, maybePiece } from '@/data/stock';

let crib: TestCrib;
const maker = (value: string) => ({ value, origin: 'maker' });
const build = async (cutter: object = { item: 'EM10', place: 'S1' }) =>
  String(
    (await crib.do('buildAssembly', { cutter, holder: { item: 'SL10', place: 'S1' }, stickout: '40' })).tag,
  );
const down = (tag: string, over: object = {}) => crib.do('takeDown', { tag, cutterTo: 'USED', ...over });
/** How many of an item lie where, marked ones and parcels with fewer edges apart. */
const lies = async (code: string) => {
  const item = (await maybeItem(crib.db, code))!;
  return (await manyBalances(crib.db, [item.id]))
    .filter((b) => b.quantity > 0)
    .map((b) => [b.place, b.quantity, b.edgesLeft])
    .sort((a, b) => String(a).localeCompare(String(b)));
};
const pieceOf = async (tag: string) => {
  const { mark } = (await assemblyView(crib.db, tag, 'UTC'))!;
  return { mark, now: async () => (await maybePiece(crib.db, mark))! };
};

beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 20 });
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 10 });
  await crib.do('addItem', {
    code: 'FB50',
    kind: 'body',
    family: 'face',
    facts: { DC: maker('50'), DMM: maker('10'), OAL: maker('72'), CICT: maker('5') },
  });
  await crib.do('addItem', {
    code: 'SE12',
    kind: 'insert',
    facts: { ISO1832: maker('SEKN 1203AF'), EDGES: maker('2') },
  });
  await crib.do('receiveStock', { item: 'FB50', place: 'S1', quantity: 1 });
  await crib.do('receiveStock', { item: 'SE12', place: 'S1', quantity: 10 });
});
afterAll(() => crib.db.close());

it('a life that goes on: the cutter is there to be built with again, at its minutes', async () => {
  const tag = await build();
  const piece = await pieceOf(tag);
  expect(await down(tag)).toMatchObject({
    piece: piece.mark,
    cutterTo: 'USED',
    life: 'goes on',
    grade: null,
  });
  expect(await piece.now()).toMatchObject({ endedEntryId: null, place: 'USED' });
  const again = await build({ piece: piece.mark });
  expect((await assemblyView(crib.db, again, 'UTC'))!.mark).toBe(piece.mark);
  await down(again);
});

it('one that ended is graded with its zone in the same step, and may be built with for that', async () => {
  const tag = await build();
  const piece = await pieceOf(tag);
  expect((await assemblyView(crib.db, tag, 'UTC'))!.grades).toContain('plastics');
  const graded = { ended: { kind: 'worn', signs: ['burr'] }, grade: 'plastics' };
  expect(
    await down(tag, { ...graded, goodFrom: '4', goodTo: '20', goodZone: 'above the nick' }),
  ).toMatchObject({
    life: 'ended',
    grade: 'plastics',
  });
  const now = await piece.now();
  expect(now).toMatchObject({ place: 'USED', grade: 'plastics' });
  expect(now.endedEntryId).not.toBeNull();
  // Nobody is asked again, and lists have it by its grade.
  expect((await manyToGrade(crib.db)).map((x) => x.mark)).not.toContain(piece.mark);
  const item = (await maybeItem(crib.db, 'EM10'))!;
  const sources = await takeSources(crib.db, [item.id], '2027-01-05', { material: null, cutterId: null });
  expect(JSON.stringify(sources)).toContain(piece.mark);
});

it('scrap goes to scrap, wherever it was to be put', async () => {
  const tag = await build();
  const piece = await pieceOf(tag);
  expect(await down(tag, { ended: { kind: 'broken' }, grade: 'scrap' })).toMatchObject({ cutterTo: 'SCRAP' });
  expect(await piece.now()).toMatchObject({ placeKind: 'scrap' });
});

it('what does not go together is refused with the way out, and it still stands', async () => {
  const tag = await build();
  for (const [over, words] of [
    [{ grade: 'plastics' }, 'goes on: there is nothing to grade'],
    [{ goodTo: '4' }, 'what it is good for is not said'],
    [{ ended: { kind: 'worn' }, grade: 'gold' }, 'is no rung of the ladder'],
    [{ ended: { kind: 'worn' }, grade: 'plastics', goodFrom: '9', goodTo: '4' }, 'is not above'],
    [{ ended: { kind: 'lost' } }, 'kind'],
    [{ inserts: 'turned' }, 'No inserts are in'],
    [{ cutterTo: 'SCRAP' }, 'does not hold stock'],
  ] as const)
    await expect(down(tag, over)).rejects.toThrow(words);
  const operator = { ...OWNER, who: 'IK', role: 'operator' as const };
  const graded = { tag, cutterTo: 'USED', ended: { kind: 'worn' }, grade: 'plastics' };
  await expect(
    performAs(
      crib,
      operator,
      VERBS.find((v) => v.name === 'takeDown')!,
      graded,
      VERBS,
    ),
  ).rejects.toMatchObject({ code: 'NOT_ALLOWED', parts: [{ field: 'grade' }] });
  expect(await assemblyView(crib.db, tag, 'UTC')).not.toBeNull();
  await down(tag);
});

describe('a body with inserts', () => {
  let mark: string;
  it('turned: the same inserts with one edge less are a new life in the body, and nothing is gained or lost', async () => {
    const bare = await build({ item: 'FB50', place: 'S1' });
    mark = String((await down(bare, { cutterTo: 'S1' })).piece);
    await crib.do('mountInserts', { piece: mark, item: 'SE12', from: 'S1' });
    const tag = await build({ piece: mark });
    expect((await assemblyView(crib.db, tag, 'UTC'))!.inserts).toEqual({
      ...{ item: 'SE12', quantity: 5, edgesLeft: null, seats: [], numbers: [1, 2, 3, 4, 5] },
    });
    const before = await maybePiece(crib.db, mark);
    expect(await down(tag, { cutterTo: 'S1', inserts: 'turned' })).toMatchObject({
      ...{ piece: mark, life: 'ended', inserts: 'turned' },
    });
    const now = (await maybePiece(crib.db, mark))!;
    expect(now).toMatchObject({ place: 'S1', endedEntryId: null });
    expect(now.edgeSetId).not.toBe(before!.edgeSetId);
    expect(await maybeMounted(crib.db, now.id)).toMatchObject({ quantity: 5, edgesLeft: 1 });
    const all = await lies('SE12');
    expect(all.reduce((sum, [, n]) => sum + Number(n), 0)).toBe(10);
    expect(all).toContainEqual(['S1', 5, null]);
  });
  it('on their last edge they can’t be turned; broken ones leave no whole set; out they are scrap', async () => {
    const tag = await build({ piece: mark });
    expect((await assemblyView(crib.db, tag, 'UTC'))!.inserts!.edgesLeft).toBe(1);
    await expect(down(tag, { inserts: 'turned' })).rejects.toThrow('was on its last edge');
    await expect(down(tag, { inserts: 'turned', broken: 1 })).rejects.toThrow('no whole set');
    await expect(down(tag, { inserts: 'out', broken: 6 })).rejects.toThrow('6 broken of 5');
    await expect(down(tag, { ended: { kind: 'crash' }, grade: 'scrap' })).rejects.toThrow('are still in');
    const { entry } = await down(tag, { ended: { kind: 'crash' }, inserts: 'out', broken: 2 });
    expect(await lies('SE12')).toContainEqual(['SCRAP', 5, 1]);
    expect(await maybeMounted(crib.db, (await maybePiece(crib.db, mark))!.id)).toBeNull();
    // Taken back all stands as it did: the assembly, the body’s inserts, its life.
    await crib.do('counterEntry', { counters: entry });
    expect((await assemblyView(crib.db, tag, 'UTC'))!.inserts).toMatchObject({ quantity: 5, edgesLeft: 1 });
    expect((await lies('SE12')).some(([place]) => place === 'SCRAP')).toBe(false);
  });
});
