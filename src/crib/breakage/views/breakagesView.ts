import { group } from 'd3';
import {
  CAUSES,
  type CostKey,
  type CostSum,
  costsBy,
  type Keys,
  rankCauses,
  type RankedCause,
  type Repeat,
  repeatsOf,
  type Seen,
} from '@/core/breakage';
import { LIMITS } from '@/core/limits';
import { addDays, localDay } from '@/core/units';
import {
  type BreakageRow,
  manyBreakages,
  manyBreakagesSince,
  manyConfirmedCases,
  manyHoldsOf,
  maybeBreakage,
} from '@/data/breakage';
import { manySupplies } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { suspectsOf, type SuspectParts } from '../suspectsOf';

/** Where something broke, as lists and sheets show it. */
export interface BreakageLine extends BreakageRow {
  /** 'T5 of J-1042, M2'; null: on no T of a job. */
  where: string | null;
  causeWords: string | null;
  /** Cents of what was said to be lost, or of the cutter where nobody said; null: not known. */
  cents: number | null;
  /** What that amount is. */
  centsAre: 'said' | 'price of the cutter' | null;
  /** What it still waits for. */
  waits: ('fragments' | 'cause')[];
}

export interface BreakagesView {
  lines: BreakageLine[];
  /** Asked for the page after it; null: there is none. */
  next: number | null;
  /** The last twelve months: sums by each key, each with its cases by their number. */
  year: {
    from: string;
    cases: number;
    /** Not all of them were read: there were more. */
    more: boolean;
    /** Each of them, in short. */
    lines: Pick<BreakageLine, 'entryId' | 'mark' | 'item' | 'where' | 'happenedAt'>[];
    by: Record<CostKey, (CostSum & { entries: number[] })[]>;
  };
}

export interface BreakageSheet {
  line: BreakageLine;
  /** The likeliest first. */
  causes: (RankedCause & {
    proof: { entry: number; words: string }[];
    /** Signs that go with it and were neither seen nor said to be looked for. */
    asks: Seen[];
  })[];
  /** Cases of the shop whose cause is confirmed, from which the ranking learnt. */
  learntFrom: number;
  repeats: Repeat[];
  /** Parts its edges cut since the last good one, by operation, without those that are held already. */
  suspects: SuspectParts[];
  holds: { number: string; first: number; last: number; operation: number }[];
}

const PAGE = 50;

/** What broke, a page at a time, and what it cost in the last twelve months; by cause, cutter, T, machine and month, never by person. */
export async function breakagesView(
  c: Connection,
  today: string,
  zone: string,
  before: number | null = null,
): Promise<BreakagesView> {
  const page = await manyBreakages(c, before, PAGE + 1);
  const from = addDays(today, -365);
  const year = await manyBreakagesSince(c, new Date(`${from}T00:00:00Z`), LIMITS.breakages.most);
  const prices = await pricesOf(c, [...page, ...year]);
  // Pages go by when it was entered; on a page stands first what happened last.
  const entered = page.slice(0, PAGE);
  const lines = entered
    .map((r) => lineOf(r, prices))
    .sort((a, b) => b.happenedAt.getTime() - a.happenedAt.getTime() || b.entryId - a.entryId);
  const cases = year.map((r) => lineOf(r, prices));
  const by = (keyOf: (l: BreakageLine) => string) => {
    const of = group(cases, keyOf);
    return costsBy(cases, keyOf).map((sum) => ({
      ...sum,
      entries: (of.get(sum.key) ?? []).map((l) => l.entryId),
    }));
  };
  const months = by((l) => localDay(l.happenedAt, zone).slice(0, 7));
  return {
    lines,
    next: page.length > PAGE ? (entered.at(-1)?.entryId ?? null) : null,
    year: {
      from,
      cases: cases.length,
      more: cases.length === LIMITS.breakages.most,
      lines: cases.map(({ entryId, mark, item, where, happenedAt }) => ({
        ...{ entryId, mark, item, where, happenedAt },
      })),
      by: {
        cause: by((l) => l.causeWords ?? 'cause not found yet'),
        cutter: by((l) => l.item),
        'tool line': by((l) => (l.job === null ? 'on no T of a job' : `T${l.t} of ${l.job}`)),
        machine: by((l) => l.machine ?? 'on no machine of a job'),
        month: months.toSorted((a, b) => (a.key < b.key ? -1 : 1)),
      },
    },
  };
}

/** One that broke: likely causes and what proves them, what it has in common with others, parts under suspicion. */
export async function breakageSheet(
  c: Connection,
  today: string,
  entry: number,
): Promise<BreakageSheet | null> {
  const row = await maybeBreakage(c, entry);
  if (!row) return null;
  const line = lineOf(row, await pricesOf(c, [row]));
  const confirmed = (await manyConfirmedCases(c, LIMITS.breakages.most)).filter((k) => k.endingId !== entry);
  const year = await manyBreakagesSince(
    c,
    new Date(`${addDays(today, -365)}T00:00:00Z`),
    LIMITS.breakages.most,
  );
  const known = new Map(year.map((r) => [r.entryId, r]));
  const seen = row.seen ?? row.signs;
  const ranked = rankCauses({ seen, notSeen: row.notSeen ?? [] }, confirmed);
  const holds = await manyHoldsOf(c, entry);
  return {
    line,
    causes: ranked.map((r) => ({
      ...r,
      asks: [...CAUSES[r.cause].mostly, ...CAUSES[r.cause].sometimes].filter((s) => !seen.includes(s)),
      proof: r.cases.flatMap((i) => {
        const at = confirmed[i]?.endingId;
        if (at === undefined) return [];
        const k = known.get(at);
        return [{ entry: at, words: k ? `${k.mark}, ${whereOf(k) ?? k.item}` : `number ${at}` }];
      }),
    })),
    learntFrom: confirmed.length,
    repeats: repeatsOf(keysOf(row), year.filter((r) => r.entryId !== entry).map(keysOf)),
    suspects: (await suspectsOf(c, [row.edgeSetId])).get(row.edgeSetId) ?? [],
    holds: holds.map((h) => ({
      ...{ number: h.number, first: h.firstPart, last: h.lastPart, operation: h.operationId },
    })),
  };
}

const pricesOf = async (c: Connection, rows: readonly BreakageRow[]): Promise<Map<number, number | null>> =>
  new Map(
    rows.length
      ? (await manySupplies(c, [...new Set(rows.map((r) => r.itemId))])).map((s) => [s.itemId, s.priceCents])
      : [],
  );

const whereOf = (r: BreakageRow): string | null =>
  r.job === null ? null : `T${r.t} of ${r.job}${r.machine ? `, ${r.machine}` : ''}`;

const lineOf = (r: BreakageRow, prices: ReadonlyMap<number, number | null>): BreakageLine => {
  const price = prices.get(r.itemId) ?? null;
  return {
    ...r,
    where: whereOf(r),
    causeWords: r.cause === null ? null : CAUSES[r.cause].words,
    cents: r.costCents ?? price,
    centsAre: r.costCents !== null ? 'said' : price !== null ? 'price of the cutter' : null,
    waits: [
      ...(r.asksFragments && r.fragments === null ? (['fragments'] as const) : []),
      ...(r.cause === null ? (['cause'] as const) : []),
    ],
  };
};

const keysOf = (r: BreakageRow): Keys => ({
  T: r.job === null ? null : `T${r.t} of ${r.job}`,
  holder: r.holder,
  machine: r.machine,
  cutter: r.item,
  recipe: r.recipe,
  cause: r.cause === null ? null : CAUSES[r.cause].words,
});
