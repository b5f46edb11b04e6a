import { itemView } from '@/crib/catalogue';
import { furnish, openTestCrib, type TestCrib } from '@/crib/testing';

/** What the doors of the shelves refuse: each names field and way out, and leaves nothing half-written. */
let crib: TestCrib;
const maker = (value: string) => ({ value, origin: 'maker' });
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('addPlace', { code: 'GRIND', name: 'Grinder', kind: 'regrind' });
  await crib.do('addItem', { code: 'INS', kind: 'insert', facts: { ISO1832: maker('CNMG 120408') } });
  await crib.do('addItem', { code: 'BODY', kind: 'body', family: 'face', facts: { DC: maker('50') } });
  await crib.do('receiveStock', { item: 'BODY', place: 'S1', quantity: 1 });
  await crib.do('receiveStock', { item: 'INS', place: 'S1', quantity: 4 });
  await crib.do('buildAssembly', {
    cutter: { item: 'EM10', place: 'S1' },
    holder: { item: 'SL10', place: 'S1' },
    stickout: '34',
  });
  await crib.do('startCount', { place: 'S1' });
});
afterAll(() => crib.db.close());

const state = () =>
  crib.db.query(
    `select (select count(*)::int from entry) as entries, (select count(*)::int from movement) as movements, (select sum(quantity)::int from balance) as pieces,
       (select count(*)::int from piece) as marks, (select count(*)::int from lot) as lots, (select count(*)::int from edge_set) as edges`,
  );

