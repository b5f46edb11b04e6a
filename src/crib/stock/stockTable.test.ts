import { Readable } from 'node:stream';
import { text } from 'node:stream/consumers';
import { consignedView } from '@/crib/consigned';
import { exportMovements, exportStock } from '@/crib/exchange';
import { furnish, openTestCrib, type TestCrib } from '@/crib/testing';
import { VIEWS } from '@/crib/views';
import { type StockAsked, stockView } from './views/stockView';

let crib: TestCrib;
const maker = (value: string) => ({ value, origin: 'maker' });
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('addPlace', { code: 'S1-A', name: 'Drawer A', kind: 'drawer', parent: 'S1' });
  await crib.do('addPlace', { code: 'S1-B', name: 'Drawer B', kind: 'drawer', parent: 'S1' });
  await crib.do('addSupplier', { code: 'OST', name: 'Ostberg', leadTimeDays: 5 });
  for (let i = 1; i <= 12; i += 1) {
    await crib.do('addItem', {
      code: `D${i}`,
      kind: 'cutter',
      family: 'drill',
      facts: { DC: maker(String(i)), LCF: maker('30'), SUBSTRATE: maker('carbide'), COATING: maker('TiAlN') },
    });
    for (const place of ['S1-B', 'S1-A', 'S1'].slice(0, 1 + (i % 3)))
      await crib.do('receiveStock', { item: `D${i}`, place, quantity: 1 + ((i * 7) % 5) });
  }
});
afterAll(() => crib.db.close());
const seen = async (asked: StockAsked) =>
  (await stockView(crib.db, asked)).lines.map((l) => `${l.item} ${l.place} ${l.quantity}`);

