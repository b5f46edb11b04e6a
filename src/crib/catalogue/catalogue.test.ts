import fc from 'fast-check';
import { FAMILIES, FAMILY_NAMES, ITEM_KINDS, KINDS } from '@/core/cutters';
import { CRIB_PLACES } from '@/core/stock';
import { stockView, takeableView } from '@/crib/stock';
import { furnish, openTestCrib, type TestCrib } from '@/crib/testing';
import { VIEWS } from '@/crib/views';
import { type CatalogueAsked, catalogueView } from './views/catalogueView';
import { itemView } from './views/itemView';

let crib: TestCrib;
const maker = (value: string) => ({ value, origin: 'maker' });
const SIZES = ['0.5', '1', '3', '6', '6.35', '8', '10', '12', '20', '25'];
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  for (const [i, size] of SIZES.entries()) {
    const family = i % 2 ? 'drill' : 'square';
    await crib.do('addItem', {
      code: `${i % 2 ? 'D' : 'SQ'}${size}`,
      kind: 'cutter',
      family,
      maker: i % 3 ? 'Skarv' : 'Halden_50%',
      facts: { DC: maker(i === 4 ? '1/4' : size), ...(i % 4 ? { LCF: maker(String(5 + i * 5)) } : {}) },
      ...(i === 2 ? { supply: { supplier: 'NORD', orderCode: 'X-77/b' } } : {}),
    });
    if (i % 3 === 0)
      await crib.do('receiveStock', { item: `${i % 2 ? 'D' : 'SQ'}${size}`, place: 'S1', quantity: i + 1 });
  }
  await crib.do('addItem', { code: 'TAP-M6', kind: 'cutter', family: 'tap', facts: { TDZ: maker('M6') } });
  await crib.do('addItem', { code: 'SCREW', kind: 'spare', facts: { FITS: maker('seats') } });
});
afterAll(() => crib.db.close());
const codes = async (asked: CatalogueAsked) => (await catalogueView(crib.db, asked)).lines.map((l) => l.code);

const read = (view: string, search: string) =>
  VIEWS.find((v) => v.path === view)!.read(crib, new URLSearchParams(search));

describe('searching', () => {
  it.each<[string, string[]]>([
    ['drill DC 6..8', ['D6', 'D8']],
    ['DC=1/4', ['SQ6.35']],
    ['dc = 6.35', ['SQ6.35']],
    ['DC<1', ['SQ0.5']],
    ['DC 8..6 end mill', ['SQ6.35']],
    ['DC>=20 DC<=20', ['SQ20']],
    ['tap m6', ['TAP-M6']],
    ['x-77/b', ['SQ3']],
    ['halden_50% end', ['SQ0.5', 'SQ10']],
    ['%', ['D25', 'D6', 'SQ0.5', 'SQ10']],
    ['spare', ['SCREW']],
    ['no such', []],
    ["'; drop table item; --", []],
  ])('%s', async (q, found) => expect((await codes({ q })).sort()).toEqual([...found].sort()));
  it('a length without a unit is in the one that is shown', async () => {
    expect(await codes({ q: 'DC=0.25', unit: 'inch' })).toEqual(['SQ6.35']);
    expect(await codes({ q: 'DC=0.25', unit: 'mm' })).toEqual([]);
  });
  it('an unknown fact lies in no range: unknown is not 0', async () => {
    const known = await codes({ q: 'LCF>=0', kind: 'cutter' });
    expect(known).not.toContain('SQ0.5');
    expect(known).toContain('D1');
  });
  it('by place, and what lies inside it', async () => {
    await crib.do('addPlace', { code: 'S1-A', name: 'Drawer', kind: 'drawer', parent: 'S1' });
    await crib.do('receiveStock', { item: 'SCREW', place: 'S1-A', quantity: 3 });
    expect(await codes({ place: 's1-a' })).toEqual(['SCREW']);
    expect(await codes({ place: 'S1', kind: 'spare' })).toEqual(['SCREW']);
    await expect(catalogueView(crib.db, { place: 'NOWHERE' })).rejects.toMatchObject({ code: 'NOT_FOUND' });
  });
  it('what a fact said before is not found any more; taken back, it is again', async () => {
    const { entry: stated } = await crib.do('stateFacts', { item: 'D25', facts: { DC: maker('26') } });
    expect(await codes({ q: 'DC=25' })).toEqual([]);
    expect(await codes({ q: 'DC=26' })).toEqual(['D25']);
    await crib.do('counterEntry', { counters: stated });
    expect([await codes({ q: 'DC=25' }), await codes({ q: 'DC=26' })]).toEqual([['D25'], []]);
  });
});

