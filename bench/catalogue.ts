import { catalogueQuestion, catalogueView, movementsView, type CatalogueAsked } from '../src/crib/stock';
import { cataloguePage, catalogueWhere, COUNTED_TO } from '../src/data/stock';
import type { Database } from '../src/data/database';
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

/** The same question in bare SQL: the page with facts, balances and standings of its items, and the total. */
async function bare(db: Database, asked: CatalogueAsked): Promise<() => Promise<void>> {
  const q = await catalogueQuestion(db, asked);
  const page = cataloguePage({ ...q, limit: q.limit + 1 });
  const where = catalogueWhere(q);
  const total = `select count(*)::int as n from (select 1 from item_now n where ${where.sql} limit ${COUNTED_TO + 1}) x`;
  return async () => {
    const ids = (await db.query<{ item_id: number }>(page.sql, page.params)).map((r) => r.item_id);
    if (ids.length) {
      await db.query(
        `select f.item_id, json_agg(json_build_object('symbol', f.symbol, 'text', f.text, 'unit', f.unit, 'value', f.value, 'origin', f.origin)) as facts
         from fact_now f where f.item_id = any ($1) group by f.item_id`,
        [ids],
      );
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
    await db.query(total, where.params);
  };
}

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
  for (const [name, questions] of Object.entries(ASKED)) {
    const asks = await Promise.all(questions.map((asked) => bare(large, asked)));
    const pick = <T>(list: readonly T[], i: number) => list[i % list.length]!;
    const [view, sql, tenth] = (await inTurn([
      (i) => catalogueView(large, pick(questions, i)),
      (i) => pick(asks, i)(),
      (i) => catalogueView(small, pick(questions, i)),
    ])) as [number[], number[], number[]];
    say(
      `catalogue, ${name}: p95 against bare SQL`,
      p95(view) / p95(sql),
      `at most 1.5; ${p95(view).toFixed(1)} ms`,
    );
    say(`catalogue, ${name}: p95 against a tenth of the data`, p95(view) / p95(tenth), 'at most 1.5');
    for (const asked of questions) {
      const one = await slowestQuestion(large, (db) => catalogueView(db, asked));
      if (one > slowest[1]) slowest = [JSON.stringify(asked), one];
    }
  }
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
  await small.close();
  await large.close();
}