describe('the table of all stock', () => {
  it('has a line for each item at each place, and no more than the movements say', async () => {
    const sums = await crib.db.query<{ line: string }>(
      `select i.code || ' ' || p.code || ' ' || sum(case when m.to_place_id = p.id then m.quantity else -m.quantity end) as line
       from movement m join item i on i.id = m.item_id join place p on p.id in (m.to_place_id, m.from_place_id)
       where p.kind in ('shelf', 'drawer') group by i.code, p.code having sum(case when m.to_place_id = p.id then m.quantity else -m.quantity end) > 0`,
    );
    expect((await seen({ limit: 500 })).sort()).toEqual(sums.map((s) => s.line).sort());
  });
  it.each<NonNullable<StockAsked['sort']>>(['item', '-item', 'place', '-place', 'quantity', '-quantity'])(
    'pages of %s follow one another forwards and backwards without gap or repeat',
    async (sort) => {
      const whole = await seen({ sort, limit: 500 });
      expect(whole.length).toBeGreaterThan(20);
      const forwards: string[] = [];
      let after: number | undefined;
      let last: number | undefined;
      do {
        const page = await stockView(crib.db, { sort, limit: 4, after });
        forwards.push(...page.lines.map((l) => `${l.item} ${l.place} ${l.quantity}`));
        last = page.lines[0]?.id;
        after = page.next ?? undefined;
      } while (after);
      expect(forwards).toEqual(whole);
      const backwards: string[] = [];
      for (let before = last; before;) {
        const page = await stockView(crib.db, { sort, limit: 4, before });
        backwards.unshift(...page.lines.map((l) => `${l.item} ${l.place} ${l.quantity}`));
        before = page.previous ?? undefined;
      }
      expect(backwards).toEqual(whole.slice(0, backwards.length));
      expect(backwards.length).toBeGreaterThan(whole.length - 5);
    },
  );
  it('orders places and items as people count: 2 before 10', async () => {
    const items = (await seen({ kind: 'cutter', q: 'drill', limit: 500 })).map((l) => l.split(' ')[0]);
    expect([...new Set(items)]).toEqual(Array.from({ length: 12 }, (_, i) => `D${i + 1}`));
  });
  it('finds by words, ranges, and the code of a place with what lies inside it', async () => {
    expect(await seen({ q: 'drill DC 2..3' })).toEqual(['D2 S1-B 5', 'D2 S1-A 5', 'D2 S1 5', 'D3 S1-B 2']);
    expect((await seen({ q: 's1-a DC<3' })).every((l) => l.includes(' S1-A '))).toBe(true);
    expect(await seen({ q: 'S1-A', limit: 500 })).toEqual(await seen({ place: 'S1-A', limit: 500 }));
    expect((await seen({ q: 's1 em10' }))[0]).toBe('EM10 S1 3');
    expect(await seen({ q: 'no such' })).toEqual([]);
  });
  it.each<[Record<string, string>, string]>([
    [{ sort: 'weight' }, 'sort'],
    [{ lies: 'moon' }, 'lies'],
    [{ place: 'NIX' }, 'place'],
    [{ owner: 'NIX' }, 'owner'],
    [{ after: '999999' }, 'after'],
    [{ after: "1' or '1'='1" }, 'after'],
    [{ kind: 'boat' }, 'kind'],
    [{ colour: 'red' }, 'colour'],
  ])('%j is refused at its field', async (asked, field) => {
    const stock = VIEWS.find((v) => v.path === 'stock')!;
    await expect(stock.read(crib, new URLSearchParams(asked))).rejects.toMatchObject({ parts: [{ field }] });
  });
  it('says what is with people, in assemblies and in the scrap when asked, and names used pieces with their grade', async () => {
    await crib.do('issueStock', { item: 'D9', from: 'S1-B', quantity: 2, to: 'IK' });
    expect(await seen({ lies: 'lent' })).toEqual(['D9 HAND-IK 2']);
    await crib.do('returnStock', {
      item: 'D9',
      from: 'HAND-IK',
      quantity: 1,
      to: 'USED',
      used: 'yes',
      grade: 'slotting steel',
    });
    const [used] = (await stockView(crib.db, { place: 'USED' })).lines;
    expect(used).toMatchObject({ item: 'D9', quantity: 1, pieces: 1 });
    expect(used!.marks).toEqual([{ mark: 'E-0001', grade: 'slotting steel' }]);
    await crib.do('scrapStock', { piece: 'E-0001', reason: 'chipped' });
    expect(await seen({ lies: 'scrap' })).toEqual(['D9 SCRAP 1']);
    expect(await seen({ place: 'USED' })).toEqual([]);
    expect((await seen({ lies: 'anywhere', q: 'DC=9' })).length).toBe(3);
  });
  const toldAs = async (format: 'csv' | 'json', asked: Parameters<typeof exportMovements>[1]) => {
    const made = await exportMovements(crib.db, asked, format);
    return text(Readable.from(made instanceof Uint8Array ? [made] : made));
  };
  it('what is seen goes out as it is seen; the history too, newest first', async () => {
    const csv = new TextDecoder().decode(await exportStock(crib.db, { q: 'drill DC 2..3' }, 'csv'));
    expect(csv.replace('\uFEFF', '').split('\r\n').slice(0, 2)).toEqual([
      'item,words,kind,maker,place,place_name,lot,owner,edges_left,quantity,used,marks',
      'D2,"2 mm drill, carbide",cutter,,S1-B,Drawer B,,,,5,0,',
    ]);
    const json = JSON.parse(await toldAs('json', { item: 'D9' })) as {
      format: string;
      rows: Record<string, string>[];
    };
    expect(json.format).toBe('stable-movements-1');
    expect(json.rows.map((r) => `${r.from}>${r.to} ${r.quantity} ${r.who}`)).toEqual([
      'USED>SCRAP 1 IK',
      'HAND-IK>USED 1 IK',
      'S1-B>HAND-IK 2 IK',
      '>S1-B 4 IK',
    ]);
    expect((await exportStock(crib.db, {}, 'xlsx')).subarray(0, 2)).toEqual(new Uint8Array([0x50, 0x4b]));
  });
  it('the history goes out whole, however many moved', async () => {
    const rows = async () =>
      (JSON.parse(await toldAs('json', { item: 'D2' })) as { rows: object[] }).rows.length;
    const before = await rows();
    await crib.db.query(
      `insert into movement (entry_id, item_id, to_place_id, quantity, who)
       select 1, i.id, p.id, 1, 'IK' from generate_series(1, 1234), item i, place p where i.code = 'D2' and p.code = 'S1-B'`,
    );
    const lines = (await toldAs('csv', { item: 'D2' })).trimEnd().split('\r\n');
    expect(lines).toHaveLength(1 + before + 1234);
    expect(new Set(lines).size).toBeLessThan(10);
    expect(await rows()).toBe(before + 1234);
    await expect(toldAs('csv', { item: 'NONE' })).rejects.toMatchObject({ code: 'NOT_FOUND' });
  });
});