describe('order and pages', () => {
  it('codes by their numbers: EM8 before EM10', async () => {
    const em = (await codes({ q: 'SQ' })).filter((c) => /^SQ\d/.test(c));
    expect(em.indexOf('SQ3')).toBeLessThan(em.indexOf('SQ10'));
    expect(em.indexOf('SQ10')).toBeLessThan(em.indexOf('SQ20'));
  });
  it('by diameter, what has none at the end; by unused, turned round', async () => {
    const dc = (await catalogueView(crib.db, { sort: 'dc', limit: 500 })).lines.map(
      (l) => l.facts.DC?.value ?? Infinity,
    );
    expect(dc).toEqual([...dc].sort((a, b) => a - b));
    const unused = (await catalogueView(crib.db, { sort: '-unused', limit: 500 })).lines.map((l) => l.unused);
    expect(unused).toEqual([...unused].sort((a, b) => b - a));
    await expect(read('items', 'sort=colour')).rejects.toMatchObject({ code: 'INVALID_INPUT' });
  });
  it('going on and going back shows every item once, whatever the order and the size of a page', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom<CatalogueAsked['sort'][]>('code', '-code', 'dc', '-dc', 'unused', '-unused'),
        fc.integer({ min: 1, max: 7 }),
        async (sort, limit) => {
          const all = await codes({ sort, limit: 500 });
          const there: string[] = [];
          let page = await catalogueView(crib.db, { sort, limit });
          expect(page.previous).toBeNull();
          for (;;) {
            there.push(...page.lines.map((l) => l.code));
            if (page.next === null) break;
            page = await catalogueView(crib.db, { sort, limit, after: page.next });
          }
          expect(there).toEqual(all);
          const back: string[] = [];
          for (;;) {
            back.unshift(...page.lines.map((l) => l.code));
            if (page.previous === null) break;
            page = await catalogueView(crib.db, { sort, limit, before: page.previous });
          }
          expect(back).toEqual(all);
        },
      ),
      { numRuns: 12, seed: 2 },
    );
  });
});

describe('one list for the core and the database', () => {
  it('words of kinds and families', async () => {
    const rows = await crib.db.query<{ name: string; words: string }>('select name, words from kind_word');
    const expected = {
      ...Object.fromEntries(ITEM_KINDS.map((k) => [k, KINDS[k].words])),
      ...Object.fromEntries(FAMILY_NAMES.map((f) => [f, FAMILIES[f].words])),
    };
    expect(Object.fromEntries(rows.map((r) => [r.name, r.words]))).toEqual(expected);
  });
  it('where stock lies in the crib', async () => {
    const kinds = [
      'room',
      'cabinet',
      'shelf',
      'drawer',
      'bin',
      'cart',
      'build',
      'hand',
      'machine',
      'regrind',
      'scrap',
      'lost',
    ];
    const rows = await crib.db.query<{ kind: string; here: boolean }>(
      'select kind, in_crib(kind) as here from unnest($1::text[]) as kind',
      [kinds],
    );
    expect(
      rows
        .filter((r) => r.here)
        .map((r) => r.kind)
        .sort(),
    ).toEqual([...CRIB_PLACES].sort());
  });
});

