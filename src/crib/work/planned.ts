import { type MustHave, mustOf, standsIn } from '@/core/assemblies';
import type { Judgement } from '@/core/because';
import { type CutterGeometry, describeCutter } from '@/core/cutters';
import { fullSheets, shapeOf } from '@/crib/assemblies';
import { type CribItem, cutterOf, loadItems } from '@/crib/catalogue';
import type { Connection } from '@/data/database';
import type { ToolPlanRow } from '@/data/jobs';
import { manySheetsByCode } from '@/data/sheets';

/** What a T is planned to be. */
export interface Planned {
  row: ToolPlanRow;
  /** What it is to be, in a few words; null: nothing is said of it but what it does. */
  words: string | null;
  /** The very cutter; null: any that has what it must have. */
  item: CribItem | null;
  /** null: nothing is asked of its cutter. */
  must: MustHave | null;
}

/** What some rows of a plan ask for, each with the items and sheets it names. */
export async function plannedOf(c: Connection, rows: readonly ToolPlanRow[]): Promise<Planned[]> {
  if (!rows.length) return [];
  const codes = [...new Set(rows.flatMap((r) => r.sheetCode ?? []))];
  const sheets = codes.length ? await fullSheets(c, await manySheetsByCode(c, codes)) : [];
  const ids = [...new Set(rows.flatMap((r) => r.itemId ?? []))];
  const items = new Map((ids.length ? await loadItems(c, ids) : []).map((i) => [i.id, i]));
  return rows.map((row): Planned => {
    const sheet = sheets.find((s) => s.row.code === row.sheetCode);
    if (sheet)
      return {
        ...{ row, words: `${sheet.row.code}, ${sheet.row.name}`, item: sheet.cutter },
        must: sheet.design.must,
      };
    const item = row.itemId === null ? null : (items.get(row.itemId) ?? null);
    if (item)
      return {
        ...{ row, words: `${item.code}, ${item.words}`, item },
        must: mustOf(cutterOf(item), item.substrate),
      };
    if (row.must) {
      const shape = shapeOf(row.must);
      return { row, words: describeCutter(shape, null), item: null, must: mustOf(shape, null) };
    }
    return { row, words: null, item: null, must: null };
  });
}

/** A cutter against what its T is planned to be; null: nothing is planned that it could differ in. */
export function judgePlanned(
  planned: Planned | null,
  cutter: { code: string; shape: CutterGeometry; substrate: string | null },
): Judgement | null {
  if (!planned?.must) return null;
  const { code, shape, substrate } = cutter;
  const judged = standsIn(planned.must, { code, cutter: shape, substrate }, planned.item?.code ?? null);
  return {
    ...judged,
    code: 'PLANNED',
    words:
      judged.grade === 'good'
        ? `Is what is planned: ${judged.words}`
        : `Not what is planned. ${judged.words}`,
  };
}
