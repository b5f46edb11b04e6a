import {
  ENDINGS,
  kaplanMeier,
  medianLife,
  type LifeExpectation,
  type Median,
  type SurvivalStep,
} from '@/core/life';
import { loadItems, type CribItem } from '@/crib/cutters';
import type { Connection } from '@/data/database';
import { manyMaterials } from '@/data/stock';
import { lifeTime, loadLifeBook, type CribLife } from './lifeBook';

export interface LifeRecord {
  edgeSetId: number;
  mark: string;
  minutes: number;
  parts: number;
  lowerBound: boolean;
  began: Date;
  ended: string | null;
  endedAt: Date | null;
  counts: 'failure' | 'censored';
  signs: string[];
  costCents: number | null;
  note: string | null;
  endedEntry: number | null;
}

/** One cutter in one material: its lives, how they ended, the survival curve and what it says. */
export interface LifeLine {
  item: Pick<CribItem, 'id' | 'code' | 'words'>;
  material: { id: number; code: string; name: string };
  lives: LifeRecord[];
  steps: SurvivalStep[];
  median: Median;
  expectation: LifeExpectation | null;
  endings: Record<string, number>;
}

export interface LifeView {
  lines: LifeLine[];
  /** Lives shown apart and not fitted: of graded cutters, or in several materials, or without a minute logged. */
  apart: (LifeRecord & { item: string; why: string })[];
}

const record = (l: CribLife): LifeRecord => ({
  edgeSetId: l.edge_set_id,
  mark: l.mark,
  minutes: l.minutes,
  parts: l.uses.reduce((sum, u) => sum + u.parts, 0),
  lowerBound: l.uses.some((u) => u.lower_bound),
  began: l.began_at,
  ended: l.ended && ENDINGS[l.ended].words,
  endedAt: l.ended_at,
  counts: l.ended ? ENDINGS[l.ended].counts : 'censored',
  signs: l.signs ?? [],
  costCents: l.cost_cents,
  note: l.note,
  endedEntry: l.ended_entry_id,
});

/** Lives per cutter and material, most lives first. */
export async function lifeView(c: Connection): Promise<LifeView> {
  const [materials, book] = [await manyMaterials(c), await loadLifeBook(c)];
  const lived = [...new Set(book.lives.map((l) => l.item_id))];
  const items = lived.length ? await loadItems(c, lived) : [];
  const lines: LifeLine[] = [];
  for (const item of items.filter((i) => i.kind === 'cutter'))
    for (const material of materials) {
      const lives = book.fitted(item.id, material.id);
      if (!lives.length) continue;
      const times = lives.map(lifeTime);
      const endings: Record<string, number> = {};
      for (const l of lives) {
        const words = l.ended ? ENDINGS[l.ended].words : 'still running';
        endings[words] = (endings[words] ?? 0) + 1;
      }
      lines.push({
        item: { id: item.id, code: item.code, words: item.words },
        material: { id: material.id, code: material.code, name: material.name },
        lives: lives.map(record),
        steps: kaplanMeier(times),
        median: medianLife(times),
        expectation: book.expectation(item.id, material.id),
        endings,
      });
    }
  lines.sort((a, b) => b.lives.length - a.lives.length);
  const codeOf = new Map(items.map((i) => [i.id, i.code]));
  const apart = book.lives.flatMap((l) => {
    const why = !l.fresh
      ? 'not fresh: a graded cutter'
      : l.uses.length > 1
        ? 'cut several materials'
        : l.ended && l.minutes === 0
          ? 'no minutes were logged'
          : null;
    return why ? [{ ...record(l), item: codeOf.get(l.item_id) ?? '', why }] : [];
  });
  return { lines, apart };
}