it.each<[string, Record<string, unknown>, string, string | null]>([
  ['moveStock', { to: 'USED' }, 'INVALID_INPUT', 'item'],
  ['moveStock', { item: 'EM10', to: 'USED' }, 'INVALID_INPUT', 'from'],
  ['moveStock', { item: 'EM10', from: 'S1', to: 'USED' }, 'INVALID_INPUT', 'quantity'],
  ['moveStock', { item: 'EM10', from: 'S1', quantity: 0, to: 'USED' }, 'INVALID_INPUT', 'quantity'],
  ['moveStock', { item: 'EM10', from: 'S1', quantity: '1.5', to: 'USED' }, 'INVALID_INPUT', 'quantity'],
  ['moveStock', { item: 'EM99', from: 'S1', quantity: 1, to: 'USED' }, 'NOT_FOUND', 'item'],
  ['moveStock', { item: 'EM10', from: 'S9', quantity: 1, to: 'USED' }, 'NOT_FOUND', 'from'],
  ['moveStock', { item: 'EM10', from: 'S1', quantity: 1, to: 'S9' }, 'NOT_FOUND', 'to'],
  ['moveStock', { piece: 'E-0099', to: 'USED' }, 'NOT_FOUND', 'piece'],
  ['moveStock', { piece: 'E-0001', to: 'USED' }, 'REFUSED', 'piece'],
  ['moveStock', { item: 'EM10', from: 'S1', quantity: 1, lot: 'B-1', to: 'USED' }, 'CONFLICT', 'quantity'],
  [
    'moveStock',
    { item: 'EM10', from: 'S1', quantity: 1, supplier: 'NOBODY', to: 'USED' },
    'NOT_FOUND',
    'supplier',
  ],
  ['issueStock', { item: 'EM10', from: 'S1', quantity: 1, to: 'ik' }, 'INVALID_INPUT', 'to'],
  [
    'issueStock',
    { item: 'EM10', from: 'S1', quantity: 1, to: 'IK', due: '2027-02-30' },
    'INVALID_INPUT',
    'due',
  ],
  ['returnStock', { item: 'EM10', from: 'S1', quantity: 1, to: 'USED', used: 'no' }, 'REFUSED', 'from'],
  [
    'returnStock',
    { item: 'EM10', from: 'HAND-IK', quantity: 1, to: 'USED', used: 'no' },
    'CONFLICT',
    'quantity',
  ],
  ['scrapStock', { item: 'EM10', from: 'S1', quantity: 1 }, 'INVALID_INPUT', 'reason'],
  ['scrapStock', { item: 'EM10', from: 'S1', quantity: 1, reason: '  ' }, 'INVALID_INPUT', 'reason'],
  ['loseStock', { piece: 'E-0001', reason: 'gone' }, 'REFUSED', 'piece'],
  ['foundStock', { item: 'EM10', place: 'S1' }, 'INVALID_INPUT', 'quantity'],
  ['foundStock', { piece: 'E-0001', place: 'S1' }, 'REFUSED', 'piece'],
  ['foundStock', { item: 'EM10', place: 'GRIND', quantity: 1 }, 'REFUSED', 'place'],
  ['receiveStock', { item: 'EM10', place: 'S1', quantity: 1, edgesLeft: 2 }, 'INVALID_INPUT', 'edgesLeft'],
  ['receiveStock', { item: 'INS', place: 'S1', quantity: 1, edgesLeft: 0 }, 'INVALID_INPUT', 'edgesLeft'],
  ['startCount', { place: 'GRIND' }, 'REFUSED', 'place'],
  [
    'enterCount',
    { sheet: 'C-0009', lines: [{ place: 'S1', item: 'EM10', counted: 1 }] },
    'NOT_FOUND',
    'sheet',
  ],
  ['enterCount', { sheet: 'C-0001', lines: [] }, 'INVALID_INPUT', 'lines'],
  [
    'enterCount',
    { sheet: 'C-0001', lines: [{ place: 'S1', item: 'EM10', counted: -1 }] },
    'INVALID_INPUT',
    'lines.0.counted',
  ],
  [
    'enterCount',
    { sheet: 'C-0001', lines: [{ place: 'S1', item: 'EM10', counted: 'many' }] },
    'INVALID_INPUT',
    'lines.0.counted',
  ],
  ['bookCount', { sheet: 'C-0001' }, 'REFUSED', 'sheet'],
  ['sendToRegrind', { piece: 'E-0001', to: 'GRIND' }, 'REFUSED', 'piece'],
  ['takeFromRegrind', { piece: 'E-0001', place: 'S1', dc: '9', lcf: '20' }, 'CONFLICT', 'piece'],
  ['takeFromRegrind', { piece: 'E-0001', place: 'S1', dc: 'nine', lcf: '20' }, 'INVALID_INPUT', 'dc'],
  ['stateSeat', { piece: 'E-0001', seat: 1, damaged: 'yes' }, 'REFUSED', 'piece'],
  ['stateSeat', { piece: 'E-0001', seat: 0, damaged: 'yes' }, 'INVALID_INPUT', 'seat'],
  ['mountInserts', { item: 'INS', from: 'S1' }, 'INVALID_INPUT', 'piece'],
  ['mountInserts', { piece: 'E-0001', item: 'INS', from: 'S1' }, 'REFUSED', 'piece'],
  ['mountInserts', { body: 'EM10', bodyFrom: 'S1', item: 'INS', from: 'S1' }, 'REFUSED', 'piece'],
  // Its seats are not known: none is guessed.
  ['mountInserts', { body: 'BODY', bodyFrom: 'S1', item: 'INS', from: 'S1' }, 'REFUSED', 'piece'],
  ['unmountInserts', { piece: 'E-0001', to: 'S1' }, 'REFUSED', 'piece'],
  ['turnSeats', { piece: 'E-0001' }, 'REFUSED', 'piece'],
  ['turnSeats', { piece: 'E-0001', seats: [] }, 'INVALID_INPUT', 'seats'],
  ['turnSeats', { piece: 'E-0001', seats: [2, 2] }, 'INVALID_INPUT', 'seats'],
  ['turnSeats', { piece: 'E-0001', brokenSeats: [61] }, 'INVALID_INPUT', 'brokenSeats.0'],
  ['turnSeats', { piece: 'E-0001', ended: { kind: 'lost' } }, 'INVALID_INPUT', 'ended.kind'],
  ['renewSpare', { piece: 'E-0001', item: 'INS', from: 'S1', quantity: 1 }, 'REFUSED', 'piece'],
  ['renewSpare', { piece: 'E-0001', item: 'INS', from: 'S1', quantity: 0 }, 'INVALID_INPUT', 'quantity'],
  ['gradePiece', { piece: 'E-0001', grade: 'plastics' }, 'REFUSED', 'piece'],
  [
    'setLadder',
    {
      rungs: [
        { name: 'brass', groups: ['N'] },
        { name: 'bin', groups: [] },
      ],
    },
    'INVALID_INPUT',
    'rungs.1.name',
  ],
  [
    'setLadder',
    {
      rungs: [
        { name: 'brass', groups: ['N'] },
        { name: 'brass', groups: ['N'] },
        { name: 'scrap', groups: [] },
      ],
    },
    'INVALID_INPUT',
    'rungs',
  ],
  [
    'setLadder',
    {
      rungs: [
        { name: 'brass', groups: ['Q'] },
        { name: 'scrap', groups: [] },
      ],
    },
    'INVALID_INPUT',
    'rungs.0.groups.0',
  ],
  ['linkItem', { item: 'EM10', earlier: 'EM99', relation: 'version', reason: 'x' }, 'NOT_FOUND', 'earlier'],
  ['linkItem', { item: 'EM10', earlier: 'SL10', relation: 'version', reason: 'x' }, 'REFUSED', 'earlier'],
  ['stateStanding', { item: 'EM10', standing: 'liked', reason: 'x' }, 'INVALID_INPUT', 'standing'],
  ['saveView', { name: ' ', address: 'q=x' }, 'INVALID_INPUT', 'name'],
  ['importItems', { name: 'l', content: 'no base64!', accepted: 'x' }, 'INVALID_INPUT', 'content'],
  ['addItem', { code: 'X', kind: 'gadget' }, 'INVALID_INPUT', 'kind'],
  ['addItem', { code: 'X', kind: 'cutter', family: 'square' }, 'INVALID_INPUT', 'facts.DC.value'],
  ['addItem', { code: 'X', kind: 'holder', facts: {} }, 'INVALID_INPUT', 'facts.LF.value'],
  [
    'addItem',
    { code: 'X', kind: 'collet', segments: [{ length: 1, upper: 1, lower: 1 }] },
    'INVALID_INPUT',
    'segments',
  ],
  [
    'addItem',
    { code: 'X', kind: 'cutter', family: 'tap', facts: { TDZ: maker('M6.3') } },
    'INVALID_INPUT',
    'facts.DC.value',
  ],
  [
    'addItem',
    { code: 'X', kind: 'cutter', family: 'reamer', facts: { DC: maker('8'), TCHA: maker('Z7') } },
    'INVALID_INPUT',
    'facts.TCHA.value',
  ],
])('%s %j', async (verb, input, code, at) => {
  const before = await state();
  const problem = await crib.do(verb, input).then(
    () => null,
    (p: { code: string; parts: { field: string }[] }) => p,
  );
  expect(problem).toMatchObject({ name: 'Problem', code });
  expect(problem!.parts.map((p) => p.field)).toContain(at);
  expect(await state()).toEqual(before);
});

