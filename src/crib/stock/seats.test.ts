import { itemView } from '@/crib/catalogue';
import { lifeView } from '@/crib/life';
import { assemblyView, labelsAsked } from '@/crib/rack';
import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { maybeItem } from '@/data/catalogue';
import { manyBalances } from '@/data/stock';
import { takeableView } from './views/takeableView';

/** A body of five seats over some weeks: one edge chips and is turned alone, one is on its last edge, one breaks. */
let crib: TestCrib;
let operation: number;
let mark = '';
const maker = (value: string) => ({ value, origin: 'maker' });
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('receiveStock', { item: 'SL10', place: 'S1', quantity: 10 });
  const FB50 = { DC: maker('50'), DMM: maker('10'), OAL: maker('72'), CICT: maker('5') };
  await crib.do('addItem', { code: 'FB50', kind: 'body', family: 'face', facts: FB50 });
  for (const [code, edges] of [
    ['SE12', '3'],
    ['SE14', '3'],
  ] as const)
    await crib.do('addItem', { code, kind: 'insert', facts: { EDGES: maker(edges) } });
  await crib.do('addItem', { code: 'SCREW-M4', kind: 'spare', facts: { FITS: maker('FB50, FB63 seats') } });
  for (const [item, quantity] of [
    ['FB50', 3],
    ['SE12', 8],
    ['SE14', 8],
    ['SCREW-M4', 12],
  ] as const)
    await crib.do('receiveStock', { item, place: 'S1', quantity });
  ({ operation } = (await crib.do('addJob', {
    ...{ number: 'J-1', part: 'Block', material: 'C45', quantity: 9000, due: '2027-02-01', machine: 'M2' },
  })) as unknown as { operation: number });
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 1) });
});
afterAll(() => crib.db.close());

/** Built, minutes logged on T7, and what its tag shows then. */
const cuts = async (minutes: number) => {
  const built = await crib.do('buildAssembly', {
    ...{ cutter: { piece: mark }, holder: { item: 'SL10', place: 'S1' }, stickout: '40' },
    for: { operation, t: 7 },
    despite: 'a body',
  });
  await crib.do('logParts', { operation, parts: minutes, confirmed: true });
  return { tag: String(built.tag), card: (await assemblyView(crib.db, String(built.tag), 'UTC'))! };
};
/** The seats as they are said, each with edges left (null: all it has) and minutes cut. */
const seats = async () =>
  (await itemView(crib.db, 'FB50')).bodies
    .find((b) => b.mark === mark)!
    .seats.map((s) => [s.seat, s.edgesLeft, Math.round(s.minutes)]);
/** How many inserts there are by place and edges left, the body's own among them. */
const lies = async () =>
  Object.fromEntries(
    (await manyBalances(crib.db, [(await maybeItem(crib.db, 'SE12'))!.id])).map((b) => [
      `${b.place} ${b.edgesLeft ?? 'all'}`,
      b.quantity,
    ]),
  );
const refused = (verb: string, input: Record<string, unknown>) =>
  crib.do(verb, input).then(
    () => null,
    (p: { code: string; message: string; parts: { field: string; limit: string }[] }) => ({
      code: p.code,
      message: p.message,
      field: p.parts[0]?.field,
    }),
  );

it('one chipped edge is turned alone at the take-down: it is no fresh set, and the others keep their minutes', async () => {
  const bare = await crib.do('buildAssembly', {
    ...{ cutter: { item: 'FB50', place: 'S1' }, holder: { item: 'SL10', place: 'S1' }, stickout: '40' },
  });
  mark = String((await crib.do('takeDown', { tag: bare.tag, cutterTo: 'S1' })).piece);
  await crib.do('mountInserts', { piece: mark, item: 'SE12', from: 'S1' });
  const { tag, card } = await cuts(20);
  expect(card.inserts).toMatchObject({ seats: [], numbers: [1, 2, 3, 4, 5] });
  const down = { tag, cutterTo: 'S1', inserts: 'turned', seats: [2] };
  // Only some are turned: why they did not last must be said, or the life of all would count as changed in good time.
  expect(await refused('takeDown', down)).toMatchObject({ code: 'REFUSED', field: 'ended.kind' });
  expect(await refused('takeDown', { ...down, seats: [6] })).toMatchObject({
    code: 'INVALID_INPUT',
    field: 'seats',
    message: `Seat 6 of ${mark} holds no insert`,
  });
  expect(await refused('takeDown', { ...down, inserts: 'out' })).toMatchObject({ field: 'seats' });
  await crib.do('takeDown', { ...down, ended: { kind: 'chipped', fragments: 'found' } });
  expect(await seats()).toEqual([
    [1, null, 20],
    [2, 2, 0],
    [3, null, 20],
    [4, null, 20],
    [5, null, 20],
  ]);
  expect(await lies()).toEqual({ 'BUILD 2': 1, 'BUILD all': 4, 'S1 all': 3 });
});

