import { catalogueQuestion, catalogueView, movementsView, type CatalogueAsked } from '../src/crib/stock';
import { cataloguePage, catalogueWhere, COUNTED_TO } from '../src/data/stock';
import type { Database } from '../src/data/database';
import { largeCrib, type Size } from './largeCrib';

const FULL: Size = { items: 20_000, pieces: 100_000, movements: 1_000_000 };
const ROUNDS = 60;

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

async function times(work: (i: number) => Promise<unknown>, rounds = ROUNDS): Promise<number[]> {
  const all: number[] = [];
  for (let i = 0; i < rounds + 5; i += 1) {
    const from = performance.now();
    await work(i);
    // The first few warm the caches.
    if (i >= 5) all.push(performance.now() - from);
  }
  return all;
}

/** The same question in bare SQL: the page and the total, nothing made of the rows. */
async function bare(db: Database, asked: CatalogueAsked): Promise<() => Promise<void>> {
  const q = await catalogueQuestion(db, asked);
  const page = cataloguePage({ ...q, limit: q.limit + 1 });
  const where = catalogueWhere(q);
  return async () => {
    await db.query(page.sql, page.params);
    await db.query(
      `select count(*)::int as n from (select 1 from item_now n where ${where.sql} limit ${COUNTED_TO + 1}) x`,
      where.params,
    );
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
    const view = await times((i) => catalogueView(large, questions[i % questions.length]!));
    const sql = await times((i) => asks[i % asks.length]!());
    const tenth = await times((i) => catalogueView(small, questions[i % questions.length]!));
    say(
      `catalogue, ${name}: p95 against bare SQL`,
      p95(view) / p95(sql),
      `at most 1.5; ${p95(view).toFixed(1)} ms`,
    );
    say(`catalogue, ${name}: p95 against a tenth of the data`, p95(view) / p95(tenth), 'at most 1.5');
    for (const [i, asked] of questions.entries()) {
      const one = p95(await times(() => catalogueView(large, asked), 20));
      if (one > slowest[1]) slowest = [JSON.stringify(asked), one];
      void i;
    }
  }
  say(
    `slowest question against 20 ms: ${slowest[0]}`,
    slowest[1] / 20,
    `at most 1; ${slowest[1].toFixed(1)} ms`,
  );
  for (const asked of [{ item: 'EM77' }, { place: 'P17' }, { who: 'TO' }, { piece: 'E-0500' }]) {
    const name = JSON.stringify(asked);
    const view = p95(await times(() => movementsView(large, asked), 20));
    const tenth = p95(await times(() => movementsView(small, asked), 20));
    say(`history of ${name}: p95 against a tenth of the data`, view / tenth, `${view.toFixed(1)} ms`);
  }
  await small.close();
  await large.close();
}
