import { type CatalogueAsked, catalogueQuestion, catalogueView } from '../src/crib/catalogue';
import { movementsView, type StockAsked, stockQuestion, stockView } from '../src/crib/stock';
import { VIEWS } from '../src/crib/views';
import { cataloguePaged } from '../src/data/catalogue';
import { countSql, type Database, type PagedQuestion, pageSql } from '../src/data/database';
import { manyMarksOf, stockPaged } from '../src/data/stock';
import { largeCrib, type Size } from './largeCrib';

const FULL: Size = { items: 20_000, pieces: 100_000, movements: 1_000_000 };
const ROUNDS = 240;

/** What people ask the catalogue for: its first page, words, ranges, a kind, another order. */
const ASKED: Record<string, CatalogueAsked[]> = {
  'first page': [{}],
  'search by words': [
    'drill',
    'ball halden',
    'EM77',
    '12.5 mm',
    'nordkant square 4 flutes',
    'no such thing',
  ].map((q) => ({ q })),
  'search by ranges': ['DC 6..8', 'LCF>20', 'DC=12.5', 'drill DC 6..8 LCF>60', 'DC 500..600'].map((q) => ({
    q,
  })),
  'other orders': [{ sort: 'dc' }, { sort: '-unused' }, { kind: 'holder' }, { place: 'P17' }],
};

const p95 = (times: number[]): number =>
  [...times].sort((a, b) => a - b)[Math.ceil(times.length * 0.95) - 1]!;

/** Times of several works, taken in turn, so that whatever else the machine does falls on all of them alike. */
async function inTurn(
  works: readonly ((i: number) => Promise<unknown>)[],
  rounds = ROUNDS,
): Promise<number[][]> {
  const all = works.map(() => [] as number[]);
  for (let i = 0; i < rounds + 10; i += 1)
    for (const [w, work] of works.entries()) {
      const from = performance.now();
      await work(i);
      // The first rounds warm the caches.
      if (i >= 10) all[w]!.push(performance.now() - from);
    }
  return all;
}

/** The slowest of the questions that a view puts to the database, p95 each: its SQL is timed where it is asked. */
async function slowestQuestion(db: Database, work: (db: Database) => Promise<unknown>): Promise<number> {
  const asked: number[][] = [];
  for (let i = 0; i < 40; i += 1) {
    let at = 0;
    const timed: Database = {
      ...db,
      async query<Row>(sql: string, params?: Parameters<Database['query']>[1]) {
        const from = performance.now();
        const rows = await db.query<Row>(sql, params);
        (asked[at++] ??= []).push(performance.now() - from);
        return rows;
      },
    };
    await work(timed);
  }
  return Math.max(...asked.map(p95));
}

const FACTS = `select f.item_id, json_agg(json_build_object('symbol', f.symbol, 'text', f.text, 'unit', f.unit, 'value', f.value, 'origin', f.origin)) as facts
  from fact_now f where f.item_id = any ($1) group by f.item_id`;
/** A page and its count in bare SQL: one statement each. */
async function barePage<Row>(db: Database, q: PagedQuestion, limit: number): Promise<Row[]> {
  const page = pageSql(q, limit);
  const total = countSql(q);
  const rows = await db.query<Row>(page.sql, page.params);
  await db.query(total.sql, total.params);
  return rows;
}

/** The same question in bare SQL: the page with facts, balances and standings of its items, and the total. */
async function bareCatalogue(db: Database, asked: CatalogueAsked): Promise<() => Promise<void>> {
  const q = await catalogueQuestion(db, asked);
  const paged = cataloguePaged(q);
  return async () => {
    const ids = (await barePage<{ itemId: number }>(db, paged, q.limit + 1)).map((r) => r.itemId);
    if (ids.length) {
      await db.query(FACTS, [ids]);
      await db.query(
        `select b.item_id, json_agg(json_build_object('place', p.code, 'kind', p.kind, 'quantity', b.quantity, 'lot', b.lot_id)) as places
         from balance b join place p on p.id = b.place_id where b.quantity > 0 and b.item_id = any ($1) group by b.item_id`,
        [ids],
      );
      await db.query(
        'select s.item_id, s.standing from item_standing s join live_entry e on e.id = s.entry_id where s.item_id = any ($1)',
        [ids],
      );
    }
  };
}