it('a mixed set lasts no longer than its oldest edge; its life is shown apart, and says why', async () => {
  const { tag, card } = await cuts(10);
  // One failed so far, after 20 min; the edges that were not turned have cut 20 + 10 by now: one and a half of that.
  expect(card.life).toMatchObject({
    fresh: false,
    used: expect.closeTo(1.5, 9),
    leftMinutes: expect.closeTo(-10, 9),
  });
  expect(card.life.because!.values).toContainEqual({
    ...{ name: 'its oldest edge, by which it is reckoned', value: '30.0 min' },
  });
  expect(card.inserts!.seats.map((s) => Math.round(s.minutes))).toEqual([30, 10, 30, 30, 30]);
  const { apart } = await lifeView(crib.db, '2027-01-05', crib.zone);
  expect(apart).toMatchObject([{ item: 'FB50', why: 'not fresh: some of its edges had cut before' }]);
  await crib.do('takeDown', { tag, cutterTo: 'S1' });
});

it('turned all, each loses one edge; one that is on its last edge, or broken, is replaced by a new one of the same', async () => {
  await crib.do('turnSeats', { piece: mark, ended: { kind: 'worn' } });
  expect(await seats()).toEqual([
    [1, 2, 0],
    [2, 1, 0],
    [3, 2, 0],
    [4, 2, 0],
    [5, 2, 0],
  ]);
  // All edges are sharp: a fresh set, though they are not alike.
  const { tag, card } = await cuts(12);
  expect(card.life.fresh).toBe(true);
  await crib.do('takeDown', { tag, cutterTo: 'S1' });
  expect(await refused('turnSeats', { piece: mark })).toMatchObject({
    code: 'REFUSED',
    message: '1 of the inserts can’t be turned: seat 2 is broken or was on its last edge',
  });
  const fresh = { from: 'S1', item: 'SE14' };
  expect(await refused('turnSeats', { piece: mark, fresh })).toMatchObject({
    code: 'REFUSED',
    field: 'fresh.item',
    message: 'SE12 is in the other seats: grades are never mixed',
  });
  const before = await lies();
  const turn = { piece: mark, brokenSeats: [5], fresh: { from: 'S1' } };
  const { entry, ...said } = await crib.do('turnSeats', turn);
  expect(said).toMatchObject({ turned: 3, replaced: 2, cutsOn: 0 });
  expect((await seats()).map(([, left]) => left)).toEqual([1, null, 1, 1, null]);
  expect(await lies()).toEqual({ 'BUILD 1': 3, 'BUILD all': 2, 'S1 all': 1, 'SCRAP 1': 1, 'SCRAP 2': 1 });
  // Taken back all lies, and sits, as it did; done again it comes to the same.
  await crib.do('counterEntry', { counters: entry });
  expect(await lies()).toEqual(before);
  expect(await seats()).toMatchObject([
    [1, 2, 12],
    [2, 1, 12],
    [3, 2, 12],
    [4, 2, 12],
    [5, 2, 12],
  ]);
  await crib.do('turnSeats', turn);
});

it('out of a mixed set each comes back with its own edges; which are broken is said by seat', async () => {
  expect(await refused('unmountInserts', { piece: mark, to: 'USED', broken: 1 })).toMatchObject({
    code: 'INVALID_INPUT',
    field: 'brokenSeats',
  });
  expect(await crib.do('unmountInserts', { piece: mark, to: 'USED', brokenSeats: [2] })).toMatchObject({
    back: 1,
    scrapped: 4,
    edgesLeft: null,
    parcels: [{ quantity: 1, edgesLeft: 2 }],
  });
  expect(await lies()).toEqual({ 'S1 all': 1, 'SCRAP 1': 4, 'SCRAP 2': 1, 'SCRAP all': 1, 'USED 2': 1 });
});

it('of inserts that are alike a seat that holds none is no broken one', async () => {
  await crib.do('mountInserts', { piece: mark, item: 'SE14', from: 'S1' });
  expect(await refused('unmountInserts', { piece: mark, to: 'S1', brokenSeats: [6] })).toMatchObject({
    ...{ code: 'INVALID_INPUT', field: 'brokenSeats', message: `Seat 6 of ${mark} holds no insert` },
  });
});

