import { last } from '@/core/sure';
import type { Connection, Param } from './connection';
import { many, one } from './rows';

/** Totals are counted so far, at the same cost in a crib of any age; what lies beyond is 'more than'. */
export const COUNTED_TO = 300;

/** A question that is answered a page at a time. */
export interface PagedQuestion {
  /** Tables and conditions, with the parameters these name. */
  from: string;
  where: string;
  params: readonly Param[];
  /** Whether the conditions may leave few lines. */
  narrow: boolean;
  /** Tables the conditions alone need, where these are fewer. */
  counting?: { from: string };
  /** What is kept of a line for `outer`, beside its sort columns. */
  kept: string;
  /** What the lines are in order by; the last tells any two apart, and is called `id` in `kept`. */
  columns: readonly string[];
  descending: boolean;
  /** The line after which (or before which) the page begins; null: from the start. */
  start: { id: number; backwards: boolean } | null;
  /** What is joined to the lines of a page, called `x`, once the page is cut. */
  outer: string;
  select: string;
}

interface Sql {
  sql: string;
  params: Param[];
}

function parts(q: PagedQuestion) {
  const params: Param[] = [...q.params];
  const p = (value: Param) => `$${params.push(value)}`;
  const down = q.descending !== (q.start?.backwards ?? false);
  const order = (names: readonly string[]) => names.map((c) => `${c} ${down ? 'desc' : 'asc'}`).join(', ');
  const keys = q.columns.map((_, i) => `key_${i}`);
  const kept = `${q.kept}, ${q.columns.map((c, i) => `${c} as key_${i}`).join(', ')}`;
  /** Where the page begins, by the sort columns of the line it goes on from. */
  const start = (names: readonly string[]) =>
    q.start
      ? ` (${names.join(', ')}) ${down ? '<' : '>'} (select ${q.columns.join(', ')} from ${q.from} where ${last(q.columns)} = ${p(q.start.id)})`
      : ' true';
  return { params, p, order, keys, kept, start };
}

/** One page, cut from the sorted lines before anything is joined to it; without a limit, all of it. */
export function pageSql(q: PagedQuestion, limit: number | null): Sql {
  const { params, p, order, keys, kept, start } = parts(q);
  const cut = limit === null ? '' : ` limit ${p(limit)}`;
  return {
    sql: `select ${q.select} from (select ${kept} from ${q.from} where ${q.where} and${start(q.columns)} order by ${order(q.columns)}${cut}) x
      ${q.outer} order by ${order(keys.map((k) => `x.${k}`))}`,
    params,
  };
}

/** Lines that answer, by what tells them apart, up to one beyond COUNTED_TO: their count, and which they are. */
const foundSql = (q: PagedQuestion): Sql => ({
  sql: `select coalesce(array_agg(x.id), '{}') as ids from
    (select ${last(q.columns)} as id from ${q.counting?.from ?? q.from} where ${q.where} limit ${COUNTED_TO + 1}) x`,
  params: [...q.params],
});

/** How many lines answer, counted to one beyond COUNTED_TO. */
export const countSql = (q: PagedQuestion): Sql => ({
  sql: `select count(*)::int as n from (select 1 from ${q.counting?.from ?? q.from} where ${q.where} limit ${COUNTED_TO + 1}) x`,
  params: [...q.params],
});

/** The same question to lines that were found already. */
const among = (q: PagedQuestion, ids: readonly number[]): PagedQuestion => ({
  ...q,
  where: `${last(q.columns)} = any ($1::int[])`,
  params: [ids],
});

/**
 * One page in its own order (one asked for backwards comes turned round again), and how many lines answer. Where the
 * conditions leave few lines they are found once, counted, and sorted; else the page is cut from an index in order, and
 * the counting stops beyond COUNTED_TO.
 */
export async function pageOf<Row>(
  c: Connection,
  q: PagedQuestion,
  limit: number,
): Promise<{ rows: Row[]; counted: number }> {
  const turned = (rows: Row[]) => (q.start?.backwards ? rows.reverse() : rows);
  const page = async (of: PagedQuestion) => {
    const { sql, params } = pageSql(of, limit);
    return turned(await many<Row>(c, sql, params));
  };
  if (!q.narrow) {
    const { sql, params } = countSql(q);
    return { rows: await page(q), counted: (await one<{ n: number }>(c, sql, params)).n };
  }
  const { sql, params } = foundSql(q);
  const { ids } = await one<{ ids: number[] }>(c, sql, params);
  return { rows: await page(ids.length > COUNTED_TO ? q : among(q, ids)), counted: ids.length };
}
