import { many, one, type Connection, type Param } from '../database';

/** Totals are counted so far; what lies beyond is 'more than'. */
export const COUNTED_TO = 1000;

/** A question that is answered a page at a time. */
export interface PagedQuestion {
  /** Tables and conditions, with the parameters these name. */
  from: string;
  where: string;
  params: readonly Param[];
  /** Whether the conditions leave few lines: then they are looked through once, and counted and sorted there. */
  narrow: boolean;
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
  const idColumn = q.columns.at(-1)!;
  /** Where the page begins, by the sort columns of the line it goes on from. */
  const start = (names: readonly string[]) =>
    q.start
      ? ` (${names.join(', ')}) ${down ? '<' : '>'} (select ${q.columns.join(', ')} from ${q.from} where ${idColumn} = ${p(q.start.id)})`
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

/**
 * Page and count in one look through the lines: up to one beyond COUNTED_TO are found, counted as `hits`, and sorted.
 * Where there are more than COUNTED_TO the page is not theirs: it is then cut by `pageSql`.
 */
export function countedPageSql(q: PagedQuestion, limit: number): Sql {
  const { params, p, order, keys, kept, start } = parts(q);
  return {
    sql: `with hit as materialized (select ${kept} from ${q.from} where ${q.where} limit ${COUNTED_TO + 1})
      select ${q.select}, (select count(*)::int from hit) as hits
      from (select * from hit where${start(keys)} order by ${order(keys)} limit ${p(limit)}) x
      ${q.outer} order by ${order(keys.map((k) => `x.${k}`))}`,
    params,
  };
}

/** How many lines answer, counted to one beyond COUNTED_TO. */
export const countSql = (q: Pick<PagedQuestion, 'from' | 'where' | 'params'>): Sql => ({
  sql: `select count(*)::int as n from (select 1 from ${q.from} where ${q.where} limit ${COUNTED_TO + 1}) x`,
  params: [...q.params],
});

/** One page in its own order (one asked for backwards comes turned round again), and how many lines answer. */
export async function pageOf<Row>(
  c: Connection,
  q: PagedQuestion,
  limit: number,
  counting: Pick<PagedQuestion, 'from' | 'where' | 'params'> = q,
): Promise<{ rows: Row[]; counted: number }> {
  const turned = (rows: Row[]) => (q.start?.backwards ? rows.reverse() : rows);
  if (q.narrow) {
    const { sql, params } = countedPageSql(q, limit);
    const rows = await many<Row & { hits: number }>(c, sql, params);
    const counted = rows[0]?.hits ?? (q.start ? null : 0);
    if (counted !== null && counted <= COUNTED_TO) return { rows: turned(rows), counted };
  }
  const page = pageSql(q, limit);
  const count = countSql(counting);
  return {
    rows: turned(await many<Row>(c, page.sql, page.params)),
    counted: (await one<{ n: number }>(c, count.sql, count.params)).n,
  };
}