it('a seat marked damaged while it holds one: where they sit is not known', async () => {
  await crib.do('stateSeat', { piece: mark, seat: 4, damaged: 'yes' });
  expect(await refused('turnSeats', { piece: mark, seats: [1], ended: { kind: 'worn' } })).toMatchObject({
    code: 'REFUSED',
    field: 'seats',
    message: `${mark} holds 5 inserts and has 4 good seats: which are where is not known`,
  });
  const { bodies } = await itemView(crib.db, 'FB50');
  expect(bodies.find((b) => b.mark === mark)).toMatchObject({ inDamaged: true, damaged: [4] });
  await crib.do('stateSeat', { piece: mark, seat: 4, damaged: 'no' });
  expect((await itemView(crib.db, 'FB50')).bodies.find((b) => b.mark === mark)).toMatchObject({
    inDamaged: false,
  });
});

it('screws hold so many sets of edges, and are renewed out of what says it fits; bodies last so many sets', async () => {
  const body = async () => {
    const { bodies, bodyLife, spares } = await itemView(crib.db, 'FB50');
    return { body: bodies.find((b) => b.mark === mark), bodyLife, spares };
  };
  // Mounted, one turned, all turned, turned again, the other kind: five sets.
  expect(await body()).toMatchObject({
    body: { sets: 5, renewed: [], screwsDue: false },
    bodyLife: { scrapped: 0, sets: { moreThan: 5 } },
    spares: [{ code: 'SCREW-M4', place: 'S1', quantity: 12 }],
  });
  expect((await itemView(crib.db, 'EM10')).spares).toEqual([]);
  const screws = { piece: mark, item: 'SCREW-M4', from: 'S1', quantity: 5 };
  expect(await refused('renewSpare', { ...screws, item: 'SE14', quantity: 1 })).toMatchObject({
    field: 'item',
  });
  expect(await refused('renewSpare', { ...screws, quantity: 13 })).toMatchObject({ field: 'quantity' });
  await crib.do('renewSpare', screws);
  // Common practice: every tenth set. Two edges of three are left in each of the new ones: two turns, then another kind.
  const sets = async () => {
    await crib.do('turnSeats', {
      piece: mark,
      seats: [1],
      brokenSeats: [1],
      fresh: { from: 'S1' },
      ended: { kind: 'worn' },
    });
  };
  await crib.do('receiveStock', { item: 'SE14', place: 'S1', quantity: 20 });
  for (let n = 0; n < 9; n += 1) await sets();
  expect((await body()).body).toMatchObject({ sets: 14, renewed: [{ sets: 9 }], screwsDue: false });
  await sets();
  expect(await body()).toMatchObject({
    body: { sets: 15, renewed: [{ item: 'SCREW-M4', sets: 10, due: true }], screwsDue: true },
    spares: [{ quantity: 7 }],
  });
  await crib.do('unmountInserts', { piece: mark, to: 'S1' });
  await crib.do('scrapStock', { piece: mark, reason: 'seats worn' });
  expect(await body()).toMatchObject({ body: undefined, bodyLife: { scrapped: 1, sets: { median: 15 } } });
  const gone = await crib.do('turnSeats', { piece: mark }).then(
    () => null,
    (p: { code: string; wayOut: string }) => [p.code, p.wayOut],
  );
  expect(gone).toEqual(['REFUSED', expect.not.stringContaining('assembly down')]);
});