describe('adding items', () => {
  it('what is copied from a similar one is marked, what was stated is not, and the shank that nothing takes is asked about', async () => {
    const { copied } = await crib.do('addItem', {
      code: 'EM10B',
      kind: 'cutter',
      family: 'square',
      similarTo: 'EM10',
      facts: { DMM: maker('32') },
    });
    expect(copied).toEqual(expect.arrayContaining(['DC', 'LCF', 'NOF', 'OAL', 'SUBSTRATE']));
    const { item, noHolderTakes } = await itemView(crib.db, 'EM10B');
    expect(item!.facts.find((f) => f.symbol === 'LCF')).toMatchObject({ origin: 'similar', text: '22' });
    expect(item!.facts.find((f) => f.symbol === 'DMM')).toMatchObject({ origin: 'maker' });
    expect(noHolderTakes).toMatch(/shank of 32 mm; the nearest, SL10, takes 10 to 10/);
    await expect(crib.do('addItem', { code: 'H', kind: 'holder', similarTo: 'EM10' })).rejects.toMatchObject({
      code: 'REFUSED',
    });
  });
  it('facts that are not asked for, kinds without a family, families where none belongs', async () => {
    const add = (input: Record<string, unknown>) =>
      crib.do('addItem', { code: 'X', ...input }).then(
        () => null,
        (p: { parts: { field: string }[] }) => p.parts[0]?.field,
      );
    expect(await add({ kind: 'cutter' })).toBe('family');
    expect(await add({ kind: 'spare', family: 'drill' })).toBe('family');
    expect(await add({ kind: 'spare', facts: { DC: maker('5') } })).toBe('facts.DC');
    expect(
      await add({ kind: 'cutter', family: 'square', facts: { DC: maker('10'), CCC: maker('perhaps') } }),
    ).toBe('facts.CCC.value');
    expect(await add({ kind: 'insert', facts: { ISO1832: maker('CNMG 120408'), RE: maker('1.2') } })).toBe(
      'facts.RE.value',
    );
    expect(await add({ kind: 'collet', facts: { COLLET: maker('16'), CLAMP_MAX: maker('12') } })).toBe(
      'facts.CLAMP_MAX.value',
    );
  });
  it('unlikely geometry is added and asked about', async () => {
    const { questions } = await crib.do('addItem', {
      code: 'ODD',
      kind: 'cutter',
      family: 'square',
      facts: { DC: maker('10'), LCF: maker('130'), OAL: maker('200') },
    });
    expect(questions).toEqual([expect.stringContaining('very long flutes')]);
  });
  it('versions: no item follows itself, not even by a detour; a later one is of the same family', async () => {
    const link = (item: string, earlier: string, relation = 'version') =>
      crib.do('linkItem', { item, earlier, relation, reason: 'x' }).then(
        () => 'linked',
        (p: { message: string }) => p.message,
      );
    expect(await link('SQ3', 'SQ3')).toMatch(/itself/);
    expect(await link('SQ3', 'D6')).toMatch(/different families/);
    expect(await link('SQ3', 'SQ0.5')).toBe('linked');
    expect(await link('SQ6.35', 'SQ3')).toBe('linked');
    expect(await link('SQ0.5', 'SQ6.35')).toMatch(/later version/);
    await crib.do('stateStanding', { item: 'SQ0.5', standing: 'discontinued', reason: 'number dropped' });
    const { item } = await itemView(crib.db, 'SQ3');
    expect(item!.links.map((l) => [l.item, l.earlier])).toEqual([
      ['SQ3', 'SQ0.5'],
      ['SQ6.35', 'SQ3'],
    ]);
    expect((await catalogueView(crib.db, { q: 'SQ0.5' })).lines[0]!.standing).toBe('discontinued');
  });
});

it('collets and holders have an age, by what came and what is left; a cutter’s life is counted instead', async () => {
  crib.at('2027-01-05T12:00:00Z');
  const came = (await itemView(crib.db, 'SL10')).age!;
  expect(came.oldest).toEqual(came.atBest);
  await crib.do('receiveStock', {
    item: 'SL10',
    place: 'S1',
    quantity: 3,
    happenedAt: '2027-01-05T11:00:00Z',
  });
  await crib.do('scrapStock', { item: 'SL10', from: 'S1', quantity: 3, reason: 'bore worn' });
  expect((await itemView(crib.db, 'SL10')).age).toEqual({
    oldest: came.oldest,
    atBest: new Date('2027-01-05T11:00:00Z'),
  });
  await crib.do('foundStock', { item: 'SL10', place: 'S1', quantity: 1 });
  expect((await itemView(crib.db, 'EM10')).age).toBeNull();
});

