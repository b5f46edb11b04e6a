import type { Judgement } from '@/core/because';
import { holderDue, type HolderDue, type HolderRule, holderRule, judgeHolder } from '@/core/holders';
import { held } from '@/core/sure';
import { localDay } from '@/core/units';
import { loadItems } from '@/crib/catalogue';
import type { Connection } from '@/data/database';
import { type HolderRuleRow, manyHolderRules, type MarkedRow } from '@/data/holders';

/** A holder, extension or collet with a mark of its own, and what speaks against it. */
export interface MarkedHolder {
  row: MarkedRow;
  rule: HolderRule;
  /** What is wrong with it; empty: nothing that anybody said. */
  against: Judgement[];
}

/** How some marked ones stand: whoever builds with one, shows what it is in, or offers it asks here. */
export async function judgedMarked(c: Connection, rows: readonly MarkedRow[]): Promise<MarkedHolder[]> {
  if (!rows.length) return [];
  const rules = await rulesOf(c, [...new Set(rows.map((r) => r.itemId))]);
  return rows.map((row) => {
    const rule = rules(row.itemId);
    const look = row.found && {
      ...{ found: row.found, words: row.lookWords, runoutMm: row.runoutMm },
    };
    const dropped = row.droppedSince ? { words: row.dropWords } : null;
    return { row, rule, against: judgeHolder({ mark: row.mark, look, dropped, rule }) };
  });
}

/** The rule each item is held to. */
export async function rulesOf(
  c: Connection,
  itemIds: readonly number[],
): Promise<(itemId: number) => HolderRule> {
  const rules = new Map<number | null, HolderRuleRow>(
    (await manyHolderRules(c, itemIds)).map((r) => [r.itemId, r]),
  );
  const of = (id: number | null) => {
    const r = rules.get(id);
    return r
      ? {
          lookMonths: r.lookMonths,
          lookClampings: r.lookClampings,
          studMonths: r.studMonths,
          runoutMm: r.runoutMm,
        }
      : null;
  };
  return (itemId) => holderRule(of(itemId), of(null));
}

/** What is due with some marked ones, by their ids, what is due first first. */
export async function duesOfMarked(
  c: Connection,
  marked: readonly MarkedHolder[],
  today: string,
  zone: string,
): Promise<Map<number, HolderDue[]>> {
  const items = new Map(
    (await loadItems(c, [...new Set(marked.map((m) => m.row.itemId))])).map((i) => [i.id, i]),
  );
  const day = (at: Date | null) => at && localDay(at, zone);
  return new Map(
    marked.map(({ row, rule }) => [
      row.id,
      holderDue(
        {
          mark: row.mark,
          kind: row.kind,
          taper: held(items, row.itemId).taper,
          since: row.since,
          marked: localDay(row.markedAt, zone),
          look: row.lookedAt && row.found && { day: localDay(row.lookedAt, zone), found: row.found },
          clampings: row.clampings,
          studChanged: day(row.studAt),
          rule,
        },
        today,
      ),
    ]),
  );
}