it('a rung that coating or substrate doesn’t allow is refused with the ones that are open', async () => {
  await crib.do('addItem', {
    code: 'EMT',
    kind: 'cutter',
    family: 'square',
    facts: {
      DC: maker('10'),
      DMM: maker('10'),
      OAL: maker('72'),
      COATING: maker('TiAlN'),
      SUBSTRATE: maker('carbide'),
    },
  });
  await crib.do('receiveStock', { item: 'EMT', place: 'S1', quantity: 1 });
  const { tag } = await crib.do('buildAssembly', {
    cutter: { item: 'EMT', place: 'S1' },
    holder: { item: 'SL10', place: 'S1' },
    stickout: '34',
  });
  await crib.do('endLife', { tag, kind: 'worn', cutterTo: 'USED' });
  const mark = (await crib.db.query<{ mark: string }>('select mark from piece order by id desc limit 1'))[0]!
    .mark;
  await expect(crib.do('gradePiece', { piece: mark, grade: 'aluminium' })).rejects.toMatchObject({
    code: 'REFUSED',
    parts: [{ field: 'grade', limit: 'slotting steel, squaring with the upper flute, scrap' }],
  });
  await expect(
    crib.do('gradePiece', { piece: mark, grade: 'slotting steel', goodFrom: '8', goodTo: '5' }),
  ).rejects.toMatchObject({ parts: [{ field: 'goodTo' }] });
  await crib.do('gradePiece', {
    piece: mark,
    grade: 'slotting steel',
    goodFrom: '3',
    goodTo: '1/2 in',
    signs: ['corner chipped'],
  });
  expect(await crib.db.query('select grade, good_from_mm, good_to_mm, signs from grade')).toEqual([
    { grade: 'slotting steel', goodFromMm: 3, goodToMm: 12.7, signs: ['corner chipped'] },
  ]);
});

it('the derived tables are written by nobody: raw SQL past the verbs is refused', async () => {
  const raw = (sql: string) =>
    crib.db.query(sql).then(
      () => 'done',
      (e: { code?: string }) => e.code,
    );
  expect(
    await raw(
      "insert into fact_now (item_id, symbol, entry_id, text, unit, value, origin) values (1, 'DC', 1, '5', 'mm', 5, 'maker')",
    ),
  ).toBe('LEDGER');
  expect(await raw("update fact_now set value = 5 where symbol = 'DC'")).toBe('LEDGER');
  expect(await raw('update item_now set unused = 99')).toBe('LEDGER');
  expect(await raw('delete from item_now')).toBe('LEDGER');
  expect(await raw('update balance set marked = 0')).toBe('LEDGER');
  const entry = `insert into entry (kind, happened_at, recorded_at, who, form_id) values ('x', now(), now(), 'IK', gen_random_uuid()) returning id`;
  const em10 = "(select id from item where code = 'EM10')";
  const at = (code: string) => `(select id from place where code = '${code}')`;
  expect(
    await raw(
      `with e as (${entry}) insert into movement (entry_id, item_id, from_place_id, to_place_id, quantity) select id, ${em10}, ${at('S1')}, ${at('USED')}, 999 from e`,
    ),
  ).toBe('BELOW_ZERO');
  expect(
    await raw(
      `with e as (${entry}) insert into fact (entry_id, item_id, symbol, text, unit, value, origin) select id, ${em10}, 'DC', 'x', 'words', 5, 'maker' from e`,
    ),
  ).toBe('OUT_OF_RANGE');
  expect(
    await raw(`with e as (${entry}) insert into lot (item_id, entry_id) select ${em10}, id from e`),
  ).toBe('OUT_OF_RANGE');
});

