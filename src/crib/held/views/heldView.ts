import { type Decided, partsIn, type PartRange, PART_VERDICTS, standsOf } from '@/core/breakage';
import { group } from 'd3';
import {
  type HoldRow,
  type HoldVerdictRow,
  manyHeldBack,
  manyHolds,
  manyHoldVerdicts,
  manyOpenHolds,
  maybeHold,
  type PieceDoubtRow,
} from '@/data/breakage';
import type { Connection } from '@/data/database';

/** A hold, and how many of its parts nobody decided of. */
export interface HoldLine extends HoldRow {
  parts: number;
  open: number;
  /** What was decided, by how many parts. */
  verdicts: { words: string; parts: number }[];
}
interface Verdict extends Decided {
  note: string | null;
  who: string;
  happenedAt: Date;
  entryId: number;
}
/** A hold with what stands of each of its parts. */
export interface HoldSheet extends HoldLine {
  stands: (PartRange & { by: Verdict | null })[];
}

export interface HeldView {
  /** With parts of which nobody decided, the oldest first. */
  open: HoldLine[];
  /** All of them, the latest first, a page. */
  lines: HoldLine[];
  next: number | null;
  /** Cutters that are held back. */
  cutters: PieceDoubtRow[];
}
const PAGE = 50;

/** What is held: parts until somebody decides, cutters until somebody looked at them. */
export async function heldView(c: Connection, before: number | null = null): Promise<HeldView> {
  const open = await manyOpenHolds(c);
  const page = await manyHolds(c, before, PAGE + 1);
  const sheets = await sheetsOf(c, [...open, ...page.slice(0, PAGE)]);
  const lines = new Map(sheets.map(({ stands: _, ...line }) => [line.id, line]));
  const of = (rows: readonly HoldRow[]) => rows.flatMap((r) => lines.get(r.id) ?? []);
  return {
    open: of(open),
    lines: of(page.slice(0, PAGE)),
    next: page.length > PAGE ? (page[PAGE - 1]?.id ?? null) : null,
    cutters: await manyHeldBack(c),
  };
}

/** A hold by its number; null: there is none. */
export async function holdSheet(c: Connection, number: string): Promise<HoldSheet | null> {
  const row = await maybeHold(c, number.toUpperCase());
  return row ? ((await sheetsOf(c, [row]))[0] ?? null) : null;
}

async function sheetsOf(c: Connection, rows: readonly HoldRow[]): Promise<HoldSheet[]> {
  const verdicts = group(await manyHoldVerdicts(c, [...new Set(rows.map((r) => r.id))]), (v) => v.holdId);
  return rows.map((row) => {
    const range = { first: row.firstPart, last: row.lastPart };
    const stands = standsOf(range, (verdicts.get(row.id) ?? []).map(verdictOf));
    const open = partsIn(stands.filter((s) => s.by === null));
    const sums = [...group(stands, (s) => s.by?.verdict)].flatMap(([verdict, of]) =>
      verdict ? [{ words: PART_VERDICTS[verdict], parts: partsIn(of) }] : [],
    );
    return { ...row, parts: partsIn([range]), open, verdicts: sums, stands };
  });
}
const verdictOf = (v: HoldVerdictRow): Verdict => ({
  ...{ first: v.firstPart, last: v.lastPart, verdict: v.verdict },
  ...{ note: v.note, who: v.who, happenedAt: v.happenedAt, entryId: v.entryId },
});