/** The same question to the stock in bare SQL: the page with facts of its items and marks of its pieces, and the total. */
async function bareStock(db: Database, asked: StockAsked): Promise<() => Promise<void>> {
  const q = await stockQuestion(db, asked);
  const paged = stockPaged(q);
  return async () => {
    const rows = await barePage<{ itemId: number; placeId: number; lotId: number | null; pieces: number }>(
      db,
      paged,
      q.limit + 1,
    );
    if (rows.length) {
      await db.query(FACTS, [[...new Set(rows.map((r) => r.itemId))]]);
      const marked = rows.filter((r) => r.pieces > 0);
      if (marked.length) await manyMarksOf(db, marked, 3);
    }
  };
}

/** What people ask the table of all stock for. */
const ASKED_STOCK: Record<string, StockAsked[]> = {
  'first page': [{}],
  'search by words': ['drill', 'ball halden', 'EM77', 'P17 drill', 'no such thing'].map((q) => ({ q })),
  'search by ranges': ['DC 6..8', 'LCF>20', 'DC=12.5', 'DC 500..600'].map((q) => ({ q })),
  'other orders': [
    { sort: 'place' },
    { sort: '-quantity' },
    { kind: 'holder' },
    { place: 'P17' },
    { owner: 'ours' },
  ],
};

/** Ratios of the paged catalogue at full size: against bare SQL, and against a tenth of the data. */
export async function benchCatalogue(
  say: (name: string, ratio: number, note: string) => void,
): Promise<void> {
  const began = performance.now();
  const small = await largeCrib({
    items: FULL.items / 10,
    pieces: FULL.pieces / 10,
    movements: FULL.movements / 10,
  });
  const large = await largeCrib(FULL);
  console.log(
    `made ${FULL.items} items, ${FULL.pieces} pieces, ${FULL.movements} movements and a tenth of it in ${Math.round((performance.now() - began) / 1000)} s`,
  );
  let slowest = ['', 0] as [string, number];
  const pick = <T>(list: readonly T[], n: number) => list[n % list.length]!;
  /** One table's questions: its view against bare SQL and against its own time at a tenth of the data. */
  const table = async <Asked>(
    of: string,
    all: Record<string, Asked[]>,
    view: (db: Database, asked: Asked) => Promise<unknown>,
    bare: (db: Database, asked: Asked) => Promise<() => Promise<void>>,
  ) => {
    for (const [name, questions] of Object.entries(all)) {
      const asks = await Promise.all(questions.map((asked) => bare(large, asked)));
      const [whole, sql, tenth] = (await inTurn([
        (i) => view(large, pick(questions, i)),
        (i) => pick(asks, i)(),
        (i) => view(small, pick(questions, i)),
      ])) as [number[], number[], number[]];
      say(
        `${of}, ${name}: p95 against bare SQL`,
        p95(whole) / p95(sql),
        `at most 1.5; ${p95(whole).toFixed(1)} ms`,
      );
      say(`${of}, ${name}: p95 against a tenth of the data`, p95(whole) / p95(tenth), 'at most 1.5');
      for (const asked of questions) {
        const one = await slowestQuestion(large, (db) => view(db, asked));
        if (one > slowest[1]) slowest = [`${of} ${JSON.stringify(asked)}`, one];
      }
    }
  };
  await table('catalogue', ASKED, catalogueView, bareCatalogue);
  await table('stock', ASKED_STOCK, stockView, bareStock);
  say(
    `slowest question to the database against 20 ms: ${slowest[0]}`,
    slowest[1] / 20,
    `at most 1; ${slowest[1].toFixed(1)} ms`,
  );
  for (const asked of [{ item: 'EM77' }, { place: 'P17' }, { who: 'TO' }, { piece: 'E-0500' }]) {
    const name = JSON.stringify(asked);
    const [view, tenth] = (await inTurn(
      [() => movementsView(large, asked), () => movementsView(small, asked)],
      60,
    )) as [number[], number[]];
    say(
      `history of ${name}: p95 against a tenth of the data`,
      p95(view) / p95(tenth),
      `${p95(view).toFixed(1)} ms`,
    );
  }
  // The other screens read what stands and what is booked, not the whole crib.
  for (const path of ['today', 'assemblies', 'jobs', 'lives', 'orders']) {
    const read = (db: Database) =>
      VIEWS.find((v) => v.path === path)!.read(
        { db, zone: 'Europe/Oslo', now: () => new Date('2027-01-12T09:00:00Z') },
        new URLSearchParams(),
      );
    const [whole, tenth] = (await inTurn([() => read(large), () => read(small)], 20)) as [number[], number[]];
    say(
      `${path} beside the whole crib: p95 against a tenth of the data`,
      p95(whole) / p95(tenth),
      `${p95(whole).toFixed(1)} ms`,
    );
  }
  await small.close();
  await large.close();
}
