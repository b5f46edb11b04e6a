import { type Judgement, type Grade, worstGrade } from '@/core/because';
import { type HolderDue, type HolderRule, takesStud, runoutTrend, type RunoutTrend } from '@/core/holders';
import { LIMITS } from '@/core/limits';
import { loadItem } from '@/crib/catalogue';
import { duesOfMarked, judgedMarked, type MarkedHolder, rulesOf } from '@/crib/stock';
import type { Connection } from '@/data/database';
import {
  type ClampingRow,
  type HolderEventRow,
  manyClampings,
  manyHolderEvents,
  manyMarked,
  maybeMarked,
} from '@/data/holders';

/** A marked holder, extension or collet, how it stands and what is due with it. */
export interface HolderLine {
  mark: string;
  item: string;
  kind: MarkedHolder['row']['kind'];
  /** In use since, ISO; null: nobody knows. */
  since: string | null;
  /** Clampings since it was looked over, or since it has its mark. */
  clampings: number;
  lookedAt: Date | null;
  grade: Grade;
  against: Judgement[];
  /** What is due first first. */
  dues: HolderDue[];
  /** Somebody must do something about it; what is out of use and in no build is dealt with. */
  todo: boolean;
  tag: string | null;
  place: string | null;
  entryId: number;
}
export interface HoldersView {
  /** What must not run or is asked about first, then what is due first. */
  lines: HolderLine[];
  next: number | null;
  /** The shop's rule, or what is assumed until there is one. */
  rule: HolderRule;
}
/** One of them with its life. */
export interface HolderSheet extends HolderLine {
  rule: HolderRule;
  takesStud: boolean;
  /** The latest first. */
  events: HolderEventRow[];
  clamped: ClampingRow[];
  /** Runout over its clampings; null: too few were measured. */
  trend: RunoutTrend | null;
}

const PAGE = 200;
/** What fell gets its mark past the limit as well. */
const MOST = 2 * LIMITS.markedHolders.most;
/** Clampings that a trend is drawn through. */
const SHOWN = 60;

const lineOf = ({ row, against }: MarkedHolder, dues: HolderDue[]): HolderLine => ({
  mark: row.mark,
  item: row.item,
  kind: row.kind,
  since: row.since,
  clampings: row.clampings,
  lookedAt: row.lookedAt,
  grade: against.length ? worstGrade(against) : dues.some((d) => d.late) ? 'question' : 'good',
  against,
  dues,
  todo: row.tag === null && row.found === 'bad' ? false : against.length > 0 || dues.some((d) => d.late),
  tag: row.tag,
  place: row.place,
  entryId: row.entryId,
});

async function linesOf(
  c: Connection,
  today: string,
  zone: string,
  after: number,
  limit: number,
): Promise<{ lines: HolderLine[]; last: number | null }> {
  const marked = await judgedMarked(c, await manyMarked(c, after, limit));
  const dues = await duesOfMarked(c, marked, today, zone);
  const lines = marked.map((m) => lineOf(m, dues.get(m.row.id) ?? []));
  return { lines, last: marked.at(-1)?.row.id ?? null };
}

/** What is out of use and dealt with comes last. */
const rank = ({ todo, grade }: HolderLine): number =>
  todo ? (grade === 'stop' ? 0 : 1) : grade === 'stop' ? 3 : 2;
const byUrgency = (a: HolderLine, b: HolderLine): number =>
  rank(a) - rank(b) ||
  (a.dues[0]?.day ?? '9').localeCompare(b.dues[0]?.day ?? '9') ||
  a.mark.localeCompare(b.mark, 'en', { numeric: true });

/** A page of what has a mark of its own, the most urgent of it first. */
export async function holdersView(
  c: Connection,
  today: string,
  zone: string,
  after: number | null = null,
): Promise<HoldersView> {
  const { lines, last } = await linesOf(c, today, zone, after ?? 0, PAGE);
  return {
    lines: lines.sort(byUrgency),
    next: lines.length === PAGE ? last : null,
    rule: (await rulesOf(c, []))(0),
  };
}

/** All that somebody must do something about, for the worklist. */
export async function lateHolders(c: Connection, today: string, zone: string): Promise<HolderLine[]> {
  const { lines } = await linesOf(c, today, zone, 0, MOST);
  return lines.filter((l) => l.todo).sort(byUrgency);
}

/** One by its mark; null: there is none. */
export async function holderSheet(
  c: Connection,
  mark: string,
  today: string,
  zone: string,
): Promise<HolderSheet | null> {
  const row = await maybeMarked(c, mark.toUpperCase());
  if (!row) return null;
  const marked = await judgedMarked(c, [row]);
  const dues = await duesOfMarked(c, marked, today, zone);
  const clamped = await manyClampings(c, row.id, SHOWN);
  const points = clamped.flatMap((k) =>
    k.runoutMm === null ? [] : [{ clamping: k.nth, runoutMm: k.runoutMm }],
  );
  const { taper } = await loadItem(c, row.itemId);
  const [one] = marked.map((m) => ({ ...lineOf(m, dues.get(row.id) ?? []), rule: m.rule }));
  return one
    ? {
        ...one,
        takesStud: takesStud({ kind: row.kind, taper }),
        events: await manyHolderEvents(c, row.id, SHOWN),
        clamped,
        trend: runoutTrend(points, one.rule.runoutMm),
      }
    : null;
}