describe('grading what is told apart, reground or handed back', () => {
  const piece = async () =>
    (await crib.db.query<{ mark: string }>('select mark from piece order by id desc limit 1'))[0]!.mark;
  const ended = async (item: string, from = 'S1') => {
    const { tag } = await crib.do('buildAssembly', {
      cutter: { item, place: from },
      holder: { item: 'SL10', place: 'S1' },
      stickout: '34',
    });
    await crib.do('endLife', { tag, kind: 'worn', cutterTo: 'USED' });
    return piece();
  };
  it('a piece of a lot is graded and moved as what it is', async () => {
    await crib.do('addPlace', { code: 'LOTS', name: 'Lots', kind: 'drawer' });
    await crib.do('receiveStock', { item: 'EM10', place: 'LOTS', quantity: 1, lot: 'L-9' });
    const mark = await ended('EM10', 'LOTS');
    await crib.do('gradePiece', { piece: mark, grade: 'slotting steel', place: 'LOTS' });
    const at = (await itemView(crib.db, 'EM10')).item!.pieces.find((p) => p.mark === mark)!;
    expect(at).toMatchObject({ place: 'LOTS', grade: 'slotting steel' });
  });
  it('regrinding takes the coating off: what it was recoated with decides, or nobody knows', async () => {
    await crib.do('receiveStock', { item: 'EMT', place: 'S1', quantity: 2 });
    await crib.do('addPlace', { code: 'SLIP', name: 'Grinder', kind: 'regrind' });
    const reground = async (recoated?: string) => {
      const mark = await ended('EMT');
      await expect(crib.do('gradePiece', { piece: mark, grade: 'aluminium' })).rejects.toMatchObject({
        code: 'REFUSED',
      });
      await crib.do('gradePiece', { piece: mark, grade: 'slotting steel' });
      await crib.do('sendToRegrind', { piece: mark, to: 'SLIP' });
      await crib.do('takeFromRegrind', { piece: mark, place: 'USED', dc: '9.8', lcf: '20', recoated });
      const { tag } = await crib.do('buildAssembly', {
        cutter: { piece: mark },
        holder: { item: 'SL10', place: 'S1' },
        stickout: '34',
      });
      await crib.do('endLife', { tag, kind: 'worn', cutterTo: 'USED' });
      return mark;
    };
    // Recoated for aluminium: the steel coating of the new cutter no longer speaks against it.
    await crib.do('gradePiece', { piece: await reground('DLC'), grade: 'aluminium' });
    const steel = await reground('AlTiN');
    await expect(crib.do('gradePiece', { piece: steel, grade: 'aluminium' })).rejects.toThrow(
      'coated AlTiN: aluminium welds to it',
    );
    const now = (await itemView(crib.db, 'EMT')).item!.pieces.find((p) => p.mark === steel)!;
    expect(now).toMatchObject({ reground: true, recoated: 'AlTiN' });
  });
  it('what is handed back used keeps its good zone and signs; a zone turned round is refused whole', async () => {
    await crib.do('issueStock', { item: 'EM10', from: 'S1', quantity: 1, to: 'IK' });
    const back = {
      item: 'EM10',
      from: 'HAND-IK',
      quantity: 1,
      to: 'USED',
      used: 'yes',
      grade: 'squaring with the upper flute',
      signs: ['line on the wall'],
    };
    const before = await crib.db.query('select count(*) from entry');
    await expect(crib.do('returnStock', { ...back, goodFrom: '12', goodTo: '8' })).rejects.toMatchObject({
      parts: [{ field: 'goodTo' }],
    });
    expect(await crib.db.query('select count(*) from entry')).toEqual(before);
    const done = await crib.do('returnStock', { ...back, goodFrom: '8', goodTo: '20' });
    expect(done.marks).toHaveLength(1);
    expect(
      await crib.db.query(
        'select grade, good_from_mm, good_to_mm, signs from grade order by entry_id desc limit 1',
      ),
    ).toEqual([{ grade: back.grade, goodFromMm: 8, goodToMm: 20, signs: ['line on the wall'] }]);
    // Handed out by its mark it comes back by its mark.
    const mark = (done.marks as string[])[0]!;
    await crib.do('issueStock', { piece: mark, to: 'IK' });
    expect((await itemView(crib.db, 'EM10')).item!.lent.map((p) => p.mark)).toEqual([mark]);
    const again = await crib.do('returnStock', { piece: mark, to: 'USED', grade: 'scrap' });
    expect(again.marks).toEqual([mark]);
  });
});