describe('what can be taken for a build', () => {
  const takes = async (asked: Parameters<typeof takeableView>[1]) =>
    (await takeableView(crib.db, asked, '2027-01-05')).sources.map((s) => `${s.item}: ${s.take}`);
  it('is found by words and ranges among what lies here, cutters and holders apart', async () => {
    expect(await takes({ q: 'em10' })).toEqual(['EM10: 3 unused at S1']);
    expect(await takes({ what: 'holder' })).toEqual(['SL10: 3 at S1']);
    // D8 is in the catalogue, but none lies here.
    expect(await takes({ q: 'drill DC 7..9' })).toEqual([]);
    await expect(read('takeable', 'what=boat')).rejects.toMatchObject({
      parts: [{ field: 'what' }],
    });
  });
  it('puts old stock before the version that follows it, and says so; the one to be replaced first', async () => {
    const facts = { DC: maker('10'), LCF: maker('22') };
    await crib.do('addItem', { code: 'ZZ-OLD', kind: 'cutter', family: 'square', facts });
    await crib.do('linkItem', {
      item: 'EM10',
      earlier: 'ZZ-OLD',
      relation: 'version',
      reason: 'renamed grade',
    });
    expect(await takes({ q: 'em10' })).toEqual(['EM10: 3 unused at S1']);
    await crib.do('receiveStock', { item: 'ZZ-OLD', place: 'USED', quantity: 2 });
    const { sources } = await takeableView(crib.db, { q: 'em10' }, '2027-01-05');
    expect(sources.map((s) => s.item)).toEqual(['ZZ-OLD', 'EM10']);
    expect(sources[1]!.caution).toBe('old stock first: ZZ-OLD has 2 at USED');
    expect((await takes({ like: 'EM10' })).slice(0, 2)).toEqual([
      'ZZ-OLD: 2 unused at USED',
      'EM10: 3 unused at S1',
    ]);
    await crib.do('stateStanding', { item: 'ZZ-OLD', standing: 'trial', reason: 'two to try' });
    expect((await takeableView(crib.db, { q: 'zz-old' }, '2027-01-05')).sources[0]!.caution).toBe('trial');
  });
  it('a scanned mark is that piece alone; one that ended is not offered until it is graded', async () => {
    const built = await crib.do('buildAssembly', {
      cutter: { item: 'EM10', place: 'S1' },
      holder: { item: 'SL10', place: 'S1' },
      stickout: '34',
    });
    expect(await takes({ q: 'E-0001' })).toEqual([]);
    await crib.do('endLife', { tag: built.tag, kind: 'worn', cutterTo: 'USED' });
    expect(await takes({ q: 'e-0001' })).toEqual([]);
    await crib.do('gradePiece', { piece: 'E-0001', grade: 'aluminium', place: 'USED' });
    expect(await takes({ q: 'e-0001' })).toEqual(['EM10: E-0001 at USED, graded aluminium']);
    expect(await takes({ what: 'holder', q: 'e-0001' })).toEqual([]);
    expect(await takes({ q: 'em10' })).toContain('EM10: E-0001 at USED, graded aluminium');
  });
  it('no holder here holds the form of a shank: it is questioned on the cutter’s page', async () => {
    await crib.do('addItem', {
      code: 'WN',
      kind: 'cutter',
      family: 'square',
      facts: { DC: maker('10'), DMM: maker('10'), SHANK: maker('whistle notch') },
    });
    expect((await itemView(crib.db, 'WN')).noHolderTakes).toBeNull();
    await crib.do('stateFacts', { item: 'SL10', facts: { SHANKS: maker('flat') } });
    expect((await itemView(crib.db, 'WN')).noHolderTakes).toBe(
      'No holder or collet here holds a whistle notch shank of 10 mm: SL10 takes flat',
    );
    await expect(
      crib.do('stateFacts', { item: 'SL10', facts: { SHANKS: maker('conical') } }),
    ).rejects.toMatchObject({ parts: [{ field: 'facts.SHANKS.value' }] });
  });
});

it('beyond three hundred answers the count stops, and pages go on in order all the same', async () => {
  const many = await openTestCrib();
  await furnish(many);
  await many.db.query(
    `insert into item (code, kind, family, entry_id)
     select 'K' || g, 'cutter', 'drill', (select entry_id from item limit 1) from generate_series(1, 600) g`,
  );
  await many.db.query(
    `insert into fact (entry_id, item_id, symbol, text, unit, value, origin)
     select i.entry_id, i.id, 'DC', '6', 'mm', 6, 'maker' from item i where i.code like 'K%'`,
  );
  await many.db.query(
    `insert into movement (entry_id, item_id, to_place_id, quantity)
     select i.entry_id, i.id, (select id from place where code = 'S1'), 1 from item i where i.code like 'K%'`,
  );
  const page = await catalogueView(many.db, { q: 'drill', limit: 3 });
  expect(page).toMatchObject({ total: 300, more: true });
  expect(page.lines.map((l) => l.code)).toEqual(['K1', 'K2', 'K3']);
  const second = await catalogueView(many.db, { q: 'drill', limit: 3, after: 'K3' });
  expect(second.lines.map((l) => l.code)).toEqual(['K4', 'K5', 'K6']);
  expect((await catalogueView(many.db, { q: 'drill', limit: 3, before: 'K4' })).lines).toEqual(page.lines);
  const stock = await stockView(many.db, { q: 's1 drill', limit: 2 });
  expect(stock).toMatchObject({ total: 300, more: true });
  const on = await stockView(many.db, { q: 's1 drill', limit: 2, after: stock.next! });
  expect([...stock.lines, ...on.lines].map((l) => l.item)).toEqual(['K1', 'K2', 'K3', 'K4']);
  // One less than that is counted whole.
  expect(await catalogueView(many.db, { q: 'K1 drill', limit: 1 })).toMatchObject({ more: false });
  await many.db.close();
});