describe('stock that is a supplier’s until used', () => {
  const open = async () =>
    (await consignedView(crib.db)).taken.flatMap((t) =>
      t.lines.map((l) => `${t.supplier} ${l.item} ${l.quantity}`),
    );
  let settled: number;
  let lent: number;
  it('is told apart from our own, and nothing is taken of it by moving it about', async () => {
    await crib.do('receiveStock', { item: 'EM10', place: 'S1-A', quantity: 6, supplier: 'NORD' });
    await crib.do('moveStock', { item: 'EM10', from: 'S1-A', quantity: 2, to: 'S1-B', supplier: 'NORD' });
    expect(await seen({ owner: 'theirs' })).toEqual(['EM10 S1-A 4', 'EM10 S1-B 2']);
    expect(await seen({ owner: 'OST' })).toEqual([]);
    expect(await seen({ owner: 'ours', q: 'EM10' })).toEqual(['EM10 S1 3']);
    expect(await open()).toEqual([]);
  });
  it('counts as taken once it leaves the crib: built, lent, missed; what comes back unused counts against it', async () => {
    await crib.do('buildAssembly', {
      cutter: { item: 'EM10', place: 'S1-A' },
      holder: { item: 'SL10', place: 'S1' },
      stickout: '34',
    });
    expect(await open()).toEqual(['NORD EM10 1']);
    await crib.do('issueStock', { item: 'EM10', from: 'S1-B', quantity: 2, to: 'IK', supplier: 'NORD' });
    expect(await open()).toEqual(['NORD EM10 3']);
    await crib.do('returnStock', {
      item: 'EM10',
      from: 'HAND-IK',
      quantity: 1,
      to: 'S1-B',
      used: 'no',
      supplier: 'NORD',
    });
    expect(await open()).toEqual(['NORD EM10 2']);
    // A used one that comes back stays taken, and is ours: a mark of its own lies there.
    await crib.do('returnStock', {
      item: 'EM10',
      from: 'HAND-IK',
      quantity: 1,
      to: 'USED',
      used: 'yes',
      grade: 'slotting steel',
      supplier: 'NORD',
    });
    expect(await open()).toEqual(['NORD EM10 2']);
    expect(await seen({ owner: 'theirs' })).toEqual(['EM10 S1-A 3', 'EM10 S1-B 1']);
    expect(await seen({ owner: 'ours', place: 'USED' })).toEqual(['EM10 USED 1']);
    // Taken down and built again: taken once.
    await crib.do('takeDown', { tag: 'A-0001', cutterTo: 'USED' });
    expect(await open()).toEqual(['NORD EM10 2']);
  });
  it('comes to a price only where the supplier’s own is known', async () => {
    const [taken] = (await consignedView(crib.db)).taken;
    expect(taken).toMatchObject({ supplier: 'NORD', name: 'Nordkap Tools', costCents: 6300 });
    await crib.do('receiveStock', { item: 'D5', place: 'S1', quantity: 2, supplier: 'OST' });
    await crib.do('scrapStock', { item: 'D5', from: 'S1', quantity: 1, reason: 'bent', supplier: 'OST' });
    expect((await consignedView(crib.db)).taken.find((t) => t.supplier === 'OST')).toMatchObject({
      costCents: null,
      lines: [{ item: 'D5', quantity: 1, priceCents: null }],
    });
  });
  it('is settled as seen, once: what is taken meanwhile stays open, the second person is told', async () => {
    const nord = async () => (await consignedView(crib.db)).taken.find((t) => t.supplier === 'NORD')!;
    const saw = (await nord()).upTo;
    lent = (
      await crib.do('issueStock', { item: 'EM10', from: 'S1-A', quantity: 1, to: 'IK', supplier: 'NORD' })
    ).entry;
    const done = await crib.do('settleTakings', { supplier: 'NORD', upTo: saw, reference: 'R-77' });
    expect(done).toMatchObject({ pieces: 2, costCents: 6300 });
    settled = done.entry;
    expect(await open()).toEqual(['NORD EM10 1', 'OST D5 1']);
    await expect(crib.do('settleTakings', { supplier: 'NORD', upTo: saw })).rejects.toMatchObject({
      code: 'CONFLICT',
    });
    await expect(crib.do('settleTakings', { supplier: 'OST', upTo: saw + 50 })).rejects.toMatchObject({
      code: 'CONFLICT',
    });
  });
  it('shows a credit where what was settled comes back, and opens again when the settlement is taken back', async () => {
    const [nord] = (await consignedView(crib.db)).taken;
    const second = await crib.do('settleTakings', { supplier: 'NORD', upTo: nord!.upTo });
    expect(await open()).toEqual(['OST D5 1']);
    await crib.do('counterEntry', { counters: lent });
    expect(await open()).toEqual(['NORD EM10 -1', 'OST D5 1']);
    await crib.do('counterEntry', { counters: second.entry });
    expect(await open()).toEqual(['OST D5 1']);
    await crib.do('counterEntry', { counters: settled });
    expect(await open()).toEqual(['NORD EM10 2', 'OST D5 1']);
  });
  it('can’t be settled twice past the verbs either', async () => {
    const [taken] = (await consignedView(crib.db)).taken;
    await crib.do('settleTakings', { supplier: 'NORD', upTo: taken!.upTo });
    await expect(
      crib.db.query(
        `insert into settlement (entry_id, supplier_id, up_to_movement_id)
         select max(e.id), (select id from supplier where code = 'NORD'), $1 from entry e`,
        [taken!.upTo],
      ),
    ).rejects.toMatchObject({ code: 'DONE_ALREADY' });
  });
});