describe('at the machine', () => {
  it('a body is not scrapped with its inserts in it; turned it goes on in the same holder, on the same T', async () => {
    await crib.do('receiveStock', { item: 'SE12', place: 'S1', quantity: 10 });
    const bare = await crib.do('buildAssembly', {
      ...{ cutter: { item: 'FB50', place: 'S1' }, holder: { item: 'SL10', place: 'S1' }, stickout: '40' },
    });
    mark = String((await crib.do('takeDown', { tag: bare.tag, cutterTo: 'S1' })).piece);
    await crib.do('mountInserts', { piece: mark, item: 'SE12', from: 'S1' });
    const { tag } = await cuts(8);
    const ended = { tag, kind: 'chipped', fragments: 'found' };
    expect(await refused('endLife', ended)).toMatchObject({
      ...{ code: 'REFUSED', field: 'cutterTo', message: `5 × SE12 are still in ${mark}` },
    });
    const turned = { seats: [4], brokenSeats: [4], fresh: { from: 'S1' } };
    const rebuild = { stickout: '40', turned };
    expect(await refused('endLife', { ...ended, rebuild: { stickout: '40' } })).toMatchObject({
      ...{ code: 'INVALID_INPUT', field: 'rebuild.cutter' },
    });
    expect(
      await refused('endLife', { ...ended, rebuild: { ...rebuild, cutter: { item: 'FB50', place: 'S1' } } }),
    ).toMatchObject({ code: 'INVALID_INPUT', field: 'rebuild.cutter' });
    expect(await refused('endLife', { ...ended, cutterTo: 'USED', rebuild })).toMatchObject({
      ...{ code: 'INVALID_INPUT', field: 'cutterTo' },
    });
    expect(await refused('endLife', { ...ended, kind: 'lost', fragments: undefined, rebuild })).toMatchObject(
      {
        ...{ code: 'INVALID_INPUT', field: 'kind' },
      },
    );
    const { newTag, entry } = await crib.do('endLife', { ...ended, rebuild });
    const card = (await assemblyView(crib.db, String(newTag), 'UTC'))!;
    expect(card).toMatchObject({ mark, ties: [{ t: 7 }], life: { fresh: false } });
    expect(card.inserts!.seats.map((s) => [s.seat, Math.round(s.minutes)])).toEqual([
      ...[1, 2, 3].map((seat) => [seat, 8]),
      [4, 0],
      [5, 8],
    ]);
    // Taken back the old build stands again with all its inserts.
    await crib.do('counterEntry', { counters: entry });
    const again = (await assemblyView(crib.db, tag, 'UTC'))!;
    expect(again.inserts).toMatchObject({ quantity: 5, seats: [], edgesLeft: null });
    expect(again.life.fresh).toBe(true);
    expect(again.itself.why).toBeNull();
    // A seat of it is found damaged: wherever its T is asked about it is a stop, until its inserts are out.
    const found = await crib.do('stateSeat', { piece: mark, seat: 2, damaged: 'yes' });
    expect(await assemblyView(crib.db, tag, 'UTC')).toMatchObject({
      itself: { grade: 'stop', why: 'An insert sits in a damaged seat' },
      ties: [{ t: 7, use: { grade: 'stop', why: expect.stringContaining('damaged seat') } }],
    });
    // Tied to nothing it is printed so too: a label with numbers to enter says that it may run.
    const freed = await crib.do('tieTool', { operation, t: 7 });
    expect((await assemblyView(crib.db, tag, 'UTC'))!.ties).toEqual([]);
    expect(await labelsAsked(crib.db, { tags: tag }, 'UTC')).toMatchObject([
      { tag, registers: [], stop: expect.stringContaining('damaged seat') },
    ]);
    for (const { entry } of [freed, found]) await crib.do('counterEntry', { counters: entry });
    // One is turned alone of a set that was read as worn: the rest cut on, and are asked about until somebody reads them.
    await crib.do('recordWear', { tag, flankWear: '0.35' });
    const next = String((await crib.do('endLife', { ...ended, rebuild })).newTag);
    const t7 = async () => (await assemblyView(crib.db, next, 'UTC'))!.ties[0]!.use;
    const ASKED = 'Its edge: read as worn before some were turned: read those that were not';
    const wear = async () =>
      (await t7()).judgements.filter((j) => j.code === 'WEAR').map((j) => [j.grade, j.words]);
    expect(await wear()).toEqual([['question', ASKED]]);
    const read = await crib.do('recordWear', { tag: next, flankWear: '0.1' });
    expect(await wear()).toEqual([['good', 'Flank wear 0.10 of 0.30 mm']]);
    await crib.do('counterEntry', { counters: read.entry });
    expect(await wear()).toEqual([['question', ASKED]]);
    // Taken down and in the drawer it is offered with the same words, before anybody builds with it.
    const offered = async () =>
      (await takeableView(crib.db, { q: mark.toLowerCase() }, '2027-03-01')).sources.map((x) => x.caution);
    expect(await offered()).toEqual([]);
    const low = await crib.do('recordWear', { tag: next, flankWear: '0.1' });
    await crib.do('takeDown', { tag: next, cutterTo: 'S1' });
    expect(await offered()).toEqual([null]);
    await crib.do('counterEntry', { counters: low.entry });
    expect(await offered()).toEqual([ASKED.slice('Its edge: '.length)]);
  });
});
